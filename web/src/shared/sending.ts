import { api, type JobHead, Refused, taken } from "./api";
import type { DraftState } from "./desk";
import type { JobAnswer } from "./found";
import { type Act, alone, type NewAct, type Outbox, sendAct } from "./outbox";
import { holds, valueAt } from "./paths";
import { say } from "./say";

const TRY_AGAIN_AFTER_MS = 1500;
const MOST_CONFLICTS = 5;
const MOVED_ON = say("sending-job-changed");
const NOT_DONE = say("sending-done-server");

/** What the sending of acts asks of its job, and tells it. */
export interface JobOfActs {
  readonly lane: string;
  view(): JobHead | null;
  read(): Promise<JobAnswer>;
  /** The job was read anew. */
  shows(answer: JobAnswer): void;
  /** An act was done, and this is the job that it made; none where the job held already what was wanted. */
  saved(answer: JobAnswer | null, target: Act["target"]): void;
  /** Headers by which the page says what it shows of what follows. */
  asks(): Record<string, string>;
  /** Why something cannot be saved just now. */
  troubled(refused: Refused): void;
  /** How the text of an act stands now, where its field still holds it. */
  stands(act: Act, state: DraftState, sentence: string | null): void;
  /** One more act is on its way, or one less. */
  counts(by: 1 | -1): void;
}

/** The acts of one job, sent one after another until each has come to its end: done, refused in words, or shown for a decision. */
export class Sending {
  private readonly ended = new Map<string, (error: Refused | null) => void>();
  private busy = false;

  constructor(
    private readonly job: JobOfActs,
    private readonly outbox: Outbox,
  ) {}

  /** Keep an act in this browser, then send it behind those before it; done when it has come to its end. */
  put(act: Omit<NewAct, "lane" | "on">, now = false): Promise<void> {
    this.job.counts(1);
    const { lane } = this.job;
    const kept = this.outbox.put({
      ...act,
      on: this.job.view()?.revision ?? "",
      lane: now ? `${lane} now` : lane,
    });
    const done = new Promise<void>((resolve) => {
      this.ended.set(kept.id, (error) => {
        this.ended.delete(kept.id);
        this.job.counts(-1);
        if (error && !kept.target) this.job.troubled(error);
        resolve();
      });
    });
    if (now) void this.sendNow(kept);
    else void this.send();
    return done;
  }

  /** Send what waits, one after another; goes on for as long as the page lives, also when the reader has gone elsewhere. */
  async send() {
    if (this.busy) return;
    this.busy = true;
    try {
      await alone(this.job.lane, async () => {
        for (let act = this.next(); act; act = this.next()) await this.sendOne(act);
      });
    } finally {
      this.busy = false;
    }
    if (this.next()) void this.send();
  }

  private next() {
    return this.outbox.lane(this.job.lane).find((act) => act.state === "waiting");
  }

  /** Send one act until it has come to its end. */
  private async sendOne(first: Act) {
    let act = first;
    for (let conflicts = 0; ;) {
      try {
        const here = this.job.view();
        if (here && act.on !== "" && act.on !== here.revision && act.onNewest !== "always") {
          const found = whatIsThere(act, here);
          if (found === "done") return this.done(act, null);
          if (found === "other") return this.asks(act, new Refused(409, MOVED_ON));
        }
        return this.done(act, await this.sent(act));
      } catch (error) {
        const refused = error as Refused;
        if (refused.isKnown) return this.done(act, await this.readUntilAnswered());
        if (refused.isAway) {
          this.job.troubled(refused);
          this.outbox.change(act.id, { waited: true });
          act = { ...act, waited: true };
          this.job.stands(act, "waiting", null);
          await pause(TRY_AGAIN_AFTER_MS);
        } else if (refused.isConflict) {
          conflicts += 1;
          const again = conflicts <= MOST_CONFLICTS && (await this.mayGoOnNewest(act));
          if (again === "done") return this.done(act, null);
          if (!again) return this.asks(act, refused);
        } else return this.refused(act, refused);
      }
    }
  }

  /** Whether an act that waited may be done on the job as it now is; "done" where it holds what was wanted already. */
  private async mayGoOnNewest(act: Act): Promise<boolean | "done"> {
    if (!act.waited) return false;
    const now = await this.readUntilAnswered();
    this.job.shows(now);
    if (act.onNewest === "always") return true;
    const found = whatIsThere(act, now);
    return found === "done" ? found : found === "untouched";
  }

  /** Something that is done now or not at all; where its answer is lost, the server is asked whether it was done. */
  private async sendNow(act: Act) {
    for (let lost = false; ;) {
      try {
        if (lost && !(await this.wasDone(act))) return this.endNow(act, new Refused(424, NOT_DONE));
        return this.done(act, lost ? await this.job.read() : await this.sent(act));
      } catch (error) {
        const refused = error as Refused;
        if (!refused.isAway) return this.endNow(act, refused);
        this.job.troubled(refused);
        lost = true;
        await pause(TRY_AGAIN_AFTER_MS);
      }
    }
  }

  private endNow(act: Act, refused: Refused) {
    this.outbox.drop(act.id);
    this.ended.get(act.id)?.(refused);
  }

  private async wasDone(act: Act): Promise<boolean> {
    const { known } = await taken(api.GET("/api/commands/{name}", { params: { path: { name: act.id } } }));
    return known;
  }

  private async sent(act: Act): Promise<JobAnswer> {
    return (await sendAct(act, this.job.view()?.revision ?? "", this.job.asks())) as JobAnswer;
  }

  private async readUntilAnswered(): Promise<JobAnswer> {
    for (;;) {
      try {
        return await this.job.read();
      } catch (error) {
        if (!(error as Refused).isAway) throw error;
        await pause(TRY_AGAIN_AFTER_MS);
      }
    }
  }

  /** @param answer - the job that it made; none where the job held already what was wanted */
  private done(act: Act, answer: JobAnswer | null) {
    this.outbox.drop(act.id);
    // What was done behind it saw the job as this one was about to make it.
    const before = this.job.view()?.revision;
    if (answer && act.on === before)
      for (const later of this.outbox.lane(this.job.lane))
        if (later.on === before) this.outbox.change(later.id, { on: answer.revision });
    this.job.saved(answer, act.target);
    this.ended.get(act.id)?.(null);
  }

  /** It meets what another window did: shown for a decision, and kept until there is one. */
  private asks(act: Act, refused: Refused) {
    const { target } = act;
    this.job.troubled(refused);
    this.job.stands(act, "conflict", refused.message);
    // What was only just pressed is told of and can be pressed again; what was kept for later stays until it is decided.
    if (act.waited || target) this.outbox.change(act.id, { state: "asks", sentence: refused.message });
    else this.outbox.drop(act.id);
    this.ended.get(act.id)?.(target ? null : refused);
  }

  private refused(act: Act, refused: Refused) {
    const { target } = act;
    if (target?.text === undefined) this.job.troubled(refused);
    else this.job.stands(act, "refused", refused.message);
    if (act.waited) this.outbox.change(act.id, { state: "refused", sentence: refused.message });
    else this.outbox.drop(act.id);
    this.ended.get(act.id)?.(refused);
  }
}

/** What an act finds at its place in a job: what was wanted already, what was there before, or another thing. */
function whatIsThere({ onNewest, target }: Act, now: JobHead): "done" | "untouched" | "other" {
  if (onNewest === "ask" || !target) return "other";
  const there = JSON.stringify(valueAt(now, target.path));
  const wanted =
    target.text === undefined ? JSON.stringify(target.value ?? null) === there : holds(now, target.path, target.text);
  return wanted ? "done" : JSON.stringify(target.before) === there ? "untouched" : "other";
}

const pause = (ms: number) => new Promise((resolve) => window.setTimeout(resolve, ms));
