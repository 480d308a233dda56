"""The application: routers, guard, documentation and the built front end."""

from __future__ import annotations

from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from pathlib import Path

from anyio.to_thread import current_default_thread_limiter
from fastapi import FastAPI
from starlette.middleware.gzip import GZipMiddleware

from modest_rotor import __version__
from modest_rotor.api import (
    attachments,
    bench,
    bench_hunts,
    bench_live,
    board,
    calculations,
    catalogue,
    devices,
    duty,
    jobs,
    log,
    loop,
    proof,
    reference,
    report,
    setup,
    statements,
    visits,
)
from modest_rotor.api.guard import Guard, tell_refusals
from modest_rotor.api.pages import edition_of, serve_pages
from modest_rotor.core.say import say
from modest_rotor.store.database import MOST_CONNECTIONS

WORTH_PACKING, QUICK = 4000, 1
"""Bytes from which an answer is packed, and how hard: the first level makes an assessment a tenth in some milliseconds."""


@asynccontextmanager
async def _as_many_threads_as_connections(_: FastAPI) -> AsyncIterator[None]:
    current_default_thread_limiter().total_tokens = MOST_CONNECTIONS
    yield


def create_app(web_files: Path | None = None) -> FastAPI:
    """The whole application; without ``web_files``, the API alone."""
    app = FastAPI(
        title=say("app-create-app"),
        version=__version__,
        openapi_url="/api/openapi.json",
        docs_url=None,
        redoc_url=None,
        lifespan=_as_many_threads_as_connections,
    )
    app.include_router(reference.router)
    app.include_router(board.router)
    app.include_router(jobs.router)
    app.include_router(attachments.router)
    app.include_router(calculations.router)
    app.include_router(duty.router)
    app.include_router(catalogue.router)
    app.include_router(report.router)
    app.include_router(devices.router)
    app.include_router(setup.router)
    app.include_router(statements.router)
    app.include_router(loop.router)
    app.include_router(proof.router)
    app.include_router(log.router)
    app.include_router(visits.router)
    app.include_router(bench.router)
    app.include_router(bench_hunts.router)
    app.include_router(bench_live.router)

    tell_refusals(app)
    if web_files is not None:
        serve_pages(app, web_files)
    app.add_middleware(GZipMiddleware, minimum_size=WORTH_PACKING, compresslevel=QUICK)
    app.add_middleware(Guard, edition=edition_of(web_files) if web_files else str)
    return app
