"""How hard the motor works, and whether its protection fits: amps, load, starts, overload, heat."""

from __future__ import annotations

from collections.abc import Iterator

from modest_rotor.core.assessment import Finding
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.phrase import as_typed, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.say import say, tell
from modest_rotor.core.standards.motors import insulation_class
from modest_rotor.core.standards.wiring import overload_setting_a
from modest_rotor.core.stations.nameplate import Nameplate
from modest_rotor.core.stations.readings import DuctState, SpeedTap
from modest_rotor.core.stations.set_facts import SetFacts

FAR_UNDER = 0.40
MOST_STARTS = 20.0
SHELL_TO_HOT_SPOT_K = 30.0
"""How much hotter the hottest turn is than the shell, at the most. Common practice, no source."""
TURNED_DOWN = 0.70
AIR_OVER = (say("term-air-over"), "ao")
LITTLE_AIR = 0.60


def service_factor_amps(plate: Nameplate) -> float | None:
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
    most = service_factor_amps(case.job.document.nameplate_as_fed)
    if most is None:
        return ()
    return tuple(
        found(
            "amps_over_service_factor",
            tell("rules-load-amps-over-service-factor-amps-over", set=facts.title, current=figure("current", facts.running.current, "measured"), rated_current=figure("rated_current", most, "plate")),
            say("rules-load-amps-over-service-factor-stop-plate"),
            about=facts,
        )
        for facts in case.sets
        if facts.on_full_tap and facts.running.current and facts.running.current.value - facts.running.current.uncertainty > most
    )  # fmt: skip


def far_under_load(case: Case) -> tuple[Finding, ...]:
    """A motor much larger than what it turns."""
    rated = case.plate.rated_power_w
    if not rated:
        return ()
    return tuple(
        found(
            "far_under_load",
            tell("rules-load-far-under-load-motor-gives", set=facts.title, load=figure("load", facts.shaft_power * (1 / rated))),
            say("rules-load-far-under-load-look-hardest"),
            about=facts,
        )
        for facts in case.sets
        if facts.on_full_tap
        and facts.shaft_power
        and facts.reading.duct in (None, DuctState.AS_FOUND)
        and facts.shaft_power.value + facts.shaft_power.uncertainty < FAR_UNDER * rated
    )  # fmt: skip


def starts_too_often(case: Case) -> tuple[Finding, ...]:
    """A motor with a start switch that is started many times an hour."""
    starts = case.job.document.target.starts
    if starts is None or case.plate.kind is not MotorKind.SINGLE_PHASE or starts.si <= MOST_STARTS:
        return ()
    sentence = tell("rules-load-starts-too-often-starts-hour", starts_per_hour=as_typed("starts_per_hour", starts, "measured"))  # fmt: skip
    return (found("starts_too_often", sentence, say("rules-load-starts-too-often-widen-control")),)


def regulator_turned_down(case: Case) -> tuple[Finding, ...]:
    """A capacitor motor slowed far by a regulator."""
    synchronous = case.plate.synchronous_speed_rpm
    if case.plate.kind not in (MotorKind.SPLIT_CAPACITOR, MotorKind.SHADED_POLE) or not synchronous:
        return ()
    return tuple(
        found(
            "regulator_turned_down",
            tell("rules-load-regulator-turned-down-regulator-holds", set=facts.title, slip=figure("slip", 1 - facts.running.speed.value / synchronous), efficiency=figure("efficiency", facts.running.speed.value / synchronous)),
            say("rules-load-regulator-turned-down-beyond-about"),
            about=facts,
        )
        for facts in case.sets
        if facts.reading.tap is SpeedTap.REGULATED
        and facts.running.speed
        and 0 < facts.running.speed.value < TURNED_DOWN * synchronous
    )  # fmt: skip


def overload_does_not_fit(case: Case) -> tuple[Finding, ...]:
    """An overload set where it does not protect this plate, or trips it needlessly."""
    plate = case.job.document.nameplate
    setting, rated = plate.overload_setting, plate.wired_current
    if setting is None or rated is None:
        return ()
    factor = plate.service_factor.si if plate.service_factor else 1.0
    highest, _ = overload_setting_a(rated.si, factor)
    if rated.si <= setting.si <= highest * (1 + 1e-9):
        return ()
    high = setting.si > highest
    sentence = tell("rules-load-overload-does-not-fit-overload-set", rated_current=as_typed("rated_current", setting, "measured"), above=say("rules-load-overload-does-not-fit-above") if high else say("rules-load-overload-does-not-fit-below-plate"), rated_current_2=figure("rated_current", highest if high else rated.si, "plate"), plate_allows=say("rules-load-overload-does-not-fit-plate-allows") if high else say("rules-load-overload-does-not-fit-trips-sound"))  # fmt: skip
    return (found("overload_does_not_fit", sentence, say("rules-load-overload-does-not-fit-set-those")),)


def shell_too_hot(case: Case) -> tuple[Finding, ...]:
    """A shell so hot that the winding inside must be near its class."""
    letter = case.job.document.nameplate.insulation
    if letter is None:
        return ()
    highest = insulation_class(letter).highest_c
    return tuple(
        found(
            "shell_too_hot",
            tell("rules-load-shell-too-hot-shell-winding", set=facts.title, shell_temperature=as_typed("shell_temperature", shell, "measured"), shell_temperature_2=figure("shell_temperature", highest)),
            say("rules-load-shell-too-hot-look-shut"),
            about=facts,
        )
        for facts in case.sets
        if (shell := facts.reading.shell) and shell.si > highest - SHELL_TO_HOT_SPOT_K
    )  # fmt: skip


def blocked_air_cooks(case: Case) -> tuple[Finding, ...]:
    """A motor that its machine's own air cools, with that air shut off: it draws less and still burns."""
    if case.machine_type is None or case.machine_type is MachineType.PUMP:
        return ()
    return tuple(finding for facts in case.sets for finding in _starved(case, facts))


def _starved(case: Case, facts: SetFacts) -> Iterator[Finding]:
    plate = case.job.document.nameplate
    words = f"{plate.duty or ''} {plate.enclosure or ''}".lower()
    air_over = any(word in words for word in AIR_OVER) or "teao" in words or "opao" in words
    wanted = case.wanted.figure
    little = bool(wanted and facts.flow and facts.flow.value + facts.flow.uncertainty < LITTLE_AIR * wanted.value)
    if facts.reading.duct is not DuctState.BLOCKED and not (little and air_over):
        return
    amps, rated = facts.running.current, case.plate.rated_current_a
    less = bool(amps and rated and amps.value < rated)
    sure = say("rules-load-starved-cooled") if air_over else say("rules-load-starved-may-cooled")
    yield found(
        "blocked_air_cooks",
        (
            say("rules-load-starved-air-shut", set=facts.title, sure=sure),
            say("rules-load-starved-draws-less") if less else "",
        ),
        say("rules-load-starved-low-amps"),
        about=facts,
    )
