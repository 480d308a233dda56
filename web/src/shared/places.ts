import type { Station } from "./api";

const STATION_OF: Record<string, Station> = {
  machine: "call",
  nameplate: "plate",
  identification: "plate",
  leads: "plate",
  call_taps: "plate",
  charts: "readings",
  target: "readings",
  meters: "readings",
  checks: "findings",
  marks: "findings",
};

/** The station on whose sheet the field at a path stands. */
export function stationOf(path: string): Station {
  const root = path.split("/")[0] ?? "";
  return STATION_OF[root] ?? (root as Station);
}
