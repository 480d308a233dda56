"""The machine as found: its curve, its system, its motor, ready to be asked for another flow."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.entry import Entry
from modest_rotor.core.estimate import Estimate, exactly, measured, propagate
from modest_rotor.core.identify.efficiency import TypicalMotor
from modest_rotor.core.identify.fit import FittedMotor
from modest_rotor.core.identify.motor import PlateFacts
from modest_rotor.core.options.contradiction import NOTHING_FITS, contradiction
from modest_rotor.core.options.exponent import USUAL, system_exponent
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import Basis
from modest_rotor.core.physics.fan import (
    MachineCurve,
    MachineType,
    Shape,
    generic_shape,
    medium_of,
    shaft_power_from_air_w,
)
from modest_rotor.core.physics.induction import input_power_w
from modest_rotor.core.physics.system import SystemCurve, system_through
from modest_rotor.core.quantities import in_both_units
from modest_rotor.core.say import say
from modest_rotor.core.stations.motor_fit import MotorFit
from modest_rotor.core.stations.readings import DISTURBED, WITHOUT_SYSTEM
from modest_rotor.core.stations.set_facts import SetFacts

PLACE = measured(1.0, **{"place on the generic curve": 0.2})
"""Where a machine as found lies on its generic curve, as flow relative to best efficiency. Our judgement, no source."""
STRAYS = (
    measured(0.0, **{"pressure away from the generic curve": 0.20}),
    measured(0.0, **{"power away from the generic curve": 0.25}),
)
"""Logarithms by which a machine's own curves leave the generic ones on the way from the point found to no flow. Our judgement, no
source; held against the second population of truths, docs/how-good.md."""
GENERIC_EFFICIENCY_SHARE = 0.15
"""Standard deviation of a generic machine's efficiency, as a share of it. Our judgement, no source."""
ASSUMED_LOAD = measured(0.80, **{"assumed load of a dead motor": 0.15})
"""Load of a motor that cannot be run, as a fraction of rated: direct-drive fans are mostly fitted so. Our judgement, no source."""
UNREAD_SPEED_SHARE = 0.025
"""Standard deviation of the running speed when only the plate's is known, as a share of it."""


@dataclass(frozen=True)
class FoundMachine:
    """The machine of today on its full setting, with what its curve and system are worked from.

    Flow and pressure are in m³/s and Pa, or relative (1 at the point found) where they were not measured; a flow that chart,
    table or temperature rise tell stands for a measured one, with its own uncertainty. ``sets`` are those that it rests on: the
    reference, and those of taps and regulator steps. ``is_moved`` says that it was put right, or changed otherwise, since the
    set on which it stands.
    """

    machine_type: MachineType
    shape: Shape
    plate: PlateFacts
    motor: TypicalMotor
    reference: SetFacts | None
    sets: tuple[SetFacts, ...]
    flow: Estimate
    flow_is_measured: bool
    pressure: Estimate
    pressure_is_measured: bool
    fixed_pressure: Estimate
    fixed_is_assumed: bool
    place: Estimate
    speed: Estimate
    speed_basis: Basis
    shaft_power: Estimate
    shaft_power_basis: Basis
    input_power: Estimate
    input_power_basis: Basis
    fit: MotorFit | None = None
    is_moved: bool = False
    exponent: Estimate = USUAL
    exponent_basis: Basis = "assumed"

    @property
    def curve(self) -> MachineCurve:
        """The machine's curve through the point found."""
        return MachineCurve(self.shape, self.flow.value, self.pressure.value, self.shaft_power.value, self.place.value)

    @property
    def system(self) -> SystemCurve:
        """The system through the point found."""
        return system_through(self.flow.value, self.pressure.value, self.fixed_pressure.value, self.exponent.value)

    @property
    def own(self) -> FittedMotor | None:
        """The motor that is in the machine, fitted to every reading."""
        return self.fit.full if self.fit else None

    @property
    def new(self) -> FittedMotor | None:
        """A motor of the same plate, of which nothing was read."""
        return self.fit.bare if self.fit else None

    @property
    def flow_basis(self) -> Basis:
        """What the flow stands on: measured, told by chart, table or temperature rise, or assumed as 1."""
        return self.reference.flow_basis if self.reference and self.flow_is_measured else "assumed"

    @property
    def volts(self) -> Estimate:
        """Volts at the motor: as read, or else the plate's."""
        read = self.reference.running.voltage if self.reference else None
        return read if read and read.value > 0 else exactly(self.plate.rated_voltage_v or 0.0)

    @property
    def current(self) -> Estimate | None:
        """Line amps as read on the full setting, or carried with the watts where the machine was changed since."""
        read = self.reference.running.current if self.reference else None
        watts = self.reference.running.input_power if self.reference else None
        if read is None or not self.is_moved:
            return read
        return read * (self.input_power.value / watts.value) if watts else None

    @property
    def curve_inputs(self) -> tuple[Estimate, ...]:
        """What curve and system are built from, in the order in which ``curve_and_system`` takes it."""
        point = self.flow, self.pressure, self.shaft_power, self.place, self.fixed_pressure, self.exponent
        return (*point, *STRAYS) if self.shape.generic else (*point, exactly(0.0), exactly(0.0))


def reference_set(sets: tuple[SetFacts, ...]) -> SetFacts | None:
    """The set that stands for the machine as found: the first on the full setting that says anything of its power.

    One of a test (duct off, a panel open) stands for it only where there is no other; one without its system never does.
    """
    full = [facts for facts in sets if facts.on_full_tap and facts.reading.duct not in WITHOUT_SYSTEM]
    as_it_runs = [facts for facts in full if facts.reading.duct not in DISTURBED]
    with_power = [facts for facts in as_it_runs if facts.shaft_power] or [facts for facts in full if facts.shaft_power]
    return next(iter(with_power or as_it_runs or full), None)


def find_machine(
    machine_type: MachineType | None,
    plate: PlateFacts,
    motor: TypicalMotor | Absent,
    sets: tuple[SetFacts, ...],
    fixed_pressure: Entry | None,
    dead: bool,
    fit: MotorFit | None = None,
    exponent: Entry | None = None,
) -> FoundMachine | Absent:
    """The machine as found, or what it waits for; plate and sets in SI, ``fixed_pressure`` (Pa) and ``exponent`` as typed on Duty.

    Validity: one machine at one steady point. Source: definitions; each figure names its own.
    """
    if machine_type is None:
        return Waiting(say("found-machine-find-machine"))
    if isinstance(motor, Absent):
        return motor
    reference = reference_set(sets)
    fixed = exactly(fixed_pressure.si if fixed_pressure else 0.0)
    pressure = reference.pressure if reference else None
    flow = reference.flow if reference else None
    cannot = _unreadable(machine_type, flow, pressure, fixed) or _unlikely(reference, plate, fit)
    if cannot is not None:
        return cannot
    power = _shaft_power(machine_type, reference, plate, flow, pressure, dead)
    if isinstance(power, Absent):
        return power
    speed = _speed(reference, plate)
    if isinstance(speed, Absent):
        return speed
    watts = _input_power(reference, plate, motor, power[0])
    grows = system_exponent(exponent, sets, fixed)
    return FoundMachine(
        machine_type=machine_type,
        shape=generic_shape(machine_type),
        plate=plate,
        motor=motor,
        reference=reference,
        sets=tuple(facts for facts in sets if facts is reference or not facts.on_full_tap),
        flow=flow or exactly(1.0),
        flow_is_measured=flow is not None,
        pressure=pressure or exactly(1.0),
        pressure_is_measured=pressure is not None,
        fixed_pressure=fixed,
        fixed_is_assumed=fixed_pressure is None,
        place=PLACE,
        speed=speed[0],
        speed_basis=speed[1],
        shaft_power=power[0],
        shaft_power_basis=power[1],
        input_power=watts[0],
        input_power_basis=watts[1],
        fit=fit,
        exponent=grows[0],
        exponent_basis=grows[1],
    )


def _unlikely(reference: SetFacts | None, plate: PlateFacts, fit: MotorFit | None) -> Withheld | None:
    """Why no motor of this plate reads so, if none does."""
    against = contradiction(reference, plate)
    if against is not None:
        return Withheld(against.withheld)
    return Withheld(NOTHING_FITS) if fit is not None and fit.fits_nothing else None


def _unreadable(
    machine_type: MachineType, flow: Estimate | None, pressure: Estimate | None, fixed: Estimate
) -> Absent | None:
    """Why flow and pressure as read cannot be a point of a running machine, if they cannot."""
    told_in = medium_of(machine_type).pressure
    if flow is not None and flow.value <= 0:
        return Withheld(say("found-machine-unreadable-flow-read"))
    if pressure is not None and pressure.value <= 0:
        return Withheld(
            say("found-machine-unreadable-pressure-across", in_both_units=in_both_units(pressure.value, told_in))
        )
    if fixed.value > 0 and pressure is None:
        return Waiting(say("found-machine-unreadable-waits-pressure"))
    if fixed.value > 0 and pressure is not None and pressure.value <= fixed.value:
        return Withheld(
            say(
                "found-machine-unreadable-pressure-stays",
                in_both_units=in_both_units(fixed.value, told_in),
                in_both_units_2=in_both_units(pressure.value, told_in),
            )
        )
    return None


def _shaft_power(
    machine_type: MachineType,
    reference: SetFacts | None,
    plate: PlateFacts,
    flow: Estimate | None,
    pressure: Estimate | None,
    dead: bool,
) -> tuple[Estimate, Basis] | Absent:
    if reference and reference.shaft_power and reference.shaft_power.value > 0:
        return reference.shaft_power, "estimated"
    if reference and reference.above_synchronous:
        return Withheld(say("found-machine-shaft-power-withheld-speed"))
    if flow and pressure:
        shape = generic_shape(machine_type)
        typical = shape.best_efficiency
        generic = measured(typical, **{"efficiency of the generic machine": GENERIC_EFFICIENCY_SHARE * typical})
        (power,) = propagate(shaft_power_from_air_w, flow, pressure, generic)
        return power, "estimated"
    if dead and plate.rated_power_w:
        return ASSUMED_LOAD * plate.rated_power_w, "assumed"
    return Waiting(say("found-machine-shaft-power-waits-load"))


def _speed(reference: SetFacts | None, plate: PlateFacts) -> tuple[Estimate, Basis] | Absent:
    if reference and reference.running.speed and reference.running.speed.value > 0:
        return reference.running.speed, "measured"
    if plate.rated_speed_rpm:
        spread = UNREAD_SPEED_SHARE * plate.rated_speed_rpm
        return measured(plate.rated_speed_rpm, **{"speed taken from the plate": spread}), "assumed"
    return Waiting(say("found-machine-speed"))


def _input_power(
    reference: SetFacts | None, plate: PlateFacts, motor: TypicalMotor, shaft_power: Estimate
) -> tuple[Estimate, Basis]:
    watts = reference.running.input_power if reference else None
    if reference and watts and watts.value > 0 and not reference.above_synchronous:
        return watts, "measured"
    assert plate.rated_power_w is not None
    rated = plate.rated_power_w
    (estimated,) = propagate(
        lambda power, efficiency, fixed: input_power_w(power, rated, efficiency, fixed),
        shaft_power,
        motor.rated_efficiency,
        motor.fixed_share,
    )
    return estimated, "estimated"
