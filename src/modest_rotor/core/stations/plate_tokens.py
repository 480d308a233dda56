"""A plate's line cut into what a reader sees: numbers, words that name numbers, what stands for itself, and the rest."""

from __future__ import annotations

import re
from dataclasses import dataclass
from enum import Enum
from functools import cache

from modest_rotor.core.tables import read_table

_ONE = r"(?:\d{1,2}-\d{1,2}/\d{1,2}(?!\d)|\d+(?:[.,'’]\d+)*|[.,]\d+)"
NUMBERS = re.compile(rf"{_ONE}(?:\s*[-–/+]\s*{_ONE}|\s+TO\s+{_ONE})*", re.IGNORECASE)
"""One number, or several with a dash, a stroke or a plus between them. Blanks part numbers here: whether two of them are one (1 1/2,
1 450) is told by the words around them."""
_STRONG = re.compile(r"[;|\n\t]|\s{3,}")


class Stands(Enum):
    """On which side of its number a word may be found."""

    BEFORE = "before"
    AFTER = "after"
    BOTH = "both"


@dataclass(frozen=True)
class Word:
    """A word that names a number: of what kind, in which unit, and on which side of it."""

    kind: str
    family: str
    unit: str
    stands: Stands

    @property
    def may_lead(self) -> bool:
        """Whether it may stand before its number."""
        return self.stands is not Stands.AFTER

    @property
    def may_follow(self) -> bool:
        """Whether it may stand after its number."""
        return self.stands is not Stands.BEFORE


@dataclass(frozen=True)
class Token:
    """A stretch of the line.

    :param word: of a word that names a number. :param is_number: whether it is one number or several.
    :param joined: whether nothing stands between it and the token before, not even a blank; ``pointed``: a colon or an equals sign.
    """

    start: int
    end: int
    text: str
    word: Word | None = None
    is_number: bool = False
    joined: bool = False
    pointed: bool = False
    parted: bool = False


@cache
def _words() -> dict[str, Word]:
    return {
        spelling: Word(row["kind"], row["family"], row["unit"], Stands(row["stands"]))
        for row in read_table("plate_words")
        for spelling in row["words"].split("|")
    }


@cache
def _word_pattern(of_one: bool = False) -> re.Pattern[str]:
    """Every word of the table, the longest first, with blanks as wide as they come; ``of_one``: those without blanks alone."""
    spellings = sorted((one for one in _words() if not (of_one and " " in one)), key=lambda one: -len(one))
    forms = (re.escape(one).replace(r"\ ", r"\s+") for one in spellings)
    return re.compile("|".join(f"(?:{form})" for form in forms), re.IGNORECASE)


def word_named(spelling: str) -> Word | None:
    """The word of the table that a spelling is, in any case and with any blanks."""
    wanted = " ".join(spelling.split()).rstrip(":=")
    for known, word in _words().items():
        if known.upper() == wanted.upper():
            return word
    return None


def tokens(text: str) -> tuple[Token, ...]:
    """The numbers and naming words of a line, in the order in which they stand; anything else only parts them.

    :param text: what was typed; what was recognised before may have been blotted out with null characters.
    """
    found: list[Token] = []
    at, end_before = 0, 0
    while at < len(text):
        match, word = _next(text, at, bool(found) and found[-1].is_number)
        if match is None:
            at = _past_word(text, at)
            continue
        between = text[end_before : match.start()]
        found.append(
            Token(
                start=match.start(),
                end=match.end(),
                text=match[0],
                word=word,
                is_number=word is None,
                joined=bool(found) and not between,
                pointed=bool(found) and between.strip() in (":", "=", "."),
                parted=bool(found) and (bool(_STRONG.search(between)) or bool(re.search(r"[^\s:=.,()]", between))),
            )
        )
        at = end_before = match.end()
    return tuple(found)


def _next(text: str, at: int, after_number: bool) -> tuple[re.Match[str] | None, Word | None]:
    """A number or a naming word that begins just here.

    After a number a word of two is taken for its first: of 1.15 SF AMPS 7.4 the SF belongs to the 1.15.
    """
    before = text[at - 1] if at else " "
    for of_one in (True, False) if after_number else (False,):
        match = _word_pattern(of_one).match(text, at)
        if match is not None and not before.isalpha() and _ends_word(text, match):
            return match, word_named(match[0])
    match = NUMBERS.match(text, at)
    if match is not None and not (before.isalnum() and not _after_word(text, at)) and _ends_number(text, match):
        return match, None
    return None, None


def _after_word(text: str, at: int) -> bool:
    """Whether the letters just before are a naming word, as in HZ60."""
    start = at
    while start and text[start - 1].isalpha():
        start -= 1
    return word_named(text[start:at]) is not None


def _ends_word(text: str, match: re.Match[str]) -> bool:
    after = text[match.end() : match.end() + 1]
    return not after.isalpha() or not match[0][-1].isalpha()


def _ends_number(text: str, match: re.Match[str]) -> bool:
    """Whether what follows a number is no letter, or a naming word: 48Y is a frame and no number, 230V is one."""
    after = text[match.end() : match.end() + 1]
    if not after.isalpha():
        return True
    word = _word_pattern().match(text, match.end())
    return word is not None and _ends_word(text, word)


def _past_word(text: str, at: int) -> int:
    """Past a whole word that means nothing here, so that no piece of it is taken for another."""
    match = re.compile(r"[^\W_]+(?:[-.][^\W_]+)*", re.UNICODE).match(text, at)
    return match.end() if match else at + 1
