"""Does every ± keep its promise? Whole jobs of a second population of truths, through the one door of the core.

``python -m benchmarks.promises [jobs of each kind] [seed]``. Printed, by kind, plate and readings: error in percent of the
truth (median, middle 95 %), how often the stated 95 % uncertainty holds it, and the width of that uncertainty; sound jobs that were
questioned; and how often one wrong reading is. How these truths differ from the estimator: ``benchmarks/truths``.
"""

from __future__ import annotations

import sys
from collections import Counter, defaultdict
from collections.abc import Iterator
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass

import numpy as np

from benchmarks.truths.jobs import SHARES, Case, draw_electronic_job, draw_fan_job, draw_tap_job
from modest_rotor.core.assess import assess
from modest_rotor.core.assessment import Assessment
from modest_rotor.core.job import Job
from modest_rotor.core.phrase import Figure

QUESTIONED = {
    "readings_do_not_fit", "machine_does_not_fit", "plate_is_doubtful", "methods_disagree", "air_power_over_shaft_power",
    "plate_denies_itself", "watts_over_volt_amperes", "above_synchronous", "readings_contradict", "plate_facts_disagree",
}  # fmt: skip
"""Findings that say of the evidence itself that something in it is not right."""
CLASSES = tuple(
    (kind, plate, readings)
    for kind in ("capacitor", "three-phase", "pump", "electronic")
    for plate in ("careful", "market")
    for readings in ("lean", "whole")
)
MOST_TRIES = 60


@dataclass(frozen=True)
class Held:
    """A promise and its truth: the value promised, its uncertainty as it is shown, and what is true."""

    what: str
    value: float
    low: float
    high: float
    truth: float

    @property
    def holds(self) -> bool:
        """Whether the uncertainty holds the truth."""
        return self.low <= self.truth <= self.high


Told = tuple[tuple[str, str, str], list[Held], set[str], list[tuple[str, bool]], int]
"""A class, its promises with their truths, the rules that questioned it, the misreadings noticed, and savings that waited."""


def draw(kind: str, plate: str, readings: str, seed: int) -> Case:
    """One job of a class; the same for the same seed."""
    rng = np.random.default_rng(seed)
    for _ in range(MOST_TRIES):
        case = (
            draw_electronic_job(rng, plate, readings)
            if kind == "electronic"
            else draw_tap_job(rng)
            if kind == "tap"
            else draw_fan_job(rng, kind, plate, readings)
        )
        if case is not None:
            return case
    raise RuntimeError(f"no {kind} job came of {MOST_TRIES} tries")


def judged(case: Case) -> Assessment:
    """What the core says of a job."""
    return assess(Job.model_validate(case.job))


def promises(case: Case, said: Assessment) -> Iterator[Held]:
    """Every number that was promised and whose truth is known."""
    for what, told in _figures(case, said):
        truth = case.truth.get(what)
        if truth is not None and "flow" in what and told is not None and told.quantity == "relative_flow":
            truth /= case.truth["flow"]
        if truth is None or told is None or not told.uncertainty:
            continue
        low = told.value - told.uncertainty if told.low is None else told.low
        high = told.value + told.uncertainty if told.high is None else told.high
        yield Held(what, told.value, low, high, truth)


def _figures(case: Case, said: Assessment) -> Iterator[tuple[str, Figure | None]]:
    one = said.sets[0]
    yield "shaft power", one.shaft_power.figure
    if case.readings == "lean":
        yield "flow", one.flow
    if not said.options.options:
        return
    kept = said.options.options[0]
    if case.kind == "tap":
        low = next(step for step in kept.steps if step.id == "s2")
        if kept.energy.figure is None:  # the tap was not solved: the step stands at full flow
            return
        yield "low tap flow", low.flow
        yield "low tap watts", low.input_power
        return
    for share, step in zip(SHARES[1:], kept.steps[1:], strict=True):
        yield f"watts keep {share:.0%}", step.input_power
    for option in said.options.options[1:]:
        if option.id == "taps":
            yield from _tap_figures(case, option)
            continue
        for share, step in zip(SHARES, option.steps, strict=True):
            yield f"watts {option.id} {share:.0%}", step.input_power
        yield f"saving {option.id}", option.saved_energy.figure


def _tap_figures(case: Case, option: object) -> Iterator[tuple[str, Figure | None]]:
    for step in option.steps:  # type: ignore[attr-defined]
        named = next(
            (piece for piece in step.setting if isinstance(piece, str) and piece.strip().startswith("tap")), None
        )
        if named:
            number = next(c for c in named if c.isdigit())
            if f"tap {number} watts" in case.truth:
                case.truth[f"torque tap watts {step.id}"] = case.truth[f"tap {number} watts"]
                case.truth[f"torque tap flow {step.id}"] = case.truth[f"tap {number} flow"]
                yield f"torque tap watts {step.id}", step.input_power
                yield f"torque tap flow {step.id}", step.flow


def questioned(said: Assessment) -> set[str]:
    """Rules that said of the evidence that it does not hold together."""
    return {finding.rule for finding in said.findings if finding.rule in QUESTIONED}


def wrong_readings(case: Case) -> Iterator[tuple[str, Case]]:
    """The job with one thing misread, each by itself."""
    read, plate = case.job["document"]["readings"][0], case.job["document"]["nameplate"]

    def times(text: str, factor: float, digits: int = 3) -> str:
        number, unit = text.split(" ", 1)
        return f"{float(number) * factor:.{digits}g} {unit}"

    rpm = float(read["speed"].split()[0])
    synchronous = 120 * float(plate["frequency"].split()[0])
    poles = max(2, 2 * int(synchronous // rpm // 2))
    for off in (-20.0, 20.0):
        if rpm + off < synchronous / poles:
            yield f"speed {off:+.0f} rpm", case.changed(speed=f"{rpm + off:.0f} rpm")
    factor = 3**0.5 if plate["phases"] == 3 else 1.0
    if "input_power" in read:
        yield "watts −10 %", case.changed(input_power=times(read["input_power"], 0.9))
        apparent = factor * float(read["voltage"].split()[0]) * float(read["current"].split()[0])
        yield "watts as volts × amps", case.changed(input_power=f"{apparent:.0f} W")
    if "airflow" in read:
        yield "airflow × 1.4", case.changed(airflow=times(read["airflow"], 1.4))
        yield "static × 0.5", case.changed(total_static=times(read["total_static"], 0.5))
    if "run_capacitance" in plate:
        yield "capacitor × 1.5", case.changed(plate_run_capacitance=times(plate["run_capacitance"], 1.5))
    yield "amps −20 %", case.changed(current=times(read["current"], 0.8))
    bigger = {
        "1/12": "1/8",
        "1/10": "1/8",
        "1/8": "1/6",
        "1/6": "1/4",
        "1/5": "1/3",
        "1/4": "1/3",
        "1/3": "1/2",
        "1/2": "3/4",
        "3/4": "1",
        "1": "1.5",
    }
    number, unit = plate["rated_power"].split(" ", 1)
    yield (
        "plate one size up",
        case.changed(plate_rated_power=f"{bigger[number]} hp" if unit == "hp" else f"{float(number) * 1.45:.0f} W"),
    )


def one_job(
    asked: tuple[str, str, str, int, bool],
) -> Told:
    """Everything that one job tells: promises with truths, false alarms, wrong readings noticed, and numbers that waited."""
    kind, plate, readings, seed, faults = asked
    case = draw(kind, plate, readings, seed)
    said = judged(case)
    held = list(promises(case, said))
    noticed = (
        [(name, bool(questioned(judged(other)) - questioned(said))) for name, other in wrong_readings(case)]
        if faults and kind != "electronic"
        else []
    )
    waited = len([truth for truth in case.truth if truth.startswith("saving")]) - len(
        [h for h in held if h.what.startswith("saving")]
    )
    return (kind, plate, readings), held, questioned(said), noticed, waited


def gather(
    count: int, seed: int, classes: tuple[tuple[str, str, str], ...] = CLASSES, faults: bool = True, workers: int = 2
) -> list[Told]:
    """All jobs of the classes that are asked for."""
    asked = [
        (*one, seed * 100_000 + place * 1000 + number, faults and number % 4 == 0)
        for place, one in enumerate(classes)
        for number in range(count)
    ]
    if workers == 1:
        return [one_job(one) for one in asked]
    with ProcessPoolExecutor(workers) as pool:
        return list(pool.map(one_job, asked, chunksize=4))


def coverage(helds: list[Held]) -> tuple[float, float, float, float, float]:
    """Median error, its middle 95 %, share held, and median half-width: all but the errors' unit as shares."""
    errors = np.array([(h.value - h.truth) / abs(h.truth) for h in helds])
    width = np.median([(h.high - h.low) / 2 / max(abs(h.truth), 1e-9) for h in helds])
    low, middle, high = np.quantile(errors, [0.025, 0.5, 0.975])
    return float(middle), float(low), float(high), float(np.mean([h.holds for h in helds])), float(width)


def tables_of_bands(results: list[Told], few: bool) -> Iterator[str]:
    """Errors, coverage and widths by class and quantity, then by quantity alone."""
    by_class: dict[tuple[str, str], list[Held]] = defaultdict(list)
    pooled: dict[str, list[Held]] = defaultdict(list)
    for (kind, plate, readings), held, *_ in results:
        for one in held:
            by_class[f"{kind}, {plate}, {readings}", one.what].append(one)
            pooled[f"{kind}: {one.what}"].append(one)
    if not few:
        yield "| jobs | quantity | n | median error | middle 95 % | held | ± |\n|---|---|---|---|---|---|---|"
        for (name, what), helds in by_class.items():
            middle, low, high, share, width = coverage(helds)
            yield f"| {name} | {what} | {len(helds)} | {middle:+.1%} | {low:+.0%} to {high:+.0%} | {share:.1%} | {width:.0%} |"
    yield "\n| quantity, all plates and readings | n | median error | held | ± |\n|---|---|---|---|---|"
    for name, helds in pooled.items():
        middle, _, _, share, width = coverage(helds)
        yield f"| {name} | {len(helds)} | {middle:+.1%} | {share:.1%} | {width:.0%} |"
    every = [h for helds in by_class.values() for h in helds]
    yield f"\nall uncertainties: {np.mean([h.holds for h in every]):.1%} of {len(every)}"


def tables_of_alarms(results: list[Told]) -> Iterator[str]:
    """Sound jobs that were questioned, and wrong readings that were noticed."""
    asked: dict[tuple[str, str, str], list[set[str]]] = defaultdict(list)
    caught: dict[tuple[str, str], list[bool]] = defaultdict(list)
    for one, _, rules, noticed, _ in results:
        asked[one].append(rules)
        for name, seen in noticed:
            caught[one[0], name].append(seen)
    yield "\n| jobs | questioned though sound | by |\n|---|---|---|"
    for one, said in asked.items():
        names = Counter(rule for rules in said for rule in rules)
        yield f"| {', '.join(one)} | {np.mean([bool(rules) for rules in said]):.0%} | {dict(names) or 'none'} |"
    everyone = [bool(rules) for said in asked.values() for rules in said]
    yield f"\nfalse alarms: {np.mean(everyone):.1%} of {len(everyone)}"
    yield "\n| jobs | misread | noticed |\n|---|---|---|"
    for (kind, name), seen in sorted(caught.items()):
        yield f"| {kind} | {name} | {np.mean(seen):.0%} of {len(seen)} |"


def main() -> None:
    """Print the tables."""
    count = int(sys.argv[1]) if len(sys.argv) > 1 else 100
    seed = int(sys.argv[2]) if len(sys.argv) > 2 else 7
    chosen = tuple(sys.argv[3].split(",")) if len(sys.argv) > 3 else ()
    classes = (*CLASSES, ("tap", "market", "whole"))
    classes = tuple(one for one in classes if not chosen or one[0] in chosen)
    results = gather(count, seed, classes)
    print(f"{count} jobs of each class, seed {seed}\n")
    for line in (*tables_of_bands(results, few=count <= 60), *tables_of_alarms(results)):
        print(line)


if __name__ == "__main__":
    main()
