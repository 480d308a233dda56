"""Currents for wiring and protection: from tables and the plate, never for judging how a motor is loaded."""

from __future__ import annotations

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.standards.lookup import at_size, rows_of
from modest_rotor.core.standards.motors import W_PER_HP

SERVICE_FACTOR_CASE, OTHER_CASE, COOL_CASE = "service factor 1.15 or more", "all other motors", "rise of 40 °C or less"
GENEROUS_SERVICE_FACTOR, LARGEST_SERVICE_FACTOR = 1.15, 2.0


def wiring_current_a(power_w: float, voltage_v: float, phases: int) -> float:
    """Full-load current by which conductors and their protection are sized, A.

    :param power_w: a size of the table. :param voltage_v: a voltage column: 115, 200, 208, 230, 460, 575.
    :raises OutsideValidity: no such row.

    Validity: for wiring; a motor's own amps are on its plate. Source: NFPA 70 (NEC), tables 430.248 and 430.250.
    """
    rows = rows_of("wiring_currents", phases=str(phases), voltage=f"{voltage_v:g}")
    return float(at_size("wiring_currents", rows, "power_hp", power_w / W_PER_HP, "hp")["current"])


def overload_setting_a(plate_current_a: float, service_factor: float = 1.0, cool: bool = False) -> tuple[float, float]:
    """Highest overload setting, A, and the highest where the first does not start or carry the load.

    :param plate_current_a: amps on the plate, not of a table. :param service_factor: on the plate, 1 where none is.
    :param cool: whether the plate is marked with a rise of 40 °C or less.
    :raises OutsideValidity: amps or service factor that no plate carries.

    Source: NFPA 70 (NEC), 430.32(A)(1) and (C).
    """
    if plate_current_a <= 0 or not 1 <= service_factor <= LARGEST_SERVICE_FACTOR:
        raise OutsideValidity(
            f"A plate carries amps above zero and a service factor from 1 to {LARGEST_SERVICE_FACTOR:g}, not"
            f" {plate_current_a:g} A and {service_factor:g}."
        )
    case = SERVICE_FACTOR_CASE if service_factor >= GENEROUS_SERVICE_FACTOR else COOL_CASE if cool else OTHER_CASE
    (row,) = rows_of("overload_protection", case=case)
    return float(row["first"]) * plate_current_a, float(row["next"]) * plate_current_a
