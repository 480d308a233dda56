"""What set-up is given: the job, the option that was chosen, the machine it goes on; and which features decide its steps."""

from __future__ import annotations

import itertools
import math
from collections.abc import Callable
from dataclasses import dataclass
from functools import cached_property

from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.job import Job
from modest_rotor.core.options.answers import OptionAnswer
from modest_rotor.core.options.checks.place import Fits
from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.options.found_machine import FoundMachine
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.options.traits import SetBy, Traits
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.stations.call import Protected
from modest_rotor.core.stations.options import Candidate
from modest_rotor.core.stations.product import CommandKind
from modest_rotor.core.stations.traits import DriveTraits, SignalTraits


@dataclass(frozen=True)
class SetupFacts:
    """The chosen option on its machine."""

    job: Job
    option: OptionAnswer
    candidate: Candidate
    machine: FoundMachine

    @property
    def kind(self) -> OptionKind:
        """What is fitted."""
        return self.option.kind

    @property
    def traits(self) -> Traits:
        """What that kind is."""
        return traits_of(self.kind)

    @property
    def brings_motor(self) -> bool:
        """Whether another motor goes on the shaft of today."""
        return self.traits.brings_motor(self.candidate.product, self.machine.plate.kind)

    @property
    def connection(self) -> tuple[float, float | None] | None:
        """Volts and full-load amps of the connection in use: of the motor that is fitted, else of the one that stays.

        By what the voltage selector is set for, else by the volts measured here; ``None`` where no plate tells.
        """
        setup = self.job.document.setup
        volts = next(
            (entry.si for entry in (setup.voltage_selector, setup.first_volts) if entry),
            self.machine.volts.value or None,
        )
        product = self.candidate.product
        if product is not None and product.motor_kind is not None:
            link = product.link(volts)
            return (link.volts_v, link.amps_a) if link else None
        if self.brings_motor and (self.traits.electronic or self.on_drive):
            return None  # an unnamed motor of another kind: its plate is read when it is here
        return self.job.document.nameplate.connection_at(volts)

    @property
    def on_drive(self) -> bool:
        """Whether a drive sets the speed."""
        return self.traits.on_drive

    @property
    def drive_traits(self) -> DriveTraits:
        """What the drive can do; of an ordinary one where no profile was chosen."""
        traits = self.job.document.setup.traits
        return (traits.drive if traits else None) or DriveTraits(top_hz=max(60.0, self.plate_hz))

    @property
    def signal_traits(self) -> SignalTraits:
        """How volts become speed; straight from 0 to 10 V where no profile was chosen."""
        traits = self.job.document.setup.traits
        return (traits.signal if traits else None) or SignalTraits()

    @property
    def plate_hz(self) -> float:
        """Hertz of the motor on the drive: the product's, or the plate's."""
        product = self.candidate.product
        entry = product.frequency if product else None
        return entry.si if entry else (self.machine.plate.frequency_hz or 50.0)

    @property
    def by_dial(self) -> bool:
        """Whether the command is a dial in place of volts."""
        traits = self.job.document.setup.traits
        if traits is not None and traits.signal is not None:
            return False  # the device that was chosen takes a signal
        return self.traits.is_set_by_dial(self.candidate.product, self.job.document.options.fitting.command)

    @property
    def tolerance(self) -> float:
        """Share of the wanted flow within which a flow is right."""
        entry = self.job.document.setup.tolerance
        return entry.si if entry else USUAL_TOLERANCE

    @property
    def can_hold(self) -> bool:
        """Whether a loop can set its speed: a drive's, or that of an electronic motor told by a signal."""
        return self.on_drive or (self.traits.set_by is SetBy.SIGNAL and not self.by_dial)

    @cached_property
    def features(self) -> frozenset[str]:
        """The features by which the table of steps chooses."""
        document, plate, traits = self.job.document, self.machine.plate, self.traits
        fitting, duty_call = document.options.fitting, document.call
        pump = self.machine.machine_type is MachineType.PUMP
        charged = plate.run_capacitance_f is not None
        said = {
            "all": True,
            "hands": traits.hands,
            "electric": traits.rewires,
            "turning": True,
            "replaced": self.brings_motor or traits.whole_machine,
            "electronic": traits.electronic,
            "old electronics": plate.is_electronic,
            "drive": self.on_drive,
            "pump": pump,
            "fan": not pump,
            "sheave": "sheave" in traits.steps,
            "trim": "trim" in traits.steps,
            "taps": plate.kind is MotorKind.SPLIT_CAPACITOR and "taps" in traits.steps,
            "old capacitor": charged,
            "capacitor motor": charged and "capacitor motor" in traits.steps,
            "shaft differs": any(check.check == "shaft" and check.fits is not Fits.YES for check in self.option.checks),
            "calls": fitting.command is CommandKind.CALLS or document.target.heat is not None or document.target.cooling is not None,
            "loop": self.can_hold and document.setup.loop.holds is not None,
            "chart": document.charts.amps_chart is not None,
            "heat": document.target.heat is not None,
            "electric heat": duty_call.protected is Protected.ELECTRIC_HEAT,
            "cooling": document.target.cooling is not None or document.target.system is not None,
        }  # fmt: skip
        return frozenset(name for name, holds in said.items() if holds)

    @cached_property
    def curve(self) -> Callable[[float], float] | None:
        """Flow at a command, by the option's own solved steps; nothing where none has both."""
        points = sorted(
            {
                (piece.value, step.flow.value)
                for step in self.option.steps
                for piece in step.setting
                if not isinstance(piece, str) and step.flow and piece.value > 0 and step.flow.value > 0
            }
        )
        return curve_through(tuple(points)) if points else None


USUAL_TOLERANCE = 0.05
"""Share of the design flow within which a balanced flow usually has to lie. Common practice, no source."""


def curve_through(points: tuple[tuple[float, float], ...]) -> Callable[[float], float]:
    """Flow at a command through known points: straight in logarithms between them, in proportion beyond them.

    :param points: command and flow, both rising. Source: flow goes with speed on a free system, the affinity laws.
    """

    def flow(command: float) -> float:
        if command <= points[0][0]:
            return points[0][1] * command / points[0][0]
        for (c0, q0), (c1, q1) in itertools.pairwise(points):
            if command <= c1:
                exponent = math.log(q1 / q0) / math.log(c1 / c0)
                return q0 * math.pow(command / c0, exponent)
        return points[-1][1] * command / points[-1][0]

    return flow
