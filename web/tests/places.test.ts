import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

import type { JobHead, Schemas } from "../src/shared/api";
import { colourOf } from "../src/shared/marks";
import { fieldName, holds, valueAt } from "../src/shared/paths";
import { onReveal, reveal } from "../src/shared/reveal";
import { keyOf, nextAt, railOf, stationNamed, STATIONS } from "../src/shared/stations";
import { asLocal, asUtc, dayOf, timeAsUtc, zoneWord } from "../src/shared/times";
import { fields } from "../src/generated/fields";

const VIEW = {
  machine: { name: "Hall fan", type: "forward-curved" },
  document: {
    nameplate: { rated_power: { typed: "1/2 hp", si: 372.85, unit: "hp" }, marking: "" },
    readings: [
      { id: "s1", current: { typed: "3.1 A", si: 3.1, unit: "A" } },
      { id: "s2", current: null },
    ],
  },
} as unknown as JobHead;

describe("what stands at a path", () => {
  it("goes down fields, and into lists by the items' own names", () => {
    expect(valueAt(VIEW, "nameplate/rated_power")).toMatchObject({ typed: "1/2 hp" });
    expect(valueAt(VIEW, "readings/s1/current")).toMatchObject({ si: 3.1 });
    expect(valueAt(VIEW, "machine/name")).toBe("Hall fan");
  });

  it("is null where nothing stands, however deep the path goes on", () => {
    expect(valueAt(VIEW, "readings/s2/current")).toBeNull();
    expect(valueAt(VIEW, "readings/s9/current")).toBeNull();
    expect(valueAt(VIEW, "setup/sweep/low")).toBeNull();
  });

  it("holds what was typed, blanks at its ends aside", () => {
    expect(holds(VIEW, "nameplate/rated_power", " 1/2 hp ")).toBe(true);
    expect(holds(VIEW, "nameplate/rated_power", "0.5 hp")).toBe(false);
    expect(holds(VIEW, "machine/name", "Hall fan")).toBe(true);
    expect(holds(VIEW, "readings/s2/current", "")).toBe(true);
  });
});

describe("the name of a field", () => {
  it.each([
    ["nameplate/rated_power", "nameplate/rated_power"],
    ["readings/s2/current", "readings/*/current"],
    ["duty/steps/s1/hours", "duty/steps/*/hours"],
    ["options/candidates/k4/product/price", "options/candidates/*/product/price"],
    ["setup/trials/t3/reading", "setup/trials/*/reading"],
    ["proof/pairs/p1/before", "proof/pairs/*/before"],
  ])("%s", (path, name) => expect(fieldName(path)).toBe(name));

  it("is found for every list that the core has fields of", () => {
    const starred = Object.keys(fields).filter((name) => name.includes("/*/"));
    expect(starred.length).toBeGreaterThan(20);
    for (const name of starred) expect(fieldName(name.replace("/*/", "/x1/"))).toBe(name);
  });
});

describe("stations", () => {
  it("stand in the order of the hands, each with a key", () => {
    expect(STATIONS.map(({ id }) => keyOf(id)).join("")).toBe("1234567890");
    expect(STATIONS[0]?.id).toBe("call");
    expect(stationNamed("setup")?.title).toBe("Set-up");
    expect(stationNamed("bench")).toBeUndefined();
    expect(stationNamed(undefined)).toBeUndefined();
  });

  it("take the first thing to do that is theirs", () => {
    const next = [
      { station: "plate", path: "a" },
      { station: "readings", path: "b" },
      { station: "readings", path: "c" },
    ];
    expect(nextAt(next as Schemas["Next"][], "readings")?.path).toBe("b");
    expect(nextAt(next as Schemas["Next"][], "log")).toBeUndefined();
  });

  const rail = [
    { station: "proof", phrase: ["saves"], waits: false, severity: null },
    { station: "log", phrase: ["waits for readings over time"], waits: true, severity: null },
  ];
  const told = (view: object) => railOf(view as JobHead, rail as unknown as Schemas["RailEntry"][]);

  it("tell of the machine's log whatever is typed in the job", () => {
    const [proof, log] = told({ log: ["drifts: filter"], drifts: true });
    expect(proof).toBe(rail[0]);
    expect(log).toMatchObject({ phrase: ["drifts: filter"], waits: false, severity: "caution" });
  });

  it("keep waiting where the log still waits, and where there is none", () => {
    expect(told({ log: ["waits for a week"], log_waits: true, drifts: false })[1]).toMatchObject({
      waits: true,
      severity: null,
    });
    expect(told({ log: [] })[1]).toBe(rail[1]);
    expect(told({})[1]).toBe(rail[1]);
  });
});

describe("a field that is sought", () => {
  it("opens the fold that holds it, and only that", () => {
    const asked: string[] = [];
    const stop = onReveal((path) => {
      asked.push(path);
      return path.startsWith("charts/");
    });
    expect(reveal("charts/amps_chart")).toBe(true);
    expect(reveal("nameplate/rated_power")).toBe(false);
    stop();
    expect(reveal("charts/amps_chart")).toBe(false);
    expect(asked).toEqual(["charts/amps_chart", "nameplate/rated_power"]);
  });
});

describe("the colour of a series", () => {
  it.each([
    ["copper", "copper"],
    ["verdigris-ring", "verdigris"],
    ["violet", "violet"],
    ["", "ink"],
    ["unheard", "ink"],
  ])("%s", (series, colour) => expect(colourOf(series)).toBe(colour));
});

describe("a time that is typed", () => {
  const zone = process.env.TZ;
  beforeEach(() => vi.stubEnv("TZ", "Europe/Berlin"));
  afterEach(() => vi.stubEnv("TZ", zone));

  it("is on the reader's own clock, in winter and in summer", () => {
    expect(asUtc("2026-01-15 14:30")).toBe("2026-01-15 13:30");
    expect(asUtc("2026-07-15 14:30")).toBe("2026-07-15 12:30");
    expect(asUtc(" 2026-07-15 0:05 ")).toBe("2026-07-14 22:05");
  });

  it("is told on the reader's own clock, in summer and in winter", () => {
    for (const kept of ["2026-01-15 13:30", "2026-07-15 12:30", "2025-10-26 00:30", "2026-07-14 22:05"])
      expect(asUtc(asLocal(kept))).toBe(kept);
    expect(asLocal("2026-07-14 22:05")).toBe("2026-07-15 00:05");
    expect(asLocal("2026-07-14")).toBe("2026-07-14");
    expect(asLocal("in July")).toBe("in July");
    expect(dayOf("2026-07-14T22:05:00Z")).toBe("2026-07-15");
    expect(zoneWord(new Date("2026-07-14T22:05:00Z"))).toBe("UTC+2");
    expect(zoneWord(new Date("2026-01-14T22:05:00Z"))).toBe("UTC+1");
  });

  it("is noon of a day that is typed alone, so that the day is the same in most of the world", () => {
    expect(asUtc("2026-07-15")).toBe("2026-07-15 10:00");
  });

  it("is nothing where nothing is typed, and goes as it is where it cannot be read", () => {
    expect(asUtc("  ")).toBeNull();
    expect(asUtc("15 July")).toBe("15 July");
    expect(asUtc("2026-07-15T14:30")).toBe("2026-07-15T14:30");
  });

  it("is never rolled over from a day or an hour that there is not", () => {
    for (const none of ["2026-02-30 10:00", "2026-13-01 10:00", "2026-07-15 24:30", "2026-07-15 10:75", "2026-00-10"])
      expect(asUtc(none)).toBe(none);
    expect(asUtc("2026-03-29 02:30")).toBe("2026-03-29 01:30"); // the hour that the clock skips: the one after it
    expect(timeAsUtc(" 2026-07-15 ")).toBe("2026-07-15");
    expect(timeAsUtc("2026-07-15 14:30")).toBe("2026-07-15 12:30");
    expect(timeAsUtc("")).toBe("");
  });
});
