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
    "term": "protected-duty",
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
    "help": "Name or role of whoever answered for the protected duty.",
    "term": "protected-duty"
  },
  "call/minimum_airflow": {
    "label": "Documented least airflow",
    "help": "From the approval, the listing or the design; empty if none is recorded.",
    "quantity": "airflow",
    "basis": "typed",
    "term": "least-flow"
  },
  "call/minimum_water_flow": {
    "label": "Documented least water flow",
    "help": "From the appliance's data; empty if none is recorded.",
    "quantity": "water_flow",
    "basis": "typed",
    "term": "least-flow"
  },
  "call/complaints": {
    "label": "What do the people here notice?",
    "help": "All that they name.",
    "choices": [
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
    "label": "In their words",
    "help": ""
  },
  "call/serves": {
    "label": "What the machine serves",
    "help": "Rooms, circuit or process."
  },
  "call/called_by": {
    "label": "Which call runs it?",
    "help": "The one it mostly runs on.",
    "choices": [
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
    "help": "And from when to when; nothing is switched off without asking."
  },
  "call/serial": {
    "label": "Serial",
    "help": "As text, off the motor that will be removed."
  },
  "call/date_code": {
    "label": "Date code",
    "help": "As text."
  },
  "call/part_number": {
    "label": "Part number",
    "help": "As text."
  },
  "plate/line": {
    "label": "The plate in one line",
    "help": "Type or paste it as it stands, in any order or in rows; each piece is shown as what it was taken for."
  },
  "plate/rated_power": {
    "label": "Rated power",
    "help": "Shaft power: 3/4 hp, 0.55 kW, 560 W.",
    "quantity": "rated_power",
    "basis": "plate",
    "term": "rated-power"
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
    "basis": "plate",
    "term": "full-load-amps"
  },
  "plate/second_voltage": {
    "label": "Volts, other connection",
    "help": "The higher one of a plate such as 230/460 V.",
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "plate/second_current": {
    "label": "Amps, other connection",
    "help": "Those that go with the other volts.",
    "quantity": "rated_current",
    "basis": "plate"
  },
  "plate/wired_for": {
    "label": "Wired for",
    "help": "By the links or lead numbers found in the terminal box, not by the supply.",
    "term": "wired-for",
    "choices": [
      "first volts",
      "other volts"
    ]
  },
  "plate/rated_speed": {
    "label": "Rated speed",
    "help": "Full-load speed, on the high tap.",
    "quantity": "rated_speed",
    "basis": "plate",
    "term": "rated-speed"
  },
  "plate/speeds": {
    "label": "Speeds",
    "help": "Of a three-phase motor that is switched from one speed to another.",
    "choices": [
      "one speed",
      "two speeds, two windings",
      "two speeds, one winding"
    ]
  },
  "plate/low_speed": {
    "label": "Rated speed, low",
    "help": "The lower one of a plate such as 1,450/720 rpm.",
    "quantity": "rated_speed",
    "basis": "plate"
  },
  "plate/low_power": {
    "label": "Rated power, low",
    "help": "The one that goes with the lower speed.",
    "quantity": "rated_power",
    "basis": "plate"
  },
  "plate/low_current": {
    "label": "Full-load amps, low",
    "help": "Those that go with the lower speed.",
    "quantity": "rated_current",
    "basis": "plate"
  },
  "plate/build": {
    "label": "Shaft and rotor",
    "help": "",
    "choices": [
      "shaft at one end",
      "shaft at both ends",
      "outer rotor, wheel on it"
    ]
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
    "help": "Only where capacitor and phases do not tell it: a start switch, shading rings, electronics.",
    "term": "capacitor-motor",
    "choices": [
      "split-capacitor",
      "single-phase",
      "shaded-pole",
      "three-phase",
      "electronic"
    ]
  },
  "plate/holds": {
    "label": "What does an electronic one hold?",
    "help": "Torque by taps, an airflow it was taught, or the speed that a signal asks for.",
    "term": "electronic-motor",
    "choices": [
      "torque",
      "airflow",
      "speed"
    ]
  },
  "plate/run_capacitance": {
    "label": "Run capacitor",
    "help": "Microfarads on the capacitor's own label.",
    "quantity": "capacitance",
    "basis": "plate",
    "term": "run-capacitor"
  },
  "plate/capacitor_voltage": {
    "label": "Run capacitor volts",
    "help": "Its own rating, not the motor's.",
    "quantity": "capacitor_voltage",
    "basis": "plate",
    "term": "run-capacitor"
  },
  "plate/capacitor_tolerance": {
    "label": "Run capacitor ±",
    "help": "As printed; ± 6 % is taken where none is.",
    "quantity": "tolerance",
    "basis": "plate"
  },
  "plate/shared_capacitor": {
    "label": "Shared with a compressor?",
    "help": "A dual capacitor keeps the compressor's section.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "plate/start_capacitance": {
    "label": "Start capacitor",
    "help": "Only where there is one.",
    "quantity": "capacitance",
    "basis": "plate"
  },
  "plate/service_factor": {
    "label": "Service factor",
    "help": "1.0 where none is printed.",
    "quantity": "service_factor",
    "basis": "plate",
    "term": "service-factor"
  },
  "plate/service_factor_current": {
    "label": "Service-factor amps",
    "help": "SFA, where printed.",
    "quantity": "rated_current",
    "basis": "plate",
    "term": "service-factor"
  },
  "plate/code_letter": {
    "label": "Code letter",
    "help": "Locked-rotor code, A to V.",
    "term": "code-letter"
  },
  "plate/power_is": {
    "label": "The printed power is",
    "help": "A motor's plate states what its shaft gives; that of a whole fan or pump often what it takes.",
    "term": "rated-power",
    "choices": [
      "at the shaft",
      "from the line"
    ]
  },
  "plate/nominal_efficiency": {
    "label": "Nominal efficiency",
    "help": "As printed; the fit keeps to it.",
    "quantity": "efficiency",
    "basis": "plate",
    "term": "nominal-efficiency"
  },
  "plate/efficiency_class": {
    "label": "Efficiency class",
    "help": "Of an IEC plate; it stands for a least efficiency of its rating.",
    "term": "efficiency-class",
    "choices": [
      "IE1",
      "IE2",
      "IE3",
      "IE4"
    ]
  },
  "plate/power_factor": {
    "label": "Power factor",
    "help": "As printed: 0.62.",
    "quantity": "read_power_factor",
    "basis": "plate",
    "term": "power-factor"
  },
  "plate/frame": {
    "label": "Frame",
    "help": "With its suffix: 48Y, 56H, 145T.",
    "term": "frame"
  },
  "plate/enclosure": {
    "label": "Enclosure",
    "help": "IP54, or TEFC, TEAO, ODP.",
    "term": "ip-code"
  },
  "plate/insulation": {
    "label": "Insulation class",
    "help": "",
    "term": "insulation-class",
    "choices": [
      "A",
      "B",
      "F",
      "H"
    ]
  },
  "plate/ambient": {
    "label": "Rated ambient",
    "help": "40 °C where none is printed.",
    "quantity": "temperature",
    "basis": "plate"
  },
  "plate/duty": {
    "label": "Rated duty",
    "help": "Continuous, air over, S1, 30 min."
  },
  "plate/protection": {
    "label": "Thermal protection",
    "help": "",
    "choices": [
      "automatic reset",
      "manual reset",
      "thermally protected",
      "impedance protected",
      "none"
    ]
  },
  "plate/rotation": {
    "label": "Rotation",
    "help": "",
    "choices": [
      "clockwise",
      "counter-clockwise",
      "reversible"
    ]
  },
  "plate/rotation_seen_from": {
    "label": "Rotation seen from",
    "help": "Without its viewpoint a rotation says nothing.",
    "choices": [
      "shaft end",
      "lead end"
    ]
  },
  "plate/overload_setting": {
    "label": "Overload set at",
    "help": "Amps on the overload relay or the drive, as found.",
    "quantity": "rated_current",
    "basis": "measured",
    "term": "overload"
  },
  "identification/speed": {
    "label": "Speed measured",
    "help": "Tachometer, on the supply's own hertz.",
    "quantity": "speed",
    "basis": "measured"
  },
  "identification/frequency": {
    "label": "Hertz of the supply",
    "help": "50 or 60 Hz.",
    "quantity": "frequency",
    "basis": "measured"
  },
  "identification/loading": {
    "label": "How was it loaded?",
    "help": "Lightly loaded: shaft bare, or the air shut off on a forward-curved wheel.",
    "choices": [
      "lightly loaded",
      "loaded"
    ]
  },
  "identification/first_terminal": {
    "label": "First terminal",
    "help": "Its mark or colour."
  },
  "identification/second_terminal": {
    "label": "Second terminal",
    "help": "Its mark or colour."
  },
  "identification/third_terminal": {
    "label": "Third terminal",
    "help": "Its mark or colour."
  },
  "identification/first_second": {
    "label": "First to second",
    "help": "Every lead disconnected, capacitor off. Type OL where the meter shows none.",
    "quantity": "winding_resistance",
    "basis": "measured"
  },
  "identification/second_third": {
    "label": "Second to third",
    "help": "Every lead disconnected, capacitor off. Type OL where the meter shows none.",
    "quantity": "winding_resistance",
    "basis": "measured"
  },
  "identification/third_first": {
    "label": "Third to first",
    "help": "Every lead disconnected, capacitor off. Type OL where the meter shows none.",
    "quantity": "winding_resistance",
    "basis": "measured"
  },
  "identification/hermetic": {
    "label": "Three pins in a sealed shell?",
    "help": "Of a hermetic compressor or pump: its terminals can vent under pressure.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/to_ground": {
    "label": "Windings to ground",
    "help": "Insulation tester, electronics unplugged. Type OL where it shows none.",
    "quantity": "ground_resistance",
    "basis": "measured"
  },
  "identification/run_capacitor": {
    "label": "Run capacitor?",
    "help": "Metal can, oil filled, a few to some tens of µF.",
    "term": "capacitor-motor",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/start_capacitor": {
    "label": "Start capacitor?",
    "help": "Black plastic can, some tens to hundreds of µF.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/switch": {
    "label": "Centrifugal switch?",
    "help": "Clicks as it slows down.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/relay": {
    "label": "Start relay?",
    "help": "Beside or on the motor: with a coil, or a solid block without one.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/relay_kind": {
    "label": "Which relay?",
    "help": "Thick coil: current. Thin coil, three numbered terminals: potential. No coil: solid-state.",
    "choices": [
      "current",
      "potential",
      "solid-state"
    ]
  },
  "identification/equal_leads": {
    "label": "Three equal leads?",
    "help": "Same gauge, marked alike; or nine or twelve numbered ones.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/module": {
    "label": "Control module?",
    "help": "A finned or sealed can on the motor's end.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/plug": {
    "label": "Low-voltage plug?",
    "help": "A plug of thin wires beside that of the supply.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/two_sets": {
    "label": "Two sets of three leads?",
    "help": "Numbered 1 and 2: one set for each speed.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/drive_fed": {
    "label": "Marked for a drive alone?",
    "help": "Its plate or label says that it runs on a drive only.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/cogs": {
    "label": "Does the shaft turn in notches?",
    "help": "By hand, isolated, its leads apart from one another.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/both_ends": {
    "label": "A shaft at both ends?",
    "help": "With a wheel on each.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/outer_rotor": {
    "label": "Does its outside turn?",
    "help": "The wheel sits on the rotor, which lies outside.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "identification/analogue": {
    "label": "0-10 V command?",
    "help": "Terminals or a plug marked 0-10 V or PWM.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "leads/*/colour": {
    "label": "Colour",
    "help": "As found, before anything is undone."
  },
  "leads/*/function": {
    "label": "Function",
    "help": "",
    "choices": [
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
    "help": "Every lead disconnected, capacitor off. Type OL where the meter shows none.",
    "quantity": "winding_resistance",
    "basis": "measured"
  },
  "leads/*/volts": {
    "label": "Volts",
    "help": "To common, energised.",
    "quantity": "voltage",
    "basis": "measured"
  },
  "call_taps/*/call": {
    "label": "Call",
    "help": "",
    "choices": [
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
    "help": "Its colour or number, as wired."
  },
  "call_taps/*/volts": {
    "label": "Command volts",
    "help": "Tap to common, while called.",
    "quantity": "command_voltage",
    "basis": "measured"
  },
  "meters/owner": {
    "label": "Whose they are",
    "help": ""
  },
  "meters/voltmeter": {
    "label": "Voltmeter ±",
    "help": "Off its data sheet, as ± of the reading; empty takes what sound ones promise.",
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/clamp_meter": {
    "label": "Clamp meter ±",
    "help": "Off its data sheet, as ± of the reading; empty takes what sound ones promise.",
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/wattmeter": {
    "label": "Wattmeter ±",
    "help": "Off its data sheet, as ± of the reading; empty takes what sound ones promise.",
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/manometer": {
    "label": "Manometer ±",
    "help": "Off its data sheet, as ± of the reading; empty takes what sound ones promise.",
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/pressure_gauge": {
    "label": "Pressure gauge ±",
    "help": "Off its data sheet, as ± of the reading; empty takes what sound ones promise.",
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/capacitance_meter": {
    "label": "Capacitance meter ±",
    "help": "Off its data sheet, as ± of the reading; empty takes what sound ones promise.",
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/flow_measurement": {
    "label": "Airflow ±",
    "help": "Hood or traverse; empty takes 7 %.",
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "meters/flow_meter": {
    "label": "Water flow ±",
    "help": "Off its data sheet, as ± of the reading; empty takes what sound ones promise.",
    "quantity": "meter_accuracy",
    "basis": "typed"
  },
  "charts/amps_chart": {
    "label": "Amps-and-volts airflow chart",
    "help": "Volts across, flow down, amps in the cells; typed, or pasted from a spreadsheet."
  },
  "charts/amps_chart_flow": {
    "label": "Its flow is in",
    "help": "",
    "choices": [
      "cfm",
      "L/s",
      "m³/h"
    ]
  },
  "charts/blower_table": {
    "label": "Blower table",
    "help": "Taps across, external static down, flow in the cells; typed, or pasted."
  },
  "charts/blower_table_flow": {
    "label": "Its flow is in",
    "help": "",
    "choices": [
      "cfm",
      "L/s",
      "m³/h"
    ]
  },
  "charts/blower_table_static": {
    "label": "Its static is in",
    "help": "",
    "choices": [
      "in. w.g.",
      "Pa"
    ]
  },
  "charts/counted_external": {
    "label": "Parts that it counts as external",
    "help": "Those whose resistance the static must hold as well.",
    "choices": [
      "filter and coil",
      "coil",
      "filter",
      "neither"
    ]
  },
  "target/airflow": {
    "label": "Airflow wanted",
    "help": "From the design or the balancing report.",
    "quantity": "airflow",
    "basis": "typed"
  },
  "target/water_flow": {
    "label": "Water flow wanted",
    "help": "From the design.",
    "quantity": "water_flow",
    "basis": "typed"
  },
  "target/system": {
    "label": "Kind of cooling",
    "help": "It decides the air per ton: 400, 350, 450 or 250 cfm.",
    "choices": [
      "ordinary cooling",
      "cooling in a humid climate",
      "cooling in a dry climate, or a heat pump",
      "small-duct, high-velocity"
    ]
  },
  "target/cooling": {
    "label": "Cooling capacity",
    "help": "Off the outdoor unit's plate.",
    "quantity": "cooling_capacity",
    "basis": "plate"
  },
  "target/per_cooling": {
    "label": "Air per cooling",
    "help": "Goes before the kind's own.",
    "quantity": "flow_per_cooling",
    "basis": "typed"
  },
  "target/heat": {
    "label": "Heat output",
    "help": "What the furnace or heater gives to the air.",
    "quantity": "heat_input",
    "basis": "plate"
  },
  "target/rise": {
    "label": "Temperature rise allowed",
    "help": "The appliance's plate, as a range: 35-65 °F.",
    "quantity": "temperature_difference",
    "basis": "plate"
  },
  "target/volume": {
    "label": "Volume served",
    "help": "Length × width × height.",
    "quantity": "volume",
    "basis": "typed"
  },
  "target/changes": {
    "label": "Air changes an hour",
    "help": "From the code or the design.",
    "quantity": "air_changes",
    "basis": "typed"
  },
  "target/rated_static": {
    "label": "Static the blower is rated for",
    "help": "Off the unit's plate or its data.",
    "quantity": "pressure",
    "basis": "plate",
    "term": "total-static"
  },
  "target/altitude": {
    "label": "Altitude",
    "help": "0 where it is not said.",
    "quantity": "altitude",
    "basis": "typed"
  },
  "target/starts": {
    "label": "Starts an hour",
    "help": "As counted, or from the control.",
    "quantity": "starts_per_hour",
    "basis": "measured"
  },
  "readings/*/name": {
    "label": "What was this set?",
    "help": "For example: as found, new filter."
  },
  "readings/*/stage": {
    "label": "Before or after?",
    "help": "After: with the new motor in, or the machine set up anew.",
    "choices": [
      "before",
      "after"
    ]
  },
  "readings/*/tap": {
    "label": "Speed tap",
    "help": "Which tap or setting was energised.",
    "term": "speed-tap",
    "choices": [
      "one speed",
      "high tap",
      "medium tap",
      "low tap",
      "on a regulator"
    ]
  },
  "readings/*/signal": {
    "label": "Command",
    "help": "Share of the command's range; 5 V of 0-10 V is 50 %.",
    "quantity": "signal",
    "basis": "measured"
  },
  "readings/*/frequency": {
    "label": "Hertz at the motor",
    "help": "Where it is not the plate's.",
    "quantity": "frequency",
    "basis": "measured"
  },
  "readings/*/duct": {
    "label": "Duct",
    "help": "Damper, filter and panels while the set was read.",
    "choices": [
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
    "help": "A set from when nothing was wrong is the yardstick of the cause ladder.",
    "term": "yardstick",
    "choices": [
      "yes",
      "no"
    ]
  },
  "readings/*/running": {
    "label": "Running for",
    "help": "A cold motor reads other amps and speed.",
    "quantity": "running_time",
    "basis": "measured"
  },
  "readings/*/taken_at": {
    "label": "When",
    "help": "Year-month-day hour:minute, for example 2026-03-01 14:30.",
    "time": true
  },
  "readings/*/taken_by": {
    "label": "By whom",
    "help": ""
  },
  "readings/*/note": {
    "label": "Note",
    "help": ""
  },
  "readings/*/point": {
    "label": "Electrical readings at",
    "help": "A drive's input is not the motor.",
    "choices": [
      "supply",
      "drive input",
      "drive output",
      "winding"
    ]
  },
  "readings/*/meter": {
    "label": "Meter",
    "help": "What it can read depends on the waveform.",
    "choices": [
      "average-responding",
      "true-rms",
      "true-rms, low-pass"
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
  "readings/*/power_factor": {
    "label": "Power factor",
    "help": "Only where a meter showed it.",
    "quantity": "read_power_factor",
    "basis": "measured",
    "term": "power-factor"
  },
  "readings/*/speed": {
    "label": "Speed",
    "help": "Tachometer at the motor's shaft.",
    "quantity": "speed",
    "basis": "measured"
  },
  "readings/*/fan_speed": {
    "label": "Fan speed",
    "help": "Behind a belt.",
    "quantity": "speed",
    "basis": "measured"
  },
  "readings/*/start_current": {
    "label": "Start-winding amps",
    "help": "Clamp on the lead between capacitor and motor.",
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/run_capacitor_volts": {
    "label": "Volts across the capacitor",
    "help": "Its own terminals, running; above line volts.",
    "quantity": "capacitor_voltage",
    "basis": "measured",
    "term": "run-capacitor"
  },
  "readings/*/voltage_12": {
    "label": "Volts 1-2",
    "help": "Line to line.",
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/voltage_23": {
    "label": "Volts 2-3",
    "help": "Line to line.",
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/voltage_31": {
    "label": "Volts 3-1",
    "help": "Line to line.",
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/current_1": {
    "label": "Amps 1",
    "help": "One conductor in the clamp.",
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/current_2": {
    "label": "Amps 2",
    "help": "One conductor in the clamp.",
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/current_3": {
    "label": "Amps 3",
    "help": "One conductor in the clamp.",
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/highest_to_ground": {
    "label": "Highest leg to ground",
    "help": "208 V on one leg of a 240 V delta is a high leg.",
    "quantity": "voltage",
    "basis": "measured",
    "term": "high-leg"
  },
  "readings/*/command_volts": {
    "label": "Command volts",
    "help": "24 V tap to common, called.",
    "quantity": "command_voltage",
    "basis": "measured"
  },
  "readings/*/supply_static": {
    "label": "Static, supply",
    "help": "After the fan, against the room; 0 if it blows free.",
    "quantity": "supply_static_pressure",
    "basis": "measured",
    "term": "static-pressure"
  },
  "readings/*/return_static": {
    "label": "Static, return",
    "help": "Before the fan: below the room, so with a minus.",
    "quantity": "return_static_pressure",
    "basis": "measured",
    "term": "static-pressure"
  },
  "readings/*/total_static": {
    "label": "Static across",
    "help": "Both hoses on one manometer: total external static.",
    "quantity": "pressure",
    "basis": "measured",
    "term": "total-static"
  },
  "readings/*/statics_hold": {
    "label": "Between the taps",
    "help": "What the two taps have between them besides the fan.",
    "choices": [
      "neither filter nor coil",
      "filter",
      "coil",
      "filter and coil"
    ]
  },
  "readings/*/filter_drop": {
    "label": "Across the filter",
    "help": "Both sides of it.",
    "quantity": "pressure",
    "basis": "measured",
    "term": "filter-drop"
  },
  "readings/*/coil_drop": {
    "label": "Across the coil",
    "help": "Both sides of it.",
    "quantity": "pressure",
    "basis": "measured",
    "term": "coil-drop"
  },
  "readings/*/airflow": {
    "label": "Airflow",
    "help": "Only if it was measured: traverse, hood or flow station.",
    "quantity": "airflow",
    "basis": "measured"
  },
  "readings/*/flow_by": {
    "label": "Measured by",
    "help": "Hood, traverse or flow station.",
    "choices": [
      "hood",
      "traverse",
      "flow station"
    ]
  },
  "readings/*/entering": {
    "label": "Air entering",
    "help": "Before heater or coil.",
    "quantity": "temperature",
    "basis": "measured"
  },
  "readings/*/leaving": {
    "label": "Air leaving",
    "help": "Mixed, out of sight of the heat exchanger.",
    "quantity": "temperature",
    "basis": "measured"
  },
  "readings/*/fuel_heat": {
    "label": "Fuel burned",
    "help": "Clocked at the meter, as heat.",
    "quantity": "heat_input",
    "basis": "measured"
  },
  "readings/*/fuel_efficiency": {
    "label": "Its efficiency",
    "help": "Off the appliance's plate.",
    "quantity": "efficiency",
    "basis": "plate"
  },
  "readings/*/heater_volts": {
    "label": "Heater volts",
    "help": "At the electric heater.",
    "quantity": "voltage",
    "basis": "measured"
  },
  "readings/*/heater_amps": {
    "label": "Heater amps",
    "help": "Single-phase, one conductor.",
    "quantity": "current",
    "basis": "measured"
  },
  "readings/*/coil_is_wet": {
    "label": "Is the coil wet?",
    "help": "A wet coil takes heat that no thermometer shows.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "readings/*/in_sight": {
    "label": "Does the thermometer see the heater?",
    "help": "Radiant heat makes it read high.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "readings/*/suction": {
    "label": "Suction",
    "help": "Gauge; below the room with a minus.",
    "quantity": "gauge_pressure",
    "basis": "measured"
  },
  "readings/*/discharge": {
    "label": "Discharge",
    "help": "Gauge, at the same height.",
    "quantity": "gauge_pressure",
    "basis": "measured"
  },
  "readings/*/pump_differential": {
    "label": "Pump differential",
    "help": "Discharge less suction, gauges at one height.",
    "quantity": "pump_differential",
    "basis": "measured",
    "term": "pump-differential"
  },
  "readings/*/water_flow": {
    "label": "Water flow",
    "help": "Only if it was measured.",
    "quantity": "water_flow",
    "basis": "measured"
  },
  "readings/*/capacitance": {
    "label": "Capacitor, out of circuit",
    "help": "Discharged, both leads off, on a capacitance meter.",
    "quantity": "capacitance",
    "basis": "measured",
    "term": "out-of-circuit"
  },
  "readings/*/shell": {
    "label": "Motor shell",
    "help": "After half an hour of running.",
    "quantity": "shell_temperature",
    "basis": "measured"
  },
  "readings/*/air": {
    "label": "Air at the motor",
    "help": "Beside it.",
    "quantity": "temperature",
    "basis": "measured"
  },
  "checks/sound": {
    "label": "What does it do when called?",
    "help": "Listen first. Never help a wheel round by hand under power.",
    "choices": [
      "hums",
      "silent",
      "clicks"
    ]
  },
  "checks/line_volts": {
    "label": "Are line volts there?",
    "help": "At the motor's own terminals, while it is called.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "checks/all_phases": {
    "label": "Are all three lines there?",
    "help": "Line to line, three readings alike.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "checks/turns": {
    "label": "Does the shaft turn by hand?",
    "help": "Power off, locked out, wheel secured against windmilling.",
    "term": "windmilling",
    "choices": [
      "free",
      "stiff",
      "stuck"
    ]
  },
  "checks/capacitance": {
    "label": "Run capacitor, out of circuit",
    "help": "Discharged, both leads off.",
    "quantity": "capacitance",
    "basis": "measured",
    "term": "out-of-circuit"
  },
  "checks/start_capacitor": {
    "label": "Start capacitor",
    "help": "Discharged; by a meter, and by its look.",
    "choices": [
      "good",
      "bad"
    ]
  },
  "checks/switch": {
    "label": "Start switch or relay",
    "help": "Contacts clean, spring free; relay coil not open.",
    "choices": [
      "good",
      "stuck or burnt"
    ]
  },
  "checks/thermal": {
    "label": "Thermal switch",
    "help": "Between its own leads, or common to both windings.",
    "choices": [
      "closed",
      "open and hot",
      "open and cold"
    ]
  },
  "checks/permanent": {
    "label": "Does the supply stay on?",
    "help": "An electronic motor's line is never switched to control it.",
    "term": "permanent-supply",
    "choices": [
      "yes",
      "no"
    ]
  },
  "checks/command": {
    "label": "Is a command there?",
    "help": "Tap to common, 24 V or the signal's volts, while called.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "checks/right_tap": {
    "label": "Is it on the right tap?",
    "help": "As the call → tap table on Plate says.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "checks/enable": {
    "label": "Are enable and voltage link right?",
    "help": "Link for the volts measured; enable closed.",
    "term": "link",
    "choices": [
      "yes",
      "no"
    ]
  },
  "checks/module": {
    "label": "Is the module a separate part?",
    "help": "Held by screws, with a plug between.",
    "choices": [
      "separate",
      "one piece"
    ]
  },
  "checks/fault_word": {
    "label": "Fault word or code",
    "help": "As the drive or module shows it; as text."
  },
  "checks/drive_output": {
    "label": "Are volts at the drive's output?",
    "help": "With a meter made for it; motor disconnected.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "checks/overload": {
    "label": "Overload",
    "help": "Relay, breaker or the drive's own.",
    "term": "overload",
    "choices": [
      "closed",
      "tripped"
    ]
  },
  "marks/*/finding": {
    "label": "Finding",
    "help": ""
  },
  "marks/*/note": {
    "label": "Note",
    "help": ""
  },
  "marks/*/who": {
    "label": "Who",
    "help": ""
  },
  "marks/*/at": {
    "label": "When",
    "help": "",
    "time": true
  },
  "duty/steps/*/name": {
    "label": "Step",
    "help": "What the machine does in these hours.",
    "term": "duty-step"
  },
  "duty/steps/*/call": {
    "label": "Called by",
    "help": "The call that energises this step.",
    "choices": [
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
    "help": "All steps together at most 8,784.",
    "quantity": "hours",
    "basis": "estimated",
    "term": "duty-step"
  },
  "duty/steps/*/hours_from": {
    "label": "Hours from",
    "help": "Typed, a thermostat's cycles, a logger, or a template.",
    "choices": [
      "typed",
      "thermostat",
      "logger",
      "template, assumed"
    ]
  },
  "duty/steps/*/hours_spread": {
    "label": "Hours ±",
    "help": "At 95 %; a tenth where nothing is said.",
    "quantity": "tolerance",
    "basis": "estimated"
  },
  "duty/steps/*/cycles": {
    "label": "Cycles an hour",
    "help": "Starts in an hour of the season.",
    "quantity": "cycles_per_hour",
    "basis": "measured"
  },
  "duty/steps/*/minutes": {
    "label": "Minutes a cycle",
    "help": "Running time of one start.",
    "quantity": "cycle_minutes",
    "basis": "measured"
  },
  "duty/steps/*/season": {
    "label": "Season",
    "help": "Days a year in which it cycles so.",
    "quantity": "season",
    "basis": "estimated"
  },
  "duty/steps/*/wants": {
    "label": "Flow said as",
    "help": "A share of full flow where nothing is said.",
    "choices": [
      "share of full flow",
      "share of the wanted flow",
      "a flow",
      "a tap",
      "as it runs now"
    ]
  },
  "duty/steps/*/flow_share": {
    "label": "Share of full flow",
    "help": "Full flow is that of the machine put right, on its highest setting.",
    "quantity": "flow_share",
    "basis": "estimated"
  },
  "duty/steps/*/design_share": {
    "label": "Share of the wanted flow",
    "help": "Wanted flow as on Readings.",
    "quantity": "design_share",
    "basis": "typed"
  },
  "duty/steps/*/airflow": {
    "label": "Airflow",
    "help": "",
    "quantity": "airflow",
    "basis": "typed"
  },
  "duty/steps/*/water_flow": {
    "label": "Water flow",
    "help": "",
    "quantity": "water_flow",
    "basis": "typed"
  },
  "duty/steps/*/tap": {
    "label": "On its tap",
    "help": "",
    "term": "speed-tap",
    "choices": [
      "one speed",
      "high tap",
      "medium tap",
      "low tap",
      "on a regulator"
    ]
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
  "duty/system_exponent": {
    "label": "Exponent of duct or pipe",
    "help": "Pressure against flow: near 1.9 ± 0.1 where nothing is said; 2 where dampers and fittings rule.",
    "quantity": "system_exponent",
    "basis": "estimated",
    "term": "system-curve"
  },
  "duty/static_lift": {
    "label": "Static lift",
    "help": "Height the water is lifted; 0 in a closed circuit.",
    "quantity": "static_lift",
    "basis": "estimated",
    "term": "static-lift"
  },
  "duty/machines": {
    "label": "Machines alike, side by side",
    "help": "Readings are of one of them, all running.",
    "quantity": "machines",
    "basis": "measured"
  },
  "duty/tariff": {
    "label": "Tariff",
    "help": "Flat where nothing is said.",
    "choices": [
      "flat",
      "seasonal"
    ]
  },
  "duty/energy_price": {
    "label": "Energy price",
    "help": "Per kWh, taxes as the customer pays them; of a seasonal one, in winter.",
    "quantity": "energy_price",
    "basis": "typed"
  },
  "duty/summer_price": {
    "label": "Energy price, summer",
    "help": "Per kWh.",
    "quantity": "energy_price",
    "basis": "typed"
  },
  "duty/summer_share": {
    "label": "Running hours in summer",
    "help": "Share of the hours that fall under the summer price.",
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "duty/starts": {
    "label": "Starts a year",
    "help": "Of switch or logger; a thermostat's cycles are added by themselves.",
    "quantity": "starts",
    "basis": "estimated"
  },
  "duty/run_up": {
    "label": "Seconds to full speed",
    "help": "From rest, of the motor of today.",
    "quantity": "run_up",
    "basis": "estimated"
  },
  "duty/inrush": {
    "label": "Inrush amps",
    "help": "Highest while it starts; the fitted motor's where nothing was read.",
    "quantity": "current",
    "basis": "measured",
    "term": "inrush"
  },
  "duty/circulation": {
    "label": "How does the fan run between calls?",
    "help": "As the customer runs it now; the other is shown with its kWh.",
    "choices": [
      "automatic",
      "always on"
    ]
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
  "duty/refrigerated": {
    "label": "In a refrigerated room?",
    "help": "There every watt saved is saved again in the compressor, all the hours it runs.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "duty/heated_share": {
    "label": "Hours in which it is heated",
    "help": "Share of the hours it runs.",
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "duty/heat_price": {
    "label": "Price of heat or fuel",
    "help": "Per kWh of heat, or of fuel.",
    "quantity": "energy_price",
    "basis": "typed"
  },
  "duty/heat_efficiency": {
    "label": "Efficiency of the heater",
    "help": "Where the price is that of fuel; empty for heat.",
    "quantity": "efficiency",
    "basis": "plate"
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
    "basis": "estimated",
    "term": "cop"
  },
  "duty/remaining_life": {
    "label": "Years left in the machine",
    "help": "Of the blower, fan or pump: nothing is saved after it.",
    "quantity": "life",
    "basis": "estimated"
  },
  "duty/logged": {
    "label": "What the logger said",
    "help": ""
  },
  "duty/currency": {
    "label": "Currency",
    "help": "Three letters, for example USD or EUR."
  },
  "options/considered/*/kind": {
    "label": "Kind of option",
    "help": "",
    "choices": [
      "keep",
      "same kind",
      "another tap",
      "voltage regulator",
      "capacitor motor on a controller",
      "electronic, torque taps",
      "electronic, airflow held",
      "electronic",
      "electronic, one speed",
      "external-rotor fan",
      "drive",
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
  "options/considered/*/name": {
    "label": "Called",
    "help": "Where several are of one kind."
  },
  "options/considered/*/product/code": {
    "label": "Code",
    "help": "Small letters, figures and dashes."
  },
  "options/considered/*/product/type": {
    "label": "Type",
    "help": "",
    "choices": [
      "motor",
      "module",
      "drive",
      "regulator",
      "fan",
      "pump"
    ]
  },
  "options/considered/*/product/name": {
    "label": "Name",
    "help": "What it is, without a make."
  },
  "options/considered/*/product/motor_kind": {
    "label": "Kind of motor",
    "help": "",
    "choices": [
      "split-capacitor",
      "single-phase",
      "shaded-pole",
      "three-phase",
      "electronic"
    ]
  },
  "options/considered/*/product/holds": {
    "label": "What it holds",
    "help": "Electronic ones only.",
    "term": "electronic-motor",
    "choices": [
      "torque",
      "airflow",
      "speed",
      "pressure"
    ]
  },
  "options/considered/*/product/rated_power": {
    "label": "Rated power",
    "help": "At the shaft; of a drive, of its motor.",
    "quantity": "rated_power",
    "basis": "plate",
    "term": "rated-power"
  },
  "options/considered/*/product/rated_voltage": {
    "label": "Rated volts",
    "help": "A range is kept whole.",
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "options/considered/*/product/other_voltage": {
    "label": "Volts, other link",
    "help": "Of a dual-voltage product.",
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "options/considered/*/product/phases": {
    "label": "Phases",
    "help": "Of its supply.",
    "choices": [
      1,
      3
    ]
  },
  "options/considered/*/product/frequency": {
    "label": "Frequency",
    "help": "",
    "quantity": "frequency",
    "basis": "plate"
  },
  "options/considered/*/product/rated_speed": {
    "label": "Rated speed",
    "help": "",
    "quantity": "rated_speed",
    "basis": "plate",
    "term": "rated-speed"
  },
  "options/considered/*/product/rated_current": {
    "label": "Full-load amps",
    "help": "",
    "quantity": "rated_current",
    "basis": "plate",
    "term": "full-load-amps"
  },
  "options/considered/*/product/other_current": {
    "label": "Amps, other link",
    "help": "Those that go with the other volts; in proportion where left empty.",
    "quantity": "rated_current",
    "basis": "plate"
  },
  "options/considered/*/product/nominal_efficiency": {
    "label": "Nominal efficiency",
    "help": "At rated load.",
    "quantity": "efficiency",
    "basis": "plate",
    "term": "nominal-efficiency"
  },
  "options/considered/*/product/least_efficiency": {
    "label": "Guaranteed efficiency",
    "help": "The least that its maker stands for; savings count on it too.",
    "quantity": "efficiency",
    "basis": "plate"
  },
  "options/considered/*/product/power_factor": {
    "label": "Power factor",
    "help": "True, at rated load.",
    "quantity": "read_power_factor",
    "basis": "plate",
    "term": "power-factor"
  },
  "options/considered/*/product/service_factor": {
    "label": "Service factor",
    "help": "",
    "quantity": "service_factor",
    "basis": "plate",
    "term": "service-factor"
  },
  "options/considered/*/product/code_letter": {
    "label": "Code letter",
    "help": "Locked-rotor code, A to V.",
    "term": "code-letter"
  },
  "options/considered/*/product/run_capacitance": {
    "label": "Run capacitor",
    "help": "",
    "quantity": "capacitance",
    "basis": "plate",
    "term": "run-capacitor"
  },
  "options/considered/*/product/capacitor_voltage": {
    "label": "Run capacitor volts",
    "help": "",
    "quantity": "capacitor_voltage",
    "basis": "plate"
  },
  "options/considered/*/product/frame": {
    "label": "Frame",
    "help": "With its suffix.",
    "term": "frame"
  },
  "options/considered/*/product/shaft_diameter": {
    "label": "Shaft diameter",
    "help": "",
    "quantity": "dimension",
    "basis": "plate"
  },
  "options/considered/*/product/shaft_length": {
    "label": "Shaft length",
    "help": "",
    "quantity": "dimension",
    "basis": "plate"
  },
  "options/considered/*/product/keyway": {
    "label": "Keyway",
    "help": "A flat counts as none.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/considered/*/product/mounting": {
    "label": "Mounting",
    "help": "",
    "choices": [
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
  "options/considered/*/product/rotation": {
    "label": "Rotation",
    "help": "Facing the shaft end.",
    "choices": [
      "clockwise",
      "counter-clockwise",
      "reversible"
    ]
  },
  "options/considered/*/product/enclosure": {
    "label": "Enclosure",
    "help": "IP54, or TEFC, TEAO, ODP.",
    "term": "ip-code"
  },
  "options/considered/*/product/air_over": {
    "label": "Needs the machine's air",
    "help": "Air-over motors are cooled by the wheel alone.",
    "term": "air-over",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/considered/*/product/shaft_up": {
    "label": "May stand shaft up",
    "help": "",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/considered/*/product/drive_ready": {
    "label": "Insulation made for a drive",
    "help": "",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/considered/*/product/torque_taps": {
    "label": "Torque taps",
    "help": "",
    "choices": [
      2,
      3,
      4,
      5,
      6,
      8
    ]
  },
  "options/considered/*/product/command": {
    "label": "Command",
    "help": "What it is told by.",
    "choices": [
      "switched line",
      "24 V calls",
      "0-10 V",
      "dial",
      "none"
    ]
  },
  "options/considered/*/product/least_speed": {
    "label": "Least speed",
    "help": "Share of rated speed.",
    "quantity": "command",
    "basis": "plate"
  },
  "options/considered/*/product/highest_speed": {
    "label": "Highest speed",
    "help": "Of wheel and bearings.",
    "quantity": "speed",
    "basis": "plate"
  },
  "options/considered/*/product/standby": {
    "label": "Standby power",
    "help": "With the rotor still.",
    "quantity": "standby_power",
    "basis": "plate"
  },
  "options/considered/*/product/single_phase_input": {
    "label": "May be fed with one phase",
    "help": "A drive.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/considered/*/product/listed_for_replacement": {
    "label": "Listed as a replacement",
    "help": "By an appliance's maker or a listing.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/considered/*/product/blower_constants": {
    "label": "Taught this blower",
    "help": "An airflow-holding motor must know its wheel.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/considered/*/product/curve/*/airflow": {
    "label": "Airflow",
    "help": "",
    "quantity": "airflow",
    "basis": "plate"
  },
  "options/considered/*/product/curve/*/water_flow": {
    "label": "Water flow",
    "help": "",
    "quantity": "water_flow",
    "basis": "plate"
  },
  "options/considered/*/product/curve/*/pressure": {
    "label": "Pressure",
    "help": "Static pressure of a fan.",
    "quantity": "pressure",
    "basis": "plate"
  },
  "options/considered/*/product/curve/*/head": {
    "label": "Head",
    "help": "Differential of a pump.",
    "quantity": "pump_differential",
    "basis": "plate"
  },
  "options/considered/*/product/curve/*/shaft_power": {
    "label": "Shaft power",
    "help": "",
    "quantity": "shaft_power",
    "basis": "plate"
  },
  "options/considered/*/product/curve_speed": {
    "label": "Speed of the curve",
    "help": "",
    "quantity": "speed",
    "basis": "plate"
  },
  "options/considered/*/product/price": {
    "label": "Price",
    "help": "In the catalogue's currency, without labour.",
    "quantity": "price",
    "basis": "typed"
  },
  "options/considered/*/product/lead_time": {
    "label": "Lead time",
    "help": "",
    "quantity": "lead_time",
    "basis": "typed"
  },
  "options/considered/*/product/van_stock": {
    "label": "In the van",
    "help": "",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/considered/*/product/life": {
    "label": "Stated life",
    "help": "",
    "quantity": "life",
    "basis": "typed"
  },
  "options/considered/*/product/wears": {
    "label": "What wears",
    "help": ""
  },
  "options/considered/*/product/note": {
    "label": "Note",
    "help": ""
  },
  "options/considered/*/price": {
    "label": "Price",
    "help": "Equipment; the whole cost fitted where labour is left empty.",
    "quantity": "cost",
    "basis": "estimated"
  },
  "options/considered/*/labour": {
    "label": "Labour",
    "help": "Fitting, set-up, travel, disposal.",
    "quantity": "cost",
    "basis": "estimated"
  },
  "options/considered/*/rebate": {
    "label": "Rebate",
    "help": "What somebody else pays back.",
    "quantity": "cost",
    "basis": "typed"
  },
  "options/considered/*/life": {
    "label": "Life",
    "help": "Years it is expected to last.",
    "quantity": "life",
    "basis": "estimated"
  },
  "options/considered/*/lead_time": {
    "label": "Lead time",
    "help": "Days until it can be here.",
    "quantity": "lead_time",
    "basis": "estimated"
  },
  "options/considered/*/wears": {
    "label": "What wears",
    "help": ""
  },
  "options/considered/*/tap": {
    "label": "Tap",
    "help": "The tap that it would run on.",
    "term": "speed-tap"
  },
  "options/considered/*/regulator": {
    "label": "How the volts are lowered",
    "help": "",
    "choices": [
      "phase-cut",
      "series resistance",
      "lower volts"
    ]
  },
  "options/considered/*/speed_share": {
    "label": "Wheel's speed",
    "help": "Against today's; empty: just enough.",
    "quantity": "speed_share",
    "basis": "estimated"
  },
  "options/considered/*/diameter_share": {
    "label": "Impeller's diameter",
    "help": "Against today's; empty: just enough.",
    "quantity": "diameter_share",
    "basis": "estimated"
  },
  "options/considered/*/throttle_drop": {
    "label": "Pressure at the throttle",
    "help": "Lost there at full flow.",
    "quantity": "pressure",
    "basis": "measured"
  },
  "options/considered/*/set_pressure": {
    "label": "Pressure that is set",
    "help": "Empty: today's at full flow.",
    "quantity": "pump_differential",
    "basis": "typed"
  },
  "options/waivers/*/option": {
    "label": "Option",
    "help": ""
  },
  "options/waivers/*/check": {
    "label": "Check",
    "help": ""
  },
  "options/waivers/*/who": {
    "label": "Who answers for it",
    "help": "",
    "term": "waiver"
  },
  "options/waivers/*/reason": {
    "label": "Why",
    "help": ""
  },
  "options/waivers/*/at": {
    "label": "When",
    "help": "",
    "time": true
  },
  "options/fitting/phases": {
    "label": "Phases at the machine",
    "help": "Counted at the isolator, not off the plate.",
    "choices": [
      1,
      3
    ]
  },
  "options/fitting/permanent_supply": {
    "label": "Is there a permanent supply?",
    "help": "Line volts that no thermostat or relay switches.",
    "term": "permanent-supply",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/command": {
    "label": "What commands it?",
    "help": "Calls, a signal, a dial, or the line being switched.",
    "choices": [
      "switched line",
      "24 V calls",
      "0-10 V",
      "dial",
      "none"
    ]
  },
  "options/fitting/mounting": {
    "label": "How is the motor held?",
    "help": "",
    "choices": [
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
    "help": "",
    "quantity": "dimension",
    "basis": "measured"
  },
  "options/fitting/shaft_needed": {
    "label": "Shaft length needed",
    "help": "",
    "quantity": "dimension",
    "basis": "measured"
  },
  "options/fitting/keyway": {
    "label": "Keyway in the hub?",
    "help": "A set screw on a flat counts as none.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/attitude": {
    "label": "How does the shaft lie?",
    "help": "",
    "choices": [
      "horizontal",
      "shaft up",
      "shaft down"
    ]
  },
  "options/fitting/outdoors": {
    "label": "Outdoors or wet?",
    "help": "Then a rain shield, and the lowest drain open.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/in_air": {
    "label": "In the machine's air?",
    "help": "Air over the motor while it runs.",
    "term": "air-over",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/altitude": {
    "label": "Altitude",
    "help": "Motors are rated to 1,000 m.",
    "quantity": "altitude",
    "basis": "estimated"
  },
  "options/fitting/highest_speed": {
    "label": "Highest speed of wheel and bearings",
    "help": "",
    "quantity": "speed",
    "basis": "plate"
  },
  "options/fitting/several": {
    "label": "Several motors on one controller?",
    "help": "Each then needs an overload of its own.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/lead_length": {
    "label": "Cable, drive to motor",
    "help": "",
    "quantity": "cable_length",
    "basis": "measured"
  },
  "options/fitting/earth_leakage": {
    "label": "Earth-leakage device",
    "help": "Its type, on its front.",
    "choices": [
      "none",
      "AC",
      "A",
      "F",
      "B"
    ]
  },
  "options/fitting/start_switch": {
    "label": "Has the motor a start switch?",
    "help": "A click as it runs up or down.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/motor_maker_agrees": {
    "label": "Does the motor's maker approve a drive?",
    "help": "In writing. Seen working is not approval.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/drive_maker_agrees": {
    "label": "Does the drive's maker approve this motor?",
    "help": "In writing. Seen working is not approval.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/approvals": {
    "label": "Approvals, where kept",
    "help": ""
  },
  "options/fitting/listing_allows": {
    "label": "Does the appliance's listing allow another kind?",
    "help": "Ask its maker; local code decides as well.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "options/fitting/code_letter": {
    "label": "Code letter that the controller was chosen for",
    "help": "",
    "term": "code-letter"
  },
  "options/repairs": {
    "label": "Put right first",
    "help": "What Findings say; every saving is against the machine put right.",
    "term": "put-right",
    "choices": [
      "run capacitor",
      "wheel",
      "filter",
      "belt"
    ]
  },
  "options/filter_excess": {
    "label": "Filter's drop over a clean one's",
    "help": "What a clean filter gives back at this flow.",
    "quantity": "pressure",
    "basis": "measured",
    "term": "filter-drop"
  },
  "options/wheel_loss": {
    "label": "Pressure lost by the fouled wheel",
    "help": "A fifth is taken where nothing is said.",
    "quantity": "share_of_hours",
    "basis": "estimated"
  },
  "options/repair_cost": {
    "label": "Putting right costs",
    "help": "Shown on its own line.",
    "quantity": "cost",
    "basis": "estimated"
  },
  "options/tightness": {
    "label": "The system, against as found",
    "help": "100 % as found; 140 % with a loaded filter.",
    "quantity": "tightness",
    "basis": "estimated",
    "term": "system-curve"
  },
  "options/loaded_static": {
    "label": "At which static?",
    "help": "What each option moves and draws against it, in place of today's.",
    "quantity": "pressure",
    "basis": "estimated"
  },
  "options/discount_rate": {
    "label": "Discount rate",
    "help": "5 % where nothing is said.",
    "quantity": "discount_rate",
    "basis": "typed",
    "term": "discount-rate"
  },
  "options/escalation": {
    "label": "Energy price rises a year",
    "help": "0 where nothing is said.",
    "quantity": "escalation",
    "basis": "estimated",
    "term": "escalation"
  },
  "decision/chosen": {
    "label": "Chosen",
    "help": "The option's own identifier."
  },
  "decision/why": {
    "label": "Why",
    "help": "In words that the customer reads."
  },
  "decision/left_open": {
    "label": "What is left open",
    "help": "What should still be measured or asked."
  },
  "decision/approvals/*/of": {
    "label": "Of what",
    "help": ""
  },
  "decision/approvals/*/who": {
    "label": "Who gave it",
    "help": ""
  },
  "decision/approvals/*/role": {
    "label": "In which role",
    "help": "For example: code authority, motor's maker, owner."
  },
  "decision/approvals/*/at": {
    "label": "When",
    "help": "",
    "time": true
  },
  "decision/made_for": {
    "label": "For whom",
    "help": "Who reads the report."
  },
  "decision/made_by": {
    "label": "By whom",
    "help": "Who answers for it."
  },
  "setup/tolerance": {
    "label": "Tolerance of flow",
    "help": "± 5 % where nothing is said.",
    "quantity": "tolerance",
    "basis": "typed"
  },
  "setup/first_volts": {
    "label": "Volts measured here",
    "help": "At this machine, before power is put on the motor.",
    "quantity": "voltage",
    "basis": "measured"
  },
  "setup/second_volts": {
    "label": "The same, measured again",
    "help": "Typed a second time from the meter, not from memory.",
    "quantity": "voltage",
    "basis": "measured"
  },
  "setup/link": {
    "label": "Link or tap is set for",
    "help": "As it stands on the new motor: 115, 208-230, 277 V.",
    "quantity": "rated_voltage",
    "basis": "plate",
    "term": "link"
  },
  "setup/device": {
    "label": "Device",
    "help": "The drive or electronic motor that is set."
  },
  "setup/panel": {
    "label": "Meter panel",
    "help": "The panel that is read at this machine."
  },
  "setup/rotation_output": {
    "label": "Rotation from the drive",
    "help": "Facing the shaft end, as the wheel's arrow.",
    "choices": [
      "right",
      "wrong"
    ]
  },
  "setup/rotation_bypass": {
    "label": "Rotation on the bypass",
    "help": "",
    "choices": [
      "right",
      "wrong",
      "no bypass"
    ]
  },
  "setup/signs/*/step": {
    "label": "Step",
    "help": ""
  },
  "setup/signs/*/found": {
    "label": "What was found",
    "help": ""
  },
  "setup/signs/*/basis": {
    "label": "Signed on",
    "help": "What the step showed when it was signed."
  },
  "setup/signs/*/who": {
    "label": "Who",
    "help": ""
  },
  "setup/signs/*/at": {
    "label": "When",
    "help": "",
    "time": true
  },
  "setup/trials/*/step": {
    "label": "Duty step",
    "help": ""
  },
  "setup/trials/*/signal": {
    "label": "Command",
    "help": "Share of full; 5 V of 0-10 V is 50 %.",
    "quantity": "signal",
    "basis": "measured"
  },
  "setup/trials/*/frequency": {
    "label": "Hertz",
    "help": "At the drive's output.",
    "quantity": "output_frequency",
    "basis": "measured"
  },
  "setup/trials/*/tap": {
    "label": "Torque tap",
    "help": "",
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
    "help": "Where it stood; with the duct off at the unit it is a test.",
    "choices": [
      "part open",
      "wide open",
      "duct off at the unit"
    ]
  },
  "setup/trials/*/airflow": {
    "label": "Airflow",
    "help": "Hood, traverse or flow station.",
    "quantity": "airflow",
    "basis": "measured"
  },
  "setup/trials/*/water_flow": {
    "label": "Water flow",
    "help": "",
    "quantity": "water_flow",
    "basis": "measured"
  },
  "setup/trials/*/static": {
    "label": "Static across",
    "help": "In place of a flow: on the duct's own curve.",
    "quantity": "pressure",
    "basis": "measured"
  },
  "setup/trials/*/current": {
    "label": "Line amps",
    "help": "In place of a flow: by the amps chart.",
    "quantity": "current",
    "basis": "measured"
  },
  "setup/trials/*/rise": {
    "label": "Temperature rise",
    "help": "In place of a flow: with the heat as said on Readings.",
    "quantity": "temperature_difference",
    "basis": "measured"
  },
  "setup/trials/*/source": {
    "label": "Read from",
    "help": "A person, or a device."
  },
  "setup/trials/*/who": {
    "label": "Who",
    "help": ""
  },
  "setup/trials/*/at": {
    "label": "When",
    "help": "",
    "time": true
  },
  "setup/sweep/cleared": {
    "label": "Old skips cleared?",
    "help": "A band that is skipped is never heard.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "setup/sweep/low": {
    "label": "From",
    "help": "Empty: the lowest that the drive may run.",
    "quantity": "output_frequency",
    "basis": "typed"
  },
  "setup/sweep/high": {
    "label": "To",
    "help": "Empty: the highest.",
    "quantity": "output_frequency",
    "basis": "typed"
  },
  "setup/sweep/step": {
    "label": "In steps of",
    "help": "1 Hz where nothing is said.",
    "quantity": "step_frequency",
    "basis": "typed"
  },
  "setup/sweep/hold": {
    "label": "Hold each for",
    "help": "4 s where nothing is said.",
    "quantity": "hold_time",
    "basis": "typed"
  },
  "setup/sweep/margin": {
    "label": "Margin beside",
    "help": "Half a step where nothing is said.",
    "quantity": "margin_frequency",
    "basis": "typed"
  },
  "setup/sweep/limit": {
    "label": "Loud from",
    "help": "Only where a level is read; an ear marks by itself.",
    "quantity": "sound_level",
    "basis": "typed"
  },
  "setup/sweep/swept_up": {
    "label": "Swept up?",
    "help": "",
    "choices": [
      "yes",
      "no"
    ]
  },
  "setup/sweep/swept_down": {
    "label": "Swept down?",
    "help": "",
    "choices": [
      "yes",
      "no"
    ]
  },
  "setup/sweep/marks/*/frequency": {
    "label": "Loud at",
    "help": "",
    "quantity": "output_frequency",
    "basis": "measured"
  },
  "setup/sweep/marks/*/level": {
    "label": "Sound level",
    "help": "",
    "quantity": "sound_level",
    "basis": "measured"
  },
  "setup/sweep/marks/*/going": {
    "label": "On the way",
    "help": "",
    "choices": [
      "up",
      "down"
    ]
  },
  "setup/sweep/marks/*/who": {
    "label": "Who",
    "help": ""
  },
  "setup/sweep/marks/*/at": {
    "label": "When",
    "help": "",
    "time": true
  },
  "setup/drive/mode": {
    "label": "Control mode",
    "help": "Volts per hertz where nothing is said.",
    "choices": [
      "volts per hertz",
      "vector, without encoder",
      "permanent magnet, without encoder",
      "with encoder"
    ]
  },
  "setup/drive/shape": {
    "label": "Volts over hertz",
    "help": "Straight where nothing is said.",
    "choices": [
      "straight",
      "square"
    ]
  },
  "setup/drive/base_frequency": {
    "label": "Base frequency",
    "help": "Empty: the motor's plate.",
    "quantity": "output_frequency",
    "basis": "plate"
  },
  "setup/drive/base_voltage": {
    "label": "Base volts",
    "help": "Empty: the motor's plate.",
    "quantity": "rated_voltage",
    "basis": "plate"
  },
  "setup/drive/trim": {
    "label": "Volts trim",
    "help": "Over or under the straight line.",
    "quantity": "volts_trim",
    "basis": "typed"
  },
  "setup/drive/carrier": {
    "label": "Carrier frequency",
    "help": "4 kHz where nothing is said.",
    "quantity": "carrier_frequency",
    "basis": "typed",
    "term": "carrier"
  },
  "setup/drive/lowest": {
    "label": "Lowest hertz",
    "help": "Never below what is worked out, but for a capacitor motor both of whose makers agreed.",
    "quantity": "output_frequency",
    "basis": "typed"
  },
  "setup/drive/highest": {
    "label": "Highest hertz",
    "help": "Never above what is worked out.",
    "quantity": "output_frequency",
    "basis": "typed"
  },
  "setup/drive/ramp_up": {
    "label": "Ramp up",
    "help": "",
    "quantity": "ramp",
    "basis": "typed"
  },
  "setup/drive/ramp_down": {
    "label": "Ramp down",
    "help": "",
    "quantity": "ramp",
    "basis": "typed"
  },
  "setup/drive/new_current": {
    "label": "Full-load amps, new plate",
    "help": "Of the motor that it feeds.",
    "quantity": "rated_current",
    "basis": "plate"
  },
  "setup/drive/new_speed": {
    "label": "Rated speed, new plate",
    "help": "",
    "quantity": "rated_speed",
    "basis": "plate"
  },
  "setup/loop/holds": {
    "label": "What is it to hold?",
    "help": "Nothing where each step has its own speed.",
    "choices": [
      "a duct's static",
      "a differential pressure",
      "a coil's temperature difference",
      "a level",
      "a space temperature"
    ]
  },
  "setup/loop/raises": {
    "label": "More speed",
    "help": "Where the kind does not settle it.",
    "choices": [
      "raises it",
      "lowers it"
    ]
  },
  "setup/loop/place": {
    "label": "The sensor sits",
    "help": "The nearer to the unit, the less it saves at part flow.",
    "choices": [
      "at the unit",
      "two thirds along",
      "at the farthest outlet"
    ]
  },
  "setup/loop/left": {
    "label": "Pressure at the sensor",
    "help": "Share of the static across, read at once at full flow.",
    "quantity": "pressure_left",
    "basis": "measured"
  },
  "setup/loop/tank_area": {
    "label": "Surface of the tank",
    "help": "",
    "quantity": "tank_area",
    "basis": "measured"
  },
  "setup/loop/pressure/set_point": {
    "label": "Set point",
    "help": "",
    "quantity": "pressure",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/pressure/span": {
    "label": "The sensor's range",
    "help": "From its lowest to its highest reading: what stands for 0 and 100 %.",
    "quantity": "pressure",
    "basis": "plate"
  },
  "setup/loop/pressure/before": {
    "label": "Value before the step",
    "help": "",
    "quantity": "pressure",
    "basis": "measured"
  },
  "setup/loop/pressure/after": {
    "label": "Value when it stands again",
    "help": "",
    "quantity": "pressure",
    "basis": "measured"
  },
  "setup/loop/differential/set_point": {
    "label": "Set point",
    "help": "",
    "quantity": "pump_differential",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/differential/span": {
    "label": "The sensor's range",
    "help": "From its lowest to its highest reading: what stands for 0 and 100 %.",
    "quantity": "pump_differential",
    "basis": "plate"
  },
  "setup/loop/differential/before": {
    "label": "Value before the step",
    "help": "",
    "quantity": "pump_differential",
    "basis": "measured"
  },
  "setup/loop/differential/after": {
    "label": "Value when it stands again",
    "help": "",
    "quantity": "pump_differential",
    "basis": "measured"
  },
  "setup/loop/difference/set_point": {
    "label": "Set point",
    "help": "",
    "quantity": "temperature_difference",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/difference/span": {
    "label": "The sensor's range",
    "help": "From its lowest to its highest reading: what stands for 0 and 100 %.",
    "quantity": "temperature_difference",
    "basis": "plate"
  },
  "setup/loop/difference/before": {
    "label": "Value before the step",
    "help": "",
    "quantity": "temperature_difference",
    "basis": "measured"
  },
  "setup/loop/difference/after": {
    "label": "Value when it stands again",
    "help": "",
    "quantity": "temperature_difference",
    "basis": "measured"
  },
  "setup/loop/level/set_point": {
    "label": "Set point",
    "help": "",
    "quantity": "level",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/level/span": {
    "label": "The sensor's range",
    "help": "From its lowest to its highest reading: what stands for 0 and 100 %.",
    "quantity": "level",
    "basis": "plate"
  },
  "setup/loop/level/before": {
    "label": "Value before the step",
    "help": "",
    "quantity": "level",
    "basis": "measured"
  },
  "setup/loop/level/after": {
    "label": "Value when it stands again",
    "help": "",
    "quantity": "level",
    "basis": "measured"
  },
  "setup/loop/temperature/set_point": {
    "label": "Set point",
    "help": "",
    "quantity": "temperature",
    "basis": "typed",
    "term": "set-point"
  },
  "setup/loop/temperature/span": {
    "label": "The sensor's range",
    "help": "From its lowest to its highest reading: what stands for 0 and 100 %.",
    "quantity": "temperature_difference",
    "basis": "plate"
  },
  "setup/loop/temperature/before": {
    "label": "Value before the step",
    "help": "",
    "quantity": "temperature",
    "basis": "measured"
  },
  "setup/loop/temperature/after": {
    "label": "Value when it stands again",
    "help": "",
    "quantity": "temperature",
    "basis": "measured"
  },
  "setup/loop/hertz_before": {
    "label": "Hertz before the step",
    "help": "",
    "quantity": "output_frequency",
    "basis": "measured"
  },
  "setup/loop/hertz_after": {
    "label": "Hertz after it",
    "help": "",
    "quantity": "output_frequency",
    "basis": "measured"
  },
  "setup/loop/signal_before": {
    "label": "Command before the step",
    "help": "",
    "quantity": "signal",
    "basis": "measured"
  },
  "setup/loop/signal_after": {
    "label": "Command after it",
    "help": "",
    "quantity": "signal",
    "basis": "measured"
  },
  "setup/loop/began": {
    "label": "It began to move after",
    "help": "From the step of the command.",
    "quantity": "loop_time",
    "basis": "measured",
    "term": "step-test"
  },
  "setup/loop/two_thirds": {
    "label": "Two thirds of its way after",
    "help": "From the same instant.",
    "quantity": "loop_time",
    "basis": "measured",
    "term": "process-lag"
  },
  "setup/loop/tries/*/gain": {
    "label": "Gain as set",
    "help": "% of full command for each % of the range.",
    "quantity": "loop_gain",
    "basis": "typed",
    "term": "gain"
  },
  "setup/loop/tries/*/integral": {
    "label": "Integral time as set",
    "help": "",
    "quantity": "loop_time",
    "basis": "typed",
    "term": "gain"
  },
  "setup/loop/tries/*/seen": {
    "label": "What was seen",
    "help": "Move the set point by a tenth of the range, and watch.",
    "choices": [
      "it settles without swinging",
      "a swing or two, then still",
      "many swings that die away",
      "swings that go on",
      "still on its way after minutes"
    ]
  },
  "setup/loop/tries/*/period": {
    "label": "One whole swing takes",
    "help": "From top to top.",
    "quantity": "loop_time",
    "basis": "measured"
  },
  "setup/loop/tries/*/who": {
    "label": "Who",
    "help": ""
  },
  "setup/loop/tries/*/at": {
    "label": "When",
    "help": "",
    "time": true
  },
  "setup/loop/on_failure": {
    "label": "When the sensor fails it",
    "help": "Pull its wire, and see.",
    "choices": [
      "stays at its speed",
      "goes to a set speed",
      "stops"
    ]
  },
  "setup/loop/restart": {
    "label": "After a power cut it",
    "help": "",
    "choices": [
      "starts by itself",
      "waits for a hand"
    ]
  },
  "proof/pairs/*/step": {
    "label": "Duty step",
    "help": ""
  },
  "proof/pairs/*/before": {
    "label": "Set before",
    "help": ""
  },
  "proof/pairs/*/after": {
    "label": "Set after",
    "help": ""
  },
  "proof/same_meters": {
    "label": "Same meters before and after?",
    "help": "What one meter is off falls out of a difference; taken as the same where nothing is said.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "proof/filter_changed": {
    "label": "Filter changed meanwhile?",
    "help": "",
    "choices": [
      "yes",
      "no"
    ]
  },
  "proof/damper_changed": {
    "label": "Damper or duct changed meanwhile?",
    "help": "",
    "choices": [
      "yes",
      "no"
    ]
  },
  "proof/season_changed": {
    "label": "Other season?",
    "help": "Other air, other load; said, not corrected.",
    "choices": [
      "yes",
      "no"
    ]
  },
  "proof/cycles_before": {
    "label": "Cycles an hour, before",
    "help": "Comfort, apart from energy.",
    "quantity": "cycles_per_hour",
    "basis": "measured"
  },
  "proof/cycles_after": {
    "label": "Cycles an hour, after",
    "help": "",
    "quantity": "cycles_per_hour",
    "basis": "measured"
  },
  "proof/humidity_before": {
    "label": "Humidity, before",
    "help": "Comfort, apart from energy.",
    "quantity": "humidity",
    "basis": "measured"
  },
  "proof/humidity_after": {
    "label": "Humidity, after",
    "help": "",
    "quantity": "humidity",
    "basis": "measured"
  },
  "proof/logged_days": {
    "label": "Days logged after",
    "help": "By a logger of watts or energy.",
    "quantity": "days",
    "basis": "measured"
  },
  "proof/logged_energy": {
    "label": "Energy logged after",
    "help": "Over those days; what the year's steps are held against.",
    "quantity": "energy",
    "basis": "measured"
  },
  "proof/logged": {
    "label": "What the logger said",
    "help": ""
  },
  "proof/notes": {
    "label": "What else changed",
    "help": ""
  },
  "proof/unread": {
    "label": "Why the other steps were not read",
    "help": "Without all steps or a reason, no promise was kept."
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
  "yardstick": "yardstick"
} as const;
