"""Units against a reference library, and the tables against themselves."""

import math
from pathlib import Path

import pint
import pytest

from modest_rotor.core import tables
from modest_rotor.core.entry import read_entry
from modest_rotor.core.quantities import all_quantities, dimension_of, in_both_units, quantity, units_of
from modest_rotor.core.tables import find_row, heading, read_table

TABLES = Path(tables.__file__).parent
PINT = pint.UnitRegistry()
# pint reads “cfm” as a tiny length, so what the trade calls its units is spelled out for it.
IN_PINT = {
    "W": "watt", "kW": "kilowatt", "hp": "horsepower", "PS": "metric_horsepower", "m/s": "meter/second", "fpm": "foot/minute",
    "m²": "meter**2", "ft²": "foot**2", "in.²": "inch**2", "V": "volt", "kV": "kilovolt", "A": "ampere",
    "mA": "milliampere", "Hz": "hertz", "F": "farad", "µF": "microfarad", "Pa": "pascal", "kPa": "kilopascal",
    "mbar": "millibar", "bar": "bar", "in. w.g.": "inH2O", "mm w.g.": "millimeter_H2O", "psi": "psi",
    "ft w.": "foot_H2O", "m w.": "1000 * millimeter_H2O", "m³/s": "meter**3/second", "L/s": "liter/second",
    "m³/h": "meter**3/hour", "cfm": "foot**3/minute", "m³/min": "meter**3/minute", "L/min": "liter/minute", "gpm": "gallon/minute", "N·m": "newton*meter",
    "lbf·ft": "force_pound*foot", "ozf·in": "force_ounce*inch", "K": "delta_degC", "°F": "delta_degF", "m": "meter",
    "mm": "millimeter", "in.": "inch", "ft": "foot", "VA": "volt_ampere", "kVA": "kilovolt_ampere", "Ω": "ohm", "kΩ": "kiloohm",
    "Btu/h": "Btu_it/hour", "ton": "12000 * Btu_it/hour", "kg/m³": "kilogram/meter**3", "lb/ft³": "pound/foot**3",
    "kg": "kilogram", "lb": "pound", "s": "second", "min": "minute", "kg/kWh": "kilogram/kilowatt_hour",
    "g/kWh": "gram/kilowatt_hour", "lb/MWh": "pound/megawatt_hour",
    "MΩ": "megaohm", "m³": "meter**3", "ft³": "foot**3", "L": "liter", "cfm/ton": "foot**3/minute/(12000 * Btu_it/hour)",
    "kHz": "kilohertz", "V/Hz": "volt/hertz",
    "L/s per kW": "liter/second/kilowatt", "m³/h per kW": "meter**3/hour/kilowatt",
}  # fmt: skip
SI_OF = {
    "power": "watt", "voltage": "volt", "current": "ampere", "frequency": "hertz", "capacitance": "farad",
    "pressure": "pascal", "volume flow": "meter**3/second", "speed of air": "meter/second", "area": "meter**2", "torque": "newton*meter", "temperature": "delta_degC",
    "temperature difference": "delta_degC", "length": "meter", "apparent power": "volt_ampere", "resistance": "ohm",
    "heat flow": "watt", "density": "kilogram/meter**3", "mass": "kilogram", "duration": "second",
    "emission rate": "kilogram/kilowatt_hour", "volume": "meter**3", "volts per hertz": "volt/hertz", "flow per cooling": "meter**3/second/watt",
}  # fmt: skip


@pytest.mark.parametrize("row", read_table("units"), ids=lambda row: f"{row['dimension']} {row['symbol']}")
def test_factor_against_pint(row: dict[str, str]) -> None:
    """Source: pint 0.25, whose table follows NIST SP 811. Water: conventional 4 °C; pint rounds it to five figures."""
    if row["symbol"] not in IN_PINT:
        assert (
            row["dimension"]
            in ("rotation", "time", "share", "money rate", "money", "energy", "years", "days", "count", "sound level")
            or row["symbol"] == "°C"
        )
        return
    expected = PINT(IN_PINT[row["symbol"]]).to(SI_OF[row["dimension"]]).magnitude
    assert float(row["factor"]) == pytest.approx(expected, rel=3e-5)


@pytest.mark.parametrize(("fahrenheit", "celsius"), [(32, 0), (212, 100), (-40, -40), (98.6, 37)])
def test_degrees_fahrenheit(fahrenheit: float, celsius: float) -> None:
    """Definition: 32 °F is the ice point, 212 °F the steam point."""
    unit = quantity("temperature").unit_named("°F")
    assert unit is not None and unit.to_si(fahrenheit) == pytest.approx(celsius, abs=1e-9)
    assert unit.from_si(celsius) == pytest.approx(fahrenheit)
    assert read_entry("temperature", f"{fahrenheit} °F").si == pytest.approx(celsius, abs=1e-9)


def test_constants_of_the_trade() -> None:
    """6,356 cfm·in. w.g. per hp, 3,960 gpm·ft per hp, 9,549 N·m·rpm per kW: handbook constants (0.25 % covers the
    prints of the first; the second is printed for water at 60 °F, 0.1 % lighter than at 4 °C)."""
    factor = {unit.symbol: unit.factor for name in SI_OF for unit in units_of(name)}
    assert factor["hp"] / (factor["cfm"] * factor["in. w.g."]) == pytest.approx(6356, rel=0.0025)
    assert factor["hp"] / (factor["gpm"] * factor["ft w."]) == pytest.approx(3960, rel=0.002)
    assert factor["hp"] == pytest.approx(745.7, rel=1e-6)
    assert pytest.approx(9549.2966, rel=1e-7) == 1000 / (2 * 3.141592653589793 / 60)


def test_every_quantity_has_both_readers_units_and_sane_limits() -> None:
    for what in all_quantities().values():
        assert what.low < what.high, what.name
        assert what.reader_unit("ip") in what.units and what.reader_unit("si") in what.units
        assert min(what.decimals.values()) >= 0


def test_no_spelling_names_two_units_of_one_dimension() -> None:
    for dimension in {row["dimension"] for row in read_table("units")}:
        spellings = [spelling for unit in units_of(dimension) for spelling in {unit.symbol.lower(), *unit.aliases}]
        assert len(spellings) == len(set(spellings)), dimension


def test_case_of_a_symbol_decides_before_an_alias() -> None:
    assert quantity("current").unit_named("mA").factor == 0.001
    assert dimension_of("V") == "voltage"
    assert dimension_of("furlong") is None


@pytest.mark.parametrize("name", sorted(path.stem for path in TABLES.glob("*.csv")))
def test_every_table_says_its_title_source_and_units(name: str) -> None:
    assert {"title", "source", "units"} <= set(heading(name))
    rows = [tuple(row.items()) for row in read_table(name)]
    assert rows and len(rows) == len(set(rows)), "no row stands twice"


def test_a_look_up_refuses_rather_than_take_a_neighbour() -> None:
    with pytest.raises(ValueError, match="no row for motor steam"):
        find_row("typical_motors", motor="steam")


@pytest.mark.parametrize(
    ("value", "name", "told"),
    [
        (249.089, "pressure", "249 Pa (1 in. w.g.)"),  # 1 in. of water, NIST SP 811
        (745.7, "rated_power", "746 W (1 hp)"),
        (100.0, "temperature", "100 °C (212 °F)"),
        (0.471947, "airflow", "472 L/s (1,000 cfm)"),
        (2989.07, "pump_differential", "0.305 m w. (1 ft w.)"),
        (230.0, "voltage", "230 V"),
        (0.0, "pressure", "0 Pa (0 in. w.g.)"),
        (-12.5, "pressure", "-12.5 Pa (-0.0502 in. w.g.)"),
        (math.nan, "pressure", "nan Pa (nan in. w.g.)"),
        (-math.inf, "voltage", "-inf V"),
    ],
)
def test_a_sentence_for_any_reader_says_both_units_in_three_figures(value: float, name: str, told: str) -> None:
    """Also of what is no number: a refusal that cannot be written would be a fault in place of one."""
    assert in_both_units(value, name) == told
