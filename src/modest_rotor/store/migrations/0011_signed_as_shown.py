"""What was signed is kept as it was shown: the report as text, its PDF and its spreadsheet."""

from typing import Any

from peewee import BlobField, TextField


def up(migrator: Any, _db: Any) -> None:
    """Add the columns; what was signed before has none of them."""
    migrator.migrate(
        migrator.add_column("signed", "report", TextField(null=True)),
        migrator.add_column("signed", "pdf", BlobField(null=True)),
        migrator.add_column("signed", "sheet", BlobField(null=True)),
    )
