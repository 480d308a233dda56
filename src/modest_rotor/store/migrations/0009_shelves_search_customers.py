"""Jobs that are put away or thrown away, words to find them by, and whose site it is."""

from typing import Any

from peewee import TextField
from playhouse.postgres_ext import DateTimeTZField


def up(migrator: Any, db: Any) -> None:
    """Add; every job stays where it is. The words of a job are kept by the database itself."""
    migrator.migrate(
        migrator.add_column("job", "archived", DateTimeTZField(null=True)),
        migrator.add_column("job", "thrown", DateTimeTZField(null=True)),
        migrator.add_column("site", "customer", TextField(null=True)),
        migrator.add_column("site", "contact", TextField(null=True)),
        migrator.add_column("site", "address", TextField(null=True)),
    )
    db.execute_sql(
        "ALTER TABLE job ADD COLUMN words tsvector"
        " GENERATED ALWAYS AS (jsonb_to_tsvector('simple', document, '[\"string\"]')) STORED"
    )
    db.execute_sql("CREATE INDEX job_words ON job USING gin (words)")
