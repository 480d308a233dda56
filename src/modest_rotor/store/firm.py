"""The firm in whose name reports are made: its name, address and mark; one for this installation."""

from __future__ import annotations

from modest_rotor.core.errors import UnknownItem
from modest_rotor.core.phrase import Frozen
from modest_rotor.core.say import say
from modest_rotor.formats.photo import Photo
from modest_rotor.store.database import in_one_transaction
from modest_rotor.store.models import FirmRow

THE_ONE = 1


class Firm(Frozen):
    """Who makes the report."""

    name: str = ""
    address: str = ""
    has_mark: bool = False


def firm() -> Firm:
    """What was said of the firm; empty where nothing was."""
    row = FirmRow.get_or_none(FirmRow.id == THE_ONE)
    return Firm(name=row.name, address=row.address, has_mark=row.mark is not None) if row else Firm()


def mark() -> bytes | None:
    """The firm's mark as JPEG, if there is one."""
    row = FirmRow.get_or_none(FirmRow.id == THE_ONE)
    return bytes(row.mark) if row is not None and row.mark is not None else None


def mark_or_refuse() -> bytes:
    """The same where one must be there."""
    found = mark()
    if found is None:
        raise UnknownItem(say("firm-mark-or-refuse"))
    return found


@in_one_transaction
def say_firm(name: str, address: str) -> Firm:
    """Say who makes the reports."""
    _row()
    FirmRow.update(name=name, address=address).where(FirmRow.id == THE_ONE).execute()
    return firm()


@in_one_transaction
def keep_mark(photo: Photo | None) -> Firm:
    """Keep the firm's mark, or take it away."""
    _row()
    FirmRow.update(mark=photo.jpeg if photo else None).where(FirmRow.id == THE_ONE).execute()
    return firm()


def _row() -> None:
    FirmRow.insert(id=THE_ONE).on_conflict_ignore().execute()
