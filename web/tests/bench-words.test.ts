import { describe, expect, it } from "vitest";

import { knobsNow, knobText, meterText, turnedKnobs, valueOf } from "../src/bench/words";
import { BUILT, KNOBS } from "./bench";

const named = (label: string) => {
  const found = KNOBS.find((one) => one.label === label);
  if (!found) throw new Error(label);
  return found;
};

describe("a meter's figure", () => {
  it.each([
    ["speed", 1090.46, "si", "1,090"],
    ["input_power", 1583.7, "si", "1,584"],
    ["input_power", 547.52, "si", "547.5"],
    ["input_power", 49.67, "si", "49.7"],
    ["current", 3.0784, "si", "3.08"],
    ["current", 16.08, "si", "16.08"],
    ["slip", 0.0913, "si", "9.1"],
    ["airflow", 0.6188, "ip", "1,311"],
    ["water_flow", 0, "si", "0.00"],
    ["shell_temperature", 100, "ip", "212"],
  ] as const)("%s of %d in %s reads %s: four figures at the most", (quantity, value, units, text) => {
    expect(meterText(quantity, value, units)).toBe(text);
  });
});

describe("a knob", () => {
  it("is read in the unit of what it turns", () => {
    expect(knobText(named("Supply volts"), 0.9, "si")).toBe("207 V");
    expect(knobText(named("Damper"), 0.5, "si")).toBe("50 %");
    expect(knobText(named("Tap"), "low", "si")).toBe("low");
    expect(knobText(named("Signal"), 0.475, "si")).toBe("4.8 V");
  });

  it("of nought hertz stands at those as built", () => {
    expect(valueOf(named("Supply hertz"), BUILT)).toBe(60);
    expect(valueOf(named("Supply hertz"), { ...BUILT, hertz: 50 })).toBe(50);
  });

  it("of a command stands only while that is what it holds", () => {
    const labels = (command: "torque" | "speed") => knobsNow(KNOBS, { ...BUILT, command }).map((one) => one.label);
    expect(labels("speed")).toContain("Signal");
    expect(labels("torque")).not.toContain("Signal");
  });

  it("counts as turned where it stands elsewhere", () => {
    const after = { ...BUILT, open: 0.5, hertz: 60 };
    expect(turnedKnobs(KNOBS, BUILT, after).map((one) => one.label)).toEqual(["Damper"]);
  });
});
