"""Answers and kinds that are kept, sent and compared by a short, stable code; what a person reads is the code's label.

All labels stand in table ``labels``, and only there. Documents of version 1 held the words themselves, as they stood then: table
``words_of_1`` has them, for good, so that whatever was kept is read.
"""

from __future__ import annotations

import re
from enum import StrEnum
from functools import cache, cached_property, lru_cache

from modest_rotor.core.recognized import in_each_language
from modest_rotor.core.tables import read_table

WORDS = re.compile(r"[\w-]+")


@cache
def labels_of(enumeration: str) -> dict[str, str]:
    """The labels of an enumeration by their codes. :param enumeration: its module's last name and its own, ``duty.PartFlow``."""
    return {row["code"]: row["label"] for row in read_table("labels") if row["enumeration"] == enumeration}


@cache
def names_of(kind: str) -> dict[str, str]:
    """What is read of codes that are no members of an enumeration, by code. :param kind: ``answers``, ``rules`` or ``fit_checks``."""
    return {row["code"]: row["name"] for row in read_table("code_names") if row["kind"] == kind}


@cache
def codes_labelled(enumeration: str) -> dict[str, str]:
    """The codes of an enumeration by their labels in every language; where two would read alike, English decides."""
    told = [(code, in_each_language(label)) for code, label in labels_of(enumeration).items()]
    others = {label: code for code, labels in told for label in labels}
    return others | {labels[0]: code for code, labels in told}


@cache
def codes_of_1(enumeration: str) -> dict[str, str]:
    """The codes of an enumeration by the words that documents of version 1 held."""
    return {row["words"]: row["code"] for row in read_table("words_of_1") if row["enumeration"] == enumeration}


@lru_cache(maxsize=1024)
def codes_read_as(beginning: str) -> tuple[str, ...]:
    """The codes whose labels hold a word that begins so, for a search among answers by what was read. :param beginning: in lower case."""
    rows = read_table("labels")
    found = (
        row["code"] for row in rows if any(word.startswith(beginning) for word in WORDS.findall(row["label"].lower()))
    )
    return tuple(dict.fromkeys(found))


class Coded(StrEnum):
    """An enumeration whose members are codes. Written into a sentence, a member is its label; kept or compared, its code."""

    @classmethod
    def called(cls) -> str:
        """How the tables call the enumeration."""
        return f"{cls.__module__.rpartition('.')[2]}.{cls.__name__}"

    @cached_property
    def label(self) -> str:
        """What a person reads."""
        return labels_of(self.called())[self.value]

    @cached_property
    def fixed(self) -> str:
        """What stands for it in texts that are kept to be compared later: the words of version 1 where it had some, else its code."""
        return next((words for words, code in codes_of_1(self.called()).items() if code == self.value), self.value)

    def __str__(self) -> str:
        return self.label

    def __format__(self, how: str) -> str:
        return format(self.label, how)

    @classmethod
    def _missing_(cls, value: object) -> Coded | None:
        """The member that is meant by its label, as people write it in a table, or by the words of a document of version 1."""
        if not isinstance(value, str):
            return None
        code = codes_of_1(cls.called()).get(value) or codes_labelled(cls.called()).get(value)
        return None if code is None else cls(code)
