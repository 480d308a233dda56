"""The words of tests: a message is found in text whatever its values are, and none where it does not stand."""

from __future__ import annotations

import pytest

from modest_rotor.core.say import say, words_for
from tests.said import says


def test_a_message_is_found_in_text_by_its_code() -> None:
    text = words_for(say("client-connected-nothing-answers", address="127.0.0.1:9"))
    assert says("client-connected-nothing-answers", text)
    assert says("client-connected-nothing-answers", f"A paper says:\n{text.replace(' ', chr(10))}")
    assert says(
        "client-connected-nothing-answers",
        ["Nothing answers at ", {"value": 1.0}, ". Is it on, and is the address right?"],
    )
    assert not says("client-connected-nothing-answers", text.replace("right", "wrong"))
    assert not says("client-connected-nothing-answers-does", text) and not says("client-connected-nothing-answers", "")
    with pytest.raises(LookupError):
        says("no-such-message", text)


@pytest.mark.parametrize("sets", [1, 2, 12])
def test_each_case_of_a_plural_is_its_message(sets: int) -> None:
    assert says("commands-fields-edits-set-csv", words_for(say("commands-fields-edits-set-csv", sets=sets)))
