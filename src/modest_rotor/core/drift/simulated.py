"""A simulated year of readings: a solved machine, meters that scatter, a season in the air, and perhaps a fault that grows."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np

from modest_rotor.core.drift.log import Log
from modest_rotor.core.estimate import Array
from modest_rotor.core.identify.perturb import Change, Measurand, Setup, measurands, ratios

YEAR_D = 365.0
COLUMNS = {
    "voltage": Measurand.VOLTS,
    "current": Measurand.AMPS,
    "input_power": Measurand.WATTS,
    "speed": Measurand.SPEED,
    "static": Measurand.PRESSURE,
    "airflow": Measurand.FLOW,
}
NOISE = {"voltage": 0.006, "current": 0.01, "input_power": 0.01, "speed": 0.0006, "static": 0.02, "airflow": 0.025}
"""How a reading scatters, standard deviation as a share. Our judgement, no source."""
WANDER, SPEED_WANDER = 0.003, 0.001
"""How far a healthy machine wanders in a year, as a share. Our judgement, no source."""
WILD_SHARE, WILD = 0.02, (0.7, 1.3)
"""How many readings are wild, and how wild. Our judgement, no source."""
MEAN_C, SWING_C = 12.0, 12.0
MIDDLE_K, KELVIN = 293.15, 273.15
DENSE = ("input_power", "static", "current")


@dataclass(frozen=True)
class Fault:
    """A fault that is planted: what changes, how far by the last day, and on which day it begins."""

    change: Change
    size: float
    begins: float = 140.0


def simulated_log(
    setup: Setup,
    rng: np.random.Generator,
    days: Array,
    fault: Fault | None = None,
    *,
    season: float | None = None,
    air_c: tuple[float, float] = (MEAN_C, SWING_C),
    setting: str = "full",
    source: str = "panel",
) -> Log:
    """Readings of a machine on some days.

    :param setup: motor, supply and load as they should be. :param days: rising, days from the first. :param fault: planted, if any;
        it grows evenly in the logarithm until the last day. :param season: day on which the air is at its mean and rising.
    :param air_c: mean of the air's temperature and its swing over the year, °C.
    :returns: columns in SI and rpm; a fault of volts moves the volts themselves.

    Validity: for tests, benchmarks and the demo: its faults follow the same equations that look for them. Source: our own
    method, no source; density by the ideal gas.
    """
    count = len(days)
    before = measurands(setup.settled())
    moves = ratios(setup, fault.change, fault.size) if fault else {}
    begins = fault.begins if fault else 0.0
    grown = np.clip((days - begins) / max(float(days[-1]) - begins, 1.0), 0.0, 1.0)
    shift = rng.uniform(0, YEAR_D) if season is None else -season
    air = air_c[0] + air_c[1] * np.sin(2 * np.pi * (days + shift) / YEAR_D)
    dense = MIDDLE_K / (air + KELVIN)
    columns: dict[str, Array] = {"air": air}
    for name, measurand in COLUMNS.items():
        if measurand is Measurand.VOLTS:
            was = float(setup.supply.voltage)
            now = was * (fault.size if fault and fault.change is Change.VOLTS_LOW else 1.0)
        else:
            was = float(np.ravel(before[measurand])[0])
            now = was * (1 + float(np.ravel(moves.get(measurand, 0.0))[0]))
        path = np.exp(np.log(was) + grown * np.log(max(now, 1e-9) / was))
        if name in DENSE:
            path = path * dense
        own = SPEED_WANDER if measurand is Measurand.SPEED else WANDER
        walk = np.cumsum(rng.normal(0, 1, count)) / np.sqrt(count)
        wild = np.where(rng.random(count) < WILD_SHARE, rng.uniform(*WILD, count), 1.0)
        columns[name] = path * np.exp(rng.normal(0, NOISE[name], count) + own * walk) * wild
    return Log(days, (setting,) * count, (source,) * count, columns)


def simulated_year(setup: Setup, rng: np.random.Generator, fault: Fault | None = None, readings: int = 365) -> Log:
    """A year of readings at uneven times; arguments as :func:`simulated_log`. Source: as there."""
    return simulated_log(setup, rng, np.sort(rng.uniform(0, YEAR_D, readings)), fault)
