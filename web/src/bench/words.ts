import type { Schemas } from "../shared/api";
import { decimalsOf, grouped, inUnits, unitOf } from "../shared/figures";
import type { UnitSystem } from "../shared/reader";
import { say } from "../shared/say";

export type Meter = Schemas["Meter"];
export type Turned = Schemas["Turned"];
export type Knob = Schemas["Knob"];
export type Moves = Schemas["Moves"];
export type RigName = Schemas["RigName"];
export type Experiment = Schemas["Experiment"];

/** How each meter is read on a real stand. */
export const HOW: Record<Meter, string> = {
  speed: say("bench-words-tachometer"),
  slip: say("bench-words-behind-field"),
  torque: say("bench-words-shaft"),
  watts: say("bench-words-wattmeter-line"),
  amps: say("bench-words-clamp-line"),
  "power-factor": say("bench-words-true"),
  flow: say("bench-words-rig-exact"),
  pressure: say("bench-words-across"),
  sensor: say("bench-words-damped"),
  "capacitor-volts": say("bench-words-across"),
  "start-amps": say("bench-words-clamp-lead"),
  winding: say("bench-words-slow-warm"),
  link: say("bench-words-mean"),
  ripple: say("bench-words-top-bottom"),
  "motor-volts": say("bench-words-fundamental"),
  "line-peak": say("bench-words-one-drive"),
  year: say("bench-words-worked-out"),
};

/** The meters that a rig sends all the time; the others are worked out when something was turned. */
export const LIVE: readonly Meter[] = [
  "speed",
  "amps",
  "watts",
  "flow",
  "pressure",
  "sensor",
  "winding",
  "torque",
  "slip",
  "power-factor",
  "capacitor-volts",
  "start-amps",
];

export const PART_WORDS: Record<Knob["part"], string> = {
  motor: say("bench-words-motor"),
  wheel: say("bench-words-wheel"),
  duct: say("bench-words-duct"),
  pipe: say("bench-words-pipe"),
  supply: say("bench-words-supply"),
  capacitor: say("bench-words-capacitor"),
  command: say("bench-words-command"),
  loop: say("bench-words-loop"),
  year: say("bench-words-year"),
};

const SIGNIFICANT = 4;

/** What a meter shows: at most four figures, and no finer than its quantity is read. */
export function meterText(quantity: string, value: number, units: UnitSystem): string {
  const [shown, decimals] = [inUnits(quantity, value, units), decimalsOf(quantity, units)];
  const whole = shown === 0 ? 1 : Math.floor(Math.log10(Math.abs(shown))) + 1;
  return grouped(shown, 10 ** -Math.min(decimals, Math.max(0, SIGNIFICANT - Math.max(whole, 0))));
}

/** What a knob stands at, as a person says it. */
export function knobText(knob: Knob, value: Turned[keyof Turned], units: UnitSystem): string {
  const choice = knob.choices.find((one) => one.value === value);
  if (choice) return choice.words;
  if (typeof value !== "number") return String(value);
  const unit = unitOf(knob.quantity, units);
  const text = meterText(knob.quantity, value * knob.factor, units);
  return [text, unit].filter(Boolean).join(" ");
}

/** What a knob stands at among the controls; one that stands where it cannot be turned to stands as built. */
export function valueOf(knob: Knob, controls: Turned): Turned[keyof Turned] {
  const value = controls[knob.key as keyof Turned];
  const canBe = knob.choices.length
    ? knob.choices.some((choice) => choice.value === value)
    : typeof value === "number" && value >= knob.low;
  return canBe ? value : (knob.built as Turned[keyof Turned]);
}

/** The knobs of a rig that stand for its command. */
export function knobsNow(knobs: readonly Knob[], controls: Turned): Knob[] {
  return knobs.filter((knob) => !knob.command || knob.command === controls.command);
}

/** The knobs that stand elsewhere in one set of controls than in another. */
export function turnedKnobs(knobs: readonly Knob[], before: Turned, after: Turned): Knob[] {
  return knobsNow(knobs, after).filter((knob) => valueOf(knob, before) !== valueOf(knob, after));
}
