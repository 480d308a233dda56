"""Supply, command, protection: may it be connected?"""

from __future__ import annotations

from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.checks.place import FitCheck, Fits, Place, check
from modest_rotor.core.options.traits import Belongs, SetBy
from modest_rotor.core.phrase import figure
from modest_rotor.core.physics.fan import Wheel
from modest_rotor.core.stations.product import CommandKind, ProductType
from modest_rotor.core.stations.setup import ControlMode

VOLTS_TOLERANCE = 0.10
"""Share of rated volts within which a motor must work: NEMA MG 1, 12.44 (from memory)."""
HERTZ_TOLERANCE = 0.05
LONG_CABLE_M = 15.0
"""Cable between drive and motor from which reflected waves want a filter. Common practice, no source."""
SHAFT_CURRENT_W = 370.0
"""Rated power from which drives' shaft currents are looked at in small motors. Common practice, no source."""
AMPS_TOLERANCE = 0.05
LETTERS = "ABCDEFGHJKLMNPRSTUV"


def machine(place: Place) -> FitCheck | None:
    """Whether the kind belongs to this kind of machine and motor at all."""
    pump, motor, belongs = place.found.wheel is Wheel.PUMP, place.found.plate.kind, place.traits.belongs
    if belongs is Belongs.PUMPS and not pump:
        return check("machine", Fits.CANNOT, "It is for pumps; this is a fan.")
    if belongs is Belongs.FANS and pump:
        return check("machine", Fits.CANNOT, "It is for fans; this is a pump.")
    if belongs is Belongs.CAPACITOR_MOTORS and motor not in (MotorKind.SPLIT_CAPACITOR, MotorKind.SINGLE_PHASE):
        return check("machine", Fits.CANNOT, "It is for a motor with a run capacitor, which this one has not.")
    return None


def product(place: Place) -> FitCheck | None:
    """Whether the product is of the kind that it is considered for."""
    if place.product is None or place.traits.suits(place.product):
        return None
    return check("product", Fits.CANNOT, f"{place.product.name} is none: it cannot stand for this kind.")


def volts(place: Place) -> FitCheck | None:
    """Volts measured against the product's links."""
    product, measured = place.product, place.least_volts_v
    if product is None or not product.volts:
        return None
    if measured is None:
        return check("volts", Fits.UNKNOWN, f"Measure the volts here; {product.name} is for {_ranges(product.volts)}.")
    suits = [one for one in product.volts if _within(measured, one)]
    if not suits:
        return check(
            "volts",
            Fits.CANNOT,
            "Measured ",
            figure("voltage", measured, "measured"),
            f"; it is for {_ranges(product.volts)}.",
        )
    if len(product.volts) > 1:
        return check(
            "volts", Fits.WORK, "Set its voltage selector for ", figure("voltage", suits[0][1], "plate"), ": ",
            figure("voltage", measured, "measured"), " was measured. Check it twice.",
        )  # fmt: skip
    return check(
        "volts", Fits.YES, figure("voltage", measured, "measured"), f" measured, made for {_ranges(product.volts)}."
    )


def phases(place: Place) -> FitCheck | None:
    """Phases here against the product's."""
    product = place.product
    here = place.fitting.phases or place.plate.phases
    if product is None or product.phases is None:
        return None
    if here is None:
        return check("phases", Fits.UNKNOWN, "Count the phases at the isolator.", path="options/fitting/phases")
    if product.phases == here:
        return check("phases", Fits.YES, f"{here}-phase, as here.")
    if product.type is ProductType.DRIVE and here == 1:
        return check("phases", Fits.WORK, "A three-phase drive fed with one phase: see its derating.")
    return check(
        "phases", Fits.CANNOT, f"It is {product.phases}-phase; here there {'are' if here == 3 else 'is'} {here}."
    )


def hertz(place: Place) -> FitCheck | None:
    """Hertz of the product against those here; a drive makes its own."""
    product, here = place.product, place.found.plate.frequency_hz
    if product is None or product.frequency is None or here is None or place.traits.electronics:
        return None
    if abs(product.frequency.si / here - 1) <= HERTZ_TOLERANCE:
        return check("hertz", Fits.YES, f"{here:g} Hz, as here.")
    return check("hertz", Fits.CANNOT, f"It is made for {product.frequency.si:g} Hz; here there are {here:g}.")


def permanent_supply(place: Place) -> FitCheck | None:
    """Electronic motors keep their supply; it is never switched to control them."""
    if not place.traits.electronic or place.traits.line_switched:
        return None
    there = place.fitting.permanent_supply
    if there is None:
        return check("permanent_supply", Fits.UNKNOWN, "Is there line voltage that nothing switches?", path="options/fitting/permanent_supply")  # fmt: skip
    if there == "yes":
        return check("permanent_supply", Fits.YES, "A permanent supply is there.")
    return check(
        "permanent_supply",
        Fits.WORK,
        "A permanent supply has to be brought: switching the line wears the electronics out.",
    )


def command(place: Place) -> FitCheck | None:
    """A command that the option understands."""
    wanted = place.traits.commands(place.product)
    if wanted is None:
        return None
    there, words = place.fitting.command, " or ".join(str(one) for one in wanted)
    if there is None:
        return check(
            "command",
            Fits.UNKNOWN,
            f"It is told by {words}: what commands the machine now?",
            path="options/fitting/command",
        )
    if there in wanted:
        return check("command", Fits.YES, f"Told by {there}, as here.")
    if place.traits.is_set_by_dial(place.product, there):
        return check("command", Fits.YES, "Set once by its dial.")
    return check(
        "command", Fits.WORK, f"It is told by {words}; here there is {there}. A relay or controller goes between."
    )


def line_on_tap(place: Place) -> FitCheck | None:
    """Line volts switched to speed leads today, low-voltage taps tomorrow."""
    if place.traits.set_by is not SetBy.TORQUE_TAPS or place.fitting.command is not CommandKind.SWITCHED_LINE:
        return None
    if place.product is not None and place.product.command is CommandKind.SWITCHED_LINE:
        return None
    if place.fitting.permanent_supply == "yes":
        return check("line_on_tap", Fits.WORK, "The speed leads of today carry line volts: cap them, never land one on a tap. A relay makes the call.")  # fmt: skip
    return check("line_on_tap", Fits.CANNOT, "The only command here is switched line volts, and its taps take 24 V: bring a permanent supply and a low-voltage command first.")  # fmt: skip


def start_switch(place: Place) -> FitCheck | None:
    """A start switch on a drive or a regulator."""
    if not place.traits.slows:
        return None
    has = place.fitting.start_switch == "yes" or place.found.plate.kind is MotorKind.SINGLE_PHASE
    if has or place.plate.start_capacitance is not None:
        return check(
            "start_switch",
            Fits.CANNOT,
            "A motor with a start switch or start capacitor is never slowed by volts or hertz.",
        )
    if place.fitting.start_switch is None:
        return check(
            "start_switch", Fits.UNKNOWN, "Listen for a click as it runs up.", path="options/fitting/start_switch"
        )
    return check("start_switch", Fits.YES, "No start switch.")


def both_makers(place: Place) -> FitCheck | None:
    """A single-phase motor on a drive needs both makers."""
    if not place.traits.both_makers:
        return None
    agree = (place.fitting.motor_maker_agrees, place.fitting.drive_maker_agrees)
    if agree == ("yes", "yes"):
        return check(
            "both_makers", Fits.YES, "Both approvals are recorded: ", place.fitting.approvals or "keep the papers", "."
        )
    missing = [name for name, said in zip(("motor's", "drive's"), agree, strict=True) if said != "yes"]
    path = "options/fitting/motor_maker_agrees" if agree[0] != "yes" else "options/fitting/drive_maker_agrees"
    return check(
        "both_makers", Fits.CANNOT, f"Approval of the {' and the '.join(missing)} maker is not on record.", path=path
    )


def single_phase_drive(place: Place) -> FitCheck | None:
    """A three-phase drive fed with one phase gives about half its rating."""
    product, here = place.product, place.fitting.phases or place.plate.phases
    if place.traits.set_by is not SetBy.DRIVE or here != 1 or product is None or product.type is not ProductType.DRIVE:
        return None
    if product.phases == 1:
        return check("single_phase_drive", Fits.YES, "The drive is made for a single-phase supply.")
    if product.single_phase_input == "no":
        return check("single_phase_drive", Fits.CANNOT, "Its maker does not allow one phase.")
    shaft = [step.shaft_power.value for step in place.steps if step.shaft_power]
    if product.rated_power is None or not shaft:
        return check("single_phase_drive", Fits.UNKNOWN, "Waits for the drive's rating.")
    allowed = product.rated_power.si / 2
    if max(shaft) > allowed:
        return check("single_phase_drive", Fits.CANNOT, "On one phase it gives about ", figure("shaft_power", allowed), ", the duty asks for ", figure("shaft_power", max(shaft)), ".")  # fmt: skip
    return check("single_phase_drive", Fits.WORK, "On one phase it gives about half its rating, ", figure("shaft_power", allowed), ": enough here, if its maker agrees.")  # fmt: skip


def drive_control(place: Place) -> FitCheck | None:
    """A motor that turns with the poles of its rotor needs a drive that knows them, and never sees the line itself."""
    if place.traits.control is not ControlMode.RELUCTANCE:
        return None
    return check(
        "drive_control",
        Fits.WORK,
        "Take a drive that is made for reluctance motors, and no bypass round it: on the line this motor does not start.",
    )


def drive_insulation(place: Place) -> FitCheck | None:
    """The motor of today on a drive's steep waves."""
    if not place.traits.on_drive:
        return None
    product = place.product
    if place.brings_motor and product is not None and product.drive_ready == "yes":
        return check("drive_insulation", Fits.YES, "Its insulation is made for a drive.")
    if place.new_on_drive and product is None:
        return check("drive_insulation", Fits.WORK, "Take a motor whose insulation is made for a drive.")
    return check(
        "drive_insulation", Fits.WORK, "Ask the motor's maker; above 440 V fit a filter unless it is made for a drive."
    )


def cable(place: Place) -> FitCheck | None:
    """Long leads between drive and motor."""
    if not place.traits.on_drive:
        return None
    length = place.fitting.lead_length
    if length is None:
        return check(
            "cable", Fits.UNKNOWN, "How long are the leads from drive to motor?", path="options/fitting/lead_length"
        )
    said = figure("cable_length", length.si, "measured")
    if length.si > LONG_CABLE_M:
        return check("cable", Fits.WORK, said, ": fit an output filter, or the length that the drive's maker allows.")
    return check("cable", Fits.YES, said, ", short enough.")


def earth_leakage(place: Place) -> FitCheck | None:
    """Rectifiers leak smooth current that a type AC device does not see."""
    if not place.traits.electronics:
        return None
    device = place.fitting.earth_leakage
    if device is None:
        return check(
            "earth_leakage", Fits.UNKNOWN, "Read the device's type off its front.", path="options/fitting/earth_leakage"
        )
    three = (place.fitting.phases or place.plate.phases) == 3
    enough = ("none", "B") if three else ("none", "A", "F", "B")
    if device in enough:
        return check("earth_leakage", Fits.YES, "No such device." if device == "none" else f"Type {device} suits it.")
    return check("earth_leakage", Fits.WORK, f"Type {device} may stay blind: a three-phase rectifier needs type B, a single-phase one type A or F.")  # fmt: skip


def several_motors(place: Place) -> FitCheck | None:
    """One controller for several motors."""
    if not place.traits.on_drive or place.fitting.several != "yes":
        return None
    return check(
        "several_motors", Fits.WORK, "A drive does not see one motor among several: each gets an overload of its own."
    )


def shaft_currents(place: Place) -> FitCheck | None:
    """Common-mode volts of a drive find their way through bearings."""
    power = place.rated_power_w
    if place.traits.set_by is not SetBy.DRIVE or power is None or power < SHAFT_CURRENT_W:
        return None
    return check(
        "shaft_currents",
        Fits.WORK,
        "Ground the shaft, or take an insulated bearing; bond motor and drive short and wide.",
    )


def harmonics(place: Place) -> FitCheck | None:
    """Triple harmonics of single-phase rectifiers add up in the neutral."""
    single = (place.fitting.phases or place.plate.phases or 1) == 1
    if not place.traits.electronics or not single:
        return None
    if place.fitting.several == "yes":
        return check(
            "harmonics",
            Fits.WORK,
            "Several on one feed: their third harmonics add in the neutral; size it for more than a phase.",
        )
    return check("harmonics", Fits.YES, "One machine; more volt-amperes than watts, see its amps.")


def code_letter(place: Place) -> FitCheck | None:
    """A higher starting current than the controller was chosen for."""
    product, old = place.product, place.fitting.code_letter or place.plate.code_letter
    if product is None or not product.code_letter or not old:
        return None
    new, old = product.code_letter.strip().upper(), old.strip().upper()
    if new not in LETTERS or old not in LETTERS or not new or not old:
        return check("code_letter", Fits.UNKNOWN, "A code letter that the standard does not have.")
    if LETTERS.index(new) <= LETTERS.index(old):
        return check("code_letter", Fits.YES, f"Letter {new}; the controller was chosen for {old}.")
    return check(
        "code_letter", Fits.WORK, f"Letter {new} draws more at start than {old}: the controller is chosen anew."
    )


def protection(place: Place) -> FitCheck | None:
    """Overload and branch protection follow the new plate."""
    if not (place.brings_motor or place.traits.whole_machine or place.traits.on_drive):
        return None
    product, old = place.product, place.plate.wired_current
    link = product.link(place.least_volts_v) if product else None
    new = link.amps_a if link else None
    if new is None or old is None:
        return check(
            "protection", Fits.WORK, "Overload, fuse and breaker are chosen for the new plate, by those licensed to."
        )
    if abs(new / old.si - 1) <= AMPS_TOLERANCE:
        return check("protection", Fits.YES, figure("rated_current", new, "plate"), " against ", figure("rated_current", old.si, "plate"), ": near enough to check, not to change.")  # fmt: skip
    return check("protection", Fits.WORK, figure("rated_current", new, "plate"), " in place of ", figure("rated_current", old.si, "plate"), ": overload, fuse and breaker are chosen anew, by those licensed to.")  # fmt: skip


def capacitor(place: Place) -> FitCheck | None:
    """What becomes of the run capacitor."""
    if place.plate.run_capacitance is None or not place.brings_motor:
        return None
    shared = " Its compressor's section stays." if place.plate.shared_capacitor == "yes" else ""
    if place.traits.electronics:
        return check("capacitor", Fits.WORK, f"Discharged, proved and taken out of the motor's circuit.{shared}")
    product = place.product
    if product is None or product.run_capacitance is None:
        return check("capacitor", Fits.WORK, f"A new one with the new motor, of the µF on its plate.{shared}")
    same = abs(product.run_capacitance.si / place.plate.run_capacitance.si - 1) < AMPS_TOLERANCE
    words = "the same µF, a new one all the same" if same else "other µF: the old one does not fit it"
    return check("capacitor", Fits.YES if same else Fits.WORK, figure("capacitance", product.run_capacitance.si, "plate"), f", {words}.{shared}")  # fmt: skip


def _within(volts_: float, bounds: tuple[float, float]) -> bool:
    return bounds[0] * (1 - VOLTS_TOLERANCE) <= volts_ <= bounds[1] * (1 + VOLTS_TOLERANCE)


def _ranges(all_: tuple[tuple[float, float], ...]) -> str:
    return " or ".join(f"{low:g} V" if low == high else f"{low:g} to {high:g} V" for low, high in all_)
