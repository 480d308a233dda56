"""Induction motors as made: cross-field loops with a double cage, saturation by axis, harmonics and thermal nodes."""

from __future__ import annotations

import math
from dataclasses import dataclass, replace

import numpy as np
import numpy.typing as npt

Array = npt.NDArray[np.float64]
SLIPS = np.concatenate((np.geomspace(0.002, 0.09, 46), np.linspace(0.1, 0.62, 30)))
COPPER_ZERO_C, ALUMINIUM_ZERO_C, COLD_C = 234.5, 225.0, 20.0
STANDARD_MICROFARADS = np.array(
    [1.5, 2, 2.5, 3, 4, 5, 6, 7.5, 8, 10, 12.5, 15, 17.5, 20, 25, 30, 35, 40, 45, 50, 60, 70]
)
POWERS_HP = np.array([1 / 12, 1 / 10, 1 / 8, 1 / 6, 1 / 5, 1 / 4, 1 / 3, 1 / 2, 3 / 4, 1.0])
POWERS_W = 1000 * np.array([0.37, 0.55, 0.75, 1.1, 1.5, 2.2, 3.0, 4.0, 5.5, 7.5, 11.0, 15.0, 18.5, 22.0, 30.0])
SETTLES = 24


@dataclass(frozen=True)
class Feed:
    """Volts, hertz, health of the capacitor and the tap that is live."""

    volts: float
    hertz: float
    tap: float = 0.0


@dataclass(frozen=True)
class Running:
    """Columns over slip: rpm, torque, W at the shaft and at the line, line amps."""

    rpm: Array
    torque: Array
    shaft: Array
    watts: Array
    amps: Array


@dataclass(frozen=True)
class Motor:
    """A motor as made; Ω at 20 °C, reactances at rated hertz. Three phases are solved as two balanced axes."""

    phases: int
    poles: int
    volts: float
    hertz: float
    power: float
    slip: float
    r_main: float
    x_main: float
    r_aux: float
    x_aux: float
    turns: float
    farads: float
    x_gap_d: float
    x_gap_q: float
    bend_d: float
    bend_q: float
    sharpness: float
    cage: tuple[float, float, float, float, float]
    iron_w: float
    friction_w: float
    harmonic: float
    stray: float
    rise_stator: float
    rise_rotor: float
    ambient: float
    low_tap: float = 0.0
    tap_in_line: bool = False

    @property
    def synchronous(self) -> float:
        """Synchronous speed at rated hertz, rpm."""
        return 120 * self.hertz / self.poles

    def over_slip(self, feed: Feed, warmth: float = 1.0) -> Running:
        """The motor over all slips; ``warmth`` is the losses over those at rated load, for the temperatures."""
        f = feed.hertz / self.hertz
        stator = self.ambient + self.rise_stator * warmth**0.85
        rotor = stator + self.rise_rotor * warmth**0.85
        copper = (COPPER_ZERO_C + stator) / (COPPER_ZERO_C + COLD_C)
        bars = (ALUMINIUM_ZERO_C + rotor) / (ALUMINIUM_ZERO_C + COLD_C)
        emf_d = emf_q = np.full(len(SLIPS), 0.9 * feed.volts)
        solved = np.zeros((len(SLIPS), 6), complex)
        for _ in range(SETTLES):
            x_d = f * self.x_gap_d / (1 + self.bend_d * (emf_d / (f * self.volts)) ** self.sharpness)
            x_q = f * self.x_gap_q / (1 + self.bend_q * (emf_q / (f * self.volts)) ** self.sharpness)
            solved = self._loops(feed, f, copper, bars, x_d, x_q)
            gap_d, gap_q = self._gap(feed, solved)
            emf_d, emf_q = (emf_d + abs(x_d * gap_d)) / 2, (emf_q + abs(x_q * gap_q)) / 2
        return self._running(feed, f, solved, x_d, x_q)

    def _gap(self, feed: Feed, i: npt.NDArray[np.complex128]) -> tuple[npt.NDArray[np.complex128], ...]:
        """Magnetising current of each axis."""
        line = feed.tap * self.tap_in_line
        d = (1 + feed.tap) * i[:, 0] + line * i[:, 1] + i[:, 2] + i[:, 3]
        return d, self.turns * i[:, 1] + i[:, 4] + i[:, 5]

    def _loops(
        self, feed: Feed, f: float, copper: float, bars: float, x_d: Array, x_q: Array
    ) -> npt.NDArray[np.complex128]:
        """Six loops: main, auxiliary, two cages along each axis; shape ``(slips, 6)``."""
        n = len(SLIPS)
        speed = 1 - SLIPS
        r_1, x_1, r_2, x_2, x_12 = self.cage
        a = np.zeros((n, 6, 6), complex)
        main, line = 1 + feed.tap, feed.tap * self.tap_in_line
        j = 1j
        of_d = np.array([main, line, 1, 1, 0, 0])
        of_q = np.array([0, self.turns, 0, 0, 1, 1])
        psi_d, psi_q = x_d[:, None] * of_d, x_q[:, None] * of_q  # flux linkage times ω, by current
        a[:, 0] = main * j * psi_d
        a[:, 0, 0] += self.r_main * copper + j * f * self.x_main * main**2
        a[:, 1] = self.turns * j * psi_q + line * j * psi_d
        a[:, 1, 1] += self.r_aux * copper + j * f * self.x_aux
        if feed.tap:
            extra = feed.tap * self.r_main * copper
            a[:, 0, 0] += extra
            if self.tap_in_line:
                a[:, 0, 1] += extra
                a[:, 1, 0] += extra
                a[:, 1, 1] += extra
        if self.farads:
            a[:, 1, 1] += 0.002 / (2 * math.pi * feed.hertz * self.farads) - j / (
                2 * math.pi * feed.hertz * self.farads
            )
        for k, (r, x) in enumerate(((r_1 * bars, x_1), (r_2 * bars, x_2))):
            d, q = 2 + k, 4 + k
            link_d, link_q = psi_d.astype(complex), psi_q.astype(complex)
            link_d[:, 2:4] += f * x_12
            link_q[:, 4:6] += f * x_12
            link_d[:, d] += f * x
            link_q[:, q] += f * x
            a[:, d] = j * link_d + speed[:, None] * link_q
            a[:, q] = j * link_q - speed[:, None] * link_d
            a[:, d, d] += r
            a[:, q, q] += r
        v = np.zeros((n, 6, 1), complex)
        v[:, 0, 0] = feed.volts
        v[:, 1, 0] = feed.volts if self.phases == 1 else -1j * feed.volts
        return np.asarray(np.linalg.solve(a, v)[..., 0])

    def _running(self, feed: Feed, f: float, i: npt.NDArray[np.complex128], x_d: Array, x_q: Array) -> Running:
        w = 2 * math.pi * feed.hertz * 2 / self.poles
        gap_d, gap_q = self._gap(feed, i)
        rotor_d, rotor_q = i[:, 2] + i[:, 3], i[:, 4] + i[:, 5]
        pull = ((x_q * gap_q) * rotor_d.conj() - (x_d * gap_d) * rotor_q.conj()).real / w
        pull = pull if np.interp(self.slip, SLIPS, pull) > 0 else -pull
        speed = w * (1 - SLIPS)
        volts = feed.volts / self.volts
        iron = self.iron_w * (volts / (1 + feed.tap)) ** 1.9 * f**-0.5
        line = i[:, 0] + i[:, 1] + iron / feed.volts if self.phases == 1 else i[:, 0] + iron / (2 * feed.volts)
        rated_torque = self.power / (2 * math.pi * self.hertz * 2 / self.poles * (1 - self.slip))
        third = (1 / 3 - (1 - SLIPS)) * 3
        parasitic = -self.harmonic * rated_torque * volts**2 * 2 / (third / 0.6 + 0.6 / third)
        size = abs(line) ** 2
        drag = self.friction_w * (speed / w) ** 1.6 * (f**2.6) + self.stray * self.power * size / self._rated_size(size)
        torque = pull - parasitic - drag / np.maximum(speed, 1e-9)
        if self.phases == 1:
            watts = feed.volts * line.real
        else:
            watts = (feed.volts * i[:, 0].conj()).real + (-1j * feed.volts * i[:, 1].conj()).real + iron
        # Two axes at phase volts carry two thirds of what three phases do.
        amps = abs(line) * (1.0 if self.phases == 1 else 2 / 3)
        return Running(60 * speed / (2 * math.pi), torque, torque * speed, watts, amps)

    def _rated_size(self, size: Array) -> float:
        return float(np.interp(self.slip, SLIPS, size))

    def at_load(self, feed: Feed, torque_of: object) -> dict[str, float] | None:
        """Where the motor meets a load; ``torque_of`` takes rpm as an array. Temperatures settle with the losses."""
        warmth = 1.0
        rated = self.rated()
        lost = rated["watts"] - rated["shaft"]
        found = None
        for _ in range(2):
            over = self.over_slip(feed, warmth)
            spare = over.torque - np.asarray(torque_of(over.rpm))  # type: ignore[operator]
            crossings = np.flatnonzero((spare[:-1] < 0) & (spare[1:] >= 0))
            if not len(crossings):
                return None
            k = int(crossings[0])
            share = -spare[k] / (spare[k + 1] - spare[k])
            found = {
                name: float(column[k] + share * (column[k + 1] - column[k])) for name, column in vars(over).items()
            }
            warmth = max((found["watts"] - found["shaft"]) / lost, 0.05)
        return found

    def rated(self) -> dict[str, float]:
        """The motor at rated volts, hertz and its own rated slip, warm."""
        over = self.over_slip(Feed(self.volts, self.hertz))
        return {name: float(np.interp(self.slip, SLIPS, column)) for name, column in vars(over).items()}


def _scaled(motor: Motor, by: float) -> Motor:
    cage = tuple(x * by for x in motor.cage)
    names = ("r_main", "x_main", "r_aux", "x_aux", "x_gap_d", "x_gap_q")
    return replace(motor, cage=cage, farads=motor.farads / by, **{name: getattr(motor, name) * by for name in names})  # type: ignore[arg-type]


def nearest_label(microfarads: float) -> float:
    """The standard size nearest to a capacitance, µF."""
    return float(STANDARD_MICROFARADS[np.argmin(abs(np.log(STANDARD_MICROFARADS / microfarads)))])


def _giving(motor: Motor, power: float, kept_farads: bool = False) -> Motor | None:
    """The motor wound so that it gives its rating at its slip; nothing where it gives none. ``kept_farads``: its capacitor stays."""
    for _ in range(3):
        shaft = motor.rated()["shaft"]
        if not shaft > 0:
            return None
        scaled = _scaled(motor, shaft / power)
        motor = replace(scaled, farads=motor.farads) if kept_farads else scaled
    return motor


def draw_capacitor_motor(rng: np.random.Generator, like: Motor | None = None) -> Motor | None:
    """A capacitor motor that somebody sells, or nothing; one of the rating of another, where that is given."""
    volts, hertz, poles = (
        (115.0, 60.0, 6),
        (115.0, 60.0, 4),
        (230.0, 60.0, 6),
        (230.0, 50.0, 4),
        (277.0, 60.0, 6),
        (230.0, 50.0, 6),
    )[rng.integers(6)]
    power = (
        float(rng.choice(POWERS_HP)) * 745.7 if hertz == 60 else float(rng.choice([90, 120, 180, 250, 370, 550, 750.0]))
    )
    if like is not None:
        volts, hertz, poles, power = like.volts, like.hertz, like.poles, like.power
    u, g = rng.uniform, lambda m, s: float(m * np.exp(s * rng.standard_normal()))
    slip = u(0.045, 0.13) * (1.15 - 0.15 * power / 750)
    turns = u(1.5, 2.2) if volts < 150 else u(0.95, 1.6)
    small = (power / 250) ** -0.22
    r_main = g(0.053, 0.3) * small
    base = Motor(
        1, poles, volts, hertz, power, slip,
        r_main=r_main, x_main=g(0.075, 0.25), r_aux=g(1.5, 0.2) * r_main * turns**2, x_aux=g(0.07, 0.25) * turns**2,
        turns=turns, farads=1.0, x_gap_d=g(1.35, 0.25), x_gap_q=1.0, bend_d=u(0.15, 0.6), bend_q=u(0.1, 0.5), sharpness=u(4.5, 9),
        cage=(g(1.0, 0.2) * slip * 1.1, g(0.06, 0.3), g(5.0, 0.3) * slip, g(0.02, 0.4), g(0.03, 0.4)),
        iron_w=u(0.04, 0.11) * power * small, friction_w=u(0.01, 0.035) * power * small, harmonic=u(0.0, 0.035), stray=u(0.004, 0.02),
        rise_stator=u(35, 70), rise_rotor=u(5, 30), ambient=u(20, 40),
    )  # fmt: skip
    base = replace(base, x_gap_q=base.x_gap_d * u(0.85, 1.1))
    ohm = volts**2 / power
    best: tuple[float, Motor] | None = None
    for reach in (0.35, 0.5, 0.65, 0.8, 1.0):  # the designer picks the capacitor near the best running point
        motor = replace(_scaled(base, ohm), farads=reach / (2 * math.pi * hertz * ohm * turns**2) * 1.0)
        wound = _giving(motor, power)
        if wound is None:
            continue
        motor, point = wound, wound.rated()
        if point["shaft"] > 0 and (best is None or point["shaft"] / point["watts"] > best[0]):
            best = (point["shaft"] / point["watts"], motor)
    if best is None:
        return None
    motor = best[1]
    label = motor.farads * 1e6 * g(1.0, 0.12)
    label = nearest_label(label)
    motor = replace(
        motor, farads=label * 1e-6 * u(0.95, 1.05), low_tap=u(0.25, 0.65), tap_in_line=bool(rng.random() < 0.5)
    )
    # The maker settles the winding so that it gives its rating at its slip with that capacitor.
    settled = _giving(motor, power, kept_farads=True)
    if settled is None:
        return None
    motor = settled
    typical = 0.60 + 0.055 * math.log(power / 373)
    return motor if _sold(motor, (typical - 0.13, typical + 0.13), (1.25, 3.0)) else None


def draw_three_phase_motor(
    rng: np.random.Generator, premium: bool | None = None, like: Motor | None = None
) -> Motor | None:
    """A three-phase motor that somebody sells, or nothing; ``volts`` are those of a phase to star.

    :param like: a motor whose rating it is to have.
    """
    volts, hertz, poles = (
        (230.0, 60.0, 4),
        (460.0, 60.0, 4),
        (460.0, 60.0, 6),
        (400.0, 50.0, 4),
        (400.0, 50.0, 2),
        (400.0, 50.0, 6),
    )[rng.integers(6)]
    power = float(rng.choice(POWERS_W))
    if like is not None:
        volts, hertz, poles, power = like.volts * math.sqrt(3), like.hertz, like.poles, like.power
    u, g = rng.uniform, lambda m, s: float(m * np.exp(s * rng.standard_normal()))
    fine = rng.random() < 0.6 if premium is None else premium
    small = (power / 1000) ** -0.32
    slip = float(np.clip((0.028 if fine else 0.042) * small * np.exp(0.25 * rng.standard_normal()), 0.007, 0.075))
    r_main = (0.038 if fine else 0.058) * small * g(1.0, 0.2)
    x = g(0.085, 0.25)
    base = Motor(
        3, poles, volts / math.sqrt(3), hertz, power, slip,
        r_main=r_main, x_main=x, r_aux=r_main, x_aux=x, turns=1.0, farads=0.0,
        x_gap_d=g(2.6, 0.22) * (power / 5000) ** 0.1 * (0.8 if poles == 6 else 1.0), x_gap_q=1.0,
        bend_d=u(0.15, 0.5), bend_q=0.0, sharpness=u(4.5, 9),
        cage=(g(1.05, 0.1) * slip, g(0.07, 0.25), g(4.5, 0.3) * slip, g(0.02, 0.4), g(0.03, 0.3)),
        iron_w=u(0.022, 0.06) * power * small, friction_w=u(0.006, 0.022) * power * small, harmonic=u(0.0, 0.01), stray=u(0.004, 0.018),
        rise_stator=u(45, 85), rise_rotor=u(10, 35), ambient=u(20, 40),
    )  # fmt: skip
    base = replace(base, x_gap_q=base.x_gap_d, bend_q=base.bend_d)
    wound = _giving(_scaled(base, 2 * base.volts**2 / power), power)
    if wound is None:
        return None
    motor = wound
    point = motor.rated()
    # As sold: within about the classes IE1 to IE4 of its size.
    premium_losses = 0.19 * (power / 1100) ** -0.31  # class IE3, four poles
    low, high = (1 / (1 + by * premium_losses) for by in (1.75, 0.78))
    factor = point["watts"] / (3 * motor.volts * point["amps"])
    if not 0.66 < factor < 0.93:
        return None
    return motor if _sold(motor, (low, high), (1.6, 4.5)) else None


def _sold(motor: Motor, efficiencies: tuple[float, float], pull_outs: tuple[float, float]) -> bool:
    over = motor.over_slip(Feed(motor.volts, motor.hertz))
    point = motor.rated()
    rated_torque = point["torque"]
    if not rated_torque > 0:
        return False
    pull_out = float(over.torque.max()) / rated_torque
    efficiency = point["shaft"] / point["watts"]
    return efficiencies[0] < efficiency < efficiencies[1] and pull_outs[0] < pull_out < pull_outs[1]
