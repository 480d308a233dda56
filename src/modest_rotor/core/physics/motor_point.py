"""One solved point of a motor: what every kind answers with."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.physics.fields import Real


@dataclass(frozen=True)
class MotorPoint:
    """A motor at one speed; floats, or arrays of one shape. Currents and volts are rms.

    :param speed_rpm: shaft speed.
    :param slip: against the forward field; 0 where the kind has none.
    :param torque_nm: at the shaft, after friction and stray loss.
    :param shaft_power_w: T ω.
    :param input_power_w: from the line, with whatever stands in it.
    :param current_a: line amps.
    :param power_factor: true power factor, W over V × A (× √3).
    :param main_current_a: in the main winding (per phase with three phases).
    :param auxiliary_current_a: in the auxiliary winding.
    :param capacitor_voltage_v: across the run capacitor itself.
    :param flux: of the forward field, over that of rated volts and hertz; 0 where the kind has none.
    :param losses_w: where the difference between input and shaft power goes, by name; they add up to it.
    """

    speed_rpm: Real
    slip: Real
    torque_nm: Real
    shaft_power_w: Real
    input_power_w: Real
    current_a: Real
    power_factor: Real
    main_current_a: Real
    auxiliary_current_a: Real
    capacitor_voltage_v: Real
    flux: Real
    losses_w: dict[str, Real]

    @property
    def efficiency(self) -> Real:
        """Shaft power over input power; nothing where nothing is taken."""
        return self.shaft_power_w / self.input_power_w

    @property
    def total_loss_w(self) -> Real:
        """All losses together, W."""
        return sum(self.losses_w.values())
