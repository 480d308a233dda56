// Written by tools/generate.py from the core's models. Never edited.
export const quantities = {
  "rated_power": {
    "label": "rated power",
    "ip": {
      "unit": "hp",
      "factor": 0.0013410220895950283,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "W",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "W",
      "kW",
      "hp",
      "PS"
    ],
    "letters": true
  },
  "shaft_power": {
    "label": "shaft power",
    "ip": {
      "unit": "hp",
      "factor": 0.0013410220895950283,
      "offset": -0.0,
      "decimals": 3
    },
    "si": {
      "unit": "W",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "W",
      "kW",
      "hp",
      "PS"
    ],
    "letters": true
  },
  "input_power": {
    "label": "input power",
    "ip": {
      "unit": "W",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "W",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "W",
      "kW",
      "hp",
      "PS"
    ],
    "letters": false
  },
  "rated_voltage": {
    "label": "rated voltage",
    "ip": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "V",
      "kV"
    ],
    "letters": false
  },
  "voltage": {
    "label": "voltage",
    "ip": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "V",
      "kV"
    ],
    "letters": false
  },
  "rated_current": {
    "label": "full-load amps",
    "ip": {
      "unit": "A",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "A",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "A",
      "mA"
    ],
    "letters": false
  },
  "current": {
    "label": "line amps",
    "ip": {
      "unit": "A",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "A",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "A",
      "mA"
    ],
    "letters": false
  },
  "rated_speed": {
    "label": "rated speed",
    "ip": {
      "unit": "rpm",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "rpm",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "rpm",
      "r/s"
    ],
    "letters": false
  },
  "speed": {
    "label": "speed",
    "ip": {
      "unit": "rpm",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "rpm",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "rpm",
      "r/s"
    ],
    "letters": false
  },
  "frequency": {
    "label": "frequency",
    "ip": {
      "unit": "Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "Hz",
      "kHz"
    ],
    "letters": false
  },
  "capacitance": {
    "label": "capacitance",
    "ip": {
      "unit": "µF",
      "factor": 1000000.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "µF",
      "factor": 1000000.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "F",
      "µF"
    ],
    "letters": false
  },
  "supply_static_pressure": {
    "label": "supply static pressure",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "offset": -0.0,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "offset": -0.0,
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
    ],
    "letters": true
  },
  "return_static_pressure": {
    "label": "return static pressure",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "offset": -0.0,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "offset": -0.0,
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
    ],
    "letters": true
  },
  "pressure": {
    "label": "pressure",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "offset": -0.0,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "offset": -0.0,
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
    ],
    "letters": false
  },
  "static_pressure_set_point": {
    "label": "duct pressure that is held",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "offset": -0.0,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "offset": -0.0,
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
    ],
    "letters": false
  },
  "throttle_drop": {
    "label": "pressure lost at a throttle",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "offset": -0.0,
      "decimals": 3
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "offset": -0.0,
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
    ],
    "letters": false
  },
  "static_lift": {
    "label": "static lift",
    "ip": {
      "unit": "ft w.",
      "factor": 0.00033455256555147697,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "m w.",
      "factor": 0.00010197162129779283,
      "offset": -0.0,
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
    ],
    "letters": false
  },
  "pump_differential": {
    "label": "pump differential",
    "ip": {
      "unit": "ft w.",
      "factor": 0.00033455256555147697,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "m w.",
      "factor": 0.00010197162129779283,
      "offset": -0.0,
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
    ],
    "letters": false
  },
  "airflow": {
    "label": "airflow",
    "ip": {
      "unit": "cfm",
      "factor": 2118.8800032893155,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "L/s",
      "factor": 1000.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "m³/s",
      "L/s",
      "m³/h",
      "m³/min",
      "L/min",
      "cfm",
      "gpm"
    ],
    "letters": false
  },
  "water_flow": {
    "label": "water flow",
    "ip": {
      "unit": "gpm",
      "factor": 15850.323141488903,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "L/s",
      "factor": 1000.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "m³/s",
      "L/s",
      "m³/h",
      "m³/min",
      "L/min",
      "cfm",
      "gpm"
    ],
    "letters": false
  },
  "torque": {
    "label": "torque",
    "ip": {
      "unit": "lbf·ft",
      "factor": 0.7375621492772656,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "N·m",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "N·m",
      "lbf·ft",
      "ozf·in"
    ],
    "letters": false
  },
  "slip": {
    "label": "slip",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": true
  },
  "load": {
    "label": "load",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "flow_share": {
    "label": "share of full flow",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "hours": {
    "label": "hours a year",
    "ip": {
      "unit": "h",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "h",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "h"
    ],
    "letters": false
  },
  "energy_price": {
    "label": "energy price",
    "ip": {
      "unit": "per kWh",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 4
    },
    "si": {
      "unit": "per kWh",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 4
    },
    "typed_units": [
      "per kWh"
    ],
    "letters": true
  },
  "cost": {
    "label": "cost fitted",
    "ip": {
      "unit": "money",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "money",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "money"
    ],
    "letters": false
  },
  "money": {
    "label": "money",
    "ip": {
      "unit": "money",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "money",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "money"
    ],
    "letters": true
  },
  "energy": {
    "label": "energy",
    "ip": {
      "unit": "kWh",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "kWh",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "kWh"
    ],
    "letters": true
  },
  "payback": {
    "label": "simple payback",
    "ip": {
      "unit": "years",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "years",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "years"
    ],
    "letters": false
  },
  "efficiency": {
    "label": "efficiency",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "poles": {
    "label": "poles",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "relative_flow": {
    "label": "flow relative to as found",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "ratio": {
    "label": "ratio",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "relative_pressure": {
    "label": "pressure relative to as found",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "power_factor": {
    "label": "power factor",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "apparent_power": {
    "label": "apparent power",
    "ip": {
      "unit": "VA",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "VA",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "VA",
      "kVA"
    ],
    "letters": false
  },
  "resistance": {
    "label": "resistance",
    "ip": {
      "unit": "Ω",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "Ω",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "Ω",
      "kΩ",
      "MΩ"
    ],
    "letters": false
  },
  "temperature": {
    "label": "temperature",
    "ip": {
      "unit": "°F",
      "factor": 1.7999999999999985,
      "offset": 32.000000000000014,
      "decimals": 0
    },
    "si": {
      "unit": "°C",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "°C",
      "°F"
    ],
    "letters": true
  },
  "temperature_difference": {
    "label": "temperature difference",
    "ip": {
      "unit": "°F",
      "factor": 1.7999999999999985,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "K",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "K",
      "°F"
    ],
    "letters": true
  },
  "altitude": {
    "label": "altitude",
    "ip": {
      "unit": "ft",
      "factor": 3.280839895013123,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "m",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "m",
      "mm",
      "in.",
      "ft"
    ],
    "letters": true
  },
  "dimension": {
    "label": "dimension",
    "ip": {
      "unit": "in.",
      "factor": 39.37007874015748,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "mm",
      "factor": 1000.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "m",
      "mm",
      "in.",
      "ft"
    ],
    "letters": true
  },
  "air_pressure": {
    "label": "pressure of the air",
    "ip": {
      "unit": "in. w.g.",
      "factor": 0.004014630786618261,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "Pa",
      "factor": 1.0,
      "offset": -0.0,
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
    ],
    "letters": false
  },
  "density": {
    "label": "density",
    "ip": {
      "unit": "lb/ft³",
      "factor": 0.06242796059157827,
      "offset": -0.0,
      "decimals": 4
    },
    "si": {
      "unit": "kg/m³",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 3
    },
    "typed_units": [
      "kg/m³",
      "lb/ft³"
    ],
    "letters": false
  },
  "humidity_ratio": {
    "label": "humidity ratio",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "heat_flow": {
    "label": "heat flow",
    "ip": {
      "unit": "Btu/h",
      "factor": 3.4121416351330756,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "W",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "W",
      "kW",
      "Btu/h",
      "ton"
    ],
    "letters": true
  },
  "emissions": {
    "label": "emissions",
    "ip": {
      "unit": "lb",
      "factor": 2.2046226218487757,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "kg",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "kg",
      "lb"
    ],
    "letters": true
  },
  "emission_rate": {
    "label": "emissions of the supply",
    "ip": {
      "unit": "lb/MWh",
      "factor": 2204.622621848776,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "kg/kWh",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 3
    },
    "typed_units": [
      "kg/kWh",
      "g/kWh",
      "lb/MWh"
    ],
    "letters": false
  },
  "service_factor": {
    "label": "service factor",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "starting_time": {
    "label": "starting time",
    "ip": {
      "unit": "s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "s",
      "min"
    ],
    "letters": false
  },
  "starts": {
    "label": "starts a year",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "derating": {
    "label": "derating",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "kva_per_hp": {
    "label": "locked-rotor volt-amperes over rated power",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "share_of_hours": {
    "label": "share of the hours",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "cooling_performance": {
    "label": "cold per electricity",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "change": {
    "label": "change of what is shown",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": true
  },
  "read_power_factor": {
    "label": "power factor",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "capacitor_voltage": {
    "label": "volts on the capacitor",
    "ip": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "V",
      "kV"
    ],
    "letters": false
  },
  "winding_resistance": {
    "label": "winding resistance",
    "ip": {
      "unit": "Ω",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "Ω",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "Ω",
      "kΩ",
      "MΩ"
    ],
    "letters": false
  },
  "ground_resistance": {
    "label": "resistance to ground",
    "ip": {
      "unit": "MΩ",
      "factor": 1e-06,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "MΩ",
      "factor": 1e-06,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "Ω",
      "kΩ",
      "MΩ"
    ],
    "letters": false
  },
  "running_time": {
    "label": "minutes running",
    "ip": {
      "unit": "min",
      "factor": 0.016666666666666666,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "min",
      "factor": 0.016666666666666666,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "s",
      "min"
    ],
    "letters": false
  },
  "signal": {
    "label": "command signal",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "heat_input": {
    "label": "heat put in",
    "ip": {
      "unit": "Btu/h",
      "factor": 3.4121416351330756,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "kW",
      "factor": 0.001,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "W",
      "kW",
      "Btu/h",
      "ton"
    ],
    "letters": false
  },
  "gauge_pressure": {
    "label": "gauge pressure",
    "ip": {
      "unit": "psi",
      "factor": 0.00014503773773021683,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "kPa",
      "factor": 0.001,
      "offset": -0.0,
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
    ],
    "letters": true
  },
  "volume": {
    "label": "volume",
    "ip": {
      "unit": "ft³",
      "factor": 35.31466672148859,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "m³",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "m³",
      "ft³",
      "L"
    ],
    "letters": false
  },
  "air_changes": {
    "label": "air changes an hour",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "flow_per_cooling": {
    "label": "airflow per cooling",
    "ip": {
      "unit": "cfm/ton",
      "factor": 7451789.104144498,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "L/s per kW",
      "factor": 1000000.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "cfm/ton",
      "L/s per kW",
      "m³/h per kW"
    ],
    "letters": false
  },
  "cooling_capacity": {
    "label": "cooling capacity",
    "ip": {
      "unit": "ton",
      "factor": 0.0002843451360939682,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "kW",
      "factor": 0.001,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "W",
      "kW",
      "Btu/h",
      "ton"
    ],
    "letters": false
  },
  "starts_per_hour": {
    "label": "starts an hour",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "meter_accuracy": {
    "label": "accuracy of a meter",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "tolerance": {
    "label": "tolerance",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "shell_temperature": {
    "label": "temperature",
    "ip": {
      "unit": "°F",
      "factor": 1.7999999999999985,
      "offset": 32.000000000000014,
      "decimals": 0
    },
    "si": {
      "unit": "°C",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "°C",
      "°F"
    ],
    "letters": true
  },
  "command_voltage": {
    "label": "command volts",
    "ip": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "V",
      "kV"
    ],
    "letters": false
  },
  "count": {
    "label": "count",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "life": {
    "label": "life",
    "ip": {
      "unit": "years",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "years",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "years"
    ],
    "letters": false
  },
  "discount_rate": {
    "label": "discount rate",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "escalation": {
    "label": "rise of prices a year",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": true
  },
  "lead_time": {
    "label": "lead time",
    "ip": {
      "unit": "days",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "days",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "days"
    ],
    "letters": false
  },
  "season": {
    "label": "length of the season",
    "ip": {
      "unit": "days",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "days",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "days"
    ],
    "letters": false
  },
  "cable_length": {
    "label": "length of the leads",
    "ip": {
      "unit": "ft",
      "factor": 3.280839895013123,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "m",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "m",
      "mm",
      "in.",
      "ft"
    ],
    "letters": false
  },
  "resistance_factor": {
    "label": "system resistance factor",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "cycles_per_hour": {
    "label": "cycles an hour",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "cycle_minutes": {
    "label": "minutes a cycle",
    "ip": {
      "unit": "min",
      "factor": 0.016666666666666666,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "min",
      "factor": 0.016666666666666666,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "s",
      "min"
    ],
    "letters": false
  },
  "speed_share": {
    "label": "speed against today's",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "diameter_share": {
    "label": "diameter against today's",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "price": {
    "label": "price",
    "ip": {
      "unit": "money",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "money",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "money"
    ],
    "letters": false
  },
  "running_hours": {
    "label": "running hours",
    "ip": {
      "unit": "h",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "h",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "h"
    ],
    "letters": false
  },
  "standby_power": {
    "label": "standby power",
    "ip": {
      "unit": "W",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "W",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "W",
      "kW",
      "hp",
      "PS"
    ],
    "letters": false
  },
  "design_share": {
    "label": "share of the wanted flow",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "command": {
    "label": "command",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "machines": {
    "label": "machines alike side by side",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "output_frequency": {
    "label": "frequency",
    "ip": {
      "unit": "Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "Hz",
      "kHz"
    ],
    "letters": false
  },
  "ramp": {
    "label": "seconds of a ramp",
    "ip": {
      "unit": "s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "s",
      "min"
    ],
    "letters": false
  },
  "volts_trim": {
    "label": "volts trim",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": true
  },
  "link_voltage": {
    "label": "volts of the DC link",
    "ip": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "V",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "V",
      "kV"
    ],
    "letters": false
  },
  "sound_level": {
    "label": "sound level",
    "ip": {
      "unit": "dB(A)",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "dB(A)",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "dB(A)"
    ],
    "letters": false
  },
  "meter_noise": {
    "label": "noise of a meter",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "hold_time": {
    "label": "hold time",
    "ip": {
      "unit": "s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "s",
      "min"
    ],
    "letters": false
  },
  "step_frequency": {
    "label": "step of the sweep",
    "ip": {
      "unit": "Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "Hz",
      "kHz"
    ],
    "letters": false
  },
  "margin_frequency": {
    "label": "margin beside a loud frequency",
    "ip": {
      "unit": "Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "Hz",
      "kHz"
    ],
    "letters": false
  },
  "carrier_frequency": {
    "label": "carrier frequency",
    "ip": {
      "unit": "kHz",
      "factor": 0.001,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "kHz",
      "factor": 0.001,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "Hz",
      "kHz"
    ],
    "letters": false
  },
  "humidity": {
    "label": "relative humidity",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "days": {
    "label": "days",
    "ip": {
      "unit": "days",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "days",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "days"
    ],
    "letters": false
  },
  "volts_per_hertz": {
    "label": "volts per hertz",
    "ip": {
      "unit": "V/Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "V/Hz",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "V/Hz"
    ],
    "letters": false
  },
  "system_exponent": {
    "label": "exponent of the system",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "unbalance": {
    "label": "unbalance of three lines",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  },
  "air_speed": {
    "label": "speed of air",
    "ip": {
      "unit": "fpm",
      "factor": 196.85039370078738,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "m/s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "m/s",
      "fpm"
    ],
    "letters": false
  },
  "area": {
    "label": "section",
    "ip": {
      "unit": "ft²",
      "factor": 10.763910416709722,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "m²",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 3
    },
    "typed_units": [
      "m²",
      "ft²",
      "in.²"
    ],
    "letters": false
  },
  "level": {
    "label": "level",
    "ip": {
      "unit": "ft",
      "factor": 3.280839895013123,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "m",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      "m",
      "mm",
      "in.",
      "ft"
    ],
    "letters": false
  },
  "tank_area": {
    "label": "surface of the tank",
    "ip": {
      "unit": "ft²",
      "factor": 10.763910416709722,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "m²",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "m²",
      "ft²",
      "in.²"
    ],
    "letters": false
  },
  "loop_gain": {
    "label": "gain of a loop",
    "ip": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "si": {
      "unit": "",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 2
    },
    "typed_units": [
      ""
    ],
    "letters": false
  },
  "loop_time": {
    "label": "seconds of a loop",
    "ip": {
      "unit": "s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "si": {
      "unit": "s",
      "factor": 1.0,
      "offset": -0.0,
      "decimals": 1
    },
    "typed_units": [
      "s",
      "min"
    ],
    "letters": false
  },
  "pressure_left": {
    "label": "share of the pressure at the sensor",
    "ip": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "si": {
      "unit": "%",
      "factor": 100.0,
      "offset": -0.0,
      "decimals": 0
    },
    "typed_units": [
      "%",
      "of 1"
    ],
    "letters": false
  }
} as const;

export type QuantityName = keyof typeof quantities;
