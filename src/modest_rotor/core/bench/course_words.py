"""What the messages of the course are called; their English stands in the files of the experiments."""

from __future__ import annotations

TOPICS = {
    "slip": ("bare", "drag"),
    "taps": ("tap",),
    "restriction": ("open", "filter", "outlets"),
    "capacitor": ("capacitor", "label"),
    "volts and hertz": ("volts", "hertz", "unbalance", "law"),
    "waves of a drive": ("carrier_hz",),
    "what an electronic motor holds": ("command", "value"),
    "air": ("air_c",),
    "two fans": ("fans",),
    "static lift": ("lift",),
    "a loop": ("loop", "set_point", "gain", "integral_s", "sensor_at", "sensor_s"),
    "the year": ("hours", "low_hours", "low"),
}
"""Which topic a change belongs to, by the control that is turned."""
READ = ("title", "ask", "point")
"""What people read of an experiment."""


def experiment_message(code: str, field: str) -> str:
    """The message of what is read of an experiment. :param field: one of :data:`READ`."""
    return f"experiment-{code}-{field}"


def topic_message(topic: str) -> str:
    """The message of a topic's name."""
    return f"topic-{topic.replace(' ', '-')}"
