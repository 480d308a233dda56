"""Health, and the table of quantities by which a reader's edge converts."""

from __future__ import annotations

from fastapi import APIRouter
from fastapi.responses import JSONResponse

from modest_rotor import __version__
from modest_rotor.api.contracts import Health, QuantityFacts, UnitFacts
from modest_rotor.core.assessment import RuleFacts
from modest_rotor.core.quantities import Quantity, UnitSystem, all_quantities
from modest_rotor.core.rules.found import all_rules
from modest_rotor.store.database import database, drop_connections, newest_applied

router = APIRouter(prefix="/api", tags=["reference"])


@router.get("/health", response_model=Health)
def health() -> Health | JSONResponse:
    """Whether the database answers, and which migration it is at; 503 when it does not."""
    try:
        with database.connection_context():
            return Health(database=True, migration=newest_applied(), version=__version__)
    except Exception:  # whatever keeps the database from answering, the verdict is the same
        drop_connections()
        away = Health(database=False, migration=None, version=__version__)
        return JSONResponse(away.model_dump(), status_code=503)


@router.get("/quantities")
def quantities() -> dict[str, QuantityFacts]:
    """Every quantity: its reader's units and the units that may be typed."""
    return {name: _facts(what) for name, what in all_quantities().items()}


@router.get("/rules")
def rules() -> tuple[RuleFacts, ...]:
    """Every rule of judgement with its severity, threshold and source."""
    return all_rules()


def _facts(what: Quantity) -> QuantityFacts:
    return QuantityFacts(
        label=what.label, ip=_unit(what, "ip"), si=_unit(what, "si"), typed_units=[unit.symbol for unit in what.units]
    )


def _unit(what: Quantity, system: UnitSystem) -> UnitFacts:
    unit = what.reader_unit(system)
    return UnitFacts(
        unit=unit.symbol, factor=1 / unit.factor, offset=-unit.offset / unit.factor, decimals=what.decimals[system]
    )
