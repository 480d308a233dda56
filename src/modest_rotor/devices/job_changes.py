"""Changes of a job from a run beside the page: tried again on what the page saved meanwhile."""

from __future__ import annotations

from datetime import UTC, datetime

from modest_rotor.core.commands import Command
from modest_rotor.core.errors import ChangeRefused, Conflict
from modest_rotor.core.say import say
from modest_rotor.core.statements import Actor
from modest_rotor.store import jobs

TELL_AGAIN = 3


def change_of_run(job_id: int, command: Command, who: str) -> jobs.StoredJob:
    """Carry a command out on a job as it now is. :raises ChangeRefused: others changed it all the while."""
    actor = Actor(who, f"{datetime.now(UTC):%Y-%m-%d %H:%M}")
    for _ in range(TELL_AGAIN):
        try:
            return jobs.carry_out(job_id, jobs.load(job_id).revision, command, actor)
        except Conflict:
            continue
    raise ChangeRefused(say("job-changes-change-of-run"))
