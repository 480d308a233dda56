"""Cautions that stand before the hand: isolation, live work, capacitors, electronic motors."""

from __future__ import annotations

from modest_rotor.core.assessment import Finding
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.rules.parts import may_have_capacitor, may_have_taps
from modest_rotor.core.say import say


def isolate_before_plate(case: Case) -> tuple[Finding, ...]:
    """Reading a plate can mean reaching past a wheel and terminals."""
    sentence = say("safety-isolate-before-plate-isolate-lock")
    charged = may_have_capacitor(case)
    action = say(
        "safety-isolate-before-plate-before-reaching",
        capacitor=say("safety-isolate-before-plate-capacitor") if charged else "",
        discharge_run=say("safety-isolate-before-plate-discharge-run") if charged else "",
        wait_minutes=say("safety-isolate-before-plate-wait-minutes") if case.plate.is_electronic else "",
    )
    return (found("isolate_before_plate", (sentence,), action, standing=True),)


def two_speeds(case: Case) -> tuple[Finding, ...]:
    """A motor that is switched between two speeds: what burns it, and what is proved twice."""
    if not case.job.document.nameplate.is_two_speed:
        return ()
    sentence = say("safety-two-speeds-two-contactors")
    action = say("safety-two-speeds-each-speed")
    return (found("two_speeds", (sentence,), action, standing=True),)


def live_readings(case: Case) -> tuple[Finding, ...]:
    """Running readings are live work beside a turning wheel."""
    if case.job.document.call.is_dead:
        sentence = say("safety-live-readings-dead-motor")
        action = say("safety-live-readings-isolate-lock")
        return (found("dead_motor_restart", (sentence,), action, standing=True),)
    sentence = say("safety-live-readings-live-measurements")
    taps = "" if not may_have_taps(case) else say("safety-live-readings-change-speed")
    action = say("safety-live-readings-prove-meter", taps=taps)
    return (found("live_readings", (sentence,), action, standing=True),)


def electronic_wiring(case: Case) -> tuple[Finding, ...]:
    """What destroys electronic motors, and what they keep after the power is off."""
    if not case.options.options:
        return ()
    sentence = say("safety-electronic-wiring-electronic-motor")
    action = say("safety-electronic-wiring-secure-wheel")
    return (found("electronic_wiring", (sentence,), action, standing=True),)


def drive_wiring(case: Case) -> tuple[Finding, ...]:
    """What a drive may feed, and what it keeps after the power is off."""
    if not case.options.options:
        return ()
    sentence = say("safety-drive-wiring-drive-feeds")
    action = say("safety-drive-wiring-wait-marked")
    return (found("drive_wiring", (sentence,), action, standing=True),)


def heat_after_airflow(case: Case) -> tuple[Finding, ...]:
    """Airflow changed means limits checked."""
    if not case.options.options or case.machine_type is None or case.machine_type is MachineType.PUMP:
        return ()
    sentence = say("safety-heat-after-airflow-after-any")
    return (found("heat_after_airflow", (sentence,), say("safety-heat-after-airflow-before-leaving"), standing=True),)
