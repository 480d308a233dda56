"""The core as a library: the page that shows it, run as it stands; no state, and quick to import."""

from __future__ import annotations

import contextlib
import io
import re
import subprocess
import sys
from pathlib import Path

import pytest

PAGE = Path(__file__).resolve().parents[2] / "docs" / "core.md"


def test_the_fifteen_lines_of_the_page_run_and_print_what_it_says() -> None:
    text = PAGE.read_text(encoding="utf-8")
    lines = re.search(r"```python\n(.*?)```", text, re.S)
    printed = re.search(r"It prints `(.*?)`", text)
    assert lines and printed
    assert len([line for line in lines[1].splitlines() if line.strip()]) <= 15
    out = io.StringIO()
    with contextlib.redirect_stdout(out):
        exec(compile(lines[1], str(PAGE), "exec"), {})
    assert out.getvalue().strip() == printed[1]


@pytest.mark.slow
def test_the_core_brings_in_neither_web_nor_database_nor_test_libraries() -> None:
    code = "import sys, modest_rotor.core.assess; print(*sys.modules)"
    loaded = set(
        subprocess.run([sys.executable, "-c", code], capture_output=True, text=True, check=True).stdout.split()
    )
    assert "modest_rotor.core.assess" in loaded
    assert not loaded & {
        "fastapi",
        "peewee",
        "psycopg",
        "scipy",
        "socketserver",
        "modest_rotor.store",
        "modest_rotor.api",
    }
