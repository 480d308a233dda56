"""The client: one device at one address, read and written by roles. What it gives was answered just now, or it raises."""

from __future__ import annotations

import ipaddress
import logging
import time
from collections.abc import Callable, Iterable
from dataclasses import dataclass, field
from threading import RLock
from typing import TypeVar

from pymodbus.client import ModbusTcpClient
from pymodbus.exceptions import ModbusException
from pymodbus.pdu import ModbusPDU

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say
from modest_rotor.fieldbus.codec import value_of, words_of
from modest_rotor.fieldbus.errors import DeviceRefused, NoAnswer, NotAllowed, OtherDevice
from modest_rotor.fieldbus.profile import DeviceProfile, Register, Role

TIMEOUT_S = 1.0
LONGEST_BLOCK = 100
EXCEPTIONS = {
    1: say("client-exceptions-does-know"),
    2: say("client-exceptions-such-register"),
    3: say("client-exceptions-does-take"),
    4: say("client-exceptions-failed-inside"),
    5: say("client-exceptions-still-work"),
    6: say("client-exceptions-busy"),
    11: say("client-exceptions-device-answers"),
}
Answer = TypeVar("Answer")
MAY_BE_READ = tuple(
    ipaddress.ip_network(one)
    for one in ("127.0.0.0/8", "10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "::1/128", "fc00::/7")
)
"""This machine and private networks. Source: RFC 1918, RFC 4193."""
OWN_PORTS: set[int] = set()
"""Ports of this application on this machine, told by whoever starts it."""

logging.getLogger("pymodbus").setLevel(logging.CRITICAL)  # every trouble is told here, in words, once


@dataclass(frozen=True)
class Address:
    """Where a device answers: an address as figures, a port, and the number of the device behind it."""

    host: str
    port: int
    unit: int = 1

    @property
    def is_loopback(self) -> bool:
        """Whether it lies on this machine."""
        return ipaddress.ip_address(self.host).is_loopback

    def __str__(self) -> str:
        return say("client-str", host=self.host, port=self.port, unit=self.unit)


def address_of(host: str, port: int, unit: int = 1) -> Address:
    """An address that may be read: loopback, or a private one as a person typed it.

    :raises NotAllowed: a name, a public address, or no address at all.
    """
    try:
        ip = ipaddress.ip_address(host.strip())
    except ValueError as error:
        raise NotAllowed(say("client-address-of-address-figures", host=host[:60])) from error
    ip = getattr(ip, "ipv4_mapped", None) or ip  # a public address in another dress stays public
    if not any(ip in network for network in MAY_BE_READ):
        raise NotAllowed(say("client-address-of-machine-nor", ip=ip))
    if ip.is_loopback and port in OWN_PORTS:
        raise NotAllowed(say("client-address-of-application-s"))
    if not 1 <= port <= 65535 or not 0 <= unit <= 247:
        raise NotAllowed(say("client-address-of-port-lies"))
    return Address(str(ip), port, unit)


@dataclass(frozen=True)
class Values:
    """What a device said just now, in SI; and what it said that its profile does not believe, with the sentence why."""

    values: dict[Role, float]
    refused: dict[Role, str] = field(default_factory=dict)


class DeviceLink:
    """One device. It connects when it is asked, checks who answers, and forgets the connection after any trouble."""

    def __init__(self, profile: DeviceProfile, address: Address, timeout_s: float = TIMEOUT_S) -> None:
        self.profile, self.address = profile, address
        self._client = ModbusTcpClient(address.host, port=address.port, timeout=timeout_s, retries=0)
        self._known = self._ever_known = False
        self._lock = RLock()
        self._timeout_s = timeout_s

    def read(self, roles: Iterable[Role] | None = None) -> Values:
        """The values of some roles, or of all.

        :raises DeviceTrouble: no whole answer, an exception, or another device; nothing is given then.
        """
        wanted = None if roles is None else set(roles)
        registers = [one for one in self.profile.registers if wanted is None or one.role in wanted]
        with self._lock:
            words = self._try_again_once(lambda: self._read_words(registers))
        values: dict[Role, float] = {}
        refused: dict[Role, str] = {}
        for register in registers:
            try:
                values[register.role] = value_of(self.profile, register, words[register.role])
            except OutsideValidity as refusal:
                refused[register.role] = refusal.sentence
        return Values(values, refused)

    def write(self, role: Role, value_si: float) -> float:
        """Write a value and read it back; gives what the device then holds.

        A write is never sent twice: where its answer is lost, nobody knows whether it arrived, and that is said.

        :raises NotAllowed: the profile does not let it be written. :raises OutsideValidity: a value outside its limits.
        :raises DeviceTrouble: as :meth:`read`.
        """
        register = self.profile.register(role)
        if register is None or register.access != "write":
            raise NotAllowed(say("client-write-nothing-write", profile=self.profile.name, role=role))
        words = words_of(self.profile, register, value_si)
        with self._lock:
            self._try_again_once(self._connected)
            try:
                self._asked(lambda: self._client.write_registers(register.address, words, device_id=self.address.unit))
            except NoAnswer as trouble:
                raise NoAnswer(say("client-write-whether-written", trouble=trouble.sentence, role=role)) from trouble
            back = self._try_again_once(lambda: self._read_words([register]))
        return value_of(self.profile, register, back[role])

    def close(self) -> None:
        """Let the connection go."""
        with self._lock:
            self._client.close()  # type: ignore[no-untyped-call]
            self._known = False

    def _try_again_once(self, work: Callable[[], Answer]) -> Answer:
        """A connection that the device let go of while nobody asked is made anew, once."""
        was_open = self._client.connected
        try:
            return work()
        except NoAnswer:
            if not was_open:
                raise
            return work()

    def _connected(self) -> None:
        if self._client.connected and self._known:
            return
        self._known = False
        begun = time.monotonic()
        try:
            if not self._client.connected and not self._client.connect():  # type: ignore[no-untyped-call]
                raise NoAnswer(say("client-connected-nothing-answers", address=self.address))
            self._check_identity()
        except (NoAnswer, DeviceRefused) as trouble:
            # Whether a door is shut, or open to something else, is nobody's business until a device has shown itself.
            if self._ever_known:
                raise
            time.sleep(max(0.0, self._timeout_s - (time.monotonic() - begun)))
            raise NoAnswer(
                say("client-connected-nothing-answers-does", address=self.address, profile=self.profile.name)
            ) from trouble

    def _check_identity(self) -> None:
        register = self.profile.register(Role.IDENTITY)
        assert register is not None
        said = value_of(self.profile, register, self._words(register.kind, register.address, register.words))
        if said != self.profile.identity:
            self.close()
            raise OtherDevice(
                say(
                    "client-check-identity",
                    address=self.address,
                    said=Number(said, ".0f"),
                    profile=self.profile.name,
                    identity=self.profile.identity,
                )
            )
        self._known = self._ever_known = True

    def _read_words(self, registers: list[Register]) -> dict[Role, list[int]]:
        self._connected()
        found: dict[Role, list[int]] = {}
        for block in _blocks(registers):
            first, last = block[0], block[-1]
            words = self._words(first.kind, first.address, last.address + last.words - first.address)
            for one in block:
                start = one.address - first.address
                found[one.role] = words[start : start + one.words]
        return found

    def _words(self, kind: str, address: int, count: int) -> list[int]:
        ask = self._client.read_holding_registers if kind == "holding" else self._client.read_input_registers
        answer = self._asked(lambda: ask(address, count=count, device_id=self.address.unit))
        if len(answer.registers) != count:
            self.close()
            raise NoAnswer(say("client-words", address=self.address, registers=len(answer.registers), count=count))
        return list(answer.registers)

    def _asked(self, ask: Callable[[], ModbusPDU]) -> ModbusPDU:
        try:
            answer = ask()
        except (ModbusException, OSError) as error:
            self.close()  # what is left on the wire must not be taken for the next answer
            raise NoAnswer(
                say("client-asked-gave-whole", address=self.address, timeout_s=Number(self._timeout_s, "g"))
            ) from error
        if answer.isError():
            code = int(getattr(answer, "exception_code", 0))
            raise DeviceRefused(
                say(
                    "client-asked-refuses",
                    address=self.address,
                    get=EXCEPTIONS.get(code, say("client-asked-exception", code_=code)),
                )
            )
        return answer


def _blocks(registers: list[Register]) -> list[list[Register]]:
    """Registers that follow each other, to be asked for in one go; gaps may hold addresses that do not exist."""
    blocks: list[list[Register]] = []
    for one in sorted(registers, key=lambda register: (register.kind, register.address)):
        last = blocks[-1][-1] if blocks else None
        follows = last and last.kind == one.kind and last.address + last.words == one.address
        if follows and one.address + one.words - blocks[-1][0].address <= LONGEST_BLOCK:
            blocks[-1].append(one)
        else:
            blocks.append([one])
    return blocks
