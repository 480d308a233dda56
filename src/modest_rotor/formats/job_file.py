"""The open format of a job: JSON with a version, described by a published JSON Schema."""

from __future__ import annotations

import json
from typing import Any

from pydantic import ValidationError

from modest_rotor.core.errors import QuantityRefused, Refusal
from modest_rotor.core.job import FORMAT_NAME, FORMAT_VERSION, Job
from modest_rotor.core.upgrades import upgraded


class JobFileRefused(Refusal):
    """A job file that cannot be read; ``field`` names the place."""


def read_job(text: str) -> Job:
    """A job from the text of a job file; refuses in words that name the place."""
    try:
        data = json.loads(text, parse_constant=_refuse_constant)
    except json.JSONDecodeError as error:
        raise JobFileRefused(f"This is not JSON: {error.msg} in line {error.lineno}.") from error
    return job_from_data(data)


def job_from_data(data: Any) -> Job:
    """A job from parsed JSON."""
    if not isinstance(data, dict):
        raise JobFileRefused("A job file is a JSON object with “site”, “machine” and “document”.")
    if data.get("format", FORMAT_NAME) != FORMAT_NAME:
        raise JobFileRefused(f"The file says it is “{data['format']}”; here “{FORMAT_NAME}” is read.", "format")
    data = upgraded(data)
    if data.get("version", FORMAT_VERSION) != FORMAT_VERSION:
        raise JobFileRefused(
            f"The file is of version {data['version']}; this program reads versions 1 to {FORMAT_VERSION}.", "version"
        )
    try:
        return Job.model_validate(data)
    except ValidationError as error:
        first = error.errors(include_url=False)[0]
        place = "/".join(str(step) for step in first["loc"])
        wrong = "is missing" if first["type"] == "missing" else first["msg"].removeprefix("Value error, ")
        raise JobFileRefused(f"The file holds no whole job: “{place}” {wrong}. Nothing was taken in.", place) from error
    except QuantityRefused as refusal:
        raise JobFileRefused(refusal.sentence) from refusal


def write_job(job: Job) -> str:
    """A job as the text of a job file."""
    return json.dumps(job.model_dump(mode="json"), indent=2, ensure_ascii=False) + "\n"


def job_schema() -> dict[str, Any]:
    """The JSON Schema of the job file."""
    schema = Job.model_json_schema()
    schema["$schema"] = "https://json-schema.org/draft/2020-12/schema"
    schema["title"] = f"{FORMAT_NAME}, version {FORMAT_VERSION}"
    return schema


def _refuse_constant(name: str) -> float:
    raise JobFileRefused(f"{name} is no number that can be worked with; leave the value out if it was not read.")
