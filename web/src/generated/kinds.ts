// Written by tools/generate.py from the core's models. Never edited.
export const ASKS: Readonly<Record<string, readonly string[]>> = {
  "other-tap": [
    "tap"
  ],
  "regulator": [
    "regulator"
  ],
  "resheave": [
    "speed_share"
  ],
  "trim": [
    "diameter_share"
  ],
  "throttle-out": [
    "throttle_drop"
  ],
  "circulator-speed": [
    "set_pressure"
  ],
  "circulator-constant": [
    "set_pressure"
  ],
  "circulator-proportional": [
    "set_pressure"
  ]
};

export const NEVER_ON: Readonly<Record<string, "fan" | "pump">> = {
  "airflow": "pump",
  "ec-fan": "pump",
  "staged": "pump",
  "slowed": "pump",
  "resheave": "pump",
  "trim": "fan",
  "circulator-speed": "fan",
  "circulator-constant": "fan",
  "circulator-proportional": "fan"
};
