"""Assessments written as JSON, in which parts that were written before are not written again."""

from __future__ import annotations

from threading import Lock

from cachetools import LRUCache
from pydantic import BaseModel

from modest_rotor.core.assessment import Assessment

MOST_PARTS = 300
"""Parts kept as text: ten sets and the options of some twenty jobs; each takes some twenty kilobytes."""


class PartsAsText:
    """The text of frozen parts, found by the very object: what the core kept from the last assessment has its text already."""

    def __init__(self, most: int) -> None:
        self._texts: LRUCache[int, tuple[BaseModel, str]] = LRUCache(most)
        self._lock = Lock()

    def of(self, part: BaseModel) -> str:
        """The part as JSON."""
        with self._lock:
            found = self._texts.get(id(part))
        if found is not None and found[0] is part:
            return found[1]
        text = part.model_dump_json()
        with self._lock:
            self._texts[id(part)] = (part, text)  # held as well, so that its number is nobody else's meanwhile
        return text


PARTS_AS_TEXT = PartsAsText(MOST_PARTS)


def assessment_as_text(assessment: Assessment) -> str:
    """An assessment as JSON, the same as its model would be written."""
    head = assessment.model_dump_json(exclude={"sets", "options"})
    sets = ",".join(PARTS_AS_TEXT.of(answer) for answer in assessment.sets)
    return f'{head[:-1]},"sets":[{sets}],"options":{PARTS_AS_TEXT.of(assessment.options)}}}'
