"""Every screen in the language of tests: what is written in English and stands in no catalogue is found by its vowels."""

from __future__ import annotations

import calendar
import re

import pytest

from tests.web.screen import Screen

JOB = 1
STATIONS = ("short", "call", "plate", "readings", "findings", "duty", "options", "decision", "setup", "proof", "log")
PAGES = ("/", *(f"/jobs/{JOB}/{one}" for one in STATIONS), f"/jobs/{JOB}/report", f"/jobs/{JOB}/card", "/firm", "/devices", "/bench", "/visits", "/catalogue", "/workings", "/workings/synchronous_speed", "/rules", "/glossary", "/sites/1", "/bench/course/half-speed", "/bench/hunt/417", "/nowhere")  # fmt: skip
WORD = re.compile(r"(?<![\w./@-])[A-Za-zàéîöûÀÉÎÖÛ’']{4,}(?![\w/@-])")
MARKED = re.compile("[àéîöûÀÉÎÖÛ]")
TEXTS = """
const found = [];
const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
for (let node = walker.nextNode(); node; node = walker.nextNode()) {
  if (['SCRIPT', 'STYLE'].includes(node.parentElement.tagName)) continue;
  if (node.parentElement.closest('[data-typed], [lang]:not(html)')) continue;
  const text = node.textContent.trim();
  if (text) found.push(text);
}
const said = ['alt', 'aria-description', 'aria-label', 'aria-roledescription', 'aria-valuetext', 'placeholder', 'title'];
for (const one of document.querySelectorAll(said.map((name) => `[${name}]`).join()))
  for (const name of said) if (one.getAttribute(name)) found.push(one.getAttribute(name));
return found;
"""
OWN = ("Modest", "Rotor", "English", "Español", *calendar.month_name)
"""The product and languages by their own names; months, which the browser names."""


def raw(text: str, typed: frozenset[str]) -> list[str]:
    return [
        word
        for word in WORD.findall(text)
        if re.search("[aeiou]", word) and not MARKED.search(word) and word not in OWN and word.lower() not in typed
    ]


def english(screen: Screen, typed: frozenset[str]) -> dict[str, list[str]]:
    """Texts that hold words of no catalogue, with those words."""
    return {text[:90]: words for text in screen.run(TEXTS) if (words := raw(text, typed))}


def words_typed(screen: Screen) -> frozenset[str]:
    """The words of everything that people typed: the values in jobs, catalogue and devices, not the names of their fields."""
    texts: list[str] = screen.run(
        """
return (async () => {
const values = (one) => typeof one === 'string' ? [one] : one && typeof one === 'object' ? Object.values(one).flatMap(values) : [];
const board = await (await fetch('/api/board')).json();
const jobs = board.flatMap((site) => site.jobs.map((job) => job.id));
const names = board.map((site) => [site.site, site.jobs.map((job) => [job.machine, job.place])]);
const asked = jobs.map((job) => `/api/jobs/${job}/file`).concat(['/api/catalogue', '/api/devices', '/api/profiles', '/api/firm']);
const read = (one) => fetch(one).then((answer) => answer.ok ? answer.json() : {});
return (await Promise.all(asked.map(read))).concat(names).flatMap(values);
})();
"""
    )
    return frozenset(word.lower() for text in texts for word in re.findall(r"[\w’']+", text))


@pytest.fixture
def in_pseudo(screen: Screen) -> Screen:
    screen.go("/")
    screen.run("localStorage.setItem('modest-rotor language', 'en-XA')")
    yield screen  # type: ignore[misc]
    screen.size(1280, 800)
    screen.run("localStorage.removeItem('modest-rotor language'); document.cookie = 'language=; max-age=0; path=/'")


@pytest.mark.parametrize("path", PAGES)
def test_a_screen_holds_no_english_of_its_own(in_pseudo: Screen, path: str) -> None:
    screen = in_pseudo
    typed = words_typed(screen)
    screen.go(path)
    screen.until(lambda: len(screen.run(TEXTS)) > 8 and "⟦" in " ".join(screen.run(TEXTS)))
    assert english(screen, typed) == {}
    screen.size(390, 844)
    assert english(screen, typed) == {}, "on a phone"
