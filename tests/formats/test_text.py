"""Figures as plain text."""

from __future__ import annotations

from modest_rotor.core.estimate import COVERAGE_95, measured
from modest_rotor.core.phrase import figure
from modest_rotor.formats.text import written


def test_a_small_flow_keeps_two_figures() -> None:
    one = figure("airflow", measured(0.00047194744, meter=0.00005 / COVERAGE_95))
    assert written(one, "si") == "0.47 ± 0.05 L/s"
    assert written(figure("airflow", 0.00047194744), "ip") == "1.0 cfm"
    assert written(figure("airflow", 0.5104), "si") == "510 L/s"
