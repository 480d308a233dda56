"""What can go wrong between here and a device, each in words for whoever stands beside it.

DeviceTrouble
├── NoAnswer            nothing, or no whole frame, came back in time
├── DeviceRefused       it answered that it will not
├── OtherDevice         what answers there is not what the profile says
└── NotAllowed          this may not be read, or not be written
"""

from __future__ import annotations

from modest_rotor.core.errors import ModestRotorError, Refusal


class DeviceTrouble(ModestRotorError, ConnectionError):
    """A device could not be read or written; nothing old is shown in its place."""


class NoAnswer(DeviceTrouble):
    """No connection, no answer in time, or half of one."""


class DeviceRefused(DeviceTrouble):
    """The device answered with an exception."""


class OtherDevice(DeviceTrouble):
    """Another device answers at this address."""


class NotAllowed(Refusal):
    """An address that may not be read, or a register that may not be written."""
