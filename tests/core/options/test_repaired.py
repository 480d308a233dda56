"""The repaired machine: each repair moves it the way its physics says, and no saving counts what the repair gains."""

from __future__ import annotations

from typing import Any

import pytest

from tests.jobs import KRAUSE, assessed, option
from tests.said import codes_of

pytestmark = pytest.mark.slow

USUAL = [{"id": "same", "kind": "same kind"}, {"id": "electronic", "kind": "electronic"}]


def repaired(repairs: list[str], candidates: Any = USUAL, **asked: Any) -> Any:
    changes = {name: asked.pop(name) for name in list(asked) if "__" in name}
    return assessed(KRAUSE, options={"candidates": candidates, "repairs": repairs, **asked}, **changes).options


def full(options: Any, letter: str = "A") -> Any:
    return next(one for one in options.options if one.letter == letter).steps[0]


def test_a_clean_filter_moves_more_air_and_its_gain_stands_apart() -> None:
    """A backward-inclined wheel on an easier duct: more air; the saving of every option is against that machine."""
    found, right = repaired([]), repaired(["filter"], filter_excess="80 Pa")
    assert found.repair is None
    assert full(right).flow.value > 1.05 * full(found).flow.value
    gain = right.repair.energy.figure.value
    assert gain == pytest.approx(found.options[0].energy.figure.value - right.options[0].energy.figure.value, rel=1e-9)
    electronic = right.options[2]
    assert electronic.saved_energy.figure.value == pytest.approx(
        right.options[0].energy.figure.value - electronic.energy.figure.value, rel=1e-9
    )
    assert full(right, "C").flow.value == pytest.approx(full(right).flow.value)  # the same duty


def test_a_filter_on_a_free_duct_is_solved_on_the_easier_system() -> None:
    """80 of 280 Pa given back: p = 200/280 k qⁿ. The point found lies on that curve, and on the machine's at its new speed."""
    step = full(repaired(["filter"], filter_excess="80 Pa"))
    exponent = 1.9  # of ordinary ducts, where nothing is said
    assert step.pressure.value / step.flow.value**exponent == pytest.approx(200 / 280 * 280 / 0.51**exponent, rel=1e-6)


def test_a_new_capacitor_speeds_a_running_fan_up_a_little() -> None:
    """A stiff motor of 5 % slip gains a few revolutions; what that does to its watts the plate tells roughly, and says so:
    the one or two per cent that are seen lie inside the uncertainty. Common practice, no source."""
    right = repaired(["run capacitor"], checks__capacitance="9 µF")
    speed, watts = full(right).speed, full(right).input_power
    assert 1710 < speed.value < 1740
    assert watts.value - watts.uncertainty < 1.02 * 305.8 < watts.value + watts.uncertainty
    assert "put-right-told-now-label" in codes_of(right.repair.done[0])


def test_a_clean_wheel_gives_its_pressure_back_and_takes_more_power() -> None:
    right = repaired(["wheel"], wheel_loss="20 %")
    assert full(right).flow.value > 1.05 * 0.51
    assert full(right).shaft_power.value > 1.1 * full(repaired([])).shaft_power.value
    assert right.repair.energy.figure.value < 0  # the repair moves more air and takes more for it: said, not hidden


@pytest.mark.parametrize(
    ("repairs", "asked", "words"),
    [
        (["filter"], {}, "waits for the pressure that it gives back"),
        (["filter"], {"filter_excess": "300 Pa"}, "cannot take 300 Pa (1.2 in. w.g.) more"),
        (["run capacitor"], {}, "waits for the label"),
        (["belt"], {}, "read the machine again"),
    ],
)
def test_a_repair_that_cannot_be_reckoned_says_why_and_changes_nothing(
    repairs: list[str], asked: dict[str, Any], words: str
) -> None:
    options = repaired(repairs, **asked)
    assert any(words in lacking for lacking in options.repair.lacking)
    assert full(options).input_power.value == pytest.approx(305.8)
    assert options.options[0].title == repaired([]).options[0].title


def test_what_was_put_right_is_in_the_report_of_the_repair_only() -> None:
    """Putting right costs its own money; no option's payback holds it."""
    bare, costly = (
        repaired(
            ["filter"],
            filter_excess="80 Pa",
            candidates=[{"id": "electronic", "kind": "electronic", "price": "400"}],
            repair_cost=cost,
        )
        for cost in ("0", "300")
    )
    assert bare.options[1].payback.figure.value == pytest.approx(costly.options[1].payback.figure.value)


def test_a_dead_motor_has_a_wider_uncertainty_than_one_that_was_read() -> None:
    """Its baseline is what plate, machine and system give."""
    dead = assessed(KRAUSE, call__reason="dead", readings=[])
    read = assessed(KRAUSE)
    widths = [option(one, "C").saved_energy.figure.uncertainty for one in (dead, read)]
    assert widths[0] > 1.3 * widths[1]


def test_amps_go_with_the_watts_where_the_machine_was_put_right() -> None:
    """At one power factor amps are in proportion to watts: definition. As read, 305.8 W take 3.19 A."""
    for repairs in ({}, {"repairs": ["filter"], "filter_excess": "60 Pa"}, {"repairs": ["wheel"]}):
        full = assessed(KRAUSE, options=repairs).options.options[0].steps[0]
        assert full.input_power and full.current
        assert full.current.value / full.input_power.value == pytest.approx(3.19 / 305.8, rel=1e-6)
