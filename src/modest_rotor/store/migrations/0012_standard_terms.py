"""Documents and histories under the names of version 3: every path in the trade's standard terms."""

from typing import Any

from psycopg.types.json import Jsonb

from modest_rotor.core.upgrades import TERMS_OF_3, path_today, standard_terms, value_today

ROOTS = sorted({path.split("/")[0] for path in TERMS_OF_3})


def up(_migrator: Any, db: Any) -> None:
    """Rename; nothing else of a row changes. What was signed stays byte for byte, and is read by its own version."""
    for number, document in _rows(db, "SELECT id, document FROM machine"):
        _put(db, "machine", number, document=standard_terms({"machine": document})["machine"])
    for number, document in _rows(db, "SELECT id, document FROM job"):
        _put(db, "job", number, document=standard_terms({"document": document})["document"])
    changes = "SELECT id, path, before, after FROM change WHERE split_part(path, '/', 1) = ANY(%s)"
    for number, path, before, after in _rows(db, changes, ROOTS):
        values = {name: value_today(path, value) for name, value in (("before", before), ("after", after))}
        db.execute_sql("UPDATE change SET path = %s WHERE id = %s", (path_today(path), number))
        _put(db, "change", number, **values)


def _rows(db: Any, sql: str, *given: Any) -> list[Any]:
    return list(db.execute_sql(sql, given).fetchall())


def _put(db: Any, table: str, number: int, **columns: Any) -> None:
    for column, value in columns.items():
        if value is not None:
            db.execute_sql(f'UPDATE "{table}" SET {column} = %s WHERE id = %s', (Jsonb(value), number))
