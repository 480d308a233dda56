"""Fans, pumps and systems as made: a pressure law, an efficiency law and a system exponent of their own."""

from __future__ import annotations

from dataclasses import dataclass

import numpy as np
import numpy.typing as npt
from scipy.optimize import brentq

Array = npt.NDArray[np.float64]


@dataclass(frozen=True)
class MachineTruth:
    """At speed ratio 1: p = p_0 (1 − x^m)(1 + c x), η = η_b (x/x_b)^e ((1 − x)/(1 − x_b))^f, with x = q/q_free."""

    free_flow: float
    shut_pressure: float
    fall: float
    hump: float
    best: float
    best_place: float
    rise: float
    tail: float

    def pressure(self, flow: Array | float, ratio: Array | float) -> Array:
        """Pa at a flow and speed ratio."""
        x = np.clip(np.asarray(flow) / (self.free_flow * np.asarray(ratio)), 0, 0.9999)
        return np.asarray(self.shut_pressure * np.asarray(ratio) ** 2 * (1 - x**self.fall) * (1 + self.hump * x))

    def power(self, flow: Array | float, ratio: Array | float) -> Array:
        """W at the shaft; Reynolds numbers take a little off the efficiency at low speed."""
        x = np.clip(np.asarray(flow) / (self.free_flow * np.asarray(ratio)), 0.01, 0.9999)
        eta = self.best * (x / self.best_place) ** self.rise * ((1 - x) / (1 - self.best_place)) ** self.tail
        eta = eta * np.asarray(ratio) ** 0.04
        return np.asarray(x * self.free_flow * np.asarray(ratio) * self.pressure(flow, ratio) / eta)


@dataclass(frozen=True)
class SystemTruth:
    """p = p_s + k qⁿ."""

    still: float
    k: float
    exponent: float

    def pressure(self, flow: Array | float) -> Array:
        """Pa."""
        return np.asarray(self.still + self.k * np.asarray(flow) ** self.exponent)


@dataclass(frozen=True)
class Installed:
    """A machine in its system. ``outside`` is the share of the pressure that a manometer outside the cabinet reads."""

    machine: MachineTruth
    system: SystemTruth
    machine_type: str
    rpm: float
    flow: float
    outside: float

    def torque(self, rpm: Array, tight: float = 1.0) -> Array:
        """N·m over rpm, on the system as it is or with its growing part ``tight`` times."""
        return np.array([self.at(float(r), tight)[1] / (float(r) * np.pi / 30) for r in np.ravel(rpm)])

    def at(self, rpm: float, tight: float = 1.0) -> tuple[float, float]:
        """Flow and shaft power at a speed."""
        ratio = rpm / self.rpm
        top = 0.999 * self.machine.free_flow * ratio

        def spare(flow: float) -> float:
            s = self.system
            return float(self.machine.pressure(flow, ratio) - s.still - tight * s.k * flow**s.exponent)

        low = 1e-4 * top
        if spare(low) <= 0:
            return 0.0, float(self.machine.power(0.02 * top, ratio))
        flow = brentq(spare, low, top) if spare(top) < 0 else top
        return flow, float(self.machine.power(flow, ratio))

    def speed_for(self, flow: float) -> tuple[float, float]:
        """Speed and shaft power that give a flow on the system."""
        ratio = brentq(lambda r: float(self.at(self.rpm * r)[0]) - flow, 0.05, 1.6)
        return self.rpm * ratio, self.at(self.rpm * ratio)[1]

    def throttled_torque(self, flow: float) -> object:
        """N·m over rpm with a damper or valve that keeps a flow."""

        def torque(rpm: Array) -> Array:
            return np.asarray(self.machine.power(flow, rpm / self.rpm) / (rpm * np.pi / 30))

        return torque


PUMP = "centrifugal pump"
"""How a job calls the kind of machine that is one."""
LAWS = {
    "forward-curved": ((1.8, 3.2), (-0.05, 0.45), (0.42, 0.62), (0.42, 0.55), (0.55, 0.75), (0.75, 1.0)),
    "backward-inclined": ((1.7, 2.6), (0.0, 0.5), (0.52, 0.74), (0.58, 0.7), (0.6, 0.85), (0.5, 0.8)),
    "axial": ((1.1, 1.8), (-0.3, 0.1), (0.38, 0.6), (0.6, 0.75), (0.85, 1.1), (0.45, 0.75)),
    PUMP: ((1.7, 2.6), (-0.05, 0.15), (0.4, 0.74), (0.55, 0.7), (0.55, 0.8), (0.6, 0.85)),
}
"""Ranges of fall, hump, best efficiency, its place, rise and tail by kind of wheel."""


def draw_installed(
    rng: np.random.Generator, machine_type: str, rpm: float, shaft: float, still: float = 0.0
) -> Installed:
    """A machine that takes ``shaft`` W at ``rpm`` in its system. ``still``: share of the pressure that stays at no flow."""
    u = rng.uniform
    fall, hump, best, place, rise, tail = (u(*span) for span in LAWS[machine_type])
    x = float(np.clip(place * np.exp(0.17 * rng.standard_normal()), 0.25, 0.88))
    pump = machine_type == PUMP
    pressure = (
        float(np.exp(u(np.log(60e3), np.log(250e3))))
        if pump
        else float(np.exp(u(np.log(110), np.log(500)))) * (shaft / 400) ** 0.25
    )
    trial = MachineTruth(1.0, 1.0, fall, hump, best, place, rise, tail)
    flow = shaft / float(trial.power(x, 1.0) / trial.pressure(x, 1.0)) * x / pressure
    free = flow / x
    shut = pressure / float(trial.pressure(x, 1.0))
    machine = MachineTruth(free, shut, fall, hump, best, place, rise, tail)
    exponent = u(1.8, 2.0) if not pump else u(1.78, 2.0)
    here = float(machine.pressure(flow, 1.0))
    system = SystemTruth(still * here, (1 - still) * here / flow**exponent, exponent)
    outside = 1.0 if pump else (u(0.5, 0.85) if rng.random() < 0.6 else u(0.85, 1.0))
    return Installed(machine, system, machine_type, rpm, flow, outside)
