"""Supply, command, protection: may it be connected?"""

from __future__ import annotations

from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.options.checks.place import FitCheck, Fits, Place, check
from modest_rotor.core.options.traits import Belongs, SetBy
from modest_rotor.core.phrase import figure
from modest_rotor.core.physics.fan import MachineType
from modest_rotor.core.say import Number, either, say, tell
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
    pump, motor, belongs = place.found.machine_type is MachineType.PUMP, place.found.plate.kind, place.traits.belongs
    if belongs is Belongs.PUMPS and not pump:
        return check("machine", Fits.CANNOT, tell("electrical-machine-pumps-fan"))
    if belongs is Belongs.FANS and pump:
        return check("machine", Fits.CANNOT, tell("electrical-machine-fans-pump"))
    if belongs is Belongs.CAPACITOR_MOTORS and motor not in (MotorKind.SPLIT_CAPACITOR, MotorKind.SINGLE_PHASE):
        return check("machine", Fits.CANNOT, tell("electrical-machine-motor-run"))
    return None


def product(place: Place) -> FitCheck | None:
    """Whether the product is of the kind that it is considered for."""
    if place.product is None or place.traits.suits(place.product):
        return None
    return check("product", Fits.CANNOT, tell("electrical-product", product=place.product.name))


def volts(place: Place) -> FitCheck | None:
    """Volts measured against the product's links."""
    product, measured = place.product, place.least_volts_v
    if product is None or not product.volts:
        return None
    if measured is None:
        return check(
            "volts",
            Fits.UNKNOWN,
            tell("electrical-volts-measure-volts", product=product.name, ranges=_ranges(product.volts)),
        )
    suits = [one for one in product.volts if _within(measured, one)]
    if not suits:
        return check(
            "volts",
            Fits.CANNOT,
            tell(
                "electrical-volts-measured",
                voltage=figure("voltage", measured, "measured"),
                ranges=_ranges(product.volts),
            ),
        )
    if len(product.volts) > 1:
        return check("volts", Fits.WORK, tell("electrical-volts-set-voltage", voltage=figure("voltage", suits[0][1], "plate"), voltage_2=figure("voltage", measured, "measured")))  # fmt: skip
    return check(
        "volts",
        Fits.YES,
        tell(
            "electrical-volts-measured-made",
            voltage=figure("voltage", measured, "measured"),
            ranges=_ranges(product.volts),
        ),
    )


def phases(place: Place) -> FitCheck | None:
    """Phases here against the product's."""
    product = place.product
    here = place.fitting.phases or place.plate.phases
    if product is None or product.phases is None:
        return None
    if here is None:
        return check("phases", Fits.UNKNOWN, tell("electrical-phases-count-phases"), path="options/fitting/phases")
    if product.phases == here:
        return check("phases", Fits.YES, tell("electrical-phases-phase-here", here=here))
    if product.type is ProductType.DRIVE and here == 1:
        return check("phases", Fits.WORK, tell("electrical-phases-three-phase"))
    return check(
        "phases",
        Fits.CANNOT,
        tell(
            "electrical-phases-phase-here-there",
            phases=product.phases,
            are=say("electrical-phases-are") if here == 3 else say("electrical-phases-is"),
            here=here,
        ),
    )


def hertz(place: Place) -> FitCheck | None:
    """Hertz of the product against those here; a drive makes its own."""
    product, here = place.product, place.found.plate.frequency_hz
    if product is None or product.frequency is None or here is None or place.traits.electronics:
        return None
    if abs(product.frequency.si / here - 1) <= HERTZ_TOLERANCE:
        return check("hertz", Fits.YES, tell("electrical-hertz-hz-here", here=Number(here, "g")))
    return check(
        "hertz",
        Fits.CANNOT,
        tell("electrical-hertz-made-hz", frequency=Number(product.frequency.si, "g"), here=Number(here, "g")),
    )


def permanent_supply(place: Place) -> FitCheck | None:
    """Electronic motors keep their supply; it is never switched to control them."""
    if not place.traits.electronic or place.traits.line_switched:
        return None
    there = place.fitting.permanent_supply
    if there is None:
        return check("permanent_supply", Fits.UNKNOWN, tell("electrical-permanent-supply-there-line"), path="options/fitting/permanent_supply")  # fmt: skip
    if there == "yes":
        return check("permanent_supply", Fits.YES, tell("electrical-permanent-supply-permanent-supply"))
    return check("permanent_supply", Fits.WORK, tell("electrical-permanent-supply-permanent-supply-brought"))


def command(place: Place) -> FitCheck | None:
    """A command that the option understands."""
    wanted = place.traits.commands(place.product)
    if wanted is None:
        return None
    there, words = place.fitting.command, either(str(one) for one in wanted)
    if there is None:
        return check(
            "command", Fits.UNKNOWN, tell("electrical-command-told-what", words=words), path="options/fitting/command"
        )
    if there in wanted:
        return check("command", Fits.YES, tell("electrical-command-told-here", there=there))
    if place.traits.is_set_by_dial(place.product, there):
        return check("command", Fits.YES, tell("electrical-command-set-once"))
    return check("command", Fits.WORK, tell("electrical-command-told-here-there", words=words, there=there))


def line_on_tap(place: Place) -> FitCheck | None:
    """Line volts switched to speed leads today, low-voltage taps tomorrow."""
    if place.traits.set_by is not SetBy.TORQUE_TAPS or place.fitting.command is not CommandKind.SWITCHED_LINE:
        return None
    if place.product is not None and place.product.command is CommandKind.SWITCHED_LINE:
        return None
    if place.fitting.permanent_supply == "yes":
        return check("line_on_tap", Fits.WORK, tell("electrical-line-on-tap-speed-leads"))  # fmt: skip
    return check("line_on_tap", Fits.CANNOT, tell("electrical-line-on-tap-only-command"))  # fmt: skip


def start_switch(place: Place) -> FitCheck | None:
    """A start switch on a drive or a regulator."""
    if not place.traits.slows:
        return None
    has = place.fitting.start_switch == "yes" or place.found.plate.kind is MotorKind.SINGLE_PHASE
    if has or place.plate.start_capacitance is not None:
        return check("start_switch", Fits.CANNOT, tell("electrical-start-switch-motor-start"))
    if place.fitting.start_switch is None:
        return check(
            "start_switch",
            Fits.UNKNOWN,
            tell("electrical-start-switch-listen-click"),
            path="options/fitting/start_switch",
        )
    return check("start_switch", Fits.YES, tell("electrical-start-switch-start-switch"))


def both_makers(place: Place) -> FitCheck | None:
    """A single-phase motor on a drive needs both makers."""
    if not place.traits.both_makers:
        return None
    agree = (place.fitting.motor_maker_agrees, place.fitting.drive_maker_agrees)
    if agree == ("yes", "yes"):
        return check(
            "both_makers",
            Fits.YES,
            tell(
                "electrical-both-makers-both-approvals",
                approvals=place.fitting.approvals or say("electrical-both-makers-keep-papers"),
            ),
        )
    missing = [
        name
        for name, said in zip((say("electrical-motors"), say("electrical-drives")), agree, strict=True)
        if said != "yes"
    ]
    path = "options/fitting/motor_maker_agrees" if agree[0] != "yes" else "options/fitting/drive_maker_agrees"
    return check(
        "both_makers",
        Fits.CANNOT,
        tell(
            "electrical-both-makers-approval-maker", missing=say("electrical-both") if len(missing) > 1 else missing[0]
        ),
        path=path,
    )


def single_phase_drive(place: Place) -> FitCheck | None:
    """A three-phase drive fed with one phase gives about half its rating."""
    product, here = place.product, place.fitting.phases or place.plate.phases
    if place.traits.set_by is not SetBy.DRIVE or here != 1 or product is None or product.type is not ProductType.DRIVE:
        return None
    if product.phases == 1:
        return check("single_phase_drive", Fits.YES, tell("electrical-single-phase-drive-drive-made"))
    if product.single_phase_input == "no":
        return check("single_phase_drive", Fits.CANNOT, tell("electrical-single-phase-drive-maker-does"))
    shaft = [step.shaft_power.value for step in place.steps if step.shaft_power]
    if product.rated_power is None or not shaft:
        return check("single_phase_drive", Fits.UNKNOWN, tell("electrical-single-phase-drive-waits-drive"))
    allowed = product.rated_power.si / 2
    if max(shaft) > allowed:
        return check("single_phase_drive", Fits.CANNOT, tell("electrical-single-phase-drive-one-phase", shaft_power=figure("shaft_power", allowed), shaft_power_2=figure("shaft_power", max(shaft))))  # fmt: skip
    return check("single_phase_drive", Fits.WORK, tell("electrical-single-phase-drive-one-phase-gives", shaft_power=figure("shaft_power", allowed)))  # fmt: skip


def drive_control(place: Place) -> FitCheck | None:
    """A motor that turns with the poles of its rotor needs a drive that knows them, and never sees the line itself."""
    if place.traits.control is not ControlMode.RELUCTANCE:
        return None
    return check("drive_control", Fits.WORK, tell("electrical-drive-control"))


def drive_insulation(place: Place) -> FitCheck | None:
    """The motor of today on a drive's steep waves."""
    if not place.traits.on_drive:
        return None
    product = place.product
    if place.brings_motor and product is not None and product.drive_ready == "yes":
        return check("drive_insulation", Fits.YES, tell("electrical-drive-insulation-insulation-made"))
    if place.new_on_drive and product is None:
        return check("drive_insulation", Fits.WORK, tell("electrical-drive-insulation-take-motor"))
    return check("drive_insulation", Fits.WORK, tell("electrical-drive-insulation-ask-motor"))


def cable(place: Place) -> FitCheck | None:
    """Long leads between drive and motor."""
    if not place.traits.on_drive:
        return None
    length = place.fitting.lead_length
    if length is None:
        return check("cable", Fits.UNKNOWN, tell("electrical-cable-how-long"), path="options/fitting/lead_length")
    said = figure("cable_length", length.si, "measured")
    if length.si > LONG_CABLE_M:
        return check("cable", Fits.WORK, tell("electrical-cable-fit-output", said=said))
    return check("cable", Fits.YES, tell("electrical-cable-short-enough", said=said))


def earth_leakage(place: Place) -> FitCheck | None:
    """Rectifiers leak smooth current that a type AC device does not see."""
    if not place.traits.electronics:
        return None
    device = place.fitting.earth_leakage
    if device is None:
        return check(
            "earth_leakage",
            Fits.UNKNOWN,
            tell("electrical-earth-leakage-read-device"),
            path="options/fitting/earth_leakage",
        )
    three = (place.fitting.phases or place.plate.phases) == 3
    enough = ("none", "B") if three else ("none", "A", "F", "B")
    if device in enough:
        return check(
            "earth_leakage",
            Fits.YES,
            (
                say("electrical-earth-leakage-such-device")
                if device == "none"
                else say("electrical-earth-leakage-type-suits", device=device),
            ),
        )
    return check("earth_leakage", Fits.WORK, tell("electrical-earth-leakage-type-may", device=device))  # fmt: skip


def several_motors(place: Place) -> FitCheck | None:
    """One controller for several motors."""
    if not place.traits.on_drive or place.fitting.several != "yes":
        return None
    return check("several_motors", Fits.WORK, tell("electrical-several-motors"))


def shaft_currents(place: Place) -> FitCheck | None:
    """Common-mode volts of a drive find their way through bearings."""
    power = place.rated_power_w
    if place.traits.set_by is not SetBy.DRIVE or power is None or power < SHAFT_CURRENT_W:
        return None
    return check("shaft_currents", Fits.WORK, tell("electrical-shaft-currents"))


def harmonics(place: Place) -> FitCheck | None:
    """Triple harmonics of single-phase rectifiers add up in the neutral."""
    single = (place.fitting.phases or place.plate.phases or 1) == 1
    if not place.traits.electronics or not single:
        return None
    if place.fitting.several == "yes":
        return check("harmonics", Fits.WORK, tell("electrical-harmonics-several-one"))
    return check("harmonics", Fits.YES, tell("electrical-harmonics-one-machine"))


def code_letter(place: Place) -> FitCheck | None:
    """A higher starting current than the controller was chosen for."""
    product, old = place.product, place.fitting.code_letter or place.plate.code_letter
    if product is None or not product.code_letter or not old:
        return None
    new, old = product.code_letter.strip().upper(), old.strip().upper()
    if new not in LETTERS or old not in LETTERS or not new or not old:
        return check("code_letter", Fits.UNKNOWN, tell("electrical-code-letter-code-letter"))
    if LETTERS.index(new) <= LETTERS.index(old):
        return check("code_letter", Fits.YES, tell("electrical-code-letter-letter-controller", new=new, old=old))
    return check("code_letter", Fits.WORK, tell("electrical-code-letter-letter-draws", new=new, old=old))


def protection(place: Place) -> FitCheck | None:
    """Overload and branch protection follow the new plate."""
    if not (place.brings_motor or place.traits.whole_machine or place.traits.on_drive):
        return None
    product, old = place.product, place.plate.wired_current
    link = product.link(place.least_volts_v) if product else None
    new = link.amps_a if link else None
    if new is None or old is None:
        return check("protection", Fits.WORK, tell("electrical-protection-overload-fuse"))
    if abs(new / old.si - 1) <= AMPS_TOLERANCE:
        return check("protection", Fits.YES, tell("electrical-protection-against-near", rated_current=figure("rated_current", new, "plate"), rated_current_2=figure("rated_current", old.si, "plate")))  # fmt: skip
    return check("protection", Fits.WORK, tell("electrical-protection-place-overload", rated_current=figure("rated_current", new, "plate"), rated_current_2=figure("rated_current", old.si, "plate")))  # fmt: skip


def capacitor(place: Place) -> FitCheck | None:
    """What becomes of the run capacitor."""
    if place.plate.run_capacitance is None or not place.brings_motor:
        return None
    shared = say("electrical-capacitor-compressor-s") if place.plate.shared_capacitor == "yes" else ""
    if place.traits.electronics:
        return check("capacitor", Fits.WORK, tell("electrical-capacitor-discharged-proved", shared=shared))
    product = place.product
    if product is None or product.run_capacitance is None:
        return check("capacitor", Fits.WORK, tell("electrical-capacitor-new-one", shared=shared))
    same = abs(product.run_capacitance.si / place.plate.run_capacitance.si - 1) < AMPS_TOLERANCE
    words = say("electrical-capacitor-same-f") if same else say("electrical-capacitor-other-f")
    return check("capacitor", Fits.YES if same else Fits.WORK, tell("electrical-capacitor-x", capacitance=figure("capacitance", product.run_capacitance.si, "plate"), words=words, shared=shared))  # fmt: skip


def _within(volts_: float, bounds: tuple[float, float]) -> bool:
    return bounds[0] * (1 - VOLTS_TOLERANCE) <= volts_ <= bounds[1] * (1 + VOLTS_TOLERANCE)


def _ranges(all_: tuple[tuple[float, float], ...]) -> str:
    return either(
        (
            f"{low:g} V" if low == high else say("electrical-ranges", low=Number(low, "g"), high=Number(high, "g"))
            for low, high in all_
        )
    )
