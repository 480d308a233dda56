"""A site as a whole: what its machines take a year now, and with what was chosen for them."""

from __future__ import annotations

from modest_rotor.core.phrase import Figure, Frozen


class SiteEnergy(Frozen):
    """Energy a year of the jobs of a site of which both are known, and how many those are."""

    now: Figure | None = None
    after: Figure | None = None
    jobs: int = 0
    of: int = 0


def site_energy(pairs: tuple[tuple[Figure | None, Figure | None], ...]) -> SiteEnergy:
    """The sum over jobs of what each takes now and with what was chosen, kWh a year.

    :param pairs: of each job, now and after; one that has not both is left out of both sums, and counted.

    Bands are added as of machines that were read apart, JCGM 100 (GUM) 5.1.2: what one meter is off on all of them is not in it,
    so the band is optimistic where one meter read them all.
    """
    known = [(now, after) for now, after in pairs if now is not None and after is not None]
    if not known:
        return SiteEnergy(of=len(pairs))
    now, after = zip(*known, strict=True)
    return SiteEnergy(now=_sum(now), after=_sum(after), jobs=len(known), of=len(pairs))


def _sum(figures: tuple[Figure, ...]) -> Figure:
    band = sum((figure.band or 0.0) ** 2 for figure in figures) ** 0.5
    return Figure(quantity="energy", value=sum(figure.value for figure in figures), band=band, basis="worked out")
