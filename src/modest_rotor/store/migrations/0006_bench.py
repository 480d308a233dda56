"""What learners of the Bench predicted, and how their hunts ended."""

from typing import Any

from peewee import BigAutoField, BooleanField, CharField, IntegerField, Model, TextField
from playhouse.postgres_ext import BinaryJSONField, DateTimeTZField


def up(migrator: Any, db: Any) -> None:
    """Create the tables, with frozen copies of the models of that day."""

    class Base(Model):
        id = BigAutoField()

        class Meta:
            database = db

    class Prediction(Base):
        who = TextField(default="", index=True)
        at = DateTimeTZField()
        experiment = CharField(max_length=40, default="")
        topic = CharField(max_length=40)
        meter = CharField(max_length=40)
        said = IntegerField()
        moved = IntegerField()

    class Hunt(Base):
        attempt = CharField(max_length=40, unique=True)
        who = TextField(default="", index=True)
        at = DateTimeTZField()
        number = IntegerField()
        ending = CharField(max_length=40)
        minutes = IntegerField()
        budget = IntegerField()
        cheapest = IntegerField()
        acts = BinaryJSONField(index=False)
        named = BinaryJSONField(index=False)
        next_step = TextField(default="")
        next_right = BooleanField()

    db.create_tables([Prediction, Hunt])
