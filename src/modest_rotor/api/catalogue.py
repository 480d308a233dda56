"""The catalogue over HTTP: listed, edited, taken out, and taken in after every row was looked at."""

from __future__ import annotations

from typing import Annotated, Any, Literal

from fastapi import APIRouter, Path, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import Field

from modest_rotor.api.apart import in_process
from modest_rotor.api.contracts import JobView, Step, Words, actor_now, view
from modest_rotor.core.commands.candidates import ConsiderOption
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.say import say
from modest_rotor.core.stations.options import OptionKind
from modest_rotor.core.stations.product import Product
from modest_rotor.formats.catalogue_files import (
    LARGEST_CATALOGUE,
    CatalogueProposal,
    CatalogueRead,
    propose,
    read_catalogue,
    read_product,
    schema,
    write_csv,
    write_json,
)
from modest_rotor.store import catalogue, jobs
from modest_rotor.store.database import with_connection

router = APIRouter(prefix="/api", tags=["catalogue"])


Code = Annotated[Words, Path(min_length=1, max_length=60)]


class CatalogueIn(WithWords):
    """A catalogue file as text."""

    text: Words = Field(max_length=LARGEST_CATALOGUE)


class ProductIn(WithWords):
    """An entry as typed: each value text with its unit, or an object with “typed” and “unit”."""

    product: dict[str, Any]


class OptionIn(Step):
    """An option to be considered: its kind, and a product of the catalogue if one is named."""

    kind: OptionKind
    code: Words | None = Field(default=None, max_length=40)


@router.get("/catalogue")
@with_connection
def products(kind: OptionKind | None = None) -> tuple[Product, ...]:
    """Every entry; with ``kind`` those that can stand for that kind of option."""
    every = catalogue.all_products()
    return every if kind is None else tuple(product for product in every if traits_of(kind).suits(product))


@router.get("/catalogue/schema")
def catalogue_schema() -> dict[str, Any]:
    """The JSON schema of the open format."""
    return schema()


@router.get("/catalogue/file/{form}")
@with_connection
def take_out(form: Literal["csv", "json"]) -> Response:
    """The whole catalogue as a file."""
    kept = catalogue.all_products()
    text, kind = (
        (write_json(kept), "application/json")
        if form == "json"
        else ("\ufeff" + write_csv(kept), "text/csv; charset=utf-8")
    )
    headers = {"content-disposition": f'attachment; filename="catalogue.{form}"'}
    return Response(text, media_type=kind, headers=headers)


@router.post("/catalogue/look")
async def look(file: CatalogueIn, request: Request) -> CatalogueProposal:
    """What a file would change; nothing is written."""
    read = await in_process(request, read_catalogue, file.text)
    return propose(read, await run_in_threadpool(with_connection(catalogue.all_products)))


@router.post("/catalogue/file")
async def take_in(file: CatalogueIn, request: Request) -> CatalogueProposal:
    """Take in the sound entries of a file, all in one transaction."""
    return await run_in_threadpool(_take, await in_process(request, read_catalogue, file.text))


@with_connection
def _take(read: CatalogueRead) -> CatalogueProposal:
    told = propose(read, catalogue.all_products())
    if not read.products:
        raise ChangeRefused(say("api-catalogue-take"))
    catalogue.keep_products(read.products)
    return told


@router.put("/catalogue/{code}")
@with_connection
def keep(code: Code, said: ProductIn) -> Product:
    """Keep an entry, new or changed."""
    product, reasons = read_product(said.product | {"code": code})
    if product is None or reasons:
        raise ChangeRefused(say("api-catalogue-keep", reasons="; ".join(reasons)))
    catalogue.keep_products((product,))
    return product


@router.delete("/catalogue/{code}", status_code=204)
@with_connection
def remove(code: Code) -> None:
    """Take an entry out."""
    catalogue.remove_product(code)


@router.post("/jobs/{job_id}/options", response_model=JobView)
@with_connection
def consider(job_id: int, option: OptionIn) -> Response:
    """Add an option to a job, with its own copy of the product."""
    product = catalogue.product(option.code) if option.code else None
    command = ConsiderOption(option.kind, product)
    return view(jobs.carry_out(job_id, option.revision, command, actor_now(option.who)))
