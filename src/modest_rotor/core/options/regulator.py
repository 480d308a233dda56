"""A capacitor motor slowed by lower volts: through a phase-cut regulator, a resistance or choke, or a transformer."""

from __future__ import annotations

from dataclasses import replace

import numpy as np

from modest_rotor.core.estimate import Array, measured
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.motor import MotorKind
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
from modest_rotor.core.options.electronic import HELD
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.solved import FARTHEST_SLIP, RAD_PER_RPM, stacked
from modest_rotor.core.options.traits import Belongs, Holds, SetBy, Traits, of_type
from modest_rotor.core.outcome import Waiting
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.operating_point import InductionMotor
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.say import say
from modest_rotor.core.stations.options import Regulating
from modest_rotor.core.stations.product import ProductType

WAITS = Waiting(say("regulator-waits"))
CANNOT_HOLD = say("regulator-cannot-hold")
SOFT_MOTOR_SHARE, SOFT_MOTOR_DOWN = 0.25, 0.30
"""Standard deviation of the watts on cut volts as a share, and the fall of speed at which it is reached. Technicians see 260 W at
1,200 rpm of a quarter-horse fan that takes 270 W at 1,720 (common practice, no source): such motors are softer than a fit of
their plate can know."""
PHASE_CUT_LOSS = measured(0.08, **{"losses of a cut wave": 0.04})
"""Losses that a phase-cut wave adds in the motor, as a share of the motor's. Our judgement, no source."""
VOLTS_SECANTS, RESISTANCE_SECANTS = 5, 10
STEP = 0.005
"""Slip by which a point is shifted to see whether the motor holds it."""
SLOWEST_SLIP = 0.65
"""Slip beyond which nobody runs a regulated fan. Common practice, no source."""
SETTLED = 1e-3


class Regulator(Option):
    """The capacitor motor of today, its volts lowered until it gives each step its flow."""

    kind = OptionKind.REGULATOR
    traits = Traits(
        say("regulator-traits-motor-regulated"), "copper-ring", commanded=True, belongs=Belongs.CAPACITOR_MOTORS, suits=of_type(ProductType.REGULATOR),
        set_by=SetBy.VOLTS, slows=True, holds=Holds.MOTOR, wears=say("regulator-traits-motor-runs"),
        asks=("regulator",),
    )  # fmt: skip

    def solve(self, found: FoundMachine, demands: tuple[Demand, ...], asked: Asked) -> tuple[SolvedStep, ...]:
        """Volts, or ohms in the line, that give each step its flow; “cannot hold” where the motor is not steady there."""
        own = found.own
        if own is None or own.plate.kind is not MotorKind.SPLIT_CAPACITOR:
            return absent_steps(demands, WAITS)
        series = asked.candidate.regulator is Regulating.SERIES
        cut = asked.candidate.regulator in (None, Regulating.PHASE_CUT)
        solved = _solve(found, own, demands, series, cut)
        return tuple(solved[demand.id].noted(HELD if demand.floor > demand.share else "") for demand in demands)

    def motor(self, found: FoundMachine) -> TypicalMotor | None:
        """The motor that is in the machine."""
        return found.motor


def _solve(
    found: FoundMachine, own: FittedMotor, demands: tuple[Demand, ...], series: bool, cut: bool
) -> dict[str, SolvedStep]:
    shares = np.array([1.0, *(min(demand.wanted, 1.0) for demand in demands)])
    synchronous, hertz = own.plate.synchronous_speed_rpm or 1.0, own.plate.frequency_hz or 1.0

    def work(*columns: Array) -> Columns:
        curve, (speed, watts, volts, worse) = columns[:CURVE], columns[CURVE : len(fixed)]
        machine, system = curve_and_system(found, *curve)
        part = curve[0] * shares
        rpm, reached = Load(machine, speed, system).at_flow(part)
        shaft = machine.power_at(part, rpm / speed)
        motor = stacked(own.family, columns[len(fixed) :])
        slip = 1 - rpm / synchronous
        torque = shaft / (rpm * RAD_PER_RPM)
        sought = _resistance if series else _volts
        supply, steady = sought(motor, Supply(volts, hertz), slip, torque)
        at = motor.at_slip(supply, slip)
        sound = reached & steady & (slip < SLOWEST_SLIP) & (np.abs(at.torque_nm - torque) < SETTLED * torque)
        full = shares >= 1.0
        # At full flow the regulator is wide open, and adds nothing that a wattmeter would show.
        extra = np.where(full, 0.0, worse * at.total_loss_w) if cut else 0.0
        # What a resistance in the line burns is in the motor's input already: it stands in the same circuit.
        taken = at.input_power_w + extra
        taken = np.where(sound | full, taken, np.nan) * watts / taken[:, :1]
        setting = np.asarray(supply.series_resistance if series else supply.voltage) + 0 * slip
        blocks = (part, system.pressure_at(part), rpm, shaft, taken, np.asarray(at.current_a), setting)
        return Columns(*(np.broadcast_to(block, part.shape)[:, 1:] for block in blocks))

    fixed = (*found.curve_inputs, found.speed, found.input_power, found.volts, PHASE_CUT_LOSS)
    saying = Saying(
        How.REGULATED,
        CANNOT_HOLD,
        "resistance" if series else "voltage",
        say("regulator-solve-line") if series else say("regulator-solve-motor"),
    )
    ids = tuple(demand.id for demand in demands)
    solved = solve_steps(ids, work, (*fixed, *own.estimates), saying)
    told = {name: replace(step, set_words=saying.set_words) for name, step in solved.items()}
    return {name: _soft(step, found) if cut else step for name, step in told.items()}


def _soft(step: SolvedStep, found: FoundMachine) -> SolvedStep:
    """A phase-cut step with what soft, high-slip motors take beyond the fitted one: the more, the further it is turned down."""
    if step.speed is None or step.input_power is None:
        return step
    down = max(1 - step.speed.value / found.speed.value, 0.0)
    spread = SOFT_MOTOR_SHARE * min(down / SOFT_MOTOR_DOWN, 1.0) * step.input_power.value
    return replace(step, input_power=step.input_power.with_contribution("watts on cut volts", spread))


def _volts(motor: InductionMotor, line: Supply, slip: Array, torque: Array) -> tuple[Supply, Array]:
    """Volts at which the motor gives a torque at a slip, and whether it is steady there: torque goes nearly with their square."""
    volts = line.voltage + 0 * slip
    for _ in range(VOLTS_SECANTS):
        given = np.maximum(motor.at_slip(replace(line, voltage=volts), slip).torque_nm, torque / 100)
        volts = volts * np.sqrt(torque / given)
    supply = replace(line, voltage=volts)
    return supply, _steady(motor, supply, slip, torque)


def _resistance(motor: InductionMotor, line: Supply, slip: Array, torque: Array) -> tuple[Supply, Array]:
    """Ohms in the line with which the motor gives a torque at a slip, and whether it is steady there."""
    at = motor.at_slip(line, slip)
    before, f_before = 0 * slip, at.torque_nm - torque
    now = 0.3 * line.voltage / at.current_a + 0 * slip
    for _ in range(RESISTANCE_SECANTS):
        f_now = motor.at_slip(replace(line, series_resistance=now), slip).torque_nm - torque
        change = np.where(f_now == f_before, 1.0, f_now - f_before)
        step = np.where(f_now == f_before, 0.0, f_now * (now - before) / change)
        before, f_before, now = now, f_now, np.maximum(now - step, 0.0)
    supply = replace(line, series_resistance=now)
    return supply, _steady(motor, supply, slip, torque)


def _steady(motor: InductionMotor, supply: Supply, slip: Array, torque: Array) -> Array:
    """Whether the motor's torque falls faster than the fan's as both speed up: only then a disturbance dies out.

    The fan's torque is taken as going with speed squared. Source: textbooks on drives, steady-state stability.
    """
    faster = motor.at_slip(supply, np.maximum(slip - STEP, STEP / 10)).torque_nm
    slower = motor.at_slip(supply, np.minimum(slip + STEP, 2 * FARTHEST_SLIP)).torque_nm
    fan = 2 * torque / (1 - slip) * 2 * STEP
    return np.asarray(faster - slower < fan)
