"""Simulated devices: simulated devices that speak Modbus TCP on loopback, showing the plant's machines as they run."""

from __future__ import annotations

import asyncio
import random
import time
from collections.abc import Callable
from concurrent.futures import Future
from dataclasses import dataclass, replace
from threading import RLock, Thread
from typing import Protocol

from pymodbus.constants import ExcCodes
from pymodbus.server import ModbusTcpServer
from pymodbus.simulator import DataType, SimData, SimDevice

from modest_rotor.core.coded import Coded
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.physics.electronic import ElectronicMotor
from modest_rotor.core.plant.plant import LoopSettings, Plant, Settings, Shown, advance, shown
from modest_rotor.core.plant.turning import State
from modest_rotor.fieldbus.codec import value_of, words_of
from modest_rotor.fieldbus.profile import DeviceKind, DeviceProfile, Register, Role

HOST = "127.0.0.1"
BITS = SimData(0, values=[False] * 16, datatype=DataType.BITS)
UNIT_PLACE = 6
"""Where the number of the device stands in a frame of Modbus TCP."""
FUNCTION_PLACE = 7
READ_INPUTS, WRITES = 4, (5, 6, 15, 16)
SLOW_S = 3.0
TICK_S = 1.0
MOST_CONNECTIONS_WAIT_S = 5.0
METERED = (Role.CURRENT, Role.INPUT_POWER, Role.SUPPLY_STATIC, Role.RETURN_STATIC)
Telling = float | bool | tuple[tuple[float, float], ...] | LoopSettings | None
"""What may be set of a machine."""
NOISE_FREE = (Role.IDENTITY, Role.NOISE, Role.DROP_OUTS, Role.DRIFT)


class Trouble(Coded):
    """What a simulated device can be made to do wrong, so that the client is tested against it."""

    NONE = "none"
    SILENT = "silent"
    SLOW = "slow"
    BUSY = "busy"
    HALF_A_FRAME = "half-a-frame"
    OUTSIDE = "outside"
    OTHER_UNIT = "other-unit"
    FROZEN = "frozen"
    LOST = "lost"


class InTime(Protocol):
    """A machine in real time, as simulated devices show it."""

    def look(self) -> Shown:
        """What stands to be measured now."""
        ...

    def tell(self, **changes: Telling) -> None:
        """Tell it something else from now on."""
        ...

    @property
    def ramping(self) -> bool:
        """Whether it is still on its way."""
        ...

    @property
    def rated_rpm(self) -> float:
        """Rated speed of its motor."""
        ...


class RunningPlant:
    """A plant in real time: whoever looks at it first lets it run up to now."""

    def __init__(self, plant: Plant, settings: Settings, clock: Callable[[], float] = time.monotonic) -> None:
        self.plant, self.settings = plant, settings
        self._state = State()
        self._clock, self._at = clock, clock()
        self._lock = RLock()

    def look(self) -> Shown:
        """What stands to be measured now."""
        with self._lock:
            self._run_on()
            return shown(self.plant, self.settings, self._state)

    def tell(self, **changes: Telling) -> None:
        """Tell it something else from now on."""
        with self._lock:
            self._run_on()
            self.settings = replace(self.settings, **changes)  # type: ignore[arg-type]

    @property
    def ramping(self) -> bool:
        """Whether the drive is still on its way."""
        return (
            self.settings.run
            and self.settings.loop is None
            and abs(self._state.output_hz - self.settings.frequency_hz) > 0.05
        )

    @property
    def rated_rpm(self) -> float:
        """Rated speed of its motor, rpm; nought of one that a drive feeds."""
        motor = self.plant.motor
        return float(motor.rated_speed_rpm) if isinstance(motor, ElectronicMotor) else 0.0

    def _run_on(self) -> None:
        now = self._clock()
        self._state = advance(self.plant, self.settings, self._state, now - self._at)
        self._at = now


@dataclass
class Panel:
    """How a meter panel errs: all shares."""

    noise: float = 0.004
    drop_outs: float = 0.0
    drift: float = 0.0


class SimulatedDevice:
    """One simulated device: its registers worked out at every request from the plant."""

    def __init__(
        self, key: str, name: str, profile: DeviceProfile, plant: InTime, seed: int = 7, site: str | None = None
    ) -> None:
        self.key, self.name, self.profile, self.plant, self.site = key, name, profile, plant, site
        self.trouble = Trouble.NONE
        self.panel = Panel()
        self.held: dict[Role, float] = dict(_FIRST.get(profile.kind, {}))
        self.port = 0
        self._random = random.Random(seed)
        self._frozen: dict[Role, float] | None = None

    def values(self) -> dict[Role, float]:
        """Every role's value now, in SI."""
        now = self._shown() | {Role.IDENTITY: float(self.profile.identity)}
        if self.trouble is not Trouble.FROZEN:
            self._frozen = None
            return now
        self._frozen = self._frozen or now
        return self._frozen

    def _shown(self) -> dict[Role, float]:
        seen = self.plant.look()
        if self.profile.kind is DeviceKind.DRIVE:
            return self.held | _drive_values(seen, self.plant)
        if self.profile.kind is DeviceKind.FAN:
            return self.held | _fan_values(seen, self.plant)
        return self._as_metered(_meter_values(seen))

    def _as_metered(self, values: dict[Role, float]) -> dict[Role, float]:
        panel = self.panel
        noisy = {
            role: value * (1 + self._random.gauss(0.0, panel.noise)) * (1 + (panel.drift if role in METERED else 0.0))
            for role, value in values.items()
        }
        return noisy | {Role.NOISE: panel.noise, Role.DROP_OUTS: panel.drop_outs, Role.DRIFT: panel.drift}

    def write(self, role: Role, value: float) -> None:
        """Take a value that was written."""
        if role in (Role.NOISE, Role.DROP_OUTS, Role.DRIFT):
            setattr(self.panel, role.value, value)
            return
        self.held[role] = value
        self.plant.tell(**_settings_by(self.held, self.profile.kind))

    async def serve(self) -> ModbusTcpServer:
        """Begin to answer, on a port that is free."""
        server = ModbusTcpServer(self._device(), address=(HOST, self.port), trace_packet=self._on_wire)
        await server.serve_forever(background=True)
        self.port = int(server.transport.sockets[0].getsockname()[1])  # type: ignore[attr-defined]
        return server

    def _device(self) -> SimDevice:
        def block(kind: str) -> list[SimData]:
            found = [one for one in self.profile.registers if one.kind == kind]
            return [SimData(one.address, count=one.words, datatype=DataType.REGISTERS) for one in found] or [SimData(65000, datatype=DataType.REGISTERS)]  # fmt: skip

        return SimDevice(id=1, simdata=([BITS], [BITS], block("holding"), block("input")), action=self._asked)

    async def _asked(
        self,
        function: int,
        start: int,
        address: int,
        count: int,
        current: list[int],
        new: list[int] | list[bool] | None,
    ) -> ExcCodes | None:
        if self.trouble is Trouble.SLOW:
            await asyncio.sleep(SLOW_S)
        if self.trouble is Trouble.BUSY:
            return ExcCodes.DEVICE_BUSY
        kind = "input" if function == READ_INPUTS else "holding"
        if new is not None:
            return self._written(address, [int(word) for word in new])
        values = self.values()
        for register in self.profile.registers:
            if register.kind == kind and register.role in values:
                words = self._words(register, values[register.role])
                current[register.address - start : register.address - start + len(words)] = words
        return None

    def _words(self, register: Register, value: float) -> list[int]:
        if self.trouble is Trouble.OUTSIDE and register.role is not Role.IDENTITY:
            return [0xFFFF] * register.words if register.type != "float32" else [0x7FC0, 0]
        low, high = (None if end is None else register.to_si(end) for end in (register.low, register.high))
        kept = min(max(value, low if low is not None else value), high if high is not None else value)
        return words_of(self.profile, register, kept)

    def _written(self, address: int, words: list[int]) -> ExcCodes | None:
        register = next(
            (one for one in self.profile.registers if one.kind == "holding" and one.address == address), None
        )
        if register is None or register.words != len(words) or register.access != "write":
            return ExcCodes.ILLEGAL_ADDRESS
        try:
            self.write(register.role, value_of(self.profile, register, words))
        except OutsideValidity:
            return ExcCodes.ILLEGAL_VALUE
        return None

    def _on_wire(self, sending: bool, data: bytes) -> bytes:
        if not sending:
            return data
        if self.trouble is Trouble.SILENT or self._random.random() < self.panel.drop_outs:
            return b""
        if self.trouble is Trouble.LOST and data[FUNCTION_PLACE] in WRITES:
            return b""
        if self.trouble is Trouble.HALF_A_FRAME:
            return data[: len(data) // 2]
        if self.trouble is Trouble.OTHER_UNIT:
            return data[:UNIT_PLACE] + bytes([data[UNIT_PLACE] + 1]) + data[UNIT_PLACE + 1 :]
        return data


class SimulatedDevices:
    """All simulated devices, served by one thread of their own."""

    def __init__(self, devices: tuple[SimulatedDevice, ...]) -> None:
        self.devices = devices
        self._loop = asyncio.new_event_loop()
        self._thread = Thread(target=self._loop.run_forever, daemon=True, name="simulated devices")
        self._servers: list[ModbusTcpServer] = []
        self._ticking: Future[None] | None = None

    def start(self) -> SimulatedDevices:
        """Begin to answer; every device has its port afterwards."""
        self._thread.start()
        for device in self.devices:
            self._servers.append(
                asyncio.run_coroutine_threadsafe(device.serve(), self._loop).result(MOST_CONNECTIONS_WAIT_S)
            )
        self._ticking = asyncio.run_coroutine_threadsafe(self._keep_up(), self._loop)
        return self

    async def _keep_up(self) -> None:
        """Let every plant run on by itself, so that whoever asks after a while is not kept waiting for the time between."""
        plants = {id(device.plant): device.plant for device in self.devices}
        while True:
            await asyncio.sleep(TICK_S)
            for plant in plants.values():
                plant.look()

    def stop(self) -> None:
        """Fall silent, and end the thread."""
        if self._ticking is not None:
            self._ticking.cancel()
        for server in self._servers:
            ending = server.shutdown()  # type: ignore[no-untyped-call]
            asyncio.run_coroutine_threadsafe(ending, self._loop).result(MOST_CONNECTIONS_WAIT_S)
        self._servers.clear()
        self._loop.call_soon_threadsafe(self._loop.stop)
        self._thread.join(MOST_CONNECTIONS_WAIT_S)
        if not self._loop.is_running():
            self._loop.close()

    def called(self, key: str) -> SimulatedDevice:
        """A device by its key."""
        return next(device for device in self.devices if device.key == key)


_FIRST: dict[DeviceKind, dict[Role, float]] = {
    DeviceKind.DRIVE: {
        Role.RUN: 0.0,
        Role.FREQUENCY_COMMAND: 25.0,
        Role.LOW_LIMIT: 10.0,
        Role.HIGH_LIMIT: 50.0,
        **dict.fromkeys((Role.SKIP_1_LOW, Role.SKIP_1_HIGH, Role.SKIP_2_LOW, Role.SKIP_2_HIGH, Role.SKIP_3_LOW, Role.SKIP_3_HIGH), 0.0),
        Role.RAMP_UP: 10.0,
        Role.RAMP_DOWN: 10.0,
        Role.BASE_FREQUENCY: 50.0,
        Role.BASE_VOLTAGE: 400.0,
        Role.VOLTS_TRIM: 0.0,
        Role.OVERLOAD_CURRENT: 4.1,
        Role.LOOP_ON: 0.0,
        Role.SET_POINT: 100.0,
        Role.LOOP_RANGE: 500.0,
        Role.LOOP_GAIN: 1.0,
        Role.LOOP_INTEGRAL: 30.0,
    },
    DeviceKind.FAN: {Role.SIGNAL_INPUT: 0.0},
}  # fmt: skip


def _settings_by(held: dict[Role, float], kind: DeviceKind) -> dict[str, Telling]:
    if kind is DeviceKind.FAN:
        return {"run": True, "signal_v": held[Role.SIGNAL_INPUT]}
    pairs = (
        (Role.SKIP_1_LOW, Role.SKIP_1_HIGH),
        (Role.SKIP_2_LOW, Role.SKIP_2_HIGH),
        (Role.SKIP_3_LOW, Role.SKIP_3_HIGH),
    )
    return {
        "run": held[Role.RUN] >= 1,
        "frequency_hz": held[Role.FREQUENCY_COMMAND],
        "low_hz": held[Role.LOW_LIMIT],
        "high_hz": held[Role.HIGH_LIMIT],
        "skips": tuple((held[low], held[high]) for low, high in pairs if held[high] > held[low]),
        "ramp_up_s": held[Role.RAMP_UP],
        "ramp_down_s": held[Role.RAMP_DOWN],
        "base_hz": held[Role.BASE_FREQUENCY],
        "base_v": held[Role.BASE_VOLTAGE],
        "trim": held[Role.VOLTS_TRIM],
        "loop": _loop_settings(held),
    }


def _loop_settings(held: dict[Role, float]) -> LoopSettings | None:
    if held[Role.LOOP_ON] < 1:
        return None
    return LoopSettings(
        held[Role.SET_POINT], held[Role.LOOP_GAIN], held[Role.LOOP_INTEGRAL], max(held[Role.LOOP_RANGE], 1.0)
    )


def _drive_values(seen: Shown, plant: InTime) -> dict[Role, float]:
    runs = seen.output_hz > 0
    return {
        Role.STATUS: float(runs + 2 * plant.ramping),
        Role.FAULT: 0.0,
        Role.OUTPUT_FREQUENCY: seen.output_hz,
        Role.OUTPUT_CURRENT: seen.output_a,
        Role.OUTPUT_VOLTAGE: seen.output_v,
        Role.INPUT_POWER: seen.input_w,
        Role.LINK_VOLTAGE: seen.link_v,
        Role.FEEDBACK: seen.felt_pa,
    }


def _fan_values(seen: Shown, plant: InTime) -> dict[Role, float]:
    rated = plant.rated_rpm
    return {
        Role.SPEED_COMMAND: min(seen.speed_rpm / rated, 1.0),
        Role.SPEED: seen.speed_rpm,
        Role.INPUT_POWER: seen.input_w,
        Role.CURRENT: seen.line_a,
        Role.STATUS: float(seen.speed_rpm > 0),
        Role.WARNING: float(seen.limited),
        Role.FAULT: 0.0,
    }


def _meter_values(seen: Shown) -> dict[Role, float]:
    return {
        Role.VOLTAGE: seen.link_v / 2**0.5,
        Role.CURRENT: seen.line_a,
        Role.INPUT_POWER: seen.input_w,
        Role.POWER_FACTOR: seen.power_factor,
        Role.SPEED: seen.speed_rpm,
        Role.SUPPLY_STATIC: seen.supply_static_pa,
        Role.RETURN_STATIC: seen.return_static_pa,
        Role.ENTERING: seen.entering_c,
        Role.LEAVING: seen.leaving_c,
        Role.AIRFLOW: seen.flow_m3s,
        Role.SOUND_LEVEL: seen.sound_db,
    }
