"""The connection to PostgreSQL, with a bound on every wait; transactions that know whether they were kept; migrations."""

from __future__ import annotations

import heapq
import logging
import select
import socket
import threading
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager, suppress
from functools import wraps
from pathlib import Path
from typing import Any, ParamSpec, TypeVar

import psycopg
from peewee import DatabaseError, DatabaseProxy, InterfaceError, InternalError, OperationalError
from playhouse.migrations import Runner
from playhouse.pool import MaxConnectionsExceeded, PoolConnection, PooledDatabase, PooledPostgresqlDatabase

from modest_rotor.core.errors import ChangeRefused, Conflict, ModestRotorError
from modest_rotor.core.say import say
from modest_rotor.store.saving import begun, ended, rolled_back, take_up

MIGRATIONS = Path(__file__).parent / "migrations"
MIGRATION_LOCK = 7_307_101
MOST_CONNECTIONS = 20
WAIT_FOR_CONNECTION_S = 2
CONNECT_S = 2
STATEMENT_MS, LOCK_MS = 2_200, 1_800
"""The server gives a statement up after this, and a wait for somebody else's row sooner."""
FROZEN_AFTER_S = 2.3
"""After this a server that does not even give up is taken for frozen, and the connection is cut from this side."""
TRY_AGAIN_AFTER_S = 0.7
"""While the database is away every request is answered at once, and one in this time tries it."""
IDLE_IN_TRANSACTION_MS = 60_000
BUSY_CODES = ("55P03", "57014", "40P01", "40001", "53300")
"""A row that is held, a statement that took too long, a deadlock, and too many connections."""
AWAY_CLASSES, NO_ROOM = ("08", "57", "58", "XX"), "53"

database = DatabaseProxy()
log = logging.getLogger(__name__)

Arguments = ParamSpec("Arguments")
Answer = TypeVar("Answer")


class DatabaseAway(ModestRotorError, RuntimeError):
    """The database does not answer just now."""


class DatabaseBusy(ModestRotorError, RuntimeError):
    """It answers, but somebody else holds what was asked for."""


class _Watch:
    """Cuts connections whose statement got no answer for too long: a frozen server never gives up by itself."""

    def __init__(self) -> None:
        self._open: dict[int, tuple[float, int]] = {}
        self._lock = threading.Lock()
        self._thread: threading.Thread | None = None

    @contextmanager
    def over(self, connection: psycopg.Connection[Any]) -> Iterator[None]:
        """Watch one statement of a connection."""
        key = threading.get_ident()
        with self._lock:
            self._open[key] = (time.monotonic() + getattr(_patience, "seconds", FROZEN_AFTER_S), connection.fileno())
            if self._thread is None or not self._thread.is_alive():
                self._thread = threading.Thread(target=self._run, daemon=True, name="watch over statements")
                self._thread.start()
        try:
            yield
        finally:
            with self._lock:
                self._open.pop(key, None)

    def _run(self) -> None:
        while True:
            time.sleep(0.1)
            now = time.monotonic()
            with self._lock:
                late = [key for key, (until, _) in self._open.items() if until < now]
                # Under the lock the statement cannot end meanwhile and its number be given to another file.
                for key in late:
                    _, number = self._open.pop(key)
                    with suppress(OSError):
                        twin = socket.fromfd(number, socket.AF_UNIX, socket.SOCK_STREAM)
                        with twin:
                            twin.shutdown(socket.SHUT_RDWR)


_WATCH = _Watch()
_patience = threading.local()


@contextmanager
def patient(seconds: float) -> Iterator[None]:
    """Wait longer than usual for statements of this thread: migrations, and what an operator asks for."""
    _patience.seconds = seconds
    try:
        yield
    finally:
        del _patience.seconds


class _WatchedCursor(psycopg.Cursor[Any]):
    """A cursor whose every statement is watched, BEGIN and COMMIT among them."""

    def execute(self, *args: Any, **kwargs: Any) -> Any:
        """Run one statement under watch."""
        with _WATCH.over(self.connection):
            return super().execute(*args, **kwargs)


class _Availability:
    """Whether the database answered last; while it does not, one request in a while tries it and the others hear so at once."""

    def __init__(self) -> None:
        self._lock = threading.Lock()
        self._away_until: float | None = None
        self._trying: int | None = None

    def refuse_while_away(self) -> None:
        """Say at once that it is away, unless it is time to try. :raises DatabaseAway: it is, and was tried a moment ago."""
        with self._lock:
            if self._away_until is None:
                return
            if time.monotonic() < self._away_until:
                raise DatabaseAway(say("database-refuse-while-away"))
            # This one tries; the others wait no longer than it would take.
            self._trying = threading.get_ident()
            self._away_until = time.monotonic() + CONNECT_S + FROZEN_AFTER_S

    def answered(self) -> None:
        """It answered."""
        if self._away_until is not None:
            with self._lock:
                self._away_until = None

    @property
    def is_tried_by_this_thread(self) -> bool:
        """Whether it is this thread that tries whether it is back."""
        return self._trying == threading.get_ident()

    def failed(self) -> None:
        """It did not."""
        with self._lock:
            self._trying = None
            self._away_until = time.monotonic() + TRY_AGAIN_AFTER_S

    @property
    def is_away(self) -> bool:
        """Whether it did not answer when it was asked last."""
        return self._away_until is not None


AVAILABLE = _Availability()


class Pool(PooledPostgresqlDatabase):  # type: ignore[misc]
    """The pool: a connection that is dead is never handed out, and one request's trouble stays its own."""

    _making = 0
    """Connections that are being made."""

    def _is_closed(self, conn: psycopg.Connection[Any]) -> bool:
        # An idle connection with something to read was hung up by the server.
        return super()._is_closed(conn) or bool(select.select([conn.fileno()], [], [], 0)[0])

    def _connect(self) -> Any:
        """A connection that lies idle, or a new one, which is made without the pool's lock: nobody gives back behind it."""
        with self._pool_lock:
            found = self._idle()
            if found is not None:
                return found
            if AVAILABLE.is_away and not AVAILABLE.is_tried_by_this_thread:
                raise OperationalError(say("database-connect-database-away"))
            if len(self._in_use) + self._making >= self._max_connections:
                raise MaxConnectionsExceeded(say("database-connect-all-connections"))
            self._making += 1
        try:
            made = super(PooledDatabase, self)._connect()
        except (OperationalError, InterfaceError):
            AVAILABLE.failed()
            raise
        finally:
            with self._pool_lock:
                self._making -= 1
        with self._pool_lock:
            now = time.time()
            self._in_use[self.conn_key(made)] = PoolConnection(now, made, now)
        return made

    def _idle(self) -> Any:
        while self._connections:
            since, _, kept = heapq.heappop(self._connections)
            if not self._is_closed(kept):
                self._in_use[self.conn_key(kept)] = PoolConnection(since, kept, time.time())
                return kept
        return None


_on_connect: list[Callable[[], None]] = []


def forgets_on_connect(forget: Callable[[], None]) -> Callable[[], None]:
    """Have something that was kept of one database forgotten when the application is pointed at another."""
    _on_connect.append(forget)
    return forget


def connect(**parameters: Any) -> Pool:
    """Point the application at a PostgreSQL database (host, port, dbname, user, password)."""
    drop_connections()
    for forget in _on_connect:
        forget()
    name = parameters.pop("dbname")
    options = f"-c statement_timeout={STATEMENT_MS} -c lock_timeout={LOCK_MS} -c idle_in_transaction_session_timeout={IDLE_IN_TRANSACTION_MS}"
    pool = Pool(
        name,
        max_connections=MOST_CONNECTIONS,
        timeout=WAIT_FOR_CONNECTION_S,
        connect_timeout=CONNECT_S,
        options=options,
        cursor_factory=_WatchedCursor,
        **parameters,
    )
    database.initialize(pool)
    AVAILABLE.answered()
    return pool


def migrate(target: str | None = None) -> list[str]:
    """Bring the schema up to the newest migration (or to ``target``); gives the names of those applied."""
    with patient(3600.0), database.connection_context():
        for bound in ("statement_timeout", "lock_timeout", "idle_in_transaction_session_timeout"):
            database.execute_sql(f"SET {bound} = 0")
        database.execute_sql("SELECT pg_advisory_lock(%s)", (MIGRATION_LOCK,))
        try:
            return list(Runner(database.obj, str(MIGRATIONS)).up(target))
        finally:
            database.execute_sql("SELECT pg_advisory_unlock(%s)", (MIGRATION_LOCK,))
            for bound in ("statement_timeout", "lock_timeout", "idle_in_transaction_session_timeout"):
                database.execute_sql(f"RESET {bound}")


def known_migrations() -> tuple[str, ...]:
    """The names of the migrations that this program has, oldest first."""
    return tuple(sorted(path.stem for path in MIGRATIONS.glob("[0-9]*.py")))


def unknown_migrations() -> tuple[str, ...]:
    """Migrations that the connected database has and this program does not know: a newer program wrote it."""
    with database.connection_context():
        return tuple(sorted(set(Runner(database.obj, str(MIGRATIONS)).applied()) - set(known_migrations())))


def newest_applied() -> str | None:
    """The name of the newest migration that the connected database has."""
    applied = Runner(database.obj, str(MIGRATIONS)).applied()
    return max(applied, default=None)


def drop_connections() -> None:
    """Forget every pooled connection: the application ends, or is pointed elsewhere."""
    if database.obj is not None:
        database.obj.close_all()


@contextmanager
def transaction() -> Iterator[None]:
    """One transaction, or a part of the one around it; what became of it is noted for the words of the answer.

    :raises KnownCommand: the command that this belongs to was carried out before; nothing is done twice.
    """
    if database.in_transaction():
        with database.atomic():
            yield
        return
    try:
        with database.atomic():
            take_up(database)
            yield
            begun()
    except BaseException:
        # Where the connection broke while the commit was on its way, nobody knows; else the server holds nothing of it.
        rolled_back(known=not _own_connection_is_broken())
        raise
    ended()


def _own_connection_is_broken() -> bool:
    """Whether this thread's connection is of no more use."""
    pool = database.obj
    if pool is None or pool.is_closed():
        return True
    return not pool.is_connection_usable()


@contextmanager
def connection() -> Iterator[None]:
    """A connection of this thread for a while, given back to the pool afterwards, or thrown away where it broke.

    :raises DatabaseAway: it does not answer. :raises DatabaseBusy: it answers, but not in time.
    """
    outermost = database.is_closed()
    if outermost:
        AVAILABLE.refuse_while_away()
    try:
        with database.connection_context():
            yield
    except MaxConnectionsExceeded as error:
        raise DatabaseBusy(say("database-connection")) from error
    except (OperationalError, InterfaceError, DatabaseError) as error:
        if not outermost:
            raise
        raise _told(error) from error
    else:
        if outermost:
            AVAILABLE.answered()


def _told(error: Exception) -> Exception:
    """What a failed statement means: the database is away, somebody else is quicker, or what was asked cannot be kept."""
    cause = getattr(error, "orig", error)
    code = str(getattr(cause, "sqlstate", None) or "")
    if code in BUSY_CODES:
        return DatabaseBusy(say("database-told-somebody-else"))
    if code[:2] == NO_ROOM:
        return DatabaseBusy(say("database-told-disk-memory"))
    if code[:2] in AWAY_CLASSES or (not code and isinstance(error, (OperationalError, InterfaceError, InternalError))):
        AVAILABLE.failed()
        return DatabaseAway(say("database-told-database-does"))
    if code[:2] == "23":
        return Conflict(say("database-told-what-rests"))
    log.warning("the database refuses a value: %s", error)
    return ChangeRefused(say("database-told-database-cannot"))


def in_one_transaction(function: Callable[Arguments, Answer]) -> Callable[Arguments, Answer]:
    """Do all that a function writes in one transaction, or nothing of it."""

    @wraps(function)
    def wrapped(*args: Arguments.args, **kwargs: Arguments.kwargs) -> Answer:
        with transaction():
            return function(*args, **kwargs)

    return wrapped


def with_connection(function: Callable[Arguments, Answer]) -> Callable[Arguments, Answer]:
    """Run a function inside a connection of its own thread, given back to the pool afterwards."""

    @wraps(function)
    def wrapped(*args: Arguments.args, **kwargs: Arguments.kwargs) -> Answer:
        with connection():
            return function(*args, **kwargs)

    return wrapped
