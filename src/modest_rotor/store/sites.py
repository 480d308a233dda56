"""Sites: whose they are, and their machines."""

from __future__ import annotations

from modest_rotor.core.errors import UnknownItem
from modest_rotor.core.job import Site
from modest_rotor.core.say import say
from modest_rotor.store.jobs import site_in
from modest_rotor.store.models import SiteRow


def site(site_id: int) -> Site:
    """A site by its number."""
    row = SiteRow.get_or_none(SiteRow.id == site_id)
    if row is None:
        raise UnknownItem(say("sites-site", site_id=site_id))
    return site_in(row)


def names() -> tuple[tuple[int, str], ...]:
    """Number and name of every site, by name."""
    return tuple((row.id, row.name) for row in SiteRow.select(SiteRow.id, SiteRow.name).order_by(SiteRow.name))


def say_whose(site_id: int, customer: str | None, contact: str | None, address: str | None) -> Site:
    """Say whose a site is, whom to call and where it is."""
    site(site_id)
    SiteRow.update(customer=customer, contact=contact, address=address).where(SiteRow.id == site_id).execute()
    return site(site_id)
