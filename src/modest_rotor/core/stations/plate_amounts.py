"""What the numbers of a plate's line can be: how many, how large, and in which style they are written."""

from __future__ import annotations

import math
import re
from dataclasses import dataclass

from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.numerals import NumberStyle, Numeral, numerals
from modest_rotor.core.stations.plate_binding import Bound

ORDINARY = {
    "power": (0.0005, 400_000.0), "input": (0.0005, 400_000.0), "volts": (12.0, 1000.0), "amps": (0.01, 1000.0),
    "service_amps": (0.01, 1000.0), "locked_amps": (0.1, 6000.0), "speed": (150.0, 12_000.0), "frequency": (16.0, 400.0),
    "phases": (1.0, 3.0), "capacitor": (0.5, 1500.0), "start_capacitor": (5.0, 2000.0), "service_factor": (1.0, 2.0),
    "efficiency": (0.2, 99.9), "power_factor": (0.2, 1.0), "ambient": (20.0, 90.0),
}  # fmt: skip
"""Least and most that a plate of practice carries, in its own unit. Common practice, no source."""
MOST_POWER = {"hp": 500.0, "PS": 500.0, "kW": 400.0, "W": 400_000.0}
LINE_VOLTS = (
    12, 24, 36, 48, 90, 100, 110, 115, 120, 127, 180, 200, 208, 220, 230, 240, 265, 277, 346, 347, 360, 380, 400, 415, 420, 440, 460,
    480, 500, 525, 550, 575, 600, 660, 690, 720,
)  # fmt: skip
"""Volts that plates carry. Common practice, no source."""
CAPACITOR_VOLTS = (250, 330, 370, 400, 415, 425, 440, 450, 470, 475, 500)
NEVER_LINE_VOLTS = (330, 370, 425, 450, 470, 475)
"""Volts that capacitors carry; and those of them that no line has."""
LINE_HZ, ODD_HZ = (50.0, 60.0), (16.7, 25.0, 40.0, 400.0)
USUAL_SPEEDS = (350.0, 3600.0)
ODD, LISTED, OUTSIDE = 1.0, 0.2, 3.5
"""What an unusual value costs, a list where one number is usual, and a value that no plate has."""
WIDE = ("power", "input", "volts", "amps", "speed", "frequency")


@dataclass(frozen=True)
class Amount:
    """The numbers of one piece: groups parted by strokes, each of one number or of a range's two ends."""

    groups: tuple[tuple[Numeral, ...], ...]
    doubtful: bool = False
    summed: bool = False

    @property
    def flat(self) -> tuple[float, ...]:
        """Every number."""
        return tuple(one.value for group in self.groups for one in group)

    @property
    def tops(self) -> tuple[float, ...]:
        """The last number of every group."""
        return tuple(group[-1].value for group in self.groups)


class Kinds:
    """What numbers can be, by the style in which they are written."""

    def __init__(self, style: NumberStyle | None) -> None:
        self.style = style

    def judge(self, bound: Bound) -> float | None:
        """What taking a number for something costs; ``None`` where it cannot be that. Source: usual values of plates, our judgement."""
        kind = bound.word.kind
        if kind == "maker":
            return 0.0
        if kind in ("power", "input") and not bound.unit:
            return None
        amount = self.amount(bound)
        if amount is None:
            return OUTSIDE if self.amount(bound, wide=True) else None
        return _odd(kind, amount) + LISTED * (len(amount.flat) - 1) * (kind not in ("volts", "amps", "speed"))

    def amount(self, bound: Bound, wide: bool = False) -> Amount | None:
        """The numbers of a piece as far as they can be that kind; nothing where they cannot.

        :param wide: whether they may be larger or smaller than any plate has them, of one number and its unit.
        """
        kind, text = bound.word.kind, bound.numbers
        low, high = ORDINARY.get(kind, (0.0, 1e9))
        if wide and (kind not in WIDE or not re.fullmatch(r"[\d.,]+", text)):
            return None
        if kind in ("power", "input"):
            high = MOST_POWER.get(bound.unit, high)
            if is_fraction(text):
                found = numerals(re.sub(r"^(\d+)-(\d+/)", r"\1 \2", text))
                return Amount((found,)) if low <= found[0].value <= high else None
        if wide:
            low, high = 0.0, math.inf
        if kind == "phases" and text not in ("1", "3"):
            return None
        summed = "+" in text
        if summed and kind != "capacitor":
            return None
        groups, doubtful = [], False
        for group in re.split(r"[/+]", text):
            ends = []
            for one in re.split(r"[-–]|TO", group.upper()):
                can_be = self._can_be(one.strip(), low, high)
                if not can_be:
                    return None
                doubtful |= len(can_be) > 1
                ends.append(can_be[0])
            groups.append(tuple(ends))
        return Amount(tuple(groups), doubtful, summed) if _fits(kind, tuple(groups)) else None

    def _can_be(self, text: str, low: float, high: float) -> list[Numeral]:
        try:
            meant = [one for one in numerals(text, self.style) if low <= one.value <= high]
            # A style decides first; where nothing of it fits, the other may.
            return meant or [one for one in numerals(text, None) if low <= one.value <= high]
        except QuantityRefused:
            return []


def is_fraction(text: str) -> bool:
    """Whether a number is one over another, or a whole one and such: 1/2, 1-1/2, 1 1/2; not two numbers such as 230/115."""
    match = re.fullmatch(r"(?:\d+[- ])?(\d+)/(\d+)", text)
    return match is not None and 0 < int(match[1]) < int(match[2])


def _fits(kind: str, groups: tuple[tuple[Numeral, ...], ...]) -> bool:
    """Whether a kind comes in so many numbers."""
    ends = max(len(group) for group in groups)
    if kind in ("volts", "amps", "service_amps"):
        return len(groups) <= 3 and ends <= 2
    if kind == "frequency":
        return len(groups) * ends <= 2 and all(one.value in (*LINE_HZ, *ODD_HZ) for group in groups for one in group)
    if kind == "speed":
        return len(groups) <= 5 and ends <= 2
    if kind in ("power", "input", "locked_amps", "capacitor", "start_capacitor"):
        return len(groups) <= 2 and ends <= 2
    return len(groups) == ends == 1


def _odd(kind: str, amount: Amount) -> float:
    if kind == "volts":
        return ODD * sum(
            all(abs(one / usual - 1) > 0.005 for usual in LINE_VOLTS + CAPACITOR_VOLTS) for one in amount.flat
        )
    if kind == "frequency":
        return ODD * sum(one not in LINE_HZ for one in amount.flat)
    if kind == "speed":
        return ODD * sum(not USUAL_SPEEDS[0] <= one <= USUAL_SPEEDS[1] for one in amount.flat)
    return 0.0
