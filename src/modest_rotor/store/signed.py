"""What was signed off: job, assessment and program version, frozen together. Later changes open a new revision."""

from __future__ import annotations

from datetime import UTC, datetime, tzinfo
from threading import Lock
from typing import Any

from cachetools import LRUCache, cached
from pydantic import ValidationError

from modest_rotor import __version__
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.errors import ChangeRefused, Conflict, UnknownItem
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import Figure, Frozen, Phrase
from modest_rotor.core.say import say, tell
from modest_rotor.core.upgrades import STEPS_OF_3
from modest_rotor.formats.report_page_one import Dressing
from modest_rotor.formats.signed_report import AsShown, as_shown
from modest_rotor.store import jobs
from modest_rotor.store.database import transaction
from modest_rotor.store.fits import assess_job
from modest_rotor.store.models import JobRow, SignedRow

MOST_KEPT = 32
PLAIN = Dressing()
SAME_AS_SIGNED = 0.01


class SignedLine(Frozen):
    """A sign-off as it is listed."""

    number: int
    at: datetime
    who: str
    role: str
    program_version: str
    revision: str


class SignedJob(Frozen):
    """A sign-off with everything that was frozen.

    ``anew`` where its numbers had to be worked out again, since an earlier program kept them in another form; what was shown then
    stays as it was.
    """

    line: SignedLine
    job: Job
    assessment: Assessment
    anew: bool = False


def sign(
    job_id: int,
    revision: str,
    who: str,
    role: str,
    at: datetime | None = None,
    zone: tzinfo = UTC,
    dressing: Dressing = PLAIN,
) -> SignedLine:
    """Freeze a job as it stands.

    :param at: when it was signed; now where nothing is said. :param zone: of the clock on which the report tells its times.
    :param dressing: in whose name it is made.

    :raises Conflict: the job has moved on since ``revision``. :raises ChangeRefused: nobody signs, a stop stands open, there
        is no proof yet, or nothing changed since it was signed.
    """
    if not who.strip():
        raise ChangeRefused(say("signed-sign-sign-off"))
    stored, at = jobs.load(job_id), at or datetime.now(UTC)
    _refuse_moved(stored, revision)
    assessment = assess_job(stored.job)
    _refuse_open(assessment)
    by = ", ".join(part for part in (who.strip(), role.strip()) if part)
    shown = as_shown(stored.job, assessment, stored.revision, by, at, zone, dressing)
    with transaction():
        JobRow.select().where(JobRow.id == job_id).for_update().first()
        _refuse_moved(jobs.load(job_id), revision)
        before = signed_lines(job_id)
        if before and before[-1].revision == stored.revision:
            raise ChangeRefused(say("signed-sign-signed-just", who=before[-1].who))
        row = SignedRow.create(
            job=job_id,
            number=len(before) + 1,
            at=at,
            who=who.strip(),
            role=role.strip(),
            program_version=__version__,
            revision=stored.revision,
            job_file=stored.job.model_dump(mode="json"),
            assessment=assessment.model_dump(mode="json"),
            report=shown.report,
            pdf=shown.pdf,
            sheet=shown.sheet,
        )
    return _line(row)


def _refuse_moved(stored: jobs.StoredJob, revision: str) -> None:
    if stored.revision != revision:
        raise Conflict(say("signed-refuse-moved"))


def _refuse_open(assessment: Assessment) -> None:
    if assessment.left_out:
        raise ChangeRefused(say("signed-refuse-open-everything-could", sentence=assessment.left_out[0].sentence))
    if assessment.setup.stops:
        raise ChangeRefused(say("signed-refuse-open-stop-set"))
    if assessment.proof.waits:
        raise ChangeRefused(say("signed-refuse-open-there-nothing", waits=assessment.proof.waits))


def signed_lines(job_id: int) -> tuple[SignedLine, ...]:
    """Every sign-off of a job, oldest first."""
    columns = (
        SignedRow.number,
        SignedRow.at,
        SignedRow.who,
        SignedRow.role,
        SignedRow.program_version,
        SignedRow.revision,
    )
    return tuple(
        _line(row) for row in SignedRow.select(*columns).where(SignedRow.job == job_id).order_by(SignedRow.number)
    )


def signed(job_id: int, number: int) -> SignedJob:
    """One sign-off, whole. :raises UnknownItem: there is none of that number."""
    row = SignedRow.get_or_none(SignedRow.job == job_id, SignedRow.number == number)
    if row is None:
        raise UnknownItem(say("signed", job_id=job_id, number=number))
    return _whole(row)


def shown(job_id: int, number: int) -> AsShown | None:
    """A sign-off byte for byte as it was shown; nothing of one that an earlier program kept without. :raises UnknownItem: there is none."""
    columns = (SignedRow.report, SignedRow.pdf, SignedRow.sheet)
    row = SignedRow.select(*columns).where(SignedRow.job == job_id, SignedRow.number == number).first()
    if row is None:
        raise UnknownItem(say("signed-shown", job_id=job_id, number=number))
    return AsShown(row.report, bytes(row.pdf), bytes(row.sheet)) if row.report else None


def newest_of_machine(machine_id: int) -> tuple[int, SignedJob] | None:
    """The newest sign-off of any job of a machine, with the job's number."""
    row = (
        SignedRow.select(SignedRow)
        .join(JobRow)
        .where(JobRow.machine == machine_id)
        .order_by(SignedRow.at.desc())
        .first()
    )
    return (row.job_id, _whole(row)) if row else None


def since_signed(found: SignedJob) -> tuple[Phrase, ...]:
    """What the program of today works out otherwise for a job just as it was signed: an earlier one had other uncertainties or laws."""
    if found.anew:
        return ((say("signed-since-signed-numbers-kept"),),)
    now, then = assess_job(found.job), found.assessment
    chosen = found.job.document.decision.chosen
    told: list[Phrase] = []
    for words, before, after in (
        (say("signed-since-signed-saving-promised"), _saving(then, chosen), _saving(now, chosen)),
        (say("signed-since-signed-saving-measured"), then.proof.saved.figure, now.proof.saved.figure),
    ):
        if before is not None and after is not None and _differ(before, after):
            told.append(tell("signed-since-signed-signed-today", words=words, before=before, after=after))
    if then.proof.verdict is not now.proof.verdict:
        told.append(
            (say("signed-since-signed-verdict-today", verdict=then.proof.verdict, verdict_2=now.proof.verdict),)
        )
    return tuple(told)


def _saving(assessment: Assessment, chosen: str | None) -> Figure | None:
    option = next((one for one in assessment.options.options if one.id == chosen), None)
    return option.saved_energy.figure if option else None


def _differ(before: Figure, after: Figure) -> bool:
    """Whether value or uncertainty moved by more than a hundredth of the value."""
    least = SAME_AS_SIGNED * max(abs(before.value), abs(after.value))
    return max(abs(before.value - after.value), abs((before.uncertainty or 0.0) - (after.uncertainty or 0.0))) > least


@cached(LRUCache(MOST_KEPT), key=lambda row: (row.id, row.at), lock=Lock())
def _whole(row: Any) -> SignedJob:
    """A sign-off as it was kept; rows never change, so one that was read is kept."""
    job = Job.model_validate(row.job_file)
    try:
        return SignedJob(line=_line(row), job=job, assessment=Assessment.model_validate(_still_told(row.assessment)))
    except ValidationError:
        return SignedJob(line=_line(row), job=job, assessment=assess_job(job), anew=True)


def _still_told(kept: dict[str, Any]) -> dict[str, Any]:
    """An assessment without what earlier programs told along with it; what they called otherwise its models read themselves."""
    kept = {**kept, **_setup_told(kept.get("setup"))}
    options = kept.get("options")
    if not isinstance(options, dict):
        return kept
    told = [_option_told(one) for one in options.get("options", ())]
    rest = {name: part for name, part in options.items() if name not in ("as_found", "overlap")}
    return {**kept, "options": {**rest, "options": told}, **_short_told(kept.get("short"), told)}


def _setup_told(setup: Any) -> dict[str, Any]:
    """Set-up, whose step at the voltage selector was called a link."""
    if not isinstance(setup, dict) or "link" not in setup:
        return {}
    steps = [{**one, "step": STEPS_OF_3.get(one["step"], one["step"])} for one in setup.get("steps", ())]
    return {"setup": {**setup, "steps": steps}}


def _option_told(option: dict[str, Any]) -> dict[str, Any]:
    """An option without its loading filter, which stood with it."""
    return {name: part for name, part in option.items() if name != "loaded"}


def _short_told(short: Any, options: list[dict[str, Any]]) -> dict[str, Any]:
    """The first page's candidates, whose money stood with the options alone."""
    if not isinstance(short, dict):
        return {}
    money = {one.get("id"): one.get("saved_money") for one in options}
    candidates = [{"money": money.get(one.get("id")), **one} for one in short.get("candidates", ())]
    return {"short": {**short, "candidates": candidates}}


def _line(row: Any) -> SignedLine:
    return SignedLine(
        number=row.number,
        at=row.at,
        who=row.who,
        role=row.role,
        program_version=row.program_version,
        revision=row.revision,
    )
