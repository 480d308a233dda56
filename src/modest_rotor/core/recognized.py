"""What people type or send back in their own language, recognized."""

from __future__ import annotations

from collections.abc import Iterable

from modest_rotor.core.say import Reader, languages, words_for


def in_each_language(said: str) -> tuple[str, ...]:
    """A piece of text as readers of every language read it, English first: for recognizing what one of them typed or saved."""
    return tuple(dict.fromkeys((str(said), *(words_for(said, Reader(language)) for language in languages()))))


def meant(text: str, among: Iterable[str]) -> str:
    """Which of several names is meant by what a reader sends back: the one that reads so in their words; else the text as it is."""
    return next((name for name in among if text in (name, words_for(name))), text)
