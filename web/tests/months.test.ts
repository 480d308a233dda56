import { expect, test } from "vitest";

import { MONTHS, monthsFrom, placeOf } from "../src/visits/months";

const NOW = new Date("2026-11-29T10:00:00Z");

test("twelve months begin with this one and go over the turn of the year", () => {
  const months = monthsFrom(NOW).map((one) => one.toISOString().slice(0, 7));
  expect(months).toHaveLength(MONTHS);
  expect([months[0], months[1], months[2], months[11]]).toEqual(["2026-11", "2026-12", "2027-01", "2027-10"]);
});

test("a day stands in its month, one that has passed on today, one beyond the strip nowhere", () => {
  expect(placeOf(new Date("2027-01-16T00:00:00Z"), NOW)).toEqual({ month: 2, into: 15 / 31 });
  expect(placeOf(new Date("2025-03-01T00:00:00Z"), NOW)).toEqual({ month: 0, into: 28 / 30 });
  expect(placeOf(new Date("2027-10-31T23:00:00Z"), NOW)?.month).toBe(11);
  expect(placeOf(new Date("2027-11-01T00:00:00Z"), NOW)).toBeNull();
});
