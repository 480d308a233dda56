"""Links to the devices that are kept: one each, with what it said last and when, so that age is never hidden."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import UTC, datetime
from threading import Lock

from modest_rotor.core.errors import Refusal
from modest_rotor.fieldbus.client import TIMEOUT_S, DeviceLink, Values, address_of
from modest_rotor.fieldbus.errors import DeviceTrouble
from modest_rotor.fieldbus.profile import DeviceProfile, Role, profile_from_data
from modest_rotor.store.devices import KeptDevice


@dataclass(frozen=True)
class Seen:
    """What a device said last; ``trouble`` where it has not answered since."""

    values: dict[Role, float] = field(default_factory=dict)
    refused: dict[Role, str] = field(default_factory=dict)
    at: datetime | None = None
    trouble: str | None = None
    tried: datetime | None = None


class Links:
    """Every open link, found by the device's number and made anew when the device is another."""

    def __init__(self) -> None:
        self._links: dict[int, tuple[KeptDevice, DeviceLink]] = {}
        self._seen: dict[int, Seen] = {}
        self._lock = Lock()

    def link(self, kept: KeptDevice) -> DeviceLink:
        """The link to a device. :raises Refusal: its address may not be read, or its profile is none."""
        with self._lock:
            found = self._links.get(kept.id)
            if found and found[0] == kept:
                return found[1]
            if found:
                found[1].close()
                self._seen.pop(kept.id, None)
            link = DeviceLink(profile_of(kept), address_of(kept.host, kept.port, kept.unit), TIMEOUT_S)
            self._links[kept.id] = (kept, link)
            return link

    def read(self, kept: KeptDevice) -> Values:
        """Every value of a device, asked just now. :raises DeviceTrouble: it gave none; what it said before keeps its age."""
        now = datetime.now(UTC)
        try:
            values = self.link(kept).read()
        except (DeviceTrouble, Refusal) as trouble:
            before = self._seen.get(kept.id, Seen())
            sentence = trouble.sentence
            self._seen[kept.id] = Seen(before.values, before.refused, before.at, sentence, now)
            raise
        self._seen[kept.id] = Seen(values.values, values.refused, now, None, now)
        return values

    def seen(self, kept: KeptDevice) -> Seen:
        """What it said last, without asking."""
        return self._seen.get(kept.id, Seen())

    def forget(self, device_id: int) -> None:
        """Let a link go."""
        with self._lock:
            found = self._links.pop(device_id, None)
            self._seen.pop(device_id, None)
        if found:
            found[1].close()

    def close(self) -> None:
        """Let every link go."""
        for device_id in list(self._links):
            self.forget(device_id)


def profile_of(kept: KeptDevice) -> DeviceProfile:
    """The profile that a device was kept with."""
    return profile_from_data(kept.profile)


LINKS = Links()
