"""A site as a whole: what its machines take a year now, and with what was chosen for them."""

from __future__ import annotations

from modest_rotor.core.phrase import Figure, Frozen


class SiteEnergy(Frozen):
    """Energy a year of the machines of a site of which both are known, and how many those are."""

    now: Figure | None = None
    after: Figure | None = None
    machines: int = 0
    of: int = 0


def site_energy(pairs: tuple[tuple[Figure | None, Figure | None], ...]) -> SiteEnergy:
    """The sum over machines of what each takes now and with what was chosen, kWh a year.

    :param pairs: of each machine, now and after; one that has not both is left out of both sums, and counted.

    Uncertainties are added as they are, the most they can be (JCGM 100 (GUM) 5.2.2, note 1): one bag of meters may have read all machines,
    and what it is off, it is off on all of them.
    """
    known = [(now, after) for now, after in pairs if now is not None and after is not None]
    if not known:
        return SiteEnergy(of=len(pairs))
    now, after = zip(*known, strict=True)
    return SiteEnergy(now=_sum(now), after=_sum(after), machines=len(known), of=len(pairs))


def _sum(figures: tuple[Figure, ...]) -> Figure:
    uncertainty = sum(figure.uncertainty or 0.0 for figure in figures)
    return Figure(
        quantity="energy", value=sum(figure.value for figure in figures), uncertainty=uncertainty, basis="worked-out"
    )
