"""Commands that were carried out; writes kept before they are sent; tops of undo and redo; what is told of a machine's log."""

from typing import Any

from peewee import BigIntegerField, BooleanField, CharField, DoubleField, IntegerField, Model, TextField
from playhouse.postgres_ext import BinaryJSONField, DateTimeTZField


def up(migrator: Any, db: Any) -> None:
    """Create and add; then replay each history once, so that it need not be replayed at every save."""

    class Command(Model):
        name = CharField(max_length=40, primary_key=True)
        at = DateTimeTZField(index=True)
        about = BinaryJSONField(index=False)

        class Meta:
            database = db
            table_name = "command"

    db.create_tables([Command])
    migrator.migrate(
        migrator.add_column("job", "undo_top", BigIntegerField(null=True)),
        migrator.add_column("job", "redo_top", BigIntegerField(null=True)),
        migrator.add_column("change", "below", BigIntegerField(null=True)),
        migrator.add_column("machine", "told", BinaryJSONField(null=True, index=False)),
        migrator.add_column("machine", "told_key", TextField(null=True)),
        migrator.add_column("armed", "boot", TextField(default="")),
        migrator.add_column("armed", "until_s", DoubleField(default=0.0)),
        migrator.add_column("written", "device_number", IntegerField(null=True, index=True)),
        migrator.add_column("written", "ended", BooleanField(default=True)),
    )
    db.execute_sql("UPDATE written SET device_number = device_id")
    for (job,) in db.execute_sql("SELECT id FROM job").fetchall():
        _replay(db, job)


def _replay(db: Any, job: int) -> None:
    done: list[int] = []
    undone: list[int] = []
    below: dict[int, int | None] = {}
    rows = db.execute_sql("SELECT id, kind FROM change WHERE job_id = %s ORDER BY id", (job,)).fetchall()
    for number, kind in rows:
        if kind == "undo":
            below[number] = undone[-1] if undone else None
            undone.append(done.pop())
        elif kind == "redo":
            done.append(undone.pop())
        else:
            below[number] = done[-1] if done else None
            done.append(number)
            undone.clear()
    for number, under in below.items():
        if under is not None:
            db.execute_sql("UPDATE change SET below = %s WHERE id = %s", (under, number))
    tops = (done[-1] if done else None, undone[-1] if undone else None, job)
    db.execute_sql("UPDATE job SET undo_top = %s, redo_top = %s WHERE id = %s", tops)
