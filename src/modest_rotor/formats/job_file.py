"""The open format of a job: JSON with a version, described by a published JSON Schema."""

from __future__ import annotations

import json
from typing import Any

from pydantic import ValidationError

from modest_rotor.core.errors import QuantityRefused, Refusal
from modest_rotor.core.job import FORMAT_NAME, FORMAT_VERSION, Job
from modest_rotor.core.say import say
from modest_rotor.core.unfit import first_reason
from modest_rotor.core.upgrades import upgraded


class JobFileRefused(Refusal):
    """A job file that cannot be read; ``field`` names the place."""


def read_job(text: str) -> Job:
    """A job from the text of a job file; refuses in words that name the place."""
    try:
        data = json.loads(text, parse_constant=_refuse_constant)
    except json.JSONDecodeError as error:
        raise JobFileRefused(say("job-file-read-job", msg=error.msg, lineno=error.lineno)) from error
    return job_from_data(data)


def job_from_data(data: Any) -> Job:
    """A job from parsed JSON."""
    if not isinstance(data, dict):
        raise JobFileRefused(say("job-file-job-from-data-job-file"))
    if data.get("format", FORMAT_NAME) != FORMAT_NAME:
        raise JobFileRefused(
            say("job-file-job-from-data-file-says", data=data["format"], format_name=FORMAT_NAME), "format"
        )
    data = upgraded(data)
    if data.get("version", FORMAT_VERSION) != FORMAT_VERSION:
        raise JobFileRefused(
            say("job-file-job-from-data-file-version", data=data["version"], format_version=FORMAT_VERSION), "version"
        )
    try:
        return Job.model_validate(data)
    except ValidationError as error:
        place, wrong = first_reason(error)
        raise JobFileRefused(say("job-file-job-from-data-file-holds", place=place, wrong=wrong), place) from error
    except QuantityRefused as refusal:
        raise JobFileRefused(refusal.sentence) from refusal


def write_job(job: Job) -> str:
    """A job as the text of a job file."""
    return json.dumps(job.model_dump(mode="json"), indent=2, ensure_ascii=False) + "\n"


def job_schema() -> dict[str, Any]:
    """The JSON Schema of the job file."""
    schema = Job.model_json_schema()
    schema["$schema"] = "https://json-schema.org/draft/2020-12/schema"
    schema["title"] = say("job-file-job-schema", format_name=FORMAT_NAME, format_version=FORMAT_VERSION)
    return schema


def _refuse_constant(name: str) -> float:
    raise JobFileRefused(say("job-file-refuse-constant", name=name))
