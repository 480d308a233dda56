"""People who measure, and the meters in their bag."""

from __future__ import annotations

from modest_rotor.core.errors import ChangeRefused, UnknownItem
from modest_rotor.core.say import say
from modest_rotor.core.stations.meters import Meters
from modest_rotor.store.database import in_one_transaction
from modest_rotor.store.models import PersonRow


def meters_of(name: str) -> Meters:
    """The meters that a person set. :raises UnknownItem: nobody of that name has set any."""
    row = PersonRow.get_or_none(PersonRow.name == name.strip())
    if row is None:
        raise UnknownItem(say("people-meters-of-kept-any", strip=name.strip() or say("people-meters-of-nobody")))
    return Meters.model_validate(row.meters)


@in_one_transaction
def keep_meters(name: str, meters: Meters) -> Meters:
    """Keep a person's meters, to be taken over into any job."""
    owner = name.strip()
    if not owner:
        raise ChangeRefused(say("people-keep-meters"))
    kept = meters.model_copy(update={"owner": owner}).model_dump(mode="json")
    PersonRow.insert(name=owner, meters=kept).on_conflict(
        conflict_target=[PersonRow.name], update={PersonRow.meters: kept}
    ).execute()
    return Meters.model_validate(kept)
