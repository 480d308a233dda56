"""The Bench's rig over a WebSocket: told what to turn, it answers at once, and sends what its meters show thirty times a second."""

from __future__ import annotations

import asyncio
import logging
from collections.abc import Coroutine
from contextlib import suppress
from typing import Annotated, Literal

from fastapi import APIRouter, WebSocket, WebSocketDisconnect
from pydantic import Field, TypeAdapter, ValidationError

from modest_rotor.api.bench import RigName, RigView, stand_of, view_of
from modest_rotor.core.bench.knobs import Turned
from modest_rotor.core.bench.outlook import Outlook, outlook
from modest_rotor.core.bench.stand import Stand
from modest_rotor.core.bench.why import Meter
from modest_rotor.core.errors import ChangeRefused, ModestRotorError
from modest_rotor.core.phrase import WithWords
from modest_rotor.core.say import say
from modest_rotor.core.unfit import reason_of
from modest_rotor.devices.bench_rig import PANEL, BenchRig
from modest_rotor.store.database import with_connection

log = logging.getLogger(__name__)
router = APIRouter(prefix="/api/bench", tags=["bench"])
FRAMES_A_SECOND = 30
MOST_RIGS = 8
"""Rigs that run at once; each takes about a tenth of a core."""
LARGEST_MESSAGE = 20_000
DIGITS = 5
TOO_BIG, FAILED = 1009, 1011
REFUSED_PLACES = 2


class PutUp(WithWords):
    """Put a rig up."""

    do: Literal["put up"]
    rig: RigName
    controls: Turned = Turned()


class Turn(WithWords):
    """Turn its controls; ``number`` comes back with the first frame that shows it."""

    do: Literal["turn"]
    controls: Turned
    number: int = Field(default=0, ge=0)


class Switch(WithWords):
    """Switch it on or off."""

    do: Literal["switch"]
    on: bool


class Pace(WithWords):
    """Let its time run faster."""

    do: Literal["pace"]
    pace: Literal[1, 10, 60]


Told = Annotated[PutUp | Turn | Switch | Pace, Field(discriminator="do")]
_told: TypeAdapter[PutUp | Turn | Switch | Pace] = TypeAdapter(Told)


class FrameView(WithWords):
    """What the meters show at an instant, in SI and rpm; ``number`` is that of the last turn that is in it."""

    kind: Literal["frame"] = "frame"
    at_s: float
    on: bool
    pace: int
    number: int
    hertz: float
    values: dict[Meter, float]


class StandingView(WithWords):
    """A rig was put up."""

    kind: Literal["standing"] = "standing"
    rig: RigView
    controls: Turned


class OutlookView(WithWords):
    """Where it goes with its controls as they are turned."""

    kind: Literal["outlook"] = "outlook"
    number: int
    outlook: Outlook


class RefusedView(WithWords):
    """What was told cannot be done; the rig goes on as it was."""

    kind: Literal["refused"] = "refused"
    sentence: str


class LiveViews(WithWords):
    """Everything that comes over the wire; kept together so that the page's types are generated from it."""

    told: Told | None = None
    sent: FrameView | StandingView | OutlookView | RefusedView | None = None


@router.get("/live-views")
def live_views() -> LiveViews:
    """The shapes of what goes over the rig's WebSocket, ``/api/bench/rig``; empty, for its description alone."""
    return LiveViews()


class Session:
    """One page at its rig."""

    def __init__(self, socket: WebSocket) -> None:
        self.socket = socket
        self.rig: BenchRig | None = None
        self.turned = Turned()
        self.number = 0
        self._wanted = asyncio.Event()

    async def run(self) -> None:
        """Until the page goes away."""
        sending = [asyncio.create_task(self._or_close(loop())) for loop in (self._send_frames, self._send_outlooks)]
        try:
            while True:
                text = await self._heard()
                if text is None:
                    await self._send(RefusedView(sentence=say("bench-live-module-only-text")))
                    continue
                if len(text) > LARGEST_MESSAGE:
                    await self.socket.close(TOO_BIG)
                    return
                await self._take(text)
        finally:
            if self.rig is not None:
                PANEL.take_down(self.rig)
            PANEL.give_back(id(self))
            for task in sending:
                task.cancel()
            await asyncio.gather(*sending, return_exceptions=True)

    async def _heard(self) -> str | None:
        """The next text; nothing where bytes came in its place. :raises WebSocketDisconnect: the page went away."""
        message = await self.socket.receive()
        if message["type"] == "websocket.disconnect":
            raise WebSocketDisconnect(message.get("code", 1000))
        text = message.get("text")
        return text if isinstance(text, str) else None

    async def _or_close(self, sending: Coroutine[None, None, None]) -> None:
        """Where sending fails the page is let go: it comes back by itself, rather than stand before still meters."""
        try:
            await sending
        except WebSocketDisconnect:  # it went away by itself
            return
        except Exception:
            log.exception("a rig of the Bench failed")
            await self.socket.close(FAILED)

    async def _take(self, text: str) -> None:
        try:
            await self._do(_told.validate_json(text))
        except ValidationError as error:
            first = error.errors()[0]
            place = "/".join(str(step) for step in first["loc"][REFUSED_PLACES:]) or say("bench-live-module-what-told")
            await self._send(
                RefusedView(sentence=say("bench-live-module-rig-goes", place=place, first=reason_of(first)))
            )
        except ModestRotorError as error:
            await self._send(RefusedView(sentence=say("bench-live-module-rig-goes-2", error=error)))

    async def _do(self, told: PutUp | Turn | Switch | Pace) -> None:
        if isinstance(told, PutUp):
            await self._put_up(told)
        elif self.rig is None:
            await self._send(RefusedView(sentence=say("bench-live-module-rig-stands")))
        elif isinstance(told, Turn):
            await asyncio.to_thread(self.rig.turn, told.controls.controls)
            self.turned, self.number = told.controls, told.number
            await self._send_frame()
            self._wanted.set()
        elif isinstance(told, Switch):
            self.rig.switch(told.on)
            await self._send_frame()
        else:
            self.rig.pace = told.pace

    async def _put_up(self, told: PutUp) -> None:
        if not PANEL.claim(id(self), MOST_RIGS):
            raise ChangeRefused(say("bench-live-module-rigs-run", most_rigs=MOST_RIGS))
        stand, view = await asyncio.to_thread(_stand_and_view, told)
        rig = await asyncio.to_thread(BenchRig, stand, told.controls.controls)
        if self.rig is not None:
            PANEL.take_down(self.rig)
            rig.pace = self.rig.pace
        self.rig, self.turned, self.number = rig, told.controls, 0
        PANEL.put_up(rig)
        await self._send(StandingView(rig=view, controls=told.controls))
        self._wanted.set()

    async def _send_frames(self) -> None:
        loop = asyncio.get_running_loop()
        due = loop.time()
        while True:
            due = max(due + 1 / FRAMES_A_SECOND, loop.time())
            await asyncio.sleep(due - loop.time())
            if self.rig is not None:
                await self._send_frame()

    async def _send_frame(self) -> None:
        assert self.rig is not None
        number = self.number
        frame = await asyncio.to_thread(self.rig.frame)
        seen = frame.meters
        values = {
            Meter.SPEED: seen.speed_rpm,
            Meter.SLIP: seen.slip,
            Meter.TORQUE: seen.torque_nm,
            Meter.WATTS: seen.input_w,
            Meter.AMPS: seen.current_a,
            Meter.POWER_FACTOR: seen.power_factor,
            Meter.FLOW: seen.flow,
            Meter.PRESSURE: seen.pressure_pa,
            Meter.SENSOR: seen.felt_pa,
            Meter.CAPACITOR_VOLTS: seen.capacitor_v,
            Meter.START_AMPS: seen.start_current_a,
            Meter.WINDING: seen.winding_c,
        }
        await self._send(
            FrameView(
                at_s=round(frame.at_s, 3),
                on=frame.on,
                pace=self.rig.pace,
                number=number,
                hertz=round(seen.output_hz, 2),
                values={meter: float(f"{value:.{DIGITS}g}") for meter, value in values.items()},
            )
        )

    async def _send_outlooks(self) -> None:
        """Where the rig goes, after every turn; of many turns in a row only the newest."""
        while True:
            await self._wanted.wait()
            self._wanted.clear()
            rig, number, turned = self.rig, self.number, self.turned
            if rig is None:
                continue
            try:
                goes = await asyncio.to_thread(outlook, rig.stand, turned.controls)
            except ModestRotorError as error:
                await self._send(RefusedView(sentence=say("bench-live-module-rig-goes-2", error=error)))
            else:
                await self._send(OutlookView(number=number, outlook=goes))

    async def _send(self, view: FrameView | StandingView | OutlookView | RefusedView) -> None:
        with suppress(RuntimeError):  # the page went away between two frames
            await self.socket.send_text(view.model_dump_json())


@with_connection
def _stand_and_view(told: PutUp) -> tuple[Stand, RigView]:
    stand = stand_of(told.rig)
    return stand, view_of(stand)


@router.websocket("/rig")
async def rig(socket: WebSocket) -> None:
    """A rig of one's own, for as long as the page stands."""
    await socket.accept()
    with suppress(WebSocketDisconnect):
        await Session(socket).run()
