"""What a kind of option is, its equations apart: what it belongs on, brings, holds and wears, how it is told, what it asks for.

Each kind says this once, beside its equations; checks, year, set-up, the log and the page ask for the trait, never for the kind.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from enum import Enum

from modest_rotor.core.coded import Coded
from modest_rotor.core.identify.motor import MotorKind
from modest_rotor.core.say import say
from modest_rotor.core.stations.product import CommandKind, Product, ProductType
from modest_rotor.core.stations.setup import ControlMode

Suits = Callable[[Product], bool]


class Belongs(Enum):
    """The machines and motors that a kind is for."""

    ANY = "any"
    FANS = "fans"
    PUMPS = "pumps"
    CAPACITOR_MOTORS = "capacitor-motors"


class Brings(Enum):
    """What a kind puts there in place of what is there today."""

    NOTHING = "nothing"
    MOTOR = "motor"
    """Another motor on the shaft of today."""
    THREE_PHASE_MOTOR = "three-phase-motor"
    """Another motor where today's has no three phases, or where the product has one."""
    MACHINE = "machine"
    """A motor with a wheel of its own."""


class SetBy(Enum):
    """What sets its speed once it is fitted."""

    LINE = "line"
    """Nothing: it runs as the line and the load have it, and only what stands in the way sets its flow."""
    TAP = "tap"
    VOLTS = "volts"
    DRIVE = "drive"
    """A drive with three phases to the motor."""
    CONTROLLER = "controller"
    """A drive with one phase to the motor."""
    SIGNAL = "signal"
    TORQUE_TAPS = "torque-taps"
    ITSELF = "itself"
    """It holds a flow or a pressure that is typed in once."""
    OWN_SPEED = "own-speed"
    """One speed of its own, of its product."""
    NUMBER_RUNNING = "number-running"


class Holds(Coded):
    """What a setting keeps when the system changes."""

    MOTOR = "motor"
    SPEED = "speed"
    TORQUE = "torque"
    AIRFLOW = "airflow"
    OWN_WHEEL = "own-wheel"


ELECTRONICS_WEAR = say("options-traits-electronics-wear")
MOTOR_WEARS = say("options-traits-motor-wears")


def no_product(product: Product) -> bool:
    """Of a kind that no product stands for: another tap, fewer fans, a sheave, a trim, a throttle removed."""
    return False


def of_type(*types: ProductType) -> Suits:
    """Whether a product is of one of some types."""
    return lambda product: product.type in types


def line_motor(product: Product) -> bool:
    """Whether a product is a motor for the line."""
    return product.type is ProductType.MOTOR and product.motor_kind is not MotorKind.ELECTRONIC


def on_a_drive(product: Product) -> bool:
    """Whether a product is a drive, or a three-phase motor to run on one."""
    three_phase = product.type is ProductType.MOTOR and product.motor_kind is MotorKind.THREE_PHASE
    return product.type is ProductType.DRIVE or three_phase


def electronic_motor(holds: str | None = None, command: CommandKind | None = None) -> Suits:
    """Whether a product is an electronic motor, or the module of one: of what it holds, and of what tells it, where either is said."""

    def found(product: Product) -> bool:
        return (
            product.type in (ProductType.MOTOR, ProductType.MODULE)
            and product.motor_kind in (None, MotorKind.ELECTRONIC)
            and (holds is None or product.holds in (None, holds))
            and (command is None or product.command in (None, command))
        )

    return found


@dataclass(frozen=True)
class Traits:
    """The traits of a kind.

    :param title: as lists name it. :param series: its colour and line in pictures.
    :param electronics: whether electronics stay on the supply and start it gently.
    :param commanded: whether it is told each step's flow, and so meets a part step by itself.
    :param electronic: whether the motor itself is an electronic one. :param line_switched: whether its supply may be switched to
        control it, as electronics else do not bear.
    :param suits: whether a product can stand for it; what its entry does not say is no reason against it.
    :param understands: by what it may be told, where its product does not say; ``None`` where nothing tells it.
    :param control: how a drive has to control its motor, where one does. :param slows: whether today's motor is slowed by volts or hertz, which no start switch bears.
    :param both_makers: whether the makers of motor and drive have to agree.
    :param holds: what its setting holds while the system tightens; ``None`` where that is not drawn.
    :param limited: whether torque, power and speed of its rating end what it holds.
    :param long_lived: whether it lasts as long as a plain motor. :param wears: what wears of it.
    :param rewires: whether anything electrical is worked on in fitting it.
    :param hands: whether hands reach into the machine to fit it. :param steps: features of the table of steps that it has besides.
    :param asks: fields of its own in the job, beside name, life, wear and days.
    """

    title: str
    series: str
    electronics: bool = False
    commanded: bool = False
    electronic: bool = False
    line_switched: bool = False
    belongs: Belongs = Belongs.ANY
    brings: Brings = Brings.NOTHING
    suits: Suits = no_product
    understands: tuple[CommandKind, ...] | None = None
    set_by: SetBy = SetBy.LINE
    control: ControlMode = ControlMode.VOLTS_PER_HERTZ
    slows: bool = False
    both_makers: bool = False
    holds: Holds | None = None
    limited: bool = False
    long_lived: bool = False
    wears: str = MOTOR_WEARS
    rewires: bool = True
    hands: bool = True
    steps: frozenset[str] = frozenset()
    asks: tuple[str, ...] = ()

    @property
    def whole_machine(self) -> bool:
        """Whether it brings its own wheel."""
        return self.brings is Brings.MACHINE

    @property
    def on_drive(self) -> bool:
        """Whether a drive sets its speed, with three phases to the motor or with one."""
        return self.set_by in (SetBy.DRIVE, SetBy.CONTROLLER)

    @property
    def synchronous(self) -> bool:
        """Whether its motor turns with its field, without slip: an electronic one, or a new one of another kind on its drive."""
        return self.electronic or (self.on_drive and self.brings is Brings.MOTOR)

    def brings_motor(self, product: Product | None, today: MotorKind | None) -> bool:
        """Whether it puts another motor on the shaft of today.

        :param product: what is considered, where one is named. :param today: the kind of the motor that is there.
        """
        if self.brings is Brings.THREE_PHASE_MOTOR:
            return today is not MotorKind.THREE_PHASE or (product is not None and product.motor_kind is not None)
        return self.brings is Brings.MOTOR

    def commands(self, product: Product | None) -> tuple[CommandKind, ...] | None:
        """By what it may be told its speed: its product's own command, else those of its kind; nothing where none is."""
        own = product.command if product is not None else None
        return (own,) if self.understands is not None and own is not None else self.understands

    def is_set_by_dial(self, product: Product | None, there: CommandKind | None) -> bool:
        """Whether it is set once by its dial: it has nothing else, or what is there does not speak to it.

        :param there: what commands the machine today, where somebody said it.
        """
        understood = self.commands(product) or ()
        alone, speaks = understood == (CommandKind.DIAL,), there in (None, *understood)
        return CommandKind.DIAL in understood and (alone or there is CommandKind.DIAL or not speaks)
