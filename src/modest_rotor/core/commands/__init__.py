"""Every change of a job is a command of somebody's, judged here before anything is kept: by one function, whoever sends it.

What somebody says by name is a command of its own (:mod:`by_name`): no other one makes, changes or loses it.
"""

from __future__ import annotations

from modest_rotor.core.changes import with_change
from modest_rotor.core.commands.candidates import refuse_unsuited
from modest_rotor.core.commands.command import Command, Found
from modest_rotor.core.job import Job
from modest_rotor.core.statements import Actor, Edit, refuse_statements
from modest_rotor.core.stations.readings import refuse_future

__all__ = ["Command", "Found", "decide"]


def decide(job: Job, command: Command, actor: Actor, found: Found) -> tuple[Edit, ...]:
    """What a command makes of a job, in the order in which it is kept; the job itself is not changed.

    :param found: gives what follows from the job, for the commands that are judged by it.
    :raises ChangeRefused: it is not done, and why. :raises Conflict: somebody was there before. :raises UnknownItem: nothing is there.
    """
    edits, changed = command.edits(job, actor, found), job
    for edit in edits:
        changed = with_change(changed, edit.path, edit.after)
        if not edit.by_name:
            refuse_statements(job, changed)
    for reading in changed.document.readings:
        if reading not in job.document.readings:  # one of an earlier clock stands in nobody's way
            refuse_future(reading, actor.latest or actor.at)
    if changed.document.options != job.document.options:
        refuse_unsuited(job, changed)
    return edits
