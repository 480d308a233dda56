"""What became of what a request wanted to save: nothing, it is not known, or saved; and which commands were carried out before.

A command is an act of a page under a name of its own, so that an act whose answer was lost can be sent again and is done once.
"""

from __future__ import annotations

from contextvars import ContextVar
from dataclasses import dataclass, field
from datetime import UTC, datetime
from enum import StrEnum
from typing import Any

from psycopg.types.json import Jsonb

from modest_rotor.core.errors import ModestRotorError
from modest_rotor.core.say import say


class Saved(StrEnum):
    """What is known of a save."""

    NOTHING = "nothing"
    UNKNOWN = "unknown"
    SAVED = "saved"


@dataclass
class Saving:
    """One request's saving, seen by whoever words its answer."""

    command: str | None = None
    state: Saved = Saved.NOTHING
    about: dict[str, Any] = field(default_factory=dict)
    taken_up: bool = False


class KnownCommand(ModestRotorError, RuntimeError):
    """A command that was carried out before; ``about`` names what it made, where it made something."""

    def __init__(self, about: dict[str, Any]) -> None:
        super().__init__(say("saving-init"))
        self.about = about


_saving: ContextVar[Saving | None] = ContextVar("saving", default=None)


def watch_saving(saving: Saving) -> None:
    """From now on this request's transactions are noted in ``saving``."""
    _saving.set(saving)


def take_up(database: Any) -> None:
    """Write this request's command down, as the first act of its first transaction.

    :raises KnownCommand: it is written down already. One that is being carried out at this moment is waited for.
    """
    saving = _saving.get()
    if saving is None or saving.command is None or saving.taken_up:
        return
    row = database.execute_sql(
        "INSERT INTO command (name, at, about) VALUES (%s, %s, '{}') ON CONFLICT (name) DO NOTHING RETURNING name",
        (saving.command, datetime.now(UTC)),
    ).fetchone()
    if row is None:
        raise KnownCommand(about_command(database, saving.command) or {})
    saving.taken_up = True


def about_command(database: Any, name: str) -> dict[str, Any] | None:
    """What a command made; nothing where it was never carried out."""
    row = database.execute_sql("SELECT about FROM command WHERE name = %s", (name,)).fetchone()
    return dict(row[0]) if row else None


def made(database: Any, **about: Any) -> None:
    """Note what the command of this transaction made, so that whoever asks again finds it."""
    saving = _saving.get()
    if saving is None or not saving.taken_up:
        return
    saving.about |= about
    database.execute_sql("UPDATE command SET about = %s WHERE name = %s", (Jsonb(saving.about), saving.command))


def begun() -> None:
    """The commit is on its way: until it is answered nobody knows."""
    saving = _saving.get()
    if saving is not None and saving.state is Saved.NOTHING:
        saving.state = Saved.UNKNOWN


def rolled_back(known: bool) -> None:
    """The transaction failed; ``known`` where the server itself said so, and so holds nothing of it."""
    saving = _saving.get()
    if saving is None or saving.state is Saved.SAVED:
        return
    saving.taken_up = False
    if known:
        saving.state = Saved.NOTHING


def ended() -> None:
    """The database has it; nothing that fails later takes that back."""
    saving = _saving.get()
    if saving is not None:
        saving.state = Saved.SAVED


def saving_of_this_request() -> Saving:
    """What is known of what this request saves."""
    return _saving.get() or Saving()
