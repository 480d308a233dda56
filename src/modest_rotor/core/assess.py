"""The one door: ``assess(job)`` gives every number that follows from what was said."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any

from modest_rotor import __version__
from modest_rotor.core import nodes
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.graph import Walk
from modest_rotor.core.job import Job
from modest_rotor.core.memo import Keeper, Memo
from modest_rotor.core.options.answers import LoadedAnswer
from modest_rotor.core.options.baseline import baseline
from modest_rotor.core.options.beside import BesideAnswer
from modest_rotor.core.options.compare import compare_beside, compare_loaded
from modest_rotor.core.options.effects import EffectTable, effect_table
from modest_rotor.core.options.ranked_causes import RankedCauses, ranked_causes
from modest_rotor.core.rules.case import Case
from modest_rotor.core.stations.charts import amps_chart_state, blower_table_state
from modest_rotor.core.stations.identity import identify
from modest_rotor.core.stations.motor_fit import MotorFit, fit_key
from modest_rotor.core.stations.reading_round import reading_round
from modest_rotor.core.withheld import sound_part


def fit_job(job: Job) -> MotorFit:
    """The motor fitted to a job's plate and readings: the slow part of an assessment, worth keeping under its key."""
    return _walk(job).of(nodes.fit)


def job_fit_key(job: Job) -> str:
    """The name of the fit that belongs to a job."""
    return _fit_key(_walk(job))


def assess(
    job: Job,
    fit: MotorFit | None = None,
    memo: Memo | None = None,
    newest: str | None = None,
    on_fault: Callable[[Exception], None] | None = None,
    meanwhile: Job | None = None,
    workings: bool = True,
) -> Assessment:
    """Everything that follows from a job.

    :param job: what the technician said; any part may be missing.
    :param fit: the motor as fitted before, by :func:`fit_job`; it is fitted anew when none is given. One that was made for
        an earlier plate or earlier readings still draws a picture, which says that it is being refined.
    :param memo: where results of unchanged parts are kept between two assessments; nothing is, where none is given.
    :param newest: the path that was edited last, suspected first where nothing can be worked out.
    :param on_fault: told of what was raised for the whole job, where something was.
    :param meanwhile: the job as it was before: its options, set-up and proof are shown until they are worked out anew, and the
        assessment says that it is being refined.
    :param workings: whether each step of each option comes with how it came about: long, and asked for one at a time.
    :returns: results with their workings and uncertainties; what is missing is named in place of a result. Never refuses a
        valid job: contradictions come back as findings, and what cannot be worked with at all is left out and named.
    """
    try:
        return _assess(job, fit, memo, meanwhile, workings)
    except Exception as error:  # a fault of ours as well: one value must not take the whole job away
        if on_fault is not None:
            on_fault(error)
        sound = sound_part(job, error, lambda tried: _works(tried, memo), newest)
        return _assess(sound.job, None, memo, None, workings).model_copy(update={"left_out": sound.left_out})


def _works(job: Job, memo: Memo | None) -> bool:
    try:
        _assess(job, None, memo, None, False)
    except Exception:
        return False
    return True


def _assess(job: Job, fit: MotorFit | None, memo: Memo | None, meanwhile: Job | None, workings: bool) -> Assessment:
    walk, charts = _walk(job, fit, memo, meanwhile, workings=workings), job.document.charts
    return Assessment(
        program_version=__version__,
        currency=job.currency,
        plate=walk.of(nodes.plate_answer),
        identity=identify(job.document.identification, job.document.leads, job.document.nameplate.phases),
        sets=walk.of(nodes.answered),
        round=reading_round(walk.of(nodes.machine_type), walk.of(nodes.plate)),
        wanted_flow=walk.of(nodes.wanted),
        amps_chart=amps_chart_state(charts),
        blower_table=blower_table_state(charts),
        duty=walk.of(nodes.year).answer,
        options=walk.of(nodes.options),
        balance=walk.of(nodes.balance),
        setup=walk.of(nodes.setup),
        proof=walk.of(nodes.proof),
        findings=walk.of(nodes.findings),
        procedures=walk.of(nodes.procedures),
        rail=walk.of(nodes.rail),
        next=walk.of(nodes.steps),
        board=walk.of(nodes.board),
        short=walk.of(nodes.short),
        refining=meanwhile is not None or (fit is not None and fit.key != _fit_key(walk)),
    )


def effects(job: Job, fit: MotorFit | None = None) -> EffectTable:
    """What every meter would show if one thing changed on the machine as found; arguments as :func:`assess`."""
    return effect_table(_walk(job, fit).of(nodes.found))


def causes(job: Job, fit: MotorFit | None = None) -> RankedCauses:
    """What explains the last set of readings, the likeliest cause first; arguments as :func:`assess`."""
    walk = _walk(job, fit)
    plate, target, figure = job.document.nameplate, job.document.target, walk.of(nodes.wanted).figure
    wanted = figure.value if figure else None
    static = target.rated_static.si if target.rated_static else None
    machine_type, facts = walk.of(nodes.machine_type), walk.of(nodes.plate)
    found = baseline(facts, plate.holds, machine_type, walk.of(nodes.sets), walk.of(nodes.fit), wanted, static)
    return ranked_causes(found, machine_type)


def loaded(job: Job, fit: MotorFit | None = None, memo: Memo | None = None) -> tuple[LoadedAnswer, ...]:
    """What each option moves and takes as the filter loads, its setting left as it is; arguments as :func:`assess`."""
    walk = _walk(job, fit, memo, workings=False)
    return compare_loaded(walk.of(nodes.found), walk.of(nodes.compared), walk.keep)


def beside(job: Job, asked: tuple[str, ...], fit: MotorFit | None = None, memo: Memo | None = None) -> BesideAnswer:
    """Options of a job side by side, by their ids; the others are held against the first. Arguments as :func:`assess`."""
    walk = _walk(job, fit, memo, workings=False)
    return compare_beside(walk.of(nodes.found), walk.of(nodes.compared), asked, walk.keep)


def build_case(job: Job, fit: MotorFit | None = None, memo: Memo | None = None) -> Case:
    """The job with its machine solved, ready for rules and summaries; arguments as :func:`assess`."""
    return _walk(job, fit, memo, workings=False).of(nodes.case)


def _walk(
    job: Job,
    fit: MotorFit | None = None,
    memo: Memo | None = None,
    meanwhile: Job | None = None,
    workings: bool = True,
) -> Walk:
    """The graph of a job; where there is a job of before, with the options of that one."""
    keep = Keeper(memo)
    given: dict[str, Any] = {"workings": workings}
    if fit is not None:
        keep.contents.name(fit, f"fit {fit.key}")
        given["fit"] = fit
    if meanwhile is not None:
        earlier = Walk(nodes.GRAPH, meanwhile, keep, given)
        given |= {"options": earlier.of(nodes.options), "right": earlier.of(nodes.right)}
    return Walk(nodes.GRAPH, job, keep, given)


def _fit_key(walk: Walk) -> str:
    return fit_key(walk.of(nodes.plate), walk.of(nodes.of_the_motor))
