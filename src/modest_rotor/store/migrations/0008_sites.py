"""How numbers are written at a site, and at which site a device stands."""

from typing import Any

from peewee import CharField, TextField


def up(migrator: Any, _db: Any) -> None:
    """Add; nothing is said of what is there."""
    migrator.migrate(
        migrator.add_column("site", "numbers", CharField(max_length=5, null=True)),
        migrator.add_column("device", "site", TextField(null=True)),
    )
