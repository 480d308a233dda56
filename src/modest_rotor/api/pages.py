"""The built front end: hashed assets kept for ever, pages fresh, a real 404 for what is not there.

Files are answered from memory, without a thread and without the database: pages come also while both are busy or away.
"""

from __future__ import annotations

import hashlib
import mimetypes
from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path

from fastapi import FastAPI, Request
from fastapi.responses import Response
from starlette.exceptions import HTTPException

from modest_rotor.core.say import say

FOR_EVER = "public, max-age=31536000, immutable"
PACKED = (("br", ".br"), ("gzip", ".gz"))
"""How files are packed beside them, the smaller first: browsers take it of this machine's own address and over https."""
NOT_BUILT = say("pages-not-built")


@dataclass(frozen=True)
class _File:
    content: bytes
    modified_ns: int


class _Files:
    """Files below a folder, read once and again when they are others."""

    def __init__(self, root: Path) -> None:
        self.root = root.resolve()
        self._kept: dict[Path, _File] = {}

    def read(self, path: str) -> tuple[Path, bytes] | None:
        """A file by its path below the folder; nothing where there is none."""
        try:
            found = (self.root / path).resolve()
            if not found.is_relative_to(self.root) or not found.is_file():
                return None
            modified = found.stat().st_mtime_ns
            kept = self._kept.get(found)
            if kept is None or kept.modified_ns != modified:
                kept = self._kept[found] = _File(found.read_bytes(), modified)
        except (OSError, ValueError):  # a name that no file can have
            return None
        return found, kept.content


def edition_of(files: Path) -> Callable[[], str]:
    """Gives the name of the front end as it is built now: it is another as soon as anything in it is. Empty where none is built."""
    below = _Files(files)

    def edition() -> str:
        index = below.read("index.html")
        return hashlib.blake2s(index[1], digest_size=8).hexdigest() if index else ""

    return edition


def serve_pages(app: FastAPI, files: Path) -> None:
    """Serve the front end from ``files``; every path that is not a file is the application's own page."""
    below = _Files(files)

    @app.get("/api/docs", include_in_schema=False)
    async def docs() -> Response:
        found = below.read("docs/index.html")
        if found is None:
            raise HTTPException(503, say("pages-documentation-not-built"))
        return Response(found[1], media_type="text/html", headers={"cache-control": "no-cache"})

    @app.get("/{path:path}", include_in_schema=False)
    async def page(path: str, request: Request) -> Response:
        if path.startswith("api/"):
            raise HTTPException(404, say("pages-no-such-address", path=path[:120]))
        if path and below.read(path) is not None:
            return _file(below, path, request)
        if path.startswith("assets/"):
            raise HTTPException(404, say("pages-no-such-file"))
        index = below.read("index.html")
        if index is None:
            raise HTTPException(503, NOT_BUILT)
        return Response(index[1], media_type="text/html", headers={"cache-control": "no-cache"})


def _file(below: _Files, path: str, request: Request) -> Response:
    headers = {"cache-control": FOR_EVER if path.startswith("assets/") else "no-cache", "vary": "accept-encoding"}
    kind = mimetypes.guess_type(path)[0]
    said = request.headers.get("accept-encoding", "").replace(" ", "").split(",")
    taken = {one.split(";")[0] for one in said if not one.endswith(";q=0")}
    for coding, ending in PACKED:
        packed = below.read(path + ending) if coding in taken else None
        if packed is not None:
            return Response(packed[1], media_type=kind, headers={**headers, "content-encoding": coding})
    found = below.read(path)
    assert found is not None
    return Response(found[1], media_type=kind, headers=headers)
