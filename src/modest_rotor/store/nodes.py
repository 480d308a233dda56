"""Assessments written as nodes of JSON: whoever asks says what it shows and what it holds, and gets what is wanted and new.

A node's tag is a hash of its text: two nodes of one tag are the same, whichever job, revision or draft they come from.
"""

from __future__ import annotations

import hashlib
import json
from collections.abc import Callable, Collection
from dataclasses import dataclass
from functools import cache, cached_property, partial
from threading import Lock
from typing import Annotated, Any

from cachetools import LRUCache
from pydantic import BaseModel, TypeAdapter

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.options.answers import OptionAnswer, OptionsAnswer
from modest_rotor.core.said_fields import Worded
from modest_rotor.core.say import Reader, reader

MOST_PARTS = 900
"""Parts kept as text: ten sets, and the options of some twenty jobs in two pieces; each takes some ten kilobytes."""
TAG_BYTES = 8
"""Two among a million nodes have the same tag once in thirty million."""
ROW_FIELDS = ("id", "letter", "kind", "title", "series", "product", "fits", "stop", "upheld")
"""Of an option, what a list of options shows: with the list; the rest comes where the option is opened."""
APART_OF_SHORT = ("candidates", "differences", "saving", "as_found")
"""Of a job in short, what other stations show as well, each a node of its own."""


PLAIN = tuple(name for name in Assessment.model_fields if name not in ("sets", "options", "short"))
"""Fields of an assessment that are a node each."""


class PartsAsText:
    """The text of frozen parts, found by the very object: what the core kept from the last assessment has its text already."""

    def __init__(self, most: int) -> None:
        self._texts: LRUCache[tuple[int, str, Reader], tuple[object, str]] = LRUCache(most)
        self._lock = Lock()

    def of(self, part: object, kind: str, write: Callable[[], str]) -> str:
        """A part as JSON, as it was written before or as ``write`` writes it. :param kind: which of its texts is meant."""
        key = (id(part), kind, reader())
        with self._lock:
            found = self._texts.get(key)
        if found is not None and found[0] is part:
            return found[1]
        text = write()
        with self._lock:
            self._texts[key] = (part, text)  # held as well, so that its number is nobody else's meanwhile
        return text


PARTS_AS_TEXT = PartsAsText(MOST_PARTS)


@dataclass(frozen=True)
class Nodes:
    """An assessment as nodes: the JSON text of each by its name.

    ``sets`` and ``options`` list what there is, the options as rows with the names of their steps; ``set/<id>`` is a set's answer, ``option/<id>`` an option's without its steps,
    ``steps/<id>`` the steps; what is apart of ``short`` is a node each; any other is the field of that name.
    """

    texts: dict[str, str]

    @cached_property
    def tags(self) -> dict[str, str]:
        """The tag of each node."""
        return {name: _tag(text) for name, text in self.texts.items()}

    def asked(self, wanted: Collection[str], held: Collection[str]) -> str:
        """The tags of all nodes, and those nodes that are wanted and not held, as JSON fields ``tags`` and ``nodes``.

        :param wanted: names; ``set``, ``option`` and ``steps`` mean all of that kind. :param held: tags.
        """
        wanted, held, tags = set(wanted), set(held), self.tags
        sent = ",".join(
            f"{json.dumps(name)}:{text}"
            for name, text in self.texts.items()
            if tags[name] not in held and (name in wanted or name.split("/")[0] in wanted)
        )
        return f'"tags":{json.dumps(tags, separators=(",", ":"))},"nodes":{{{sent}}}'

    def whole(self) -> str:
        """The assessment as one JSON text, the same as its model would be written."""
        texts = dict(self.texts)
        sets = ",".join(texts.pop(f"set/{one}") for one in json.loads(texts.pop("sets")))
        head = json.loads(texts["options"])
        ids = [row["id"] for row in head.pop("rows")]
        head.pop("steps")
        options = ",".join(f'{texts.pop(f"option/{one}")[:-1]},"steps":{texts.pop(f"steps/{one}")}}}' for one in ids)
        texts["options"] = f'{json.dumps(head, ensure_ascii=False)[:-1]},"options":[{options}]}}'
        apart = ",".join(f'"{name}":{texts.pop(name)}' for name in APART_OF_SHORT)
        texts["short"] = f"{texts['short'][:-1]},{apart}}}"
        rest = ",".join(f'"{name}":{text}' for name, text in texts.items())
        return f'{{"sets":[{sets}],{rest}}}'


def nodes_of(assessment: Assessment) -> Nodes:
    """An assessment in nodes."""
    sets, options, short = assessment.sets, assessment.options, assessment.short
    texts = {name: _written(Assessment, name, getattr(assessment, name)) for name in PLAIN}
    texts["sets"] = json.dumps([one.id for one in sets])
    texts |= {f"set/{one.id}": PARTS_AS_TEXT.of(one, "whole", one.model_dump_json) for one in sets}
    texts["options"] = PARTS_AS_TEXT.of(options, "rows", partial(_rows, options))
    for one in options.options:
        texts[f"option/{one.id}"] = PARTS_AS_TEXT.of(one, "option", partial(one.model_dump_json, exclude={"steps"}))
        texts[f"steps/{one.id}"] = PARTS_AS_TEXT.of(one, "steps", partial(_written, OptionAnswer, "steps", one.steps))
    texts["short"] = short.model_dump_json(exclude=set(APART_OF_SHORT))
    texts |= {name: _written(type(short), name, getattr(short, name)) for name in APART_OF_SHORT}
    return Nodes(texts)


def _rows(options: OptionsAnswer) -> str:
    head = options.model_dump_json(exclude={"options"})
    rows = ",".join(one.model_dump_json(include=set(ROW_FIELDS)) for one in options.options)
    steps = json.dumps([{"id": step.id, "name": step.name} for one in options.options[:1] for step in one.steps])
    return f'{head[:-1]},"rows":[{rows}],"steps":{steps}}}'


@cache
def _writer(model: type[BaseModel], field: str) -> TypeAdapter[Any]:
    annotation = model.model_fields[field].annotation
    assert annotation is not None
    return TypeAdapter(Annotated[annotation, Worded()])  # type: ignore[arg-type]


def _written(model: type[BaseModel], field: str, value: object) -> str:
    """A field's value as its model would write it."""
    return _writer(model, field).dump_json(value).decode()


def _tag(text: str) -> str:
    return hashlib.blake2b(text.encode(), digest_size=TAG_BYTES).hexdigest()
