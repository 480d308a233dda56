"""A new job from one that is there: what belongs to machine and plan goes along, what somebody answered for by name does not."""

from __future__ import annotations

from typing import Any

from modest_rotor.core.coded import Coded
from modest_rotor.core.job import Job, JobDocument
from modest_rotor.core.stations.fitting import Fitting


class CopyOf(Coded):
    """How much of a job a new one takes along."""

    SECOND_PLAN = "second-plan"
    """The same machine with its readings, to be thought through another way."""
    LIKE_MACHINE = "like-machine"
    """Another machine of the same kind: its plate, wanted flow, year and candidates; nothing that was read or found."""


def copied(job: Job, how: CopyOf, machine_name: str = "") -> Job:
    """The document of a new job.

    Signatures, approvals, waivers, marks, set-up and proof are somebody's word on the first job and never go along; nor does,
    for another machine, what has to be asked, read or looked at there: above all whether its duty is protected.

    :param machine_name: of the new machine; the first one's where none is given.
    """
    old = job.document
    options = old.options.model_copy(update={"waivers": ()})
    decision = old.decision.model_copy(
        update={"chosen": None, "why": None, "left_open": None, "approvals": (), "made_by": None}
    )
    kept: dict[str, Any] = {"nameplate": old.nameplate, "target": old.target, "duty": old.duty, "decision": decision}
    if how is CopyOf.SECOND_PLAN:
        whole: dict[str, Any] = {
            "call": old.call,
            "identification": old.identification,
            "leads": old.leads,
            "call_taps": old.call_taps,
            "charts": old.charts,
            "readings": old.before,
            "meters": old.meters,
            "checks": old.checks,
        }
        document = JobDocument(**kept, **whole, options=options)
        machine = job.machine
    else:
        here = ("filter_excess", "wheel_loss", "repair_cost", "resistance_factor", "loaded_static")
        fresh = options.model_copy(update={"fitting": Fitting(), "repairs": (), **dict.fromkeys(here)})
        document = JobDocument(**kept, options=fresh)
        machine = job.machine.model_copy(update={"place": None})
    name = machine_name.strip()
    return job.model_copy(
        update={"machine": machine.model_copy(update={"name": name}) if name else machine, "document": document}
    )
