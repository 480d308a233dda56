const WHEN = /^(\d{4})-(\d{2})-(\d{2})(?: (\d{1,2}):(\d{2}))?$/;
const NOON = 12;

/** A time as it is typed, on this reader's own clock, as the server takes it: UTC. Anything else goes as it is, to be refused. */
export function asUtc(typed: string): string | null {
  const text = typed.trim();
  const [, year, month, day, hour, minute] = WHEN.exec(text) ?? [];
  if (!year) return text || null;
  const at = new Date(Number(year), Number(month) - 1, Number(day), Number(hour ?? NOON), Number(minute ?? 0));
  return Number.isNaN(at.getTime()) ? text : at.toISOString().slice(0, 16).replace("T", " ");
}

/** Now, to the second, as the server takes it. */
export const nowUtc = () => new Date().toISOString().slice(0, 19).replace("T", " ");
