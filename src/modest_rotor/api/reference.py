"""Health, and the table of quantities by which a reader's edge converts."""

from __future__ import annotations

from contextlib import suppress
from typing import Annotated

from anyio import CapacityLimiter, move_on_after, to_thread
from fastapi import APIRouter, Path
from fastapi.responses import JSONResponse

from modest_rotor import __version__
from modest_rotor.api.contracts import CommandView, Health, QuantityFacts, UnitFacts
from modest_rotor.core.assessment import RuleFacts
from modest_rotor.core.glossary import Term, all_terms
from modest_rotor.core.quantities import Quantity, UnitSystem, all_quantities
from modest_rotor.core.rules.found import all_rules
from modest_rotor.store.database import database, newest_applied, with_connection
from modest_rotor.store.saving import about_command

router = APIRouter(prefix="/api", tags=["reference"])
WITH_FRACTIONS = ("rated_power", "shaft_power", "dimension", "energy_price")
"""Quantities in which a fraction or a unit is usually typed."""
LONGEST_HEALTH_S = 1.5
_limiter = CapacityLimiter(2)
"""Threads of its own: whoever asks how it is must not wait behind those who wait for the database."""


@router.get("/health", response_model=Health)
async def health() -> Health | JSONResponse:
    """Whether the database answers, and which migration it is at; 503 when it does not, soon in any case."""
    migration = None
    with move_on_after(LONGEST_HEALTH_S), suppress(Exception):
        # Whatever keeps the database from answering, the verdict is the same.
        migration = await to_thread.run_sync(with_connection(newest_applied), limiter=_limiter, abandon_on_cancel=True)
    if migration is not None:
        return Health(database=True, migration=migration, version=__version__)
    away = Health(database=False, migration=None, version=__version__)
    return JSONResponse(away.model_dump(), status_code=503)


@router.get("/commands/{name}")
@with_connection
def command(name: Annotated[str, Path(pattern=r"^[A-Za-z0-9_-]{8,40}$")]) -> CommandView:
    """Whether an act of a page, sent under a name of its own, was carried out: for a page whose answer was lost."""
    about = about_command(database, name)
    return CommandView(known=about is not None, about=about or {})


@router.get("/quantities")
def quantities() -> dict[str, QuantityFacts]:
    """Every quantity: its reader's units and the units that may be typed."""
    return {name: _facts(what) for name, what in all_quantities().items()}


@router.get("/rules")
def rules() -> tuple[RuleFacts, ...]:
    """Every rule of judgement with its severity, threshold and source."""
    return all_rules()


@router.get("/glossary")
def glossary() -> tuple[Term, ...]:
    """The trade's terms, each in one sentence with its source, and the calculation that uses it."""
    return all_terms()


def _facts(what: Quantity) -> QuantityFacts:
    return QuantityFacts(
        label=what.label,
        ip=_unit(what, "ip"),
        si=_unit(what, "si"),
        typed_units=[unit.symbol for unit in what.units],
        letters=what.low < 0 or what.name in WITH_FRACTIONS,
    )


def _unit(what: Quantity, system: UnitSystem) -> UnitFacts:
    unit = what.reader_unit(system)
    return UnitFacts(
        unit=unit.symbol, factor=1 / unit.factor, offset=-unit.offset / unit.factor, decimals=what.decimals[system]
    )
