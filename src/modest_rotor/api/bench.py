"""The Bench over HTTP: stands and course, where a rig goes, waves, explanations of a change, the record, and fault hunts."""

from __future__ import annotations

from typing import Literal

from fastapi import APIRouter
from pydantic import Field

from modest_rotor.api.contracts import LONGEST_NAME, Learner, Words
from modest_rotor.core.assess import build_case
from modest_rotor.core.bench.course import Experiment, course, experiment_called, topic_of, topic_words
from modest_rotor.core.bench.course_words import TOPICS
from modest_rotor.core.bench.knobs import Knob, Turned, knobs_of
from modest_rotor.core.bench.outlook import Outlook, meters_of, outlook, quantity_of
from modest_rotor.core.bench.record import Predicted, Record, record_of
from modest_rotor.core.bench.rigs import on_a_drive, stand_of_machine, stand_of_product
from modest_rotor.core.bench.shipped import stand_called, stands
from modest_rotor.core.bench.stand import Stand
from modest_rotor.core.bench.waves import Wave, waves_of
from modest_rotor.core.bench.why import Meter, Moves, reasons
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.recognized import meant
from modest_rotor.core.say import say
from modest_rotor.core.stations.product import ProductType
from modest_rotor.store import bench, catalogue, jobs
from modest_rotor.store.database import with_connection
from modest_rotor.store.solving import PARTS, NewestKept, fit_of, sound_job
from modest_rotor.workers.solvers import SOLVERS

router = APIRouter(prefix="/api/bench", tags=["bench"])
MOST_STANDS = 24
_stands = NewestKept(MOST_STANDS)


class RigName(WithWords):
    """What is to stand on the Bench: a stand that ships, the machine of a job, or a motor of the catalogue on a wheel."""

    of: Literal["stand", "job", "product"] = "stand"
    name: Words = Field(default="", max_length=LONGEST_NAME, description="of a stand that ships, or code of a product")
    job: int | None = None
    machine_type: MachineType = MachineType.FORWARD_CURVED
    drive: bool = Field(default=False, description="whether a drive is put before it")


class MeterView(WithWords):
    """A meter of a rig: in which quantity it is read."""

    meter: Meter
    quantity: str


class RigView(WithWords):
    """What stands on the Bench: its knobs and meters, and what its drawing needs."""

    name: str
    notes: tuple[str, ...]
    knobs: tuple[Knob, ...]
    meters: tuple[MeterView, ...]
    machine_type: MachineType
    fans: int
    drive: bool
    electronic: bool
    capacitor: bool
    volts: float
    hertz: float
    lift: float = Field(description="fixed part of the system's pressure, a share, as built")


class RigTurned(WithWords):
    """A rig with its controls."""

    rig: RigName
    controls: Turned = Turned()


class Looked(WithWords):
    """A rig, and where it goes."""

    rig: RigView
    outlook: Outlook


class JobChoice(WithWords):
    """A job whose machine may be put on the Bench."""

    id: int
    machine: str
    site: str


class ProductChoice(WithWords):
    """A motor of the catalogue that may be put on the Bench."""

    code: str
    name: str


class BenchBook(WithWords):
    """What the Bench offers."""

    stands: tuple[str, ...]
    built: Turned = Field(description="controls with nothing turned")
    jobs: tuple[JobChoice, ...]
    motors: tuple[ProductChoice, ...]
    machine_types: tuple[MachineType, ...]
    course: tuple[Experiment, ...]
    topics: tuple[str, ...]


class WaveView(WithWords):
    """A wave as it is drawn: ms and values."""

    ms: tuple[float, ...]
    values: tuple[float, ...]


class WavesView(WithWords):
    """What a drive makes of its line; ``duty`` and ``modulation`` are shares."""

    line: WaveView
    line_amps: WaveView
    link: WaveView
    pulses: WaveView
    fundamental: WaveView
    current: WaveView
    duty: float
    modulation: float
    pulses_a_period: float
    clipped: bool
    motor_v: float


class Asked(WithWords):
    """A change of a rig, and what was said of it before; nothing said is no answer."""

    rig: RigName
    before: Turned
    after: Turned
    said: dict[Meter, Moves] = Field(default={}, max_length=len(Meter))
    experiment: Words = Field(default="", max_length=40)
    who: Words = Field(default="", max_length=LONGEST_NAME)


class Answer(WithWords):
    """What one meter did and why; ``right`` only where something was said of it."""

    meter: Meter
    quantity: str
    before: float
    after: float
    moves: Moves
    words: str
    said: Moves | None
    right: bool | None


class Explained(WithWords):
    """A change explained, and the learner's record with it."""

    answers: tuple[Answer, ...]
    topic: str
    point: str | None
    record: Record


def stand_of(name: RigName) -> Stand:
    """The stand of a rig, fitted once and kept while nothing changes. Needs a connection where a job or product is named."""
    if name.of == "stand":
        return _with_drive(stand_called(meant(name.name, stands())), name.drive)
    if name.of == "product":
        product = catalogue.product(name.name)
        key = (product.model_dump_json(), name.machine_type, name.drive)
        return _stands.kept(key, lambda: _with_drive(stand_of_product(product, name.machine_type), name.drive))
    if name.job is None:
        raise ChangeRefused(say("api-bench-stand-of"))
    job = jobs.job_of(name.job)
    return _stands.kept((job.model_dump_json(), name.drive), lambda: _with_drive(_of_job(job), name.drive))


def _of_job(whole: Job) -> Stand:
    job = SOLVERS.solve(sound_job, whole)
    case = build_case(job, fit_of(job), PARTS)
    return stand_of_machine(job.machine.name, case.found, case.fit.refusal)


def _with_drive(stand: Stand, drive: bool) -> Stand:
    return on_a_drive(stand) if drive else stand


def view_of(stand: Stand) -> RigView:
    """A stand as the page draws it."""
    load = stand.load
    return RigView(
        name=stand.name,
        notes=stand.notes,
        knobs=knobs_of(stand),
        meters=tuple(MeterView(meter=meter, quantity=quantity_of(stand, meter)) for meter in meters_of(stand)),
        machine_type=load.machine.shape.machine_type,
        fans=load.running,
        drive=stand.drive is not None,
        electronic=stand.is_electronic,
        capacitor=stand.has_capacitor,
        volts=stand.volts,
        hertz=stand.hertz,
        lift=float(load.system.fixed_pressure / load.machine.pressure),
    )


@router.get("")
@with_connection
def book() -> BenchBook:
    """What may stand on the Bench, and its course."""
    motors = [one for one in catalogue.all_products() if one.type is ProductType.MOTOR]
    return BenchBook(
        stands=tuple(stands()),
        built=Turned(),
        jobs=tuple(
            JobChoice(id=job, machine=machine, site=site) for job, machine, site in jobs.machines_for_the_bench()
        ),
        motors=tuple(ProductChoice(code=one.code, name=one.name) for one in motors),
        machine_types=tuple(MachineType),
        course=course(),
        topics=tuple(map(topic_words, TOPICS)),
    )


@router.post("/look")
@with_connection
def look(wanted: RigTurned) -> Looked:
    """A rig, and where it goes with its controls; nothing is kept."""
    stand = stand_of(wanted.rig)
    return Looked(rig=view_of(stand), outlook=outlook(stand, wanted.controls.controls))


@router.post("/waves")
@with_connection
def waves(wanted: RigTurned) -> WavesView:
    """What a rig's drive makes of its line."""
    found = waves_of(stand_of(wanted.rig), wanted.controls.controls)
    return WavesView(
        line=_drawn(found.line),
        line_amps=_drawn(found.line_amps),
        link=_drawn(found.link),
        pulses=_drawn(found.pulses),
        fundamental=_drawn(found.fundamental),
        current=_drawn(found.current),
        duty=found.duty,
        modulation=found.modulation,
        pulses_a_period=found.pulses_a_period,
        clipped=found.clipped,
        motor_v=found.motor_v,
    )


@router.post("/explain")
@with_connection
def explain(asked: Asked) -> Explained:
    """Explain a change from the solved machine, and keep what was said of it before."""
    stand, who = stand_of(asked.rig), asked.who.strip()
    one = experiment_called(asked.experiment) if asked.experiment else None
    topic = one.topic if one else topic_of(asked.before, asked.after)
    found = reasons(stand, asked.before.controls, asked.after.controls)
    said = {meter: moves for meter, moves in asked.said.items() if meter in found}
    predicted = [
        Predicted(experiment=asked.experiment, topic=topic, meter=meter, said=moves, moved=found[meter].moves)
        for meter, moves in said.items()
    ]
    bench.keep_predictions(who, predicted)
    answers = tuple(
        Answer(
            meter=meter,
            quantity=quantity_of(stand, meter),
            before=reason.before,
            after=reason.after,
            moves=reason.moves,
            words=reason.words,
            said=said.get(meter),
            right=said[meter] is reason.moves if meter in said else None,
        )
        for meter, reason in found.items()
    )
    record = record_of(bench.predictions_of(who))
    return Explained(answers=answers, topic=topic_words(topic), point=one.point if one else None, record=record)


@router.get("/record")
@with_connection
def record(who: Learner = "") -> Record:
    """A learner's record by topic."""
    return record_of(bench.predictions_of(who.strip()))


def _drawn(wave: Wave) -> WaveView:
    """Milliseconds and values no finer than a picture shows them."""
    return WaveView(
        ms=tuple(round(1e3 * at, 4) for at in wave.time.tolist()),
        values=tuple(float(f"{value:.4g}") for value in wave.values.tolist()),
    )
