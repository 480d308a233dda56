"""What standards say of motors: code letters, efficiencies, insulation, enclosures, frames, unbalanced volts."""

from __future__ import annotations

import math
import re
from dataclasses import dataclass

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say
from modest_rotor.core.standards.lookup import AS_PRINTED, at_size, between, rows_of
from modest_rotor.core.tables import read_table

W_PER_HP = 745.69987158227
W_PER_KW = 1000.0
PER_CENT = 100.0
PHASES = {1: 1.0, 3: math.sqrt(3)}
LARGEST_UNBALANCE = 0.05


@dataclass(frozen=True)
class Letter:
    """A code letter's span of locked-rotor apparent power over rated power, VA/W; the last letter has no upper end."""

    letter: str
    low: float
    high: float | None


def code_letter(letter: str) -> Letter:
    """What a code letter stands for.

    :param letter: as on the plate. :raises OutsideValidity: there is no such letter (I, O and Q are not used).

    Source: NEMA MG 1, 10.37.2; table locked_rotor_letters.
    """
    (row,) = rows_of("locked_rotor_letters", letter=letter.strip().upper())
    scale = W_PER_KW / W_PER_HP
    return Letter(row["letter"], float(row["from"]) * scale, float(row["below"]) * scale if row["below"] else None)


def code_letter_of(volt_amperes_per_watt: float) -> Letter:
    """The letter of a motor from its locked-rotor volt-amperes over its rated watts.

    :raises OutsideValidity: below zero. Source: as :func:`code_letter`.
    """
    if volt_amperes_per_watt < 0:
        raise OutsideValidity(say("motors-code-letter-of", volt_amperes_per_watt=Number(volt_amperes_per_watt, "g")))
    letters = [code_letter(row["letter"]) for row in read_table("locked_rotor_letters")]
    return next(one for one in reversed(letters) if volt_amperes_per_watt >= one.low)


def locked_rotor_current_a(letter: str, power_w: float, voltage_v: float, phases: int) -> tuple[float, float | None]:
    """Least and greatest amps with the rotor locked that a code letter allows.

    :param power_w: rated power, W. :param voltage_v: line to line. :param phases: 1 or 3.
    :raises OutsideValidity: no such letter, phases or volts.

    Source: definition of apparent power; NEMA MG 1, 10.37.2.
    """
    if phases not in PHASES or voltage_v <= 0:
        raise OutsideValidity(say("motors-locked-rotor-current-a", phases=phases, voltage_v=Number(voltage_v, "g")))
    found = code_letter(letter)
    per = power_w / (voltage_v * PHASES[phases])
    return found.low * per, None if found.high is None else found.high * per


def minimum_efficiency(nominal: float) -> float:
    """The least efficiency that a motor with a nominal one on its plate may have, both fractions.

    :raises OutsideValidity: not a nominal value of the standard's ladder. Source: NEMA MG 1, Table 12-10.
    """
    row = at_size("nominal_efficiency", list(read_table("nominal_efficiency")), "nominal", PER_CENT * nominal, "%")
    return float(row["minimum"]) / PER_CENT


def iec_class_efficiency(efficiency_class: str, poles: int, power_w: float) -> float:
    """Least nominal efficiency of an IEC class at 50 Hz, a fraction.

    :param efficiency_class: IE1 to IE4. :param power_w: rated power, a size of the standard between 0.12 and 15 kW.
    :raises OutsideValidity: no such class, poles or size. Source: IEC 60034-30-1:2014.
    """
    name = "iec_efficiency_classes"
    rows = rows_of(name, **{"class": efficiency_class.strip().upper()}, poles=str(poles))
    return float(at_size(name, rows, "power_kw", power_w / W_PER_KW, "kW", AS_PRINTED)["efficiency"]) / PER_CENT


def us_motor_efficiency(level: str, enclosure: str, poles: int, power_w: float) -> float:
    """Nominal efficiency of a general-purpose three-phase motor at 60 Hz, a fraction.

    :param level: energy efficient or premium. :param enclosure: open or enclosed. :param power_w: a standard size, 1 to 200 hp.
    :raises OutsideValidity: no such row. Source: NEMA MG 1, tables 12-11 and 12-12.
    """
    rows = rows_of("us_motor_efficiency", level=level, enclosure=enclosure, poles=str(poles))
    return (
        float(at_size("us_motor_efficiency", rows, "power_hp", power_w / W_PER_HP, "hp", AS_PRINTED)["efficiency"])
        / PER_CENT
    )


def small_motor_efficiency(kind: str, poles: int, power_w: float) -> float:
    """Least average full-load efficiency of an open small motor at 60 Hz, a fraction.

    :param kind: capacitor-start or three-phase; split-capacitor motors are not in it. :param power_w: 1/4 to 3 hp.
    :raises OutsideValidity: no such row. Source: 10 CFR 431.446.
    """
    rows = rows_of("small_motor_efficiency", kind=kind, poles=str(poles))
    return (
        float(at_size("small_motor_efficiency", rows, "power_hp", power_w / W_PER_HP, "hp", AS_PRINTED)["efficiency"])
        / PER_CENT
    )


def voltage_unbalance(first_v: float, second_v: float, third_v: float) -> float:
    """Unbalance of three line voltages, a fraction: the greatest distance from their mean, over the mean.

    :raises OutsideValidity: volts not above zero. Source: NEMA MG 1, 14.36 definition.
    """
    volts = (first_v, second_v, third_v)
    if min(volts) <= 0:
        raise OutsideValidity(say("motors-voltage-unbalance", volts=Number(min(volts), "g")))
    mean = sum(volts) / len(volts)
    return max(abs(one - mean) for one in volts) / mean


def unbalance_derating(unbalance: float) -> float:
    """Share of its rated power that a motor may give on unbalanced volts.

    :param unbalance: a fraction. :raises OutsideValidity: above 5 %, where it is not to be run.

    Source: NEMA MG 1, figure 14-1, read off the curve, within 0.015.
    """
    if unbalance > LARGEST_UNBALANCE:
        raise OutsideValidity(say("motors-unbalance-derating", unbalance=Number(PER_CENT * unbalance, ".1f")))
    rows = list(read_table("voltage_unbalance"))
    return between("voltage_unbalance", rows, "unbalance", "derating", PER_CENT * unbalance, "%")


@dataclass(frozen=True)
class Insulation:
    """An insulation class: highest temperature in °C, rise above 40 °C in K without and with a service factor of 1.15."""

    highest_c: float
    rise_k: float
    rise_with_service_factor_k: float | None


def insulation_class(letter: str) -> Insulation:
    """What an insulation class allows. :raises OutsideValidity: no such class.

    Source: IEC 60085; NEMA MG 1, 12.43, rise by resistance.
    """
    (row,) = rows_of("insulation_classes", **{"class": letter.strip().upper()})
    extra = row["rise_service_factor"]
    return Insulation(float(row["highest"]), float(row["rise"]), float(extra) if extra else None)


def winding_temperature_c(cold_ohm: float, cold_c: float, warm_ohm: float) -> float:
    """Temperature of a copper winding from its resistance cold and warm, T_h = R_h/R_c (234.5 + T_c) − 234.5, in °C.

    :param cold_ohm: Ω at ``cold_c`` °C. :param warm_ohm: Ω.
    :raises OutsideValidity: a resistance not above zero. Validity: copper, −40 to 200 °C; IEC 60034-1 takes 235.

    Source: linear law of copper, IEEE Std 112.
    """
    if min(cold_ohm, warm_ohm) <= 0:
        raise OutsideValidity(say("motors-winding-temperature-c", cold_ohm=Number(min(cold_ohm, warm_ohm), "g")))
    return warm_ohm / cold_ohm * (COPPER_ZERO_K + cold_c) - COPPER_ZERO_K


COPPER_ZERO_K = 234.5


def enclosure(code: str) -> tuple[str, str]:
    """What the two digits of an IP code keep out: solids, then water.

    :param code: for example IP54; an X stands for a digit that is not given.
    :raises OutsideValidity: not an IP code. Source: IEC 60529.
    """
    digits = code.strip().upper().removeprefix("IP").strip()
    if len(digits) < len(("first", "second")):
        raise OutsideValidity(say("motors-enclosure-ip-code", code_=code))
    return tuple(  # type: ignore[return-value]
        say("motors-enclosure-stated") if digit == "X" else rows_of("ip_code", digit=place, value=digit)[0]["keeps_out"]
        for place, digit in zip(("first", "second"), digits, strict=False)
    )


@dataclass(frozen=True)
class Frame:
    """Dimensions of a foot-mounted frame, m: shaft height D, feet across 2E and along 2F, shoulder to hole BA, shaft U.

    What a suffix makes special is not given: it is measured.
    """

    shaft_height_m: float
    across_m: float | None
    along_m: float | None
    shoulder_m: float | None
    shaft_m: float | None


M_PER_INCH = 0.0254
FRAME = re.compile(r"(\d{2,3})(TS|T|U)?([A-Z]*)")
OTHER_SHAFT = ("Z", "J", "JM", "JP", "S", "LP", "P")
"""Suffixes whose shaft is not the frame's standard one; feet, holes and height are. NEMA MG 1, 11.01 (from memory)."""
OTHER_FEET = "Y"


def nema_frame(frame: str) -> Frame:
    """Dimensions of a NEMA frame, as far as its suffix leaves them standard.

    :param frame: number and suffix as printed: 56, 48Y, 145TC, 254TZ. A face (C, D) or a second row of holes (H) changes none of
        them; another shaft (Z, J, JM, JP, S) leaves feet, holes and height; special mounting (Y) the height alone.
    :raises OutsideValidity: a frame that the table does not hold.

    Validity: foot-mounted, within the standard's tolerances. Source: NEMA MG 1, 4.2.2, 4.4.1 and 11.01.
    """
    name = frame.strip().upper()
    match = FRAME.fullmatch(name)
    number, series, suffix = (match[1], match[2] or "", match[3]) if match else (name, "", "")
    known = {row["frame"] for row in read_table("nema_frames")}
    base = next((one for one in (name, number + series, f"{number}T" if series == "TS" else "") if one in known), name)
    (row,) = rows_of("nema_frames", frame=base)
    height, across, along, shoulder, shaft = (
        M_PER_INCH * float(row[column]) for column in ("shaft_height", "across", "along", "shoulder", "shaft")
    )
    if base != name and (any(part in suffix for part in OTHER_SHAFT) or (series == "TS" and base.endswith("T"))):
        return Frame(height, across, along, None, None)
    if OTHER_FEET in suffix:
        return Frame(height, None, None, None, shaft)
    return Frame(height, across, along, shoulder, shaft)
