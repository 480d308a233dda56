"""Writes what is generated from the core: the API's description, the facts of every field, the schemas of job file, device profile and experiment.

``python -m tools.generate`` rewrites the files; ``--check`` only says whether they are up to date.
"""

from __future__ import annotations

import json
import subprocess
import sys
import tempfile
from pathlib import Path
from types import UnionType
from typing import Any, Literal, Union, get_args, get_origin

from pydantic import BaseModel

from modest_rotor.api.app import create_app
from modest_rotor.api.reference import quantities
from modest_rotor.core.bench.course import Experiment
from modest_rotor.core.bench.why import Meter
from modest_rotor.core.coded import Coded, names_of
from modest_rotor.core.glossary import all_terms, term_of_field
from modest_rotor.core.identify.perturb import Measurand
from modest_rotor.core.job import FORMAT_VERSION, JobDocument, Machine
from modest_rotor.core.options.checks.place import Fits
from modest_rotor.core.options.loading import Holds as LoadedHolds
from modest_rotor.core.options.registry import OPTIONS
from modest_rotor.core.options.traits import Belongs
from modest_rotor.core.phrase import BASIS_WORDS
from modest_rotor.core.proof.answer import Verdict
from modest_rotor.core.say import ENGLISH, Reader, reading, say, words_for
from modest_rotor.core.setup.steps import StepGroup
from modest_rotor.core.stations.findings import MarkState
from modest_rotor.core.stations.flow_method import FlowMethod
from modest_rotor.core.stations.loop import Holds, SensorPlace
from modest_rotor.core.stations.readings import UnreadReason
from modest_rotor.core.stations.setup import ControlMode, SignState
from modest_rotor.core.stations.sheet import is_moment, quantity_of
from modest_rotor.fieldbus.profile import DeviceKind, profile_schema
from modest_rotor.fieldbus.simulated import Trouble
from modest_rotor.formats.job_file import job_schema
from modest_rotor.formats.logger_csv import ORDER_WORDS
from modest_rotor.store.nodes import ROW_FIELDS
from tools import messages

ROOT = Path(__file__).resolve().parents[1]
GENERATED = ROOT / "web" / "src" / "generated"
LABELLED = {
    "ControlMode": ControlMode, "DeviceKind": DeviceKind, "Fits": Fits, "Holds": Holds, "LoadedHolds": LoadedHolds, "MarkState": MarkState, "Meter": Meter,
    "Measurand": Measurand, "SensorPlace": SensorPlace, "SignState": SignState, "StepGroup": StepGroup, "Trouble": Trouble, "UnreadReason": UnreadReason, "Verdict": Verdict, "Way": FlowMethod,
}  # fmt: skip
"""Kinds and states that the page shows outside of a field, by the names under which it takes their labels."""
HEADER = "// Written by tools/generate.py from the core's models. Never edited.\n"


def main() -> int:
    """Write or check every generated file."""
    files = {
        GENERATED / "openapi.json": _pretty(create_app().openapi()),
        GENERATED / "fields.ts": _fields(),
        GENERATED / "helps.ts": _helps(),
        GENERATED / "quantities.ts": _quantities(),
        GENERATED / "labels.ts": _labels(),
        GENERATED / "kinds.ts": _kinds(),
        GENERATED / "nodes.ts": f"{HEADER}export const ROW_FIELDS = {json.dumps(ROW_FIELDS)} as const;\n",
        ROOT / "docs" / "formats" / f"job-{FORMAT_VERSION}.schema.json": _pretty(job_schema()),
        ROOT / "docs" / "formats" / "device-1.schema.json": _pretty(profile_schema()),
        ROOT / "docs" / "formats" / "experiment-1.schema.json": _pretty(Experiment.model_json_schema()),
    }
    files |= messages.built()
    files |= {
        GENERATED / f"facts.{language}.json": _pretty(_facts_in(language))
        for language in messages.languages()
        if language != ENGLISH
    }
    files[GENERATED / "api.ts"] = _types(files[GENERATED / "openapi.json"])
    if "--check" in sys.argv:
        stale = [path for path, text in files.items() if not path.exists() or path.read_text(encoding="utf-8") != text]
        for path in stale:
            print(f"{path.relative_to(ROOT)} is out of date: run python -m tools.generate")
        return 1 if stale else 0
    for path, text in files.items():
        path.parent.mkdir(parents=True, exist_ok=True)
        path.write_text(text, encoding="utf-8")
    return 0


def _pretty(data: Any) -> str:
    return json.dumps(data, indent=2, ensure_ascii=False) + "\n"


def _types(description: str) -> str:
    with tempfile.TemporaryDirectory() as folder:
        source, target = Path(folder) / "openapi.json", Path(folder) / "api.ts"
        source.write_text(description, encoding="utf-8")
        command = ["npx", "--no-install", "openapi-typescript", str(source), "-o", str(target)]
        subprocess.run(command, cwd=ROOT / "web", check=True, capture_output=True)
        return target.read_text(encoding="utf-8")


def fields_of_a_job() -> dict[str, dict[str, Any]]:
    """Facts of every field of a job and its machine, by its path."""
    facts: dict[str, dict[str, Any]] = {}
    _collect(Machine, "machine", facts)
    _collect(JobDocument, "", facts)
    return facts


def _fields() -> str:
    facts = {
        path: {name: value if name != "help" else True for name, value in fact.items()}
        for path, fact in fields_of_a_job().items()
    }
    body = json.dumps(facts, indent=2, ensure_ascii=False)
    headings = json.dumps({label: term.code for term in all_terms() for label in term.labels}, indent=2)
    return (
        f"{HEADER}export const fields = {body} as const;\n\nexport type FieldName = keyof typeof fields;\n\n"
        f"/** Terms of the glossary by what results and columns are headed. */\nexport const headings = {headings} as const;\n"
    )


def _helps() -> str:
    """What is said of each field when its label is pressed: apart, so that it is fetched when the first one is."""
    helps = {path: fact["help"] for path, fact in fields_of_a_job().items() if "help" in fact}
    body = json.dumps(helps, indent=2, ensure_ascii=False)
    return f"{HEADER}export const helps: Readonly<Record<string, string>> = {body};\n"


def _labels() -> str:
    """What is read of codes, an object to an enumeration so that a page takes only those that it shows."""
    told = (
        f"export const {name} = {json.dumps({one.value: one.label for one in kind}, indent=2, ensure_ascii=False)} as const;"
        for name, kind in LABELLED.items()
    )
    rules = f"export const RuleWords: Readonly<Record<string, string>> = {json.dumps(names_of('rules'), indent=2)};"
    checks = (
        f"export const CheckWords: Readonly<Record<string, string>> = {json.dumps(names_of('fit_checks'), indent=2)};"
    )
    bases = f"export const BasisWords = {json.dumps(BASIS_WORDS, indent=2)} as const;"
    orders = f"export const OrderWords = {json.dumps(ORDER_WORDS, indent=2)} as const;"
    return HEADER + "\n\n".join((*told, rules, checks, bases, orders)) + "\n"


def _facts_in(language: str) -> dict[str, Any]:
    """The words of all facts in another language, by the names under which the page knows the English ones."""
    who = Reader(language)
    with reading(who):
        fields = fields_of_a_job()
        of_english = {
            text: code
            for code, pattern in messages.english().items()
            for text in pattern[:1]
            if len(pattern) == 1 and isinstance(text, str)
        }
        headings = {label: term.code for term in all_terms() for label in term.labels}
        labels = {name: {one.value: words_for(one.label) for one in kind} for name, kind in LABELLED.items()}
        return {
            "fields": {
                path: {"label": words_for(fact["label"])}
                | ({"labels": [words_for(one) for one in fact["labels"]]} if "labels" in fact else {})
                for path, fact in fields.items()
            },
            "helps": {path: words_for(fact["help"]) for path, fact in fields.items() if "help" in fact},
            "quantities": {name: words_for(facts.label) for name, facts in quantities().items()},
            "headings": {
                words_for(say(of_english[text])): code for text, code in headings.items() if text in of_english
            },
            "labels": labels
            | {"RuleWords": {code: words_for(one) for code, one in names_of("rules").items()}}
            | {"CheckWords": {code: words_for(one) for code, one in names_of("fit_checks").items()}}
            | {"BasisWords": {code: words_for(one) for code, one in BASIS_WORDS.items()}}
            | {"OrderWords": {code: words_for(one) for code, one in ORDER_WORDS.items()}},
        }


def _kinds() -> str:
    """What each kind of option asks for beside what all do, and the machines on which it cannot be."""
    asks = {option.kind.value: list(option.traits.asks) for option in OPTIONS if option.traits.asks}
    never = {Belongs.FANS: "pump", Belongs.PUMPS: "fan"}
    bars = {one.kind.value: never[one.traits.belongs] for one in OPTIONS if one.traits.belongs in never}
    return (
        f"{HEADER}export const ASKS: Readonly<Record<string, readonly string[]>> = {json.dumps(asks, indent=2)};\n\n"
        f'export const NEVER_ON: Readonly<Record<string, "fan" | "pump">> = {json.dumps(bars, indent=2)};\n'
    )


def _collect(model: type[BaseModel], prefix: str, facts: dict[str, dict[str, Any]]) -> None:
    """Facts of every leaf field; the item of a list stands as ``*`` in its name."""
    for name, info in model.model_fields.items():
        path = f"{prefix}/{name}" if prefix else name
        inner = _model_in(info.annotation)
        quantity = quantity_of(model, name)
        if inner and not quantity:
            listed = get_origin(info.annotation) is tuple
            _collect(inner, f"{path}/*" if listed else path, facts)
        elif info.title:
            fact: dict[str, Any] = {"label": info.title}
            if info.description:
                fact["help"] = info.description
            if quantity:
                extra = info.json_schema_extra
                assert isinstance(extra, dict)
                fact |= {"quantity": quantity, "basis": extra["basis"]}
            if is_moment(model, name):
                fact["time"] = True
            if term := term_of_field(path):
                fact["term"] = term
            choices = _choices(info.annotation)
            labels = [one.label if isinstance(one, Coded) else _answer(one) for one in choices]
            if choices:
                fact["choices"] = [one.value if isinstance(one, Coded) else one for one in choices]
            if labels != [str(one) for one in fact.get("choices", ())] or any(map(str.isalpha, labels)):
                fact["labels"] = labels
            facts[path] = fact


def _answer(choice: Any) -> str:
    """What is read of an answer that is no member of an enumeration."""
    return names_of("answers").get(str(choice), str(choice))


def _model_in(annotation: Any) -> type[BaseModel] | None:
    for part in (annotation, *get_args(annotation)):
        if isinstance(part, type) and issubclass(part, BaseModel):
            return part
    return None


def _choices(annotation: Any) -> list[Any]:
    gathers = get_origin(annotation) in (Union, UnionType, tuple)  # one of several, or several of some
    parts = get_args(annotation) if gathers else (annotation,)
    for part in parts:
        if get_origin(part) is Literal:
            return list(get_args(part))
        if isinstance(part, type) and hasattr(part, "__members__"):
            return [member if isinstance(member, Coded) else member.value for member in part]  # type: ignore[attr-defined]
    return []


def _quantities() -> str:
    table = {name: facts.model_dump() for name, facts in quantities().items()}
    body = json.dumps(table, indent=2, ensure_ascii=False)
    return (
        f"{HEADER}export const quantities = {body} as const;\n\nexport type QuantityName = keyof typeof quantities;\n"
    )


if __name__ == "__main__":
    sys.exit(main())
