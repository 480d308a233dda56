"""From a typed reading to an estimate: the meter's accuracy and how finely it was read."""

from __future__ import annotations

import math

from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import COVERAGE_95, Estimate, measured
from modest_rotor.core.tables import find_row

Accuracies = tuple[tuple[str, float], ...]
RECTANGULAR = math.sqrt(12)
"""Divides the width of an interval in which every value is equally likely, to give its standard deviation (JCGM 100, 4.3.7)."""


def read_by_meter(entry: Entry, quantity: str, reading: str, accuracies: Accuracies = ()) -> Estimate:
    """A reading with its two error sources.

    :param entry: the reading as typed.
    :param quantity: the quantity that names the meter in the table of meter accuracies.
    :param reading: a name unique to this reading, for the error of its last digit, which it shares with none.
    :param accuracies: ± of the reading at 95 %, by name of meter, where the meter's own is known.
    :returns: an estimate in the SI unit of the quantity. The meter's own error carries the meter's name, so that two
        readings by one meter share it.

    Source: JCGM 100 (GUM) 4.3; accuracies are common practice, no source (table meter_accuracy).
    """
    row = find_row("meter_accuracy", quantity=quantity)
    relative = dict(accuracies).get(row["meter"], float(row["relative"]))
    bound = abs(entry.si) * relative + float(row["absolute"])
    # A bare 0 says nothing of the last digit: it is a reading of zero, with the meter's own uncertainty.
    last_digit = entry.resolution / RECTANGULAR if entry.si else 0.0
    return measured(entry.si, **{row["meter"]: bound / COVERAGE_95, f"last digit, {reading}": last_digit})
