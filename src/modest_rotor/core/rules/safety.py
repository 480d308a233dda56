"""Cautions that stand before the hand: isolation, live work, capacitors, electronic motors."""

from __future__ import annotations

from modest_rotor.core.assessment import Finding
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.rules.parts import may_have_capacitor, may_have_taps


def isolate_before_plate(case: Case) -> tuple[Finding, ...]:
    """Reading a plate can mean reaching past a wheel and terminals."""
    sentence = (
        "Isolate, lock out, tag; prove the meter, prove dead, prove the meter again. There may be a second source, and a"
        " motor can restart when its thermal switch cools."
    )
    charged = may_have_capacitor(case)
    action = (
        f"Before reaching for the plate{' or the capacitor' if charged else ''}."
        + (" Discharge the run capacitor through a resistor and prove it." if charged else "")
        + (" Wait the minutes marked on its electronics, then prove them dead." if case.plate.is_electronic else "")
        + " At height: guard against falls and weather."
    )
    return (found("isolate_before_plate", (sentence,), action, standing=True),)


def two_speeds(case: Case) -> tuple[Finding, ...]:
    """A motor that is switched between two speeds: what burns it, and what is proved twice."""
    if not case.job.document.plate.is_two_speed:
        return ()
    sentence = (
        "Two contactors closed at once burn a motor with two speeds: they are interlocked by hand and by wire. Coming down it brakes"
        " hard: let it coast before the lower speed."
    )
    action = (
        "Each speed has its own overload for its own amps, and its own rotation, proved one after the other. Note a set on the"
        " lower speed as its low tap."
    )
    return (found("two_speeds", (sentence,), action, standing=True),)


def live_readings(case: Case) -> tuple[Finding, ...]:
    """Running readings are live work beside a turning wheel."""
    if case.job.document.call.is_dead:
        sentence = "A dead motor may have lost only one of its supplies, and can start by itself when its thermal switch cools."
        action = "Isolate, lock out, prove dead. No running readings are needed; this station can stay empty."
        return (found("dead_motor_restart", (sentence,), action, standing=True),)
    sentence = "Live measurements only by people qualified for them, with the right meter category and gloves. Hands, sleeves and cords clear of the wheel."
    taps = (
        ""
        if not may_have_taps(case)
        else " Change speed taps with the power off: never two energised at once, each unused lead capped by itself, it can stand above line volts."
    )
    action = (
        "Prove the meter before and after. Volts on one conductor to ground are not the motor's volts on a high-leg system."
        + taps
    )
    return (found("live_readings", (sentence,), action, standing=True),)


def electronic_wiring(case: Case) -> tuple[Finding, ...]:
    """What destroys electronic motors, and what they keep after the power is off."""
    if not case.options.options:
        return ()
    sentence = (
        "An electronic motor stays on its permanent supply and takes its command on low voltage. A voltage selector"
        " on the wrong volts destroys it; line volts never go on a 24 V tap; its capacitors stay charged for minutes after power is off; a magnet rotor that windmills makes voltage."
    )
    action = "Secure the wheel. Set the selector for the volts measured. Wait the marked time and measure before opening. Local code and the equipment's listing decide whether another kind may be fitted at all."
    return (found("electronic_wiring", (sentence,), action, standing=True),)


def drive_wiring(case: Case) -> tuple[Finding, ...]:
    """What a drive may feed, and what it keeps after the power is off."""
    if not case.options.options:
        return ()
    sentence = (
        "A drive feeds a three-phase motor alone: never a capacitor or shaded-pole motor, and never one with a start switch. Its DC"
        " link stands at about 1.4 times the line volts for minutes after power is off."
    )
    action = (
        "Wait the marked time and measure the link before opening. Ask the maker whether the motor's insulation and its own"
        " fan suit a drive, and set a least frequency."
    )
    return (found("drive_wiring", (sentence,), action, standing=True),)


def heat_after_airflow(case: Case) -> tuple[Finding, ...]:
    """Airflow changed means limits checked."""
    if not case.options.options or case.wheel is None or case.wheel is Wheel.PUMP:
        return ()
    sentence = "After any change of airflow: check limits and temperature rise of gas or electric heat, and coils for frost or water carry-over."
    return (
        found("heat_after_airflow", (sentence,), "Before leaving; by those licensed for the appliance.", standing=True),
    )
