"""The kind of a motor without a plate, from the parts that are on it."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.identify.windings import Windings
from modest_rotor.core.tables import read_table

CONTRADICTED = 0.01
"""What is left of a kind's likelihood for each part that speaks against it: people misname parts. Our judgement, no source."""
UNLIKELY_WINDINGS = 0.1
LEAST_SHARE = 0.03
PARTS = (
    "run_capacitor", "start_capacitor", "switch", "relay", "equal_leads", "module", "plug", "analogue",
    "two_sets", "drive_fed", "cogs", "outer_rotor",
)  # fmt: skip


@dataclass(frozen=True)
class LikelyKind:
    """A kind with its share of the likelihood, 0 to 1, and what it is like in three sentences."""

    kind: str
    motor_kind: MotorKind
    share: float
    behaves: str
    fails: str
    replaced_by: str


def likely_kinds(
    parts: Mapping[str, bool], windings: Windings | None = None, phases: int | None = None
) -> tuple[LikelyKind, ...]:
    """The kinds that go with the parts seen, the likeliest first.

    :param parts: for each part that was looked for, whether it is there; names as in ``PARTS``.
    :param windings: what three resistances said, where they were read. :param phases: of the plate, where it tells them.

    Source: table motor_kinds, common practice; three equal pairs belong to three windings in a star or delta.
    """
    weights = {}
    for row in read_table("motor_kinds"):
        weight = float(row["share"])
        for part, seen in parts.items():
            if row[part] != "either" and (row[part] == "yes") != seen:
                weight *= CONTRADICTED
        kind = MotorKind(row["motor_kind"])
        weights[row["kind"]] = weight * _by_windings(kind, windings) * _by_phases(kind, phases)
    total = sum(weights.values())
    found = [
        LikelyKind(
            row["kind"],
            MotorKind(row["motor_kind"]),
            weights[row["kind"]] / total,
            row["behaves"],
            row["fails"],
            row["replaced_by"],
        )
        for row in read_table("motor_kinds")
    ]
    return tuple(sorted((one for one in found if one.share >= LEAST_SHARE), key=lambda one: -one.share))


def _by_phases(kind: MotorKind, phases: int | None) -> float:
    """A plate's phases speak against a kind that cannot have them; electronics are made for either."""
    if phases is None or kind is MotorKind.ELECTRONIC:
        return 1.0
    return 1.0 if (kind is MotorKind.THREE_PHASE) is (phases == 3) else CONTRADICTED**3


def _by_windings(kind: MotorKind, windings: Windings | None) -> float:
    three = kind in (MotorKind.THREE_PHASE, MotorKind.ELECTRONIC)
    if windings is Windings.EQUAL:
        return 1.0 if three else UNLIKELY_WINDINGS
    if windings in (Windings.START_AND_RUN, Windings.TWO_EQUAL):
        return UNLIKELY_WINDINGS if three or kind is MotorKind.SHADED_POLE else 1.0
    return 1.0
