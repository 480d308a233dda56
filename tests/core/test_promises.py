"""A smaller seeded run of benchmarks/promises.py: the stated 95 % uncertainties on truths that share nothing with the estimator."""

from __future__ import annotations

from collections import defaultdict

import numpy as np
import pytest
from benchmarks.promises import CLASSES, Held, coverage, draw, gather

pytestmark = pytest.mark.slow

JOBS, SEED = 2, 23
LEAST_HELD = 0.87
"""Of some 330 promises of 32 jobs, whose errors hang together within a job: 95 % less twice the deviation of 32 independent ones
is 87 %; what a lean or a narrow uncertainty would do goes far below (59 % before this was measured)."""
LEAST_OF_A_KIND = 0.8
"""Of the eight jobs of a kind alike: 95 % less twice the deviation of eight independent ones."""


def test_bands_hold_what_they_promise_on_truths_that_nobody_here_wrote() -> None:
    results = gather(JOBS, SEED, CLASSES, faults=False, workers=1)
    every = [one for _, held, *_ in results for one in held]
    assert len(every) > 260
    assert np.mean([one.holds for one in every]) > LEAST_HELD
    for kind in ("capacitor", "three-phase", "pump"):  # a class that is drawn wrong must not hide among the others
        own = [one.holds for (drawn, *_), held, *_ in results if drawn == kind for one in held]
        assert len(own) > 40 and np.mean(own) > LEAST_OF_A_KIND, kind
    pooled: dict[str, list[Held]] = defaultdict(list)
    for one in every:
        pooled[one.what].append(one)
    for what, helds in pooled.items():
        if len(helds) >= 20:
            middle, *_ = coverage(helds)
            # A median of 20 savings of ± 35 % lies within 15 % of none; of watts and power within 12 %.
            assert abs(middle) < (0.15 if what.startswith("saving") else 0.12), what
    alarms = np.mean([bool(rules) for _, _, rules, *_ in results])
    assert alarms <= 0.16  # 7 % promised; of 32 jobs twice the deviation more


def test_a_pump_of_the_population_is_read_as_a_pump_and_some_of_them_lift() -> None:
    """Once the population drew fans under the name of pumps, and its uncertainties were none the wiser."""
    cases = [draw("pump", "careful", "whole", seed) for seed in range(12)]
    for case in cases:
        reading = case.job["document"]["readings"][0]
        assert "water_flow" in reading and "pump_differential" in reading and "airflow" not in reading
    lifts = [float(case.job["document"]["duty"]["static_lift"].split()[0]) for case in cases]
    assert 3 <= sum(lift > 0 for lift in lifts) <= 9 and min(lifts) == 0
