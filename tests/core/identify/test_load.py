"""Load by every method on machines whose true load is known, and the worked examples of the method's own source."""

from __future__ import annotations

import math

import numpy as np
import pytest
from benchmarks.estimation import draw_cases, naive_answers
from scipy.stats import truncnorm

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.estimate import exactly, measured
from modest_rotor.core.identify.efficiency import plate_efficiency_bound, typical_motor
from modest_rotor.core.identify.fitted_load import with_machine_side
from modest_rotor.core.identify.load import (
    LoadByMethod,
    Method,
    Running,
    best_of,
    disagreement,
    load_by_amps,
    load_by_slip,
    load_by_watts,
    widened,
)
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from tests.said import codes_of, refused_with


def plate(
    kind: MotorKind,
    power: float | None,
    volts: float | None,
    amps: float | None,
    speed: float | None,
    synchronous: float,
) -> PlateFacts:
    rated_slip = (synchronous - speed) / synchronous if speed else None
    return PlateFacts(kind, power, volts, amps, speed, 60.0, 4, synchronous, rated_slip, None)


DOE = plate(MotorKind.THREE_PHASE, 25 * 745.7, 460.0, 28.0, 1750.0, 1800.0)
"""The 25 hp motor of the US Department of Energy fact sheet “Determining Electric Motor Load and Efficiency” (from memory)."""

# Chapman, Electric Machinery Fundamentals, the 25 hp, 460 V, 60 Hz, four-pole machine of the chapter on induction motors,
# its equivalent circuit solved at known output; rated values from the same circuit at 25 hp.
CHAPMAN = plate(MotorKind.THREE_PHASE, 25 * 745.7, 460.0, 31.237, 1724.634, 1800.0)
CHAPMAN_RUNS = [  # true load, volts, rpm, amps, watts
    (1.00, 460, 1724.6339, 31.237446, 22481.66), (0.75, 460, 1746.1749, 23.802458, 16636.254),
    (0.50, 460, 1764.8127, 17.407912, 11211.767), (0.75, 414, 1730.1587, 26.414269, None),
    (0.75, 506, 1756.9318, 22.084541, None),
]  # fmt: skip

# Krause, Wasynczuk and Sudhoff, Analysis of Electric Machinery: the quarter-horse capacitor-run machine at three slips,
# solved by two-axis phasors, symmetrical components and time integration; shaft watts without friction.
KRAUSE = plate(MotorKind.SPLIT_CAPACITOR, 186.4, 110.0, 2.6, 1725.0, 1800.0)
KRAUSE_RUNS = [(98.278535, 1764.0, 1.9012065, 128.56517), (219.81475, 1710.0, 2.8795816, 265.78105)]


def running(
    volts: float | None, speed: float | None, amps: float | None, watts: float | None, full: bool = True
) -> Running:
    return Running(
        voltage=measured(volts, voltmeter=0.005 * volts) if volts else None,
        current=measured(amps, clamp=0.01 * amps) if amps else None,
        speed=measured(speed, tachometer=0.5) if speed else None,
        input_power=measured(watts, wattmeter=0.01 * watts) if watts else None,
        full_tap=full,
    )


def holds(method: LoadByMethod, load: float) -> bool:
    return method.low is not None and method.high is not None and method.low <= load <= method.high


def test_slip_method_against_its_own_worked_example() -> None:
    """1,770 rpm on a 1,750 rpm plate: load 0.60, 15 hp."""
    found = load_by_slip(running(None, 1770, None, None), DOE)
    assert found.formula_load == pytest.approx(0.60)


@pytest.mark.parametrize(("volts", "load"), [(414, 0.486), (437, 0.5415), (483, 0.6615)])
def test_low_volts_lower_the_load_by_slip(volts: float, load: float) -> None:
    """Same sheet, voltage-compensated slip; the inverted correction is a common mistake."""
    assert load_by_slip(running(volts, 1770, None, None), DOE).formula_load == pytest.approx(load, rel=1e-6)


def test_amps_method_against_its_formula() -> None:
    """Same sheet, line-current method: 20 of 28 A at 455 of 460 V is 0.7065."""
    found = load_by_amps(running(455, None, 20.0, None), DOE)
    assert found.formula_load == pytest.approx(0.70652174, rel=1e-6)
    assert not found.trusted  # below three quarters of rated amps hardly fall with load


@pytest.mark.parametrize(("load", "volts", "speed", "amps", "watts"), CHAPMAN_RUNS)
def test_three_phase_machine_of_known_load(
    load: float, volts: float, speed: float, amps: float, watts: float | None
) -> None:
    """The truth lies in every trusted method's 95 % range, and in that of the one that is chosen."""
    run = running(volts, speed, amps, watts)
    motor = typical_motor(CHAPMAN, "this motor")
    methods = [load_by_slip(run, CHAPMAN), load_by_amps(run, CHAPMAN)]
    if watts:
        methods.append(load_by_watts(run, CHAPMAN, motor))
    assert all(holds(method, load) for method in methods)
    chosen = best_of(tuple(methods))
    assert chosen is not None and holds(chosen, load)
    assert not watts or chosen.method is Method.WATTS


@pytest.mark.parametrize(("shaft", "speed", "amps", "watts"), KRAUSE_RUNS)
def test_capacitor_machine_of_known_load(shaft: float, speed: float, amps: float, watts: float) -> None:
    run = running(110, speed, amps, watts)
    methods = (
        load_by_watts(run, KRAUSE, typical_motor(KRAUSE, "this motor")),
        load_by_slip(run, KRAUSE),
        load_by_amps(run, KRAUSE),
    )
    chosen = best_of(methods)
    assert chosen is not None and chosen.shaft_power is not None
    assert abs(chosen.shaft_power.value - shaft) <= chosen.shaft_power.uncertainty
    assert holds(methods[1], shaft / 186.4) and holds(methods[2], shaft / 186.4)
    # The book leaves out core loss and friction: at half load its losses are a third of an ordinary motor's, and watts
    # alone would miss it. There slip is taken.
    assert holds(methods[0], shaft / 186.4) == (shaft > 186.4)


def test_what_the_watts_cannot_cover_is_withheld() -> None:
    found = load_by_watts(running(110, 1790, None, 20.0), KRAUSE, typical_motor(KRAUSE, "this motor"))
    assert found.shaft_power is None and "identify-load-load-by-watts-withheld-watts" in codes_of(found.reason)


def test_off_the_high_tap_slip_and_amps_are_withheld_and_watts_widen() -> None:
    motor = typical_motor(KRAUSE, "this motor")
    low, high = running(110, 1500, 2.5, 230.0, full=False), running(110, 1500, 2.5, 230.0)
    assert load_by_slip(low, KRAUSE).shaft_power is None
    assert "identify-load-load-by-slip-withheld-off" in codes_of(load_by_slip(low, KRAUSE).reason)
    assert load_by_amps(low, KRAUSE).shaft_power is None
    wide, narrow = (load_by_watts(run, KRAUSE, motor).shaft_power for run in (low, high))
    assert wide is not None and narrow is not None and wide.uncertainty > 1.3 * narrow.uncertainty


def test_above_synchronous_slip_is_withheld() -> None:
    assert load_by_slip(running(110, 1810, None, None), KRAUSE).shaft_power is None


def test_each_method_names_what_it_waits_for() -> None:
    nothing = running(None, None, None, None)
    bare = PlateFacts(None, None, None, None, None, None, None, None, None, None)
    assert load_by_slip(nothing, bare).missing == ("speed", "rated speed and frequency")
    assert load_by_amps(nothing, bare).missing == ("line amps", "full-load amps")


def test_without_rated_power_the_load_is_still_told_as_a_share() -> None:
    bare = plate(MotorKind.SPLIT_CAPACITOR, None, 110.0, 2.6, 1725.0, 1800.0)
    found = load_by_slip(running(110, 1740, None, None), bare)
    assert found.formula_load == pytest.approx(0.8) and found.shaft_power is None and found.low is not None


def test_methods_that_disagree_are_shown_and_open_the_uncertainty() -> None:
    run = running(110, 1790, 2.9, 290.0)  # full watts at almost no slip: another plate, or another motor
    motor = typical_motor(KRAUSE, "this motor")
    methods = (load_by_watts(run, KRAUSE, motor), load_by_slip(run, KRAUSE), load_by_amps(run, KRAUSE))
    chosen = best_of(methods)
    assert chosen is not None and chosen.shaft_power is not None
    others = disagreement(chosen, methods)
    assert [other.method for other in others] == [Method.SLIP]
    assert widened(chosen, others).uncertainty > 2 * chosen.shaft_power.uncertainty
    assert widened(chosen, ()) is chosen.shaft_power


@pytest.mark.slow
def test_the_ranges_of_the_plain_formulas_hold_on_simulated_motors() -> None:
    """On 120 motors of benchmarks/estimation.py, drawn about the typical one and run on their high tap. 95 % of 120 scatters
    by 4 points (95 %); the rows of the table are coarse, and cut at other motors."""
    rng = np.random.default_rng(11)
    cases = [case for case in draw_cases(240, rng) if not case.reading.tap and not case.truth.off_centre][:120]
    said = [(case, naive_answers(case)) for case in cases]
    for method in said[0][1]:
        ends = [(case.shaft_power, answer[method][1:]) for case, answer in said if np.isfinite(answer[method][1])]
        assert len(ends) > 20 and np.mean([low <= power <= high for power, (low, high) in ends]) > 0.85, method


def test_watts_give_way_only_to_a_clearly_narrower_method() -> None:
    motor = typical_motor(KRAUSE, "this motor")
    loaded, idling = running(110, 1728, 2.5, 260.0), running(110, 1775, 1.8, 118.0)
    taken = []
    for run in (loaded, idling):
        chosen = best_of((load_by_watts(run, KRAUSE, motor), load_by_slip(run, KRAUSE), load_by_amps(run, KRAUSE)))
        assert chosen is not None
        taken.append(chosen.method)
    assert taken == [Method.WATTS, Method.SLIP]


def test_methods_that_share_meters_are_not_averaged() -> None:
    run = running(460, 1746, 23.8, 16636.0)
    methods = (load_by_watts(run, CHAPMAN, typical_motor(CHAPMAN, "this motor")), load_by_slip(run, CHAPMAN))
    chosen = best_of(methods)
    assert chosen is methods[0]
    assert chosen.shaft_power is not None and chosen.shaft_power.standard >= 0.07 * chosen.shaft_power.value


def test_efficiency_is_cut_off_where_the_plates_volt_amperes_forbid_it() -> None:
    """Mean and deviation of the truncated normal against scipy.stats.truncnorm."""
    facts = plate(MotorKind.SPLIT_CAPACITOR, 373.0, 115.0, 5.5, 1075.0, 1200.0)
    bound = plate_efficiency_bound(facts)
    assert bound == pytest.approx(373 / (115 * 5.5) - 0.03)
    mean = (
        1 / 1.587
    )  # the typical half-horse capacitor motor of the table: losses of 0.587, scattered by a factor e^0.34
    spread = mean * (1 - mean) * 0.34
    reference = truncnorm((bound - mean) / spread, 100, loc=mean, scale=spread)
    found = typical_motor(facts, "this motor").rated_efficiency
    assert found.value == pytest.approx(reference.mean(), rel=1e-6)
    assert found.standard == pytest.approx(reference.std(), rel=1e-6)


def test_a_plate_that_promises_more_than_its_volt_amperes_is_refused() -> None:
    with refused_with(OutsideValidity, "efficiency-plate-efficiency-bound"):
        typical_motor(plate(MotorKind.SINGLE_PHASE, 560.0, 115.0, 4.4, 1075.0, 1200.0), "this motor")
    with refused_with(OutsideValidity, "efficiency-typical-motor"):
        typical_motor(plate(MotorKind.THREE_PHASE, 500000.0, None, None, 1780.0, 1800.0), "this motor")


def test_a_new_motor_and_the_old_one_do_not_share_their_scatter() -> None:
    old, new = typical_motor(CHAPMAN, "this motor"), typical_motor(CHAPMAN, "a new motor")
    assert not set(old.rated_efficiency.contributions) & set(new.rated_efficiency.contributions)
    assert (old.rated_efficiency - new.rated_efficiency).standard > old.rated_efficiency.standard
    assert exactly(1.0).contributions == {}


@pytest.mark.parametrize(("ratio", "motor_sd", "machine_sd"), [(1.0, 0.05, 0.05), (1.3, 0.04, 0.12), (0.6, 0.2, 0.05)])
def test_two_independent_values_are_weighed_by_their_inverse_variances(
    ratio: float, motor_sd: float, machine_sd: float
) -> None:
    """JCGM 100: ln P = Σ w ln Pᵢ ÷ Σ w with w = 1 ÷ s², and a spread of (Σ w)^−½; nothing else."""
    of_motor, of_machine = (
        measured(200.0, motor=200 * motor_sd),
        measured(200.0 * ratio, machine_type=200 * ratio * machine_sd),
    )
    said = with_machine_side(
        LoadByMethod(Method.FITTED, None, of_motor, None, None, True, ""), of_machine, 250.0
    ).shaft_power
    assert said is not None
    w, v = motor_sd**-2, machine_sd**-2
    assert said.value == pytest.approx(200.0 * math.exp(v * math.log(ratio) / (w + v)), rel=1e-12)
    assert said.standard / said.value == pytest.approx((w + v) ** -0.5, rel=1e-12)
