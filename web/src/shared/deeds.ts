import type { Schemas } from "./api";
import type { Act } from "./outbox";
import { say } from "./say";

/** What is done to a job besides typing: where it is sent and with what. */
export interface Deed {
  to: string;
  body?: Record<string, unknown>;
  label: string;
  /** As in the outbox; done on the newest revision in any case where nothing is said. */
  onNewest?: Act["onNewest"];
  /** Not kept for later: it reads a machine as it is now, and is done now or not at all. */
  now?: boolean;
}

/** Where what is said by name stands in a job. */
export type Statements = "marks" | "options/waivers" | "decision/approvals" | "setup/signs";

/** What can be done to a job besides typing, each in the words of the trade; how it is sent is its desk's business. */
export abstract class Deeds {
  abstract does(deed: Deed): Promise<void>;

  /** Add an item to a list: empty, or like another one; a set may be of the machine set up anew. */
  add(list: string, like?: string, stage?: "after") {
    const query = like ? `?like=${encodeURIComponent(like)}` : stage ? `?stage=${stage}` : "";
    return this.does({
      to: `/items/${list}${query}`,
      label: say("deeds-one-more", { replaceAll: (list.split("/").at(-1) ?? list).replaceAll("_", " ") }),
    });
  }

  /** Put what the plate's line was taken for into its fields. */
  fillPlate() {
    return this.does({ to: "/plate-line", label: say("deeds-plate-line") });
  }

  /** Put in what a first answer needs: a set to be typed, the usual candidates, a year by kind of building. */
  beginFirst(building: string | null) {
    return this.does({ to: "/first", body: { building }, label: say("deeds-first-answer") });
  }

  /** Say of a finding what became of it. */
  mark(finding: string, state: Schemas["MarkState"], note: string) {
    return this.does({ to: "/marks", body: { finding, state, note }, label: say("deeds-finding", { state }) });
  }

  /** Take in the good rows of a CSV file as sets. */
  takeCsv(file: Schemas["CsvIn"]) {
    return this.does({ to: "/readings-csv", body: { ...file }, label: say("deeds-sets-csv") });
  }

  /** Consider one more option, with a product of the catalogue where one is named. */
  consider(kind: Schemas["OptionKind"], code: string | null) {
    return this.does({ to: "/options", body: { kind, code }, label: say("deeds-option", { code: code ?? kind }) });
  }

  /** Answer for a stop. */
  waive(option: string, check: string, name: string, reason: string) {
    return this.does({
      to: "/waivers",
      body: { option, check, name, reason },
      label: say("deeds-answers-stop", { name }),
      onNewest: "ask",
    });
  }

  /** Record what somebody else approved. */
  approve(of: string, givenBy: string, role: string) {
    return this.does({
      to: "/approvals",
      body: { of, given_by: givenBy, role },
      label: say("deeds-approval-recorded", { of }),
    });
  }

  /** Take back what was said by name; it stays as withdrawn. */
  withdraw(statements: Statements, id: string, why: string) {
    return this.does({
      to: "/withdrawals",
      body: { statements, id, why },
      label: say("deeds-something-said"),
      onNewest: "ask",
    });
  }

  /** Take a logger's year over as steps. */
  takeLog(file: Schemas["LogIn"], byLoad: boolean) {
    return this.does({ to: "/duty/log", body: { ...file, by_load: byLoad }, label: say("deeds-year-logger") });
  }

  /** Take a template's year over, each step marked assumed. */
  takeTemplate(building: string) {
    return this.does({ to: "/duty/template", body: { building }, label: say("deeds-year", { building }) });
  }

  undo() {
    return this.does({ to: "/undo", label: say("deeds-undo"), onNewest: "ask" });
  }

  redo() {
    return this.does({ to: "/redo", label: say("deeds-redo"), onNewest: "ask" });
  }
}
