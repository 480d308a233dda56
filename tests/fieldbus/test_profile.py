"""Profiles are files with a schema; one that overlaps or lies is refused with the place and the reason."""

from __future__ import annotations

import json
from importlib.resources import files
from pathlib import Path
from typing import Any

import jsonschema
import pytest
from hypothesis import given
from hypothesis import strategies as st

import modest_rotor.fieldbus
from modest_rotor.core.errors import OutsideValidity
from modest_rotor.fieldbus.codec import resolution_of, value_of, words_of
from modest_rotor.fieldbus.profile import (
    DeviceProfile,
    ProfileRefused,
    Register,
    Role,
    profile_from_data,
    profile_schema,
    read_profile,
    shipped_profiles,
)
from tests.said import refused_with

PUBLISHED = Path(__file__).parents[2] / "docs" / "formats" / "device-1.schema.json"
DRIVE: dict[str, Any] = json.loads(
    files(modest_rotor.fieldbus).joinpath("profiles/quay-drive-15.json").read_text(encoding="utf-8")
)


def other(**changes: Any) -> dict[str, Any]:
    return {**DRIVE, **changes}


def with_register(**register: Any) -> dict[str, Any]:
    return other(registers=[*DRIVE["registers"], register])


def test_the_published_schema_is_the_programs_own_and_every_shipped_profile_satisfies_it() -> None:
    schema = json.loads(PUBLISHED.read_text(encoding="utf-8"))
    assert schema == profile_schema()
    jsonschema.Draft202012Validator.check_schema(schema)
    folder = files(modest_rotor.fieldbus).joinpath("profiles")
    for file in folder.iterdir():
        jsonschema.validate(json.loads(file.read_text(encoding="utf-8")), schema)


@pytest.mark.parametrize(
    ("data", "words"),
    [
        (with_register(role="fault", address=500), "two registers say they are “fault”"),
        (with_register(role="warning", address=100), "both lie on holding register 100"),
        (with_register(role="warning", address=99, type="float32"), "both lie on holding register 100"),
        (with_register(role="speed", address=900, unit="furlong"), "furlong"),
        (with_register(role="speed", address=900, unit="rpm", scale=0), "scale"),
        (with_register(role="speed", address=900, unit="rpm", low=0, high=1e6), "cannot be told"),
        (other(registers=DRIVE["registers"][1:]), "a drive needs a register for identity"),
        (other(traits={}), "a drive says its traits"),
        (other(traits={"drive": {"floor_hz": 60, "top_hz": 50}}), "lowest frequency lies below its highest"),
        (other(identity=0), "identity"),
        (other(format="something else"), "format"),
        (other(secret="x"), "secret"),
    ],
)
def test_what_overlaps_or_lies_is_refused_with_its_reason(data: dict[str, Any], words: str) -> None:
    with pytest.raises(ProfileRefused, match=words):
        profile_from_data(data)


def test_a_file_that_is_no_json_is_refused() -> None:
    with refused_with(ProfileRefused, "profile-not-json"):
        read_profile("{")


def register(**values: Any) -> tuple[DeviceProfile, Register]:
    profile = profile_from_data(with_register(role="warning", address=900, access="write", **values))
    found = profile.register(Role.WARNING)
    assert found is not None
    return profile, found


@pytest.mark.parametrize(
    ("kind", "scale", "value", "words"),
    [
        ("uint16", 0.01, 43.21, [4321]),
        ("int16", 0.1, -12.5, [0xFF83]),
        ("uint32", 0.001, 70.0, [0x0001, 0x1170]),
        ("int32", 1.0, -2.0, [0xFFFF, 0xFFFE]),
        ("float32", 1.0, 1.5, [0x3FC0, 0x0000]),
    ],
)
def test_types_scales_and_words_by_hand(kind: str, scale: float, value: float, words: list[int]) -> None:
    """By hand: two's complement, and IEEE 754 single 1.5 = 0x3FC00000; high word first."""
    profile, one = register(type=kind, scale=scale)
    assert words_of(profile, one, value) == words
    assert value_of(profile, one, words) == pytest.approx(value)


def test_low_word_first_turns_the_words_round() -> None:
    profile, one = register(type="float32")
    turned = profile.model_copy(update={"word_order": "low first"})
    assert words_of(turned, one, 1.5) == [0x0000, 0x3FC0]


@given(st.floats(0, 650), st.sampled_from(["uint16", "uint32", "float32"]))
def test_what_is_written_reads_back_within_the_register_step(value: float, kind: str) -> None:
    profile, one = register(type=kind, scale=0.01 if kind != "float32" else 1.0)
    back = value_of(profile, one, words_of(profile, one, value))
    assert abs(back - value) <= max(resolution_of(one) / 2, 1e-6 * value, 1e-37) * 1.000001


def test_no_number_and_what_is_not_believed_are_refused() -> None:
    profile, one = register(type="float32", low=0, high=10)
    for words in ([0x7FC0, 0], [0x42C8, 0]):
        with pytest.raises(OutsideValidity, match="its profile believes 0 to 10"):
            value_of(profile, one, words)


def test_the_traits_are_those_of_the_file() -> None:
    traits = shipped_profiles()["quay-drive-15"].traits.drive
    assert traits is not None and (traits.most_bands, traits.floor_hz, traits.skips_ends) == (3, 10, False)
    signal = shipped_profiles()["slip-fan-75"].traits.signal
    assert signal is not None and signal.off_below_v == 1.0
