// Written by tools/generate.py from the core's models. Never edited.
export const fields = {
  "machine/name": {
    "label": "Machine",
    "help": ""
  },
  "machine/place": {
    "label": "Where it stands",
    "help": ""
  },
  "machine/wheel": {
    "label": "What does the motor drive?",
    "help": "The kind of wheel settles the shape of its curve.",
    "choices": [
      "forward-curved",
      "backward-inclined",
      "axial",
      "centrifugal pump"
    ]
  },
  "call/reason": {
    "label": "Why are we here?",
    "help": "The first thing the people in the building said.",
    "choices": [
      "dead",
      "noisy",
      "hot",
      "weak air or flow",
      "costly",
      "planned"
    ]
  },
  "call/protected": {
    "label": "Is this a protected duty?",
    "help": "If flow here is set by a code or a listing, no lower flow is proposed.",
    "choices": [
      "no",
      "grease or kitchen extract",
      "smoke control",
      "laboratory or hazardous area",
      "garage",
      "combustion air or venting",
      "least outdoor air",
      "refrigerant-leak ventilation",
      "least airflow of electric heat"
    ]
  },
  "call/who_was_asked": {
    "label": "Who was asked",
    "help": "Name or role of whoever answered for the protected duty."
  },
  "call/minimum_airflow": {
    "label": "Documented least airflow",
    "help": "From the approval, the listing or the design; empty if none is recorded.",
    "quantity": "airflow",
    "basis": "typed"
  },
  "call/minimum_water_flow": {
    "label": "Documented least water flow",
    "help": "From the appliance's data; empty if none is recorded.",
    "quantity": "water_flow",
    "basis": "typed"
  },
  "call/notes": {
    "label": "What the people here say",
    "help": ""
  },
  "plate/rated_power": {
    "label": "Rated power",
    "help": "Shaft power: 3/4 hp, 0.55 kW, 560 W.",
    "quantity": "rated_power",
    "basis": "plate"
  },
  "plate/rated_voltage": {
    "label": "Rated volts",
    "help": "A range such as 208-230 V is kept whole.",
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "plate/rated_current": {
    "label": "Full-load amps",
    "help": "At rated volts and rated power.",
    "quantity": "rated_current",
    "basis": "plate"
  },
  "plate/rated_speed": {
    "label": "Rated speed",
    "help": "Full-load speed, on the high tap.",
    "quantity": "rated_speed",
    "basis": "plate"
  },
  "plate/frequency": {
    "label": "Frequency",
    "help": "50 or 60 Hz.",
    "quantity": "frequency",
    "basis": "plate"
  },
  "plate/phases": {
    "label": "Phases",
    "help": "",
    "choices": [
      1,
      3
    ]
  },
  "plate/motor_kind": {
    "label": "Kind of motor",
    "help": "Only where capacitor and phases do not tell it: a start switch, shading rings.",
    "choices": [
      "split-capacitor",
      "single-phase",
      "shaded-pole",
      "three-phase"
    ]
  },
  "plate/run_capacitance": {
    "label": "Run capacitor",
    "help": "Microfarads on the capacitor's own label.",
    "quantity": "capacitance",
    "basis": "plate"
  },
  "readings/*/name": {
    "label": "What was this set?",
    "help": "For example: as found, new filter."
  },
  "readings/*/tap": {
    "label": "Speed tap",
    "help": "Which tap or setting was energised.",
    "choices": [
      "one speed",
      "high tap",
      "medium tap",
      "low tap",
      "on a regulator"
    ]
  },
  "readings/*/voltage": {
    "label": "Supply",
    "help": "Volts at the motor, running.",
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/current": {
    "label": "Line amps",
    "help": "Clamp on one line conductor alone.",
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/input_power": {
    "label": "Input power",
    "help": "Only from a true wattmeter; volts × amps is not watts.",
    "quantity": "input_power",
    "basis": "measured"
  },
  "readings/*/speed": {
    "label": "Speed",
    "help": "Tachometer at the shaft or wheel.",
    "quantity": "speed",
    "basis": "measured"
  },
  "readings/*/supply_static": {
    "label": "Static, supply",
    "help": "After the fan, against the room; 0 if it blows free.",
    "quantity": "supply_static_pressure",
    "basis": "measured"
  },
  "readings/*/return_static": {
    "label": "Static, return",
    "help": "Before the fan: below the room, so with a minus.",
    "quantity": "return_static_pressure",
    "basis": "measured"
  },
  "readings/*/pump_differential": {
    "label": "Pump differential",
    "help": "Discharge less suction, gauges at one height.",
    "quantity": "pump_differential",
    "basis": "measured"
  },
  "readings/*/airflow": {
    "label": "Airflow",
    "help": "Only if it was measured: traverse, hood or flow station.",
    "quantity": "airflow",
    "basis": "measured"
  },
  "readings/*/water_flow": {
    "label": "Water flow",
    "help": "Only if it was measured.",
    "quantity": "water_flow",
    "basis": "measured"
  },
  "duty/steps/*/name": {
    "label": "Step",
    "help": "What the machine does in these hours."
  },
  "duty/steps/*/hours": {
    "label": "Hours a year",
    "help": "All steps together at most 8,784.",
    "quantity": "hours",
    "basis": "estimated"
  },
  "duty/steps/*/flow_share": {
    "label": "Share of full flow",
    "help": "Full flow is the flow as found on the highest setting.",
    "quantity": "flow_share",
    "basis": "estimated"
  },
  "duty/part_flow": {
    "label": "How does it meet a part step today?",
    "help": "Decides what the machine of today takes there.",
    "choices": [
      "it runs full all the same",
      "by a lower tap or regulator step",
      "by a damper or valve"
    ]
  },
  "duty/held_pressure": {
    "label": "Duct pressure that is held",
    "help": "By a controller, whatever the flow; 0 for an ordinary duct.",
    "quantity": "held_pressure",
    "basis": "estimated"
  },
  "duty/static_lift": {
    "label": "Static lift",
    "help": "Height the water is lifted; 0 in a closed circuit.",
    "quantity": "static_lift",
    "basis": "estimated"
  },
  "duty/energy_price": {
    "label": "Energy price",
    "help": "Per kWh, taxes as the customer pays them.",
    "quantity": "energy_price",
    "basis": "typed"
  },
  "duty/starts": {
    "label": "Starts a year",
    "help": "Cycles of a thermostat or switch; counted once their seconds are said.",
    "quantity": "starts",
    "basis": "estimated"
  },
  "duty/run_up": {
    "label": "Seconds to full speed",
    "help": "From rest, of the motor of today.",
    "quantity": "run_up",
    "basis": "estimated"
  },
  "duty/emission_rate": {
    "label": "Emissions of the supply",
    "help": "CO₂ equivalent of a kilowatt-hour, as the supplier states it.",
    "quantity": "emission_rate",
    "basis": "typed"
  },
  "duty/motor_place": {
    "label": "Where does the motor stand?",
    "help": "In the stream all its watts warm what it moves; outside it, those at the shaft.",
    "choices": [
      "in the air or water it moves",
      "outside it"
    ]
  },
  "duty/heated_share": {
    "label": "Hours in which it is heated",
    "help": "Share of the hours it runs.",
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "duty/heat_price": {
    "label": "Price of heat",
    "help": "Per kWh of useful heat.",
    "quantity": "energy_price",
    "basis": "typed"
  },
  "duty/cooled_share": {
    "label": "Hours in which it is cooled",
    "help": "Share of the hours it runs.",
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "duty/cooling_performance": {
    "label": "Cold per electricity",
    "help": "COP of the cooling; 3 is taken where nothing is said.",
    "quantity": "cooling_performance",
    "basis": "estimated"
  },
  "duty/currency": {
    "label": "Currency",
    "help": "Three letters, for example USD or EUR."
  },
  "options/same_kind_cost": {
    "label": "Same kind, fitted",
    "help": "Motor, capacitor, labour; in the job's currency.",
    "quantity": "cost",
    "basis": "estimated"
  },
  "options/electronic_cost": {
    "label": "Electronic, fitted",
    "help": "Motor, controls, labour; in the job's currency.",
    "quantity": "cost",
    "basis": "estimated"
  },
  "options/drive_cost": {
    "label": "On a drive, fitted",
    "help": "Drive, motor where it is new, labour; in the job's currency.",
    "quantity": "cost",
    "basis": "estimated"
  }
} as const;

export type FieldName = keyof typeof fields;
