"""Currents for wiring and protection: from tables and the plate, never for judging how a motor is loaded."""

from __future__ import annotations

from modest_rotor.core.errors import OutsideValidity
from modest_rotor.core.say import Number, say
from modest_rotor.core.standards.lookup import AS_PRINTED, at_size, rows_of
from modest_rotor.core.standards.motors import W_PER_HP

SERVICE_FACTOR_CASE, OTHER_CASE, COOL_CASE = (
    say("wiring-these-service-factor"),
    say("wiring-these-all-other"),
    say("wiring-these-rise-c"),
)
SYSTEM_VOLTS = {115: (110, 120), 230: (220, 240), 460: (440, 480), 575: (550, 600)}
"""Volts of systems for which a column of the tables holds: the note below NFPA 70, tables 430.248 and 430.250 (from memory)."""
GENEROUS_SERVICE_FACTOR, LARGEST_SERVICE_FACTOR = 1.15, 2.0


def wiring_current_a(power_w: float, voltage_v: float, phases: int) -> float:
    """Full-load current by which conductors and their protection are sized, A.

    :param power_w: a size of the table. :param voltage_v: a motor's or a system's: 110 to 120 V stand for 115, 220 to 240 V for
        230, 440 to 480 V for 460, 550 to 600 V for 575, as the tables say; 200 and 208 V have columns of their own.
    :raises OutsideValidity: no such row.

    Validity: for wiring; a motor's own amps are on its plate. Source: NFPA 70 (NEC), tables 430.248 and 430.250.
    """
    column = next((name for name, (low, high) in SYSTEM_VOLTS.items() if low <= voltage_v <= high), voltage_v)
    rows = rows_of("wiring_currents", phases=str(phases), voltage=f"{column:g}")
    return float(at_size("wiring_currents", rows, "power_hp", power_w / W_PER_HP, "hp", AS_PRINTED)["current"])


def overload_setting_a(plate_current_a: float, service_factor: float = 1.0, cool: bool = False) -> tuple[float, float]:
    """Highest overload setting, A, and the highest where the first does not start or carry the load.

    :param plate_current_a: amps on the plate, not of a table. :param service_factor: on the plate, 1 where none is.
    :param cool: whether the plate is marked with a rise of 40 °C or less.
    :raises OutsideValidity: amps or service factor that no plate carries.

    Source: NFPA 70 (NEC), 430.32(A)(1) and (C).
    """
    if plate_current_a <= 0 or not 1 <= service_factor <= LARGEST_SERVICE_FACTOR:
        raise OutsideValidity(
            say(
                "wiring-overload-setting-a",
                largest_service_factor=Number(LARGEST_SERVICE_FACTOR, "g"),
                plate_current_a=Number(plate_current_a, "g"),
                service_factor=Number(service_factor, "g"),
            )
        )
    case = SERVICE_FACTOR_CASE if service_factor >= GENEROUS_SERVICE_FACTOR else COOL_CASE if cool else OTHER_CASE
    (row,) = rows_of("overload_protection", case=case)
    return float(row["first"]) * plate_current_a, float(row["next"]) * plate_current_a
