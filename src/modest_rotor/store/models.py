"""The tables: rows with keys for what is looked up, JSONB for a job's nested document."""

from __future__ import annotations

from typing import Any

from peewee import (
    BigAutoField,
    BigIntegerField,
    BlobField,
    BooleanField,
    CharField,
    DoubleField,
    ForeignKeyField,
    IntegerField,
    Model,
    TextField,
)
from playhouse.postgres_ext import BinaryJSONField, DateTimeTZField

from modest_rotor.core.kept_words import MARK, as_said, to_keep
from modest_rotor.core.say import Said
from modest_rotor.store.database import database


class Row(Model):
    id = BigAutoField()

    class Meta:
        database = database
        legacy_table_names = False


class SiteRow(Row):
    name = TextField(unique=True)
    units = CharField(max_length=2)
    currency = CharField(max_length=3, null=True)
    numbers = CharField(max_length=5, null=True)
    customer = TextField(null=True)
    contact = TextField(null=True)
    address = TextField(null=True)

    class Meta:
        table_name = "site"


class MachineRow(Row):
    site = ForeignKeyField(SiteRow, backref="machines", on_delete="RESTRICT")
    document = BinaryJSONField()
    revision = IntegerField(default=1)
    told = BinaryJSONField(null=True, index=False)
    told_key = TextField(null=True)

    class Meta:
        table_name = "machine"


class JobRow(Row):
    machine = ForeignKeyField(MachineRow, backref="jobs", on_delete="RESTRICT")
    document = BinaryJSONField()
    revision = IntegerField(default=1)
    began = DateTimeTZField()
    saved = DateTimeTZField()
    summary = BinaryJSONField(null=True)
    summary_key = TextField(null=True)
    undo_top = BigIntegerField(null=True)
    redo_top = BigIntegerField(null=True)
    archived = DateTimeTZField(null=True)
    thrown = DateTimeTZField(null=True)

    class Meta:
        table_name = "job"


class SaidField(TextField):
    """Text that was said, kept as its message for readers of any language; text of people stays as it is."""

    def db_value(self, value: str) -> str:
        """What is kept of it."""
        return to_keep(value) if isinstance(value, Said) else value.lstrip(MARK)

    def python_value(self, value: str) -> Any:
        """What was kept, said again."""
        return as_said(value) if value.startswith(MARK) else value


class ChangeRow(Row):
    """One named edit, kept for ever: the unit of save, undo and conflict.

    ``below`` is the change that lay under it when it was made: of an edit, what undo would take back after it; of an undo,
    what redo would put back after its own.
    """

    job = ForeignKeyField(JobRow, backref="changes", on_delete="RESTRICT")
    path = TextField()
    label = SaidField()
    before = BinaryJSONField(null=True)
    after = BinaryJSONField(null=True)
    who = TextField(default="")
    at = DateTimeTZField()
    kind = CharField(max_length=8)
    undoes = ForeignKeyField("self", null=True, on_delete="RESTRICT")
    revision = IntegerField()
    below = BigIntegerField(null=True)

    class Meta:
        table_name = "change"


class CommandRow(Model):
    """An act of a page that was carried out, under the name that the page gave it; ``about`` says what it made."""

    name = CharField(max_length=40, primary_key=True)
    at = DateTimeTZField(index=True)
    about = BinaryJSONField(index=False)

    class Meta:
        database = database
        legacy_table_names = False
        table_name = "command"


class PhotoRow(Row):
    """A photograph of a job; one that was removed stays, so that it can be put back."""

    job = ForeignKeyField(JobRow, backref="photos", on_delete="RESTRICT")
    of = CharField(max_length=8)
    jpeg = BlobField()
    width = IntegerField()
    height = IntegerField()
    who = TextField(default="")
    at = DateTimeTZField()
    removed = BooleanField(default=False)

    class Meta:
        table_name = "photo"


class PersonRow(Row):
    """Somebody who measures, with the meters in their bag."""

    name = TextField(unique=True)
    meters = BinaryJSONField()

    class Meta:
        table_name = "person"


class ProductRow(Row):
    """An entry of the catalogue, found by its code."""

    code = TextField(unique=True)
    document = BinaryJSONField()
    saved = DateTimeTZField()

    class Meta:
        table_name = "product"


class FirmRow(Row):
    """The firm in whose name reports are made; there is one row."""

    name = TextField(default="")
    address = TextField(default="")
    mark = BlobField(null=True)

    class Meta:
        table_name = "firm"


class DeviceRow(Row):
    """A device that may be read: its profile and where it answers. ``simulated_device`` names those that ship."""

    name = TextField()
    profile = BinaryJSONField(index=False)
    host = TextField()
    port = IntegerField()
    unit = IntegerField()
    simulated_device = CharField(column_name="stand_in", max_length=40, null=True, unique=True)
    site = TextField(null=True)
    saved = DateTimeTZField()

    class Meta:
        table_name = "device"


class WriteAuthorisationRow(Row):
    """Authorisation to write some registers of a device for a job, until a time; given by a person who saw what would be written."""

    device = ForeignKeyField(DeviceRow, on_delete="CASCADE")
    job = ForeignKeyField(JobRow, on_delete="RESTRICT")
    roles = BinaryJSONField(index=False)
    who = TextField()
    at = DateTimeTZField()
    until = DateTimeTZField()
    boot = TextField(default="")
    until_s = DoubleField(default=0.0)

    class Meta:
        table_name = "armed"


class WrittenRow(Row):
    """One write to a device, kept for ever: old, wanted and read back, in SI.

    It is kept before it is sent; ``ended`` once it is known what became of it.
    """

    device = ForeignKeyField(DeviceRow, null=True, on_delete="SET NULL")
    device_number = IntegerField(null=True, index=True)
    device_name = TextField()
    job = ForeignKeyField(JobRow, null=True, on_delete="RESTRICT")
    role = TextField()
    address = IntegerField()
    before = DoubleField(null=True)
    wanted = DoubleField()
    after = DoubleField(null=True)
    outcome = TextField()
    who = TextField()
    at = DateTimeTZField()
    ended = BooleanField(default=True)

    class Meta:
        table_name = "written"


class LogReadingRow(Row):
    """One reading of a machine over time, values in SI; what was not read is null."""

    machine = ForeignKeyField(MachineRow, on_delete="RESTRICT")
    at = DateTimeTZField()
    setting = TextField()
    source = TextField()
    who = TextField(default="")
    voltage = DoubleField(null=True)
    current = DoubleField(null=True)
    input_power = DoubleField(null=True)
    speed = DoubleField(null=True)
    static = DoubleField(null=True)
    airflow = DoubleField(null=True)
    water_flow = DoubleField(null=True)
    differential = DoubleField(null=True)
    air = DoubleField(null=True)
    capacitance = DoubleField(null=True)

    class Meta:
        table_name = "log_reading"
        indexes = ((("machine", "at", "setting", "source"), True),)


class ServiceRow(Row):
    """A service event of a machine; one that was removed stays."""

    machine = ForeignKeyField(MachineRow, on_delete="RESTRICT")
    at = DateTimeTZField()
    kind = CharField(max_length=12)
    note = TextField(default="")
    due_days = IntegerField(null=True)
    who = TextField(default="")
    removed = BooleanField(default=False)

    class Meta:
        table_name = "service"


class WatchRow(Row):
    """A meter panel that is read into a machine's log at an interval."""

    machine = ForeignKeyField(MachineRow, unique=True, on_delete="CASCADE")
    device = ForeignKeyField(DeviceRow, on_delete="CASCADE")
    commander = ForeignKeyField(DeviceRow, null=True, on_delete="SET NULL")
    every_s = IntegerField()
    setting = TextField()
    who = TextField()
    began = DateTimeTZField()

    class Meta:
        table_name = "watch"


class PredictionRow(Row):
    """What a learner said that a meter of the Bench would do, and what it did: −1 falls, 0 same, 1 rises."""

    who = TextField(default="", index=True)
    at = DateTimeTZField()
    experiment = CharField(max_length=40, default="")
    topic = CharField(max_length=40)
    meter = CharField(max_length=40)
    said = IntegerField()
    moved = IntegerField()

    class Meta:
        table_name = "prediction"


class HuntRow(Row):
    """A fault hunt that has ended; ``attempt`` is its own name, so that none is kept twice."""

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

    class Meta:
        table_name = "hunt"


class SweepRow(Row):
    """A noise sweep that is run through a drive: how far it has come, and what the drive was told before."""

    job = ForeignKeyField(JobRow, unique=True, on_delete="CASCADE")
    device = ForeignKeyField(DeviceRow, on_delete="CASCADE")
    panel = ForeignKeyField(DeviceRow, null=True, on_delete="SET NULL")
    place = IntegerField(default=0)
    original = BinaryJSONField(index=False)
    levels = BinaryJSONField(index=False)
    who = TextField()
    at = DateTimeTZField()

    class Meta:
        table_name = "sweep"


class SignedRow(Row):
    """A job as it was signed off: job, assessment and program version together; only added, never changed."""

    job = ForeignKeyField(JobRow, on_delete="RESTRICT")
    number = IntegerField()
    at = DateTimeTZField()
    who = TextField()
    role = TextField(default="")
    program_version = TextField()
    revision = TextField()
    job_file = BinaryJSONField(index=False)
    assessment = BinaryJSONField(index=False)
    report = TextField(null=True)
    """The report's data, byte for byte as it was shown; nothing of what was signed before this was kept."""
    pdf = BlobField(null=True)
    sheet = BlobField(null=True)

    class Meta:
        table_name = "signed"
        indexes = ((("job", "number"), True),)


MODELS = (
    SiteRow,
    MachineRow,
    JobRow,
    ChangeRow,
    CommandRow,
    PhotoRow,
    PersonRow,
    ProductRow,
    FirmRow,
    DeviceRow,
    WriteAuthorisationRow,
    WrittenRow,
    LogReadingRow,
    ServiceRow,
    WatchRow,
    SweepRow,
    SignedRow,
    PredictionRow,
    HuntRow,
)
