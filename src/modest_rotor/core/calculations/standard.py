"""What standards tabulate, asked as calculations."""

from __future__ import annotations

from modest_rotor.core.calculations.calculation import Calculation, Input, Output
from modest_rotor.core.say import say
from modest_rotor.core.standards import drives, motors, wiring

PLATE, WIRING = say("standard-these-what-plate"), say("standard-these-wiring-protection")
FOR_WIRING = say("standard-for-wiring")
POWER = Input("rated_power", "P", say("term-rated-power"), "rated_power", exact=True)
POLES = Input("poles", "p", say("term-poles"), "poles", exact=True)
PHASES = Input("phases", "", say("term-phases"), None, choices=("1", "3"))
VOLTS = Input("rated_voltage", "V", say("term-rated-volts"), "rated_voltage", exact=True)


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
        "locked_rotor_current", say("standard-amps-rotor"), PLATE, (Input("letter", "", say("standard-code-letter"), None), POWER, VOLTS, PHASES),
        (Output(say("standard-least"), "current"), Output(say("standard-below"), "current")), say("standard-i-kva"),
        "NEMA MG 1, 10.37.2.", lambda letter, p, v, phases: motors.locked_rotor_current_a(letter, p, v, int(phases)),
    ),
    Calculation(
        "minimum_efficiency", say("standard-least-efficiency"), PLATE, (Input("nominal", "η", say("standard-nominal-efficiency"), "efficiency", exact=True),),
        (Output(say("standard-least-efficiency-2"), "efficiency"),), say("standard-fifth-more"), say("note-nema-mg-table"), motors.minimum_efficiency,
    ),
    Calculation(
        "iec_class", say("standard-efficiency-iec"), PLATE, (Input("class", "", say("standard-class"), None, choices=("IE1", "IE2", "IE3", "IE4")), POLES, POWER),
        (Output(say("label-nominal-efficiency"), "efficiency"),), say("standard-table-standard"), "IEC 60034-30-1:2014.",
        lambda c, p, w: motors.iec_class_efficiency(c, round(p), w), say("standard-line-fed"),
    ),
    Calculation(
        "us_efficiency", say("standard-efficiency-general"), PLATE,
        (Input("level", "", say("standard-level"), None, choices=("energy efficient", "premium")), Input("enclosure", "", say("standard-enclosure"), None, choices=("open", "enclosed")), POLES, POWER),
        (Output(say("label-nominal-efficiency"), "efficiency"),), say("standard-table-standard-hz"), say("standard-nema-mg-tables"),
        lambda level, enclosure, p, w: motors.us_motor_efficiency(level, enclosure, round(p), w),
    ),
    Calculation(
        "small_motor_efficiency", say("standard-least-efficiency-open"), PLATE,
        (Input("kind", "", say("standard-kind"), None, choices=("capacitor-start", "three-phase")), POLES, POWER), (Output(say("standard-least-average"), "efficiency"),),
        say("standard-table-rule"), "10 CFR 431.446.", lambda kind, p, w: motors.small_motor_efficiency(kind, round(p), w),
        say("standard-split-capacitor"),
    ),
    Calculation(
        "insulation", say("standard-what-insulation"), PLATE, (Input("class", "", say("standard-insulation-class"), None, choices=("A", "B", "F", "H")),),
        (Output(say("standard-highest-temperature"), "temperature"), Output(say("standard-rise-above"), "temperature_difference"), Output(say("standard-rise-service"), "temperature_difference")),
        say("standard-table-standard-2"), "IEC 60085; NEMA MG 1, 12.43.", _insulation,
    ),
    Calculation(
        "winding_temperature", say("standard-winding-temperature"), PLATE,
        (Input("cold_resistance", "R_c", say("standard-ohms-cold"), "resistance"), Input("cold_temperature", "T_c", say("standard-temperature-then"), "temperature"), Input("warm_resistance", "R_h", say("standard-ohms-warm"), "resistance")),
        (Output(say("standard-winding-temperature-2"), "temperature"),), "T_h = R_h ÷ R_c (234.5 + T_c) − 234.5", say("standard-ieee-std"), motors.winding_temperature_c,
        say("standard-copper-windings"),
    ),
    Calculation(
        "ip_code", say("standard-what-ip"), PLATE, (Input("code", "", say("standard-code-example"), None),),
        (Output(say("standard-keeps-out"), None), Output(say("standard-keeps-out-water"), None)), say("standard-table-standard-2"), "IEC 60529.", motors.enclosure,
    ),
    Calculation(
        "nema_frame", say("standard-dimensions-frame"), PLATE, (Input("frame", "", say("standard-frame-example"), None),),
        (Output(say("standard-d-shaft"), "dimension"), Output(say("standard-e-between"), "dimension"), Output(say("standard-f-along"), "dimension"),
         Output(say("standard-ba-shoulder"), "dimension"), Output(say("standard-u-shaft"), "dimension")), say("standard-table-standard-2"), "NEMA MG 1, 4.4.1.", _frame,
        say("standard-foot-mounted"),
    ),
    Calculation(
        "voltage_unbalance", say("standard-unbalance-three"), PLATE,
        (Input("first", "V_ab", say("standard-first-volts"), "voltage"), Input("second", "V_bc", say("standard-second-volts"), "voltage"), Input("third", "V_ca", say("standard-third-volts"), "voltage")),
        (Output(say("standard-unbalance"), "unbalance"), Output(say("standard-may-give"), "derating")), say("standard-greatest-distance"),
        say("standard-nema-mg-figure"), _unbalance,
    ),
    Calculation(
        "wiring_current", say("standard-full-load"), WIRING, (POWER, VOLTS, PHASES), (Output(say("standard-current-wiring"), "current"),),
        say("standard-table-code"), say("standard-nfpa-nec"), lambda p, v, phases: wiring.wiring_current_a(p, v, int(phases)), FOR_WIRING,
    ),
    Calculation(
        "overload_setting", say("standard-highest-overload"), WIRING,
        (Input("rated_current", "I_N", say("term-amps-on-the-plate"), "rated_current"), Input("service_factor", "SF", say("standard-service-factor"), "service_factor", default="1"),
         Input("rise", "", say("standard-plate-marked"), None, choices=("no", "yes"), default="no")),
        (Output(say("standard-highest-setting"), "current"), Output(say("standard-where-does"), "current")), say("standard-times-plate"),
        say("standard-nfpa-nec-c"), lambda i, sf, rise: wiring.overload_setting_a(i, sf, rise == "yes"),
        say("standard-plate-new"),
    ),
    Calculation(
        "drive_efficiency", say("standard-efficiency-drive"), PLATE, (Input("rated_power", "P", say("standard-rating-drive"), "rated_power"), Input("load", "x", say("standard-output-over"), "load")),
        (Output(say("label-efficiency"), "efficiency"),), say("standard-table-linear"), say("standard-us-department"), drives.drive_efficiency,
    ),
)  # fmt: skip
