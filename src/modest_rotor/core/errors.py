"""The refusals of Modest Rotor.

ModestRotorError
├── Refusal (ValueError)            something given cannot be used; its sentence says why and what to do
│   ├── QuantityRefused             a typed quantity: unreadable, wrong dimension, outside its limits
│   ├── OutsideValidity             an equation asked beyond where it holds
│   └── ChangeRefused               an edit that does not fit the job it is made to
├── UnknownItem (LookupError)       no such job, site or machine
└── Conflict (RuntimeError)         the job has moved on since this window read it
"""


class ModestRotorError(Exception):
    """The root: whoever catches this catches every refusal of the application."""

    def __init__(self, sentence: str) -> None:
        super().__init__(sentence)
        self.sentence = sentence


class Refusal(ModestRotorError, ValueError):
    """What was given cannot be used; ``field`` names the place of it, where one is to be said or set right."""

    def __init__(self, sentence: str, field: str | None = None) -> None:
        super().__init__(sentence)
        self.field = field


class QuantityRefused(Refusal):
    """A typed quantity that cannot be read, has another dimension, or lies outside its limits."""


class OutsideValidity(Refusal):
    """An equation was asked for a value beyond the range in which it holds."""


class ChangeRefused(Refusal):
    """An edit names a place that the job does not have, or a value that does not belong there."""


class BeyondTables(OutsideValidity):
    """What our tables do not reach: a limit of ours, no contradiction in what was typed."""


class UnknownItem(ModestRotorError, LookupError):
    """No job, machine or site has this number."""


class Conflict(ModestRotorError, RuntimeError):
    """Somebody, or another window, changed the job after it was read here."""
