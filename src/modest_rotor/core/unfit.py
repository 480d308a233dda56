"""What a model refuses, in words: the data models name what is wrong, and a message says it to whoever reads."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from pydantic import ValidationError

from modest_rotor.core.say import say

REASONS = {
    "missing": "unfit-missing",
    "extra_forbidden": "unfit-no-such-place",
    "enum": "unfit-none-of-the-answers",
    "literal_error": "unfit-none-of-the-answers",
    "union_tag_invalid": "unfit-none-of-the-answers",
    "too_long": "unfit-too-long",
    "too_short": "unfit-too-short",
    "string_too_long": "unfit-string-too-long",
    "string_too_short": "unfit-string-too-short",
    "string_type": "unfit-text",
    "string_unicode": "unfit-text",
    "int_type": "unfit-whole-number",
    "int_parsing": "unfit-whole-number",
    "int_parsing_size": "unfit-whole-number",
    "int_from_float": "unfit-whole-number",
    "float_type": "unfit-number",
    "float_parsing": "unfit-number",
    "finite_number": "unfit-number",
    "bool_type": "unfit-yes-or-no",
    "bool_parsing": "unfit-yes-or-no",
    "greater_than": "unfit-greater-than",
    "greater_than_equal": "unfit-at-least",
    "less_than": "unfit-less-than",
    "less_than_equal": "unfit-at-most",
    "tuple_type": "unfit-list",
    "list_type": "unfit-list",
    "dict_type": "unfit-fields",
    "model_type": "unfit-fields",
    "model_attributes_type": "unfit-fields",
    "union_tag_not_found": "unfit-fields",
    "json_invalid": "unfit-json",
    "json_type": "unfit-json",
    **dict.fromkeys(
        ("date_type", "date_parsing", "date_from_datetime_parsing", "date_from_datetime_inexact"), "unfit-day"
    ),
    **dict.fromkeys(("datetime_type", "datetime_parsing", "datetime_from_date_parsing"), "unfit-moment"),
}
"""Messages for what a model refuses, by pydantic's name of it."""
OTHER_FORM = "unfit-other-form"


def reason_of(error: Mapping[str, Any]) -> str:
    """Why a value does not fit, as a clause that begins small and has no full stop.

    :param error: one of ``ValidationError.errors()``
    """
    values = error.get("ctx", {})
    own = values.get("error")
    if isinstance(own, Exception) and own.args:  # a validator of ours says it itself
        said: str = own.args[0]
        return said
    return say(REASONS.get(error["type"], OTHER_FORM), **values)


def first_reason(error: ValidationError) -> tuple[str, str]:
    """Where a model refuses first, its steps set apart by "/", nothing for the whole; and why."""
    first = error.errors(include_url=False)[0]
    return "/".join(str(step) for step in first["loc"]), reason_of(first)
