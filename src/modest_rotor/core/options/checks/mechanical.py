"""Shaft, frame, cooling, speed: may it stand there and turn the wheel?"""

from __future__ import annotations

from modest_rotor.core.options.checks.place import FitCheck, Fits, Place, check
from modest_rotor.core.options.traits import Holds
from modest_rotor.core.phrase import figure
from modest_rotor.core.say import Number, capital, say, tell
from modest_rotor.core.stations.fitting import Attitude
from modest_rotor.core.stations.nameplate import Build, Rotation, SeenFrom

SAME_SHAFT = 0.003
"""Share within which shaft and bore count as one size. Common practice, no source."""
RATED_ALTITUDE_M, DERATING_PER_M = 1000.0, 0.0001
"""Altitude to which motors are rated, and share of power lost for each metre above. IEC 60034-1; common practice."""
OPEN_ENCLOSURES = ("ODP", "DPG", "OPEN", "IP00", "IP10", "IP20", "IP21", "IP22", "IP23")


def rotation(place: Place) -> FitCheck | None:
    """Which way it turns, facing the shaft end."""
    product, old = place.product, place.plate.rotation
    if not place.brings_motor or product is None or product.rotation is None:
        return None
    if product.rotation is Rotation.EITHER:
        return check("rotation", Fits.WORK, tell("mechanical-rotation-reversible-set"))
    if old is None or place.plate.rotation_seen_from is None:
        return check("rotation", Fits.UNKNOWN, tell("mechanical-rotation-turns-facing", rotation=product.rotation), path="nameplate/rotation")  # fmt: skip
    facing_shaft = old if place.plate.rotation_seen_from is SeenFrom.SHAFT_END else _other(old)
    if facing_shaft in (product.rotation, Rotation.EITHER):
        return check("rotation", Fits.YES, tell("mechanical-rotation-facing-shaft", rotation=capital(product.rotation)))
    return check(
        "rotation",
        Fits.CANNOT,
        tell("mechanical-rotation-turns-facing-shaft", rotation=product.rotation, facing_shaft=facing_shaft),
    )


def _other(way: Rotation) -> Rotation:
    return {Rotation.CLOCKWISE: Rotation.COUNTER, Rotation.COUNTER: Rotation.CLOCKWISE}.get(way, way)


def frame(place: Place) -> FitCheck | None:
    """Frame against frame."""
    product = place.product
    if not place.brings_motor or product is None or not product.frame:
        return None
    if not place.plate.frame:
        return check(
            "frame", Fits.UNKNOWN, tell("mechanical-frame-frame-read", frame=product.frame), path="nameplate/frame"
        )
    new, old = (text.upper().replace(" ", "") for text in (product.frame, place.plate.frame))
    if new == old:
        return check("frame", Fits.YES, tell("mechanical-frame-frame-now", frame=product.frame))
    return check(
        "frame", Fits.WORK, tell("mechanical-frame-frame-place", frame=product.frame, frame_2=place.plate.frame)
    )


def shaft(place: Place) -> FitCheck | None:
    """Shaft against bore; a bushing makes up what is missing."""
    product, bore = place.product, place.fitting.bore
    if not place.brings_motor or product is None or product.shaft_diameter is None:
        return None
    new = product.shaft_diameter.si
    said = figure("dimension", new, "plate")
    if bore is None:
        return check(
            "shaft", Fits.UNKNOWN, tell("mechanical-shaft-shaft-measure", said=said), path="options/fitting/bore"
        )
    hole = figure("dimension", bore.si, "measured")
    if abs(new / bore.si - 1) <= SAME_SHAFT:
        return check("shaft", Fits.YES, tell("mechanical-shaft-shaft-bore", said=said))
    if new < bore.si:
        return check("shaft", Fits.WORK, tell("mechanical-shaft-bushing", said=said, hole=hole))
    return check("shaft", Fits.CANNOT, tell("mechanical-shaft-shaft-does", said=said, hole=hole))


def built(place: Place) -> FitCheck | None:
    """A wheel that sits on the rotor, or one at each end of the shaft, takes no ordinary motor."""
    build = place.plate.build
    if not place.brings_motor or build in (None, Build.ONE_END):
        return None
    if build is Build.OUTER_ROTOR:
        return check("built", Fits.CANNOT, tell("mechanical-built-wheel-sits"))  # fmt: skip
    return check("built", Fits.WORK, tell("mechanical-built-only-one"))  # fmt: skip


def shaft_length(place: Place) -> FitCheck | None:
    """Long enough to reach through the hub."""
    product, needed = place.product, place.fitting.shaft_needed
    if not place.brings_motor or product is None or product.shaft_length is None or needed is None:
        return None
    new = figure("dimension", product.shaft_length.si, "plate")
    old = figure("dimension", needed.si, "measured")
    if product.shaft_length.si >= needed.si:
        return check("shaft_length", Fits.YES, tell("mechanical-shaft-length-long-needed", new=new, old=old))
    return check("shaft_length", Fits.CANNOT, tell("mechanical-shaft-length-long-needed-2", new=new, old=old))


def keyway(place: Place) -> FitCheck | None:
    """A key in the hub needs one on the shaft."""
    product, hub = place.product, place.fitting.keyway
    if not place.brings_motor or product is None or product.keyway is None or hub is None:
        return None
    if product.keyway == hub:
        return check(
            "keyway",
            Fits.YES,
            (say("mechanical-keyway-keyed-hub") if hub == "yes" else say("mechanical-keyway-key-set"),),
        )
    if hub == "yes":
        return check("keyway", Fits.WORK, tell("mechanical-keyway-hub-keyed"))
    return check("keyway", Fits.WORK, tell("mechanical-keyway-shaft-keyed"))


def mounting(place: Place) -> FitCheck | None:
    """How it is held."""
    product, here = place.product, place.fitting.mounting
    if not place.brings_motor or product is None or product.mounting is None:
        return None
    if here is None:
        return check(
            "mounting",
            Fits.UNKNOWN,
            tell("mechanical-mounting-held-old", mounting=product.mounting),
            path="options/fitting/mounting",
        )
    if here is product.mounting:
        return check("mounting", Fits.YES, tell("mechanical-mounting-held-now", here=here))
    return check("mounting", Fits.WORK, tell("mechanical-mounting-held-old-one", mounting=product.mounting, here=here))


def attitude(place: Place) -> FitCheck | None:
    """Shaft up or down."""
    product, lies = place.product, place.fitting.attitude
    if not place.brings_motor or lies is None:
        return None
    if lies is Attitude.SHAFT_UP:
        if product is not None and product.shaft_up == "no":
            return check("attitude", Fits.CANNOT, tell("mechanical-attitude-maker-does"))
        if product is None or product.shaft_up is None:
            return check("attitude", Fits.UNKNOWN, tell("mechanical-attitude-shaft-up"))
        return check("attitude", Fits.YES, tell("mechanical-attitude-shaft-up-allowed"))
    return check("attitude", Fits.YES, tell("mechanical-attitude-ordinary", lies=capital(lies)))


def weather(place: Place) -> FitCheck | None:
    """Outdoors or wet."""
    if place.fitting.outdoors != "yes" or not (place.brings_motor or place.traits.whole_machine):
        return None
    code = (place.product.enclosure or "").upper().replace(" ", "") if place.product else ""
    if code in OPEN_ENCLOSURES:
        return check("weather", Fits.CANNOT, tell("mechanical-weather-enclosure-open", code_=code))
    drains = say("mechanical-weather-lowest-drain")
    return check(
        "weather",
        Fits.WORK if code else Fits.UNKNOWN,
        (drains if code else say("mechanical-weather-enclosure", drains=drains),),
    )


def air_over(place: Place) -> FitCheck | None:
    """Motors that the machine's air cools."""
    product, inside = place.product, place.fitting.in_air
    if not place.brings_motor or product is None or product.air_over != "yes":
        return None
    if inside is None:
        return check("air_over", Fits.UNKNOWN, tell("mechanical-air-over-needs-machine"), path="options/fitting/in_air")
    if inside == "yes":
        return check("air_over", Fits.YES, tell("mechanical-air-over-machine-s"))
    return check("air_over", Fits.CANNOT, tell("mechanical-air-over-needs-air"))


def altitude(place: Place) -> FitCheck | None:
    """Thin air cools less."""
    height, power = place.fitting.altitude, place.rated_power_w
    hardest = _hardest(place)
    if height is None or height.si <= RATED_ALTITUDE_M or power is None or hardest is None:
        return None
    allowed = power * (1 - DERATING_PER_M * (height.si - RATED_ALTITUDE_M))
    said = tell("mechanical-altitude", altitude=figure("altitude", height.si), shaft_power=figure("shaft_power", allowed), shaft_power_2=figure("shaft_power", hardest))  # fmt: skip
    return check("altitude", Fits.YES if hardest <= allowed else Fits.CANNOT, said)


def load(place: Place) -> FitCheck | None:
    """The hardest step against rated power and service factor."""
    power, hardest = place.rated_power_w, _hardest(place)
    if power is None or hardest is None or (place.traits.whole_machine and not place.product):
        return None
    product = place.product
    factor = product.service_factor.si if product and product.service_factor else 1.0
    share = figure("load", hardest / power)
    if hardest <= power:
        return check("load", Fits.YES, tell("mechanical-load-rated-power", share=share))
    if hardest <= power * factor:
        return check(
            "load", Fits.WORK, tell("mechanical-load-rated-power-inside", share=share, factor=Number(factor, "g"))
        )
    too_much = tell("mechanical-load-rated-power-hardest", share=share)
    return check("load", Fits.CANNOT if product and product.rated_power else Fits.WORK, too_much)


def top_speed(place: Place) -> FitCheck | None:
    """Wheel and bearings at the fastest step."""
    limit = place.fitting.highest_speed
    if limit is None or place.traits.whole_machine:
        return None
    speeds = [step.speed.value for step in place.steps if step.speed]
    if not speeds:
        return None
    said = tell("mechanical-top-speed", speed=figure("speed", max(speeds)), speed_2=figure("speed", limit.si, "plate"))
    return check("top_speed", Fits.YES if max(speeds) <= limit.si else Fits.CANNOT, said)


def least_speed(place: Place) -> FitCheck | None:
    """The slowest step against what the product can hold."""
    product = place.product
    if product is None or product.least_speed is None or product.rated_speed is None or not place.traits.commanded:
        return None
    speeds = [step.speed.value for step in place.steps if step.speed]
    floor = product.least_speed.si * product.rated_speed.si
    if not speeds:
        return None
    said = tell("mechanical-least-speed", speed=figure("speed", min(speeds)), speed_2=figure("speed", floor, "plate"))
    return check("least_speed", Fits.YES if min(speeds) >= floor else Fits.WORK, said)


def blower_constants(place: Place) -> FitCheck | None:
    """An airflow-holding motor works from constants of its wheel."""
    if place.traits.holds is not Holds.AIRFLOW:
        return None
    taught = place.product.blower_constants if place.product else None
    if taught == "yes":
        return check("blower_constants", Fits.YES, tell("mechanical-blower-constants-taught-blower"))
    if taught == "no":
        return check("blower_constants", Fits.CANNOT, tell("mechanical-blower-constants-does-know"))
    return check("blower_constants", Fits.UNKNOWN, tell("mechanical-blower-constants-ask-maker"))


def data_sheet(place: Place) -> FitCheck | None:
    """A product whose own data sheet cannot be."""
    stated = place.product.impossible_efficiency if place.product else None
    if stated is None:
        return None
    return check("data_sheet", Fits.CANNOT, tell("mechanical-data-sheet", stated=Number(100 * stated.si, "g")))


def listing(place: Place) -> FitCheck | None:
    """Another kind of motor in a listed appliance."""
    if not (place.traits.electronics or place.traits.whole_machine):
        return None
    allowed = place.fitting.listing_allows
    if allowed == "yes" or (place.product is not None and place.product.listed_for_replacement == "yes"):
        return check("listing", Fits.YES, tell("mechanical-listing-listing-allows"))
    if allowed == "no":
        return check("listing", Fits.CANNOT, tell("mechanical-listing-appliance-s"))
    return check(
        "listing", Fits.UNKNOWN, tell("mechanical-listing-machine-part"), path="options/fitting/listing_allows"
    )


def _hardest(place: Place) -> float | None:
    powers = [step.shaft_power.value for step in place.steps if step.shaft_power]
    return max(powers) if powers else None
