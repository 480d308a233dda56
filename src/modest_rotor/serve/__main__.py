"""Start the database, load the demo once, let simulated devices answer, serve until interrupted, and stop what was started."""

from __future__ import annotations

import argparse
import faulthandler
import fcntl
import json
import logging
import os
import signal
import socket
import sys
import threading
from collections.abc import Iterator
from contextlib import contextmanager
from pathlib import Path

import uvicorn

from modest_rotor.api.app import create_app
from modest_rotor.core.errors import ModestRotorError
from modest_rotor.demo.load import load_catalogue_once, load_demo_once
from modest_rotor.devices.links import LINKS
from modest_rotor.devices.loop_run import stop_all_runs
from modest_rotor.devices.panel_watch import watch_panels
from modest_rotor.devices.simulated_devices import start_simulated_devices, stop_simulated_devices
from modest_rotor.devices.sweep_run import stop_all
from modest_rotor.fieldbus.client import OWN_PORTS
from modest_rotor.serve.cluster import Cluster
from modest_rotor.serve.upkeep import keep_up
from modest_rotor.store import database
from modest_rotor.workers.solvers import SOLVERS

log = logging.getLogger(__name__)
TOLD = "%(levelname)s %(name)s: %(message)s"
"""How what happens beside the requests is told on standard error."""
HOST = "127.0.0.1"
DEFAULT_PORT = 8420
WATCH_EVERY_S = 0.5
LONGEST_GOODBYE_S = 3.0
LONGEST_STOP_S = 45.0
MOST_SOLVERS = 4
WEB_FILES = Path(__file__).resolve().parents[3] / "web" / "dist"


class StartRefusedError(ModestRotorError):
    """The application cannot start; the sentence says what to do."""


class _Server(uvicorn.Server):
    """Says its address once it truly listens."""

    def __init__(self, config: uvicorn.Config, address: str) -> None:
        super().__init__(config)
        self.address = address

    def stop_by_hang_up(self) -> None:
        """Let a closed terminal end it in the same order as Ctrl-C does."""
        signal.signal(signal.SIGHUP, lambda *_: self.handle_exit(signal.SIGTERM, None))

    async def startup(self, sockets: list[socket.socket] | None = None) -> None:
        """Listen, then print the one address."""
        await super().startup(sockets)
        print(f"Modest Rotor is at {self.address}   (Ctrl-C stops it)", flush=True)


def main(arguments: list[str] | None = None) -> int:
    """Run until interrupted; gives the exit code."""
    options = _parser().parse_args(arguments)
    logging.basicConfig(level=logging.WARNING, format=TOLD)
    logging.getLogger("modest_rotor").setLevel(logging.INFO)
    for ending in (signal.SIGTERM, signal.SIGHUP):
        signal.signal(ending, _stop_as_by_ctrl_c)
    try:
        with _alone_in(options.data, options.port) as lock:
            if lock is None:
                return 0
            if options.new_password:
                Cluster(options.data).renew_password()
                print("The database has a new password. Start again without --new-password.")
            else:
                _serve(options)
    except (ModestRotorError, OSError) as error:
        print(f"Modest Rotor did not start: {error}", file=sys.stderr)
        return 1
    return 0


def _stop_as_by_ctrl_c(*_: object) -> None:
    """A closed terminal or a plain kill must not leave the database behind."""
    raise KeyboardInterrupt


def default_data_directory() -> Path:
    """Where data live unless told otherwise: a place that outlives the checkout, and that PostgreSQL's user can enter."""
    if os.geteuid() == 0:
        return Path("/var/lib/modest-rotor")
    return Path(os.environ.get("XDG_DATA_HOME") or Path.home() / ".local" / "share") / "modest-rotor"


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="./start", description=__doc__)
    parser.add_argument("--port", type=int, default=DEFAULT_PORT, help=f"port on {HOST} (default {DEFAULT_PORT})")
    parser.add_argument(
        "--data", type=Path, default=default_data_directory(), help="data directory (default %(default)s)"
    )
    parser.add_argument("--no-demo", action="store_true", help="do not load the invented demo sites")
    parser.add_argument(
        "--adopt", action="store_true", help="start on a directory that was copied or moved while its database ran"
    )
    parser.add_argument(
        "--new-password",
        action="store_true",
        help="make a new password for the database, in place of a lost one, and end",
    )
    return parser


@contextmanager
def _alone_in(directory: Path, port: int) -> Iterator[object | None]:
    """Hold the data directory; gives ``None`` when a running application holds it, after saying where that one is."""
    try:
        directory.mkdir(parents=True, exist_ok=True)
        # Only the directory's own entry for passing through: PostgreSQL's user must reach its files below it.
        handle = (directory / "lock").open("a+")
    except OSError as error:
        raise StartRefusedError(
            f"the data directory {directory} cannot be used: {error.strerror}. Choose another with --data."
        ) from error
    with handle:
        try:
            fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            print(f"Modest Rotor already runs on this data, at {_address_in(handle)}. Open that, or stop it first.")
            yield None
            return
        handle.seek(0)
        handle.truncate()
        json.dump({"address": f"http://{HOST}:{port}"}, handle)
        handle.flush()
        yield handle


def _address_in(handle: object) -> str:
    handle.seek(0)  # type: ignore[attr-defined]
    try:
        return str(json.load(handle)["address"])  # type: ignore[arg-type]
    except (ValueError, KeyError):
        return "another address"


def _serve(options: argparse.Namespace) -> None:
    listener = _listen(options.port)
    OWN_PORTS.add(options.port)
    cluster = Cluster(options.data)
    stopping = threading.Event()
    watcher = threading.Thread(target=watch_panels, args=(stopping,), daemon=True)
    upkeep = threading.Thread(target=keep_up, args=(stopping,), daemon=True)
    try:
        SOLVERS.start(_processes())
        if options.adopt:
            cluster.adopt()
        cluster.start()
        _say_what_was_left(options.data)
        database.connect(**cluster.parameters)
        _refuse_newer_data()
        database.migrate()
        load_catalogue_once()
        if not options.no_demo:
            load_demo_once()
            database.with_connection(start_simulated_devices)()
        threading.Thread(target=_keep_alive, args=(cluster, stopping), daemon=True).start()
        watcher.start()
        upkeep.start()
        config = uvicorn.Config(create_app(WEB_FILES), log_level="warning", timeout_graceful_shutdown=3)
        server = _Server(config, f"http://{HOST}:{options.port}")
        server.stop_by_hang_up()
        server.run(sockets=[listener])
    except KeyboardInterrupt:
        pass
    finally:
        stopping.set()
        # Should anything hang from here on, it is shown where, and the process ends all the same.
        faulthandler.dump_traceback_later(LONGEST_STOP_S, exit=True)
        listener.close()
        _let_devices_go(watcher)
        upkeep_ends(upkeep)
        database.drop_connections()
        SOLVERS.stop()
        cluster.stop()
        faulthandler.cancel_dump_traceback_later()


def _processes() -> int:
    """Solvers: one for each core, two at the least, so that one long look does not stop all."""
    return max(2, min(os.cpu_count() or 2, MOST_SOLVERS))


def upkeep_ends(upkeep: threading.Thread) -> None:
    """Let the upkeep finish what it does."""
    if upkeep.is_alive():
        upkeep.join(LONGEST_GOODBYE_S)


def _refuse_newer_data() -> None:
    """A program that is older than its data would read them wrong and write them worse."""
    unknown = database.unknown_migrations()
    if unknown:
        raise StartRefusedError(
            f"these data were written by a newer Modest Rotor ({', '.join(unknown)} is not known here). Nothing was changed. Start"
            " them with that version, or choose another directory with --data."
        )


def _say_what_was_left(directory: Path) -> None:
    """Name what a start that was cut short left behind; it is not ours to remove."""
    for left in sorted(directory.glob("cluster.making-*")):
        print(
            f"{left} is left over from a first start that was cut short; it may be removed.",
            file=sys.stderr,
            flush=True,
        )


def _let_devices_go(watcher: threading.Thread) -> None:
    """Sweeps stay where they are, links and simulated devices end."""
    stop_all()
    stop_all_runs()
    if watcher.is_alive():
        watcher.join(LONGEST_GOODBYE_S)
    LINKS.close()
    stop_simulated_devices()


def _listen(port: int) -> socket.socket:
    listener = socket.socket()
    listener.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    try:
        listener.bind((HOST, port))
    except OSError as error:
        listener.close()
        raise StartRefusedError(
            f"port {port} is in use by another program. Choose another: ./start --port {port + 1}"
        ) from error
    except OverflowError as error:
        listener.close()
        raise StartRefusedError(f"{port} is no port; choose one from 1024 to 65535") from error
    return listener


def _keep_alive(cluster: Cluster, stopping: threading.Event) -> None:
    """Start the database again when it was killed: what was saved is in its log, and recovery takes seconds."""
    while not stopping.wait(WATCH_EVERY_S):
        if cluster.is_alive():
            continue
        try:
            log.warning("The database went away; starting it again.")
            cluster.start()
        except ModestRotorError as error:
            log.error("%s Trying again.", error)


if __name__ == "__main__":
    sys.exit(main())
