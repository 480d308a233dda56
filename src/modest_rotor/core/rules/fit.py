"""Do plate, readings and machine fit a motor that somebody makes? What the fitted motor says of the evidence."""

from __future__ import annotations

from modest_rotor.core.assessment import Finding
from modest_rotor.core.identify.doubt import FARTHEST_MISFIT
from modest_rotor.core.identify.fitted_load import apart
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.phrase import figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.rules.parts import usual_suspects
from modest_rotor.core.say import joined, say, tell
from modest_rotor.core.stations.motor_fit import is_below_switch
from modest_rotor.core.stations.set_facts import SetFacts

MOST_SUSPECTS = 2


def plate_is_doubtful(case: Case) -> tuple[Finding, ...]:
    """No motor that somebody makes carries this plate."""
    fit = case.fit
    if not fit.plate_is_doubtful:
        return ()
    told = _suspects(case) or say("rules-fit-plate-is-doubtful-power-volts")
    return (
        found(
            "plate_is_doubtful",
            sentence=(say("rules-fit-plate-is-doubtful-hardly-any"),),
            action=say("rules-fit-plate-is-doubtful-look-plate", told=told),
        ),
    )


def readings_do_not_fit(case: Case) -> tuple[Finding, ...]:
    """The readings are none that the plate's motor shows at any load."""
    if case.fit.plate_is_doubtful or not case.fit.readings_disagree:
        return ()
    told = _suspects(case) or say("rules-fit-readings-do-not-fit-usually", usual_suspects=usual_suspects(case))
    return (
        found(
            "readings_do_not_fit",
            sentence=(say("rules-fit-readings-do-not-fit-motor-plate"),),
            action=say("rules-fit-readings-do-not-fit-likeliest-first", told=told),
        ),
    )


def below_switch_speed(case: Case) -> tuple[Finding, ...]:
    """A motor with a start switch that turns too slowly for it to open."""
    return tuple(
        found(
            "below_switch_speed",
            sentence=tell(
                "rules-fit-below-switch-speed-speed-below",
                set=facts.title,
                speed=figure("speed", facts.running.speed, "measured"),
            ),
            action=say("rules-fit-below-switch-speed-stop-start"),
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
            sentence=tell(
                "rules-fit-machine-does-not-fit",
                set=facts.title,
                shaft_power=figure("shaft_power", facts.machine_side),
                shaft_power_2=figure("shaft_power", facts.motor_side),
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
        and abs(apart(facts.motor_side, facts.machine_side, case.machine_type is not MachineType.PUMP))
        > FARTHEST_MISFIT
    )


def _where_it_goes(facts: SetFacts, case: Case) -> str:
    """What usually lies behind a shaft power that flow and pressure do not ask for, by which of the two is larger."""
    if case.machine_type is MachineType.PUMP:
        return say("rules-fit-where-it-goes-look-both")
    assert facts.machine_side is not None and facts.motor_side is not None
    if facts.machine_side.value < facts.motor_side.value:
        return say("rules-fit-where-it-goes-statics-read")
    return say("rules-fit-where-it-goes-read-flow")


def _suspects(case: Case) -> str:
    return joined(" ", dict.fromkeys(suspect.sentence for suspect in case.fit.suspects[:MOST_SUSPECTS]))
