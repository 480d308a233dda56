import { fields } from "../generated/fields";
import type { JobHead } from "./api";

/** What a job holds at a path such as `nameplate/rated_power` or `readings/s2/current`; null where nothing stands. */
export function valueAt(view: JobHead, path: string): unknown {
  const steps = path.split("/");
  let place: unknown = steps[0] === "machine" ? { machine: view.machine } : view.document;
  for (const step of steps) {
    if (Array.isArray(place)) place = (place as { id: string }[]).find((item) => item.id === step);
    else place = (place as Record<string, unknown> | undefined)?.[step];
  }
  return place ?? null;
}

const STAR = "/*/";
const LISTS = new Set(
  Object.keys(fields).flatMap((name) => (name.includes(STAR) ? [name.slice(0, name.indexOf(STAR))] : [])),
);
const ITEM = new RegExp(`^(${[...LISTS].join("|")})/[^/]+/`);

/** The facts of a field are kept under its name, where an item of a list stands as a star. */
export function fieldName(path: string): string {
  return path.replace(ITEM, `$1${STAR}`);
}

/** Whether what a job holds at a path is what was typed for it. */
export function holds(view: JobHead, path: string, text: string): boolean {
  const value = valueAt(view, path);
  const kept = typeof value === "object" && value !== null ? (value as { typed?: string }).typed : value;
  return (kept ?? "") === text.trim();
}
