"""What standards tabulate, asked as calculations."""

from __future__ import annotations

from modest_rotor.core.calculations.calculation import Calculation, Input, Output
from modest_rotor.core.standards import drives, motors, wiring

PLATE, WIRING = "what a plate means", "wiring and protection"
FOR_WIRING = "For wiring, not for judging a motor: what a motor takes stands on its plate."
POWER = Input("rated_power", "P", "rated power", "rated_power", exact=True)
POLES = Input("poles", "p", "poles", "poles", exact=True)
PHASES = Input("phases", "", "phases", None, choices=("1", "3"))
VOLTS = Input("rated_voltage", "V", "rated volts", "rated_voltage", exact=True)


def _unbalance(first: float, second: float, third: float) -> tuple[float, float]:
    share = motors.voltage_unbalance(first, second, third)
    return share, motors.unbalance_derating(share)


def _insulation(letter: str) -> tuple[float, float, float | None]:
    found = motors.insulation_class(letter)
    return found.highest_c, found.rise_k, found.rise_with_service_factor_k


def _frame(frame: str) -> tuple[float | None, ...]:
    found = motors.nema_frame(frame)
    return found.shaft_height_m, found.across_m, found.along_m, found.shoulder_m, found.shaft_m


STANDARD: tuple[Calculation, ...] = (
    Calculation(
        "locked_rotor_current", "Amps with the rotor locked", PLATE, (Input("letter", "", "code letter", None), POWER, VOLTS, PHASES),
        (Output("At least", "current"), Output("Below", "current")), "I = kVA per hp × P ÷ V, with three phases ÷ √3 V",
        "NEMA MG 1, 10.37.2.", lambda letter, p, v, phases: motors.locked_rotor_current_a(letter, p, v, int(phases)),
    ),
    Calculation(
        "minimum_efficiency", "Least efficiency behind a nominal one", PLATE, (Input("nominal", "η", "nominal efficiency on the plate", "efficiency", exact=True),),
        (Output("Least efficiency", "efficiency"),), "a fifth more losses, on the standard's ladder", "NEMA MG 1, Table 12-10.", motors.minimum_efficiency,
    ),
    Calculation(
        "iec_class", "Efficiency of an IEC class", PLATE, (Input("class", "", "class", None, choices=("IE1", "IE2", "IE3", "IE4")), POLES, POWER),
        (Output("Nominal efficiency", "efficiency"),), "table of the standard, 50 Hz", "IEC 60034-30-1:2014.",
        lambda c, p, w: motors.iec_class_efficiency(c, round(p), w), "Line-fed motors, 50 Hz, 0.12 to 15 kW.",
    ),
    Calculation(
        "us_efficiency", "Efficiency of a general-purpose three-phase motor", PLATE,
        (Input("level", "", "level", None, choices=("energy efficient", "premium")), Input("enclosure", "", "enclosure", None, choices=("open", "enclosed")), POLES, POWER),
        (Output("Nominal efficiency", "efficiency"),), "table of the standard, 60 Hz", "NEMA MG 1, tables 12-11 and 12-12.",
        lambda level, enclosure, p, w: motors.us_motor_efficiency(level, enclosure, round(p), w),
    ),
    Calculation(
        "small_motor_efficiency", "Least efficiency of an open small motor", PLATE,
        (Input("kind", "", "kind", None, choices=("capacitor-start", "three-phase")), POLES, POWER), (Output("Least average efficiency", "efficiency"),),
        "table of the rule, 60 Hz", "10 CFR 431.446.", lambda kind, p, w: motors.small_motor_efficiency(kind, round(p), w),
        "Split-capacitor and air-over motors are not in it.",
    ),
    Calculation(
        "insulation", "What an insulation class allows", PLATE, (Input("class", "", "insulation class", None, choices=("A", "B", "F", "H")),),
        (Output("Highest temperature", "temperature"), Output("Rise above 40 °C", "temperature_difference"), Output("Rise with a service factor of 1.15", "temperature_difference")),
        "table of the standard", "IEC 60085; NEMA MG 1, 12.43.", _insulation,
    ),
    Calculation(
        "winding_temperature", "Winding temperature from its ohms", PLATE,
        (Input("cold_resistance", "R_c", "ohms cold", "resistance"), Input("cold_temperature", "T_c", "temperature then", "temperature"), Input("warm_resistance", "R_h", "ohms warm", "resistance")),
        (Output("Winding temperature", "temperature"),), "T_h = R_h ÷ R_c (234.5 + T_c) − 234.5", "IEEE Std 112; IEC 60034-1 takes 235.", motors.winding_temperature_c,
        "Copper windings; ohms read dead, locked out, and at once after stopping.",
    ),
    Calculation(
        "ip_code", "What an IP code keeps out", PLATE, (Input("code", "", "code, for example IP54", None),),
        (Output("Keeps out, of solids", None), Output("Keeps out, of water", None)), "table of the standard", "IEC 60529.", motors.enclosure,
    ),
    Calculation(
        "nema_frame", "Dimensions of a frame", PLATE, (Input("frame", "", "frame, for example 56 or 145T", None),),
        (Output("D, shaft height", "dimension"), Output("2E, between the feet across", "dimension"), Output("2F, along", "dimension"),
         Output("BA, shoulder to hole", "dimension"), Output("U, shaft", "dimension")), "table of the standard", "NEMA MG 1, 4.4.1.", _frame,
        "Foot-mounted frames; measure before ordering.",
    ),
    Calculation(
        "voltage_unbalance", "Unbalance of three line voltages", PLATE,
        (Input("first", "V_ab", "first volts", "voltage"), Input("second", "V_bc", "second volts", "voltage"), Input("third", "V_ca", "third volts", "voltage")),
        (Output("Unbalance", "unbalance"), Output("It may give of its power", "derating")), "greatest distance from the mean ÷ mean; derating by the curve",
        "NEMA MG 1, 14.36 and figure 14-1 (read off, ± 1.5 %).", _unbalance,
    ),
    Calculation(
        "wiring_current", "Full-load current for wiring", WIRING, (POWER, VOLTS, PHASES), (Output("Current for wiring", "current"),),
        "table of the code", "NFPA 70 (NEC), tables 430.248 and 430.250.", lambda p, v, phases: wiring.wiring_current_a(p, v, int(phases)), FOR_WIRING,
    ),
    Calculation(
        "overload_setting", "Highest overload setting", WIRING,
        (Input("rated_current", "I_N", "amps on the plate", "rated_current"), Input("service_factor", "SF", "service factor", "service_factor", default="1"),
         Input("rise", "", "plate marked with a rise of 40 °C or less", None, choices=("no", "yes"), default="no")),
        (Output("Highest setting", "current"), Output("Where it does not start or carry the load", "current")), "1.15 or 1.25 times the plate's amps",
        "NFPA 70 (NEC), 430.32(A)(1) and (C).", lambda i, sf, rise: wiring.overload_setting_a(i, sf, rise == "yes"),
        "The plate of the new motor decides; those licensed to choose it.",
    ),
    Calculation(
        "drive_efficiency", "Efficiency of a drive at part load", PLATE, (Input("rated_power", "P", "rating of the drive", "rated_power"), Input("load", "x", "output over rating", "load")),
        (Output("Efficiency", "efficiency"),), "table, linear between its rows", "US Department of Energy, Motor Systems Tip Sheet 11.", drives.drive_efficiency,
    ),
)  # fmt: skip
