"""The tables: rows with keys for what is looked up, JSONB for a job's nested document."""

from __future__ import annotations

from peewee import BigAutoField, BlobField, BooleanField, CharField, ForeignKeyField, IntegerField, Model, TextField
from playhouse.postgres_ext import BinaryJSONField, DateTimeTZField

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

    class Meta:
        table_name = "site"


class MachineRow(Row):
    site = ForeignKeyField(SiteRow, backref="machines", on_delete="RESTRICT")
    document = BinaryJSONField()
    revision = IntegerField(default=1)

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

    class Meta:
        table_name = "job"


class ChangeRow(Row):
    """One named edit, kept for ever: the unit of save, undo and conflict."""

    job = ForeignKeyField(JobRow, backref="changes", on_delete="RESTRICT")
    path = TextField()
    label = TextField()
    before = BinaryJSONField(null=True)
    after = BinaryJSONField(null=True)
    who = TextField(default="")
    at = DateTimeTZField()
    kind = CharField(max_length=8)
    undoes = ForeignKeyField("self", null=True, on_delete="RESTRICT")
    revision = IntegerField()

    class Meta:
        table_name = "change"


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


MODELS = (SiteRow, MachineRow, JobRow, ChangeRow, PhotoRow, PersonRow, ProductRow)
