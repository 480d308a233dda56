"""What is typed into a drive, worked out from the motor's plate, the machine and the device."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.drive import LEAST_HZ_SHARE
from modest_rotor.core.phrase import Figure, Frozen, Phrase, as_typed, figure
from modest_rotor.core.physics.fan import Wheel
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
MAKER = "The motor's plate."
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
    lows = [(traits.floor_hz, "the drive's own floor"), (LEAST_HZ_SHARE * base, "the motor cools itself")]
    if facts.machine.wheel is Wheel.PUMP:
        lows.append((PUMP_LEAST_SHARE * base, "a pump turned slower hardly lifts"))
    fitting, typed = document.options.fitting, document.setup.drive
    agreed = fitting.motor_maker_agrees == fitting.drive_maker_agrees == "yes" and typed.lowest is not None
    if plate.kind is MotorKind.SPLIT_CAPACITOR and plate.run_capacitance_f and not agreed:
        lows.append((CAPACITOR_LEAST_SHARE * base, "its run capacitor"))
    floor = _protected_floor(facts)
    if floor:
        lows.append((floor, "the protected flow"))
    highs = [
        (base, "base frequency: above it the motor loses torque and the wheel takes the cube"),
        (traits.top_hz, "the drive's own top"),
    ]
    bears = document.options.fitting.highest_speed
    if bears and plate.poles:
        highs.append((bears.si * plate.poles / 120, "wheel and bearings"))
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
    product, typed = facts.considered.product, facts.job.document.setup.drive
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
    pump = facts.machine.wheel is Wheel.PUMP
    ramp = PUMP_RAMP_S if pump else FAN_RAMP_S
    return DriveAnswer(
        mode=mode,
        mode_words=row["words"],
        mode_needs=row["needs"],
        volts_per_hertz=_volts_per_hertz(facts),
        base_frequency=figure("output_frequency", base_frequency(facts), "plate"),
        base_voltage=figure("rated_voltage", volts, "plate") if (volts := base_voltage(facts)) else None,
        trim=figure("volts_trim", typed.trim.si if typed.trim else 0.0, "typed"),
        lowest=_limit("Lowest frequency", limits.low, limits.low_reason),
        highest=_limit("Highest frequency", limits.high, limits.high_reason),
        overload=_overload(facts, most=False),
        overload_most=_overload(facts, most=True),
        ramp_up=_seconds(
            "Ramp up", typed.ramp_up.si if typed.ramp_up else ramp, "Faster draws more amps; too fast trips."
        ),
        ramp_down=_seconds(
            "Ramp down",
            typed.ramp_down.si if typed.ramp_down else ramp,
            "A wheel slowed too fast drives its link's volts up and trips.",
        ),
        carrier=_carrier(typed.carrier.si if typed.carrier else USUAL_CARRIER_HZ),
        start_up=_start_up(facts),
        shape=_shape(facts),
    )


def _volts_per_hertz(facts: SetupFacts) -> Result:
    """Base volts over base hertz: the flux that the motor was made for."""
    label, volts = "Volts per hertz", base_voltage(facts)
    if facts.traits.control is ControlMode.RELUCTANCE:
        return withheld(
            label, "withheld: a reluctance motor is never run on volts per hertz; its drive learns it by itself"
        )
    if volts is None:
        return waiting(label, "waits for rated volts on the motor's plate")
    base = base_frequency(facts)
    if base < LEAST_BASE_HZ:
        return withheld(label, "withheld: no motor is made for so low a base frequency; look at the hertz on its plate")
    ingredients = (
        given("V_b", "base volts", "rated_voltage", volts, "plate"),
        given("f_b", "base frequency", "output_frequency", base, "plate"),
    )
    return result(
        label, "volts_per_hertz", volts / base, "V_b ÷ f_b", ingredients, MAKER,
        ("Base frequency too low for the volts saturates the motor; too high starves it.",),
    )  # fmt: skip


def _limit(label: str, hertz: float, reason: str) -> Result:
    ingredient = given("f", reason.split(":")[0], "output_frequency", hertz, "worked-out")
    return result(
        label,
        "output_frequency",
        hertz,
        "the nearest of its limits",
        (ingredient,),
        "Common practice, no source.",
        (f"Set by: {reason}.",),
    )


def _overload(facts: SetupFacts, most: bool) -> Result:
    """Overload amps for the motor that it feeds, in its connection in use: full-load amps, and the most that the code allows."""
    label = "Overload, at most" if most else "Overload of the drive"
    plate, typed, connection = facts.job.document.plate, facts.job.document.setup.drive, facts.connection
    new = typed.new_current.si if typed.new_current else None
    amps = new or (connection[1] if connection else None)
    if amps is None:
        return waiting(label, "waits for full-load amps on the plate of the motor that it feeds")
    factor = plate.service_factor.si if plate.service_factor and new is None and not facts.brings_motor else 1.0
    ingredients: tuple[Ingredient, ...] = (given("I_N", "full-load amps", "rated_current", amps, "plate"),)
    if not most:
        return result(
            label,
            "current",
            amps,
            "I_N",
            ingredients,
            MAKER,
            ("A drive limits by itself: set it to the plate of its motor.",),
        )
    try:
        first, _ = overload_setting_a(amps, factor)
    except OutsideValidity as refusal:
        return withheld(label, refusal.sentence)
    return result(
        label,
        "current",
        first,
        "I_N × the code's share",
        ingredients,
        "NFPA 70 (NEC), 430.32(A)(1).",
        ("Those licensed choose it.",),
    )


def _seconds(label: str, seconds: float, remark: str) -> Result:
    return result(
        label, "ramp", seconds, "usual for its wheel, or as typed", (), "Common practice, no source.", (remark,)
    )


def _carrier(hertz: float) -> Result:
    quiet = hertz >= QUIET_CARRIER_HZ
    remark = (
        "Hardly heard; the drive runs hotter and may give less, the cable must be shorter."
        if quiet
        else "Higher is quieter, and warms the drive; lower warms the motor a little and is heard."
    )
    return result(
        "Carrier frequency",
        "carrier_frequency",
        hertz,
        "usual, or as typed",
        (),
        "Common practice, no source.",
        (remark,),
    )


def _start_up(facts: SetupFacts) -> Phrase:
    traits = facts.drive_traits
    if not traits.start_up_s:
        return ("It starts at its lowest frequency.",)
    return (
        "At every start it runs ", figure("ramp", traits.start_up_s), " at ", figure("output_frequency", traits.start_up_hz),
        " or more, whatever it is told: that is no fault.",
    )  # fmt: skip


def _shape(facts: SetupFacts) -> Phrase:
    typed = facts.job.document.setup.drive
    if facts.traits.control is ControlMode.RELUCTANCE:
        return ("Its volts follow the motor, not the hertz: nothing is typed here.",)
    if typed.shape == "square":
        return ("Square: a few watts less at part speed. A motor that slips heavily on it is set back to straight.",)
    trim = typed.trim
    end: Phrase = (", trimmed by ", as_typed("volts_trim", trim, "typed")) if trim else ()
    if trim and trim.si < 0:
        return ("Straight", *end, ": fewer watts at part load, more slip; watch that it carries its hardest hour.")
    return ("Straight", *end, ": carries its load at every speed.")
