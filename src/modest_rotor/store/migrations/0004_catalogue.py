"""The catalogue of products."""

from typing import Any

from peewee import BigAutoField, Model, TextField
from playhouse.postgres_ext import BinaryJSONField, DateTimeTZField


def up(migrator: Any, db: Any) -> None:
    """Create the table, with a frozen copy of the model of that day."""

    class Product(Model):
        id = BigAutoField()
        code = TextField(unique=True)
        document = BinaryJSONField(index=False)
        saved = DateTimeTZField()

        class Meta:
            database = db

    db.create_tables([Product])
