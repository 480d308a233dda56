import type { Schemas } from "../../shared/api";
import { say } from "../../shared/say";

export type Set = Schemas["ReadingSet"];
export type Field = keyof Set & string;

export interface Row {
  label: string;
  fields: { field: Field; micro?: string }[];
  /** The change of this row from one set to the next, by the name the core gives it. */
  change?: string;
}

export interface Group {
  title: string;
  note: string;
  rows: Row[];
  /** Whether it stays folded until it is asked for, whatever stands in it. */
  folded?: boolean;
  /** The kind of machine whose group it is; both where nothing is said. */
  machine?: "fan" | "pump";
}

const one = (label: string, field: Field, change?: string): Row => ({
  label,
  fields: [{ field }],
  ...(change ? { change } : {}),
});

const ELECTRICAL: Row[] = [
  one(say("rows-supply-volts"), "voltage", "voltage"),
  one(say("rows-line-amps"), "current", "current"),
  one(say("rows-input-power"), "input_power", "input_power"),
  one(say("rows-speed"), "speed", "speed"),
];

/** What is read first, in the order of the hands. */
export const FIRST: Record<"fan" | "pump", Row[]> = {
  fan: [
    ...ELECTRICAL,
    {
      label: say("rows-static-pressure"),
      fields: [
        { field: "supply_static", micro: say("rows-supply") },
        { field: "return_static", micro: say("rows-return") },
      ],
      change: "pressure",
    },
    one("Airflow", "airflow", "flow"),
  ],
  pump: [
    ...ELECTRICAL,
    one(say("rows-pump-differential"), "pump_differential", "pressure"),
    one(say("rows-water-flow"), "water_flow", "flow"),
  ],
};

/** What else may be read, each group folded until it is wanted. */
export const GROUPS: Group[] = [
  {
    title: say("rows-state-duct"),
    folded: true,
    note: say("rows-before-after"),
    rows: [
      one(say("rows-before-after-2"), "stage"),
      one("Duct", "duct"),
      one(say("rows-right-then"), "known_good"),
      one("Command", "signal"),
      one("Hertz", "frequency"),
      one(say("rows-running"), "running"),
      one("When", "taken_at"),
      one(say("rows-whom"), "taken_by"),
      one("Note", "note"),
    ],
  },
  {
    title: say("rows-where-what"),
    note: say("rows-point-meter"),
    rows: [
      one("Point", "point"),
      one("Meter", "meter"),
      one(say("rows-power-factor"), "power_factor"),
      one(say("rows-fan-speed"), "fan_speed"),
    ],
  },
  {
    title: say("rows-capacitor-auxiliary"),
    note: say("rows-amps-volts"),
    rows: [
      one(say("rows-auxiliary-winding"), "start_current"),
      one(say("rows-across-capacitor"), "run_capacitor_volts"),
      one(say("rows-capacitor-out"), "capacitance"),
    ],
  },
  {
    title: say("rows-three-lines"),
    note: say("rows-line-line"),
    rows: [
      one(say("rows-volts"), "voltage_12"),
      one(say("rows-volts-2"), "voltage_23"),
      one(say("rows-volts-3"), "voltage_31"),
      one(say("rows-amps"), "current_1"),
      one(say("rows-amps-2"), "current_2"),
      one(say("rows-amps-3"), "current_3"),
      one(say("rows-leg-ground"), "highest_to_ground"),
      one(say("rows-command-volts"), "command_volts"),
    ],
  },
  {
    title: say("rows-total-external"),
    note: say("rows-what-lies"),
    machine: "fan",
    rows: [
      one(say("rows-total-external-static"), "total_static"),
      one(say("rows-between-taps"), "statics_hold"),
      one(say("rows-across-filter"), "filter_drop"),
      one(say("rows-across-coil"), "coil_drop"),
      one(say("rows-airflow"), "flow_by"),
    ],
  },
  {
    title: say("rows-suction-discharge"),
    note: say("rows-one-gauge"),
    machine: "pump",
    rows: [one("Suction", "suction"), one("Discharge", "discharge")],
  },
  {
    title: say("rows-temperatures-heat"),
    note: say("rows-flow-temperature"),
    rows: [
      one("Entering", "entering"),
      one("Leaving", "leaving"),
      one(say("rows-fuel-burned"), "fuel_heat"),
      one(say("rows-efficiency"), "fuel_efficiency"),
      one(say("rows-heater-volts"), "heater_volts"),
      one(say("rows-heater-amps"), "heater_amps"),
      one(say("rows-coil-wet"), "coil_is_wet"),
      one(say("rows-sees-heater"), "in_sight"),
      one(say("rows-motor-shell"), "shell"),
      one(say("rows-air-motor"), "air"),
    ],
  },
];
