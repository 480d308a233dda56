"""What is kept of one assessment is never shown for another: every field of every demo job, changed by itself."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

import pytest
from pydantic import BaseModel

from modest_rotor.core.assess import assess
from modest_rotor.core.changes import with_change
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.demo.load import DEMO_JOBS, FINISHED, _job
from modest_rotor.store.solving import NewestKept, fit_of

pytestmark = pytest.mark.slow
LEAST_COMPARED = 20
PROOF_READS = {
    "setup/tolerance": "1 %",
    "proof/same_meters": "no",
    "proof/filter_changed": "yes",
    "duty/static_lift": None,
    "duty/system_exponent": "2",
}
"""Places that the finished job leaves empty, and that its proof reads."""


def leaves(model: BaseModel, prefix: str) -> Iterator[tuple[str, Any]]:
    """Every filled place of a model, with what stands there."""
    for field in type(model).model_fields:
        value, path = getattr(model, field), f"{prefix}/{field}"
        if isinstance(value, BaseModel) and not hasattr(value, "typed"):
            yield from leaves(value, path)
        elif isinstance(value, tuple):
            for item in value:
                if isinstance(item, BaseModel) and hasattr(item, "id"):
                    yield from leaves(item, f"{path}/{item.id}")
        elif value is not None and field != "id":
            yield path, value


def other(value: Any) -> Any:
    """Another value of the same kind: a quantity a twentieth larger, or nothing."""
    if hasattr(value, "typed"):
        return {"typed": f"{value.si * 1.05 / _factor(value):.6g}", "unit": value.unit} if value.si else None
    return None


def _factor(value: Any) -> float:
    first = (
        float(str(value.typed).replace(",", "").split()[0].split("-")[-1])
        if str(value.typed)[0].isdigit() and "/" not in value.typed
        else 0.0
    )
    return value.si / first if first else 1.0


def changes_of(name: str) -> list[tuple[str, Any]]:
    """Every filled place of a job, with what to put there instead."""
    found, document = [], _job(name).document
    for field in type(document).model_fields:
        part = getattr(document, field)
        if isinstance(part, BaseModel):
            found += [(path, other(value)) for path, value in leaves(part, field)]
        elif isinstance(part, tuple):
            found += [
                (path, other(value))
                for item in part
                if isinstance(item, BaseModel) and hasattr(item, "id")
                for path, value in leaves(item, f"{field}/{item.id}")
            ]
    return found + (list(PROOF_READS.items()) if name == FINISHED else [])


@pytest.mark.parametrize("name", (*DEMO_JOBS, FINISHED))
def test_a_changed_field_is_told_the_same_with_a_memory_as_without(name: str) -> None:
    kept, before, compared = NewestKept(4000), _job(name), 0
    assess(before, fit_of(before), kept, workings=False)
    for path, value in changes_of(name):
        try:
            after = with_change(before, path, value)
        except ChangeRefused:
            continue
        fit = fit_of(after)
        assert assess(after, fit, kept, workings=False) == assess(after, fit, workings=False), (path, value)
        compared += 1
    assert compared >= LEAST_COMPARED
