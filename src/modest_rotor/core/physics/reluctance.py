"""Synchronous reluctance motors on a drive: what motor and drive lose together, by what it grows with."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.physics.drive import HARMONIC_LOSS, NO_LOAD_AMPS, drive_loss_w
from modest_rotor.core.physics.electronic import RatedLosses
from modest_rotor.core.standards.motors import W_PER_KW
from modest_rotor.core.tables import read_table

CLASS = "IE4"
LEAST_POWER_W = 370.0
"""Smallest rating that is made, W. Common practice, no source."""
WINDING_SHARE = 0.62
"""Share of the motor's losses at rating that its windings take; iron, friction and windage the rest. Its rotor carries no current. Our
judgement, no source: of a line-fed motor of the class stator and rotor take 40 and 20 %, IEC 60034-31 (from memory)."""
WINDING_BY_TORQUE = 0.75
"""Share of the winding loss that grows with torque, the rest with its square: at the least amps for a torque both currents go with its
root while the iron is unsaturated, and one of them stays where it is saturated. Our judgement, no source."""
DRIVE_OVERSIZE = 1.25
"""Rating of its drive over that of an induction motor's: its power factor is about 0.70 in place of 0.84. Common practice."""
BOUGHT_TODAY = 0.9
"""Losses of a drive that is bought today over those of the published sheet, as of other drives. Our judgement, no source."""
SPEED_LIMIT_SHARE = 1.1
"""Highest speed over the rated one: its field is weakened only a little before it pulls out. Our judgement, no source."""


def motor_efficiency(power_w: float, poles: int) -> float:
    """Efficiency of the motor itself at rating, a fraction: the class IE4 of its poles.

    :param power_w: shaft power, W; between the standard's sizes linear in the logarithm, beyond its ends as at its ends.
    :param poles: 2, 4, 6 or 8; of the nearest where it is another. Source: IEC 60034-30-1:2014, table iec_efficiency_classes.
    """
    rows = [row for row in read_table("iec_efficiency_classes") if row["class"] == CLASS]
    near = min({int(row["poles"]) for row in rows}, key=lambda count: abs(count - poles))
    own = [row for row in rows if int(row["poles"]) == near]
    sizes, values = (np.array([float(row[column]) for row in own]) for column in ("power_kw", "efficiency"))
    return float(np.interp(np.log(power_w / W_PER_KW), np.log(sizes), values)) / 100


def reluctance_losses(power_w: float, poles: int, efficiency: float | None = None) -> RatedLosses:
    """Losses of motor and drive at rated torque and speed by what they grow with, W.

    :param power_w: shaft power, W, above zero. :param poles: of the motor.
    :param efficiency: of the motor alone by its data sheet, a fraction; that of its class where none is given; both on a sine, to
        which the drive's waveform adds as in other motors.

    What the drive loses at the least amps stays as long as it runs, the rest of its loss goes with torque. Validity: 0.37 kW and more, fans
    and pumps. Source: the motor by :func:`motor_efficiency`, the drive by :func:`drive_loss_w`; the split our judgement.
    """
    motor = (1 + HARMONIC_LOSS) * power_w * (1 / (efficiency or motor_efficiency(power_w, poles)) - 1)
    rated = DRIVE_OVERSIZE * power_w
    # Its amps fall no faster than those of an induction motor, part of which stays whatever the torque.
    least, full = (BOUGHT_TODAY * float(drive_loss_w(rated, amps)) for amps in (NO_LOAD_AMPS, 1.0))
    windings = WINDING_SHARE * motor
    by_torque = WINDING_BY_TORQUE * windings
    return RatedLosses(
        control=least, current=full - least + by_torque, copper=windings - by_torque, speed=motor - windings
    )
