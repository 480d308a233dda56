"""Photographs: looked into, stripped, and refused when they are something else."""

from __future__ import annotations

import io

import pytest
from PIL import Image

from modest_rotor.formats import photo
from modest_rotor.formats.photo import LARGEST_PHOTO, LONGEST_SIDE, PhotoRefused, clean_photo
from tests.said import refused_with

GPS, ORIENTATION, QUARTER_TURN = 0x8825, 0x0112, 6


def picture(kind: str = "JPEG", size: tuple[int, int] = (80, 40), place: bool = False) -> bytes:
    """A small picture, with a place in its tags where asked."""
    image, out = Image.new("RGB", size, (150, 72, 15)), io.BytesIO()
    exif = Image.Exif()
    if place:
        exif[ORIENTATION] = QUARTER_TURN
        exif.get_ifd(GPS)[1] = "N"
        exif.get_ifd(GPS)[2] = (54.0, 10.0, 1.0)
    image.save(out, kind, exif=exif)
    return out.getvalue()


@pytest.mark.parametrize("kind", ["JPEG", "PNG", "WEBP"])
def test_photographs_are_taken_and_written_anew(kind: str) -> None:
    kept = clean_photo(picture(kind))
    assert Image.open(io.BytesIO(kept.jpeg)).format == "JPEG" and (kept.width, kept.height) == (80, 40)


def test_the_place_goes_and_the_picture_stands_upright() -> None:
    data = picture(place=True)
    assert Image.open(io.BytesIO(data)).getexif().get_ifd(GPS)
    kept = clean_photo(data)
    assert not dict(Image.open(io.BytesIO(kept.jpeg)).getexif())
    assert (kept.width, kept.height) == (40, 80)


def test_large_ones_are_brought_down() -> None:
    kept = clean_photo(picture(size=(5000, 2500)))
    assert max(kept.width, kept.height) == LONGEST_SIDE


@pytest.mark.parametrize(
    "data",
    [
        b"", b"<script>alert(1)</script>", b"<svg xmlns='http://www.w3.org/2000/svg' onload='x()'/>", b"GIF89a" + b"\0" * 40,
        b"\xff\xd8\xff\xe0 not a picture", b"%PDF-1.4", picture()[:200], b"\x89PNG\r\n\x1a\n<?php system(1);",
    ],
)  # fmt: skip
def test_what_is_no_photograph_is_refused_in_words(data: bytes) -> None:
    with refused_with(PhotoRefused, "photo-clean-photo-photograph-jpeg"):
        clean_photo(data)


def test_too_large_is_refused() -> None:
    with pytest.raises(PhotoRefused, match="12 MB"):
        clean_photo(b"\xff" * (LARGEST_PHOTO + 1))


def test_a_script_behind_a_picture_does_not_come_along() -> None:
    kept = clean_photo(picture() + b"<script>alert(1)</script>")
    assert b"script" not in kept.jpeg


@pytest.mark.parametrize(("most", "taken"), [(80 * 40, True), (80 * 40 - 1, False)])
def test_as_many_pixels_as_there_may_be_are_taken_and_not_one_more(
    monkeypatch: pytest.MonkeyPatch, most: int, taken: bool
) -> None:
    monkeypatch.setattr(photo, "MOST_PIXELS", most)
    if taken:
        assert clean_photo(picture()).width == 80
        return
    with refused_with(PhotoRefused, "photo-clean-photo-photograph-most-million"):
        clean_photo(picture())
