"""The glossary: each term leads somewhere that exists, and says one sentence of its own."""

from __future__ import annotations

import re
from collections import Counter

import pytest
from tools.generate import fields_of_a_job

from modest_rotor.core.calculations.book import CALCULATIONS
from modest_rotor.core.glossary import Term, all_terms, term_of_field
from modest_rotor.core.tables import read_table


@pytest.mark.parametrize("term", all_terms(), ids=lambda term: term.code)
def test_a_term_is_one_sentence_with_its_source(term: Term) -> None:
    assert term.sentence.endswith(".") and not re.search(r"\. [A-Z]", term.sentence), "one sentence"
    assert len(term.sentence.split()) <= 32, "said in one breath"
    assert term.source.endswith("no source") or "from memory" in term.source, "a definition is somebody's"


def test_every_term_stands_once_and_leads_to_what_is_there() -> None:
    assert max(Counter(term.code for term in all_terms()).values()) == 1
    assert {term.working for term in all_terms() if term.working} <= {calculation.name for calculation in CALCULATIONS}
    labels = Counter(label for term in all_terms() for label in term.labels)
    assert max(labels.values()) == 1, "a heading means one thing"


def test_a_term_is_asked_for_by_fields_that_exist() -> None:
    told = [path for row in read_table("glossary") for path in row["fields"].split()]
    assert len(told) == len(set(told)), "a label is pressed for one term alone"
    assert len(told) >= 60 and set(told) <= set(fields_of_a_job())
    assert term_of_field("nameplate/frame") == "frame" and term_of_field("call/notes") is None
