"""Three resistances on a triangle of terminals, pole counts from a speed, kinds from parts."""

from __future__ import annotations

from itertools import permutations

import pytest
from scipy.stats import lognorm

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.kinds import likely_kinds
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.identify.poles import possible_poles
from modest_rotor.core.identify.windings import OPEN_OHM, PAIRS, Windings, order_of_speeds, read_windings
from modest_rotor.core.tables import read_table
from tests.said import refused_with

# Common practice, no source: common–run 3.1 Ω, common–start 8.5 Ω, so start–run 11.6 Ω; and 1.5, 4.0, 5.5 Ω.
SETS = ((3.1, 8.5), (1.5, 4.0))


def triangle(run: float, start: float, order: tuple[int, ...]) -> tuple[float, float, float]:
    """The three pairs of a motor whose common, start and run ends stand at the terminals of ``order``."""
    common, at_start, at_run = order
    between = {
        frozenset((common, at_run)): run,
        frozenset((common, at_start)): start,
        frozenset((at_start, at_run)): run + start,
    }
    first, second, third = (between[frozenset(pair)] for pair in PAIRS)
    return first, second, third


@pytest.mark.parametrize("run_start", SETS)
@pytest.mark.parametrize("order", list(permutations(range(3))))
def test_every_way_to_hold_the_probes_finds_the_same_windings(
    run_start: tuple[float, float], order: tuple[int, ...]
) -> None:
    found = read_windings(*triangle(*run_start, order))
    assert (found.verdict, found.common, found.start, found.run) == (Windings.START_AND_RUN, *order)


def test_a_set_that_breaks_the_rule_is_called_out() -> None:
    assert read_windings(3.1, 8.5, 15.0).verdict is Windings.RULE_BROKEN
    assert read_windings(3.1, 8.5, 9.6).verdict is Windings.RULE_BROKEN


def test_the_rule_has_the_error_of_the_meter() -> None:
    # ± (1 % + 0.2 Ω) on each of three readings: 11.6 may read 11.9.
    assert read_windings(3.1, 8.5, 11.9).verdict is Windings.START_AND_RUN


def test_two_equal_windings_cannot_be_told_apart() -> None:
    found = read_windings(12.0, 6.0, 6.1)
    assert found.verdict is Windings.TWO_EQUAL and found.common == 2


def test_three_equal_pairs() -> None:
    assert read_windings(12.0, 12.1, 11.9).verdict is Windings.EQUAL


def test_open_and_short() -> None:
    assert read_windings(OPEN_OHM, 8.5, OPEN_OHM).common == 0
    assert read_windings(OPEN_OHM, OPEN_OHM, OPEN_OHM).common is None
    assert read_windings(0.0, 8.5, 8.5).verdict is Windings.SHORTED
    with pytest.raises(OutsideValidity):
        read_windings(-1.0, 2.0, 3.0)


def test_the_most_resistance_is_the_lowest_speed() -> None:
    assert order_of_speeds((14.0, 9.0, 19.0)) == (1, 0, 2)
    with refused_with(OutsideValidity, "identify-windings-order-of-speeds-same-within"):
        order_of_speeds((9.0, 9.1))
    with refused_with(OutsideValidity, "identify-windings-order-of-speeds-speed-lead"):
        order_of_speeds((9.0, OPEN_OHM))


@pytest.mark.parametrize(
    ("rpm", "hertz", "poles"),
    # Common practice: bare six-pole blower motor at 60 Hz 1,195 rpm, four-pole 1,790, eight-pole 897; 50 Hz alike.
    [(1195, 60, 6), (1790, 60, 4), (897, 60, 8), (995, 50, 6), (1492, 50, 4), (2990, 50, 2)],
)  # fmt: skip
def test_a_lightly_loaded_speed_is_sure(rpm: float, hertz: float, poles: int) -> None:
    best, *_ = possible_poles(rpm, hertz, lightly_loaded=True)
    assert best.poles == poles and best.share > 0.95


def test_a_loaded_low_tap_is_ambiguous() -> None:
    # 820 rpm at 60 Hz: an eight-pole motor at 9 % slip, or a six-pole blower motor on its low tap at 32 %.
    found = {one.poles: one.share for one in possible_poles(820, 60, lightly_loaded=False)}
    assert {6, 8} <= set(found) and max(found.values()) < 0.95


@pytest.mark.parametrize(("rpm", "poles"), [(1075, 6), (1120, 6), (1725, 4), (825, 8)])
def test_ordinary_full_load_speeds(rpm: float, poles: int) -> None:
    assert possible_poles(rpm, 60, lightly_loaded=False)[0].poles == poles


def test_a_speed_that_no_induction_motor_has() -> None:
    with refused_with(OutsideValidity, "poles-possible-poles-rpm-below"):
        possible_poles(3700, 60, lightly_loaded=False)
    with pytest.raises(OutsideValidity):
        possible_poles(0, 60, lightly_loaded=False)


@pytest.mark.parametrize("row", read_table("motor_kinds"), ids=lambda row: row["kind"])
def test_each_kind_is_found_by_its_own_parts(row: dict[str, str]) -> None:
    parts = {part: row[part] == "yes" for part in row if row[part] in ("yes", "no")}
    best = likely_kinds(parts)[0]
    # The two that hold torque and airflow look alike from outside: their label alone tells them apart.
    assert best.motor_kind == row["motor_kind"]
    assert best.kind == row["kind"] or row["kind"].code == "table-motor-kinds-kind-electronic-with-constant-airflow"


def test_equal_windings_tell_a_capacitor_motor_from_an_electronic_one() -> None:
    seen = {"switch": False}
    assert likely_kinds(seen)[0].motor_kind is MotorKind.SPLIT_CAPACITOR
    assert likely_kinds(seen, Windings.EQUAL)[0].motor_kind in (MotorKind.THREE_PHASE, MotorKind.ELECTRONIC)


@pytest.mark.parametrize("rpm", [1075, 820, 1150])
def test_shares_of_pole_counts_are_those_of_lognormal_slips(rpm: float) -> None:
    """Densities in the logarithm by SciPy's lognormal: 70 % about 0.06 (σ 0.55), 30 % about 0.25 (σ 0.45); the shares judged by us."""
    weights = {}
    for poles in (2, 4, 6, 8, 10, 12):
        slip = 1 - rpm / (120 * 60 / poles)
        if slip > 0:
            full, low = (
                lognorm.pdf(slip, spread, scale=middle) * slip for middle, spread in ((0.06, 0.55), (0.25, 0.45))
            )
            weights[poles] = 0.7 * full + 0.3 * low
    found = {one.poles: one.share for one in possible_poles(rpm, 60, lightly_loaded=False)}
    assert found
    for poles, share in found.items():
        assert share == pytest.approx(weights[poles] / sum(weights.values()), rel=1e-6)


@pytest.mark.parametrize("windings", [Windings.START_AND_RUN, Windings.TWO_EQUAL])
def test_a_start_winding_speaks_against_three_phases_shaded_poles_and_electronics(windings: Windings) -> None:
    """Two different windings belong to one phase with an auxiliary winding; common practice, no source. By a factor of ten."""
    before, after = ({one.kind: one for one in likely_kinds({}, said)} for said in (None, windings))
    split = next(kind for kind, one in before.items() if one.motor_kind is MotorKind.SPLIT_CAPACITOR)
    against = [
        one
        for one in before.values()
        if one.motor_kind in (MotorKind.THREE_PHASE, MotorKind.SHADED_POLE, MotorKind.ELECTRONIC)
    ]
    assert len(against) >= 3
    for one in against:
        there = after[one.kind].share if one.kind in after else 0.0  # the least likely are not told
        assert there / after[split].share <= 0.11 * one.share / before[split].share
