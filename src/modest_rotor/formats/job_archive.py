"""Many jobs as one file: a ZIP archive of job files, one to a job."""

from __future__ import annotations

import io
import re
import zipfile
from dataclasses import dataclass

from modest_rotor.core.errors import Refusal
from modest_rotor.core.job import Job
from modest_rotor.core.say import say
from modest_rotor.formats.job_file import read_job, write_job

LARGEST_ARCHIVE = 16_000_000
"""Bytes of an archive as it comes in."""
LARGEST_JOB = 2_000_000
"""Bytes of one job file, unpacked."""
MOST_JOBS = 1_000
DATED = (2000, 1, 1, 0, 0, 0)
"""Every file in an archive has this date, so that the same jobs make the same archive."""


class ArchiveRefused(Refusal):
    """A file that is no archive of jobs."""


@dataclass(frozen=True)
class ArchivedJob:
    """One file of an archive: its job, or why it cannot be taken."""

    file: str
    job: Job | None
    reason: str = ""


def write_archive(jobs: tuple[Job, ...]) -> bytes:
    """The archive of some jobs, each under the name of its site and machine."""
    out, used = io.BytesIO(), set[str]()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as archive:
        for job in jobs:
            name = _name_of(job, used)
            archive.writestr(zipfile.ZipInfo(name, DATED), write_job(job), zipfile.ZIP_DEFLATED)
    return out.getvalue()


def read_archive(data: bytes) -> tuple[ArchivedJob, ...]:
    """Every job file of an archive; one that cannot be read comes back with its reason and harms no other.

    :raises ArchiveRefused: it is no archive, or too large.
    """
    if len(data) > LARGEST_ARCHIVE:
        raise ArchiveRefused(say("job-archive-read-archive-archive-jobs", largest_archive=LARGEST_ARCHIVE // 1_000_000))
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as archive:
            files = [one for one in archive.infolist() if not one.is_dir()]
            if len(files) > MOST_JOBS:
                raise ArchiveRefused(
                    say("job-archive-read-archive-archive-holds", most_jobs=MOST_JOBS, files=len(files))
                )
            return tuple(_read_one(archive, one) for one in files)
    except (zipfile.BadZipFile, EOFError, NotImplementedError, RuntimeError) as error:
        raise ArchiveRefused(say("job-archive-read-archive-zip-archive")) from error


def _read_one(archive: zipfile.ZipFile, file: zipfile.ZipInfo) -> ArchivedJob:
    """One file, of which no more is unpacked than a job may hold, whatever its heading says."""
    name = file.filename[:120]
    with archive.open(file) as opened:
        data = opened.read(LARGEST_JOB + 1)
    if len(data) > LARGEST_JOB:
        return ArchivedJob(name, None, say("job-archive-read-one-job-file", largest_job=LARGEST_JOB // 1_000_000))
    try:
        return ArchivedJob(name, read_job(data.decode("utf-8-sig")))
    except UnicodeDecodeError:
        return ArchivedJob(name, None, say("job-archive-read-one-text-utf"))
    except (Refusal, RecursionError) as refusal:
        return ArchivedJob(
            name, None, refusal.sentence if isinstance(refusal, Refusal) else say("job-archive-read-one-nested-too")
        )


def _name_of(job: Job, used: set[str]) -> str:
    base = re.sub(r"[^a-z0-9]+", "-", f"{job.site.name} {job.machine.name}".lower()).strip("-")[:80] or say(
        "job-archive-name-of-job"
    )
    name, number = say("job-archive-name-of-json", base=base), 2
    while name in used:
        name, number = say("job-archive-name-of-json-2", base=base, number=number), number + 1
    used.add(name)
    return name
