"""A job's line on the Board, cached under its revision and the program's version."""

from typing import Any

from peewee import TextField
from playhouse.postgres_ext import BinaryJSONField


def up(migrator: Any, db: Any) -> None:
    """Add two empty columns; the Board fills them as it reads."""
    migrator.migrate(
        migrator.add_column("job", "summary", BinaryJSONField(null=True, index=False)),
        migrator.add_column("job", "summary_key", TextField(null=True)),
    )
