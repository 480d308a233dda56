"""How hard the motor works, and whether its protection fits: amps, load, starts, overload, heat."""

from __future__ import annotations

from collections.abc import Iterator

from modest_rotor.core.assessment import Finding
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.phrase import as_typed, figure
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.standards.motors import insulation_class
from modest_rotor.core.standards.wiring import overload_setting_a
from modest_rotor.core.stations.plate import Plate
from modest_rotor.core.stations.readings import DuctState, SpeedTap
from modest_rotor.core.stations.set_facts import SetFacts

FAR_UNDER = 0.40
MOST_STARTS = 20.0
SHELL_TO_HOT_SPOT_K = 30.0
"""How much hotter the hottest turn is than the shell, at the most. Common practice, no source."""
TURNED_DOWN = 0.70
AIR_OVER = ("air over", "ao")
LITTLE_AIR = 0.60


def service_factor_amps(plate: Plate) -> float | None:
    """Amps that the plate's service factor allows in the connection in use: as printed, else in proportion; nothing without one.

    :returns: A. Source: NEMA MG 1, 12.51 (from memory); in proportion, common practice.
    """
    if plate.service_factor_current:
        return plate.service_factor_current.si
    if plate.wired_current and plate.service_factor and plate.service_factor.si > 1:
        return plate.wired_current.si * plate.service_factor.si
    return None


def amps_over_service_factor(case: Case) -> tuple[Finding, ...]:
    """Line amps over what even the service factor allows."""
    most = service_factor_amps(case.job.document.plate_as_fed)
    if most is None:
        return ()
    return tuple(
        found(
            "amps_over_service_factor",
            (
                f"In {facts.title} the amps, ", figure("current", facts.running.current, "measured"),
                ", are over service-factor amps, ", figure("rated_current", most, "plate"), ".",
            ),
            "Stop it: no plate allows this. Find the reason before it runs again.",
            about=facts,
        )
        for facts in case.sets
        if facts.on_full_tap and facts.running.current and facts.running.current.value - facts.running.current.band > most
    )  # fmt: skip


def far_under_load(case: Case) -> tuple[Finding, ...]:
    """A motor much larger than what it turns."""
    rated = case.plate.rated_power_w
    if not rated:
        return ()
    return tuple(
        found(
            "far_under_load",
            (f"In {facts.title} the motor gives only ", figure("load", facts.shaft_power * (1 / rated)), " of its rated power."),
            "Look at its hardest hour before a smaller one is thought of; under 40 % efficiency and power factor fall.",
            about=facts,
        )
        for facts in case.sets
        if facts.on_full_tap
        and facts.shaft_power
        and facts.reading.duct in (None, DuctState.AS_FOUND)
        and facts.shaft_power.value + facts.shaft_power.band < FAR_UNDER * rated
    )  # fmt: skip


def starts_too_often(case: Case) -> tuple[Finding, ...]:
    """A motor with a start switch that is started many times an hour."""
    starts = case.job.document.target.starts
    if starts is None or case.plate.kind is not MotorKind.SINGLE_PHASE or starts.si <= MOST_STARTS:
        return ()
    sentence = (as_typed("starts_per_hour", starts, "measured"), " starts an hour on a motor with a start switch: switch and start capacitor wear with each.")  # fmt: skip
    return (
        found(
            "starts_too_often",
            sentence,
            "Widen the control's differential or add a delay; else fit a kind without a switch.",
        ),
    )


def regulator_turned_down(case: Case) -> tuple[Finding, ...]:
    """A capacitor motor slowed far by a regulator."""
    synchronous = case.plate.synchronous_speed_rpm
    if case.plate.kind not in (MotorKind.SPLIT_CAPACITOR, MotorKind.SHADED_POLE) or not synchronous:
        return ()
    return tuple(
        found(
            "regulator_turned_down",
            (
                f"In {facts.title} a regulator holds the motor at ", figure("slip", 1 - facts.running.speed.value / synchronous),
                " slip. It cannot turn more than ", figure("efficiency", facts.running.speed.value / synchronous),
                " of what crosses its air gap into work; the rest heats its rotor.",
            ),
            "Beyond about 30 % below synchronous it runs hot, lives shorter and may not hold its speed. A motor made to be slowed pays here.",
            about=facts,
        )
        for facts in case.sets
        if facts.reading.tap is SpeedTap.REGULATED
        and facts.running.speed
        and 0 < facts.running.speed.value < TURNED_DOWN * synchronous
    )  # fmt: skip


def overload_does_not_fit(case: Case) -> tuple[Finding, ...]:
    """An overload set where it does not protect this plate, or trips it needlessly."""
    plate = case.job.document.plate
    setting, rated = plate.overload_setting, plate.wired_current
    if setting is None or rated is None:
        return ()
    factor = plate.service_factor.si if plate.service_factor else 1.0
    highest, _ = overload_setting_a(rated.si, factor)
    if rated.si <= setting.si <= highest * (1 + 1e-9):
        return ()
    high = setting.si > highest
    sentence = (
        "The overload is set at ", as_typed("rated_current", setting, "measured"),
        ", above the " if high else ", below the plate's ",
        figure("rated_current", highest if high else rated.si, "plate"),
        " that this plate allows: it would not save the motor." if high else ": it trips a sound motor at full load.",
    )  # fmt: skip
    return (
        found(
            "overload_does_not_fit",
            sentence,
            "Have it set by those licensed to; amps of a wiring table are not the plate's.",
        ),
    )


def shell_too_hot(case: Case) -> tuple[Finding, ...]:
    """A shell so hot that the winding inside must be near its class."""
    letter = case.job.document.plate.insulation
    if letter is None:
        return ()
    highest = insulation_class(letter).highest_c
    return tuple(
        found(
            "shell_too_hot",
            (
                f"In {facts.title} the shell is at ", as_typed("shell_temperature", shell, "measured"),
                "; the winding inside is hotter by up to 30 K, and its class ends at ", figure("shell_temperature", highest), ".",
            ),
            "Look for shut-off air, low or unbalanced volts, bearings; every 10 K too much halves its life.",
            about=facts,
        )
        for facts in case.sets
        if (shell := facts.reading.shell) and shell.si > highest - SHELL_TO_HOT_SPOT_K
    )  # fmt: skip


def blocked_air_cooks(case: Case) -> tuple[Finding, ...]:
    """A motor that its machine's own air cools, with that air shut off: it draws less and still burns."""
    if case.wheel is None or case.wheel is Wheel.PUMP:
        return ()
    return tuple(finding for facts in case.sets for finding in _starved(case, facts))


def _starved(case: Case, facts: SetFacts) -> Iterator[Finding]:
    plate = case.job.document.plate
    words = f"{plate.duty or ''} {plate.enclosure or ''}".lower()
    air_over = any(word in words for word in AIR_OVER) or "teao" in words or "opao" in words
    wanted = case.wanted.figure
    little = bool(wanted and facts.flow and facts.flow.value + facts.flow.band < LITTLE_AIR * wanted.value)
    if facts.reading.duct is not DuctState.BLOCKED and not (little and air_over):
        return
    amps, rated = facts.running.current, case.plate.rated_current_a
    less = bool(amps and rated and amps.value < rated)
    sure = "is cooled by" if air_over else "may be cooled by"
    yield found(
        "blocked_air_cooks",
        (
            f"In {facts.title} the air is shut off, and this motor {sure} the machine's own air.",
            " It draws less than its plate and still overheats." if less else "",
        ),
        "Low amps are no comfort here: do not leave it running so. Open the air, then read the shell.",
        about=facts,
    )
