"""Options: what the replacements would cost."""

from __future__ import annotations

from modest_rotor.core.entry import Entry
from modest_rotor.core.stations.sheet import Sheet, asked


class OptionCosts(Sheet):
    """Prices that only the technician knows."""

    same_kind_cost: Entry | None = asked(
        "cost", "Same kind, fitted", "estimated", "Motor, capacitor, labour; in the job's currency."
    )
    electronic_cost: Entry | None = asked(
        "cost", "Electronic, fitted", "estimated", "Motor, controls, labour; in the job's currency."
    )
    drive_cost: Entry | None = asked(
        "cost", "On a drive, fitted", "estimated", "Drive, motor where it is new, labour; in the job's currency."
    )
