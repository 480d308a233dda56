"""A synchronous reluctance motor on a drive: no magnets, no current in the rotor, no slip; it never runs without its drive."""

from __future__ import annotations

import numpy as np

from modest_rotor.core.estimate import Array, measured
from modest_rotor.core.options.contract import (
    CURVE,
    Asked,
    Columns,
    Demand,
    How,
    Option,
    OptionKind,
    Saying,
    SolvedStep,
    absent_steps,
    curve_and_system,
    solve_steps,
)
from modest_rotor.core.options.drive import ONE_PHASE, WAITS, is_fed_with_one_phase
from modest_rotor.core.options.electronic import electronic_columns, noted
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.rating import PROMISED_BELOW, PROMISED_SPREAD, Rating
from modest_rotor.core.options.traits import Brings, Holds, SetBy, Traits
from modest_rotor.core.outcome import Withheld
from modest_rotor.core.physics.drive import TRUE_POWER_FACTOR, Rectifier
from modest_rotor.core.physics.load import speed_ratio_for_flow
from modest_rotor.core.physics.reluctance import LEAST_POWER_W, SPEED_LIMIT_SHARE, reluctance_losses
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import say
from modest_rotor.core.stations.options import Candidate
from modest_rotor.core.stations.product import Product, ProductType
from modest_rotor.core.stations.setup import ControlMode

SPREAD, SPREAD_BELOW = 0.15, 0.25
"""Standard deviation of the logarithm of the losses of motor and drive together at rating, and besides far below rated torque. Our
judgement, no source: the motor is bought by its class, the drive is not."""
POWER_FACTOR_SPREAD = 0.05
SAYING = Saying(How.SYNCHRONOUS, say("term-no-speed-gives-this-flow"), "frequency")
TOO_SMALL = Withheld(say("options-reluctance-too-small", in_both_units=in_both_units(LEAST_POWER_W, "rated_power")))


def _suits(product: Product) -> bool:
    """A drive, or a motor whose entry names no kind: none of those that it can name is one of these."""
    return product.type is ProductType.DRIVE or (product.type is ProductType.MOTOR and product.motor_kind is None)


class Reluctance(Option):
    """A synchronous reluctance motor on its drive, which gives at each step the flow asked for."""

    kind = OptionKind.RELUCTANCE
    traits = Traits(
        say("options-reluctance-reluctance-traits-synchronous-reluctance"), "violet-open", electronics=True, commanded=True, brings=Brings.MOTOR, suits=_suits,
        set_by=SetBy.DRIVE, control=ControlMode.RELUCTANCE, holds=Holds.SPEED, limited=True, wears=say("term-the-drive-s-capacitors-and"),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """The hertz that give each step its flow, and the watts that drive and motor take; never below a protected flow."""
        plate, product = found.plate, _motor_of(asked.candidate)
        power = product.rated_power.si if product and product.rated_power else plate.rated_power_w
        if not (power and plate.frequency_hz and plate.poles and plate.synchronous_speed_rpm):
            return absent_steps(demands, WAITS)
        if power < LEAST_POWER_W:
            return absent_steps(demands, TOO_SMALL)
        single = is_fed_with_one_phase(found, asked)
        rating = self.rating(found, asked.candidate, single)
        poles, shares = _poles(found, product), np.array([demand.wanted for demand in demands])

        def work(*columns: Array) -> Columns:
            curve, (speed, *losses) = columns[:CURVE], columns[CURVE:]
            machine, system = curve_and_system(found, *curve)
            part = curve[0] * shares
            ratio = speed_ratio_for_flow(machine, system, part)
            rpm, shaft = speed * ratio, machine.power_at(part, ratio)
            solved = electronic_columns(rating, part, system.pressure_at(part), rpm, shaft, *losses)
            return solved._replace(setting=rpm * poles / 120)

        inputs = (*found.curve_inputs, found.speed, *rating.loss_inputs)
        solved = solve_steps(tuple(demand.id for demand in demands), work, inputs, SAYING)
        fed = ONE_PHASE if single else ""
        return tuple(noted(solved[demand.id], demand, rating).noted(fed) for demand in demands)

    def rating(self, found: FoundMachine, candidate: Candidate, single_phase: bool | None = None) -> Rating:
        """The rating of motor and drive together, from the line to the shaft.

        :param single_phase: whether one phase feeds it; by the old motor's kind and the drive's sheet where nothing is said.
        """
        product, plate = _motor_of(candidate), found.plate
        power = (
            product.rated_power.si if product and product.rated_power else plate.rated_power_w
        ) or found.shaft_power.value
        own_speed = product.rated_speed.si if product and product.rated_speed else None
        speed = own_speed or plate.synchronous_speed_rpm or plate.rated_speed_rpm or found.speed.value
        promised = product.expected_efficiency if product else None
        single = is_fed_with_one_phase(found, Asked(None, candidate)) if single_phase is None else single_phase
        rectifier = Rectifier.SINGLE_PHASE if single else Rectifier.THREE_PHASE
        factor, spread = TRUE_POWER_FACTOR[rectifier], PROMISED_SPREAD if promised else SPREAD
        return Rating(
            power_w=power,
            speed_rpm=speed,
            losses=reluctance_losses(power, _poles(found, product), promised),
            scatter=measured(0.0, **{"losses of reluctance motors and drives": spread}),
            below=measured(0.0, **{"the same below rating": PROMISED_BELOW if promised else SPREAD_BELOW}),
            power_factor=measured(factor, **{"power factor of drives": POWER_FACTOR_SPREAD * factor}),
            voltage_v=found.volts.value or plate.rated_voltage_v or 400.0,
            standby_w=STANDBY_W,
            phases=1 if single else 3,
            top_share=SPEED_LIMIT_SHARE,
        )


def _motor_of(candidate: Candidate) -> Product | None:
    """The motor that is named; a drive that is named rates no motor."""
    product = candidate.product
    return product if product is not None and product.type is ProductType.MOTOR else None


def _poles(found: FoundMachine, product: Product | None) -> int:
    """Poles of the motor: the nearest even count to the hertz and speed of a named one, which turns without slip; else the plate's."""
    hertz = (product.frequency.si if product and product.frequency else found.plate.frequency_hz) or 0.0
    speed = product.rated_speed.si if product and product.rated_speed else 0.0
    if hertz > 0 and speed > 0:
        return max(2, 2 * round(60 * hertz / speed))
    return found.plate.poles or USUAL_POLES


USUAL_POLES = 4
STANDBY_W = 12.0
"""What a drive takes awake with the motor still: 8 to 20 W are usual for a few kilowatts. Common practice, no source."""
