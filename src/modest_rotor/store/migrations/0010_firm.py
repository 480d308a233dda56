"""Whose report it is: the firm's name, address and mark."""

from typing import Any

from peewee import BigAutoField, BlobField, Model, TextField


def up(_migrator: Any, db: Any) -> None:
    """Create the table, with a frozen copy of the model of that day."""

    class Firm(Model):
        id = BigAutoField()
        name = TextField(default="")
        address = TextField(default="")
        mark = BlobField(null=True)

        class Meta:
            database = db

    db.create_tables([Firm])
