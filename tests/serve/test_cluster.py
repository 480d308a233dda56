"""The private cluster: what it makes, what it refuses to touch, and the way on that it names."""

from __future__ import annotations

import json
import os
import shutil
import tempfile
from collections.abc import Iterator
from pathlib import Path

import psycopg
import pytest

from modest_rotor.serve import postgresql
from modest_rotor.serve.cluster import APPLICATION, DATABASE, MARK, Cluster
from modest_rotor.serve.postgresql import ClusterError, newest_programs, programs_for

pytestmark = pytest.mark.slow


@pytest.fixture(scope="module")
def whole() -> Iterator[Path]:
    """A directory whose cluster was made, used and stopped; tests work on copies of it."""
    folder = Path(tempfile.mkdtemp(prefix="modest-rotor-cluster-", dir="/var/tmp"))
    folder.chmod(0o755)
    cluster = Cluster(folder / "first", fast=True)
    cluster.start()
    with psycopg.connect(**cluster.parameters, autocommit=True) as connection:
        connection.execute("CREATE TABLE job (id int); INSERT INTO job VALUES (7)")
    cluster.stop()
    yield folder / "first"
    shutil.rmtree(folder, ignore_errors=True)


@pytest.fixture
def cluster(whole: Path) -> Iterator[Cluster]:
    """A copy of it, stopped."""
    place = Path(tempfile.mkdtemp(prefix="copy-", dir=whole.parent))
    place.chmod(0o755)
    shutil.rmtree(place)
    copied(whole, place)
    found = Cluster(place, fast=True)
    yield found
    found.stop()


def copied(source: Path, target: Path) -> None:
    """Everything with its owners, as a backup does it."""
    os.system(f"cp -a {source} {target}")


def answers(cluster: Cluster) -> int | None:
    with psycopg.connect(**cluster.parameters) as connection:
        row = connection.execute("SELECT id FROM job").fetchone()
        return row[0] if row else None


def test_it_listens_on_no_network_has_checksums_and_its_application_is_no_superuser(cluster: Cluster) -> None:
    cluster.start()
    with psycopg.connect(**cluster.parameters) as connection:
        settings = {
            name: connection.execute(f"SHOW {name}").fetchone()[0]  # type: ignore[index]
            for name in ("listen_addresses", "data_checksums", "is_superuser")
        }
        assert settings == {"listen_addresses": "", "data_checksums": "on", "is_superuser": "off"}
        with pytest.raises(psycopg.errors.InsufficientPrivilege):
            connection.execute("CREATE ROLE somebody")
    told = json.loads((cluster.files / MARK).read_text())
    assert (
        told["made_by"] == "Modest Rotor" and told["postgresql"] == (cluster.files / "PG_VERSION").read_text().strip()
    )
    assert (cluster.directory / "password-app").stat().st_mode & 0o077 == 0


@pytest.mark.parametrize("found", ["another program's files", "only a folder"])
def test_what_it_did_not_make_is_refused_in_words_and_stays(
    tmp_path_factory: pytest.TempPathFactory, found: str
) -> None:
    place = Path(tempfile.mkdtemp(prefix="modest-rotor-other-", dir="/var/tmp"))
    place.chmod(0o755)
    (place / "cluster" / "inner").mkdir(parents=True)
    if found != "only a folder":
        (place / "cluster" / "ledger.db").write_text("years of work")
    with pytest.raises(ClusterError, match=r"no database of Modest Rotor.*Nothing was changed.*mv ") as told:
        Cluster(place, fast=True).start()
    assert "inner" in told.value.sentence and (place / "cluster" / "inner").is_dir()
    assert found == "only a folder" or (place / "cluster" / "ledger.db").read_text() == "years of work"
    shutil.rmtree(place)


@pytest.mark.parametrize("mark", [None, "", "{half", '{"made_by": "somebody else"}'])
def test_a_database_without_its_mark_is_opened_and_checked_and_not_made_anew(
    cluster: Cluster, mark: str | None
) -> None:
    (cluster.files / MARK).unlink()
    if mark is not None:
        (cluster.files / MARK).write_text(mark)
    cluster.start()
    assert answers(cluster) == 7
    assert json.loads((cluster.files / MARK).read_text())["made_by"] == "Modest Rotor"


def test_a_database_of_somebody_else_is_refused_and_stopped_again(cluster: Cluster) -> None:
    cluster.start()
    with psycopg.connect(**cluster.operator_parameters, autocommit=True) as connection:
        connection.execute(f"DROP DATABASE {DATABASE}")
    cluster.stop()
    (cluster.files / MARK).unlink()
    with pytest.raises(ClusterError, match="none of Modest Rotor's"):
        cluster.start()
    assert not cluster.is_alive() and not (cluster.files / MARK).exists()


def test_a_copy_made_while_it_ran_never_touches_the_original(cluster: Cluster) -> None:
    cluster.start()
    twin = Cluster(cluster.directory.with_name(f"{cluster.directory.name}-twin"), fast=True)
    copied(cluster.directory, twin.directory)
    with pytest.raises(ClusterError, match=r"copied or moved while its database ran.*--adopt") as told:
        twin.start()
    assert str(cluster.files) in told.value.sentence
    assert not twin.is_alive()
    twin.stop()  # stops nothing
    assert cluster.is_alive() and answers(cluster) == 7
    cluster.stop()
    twin.adopt()
    twin.start()
    assert answers(twin) == 7 and not cluster.is_alive()
    twin.stop()


def test_a_stale_lock_that_names_another_server_delays_nothing(cluster: Cluster) -> None:
    other = Cluster(cluster.directory.with_name(f"{cluster.directory.name}-other"), fast=True)
    copied(cluster.directory, other.directory)
    other.start()
    lines = (other.files / "postmaster.pid").read_text().splitlines()
    lines[1] = str(cluster.files)  # this directory's own lock, whose number another server has by now
    (cluster.files / "postmaster.pid").write_text("\n".join(lines) + "\n")
    shutil.chown(cluster.files / "postmaster.pid", cluster.files.owner(), cluster.files.group())
    assert not cluster.is_alive()
    cluster.start()
    assert answers(cluster) == 7 and other.is_alive()
    other.stop()
    assert cluster.is_alive()


@pytest.mark.parametrize("broken", ["gone", "empty", "another"])
def test_a_broken_password_gets_words_and_a_way_on(cluster: Cluster, broken: str) -> None:
    password = cluster.directory / "password"
    if broken == "gone":
        password.unlink()
    else:
        password.write_text("" if broken == "empty" else "not this one")
    with pytest.raises(ClusterError, match=r"data are untouched.*--new-password"):
        cluster.start()
    cluster.stop()
    cluster.renew_password()
    cluster.start()
    assert answers(cluster) == 7


def test_an_application_password_that_is_lost_is_made_again(cluster: Cluster) -> None:
    (cluster.directory / "password-app").unlink()
    cluster.start()
    assert answers(cluster) == 7


@pytest.mark.skipif(os.geteuid() != 0, reason="only root can give files away")
def test_files_of_another_user_are_named_with_the_command_that_gives_them_over(cluster: Cluster) -> None:
    owner = cluster.files.owner()
    os.chown(cluster.files, 0, 0)
    with pytest.raises(ClusterError, match=r"belong to root.*chown -R"):
        cluster.start()
    shutil.chown(cluster.files, owner)
    cluster.start()


def test_data_of_another_version_are_refused_in_words_and_left_as_they_are(cluster: Cluster) -> None:
    """Debian offers one version beside itself here, so the other is played by its mark in the directory."""
    version = cluster.files / "PG_VERSION"
    version.write_text("9.6\n")
    with pytest.raises(ClusterError, match=r"made by PostgreSQL 9\.6.*apt-get install postgresql-9\.6"):
        cluster.start()
    assert version.read_text() == "9.6\n"


def test_the_version_of_the_data_is_used_though_a_newer_one_is_there(
    cluster: Cluster, tmp_path: Path, monkeypatch: pytest.MonkeyPatch
) -> None:
    version = (cluster.files / "PG_VERSION").read_text().strip()
    real = programs_for(cluster.files)
    for name in (version, "99"):
        (tmp_path / name).mkdir()
        (tmp_path / name / "bin").symlink_to(real)
    monkeypatch.setattr(postgresql, "PROGRAMS", tmp_path)
    assert newest_programs() == tmp_path / "99" / "bin"
    assert programs_for(cluster.files) == tmp_path / version / "bin"


def test_an_older_cluster_of_ours_gets_checksums_a_role_and_its_mark(cluster: Cluster) -> None:
    """As the program before this one left it: one superuser that owns all, no checksums, an empty mark."""
    cluster.start()
    with psycopg.connect(**cluster.operator_parameters | {"dbname": DATABASE}, autocommit=True) as connection:
        connection.execute(f"REASSIGN OWNED BY {APPLICATION} TO modest_rotor")
        connection.execute(f"DROP OWNED BY {APPLICATION}; DROP ROLE {APPLICATION}")
    cluster.stop()
    cluster._run("pg_checksums", "--disable", "-D", str(cluster.files))
    (cluster.files / MARK).unlink()
    (cluster.files / "modest-rotor-ready").touch()
    cluster.start()
    assert answers(cluster) == 7
    with psycopg.connect(**cluster.parameters) as connection:
        assert connection.execute("SHOW data_checksums").fetchone() == ("on",)
        connection.execute("ALTER TABLE job ADD COLUMN ours int")


def test_a_long_or_odd_name_of_a_directory_is_no_obstacle() -> None:
    place = Path(tempfile.mkdtemp(prefix="modest-rotor-long-", dir="/var/tmp"))
    place.chmod(0o755)
    inner = place / ("a place, with 'quotes' and " + "x" * 90)
    cluster = Cluster(inner, fast=True)
    try:
        cluster.start()
        with psycopg.connect(**cluster.parameters) as connection:
            assert connection.execute("SELECT 1").fetchone() == (1,)
    finally:
        cluster.stop()
        shutil.rmtree(place)
