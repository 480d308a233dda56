"""Photographs of a job, and the meters of each person."""

from typing import Any

from peewee import BigAutoField, BlobField, BooleanField, CharField, ForeignKeyField, IntegerField, Model, TextField
from playhouse.postgres_ext import BinaryJSONField, DateTimeTZField


def up(migrator: Any, db: Any) -> None:
    """Create both tables, with frozen copies of the models of that day."""

    class Job(Model):
        id = BigAutoField()

        class Meta:
            database = db

    class Photo(Model):
        id = BigAutoField()
        job = ForeignKeyField(Job, on_delete="RESTRICT")
        of = CharField(max_length=8)
        jpeg = BlobField()
        width = IntegerField()
        height = IntegerField()
        who = TextField(default="")
        at = DateTimeTZField()
        removed = BooleanField(default=False)

        class Meta:
            database = db

    class Person(Model):
        id = BigAutoField()
        name = TextField(unique=True)
        meters = BinaryJSONField(index=False)

        class Meta:
            database = db

    db.create_tables([Photo, Person])
