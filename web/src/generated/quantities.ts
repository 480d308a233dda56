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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
  },
  "held_pressure": {
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
  },
  "run_up": {
    "label": "seconds to full speed",
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
  },
  "tightness": {
    "label": "flow-dependent part of the system against as found",
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
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
    ]
  }
} as const;

export type QuantityName = keyof typeof quantities;
