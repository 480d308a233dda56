"""What each entry of a plate stands for, worked out and explained beside it."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.phrase import Figure, Frozen, Phrase, figure
from modest_rotor.core.standards import motors
from modest_rotor.core.standards.wiring import overload_setting_a
from modest_rotor.core.stations.plate import Plate, Protection
from modest_rotor.core.tables import find_row, read_table

PER_CENT = 100.0
RULE_LOW_F_PER_W, RULE_HIGH_F_PER_W = 30e-9, 50e-9
"""Run capacitance over rated power, 30 to 50 µF/kW: a rule of thumb for 230 V motors at 50 Hz. Common practice, no source."""
RULE_VOLTS, RULE_HERTZ = (220.0, 240.0), 50.0
START_OVER_RUN = 3.0
SLIGHT_FACTOR = 1.0
SAME_SHAFT = 0.01
IEC_HERTZ = 50.0
PRACTICE = "Common practice, no source."
STANDARD_FACTOR = "NEMA MG 1, 14.37 and 12.51 (from memory)."


class Meaning(Frozen):
    """One entry of the plate, in words and figures, with the source of the rule."""

    label: str
    said: Phrase
    source: str
    heed: bool = False
    """Whether something is to be done or watched; the others only explain."""


def meanings(plate: Plate, facts: PlateFacts) -> tuple[Meaning, ...]:
    """Everything that the plate's further entries stand for, in the plate's order; what a table does not hold is told."""
    found: list[Meaning] = []
    for label, tell in TELLERS:
        try:
            found.extend(
                Meaning(label=label, said=said, source=source, heed=HEED in heed)
                for said, source, *heed in tell(plate, facts)
            )
        except OutsideValidity as refusal:
            found.append(Meaning(label=label, said=(refusal.sentence,), source="The project's own tables.", heed=True))
    return tuple(found)


HEED = "heed"
Told = Iterator[tuple[Phrase, str] | tuple[Phrase, str, str]]
"""What is said and its source; with ``HEED``, where something is to be done or watched."""


def _slip(plate: Plate, facts: PlateFacts) -> Told:
    if facts.rated_slip is None or facts.kind is None:
        return
    row = find_row("ordinary_slip", motor=str(facts.kind))
    share = PER_CENT * facts.rated_slip
    ordinary = float(row["low"]) <= share <= float(row["high"])
    verdict = "is ordinary" if ordinary else "is not ordinary: look at speed, hertz and kind again"
    said: Phrase = (figure("slip", facts.rated_slip), f" {verdict}; {row['said']}.")
    yield (said, PRACTICE) if ordinary else (said, PRACTICE, HEED)


def _poles(plate: Plate, facts: PlateFacts) -> Told:
    if facts.poles in (6, 8) and facts.kind is MotorKind.SPLIT_CAPACITOR:
        yield (f"{facts.poles} poles are what most direct-drive blowers have.",), PRACTICE


def _connections(plate: Plate, facts: PlateFacts) -> Told:
    if plate.second_voltage is None:
        return
    if plate.wired_for is None:
        first = "Two connections stand on the plate. Say which one is wired; until then the first is worked with."
        yield (first,), PRACTICE, HEED
        return
    amps: Phrase = (
        (", full-load ", figure("rated_current", facts.rated_current_a, "plate")) if facts.rated_current_a else ()
    )
    volts = figure("rated_voltage", facts.rated_voltage_v or 0.0, "plate")
    yield (
        (
            "Wired for ",
            volts,
            *amps,
            ". The power is the same on either connection, so half the volts take twice the amps.",
        ),
        "Definition of power.",
    )


def _input(plate: Plate, facts: PlateFacts) -> Told:
    """Input and power factor at full load, where efficiency or power factor is printed."""
    power = facts.rated_power_w
    efficiency = facts.printed_efficiency or 0.0
    factor = plate.power_factor.si if plate.power_factor else None
    volt_amperes = (facts.rated_voltage_v or 0.0) * (facts.rated_current_a or 0.0)
    if facts.kind is MotorKind.THREE_PHASE:
        volt_amperes *= motors.PHASES[3]
    watts = power / efficiency if power and efficiency else factor * volt_amperes if factor else None
    if not watts:
        return
    said: list[str | Figure] = ["About ", figure("input_power", watts, "plate"), " from the line at full load"]
    if volt_amperes and not factor and watts <= volt_amperes:
        said += [", so a power factor of ", figure("power_factor", watts / volt_amperes)]
    yield (*said, "."), "Definitions of efficiency and power factor."


def _service_factor(plate: Plate, facts: PlateFacts) -> Told:
    if plate.service_factor is None:
        return
    factor, power = plate.service_factor.si, facts.rated_power_w
    if factor <= SLIGHT_FACTOR:
        yield ("1.0: nothing beyond rated power, not even for a while.",), STANDARD_FACTOR
        return
    most: Phrase = (" (", figure("rated_power", factor * power), ")") if power else ()
    yield (
        (
            "It may give ",
            f"{factor:g} times rated power",
            *most,
            " continuously, but only at plate volts, hertz, ambient and altitude, at a lower efficiency, with a hotter winding and a"
            " shorter life. It is no allowance to size by.",
        ),
        STANDARD_FACTOR,
        HEED,
    )
    if plate.service_factor_current is None and facts.rated_current_a:
        yield (
            (
                "Service-factor amps are not printed; in proportion they would be about ",
                figure("rated_current", factor * facts.rated_current_a, "estimated"),
                ".",
            ),
            PRACTICE,
        )


def _overload(plate: Plate, facts: PlateFacts) -> Told:
    if facts.rated_current_a is None or facts.is_electronic:
        return
    factor = plate.service_factor.si if plate.service_factor else SLIGHT_FACTOR
    highest, further = overload_setting_a(facts.rated_current_a, factor)
    yield (
        (
            "A separate overload is set at ",
            figure("rated_current", highest),
            " at most, ",
            figure("rated_current", further),
            " where the first would not let it start; by those licensed to.",
        ),
        "NFPA 70 (NEC), 430.32(A)(1) and (C) (from memory).",
    )


def _code(plate: Plate, facts: PlateFacts) -> Told:
    if not plate.code_letter:
        return
    letter = motors.code_letter(plate.code_letter)
    source = "NEMA MG 1, 10.37.2."
    span = _span(letter.low / (1000 / motors.W_PER_HP), letter.high and letter.high / (1000 / motors.W_PER_HP))
    if not (facts.rated_power_w and facts.rated_voltage_v and facts.kind):
        yield (f"{span} kVA per horsepower with the rotor held.",), source
        return
    phases = 3 if facts.kind is MotorKind.THREE_PHASE else 1
    low, high = motors.locked_rotor_current_a(letter.letter, facts.rated_power_w, facts.rated_voltage_v, phases)
    upper: Phrase = (" to ", figure("rated_current", high)) if high else (" and more",)
    yield (
        (
            f"{span} kVA per horsepower with the rotor held: ",
            figure("rated_current", low),
            *upper,
            " at rated volts.",
        ),
        source,
    )


def _span(low: float, high: float | None) -> str:
    return f"{low:.2f} to {high:.2f}" if high else f"{low:.2f} and more"


def _efficiency(plate: Plate, facts: PlateFacts) -> Told:
    if plate.nominal_efficiency is None:
        return
    if facts.kind is not MotorKind.THREE_PHASE:
        said: Phrase = ("The table of nominal and minimum efficiencies is for polyphase motors only.",)
        yield said, "NEMA MG 1, Table 12-10."
        return
    least = motors.minimum_efficiency(plate.nominal_efficiency.si)
    yield (
        (
            "Nominal is the average of many motors; this one is guaranteed ",
            figure("efficiency", least),
            " and no more. Promises are made with that.",
        ),
        "NEMA MG 1, Table 12-10 (from memory).",
    )


def _efficiency_class(plate: Plate, facts: PlateFacts) -> Told:
    if plate.efficiency_class is None:
        return
    source = "IEC 60034-30-1:2014, at 50 Hz (from memory)."
    if facts.poles is None or facts.rated_power_w is None or facts.frequency_hz != IEC_HERTZ:
        yield (f"{plate.efficiency_class}: its least nominal efficiency waits for power, speed and 50 Hz.",), source
        return
    least = motors.iec_class_efficiency(plate.efficiency_class, facts.poles, facts.rated_power_w)
    yield (
        f"{plate.efficiency_class} of this size means at least ", figure("efficiency", least),
        " at rated load, by the standard. Type what is printed; where nothing is, this is the nominal value.",
    ), source  # fmt: skip


def _frame(plate: Plate, facts: PlateFacts) -> Told:
    if not plate.frame:
        return
    source = "NEMA MG 1, 4.2.2 and 4.4.1 (from memory)."
    match = re.fullmatch(r"(\d{2,3})([A-Z]*)", plate.frame.strip().upper())
    if match is None:
        yield ("Not a frame number of the table: measure shaft height, feet and shaft.",), source, HEED
        return
    number, suffix = match.groups()
    try:
        yield _dimensions(motors.nema_frame(plate.frame)), source
    except OutsideValidity:
        yield (f"Frame {number} is not in the table here: measure shaft height, feet and shaft.",), source, HEED
    letters = [row for row in read_table("frame_suffixes") if row["suffix"] == suffix]
    for row in letters or [row for letter in suffix for row in read_table("frame_suffixes") if row["suffix"] == letter]:
        yield (f"{row['suffix']}: {row['means']}.",), source


def _dimensions(frame: motors.Frame) -> Phrase:
    """What is standard of a frame; what its suffix makes special is to be measured."""
    said: list[str | Figure] = ["Shaft ", figure("dimension", frame.shaft_height_m), " above the feet"]
    if frame.shaft_m is None:
        said.append(", of a length and thickness that are not the standard's: measure it")
    else:
        said += [", ", figure("dimension", frame.shaft_m), " thick, ", *_keyway(frame.shaft_m)]
    if frame.across_m is None or frame.along_m is None:
        said.append("; feet of their own: measure them")
    else:
        said += [
            "; feet ",
            figure("dimension", frame.across_m),
            " by ",
            figure("dimension", frame.along_m),
            " between holes",
        ]
    if frame.shoulder_m is not None:
        said += ["; shoulder to near hole ", figure("dimension", frame.shoulder_m)]
    return (*said, ".")


def _keyway(shaft_m: float) -> Phrase:
    """The keyway of a shaft, or the flat of a thin one."""
    inches = shaft_m / motors.M_PER_INCH
    row = next((row for row in read_table("keyways") if abs(float(row["shaft"]) / inches - 1) < SAME_SHAFT), None)
    if row is None:
        return ("a flat in place of a key",)
    return ("keyway ", figure("dimension", float(row["width"]) * motors.M_PER_INCH), " wide")


def _enclosure(plate: Plate, facts: PlateFacts) -> Told:
    if not plate.enclosure:
        return
    code = plate.enclosure.strip().upper()
    words = [row for row in read_table("enclosure_words") if row["word"] == code]
    if words:
        yield (words[0]["means"][0].upper() + words[0]["means"][1:] + ".",), "NEMA MG 1, 1.25 to 1.27 (from memory)."
        return
    solids, water = motors.enclosure(code)
    yield (f"Keeps out {solids}; withstands {water}.",), "IEC 60529."


def _insulation(plate: Plate, facts: PlateFacts) -> Told:
    if plate.insulation is None:
        return
    allowed = motors.insulation_class(plate.insulation)
    yield (
        (
            "Insulation good to ",
            figure("shell_temperature", allowed.highest_c),
            " at its hottest. Every 10 K more halves its life, as a rule.",
        ),
        "IEC 60085; the halving is common practice.",
    )
    if plate.ambient and plate.ambient.si > 40:
        yield ("Rated for more than the usual 40 °C around it.",), "NEMA MG 1, 12.43."


def _duty(plate: Plate, facts: PlateFacts) -> Told:
    words = (plate.duty or "").lower()
    if "air" in words or words == "ao":
        yield (
            ("Air over: it lives on the machine's air stream. Blocked or slowed air cooks it, though it draws less.",),
            PRACTICE,
            HEED,
        )
    elif words.startswith(("cont", "s1")):
        yield ("It may run at rated power without end.",), "IEC 60034-1, S1."


def _turned_over(plate: Plate, facts: PlateFacts) -> Told:
    if plate.kind is None or plate.rotation is None:
        return
    row = find_row("reversing", kind=str(plate.kind))
    yield (f"{row['caution']} {row['how']}",), PRACTICE, HEED


def _rotation(plate: Plate, facts: PlateFacts) -> Told:
    if plate.rotation is None:
        return
    if plate.rotation_seen_from is None and plate.rotation != "reversible":
        yield (f"“{plate.rotation}” means nothing until it is said from which end: shaft or leads.",), PRACTICE, HEED
    elif plate.rotation == "reversible":
        yield (
            ("Its leads decide the turn. Prove it with a short touch of power before the wheel is closed in.",),
            PRACTICE,
            HEED,
        )
    else:
        seen = f"{plate.rotation[0].upper()}{plate.rotation[1:]}, looking at the {plate.rotation_seen_from}."
        yield (seen,), PRACTICE


def _protection(plate: Plate, facts: PlateFacts) -> Told:
    words = {
        Protection.AUTOMATIC: "It opens when hot and closes by itself: the motor restarts without warning. Isolate before touching.",
        Protection.THERMAL: "It opens when hot; whether it closes by itself is not printed. Take it that the motor restarts without warning: isolate before touching.",
        Protection.MANUAL: "It stays open until it is pressed; find out why it opened first.",
        Protection.IMPEDANCE: "Its windings stand a held rotor without burning; nothing opens.",
        Protection.NONE: "Nothing inside opens: a separate overload must be there.",
    }
    if plate.protection:
        yield (words[plate.protection],), "NEMA MG 1, 12.53 and 12.57 (from memory).", HEED


def _capacitor(plate: Plate, facts: PlateFacts) -> Told:
    run, power = facts.run_capacitance_f, facts.rated_power_w
    if run is None and power and facts.kind is MotorKind.SPLIT_CAPACITOR:
        low, high = RULE_LOW_F_PER_W * power, RULE_HIGH_F_PER_W * power
        yield (
            "Its µF cannot be read: roughly ", figure("capacitance", low), " to ", figure("capacitance", high),
            ", which 30 to 50 µF per kilowatt gives for 230 V at 50 Hz; others lie beside it. Rough: nothing is bought by it. Read the"
            " capacitor itself out of circuit, or its maker's list.",
        ), PRACTICE, HEED  # fmt: skip
    if run and power:
        low, high = RULE_LOW_F_PER_W * power, RULE_HIGH_F_PER_W * power
        where = "inside" if low <= run <= high else "outside"
        fits = bool(facts.rated_voltage_v and RULE_VOLTS[0] <= facts.rated_voltage_v <= RULE_VOLTS[1] and facts.frequency_hz == RULE_HERTZ)  # fmt: skip
        why = "" if fits else " The rule is for 230 V motors at 50 Hz, which this is not, so it says little."
        yield (
            f"It lies {where} ", figure("capacitance", low), " to ", figure("capacitance", high),
            f", which 30 to 50 µF per kilowatt gives.{why} The label wins.",
        ), PRACTICE  # fmt: skip
    if plate.capacitor_voltage and facts.rated_voltage_v and plate.capacitor_voltage.si < facts.rated_voltage_v:
        yield (
            ("Its volts are below the motor's own: a run capacitor stands above line volts. Look again.",),
            PRACTICE,
            HEED,
        )
    if plate.shared_capacitor == "yes":
        yield ("The other section is the compressor's: it must stay connected or be replaced as well.",), PRACTICE, HEED


def _start_capacitor(plate: Plate, facts: PlateFacts) -> Told:
    if plate.start_capacitance is None:
        return
    said: list[str | Figure] = ["In parallel to the run capacitor while starting, then switched out."]
    if facts.run_capacitance_f:
        said += [" Commonly about ", figure("capacitance", START_OVER_RUN * facts.run_capacitance_f),
                 ", three times the run capacitor, with wide scatter: published motors reach twelve times."]  # fmt: skip
    yield (*said,), PRACTICE


TELLERS: tuple[tuple[str, Callable[[Plate, PlateFacts], Told]], ...] = (
    ("Slip", _slip),
    ("Poles", _poles),
    ("Connection", _connections),
    ("Input at full load", _input),
    ("Service factor", _service_factor),
    ("Overload", _overload),
    ("Code letter", _code),
    ("Nominal efficiency", _efficiency),
    ("Efficiency class", _efficiency_class),
    ("Frame", _frame),
    ("Enclosure", _enclosure),
    ("Insulation", _insulation),
    ("Duty", _duty),
    ("Rotation", _rotation),
    ("The other way round", _turned_over),
    ("Thermal protection", _protection),
    ("Run capacitor", _capacitor),
    ("Start capacitor", _start_capacitor),
)
