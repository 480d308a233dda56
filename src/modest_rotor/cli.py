"""The headless door: ``modest-rotor assess JOB.json`` prints an assessment, ``modest-rotor calc NAME key=value`` works one out."""

from __future__ import annotations

import argparse
import json
import sys
from pathlib import Path

from modest_rotor import __version__
from modest_rotor.core.assess import assess
from modest_rotor.core.calculations.book import all_calculations, work_out
from modest_rotor.core.errors import ModestRotorError, QuantityRefused
from modest_rotor.formats.job_file import job_schema, read_job
from modest_rotor.formats.text import told


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
    calc = commands.add_parser(
        "calc", help="work out one calculation: calc synchronous_speed frequency='60 Hz' poles=6"
    )
    calc.add_argument("name", nargs="?", help="which; --list names them all")
    calc.add_argument(
        "values", nargs="*", metavar="input=value", help="a value with its unit, and ± its uncertainty if known"
    )
    calc.add_argument(
        "--list", action="store_true", help="list every calculation with inputs, units and sources as JSON"
    )
    calc.add_argument("--json", action="store_true", help="print results and workings as JSON, in SI")
    calc.add_argument("--units", choices=("si", "ip"), default="si", help="the units of what is printed")
    calc.set_defaults(run=_calc)
    schema = commands.add_parser("schema", help="print the JSON Schema of the job file")
    schema.set_defaults(run=lambda _: json.dumps(job_schema(), indent=2, ensure_ascii=False))
    return parser


def _assess(options: argparse.Namespace) -> str:
    text = sys.stdin.read() if options.file == "-" else Path(options.file).read_text(encoding="utf-8")
    return assess(read_job(text)).model_dump_json(indent=2)


def _calc(options: argparse.Namespace) -> str:
    if options.list:
        return json.dumps([facts.model_dump() for facts in all_calculations()], indent=2, ensure_ascii=False)
    if not options.name:
        raise QuantityRefused("“calc” needs the name of a calculation; “calc --list” lists them all.")
    typed = {}
    for value in options.values:
        name, equals, text = value.partition("=")
        if not equals:
            raise QuantityRefused(
                f"“{value}” is no input: write its name, =, and its value, for example frequency='60 Hz'."
            )
        typed[name] = text
    calculated = work_out(options.name, typed)
    return calculated.model_dump_json(indent=2) if options.json else told(calculated, options.units)


if __name__ == "__main__":
    sys.exit(main())
