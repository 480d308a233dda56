"""Candidates, and what none can be."""

from __future__ import annotations

from dataclasses import dataclass

from modest_rotor.core.commands.command import Command, Found, appended
from modest_rotor.core.errors import ChangeRefused
from modest_rotor.core.job import Job
from modest_rotor.core.options.registry import traits_of
from modest_rotor.core.say import say
from modest_rotor.core.statements import Actor, Edit
from modest_rotor.core.stations.options import Candidate, OptionKind
from modest_rotor.core.stations.product import Product


@dataclass(frozen=True)
class ConsiderOption(Command):
    """A candidate, with its own copy of a product where one is named."""

    kind: OptionKind
    product: Product | None = None

    def edits(self, job: Job, actor: Actor, found: Found) -> tuple[Edit, ...]:
        """Errors as :func:`decide`."""
        if self.kind is OptionKind.KEEP:
            raise ChangeRefused(say("candidates-edits-machine-put"))
        if self.product is not None and not traits_of(self.kind).suits(self.product):
            raise ChangeRefused(say("candidates-edits-cannot-stand", product=self.product.name))
        new = {"kind": self.kind, "product": self.product.model_dump(mode="json") if self.product else None}
        return appended(
            job,
            "options/candidates",
            new,
            say("candidates-edits-option-added", product=self.product.name if self.product else self.kind),
        )


def refuse_unsuited(before: Job, after: Job) -> None:
    """Refuse what no candidate can be, however it came to stand there; what stood there before stays, and its check stops it."""

    def wrong(job: Job) -> set[tuple[str, OptionKind, str]]:
        return {
            (one.id, one.kind, one.product.code if one.product else "")
            for one in job.document.options.candidates
            if not _can_be(one)
        }

    new = wrong(after) - wrong(before)
    if any(kind is OptionKind.KEEP for _, kind, _ in new):
        raise ChangeRefused(say("candidates-refuse-unsuited-machine-put"))
    if new:
        raise ChangeRefused(say("candidates-refuse-unsuited-product-cannot"))


def _can_be(one: Candidate) -> bool:
    return one.kind is not OptionKind.KEEP and (one.product is None or traits_of(one.kind).suits(one.product))
