"""The headless door: ``modest-rotor assess JOB.json`` prints the whole assessment as JSON."""

from __future__ import annotations

import argparse
import json
import sys
from pathlib import Path

from modest_rotor import __version__
from modest_rotor.core.assess import assess
from modest_rotor.core.errors import ModestRotorError
from modest_rotor.formats.job_file import job_schema, read_job


def main(arguments: list[str] | None = None) -> int:
    """Run one command; gives the exit code: 0 done, 1 refused in a sentence on standard error."""
    options = _parser().parse_args(arguments)
    try:
        print(options.run(options))
    except (ModestRotorError, OSError, UnicodeDecodeError) as error:
        print(f"modest-rotor: {error}", file=sys.stderr)
        return 1
    return 0


def _parser() -> argparse.ArgumentParser:
    parser = argparse.ArgumentParser(prog="modest-rotor", description=__doc__)
    parser.add_argument("--version", action="version", version=__version__)
    commands = parser.add_subparsers(required=True, metavar="command")
    door = commands.add_parser("assess", help="print the assessment of a job file as JSON")
    door.add_argument("file", nargs="?", default="-", help="the job file; - or nothing for standard input")
    door.set_defaults(run=_assess)
    schema = commands.add_parser("schema", help="print the JSON Schema of the job file")
    schema.set_defaults(run=lambda _: json.dumps(job_schema(), indent=2, ensure_ascii=False))
    return parser


def _assess(options: argparse.Namespace) -> str:
    text = sys.stdin.read() if options.file == "-" else Path(options.file).read_text(encoding="utf-8")
    return assess(read_job(text)).model_dump_json(indent=2)


if __name__ == "__main__":
    sys.exit(main())
