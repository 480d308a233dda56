"""What is to be written to a device, seen before it is done, done once, read back and kept."""

from __future__ import annotations

import hashlib
from contextlib import suppress
from datetime import datetime

from peewee import InterfaceError, OperationalError

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import ChangeRefused, Conflict, OutsideValidity
from modest_rotor.core.phrase import Frozen, Phrase
from modest_rotor.core.say import say
from modest_rotor.core.setup.answer import SetupAnswer
from modest_rotor.core.setup.command import signal_for_share
from modest_rotor.core.setup.loop import LoopAnswer
from modest_rotor.core.stations.loop import Holds
from modest_rotor.core.stations.traits import SignalTraits
from modest_rotor.devices.intents import in_hand
from modest_rotor.devices.links import LINKS, profile_of
from modest_rotor.devices.simulated_devices import simulated_device_of
from modest_rotor.fieldbus.codec import resolution_of
from modest_rotor.fieldbus.errors import DeviceTrouble, NoAnswer, NotAllowed
from modest_rotor.fieldbus.profile import DeviceKind, DeviceProfile, Role
from modest_rotor.fieldbus.words import role_words, said
from modest_rotor.store.database import DatabaseAway, DatabaseBusy
from modest_rotor.store.devices import KeptDevice, Written, authorisations_of, begin_write, end_write

SKIPS = ((Role.SKIP_1_LOW, Role.SKIP_1_HIGH), (Role.SKIP_2_LOW, Role.SKIP_2_HIGH), (Role.SKIP_3_LOW, Role.SKIP_3_HIGH))
IN_HAND = {Role.LOOP_ON: 0.0}
"""Before any frequency is told: a drive whose loop is closed does not listen to it."""
Bands = tuple[tuple[float, float], ...]
CLEAR_HZ = 0.5
"""A command keeps so far from a skipped band: at its very edge some drives leave it on the one side, some on the other."""
STEP_SHARE = 0.1
"""Step of a step test, share of full command: enough to stand out, little enough for a curve to be straight. Common practice."""
SAME = say("writing-same")
NOT_RECORDED = say("writing-not-recorded")
DATABASE_TROUBLE = (OperationalError, InterfaceError, DatabaseAway, DatabaseBusy)
CAUTION = say("writing-caution")


class What(Coded):
    """What is written together."""

    CLEAR = "clear"
    SETTINGS = "settings"
    BANDS = "bands"
    COMMAND = "command"
    SWEEP = "sweep"
    HAND = "hand"
    CLOSE = "close"
    STEP = "step"
    WATCH = "watch"
    STOP = "stop"


LOOPED = (What.HAND, What.CLOSE, What.STEP, What.WATCH)


class PlanLine(Frozen):
    """One register: what it holds and what it is to hold, values in SI."""

    role: Role
    words: str
    address: int
    before: Phrase
    wanted: Phrase
    before_si: float
    wanted_si: float
    changes: bool


class WritePlan(Frozen):
    """Everything that would be written, for a person to look at; ``digest`` names exactly this."""

    device_id: int
    device: str
    what: What
    lines: tuple[PlanLine, ...]
    starts: bool
    cautions: tuple[str, ...]
    needs_authorisation: bool
    authorised_until: datetime | None
    digest: str


class Outcome(Frozen):
    """What became of one register."""

    role: Role
    words: str
    address: int
    wanted: Phrase
    after: Phrase
    agrees: bool
    sentence: str


def values_for(
    what: What,
    profile: DeviceProfile,
    setup: SetupAnswer,
    step: str | None = None,
    value: float | None = None,
    skipped: Bands = (),
) -> dict[Role, float]:
    """The registers that a purpose asks for, in the order in which they are written.

    :param step: duty step of a command. :param value: share of full speed or hertz, in place of the one worked out.
    :param skipped: bands that the drive skips, Hz; a step test keeps clear of them.
    :raises ChangeRefused: the purpose does not fit the device or waits for something.
    """
    if what is What.STOP:
        return {Role.SIGNAL_INPUT: 0.0} if profile.kind is DeviceKind.FAN else {Role.RUN: 0.0}
    if what is What.COMMAND:
        return _command(profile, setup, step, value)
    if what in LOOPED:
        return _loop(what, profile, setup, skipped)
    if setup.drive is None or setup.sweep is None or profile.kind is not DeviceKind.DRIVE:
        raise ChangeRefused(say("writing-values-for"))
    cleared = {role: 0.0 for pair in SKIPS for role in pair if profile.register(role)}
    if what is What.CLEAR:
        return cleared
    if what is What.SWEEP:
        low = setup.sweep.frequencies[0] if setup.sweep.frequencies else setup.sweep.low.value
        return cleared | IN_HAND | {Role.FREQUENCY_COMMAND: low, Role.RUN: 1.0}
    limits = {Role.LOW_LIMIT: setup.sweep.low.value, Role.HIGH_LIMIT: setup.sweep.high.value}
    if what is What.BANDS:
        return _bands(setup, cleared) | limits
    return _settings(setup) | limits


def _command(profile: DeviceProfile, setup: SetupAnswer, step: str | None, value: float | None) -> dict[Role, float]:
    answer = next((one for one in setup.commands if one.step == step), None)
    if answer is None:
        raise ChangeRefused(say("writing-command-duty-step"))
    advised = answer.advice.command if answer.advice else None
    figure = advised or answer.command
    wanted = value if value is not None else figure.value if figure else None
    if wanted is None:
        raise ChangeRefused(say("writing-command-step-command"))
    if profile.kind is DeviceKind.DRIVE:
        return IN_HAND | {Role.FREQUENCY_COMMAND: wanted, Role.RUN: 1.0}
    if profile.kind is DeviceKind.FAN:
        return {Role.SIGNAL_INPUT: signal_for_share(profile.traits.signal or SignalTraits(), min(wanted, 1.0))}
    raise ChangeRefused(say("writing-command-takes-command", profile=profile.name))


def _loop(what: What, profile: DeviceProfile, setup: SetupAnswer, skipped: Bands) -> dict[Role, float]:
    """Of a drive's own loop: in hand, the gains tried last with the loop closed, or the first frequency of a step test."""
    if profile.register(Role.LOOP_ON) is None:
        raise NotAllowed(say("writing-loop-loop-own", profile=profile.name))
    if what is What.HAND:
        return dict(IN_HAND)
    loop = setup.loop
    if loop is None or loop.holds is not Holds.DUCT:
        raise ChangeRefused(say("writing-loop-drive-s"))
    ends = {Role.LOW_LIMIT: loop.low.value, Role.HIGH_LIMIT: loop.full.value}
    if what is What.STEP:
        return IN_HAND | ends | {Role.FREQUENCY_COMMAND: step_of(loop, skipped)[0], Role.RUN: 1.0}
    if loop.set_point.figure is None or loop.range is None:
        raise ChangeRefused(say("writing-loop-loop-waits"))
    if loop.tried_gain is None or loop.tried_integral is None:
        raise ChangeRefused(say("writing-loop-add-gains"))
    belongs = loop.set_point.figure.value
    return {
        Role.SET_POINT: moved_set_point(loop) if what is What.WATCH else belongs,
        Role.LOOP_RANGE: loop.range.value,
        Role.LOOP_GAIN: loop.tried_gain.value,
        Role.LOOP_INTEGRAL: loop.tried_integral.value,
        **ends,
        Role.LOOP_ON: 1.0,
        Role.RUN: 1.0,
    }


def step_of(loop: LoopAnswer, skipped: Bands = ()) -> tuple[float, float]:
    """The two frequencies of a step test, Hz: a tenth of full below where the fullest step runs, and there.

    :param skipped: bands that the drive skips, Hz; either end lies below a band that it would fall into.
    :raises ChangeRefused: the bands leave no room for a step.
    """
    step = STEP_SHARE * loop.full.value
    second = _clear_of(skipped, min(loop.at_full.value, loop.full.value) if loop.at_full else loop.full.value)
    first = _clear_of(skipped, max(second - step, loop.low.value))
    if first < loop.low.value or second - first < step / 2:
        raise ChangeRefused(say("writing-step-of"))  # fmt: skip
    return first, second


def _clear_of(skipped: Bands, hertz: float) -> float:
    for low, high in sorted(skipped, reverse=True):
        if low - CLEAR_HZ < hertz < high + CLEAR_HZ:
            hertz = low - CLEAR_HZ
    return hertz


def bands_held(kept: KeptDevice) -> Bands:
    """Bands that a drive skips as it holds them now, Hz. :raises DeviceTrouble: it does not answer."""
    profile = profile_of(kept)
    pairs = [(low, high) for low, high in SKIPS if profile.register(low) and profile.register(high)]
    if not pairs:
        return ()
    held = LINKS.link(kept).read([role for pair in pairs for role in pair]).values
    return tuple((held[low], held[high]) for low, high in pairs if held.get(high, 0.0) > held.get(low, 0.0))


def moved_set_point(loop: LoopAnswer) -> float:
    """A set point that is moved to see a loop settle, SI: a tenth of the range below, or above where it lies too low for that."""
    assert loop.set_point.figure is not None and loop.range is not None
    belongs, tenth = loop.set_point.figure.value, STEP_SHARE * loop.range.value
    return belongs - tenth if belongs > 1.5 * tenth else belongs + tenth


def _bands(setup: SetupAnswer, cleared: dict[Role, float]) -> dict[Role, float]:
    assert setup.sweep is not None
    values = dict(cleared)
    for (low, high), band in zip(SKIPS, setup.sweep.skips, strict=False):
        if low in values and high in values:
            values |= {low: band.low.value, high: band.high.value}
    return values


def _settings(setup: SetupAnswer) -> dict[Role, float]:
    drive = setup.drive
    assert drive is not None
    figures = {
        Role.BASE_FREQUENCY: drive.base_frequency,
        Role.BASE_VOLTAGE: drive.base_voltage,
        Role.VOLTS_TRIM: drive.trim,
        Role.RAMP_UP: drive.ramp_up.figure,
        Role.RAMP_DOWN: drive.ramp_down.figure,
        Role.OVERLOAD_CURRENT: drive.overload.figure,
    }
    return {role: figure.value for role, figure in figures.items() if figure is not None}


def plan_write(
    kept: KeptDevice, job_id: int, what: What, wanted: dict[Role, float], cautions: tuple[str, ...] = ()
) -> WritePlan:
    """Read what a device holds and lay what is wanted beside it.

    :raises DeviceTrouble: it does not answer. :raises NotAllowed: it has nothing of that to write.
    """
    profile = profile_of(kept)
    writable = {role: one for role in wanted if (one := profile.register(role)) and one.access == "write"}
    if not writable:
        raise NotAllowed(say("writing-plan-write", kept=kept.name))
    held = LINKS.link(kept).read(writable)
    if held.refused:
        raise NotAllowed(next(iter(held.refused.values())))
    lines = tuple(
        PlanLine(
            role=role,
            words=role_words(role),
            address=register.address,
            before=said(profile, role, held.values[role]),
            wanted=said(profile, role, wanted[role]),
            before_si=held.values[role],
            wanted_si=wanted[role],
            changes=abs(held.values[role] - wanted[role]) > _near(profile, role),
        )
        for role, register in writable.items()
    )
    started = (Role.RUN, Role.SIGNAL_INPUT, Role.LOOP_ON)
    starts = any(one.role in started and one.wanted_si > 0 and one.changes for one in lines)
    free = simulated_device_of(kept) is not None
    roles = {line.role for line in lines}
    given = next((one for one in authorisations_of(kept.id) if one.job_id == job_id and roles <= set(one.roles)), None)
    return WritePlan(
        device_id=kept.id,
        device=kept.name,
        what=what,
        lines=lines,
        starts=starts,
        cautions=(CAUTION, *cautions) if what is not What.STOP else (),
        needs_authorisation=not free and what is not What.STOP,
        authorised_until=given.until if given else None,
        digest=_digest(kept, lines),
    )


def carry_out(kept: KeptDevice, job_id: int, plan: WritePlan, digest: str, who: str) -> tuple[Outcome, ...]:
    """Write what was seen, register by register; each is read back and kept. After trouble nothing more is written.

    :raises Conflict: the device holds something else than was seen. :raises NotAllowed: nobody authorised it.
    """
    if plan.digest != digest:
        raise Conflict(say("writing-carry-out-holds-something", kept=kept.name))
    if plan.needs_authorisation and plan.authorised_until is None:
        raise NotAllowed(say("writing-carry-out-simulated-device", kept=kept.name))
    profile, link = profile_of(kept), LINKS.link(kept)
    outcomes: list[Outcome] = []
    trouble = ""
    for line in plan.lines:
        if trouble:
            outcomes.append(_outcome(line, (), False, say("writing-carry-out-written-one")))
            continue
        if not line.changes:
            outcomes.append(_outcome(line, line.before, True, say("writing-carry-out-held-already")))
            continue
        intent = _begun(kept, job_id, line, who)
        if intent is None:
            trouble = say("writing-carry-out-database-does")
            outcomes.append(_outcome(line, (), False, say("writing-carry-out-sent-written")))
            continue
        with in_hand(intent):
            after: float | None = None
            try:
                after = link.write(line.role, line.wanted_si)
            except (DeviceTrouble, OutsideValidity) as error:
                trouble = error.sentence
            agrees = after is not None and abs(after - line.wanted_si) <= _near(profile, line.role)
            sentence = trouble or (SAME if agrees else say("writing-carry-out-written-but"))
            if not _ended(intent, after, sentence):
                trouble = f"{sentence}; {NOT_RECORDED}"
        outcomes.append(
            _outcome(line, said(profile, line.role, after) if after is not None else (), agrees, trouble or sentence)
        )
    return tuple(outcomes)


def stop_device(kept: KeptDevice, job_id: int | None, who: str) -> tuple[Outcome, ...]:
    """Stop a device: allowed to whoever may see it, with or without authorisation, and also where it cannot be written down.

    :raises DeviceTrouble: it does not answer: use its own stop. :raises NotAllowed: it only measures.
    """
    profile, link = profile_of(kept), LINKS.link(kept)
    role = Role.SIGNAL_INPUT if profile.kind is DeviceKind.FAN else Role.RUN
    register = profile.register(role)
    if register is None or register.access != "write":
        raise NotAllowed(say("writing-stop-device-nothing-could", kept=kept.name))
    intent: int | None = None
    with suppress(*DATABASE_TROUBLE):
        intent = begin_write(kept, job_id, Written(str(role), register.address, None, 0.0, None, ""), who)
    with in_hand(intent):
        try:
            after = link.write(role, 0.0)
        except (DeviceTrouble, OutsideValidity) as error:
            if intent is not None:
                _ended(intent, None, error.sentence)
            raise NoAnswer(say("writing-stop-device-told-stop", error=error.sentence)) from error
        agrees = abs(after) <= _near(profile, role)
        sentence = SAME if agrees else say("writing-stop-device-told-stop-but")
        if intent is None or not _ended(intent, after, sentence):
            sentence = f"{sentence}; {NOT_RECORDED}"
    return (
        Outcome(
            role=role,
            words=role_words(role),
            address=register.address,
            wanted=said(profile, role, 0.0),
            after=said(profile, role, after),
            agrees=agrees,
            sentence=sentence,
        ),
    )


def _begun(kept: KeptDevice, job_id: int, line: PlanLine, who: str) -> int | None:
    """Keep that a register is about to be written; nothing where that cannot be kept."""
    written = Written(str(line.role), line.address, line.before_si, line.wanted_si, None, "")
    try:
        return begin_write(kept, job_id, written, who)
    except DATABASE_TROUBLE:
        return None


def _ended(intent: int, after: float | None, sentence: str) -> bool:
    """Keep what became of a write; whether it could be kept. If not, it is looked up when the database is back."""
    try:
        end_write(intent, after, sentence)
    except DATABASE_TROUBLE:
        return False
    return True


def _outcome(line: PlanLine, after: Phrase, agrees: bool, sentence: str) -> Outcome:
    return Outcome(
        role=line.role,
        words=line.words,
        address=line.address,
        wanted=line.wanted,
        after=after,
        agrees=agrees,
        sentence=sentence,
    )


def _near(profile: DeviceProfile, role: Role) -> float:
    """How near two values must lie to be the same in a register."""
    register = profile.register(role)
    return 0.51 * resolution_of(register) + 1e-9 if register else 0.0


def _digest(kept: KeptDevice, lines: tuple[PlanLine, ...]) -> str:
    told = [(kept.id, kept.host, kept.port), *((line.role, line.before_si, line.wanted_si) for line in lines)]
    return hashlib.sha256(repr(told).encode()).hexdigest()[:16]
