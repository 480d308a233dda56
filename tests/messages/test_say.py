"""What is said keeps its message through models, copies and JSON, and is worded for whoever reads."""

from __future__ import annotations

import copy
import json
import pickle
from datetime import date

import pytest
from pydantic import model_validator

from modest_rotor.core import say as saying
from modest_rotor.core.content import Contents
from modest_rotor.core.kept_words import as_said, kept_for_all, said_again, to_keep
from modest_rotor.core.options.checks.place import Fits
from modest_rotor.core.phrase import Frozen, Phrase, figure
from modest_rotor.core.pseudo import marked
from modest_rotor.core.say import (
    PSEUDO,
    Dated,
    Number,
    Reader,
    Said,
    Sentence,
    before_colon,
    capital,
    clause,
    first_sentence,
    in_signs,
    joined,
    listed,
    reader_of,
    reading,
    run_on,
    say,
    small,
    tell,
    typed_in_signs,
    unasked,
    words_for,
)

GERMAN_SIGNS = Reader("en", "de")
MESSAGES = {
    "en": {
        "alone": ["Waits for a load."],
        "with": ["It takes ", {"value": "watts"}, " W"],
        "many": [{"on": "n", "cases": {"0": ["none"], "one": [{"value": "n"}, " set"], "other": [{"value": "n"}, " sets"]}, "else": "other"}],
        "kind": [{"on": "kind", "cases": {"work": ["work"], "other": ["no work"]}, "else": "other"}],
        "figure": ["Read ", {"value": "read"}, "; more of ", {"value": "what"}, "."],
        "text": [{"value": "text"}],
        "and": [" and "],
        "asked": ["Does it turn?"],
    },
    "es": {
        "alone": ["Espera una carga."],
        "with": ["Toma ", {"value": "watts"}, " W"],
        "many": [{"on": "n", "cases": {"one": [{"value": "n"}, " serie"], "other": [{"value": "n"}, " series"]}, "else": "other"}],
        "figure": ["Más de ", {"value": "what"}, ": leído ", {"value": "read"}, "."],
        "text": [{"value": "text"}],
        "and": [" y "],
        "asked": ["¿Gira?"],
    },
}  # fmt: skip
SPANISH = Reader("es", "es")


class Told(Frozen):
    """A model with text and a phrase at every place where models have them."""

    label: str
    note: str | None = None
    phrase: Phrase = ()
    many: tuple[str, ...] = ()
    shares: dict[str, float] = {}  # noqa: RUF012


@pytest.fixture(autouse=True)
def catalogue(monkeypatch: pytest.MonkeyPatch) -> None:
    real = saying._catalogue
    monkeypatch.setattr(
        saying,
        "_catalogue",
        lambda language: real(PSEUDO if language == PSEUDO else "en") | MESSAGES.get(language, {}),
    )
    saying._said_alone.cache_clear()
    yield  # type: ignore[misc]
    saying._said_alone.cache_clear()


def test_text_is_english_and_knows_its_message() -> None:
    said = say("with", watts=Number(1234.5, ",.1f"))
    assert said == "It takes 1,234.5 W" and isinstance(said, Said)
    assert said.code == "with" and words_for(said, SPANISH) == "Toma 1.234,5 W"
    assert words_for(said, GERMAN_SIGNS) == "It takes 1.234,5 W"
    assert words_for("typed by hand", SPANISH) == "typed by hand"


def test_a_count_takes_its_plural_form_in_each_language() -> None:
    for number, english, spanish in ((0, "none", "0 series"), (1, "1 set", "1 serie"), (3, "3 sets", "3 series")):
        said = say("many", n=number)
        assert (said, words_for(said, SPANISH)) == (english, spanish)
    assert (say("kind", kind=Fits.WORK), say("kind", kind="sound")) == ("work", "no work")


def test_a_phrase_keeps_its_figures_wherever_a_language_puts_them() -> None:
    read = figure("current", 2.5, "measured")
    said = tell("figure", read=read, what=say("alone"))
    assert isinstance(said, Sentence)
    assert said == ("Read ", read, "; more of Waits for a load..")
    assert words_for(said, SPANISH) == ("Más de Espera una carga.: leído ", read, ".")


def test_a_model_keeps_what_is_said_and_writes_it_for_its_reader() -> None:
    read = figure("current", 2.5, "measured")
    told = Told(
        label=say("alone"), note=say("with", watts=3), phrase=tell("figure", read=read, what="x"),
        many=(say("alone"), "typed"), shares={say("alone"): 0.5},
    )  # fmt: skip
    assert isinstance(told.label, Said) and isinstance(told.phrase, Sentence)
    with reading(SPANISH):
        written = json.loads(told.model_dump_json())
    assert written["label"] == "Espera una carga." and written["note"] == "Toma 3 W"
    assert written["phrase"][0] == "Más de x: leído " and written["phrase"][1]["value"] == 2.5
    assert written["many"] == ["Espera una carga.", "typed"] and list(written["shares"]) == ["Espera una carga."]
    assert json.loads(told.model_dump_json())["label"] == "Waits for a load."
    assert Told.model_validate_json(told.model_dump_json()) == Told.model_validate(told.model_dump())


@pytest.mark.parametrize("make", [lambda: say("with", watts=2), lambda: tell("figure", read=1, what="x")])
def test_copies_keep_the_message(make: object) -> None:
    said = make()  # type: ignore[operator]
    for other in (copy.deepcopy(said), pickle.loads(pickle.dumps(said))):
        assert type(other) is type(said) and other == said and (other.code, other.values) == (said.code, said.values)


def test_contents_tell_messages_apart_that_read_alike_in_english() -> None:
    contents = Contents()
    assert contents.of(say("text", text="no work")) != contents.of(say("kind", kind="x"))
    assert contents.of(Told(label=say("text", text="no work"))) != contents.of(Told(label=say("kind", kind="x")))
    assert contents.of(say("alone")) == contents.of(say("alone"))


def test_pieces_stand_together_in_any_language() -> None:
    both = listed((say("alone"), "it"))
    assert (both, words_for(both, SPANISH)) == ("Waits for a load. and it", "Espera una carga. y it")
    assert words_for(joined("; ", (say("alone"), "a")), SPANISH) == "Espera una carga.; a"
    assert words_for(run_on("a", (say("alone"), 3)), SPANISH) == ("aEspera una carga.3",)
    assert joined(", ", ()) == ""


def test_a_shape_is_given_after_the_words_are_chosen() -> None:
    assert (small(say("alone")), words_for(small(say("alone")), SPANISH)) == ("waits for a load.", "espera una carga.")
    assert capital("it") == "It" and capital(Fits.YES).islower() is False
    assert words_for(unasked(say("asked")), SPANISH) == "gira"
    assert first_sentence("One. Two.") == "One" and before_colon("It waits: long") == "It waits"
    assert clause(("Read it.",)) == "read it"


def test_the_language_of_tests_marks_what_is_in_the_catalogue_and_nothing_else(monkeypatch: pytest.MonkeyPatch) -> None:
    MESSAGES[PSEUDO] = {code: marked(pattern) for code, pattern in MESSAGES["en"].items()}
    assert words_for(say("with", watts="raw"), Reader(PSEUDO)) == "⟦Ît tàkés raw W⟧"
    assert words_for(say("many", n=1), Reader(PSEUDO)) == "⟦1 sét⟧"


def test_typed_decimals_take_the_readers_sign_unless_the_mark_may_stand_between_thousands() -> None:
    comma, point = Reader("en", "de"), Reader("en", "en")
    typed = ["1.450 rpm", "0.375 in", "12.5 W", "1450.125", "208-230 V", "0,37 kW"]
    assert [typed_in_signs(one, comma) for one in typed] == ["1.450 rpm", "0,375 in", "12,5 W", "1450,125", "208-230 V", "0,37 kW"]  # fmt: skip
    assert [typed_in_signs(one, point) for one in ("0,37 kW", "1,450 rpm", "4.4 A")] == [
        "0.37 kW",
        "1,450 rpm",
        "4.4 A",
    ]


@pytest.mark.parametrize(
    ("tag", "reader", "written"),
    [
        ("en-US", Reader("en", "en_US"), "1,234.5"),
        ("en-DE", Reader("en", "en_DE"), "1.234,5"),
        ("de-DE,de;q=0.9", Reader("en", "de_DE"), "1.234,5"),
        ("", Reader("en", "en"), "1,234.5"),
        ("no tag at all; x", Reader("en", "en"), "1,234.5"),
        ("../../x", Reader("en", "en"), "1,234.5"),
        (None, Reader("en", "en"), "1,234.5"),
        ("en-XA", Reader(PSEUDO, "en"), "1,234.5"),
    ],
)
def test_a_language_tag_gives_words_that_are_there_and_the_signs_of_its_place(
    tag: str | None, reader: Reader, written: str
) -> None:
    who = reader_of(tag)
    assert who == reader
    assert in_signs("1,234.5", who) == written


def test_what_is_kept_for_readers_of_any_language_is_read_back_as_it_was_said() -> None:
    read = figure("current", 2.5, "measured")
    told = Told(
        label=say("with", watts=Number(1234.5, ",.1f")),
        note=capital(say("alone")),
        phrase=tell("figure", read=read, what=(say("many", n=2), Fits.YES)),
        many=(say("alone"), "typed", say("text", text=Dated(date(2026, 3, 1), "dd MMMM y"))),
    )
    with kept_for_all():
        kept = told.model_dump_json()
    with said_again():
        again = Told.model_validate_json(kept)
    assert again == told and isinstance(again.label, Said) and isinstance(again.phrase, Sentence)
    assert words_for(again.label, SPANISH) == "Toma 1.234,5 W"
    assert (
        words_for(again.phrase, SPANISH)[0]
        == "Más de 2 series"[:7] + words_for(say("many", n=2), SPANISH) + "fits: leído "
    )


@pytest.mark.parametrize(
    "after", ["", "{", '{"say": "alone", "with": {}, "words": "x"}', '{"number": 1, "as": "9d"}', "[" * 5000]
)
def test_what_somebody_sends_is_no_message_whatever_it_begins_with(after: str) -> None:
    sent = "\x02" + after
    told = Told.model_validate({"label": sent, "note": sent, "phrase": [sent], "many": [sent]})
    assert (told.label, told.phrase, told.many) == (sent, (sent,), (sent,))
    assert type(told.label) is str


def test_what_was_kept_with_a_message_that_is_gone_is_read_in_plain_words() -> None:
    kept = to_keep(say("alone")).replace('"alone"', '"gone"')
    assert as_said(kept) == "Waits for a load."
    other = to_keep(say("with", watts=3)).replace('"watts": 3', '"volts": 3')
    assert as_said(other) == "It takes 3 W"


class Checked(Frozen):
    """A model that is looked at as a whole."""

    label: str

    @model_validator(mode="after")
    def _look(self) -> Checked:
        return self


def test_a_model_that_is_looked_at_as_a_whole_keeps_what_is_said_as_well() -> None:
    checked = Checked(label=say("alone"))
    with reading(SPANISH):
        assert json.loads(checked.model_dump_json()) == {"label": "Espera una carga."}
