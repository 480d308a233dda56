import type { Schemas } from "../../shared/api";

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
  /** The kind of machine whose group it is; both where nothing is said. */
  machine?: "fan" | "pump";
}

const one = (label: string, field: Field, change?: string): Row => ({
  label,
  fields: [{ field }],
  ...(change ? { change } : {}),
});

const ELECTRICAL: Row[] = [
  one("Supply", "voltage", "voltage"),
  one("Line amps", "current", "current"),
  one("Input power", "input_power", "input_power"),
  one("Speed", "speed", "speed"),
];

/** What is read first, in the order of the hands. */
export const FIRST: Record<"fan" | "pump", Row[]> = {
  fan: [
    ...ELECTRICAL,
    {
      label: "Static pressure",
      fields: [
        { field: "supply_static", micro: "supply" },
        { field: "return_static", micro: "return" },
      ],
      change: "pressure",
    },
    one("Airflow", "airflow", "flow"),
  ],
  pump: [
    ...ELECTRICAL,
    one("Pump differential", "pump_differential", "pressure"),
    one("Water flow", "water_flow", "flow"),
  ],
};

/** What else may be read, each group folded until it is wanted. */
export const GROUPS: Group[] = [
  {
    title: "State of duct and set",
    note: "before or after, duct, signal, hertz, when and who",
    rows: [
      one("Before or after?", "stage"),
      one("Duct", "duct"),
      one("Right then?", "known_good"),
      one("Command", "signal"),
      one("Hertz", "frequency"),
      one("Running for", "running"),
      one("When", "taken_at"),
      one("By whom", "taken_by"),
      one("Note", "note"),
    ],
  },
  {
    title: "Where and with what it was read",
    note: "point and meter decide which readings can be worked with",
    rows: [
      one("Point", "point"),
      one("Meter", "meter"),
      one("Power factor", "power_factor"),
      one("Fan speed", "fan_speed"),
    ],
  },
  {
    title: "Capacitor and auxiliary winding",
    note: "amps and volts while running; µF out of circuit",
    rows: [
      one("Auxiliary winding", "start_current"),
      one("Across capacitor", "run_capacitor_volts"),
      one("Capacitor, out", "capacitance"),
    ],
  },
  {
    title: "Three lines, ground and command",
    note: "line to line, each line’s amps, high leg, 24 V",
    rows: [
      one("Volts 1-2", "voltage_12"),
      one("Volts 2-3", "voltage_23"),
      one("Volts 3-1", "voltage_31"),
      one("Amps 1", "current_1"),
      one("Amps 2", "current_2"),
      one("Amps 3", "current_3"),
      one("Leg to ground", "highest_to_ground"),
      one("Command volts", "command_volts"),
    ],
  },
  {
    title: "Total external static, filter and coil",
    note: "and what lies between the taps",
    machine: "fan",
    rows: [
      one("Total external static", "total_static"),
      one("Between taps", "statics_hold"),
      one("Across filter", "filter_drop"),
      one("Across coil", "coil_drop"),
      one("Airflow by", "flow_by"),
    ],
  },
  {
    title: "Suction and discharge",
    note: "one gauge, one height",
    machine: "pump",
    rows: [one("Suction", "suction"), one("Discharge", "discharge")],
  },
  {
    title: "Temperatures and heat",
    note: "for flow by temperature rise; shell and air at the motor",
    rows: [
      one("Entering", "entering"),
      one("Leaving", "leaving"),
      one("Fuel burned", "fuel_heat"),
      one("Its efficiency", "fuel_efficiency"),
      one("Heater volts", "heater_volts"),
      one("Heater amps", "heater_amps"),
      one("Coil wet?", "coil_is_wet"),
      one("Sees heater?", "in_sight"),
      one("Motor shell", "shell"),
      one("Air at motor", "air"),
    ],
  },
];
