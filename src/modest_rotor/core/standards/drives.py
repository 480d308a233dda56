"""What a handbook table says of drives at part load."""

from __future__ import annotations

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say
from modest_rotor.core.standards.lookup import between, rows_of
from modest_rotor.core.standards.motors import PER_CENT, W_PER_HP
from modest_rotor.core.tables import read_table

NAME = "drive_efficiency"


def drive_efficiency(power_w: float, load: float) -> float:
    """Efficiency of a drive at part load, a fraction: linear in rating between the table's, and in load.

    :param power_w: rating of the drive, W; 3 to 400 hp. :param load: its output over its rating, 0.016 to 1.
    :raises OutsideValidity: outside the table.

    Source: US Department of Energy, Motor Systems Tip Sheet 11.
    """
    rating = power_w / W_PER_HP
    sizes = list(dict.fromkeys(row["power_hp"] for row in read_table(NAME)))
    if not float(sizes[0]) <= rating <= float(sizes[-1]):
        raise OutsideValidity(
            say("drives-drive-efficiency", rating=Number(rating, "g"), sizes=sizes[0], sizes_2=sizes[-1])
        )
    by_size = [
        {
            "power_hp": size,
            "efficiency": str(between(NAME, rows_of(NAME, power_hp=size), "load", "efficiency", PER_CENT * load, "%")),
        }
        for size in sizes
    ]
    return between(NAME, by_size, "power_hp", "efficiency", rating, "hp") / PER_CENT
