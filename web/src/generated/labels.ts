// Written by tools/generate.py from the core's models. Never edited.
export const ControlMode = {
  "volts-per-hertz": "volts per hertz",
  "vector": "vector, without encoder",
  "permanent-magnet": "permanent magnet, without encoder",
  "reluctance": "reluctance, without encoder",
  "encoder": "with encoder"
} as const;

export const DeviceKind = {
  "drive": "drive",
  "fan": "electronic fan",
  "meter": "meter panel"
} as const;

export const Fits = {
  "fits": "fits",
  "work": "fits with work",
  "cannot": "cannot",
  "unknown": "not known yet"
} as const;

export const Holds = {
  "duct": "a duct's static",
  "differential": "a differential pressure",
  "coil": "a coil's temperature difference",
  "level": "a level",
  "space": "a space temperature"
} as const;

export const LoadedHolds = {
  "motor": "the motor finds its speed",
  "speed": "speed",
  "torque": "torque",
  "airflow": "airflow",
  "own-wheel": "speed of its own wheel"
} as const;

export const MarkState = {
  "confirmed": "confirmed",
  "cleared": "cleared by a test",
  "fixed": "fixed",
  "not-now": "not now"
} as const;

export const Meter = {
  "speed": "speed",
  "slip": "slip",
  "torque": "torque",
  "watts": "watts",
  "amps": "amps",
  "power-factor": "power factor",
  "flow": "flow",
  "pressure": "pressure",
  "sensor": "pressure at the loop's sensor",
  "capacitor-volts": "capacitor volts",
  "start-amps": "auxiliary-winding amps",
  "winding": "winding",
  "link": "link volts",
  "ripple": "ripple of the motor's amps",
  "motor-volts": "volts at the motor",
  "line-peak": "peak of the line's amps",
  "year": "energy of the year"
} as const;

export const Measurand = {
  "speed": "speed",
  "amps": "amps",
  "watts": "watts",
  "power-factor": "power factor",
  "flow": "flow",
  "pressure": "pressure",
  "capacitor-volts": "capacitor volts",
  "volts": "volts",
  "machine-speed": "fan speed"
} as const;

export const SensorPlace = {
  "unit": "at the unit",
  "two-thirds": "two thirds along",
  "farthest": "at the farthest outlet"
} as const;

export const SignState = {
  "done": "done",
  "not-needed": "not needed here",
  "stop": "stop"
} as const;

export const StepGroup = {
  "isolate": "Isolate",
  "remove": "Remove",
  "fit": "Fit",
  "voltage": "Voltage selector or tap",
  "before-power": "Before power",
  "first-power": "First power",
  "set": "Set",
  "loop": "Close the loop",
  "safe": "Prove it is safe",
  "leave": "Leave behind"
} as const;

export const Trouble = {
  "none": "none",
  "silent": "silent",
  "slow": "slow",
  "busy": "busy",
  "half-a-frame": "half a frame",
  "outside": "outside its profile",
  "other-unit": "another answers",
  "frozen": "frozen",
  "lost": "answers to writes get lost"
} as const;

export const UnreadReason = {
  "no-access": "no access",
  "unsafe": "not safe",
  "no-meter": "no meter",
  "absent": "not on this machine"
} as const;

export const Verdict = {
  "waits": "waits",
  "inside": "within its uncertainty",
  "so-far": "within its uncertainty, as far as it was read",
  "above": "above its uncertainty",
  "below": "below its uncertainty",
  "unprovable": "not provable with these meters"
} as const;

export const Way = {
  "measured": "hood, traverse or meter",
  "rise": "temperature rise",
  "table": "blower table",
  "chart": "amps-and-volts chart",
  "affinity": "speed, from the known point",
  "curve": "speed and pressure on the curve",
  "curve-power": "shaft power on the curve",
  "power": "power ÷ pressure"
} as const;

export const RuleWords: Readonly<Record<string, string>> = {
  "protected_duty": "protected duty",
  "found_below_minimum": "found below minimum",
  "protection_unanswered": "protection unanswered",
  "isolate_before_plate": "isolate before plate",
  "dead_motor_restart": "dead motor restart",
  "two_speeds": "two speeds",
  "live_readings": "live readings",
  "electronic_wiring": "electronic wiring",
  "drive_wiring": "drive wiring",
  "repair_first": "repair first",
  "heat_after_airflow": "heat after airflow",
  "dead_motor": "dead motor",
  "plate_denies_itself": "plate denies itself",
  "plate_facts_disagree": "plate facts disagree",
  "power_may_be_input": "power may be input",
  "above_synchronous": "above synchronous",
  "amps_over_plate": "amps over plate",
  "amps_over_service_factor": "amps over service factor",
  "volts_off_plate": "volts off plate",
  "watts_over_volt_amperes": "watts over volt amperes",
  "air_power_over_shaft_power": "air power over shaft power",
  "turns_too_slowly": "turns too slowly",
  "shaft_over_input": "shaft over input",
  "shaft_far_under_input": "shaft far under input",
  "load_is_impossible": "load is impossible",
  "plate_is_doubtful": "plate is doubtful",
  "readings_do_not_fit": "readings do not fit",
  "machine_does_not_fit": "machine does not fit",
  "below_switch_speed": "below switch speed",
  "methods_disagree": "methods disagree",
  "assumed_no_lift": "assumed no lift",
  "machine_stalled": "machine stalled",
  "machine_stood": "machine stood",
  "reading_withheld": "reading withheld",
  "connection_unsaid": "connection unsaid",
  "connection_does_not_match": "connection does not match",
  "two_oh_eight_on_230": "two oh eight on 230",
  "high_leg": "high leg",
  "volts_unbalanced": "volts unbalanced",
  "amps_unbalanced": "amps unbalanced",
  "far_under_load": "far under load",
  "capacitor_off_label": "capacitor off label",
  "capacitor_under_load": "capacitor under load",
  "capacitor_overvolted": "capacitor overvolted",
  "capacitor_shared": "capacitor shared",
  "starts_too_often": "starts too often",
  "static_over_rating": "static over rating",
  "flow_per_ton_low": "flow per ton low",
  "flow_per_ton_high": "flow per ton high",
  "flow_under_target": "flow under target",
  "rise_outside_plate": "rise outside plate",
  "regulator_turned_down": "regulator turned down",
  "winding_fault": "winding fault",
  "winding_to_ground": "winding to ground",
  "overload_does_not_fit": "overload does not fit",
  "readings_contradict": "readings contradict",
  "blocked_air_cooks": "blocked air cooks",
  "shell_too_hot": "shell too hot"
};

export const CheckWords: Readonly<Record<string, string>> = {
  "machine": "machine",
  "product": "product",
  "data_sheet": "data sheet",
  "volts": "volts",
  "phases": "phases",
  "hertz": "hertz",
  "permanent_supply": "permanent supply",
  "command": "command",
  "line_on_tap": "line on tap",
  "start_switch": "start switch",
  "both_makers": "both makers",
  "single_phase_drive": "single phase drive",
  "drive_control": "drive control",
  "drive_insulation": "drive insulation",
  "cable": "cable",
  "earth_leakage": "earth leakage",
  "several_motors": "several motors",
  "shaft_currents": "shaft currents",
  "harmonics": "harmonics",
  "code_letter": "code letter",
  "protection": "protection",
  "capacitor": "capacitor",
  "rotation": "rotation",
  "frame": "frame",
  "shaft": "shaft",
  "built": "built",
  "shaft_length": "shaft length",
  "keyway": "keyway",
  "mounting": "mounting",
  "attitude": "attitude",
  "weather": "weather",
  "air_over": "air over",
  "altitude": "altitude",
  "load": "load",
  "top_speed": "top speed",
  "least_speed": "least speed",
  "blower_constants": "blower constants",
  "listing": "listing"
};

export const BasisWords = {
  "measured": "measured",
  "plate": "plate",
  "estimated": "estimated",
  "assumed": "assumed",
  "worked-out": "worked out",
  "typed": "typed"
} as const;

export const OrderWords = {
  "day-first": "day first",
  "month-first": "month first"
} as const;
