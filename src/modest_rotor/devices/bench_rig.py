"""A rig that runs on the Bench in real time, and the meter panel that stands beside whichever runs."""

from __future__ import annotations

import math
import time
from collections.abc import Callable
from dataclasses import dataclass
from threading import RLock

from modest_rotor.core.bench.run import FELT_K, Meters, Prepared, advance, meters, prepare, settled
from modest_rotor.core.bench.stand import Controls, Stand, line_volts
from modest_rotor.core.plant.plant import AIR_HEAT, LINK_FACTOR, QUIET_DB, SOUND_PER_DECADE, Shown

LONGEST_STEP_S = 1.0
"""Real time that is followed at once: a rig that nobody looked at stood still meanwhile."""
LOOP_PACE = 10
"""How much faster its time may run while a loop is closed: a loop that hunts never comes to rest, and is followed look by look."""
SOUND_DB, SUPPLY_SHARE = 58.0, 0.45
ENTERING_C = 20.0
AT_REST = Shown(0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0, ENTERING_C, ENTERING_C, QUIET_DB, False)


@dataclass(frozen=True)
class Frame:
    """The rig at an instant: seconds of its own time, whether it is on, and what its meters show."""

    at_s: float
    on: bool
    meters: Meters


class BenchRig:
    """One rig as it runs: a stand, its controls, and the time that has passed for it.

    :param clock: real seconds; a test may let them run as it likes.
    """

    def __init__(self, stand: Stand, controls: Controls, clock: Callable[[], float] = time.monotonic) -> None:
        self.on = True
        self.pace = 1
        self._clock, self._looked = clock, clock()
        self._lock = RLock()
        self._at_s = 0.0
        self._rig, self._state = settled(stand, controls)

    @property
    def stand(self) -> Stand:
        """What stands there."""
        return self._rig.stand

    def turn(self, controls: Controls) -> None:
        """Turn the controls. :raises OutsideValidity: nothing runs on them; the rig goes on as it was."""
        with self._lock:
            self._run_on()
            self._rig = prepare(self._rig.stand, controls, self._state.winding_c)

    def switch(self, on: bool) -> None:
        """Switch it on or off."""
        with self._lock:
            self._run_on()
            self.on = on

    def frame(self) -> Frame:
        """What the meters show now."""
        with self._lock:
            self._run_on()
            return Frame(self._at_s, self.on, meters(self._rig, self._state, self.on))

    def _run_on(self) -> None:
        now = self._clock()
        if self._rig.controls.loop:
            self.pace = min(self.pace, LOOP_PACE)
        seconds = min(max(now - self._looked, 0.0), LONGEST_STEP_S) * self.pace
        self._looked = now
        self._state = advance(self._rig, self._state, seconds, self.on)
        self._at_s += seconds
        if abs(self._state.winding_c - self._rig.winding_c) > FELT_K:
            self._rig = prepare(self._rig.stand, self._rig.controls, self._state.winding_c)

    def look(self) -> Shown:
        """The same as a meter panel shows it."""
        return _as_shown(self._rig, self.frame().meters)

    @property
    def ramping(self) -> bool:
        """Whether its drive is still on its way."""
        return self._rig.stand.drive is not None and self.on and self._state.output_hz != self._rig.hertz


def _as_shown(rig: Prepared, seen: Meters) -> Shown:
    air = seen.flow if not rig.stand.is_pump else 0.0
    built = float(rig.stand.as_built.motor.speed_rpm)
    loud = SOUND_DB + SOUND_PER_DECADE * math.log10(seen.speed_rpm / built) if seen.speed_rpm > 1 else QUIET_DB
    volts = line_volts(rig.stand, rig.controls)
    return Shown(
        speed_rpm=seen.speed_rpm,
        output_hz=seen.output_hz,
        output_v=volts,
        output_a=seen.current_a,
        line_a=seen.current_a,
        input_w=seen.input_w,
        power_factor=seen.power_factor,
        link_v=LINK_FACTOR * volts,
        flow_m3s=seen.flow,
        pressure_pa=seen.pressure_pa,
        supply_static_pa=SUPPLY_SHARE * seen.pressure_pa,
        return_static_pa=-(1 - SUPPLY_SHARE) * seen.pressure_pa,
        entering_c=rig.controls.air_c,
        leaving_c=rig.controls.air_c + (seen.input_w / (AIR_HEAT * air) if air > 1e-3 else 0.0),
        sound_db=max(loud, QUIET_DB),
        limited=False,
    )


class BenchPanel:
    """What stands behind the Bench's meter panel: the rig that was put up last and still stands, or nothing that turns."""

    def __init__(self) -> None:
        self._rigs: list[BenchRig] = []
        self._places: set[int] = set()
        self._lock = RLock()

    def claim(self, page: int, most: int) -> bool:
        """Give a page a place to stand, before its rig is made; whether there was one. It is kept until it is given back."""
        with self._lock:
            if page not in self._places and len(self._places) >= most:
                return False
            self._places.add(page)
            return True

    def give_back(self, page: int) -> None:
        """A page needs its place no longer."""
        with self._lock:
            self._places.discard(page)

    def put_up(self, rig: BenchRig) -> None:
        """A rig stands here now."""
        self._rigs.append(rig)

    def take_down(self, rig: BenchRig) -> None:
        """It stands here no more."""
        if rig in self._rigs:
            self._rigs.remove(rig)

    def look(self) -> Shown:
        """What a panel shows at the newest rig."""
        return self._rigs[-1].look() if self._rigs else AT_REST

    @property
    def ramping(self) -> bool:
        """Whether the newest rig's drive is on its way."""
        return bool(self._rigs) and self._rigs[-1].ramping

    def tell(self, **_: object) -> None:
        """A rig is turned on its own page, never over its panel."""

    @property
    def rated_rpm(self) -> float:
        """Speed of the newest rig as built, rpm."""
        return float(self._rigs[-1].stand.as_built.motor.speed_rpm) if self._rigs else 0.0

    @property
    def standing(self) -> int:
        """Rigs that stand now."""
        return len(self._rigs)


PANEL = BenchPanel()
