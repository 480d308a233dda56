"""The built front end: hashed assets kept for ever, pages fresh, a real 404 for what is not there."""

from __future__ import annotations

import mimetypes
from pathlib import Path

from fastapi import FastAPI, Request
from fastapi.responses import FileResponse, Response
from starlette.exceptions import HTTPException

FOR_EVER = "public, max-age=31536000, immutable"


def serve_pages(app: FastAPI, files: Path) -> None:
    """Serve the front end from ``files``; every path that is not a file is the application's own page."""
    root = files.resolve()

    @app.get("/api/docs", include_in_schema=False)
    def docs() -> Response:
        if not (root / "docs" / "index.html").is_file():
            raise HTTPException(503, "The documentation page is not built. Run ./start, which builds it.")
        return FileResponse(root / "docs" / "index.html", headers={"cache-control": "no-cache"})

    @app.get("/{path:path}", include_in_schema=False)
    def page(path: str, request: Request) -> Response:
        if path.startswith("api/"):
            raise HTTPException(404, f"The API has no /{path[:120]}.")
        found = (root / path).resolve()
        if path and found.is_relative_to(root) and found.is_file():
            return _file(found, path, request)
        if path.startswith("assets/"):
            raise HTTPException(404, "No such file.")
        if not (root / "index.html").is_file():
            raise HTTPException(503, "The front end is not built. Run ./start, which builds it.")
        return FileResponse(root / "index.html", headers={"cache-control": "no-cache"})


def _file(found: Path, path: str, request: Request) -> Response:
    headers = {"cache-control": FOR_EVER if path.startswith("assets/") else "no-cache", "vary": "accept-encoding"}
    kind = mimetypes.guess_type(found.name)[0]
    packed = found.with_name(found.name + ".gz")
    if packed.is_file() and "gzip" in request.headers.get("accept-encoding", ""):
        return FileResponse(packed, media_type=kind, headers={**headers, "content-encoding": "gzip"})
    return FileResponse(found, media_type=kind, headers=headers)
