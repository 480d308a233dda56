"""The open format: published schema, round trip, refusals that name the place."""

from __future__ import annotations

import json
from importlib.resources import files
from pathlib import Path
from typing import Any

import jsonschema
import pytest

from modest_rotor.core.assess import assess
from modest_rotor.core.job import Job
from modest_rotor.core.upgrades import NEWEST, TERMS_OF_3
from modest_rotor.demo.load import DEMO_JOBS
from modest_rotor.formats.job_file import JobFileRefused, job_schema, read_job, write_job
from tests.jobs import KRAUSE, changed, rules

pytestmark = pytest.mark.slow

PUBLISHED = Path(__file__).parents[2] / "docs" / "formats" / f"job-{NEWEST}.schema.json"


def test_the_published_schema_is_the_programs_own_and_valid() -> None:
    assert json.loads(PUBLISHED.read_text(encoding="utf-8")) == job_schema()
    jsonschema.Draft202012Validator.check_schema(job_schema())


def test_a_written_job_satisfies_the_schema_and_reads_back_the_same() -> None:
    job = Job.model_validate(KRAUSE)
    text = write_job(job)
    jsonschema.validate(json.loads(text), job_schema())
    assert read_job(text) == job
    assert write_job(read_job(text)) == text


def test_every_version_keeps_its_schema_with_the_names_that_it_had() -> None:
    def places(version: int) -> set[str]:
        schema = json.loads(PUBLISHED.with_name(f"job-{version}.schema.json").read_text(encoding="utf-8"))
        kinds = schema["$defs"]
        parts = kinds["JobDocument"]["properties"] | {"machine": {"$ref": "#/$defs/Machine"}}
        found = {root: kinds.get(part.get("$ref", "").rpartition("/")[2], {}) for root, part in parts.items()}
        return found.keys() | {f"{root}/{name}" for root, kind in found.items() for name in kind.get("properties", ())}

    before, now = set(TERMS_OF_3), set(TERMS_OF_3.values())
    assert before <= places(1) and before <= places(2) and not before & places(3)
    assert now <= places(3) and not now & places(2)


def test_evidence_survives_as_typed() -> None:
    entry = read_job(write_job(Job.model_validate(KRAUSE))).document.nameplate.rated_power
    assert entry is not None and (entry.typed, entry.unit) == ("1/4 hp", "hp")


CONTRADICTIONS = {
    "plate_denies_itself", "plate_is_doubtful", "readings_do_not_fit", "machine_does_not_fit", "watts_over_volt_amperes",
    "above_synchronous", "air_power_over_shaft_power", "methods_disagree", "readings_contradict",
}  # fmt: skip


@pytest.mark.parametrize("name", DEMO_JOBS)
def test_demo_jobs_are_sound(name: str) -> None:
    job = read_job(files("modest_rotor.demo").joinpath(name).read_text(encoding="utf-8"))
    answer = assess(job)
    assert not rules(answer) & CONTRADICTIONS, "the demo's own readings contradict each other"
    assert not any(method.disagrees for facts in answer.sets for method in facts.methods)
    assert all(option.energy.figure or option.stop for option in answer.options.options)


def _without(data: dict[str, Any], key: str) -> dict[str, Any]:
    return {name: value for name, value in data.items() if name != key}


@pytest.mark.parametrize(
    ("text", "words", "field"),
    [
        ("{", "not JSON", None),
        ("[]", "JSON object", None),
        ('{"format": "something else"}', "something else", "format"),
        (json.dumps(KRAUSE | {"version": NEWEST + 1}), f"version {NEWEST + 1}", "version"),
        (json.dumps(_without(KRAUSE, "machine")), "machine", "machine"),
        (json.dumps(changed(KRAUSE, nameplate__rated_power="3 V")), "unit of voltage", None),
        (json.dumps(changed(KRAUSE, nameplate__phases=2)), "nameplate/phases", "document/nameplate/phases"),
        (json.dumps(changed(KRAUSE, nameplate__colour="red")), "colour", "document/nameplate/colour"),
        (json.dumps(changed(KRAUSE, nameplate__rated_power="560")), "needs its unit", None),
        (
            '{"site": {"name": "a"}, "machine": {"name": "b"}, "document": {"nameplate": {"rated_speed": NaN}}}',
            "NaN",
            None,
        ),
    ],
)
def test_a_file_that_cannot_be_read_is_refused_with_its_place(text: str, words: str, field: str | None) -> None:
    with pytest.raises(JobFileRefused) as refusal:
        read_job(text)
    assert words in refusal.value.sentence
    assert field is None or refusal.value.field == field
