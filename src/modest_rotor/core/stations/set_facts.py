"""One set of readings as estimates in SI, with the load by every method."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace

from modest_rotor.core.entry import Entry
from modest_rotor.core.errors import BeyondTables, OutsideValidity
from modest_rotor.core.estimate import Estimate, measured
from modest_rotor.core.identify import load
from modest_rotor.core.identify.doubt import FARTHEST_MISFIT
from modest_rotor.core.identify.efficiency import TypicalMotor, typical_motor
from modest_rotor.core.identify.electronic_load import electronic_load
from modest_rotor.core.identify.fitted_load import apart, doubted, machine_side_power, with_machine_side
from modest_rotor.core.identify.load import LoadByMethod, Method, Running
from modest_rotor.core.identify.meters import Accuracies, read_by_meter
from modest_rotor.core.identify.motor import NO_PLATE, PlateFacts
from modest_rotor.core.outcome import Absent, Waiting, Withheld
from modest_rotor.core.phrase import Basis
from modest_rotor.core.physics.fan import MachineType, generic_shape, medium_of
from modest_rotor.core.physics.induction import synchronous_speed_rpm
from modest_rotor.core.say import say
from modest_rotor.core.stations.motor_fit import ELECTRONIC_REFUSAL, LOWER_TAPS, MotorFit, other_speed
from modest_rotor.core.stations.readings import ReadingSet
from modest_rotor.core.stations.trust import Disbelieved, Standing, believed, on_a_drive, standing_of

THIS_MOTOR = say("term-this-motor")
FAN_OFF_BEST, FAN_SHARE = 0.72, 0.28
"""Efficiency of a fan as it is fitted over the best one of its kind, and the standard deviation of its logarithm: statics are often
read outside a cabinet whose own resistance the wheel works against too. Our judgement, no source."""
PUMP_OFF_BEST, PUMP_SHARE = 0.95, 0.24
"""The same of a pump, whose gauges sit at its flanges."""
NOTHING_READ = ReadingSet(id="none")
SAME_HERTZ = 0.02
"""Share within which the hertz of a set are the plate's."""
DISAGREEMENT_SHARE = 0.10
"""By how much the uncertainty opens while plate and readings disagree, standard deviation as a share. Our judgement, no source."""


@dataclass(frozen=True)
class SetFacts:
    """What one set says, in SI, each value with its uncertainty.

    :param pressure: total external static pressure of a fan, or differential of a pump, Pa.
    :param one_sided: whether a fan's pressure was read on one side only.
    :param disagreeing: trusted methods whose ranges do not touch that of the chosen one.
    :param tap_name: the lower tap that was live, by the name under which a fit knows it.
    :param motor_side: shaft power by the fitted motor alone, W.
    :param machine_side: shaft power that flow and pressure ask for, W.
    :param reading: the set as it is worked with. :param withheld: what was read but is not.
    :param synchronous_rpm: synchronous speed at the hertz of this set.
    :param standing: why it says nothing of a running machine, if it does not.
    :param flow_basis: whether the flow was measured, or is told by chart, table or temperature rise.
    """

    id: str
    number: int
    name: str
    on_full_tap: bool
    running: Running
    pressure: Estimate | None
    one_sided: bool
    flow: Estimate | None
    methods: tuple[LoadByMethod, ...]
    chosen: LoadByMethod | None
    disagreeing: tuple[LoadByMethod, ...]
    shaft_power: Estimate | None
    above_synchronous: bool
    tap_name: str | None = None
    motor_side: Estimate | None = None
    machine_side: Estimate | None = None
    reading: ReadingSet = NOTHING_READ
    withheld: tuple[Disbelieved, ...] = ()
    synchronous_rpm: float | None = None
    standing: Standing | None = None
    flow_basis: Basis = "measured"

    @property
    def title(self) -> str:
        """How the set is called in a sentence."""
        return (
            say("set-facts-title-set", number=self.number, self_=self.name)
            if self.name
            else say("set-facts-title-set-2", number=self.number)
        )

    def reading_as_typed(self, readings: tuple[ReadingSet, ...]) -> ReadingSet:
        """The set as it was typed, with what is kept but not worked with."""
        return next(reading for reading in readings if reading.id == self.id)


def set_facts(
    as_read: ReadingSet,
    number: int,
    plate: PlateFacts,
    machine_type: MachineType | None,
    fit: MotorFit | None = None,
    accuracies: Accuracies = (),
) -> SetFacts:
    """Read one set by its meters and work out the load by every method; by the fitted motor where there is one."""
    plate, fit = _at_its_speed(as_read, plate, fit)
    reading, withheld = believed(as_read, plate)
    synchronous, on_full = _synchronous(reading, plate), _on_full_setting(reading, plate)

    def by_meter(entry: Entry | None, quantity: str) -> Estimate | None:
        return read_by_meter(entry, quantity, f"{quantity}, set {number}", accuracies) if entry else None

    running = Running(
        voltage=by_meter(reading.voltage, "voltage"),
        current=by_meter(reading.current, "current"),
        speed=by_meter(reading.speed, "speed"),
        input_power=by_meter(reading.input_power, "input_power"),
        full_tap=on_full,
        tap_said=reading.tap is not None,
    )
    above = bool(running.speed and synchronous and running.speed.value >= synchronous)
    methods = tuple(_withheld_above(one) if above else one for one in _methods(running, plate))
    pressure, one_sided = _pressure(reading, machine_type, by_meter)
    flow = by_meter(reading.flow(machine_type), medium_of(machine_type).flow)
    machine_side = _machine_side(machine_type, flow, pressure)
    together = None if above else _fitted(reading, plate, fit, machine_side, machine_type is not MachineType.PUMP)
    if together is not None:
        fitted, whole = together
        chosen: LoadByMethod | None = whole
        methods = (*fitted, *(doubted(method) for method in methods if method.method is not Method.WATTS))
    else:
        chosen = load.best_of(methods)
    disagreeing = load.disagreement(chosen, methods) if chosen else ()
    return SetFacts(
        id=reading.id,
        number=number,
        name=reading.name,
        on_full_tap=on_full,
        running=running,
        pressure=pressure,
        one_sided=one_sided,
        flow=flow,
        methods=methods,
        chosen=chosen,
        disagreeing=disagreeing,
        shaft_power=load.widened(chosen, disagreeing) if chosen else None,
        above_synchronous=above,
        tap_name=LOWER_TAPS.get(reading.tap) if reading.tap else None,
        motor_side=_motor_side(reading, fit) if together else None,
        machine_side=machine_side,
        reading=reading,
        withheld=withheld,
        synchronous_rpm=synchronous,
        standing=standing_of(as_read),
    )


def _at_its_speed(as_read: ReadingSet, plate: PlateFacts, fit: MotorFit | None) -> tuple[PlateFacts, MotorFit | None]:
    """The plate and the fit that a set is held against: those of the low speed of a motor that is switched between two."""
    return (plate.low or NO_PLATE, None) if other_speed(as_read, plate) else (plate, fit)


def _on_full_setting(reading: ReadingSet, plate: PlateFacts) -> bool:
    """Whether plate speed and amps apply: the full tap, the plate's hertz, and the whole command where there is one."""
    hertz = reading.frequency.si if reading.frequency else None
    same = hertz is None or plate.frequency_hz is None or abs(hertz / plate.frequency_hz - 1) <= SAME_HERTZ
    whole = reading.signal is None or reading.signal.si >= 1 - SAME_HERTZ
    known = not on_a_drive(reading) or (reading.frequency is not None and reading.voltage is not None)
    return reading.on_full_tap and same and whole and known


def _synchronous(reading: ReadingSet, plate: PlateFacts) -> float | None:
    """Synchronous speed at the hertz of the set, rpm."""
    if reading.frequency is None or plate.poles is None:
        return plate.synchronous_speed_rpm
    return synchronous_speed_rpm(reading.frequency.si, plate.poles)


def _fitted(
    reading: ReadingSet, plate: PlateFacts, fit: MotorFit | None, machine: Estimate | None, is_fan: bool
) -> tuple[tuple[LoadByMethod, ...], LoadByMethod] | None:
    """The methods through the fitted motor, and the value that uses all of them and the machine; nothing without a fit."""
    found = fit.load_of(reading.id) if fit else ()
    if fit is None or not found or found[-1].shaft_power is None or not plate.rated_power_w:
        return None
    *fitted, whole = found
    if fit.readings_disagree or fit.plate_is_doubtful:
        assert whole.shaft_power is not None
        spread = DISAGREEMENT_SHARE * whole.shaft_power.value
        whole = replace(whole, shaft_power=whole.shaft_power.with_contribution("readings disagree", spread))
    motor = whole.shaft_power
    if machine is not None and motor is not None and min(machine.value, motor.value) > 0:
        # What contradicts the motor is asked about, and not weighed with it: a set has one shaft power everywhere.
        machine = None if abs(apart(motor, machine, is_fan)) > FARTHEST_MISFIT else machine
    return tuple(fitted), with_machine_side(whole, machine, plate.rated_power_w)


def _motor_side(reading: ReadingSet, fit: MotorFit | None) -> Estimate | None:
    found = fit.load_of(reading.id) if fit else ()
    return found[-1].shaft_power if found else None


def _machine_side(
    machine_type: MachineType | None, flow: Estimate | None, pressure: Estimate | None
) -> Estimate | None:
    return machine_side_power(flow, pressure, fitted_efficiency(machine_type)) if machine_type else None


def fitted_efficiency(machine_type: MachineType) -> Estimate:
    """Efficiency of a generic machine as it is fitted, somewhere about its best point; a fraction.

    Source: best efficiencies of table ``generic_shapes``; the place on them our judgement.
    """
    off_best, share = (PUMP_OFF_BEST, PUMP_SHARE) if machine_type is MachineType.PUMP else (FAN_OFF_BEST, FAN_SHARE)
    value = off_best * generic_shape(machine_type).best_efficiency
    return measured(value, **{"efficiency of the generic machine": share * value})


def motor_of(plate: PlateFacts, whose: str) -> TypicalMotor | Absent:
    """The typical motor of a plate, or the sentence that says what is missing for it."""
    if plate.is_electronic:
        return Withheld(ELECTRONIC_REFUSAL)
    if plate.rated_power_w is None or plate.kind is None:
        return Waiting(say("set-facts-motor-of-waits-rated"))
    try:
        return typical_motor(plate, whose)
    except BeyondTables as limit:
        return Withheld(say("set-facts-motor-of-withheld", limit=limit.sentence))
    except OutsideValidity as refusal:
        return Withheld(refusal.sentence)


def plate_denial(plate: PlateFacts) -> str | None:
    """What on the plate does not belong together, in a sentence; a plate that is beyond the tables denies nothing."""
    if plate.is_electronic or plate.rated_power_w is None or plate.kind is None:
        return None
    try:
        typical_motor(plate, THIS_MOTOR)
    except BeyondTables:
        return None
    except OutsideValidity as refusal:
        return refusal.sentence
    return None


def _methods(running: Running, plate: PlateFacts) -> tuple[LoadByMethod, ...]:
    if plate.is_electronic:
        withheld = (
            LoadByMethod(method, None, None, None, None, False, ELECTRONIC_REFUSAL)
            for method in (Method.SLIP, Method.AMPS)
        )
        return (load.guarded(Method.WATTS, lambda: electronic_load(running, plate)), *withheld)
    motor = motor_of(plate, THIS_MOTOR)
    by_watts = (
        LoadByMethod(Method.WATTS, None, None, None, None, False, motor.why, (say("set-facts-methods"),))
        if isinstance(motor, Absent)
        else load.guarded(Method.WATTS, lambda: load.load_by_watts(running, plate, motor))
    )
    return (
        by_watts,
        load.guarded(Method.SLIP, lambda: load.load_by_slip(running, plate)),
        load.guarded(Method.AMPS, lambda: load.load_by_amps(running, plate)),
    )


def _withheld_above(method: LoadByMethod) -> LoadByMethod:
    if method.shaft_power is None:
        return method
    reason = say("set-facts-withheld-above")
    return LoadByMethod(method.method, method.formula_load, None, None, None, False, reason)


def _pressure(
    reading: ReadingSet, machine_type: MachineType | None, by_meter: Callable[[Entry | None, str], Estimate | None]
) -> tuple[Estimate | None, bool]:
    """Pressure across the machine, and whether it is that of one side only."""
    if machine_type is MachineType.PUMP:
        across = by_meter(reading.pump_differential, "pump_differential")
        suction = by_meter(reading.suction, "gauge_pressure")
        discharge = by_meter(reading.discharge, "gauge_pressure")
        return across or (discharge - suction if suction and discharge else None), False
    if reading.total_static is not None:
        return by_meter(reading.total_static, "pressure"), False
    supply = by_meter(reading.supply_static, "supply_static_pressure")
    back = by_meter(reading.return_static, "return_static_pressure")
    if supply is not None and back is not None:
        return supply - back, False
    one = supply if supply is not None else (back * -1.0 if back is not None else None)
    return one, one is not None
