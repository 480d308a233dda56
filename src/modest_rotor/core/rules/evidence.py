"""Does the evidence hold together? Plate against readings, method against method, reading against reading."""

from __future__ import annotations

import math

from modest_rotor.core.assessment import Finding
from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import Estimate
from modest_rotor.core.options.contradiction import contradiction
from modest_rotor.core.options.found_machine import reference_set
from modest_rotor.core.phrase import Phrase, as_typed, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.rules.case import Case
from modest_rotor.core.rules.found import found
from modest_rotor.core.rules.load import service_factor_amps
from modest_rotor.core.rules.parts import usual_suspects
from modest_rotor.core.say import Number, listed, say, small, tell
from modest_rotor.core.stations.plate_answer import possible_efficiency
from modest_rotor.core.stations.set_answer import METHOD_LABELS
from modest_rotor.core.stations.set_facts import SetFacts, plate_denial

VOLTS_TOLERANCE = 0.10
"""Share of rated volts within which a motor must work: NEMA MG 1 (from memory)."""
THREE_PHASE_FACTOR = math.sqrt(3)
PLATE_FACTS_SHARE = 0.12
"""Share by which printed efficiency and that of volts, amps and power factor may differ: each is rounded and has its tolerance."""
LEAST_IMPLIED, BEST_IMPLIED = 0.15, 0.98
MOST_OF_APPARENT, MOST_OF_APPARENT_ELECTRONIC = {1: 0.80, 3: 0.90}, 0.60
"""Shaft power over volts × amps that no motor of a kind exceeds: efficiency times power factor. Common practice, no source."""


def above_synchronous(case: Case) -> tuple[Finding, ...]:
    """A speed above synchronous is kept, and asked about."""
    return tuple(
        found("above_synchronous", _speed_sentence(facts), say("evidence-above-synchronous"), about=facts)
        for facts in case.sets
        if facts.above_synchronous
    )


def amps_over_plate(case: Case) -> tuple[Finding, ...]:
    """Line amps above the plate's, beyond the meter's uncertainty; with what its service factor says of them."""
    plate = case.job.document.nameplate_as_fed
    rated, most = plate.wired_current, service_factor_amps(plate)

    def told(facts: SetFacts, rated: Entry, current: Estimate) -> Finding:
        beside, action = _by_service_factor(current, most)
        sentence = tell("evidence-told", set=facts.title, current=figure("current", current, "measured"), rated_current=as_typed("rated_current", rated, "plate"), beside=beside)  # fmt: skip
        return found("amps_over_plate", sentence, action, about=facts)

    return tuple(
        told(facts, rated, facts.running.current)
        for facts in case.sets
        if rated
        and facts.on_full_tap
        and facts.running.current
        and facts.running.current.value - facts.running.current.uncertainty > rated.si
    )


def _by_service_factor(current: Estimate, most: float | None) -> tuple[Phrase, str]:
    """What a service factor says of amps above full load, and what to do."""
    if most is None:
        return (say("evidence-by-service-factor-service-factor"),), (say("evidence-by-service-factor-motor-heats"))
    allowed = figure("rated_current", most, "plate")
    if current.value <= most:
        return tell("evidence-by-service-factor-below-service", allowed=allowed), (
            say("evidence-by-service-factor-may-run")
        )
    if current.value - current.uncertainty <= most:
        return tell("evidence-by-service-factor-above-service", allowed=allowed), (
            say("evidence-by-service-factor-take-above")
        )
    return tell("evidence-by-service-factor-above-service-factor", allowed=allowed), (
        say("evidence-by-service-factor-plate-allows")
    )


def volts_off_plate(case: Case) -> tuple[Finding, ...]:
    """Volts outside a tenth of the plate's."""
    plate = case.job.document.nameplate_as_fed.wired_voltage
    if plate is None:
        return ()
    low, high = (plate.low or plate.si) * (1 - VOLTS_TOLERANCE), plate.si * (1 + VOLTS_TOLERANCE)
    return tuple(
        found(
            "volts_off_plate",
            tell(
                "evidence-volts-off-plate-volts-outside",
                set=facts.title,
                voltage=figure("voltage", facts.running.voltage, "measured"),
            ),
            say("evidence-volts-off-plate-check-supply"),
            about=facts,
        )
        for facts in case.sets
        if facts.on_full_tap and facts.running.voltage and not low <= facts.running.voltage.value <= high
    )


def watts_over_volt_amperes(case: Case) -> tuple[Finding, ...]:
    """No load takes more watts than volts times amps."""
    return tuple(
        found(
            "watts_over_volt_amperes",
            (say("evidence-watts-over-volt-amperes-watts-read", set=facts.title),),
            say("evidence-watts-over-volt-amperes-look-again"),
            about=facts,
        )
        for facts in case.sets
        if _too_many_watts(case, facts)
    )


def cannot_be_so(case: Case) -> tuple[Finding, ...]:
    """What in the set that every saving would stand on cannot be so: it withholds them."""
    about = reference_set(case.sets)
    against = contradiction(about, case.plate)
    if against is None:
        return ()
    action = say("evidence-cannot-be-so", action=against.action)
    return (found(against.rule, (against.sentence,), action, about=about),)


def methods_disagree(case: Case) -> tuple[Finding, ...]:
    """Methods that should meet do not."""
    return tuple(
        found(
            "methods_disagree",
            (
                say(
                    "evidence-methods-disagree-load-does",
                    set=facts.title,
                    chosen=small(METHOD_LABELS[facts.chosen.method]),
                    others=listed(small(METHOD_LABELS[other.method]) for other in facts.disagreeing),
                ),
            ),
            say("evidence-methods-disagree-uncertainty-widened", usual_suspects=usual_suspects(case)),
            about=facts,
        )
        for facts in case.sets
        if facts.chosen and facts.disagreeing and not case.fit.readings_disagree
    )


def plate_denies_itself(case: Case) -> tuple[Finding, ...]:
    """Power, volts, amps or speed on the plate do not belong together."""
    printed = case.job.document.nameplate.nominal_efficiency
    no_motor_has = (
        say("evidence-plate-denies-itself-plate-prints", typed=printed.typed)
        if printed and possible_efficiency(printed) is None
        else None
    )
    refusals = (case.plate.speed_refusal, plate_denial(case.plate), no_motor_has)
    return tuple(
        found("plate_denies_itself", sentence=(refusal,), action=say("evidence-plate-denies-itself-what-typed"))
        for refusal in refusals
        if refusal
    )


def plate_facts_disagree(case: Case) -> tuple[Finding, ...]:
    """Printed efficiency, power factor, amps and volts that cannot all be so."""
    facts = case.plate
    watts = _plate_watts(case)
    if watts is None or not (facts.rated_power_w and facts.printed_power_factor):
        return ()
    implied = facts.rated_power_w / watts
    expected = facts.printed_efficiency
    if expected is not None and abs(implied / expected - 1) <= PLATE_FACTS_SHARE:
        return ()
    if expected is None and LEAST_IMPLIED < implied < BEST_IMPLIED:
        return ()
    told = f"{100 * implied:.0f} %" + (
        say("evidence-plate-facts-disagree-prints", expected=Number(100 * expected, ".1f")) if expected else ""
    )
    sentence = say("evidence-plate-facts-disagree-plate-s", watts=Number(watts, ",.0f"), told=told)
    action = say("evidence-plate-facts-disagree-look-again")
    return (found("plate_facts_disagree", (sentence,), action),)


def power_may_be_input(case: Case) -> tuple[Finding, ...]:
    """A printed power so near volts × amps that it is what is taken from the line, not what the shaft gives."""
    plate, facts = case.job.document.nameplate, case.plate
    if plate.power_is is not None or not (facts.rated_power_w and facts.rated_voltage_v and facts.rated_current_a):
        return ()
    apparent = facts.rated_voltage_v * facts.rated_current_a * (THREE_PHASE_FACTOR if facts.supply_phases == 3 else 1.0)
    most = (
        MOST_OF_APPARENT_ELECTRONIC
        if facts.is_electronic and facts.supply_phases == 1
        else MOST_OF_APPARENT[facts.supply_phases]
    )
    if not most < facts.rated_power_w / apparent <= 1.05:
        return ()
    sentence = say("evidence-power-may-be-input-plate-s", apparent=Number(100 * facts.rated_power_w / apparent, ".0f"))
    return (found("power_may_be_input", (sentence,), say("evidence-power-may-be-input-say-plate")),)


def _plate_watts(case: Case) -> float | None:
    facts = case.plate
    if not (facts.rated_voltage_v and facts.rated_current_a and facts.printed_power_factor):
        return None
    factor = THREE_PHASE_FACTOR if facts.supply_phases == 3 else 1.0
    return facts.rated_voltage_v * facts.rated_current_a * factor * facts.printed_power_factor


def assumed_no_lift(case: Case) -> tuple[Finding, ...]:
    """A pump with lift saves far less than one without."""
    if case.machine_type is not MachineType.PUMP or case.machine is None or not case.machine.fixed_is_assumed:
        return ()
    sentence: Phrase = (say("evidence-assumed-no-lift-pump-s"),)
    return (found("assumed_no_lift", sentence=sentence, action=say("evidence-assumed-no-lift-type-static")),)


def dead_motor(case: Case) -> tuple[Finding, ...]:
    """A dead motor needs no running readings."""
    if not case.job.document.call.is_dead:
        return ()
    sentence: Phrase = (say("evidence-dead-motor-motor-dead"),)
    return (found("dead_motor", sentence=sentence, action=say("evidence-dead-motor-go-plate"), standing=True),)


def _too_many_watts(case: Case, facts: SetFacts) -> bool:
    running = facts.running
    if not (running.voltage and running.current and running.input_power):
        return False
    factor = THREE_PHASE_FACTOR if case.plate.supply_phases == 3 else 1.0
    margin = running.voltage * running.current * factor - running.input_power
    return margin.value + margin.uncertainty < 0


def _speed_sentence(facts: SetFacts) -> Phrase:
    assert facts.running.speed and facts.synchronous_rpm
    return tell(
        "evidence-speed-sentence",
        set=facts.title,
        speed=figure("speed", facts.running.speed, "measured"),
        speed_2=figure("speed", facts.synchronous_rpm),
    )
