"""Writes that were begun and never ended: read back from their device, and closed with what it holds."""

from __future__ import annotations

from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from modest_rotor.core.errors import ModestRotorError
from modest_rotor.core.say import say
from modest_rotor.devices.links import LINKS
from modest_rotor.fieldbus.profile import Role
from modest_rotor.store.devices import device, end_write, open_writes

SAME_SHARE = 1e-3
_in_hand: set[int] = set()
"""Writes that are being carried out at this moment, by number."""


@contextmanager
def in_hand(number: int | None) -> Iterator[None]:
    """A write is being carried out: nobody else closes it meanwhile."""
    if number is not None:
        _in_hand.add(number)
    try:
        yield
    finally:
        _in_hand.discard(number or 0)


def close_open_writes() -> int:
    """Close every write of which it is not known what became of it, with what its device holds now; gives how many are left.

    One whose device does not answer stays open and is asked again later.
    """
    left = 0
    for row in open_writes():
        if row.id in _in_hand:
            continue
        sentence, after = _looked_up(row)
        if sentence is None:
            left += 1
        else:
            end_write(row.id, after, sentence)
    return left


def _looked_up(row: Any) -> tuple[str | None, float | None]:
    if row.device_id is None or row.role not in set(Role):
        return say("intents-looked-up-known-what"), None
    try:
        held = LINKS.link(device(row.device_id)).read((Role(row.role),)).values.get(Role(row.role))
    except (ModestRotorError, KeyError):
        return None, None
    if held is None:
        return None, None
    near = SAME_SHARE * max(abs(held), abs(row.wanted), 1.0)
    if abs(held - row.wanted) <= near:
        return say("intents-looked-up-application-cut"), held
    if row.before is not None and abs(held - row.before) <= near:
        return (say("intents-looked-up-application-cut-off"), held)
    return say("intents-looked-up-application-cut-off-while"), held
