import type { Schemas } from "../src/shared/api";
import type { Frame } from "../src/bench/desk";
import type { Experiment, Knob, Turned } from "../src/bench/words";

export const BUILT: Turned = {
  volts: 1,
  hertz: 0,
  unbalance: 0,
  law: "linear",
  carrier_hz: 4000,
  tap: "high",
  bare: false,
  open: 1,
  filter: 1,
  outlets: 6,
  lift: 0,
  air_c: 20,
  fans: 0,
  capacitor: 1,
  label: 1,
  drag: 0,
  command: "speed",
  value: 1,
  loop: false,
  set_point: 0.6,
  gain: 1,
  integral_s: 4,
  sensor_at: "along",
  sensor_s: 0.8,
  hours: 0,
  low_hours: 0,
  low: 0.5,
};

function knob(key: string, more: Partial<Knob> = {}): Knob {
  const base = {
    label: key,
    part: "duct",
    quantity: "ratio",
    factor: 1,
    low: 0,
    high: 1,
    step: 0.05,
    built: 1,
  } as const;
  return { key, ...base, choices: [], words: "", ...more };
}

export const KNOBS: Knob[] = [
  knob("open", { label: "Damper", quantity: "flow_share", low: 0.05, words: "open" }),
  knob("volts", {
    label: "Supply volts",
    part: "supply",
    quantity: "rated_voltage",
    factor: 230,
    high: 1.2,
    step: 0.01,
  }),
  knob("hertz", {
    label: "Supply hertz",
    part: "supply",
    quantity: "frequency",
    low: 40,
    high: 65,
    step: 1,
    built: 60,
  }),
  knob("tap", {
    label: "Tap",
    part: "motor",
    built: "high",
    choices: [
      { value: "low", words: "low" },
      { value: "high", words: "high" },
    ],
  }),
  knob("value", { label: "Torque dial", part: "command", command: "torque" }),
  knob("value", { label: "Signal", part: "command", quantity: "command_voltage", factor: 10, command: "speed" }),
];

export const RIG: Schemas["RigView"] = {
  name: "capacitor blower",
  notes: [],
  knobs: KNOBS,
  meters: [
    { meter: "speed", quantity: "speed" },
    { meter: "watts", quantity: "input_power" },
    { meter: "flow", quantity: "airflow" },
  ],
  machine_type: "forward-curved",
  fans: 1,
  drive: false,
  electronic: false,
  capacitor: true,
  volts: 230,
  hertz: 60,
  lift: 0,
};

export const EXPERIMENT: Experiment = {
  format: "modest-rotor experiment",
  version: 1,
  number: 4,
  code: "block-forward-curved",
  title: "Block a forward-curved blower",
  topic: "restriction",
  stand: "capacitor blower",
  before: BUILT,
  after: { ...BUILT, open: 0.5 },
  meters: ["speed", "watts"],
  picture: "balance",
  ask: "A sheet of cardboard goes over the outlet.",
  point: "Less air is less torque for this wheel.",
};

export function frame(number: number, values: Record<string, number> = { speed: 1090, watts: 547 }): Frame {
  return { kind: "frame", at_s: 1, on: true, pace: 1, number, hertz: 60, values };
}

/** The rig's end of the wire: what was told, and a hand to send. */
export class PlayedSocket {
  readyState = 0;
  onopen: (() => void) | null = null;
  onmessage: ((event: { data: string }) => void) | null = null;
  onclose: (() => void) | null = null;
  readonly told: Record<string, unknown>[] = [];

  open() {
    this.readyState = 1;
    this.onopen?.();
  }

  send(text: string) {
    this.told.push(JSON.parse(text) as Record<string, unknown>);
  }

  sends(message: object) {
    this.onmessage?.({ data: JSON.stringify(message) });
  }

  /** Put up what was asked for. */
  stands(controls: Turned = BUILT) {
    this.sends({ kind: "standing", rig: RIG, controls });
  }

  refuses(sentence: string) {
    this.sends({ kind: "refused", sentence });
  }

  close() {
    this.readyState = 3;
    this.onclose?.();
  }

  last() {
    return this.told.at(-1);
  }
}
