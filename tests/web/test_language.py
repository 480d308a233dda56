"""A reader chooses the language of words: the page is read anew in it, and what was typed stays as it was typed."""

from __future__ import annotations

import pytest

from .screen import Screen

CLICK = "[...document.querySelectorAll('button')].find((one) => one.textContent.startsWith(arguments[0])).click()"


@pytest.fixture
def in_english(screen: Screen):
    yield
    screen.run("localStorage.removeItem('modest-rotor language')")
    screen.go("/")


@pytest.mark.usefixtures("in_english")
def test_the_page_is_read_in_spanish_and_what_was_typed_stays(screen: Screen) -> None:
    screen.go("/jobs/1/findings", "Findings")
    name = screen.run("return document.title").split(",")[0]
    screen.run(CLICK, "You, keys")
    screen.run(CLICK, "Español")
    screen.until(lambda: screen.run("return document.documentElement.lang") == "es")
    screen.sees("Hallazgos")
    screen.sees("Puesta a punto")
    screen.sees(name)
    assert screen.run("return document.title").startswith(name)
