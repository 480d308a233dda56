"""What the plate's power, speed and frequency mean: poles, synchronous speed, slip and torque, each with its working."""

from __future__ import annotations

from dataclasses import replace

from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.efficiency import typical_efficiency
from modest_rotor.core.identify.motor import NO_PLATE, MotorKind, PlateFacts
from modest_rotor.core.numerals import NumberStyle
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.electronic import typical_efficiency as electronic_efficiency
from modest_rotor.core.physics.induction import poles_from_rated_speed, slip, synchronous_speed_rpm, torque_nm
from modest_rotor.core.say import listed, say, tell
from modest_rotor.core.stations.nameplate import Nameplate, PowerIs
from modest_rotor.core.stations.plate_line import LinePiece, fields_changed, read_line
from modest_rotor.core.stations.plate_meaning import Meaning, meanings
from modest_rotor.core.stations.product import is_possible_efficiency
from modest_rotor.core.working import Ingredient, Result, given, not_known, result, waiting


class PlateAnswer(Frozen):
    """What the plate means.

    :param line: each piece of the typed line, as what it was taken for. :param line_adds: the fields that it would change.
    :param meaning: what each further entry of the plate stands for.
    """

    poles: Result
    synchronous_speed: Result
    rated_slip: Result
    rated_torque: Result
    expected: tuple[Result, ...]
    line: tuple[LinePiece, ...] = ()
    line_adds: tuple[str, ...] = ()
    meaning: tuple[Meaning, ...] = ()


PLATE_SPEED_STEP_RPM, ROUND_SPEED_RPM = 5.0, 25.0
"""Plates are rounded to 5 rpm at the finest, mostly to 25 where the speed is a multiple of it. Common practice, no source."""
LEAST_PRINTED = 0.05
FIRST_GUESS, SETTLES = 0.7, 6
DEFINITION = say("plate-answer-definition")
STANDARD_SLIP_REMARK = say("plate-answer-standard-slip-remark")


def plate_facts(plate: Nameplate) -> PlateFacts:
    """The plate's numbers with poles, synchronous speed, rated slip and torque where they follow."""
    speed, frequency = _si(plate.rated_speed), _si(plate.frequency)
    electronic, current = plate.is_electronic, plate.wired_current
    poles, refusal = (None, None) if electronic else _poles(speed, frequency)
    synchronous = synchronous_speed_rpm(frequency, poles) if frequency and poles else None
    power = _shaft_power_w(plate)
    return PlateFacts(
        kind=None if electronic else plate.kind,
        rated_power_w=power,
        rated_voltage_v=_si(plate.wired_voltage),
        rated_current_a=_si(current),
        rated_speed_rpm=speed,
        frequency_hz=frequency,
        poles=poles,
        synchronous_speed_rpm=synchronous,
        rated_slip=slip(speed, synchronous) if speed and synchronous else None,
        rated_torque_nm=torque_nm(power, speed) if power and speed else None,
        speed_refusal=refusal,
        run_capacitance_f=_si(plate.run_capacitance),
        speed_step_rpm=max(plate.rated_speed.resolution if plate.rated_speed else 0.0, _printed_step_rpm(speed)),
        current_step_a=current.resolution if current else 0.0,
        is_electronic=electronic,
        printed_efficiency=possible_efficiency(plate.nominal_efficiency),
        printed_power_factor=_possible(plate.power_factor),
        supply_phases=plate.phases or (3 if plate.kind is MotorKind.THREE_PHASE else 1),
        low=plate_facts(plate.low) if plate.is_two_speed else None,
    )


def assess_plate(
    plate: Nameplate, facts: PlateFacts, expected: tuple[Result, ...], style: NumberStyle | None = NumberStyle.POINT
) -> PlateAnswer:
    """Poles, synchronous speed, rated slip and rated torque, each with its working or what it waits for; and the rest.

    :param expected: what a motor of this plate should show by itself. :param style: how numbers are written at its site.
    """
    line = read_line(plate.line or "", style)
    return PlateAnswer(
        poles=_poles_result(facts),
        synchronous_speed=_synchronous_result(facts),
        rated_slip=_slip_result(facts),
        rated_torque=_torque_result(facts),
        expected=expected,
        line=line.pieces,
        line_adds=fields_changed(plate, line.values),
        meaning=meanings(plate, facts),
    )


def _shaft_power_w(plate: Nameplate) -> float | None:
    """Rated power at the shaft, W; of a plate that states what is taken from the line, that times the efficiency expected.

    Source: definition of efficiency; the efficiency as printed, or typical of kind and size.
    """
    printed = _si(plate.rated_power)
    if printed is None or plate.power_is is not PowerIs.LINE:
        return printed
    stated = possible_efficiency(plate.nominal_efficiency)
    shaft = printed * (stated or FIRST_GUESS)
    for _ in range(SETTLES):
        shaft = printed * (stated or _efficiency_of(plate, shaft))
    return shaft


def _efficiency_of(plate: Nameplate, shaft_w: float) -> float:
    if plate.is_electronic or plate.kind is None:
        return electronic_efficiency(shaft_w, plate.phases or 1)
    return typical_efficiency(replace(NO_PLATE, kind=plate.kind, rated_power_w=shaft_w))


def _printed_step_rpm(speed_rpm: float | None) -> float:
    """How finely a speed was rounded when it was printed, as far as it shows."""
    is_round = speed_rpm is not None and abs(speed_rpm / ROUND_SPEED_RPM - round(speed_rpm / ROUND_SPEED_RPM)) < 1e-6
    return ROUND_SPEED_RPM if is_round else PLATE_SPEED_STEP_RPM


def possible_efficiency(entry: Entry | None) -> float | None:
    """A printed efficiency that a motor can have; any other is asked about, and not worked with. Source: :func:`is_possible_efficiency`."""
    share = _possible(entry)
    return share if share is not None and is_possible_efficiency(share) else None


def _possible(entry: Entry | None) -> float | None:
    """A printed share that a motor can have; anything else is asked about, and not worked with."""
    return entry.si if entry and LEAST_PRINTED < entry.si <= 1 else None


def _si(entry: Entry | None) -> float | None:
    return entry.si if entry else None


def _poles(speed: float | None, frequency: float | None) -> tuple[int | None, str | None]:
    if speed is None or frequency is None:
        return None, None
    try:
        return poles_from_rated_speed(speed, frequency), None
    except OutsideValidity as refusal:
        return None, refusal.sentence


def _no_speed(facts: PlateFacts) -> Absent:
    if facts.is_electronic:
        return Withheld(say("plate-answer-no-speed-electronic-motor"))
    if facts.speed_refusal:
        return Withheld(say("plate-answer-no-speed-check-plate", speed_refusal=facts.speed_refusal))
    missing = [
        name
        for name, value in (
            (say("term-rated-speed"), facts.rated_speed_rpm),
            (say("term-frequency"), facts.frequency_hz),
        )
        if value is None
    ]
    return Waiting(say("plate-answer-no-speed-waits", missing=listed(missing)))


def _speed_and_frequency(facts: PlateFacts) -> tuple[Ingredient, ...]:
    assert facts.rated_speed_rpm is not None and facts.frequency_hz is not None
    return (
        given("n", say("term-rated-speed"), "rated_speed", facts.rated_speed_rpm, "plate", say("origin-plate")),
        given("f", say("term-frequency"), "frequency", facts.frequency_hz, "plate", say("origin-plate")),
    )


def _poles_result(facts: PlateFacts) -> Result:
    if facts.poles is None:
        return not_known(say("label-poles"), _no_speed(facts))
    remark = say("plate-answer-poles-result-low-tap")
    return result(
        say("label-poles"),
        "poles",
        float(facts.poles),
        say("plate-answer-poles-result-pole-count"),
        _speed_and_frequency(facts),
        DEFINITION,
        (remark,),
    )


def _synchronous_result(facts: PlateFacts) -> Result:
    if facts.synchronous_speed_rpm is None or facts.poles is None:
        return not_known(say("label-synchronous-speed"), _no_speed(facts))
    ingredients = (
        *_speed_and_frequency(facts)[1:],
        given("p", say("term-poles"), "poles", float(facts.poles), "worked-out"),
    )
    return result(
        say("label-synchronous-speed"), "speed", facts.synchronous_speed_rpm, "n_s = 120 f ÷ p", ingredients, DEFINITION
    )


def _slip_result(facts: PlateFacts) -> Result:
    if facts.rated_slip is None or facts.synchronous_speed_rpm is None:
        return not_known(say("plate-answer-slip-result-rated-slip"), _no_speed(facts))
    synchronous = given("n_s", say("term-synchronous-speed"), "speed", facts.synchronous_speed_rpm, "worked-out")
    ingredients = (synchronous, _speed_and_frequency(facts)[0])
    remarks = (STANDARD_SLIP_REMARK,)
    return result(
        say("plate-answer-slip-result-rated-slip"),
        "slip",
        facts.rated_slip,
        "s = (n_s − n) ÷ n_s",
        ingredients,
        DEFINITION,
        remarks,
    )


def _torque_result(facts: PlateFacts) -> Result:
    if facts.rated_torque_nm is None or facts.rated_power_w is None or facts.rated_speed_rpm is None:
        pairs = ((say("term-rated-power"), facts.rated_power_w), (say("term-rated-speed"), facts.rated_speed_rpm))
        return waiting(
            say("plate-answer-torque-result-rated-torque"),
            tell("plate-answer-torque-result-waits", value=listed((name for name, value in pairs if value is None))),
        )
    ingredients = (
        given("P", say("term-rated-power"), "rated_power", facts.rated_power_w, "plate", say("origin-plate")),
        given("n", say("term-rated-speed"), "rated_speed", facts.rated_speed_rpm, "plate", say("origin-plate")),
    )
    return result(
        say("plate-answer-torque-result-rated-torque"),
        "torque",
        facts.rated_torque_nm,
        "T = P ÷ (2π n ÷ 60)",
        ingredients,
        say("word-definition"),
    )
