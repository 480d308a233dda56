"""Do plate, readings and machine fit a motor that somebody makes? What the fitted motor says of the evidence."""

from __future__ import annotations

from modest_rotor.core.assessment import Finding
from modest_rotor.core.identify.doubt import FARTHEST_MISFIT
from modest_rotor.core.identify.fitted_load import apart
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.phrase import figure
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.rules.parts import usual_suspects
from modest_rotor.core.stations.motor_fit import is_below_switch
from modest_rotor.core.stations.set_facts import SetFacts

MOST_SUSPECTS = 2


def plate_is_doubtful(case: Case) -> tuple[Finding, ...]:
    """No motor that somebody makes carries this plate."""
    fit = case.fit
    if not fit.plate_is_doubtful:
        return ()
    told = _suspects(case) or "Power, volts, amps and speed are each possible; together they are not."
    return (
        found(
            "plate_is_doubtful",
            sentence=("Hardly any motor is made that would carry this plate.",),
            action=f"{told} Look at the plate again; what was typed is kept, and the uncertainties are widened.",
        ),
    )


def readings_do_not_fit(case: Case) -> tuple[Finding, ...]:
    """The readings are none that the plate's motor shows at any load."""
    if case.fit.plate_is_doubtful or not case.fit.readings_disagree:
        return ()
    told = _suspects(case) or f"Usually: {usual_suspects(case)}."
    return (
        found(
            "readings_do_not_fit",
            sentence=(
                "The motor of this plate shows readings like these at no load: one of them, or the motor, is not right.",
            ),
            action=f"Likeliest first: {told} All readings are kept, and the uncertainties are widened.",
        ),
    )


def below_switch_speed(case: Case) -> tuple[Finding, ...]:
    """A motor with a start switch that turns too slowly for it to open."""
    return tuple(
        found(
            "below_switch_speed",
            sentence=(
                f"The speed in {facts.title}, ",
                figure("speed", facts.running.speed, "measured"),
                ", is below three quarters of synchronous speed, where a start switch is still closed.",
            ),
            action="Stop it: a start winding left on burns out in seconds. Look for drag, low volts, a welded switch; or the motor is of another kind.",
            about=facts,
        )
        for facts in case.sets
        if case.plate.kind is MotorKind.SINGLE_PHASE
        and facts.running.speed
        and is_below_switch(case.plate, facts.running.speed.value)
    )


def machine_does_not_fit(case: Case) -> tuple[Finding, ...]:
    """Shaft power by the motor and by flow and pressure lie too far apart for both to be right.

    Where flow × pressure alone is more than the motor gives, another rule says so already.
    """
    return tuple(
        found(
            "machine_does_not_fit",
            sentence=(
                f"In {facts.title} flow and pressure ask for ",
                figure("shaft_power", facts.machine_side),
                " at the shaft; the motor gives ",
                figure("shaft_power", facts.motor_side),
                ".",
            ),
            action=_where_it_goes(facts, case),
            about=facts,
        )
        for facts in case.sets
        if facts.machine_side
        and facts.motor_side
        and facts.flow
        and facts.pressure
        and facts.flow.value * facts.pressure.value < facts.motor_side.value
        and facts.motor_side.value > 0
        and facts.machine_side.value > 0
        and abs(apart(facts.motor_side, facts.machine_side, case.wheel is not Wheel.PUMP)) > FARTHEST_MISFIT
    )


def _where_it_goes(facts: SetFacts, case: Case) -> str:
    """What usually lies behind a shaft power that flow and pressure do not ask for, by which of the two is larger."""
    if case.wheel is Wheel.PUMP:
        return "Look at both gauges and their heights, at the coupling, and at the kind of pump."
    assert facts.machine_side is not None and facts.motor_side is not None
    if facts.machine_side.value < facts.motor_side.value:
        return (
            "Statics read outside miss what cabinet, filter and coil take between them: read across the wheel itself, or say what"
            " lies between the static taps. Then look at belt and bearings, and last at the wheel for dirt."
        )
    return "Read the flow once more by another way, then the statics with their signs; look at the plate, and at the kind of wheel typed."


def _suspects(case: Case) -> str:
    return " ".join(dict.fromkeys(suspect.sentence for suspect in case.fit.suspects[:MOST_SUSPECTS]))
