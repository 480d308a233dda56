"""Sites, machines, jobs and their changes."""

from typing import Any

from peewee import BigAutoField, CharField, ForeignKeyField, IntegerField, Model, TextField
from playhouse.postgres_ext import BinaryJSONField, DateTimeTZField


def up(migrator: Any, db: Any) -> None:
    """Create the first tables, with frozen copies of the models of that day."""

    class Site(Model):
        id = BigAutoField()
        name = TextField(unique=True)
        units = CharField(max_length=2)
        currency = CharField(max_length=3, null=True)

        class Meta:
            database = db

    class Machine(Model):
        id = BigAutoField()
        site = ForeignKeyField(Site, on_delete="RESTRICT")
        document = BinaryJSONField(index=False)
        revision = IntegerField(default=1)

        class Meta:
            database = db

    class Job(Model):
        id = BigAutoField()
        machine = ForeignKeyField(Machine, on_delete="RESTRICT")
        document = BinaryJSONField(index=False)
        revision = IntegerField(default=1)
        began = DateTimeTZField()
        saved = DateTimeTZField()

        class Meta:
            database = db

    class Change(Model):
        id = BigAutoField()
        job = ForeignKeyField(Job, on_delete="RESTRICT")
        path = TextField()
        label = TextField()
        before = BinaryJSONField(null=True, index=False)
        after = BinaryJSONField(null=True, index=False)
        who = TextField(default="")
        at = DateTimeTZField()
        kind = CharField(max_length=8)
        undoes = ForeignKeyField("self", null=True, on_delete="RESTRICT")
        revision = IntegerField()

        class Meta:
            database = db
            indexes = ((("job", "revision"), True),)

    db.create_tables([Site, Machine, Job, Change])
