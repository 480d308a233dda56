"""Calculations of speed, slip, torque, electrical power, load and capacitors."""

from __future__ import annotations

import math

from modest_rotor.core.calculations.calculation import Calculation, Input, Output
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.induction import (
    poles_from_rated_speed,
    running_slip,
    synchronous_speed_rpm,
    torque_nm,
)
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

SPEED, POWER, CAPACITORS = "speed, slip and torque", "power and load", "capacitors"
DEFINITION = "Definition."
DOE = "US Department of Energy, Determining Electric Motor Load and Efficiency (fact sheet)."
SLIP_TRUST = "Plain formula: on half-loaded blower motors it reads a third too low; never on a low tap."
AMPS_TRUST = "Plain formula: below three quarters of full load amps hardly follow load."

FREQUENCY = Input("frequency", "f", "frequency of the supply", "frequency", exact=True)
POLES = Input("poles", "p", "poles, not pole pairs", "poles", exact=True)
SPEED_READ = Input("speed", "n", "speed", "speed")
VOLTS = Input("voltage", "V", "volts, line to line", "voltage")
AMPS = Input("current", "I", "line amps", "current")
WATTS = Input("input_power", "W", "true watts", "input_power")
PHASES = Input("phases", "", "phases", None, choices=("1", "3"))
SHAFT = Input("shaft_power", "P", "shaft power", "shaft_power")


def _load_by_slip(frequency: float, poles: float, rated: float, speed: float, rated_v: float, volts: float) -> float:
    rated_slip, slip = running_slip(rated, frequency, round(poles)), running_slip(speed, frequency, round(poles))
    if rated_slip <= 0:
        raise OutsideValidity("The plate's speed leaves no slip: read it again, or take another pole count.")
    if volts <= 0 or rated_v <= 0:
        raise OutsideValidity("A motor without volts has no slip to reckon by: both voltages lie above 0 V.")
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
        "synchronous_speed", "Synchronous speed", SPEED, (FREQUENCY, POLES), (Output("Synchronous speed", "speed"),),
        "n_s = 120 f ÷ p", DEFINITION, lambda f, p: synchronous_speed_rpm(f, round(p)),
    ),
    Calculation(
        "poles", "Poles from a plate's speed", SPEED, (Input("rated_speed", "n", "full-load speed on the plate", "rated_speed"), FREQUENCY),
        (Output("Poles", "poles"),), "the pole count p whose 120 f ÷ p is the nearest at or above n",
        "Definition of slip; its range common practice.", lambda n, f: float(poles_from_rated_speed(n, f)),
    ),
    Calculation(
        "slip", "Slip", SPEED, (SPEED_READ, FREQUENCY, POLES), (Output("Slip", "slip"),), "s = (n_s − n) ÷ n_s",
        DEFINITION, lambda n, f, p: running_slip(n, f, round(p)),
    ),
    Calculation(
        "torque", "Torque from power and speed", SPEED, (SHAFT, SPEED_READ), (Output("Torque", "torque"),),
        "T = P ÷ (2π n ÷ 60)", DEFINITION, torque_nm,
    ),
    Calculation(
        "shaft_power", "Power from torque and speed", SPEED, (Input("torque", "T", "torque", "torque"), SPEED_READ),
        (Output("Shaft power", "shaft_power"),), "P = T 2π n ÷ 60", DEFINITION, lambda t, n: t * n * math.pi / 30,
    ),
    Calculation(
        "pull_out", "Pull-out torque of a three-phase motor", SPEED,
        (Input("voltage", "V", "volts line to line", "voltage"), FREQUENCY, POLES, *(
            Input(name, symbol, label, "resistance", exact=True)
            for name, symbol, label in (
                ("stator_resistance", "R_1", "resistance of a phase"), ("stator_reactance", "X_1", "its leakage reactance"),
                ("magnetising_reactance", "X_m", "magnetising reactance"), ("rotor_resistance", "R_2", "rotor resistance, referred"),
                ("rotor_reactance", "X_2", "rotor reactance, referred"),
            )
        )),
        (Output("Pull-out torque", "torque"), Output("At a slip of", "slip")), "T = 3 V_th² ÷ (2 ω_s (R_th + √(R_th² + (X_th + X_2)²)))",
        "Thevenin; Fitzgerald, Kingsley and Umans, Electric Machinery, ch. 6.", _pull_out, "Impedances of one phase of the equivalent star; no core loss.",
    ),
    Calculation(
        "unbalance_heating", "Amps and heat under unbalanced volts", SPEED,
        (Input("unbalance", "u", "unbalance of the volts", "unbalance"), Input("locked_amps", "I_L ÷ I_N", "locked-rotor over full-load amps", "count", default="6")),
        (Output("Backward amps over rated", "ratio"), Output("Heat of all windings over balanced", "ratio"), Output("Of the worst one, at most", "ratio")),
        "I_2 = u I_L; 1 + I_2²; (1 + I_2)²", "Symmetrical components.", lambda u, ratio: unbalanced_heating(u, ratio), "Up to 5 % unbalance.",
    ),
    Calculation(
        "belt_speed", "Speed over a belt", SPEED,
        (SPEED_READ, Input("motor_sheave", "d_1", "pitch diameter on the motor", "dimension"),
         Input("machine_sheave", "d_2", "pitch diameter on the machine", "dimension"),
         Input("belt_slip", "s_b", "slip of the belt", "slip", default="1.5 %")),
        (Output("Speed of the machine", "speed"),), "n_2 = n d_1 ÷ d_2 (1 − s_b)", "Definition; 1 to 2 % of slip common practice.",
        lambda n, d1, d2, s: n * d1 / d2 * (1 - s),
    ),
    Calculation(
        "apparent_power", "Apparent power", POWER, (VOLTS, AMPS, PHASES), (Output("Apparent power", "apparent_power"),),
        "S = V I, with three phases √3 V I", DEFINITION, lambda v, i, phases: apparent_power_va(v, i, int(phases)),
    ),
    Calculation(
        "power_factor", "True power factor", POWER, (WATTS, VOLTS, AMPS, PHASES), (Output("True power factor", "power_factor"),),
        "W ÷ S", "Definition; IEEE Std 1459.", lambda w, v, i, phases: power_factor(w, v, i, int(phases)),
    ),
    Calculation(
        "input_power", "Watts from volts, amps and power factor", POWER,
        (VOLTS, AMPS, Input("power_factor", "λ", "true power factor", "power_factor"), PHASES),
        (Output("Input power", "input_power"),), "W = S λ", DEFINITION,
        lambda v, i, factor, phases: input_power_from_current_w(v, i, factor, int(phases)),
    ),
    Calculation(
        "efficiency", "Efficiency", POWER, (SHAFT, WATTS), (Output("Efficiency", "efficiency"),), "η = P ÷ W", DEFINITION,
        lambda p, w: _efficiency(p, w),
    ),
    Calculation(
        "load_by_slip", "Load by slip, corrected for volts", POWER,
        (FREQUENCY, POLES, Input("rated_speed", "n_N", "speed on the plate", "rated_speed"), SPEED_READ,
         Input("rated_voltage", "V_N", "volts on the plate", "rated_voltage"), VOLTS),
        (Output("Load", "load"),), "x = s ÷ (s_N (V_N ÷ V)²)", DOE, _load_by_slip, SLIP_TRUST,
    ),
    Calculation(
        "load_by_amps", "Load by amps", POWER,
        (AMPS, Input("rated_current", "I_N", "amps on the plate", "rated_current"), VOLTS,
         Input("rated_voltage", "V_N", "volts on the plate", "rated_voltage")),
        (Output("Load", "load"),), "x = (I ÷ I_N)(V ÷ V_N)", DOE, lambda i, i_n, v, v_n: i / i_n * v / v_n, AMPS_TRUST,
    ),
    Calculation(
        "capacitance_running", "Capacitor from its amps and volts, running", CAPACITORS,
        (Input("current", "I", "amps in the capacitor's lead", "current"), Input("voltage", "V", "volts across the capacitor itself", "voltage"), FREQUENCY),
        (Output("Capacitance", "capacitance"),), "C = I ÷ (2π f V)", "Definition of reactance; 2,652 I ÷ V in µF at 60 Hz, 3,183 at 50 Hz.",
        capacitance_from_running_f, "A sound run capacitor lies within 6 % of its label. Common practice.",
    ),
    Calculation(
        "capacitor_current", "Amps of a capacitor", CAPACITORS,
        (Input("capacitance", "C", "capacitance", "capacitance"), Input("voltage", "V", "volts across it", "voltage"), FREQUENCY),
        (Output("Current", "current"),), "I = 2π f C V", "Definition of reactance.", capacitor_current_a,
    ),
    Calculation(
        "capacitors_together", "Two capacitors together", CAPACITORS,
        (Input("first", "C_1", "first capacitor", "capacitance"), Input("second", "C_2", "second capacitor", "capacitance")),
        (Output("Side by side", "capacitance"), Output("One behind the other", "capacitance")),
        "C_1 + C_2; C_1 C_2 ÷ (C_1 + C_2)", DEFINITION, capacitors_together_f,
    ),
)  # fmt: skip


def _efficiency(shaft_w: float, input_w: float) -> float:
    if not 0 < shaft_w < input_w:
        raise OutsideValidity(
            f"{in_both_units(shaft_w, 'shaft_power')} at the shaft from {input_w:,.0f} W at the line is no efficiency: a motor gives less than it takes."
            " Look again at both, and whether the watts are true watts."
        )
    return shaft_w / input_w
