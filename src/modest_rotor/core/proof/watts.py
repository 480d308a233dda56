"""Which watts prove a saving: those that a wattmeter read where they are paid for."""

from __future__ import annotations

from modest_rotor.core.estimate import Estimate
from modest_rotor.core.identify.causes import REPEATS
from modest_rotor.core.identify.meters import Accuracies, read_by_meter
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.say import say
from modest_rotor.core.stations.readings import MeasuringPoint, ReadingSet

PAID_FOR = (None, MeasuringPoint.SUPPLY, MeasuringPoint.DRIVE_INPUT)
LAST_DIGIT, REPEATING = say("watts-these"), "repeating"
OWN = (LAST_DIGIT, REPEATING)


def paid_watts(reading: ReadingSet, number: int, accuracies: Accuracies, same_meters: bool) -> Estimate | Absent:
    """Watts at the line, W, or the sentence that says why there are none.

    :param same_meters: whether the meters are those of the readings before: then what they are off is shared with them.

    Amps alone never prove watts on an electronic motor or a drive: their power factor lies anywhere from a half to one.
    Source: definition of power; common practice.
    """
    if reading.input_power is None:
        if reading.current is not None:
            return Withheld(say("watts-paid-watts-amps-alone"))
        return Waiting(say("watts-paid-watts-waits-watts"))
    if reading.point not in PAID_FOR:
        return Withheld(say("watts-paid-watts-watts-read", point=reading.point))
    read = read_by_meter(reading.input_power, "input_power", f"input_power, set {number}", accuracies)
    watts = repeated(read, f"set {number}")
    return watts if same_meters else of_other_meters(watts)


def repeated(watts: Estimate, name: str) -> Estimate:
    """The same with how well watts repeat on an unchanged machine: a part that falls out of no difference.

    :param name: of the reading, which shares it with none. Source: our judgement, as the ranking of causes takes it.
    """
    spread = REPEATS[Measurand.WATTS] * abs(watts.value)
    return watts + Estimate(0.0, {f"{REPEATING}, {name}": spread})


def of_other_meters(value: Estimate) -> Estimate:
    """The same by other instruments than before: their errors are their own.

    :param value: in any unit. Source: errors of two instruments are independent, JCGM 100 (GUM), 5.2.
    """
    contributions = {
        name if name.startswith(OWN) else f"{name}, other one": contribution
        for name, contribution in value.contributions.items()
    }
    return Estimate(value.value, contributions)
