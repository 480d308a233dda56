"""Everything that the application answers, in the language of tests: what is in no catalogue stands out."""

from __future__ import annotations

import calendar
import re
from collections.abc import Iterator
from pathlib import Path
from typing import Any

import pytest
from fastapi.testclient import TestClient

from modest_rotor.api.app import create_app
from modest_rotor.core.say import PSEUDO
from modest_rotor.demo.load import load_demo_once
from modest_rotor.store.database import with_connection

HEADERS = {"accept-language": PSEUDO}
WORD = re.compile(r"(?<![\w./⟦-])[A-Za-zàéîöûÀÉÎÖÛ’']{3,}(?![\w./])")
"""A word that stands alone; what is in an address, a path or a name with figures is none."""
MARKED = re.compile("[àéîöûÀÉÎÖÛ]")
SYMBOLS = frozenset(
    [
        "cfm",
        "gpm",
        "fpm",
        "rpm",
        "kWh",
        "in.",
        "w.g",
        "kPa",
        "psi",
        "bar",
        "mbar",
        "inwg",
        "Pa",
        "kW",
        "hp",
        "mm",
        "ohms",
    ]
)


NO_WORDS = ("/#/labels/#", "/choices/#", "/format", "/unit", "/typed_units/#", "/role")
"""Places of names that are compared, units, and what somebody typed."""


@pytest.fixture(scope="module")
def pages(tmp_path_factory: pytest.TempPathFactory) -> Path:
    path = tmp_path_factory.mktemp("pages")
    (path / "index.html").write_text("<!doctype html>")
    return path


def texts(value: Any, place: str = "") -> Iterator[tuple[str, str]]:
    if isinstance(value, dict):
        for name, one in value.items():
            yield from texts(one, f"{place}/{name}")
    elif isinstance(value, list):
        for one in value:
            yield from texts(one, f"{place}/#")
    elif isinstance(value, str):
        yield place, value


def typed_in(value: Any) -> set[str]:
    return {text for _, text in texts(value) if re.search("[A-Za-z]{3}", text)}


def raw_english(answer: Any, typed: set[str]) -> list[tuple[str, str]]:
    longest = sorted((one for one in typed if len(one) > 3), key=len, reverse=True)
    found = []
    for place, text in texts(answer):
        if place.endswith(NO_WORDS) or text in typed or (" " not in text and "⟦" not in text):
            continue
        rest = text
        for one in longest:
            rest = rest.replace(one, "·")
        words = [
            word
            for word in WORD.findall(rest)
            if word not in calendar.month_name and re.search("[aeiou]", word) and not MARKED.search(word)
        ]
        if [word for word in words if word not in SYMBOLS and word not in typed]:
            found.append((place, text[:160]))
    return found


def test_no_answer_of_the_application_holds_english_that_is_in_no_catalogue(store: None, pages: Path) -> None:
    with_connection(load_demo_once)()
    with TestClient(create_app(pages), base_url="http://127.0.0.1") as client:
        board = client.get("/api/board").json()
        jobs = [job["id"] for site in board for job in site["jobs"]]
        assert len(jobs) > 5
        typed = (
            typed_in([client.get(f"/api/jobs/{job}/file").json() for job in jobs])
            | typed_in(client.get("/api/catalogue").json())
            | typed_in(client.get("/api/devices").json())
            | typed_in(client.get("/api/profiles").json())
            | typed_in([client.get(f"/api/jobs/{job}/report").json()["made_by"] for job in jobs])
        )
        raw: dict[str, set[tuple[str, str]]] = {}
        asks = [
            "/api/board",
            "/api/glossary",
            "/api/rules",
            "/api/calculations",
            "/api/quantities",
            "/api/duty-templates",
            "/api/bench",
            "/api/visits",
            "/api/devices",
            "/api/shelves",
        ]
        asks += [
            f"/api/jobs/{job}{rest}"
            for job in jobs
            for rest in ("", "/effects", "/causes", "/loaded", "/report", "/signed")
        ]
        for ask in asks:
            answer = client.get(ask, headers=HEADERS)
            if answer.status_code == 200:
                data = answer.json()
                for part in ("job", "jobs"):
                    if isinstance(data, dict) and isinstance(data.get(part), dict) and "document" in data[part]:
                        data.pop(part)
                for place, text in raw_english(data, typed):
                    raw.setdefault(re.sub(r"\d+", "#", ask), set()).add((place, text))
            else:
                for place, text in raw_english(answer.json(), typed):
                    raw.setdefault(ask, set()).add((place, text))
        assert raw == {}
