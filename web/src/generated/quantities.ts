// Written by tools/generate.py from the core's models. Never edited.
export const quantities = {
  "rated_power": {
    "label": "rated power",
    "ip": {
      "unit": "hp",
      "factor": 0.0013410220895950283,
      "decimals": 2
    },
    "si": {
      "unit": "W",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "W",
      "kW",
      "hp"
    ]
  },
  "shaft_power": {
    "label": "shaft power",
    "ip": {
      "unit": "hp",
      "factor": 0.0013410220895950283,
      "decimals": 3
    },
    "si": {
      "unit": "W",
      "factor": 1.0,
      "decimals": 1
    },
    "typed_units": [
      "W",
      "kW",
      "hp"
    ]
  },
  "input_power": {
    "label": "input power",
    "ip": {
      "unit": "W",
      "factor": 1.0,
      "decimals": 1
    },
    "si": {
      "unit": "W",
      "factor": 1.0,
      "decimals": 1
    },
    "typed_units": [
      "W",
      "kW",
      "hp"
    ]
  },
  "rated_voltage": {
    "label": "rated voltage",
    "ip": {
      "unit": "V",
      "factor": 1.0,
      "decimals": 0
    },
    "si": {
      "unit": "V",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "V",
      "kV"
    ]
  },
  "voltage": {
    "label": "voltage",
    "ip": {
      "unit": "V",
      "factor": 1.0,
      "decimals": 1
    },
    "si": {
      "unit": "V",
      "factor": 1.0,
      "decimals": 1
    },
    "typed_units": [
      "V",
      "kV"
    ]
  },
  "rated_current": {
    "label": "full-load amps",
    "ip": {
      "unit": "A",
      "factor": 1.0,
      "decimals": 2
    },
    "si": {
      "unit": "A",
      "factor": 1.0,
      "decimals": 2
    },
    "typed_units": [
      "A",
      "mA"
    ]
  },
  "current": {
    "label": "line amps",
    "ip": {
      "unit": "A",
      "factor": 1.0,
      "decimals": 2
    },
    "si": {
      "unit": "A",
      "factor": 1.0,
      "decimals": 2
    },
    "typed_units": [
      "A",
      "mA"
    ]
  },
  "rated_speed": {
    "label": "rated speed",
    "ip": {
      "unit": "rpm",
      "factor": 1.0,
      "decimals": 0
    },
    "si": {
      "unit": "rpm",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "rpm",
      "r/s"
    ]
  },
  "speed": {
    "label": "speed",
    "ip": {
      "unit": "rpm",
      "factor": 1.0,
      "decimals": 0
    },
    "si": {
      "unit": "rpm",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "rpm",
      "r/s"
    ]
  },
  "frequency": {
    "label": "frequency",
    "ip": {
      "unit": "Hz",
      "factor": 1.0,
      "decimals": 1
    },
    "si": {
      "unit": "Hz",
      "factor": 1.0,
      "decimals": 1
    },
    "typed_units": [
      "Hz"
    ]
  },
  "capacitance": {
    "label": "capacitance",
    "ip": {
      "unit": "µF",
      "factor": 1000000.0,
      "decimals": 1
    },
    "si": {
      "unit": "µF",
      "factor": 1000000.0,
      "decimals": 1
    },
    "typed_units": [
      "F",
      "µF"
    ]
  },
  "supply_static_pressure": {
    "label": "supply static pressure",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "Pa",
      "kPa",
      "mbar",
      "bar",
      "in. w.g.",
      "mm w.g.",
      "psi",
      "ft w.",
      "m w."
    ]
  },
  "return_static_pressure": {
    "label": "return static pressure",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "Pa",
      "kPa",
      "mbar",
      "bar",
      "in. w.g.",
      "mm w.g.",
      "psi",
      "ft w.",
      "m w."
    ]
  },
  "pressure": {
    "label": "pressure",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "Pa",
      "kPa",
      "mbar",
      "bar",
      "in. w.g.",
      "mm w.g.",
      "psi",
      "ft w.",
      "m w."
    ]
  },
  "held_pressure": {
    "label": "duct pressure that is held",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "Pa",
      "kPa",
      "mbar",
      "bar",
      "in. w.g.",
      "mm w.g.",
      "psi",
      "ft w.",
      "m w."
    ]
  },
  "static_lift": {
    "label": "static lift",
    "ip": {
      "unit": "ft w.",
      "factor": 0.00033455256555147697,
      "decimals": 1
    },
    "si": {
      "unit": "m w.",
      "factor": 0.00010197162129779283,
      "decimals": 1
    },
    "typed_units": [
      "Pa",
      "kPa",
      "mbar",
      "bar",
      "in. w.g.",
      "mm w.g.",
      "psi",
      "ft w.",
      "m w."
    ]
  },
  "pump_differential": {
    "label": "pump differential",
    "ip": {
      "unit": "ft w.",
      "factor": 0.00033455256555147697,
      "decimals": 2
    },
    "si": {
      "unit": "m w.",
      "factor": 0.00010197162129779283,
      "decimals": 2
    },
    "typed_units": [
      "Pa",
      "kPa",
      "mbar",
      "bar",
      "in. w.g.",
      "mm w.g.",
      "psi",
      "ft w.",
      "m w."
    ]
  },
  "airflow": {
    "label": "airflow",
    "ip": {
      "unit": "cfm",
      "factor": 2118.8800032893155,
      "decimals": 0
    },
    "si": {
      "unit": "L/s",
      "factor": 1000.0,
      "decimals": 0
    },
    "typed_units": [
      "m³/s",
      "L/s",
      "m³/h",
      "cfm",
      "gpm"
    ]
  },
  "water_flow": {
    "label": "water flow",
    "ip": {
      "unit": "gpm",
      "factor": 15850.323141488903,
      "decimals": 1
    },
    "si": {
      "unit": "L/s",
      "factor": 1000.0,
      "decimals": 2
    },
    "typed_units": [
      "m³/s",
      "L/s",
      "m³/h",
      "cfm",
      "gpm"
    ]
  },
  "torque": {
    "label": "torque",
    "ip": {
      "unit": "lbf·ft",
      "factor": 0.7375621492772656,
      "decimals": 2
    },
    "si": {
      "unit": "N·m",
      "factor": 1.0,
      "decimals": 2
    },
    "typed_units": [
      "N·m",
      "lbf·ft",
      "ozf·in"
    ]
  },
  "slip": {
    "label": "slip",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 1
    },
    "typed_units": [
      "%"
    ]
  },
  "load": {
    "label": "load",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "typed_units": [
      "%"
    ]
  },
  "flow_share": {
    "label": "share of full flow",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "typed_units": [
      "%"
    ]
  },
  "hours": {
    "label": "hours a year",
    "ip": {
      "unit": "h",
      "factor": 1.0,
      "decimals": 0
    },
    "si": {
      "unit": "h",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "h"
    ]
  },
  "energy_price": {
    "label": "energy price",
    "ip": {
      "unit": "per kWh",
      "factor": 1.0,
      "decimals": 4
    },
    "si": {
      "unit": "per kWh",
      "factor": 1.0,
      "decimals": 4
    },
    "typed_units": [
      "per kWh"
    ]
  },
  "cost": {
    "label": "cost fitted",
    "ip": {
      "unit": "money",
      "factor": 1.0,
      "decimals": 0
    },
    "si": {
      "unit": "money",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "money"
    ]
  },
  "money": {
    "label": "money",
    "ip": {
      "unit": "money",
      "factor": 1.0,
      "decimals": 0
    },
    "si": {
      "unit": "money",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "money"
    ]
  },
  "energy": {
    "label": "energy",
    "ip": {
      "unit": "kWh",
      "factor": 1.0,
      "decimals": 0
    },
    "si": {
      "unit": "kWh",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      "kWh"
    ]
  },
  "payback": {
    "label": "simple payback",
    "ip": {
      "unit": "years",
      "factor": 1.0,
      "decimals": 1
    },
    "si": {
      "unit": "years",
      "factor": 1.0,
      "decimals": 1
    },
    "typed_units": [
      "years"
    ]
  },
  "efficiency": {
    "label": "efficiency",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 1
    },
    "typed_units": [
      "%"
    ]
  },
  "poles": {
    "label": "poles",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "decimals": 0
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "decimals": 0
    },
    "typed_units": [
      ""
    ]
  },
  "relative_flow": {
    "label": "flow relative to as found",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "typed_units": [
      "%"
    ]
  },
  "ratio": {
    "label": "ratio",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "typed_units": [
      "%"
    ]
  },
  "relative_pressure": {
    "label": "pressure relative to as found",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "decimals": 0
    },
    "typed_units": [
      "%"
    ]
  }
} as const;

export type QuantityName = keyof typeof quantities;
