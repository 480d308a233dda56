// Written by tools/generate.py from the core's models. Never edited.
export const fields = {
  "machine/name": {
    "label": "Machine"
  },
  "machine/place": {
    "label": "Where it stands"
  },
  "machine/type": {
    "label": "What does the motor drive?",
    "help": true,
    "choices": [
      "forward-curved",
      "backward-inclined",
      "axial",
      "pump"
    ],
    "labels": [
      "forward-curved",
      "backward-inclined",
      "axial",
      "centrifugal pump"
    ]
  },
  "call/reason": {
    "label": "Why are we here?",
    "help": true,
    "choices": [
      "dead",
      "noisy",
      "hot",
      "weak",
      "costly",
      "planned"
    ],
    "labels": [
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
    "help": true,
    "term": "protected-duty",
    "choices": [
      "no",
      "grease",
      "smoke",
      "hazard",
      "garage",
      "combustion",
      "outdoor",
      "refrigerant",
      "electric-heat"
    ],
    "labels": [
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
    "help": true,
    "term": "protected-duty"
  },
  "call/minimum_airflow": {
    "label": "Documented least airflow",
    "help": true,
    "quantity": "airflow",
    "basis": "typed",
    "term": "least-flow"
  },
  "call/minimum_water_flow": {
    "label": "Documented least water flow",
    "help": true,
    "quantity": "water_flow",
    "basis": "typed",
    "term": "least-flow"
  },
  "call/complaints": {
    "label": "What do the people here notice?",
    "help": true,
    "choices": [
      "weak-air",
      "noise",
      "smell",
      "trips",
      "bills",
      "too-hot",
      "too-cold",
      "leaks"
    ],
    "labels": [
      "weak air or flow",
      "noise",
      "smell",
      "trips",
      "bills",
      "too hot",
      "too cold",
      "water or frost"
    ]
  },
  "call/notes": {
    "label": "In their words"
  },
  "call/serves": {
    "label": "What the machine serves",
    "help": true
  },
  "call/called_by": {
    "label": "Which call runs it?",
    "help": true,
    "choices": [
      "heat",
      "cool",
      "circulate",
      "dehumidify",
      "schedule",
      "level",
      "pressure"
    ],
    "labels": [
      "heat",
      "cool",
      "circulate",
      "dehumidify",
      "schedule",
      "level",
      "pressure"
    ]
  },
  "call/not_interrupted": {
    "label": "What may not be interrupted",
    "help": true
  },
  "call/serial": {
    "label": "Serial",
    "help": true
  },
  "call/date_code": {
    "label": "Date code",
    "help": true
  },
  "call/part_number": {
    "label": "Part number",
    "help": true
  },
  "nameplate/line": {
    "label": "The plate in one line",
    "help": true
  },
  "nameplate/rated_power": {
    "label": "Rated power",
    "help": true,
    "quantity": "rated_power",
    "basis": "plate",
    "term": "rated-power"
  },
  "nameplate/rated_voltage": {
    "label": "Rated volts",
    "help": true,
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "nameplate/rated_current": {
    "label": "Full-load amps",
    "help": true,
    "quantity": "rated_current",
    "basis": "plate",
    "term": "full-load-amps"
  },
  "nameplate/second_voltage": {
    "label": "Volts, other connection",
    "help": true,
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "nameplate/second_current": {
    "label": "Amps, other connection",
    "help": true,
    "quantity": "rated_current",
    "basis": "plate"
  },
  "nameplate/wired_for": {
    "label": "Wired for",
    "help": true,
    "term": "wired-for",
    "choices": [
      "first",
      "other"
    ],
    "labels": [
      "first volts",
      "other volts"
    ]
  },
  "nameplate/rated_speed": {
    "label": "Rated speed",
    "help": true,
    "quantity": "rated_speed",
    "basis": "plate",
    "term": "rated-speed"
  },
  "nameplate/speeds": {
    "label": "Speeds",
    "help": true,
    "choices": [
      "one",
      "two-windings",
      "one-winding"
    ],
    "labels": [
      "one speed",
      "two speeds, two windings",
      "two speeds, one winding"
    ]
  },
  "nameplate/low_speed": {
    "label": "Rated speed, low",
    "help": true,
    "quantity": "rated_speed",
    "basis": "plate"
  },
  "nameplate/low_power": {
    "label": "Rated power, low",
    "help": true,
    "quantity": "rated_power",
    "basis": "plate"
  },
  "nameplate/low_current": {
    "label": "Full-load amps, low",
    "help": true,
    "quantity": "rated_current",
    "basis": "plate"
  },
  "nameplate/build": {
    "label": "Shaft and rotor",
    "choices": [
      "one-end",
      "both-ends",
      "outer-rotor"
    ],
    "labels": [
      "shaft at one end",
      "shaft at both ends",
      "outer rotor, wheel on it"
    ]
  },
  "nameplate/frequency": {
    "label": "Frequency",
    "help": true,
    "quantity": "frequency",
    "basis": "plate"
  },
  "nameplate/phases": {
    "label": "Phases",
    "choices": [
      1,
      3
    ]
  },
  "nameplate/motor_kind": {
    "label": "Kind of motor",
    "help": true,
    "term": "capacitor-motor",
    "choices": [
      "split-capacitor",
      "single-phase",
      "shaded-pole",
      "three-phase",
      "electronic"
    ],
    "labels": [
      "split-capacitor",
      "single-phase",
      "shaded-pole",
      "three-phase",
      "electronic"
    ]
  },
  "nameplate/holds": {
    "label": "What does an electronic one hold?",
    "help": true,
    "term": "electronic-motor",
    "choices": [
      "torque",
      "airflow",
      "speed"
    ],
    "labels": [
      "torque",
      "airflow",
      "speed"
    ]
  },
  "nameplate/run_capacitance": {
    "label": "Run capacitor",
    "help": true,
    "quantity": "capacitance",
    "basis": "plate",
    "term": "run-capacitor"
  },
  "nameplate/capacitor_voltage": {
    "label": "Run capacitor volts",
    "help": true,
    "quantity": "capacitor_voltage",
    "basis": "plate",
    "term": "run-capacitor"
  },
  "nameplate/capacitor_tolerance": {
    "label": "Run capacitor ±",
    "help": true,
    "quantity": "tolerance",
    "basis": "plate"
  },
  "nameplate/shared_capacitor": {
    "label": "Shared with a compressor?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "nameplate/start_capacitance": {
    "label": "Start capacitor",
    "help": true,
    "quantity": "capacitance",
    "basis": "plate"
  },
  "nameplate/service_factor": {
    "label": "Service factor",
    "help": true,
    "quantity": "service_factor",
    "basis": "plate",
    "term": "service-factor"
  },
  "nameplate/service_factor_current": {
    "label": "Service-factor amps",
    "help": true,
    "quantity": "rated_current",
    "basis": "plate",
    "term": "service-factor"
  },
  "nameplate/code_letter": {
    "label": "Code letter",
    "help": true,
    "term": "code-letter"
  },
  "nameplate/power_is": {
    "label": "The printed power is",
    "help": true,
    "term": "rated-power",
    "choices": [
      "shaft",
      "line"
    ],
    "labels": [
      "at the shaft",
      "from the line"
    ]
  },
  "nameplate/nominal_efficiency": {
    "label": "Nominal efficiency",
    "help": true,
    "quantity": "efficiency",
    "basis": "plate",
    "term": "nominal-efficiency"
  },
  "nameplate/efficiency_class": {
    "label": "Efficiency class",
    "help": true,
    "term": "efficiency-class",
    "choices": [
      "IE1",
      "IE2",
      "IE3",
      "IE4"
    ]
  },
  "nameplate/power_factor": {
    "label": "Power factor",
    "help": true,
    "quantity": "read_power_factor",
    "basis": "plate",
    "term": "power-factor"
  },
  "nameplate/frame": {
    "label": "Frame",
    "help": true,
    "term": "frame"
  },
  "nameplate/enclosure": {
    "label": "Enclosure",
    "help": true,
    "term": "ip-code"
  },
  "nameplate/insulation": {
    "label": "Insulation class",
    "term": "insulation-class",
    "choices": [
      "A",
      "B",
      "F",
      "H"
    ],
    "labels": [
      "A",
      "B",
      "F",
      "H"
    ]
  },
  "nameplate/ambient": {
    "label": "Rated ambient",
    "help": true,
    "quantity": "temperature",
    "basis": "plate"
  },
  "nameplate/duty": {
    "label": "Rated duty",
    "help": true
  },
  "nameplate/protection": {
    "label": "Thermal protection",
    "choices": [
      "automatic",
      "manual",
      "thermal",
      "impedance",
      "none"
    ],
    "labels": [
      "automatic reset",
      "manual reset",
      "thermally protected",
      "impedance protected",
      "none"
    ]
  },
  "nameplate/rotation": {
    "label": "Rotation",
    "choices": [
      "clockwise",
      "counter-clockwise",
      "reversible"
    ],
    "labels": [
      "clockwise",
      "counter-clockwise",
      "reversible"
    ]
  },
  "nameplate/rotation_seen_from": {
    "label": "Rotation seen from",
    "help": true,
    "choices": [
      "shaft-end",
      "lead-end"
    ],
    "labels": [
      "shaft end",
      "lead end"
    ]
  },
  "nameplate/overload_setting": {
    "label": "Overload set at",
    "help": true,
    "quantity": "rated_current",
    "basis": "measured",
    "term": "overload"
  },
  "identification/speed": {
    "label": "Speed measured",
    "help": true,
    "quantity": "speed",
    "basis": "measured"
  },
  "identification/frequency": {
    "label": "Hertz of the supply",
    "help": true,
    "quantity": "frequency",
    "basis": "measured"
  },
  "identification/loading": {
    "label": "How was it loaded?",
    "help": true,
    "choices": [
      "lightly",
      "loaded"
    ],
    "labels": [
      "lightly loaded",
      "loaded"
    ]
  },
  "identification/first_terminal": {
    "label": "First terminal",
    "help": true
  },
  "identification/second_terminal": {
    "label": "Second terminal",
    "help": true
  },
  "identification/third_terminal": {
    "label": "Third terminal",
    "help": true
  },
  "identification/first_second": {
    "label": "First to second",
    "help": true,
    "quantity": "winding_resistance",
    "basis": "measured"
  },
  "identification/second_third": {
    "label": "Second to third",
    "help": true,
    "quantity": "winding_resistance",
    "basis": "measured"
  },
  "identification/third_first": {
    "label": "Third to first",
    "help": true,
    "quantity": "winding_resistance",
    "basis": "measured"
  },
  "identification/hermetic": {
    "label": "Three pins in a sealed shell?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/to_ground": {
    "label": "Windings to ground",
    "help": true,
    "quantity": "ground_resistance",
    "basis": "measured"
  },
  "identification/run_capacitor": {
    "label": "Run capacitor?",
    "help": true,
    "term": "capacitor-motor",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/start_capacitor": {
    "label": "Start capacitor?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/switch": {
    "label": "Centrifugal switch?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/relay": {
    "label": "Start relay?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/relay_kind": {
    "label": "Which relay?",
    "help": true,
    "choices": [
      "current",
      "potential",
      "solid-state"
    ],
    "labels": [
      "current",
      "potential",
      "solid-state"
    ]
  },
  "identification/equal_leads": {
    "label": "Three equal leads?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/module": {
    "label": "Control module?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/plug": {
    "label": "Low-voltage plug?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/two_sets": {
    "label": "Two sets of three leads?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/drive_fed": {
    "label": "Marked for a drive alone?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/cogs": {
    "label": "Does the shaft turn in notches?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/both_ends": {
    "label": "A shaft at both ends?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/outer_rotor": {
    "label": "Does its outside turn?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "identification/analogue": {
    "label": "0-10 V command?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "leads/*/colour": {
    "label": "Colour",
    "help": true
  },
  "leads/*/function": {
    "label": "Function",
    "choices": [
      "common",
      "high",
      "medium-high",
      "medium",
      "medium-low",
      "low",
      "capacitor",
      "start",
      "run",
      "line",
      "neutral",
      "phase",
      "ground",
      "command",
      "unused"
    ],
    "labels": [
      "common",
      "high",
      "medium high",
      "medium",
      "medium low",
      "low",
      "capacitor",
      "start",
      "run",
      "line",
      "neutral",
      "phase",
      "ground",
      "command",
      "unused, capped"
    ]
  },
  "leads/*/ohms": {
    "label": "Ω to common",
    "help": true,
    "quantity": "winding_resistance",
    "basis": "measured"
  },
  "leads/*/volts": {
    "label": "Volts",
    "help": true,
    "quantity": "voltage",
    "basis": "measured"
  },
  "call_taps/*/call": {
    "label": "Call",
    "choices": [
      "heat",
      "cool",
      "circulate",
      "dehumidify",
      "schedule",
      "level",
      "pressure"
    ],
    "labels": [
      "heat",
      "cool",
      "circulate",
      "dehumidify",
      "schedule",
      "level",
      "pressure"
    ]
  },
  "call_taps/*/tap": {
    "label": "Tap or lead",
    "help": true
  },
  "call_taps/*/volts": {
    "label": "Command volts",
    "help": true,
    "quantity": "command_voltage",
    "basis": "measured"
  },
  "meters/owner": {
    "label": "Whose they are"
  },
  "meters/voltmeter": {
    "label": "Voltmeter ±",
    "help": true,
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/clamp_meter": {
    "label": "Clamp meter ±",
    "help": true,
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/wattmeter": {
    "label": "Wattmeter ±",
    "help": true,
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/manometer": {
    "label": "Manometer ±",
    "help": true,
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/pressure_gauge": {
    "label": "Pressure gauge ±",
    "help": true,
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/capacitance_meter": {
    "label": "Capacitance meter ±",
    "help": true,
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/flow_measurement": {
    "label": "Airflow ±",
    "help": true,
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/flow_meter": {
    "label": "Water flow ±",
    "help": true,
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "charts/amps_chart": {
    "label": "Amps-and-volts airflow chart",
    "help": true
  },
  "charts/amps_chart_flow": {
    "label": "Its flow is in",
    "choices": [
      "cfm",
      "L/s",
      "m³/h"
    ],
    "labels": [
      "cfm",
      "L/s",
      "m³/h"
    ]
  },
  "charts/blower_table": {
    "label": "Blower table",
    "help": true
  },
  "charts/blower_table_flow": {
    "label": "Its flow is in",
    "choices": [
      "cfm",
      "L/s",
      "m³/h"
    ],
    "labels": [
      "cfm",
      "L/s",
      "m³/h"
    ]
  },
  "charts/blower_table_static": {
    "label": "Its static is in",
    "choices": [
      "in. w.g.",
      "Pa"
    ],
    "labels": [
      "in. w.g.",
      "Pa"
    ]
  },
  "charts/counted_external": {
    "label": "Parts that it counts as external",
    "help": true,
    "choices": [
      "both",
      "coil",
      "filter",
      "neither"
    ],
    "labels": [
      "filter and coil",
      "coil",
      "filter",
      "neither"
    ]
  },
  "target/airflow": {
    "label": "Airflow wanted",
    "help": true,
    "quantity": "airflow",
    "basis": "typed"
  },
  "target/water_flow": {
    "label": "Water flow wanted",
    "help": true,
    "quantity": "water_flow",
    "basis": "typed"
  },
  "target/system": {
    "label": "Kind of cooling",
    "help": true,
    "choices": [
      "ordinary",
      "humid",
      "dry",
      "small-duct"
    ],
    "labels": [
      "ordinary cooling",
      "cooling in a humid climate",
      "cooling in a dry climate, or a heat pump",
      "small-duct, high-velocity"
    ]
  },
  "target/cooling": {
    "label": "Cooling capacity",
    "help": true,
    "quantity": "cooling_capacity",
    "basis": "plate"
  },
  "target/per_cooling": {
    "label": "Air per cooling",
    "help": true,
    "quantity": "flow_per_cooling",
    "basis": "typed"
  },
  "target/heat": {
    "label": "Heat output",
    "help": true,
    "quantity": "heat_input",
    "basis": "plate"
  },
  "target/rise": {
    "label": "Temperature rise allowed",
    "help": true,
    "quantity": "temperature_difference",
    "basis": "plate"
  },
  "target/volume": {
    "label": "Volume served",
    "help": true,
    "quantity": "volume",
    "basis": "typed"
  },
  "target/changes": {
    "label": "Air changes an hour",
    "help": true,
    "quantity": "air_changes",
    "basis": "typed"
  },
  "target/rated_static": {
    "label": "Static the blower is rated for",
    "help": true,
    "quantity": "pressure",
    "basis": "plate",
    "term": "total-static"
  },
  "target/altitude": {
    "label": "Altitude",
    "help": true,
    "quantity": "altitude",
    "basis": "typed"
  },
  "target/starts": {
    "label": "Starts an hour",
    "help": true,
    "quantity": "starts_per_hour",
    "basis": "measured"
  },
  "readings/*/name": {
    "label": "What was this set?",
    "help": true
  },
  "readings/*/stage": {
    "label": "Before or after?",
    "help": true,
    "choices": [
      "before",
      "after"
    ],
    "labels": [
      "before",
      "after"
    ]
  },
  "readings/*/tap": {
    "label": "Speed tap",
    "help": true,
    "term": "speed-tap",
    "choices": [
      "single",
      "high",
      "medium",
      "low",
      "regulated"
    ],
    "labels": [
      "one speed",
      "high tap",
      "medium tap",
      "low tap",
      "on a regulator"
    ]
  },
  "readings/*/signal": {
    "label": "Command",
    "help": true,
    "quantity": "signal",
    "basis": "measured"
  },
  "readings/*/frequency": {
    "label": "Hertz at the motor",
    "help": true,
    "quantity": "frequency",
    "basis": "measured"
  },
  "readings/*/duct": {
    "label": "Duct",
    "help": true,
    "choices": [
      "as-found",
      "plate-open",
      "filter-out",
      "duct-off",
      "panel-open",
      "blocked",
      "bare-shaft"
    ],
    "labels": [
      "as found",
      "balancing plate wide open",
      "filter out",
      "duct off at the unit",
      "panel open",
      "blocked",
      "bare shaft, wheel or belt off"
    ]
  },
  "readings/*/known_good": {
    "label": "Was it right then?",
    "help": true,
    "term": "baseline",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "readings/*/running": {
    "label": "Running for",
    "help": true,
    "quantity": "running_time",
    "basis": "measured"
  },
  "readings/*/taken_at": {
    "label": "When",
    "help": true,
    "time": true
  },
  "readings/*/taken_by": {
    "label": "By whom"
  },
  "readings/*/note": {
    "label": "Note"
  },
  "readings/*/point": {
    "label": "Electrical readings at",
    "help": true,
    "choices": [
      "supply",
      "drive-input",
      "drive-output",
      "winding"
    ],
    "labels": [
      "supply",
      "drive input",
      "drive output",
      "winding"
    ]
  },
  "readings/*/meter": {
    "label": "Meter",
    "help": true,
    "choices": [
      "average-responding",
      "true-rms",
      "low-pass"
    ],
    "labels": [
      "average-responding",
      "true-rms",
      "true-rms, low-pass"
    ]
  },
  "readings/*/voltage": {
    "label": "Supply",
    "help": true,
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/current": {
    "label": "Line amps",
    "help": true,
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/input_power": {
    "label": "Input power",
    "help": true,
    "quantity": "input_power",
    "basis": "measured"
  },
  "readings/*/power_factor": {
    "label": "Power factor",
    "help": true,
    "quantity": "read_power_factor",
    "basis": "measured",
    "term": "power-factor"
  },
  "readings/*/speed": {
    "label": "Speed",
    "help": true,
    "quantity": "speed",
    "basis": "measured"
  },
  "readings/*/fan_speed": {
    "label": "Fan speed",
    "help": true,
    "quantity": "speed",
    "basis": "measured"
  },
  "readings/*/start_current": {
    "label": "Auxiliary-winding amps",
    "help": true,
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/run_capacitor_volts": {
    "label": "Volts across the capacitor",
    "help": true,
    "quantity": "capacitor_voltage",
    "basis": "measured",
    "term": "run-capacitor"
  },
  "readings/*/voltage_12": {
    "label": "Volts 1-2",
    "help": true,
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/voltage_23": {
    "label": "Volts 2-3",
    "help": true,
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/voltage_31": {
    "label": "Volts 3-1",
    "help": true,
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/current_1": {
    "label": "Amps 1",
    "help": true,
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/current_2": {
    "label": "Amps 2",
    "help": true,
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/current_3": {
    "label": "Amps 3",
    "help": true,
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/highest_to_ground": {
    "label": "Highest leg to ground",
    "help": true,
    "quantity": "voltage",
    "basis": "measured",
    "term": "high-leg"
  },
  "readings/*/command_volts": {
    "label": "Command volts",
    "help": true,
    "quantity": "command_voltage",
    "basis": "measured"
  },
  "readings/*/supply_static": {
    "label": "Static, supply",
    "help": true,
    "quantity": "supply_static_pressure",
    "basis": "measured",
    "term": "static-pressure"
  },
  "readings/*/return_static": {
    "label": "Static, return",
    "help": true,
    "quantity": "return_static_pressure",
    "basis": "measured",
    "term": "static-pressure"
  },
  "readings/*/total_static": {
    "label": "Total external static",
    "help": true,
    "quantity": "pressure",
    "basis": "measured",
    "term": "total-static"
  },
  "readings/*/statics_hold": {
    "label": "Between the taps",
    "help": true,
    "choices": [
      "neither",
      "filter",
      "coil",
      "both"
    ],
    "labels": [
      "neither filter nor coil",
      "filter",
      "coil",
      "filter and coil"
    ]
  },
  "readings/*/filter_drop": {
    "label": "Across the filter",
    "help": true,
    "quantity": "pressure",
    "basis": "measured",
    "term": "filter-drop"
  },
  "readings/*/coil_drop": {
    "label": "Across the coil",
    "help": true,
    "quantity": "pressure",
    "basis": "measured",
    "term": "coil-drop"
  },
  "readings/*/airflow": {
    "label": "Airflow",
    "help": true,
    "quantity": "airflow",
    "basis": "measured"
  },
  "readings/*/flow_by": {
    "label": "Measured by",
    "help": true,
    "choices": [
      "hood",
      "traverse",
      "station"
    ],
    "labels": [
      "hood",
      "traverse",
      "flow station"
    ]
  },
  "readings/*/entering": {
    "label": "Air entering",
    "help": true,
    "quantity": "temperature",
    "basis": "measured"
  },
  "readings/*/leaving": {
    "label": "Air leaving",
    "help": true,
    "quantity": "temperature",
    "basis": "measured"
  },
  "readings/*/fuel_heat": {
    "label": "Fuel burned",
    "help": true,
    "quantity": "heat_input",
    "basis": "measured"
  },
  "readings/*/fuel_efficiency": {
    "label": "Its efficiency",
    "help": true,
    "quantity": "efficiency",
    "basis": "plate"
  },
  "readings/*/heater_volts": {
    "label": "Heater volts",
    "help": true,
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/heater_amps": {
    "label": "Heater amps",
    "help": true,
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/coil_is_wet": {
    "label": "Is the coil wet?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "readings/*/in_sight": {
    "label": "Does the thermometer see the heater?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "readings/*/suction": {
    "label": "Suction",
    "help": true,
    "quantity": "gauge_pressure",
    "basis": "measured"
  },
  "readings/*/discharge": {
    "label": "Discharge",
    "help": true,
    "quantity": "gauge_pressure",
    "basis": "measured"
  },
  "readings/*/pump_differential": {
    "label": "Pump differential",
    "help": true,
    "quantity": "pump_differential",
    "basis": "measured",
    "term": "pump-differential"
  },
  "readings/*/water_flow": {
    "label": "Water flow",
    "help": true,
    "quantity": "water_flow",
    "basis": "measured"
  },
  "readings/*/capacitance": {
    "label": "Capacitor, out of circuit",
    "help": true,
    "quantity": "capacitance",
    "basis": "measured",
    "term": "out-of-circuit"
  },
  "readings/*/shell": {
    "label": "Motor shell",
    "help": true,
    "quantity": "shell_temperature",
    "basis": "measured"
  },
  "readings/*/air": {
    "label": "Air at the motor",
    "help": true,
    "quantity": "temperature",
    "basis": "measured"
  },
  "checks/sound": {
    "label": "What does it do when called?",
    "help": true,
    "choices": [
      "hums",
      "silent",
      "clicks"
    ],
    "labels": [
      "hums",
      "silent",
      "clicks"
    ]
  },
  "checks/line_volts": {
    "label": "Are line volts there?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "checks/all_phases": {
    "label": "Are all three lines there?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "checks/turns": {
    "label": "Does the shaft turn by hand?",
    "help": true,
    "term": "windmilling",
    "choices": [
      "free",
      "stiff",
      "stuck"
    ],
    "labels": [
      "free",
      "stiff",
      "stuck"
    ]
  },
  "checks/capacitance": {
    "label": "Run capacitor, out of circuit",
    "help": true,
    "quantity": "capacitance",
    "basis": "measured",
    "term": "out-of-circuit"
  },
  "checks/start_capacitor": {
    "label": "Start capacitor",
    "help": true,
    "choices": [
      "good",
      "bad"
    ],
    "labels": [
      "good",
      "bad"
    ]
  },
  "checks/switch": {
    "label": "Start switch or relay",
    "help": true,
    "choices": [
      "good",
      "stuck"
    ],
    "labels": [
      "good",
      "stuck or burnt"
    ]
  },
  "checks/thermal": {
    "label": "Thermal switch",
    "help": true,
    "choices": [
      "closed",
      "open-hot",
      "open-cold"
    ],
    "labels": [
      "closed",
      "open and hot",
      "open and cold"
    ]
  },
  "checks/permanent": {
    "label": "Does the supply stay on?",
    "help": true,
    "term": "permanent-supply",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "checks/command": {
    "label": "Is a command there?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "checks/right_tap": {
    "label": "Is it on the right tap?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "checks/enable": {
    "label": "Are enable and voltage selector right?",
    "help": true,
    "term": "voltage-selector",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "checks/module": {
    "label": "Is the module a separate part?",
    "help": true,
    "choices": [
      "separate",
      "one-piece"
    ],
    "labels": [
      "separate",
      "one piece"
    ]
  },
  "checks/fault_word": {
    "label": "Fault word or code",
    "help": true
  },
  "checks/drive_output": {
    "label": "Are volts at the drive's output?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "checks/overload": {
    "label": "Overload",
    "help": true,
    "term": "overload",
    "choices": [
      "closed",
      "tripped"
    ],
    "labels": [
      "closed",
      "tripped"
    ]
  },
  "marks/*/withdrawn/who": {
    "label": "Who"
  },
  "marks/*/withdrawn/at": {
    "label": "When",
    "time": true
  },
  "marks/*/withdrawn/why": {
    "label": "Why"
  },
  "marks/*/finding": {
    "label": "Finding"
  },
  "marks/*/note": {
    "label": "Note"
  },
  "marks/*/who": {
    "label": "Who"
  },
  "marks/*/at": {
    "label": "When",
    "time": true
  },
  "duty/steps/*/name": {
    "label": "Step",
    "help": true,
    "term": "duty-step"
  },
  "duty/steps/*/call": {
    "label": "Called by",
    "help": true,
    "choices": [
      "heat",
      "cool",
      "circulate",
      "dehumidify",
      "schedule",
      "level",
      "pressure"
    ],
    "labels": [
      "heat",
      "cool",
      "circulate",
      "dehumidify",
      "schedule",
      "level",
      "pressure"
    ]
  },
  "duty/steps/*/hours": {
    "label": "Hours a year",
    "help": true,
    "quantity": "hours",
    "basis": "estimated",
    "term": "duty-step"
  },
  "duty/steps/*/hours_from": {
    "label": "Hours from",
    "help": true,
    "choices": [
      "typed",
      "thermostat",
      "logger",
      "template"
    ],
    "labels": [
      "typed",
      "thermostat",
      "logger",
      "template, assumed"
    ]
  },
  "duty/steps/*/hours_spread": {
    "label": "Hours ±",
    "help": true,
    "quantity": "tolerance",
    "basis": "estimated"
  },
  "duty/steps/*/cycles": {
    "label": "Cycles an hour",
    "help": true,
    "quantity": "cycles_per_hour",
    "basis": "measured"
  },
  "duty/steps/*/minutes": {
    "label": "Minutes a cycle",
    "help": true,
    "quantity": "cycle_minutes",
    "basis": "measured"
  },
  "duty/steps/*/season": {
    "label": "Season",
    "help": true,
    "quantity": "season",
    "basis": "estimated"
  },
  "duty/steps/*/wants": {
    "label": "Flow said as",
    "help": true,
    "choices": [
      "share",
      "design",
      "flow",
      "tap",
      "as-it-runs"
    ],
    "labels": [
      "share of full flow",
      "share of the wanted flow",
      "a flow",
      "a tap",
      "as it runs now"
    ]
  },
  "duty/steps/*/flow_share": {
    "label": "Share of full flow",
    "help": true,
    "quantity": "flow_share",
    "basis": "estimated"
  },
  "duty/steps/*/design_share": {
    "label": "Share of the wanted flow",
    "help": true,
    "quantity": "design_share",
    "basis": "typed"
  },
  "duty/steps/*/airflow": {
    "label": "Airflow",
    "quantity": "airflow",
    "basis": "typed"
  },
  "duty/steps/*/water_flow": {
    "label": "Water flow",
    "quantity": "water_flow",
    "basis": "typed"
  },
  "duty/steps/*/tap": {
    "label": "On its tap",
    "term": "speed-tap",
    "choices": [
      "single",
      "high",
      "medium",
      "low",
      "regulated"
    ],
    "labels": [
      "one speed",
      "high tap",
      "medium tap",
      "low tap",
      "on a regulator"
    ]
  },
  "duty/part_flow": {
    "label": "How does it meet a part step today?",
    "help": true,
    "choices": [
      "runs-full",
      "taps",
      "throttle"
    ],
    "labels": [
      "it runs full all the same",
      "by a lower tap or regulator step",
      "by a damper or valve"
    ]
  },
  "duty/static_pressure_set_point": {
    "label": "Duct pressure that is held",
    "help": true,
    "quantity": "static_pressure_set_point",
    "basis": "estimated"
  },
  "duty/system_exponent": {
    "label": "Exponent of duct or pipe",
    "help": true,
    "quantity": "system_exponent",
    "basis": "estimated",
    "term": "system-curve"
  },
  "duty/static_lift": {
    "label": "Static lift",
    "help": true,
    "quantity": "static_lift",
    "basis": "estimated",
    "term": "static-lift"
  },
  "duty/machines": {
    "label": "Machines alike, side by side",
    "help": true,
    "quantity": "machines",
    "basis": "measured"
  },
  "duty/tariff": {
    "label": "Tariff",
    "help": true,
    "choices": [
      "flat",
      "seasonal"
    ],
    "labels": [
      "flat",
      "seasonal"
    ]
  },
  "duty/energy_price": {
    "label": "Energy price",
    "help": true,
    "quantity": "energy_price",
    "basis": "typed"
  },
  "duty/summer_price": {
    "label": "Energy price, summer",
    "help": true,
    "quantity": "energy_price",
    "basis": "typed"
  },
  "duty/summer_share": {
    "label": "Running hours in summer",
    "help": true,
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "duty/starts": {
    "label": "Starts a year",
    "help": true,
    "quantity": "starts",
    "basis": "estimated"
  },
  "duty/starting_time": {
    "label": "Starting time",
    "help": true,
    "quantity": "starting_time",
    "basis": "estimated"
  },
  "duty/inrush": {
    "label": "Inrush amps",
    "help": true,
    "quantity": "current",
    "basis": "measured",
    "term": "inrush"
  },
  "duty/circulation": {
    "label": "How does the fan run between calls?",
    "help": true,
    "choices": [
      "automatic",
      "always"
    ],
    "labels": [
      "automatic",
      "always on"
    ]
  },
  "duty/emission_rate": {
    "label": "Emissions of the supply",
    "help": true,
    "quantity": "emission_rate",
    "basis": "typed"
  },
  "duty/motor_place": {
    "label": "Where does the motor stand?",
    "help": true,
    "choices": [
      "in-stream",
      "outside"
    ],
    "labels": [
      "in the air or water it moves",
      "outside it"
    ]
  },
  "duty/refrigerated": {
    "label": "In a refrigerated room?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "duty/heated_share": {
    "label": "Hours in which it is heated",
    "help": true,
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "duty/heat_price": {
    "label": "Price of heat or fuel",
    "help": true,
    "quantity": "energy_price",
    "basis": "typed"
  },
  "duty/heat_efficiency": {
    "label": "Efficiency of the heater",
    "help": true,
    "quantity": "efficiency",
    "basis": "plate"
  },
  "duty/cooled_share": {
    "label": "Hours in which it is cooled",
    "help": true,
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "duty/cooling_performance": {
    "label": "Cold per electricity",
    "help": true,
    "quantity": "cooling_performance",
    "basis": "estimated",
    "term": "cop"
  },
  "duty/remaining_life": {
    "label": "Years left in the machine",
    "help": true,
    "quantity": "life",
    "basis": "estimated"
  },
  "duty/logged": {
    "label": "What the logger said"
  },
  "duty/currency": {
    "label": "Currency",
    "help": true
  },
  "options/candidates/*/kind": {
    "label": "Kind of option",
    "choices": [
      "keep",
      "same-kind",
      "other-tap",
      "regulator",
      "capacitor-drive",
      "torque",
      "airflow",
      "electronic",
      "one-speed",
      "ec-fan",
      "drive",
      "reluctance",
      "staged",
      "slowed",
      "resheave",
      "trim",
      "throttle-out",
      "circulator-speed",
      "circulator-constant",
      "circulator-proportional"
    ],
    "labels": [
      "keep",
      "same kind",
      "another tap",
      "voltage regulator",
      "capacitor motor on a controller",
      "constant-torque EC motor",
      "constant-airflow EC motor",
      "EC motor, speed command",
      "EC motor, one speed",
      "external-rotor fan",
      "drive",
      "synchronous reluctance motor on a drive",
      "fans staged",
      "fans slowed together",
      "belt re-sheaved",
      "impeller trimmed",
      "throttle removed",
      "circulator, constant speed",
      "circulator, constant pressure",
      "circulator, proportional pressure"
    ]
  },
  "options/candidates/*/name": {
    "label": "Called",
    "help": true
  },
  "options/candidates/*/product/code": {
    "label": "Code",
    "help": true
  },
  "options/candidates/*/product/type": {
    "label": "Type",
    "choices": [
      "motor",
      "module",
      "drive",
      "regulator",
      "fan",
      "pump"
    ],
    "labels": [
      "motor",
      "module",
      "drive",
      "regulator",
      "fan",
      "pump"
    ]
  },
  "options/candidates/*/product/name": {
    "label": "Name",
    "help": true
  },
  "options/candidates/*/product/motor_kind": {
    "label": "Kind of motor",
    "choices": [
      "split-capacitor",
      "single-phase",
      "shaded-pole",
      "three-phase",
      "electronic"
    ],
    "labels": [
      "split-capacitor",
      "single-phase",
      "shaded-pole",
      "three-phase",
      "electronic"
    ]
  },
  "options/candidates/*/product/holds": {
    "label": "What it holds",
    "help": true,
    "term": "electronic-motor",
    "choices": [
      "torque",
      "airflow",
      "speed",
      "pressure"
    ],
    "labels": [
      "torque",
      "airflow",
      "speed",
      "pressure"
    ]
  },
  "options/candidates/*/product/rated_power": {
    "label": "Rated power",
    "help": true,
    "quantity": "rated_power",
    "basis": "plate",
    "term": "rated-power"
  },
  "options/candidates/*/product/rated_voltage": {
    "label": "Rated volts",
    "help": true,
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "options/candidates/*/product/other_voltage": {
    "label": "Volts, other link",
    "help": true,
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "options/candidates/*/product/phases": {
    "label": "Phases",
    "help": true,
    "choices": [
      1,
      3
    ]
  },
  "options/candidates/*/product/frequency": {
    "label": "Frequency",
    "quantity": "frequency",
    "basis": "plate"
  },
  "options/candidates/*/product/rated_speed": {
    "label": "Rated speed",
    "quantity": "rated_speed",
    "basis": "plate",
    "term": "rated-speed"
  },
  "options/candidates/*/product/rated_current": {
    "label": "Full-load amps",
    "quantity": "rated_current",
    "basis": "plate",
    "term": "full-load-amps"
  },
  "options/candidates/*/product/other_current": {
    "label": "Amps, other link",
    "help": true,
    "quantity": "rated_current",
    "basis": "plate"
  },
  "options/candidates/*/product/nominal_efficiency": {
    "label": "Nominal efficiency",
    "help": true,
    "quantity": "efficiency",
    "basis": "plate",
    "term": "nominal-efficiency"
  },
  "options/candidates/*/product/least_efficiency": {
    "label": "Guaranteed efficiency",
    "help": true,
    "quantity": "efficiency",
    "basis": "plate"
  },
  "options/candidates/*/product/power_factor": {
    "label": "Power factor",
    "help": true,
    "quantity": "read_power_factor",
    "basis": "plate",
    "term": "power-factor"
  },
  "options/candidates/*/product/service_factor": {
    "label": "Service factor",
    "quantity": "service_factor",
    "basis": "plate",
    "term": "service-factor"
  },
  "options/candidates/*/product/code_letter": {
    "label": "Code letter",
    "help": true,
    "term": "code-letter"
  },
  "options/candidates/*/product/run_capacitance": {
    "label": "Run capacitor",
    "quantity": "capacitance",
    "basis": "plate",
    "term": "run-capacitor"
  },
  "options/candidates/*/product/capacitor_voltage": {
    "label": "Run capacitor volts",
    "quantity": "capacitor_voltage",
    "basis": "plate"
  },
  "options/candidates/*/product/frame": {
    "label": "Frame",
    "help": true,
    "term": "frame"
  },
  "options/candidates/*/product/shaft_diameter": {
    "label": "Shaft diameter",
    "quantity": "dimension",
    "basis": "plate"
  },
  "options/candidates/*/product/shaft_length": {
    "label": "Shaft length",
    "quantity": "dimension",
    "basis": "plate"
  },
  "options/candidates/*/product/keyway": {
    "label": "Keyway",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/candidates/*/product/mounting": {
    "label": "Mounting",
    "choices": [
      "band",
      "lugs",
      "studs",
      "foot",
      "face",
      "resilient",
      "outside-rotor",
      "close-coupled"
    ],
    "labels": [
      "belly band",
      "lugs",
      "studs",
      "foot",
      "face",
      "resilient ring",
      "external rotor",
      "close coupled"
    ]
  },
  "options/candidates/*/product/rotation": {
    "label": "Rotation",
    "help": true,
    "choices": [
      "clockwise",
      "counter-clockwise",
      "reversible"
    ],
    "labels": [
      "clockwise",
      "counter-clockwise",
      "reversible"
    ]
  },
  "options/candidates/*/product/enclosure": {
    "label": "Enclosure",
    "help": true,
    "term": "ip-code"
  },
  "options/candidates/*/product/air_over": {
    "label": "Needs the machine's air",
    "help": true,
    "term": "air-over",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/candidates/*/product/shaft_up": {
    "label": "May stand shaft up",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/candidates/*/product/drive_ready": {
    "label": "Insulation made for a drive",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/candidates/*/product/torque_taps": {
    "label": "Torque taps",
    "choices": [
      2,
      3,
      4,
      5,
      6,
      8
    ]
  },
  "options/candidates/*/product/command": {
    "label": "Command",
    "help": true,
    "choices": [
      "switched-line",
      "calls",
      "signal",
      "dial",
      "none"
    ],
    "labels": [
      "switched line",
      "24 V calls",
      "0-10 V",
      "dial",
      "none"
    ]
  },
  "options/candidates/*/product/least_speed": {
    "label": "Least speed",
    "help": true,
    "quantity": "command",
    "basis": "plate"
  },
  "options/candidates/*/product/highest_speed": {
    "label": "Highest speed",
    "help": true,
    "quantity": "speed",
    "basis": "plate"
  },
  "options/candidates/*/product/standby": {
    "label": "Standby power",
    "help": true,
    "quantity": "standby_power",
    "basis": "plate"
  },
  "options/candidates/*/product/single_phase_input": {
    "label": "May be fed with one phase",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/candidates/*/product/listed_for_replacement": {
    "label": "Listed as a replacement",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/candidates/*/product/blower_constants": {
    "label": "Taught this blower",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/candidates/*/product/curve/*/airflow": {
    "label": "Airflow",
    "quantity": "airflow",
    "basis": "plate"
  },
  "options/candidates/*/product/curve/*/water_flow": {
    "label": "Water flow",
    "quantity": "water_flow",
    "basis": "plate"
  },
  "options/candidates/*/product/curve/*/pressure": {
    "label": "Pressure",
    "help": true,
    "quantity": "pressure",
    "basis": "plate"
  },
  "options/candidates/*/product/curve/*/head": {
    "label": "Head",
    "help": true,
    "quantity": "pump_differential",
    "basis": "plate"
  },
  "options/candidates/*/product/curve/*/shaft_power": {
    "label": "Shaft power",
    "quantity": "shaft_power",
    "basis": "plate"
  },
  "options/candidates/*/product/curve_speed": {
    "label": "Speed of the curve",
    "quantity": "speed",
    "basis": "plate"
  },
  "options/candidates/*/product/price": {
    "label": "Price",
    "help": true,
    "quantity": "price",
    "basis": "typed"
  },
  "options/candidates/*/product/lead_time": {
    "label": "Lead time",
    "quantity": "lead_time",
    "basis": "typed"
  },
  "options/candidates/*/product/van_stock": {
    "label": "In the van",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/candidates/*/product/life": {
    "label": "Stated life",
    "quantity": "life",
    "basis": "typed"
  },
  "options/candidates/*/product/wears": {
    "label": "What wears"
  },
  "options/candidates/*/product/note": {
    "label": "Note"
  },
  "options/candidates/*/price": {
    "label": "Price",
    "help": true,
    "quantity": "cost",
    "basis": "estimated"
  },
  "options/candidates/*/labour": {
    "label": "Labour",
    "help": true,
    "quantity": "cost",
    "basis": "estimated"
  },
  "options/candidates/*/rebate": {
    "label": "Rebate",
    "help": true,
    "quantity": "cost",
    "basis": "typed"
  },
  "options/candidates/*/life": {
    "label": "Life",
    "help": true,
    "quantity": "life",
    "basis": "estimated"
  },
  "options/candidates/*/lead_time": {
    "label": "Lead time",
    "help": true,
    "quantity": "lead_time",
    "basis": "estimated"
  },
  "options/candidates/*/wears": {
    "label": "What wears"
  },
  "options/candidates/*/tap": {
    "label": "Tap",
    "help": true,
    "term": "speed-tap"
  },
  "options/candidates/*/regulator": {
    "label": "How the volts are lowered",
    "choices": [
      "phase-cut",
      "series",
      "lower-volts"
    ],
    "labels": [
      "phase-cut",
      "series resistance",
      "lower volts"
    ]
  },
  "options/candidates/*/speed_share": {
    "label": "Wheel's speed",
    "help": true,
    "quantity": "speed_share",
    "basis": "estimated"
  },
  "options/candidates/*/diameter_share": {
    "label": "Impeller's diameter",
    "help": true,
    "quantity": "diameter_share",
    "basis": "estimated"
  },
  "options/candidates/*/throttle_drop": {
    "label": "Pressure at the throttle",
    "help": true,
    "quantity": "throttle_drop",
    "basis": "measured"
  },
  "options/candidates/*/set_pressure": {
    "label": "Pressure that is set",
    "help": true,
    "quantity": "pump_differential",
    "basis": "typed"
  },
  "options/waivers/*/withdrawn/who": {
    "label": "Who"
  },
  "options/waivers/*/withdrawn/at": {
    "label": "When",
    "time": true
  },
  "options/waivers/*/withdrawn/why": {
    "label": "Why"
  },
  "options/waivers/*/option": {
    "label": "Option"
  },
  "options/waivers/*/check": {
    "label": "Check"
  },
  "options/waivers/*/who": {
    "label": "Who answers for it",
    "term": "waiver"
  },
  "options/waivers/*/reason": {
    "label": "Why"
  },
  "options/waivers/*/at": {
    "label": "When",
    "time": true
  },
  "options/fitting/phases": {
    "label": "Phases at the machine",
    "help": true,
    "choices": [
      1,
      3
    ]
  },
  "options/fitting/permanent_supply": {
    "label": "Is there a permanent supply?",
    "help": true,
    "term": "permanent-supply",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/command": {
    "label": "What commands it?",
    "help": true,
    "choices": [
      "switched-line",
      "calls",
      "signal",
      "dial",
      "none"
    ],
    "labels": [
      "switched line",
      "24 V calls",
      "0-10 V",
      "dial",
      "none"
    ]
  },
  "options/fitting/mounting": {
    "label": "How is the motor held?",
    "choices": [
      "band",
      "lugs",
      "studs",
      "foot",
      "face",
      "resilient",
      "outside-rotor",
      "close-coupled"
    ],
    "labels": [
      "belly band",
      "lugs",
      "studs",
      "foot",
      "face",
      "resilient ring",
      "external rotor",
      "close coupled"
    ]
  },
  "options/fitting/bore": {
    "label": "Bore of wheel or coupling",
    "quantity": "dimension",
    "basis": "measured"
  },
  "options/fitting/shaft_needed": {
    "label": "Shaft length needed",
    "quantity": "dimension",
    "basis": "measured"
  },
  "options/fitting/keyway": {
    "label": "Keyway in the hub?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/attitude": {
    "label": "How does the shaft lie?",
    "choices": [
      "horizontal",
      "shaft-up",
      "shaft-down"
    ],
    "labels": [
      "horizontal",
      "shaft up",
      "shaft down"
    ]
  },
  "options/fitting/outdoors": {
    "label": "Outdoors or wet?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/in_air": {
    "label": "In the machine's air?",
    "help": true,
    "term": "air-over",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/altitude": {
    "label": "Altitude",
    "help": true,
    "quantity": "altitude",
    "basis": "estimated"
  },
  "options/fitting/highest_speed": {
    "label": "Highest speed of wheel and bearings",
    "quantity": "speed",
    "basis": "plate"
  },
  "options/fitting/several": {
    "label": "Several motors on one controller?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/lead_length": {
    "label": "Cable, drive to motor",
    "quantity": "cable_length",
    "basis": "measured"
  },
  "options/fitting/earth_leakage": {
    "label": "Earth-leakage device",
    "help": true,
    "choices": [
      "none",
      "AC",
      "A",
      "F",
      "B"
    ],
    "labels": [
      "none",
      "AC",
      "A",
      "F",
      "B"
    ]
  },
  "options/fitting/start_switch": {
    "label": "Has the motor a start switch?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/motor_maker_agrees": {
    "label": "Does the motor's maker approve a drive?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/drive_maker_agrees": {
    "label": "Does the drive's maker approve this motor?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/approvals": {
    "label": "Approvals, where kept"
  },
  "options/fitting/listing_allows": {
    "label": "Does the appliance's listing allow another kind?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "options/fitting/code_letter": {
    "label": "Code letter that the controller was chosen for",
    "term": "code-letter"
  },
  "options/repairs": {
    "label": "Repair first",
    "help": true,
    "term": "put-right",
    "choices": [
      "capacitor",
      "wheel",
      "filter",
      "belt"
    ],
    "labels": [
      "run capacitor",
      "wheel",
      "filter",
      "belt"
    ]
  },
  "options/filter_excess": {
    "label": "Filter's drop over a clean one's",
    "help": true,
    "quantity": "pressure",
    "basis": "measured",
    "term": "filter-drop"
  },
  "options/wheel_loss": {
    "label": "Pressure lost by the fouled wheel",
    "help": true,
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "options/repair_cost": {
    "label": "Repair costs",
    "help": true,
    "quantity": "cost",
    "basis": "estimated"
  },
  "options/resistance_factor": {
    "label": "System resistance factor",
    "help": true,
    "quantity": "resistance_factor",
    "basis": "estimated",
    "term": "system-curve"
  },
  "options/loaded_static": {
    "label": "At which static?",
    "help": true,
    "quantity": "pressure",
    "basis": "estimated"
  },
  "options/discount_rate": {
    "label": "Discount rate",
    "help": true,
    "quantity": "discount_rate",
    "basis": "typed",
    "term": "discount-rate"
  },
  "options/escalation": {
    "label": "Energy price rises a year",
    "help": true,
    "quantity": "escalation",
    "basis": "estimated",
    "term": "escalation"
  },
  "decision/chosen": {
    "label": "Chosen",
    "help": true
  },
  "decision/why": {
    "label": "Why",
    "help": true
  },
  "decision/left_open": {
    "label": "What is left open",
    "help": true
  },
  "decision/approvals/*/withdrawn/who": {
    "label": "Who"
  },
  "decision/approvals/*/withdrawn/at": {
    "label": "When",
    "time": true
  },
  "decision/approvals/*/withdrawn/why": {
    "label": "Why"
  },
  "decision/approvals/*/of": {
    "label": "Of what"
  },
  "decision/approvals/*/who": {
    "label": "Who gave it"
  },
  "decision/approvals/*/role": {
    "label": "In which role",
    "help": true
  },
  "decision/approvals/*/by": {
    "label": "Recorded by"
  },
  "decision/approvals/*/at": {
    "label": "When",
    "time": true
  },
  "decision/made_for": {
    "label": "For whom",
    "help": true
  },
  "decision/made_by": {
    "label": "By whom",
    "help": true
  },
  "setup/tolerance": {
    "label": "Tolerance of flow",
    "help": true,
    "quantity": "tolerance",
    "basis": "typed"
  },
  "setup/first_volts": {
    "label": "Volts measured here",
    "help": true,
    "quantity": "voltage",
    "basis": "measured"
  },
  "setup/second_volts": {
    "label": "The same, measured again",
    "help": true,
    "quantity": "voltage",
    "basis": "measured"
  },
  "setup/voltage_selector": {
    "label": "Voltage selector or tap is set for",
    "help": true,
    "quantity": "rated_voltage",
    "basis": "plate",
    "term": "voltage-selector"
  },
  "setup/device": {
    "label": "Device",
    "help": true
  },
  "setup/panel": {
    "label": "Meter panel",
    "help": true
  },
  "setup/rotation_output": {
    "label": "Rotation from the drive",
    "help": true,
    "choices": [
      "right",
      "wrong"
    ],
    "labels": [
      "right",
      "wrong"
    ]
  },
  "setup/rotation_bypass": {
    "label": "Rotation on the bypass",
    "choices": [
      "right",
      "wrong",
      "no-bypass"
    ],
    "labels": [
      "right",
      "wrong",
      "no bypass"
    ]
  },
  "setup/signs/*/withdrawn/who": {
    "label": "Who"
  },
  "setup/signs/*/withdrawn/at": {
    "label": "When",
    "time": true
  },
  "setup/signs/*/withdrawn/why": {
    "label": "Why"
  },
  "setup/signs/*/step": {
    "label": "Step"
  },
  "setup/signs/*/found": {
    "label": "What was found"
  },
  "setup/signs/*/basis": {
    "label": "Signed on",
    "help": true
  },
  "setup/signs/*/who": {
    "label": "Who"
  },
  "setup/signs/*/at": {
    "label": "When",
    "time": true
  },
  "setup/trials/*/step": {
    "label": "Duty step"
  },
  "setup/trials/*/signal": {
    "label": "Command",
    "help": true,
    "quantity": "signal",
    "basis": "measured"
  },
  "setup/trials/*/frequency": {
    "label": "Hertz",
    "help": true,
    "quantity": "output_frequency",
    "basis": "measured"
  },
  "setup/trials/*/tap": {
    "label": "Torque tap",
    "choices": [
      1,
      2,
      3,
      4,
      5,
      6,
      7,
      8
    ]
  },
  "setup/trials/*/opening": {
    "label": "Plate or damper",
    "help": true,
    "choices": [
      "part",
      "wide-open",
      "duct-off"
    ],
    "labels": [
      "part open",
      "wide open",
      "duct off at the unit"
    ]
  },
  "setup/trials/*/airflow": {
    "label": "Airflow",
    "help": true,
    "quantity": "airflow",
    "basis": "measured"
  },
  "setup/trials/*/water_flow": {
    "label": "Water flow",
    "quantity": "water_flow",
    "basis": "measured"
  },
  "setup/trials/*/static": {
    "label": "Total external static",
    "help": true,
    "quantity": "pressure",
    "basis": "measured"
  },
  "setup/trials/*/current": {
    "label": "Line amps",
    "help": true,
    "quantity": "current",
    "basis": "measured"
  },
  "setup/trials/*/rise": {
    "label": "Temperature rise",
    "help": true,
    "quantity": "temperature_difference",
    "basis": "measured"
  },
  "setup/trials/*/source": {
    "label": "Read from",
    "help": true
  },
  "setup/trials/*/who": {
    "label": "Who"
  },
  "setup/trials/*/at": {
    "label": "When",
    "time": true
  },
  "setup/sweep/cleared": {
    "label": "Old skips cleared?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "setup/sweep/low": {
    "label": "From",
    "help": true,
    "quantity": "output_frequency",
    "basis": "typed"
  },
  "setup/sweep/high": {
    "label": "To",
    "help": true,
    "quantity": "output_frequency",
    "basis": "typed"
  },
  "setup/sweep/step": {
    "label": "In steps of",
    "help": true,
    "quantity": "step_frequency",
    "basis": "typed"
  },
  "setup/sweep/hold": {
    "label": "Hold each for",
    "help": true,
    "quantity": "hold_time",
    "basis": "typed"
  },
  "setup/sweep/margin": {
    "label": "Margin beside",
    "help": true,
    "quantity": "margin_frequency",
    "basis": "typed"
  },
  "setup/sweep/limit": {
    "label": "Loud from",
    "help": true,
    "quantity": "sound_level",
    "basis": "typed"
  },
  "setup/sweep/swept_up": {
    "label": "Swept up?",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "setup/sweep/swept_down": {
    "label": "Swept down?",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "setup/sweep/marks/*/frequency": {
    "label": "Loud at",
    "quantity": "output_frequency",
    "basis": "measured"
  },
  "setup/sweep/marks/*/level": {
    "label": "Sound level",
    "quantity": "sound_level",
    "basis": "measured"
  },
  "setup/sweep/marks/*/going": {
    "label": "On the way",
    "choices": [
      "up",
      "down"
    ],
    "labels": [
      "up",
      "down"
    ]
  },
  "setup/sweep/marks/*/who": {
    "label": "Who"
  },
  "setup/sweep/marks/*/at": {
    "label": "When",
    "time": true
  },
  "setup/drive/mode": {
    "label": "Control mode",
    "help": true,
    "choices": [
      "volts-per-hertz",
      "vector",
      "permanent-magnet",
      "reluctance",
      "encoder"
    ],
    "labels": [
      "volts per hertz",
      "vector, without encoder",
      "permanent magnet, without encoder",
      "reluctance, without encoder",
      "with encoder"
    ]
  },
  "setup/drive/shape": {
    "label": "Volts over hertz",
    "help": true,
    "choices": [
      "straight",
      "square"
    ],
    "labels": [
      "straight",
      "square"
    ]
  },
  "setup/drive/base_frequency": {
    "label": "Base frequency",
    "help": true,
    "quantity": "output_frequency",
    "basis": "plate"
  },
  "setup/drive/base_voltage": {
    "label": "Base volts",
    "help": true,
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "setup/drive/trim": {
    "label": "Volts trim",
    "help": true,
    "quantity": "volts_trim",
    "basis": "typed"
  },
  "setup/drive/carrier": {
    "label": "Carrier frequency",
    "help": true,
    "quantity": "carrier_frequency",
    "basis": "typed",
    "term": "carrier"
  },
  "setup/drive/lowest": {
    "label": "Lowest hertz",
    "help": true,
    "quantity": "output_frequency",
    "basis": "typed"
  },
  "setup/drive/highest": {
    "label": "Highest hertz",
    "help": true,
    "quantity": "output_frequency",
    "basis": "typed"
  },
  "setup/drive/ramp_up": {
    "label": "Ramp up",
    "quantity": "ramp",
    "basis": "typed"
  },
  "setup/drive/ramp_down": {
    "label": "Ramp down",
    "quantity": "ramp",
    "basis": "typed"
  },
  "setup/drive/new_current": {
    "label": "Full-load amps, new plate",
    "help": true,
    "quantity": "rated_current",
    "basis": "plate"
  },
  "setup/drive/new_speed": {
    "label": "Rated speed, new plate",
    "quantity": "rated_speed",
    "basis": "plate"
  },
  "setup/loop/holds": {
    "label": "What is it to hold?",
    "help": true,
    "choices": [
      "duct",
      "differential",
      "coil",
      "level",
      "space"
    ],
    "labels": [
      "a duct's static",
      "a differential pressure",
      "a coil's temperature difference",
      "a level",
      "a space temperature"
    ]
  },
  "setup/loop/raises": {
    "label": "More speed",
    "help": true,
    "choices": [
      "raises",
      "lowers"
    ],
    "labels": [
      "raises it",
      "lowers it"
    ]
  },
  "setup/loop/place": {
    "label": "The sensor sits",
    "help": true,
    "choices": [
      "unit",
      "two-thirds",
      "farthest"
    ],
    "labels": [
      "at the unit",
      "two thirds along",
      "at the farthest outlet"
    ]
  },
  "setup/loop/left": {
    "label": "Pressure at the sensor",
    "help": true,
    "quantity": "pressure_left",
    "basis": "measured"
  },
  "setup/loop/tank_area": {
    "label": "Surface of the tank",
    "quantity": "tank_area",
    "basis": "measured"
  },
  "setup/loop/pressure/set_point": {
    "label": "Set point",
    "quantity": "pressure",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/pressure/span": {
    "label": "The sensor's range",
    "help": true,
    "quantity": "pressure",
    "basis": "plate"
  },
  "setup/loop/pressure/before": {
    "label": "Value before the step",
    "quantity": "pressure",
    "basis": "measured"
  },
  "setup/loop/pressure/after": {
    "label": "Value when it stands again",
    "quantity": "pressure",
    "basis": "measured"
  },
  "setup/loop/differential/set_point": {
    "label": "Set point",
    "quantity": "pump_differential",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/differential/span": {
    "label": "The sensor's range",
    "help": true,
    "quantity": "pump_differential",
    "basis": "plate"
  },
  "setup/loop/differential/before": {
    "label": "Value before the step",
    "quantity": "pump_differential",
    "basis": "measured"
  },
  "setup/loop/differential/after": {
    "label": "Value when it stands again",
    "quantity": "pump_differential",
    "basis": "measured"
  },
  "setup/loop/difference/set_point": {
    "label": "Set point",
    "quantity": "temperature_difference",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/difference/span": {
    "label": "The sensor's range",
    "help": true,
    "quantity": "temperature_difference",
    "basis": "plate"
  },
  "setup/loop/difference/before": {
    "label": "Value before the step",
    "quantity": "temperature_difference",
    "basis": "measured"
  },
  "setup/loop/difference/after": {
    "label": "Value when it stands again",
    "quantity": "temperature_difference",
    "basis": "measured"
  },
  "setup/loop/level/set_point": {
    "label": "Set point",
    "quantity": "level",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/level/span": {
    "label": "The sensor's range",
    "help": true,
    "quantity": "level",
    "basis": "plate"
  },
  "setup/loop/level/before": {
    "label": "Value before the step",
    "quantity": "level",
    "basis": "measured"
  },
  "setup/loop/level/after": {
    "label": "Value when it stands again",
    "quantity": "level",
    "basis": "measured"
  },
  "setup/loop/temperature/set_point": {
    "label": "Set point",
    "quantity": "temperature",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/temperature/span": {
    "label": "The sensor's range",
    "help": true,
    "quantity": "temperature_difference",
    "basis": "plate"
  },
  "setup/loop/temperature/before": {
    "label": "Value before the step",
    "quantity": "temperature",
    "basis": "measured"
  },
  "setup/loop/temperature/after": {
    "label": "Value when it stands again",
    "quantity": "temperature",
    "basis": "measured"
  },
  "setup/loop/hertz_before": {
    "label": "Hertz before the step",
    "quantity": "output_frequency",
    "basis": "measured"
  },
  "setup/loop/hertz_after": {
    "label": "Hertz after it",
    "quantity": "output_frequency",
    "basis": "measured"
  },
  "setup/loop/signal_before": {
    "label": "Command before the step",
    "quantity": "signal",
    "basis": "measured"
  },
  "setup/loop/signal_after": {
    "label": "Command after it",
    "quantity": "signal",
    "basis": "measured"
  },
  "setup/loop/began": {
    "label": "It began to move after",
    "help": true,
    "quantity": "loop_time",
    "basis": "measured",
    "term": "step-test"
  },
  "setup/loop/two_thirds": {
    "label": "Two thirds of its way after",
    "help": true,
    "quantity": "loop_time",
    "basis": "measured",
    "term": "process-lag"
  },
  "setup/loop/tries/*/gain": {
    "label": "Gain as set",
    "help": true,
    "quantity": "loop_gain",
    "basis": "typed",
    "term": "gain"
  },
  "setup/loop/tries/*/integral": {
    "label": "Integral time as set",
    "quantity": "loop_time",
    "basis": "typed",
    "term": "gain"
  },
  "setup/loop/tries/*/seen": {
    "label": "What was seen",
    "help": true,
    "choices": [
      "quiet",
      "dies-away",
      "lively",
      "hunts",
      "slow"
    ],
    "labels": [
      "it settles without swinging",
      "a swing or two, then still",
      "many swings that die away",
      "swings that go on",
      "still on its way after minutes"
    ]
  },
  "setup/loop/tries/*/period": {
    "label": "One whole swing takes",
    "help": true,
    "quantity": "loop_time",
    "basis": "measured"
  },
  "setup/loop/tries/*/who": {
    "label": "Who"
  },
  "setup/loop/tries/*/at": {
    "label": "When",
    "time": true
  },
  "setup/loop/on_failure": {
    "label": "When the sensor fails it",
    "help": true,
    "choices": [
      "stays",
      "set-speed",
      "stops"
    ],
    "labels": [
      "stays at its speed",
      "goes to a set speed",
      "stops"
    ]
  },
  "setup/loop/restart": {
    "label": "After a power cut it",
    "choices": [
      "by-itself",
      "by-hand"
    ],
    "labels": [
      "starts by itself",
      "waits for a hand"
    ]
  },
  "proof/pairs/*/step": {
    "label": "Duty step"
  },
  "proof/pairs/*/before": {
    "label": "Set before"
  },
  "proof/pairs/*/after": {
    "label": "Set after"
  },
  "proof/same_meters": {
    "label": "Same meters before and after?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "proof/filter_changed": {
    "label": "Filter changed meanwhile?",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "proof/damper_changed": {
    "label": "Damper or duct changed meanwhile?",
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "proof/season_changed": {
    "label": "Other season?",
    "help": true,
    "choices": [
      "yes",
      "no"
    ],
    "labels": [
      "yes",
      "no"
    ]
  },
  "proof/cycles_before": {
    "label": "Cycles an hour, before",
    "help": true,
    "quantity": "cycles_per_hour",
    "basis": "measured"
  },
  "proof/cycles_after": {
    "label": "Cycles an hour, after",
    "quantity": "cycles_per_hour",
    "basis": "measured"
  },
  "proof/humidity_before": {
    "label": "Humidity, before",
    "help": true,
    "quantity": "humidity",
    "basis": "measured"
  },
  "proof/humidity_after": {
    "label": "Humidity, after",
    "quantity": "humidity",
    "basis": "measured"
  },
  "proof/logged_days": {
    "label": "Days logged after",
    "help": true,
    "quantity": "days",
    "basis": "measured"
  },
  "proof/logged_energy": {
    "label": "Energy logged after",
    "help": true,
    "quantity": "energy",
    "basis": "measured"
  },
  "proof/logged": {
    "label": "What the logger said"
  },
  "proof/notes": {
    "label": "What else changed"
  },
  "proof/unread": {
    "label": "Why the other steps were not read",
    "help": true
  }
} as const;

export type FieldName = keyof typeof fields;

/** Terms of the glossary by what results and columns are headed. */
export const headings = {
  "load": "load",
  "overload": "overload",
  "Poles": "poles",
  "power factor": "power-factor",
  "Run capacitor": "run-capacitor",
  "shaft power": "shaft-power",
  "Rated slip": "slip",
  "slip": "slip",
  "Slip now": "slip",
  "Slip": "slip",
  "Synchronous speed": "synchronous-speed",
  "Rated torque": "torque",
  "torque": "torque",
  "baseline": "baseline"
} as const;
