"""A job begun from another: what goes along, and what was somebody's word on the first and does not."""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.changes import value_at
from modest_rotor.core.copying import CopyOf, copied
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import Figure
from modest_rotor.core.site import site_energy
from modest_rotor.core.statements import STATEMENTS
from tests.core.setup.test_setup_answer import BAGGAGE
from tests.jobs import changed

SAID: dict[str, Any] = {
    "marks": [{"id": "s1", "finding": "x", "who": "Ann"}],
    "options__waivers": [{"id": "s1", "option": "drive", "check": "listing", "who": "Ann", "reason": "asked"}],
    "decision__approvals": [{"id": "s1", "of": "it", "who": "A. Porter"}],
    "options__fitting": {"listing_allows": "no"}, "options__repairs": ["filter"], "options__filter_excess": "40 Pa",
    "call__protected": "smoke control",
}  # fmt: skip
JOB = Job.model_validate(changed(BAGGAGE, **SAID))


@pytest.mark.parametrize("how", CopyOf)
def test_nobody_s_word_goes_along(how: CopyOf) -> None:
    assert all(value_at(JOB, path) for path in STATEMENTS)
    new = copied(JOB, how)
    assert all(value_at(new, path) == [] for path in STATEMENTS)
    assert new.document.proof == type(new.document.proof)() and new.document.setup == type(new.document.setup)()
    decision = new.document.decision
    assert (decision.chosen, decision.why, decision.left_open, decision.made_by) == (None, None, None, None)
    assert decision.made_for == JOB.document.decision.made_for
    for part in ("nameplate", "target", "duty"):
        assert getattr(new.document, part) == getattr(JOB.document, part)
    assert [one.id for one in new.document.options.candidates] == [one.id for one in JOB.document.options.candidates]


def test_a_second_plan_is_of_the_same_machine_as_it_was_found() -> None:
    new = copied(JOB, CopyOf.SECOND_PLAN)
    assert new.machine == JOB.machine and new.document.readings == JOB.document.before and new.document.readings
    assert new.document.call == JOB.document.call and new.document.options.fitting == JOB.document.options.fitting
    assert new.document.options.repairs == JOB.document.options.repairs


def test_a_like_machine_takes_nothing_along_that_is_asked_or_read_there() -> None:
    new = copied(JOB, CopyOf.LIKE_MACHINE, " Fan over the quay ")
    assert new.machine.name == "Fan over the quay" and new.machine.place is None
    assert new.machine.type == JOB.machine.type
    assert new.document.readings == () and new.document.call.protected is None
    options = new.document.options
    assert options.fitting == type(options.fitting)() and options.repairs == () and options.filter_excess is None
    assert copied(JOB, CopyOf.LIKE_MACHINE).machine.name == JOB.machine.name


def energy(value: float, uncertainty: float | None) -> Figure:
    return Figure(quantity="energy", value=value, uncertainty=uncertainty)


def test_energies_of_a_site_add_up_with_the_most_that_their_uncertainties_can_be() -> None:
    """JCGM 100 (GUM) 5.2.2, note 1: errors that may all be the same add up as they are. By hand."""
    known = (energy(1000, 100), energy(400, 50))
    told = site_energy((known, (energy(2000, None), energy(900, 70)), (energy(500, 5), None), (None, None)))
    assert (told.machines, told.of) == (2, 4)
    assert told.now and told.after
    assert (told.now.value, told.now.uncertainty, told.after.value, told.after.uncertainty) == (3000, 100, 1300, 120)
    nothing = site_energy(((None, energy(1, 1)),))
    assert (nothing.now, nothing.after, nothing.machines, nothing.of) == (None, None, 0, 1)
