"""Photographs as they come in: looked into, turned upright, stripped of where and when, and kept as plain JPEG."""

from __future__ import annotations

import io
import warnings
from dataclasses import dataclass

from PIL import Image, ImageOps, UnidentifiedImageError

from modest_rotor.core.errors import Refusal
from modest_rotor.core.say import Number, say

LARGEST_PHOTO = 12_000_000
MOST_PIXELS = 25_000_000
LONGEST_SIDE = 2400
"""Side to which a photograph is brought down: every digit of a plate is still read."""
QUALITY = 85
TAKEN = ("JPEG", "PNG", "WEBP")


class PhotoRefused(Refusal):
    """A file that is no photograph that can be kept."""


@dataclass(frozen=True)
class Photo:
    """A photograph ready to be kept: JPEG bytes without any tag, and its size in pixels."""

    jpeg: bytes
    width: int
    height: int


def clean_photo(data: bytes) -> Photo:
    """A photograph from the bytes of a file, whatever its name or type said.

    :raises PhotoRefused: too large, no image, or one of another kind; nothing is kept.

    The picture is decoded and written anew, so that nothing but its pixels is left: no place, no time, no hidden payload.
    """
    if len(data) > LARGEST_PHOTO:
        raise PhotoRefused(say("photo-clean-photo-photograph-most", largest_photo=LARGEST_PHOTO // 1_000_000))
    try:
        with warnings.catch_warnings():
            warnings.simplefilter("error", Image.DecompressionBombWarning)
            image = Image.open(io.BytesIO(data), formats=TAKEN)
            if image.width * image.height > MOST_PIXELS:
                raise PhotoRefused(
                    say(
                        "photo-clean-photo-photograph-most-million",
                        most_pixels=MOST_PIXELS // 1_000_000,
                        height=Number(image.width * image.height / 1e6, ".0f"),
                    )
                )
            image.draft("RGB", (LONGEST_SIDE, LONGEST_SIDE))  # a JPEG is decoded no larger than needed
            image.thumbnail((LONGEST_SIDE, LONGEST_SIDE))
            upright = ImageOps.exif_transpose(image).convert("RGB")
    except (UnidentifiedImageError, OSError, ValueError, SyntaxError, Image.DecompressionBombError, Warning) as error:
        if isinstance(error, PhotoRefused):
            raise
        raise PhotoRefused(say("photo-clean-photo-photograph-jpeg")) from error
    # Onto a new image: comments and all else that hung on the one that came stay behind.
    bare = Image.new("RGB", upright.size)
    bare.paste(upright)
    out = io.BytesIO()
    bare.save(out, "JPEG", quality=QUALITY)
    return Photo(out.getvalue(), bare.width, bare.height)
