"""One duty step of the proof: which sets belong to it, the watts before and after at the same flow, and what was promised."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.estimate import Estimate, exactly, propagate
from modest_rotor.core.job import Job
from modest_rotor.core.options.answer_steps import flow_quantity
from modest_rotor.core.options.answers import OptionAnswer, StepAnswer
from modest_rotor.core.options.contract import Asked, Demand
from modest_rotor.core.options.demands import MOST_SHARE, demand_of
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.keep import at_reached_flow
from modest_rotor.core.options.year import Year
from modest_rotor.core.outcome import Absent, Waiting
from modest_rotor.core.phrase import Figure, Frozen, Phrase, as_typed, figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.proof.watts import of_other_meters, paid_watts, repeated
from modest_rotor.core.say import say, tell
from modest_rotor.core.stations.duty import step_hours
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.working import Result, given, not_known, result

NEAR = 0.15
"""Share by which a set's flow may lie off a step's to be taken for it where nobody said which belongs to which. Our judgement, no source."""
KELVIN, LEAST_DENSITY = 273.15, 0.003
LEAST_REACHED = 0.02
"""Share of full flow below which a flow that was reached is none."""
SYSTEM_SPREAD = 0.04
"""Relative change of a system's coefficient that two readings of flow and static cannot tell. Our judgement, no source."""


class StepProof(Frozen):
    """One duty step: the flow reached, the watts before and after at the same flow, and against the promise."""

    step: str
    name: str
    before: str | None
    after: str | None
    hours: Figure | None
    wanted: Figure | None
    flow: Figure | None
    reached: Phrase
    before_watts: Figure | None
    same_flow: Result
    watts: Result
    promised_watts: Figure | None
    saved_watts: Result
    system: Phrase = ()
    air: Phrase = ()


@dataclass(frozen=True)
class StepRead:
    """One step with its estimates: W after, W saved, hours, W promised to be saved."""

    told: StepProof
    watts: Estimate | Absent
    saved: Estimate | None
    hours: Estimate | None
    promised_w: float | None


class ProofReader:
    """One job's readings after, held against its option and its machine."""

    def __init__(
        self,
        job: Job,
        kept: OptionAnswer,
        option: OptionAnswer,
        right: FoundMachine,
        year: Year,
        before: tuple[SetFacts, ...],
        after: tuple[SetFacts, ...],
    ) -> None:
        self.job, self.kept, self.option, self.right, self.year = job, kept, option, right, year
        self.before = {facts.id: facts for facts in before}
        self.after = {facts.id: facts for facts in after}
        self.same_meters = job.document.proof.same_meters != "no"
        self.pairs = self._pairs()

    def _pairs(self) -> dict[str, tuple[str | None, str | None]]:
        """For each step the sets before and after: as said, or by the flow that lies nearest."""
        said = {pair.step: (pair.before, pair.after) for pair in self.job.document.proof.pairs}
        free = [facts for facts in self.after.values() if facts.id not in {after for _, after in said.values()}]
        found: dict[str, tuple[str | None, str | None]] = {}
        for step in self.option.steps:
            before, after = said.get(step.id, (None, None))
            if after is None and (near := _nearest(step, free)):
                after = near.id
                free.remove(near)
            found[step.id] = (before, after)
        if len(self.option.steps) == 1 and len(self.after) == 1:
            only = self.option.steps[0].id
            found[only] = (found[only][0], found[only][1] or next(iter(self.after)))
        return found

    def step(self, step: StepAnswer) -> StepRead:
        """One step."""
        before_id, after_id = self.pairs[step.id]
        before, after = self.before.get(before_id or ""), self.after.get(after_id or "")
        hours = next((step_hours(one) for one in self.job.document.duty.steps if one.id == step.id), None)
        watts = self._watts(after) if after else Waiting(say("proof-steps-step"))
        ratio, air = self._air(before or self.right.reference, after)
        baseline = self._baseline(step, after)
        if isinstance(baseline, Estimate):
            baseline = baseline * ratio
        saved = baseline - watts if isinstance(baseline, Estimate) and isinstance(watts, Estimate) else None
        kept = next((one for one in self.kept.steps if one.id == step.id), None)
        promised_w = (
            kept.input_power.value - step.input_power.value if kept and kept.input_power and step.input_power else None
        )
        flow = self._flow(after)
        told = StepProof(
            step=step.id,
            name=step.name,
            before=before.title if before else None,
            after=after.title if after else None,
            hours=step.hours,
            wanted=step.demand,
            flow=figure(flow_quantity(self.right), flow, "measured") if flow and self.right.flow_is_measured else None,
            reached=self._reached(step, flow),
            before_watts=_watts_figure(before),
            same_flow=self._same_flow(baseline, flow),
            watts=_watts_result(watts, after),
            promised_watts=step.input_power,
            saved_watts=_saved_watts(saved, baseline, watts),
            system=self._system(after),
            air=air,
        )
        return StepRead(told, watts, saved, hours, promised_w)

    def _watts(self, after: SetFacts) -> Estimate | Absent:
        return paid_watts(
            after.reading_as_typed(self.job.document.readings),
            after.number,
            self.job.document.meters.accuracies,
            self.same_meters,
        )

    def _flow(self, after: SetFacts | None) -> Estimate | None:
        """The flow after; by the same meters as before its error is shared with the flow before."""
        if after is None or after.flow is None:
            return None
        return after.flow if self.same_meters else of_other_meters(after.flow)

    def _baseline(self, step: StepAnswer, after: SetFacts | None) -> Estimate | Absent:
        """What the repaired machine would take at the flow that was reached, as it meets part flow today, W."""
        flow, asked = self._flow(after), Asked(self.year.duty.part_flow, machines=self.year.machines)
        duty_step = next((one for one in self.year.steps if one.id == step.id), None)
        demand = demand_of(duty_step, self.right, self.year.wanted_flow_m3s) if duty_step else None
        if not isinstance(demand, Demand):
            return demand or Waiting(say("term-waits-for-a-flow"))
        reached = flow / self.right.flow if flow is not None and self.right.flow_is_measured else exactly(demand.share)
        at = [
            at_reached_flow(
                self.right, demand, min(max(reached.value + off * reached.standard, LEAST_REACHED), MOST_SHARE), asked
            )
            for off in (0.0, 1.0, -1.0)
        ]
        watts, more, less = (one.input_power for one in at)
        if watts is None:
            return at[0].absent or Waiting(say("term-waits-for-the-machine-as"))
        sides = [abs(one.value - watts.value) for one in (more, less) if one is not None]
        spread = sum(sides) / len(sides) if sides else 0.0  # at an end of what can be solved one side tells for both
        return repeated(watts.with_contribution(f"flow reached, {step.id}", spread), "before")

    def _reached(self, step: StepAnswer, flow: Estimate | None) -> Phrase:
        if flow is None:
            return (say("proof-steps-reached-flow-read"),)
        if step.demand is None or not self.right.flow_is_measured:
            return ()
        tolerance = self.job.document.setup.tolerance
        allowed = tolerance.si if tolerance else 0.05
        off = flow.value / step.demand.value - 1
        if abs(off) <= allowed:
            return (
                ("reached",)
                if abs(off) + flow.uncertainty / step.demand.value <= allowed
                else (say("proof-steps-reached-reached-near"),)
            )
        return tell("proof-steps-reached-missed", change=figure("change", off, "measured"))

    def _same_flow(self, baseline: Estimate | Absent, flow: Estimate | None) -> Result:
        label = say("proof-steps-same-flow-put-right")
        if isinstance(baseline, Absent):
            return not_known(label, baseline)
        quantity = flow_quantity(self.right)
        ingredients = (
            (given("q", say("proof-steps-same-flow-flow-after"), quantity, flow, "measured"),)
            if flow and self.right.flow_is_measured
            else ()
        )
        return result(
            label, "input_power", baseline, say("proof-steps-same-flow-w-machine"), ingredients,
            say("proof-steps-same-flow-machine-found"),
        )  # fmt: skip

    def _system(self, after: SetFacts | None) -> Phrase:
        """How the system stands against the one before, where flow and static were read both times."""
        ratio = self._coefficient_ratio(after)
        if ratio is None or abs(ratio.value - 1) <= max(ratio.uncertainty, SYSTEM_SPREAD):
            return ()
        word = say("proof-steps-system-tighter") if ratio.value > 1 else say("proof-steps-system-freer")
        return tell("proof-steps-system-system-before", change=figure("change", abs(ratio.value - 1), "measured"), word=word, change_2=figure("change", ratio.value - 1, "estimated"), more_shaft=say("proof-steps-system-more-shaft") if ratio.value > 1 else say("proof-steps-system-shaft"))  # fmt: skip

    def _air(self, before: SetFacts | None, after: SetFacts | None) -> tuple[float, Phrase]:
        """Density of the air after over before, and what is said of it; one where it was not read both times, or water is moved."""
        if self.right.machine_type is MachineType.PUMP or before is None or after is None:
            return 1.0, ()
        readings = self.job.document.readings
        then, now = (facts.reading_as_typed(readings).entering for facts in (before, after))
        if then is None or now is None:
            return 1.0, ()
        ratio = (then.si + KELVIN) / (now.si + KELVIN)
        if abs(ratio - 1) < LEAST_DENSITY:
            return 1.0, ()
        return ratio, tell("proof-steps-air", temperature=as_typed("temperature", then, "measured"), temperature_2=as_typed("temperature", now, "measured"), ratio="+" if ratio > 1 else "", change=figure("change", ratio - 1))  # fmt: skip

    def _coefficient_ratio(self, after: SetFacts | None) -> Estimate | None:
        right = self.right
        if after is None or not (
            after.flow and after.pressure and right.flow_is_measured and right.pressure_is_measured
        ):
            return None
        fixed = right.fixed_pressure.value
        now, then = after.pressure - fixed, right.pressure - fixed
        if now.value <= 0 or then.value <= 0 or after.flow.value <= 0:
            return None
        ratio = right.flow / after.flow
        (of_flows,) = propagate(lambda flows, n: flows**n, ratio, right.exponent)
        return now / then * of_flows

    def changed(self) -> tuple[Phrase, ...]:
        """What else changed, as was said, and what that does to the proof."""
        said = self.job.document.proof
        told: list[Phrase] = []
        if said.filter_changed == "yes":
            told.append((say("proof-steps-changed-filter-changed"),))
        if said.damper_changed == "yes":
            told.append((say("proof-steps-changed-damper-duct"),))
        if said.season_changed == "yes":
            told.append((say("proof-steps-changed-another-season"),))
        if said.notes:
            told.append((said.notes,))
        return tuple(told)


def _nearest(step: StepAnswer, free: list[SetFacts]) -> SetFacts | None:
    if step.demand is None:
        return None
    wanted = step.demand.value
    near = [facts for facts in free if facts.flow and abs(facts.flow.value / wanted - 1) <= NEAR]
    return min(near, key=lambda facts: abs((facts.flow.value if facts.flow else 0.0) - wanted), default=None)


def _watts_figure(before: SetFacts | None) -> Figure | None:
    watts = before.running.input_power if before else None
    return figure("input_power", watts, "measured") if watts else None


def _watts_result(watts: Estimate | Absent, after: SetFacts | None) -> Result:
    label = say("proof-steps-watts-result-watts-after")
    if isinstance(watts, Absent):
        return not_known(label, watts)
    ingredients = (given("W", say("term-input-power"), "input_power", watts, "measured", after.title if after else ""),)
    return result(
        label,
        "input_power",
        watts,
        say("proof-steps-watts-result-read-line"),
        ingredients,
        say("proof-steps-watts-result-true-wattmeter"),
    )


def _saved_watts(saved: Estimate | None, baseline: Estimate | Absent, watts: Estimate | Absent) -> Result:
    label = say("proof-steps-saved-watts-watts-saved")
    for one in (watts, baseline):
        if isinstance(one, Absent):
            return not_known(label, one)
    assert saved is not None and isinstance(baseline, Estimate) and isinstance(watts, Estimate)
    ingredients = (
        given("W_0", say("proof-steps-saved-watts-put-right"), "input_power", baseline, "estimated"),
        given("W_1", say("proof-steps-saved-watts-after"), "input_power", watts, "measured"),
    )
    return result(
        label, "input_power", saved, "W_0 − W_1", ingredients, say("proof-steps-saved-watts-jcgm-gum"),
    )  # fmt: skip
