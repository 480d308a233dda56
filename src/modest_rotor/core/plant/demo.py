"""The invented machines behind the simulated devices: a hall fan on a drive, a waiting hall's blower with an electronic motor.

They stray from what the demo's jobs say of them, as real machines do: ducts a little tighter or freer, wheels elsewhere on
their curves.
"""

from __future__ import annotations

from functools import cache

from modest_rotor.core.identify.fit import fit_motor
from modest_rotor.core.identify.motor import MotorKind, PlateFacts
from modest_rotor.core.physics.drive import Drive, Rectifier
from modest_rotor.core.physics.electronic import ElectronicMotor
from modest_rotor.core.physics.fan import MachineCurve, MachineType, generic_shape
from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.system import system_through
from modest_rotor.core.physics.three_phase import ThreePhaseMotor
from modest_rotor.core.plant.plant import Plant, Resonance
from modest_rotor.core.stations.traits import DriveTraits, SignalTraits


@cache
def hall_fan(traits: DriveTraits) -> Plant:
    """A backward-inclined fan with a three-phase motor of 1.5 kW on a drive; it rings at 31 and 43 Hz and just below 50."""
    motor = fit_motor(PlateFacts.of(MotorKind.THREE_PHASE, 1500.0, 400.0, 3.4, 1435.0, 50.0)).motor
    assert isinstance(motor, ThreePhaseMotor)
    machine = MachineCurve(generic_shape(MachineType.BACKWARD_INCLINED), 2.1, 388.0, 1310.0, 1.04)
    return Plant(
        motor=motor,
        load=Load(machine, 1444.0, system_through(2.1, 372.0, 0.0)),
        inertia_kgm2=0.16,
        volts=402.0,
        poles=4,
        drive=Drive(1500.0, 4.1, 50.0, 400.0, rectifier=Rectifier.THREE_PHASE),
        drive_traits=traits,
        supply_share=0.41,
        entering_c=18.5,
        sound_db=57.0,
        sound_hz=50.0,
        resonances=(Resonance(31.4, 0.9, 11.0), Resonance(43.0, 1.3, 9.0), Resonance(50.4, 0.6, 8.0)),
    )


@cache
def waiting_hall_blower(traits: SignalTraits) -> Plant:
    """A forward-curved blower with an electronic motor of 1 hp told by 0-10 V."""
    machine = MachineCurve(generic_shape(MachineType.FORWARD_CURVED), 0.845, 169.0, 560.0, 1.12)
    return Plant(
        motor=ElectronicMotor(745.7, 1150.0),
        load=Load(machine, 1089.0, system_through(0.845, 150.0, 0.0)),
        inertia_kgm2=0.12,
        volts=231.0,
        poles=6,
        signal=traits,
        supply_share=0.40,
        entering_c=22.0,
        sound_db=55.0,
        sound_hz=54.0,
    )
