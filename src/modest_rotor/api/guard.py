"""What stands around every request: response headers, a bound on size, local names only, and every failure told in words."""

from __future__ import annotations

import logging
import re
from collections.abc import Callable

from fastapi import FastAPI, Request
from fastapi.exceptions import RequestValidationError
from fastapi.responses import JSONResponse
from pydantic import ValidationError
from starlette.exceptions import HTTPException
from starlette.requests import cookie_parser
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from modest_rotor.core.errors import Conflict, Refusal, UnknownItem
from modest_rotor.core.said_codes import code_of, codes_in
from modest_rotor.core.say import Number, Reader, reader_of, reading, say, words_for
from modest_rotor.core.unfit import first_reason, reason_of
from modest_rotor.fieldbus.errors import DeviceTrouble
from modest_rotor.formats.photo import LARGEST_PHOTO
from modest_rotor.store.database import DatabaseAway, DatabaseBusy
from modest_rotor.store.saving import KnownCommand, Saved, Saving, saving_of_this_request, watch_saving
from modest_rotor.workers.process import Overtaken, TookTooLong, WorkerLost

log = logging.getLogger(__name__)

LARGEST_REQUEST = 1_000_000
LARGEST_PHOTO_REQUEST = LARGEST_PHOTO + 1_000
LARGEST_FILE_REQUEST = 17_000_000
"""A logger's weeks or a catalogue, as JSON text in which quotes and line ends take two places."""
MOST_DRAINED = 64_000_000
"""Of a request that is too large so much is read and thrown away, so that its sender hears the answer and not a broken line."""
LONGEST_PATH = 1_000
PHOTO_PATH = re.compile(r"/api/(?:jobs/\d{1,18}/photos|firm/mark)")
FILE_PATH = re.compile(
    r"/api/(?:archive|duty/log/look|jobs/\d{1,18}/(?:duty|proof)/log|catalogue/(?:look|file)|log/look|machines/\d{1,18}/log/csv)"
)
COMMAND = re.compile(r"[A-Za-z0-9_-]{8,40}")
EMPTY_STYLE = "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='"
"""The hash of nothing: the styling library opens an empty style element and fills it by script."""
HEADERS = {
    "content-security-policy": (
        f"default-src 'none'; script-src 'self'; style-src 'self' {EMPTY_STYLE}; img-src 'self' data: blob:; font-src 'self';"
        " connect-src 'self'; manifest-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'"
    ),
    "x-content-type-options": "nosniff",
    "x-frame-options": "DENY",
    "referrer-policy": "no-referrer",
    "cross-origin-opener-policy": "same-origin",
    "cross-origin-resource-policy": "same-origin",
}
LOCAL_HOSTS = ("127.0.0.1", "localhost", "[::1]")


class Guard:
    """Adds the headers, bounds the size of requests, answers to local names only, and lets no error out without words."""

    def __init__(self, app: ASGIApp, edition: Callable[[], str] = str) -> None:
        """:param edition: names the front end of now, so that a page that was opened before learns that it is another's."""
        self.app, self.edition = app, edition

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        headers = dict(scope.get("headers", ()))
        if scope["type"] == "websocket" and _stranger(headers, scope):
            await send({"type": "websocket.close", "code": 1008, "reason": say("guard-module")})
            return
        if scope["type"] != "http":
            with reading(_reader(headers)):
                await self.app(scope, receive, send)
            return
        begun = False

        async def guarded_send(message: Message) -> None:
            nonlocal begun
            if message["type"] == "http.response.start":
                begun = True
                message["headers"] = _with_ours(message["headers"], scope["path"], self.edition)
            await send(message)

        most = _most(scope["path"])
        refusal = _refusal(headers, scope, most)
        if refusal:
            if refusal.status_code == 413:
                await _drain(receive)
            await refusal(scope, receive, guarded_send)
            return
        watch_saving(Saving(command=_command(headers)))
        try:
            with reading(_reader(headers)):
                await self.app(scope, _bounded(receive, most), guarded_send)
        except Exception as error:  # ours: whatever it is, it has words and headers, and is noted down
            log.exception("%s %s failed", scope["method"], scope["path"])
            if begun:
                raise
            await _fault(error)(scope, receive, guarded_send)


def _with_ours(headers: list[tuple[bytes, bytes]], path: str, edition: Callable[[], str]) -> list[tuple[bytes, bytes]]:
    ours = [(name.encode(), value.encode()) for name, value in HEADERS.items()]
    if path.startswith("/api/"):
        ours.append((b"x-edition", edition().encode()))
        if not any(name == b"cache-control" for name, _ in headers):
            ours.append((b"cache-control", b"no-store"))
    return [*headers, *ours]


def _most(path: str) -> int:
    """Bytes that a request to a path may hold."""
    if PHOTO_PATH.fullmatch(path):
        return LARGEST_PHOTO_REQUEST
    return LARGEST_FILE_REQUEST if FILE_PATH.fullmatch(path) else LARGEST_REQUEST


def _refusal(headers: dict[bytes, bytes], scope: Scope, most: int) -> JSONResponse | None:
    stranger = _stranger(headers, scope)
    if stranger:
        return _problem(*stranger)
    path = scope["path"]
    if len(path) > LONGEST_PATH or not path.isprintable():
        return _problem(422, say("guard-refusal-address-most", longest_path=Number(LONGEST_PATH, ",")))
    length = headers.get(b"content-length", b"0")
    if not length.isdigit() or len(length) > 15 or int(length) > most:
        return _problem(413, say("guard-refusal-request-holds", most=Number(most, ",")))
    command = headers.get(b"idempotency-key")
    if command is not None and not COMMAND.fullmatch(command.decode("latin-1")):
        return _problem(422, say("guard-refusal-name-command"))
    return None


def _reader(headers: dict[bytes, bytes]) -> Reader:
    """Who asks: by what the page keeps in a cookie, so that links tell it as well, or else by what the browser says."""
    cookies = cookie_parser(headers.get(b"cookie", b"").decode("latin-1"))
    return reader_of(cookies.get("language") or headers.get(b"accept-language", b"").decode("latin-1"))


def _command(headers: dict[bytes, bytes]) -> str | None:
    command = headers.get(b"idempotency-key")
    return command.decode("latin-1") if command else None


def _stranger(headers: dict[bytes, bytes], scope: Scope) -> tuple[int, str] | None:
    """Why a request comes from elsewhere, if it does; a WebSocket has no other protection from another page than this."""
    host = headers.get(b"host", b"").decode("latin-1")
    if (host.rsplit(":", 1)[0] if ":" in host and not host.endswith("]") else host) not in LOCAL_HOSTS:
        # another name that resolves to loopback is a page from elsewhere reaching in
        return 421, say("guard-stranger-modest-rotor")
    origin = headers.get(b"origin")
    # A page of this server came over the very same scheme, which for a WebSocket has another name.
    scheme = {"ws": "http", "wss": "https"}.get(scope.get("scheme", "http"), scope.get("scheme", "http"))
    if origin and origin.decode("latin-1") != f"{scheme}://{host}":
        return 403, say("guard-stranger-another-page")
    return None


async def _drain(receive: Receive) -> None:
    """Read what still comes and throw it away."""
    taken = 0
    while taken < MOST_DRAINED:
        message = await receive()
        taken += len(message.get("body", b""))
        if message["type"] != "http.request" or not message.get("more_body"):
            return


def _bounded(receive: Receive, most: int) -> Receive:
    taken = 0

    async def bounded() -> Message:
        nonlocal taken
        message = await receive()
        taken += len(message.get("body", b""))
        if taken > most:
            if message.get("more_body"):
                await _drain(receive)
            raise HTTPException(413, say("guard-bounded", most=Number(most, ",")))
        return message

    return bounded


def tell_refusals(app: FastAPI) -> None:
    """Turn refusals and failures into status codes with a field and a sentence."""
    tell = app.add_exception_handler
    tell(
        Refusal, lambda request, error: _told(422, error.sentence, error.field or getattr(request.state, "path", None))
    )
    tell(UnknownItem, lambda _, error: _told(404, error.sentence))
    # Not 502 nor 504: the application itself is well, and what was sent to the device must not be sent again by itself.
    tell(DeviceTrouble, lambda _, error: _told(424, error.sentence))
    tell(Conflict, lambda _, error: _told(409, error.sentence))
    tell(Overtaken, lambda _, error: _told(409, error.sentence))
    tell(KnownCommand, _done_before)  # type: ignore[arg-type]
    tell(RequestValidationError, _unreadable)  # type: ignore[arg-type]
    tell(ValidationError, _unfit)  # type: ignore[arg-type]
    tell(HTTPException, _of_framework)  # type: ignore[arg-type]
    for kind in (DatabaseAway, DatabaseBusy, WorkerLost, TookTooLong):
        tell(kind, lambda _, error: _away(error.sentence))


def _done_before(_: Request, error: KnownCommand) -> JSONResponse:
    """A command that was carried out before: not an error, and nothing is done again."""
    return JSONResponse({"known": True, "sentence": words_for(error.sentence), "about": error.about}, status_code=208)


OF_FRAMEWORK = {404: say("guard-nothing-there"), 405: say("guard-not-allowed")}
"""What is said where the framework has a phrase of its own."""


def _of_framework(_: Request, error: HTTPException) -> JSONResponse:
    if error.status_code == 400:  # what the framework says of a body that is not even text
        return _problem(422, say("guard-of-framework"))
    own = OF_FRAMEWORK.get(error.status_code, error.detail)
    return _problem(error.status_code, error.detail if code_of(error.detail) else own)


def _unreadable(_: Request, error: RequestValidationError) -> JSONResponse:
    first = error.errors()[0]
    place = "/".join(str(step) for step in first["loc"] if step != "body")[:200] or None
    told = say("guard-unfit-at", place=place or say("guard-unfit"), reason=reason_of(first))
    return _problem(422, told, place)


def _unfit(_: Request, error: ValidationError) -> JSONResponse:
    place, reason = first_reason(error)
    return _told(422, say("guard-unfit-at", place=place[:200] or say("guard-unfit"), reason=reason))


def _fault(error: Exception) -> JSONResponse:
    return _told(500, say("guard-fault"))


def _away(sentence: str) -> JSONResponse:
    log.warning("not answered: %s", sentence)
    return _told(503, sentence)


def _told(status: int, sentence: str, field: str | None = None) -> JSONResponse:
    """A failure in words, with what is known of what was to be saved: no failure after a commit takes back that it is saved."""
    saving = saving_of_this_request()
    if saving.state is Saved.SAVED:
        return _problem(503, say("guard-told-saved-what"), field, Saved.SAVED)
    if saving.state is Saved.UNKNOWN:
        return _problem(503, say("guard-told-known-whether", sentence=sentence), field, Saved.UNKNOWN)
    if status >= 500:
        return _problem(status, say("guard-told-any-case", sentence=sentence), field, Saved.NOTHING)
    return _problem(status, sentence, field, Saved.NOTHING)


def _problem(status: int, sentence: str, field: str | None = None, saved: Saved = Saved.NOTHING) -> JSONResponse:
    said, place = (
        None if text is None else text.encode("utf-8", "replace").decode() for text in (words_for(sentence), field)
    )
    codes = list(dict.fromkeys(codes_in(sentence)))
    told = {"field": place, "sentence": said, "code": code_of(sentence), "codes": codes, "saved": saved}
    return JSONResponse(told, status_code=status)
