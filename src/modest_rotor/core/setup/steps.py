"""The step list in the order of the hands: caution first, the value worked out, what was found, who signed and when."""

from __future__ import annotations

from collections.abc import Callable
from functools import reduce

from pydantic import Field

from modest_rotor.core.coded import Coded
from modest_rotor.core.entry import Entry
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.traits import SetBy
from modest_rotor.core.phrase import Figure, Frozen, Phrase, as_typed, figure
from modest_rotor.core.say import listed, say, tell
from modest_rotor.core.setup.drive_settings import DriveAnswer
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.setup.loop import LoopAnswer
from modest_rotor.core.setup.plate_loop import aim_at
from modest_rotor.core.setup.volts import SelectorAnswer
from modest_rotor.core.stations.loop import Loop
from modest_rotor.core.stations.setup import ControlMode, Sign, SignState
from modest_rotor.core.stations.statement import standing
from modest_rotor.core.tables import Row, find_row, read_table


class StepGroup(Coded):
    """What a step belongs to, in the order of the hands."""

    ISOLATE = "isolate"
    REMOVE = "remove"
    FIT = "fit"
    VOLTAGE = "voltage"
    BEFORE_POWER = "before-power"
    FIRST_POWER = "first-power"
    SET = "set"
    LOOP = "loop"
    SAFE = "safe"
    LEAVE = "leave"


UNTIL_IT_RUNS = (
    StepGroup.ISOLATE, StepGroup.REMOVE, StepGroup.FIT, StepGroup.VOLTAGE, StepGroup.BEFORE_POWER, StepGroup.FIRST_POWER,
)  # fmt: skip
"""Groups whose steps are closed before a machine is run by a write."""


class SetupStep(Frozen):
    """One step: what to beware of, what it rests on, what to do, its value, and how it was signed."""

    step: str
    group: StepGroup
    number: int
    caution: str
    do: str
    find: str
    value: Phrase = ()
    fields: tuple[str, ...] = ()
    stop: Phrase = ()
    waits: str | None = None
    signed: Sign | None = None
    earlier: tuple[Sign, ...] = ()
    is_open: bool = Field(default=True, description="whether it still waits for a hand, or is stopped")
    stopped: bool = Field(default=False, description="whether a stop stands on it")
    reopened: bool = Field(
        default=False, description="whether it was signed, and what it rests on has been changed or signed anew since"
    )
    after: tuple[int, ...] = Field(
        default=(), description="numbers of the steps that must be closed before it, and are not"
    )
    basis: str = Field(default="", description="what it shows now, kept with a signature")
    cannot_sign: str | None = Field(default=None, description="why it cannot be signed as done now")
    cannot_leave_out: str | None = Field(default=None, description="why nobody can say that it is not needed here")


def setup_steps(
    facts: SetupFacts, selector: SelectorAnswer, drive: DriveAnswer | None, loop: LoopAnswer | None = None
) -> tuple[SetupStep, ...]:
    """The steps that this option on this machine asks for, each with what it rests on."""
    rows = [row for row in read_table("setup_steps") if applies(row, facts.features)]
    signs = facts.job.document.setup.signs
    place = {sign.id: number for number, sign in enumerate(signs)}
    graph = rests_on(rows)
    steps: dict[str, SetupStep] = {}
    for number, row in enumerate(rows, 1):
        name = row["step"]
        own = tuple(sign for sign in signs if sign.step == name)
        newest = next(reversed(standing(own)), None)
        before = [steps[one] for one in graph[name]]
        stop, waits = _stop(name, facts, selector, loop)
        stopped = bool(stop) or (newest is not None and newest.state is SignState.STOP)
        basis = _basis(name, facts)
        reopened = newest is not None and (
            (newest.basis is not None and newest.basis != basis)
            or any(one.reopened or _signed_since(one, newest, place) for one in before)
        )
        steps[name] = SetupStep(
            step=name,
            group=StepGroup(row["group"]),
            number=number,
            caution=row["caution"],
            do=row["do"],
            find=row["find"] or "",
            value=_value(name, facts, drive, loop),
            fields=FIELDS.get(name, ()),
            stop=stop,
            waits=waits,
            signed=newest,
            earlier=tuple(sign for sign in own if sign is not newest),
            is_open=stopped or newest is None or reopened or waits is not None,
            stopped=stopped,
            reopened=reopened,
            after=tuple(one.number for one in before if one.is_open or one.after),
            basis=basis,
        )
    whole = tuple(steps.values())
    return tuple(
        one.model_copy(
            update={
                "cannot_sign": refusal_to_sign(whole, one, SignState.DONE),
                "cannot_leave_out": refusal_to_sign(whole, one, SignState.NOT_NEEDED),
            }
        )
        for one in whole
    )


def open_before_running(steps: tuple[SetupStep, ...]) -> tuple[int, ...]:
    """Numbers of the steps that must be closed before a machine is run, and are not. :param steps: of :func:`setup_steps`."""
    return tuple(step.number for step in steps if step.group in UNTIL_IT_RUNS and step.is_open)


def _signed_since(before: SetupStep, newest: Sign, place: dict[str, int]) -> bool:
    """Whether a step was signed after what rests on it; signatures of programs that demanded no order say nothing of one."""
    return before.signed is not None and before.signed.basis is not None and place[before.signed.id] > place[newest.id]


def rests_on(rows: list[Row]) -> dict[str, tuple[str, ...]]:
    """For each step of a list those of the same list that it rests on directly; one that is not on the list hands on its own.

    Source: the table's column; the hands' order, common practice.
    """
    listed = {row["step"] for row in rows}
    named = {row["step"]: tuple(filter(None, row["after"].split("|"))) for row in read_table("setup_steps")}

    def reach(names: tuple[str, ...]) -> list[str]:
        found: list[str] = []
        for name in names:
            found += [name] if name in listed else reach(named[name])
        return found

    return {row["step"]: tuple(dict.fromkeys(reach(named[row["step"]]))) for row in rows}


LIVE = (StepGroup.FIRST_POWER, StepGroup.SET, StepGroup.LOOP, StepGroup.SAFE)
"""Groups in which power is on, or is about to be: nothing of them is signed while any stop stands."""


def refusal_to_sign(steps: tuple[SetupStep, ...], step: SetupStep, state: SignState) -> str | None:
    """Why a step cannot be signed as it stands; nothing where it can. A stop may be signed at any time.

    :param steps: all steps of the list.
    """
    if state is SignState.STOP:
        return None
    if state is SignState.NOT_NEEDED:
        if step.step in NEVER_LEFT_OUT:
            return NEVER_LEFT_OUT[step.step]
        return say("setup-steps-refusal-to-sign-stop-stands") if step.stop else None
    if step.stop:
        return say("setup-steps-refusal-to-sign-stop-stands-step")
    if step.waits:
        return say("setup-steps-refusal-to-sign-step-signed", waits=step.waits)
    if step.after:
        words = listed(_number_words(steps, number) for number in step.after)
        return say(
            "setup-steps-refusal-to-sign-first-step",
            words=words,
            it=say("setup-steps-refusal-to-sign-it")
            if len(step.after) == 1
            else say("setup-steps-refusal-to-sign-them"),
        )
    standing = next((one for one in steps if one.stopped and one is not step), None)
    if standing is not None and step.group in LIVE:
        return say("setup-steps-refusal-to-sign-stop-stands-step-nothing", number=standing.number)
    return None


NEVER_LEFT_OUT = {
    "voltage_selector": say("setup-steps-never-left-out-voltage-selector"),
    "prove_dead": say("setup-steps-never-left-out-proved-dead"),
    "isolate": say("setup-steps-never-left-out-isolated-before"),
    "power": say("setup-steps-never-left-out-signed-once"),
}


def _number_words(steps: tuple[SetupStep, ...], number: int) -> str:
    step = steps[number - 1]
    return say(
        "setup-steps-number-words-step",
        number=number,
        signed_before=say("setup-steps-number-words-signed-before") if step.reopened else "",
    )


def _basis(name: str, facts: SetupFacts) -> str:
    """What a signature stands on: the option, and what is typed at the step."""
    setup = facts.job.document.setup
    said = [facts.option.id, facts.candidate.product.code if facts.candidate.product else ""]
    for path in FIELDS.get(name, ()):
        value = reduce(getattr, path.split("/")[1:], setup)
        said.append(_kept_word(value))
    return "|".join(said)


def _kept_word(value: object) -> str:
    if isinstance(value, Entry):
        return value.typed
    return value.fixed if isinstance(value, Coded) else str(value or "")


def applies(row: Row, features: frozenset[str]) -> bool:
    """Whether a row of the table is for a machine of these features."""
    return all(
        (part[1:] not in features) if part.startswith("!") else (part in features) for part in row["for"].split("+")
    )


FIELDS = {
    "voltage_selector": ("setup/first_volts", "setup/voltage_selector", "setup/second_volts"),
    "rotation_drive": ("setup/rotation_output", "setup/rotation_bypass"),
    "loop_fails": ("setup/loop/on_failure",),
    "loop_restart": ("setup/loop/restart",),
}


def _gains_wait(loop: LoopAnswer, said: Loop) -> str | None:
    if loop.set_point.figure is None:
        return say("term-waits-for-a-set-point")
    first = next(iter(said.tries), None)
    return None if first and first.gain and first.integral else say("setup-steps-gains-wait-waits-gain")


def _watch_waits(loop: LoopAnswer, said: Loop) -> str | None:
    if not said.tries or said.tries[-1].seen is None:
        return say("term-waits-for-what-was-seen")
    return say("setup-steps-watch-waits-waits-gains") if loop.is_restless else None


LOOP_WAITS: dict[str, Callable[[LoopAnswer, Loop], str | None]] = {
    "loop_gains": _gains_wait,
    "loop_watch": _watch_waits,
    "loop_fails": lambda _, said: None if said.on_failure else say("setup-steps-loop-waits-waits-what"),
    "loop_restart": lambda _, said: None if said.restart else say("setup-steps-loop-waits-waits-what-does"),
}
"""What each step of a loop waits for."""


def _stop(step: str, facts: SetupFacts, selector: SelectorAnswer, loop: LoopAnswer | None) -> tuple[Phrase, str | None]:
    setup = facts.job.document.setup
    if step in LOOP_WAITS and loop is not None:
        return ((loop.stop,) if loop.stop and step == "loop_gains" else ()), LOOP_WAITS[step](loop, setup.loop)
    if step == "voltage_selector":
        return selector.stop, selector.waits
    control = facts.traits.control
    if step == "drive_settings" and control is ControlMode.RELUCTANCE and setup.drive.mode not in (None, control):
        return (say("setup-steps-stop-reluctance-motor", mode=setup.drive.mode),), None
    if step == "rotation_drive":
        if "wrong" in (setup.rotation_output, setup.rotation_bypass):
            where = (
                say("setup-steps-stop-drive-s") if setup.rotation_output == "wrong" else say("setup-steps-stop-bypass")
            )
            return (say("setup-steps-stop-turns-wrong", where=where),), None
        if setup.rotation_output is None:
            return (), say("term-waits-for-what-was-seen")
    return (), None


def _value(step: str, facts: SetupFacts, drive: DriveAnswer | None, loop: LoopAnswer | None) -> Phrase:
    """The value that belongs to a step, where it has one."""
    document = facts.job.document
    if step == "loop_gains" and loop is not None:
        return _first_gains(loop)
    if step in ("loop_fails", "loop_restart") and loop is not None:
        return _joined(loop.failure if step == "loop_fails" else loop.restart)
    if step == "capacitor_new":
        return _new_capacitor(facts)
    if step in ("discharge_electronics", "rotation_drive") and facts.machine.volts.value:
        volts = figure("link_voltage", 2**0.5 * facts.machine.volts.value, "estimated")
        return tell("setup-steps-value-dc-link", volts=volts)
    if step == "rotation":
        return _the_other_way(facts)
    if step == "overload" and drive is not None:
        return tell("setup-steps-value-drive-most", figure=drive.overload.figure, figure_2=drive.overload_most.figure) if drive.overload.figure and drive.overload_most.figure else ()  # fmt: skip
    if step == "overload":
        return _overload(facts)
    if step in ("seal", "lock"):
        return _aim(facts)
    if step == "heat" and document.target.rise:
        return tell(
            "setup-steps-value-rise-allowed",
            temperature_difference=as_typed("temperature_difference", document.target.rise, "plate"),
        )
    return ()


def _joined(phrases: tuple[Phrase, ...]) -> Phrase:
    return tuple(piece for place, phrase in enumerate(phrases) for piece in ((" ",) if place else ()) + phrase)


def _first_gains(loop: LoopAnswer) -> Phrase:
    told: list[str | Figure] = list(loop.direction)
    if loop.set_point.figure:
        told += [say("setup-steps-first-gains-set-point"), loop.set_point.figure, "."]
    if loop.gain.figure and loop.integral.figure:
        told += [
            say("setup-steps-first-gains-gain"),
            loop.gain.figure,
            say("setup-steps-first-gains-integral-time"),
            loop.integral.figure,
            ".",
        ]
    return tuple(told)


def _new_capacitor(facts: SetupFacts) -> Phrase:
    """µF, volts and tolerance of the new motor's own capacitor; the plate of today stands for it only where the same is fitted."""
    product, plate = facts.candidate.product, facts.job.document.nameplate
    if product is not None:
        if product.run_capacitance is None:
            return (say("setup-steps-new-capacitor-label-new"),)
        said: list[str | Figure] = [as_typed("capacitance", product.run_capacitance, "plate")]
        if product.capacitor_voltage:
            said += [", ", as_typed("capacitor_voltage", product.capacitor_voltage, "plate")]
        return tell("setup-steps-new-capacitor-data-sheet", said=said)
    if plate.run_capacitance is None:
        return ()
    said = [as_typed("capacitance", plate.run_capacitance, "plate")]
    if plate.capacitor_voltage:
        said += [
            say("setup-steps-new-capacitor-least"),
            as_typed("capacitor_voltage", plate.capacitor_voltage, "plate"),
        ]
    if plate.capacitor_tolerance:
        said += [", ± ", as_typed("tolerance", plate.capacitor_tolerance, "plate")]
    return tell("setup-steps-new-capacitor-today-s", said=said)


def _the_other_way(facts: SetupFacts) -> Phrase:
    """How what is fitted is turned the other way, should the bump show it wrong."""
    kind: MotorKind | None
    if facts.traits.set_by is SetBy.DRIVE:
        kind = MotorKind.THREE_PHASE
    elif "electronic" in facts.features:
        kind = MotorKind.ELECTRONIC
    else:
        product = facts.candidate.product
        kind = (product.motor_kind if product else None) or facts.machine.plate.kind
    return (say("setup-steps-the-other-way", find_row=find_row("reversing", kind=str(kind))["how"]),) if kind else ()


def _overload(facts: SetupFacts) -> Phrase:
    """Full-load amps of the motor in its connection in use."""
    volts, amps = facts.connection or (None, None)
    if volts is None or amps is None:
        return (say("setup-steps-overload-full-load"),)
    whose = say("setup-steps-overload-new-plate") if facts.brings_motor else say("setup-steps-overload-plate")
    return tell("setup-steps-overload-connection", rated_current=figure("rated_current", amps, "plate"), whose=whose, rated_voltage=figure("rated_voltage", volts, "plate"))  # fmt: skip


def _aim(facts: SetupFacts) -> Phrase:
    """The amps to reach at the volts measured, off the chart, and which way the plate goes."""
    flow = facts.job.document.target.airflow
    aim = aim_at(facts, flow.si) if flow else None
    if aim is None:
        return ()
    way = say("setup-steps-aim-opening-plate") if aim.rises else say("setup-steps-aim-opening-plate-lowers")
    return tell("setup-steps-aim-aim", current=figure("current", aim.amps, "estimated"), voltage=figure("voltage", aim.volts, "measured"), way=way)  # fmt: skip
