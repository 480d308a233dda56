"""Devices and who may write them, sweeps, readings over time, service events, and what was signed."""

from typing import Any

from peewee import BigAutoField, BooleanField, CharField, DoubleField, ForeignKeyField, IntegerField, Model, TextField
from playhouse.postgres_ext import BinaryJSONField, DateTimeTZField

VALUES = (
    "voltage", "current", "input_power", "speed", "static", "airflow", "water_flow", "differential", "air", "capacitance",
)  # fmt: skip


def up(migrator: Any, db: Any) -> None:
    """Create the tables, with frozen copies of the models of that day."""

    class Base(Model):
        id = BigAutoField()

        class Meta:
            database = db

    class Machine(Base):
        pass

    class Job(Base):
        pass

    class Device(Base):
        name = TextField()
        profile = BinaryJSONField(index=False)
        host = TextField()
        port = IntegerField()
        unit = IntegerField()
        stand_in = CharField(max_length=40, null=True, unique=True)
        saved = DateTimeTZField()

    class Armed(Base):
        device = ForeignKeyField(Device, on_delete="CASCADE")
        job = ForeignKeyField(Job, on_delete="RESTRICT")
        roles = BinaryJSONField(index=False)
        who = TextField()
        at = DateTimeTZField()
        until = DateTimeTZField()

    class Written(Base):
        device = ForeignKeyField(Device, null=True, on_delete="SET NULL")
        device_name = TextField()
        job = ForeignKeyField(Job, null=True, on_delete="RESTRICT")
        role = TextField()
        address = IntegerField()
        before = DoubleField(null=True)
        wanted = DoubleField()
        after = DoubleField(null=True)
        outcome = TextField()
        who = TextField()
        at = DateTimeTZField()

    class LogReading(Base):
        machine = ForeignKeyField(Machine, on_delete="RESTRICT")
        at = DateTimeTZField()
        setting = TextField()
        source = TextField()
        who = TextField(default="")

        class Meta:
            table_name = "log_reading"
            indexes = ((("machine", "at", "setting", "source"), True),)

    for name in VALUES:
        LogReading._meta.add_field(name, DoubleField(null=True))

    class Service(Base):
        machine = ForeignKeyField(Machine, on_delete="RESTRICT")
        at = DateTimeTZField()
        kind = CharField(max_length=12)
        note = TextField(default="")
        due_days = IntegerField(null=True)
        who = TextField(default="")
        removed = BooleanField(default=False)

    class Watch(Base):
        machine = ForeignKeyField(Machine, unique=True, on_delete="CASCADE")
        device = ForeignKeyField(Device, on_delete="CASCADE")
        commander = ForeignKeyField(Device, null=True, on_delete="SET NULL")
        every_s = IntegerField()
        setting = TextField()
        who = TextField()
        began = DateTimeTZField()

    class Sweep(Base):
        job = ForeignKeyField(Job, unique=True, on_delete="CASCADE")
        device = ForeignKeyField(Device, on_delete="CASCADE")
        panel = ForeignKeyField(Device, null=True, on_delete="SET NULL")
        place = IntegerField(default=0)
        original = BinaryJSONField(index=False)
        levels = BinaryJSONField(index=False)
        who = TextField()
        at = DateTimeTZField()

    class Signed(Base):
        job = ForeignKeyField(Job, on_delete="RESTRICT")
        number = IntegerField()
        at = DateTimeTZField()
        who = TextField()
        role = TextField(default="")
        program_version = TextField()
        revision = TextField()
        job_file = BinaryJSONField(index=False)
        assessment = BinaryJSONField(index=False)

        class Meta:
            indexes = ((("job", "number"), True),)

    db.create_tables([Device, Armed, Written, LogReading, Service, Watch, Sweep, Signed])
