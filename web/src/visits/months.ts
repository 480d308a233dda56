/** Months that a strip of visits shows. */
export const MONTHS = 12;

/** The first days of the months from this one on. */
export function monthsFrom(now: Date): Date[] {
  return Array.from({ length: MONTHS }, (_, month) => new Date(now.getFullYear(), now.getMonth() + month, 1));
}

/** Where a day stands on the strip: which month, and how far into it from 0 to 1; none where it lies after it. */
export function placeOf(due: Date, now: Date): { month: number; into: number } | null {
  const day = due < now ? now : due;
  const month = 12 * (day.getFullYear() - now.getFullYear()) + day.getMonth() - now.getMonth();
  if (month >= MONTHS) return null;
  const days = new Date(day.getFullYear(), day.getMonth() + 1, 0).getDate();
  return { month, into: (day.getDate() - 1) / days };
}
