import type { ComponentType } from "react";

import type { NodeName } from "../shared/found";
import type { Page } from "../shared/stations";

interface SheetOfJob {
  load: () => Promise<ComponentType>;
  /** What it may show, at once or as soon as there is any: it comes with every answer, so that no part waits as it appears. */
  shows: readonly NodeName[];
}

/** What stands beside every sheet, and asks for itself from then on. */
const BALANCE: readonly NodeName[] = ["balance", "options", "as_found"];

/** The sheet of every page of a job, fetched when it is gone to. */
export const SHEETS: Record<Page, SheetOfJob> = {
  short: {
    load: async () => (await import("../stations/short/ShortSheet")).ShortSheet,
    shows: ["short", "candidates", "differences", "plate"],
  },
  call: { load: async () => (await import("../stations/call/CallSheet")).CallSheet, shows: [] },
  plate: {
    load: async () => (await import("../stations/plate/PlateSheet")).PlateSheet,
    shows: ["plate", "identity"],
  },
  readings: {
    load: async () => (await import("../stations/readings/ReadingsSheet")).ReadingsSheet,
    shows: ["sets", "round", "wanted_flow", "amps_chart", "blower_table"],
  },
  findings: {
    load: async () => (await import("../stations/findings/FindingsSheet")).FindingsSheet,
    shows: ["procedures"],
  },
  duty: {
    load: async () => (await import("../stations/duty/DutySheet")).DutySheet,
    shows: ["duty", "option/keep", "steps/keep"],
  },
  options: {
    load: async () => (await import("../stations/options/OptionsSheet")).OptionsSheet,
    shows: ["candidates", "differences"],
  },
  decision: {
    load: async () => (await import("../stations/decision/DecisionSheet")).DecisionSheet,
    shows: ["candidates"],
  },
  setup: { load: async () => (await import("../stations/setup/SetupSheet")).SetupSheet, shows: ["setup"] },
  proof: {
    load: async () => (await import("../stations/proof/ProofSheet")).ProofSheet,
    shows: ["proof", "setup", "sets"],
  },
  log: { load: async () => (await import("../stations/log/LogSheet")).LogSheet, shows: [] },
};

/** What a page shows first, so that it comes with the job. */
export function firstShown(page: Page): readonly NodeName[] {
  return [...SHEETS[page].shows, ...BALANCE];
}
