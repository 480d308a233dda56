"""Candidates, and what none can be."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.commands.command import Command, Found, appended
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.job import Job
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.statements import Actor, Edit
from modest_rotor.core.stations.options import Considered, OptionKind
from modest_rotor.core.stations.product import Product


@dataclass(frozen=True)
class ConsiderOption(Command):
    """A candidate, with its own copy of a product where one is named."""

    kind: OptionKind
    product: Product | None = None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        if self.kind is OptionKind.KEEP:
            raise ChangeRefused("The machine put right is the baseline of every job; it needs no second column.")
        if self.product is not None and not traits_of(self.kind).suits(self.product):
            raise ChangeRefused(
                f"{self.product.name} cannot stand for this kind; nothing was added. Choose another, or none yet."
            )
        new = {"kind": self.kind, "product": self.product.model_dump(mode="json") if self.product else None}
        return appended(
            job, "options/considered", new, f"option {self.product.name if self.product else self.kind} added"
        )


def refuse_unsuited(before: Job, after: Job) -> None:
    """Refuse what no candidate can be, however it came to stand there; what stood there before stays, and its check stops it."""

    def wrong(job: Job) -> set[tuple[str, OptionKind, str]]:
        return {
            (one.id, one.kind, one.product.code if one.product else "")
            for one in job.document.options.considered
            if not _can_be(one)
        }

    new = wrong(after) - wrong(before)
    if any(kind is OptionKind.KEEP for _, kind, _ in new):
        raise ChangeRefused("The machine put right is the baseline of every job; it needs no second column.")
    if new:
        raise ChangeRefused("That product cannot stand for this kind of option; nothing was changed.")


def _can_be(one: Considered) -> bool:
    return one.kind is not OptionKind.KEEP and (one.product is None or traits_of(one.kind).suits(one.product))
