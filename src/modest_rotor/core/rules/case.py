"""What a rule of judgement is given: the job and everything solved from it."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.entry import Entry
from modest_rotor.core.identify.motor import PlateFacts
from modest_rotor.core.job import Job
from modest_rotor.core.options.compare import OptionsAnswer
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.year import Year
from modest_rotor.core.outcome import Absent
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.core.stations.set_answer import SetAnswer
from modest_rotor.core.stations.set_facts import SetFacts
from modest_rotor.core.working import Result


@dataclass(frozen=True)
class Case:
    """The job and its solved machine. ``right`` is the repaired machine, ``after`` are the sets of the machine set up anew."""

    job: Job
    plate: PlateFacts
    fit: MotorFit
    sets: tuple[SetFacts, ...]
    found: FoundMachine | Absent
    year: Year
    options: OptionsAnswer
    wanted: Result
    answers: tuple[SetAnswer, ...]
    right: FoundMachine | Absent
    after: tuple[SetFacts, ...] = ()
    after_answers: tuple[SetAnswer, ...] = ()

    @property
    def answered(self) -> tuple[tuple[SetFacts, SetAnswer], ...]:
        """Each set of the machine as found with its answer."""
        return tuple(zip(self.sets, self.answers, strict=True))

    @property
    def all_answered(self) -> tuple[tuple[SetFacts, SetAnswer], ...]:
        """Every set with its answer, those of the machine set up anew last."""
        return (*self.answered, *zip(self.after, self.after_answers, strict=True))

    @property
    def machine(self) -> FoundMachine | None:
        """The machine as found, if it could be."""
        return None if isinstance(self.found, Absent) else self.found

    @property
    def machine_type(self) -> MachineType | None:
        """What the motor drives."""
        return self.job.machine.type

    @property
    def least_flow(self) -> Entry | None:
        """The documented least flow of what the wheel moves, if one is recorded."""
        return self.job.document.call.minimum_flow(self.machine_type)
