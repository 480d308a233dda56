"""Fields of models that keep what is said in them: its message stays with the text, and JSON is written in the reader's words."""

from __future__ import annotations

from collections.abc import Callable
from typing import Any, cast

from pydantic_core import CoreSchema, core_schema

from modest_rotor.core.kept_words import KEPT, as_said, is_kept, to_keep
from modest_rotor.core.say import Said, Sentence, reader, words_for

AROUND = ("definitions", "function-before", "function-after", "function-wrap")
"""What may stand around the schema of a model: definitions of others, and validators of the whole."""


def keeping_words(schema: CoreSchema) -> CoreSchema:
    """A model's schema whose fields of text and of phrases keep what was said. Models within it see to themselves."""
    if schema["type"] == "model":
        return cast("CoreSchema", {**schema, "schema": _kept(schema["schema"])})
    if schema["type"] in AROUND:
        return cast("CoreSchema", {**schema, "schema": keeping_words(cast("Any", schema)["schema"])})
    return schema


def with_former_names(schema: CoreSchema, names: tuple[tuple[str, str], ...]) -> CoreSchema:
    """A model's schema that reads some fields under a former name too. :param names: of today and formerly."""
    if schema["type"] != "model-fields":
        inner = with_former_names(cast("Any", schema)["schema"], names)
        return cast("CoreSchema", {**schema, "schema": inner})
    fields = {name: {**schema["fields"][name], "validation_alias": [[name], [former]]} for name, former in names}
    return cast("CoreSchema", {**schema, "fields": {**schema["fields"], **fields}})


class Worded:
    """In an annotation: what is said keeps its message, and is written as JSON in the reader's words, as in models."""

    def __get_pydantic_core_schema__(self, source: Any, handler: Callable[[Any], CoreSchema]) -> CoreSchema:
        """The schema of what is annotated, its text and phrases kept as they are said."""
        return cast("CoreSchema", _kept(handler(source)))


def _kept(schema: Any) -> Any:
    kind = schema["type"]
    if kind == "str":
        text = core_schema.plain_serializer_function_ser_schema(_text_worded, return_schema=schema, when_used="json")
        return core_schema.no_info_wrap_validator_function(_as_said, schema, serialization=text)
    if kind == "model-fields":
        return {**schema, "fields": {name: _kept(field) for name, field in schema["fields"].items()}}
    if kind in ("model-field", "nullable", "default", "function-before", "function-after", "function-wrap"):
        return {**schema, "schema": _kept(schema["schema"])}
    if kind == "list":
        return {**schema, "items_schema": _kept(schema["items_schema"])} if "items_schema" in schema else schema
    if kind == "dict":
        inner = {name: _kept(schema[name]) for name in ("values_schema", "keys_schema") if name in schema}
        written = core_schema.wrap_serializer_function_ser_schema(
            _keys_worded, when_used="json", schema={**schema, **inner}
        )
        return {**schema, **inner, "serialization": written}
    if kind == "union":
        return {**schema, "choices": [_kept(one) for one in schema["choices"]]}
    if kind == "tuple":
        inside = {**schema, "items_schema": [_kept(one) for one in schema["items_schema"]]}
        return core_schema.no_info_wrap_validator_function(
            _as_sentence,
            inside,
            serialization=core_schema.wrap_serializer_function_ser_schema(_worded, when_used="json", schema=inside),
        )
    return schema


def _as_said(value: Any, text: Callable[[Any], str]) -> str:
    if type(value) is Said:
        return value
    if is_kept(value):
        said = as_said(value)
        return said if type(said) is Said else text(said)
    return text(value)


def _as_sentence(value: Any, pieces: Callable[[Any], tuple[Any, ...]]) -> tuple[Any, ...]:
    if type(value) is Sentence:
        return value
    if type(value) in (tuple, list) and len(value) == 1 and is_kept(value[0]):
        said = as_said(value[0])
        return said if type(said) is Sentence else pieces((said,) if type(said) is Said else said)
    return pieces(value)


def _text_worded(value: Any) -> Any:
    if type(value) is Said and reader() is KEPT:
        return to_keep(value)
    return words_for(value)


def _keys_worded(value: Any, written: Callable[[Any], Any]) -> Any:
    return written({_text_worded(key): one for key, one in value.items()})


def _worded(value: Any, written: Callable[[Any], Any]) -> Any:
    if type(value) is not Sentence:
        return written(value)
    return [to_keep(value)] if reader() is KEPT else written(words_for(value))
