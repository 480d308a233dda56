const WHEN = /^(\d{4})-(\d{2})-(\d{2})(?: (\d{1,2}):(\d{2}))?$/;
const NOON = 12;

/** A time as it is typed, on this reader's own clock, as the server takes it: UTC. Anything else goes as it is, to be refused. */
export function asUtc(typed: string): string | null {
  const text = typed.trim();
  const [, year, month, day, hour, minute] = WHEN.exec(text) ?? [];
  if (!year) return text || null;
  const midnight = new Date(Number(year), Number(month) - 1, Number(day));
  // A day or an hour that there is not would be rolled over to another one that nobody typed.
  const is = midnight.getMonth() === Number(month) - 1 && midnight.getDate() === Number(day);
  if (!is || Number(hour ?? 0) > 23 || Number(minute ?? 0) > 59) return text;
  const at = new Date(Number(year), Number(month) - 1, Number(day), Number(hour ?? NOON), Number(minute ?? 0));
  return at.toISOString().slice(0, 16).replace("T", " ");
}

/** The same for a field that takes a time alone: a bare day is no time, and is refused in words. */
export const timeAsUtc = (typed: string) => (typed.includes(":") ? asUtc(typed) : typed.trim());

/** Now, to the second, as the server takes it. */
export const nowUtc = () => new Date().toISOString().slice(0, 19).replace("T", " ");

/** A time as it is kept, UTC, on this reader's own clock and written in the same way; what is no time stays as it is. */
export function asLocal(kept: string): string {
  const text = kept.trim();
  const [, year, month, day, hour, minute] = WHEN.exec(text) ?? [];
  if (!year || !hour) return text;
  return stamp(new Date(Date.UTC(Number(year), Number(month) - 1, Number(day), Number(hour), Number(minute))));
}

/** An instant on this reader's clock, to the minute. */
function stamp(at: Date): string {
  return `${dayOf(at)} ${two(at.getHours())}:${two(at.getMinutes())}`;
}

/** The day of an instant on this reader's clock. */
export function dayOf(at: Date | string): string {
  const when = new Date(at);
  return `${when.getFullYear()}-${two(when.getMonth() + 1)}-${two(when.getDate())}`;
}

const two = (number: number) => String(number).padStart(2, "0");

/** The reader's time zone by its name in the time zone database, as the server takes it; none where the browser knows none. */
export function ownZone(): string {
  const name = (Intl.DateTimeFormat().resolvedOptions() as { timeZone?: string }).timeZone ?? "";
  return name === "Etc/Unknown" ? "" : name;
}

/** The same as people say it: by its hours from UTC on a day. */
export function zoneWord(at = new Date()): string {
  const parts = new Intl.DateTimeFormat("en", { timeZoneName: "shortOffset" }).formatToParts(at);
  const offset = parts.find((part) => part.type === "timeZoneName")?.value ?? "UTC";
  return offset.replace("GMT", "UTC").replace("-", "−");
}
