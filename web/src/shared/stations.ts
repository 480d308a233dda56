import type { JobHead, Schemas, Station } from "./api";
import { say } from "./say";

/** The stations in the order of the work, each with its name and the question it answers. */
export const STATIONS: readonly { id: Station; title: string; question: string }[] = [
  { id: "call", title: say("stations-call"), question: say("stations-why-we") },
  { id: "plate", title: say("stations-plate"), question: say("stations-what-motor") },
  { id: "readings", title: say("stations-readings"), question: say("stations-what-doing") },
  { id: "findings", title: say("stations-findings"), question: say("stations-what-wrong") },
  { id: "duty", title: say("stations-duty"), question: say("stations-how-does") },
  { id: "options", title: say("stations-options"), question: say("stations-what-could") },
  { id: "decision", title: say("stations-decision"), question: say("stations-why") },
  { id: "setup", title: say("stations-set-up"), question: say("stations-how-set") },
  { id: "proof", title: say("stations-proof"), question: say("stations-did-keep") },
  { id: "log", title: say("stations-log"), question: say("stations-drifting") },
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
