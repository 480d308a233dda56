"""Readings that cannot be so withhold every saving, and the finding that says why stands."""

from __future__ import annotations

from typing import Any

import pytest

from tests.jobs import KRAUSE, assessed, option, rules

pytestmark = pytest.mark.slow


@pytest.mark.parametrize(
    ("changes", "rule"),
    [
        ({"readings__0__speed": "171 rpm"}, "turns_too_slowly"),  # 1,710 with a figure lost
        ({"readings__0__speed": "1,799 rpm"}, "readings_do_not_fit"),  # a few watts of shaft beside 306 taken
        ({"readings__0__speed": "1,800 rpm"}, "above_synchronous"),
        ({"readings__0__speed": "1,850 rpm"}, "above_synchronous"),
        ({"readings__0__input_power": "100 W"}, "readings_do_not_fit"),
        ({"readings__0__input_power": "2,000 W"}, "watts_over_volt_amperes"),
        ({"readings__0__airflow": "5,100 L/s"}, "air_power_over_shaft_power"),
        ({"nameplate__rated_power": "20 W"}, "plate_is_doubtful"),
        ({"readings__0__current": "0.9 A"}, "readings_do_not_fit"),
    ],
)
def test_a_contradiction_withholds_every_saving(changes: dict[str, str], rule: str) -> None:
    answer = assessed(KRAUSE, **changes)
    assert rule in rules(answer)
    assert answer.options.waits and answer.options.waits.startswith("withheld")
    assert not answer.options.options


@pytest.mark.parametrize(
    "changes",
    [
        {},
        {"readings__0__speed": "1,728 rpm"},
        {"readings__0__input_power": "280 W"},
        {"readings__0__airflow": "400 L/s"},
    ],
)
def test_what_a_meter_s_error_explains_withholds_nothing(changes: dict[str, Any]) -> None:
    answer = assessed(KRAUSE, **changes)
    assert answer.options.waits is None and option(answer, "C").saved_energy.figure


def test_a_slow_motor_on_a_regulator_is_no_contradiction() -> None:
    slow = {"readings__0__speed": "800 rpm", "readings__0__tap": "on a regulator"}
    assert "turns_too_slowly" not in rules(assessed(KRAUSE, **slow))


def test_a_machine_side_that_contradicts_the_motor_is_asked_about_and_not_weighed() -> None:
    """With a flow that cannot be the set has the shaft power that it has without one; with one that can, both sides are weighed."""

    def shaft(airflow: str | None) -> float:
        figure = assessed(KRAUSE, readings__0__airflow=airflow).sets[0].shaft_power.figure
        assert figure is not None
        return figure.value

    unread = shaft(None)
    assert shaft("2,000 L/s") == shaft("5,100 L/s") == unread
    assert shaft("510 L/s") != unread
