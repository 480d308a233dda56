"""What is typed into a drive, worked out from the motor's plate, the machine and the device."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.drive import LEAST_HZ_SHARE
from modest_rotor.core.phrase import Figure, Frozen, Phrase, as_typed, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.say import before_colon, say, tell
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.standards.wiring import overload_setting_a
from modest_rotor.core.stations.setup import ControlMode
from modest_rotor.core.tables import find_row
from modest_rotor.core.working import Ingredient, Result, given, result, waiting, withheld

USUAL_CARRIER_HZ, QUIET_CARRIER_HZ = 4000.0, 8000.0
"""Carrier frequencies: an ordinary one, and one from which on a motor is hardly heard. Common practice, no source."""
CAPACITOR_LEAST_SHARE = 0.5
"""Share of base frequency below which a run capacitor hardly turns its winding's current. Our judgement, no source."""
PUMP_LEAST_SHARE = 0.4
FAN_RAMP_S, PUMP_RAMP_S = 20.0, 8.0
"""Seconds from rest to base frequency that let a wheel follow without tripping. Common practice, no source."""
MAKER = say("drive-settings-maker")
LEAST_BASE_HZ = 1.0
"""A base frequency below this is a slip of the finger. Our judgement, no source."""


class DriveAnswer(Frozen):
    """The drive's settings, each with its working; and the words on how it controls."""

    mode: ControlMode
    mode_words: str
    mode_needs: str
    volts_per_hertz: Result
    base_frequency: Figure
    base_voltage: Figure | None
    trim: Figure
    lowest: Result
    highest: Result
    overload: Result
    overload_most: Result
    ramp_up: Result
    ramp_down: Result
    carrier: Result
    start_up: Phrase
    shape: Phrase


@dataclass(frozen=True)
class Limits:
    """Lowest and highest frequency before anything was loud, Hz, each with the reason that decides."""

    low: float
    low_reason: str
    high: float
    high_reason: str


def frequency_limits(facts: SetupFacts) -> Limits:
    """Between which frequencies the drive may run this motor and machine.

    Lowest: the device's floor, the motor's own cooling, its run capacitor, a pump that must still lift; never below what a
    protected flow asks for. Highest: base frequency, what wheel and bearings bear, what the device gives. Source: shares are
    common practice and our judgement, no source.
    """
    document, traits, plate = facts.job.document, facts.drive_traits, facts.machine.plate
    base = base_frequency(facts)
    lows = [
        (traits.floor_hz, say("drive-settings-frequency-limits-drive-s")),
        (LEAST_HZ_SHARE * base, say("drive-settings-frequency-limits-motor-cools")),
    ]
    if facts.machine.machine_type is MachineType.PUMP:
        lows.append((PUMP_LEAST_SHARE * base, say("drive-settings-frequency-limits-pump-turned")))
    fitting, typed = document.options.fitting, document.setup.drive
    agreed = fitting.motor_maker_agrees == fitting.drive_maker_agrees == "yes" and typed.lowest is not None
    if plate.kind is MotorKind.SPLIT_CAPACITOR and plate.run_capacitance_f and not agreed:
        lows.append((CAPACITOR_LEAST_SHARE * base, say("drive-settings-frequency-limits-run-capacitor")))
    floor = _protected_floor(facts)
    if floor:
        lows.append((floor, say("drive-settings-frequency-limits-protected-flow")))
    highs = [
        (base, say("drive-settings-frequency-limits-base-frequency")),
        (traits.top_hz, say("drive-settings-frequency-limits-drive-s-own")),
    ]
    bears = document.options.fitting.highest_speed
    if bears and plate.poles:
        highs.append((bears.si * plate.poles / 120, say("drive-settings-frequency-limits-wheel-bearings")))
    if typed.lowest:
        lows.append((typed.lowest.si, "typed"))
    if typed.highest:
        highs.append((typed.highest.si, "typed"))
    low, high = max(lows), min(highs)
    return Limits(low[0], low[1], high[0], high[1])


def base_frequency(facts: SetupFacts) -> float:
    """Base frequency, Hz: as typed, else the motor's plate. Source: definition."""
    typed = facts.job.document.setup.drive.base_frequency
    return typed.si if typed else facts.plate_hz


def base_voltage(facts: SetupFacts) -> float | None:
    """Volts at base frequency, V: as typed, else the plate of the motor that it feeds. Source: definition."""
    product, typed = facts.candidate.product, facts.job.document.setup.drive
    if typed.base_voltage:
        return typed.base_voltage.si
    link = product.link(facts.machine.volts.value) if product and product.motor_kind else None
    if link is not None:
        return link.volts_v
    return (
        None if facts.brings_motor else facts.machine.plate.rated_voltage_v
    )  # a new motor's plate is read when it is here


def _protected_floor(facts: SetupFacts) -> float | None:
    """The lowest hertz of any step while the duty is protected: no setting below it is proposed."""
    if not facts.job.document.call.is_protected:
        return None
    told = [piece.value for step in facts.option.steps for piece in step.setting if not isinstance(piece, str)]
    return min(told, default=None)


def drive_answer(facts: SetupFacts) -> DriveAnswer:
    """Every setting of the drive."""
    typed, limits = facts.job.document.setup.drive, frequency_limits(facts)
    mode = typed.mode or facts.traits.control
    row = find_row("control_modes", mode=mode.value)
    pump = facts.machine.machine_type is MachineType.PUMP
    ramp = PUMP_RAMP_S if pump else FAN_RAMP_S
    return DriveAnswer(
        mode=mode,
        mode_words=row["words"],
        mode_needs=row["needs"],
        volts_per_hertz=_volts_per_hertz(facts),
        base_frequency=figure("output_frequency", base_frequency(facts), "plate"),
        base_voltage=figure("rated_voltage", volts, "plate") if (volts := base_voltage(facts)) else None,
        trim=figure("volts_trim", typed.trim.si if typed.trim else 0.0, "typed"),
        lowest=_limit(say("drive-settings-drive-answer-lowest-frequency"), limits.low, limits.low_reason),
        highest=_limit(say("drive-settings-drive-answer-highest-frequency"), limits.high, limits.high_reason),
        overload=_overload(facts, most=False),
        overload_most=_overload(facts, most=True),
        ramp_up=_seconds(
            say("drive-settings-drive-answer-ramp-up"),
            typed.ramp_up.si if typed.ramp_up else ramp,
            say("drive-settings-drive-answer-faster-draws"),
        ),
        ramp_down=_seconds(
            say("drive-settings-drive-answer-ramp-down"),
            typed.ramp_down.si if typed.ramp_down else ramp,
            say("drive-settings-drive-answer-wheel-slowed"),
        ),
        carrier=_carrier(typed.carrier.si if typed.carrier else USUAL_CARRIER_HZ),
        start_up=_start_up(facts),
        shape=_shape(facts),
    )


def _volts_per_hertz(facts: SetupFacts) -> Result:
    """Base volts over base hertz: the flux that the motor was made for."""
    label, volts = say("drive-settings-volts-per-hertz-volts-per"), base_voltage(facts)
    if facts.traits.control is ControlMode.RELUCTANCE:
        return withheld(label, tell("drive-settings-volts-per-hertz-withheld-reluctance"))
    if volts is None:
        return waiting(label, tell("drive-settings-volts-per-hertz-waits-rated"))
    base = base_frequency(facts)
    if base < LEAST_BASE_HZ:
        return withheld(label, tell("drive-settings-volts-per-hertz-withheld-motor"))
    ingredients = (
        given("V_b", say("drive-settings-volts-per-hertz-base-volts"), "rated_voltage", volts, "plate"),
        given("f_b", say("drive-settings-volts-per-hertz-base-frequency"), "output_frequency", base, "plate"),
    )
    return result(
        label, "volts_per_hertz", volts / base, "V_b ÷ f_b", ingredients, MAKER,
        (say("drive-settings-volts-per-hertz-base-frequency-too"),),
    )  # fmt: skip


def _limit(label: str, hertz: float, reason: str) -> Result:
    ingredient = given("f", before_colon(reason), "output_frequency", hertz, "worked-out")
    return result(
        label,
        "output_frequency",
        hertz,
        say("drive-settings-limit-nearest-limits"),
        (ingredient,),
        say("label-common-practice-no-source"),
        (say("drive-settings-limit-set", reason=reason),),
    )


def _overload(facts: SetupFacts, most: bool) -> Result:
    """Overload amps for the motor that it feeds, in its connection in use: full-load amps, and the most that the code allows."""
    label = say("drive-settings-overload-overload-most") if most else say("drive-settings-overload-overload-drive")
    plate, typed, connection = facts.job.document.nameplate, facts.job.document.setup.drive, facts.connection
    new = typed.new_current.si if typed.new_current else None
    amps = new or (connection[1] if connection else None)
    if amps is None:
        return waiting(label, tell("drive-settings-overload-waits-full"))
    factor = plate.service_factor.si if plate.service_factor and new is None and not facts.brings_motor else 1.0
    ingredients: tuple[Ingredient, ...] = (given("I_N", say("term-full-load-amps"), "rated_current", amps, "plate"),)
    if not most:
        return result(label, "current", amps, "I_N", ingredients, MAKER, (say("drive-settings-overload-drive-limits"),))
    try:
        first, _ = overload_setting_a(amps, factor)
    except OutsideValidity as refusal:
        return withheld(label, (refusal.sentence,))
    return result(
        label,
        "current",
        first,
        say("drive-settings-overload-i-n"),
        ingredients,
        "NFPA 70 (NEC), 430.32(A)(1).",
        (say("drive-settings-overload-those-licensed"),),
    )


def _seconds(label: str, seconds: float, remark: str) -> Result:
    return result(
        label,
        "ramp",
        seconds,
        say("drive-settings-seconds-usual-wheel"),
        (),
        say("label-common-practice-no-source"),
        (remark,),
    )


def _carrier(hertz: float) -> Result:
    quiet = hertz >= QUIET_CARRIER_HZ
    remark = say("drive-settings-carrier-hardly-heard") if quiet else say("drive-settings-carrier-higher-quieter")
    return result(
        say("drive-settings-carrier-carrier-frequency"),
        "carrier_frequency",
        hertz,
        say("drive-settings-carrier-usual-typed"),
        (),
        say("label-common-practice-no-source"),
        (remark,),
    )


def _start_up(facts: SetupFacts) -> Phrase:
    traits = facts.drive_traits
    if not traits.start_up_s:
        return (say("drive-settings-start-up-starts-lowest"),)
    return tell("drive-settings-start-up-every-start", ramp=figure("ramp", traits.start_up_s), output_frequency=figure("output_frequency", traits.start_up_hz))  # fmt: skip


def _shape(facts: SetupFacts) -> Phrase:
    typed = facts.job.document.setup.drive
    if facts.traits.control is ControlMode.RELUCTANCE:
        return (say("drive-settings-shape-volts-follow"),)
    if typed.shape == "square":
        return (say("drive-settings-shape-square-few"),)
    trim = typed.trim
    end: Phrase = tell("drive-settings-shape-trimmed", volts_trim=as_typed("volts_trim", trim, "typed")) if trim else ()
    if trim and trim.si < 0:
        return tell("drive-settings-shape-straight-fewer", end=end)
    return tell("drive-settings-shape-straight-carries", end=end)
