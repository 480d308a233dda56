import type { ComponentType } from "react";

import type { NodeName } from "../shared/found";
import type { Page } from "../shared/stations";

interface SheetOfJob {
  load: () => Promise<ComponentType>;
  /** What it shows first, so that it comes with the job; whatever else it shows it asks for itself. */
  shows: readonly NodeName[];
}

/** The balance beside a sheet. */
const BALANCE = ["balance", "options", "as_found"] as const;

/** The sheet of every page of a job, fetched when it is gone to. */
export const SHEETS: Record<Page, SheetOfJob> = {
  short: {
    load: async () => (await import("../stations/short/ShortSheet")).ShortSheet,
    shows: ["short", "candidates", "differences", "balance", "as_found"],
  },
  call: { load: async () => (await import("../stations/call/CallSheet")).CallSheet, shows: BALANCE },
  plate: {
    load: async () => (await import("../stations/plate/PlateSheet")).PlateSheet,
    shows: ["plate", "identity", ...BALANCE],
  },
  readings: {
    load: async () => (await import("../stations/readings/ReadingsSheet")).ReadingsSheet,
    shows: ["sets", "round", "wanted_flow", "amps_chart", "blower_table", ...BALANCE],
  },
  findings: {
    load: async () => (await import("../stations/findings/FindingsSheet")).FindingsSheet,
    shows: ["ways", ...BALANCE],
  },
  duty: {
    load: async () => (await import("../stations/duty/DutySheet")).DutySheet,
    shows: ["duty", "option/keep", "steps/keep", ...BALANCE],
  },
  options: {
    load: async () => (await import("../stations/options/OptionsSheet")).OptionsSheet,
    shows: ["candidates", "differences", ...BALANCE],
  },
  decision: {
    load: async () => (await import("../stations/decision/DecisionSheet")).DecisionSheet,
    shows: ["candidates", ...BALANCE],
  },
  setup: { load: async () => (await import("../stations/setup/SetupSheet")).SetupSheet, shows: ["setup", ...BALANCE] },
  proof: {
    load: async () => (await import("../stations/proof/ProofSheet")).ProofSheet,
    shows: ["proof", "setup", "sets", ...BALANCE],
  },
  log: { load: async () => (await import("../stations/log/LogSheet")).LogSheet, shows: BALANCE },
};
