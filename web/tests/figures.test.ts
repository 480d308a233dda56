import { afterEach, describe, expect, it, test } from "vitest";

import { inMySigns } from "../src/shared/language";
import type { Entry, Figure } from "../src/shared/api";
import { inUnits, span, unitOf, write, writeUncertainty, writeEntry } from "../src/shared/figures";

function figure(quantity: string, value: number, more: Partial<Figure> = {}): Figure {
  return { quantity, value, basis: "worked-out", ...more };
}

function entry(typed: string, si: number, unit: string, low: number | null = null): Entry {
  return { typed, si, unit, low, resolution: 0 };
}

describe("units of a reader", () => {
  // NIST Special Publication 811, appendix B: 1 ft³ = 0.02831685 m³, 1 inH2O (conventional) = 249.0889 Pa, 1 hp = 745.6999 W.
  it.each([
    ["airflow", 0.02831685 / 60, "ip", 1, "cfm"],
    ["pressure", 249.0889, "ip", 1, "in. w.g."],
    ["shaft_power", 745.6999, "ip", 1, "hp"],
    ["temperature", 100, "ip", 212, "°F"],
    ["temperature", -40, "ip", -40, "°F"],
    ["temperature_difference", 10, "ip", 18, "°F"],
    ["airflow", 0.51, "si", 510, "L/s"],
    ["speed", 1710, "ip", 1710, "rpm"],
  ] as const)("%s of %d in %s", (quantity, value, units, shown, unit) => {
    expect(inUnits(quantity, value, units)).toBeCloseTo(shown, 4);
    expect(unitOf(quantity, units)).toBe(unit);
  });

  it("shows money in the currency of the site, and nothing where none is known", () => {
    expect(unitOf("money", "si", "EUR")).toBe("EUR");
    expect(unitOf("money", "si", null)).toBe("");
    expect(unitOf("energy_price", "si", "EUR")).toBe("EUR per kWh");
    expect(unitOf("energy_price", "ip")).toBe("per kWh");
  });

  it("gives a difference of temperatures its own unit: kelvin is not a place on a scale", () => {
    expect(unitOf("temperature_difference", "si")).toBe("K");
    expect(inUnits("temperature_difference", 0, "ip")).toBeCloseTo(0, 9);
  });
});

describe("a figure is never finer than its band", () => {
  it.each([
    // value, uncertainty, shown value, shown uncertainty: two significant figures of the uncertainty
    [1437.3, 92.7, "1,437", "93"],
    [1437.3, 927, "1,440", "930"],
    [1437.3, 9271, "1,400", "9,300"],
    [1437.3, 9.27, "1,437.3", "9.3"],
    [1437.3, 0.02, "1,437.3", "0.1"],
    [-1437.3, 92.7, "−1,437", "93"],
    [0.2, 10, "0", "10"],
  ])("%d W ± %d W", (value, uncertainty, text, spread) => {
    expect(write(figure("input_power", value, { uncertainty }), "si")).toMatchObject({
      value: text,
      uncertainty: spread,
    });
  });

  it("rounds value and uncertainty to the same place", () => {
    for (const uncertainty of [0.4, 1.7, 8, 23, 140, 950, 2600]) {
      const written = write(figure("airflow", 1.4373, { uncertainty: uncertainty / 1000 }), "si");
      const places = (text: string | null) => (text ?? "").split(".")[1]?.length ?? 0;
      expect(places(written.value)).toBe(places(written.uncertainty));
    }
  });

  it("turns an uncertainty by the scale of the unit alone, never by its offset", () => {
    const written = write(figure("temperature", 20, { uncertainty: 5 }), "ip");
    expect(written).toMatchObject({ value: "68", uncertainty: "9", unit: "°F" });
  });

  it("writes a value without an uncertainty by the decimals of its quantity", () => {
    expect(write(figure("airflow", 0.5104), "si").value).toBe("510");
    expect(write(figure("pressure", 249.0889), "ip").value).toBe("1.000");
    expect(write(figure("airflow", 0.5104), "si").uncertainty).toBeNull();
  });

  it("keeps two figures of a small flow", () => {
    const one = { quantity: "airflow", value: 0.00047194744, uncertainty: 0.00005, basis: "worked-out" } as const;
    expect(write(one, "si")).toMatchObject({ value: "0.47", uncertainty: "0.05" });
    expect(write(one, "ip").value).toBe("1.0");
  });

  it("never shows a minus before nothing", () => {
    expect(write(figure("airflow", -0.0000001), "si").value).toBe("0");
    expect(write(figure("money", -0.3), "si").value).toBe("0");
  });

  it("uses a true minus sign, which a screen reader says and a hyphen does not", () => {
    expect(write(figure("money", -1250), "si").value).toBe("−1,250");
  });
});

describe("a range", () => {
  it("stands in place of value and band", () => {
    const written = write(figure("payback", 4, { low: 2.5, high: 7.25 }), "si");
    expect(written.range).toBe("2.5 to 7.3");
    expect(written.uncertainty).toBeNull();
  });

  it("says that an end without a value may never come", () => {
    expect(write(figure("payback", 4, { low: 2.5 }), "si").range).toBe("over 2.5, perhaps never");
  });

  it("says what it is at most, where it has no lower end", () => {
    expect(write(figure("payback", 4, { high: 7.2 }), "si").range).toBe("up to 7.2");
  });

  it("is no finer than its own width", () => {
    expect(write(figure("money", 1234, { low: 503, high: 2611 }), "si").range).toBe("500 to 2,600");
  });
});

describe("half an uncertainty beside a reading", () => {
  it.each([
    ["current", 0.0638, "si", "± 0.06"],
    ["airflow", 0.0357, "si", "± 36"],
    ["airflow", 0.0357, "ip", "± 76"],
    ["temperature", 0.5, "ip", "± 1"],
  ] as const)("%s %d in %s", (quantity, half, units, text) => {
    expect(writeUncertainty(quantity, half, units)).toBe(text);
  });
});

describe("a typed entry", () => {
  it("stays as it was typed for whoever reads in its unit", () => {
    expect(writeEntry("input_power", entry("305.80 W", 305.8, "W"), "si")).toEqual({ text: "305.80", typed: null });
    expect(writeEntry("airflow", entry("1,450 cfm", 0.684, "cfm"), "ip")).toEqual({ text: "1,450", typed: null });
    for (const [typed, text] of [
      ["208-230 V", "208-230"],
      ["208 to 230 V", "208 to 230"],
      ["208 a 230 V", "208 a 230"],
      ["230 v", "230"],
    ] as const)
      expect(writeEntry("rated_voltage", entry(typed, 230, "V", 208), "ip").text).toBe(text);
    expect(writeEntry("life", entry("10 años", 10, "years"), "si").text).toBe("10");
  });

  it("is turned for whoever reads in another, and says what was typed", () => {
    const seen = writeEntry("airflow", entry("1,450 cfm", 1450 * 0.00047194745, "cfm"), "si");
    expect(seen).toEqual({ text: "684", typed: "1,450 cfm" });
  });

  it("names the unit of a bare number that another reader typed", () => {
    expect(writeEntry("airflow", entry("1450", 1450 * 0.00047194745, "cfm"), "si").typed).toBe("1450 cfm");
  });

  it("keeps both ends of a range", () => {
    const seen = writeEntry("airflow", entry("1000-1200 cfm", 0.5663, "cfm", 0.4719), "si");
    expect(seen.text).toBe("472 to 566");
  });

  it("keeps the spelling of a fraction", () => {
    expect(writeEntry("rated_power", entry("1/2 hp", 372.85, "hp"), "ip").text).toBe("1/2");
  });

  it("stands as a figure with no uncertainty of its own", () => {
    const written = write(figure("input_power", 305.8, { entry: entry("305.80 W", 305.8, "W"), uncertainty: 6 }), "si");
    expect(written).toEqual({ value: "305.80", uncertainty: null, range: null, unit: "W" });
  });
});

describe("how long ago", () => {
  it.each([
    [0.4, "0 s"],
    [89, "89 s"],
    [95, "2 min"],
    [89 * 60, "89 min"],
    [2 * 3600, "2 h"],
    [24 * 3600, "24 h"],
    [40 * 3600, "2 days"],
    [9 * 86400, "9 days"],
  ])("%d s is said as %s", (seconds, said) => {
    expect(span(seconds)).toBe(said);
  });
});

describe("signs of numbers", () => {
  afterEach(() => localStorage.clear());

  test("what was worked out is written with the reader's signs, and so are decimals that were typed", () => {
    localStorage.setItem("modest-rotor signs", "comma");
    expect(write({ quantity: "airflow", value: 0.8448, uncertainty: 0.06, basis: "measured" }, "ip").value).toBe(
      "1.790",
    );
    const entry = { typed: "4.4 A", unit: "A", si: 4.4, resolution: 0.1 };
    expect(write({ quantity: "current", value: 4.4, basis: "measured", entry }, "si").value).toBe("4,4");
  });

  test("a mark that may stand between thousands stays as it was typed", () => {
    localStorage.setItem("modest-rotor signs", "comma");
    expect(["1.450 rpm", "0.375 in", "12.5 W", "1450.125", "208-230 V", "0,37 kW"].map(inMySigns)).toEqual([
      "1.450 rpm",
      "0,375 in",
      "12,5 W",
      "1450,125",
      "208-230 V",
      "0,37 kW",
    ]);
    localStorage.setItem("modest-rotor signs", "point");
    expect(["0,37 kW", "1,450 rpm", "4.4 A"].map(inMySigns)).toEqual(["0.37 kW", "1,450 rpm", "4.4 A"]);
  });
});
