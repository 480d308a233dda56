"""Thousands of motors on their loads at once: in blocks that stay in the machine's cache, on as many cores as there are."""

from __future__ import annotations

import os
from concurrent.futures import ThreadPoolExecutor
from dataclasses import fields, is_dataclass
from typing import Any

import numpy as np

from modest_rotor.core.physics.load import Load
from modest_rotor.core.physics.operating_point import InductionMotor, OperatingPoint, changed, settle
from modest_rotor.core.physics.supply import Supply

BLOCK_POINTS = 12_000
"""Points solved together: few enough for a core's cache, many enough that the work outweighs the calls. Measured,
benchmarks/speed.py."""


def settle_fleet(motor: InductionMotor, supply: Supply, load: Load) -> OperatingPoint:
    """The operating points of many motors: what :func:`settle` gives, block by block along the first axis.

    :param motor: parameters of shape ``(motors, 1)``, or any that broadcast to ``(motors, steps)``; supply and load likewise.

    Errors, validity and source as :func:`settle_on`.
    """
    shape = np.broadcast_shapes(*_shapes(motor), *_shapes(supply), *_shapes(load))
    if not shape or np.prod(shape) <= BLOCK_POINTS:
        return settle(motor, supply, load)
    rows = max(1, BLOCK_POINTS // int(np.prod(shape[1:], dtype=int)))
    starts = range(0, shape[0], rows)

    def block(start: int) -> OperatingPoint:
        def cut(value: Any) -> Any:
            return value[start : start + rows] if value.ndim == len(shape) and value.shape[0] > 1 else value

        return settle(changed(motor, cut), changed(supply, cut), changed(load, cut))

    with ThreadPoolExecutor(os.cpu_count()) as cores:
        blocks = list(cores.map(block, starts))
    joined: OperatingPoint = _joined(blocks)
    return joined


def _shapes(thing: Any) -> list[tuple[int, ...]]:
    shapes: list[tuple[int, ...]] = []

    def seen(value: Any) -> Any:
        shapes.append(value.shape)
        return value

    changed(thing, seen)
    return shapes


def _joined(parts: list[Any]) -> Any:
    first = parts[0]
    if isinstance(first, dict):
        return {name: _joined([part[name] for part in parts]) for name in first}
    if is_dataclass(first) and not isinstance(first, type):
        return type(first)(
            **{item.name: _joined([getattr(part, item.name) for part in parts]) for item in fields(first)}
        )
    return np.concatenate(parts) if np.ndim(first) else first
