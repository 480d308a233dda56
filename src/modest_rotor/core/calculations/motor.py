"""Calculations of speed, slip, torque, electrical power, load and capacitors."""

from __future__ import annotations

import math

from modest_rotor.core.calculations.calculation import Calculation, Input, Output
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.induction import poles_from_rated_speed, running_slip, synchronous_speed_rpm, torque_nm
from modest_rotor.core.physics.power import (
    apparent_power_va,
    capacitance_from_running_f,
    capacitor_current_a,
    capacitors_together_f,
    input_power_from_current_w,
    power_factor,
)
from modest_rotor.core.physics.supply import Supply
from modest_rotor.core.physics.three_phase import ThreePhaseMotor, pull_out, unbalanced_heating
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import Number, say

SPEED, POWER, CAPACITORS = (
    say("calculations-motor-these-speed-slip"),
    say("calculations-motor-these-power-load"),
    "capacitors",
)
DEFINITION = say("word-definition")
DOE = say("calculations-motor-doe")
SLIP_TRUST = say("calculations-motor-slip-trust")
AMPS_TRUST = say("calculations-motor-amps-trust")

FREQUENCY = Input("frequency", "f", say("calculations-motor-frequency"), "frequency", exact=True)
POLES = Input("poles", "p", say("calculations-motor-poles"), "poles", exact=True)
SPEED_READ = Input("speed", "n", say("term-speed"), "speed")
VOLTS = Input("voltage", "V", say("calculations-motor-volts"), "voltage")
AMPS = Input("current", "I", say("term-line-amps"), "current")
WATTS = Input("input_power", "W", say("term-true-watts"), "input_power")
PHASES = Input("phases", "", say("term-phases"), None, choices=("1", "3"))
SHAFT = Input("shaft_power", "P", say("term-shaft-power"), "shaft_power")


def _load_by_slip(frequency: float, poles: float, rated: float, speed: float, rated_v: float, volts: float) -> float:
    rated_slip, slip = running_slip(rated, frequency, round(poles)), running_slip(speed, frequency, round(poles))
    if rated_slip <= 0:
        raise OutsideValidity(say("calculations-motor-load-by-slip-plate-s"))
    if volts <= 0 or rated_v <= 0:
        raise OutsideValidity(say("calculations-motor-load-by-slip-motor-without"))
    return slip / (rated_slip * (rated_v / volts) ** 2)


def _pull_out(
    volts: float, hertz: float, poles: float, r1: float, x1: float, xm: float, r2: float, x2: float
) -> tuple[float, float]:
    synchronous_speed_rpm(hertz, round(poles))  # refuses what is no pole count
    motor = ThreePhaseMotor(
        poles=round(poles), rated_voltage=volts, rated_frequency=hertz, main_resistance=r1, main_reactance=x1, magnetising_reactance=xm,
        rotor_resistance=r2, rotor_reactance=x2, core_conductance=0.0, friction_nm=0.0, stray_resistance=0.0,
    )  # fmt: skip
    torque, slip_ = pull_out(motor, Supply(volts, hertz))
    return float(torque), float(slip_)


MOTOR: tuple[Calculation, ...] = (
    Calculation(
        "synchronous_speed", say("label-synchronous-speed"), SPEED, (FREQUENCY, POLES), (Output(say("label-synchronous-speed"), "speed"),),
        "n_s = 120 f ÷ p", DEFINITION, lambda f, p: synchronous_speed_rpm(f, round(p)),
    ),
    Calculation(
        "poles", say("calculations-motor-motor-poles-plate"), SPEED, (Input("rated_speed", "n", say("calculations-motor-motor-full-load"), "rated_speed"), FREQUENCY),
        (Output(say("label-poles"), "poles"),), say("calculations-motor-motor-pole-count"),
        say("calculations-motor-motor-definition-slip"), lambda n, f: float(poles_from_rated_speed(n, f)),
    ),
    Calculation(
        "slip", say("calculations-motor-motor-slip"), SPEED, (SPEED_READ, FREQUENCY, POLES), (Output(say("calculations-motor-motor-slip"), "slip"),), "s = (n_s − n) ÷ n_s",
        DEFINITION, lambda n, f, p: running_slip(n, f, round(p)),
    ),
    Calculation(
        "torque", say("calculations-motor-motor-torque-power"), SPEED, (SHAFT, SPEED_READ), (Output(say("calculations-motor-motor-torque"), "torque"),),
        "T = P ÷ (2π n ÷ 60)", DEFINITION, torque_nm,
    ),
    Calculation(
        "shaft_power", say("calculations-motor-motor-power-torque"), SPEED, (Input("torque", "T", say("term-torque"), "torque"), SPEED_READ),
        (Output(say("label-shaft-power"), "shaft_power"),), "P = T 2π n ÷ 60", DEFINITION, lambda t, n: t * n * math.pi / 30,
    ),
    Calculation(
        "pull_out", say("calculations-motor-motor-pull-out"), SPEED,
        (Input("voltage", "V", say("calculations-motor-motor-volts-line"), "voltage"), FREQUENCY, POLES, *(
            Input(name, symbol, label, "resistance", exact=True)
            for name, symbol, label in (
                ("stator_resistance", "R_1", say("calculations-motor-motor-resistance-phase")), ("stator_reactance", "X_1", say("calculations-motor-motor-leakage-reactance")),
                ("magnetising_reactance", "X_m", say("calculations-motor-motor-magnetising-reactance")), ("rotor_resistance", "R_2", say("calculations-motor-motor-rotor-resistance")),
                ("rotor_reactance", "X_2", say("calculations-motor-motor-rotor-reactance")),
            )
        )),
        (Output(say("calculations-motor-motor-pull-out-torque"), "torque"), Output(say("calculations-motor-motor-slip-2"), "slip")), "T = 3 V_th² ÷ (2 ω_s (R_th + √(R_th² + (X_th + X_2)²)))",
        say("calculations-motor-motor-thevenin-fitzgerald"), _pull_out, say("calculations-motor-motor-impedances-one"),
    ),
    Calculation(
        "unbalance_heating", say("calculations-motor-motor-amps-heat"), SPEED,
        (Input("unbalance", "u", say("calculations-motor-motor-unbalance-volts"), "unbalance"), Input("locked_amps", "I_L ÷ I_N", say("calculations-motor-motor-locked-rotor"), "count", default="6")),
        (Output(say("calculations-motor-motor-backward-amps"), "ratio"), Output(say("calculations-motor-motor-heat-all"), "ratio"), Output(say("calculations-motor-motor-worst-one"), "ratio")),
        "I_2 = u I_L; 1 + I_2²; (1 + I_2)²", say("calculations-motor-motor-symmetrical-components"), lambda u, ratio: unbalanced_heating(u, ratio), say("calculations-motor-motor-up-unbalance"),
    ),
    Calculation(
        "belt_speed", say("calculations-motor-motor-speed-over"), SPEED,
        (SPEED_READ, Input("motor_sheave", "d_1", say("calculations-motor-motor-pitch-diameter"), "dimension"),
         Input("machine_sheave", "d_2", say("calculations-motor-motor-pitch-diameter-machine"), "dimension"),
         Input("belt_slip", "s_b", say("calculations-motor-motor-slip-belt"), "slip", default="1.5 %")),
        (Output(say("calculations-motor-motor-speed-machine"), "speed"),), "n_2 = n d_1 ÷ d_2 (1 − s_b)", say("calculations-motor-motor-definition-slip-common"),
        lambda n, d1, d2, s: n * d1 / d2 * (1 - s),
    ),
    Calculation(
        "apparent_power", say("calculations-motor-motor-apparent-power"), POWER, (VOLTS, AMPS, PHASES), (Output(say("calculations-motor-motor-apparent-power"), "apparent_power"),),
        say("calculations-motor-motor-s-v"), DEFINITION, lambda v, i, phases: apparent_power_va(v, i, int(phases)),
    ),
    Calculation(
        "power_factor", say("calculations-motor-motor-true-power"), POWER, (WATTS, VOLTS, AMPS, PHASES), (Output(say("calculations-motor-motor-true-power"), "power_factor"),),
        "W ÷ S", say("calculations-motor-motor-definition-ieee"), lambda w, v, i, phases: power_factor(w, v, i, int(phases)),
    ),
    Calculation(
        "input_power", say("calculations-motor-motor-watts-volts"), POWER,
        (VOLTS, AMPS, Input("power_factor", "λ", say("calculations-motor-motor-true-power-factor"), "power_factor"), PHASES),
        (Output(say("label-input-power"), "input_power"),), "W = S λ", DEFINITION,
        lambda v, i, factor, phases: input_power_from_current_w(v, i, factor, int(phases)),
    ),
    Calculation(
        "efficiency", say("label-efficiency"), POWER, (SHAFT, WATTS), (Output(say("label-efficiency"), "efficiency"),), "η = P ÷ W", DEFINITION,
        lambda p, w: _efficiency(p, w),
    ),
    Calculation(
        "load_by_slip", say("calculations-motor-motor-load-slip"), POWER,
        (FREQUENCY, POLES, Input("rated_speed", "n_N", say("calculations-motor-motor-speed-plate"), "rated_speed"), SPEED_READ,
         Input("rated_voltage", "V_N", say("calculations-motor-motor-volts-plate"), "rated_voltage"), VOLTS),
        (Output(say("label-load"), "load"),), "x = s ÷ (s_N (V_N ÷ V)²)", DOE, _load_by_slip, SLIP_TRUST,
    ),
    Calculation(
        "load_by_amps", say("calculations-motor-motor-load-amps"), POWER,
        (AMPS, Input("rated_current", "I_N", say("term-amps-on-the-plate"), "rated_current"), VOLTS,
         Input("rated_voltage", "V_N", say("calculations-motor-motor-volts-plate"), "rated_voltage")),
        (Output(say("label-load"), "load"),), "x = (I ÷ I_N)(V ÷ V_N)", DOE, lambda i, i_n, v, v_n: i / i_n * v / v_n, AMPS_TRUST,
    ),
    Calculation(
        "capacitance_running", say("calculations-motor-motor-capacitor-amps"), CAPACITORS,
        (Input("current", "I", say("calculations-motor-motor-amps-capacitor"), "current"), Input("voltage", "V", say("calculations-motor-motor-volts-across"), "voltage"), FREQUENCY),
        (Output(say("calculations-motor-motor-capacitance"), "capacitance"),), "C = I ÷ (2π f V)", say("calculations-motor-motor-definition-reactance"),
        capacitance_from_running_f, say("calculations-motor-motor-sound-run"),
    ),
    Calculation(
        "capacitor_current", say("calculations-motor-motor-amps-capacitor-2"), CAPACITORS,
        (Input("capacitance", "C", say("calculations-motor-motor-capacitance-2"), "capacitance"), Input("voltage", "V", say("calculations-motor-motor-volts-across-2"), "voltage"), FREQUENCY),
        (Output(say("calculations-motor-motor-current"), "current"),), "I = 2π f C V", say("calculations-motor-motor-definition-reactance-2"), capacitor_current_a,
    ),
    Calculation(
        "capacitors_together", say("calculations-motor-motor-two-capacitors"), CAPACITORS,
        (Input("first", "C_1", say("calculations-motor-motor-first-capacitor"), "capacitance"), Input("second", "C_2", say("calculations-motor-motor-second-capacitor"), "capacitance")),
        (Output(say("calculations-motor-motor-side-side"), "capacitance"), Output(say("calculations-motor-motor-one-behind"), "capacitance")),
        "C_1 + C_2; C_1 C_2 ÷ (C_1 + C_2)", DEFINITION, capacitors_together_f,
    ),
)  # fmt: skip


def _efficiency(shaft_w: float, input_w: float) -> float:
    if not 0 < shaft_w < input_w:
        raise OutsideValidity(
            say(
                "calculations-motor-efficiency",
                in_both_units=in_both_units(shaft_w, "shaft_power"),
                input_w=Number(input_w, ",.0f"),
            )
        )
    return shaft_w / input_w
