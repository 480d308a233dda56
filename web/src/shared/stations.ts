import type { JobHead, Schemas, Station } from "./api";

/** The stations in the order of the work, each with its name and the question it answers. */
export const STATIONS: readonly { id: Station; title: string; question: string }[] = [
  { id: "call", title: "Call", question: "Why are we here?" },
  { id: "plate", title: "Plate", question: "What is this motor?" },
  { id: "readings", title: "Readings", question: "What is it doing?" },
  { id: "findings", title: "Findings", question: "What is wrong, and what proves it?" },
  { id: "duty", title: "Duty", question: "How does it run through the year?" },
  { id: "options", title: "Options", question: "What could replace it?" },
  { id: "decision", title: "Decision", question: "Which, and why?" },
  { id: "setup", title: "Set-up", question: "How is it set?" },
  { id: "proof", title: "Proof", question: "Did it keep its promise?" },
  { id: "log", title: "Log", question: "Is it drifting?" },
];

/** A page of a job: a station, or the job in short before them all. */
export type Page = Station | typeof SHORT;
export const SHORT = "short";

export function stationNamed(name: string | undefined): (typeof STATIONS)[number] | undefined {
  return STATIONS.find((station) => station.id === name);
}

/** The key that goes to a station: 1 to 9, and 0 for the tenth. */
export function keyOf(station: Station): string {
  return String((STATIONS.findIndex((one) => one.id === station) + 1) % 10);
}

/** The first thing to do at a station, if the core names one. */
export function nextAt(next: Schemas["Next"][], station: Station) {
  return next.find((step) => step.station === station);
}

/** What to do next as a station sees it: its own first thing, else where the route goes on, else the nearest before it that waits. */
export function nextHere(next: Schemas["Next"][], station: Station) {
  const own = nextAt(next, station);
  if (own) return own;
  const placeOf = (wanted: Station) => STATIONS.findIndex((one) => one.id === wanted);
  const place = placeOf(station);
  const after = next.find((step) => placeOf(step.station) > place);
  return after ?? [...next].sort((a, b) => placeOf(b.station) - placeOf(a.station))[0] ?? null;
}

/** The rail of a job; its log tells of the machine, whatever is typed in the job. */
export function railOf(view: JobHead, rail: Schemas["RailEntry"][]): Schemas["RailEntry"][] {
  return rail.map((entry) =>
    entry.station === "log" && (view.log ?? []).length > 0
      ? {
          ...entry,
          phrase: view.log ?? [],
          waits: view.log_waits ?? false,
          severity: view.drifts ? "caution" : null,
        }
      : entry,
  );
}
