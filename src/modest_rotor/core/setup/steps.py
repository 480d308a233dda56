"""The step list in the order of the hands: caution first, the value worked out, what was found, who signed and when."""

from __future__ import annotations

from pydantic import Field

from modest_rotor.core.phrase import Frozen, Phrase, as_typed, figure
from modest_rotor.core.setup.drive_settings import DriveAnswer
from modest_rotor.core.setup.facts import SetupFacts
from modest_rotor.core.setup.volts import LinkAnswer
from modest_rotor.core.stations.charts import amps_chart, readable
from modest_rotor.core.stations.setup import Sign, SignState
from modest_rotor.core.tables import Row, read_table


class SetupStep(Frozen):
    """One step: what to beware of, what to do, its value, and how it was signed."""

    step: str
    group: str
    number: int
    caution: str
    do: str
    find: str
    value: Phrase = ()
    fields: tuple[str, ...] = ()
    stop: Phrase = ()
    waits: str | None = None
    signed: Sign | None = None
    earlier: tuple[Sign, ...] = ()
    is_open: bool = Field(default=True, description="whether it still waits for a hand, or is stopped")
    stopped: bool = Field(default=False, description="whether a stop stands on it")


def setup_steps(facts: SetupFacts, link: LinkAnswer, drive: DriveAnswer | None) -> tuple[SetupStep, ...]:
    """The steps that this option on this machine asks for."""
    rows = [row for row in read_table("setup_steps") if applies(row, facts.features)]
    signs = facts.job.document.setup.signs
    steps = []
    for number, row in enumerate(rows, 1):
        own = tuple(sign for sign in signs if sign.step == row["step"])
        stop, waits = _stop(row["step"], facts, link)
        stopped = bool(stop) or (bool(own) and own[-1].state is SignState.STOP)
        steps.append(
            SetupStep(
                step=row["step"],
                group=row["group"],
                number=number,
                caution=row["caution"],
                do=row["do"],
                find=row["find"] or "",
                value=_value(row["step"], facts, drive),
                fields=FIELDS.get(row["step"], ()),
                stop=stop,
                waits=waits,
                signed=own[-1] if own else None,
                earlier=own[:-1],
                is_open=stopped or not own,
                stopped=stopped,
            )
        )
    return tuple(steps)


def applies(row: Row, features: frozenset[str]) -> bool:
    """Whether a row of the table is for a machine of these features."""
    return all(
        (part[1:] not in features) if part.startswith("!") else (part in features) for part in row["for"].split("+")
    )


FIELDS = {
    "link": ("setup/first_volts", "setup/link", "setup/second_volts"),
    "rotation_drive": ("setup/rotation_output", "setup/rotation_bypass"),
}


def _stop(step: str, facts: SetupFacts, link: LinkAnswer) -> tuple[Phrase, str | None]:
    setup = facts.job.document.setup
    if step == "link":
        return link.stop, link.waits
    if step == "rotation_drive":
        if "wrong" in (setup.rotation_output, setup.rotation_bypass):
            where = "drive's output" if setup.rotation_output == "wrong" else "bypass"
            return (
                f"It turns the wrong way from the {where}: isolate, change two of its three leads there, prove it again.",
            ), None
        if setup.rotation_output is None:
            return (), "waits for what was seen"
    return (), None


def _value(step: str, facts: SetupFacts, drive: DriveAnswer | None) -> Phrase:
    """The value that belongs to a step, where it has one."""
    document = facts.job.document
    product = facts.considered.product
    if step == "capacitor_new" and product and product.run_capacitance:
        return (as_typed("capacitance", product.run_capacitance, "plate"), " by its data sheet")
    if step == "capacitor_new" and document.plate.run_capacitance:
        return (as_typed("capacitance", document.plate.run_capacitance, "plate"), " by the plate")
    if step == "discharge_link":
        return (
            "about ",
            figure("link_voltage", 2**0.5 * facts.machine.volts.value, "estimated"),
            " at the lines read here",
        )
    if step == "overload" and drive is not None:
        return (drive.overload.figure, " on the drive, at most ", drive.overload_most.figure, " at an overload relay") if drive.overload.figure and drive.overload_most.figure else ()  # fmt: skip
    link = product.link(facts.machine.volts.value) if product else None
    if step == "overload" and link and link.amps_a:
        return ("for ", figure("rated_current", link.amps_a, "plate"), ", the new plate on the link for ", figure("rated_voltage", link.volts_v, "plate"))  # fmt: skip
    if step in ("seal", "lock"):
        return _aim(facts)
    if step == "heat" and document.target.rise:
        return ("rise allowed ", as_typed("temperature_difference", document.target.rise, "plate"))
    return ()


def _aim(facts: SetupFacts) -> Phrase:
    """The amps to reach at the volts measured, off the chart, and which way the plate goes."""
    document = facts.job.document
    chart, volts = readable(amps_chart, document.charts), document.setup.first_volts
    flow = document.target.airflow
    if chart is None or volts is None or flow is None or "electronic" in facts.features:
        return ()
    try:
        amps = chart.amps(volts.si, flow.si)
    except ValueError:
        return ()
    return (
        "aim at ",
        figure("current", amps, "estimated"),
        " at ",
        as_typed("voltage", volts, "measured"),
        ": opening the plate raises amps on a blower",
    )
