"""What stands around every request: response headers, a bound on size, and refusals told in words."""

from __future__ import annotations

import logging
import re

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from peewee import InterfaceError, OperationalError
from playhouse.pool import MaxConnectionsExceeded
from starlette.exceptions import HTTPException
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from modest_rotor.core.errors import Conflict, Refusal, UnknownItem
from modest_rotor.fieldbus.errors import DeviceTrouble
from modest_rotor.formats.photo import LARGEST_PHOTO
from modest_rotor.store.database import drop_connections

log = logging.getLogger(__name__)

LARGEST_REQUEST = 1_000_000
LARGEST_PHOTO_REQUEST = LARGEST_PHOTO + 1_000
LARGEST_FILE_REQUEST = 17_000_000
"""A logger's weeks or a catalogue, as JSON text in which quotes and line ends take two places."""
PHOTO_PATH = re.compile(r"/api/jobs/\d+/photos")
FILE_PATH = re.compile(
    r"/api/(?:duty/log/look|jobs/\d+/(?:duty|proof)/log|catalogue/(?:look|file)|log/look|machines/\d+/log/csv)"
)
EMPTY_STYLE = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='"
"""The hash of nothing: the styling library opens an empty style element and fills it by script."""
HEADERS = {
    "content-security-policy": (
        f"default-src 'none'; script-src 'self'; style-src 'self' {EMPTY_STYLE}; img-src 'self' data:; font-src 'self';"
        " connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'"
    ),
    "x-content-type-options": "nosniff",
    "x-frame-options": "DENY",
    "referrer-policy": "no-referrer",
    "cross-origin-opener-policy": "same-origin",
    "cross-origin-resource-policy": "same-origin",
}
LOCAL_HOSTS = ("127.0.0.1", "localhost", "[::1]", "testserver")


class Guard:
    """Adds the headers, bounds the size of requests, and answers to local names only."""

    def __init__(self, app: ASGIApp) -> None:
        self.app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        headers = dict(scope.get("headers", ()))
        if scope["type"] == "websocket" and _stranger(headers):
            await send({"type": "websocket.close", "code": 1008, "reason": "another page"})
            return
        if scope["type"] != "http":
            await self.app(scope, receive, send)
            return

        async def guarded_send(message: Message) -> None:
            if message["type"] == "http.response.start":
                message["headers"] = [
                    *message["headers"],
                    *((name.encode(), value.encode()) for name, value in HEADERS.items()),
                ]
            await send(message)

        most = _most(scope["path"])
        refusal = _refusal(headers, most)
        if refusal:
            await refusal(scope, receive, guarded_send)
            return
        await self.app(scope, _bounded(receive, most), guarded_send)


def _most(path: str) -> int:
    """Bytes that a request to a path may hold."""
    if PHOTO_PATH.fullmatch(path):
        return LARGEST_PHOTO_REQUEST
    return LARGEST_FILE_REQUEST if FILE_PATH.fullmatch(path) else LARGEST_REQUEST


def _refusal(headers: dict[bytes, bytes], most: int) -> JSONResponse | None:
    stranger = _stranger(headers)
    if stranger:
        return _problem(*stranger)
    length = headers.get(b"content-length", b"0")
    if not length.isdigit() or int(length) > most:
        return _problem(413, f"A request holds at most {most:,} bytes; nothing was taken in.")
    return None


def _stranger(headers: dict[bytes, bytes]) -> tuple[int, str] | None:
    """Why a request comes from elsewhere, if it does; a WebSocket has no other protection from another page than this."""
    host = headers.get(b"host", b"").decode("latin-1")
    if (host.rsplit(":", 1)[0] if ":" in host else host) not in LOCAL_HOSTS:
        # another name that resolves to loopback is a page from elsewhere reaching in
        return 421, "Modest Rotor answers on this machine's own address only."
    origin = headers.get(b"origin")
    if origin and origin.decode("latin-1").split("://")[-1] != host:
        return 403, "Another page may not use this application."
    return None


def _bounded(receive: Receive, most: int) -> Receive:
    taken = 0

    async def bounded() -> Message:
        nonlocal taken
        message = await receive()
        taken += len(message.get("body", b""))
        if taken > most:
            raise HTTPException(413, f"A request holds at most {most:,} bytes; nothing was taken in.")
        return message

    return bounded


def tell_refusals(app: FastAPI) -> None:
    """Turn refusals and failures into status codes with a field and a sentence."""
    app.add_exception_handler(
        Refusal,
        lambda request, error: _problem(422, error.sentence, error.field or getattr(request.state, "path", None)),
    )
    app.add_exception_handler(UnknownItem, lambda _, error: _problem(404, error.sentence))
    # Not 502 nor 504: the application itself is well, and what was sent to the device must not be sent again by itself.
    app.add_exception_handler(DeviceTrouble, lambda _, error: _problem(424, error.sentence))
    app.add_exception_handler(Conflict, lambda _, error: _problem(409, error.sentence))
    app.add_exception_handler(RequestValidationError, _unreadable)  # type: ignore[arg-type]
    app.add_exception_handler(HTTPException, _told)  # type: ignore[arg-type]
    for kind in (OperationalError, InterfaceError):
        app.add_exception_handler(kind, _database_away)
    app.add_exception_handler(
        MaxConnectionsExceeded, lambda *_: _problem(503, "Too many requests at once; nothing was saved. Try again.")
    )


def _told(_: Request, error: HTTPException) -> JSONResponse:
    if error.status_code == 400:  # what the framework says of a body that is not even text
        return _problem(422, "The request cannot be read as JSON text in UTF-8; nothing was saved.")
    return _problem(error.status_code, error.detail)


def _unreadable(_: Request, error: RequestValidationError) -> JSONResponse:
    first = error.errors()[0]
    place = "/".join(str(step) for step in first["loc"] if step != "body") or None
    return _problem(422, f"{place or 'The request'}: {first['msg']}.", place)


def _database_away(_: Request, error: Exception) -> JSONResponse:
    log.warning("the database does not answer: %s", error)
    drop_connections()
    return _problem(503, "The database does not answer just now; nothing was saved. It is being started again.")


def _problem(status: int, sentence: str, field: str | None = None) -> JSONResponse:
    return JSONResponse({"field": field, "sentence": sentence}, status_code=status)
