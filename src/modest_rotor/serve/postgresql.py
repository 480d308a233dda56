"""What of PostgreSQL is found on this machine: its programs by version, the user it runs as, its processes."""

from __future__ import annotations

import os
import pwd
from pathlib import Path
from typing import Any

from modest_rotor.core.errors import ModestRotorError

SERVER_USER = "postgres"
PROGRAMS = Path("/usr/lib/postgresql")


class ClusterError(ModestRotorError):
    """PostgreSQL could not be installed, created or started; the sentence says what was found and what to do."""


def programs_for(files: Path) -> Path:
    """The programs of the version that made a cluster: another major version cannot read it.

    :raises ClusterError: they are not installed.
    """
    try:
        version = (files / "PG_VERSION").read_text().strip()
    except OSError:
        return newest_programs()
    found = PROGRAMS / version / "bin"
    if (found / "pg_ctl").exists():
        return found
    here = ", ".join(path.name for path in sorted(PROGRAMS.glob("*"))) or "none"
    raise ClusterError(
        f"The data in {files} were made by PostgreSQL {version}, and another version cannot read them (here: {here}). Nothing was"
        f" changed. Install that version beside:  apt-get install postgresql-{version}   then start again: it is used for this"
        " directory. To take the data to the newer one, start it so, take every job out as a file, and bring them into a new directory."
    )


def newest_programs() -> Path:
    """The newest PostgreSQL programs that are installed."""
    found = sorted(PROGRAMS.glob("*/bin/initdb"), key=lambda path: float(path.parts[-3]))
    if not found:
        raise ClusterError(
            "PostgreSQL is not installed. Run ./start, which installs it, or: apt-get install postgresql"
        )
    return found[-1].parent


def password_in(file: Path) -> str:
    try:
        password = file.read_text().strip()
    except (OSError, UnicodeDecodeError) as error:
        raise ClusterError(
            f"The password of the database cannot be read from {file}; its data are untouched. Put the file back, or have a new one"
            " made:  ./start --new-password"
        ) from error
    if not password:
        raise ClusterError(
            f"{file} is empty: the password of the database is lost, its data are untouched. Have a new one made:  ./start --new-password"
        )
    return password


def user_name(number: int) -> str:
    try:
        return pwd.getpwuid(number).pw_name
    except KeyError:
        return f"user {number}"


def server_identity() -> dict[str, Any]:
    """As root the server must run as another user; anybody else runs it as they are."""
    if os.geteuid() != 0:
        return {}
    try:
        user = pwd.getpwnam(SERVER_USER)
    except KeyError as error:
        raise ClusterError(
            f"There is no user “{SERVER_USER}”. Debian's package postgresql makes it; install that."
        ) from error
    return {"user": user.pw_uid, "group": user.pw_gid, "extra_groups": []}


def processes_in(files: Path) -> list[int]:
    """Living processes that work in the cluster's directory."""
    found = []
    for entry in Path("/proc").iterdir():
        if entry.name.isdigit():
            try:
                if os.path.samefile(entry / "cwd", files):
                    found.append(int(entry.name))
            except OSError:
                continue
    return found
