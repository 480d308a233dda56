"""What each entry of a plate stands for, worked out and explained beside it."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from typing import Any

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.phrase import Frozen, Phrase, figure
from modest_rotor.core.say import Number, capital, joined, run_on, say, tell
from modest_rotor.core.standards import motors
from modest_rotor.core.standards.wiring import overload_setting_a
from modest_rotor.core.stations.nameplate import Nameplate, Protection
from modest_rotor.core.tables import find_row, read_table

PER_CENT = 100.0
RULE_LOW_F_PER_W, RULE_HIGH_F_PER_W = 30e-9, 50e-9
"""Run capacitance over rated power, 30 to 50 µF/kW: a rule of thumb for 230 V motors at 50 Hz. Common practice, no source."""
RULE_VOLTS, RULE_HERTZ = (220.0, 240.0), 50.0
START_OVER_RUN = 3.0
SLIGHT_FACTOR = 1.0
SAME_SHAFT = 0.01
IEC_HERTZ = 50.0
PRACTICE = say("label-common-practice-no-source")
STANDARD_FACTOR = say("plate-meaning-standard-factor")


class Meaning(Frozen):
    """One entry of the plate, in words and figures, with the source of the rule."""

    label: str
    said: Phrase
    source: str
    heed: bool = False
    """Whether something is to be done or watched; the others only explain."""


def meanings(plate: Nameplate, facts: PlateFacts) -> tuple[Meaning, ...]:
    """Everything that the plate's further entries stand for, in the plate's order; what a table does not hold is told."""
    found: list[Meaning] = []
    for label, teller in TELLERS:
        try:
            found.extend(
                Meaning(label=label, said=said, source=source, heed=HEED in heed)
                for said, source, *heed in teller(plate, facts)
            )
        except OutsideValidity as refusal:
            found.append(
                Meaning(label=label, said=(refusal.sentence,), source=say("plate-meaning-meanings"), heed=True)
            )
    return tuple(found)


HEED = "heed"
Told = Iterator[tuple[Phrase, str] | tuple[Phrase, str, str]]
"""What is said and its source; with ``HEED``, where something is to be done or watched."""


def _slip(plate: Nameplate, facts: PlateFacts) -> Told:
    if facts.rated_slip is None or facts.kind is None:
        return
    row = find_row("ordinary_slip", motor=str(facts.kind))
    share = PER_CENT * facts.rated_slip
    ordinary = float(row["low"]) <= share <= float(row["high"])
    verdict = say("plate-meaning-slip-ordinary") if ordinary else say("plate-meaning-slip-ordinary-look")
    said: Phrase = tell("plate-meaning-slip-x", slip=figure("slip", facts.rated_slip), verdict=verdict, row=row["said"])
    yield (said, PRACTICE) if ordinary else (said, PRACTICE, HEED)


def _poles(plate: Nameplate, facts: PlateFacts) -> Told:
    if facts.poles in (6, 8) and facts.kind is MotorKind.SPLIT_CAPACITOR:
        yield (say("plate-meaning-poles", poles=facts.poles),), PRACTICE


def _connections(plate: Nameplate, facts: PlateFacts) -> Told:
    if plate.second_voltage is None:
        return
    if plate.wired_for is None:
        first = say("plate-meaning-connections-two-connections")
        yield (first,), PRACTICE, HEED
        return
    amps: Phrase = (
        tell(
            "plate-meaning-connections-full-load", rated_current=figure("rated_current", facts.rated_current_a, "plate")
        )
        if facts.rated_current_a
        else ()
    )
    volts = figure("rated_voltage", facts.rated_voltage_v or 0.0, "plate")
    yield (
        tell("plate-meaning-connections-wired-power", volts=volts, amps=amps),
        say("plate-meaning-connections-definition-power"),
    )


def _input(plate: Nameplate, facts: PlateFacts) -> Told:
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
    said: list[Any] = [
        say("plate-meaning-input-about"),
        figure("input_power", watts, "plate"),
        say("plate-meaning-input-line-full"),
    ]
    if volt_amperes and not factor and watts <= volt_amperes:
        said += [say("plate-meaning-input-so-power"), figure("power_factor", watts / volt_amperes)]
    yield tell("plate-meaning-input-x", said=said), say("plate-meaning-input-definitions-efficiency")


def _service_factor(plate: Nameplate, facts: PlateFacts) -> Told:
    if plate.service_factor is None:
        return
    factor, power = plate.service_factor.si, facts.rated_power_w
    if factor <= SLIGHT_FACTOR:
        yield (say("plate-meaning-service-factor-nothing-beyond"),), STANDARD_FACTOR
        return
    most: Phrase = (
        tell("plate-meaning-service-factor", rated_power=figure("rated_power", factor * power)) if power else ()
    )
    yield (tell("plate-meaning-service-factor-may-give", factor=Number(factor, "g"), most=most), STANDARD_FACTOR, HEED)
    if plate.service_factor_current is None and facts.rated_current_a:
        yield (
            tell(
                "plate-meaning-service-factor-service-factor",
                rated_current=figure("rated_current", factor * facts.rated_current_a, "estimated"),
            ),
            PRACTICE,
        )


def _overload(plate: Nameplate, facts: PlateFacts) -> Told:
    if facts.rated_current_a is None or facts.is_electronic:
        return
    factor = plate.service_factor.si if plate.service_factor else SLIGHT_FACTOR
    highest, further = overload_setting_a(facts.rated_current_a, factor)
    yield (
        tell(
            "plate-meaning-overload-separate-overload",
            rated_current=figure("rated_current", highest),
            rated_current_2=figure("rated_current", further),
        ),
        say("plate-meaning-overload-nfpa-nec"),
    )


def _code(plate: Nameplate, facts: PlateFacts) -> Told:
    if not plate.code_letter:
        return
    letter = motors.code_letter(plate.code_letter)
    source = "NEMA MG 1, 10.37.2."
    span = _span(letter.low / (1000 / motors.W_PER_HP), letter.high and letter.high / (1000 / motors.W_PER_HP))
    if not (facts.rated_power_w and facts.rated_voltage_v and facts.kind):
        yield (say("plate-meaning-code-kva-per", span=span),), source
        return
    phases = 3 if facts.kind is MotorKind.THREE_PHASE else 1
    low, high = motors.locked_rotor_current_a(letter.letter, facts.rated_power_w, facts.rated_voltage_v, phases)
    upper: Phrase = (
        tell("plate-meaning-code-to", rated_current=figure("rated_current", high))
        if high
        else (say("plate-meaning-code-more"),)
    )
    yield (
        tell(
            "plate-meaning-code-kva-per-horsepower", span=span, rated_current=figure("rated_current", low), upper=upper
        ),
        source,
    )


def _span(low: float, high: float | None) -> str:
    return (
        say("plate-meaning-span-to", low=Number(low, ".2f"), high=Number(high, ".2f"))
        if high
        else say("plate-meaning-span-more", low=Number(low, ".2f"))
    )


def _efficiency(plate: Nameplate, facts: PlateFacts) -> Told:
    if plate.nominal_efficiency is None:
        return
    if facts.kind is not MotorKind.THREE_PHASE:
        said: Phrase = (say("plate-meaning-efficiency"),)
        yield said, say("note-nema-mg-table")
        return
    least = motors.minimum_efficiency(plate.nominal_efficiency.si)
    yield (
        tell("plate-meaning-efficiency-nominal-average", efficiency=figure("efficiency", least)),
        say("plate-meaning-efficiency-nema-mg-table"),
    )


def _efficiency_class(plate: Nameplate, facts: PlateFacts) -> Told:
    if plate.efficiency_class is None:
        return
    source = say("plate-meaning-efficiency-class")
    if facts.poles is None or facts.rated_power_w is None or facts.frequency_hz != IEC_HERTZ:
        yield (say("plate-meaning-efficiency-class-least-nominal", efficiency_class=plate.efficiency_class),), source
        return
    least = motors.iec_class_efficiency(plate.efficiency_class, facts.poles, facts.rated_power_w)
    yield tell("plate-meaning-efficiency-class-size-means", efficiency_class=plate.efficiency_class, efficiency=figure("efficiency", least)), source  # fmt: skip


def _frame(plate: Nameplate, facts: PlateFacts) -> Told:
    if not plate.frame:
        return
    source = say("plate-meaning-frame")
    match = re.fullmatch(r"(\d{2,3})([A-Z]*)", plate.frame.strip().upper())
    if match is None:
        yield (say("plate-meaning-frame-frame-number"),), source, HEED
        return
    number, suffix = match.groups()
    try:
        yield _dimensions(motors.nema_frame(plate.frame)), source
    except OutsideValidity:
        yield (say("plate-meaning-frame-frame-table", number=number),), source, HEED
    letters = [row for row in read_table("frame_suffixes") if row["suffix"] == suffix]
    for row in letters or [row for letter in suffix for row in read_table("frame_suffixes") if row["suffix"] == letter]:
        yield (say("plate-meaning-suffix", suffix=row["suffix"], means=row["means"]),), source


def _dimensions(frame: motors.Frame) -> Phrase:
    """What is standard of a frame; what its suffix makes special is to be measured."""
    said: list[Any] = [
        say("plate-meaning-dimensions-shaft"),
        figure("dimension", frame.shaft_height_m),
        say("plate-meaning-dimensions-above-feet"),
    ]
    if frame.shaft_m is None:
        said.append(say("plate-meaning-dimensions-length-thickness"))
    else:
        said += [
            ", ",
            figure("dimension", frame.shaft_m),
            say("plate-meaning-dimensions-thick"),
            _keyway(frame.shaft_m),
        ]
    if frame.across_m is None or frame.along_m is None:
        said.append(say("plate-meaning-dimensions-feet-their"))
    else:
        said += [
            say("plate-meaning-dimensions-feet"),
            figure("dimension", frame.across_m),
            say("plate-meaning-dimensions-by"),
            figure("dimension", frame.along_m),
            say("plate-meaning-dimensions-between-holes"),
        ]
    if frame.shoulder_m is not None:
        said += [say("plate-meaning-dimensions-shoulder-near"), figure("dimension", frame.shoulder_m)]
    return tell("plate-meaning-dimensions-x", said=said)


def _keyway(shaft_m: float) -> Phrase:
    """The keyway of a shaft, or the flat of a thin one."""
    inches = shaft_m / motors.M_PER_INCH
    row = next((row for row in read_table("keyways") if abs(float(row["shaft"]) / inches - 1) < SAME_SHAFT), None)
    if row is None:
        return (say("plate-meaning-keyway-flat-place"),)
    return tell(
        "plate-meaning-keyway-keyway-wide", dimension=figure("dimension", float(row["width"]) * motors.M_PER_INCH)
    )


def _enclosure(plate: Nameplate, facts: PlateFacts) -> Told:
    if not plate.enclosure:
        return
    code = plate.enclosure.strip().upper()
    words = [row for row in read_table("enclosure_words") if row["word"] == code]
    if words:
        yield (
            (say("plate-meaning-enclosure-word", means=capital(words[0]["means"])),),
            say("plate-meaning-enclosure-nema-mg"),
        )
        return
    solids, water = motors.enclosure(code)
    yield (say("plate-meaning-enclosure-keeps-out", solids=solids, water=water),), "IEC 60529."


def _insulation(plate: Nameplate, facts: PlateFacts) -> Told:
    if plate.insulation is None:
        return
    allowed = motors.insulation_class(plate.insulation)
    yield (
        tell(
            "plate-meaning-insulation-insulation-good", shell_temperature=figure("shell_temperature", allowed.highest_c)
        ),
        say("plate-meaning-insulation-iec-halving"),
    )
    if plate.ambient and plate.ambient.si > 40:
        yield (say("plate-meaning-insulation-rated-more"),), "NEMA MG 1, 12.43."


def _duty(plate: Nameplate, facts: PlateFacts) -> Told:
    words = (plate.duty or "").lower()
    if "air" in words or words == "ao":
        yield ((say("plate-meaning-duty-air-over"),), PRACTICE, HEED)
    elif words.startswith(("cont", "s1")):
        yield (say("plate-meaning-duty-may-run"),), "IEC 60034-1, S1."


def _turned_over(plate: Nameplate, facts: PlateFacts) -> Told:
    if plate.kind is None or plate.rotation is None:
        return
    row = find_row("reversing", kind=str(plate.kind))
    yield (joined(" ", (row["caution"], row["how"])),), PRACTICE, HEED


def _rotation(plate: Nameplate, facts: PlateFacts) -> Told:
    if plate.rotation is None:
        return
    if plate.rotation_seen_from is None and plate.rotation != "reversible":
        yield (say("plate-meaning-rotation-means-nothing", rotation=plate.rotation),), PRACTICE, HEED
    elif plate.rotation == "reversible":
        yield ((say("plate-meaning-rotation-leads-decide"),), PRACTICE, HEED)
    else:
        seen = say(
            "plate-meaning-rotation", rotation=capital(plate.rotation), rotation_seen_from=plate.rotation_seen_from
        )
        yield (seen,), PRACTICE


def _protection(plate: Nameplate, facts: PlateFacts) -> Told:
    words = {
        Protection.AUTOMATIC: say("plate-meaning-protection-opens-when"),
        Protection.THERMAL: say("plate-meaning-protection-opens-when-hot"),
        Protection.MANUAL: say("plate-meaning-protection-stays-open"),
        Protection.IMPEDANCE: say("plate-meaning-protection-windings-stand"),
        Protection.NONE: say("plate-meaning-protection-nothing-inside"),
    }
    if plate.protection:
        yield (words[plate.protection],), say("plate-meaning-protection"), HEED


def _capacitor(plate: Nameplate, facts: PlateFacts) -> Told:
    run, power = facts.run_capacitance_f, facts.rated_power_w
    if run is None and power and facts.kind is MotorKind.SPLIT_CAPACITOR:
        low, high = RULE_LOW_F_PER_W * power, RULE_HIGH_F_PER_W * power
        yield tell("plate-meaning-capacitor-f-cannot", capacitance=figure("capacitance", low), capacitance_2=figure("capacitance", high)), PRACTICE, HEED  # fmt: skip
    if run and power:
        low, high = RULE_LOW_F_PER_W * power, RULE_HIGH_F_PER_W * power
        where = say("plate-meaning-capacitor-inside") if low <= run <= high else say("plate-meaning-capacitor-outside")
        fits = bool(facts.rated_voltage_v and RULE_VOLTS[0] <= facts.rated_voltage_v <= RULE_VOLTS[1] and facts.frequency_hz == RULE_HERTZ)  # fmt: skip
        why = "" if fits else say("plate-meaning-capacitor")
        yield tell("plate-meaning-capacitor-lies-f", where=where, capacitance=figure("capacitance", low), capacitance_2=figure("capacitance", high), why=why), PRACTICE  # fmt: skip
    if plate.capacitor_voltage and facts.rated_voltage_v and plate.capacitor_voltage.si < facts.rated_voltage_v:
        yield ((say("plate-meaning-capacitor-volts-below"),), PRACTICE, HEED)
    if plate.shared_capacitor == "yes":
        yield (say("plate-meaning-capacitor-other-section"),), PRACTICE, HEED


def _start_capacitor(plate: Nameplate, facts: PlateFacts) -> Told:
    if plate.start_capacitance is None:
        return
    said: list[Any] = [say("plate-meaning-start-capacitor-parallel-run")]
    if facts.run_capacitance_f:
        said += [say("plate-meaning-start-capacitor-commonly-about"), figure("capacitance", START_OVER_RUN * facts.run_capacitance_f),
                 say("plate-meaning-start-capacitor-three-times")]  # fmt: skip
    yield run_on(*said), PRACTICE


TELLERS: tuple[tuple[str, Callable[[Nameplate, PlateFacts], Told]], ...] = (
    (say("word-slip"), _slip),
    (say("word-poles"), _poles),
    (say("word-connection"), _connections),
    (say("plate-meaning-tellers-input-full"), _input),
    (say("plate-meaning-tellers-service-factor"), _service_factor),
    (say("word-overload"), _overload),
    (say("plate-meaning-tellers-code-letter"), _code),
    (say("label-nominal-efficiency"), _efficiency),
    (say("plate-meaning-tellers-efficiency-class"), _efficiency_class),
    (say("plate-meaning-tellers-frame"), _frame),
    (say("plate-meaning-tellers-enclosure"), _enclosure),
    (say("plate-meaning-tellers-insulation"), _insulation),
    (say("plate-meaning-tellers-duty"), _duty),
    (say("plate-meaning-tellers-rotation"), _rotation),
    (say("plate-meaning-tellers-other-way"), _turned_over),
    (say("plate-meaning-tellers-thermal-protection"), _protection),
    (say("label-run-capacitor"), _capacitor),
    (say("plate-meaning-tellers-start-capacitor"), _start_capacitor),
)
