"""Tests of one changed copy, in a process that has read the libraries already and nothing of the program."""

from __future__ import annotations

import os
import sys
from pathlib import Path
from typing import NoReturn

import pytest

CAME_TO_AN_END = 100
"""Added to pytest's exit code: a process that broke down by itself ends with another one."""


def run_tests(copy: Path, tests: list[str]) -> NoReturn:
    """Run tests in a copy of the working tree until one fails, and end with what came of them."""
    os.chdir(copy)
    sys.path[:0] = [str(copy / "src"), str(copy)]
    sys.dont_write_bytecode = True
    nowhere = os.open(os.devnull, os.O_WRONLY)
    for stream in (1, 2):
        os.dup2(nowhere, stream)
    os._exit(
        CAME_TO_AN_END
        + pytest.main(["-x", "-q", "--no-header", "-p", "no:cacheprovider", "-m", "not database", *tests])
    )
