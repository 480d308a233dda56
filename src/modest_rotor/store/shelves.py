"""Jobs put away, thrown away and brought back; what was thrown away thirty days ago is gone, unless somebody signed it."""

from __future__ import annotations

import logging
from datetime import UTC, datetime, timedelta

from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.say import say
from modest_rotor.store.board import Shelf
from modest_rotor.store.database import database, transaction
from modest_rotor.store.jobs import row_of
from modest_rotor.store.models import (
    JobRow,
    LogReadingRow,
    MachineRow,
    PhotoRow,
    ServiceRow,
    SignedRow,
    SweepRow,
    WriteAuthorisationRow,
    WrittenRow,
)

KEPT_FOR = timedelta(days=30)
"""For so long a job that was thrown away can be brought back."""
log = logging.getLogger(__name__)


def put_on(job_id: int, shelf: Shelf) -> None:
    """Put a job on a shelf; on each it can be found and opened all the same.

    In the bin it can be brought back for thirty days. A job that was signed off, or for which a device was written, is a record:
    it is archived, not thrown away.

    :raises ChangeRefused: such a record was to be thrown away.
    """
    row_of(job_id)
    now = datetime.now(UTC)
    with transaction():
        if shelf is Shelf.BIN and _is_record(job_id):
            raise ChangeRefused(say("shelves-put-on"))
        JobRow.update(
            archived=now if shelf is Shelf.ARCHIVED else None, thrown=now if shelf is Shelf.BIN else None
        ).where(JobRow.id == job_id).execute()


def empty_bin(now: datetime) -> int:
    """Delete for good what was thrown away more than thirty days before ``now``; how many jobs that were."""
    with transaction():
        old = database.execute_sql("SELECT id, machine_id FROM job WHERE thrown < %s FOR UPDATE", (now - KEPT_FOR,))
        gone = [(job_id, machine_id) for job_id, machine_id in old.fetchall() if not _is_record(job_id)]
        for job_id, machine_id in gone:
            for table in (WriteAuthorisationRow, SweepRow, PhotoRow):
                table.delete().where(table.job == job_id).execute()
            # Undone changes refer to each other: all go at once.
            database.execute_sql("DELETE FROM change WHERE job_id = %s", (job_id,))
            JobRow.delete().where(JobRow.id == job_id).execute()
            _forget_machine(machine_id)
    if gone:
        log.info("%d jobs that were thrown away are gone for good", len(gone))
    return len(gone)


def _is_record(job_id: int) -> bool:
    signed = SignedRow.select(SignedRow.id).where(SignedRow.job == job_id).exists()
    return bool(signed or WrittenRow.select(WrittenRow.id).where(WrittenRow.job == job_id).exists())


def _forget_machine(machine_id: int) -> None:
    """A machine of which no job, no reading and no service is left goes with its last job."""
    for table in (JobRow, LogReadingRow, ServiceRow):
        if table.select(table.id).where(table.machine == machine_id).exists():
            return
    MachineRow.delete().where(MachineRow.id == machine_id).execute()
