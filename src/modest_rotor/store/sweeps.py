"""Noise sweeps under way, kept so that they outlive a restart."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import UTC, datetime

from modest_rotor.store.database import in_one_transaction
from modest_rotor.store.models import SweepRow


@dataclass(frozen=True)
class Level:
    """A sound level read on the way: hertz, dB(A), up or down."""

    hertz: float
    level: float
    going: str


@dataclass(frozen=True)
class KeptSweep:
    """A sweep under way."""

    job_id: int
    device_id: int
    panel_id: int | None
    place: int
    original: dict[str, float]
    levels: tuple[Level, ...]
    who: str


@in_one_transaction
def keep_sweep(sweep: KeptSweep) -> None:
    """Keep how far a sweep has come."""
    values = {
        "device": sweep.device_id,
        "panel": sweep.panel_id,
        "place": sweep.place,
        "original": sweep.original,
        "levels": [[one.hertz, one.level, one.going] for one in sweep.levels],
        "who": sweep.who,
        "at": datetime.now(UTC),
    }
    SweepRow.insert(job=sweep.job_id, **values).on_conflict(conflict_target=[SweepRow.job], update=values).execute()


def sweep_of(job_id: int) -> KeptSweep | None:
    """The sweep of a job that is not at its end."""
    row = SweepRow.get_or_none(SweepRow.job == job_id)
    if row is None:
        return None
    levels = tuple(Level(float(hertz), float(level), str(going)) for hertz, level, going in row.levels)
    panel = row.panel.id if row.panel else None
    return KeptSweep(job_id, row.device.id, panel, row.place, dict(row.original), levels, row.who)


@in_one_transaction
def forget_sweep(job_id: int) -> None:
    """It is at its end."""
    SweepRow.delete().where(SweepRow.job == job_id).execute()
