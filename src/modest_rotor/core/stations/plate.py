"""Plate: what is this motor?"""

from __future__ import annotations

from typing import Literal

from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.physics.induction import poles_from_rated_speed, slip, synchronous_speed_rpm, torque_nm
from modest_rotor.core.stations.sheet import Sheet, asked, chosen
from modest_rotor.core.working import Ingredient, Result, given, result, waiting


class Plate(Sheet):
    """What the plate says."""

    rated_power: Entry | None = asked("rated_power", "Rated power", "plate", "Shaft power: 3/4 hp, 0.55 kW, 560 W.")
    rated_voltage: Entry | None = asked(
        "rated_voltage", "Rated volts", "plate", "A range such as 208-230 V is kept whole."
    )
    rated_current: Entry | None = asked("rated_current", "Full-load amps", "plate", "At rated volts and rated power.")
    rated_speed: Entry | None = asked("rated_speed", "Rated speed", "plate", "Full-load speed, on the high tap.")
    frequency: Entry | None = asked("frequency", "Frequency", "plate", "50 or 60 Hz.")
    phases: Literal[1, 3] | None = chosen("Phases")
    motor_kind: MotorKind | None = chosen(
        "Kind of motor", "Only where capacitor and phases do not tell it: a start switch, shading rings."
    )
    run_capacitance: Entry | None = asked(
        "capacitance", "Run capacitor", "plate", "Microfarads on the capacitor's own label."
    )

    @property
    def kind(self) -> MotorKind | None:
        """The kind of motor: as said, or else as far as phases and capacitor tell it."""
        if self.motor_kind is not None:
            return self.motor_kind
        if self.phases == 3:
            return MotorKind.THREE_PHASE
        if self.run_capacitance is not None:
            return MotorKind.SPLIT_CAPACITOR
        return MotorKind.SINGLE_PHASE if self.phases == 1 else None


class PlateAnswer(Frozen):
    """What the plate means."""

    poles: Result
    synchronous_speed: Result
    rated_slip: Result
    rated_torque: Result
    expected: tuple[Result, ...]


PLATE_SPEED_STEP_RPM = 5.0
"""Plates are rounded to 5 rpm at the finest, often to 25. Common practice, no source."""
DEFINITION = "Definition; Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 4."
STANDARD_SLIP_REMARK = "By standard tolerance (NEMA MG 1) a motor's true slip may lie 20 % either side of its plate."


def plate_facts(plate: Plate) -> PlateFacts:
    """The plate's numbers with poles, synchronous speed, rated slip and torque where they follow."""
    speed, frequency = _si(plate.rated_speed), _si(plate.frequency)
    poles, refusal = _poles(speed, frequency)
    synchronous = synchronous_speed_rpm(frequency, poles) if frequency and poles else None
    power = _si(plate.rated_power)
    return PlateFacts(
        kind=plate.kind,
        rated_power_w=power,
        rated_voltage_v=_si(plate.rated_voltage),
        rated_current_a=_si(plate.rated_current),
        rated_speed_rpm=speed,
        frequency_hz=frequency,
        poles=poles,
        synchronous_speed_rpm=synchronous,
        rated_slip=slip(speed, synchronous) if speed and synchronous else None,
        rated_torque_nm=torque_nm(power, speed) if power and speed else None,
        speed_refusal=refusal,
        run_capacitance_f=_si(plate.run_capacitance),
        speed_step_rpm=max(plate.rated_speed.resolution, PLATE_SPEED_STEP_RPM)
        if plate.rated_speed
        else PLATE_SPEED_STEP_RPM,
        current_step_a=plate.rated_current.resolution if plate.rated_current else 0.0,
    )


def assess_plate(facts: PlateFacts, expected: tuple[Result, ...]) -> PlateAnswer:
    """Poles, synchronous speed, rated slip and rated torque, each with its working or what it waits for.

    :param expected: what a motor of this plate should show by itself.
    """
    return PlateAnswer(
        poles=_poles_result(facts),
        synchronous_speed=_synchronous_result(facts),
        rated_slip=_slip_result(facts),
        rated_torque=_torque_result(facts),
        expected=expected,
    )


def _si(entry: Entry | None) -> float | None:
    return entry.si if entry else None


def _poles(speed: float | None, frequency: float | None) -> tuple[int | None, str | None]:
    if speed is None or frequency is None:
        return None, None
    try:
        return poles_from_rated_speed(speed, frequency), None
    except OutsideValidity as refusal:
        return None, refusal.sentence


def _waits_for_speed(facts: PlateFacts) -> str:
    if facts.speed_refusal:
        return facts.speed_refusal + " Check the plate's speed and frequency."
    missing = [
        name
        for name, value in (("rated speed", facts.rated_speed_rpm), ("frequency", facts.frequency_hz))
        if value is None
    ]
    return f"waits for {' and '.join(missing)}"


def _speed_and_frequency(facts: PlateFacts) -> tuple[Ingredient, ...]:
    assert facts.rated_speed_rpm is not None and facts.frequency_hz is not None
    return (
        given("n", "rated speed", "rated_speed", facts.rated_speed_rpm, "plate", "plate"),
        given("f", "frequency", "frequency", facts.frequency_hz, "plate", "plate"),
    )


def _poles_result(facts: PlateFacts) -> Result:
    if facts.poles is None:
        return waiting("Poles", _waits_for_speed(facts))
    remark = (
        "A low tap or a strained motor can look like another pole count; the plate's speed is at full load, high tap."
    )
    return result(
        "Poles",
        "poles",
        float(facts.poles),
        "the pole count p whose 120 f ÷ p is the nearest at or above n",
        _speed_and_frequency(facts),
        DEFINITION,
        (remark,),
    )


def _synchronous_result(facts: PlateFacts) -> Result:
    if facts.synchronous_speed_rpm is None or facts.poles is None:
        return waiting("Synchronous speed", _waits_for_speed(facts))
    ingredients = (*_speed_and_frequency(facts)[1:], given("p", "poles", "poles", float(facts.poles), "worked out"))
    return result("Synchronous speed", "speed", facts.synchronous_speed_rpm, "n_s = 120 f ÷ p", ingredients, DEFINITION)


def _slip_result(facts: PlateFacts) -> Result:
    if facts.rated_slip is None or facts.synchronous_speed_rpm is None:
        return waiting("Rated slip", _waits_for_speed(facts))
    synchronous = given("n_s", "synchronous speed", "speed", facts.synchronous_speed_rpm, "worked out")
    ingredients = (synchronous, _speed_and_frequency(facts)[0])
    remarks = (STANDARD_SLIP_REMARK,)
    return result("Rated slip", "slip", facts.rated_slip, "s = (n_s − n) ÷ n_s", ingredients, DEFINITION, remarks)


def _torque_result(facts: PlateFacts) -> Result:
    if facts.rated_torque_nm is None or facts.rated_power_w is None or facts.rated_speed_rpm is None:
        pairs = (("rated power", facts.rated_power_w), ("rated speed", facts.rated_speed_rpm))
        return waiting("Rated torque", f"waits for {' and '.join(name for name, value in pairs if value is None)}")
    ingredients = (
        given("P", "rated power", "rated_power", facts.rated_power_w, "plate", "plate"),
        given("n", "rated speed", "rated_speed", facts.rated_speed_rpm, "plate", "plate"),
    )
    return result("Rated torque", "torque", facts.rated_torque_nm, "T = P ÷ (2π n ÷ 60)", ingredients, "Definition.")
