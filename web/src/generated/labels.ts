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
