"""No text lies on another, is cut off or runs off the side, on any view at six sizes; and every target is met, by finger and mouse."""

from __future__ import annotations

import re
import time
from pathlib import Path

import pytest
from tools.screens import MEASURE, PAGES, touched

from modest_rotor.core.tables import read_table
from tests.web.screen import Screen

SIZES = ((1280, 800), (1280, 720), (1024, 768), (768, 1024), (390, 844), (360, 640))
CROWDING = (Path(__file__).parent / "crowding.js").read_text(encoding="utf-8")
FINGER_PX = 44
"""Least height of what is pressed on a touched screen. Source: WCAG 2.2, success criterion 2.5.5, target size (enhanced)."""
CODES = re.compile(
    r"(?<![\w-])("
    + "|".join({row["code"] for row in read_table("labels") if "-" in row["code"] and row["code"] not in row["label"]})
    + r")(?![\w-])",
    re.IGNORECASE,
)
"""Codes of several words whose labels read otherwise."""
QUIET_S = 0.3
"""How long a page is left alone after it came or changed its size: pictures follow the size."""


def still(screen: Screen) -> None:
    """Wait until a page has its words, and no more come."""
    before = ""
    while before != (before := screen.text()):
        time.sleep(QUIET_S)


@pytest.mark.parametrize(("name", "path"), PAGES, ids=[name for name, _ in PAGES])
def test_texts_keep_clear_of_each_other(screen: Screen, name: str, path: str) -> None:
    found = []
    screen.go(path)
    still(screen)
    for width, height in SIZES:
        screen.size(width, height)
        time.sleep(QUIET_S)
        found += [f"{width}x{height}: {fault}" for fault in screen.run(CROWDING)]
    *_, with_a_mouse = screen.run(MEASURE)
    touched(screen.browser, True)
    time.sleep(QUIET_S)
    *_, with_a_finger = screen.run(MEASURE)
    touched(screen.browser, False)
    assert found == []
    assert min(with_a_mouse, with_a_finger) >= FINGER_PX
    assert CODES.findall(screen.text()) == [], "a person reads labels, never codes"


def test_crowded_and_cut_texts_are_noticed(screen: Screen) -> None:
    """The check itself: four faults that are planted on a sound page."""
    screen.go("/visits")
    still(screen)
    assert screen.run(CROWDING) == []
    screen.run(
        """
        const main = document.querySelector("main");
        const add = (style, words) => { const at = document.createElement("div"); at.style = style; at.textContent = words; main.append(at); };
        add("position: relative; white-space: nowrap", "one text that lies there");
        add("position: relative; top: -1em; white-space: nowrap", "another one upon it");
        add("width: 60px; overflow: hidden; white-space: nowrap; text-overflow: ellipsis", "a name too long for its place");
        const axis = document.createElement("div");
        axis.innerHTML = '<svg width="200" height="20"><text x="0" y="15">1,000</text><text x="60" y="15">2</text><text x="61" y="15">3</text></svg>';
        main.append(axis);
        const [, two, three] = axis.querySelectorAll("text");
        three.setAttribute("x", 60 + two.getComputedTextLength() + 1);
        add("white-space: nowrap; width: 4000px", "a line that goes on and on ".repeat(20));
        """
    )
    found = screen.run(CROWDING)
    assert sorted(one.split(":")[0] for one in found) == ["cut off", "off the side", "on each other", "on each other"]
    assert "on each other: 2 / 3" in found
