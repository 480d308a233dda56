"""Calculations over HTTP: listed, and worked from typed values; nothing is kept."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter, Request
from pydantic import Field

from modest_rotor.api.contracts import Words
from modest_rotor.core.calculations.book import all_calculations, work_out
from modest_rotor.core.calculations.calculation import Calculated, CalculationFacts
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.quantities import UnitSystem

router = APIRouter(prefix="/api/calculations", tags=["calculations"])


class Asked(WithWords):
    """Typed values for a calculation."""

    values: dict[str, Annotated[Words, Field(max_length=80)]] = Field(max_length=12)
    units: UnitSystem | None = None


@router.get("")
def calculations() -> tuple[CalculationFacts, ...]:
    """Every calculation: what it asks for, what it gives, its formula and its source."""
    return all_calculations()


@router.post("/{name}")
def calculation(name: str, asked: Asked, request: Request) -> Calculated:
    """Work a calculation; refused in a sentence when a value is missing, unreadable or outside where it holds."""
    request.state.path = name
    return work_out(name, asked.values, asked.units)
