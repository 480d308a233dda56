"""The motor as its plate tells it, in SI."""

from __future__ import annotations

from dataclasses import dataclass
from enum import StrEnum

from modest_rotor.core.physics.induction import poles_from_rated_speed, slip, synchronous_speed_rpm, torque_nm


class MotorKind(StrEnum):
    """The kinds of motor that a plate, a capacitor and a look tell apart; all but the last are induction motors."""

    SPLIT_CAPACITOR = "split-capacitor"
    SINGLE_PHASE = "single-phase"
    SHADED_POLE = "shaded-pole"
    THREE_PHASE = "three-phase"
    ELECTRONIC = "electronic"


@dataclass(frozen=True)
class PlateFacts:
    """The plate's numbers in SI, as far as it has them; what later stations compute with.

    :param kind: of an induction motor; ``None`` where it is not known, and of an electronic motor, which none of the
        equations of slip belongs to.
    :param speed_step_rpm: how finely the rated speed is printed.
    :param current_step_a: the same for full-load amps.
    :param printed_efficiency: at rated load, a fraction, where the plate prints one that a motor can have.
    :param printed_power_factor: the same of the power factor.
    :param supply_phases: 1 or 3.
    :param low: of the low speed of a motor that has two.
    """

    kind: MotorKind | None
    rated_power_w: float | None
    rated_voltage_v: float | None
    rated_current_a: float | None
    rated_speed_rpm: float | None
    frequency_hz: float | None
    poles: int | None
    synchronous_speed_rpm: float | None
    rated_slip: float | None
    rated_torque_nm: float | None
    speed_refusal: str | None = None
    run_capacitance_f: float | None = None
    speed_step_rpm: float = 5.0
    current_step_a: float = 0.1
    is_electronic: bool = False
    printed_efficiency: float | None = None
    printed_power_factor: float | None = None
    supply_phases: int = 1
    low: PlateFacts | None = None

    @classmethod
    def of(
        cls,
        kind: MotorKind,
        power_w: float,
        volts: float,
        amps: float | None,
        rpm: float,
        hertz: float,
        farads: float | None = None,
    ) -> PlateFacts:
        """The facts of a whole plate: power in W, volts, full-load amps, rated rpm, Hz, and the run capacitor in F.

        :raises OutsideValidity: a speed that no pole count explains.
        """
        poles = poles_from_rated_speed(rpm, hertz)
        synchronous = synchronous_speed_rpm(hertz, poles)
        torque = torque_nm(power_w, rpm)
        return cls(
            kind, power_w, volts, amps, rpm, hertz, poles, synchronous, slip(rpm, synchronous), torque, None, farads
        )


NO_PLATE = PlateFacts(None, None, None, None, None, None, None, None, None, None)
"""A plate that says nothing."""
