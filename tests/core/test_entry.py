"""What is typed: read, kept as evidence, or refused beside its box in a sentence."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from modest_rotor.core.entry import Entry, entry_from_data, read_entry
from modest_rotor.core.errors import QuantityRefused
from modest_rotor.core.numerals import NumberStyle
from tests.said import refused_with, says

HP = 550 * 0.3048 * 0.45359237 * 9.80665
"""One horsepower is 550 foot pounds-force a second, by definition."""
INCH_OF_WATER = 249.0889
"""Conventional inch of water at 4 °C, Pa: ASHRAE Handbook, Fundamentals, units chapter (from memory)."""


@pytest.mark.parametrize(
    ("quantity", "typed", "si"),
    [
        ("rated_power", "3/4 hp", 0.75 * HP),
        ("rated_power", "1-1/2 hp", 1.5 * HP),
        ("rated_power", "1 1/2 HP", 1.5 * HP),
        ("rated_power", "¾ hp", 0.75 * HP),
        ("rated_power", "560 W", 560.0),
        ("rated_power", "0.56kW", 560.0),
        ("rated_power", "1,500 w", 1500.0),
        ("rated_voltage", "230", 230.0),
        ("capacitance", "7.5 MFD", 7.5e-6),
        ("capacitance", "7.5uF", 7.5e-6),
        ("supply_static_pressure", "0.5 inwg", 0.5 * INCH_OF_WATER),
        ("supply_static_pressure", '0.5"', 0.5 * INCH_OF_WATER),
        ("return_static_pressure", "−0.35 in. w.g.", -0.35 * INCH_OF_WATER),
        ("airflow", "1,200 cfm", 1200 * 0.3048**3 / 60),
        ("airflow", "500 m3/h", 500 / 3600),
        ("static_lift", "22 ft", 22 * 12 * INCH_OF_WATER),
        ("flow_share", "75 %", 0.75),
        ("speed", "1.075e3 rpm", 1075.0),
        ("energy_price", "$0.19", 0.19),
    ],
)
def test_reads_what_technicians_type(quantity: str, typed: str, si: float) -> None:
    entry = read_entry(quantity, typed, "si" if quantity in ("rated_voltage", "energy_price") else None)
    assert entry.si == pytest.approx(si, rel=1e-6)  # the factors are given to seven figures
    assert entry.typed == typed


def test_a_bare_number_is_in_the_readers_unit() -> None:
    assert read_entry("supply_static_pressure", "0.5", "ip").si == pytest.approx(0.5 * INCH_OF_WATER, rel=1e-6)
    assert read_entry("supply_static_pressure", "125", "si").si == 125.0
    assert read_entry("rated_power", "0.75", "ip").unit == "hp"


def test_a_bare_number_that_could_mean_two_units_is_asked_about() -> None:
    with refused_with(QuantityRefused, "entry-unit-needs-unit"):
        read_entry("rated_power", "560")


def test_a_range_keeps_both_ends() -> None:
    entry = read_entry("rated_voltage", "208-230 V")
    assert (entry.low, entry.si) == (208.0, 230.0)
    assert read_entry("rated_voltage", "208 to 230 V").low == 208.0
    with refused_with(QuantityRefused, "entry-read-entry-runs-downward"):
        read_entry("rated_voltage", "230-208 V")


def test_resolution_is_the_last_digit_typed() -> None:
    assert read_entry("current", "4.40 A").resolution == pytest.approx(0.01)
    assert read_entry("current", "4.4 A").resolution == pytest.approx(0.1)
    assert read_entry("rated_power", "1.5 kW").resolution == pytest.approx(100.0)
    assert read_entry("rated_power", "3/4 hp").resolution == 0.0


@pytest.mark.parametrize(
    ("quantity", "typed", "words"),
    [
        ("current", "230 V", "unit of voltage"),
        ("current", "four", "cannot be read"),
        ("current", "1,23,45", "marks where no number has them"),
        ("current", "1,2.345,6", "mixes points and commas"),
        ("current", "inf", "finite"),
        ("current", "-inf A", "finite"),
        ("current", "NaN", "finite"),
        ("current", "-4 A", "lies between 0 and 2,000 A"),
        ("current", "1e999 A", "finite"),
        ("frequency", "0 Hz", "lies between 10 and 400 Hz"),
        ("rated_speed", "1e9 rpm", "lies between 100 and 20,000 rpm"),
        ("rated_speed", "0 rpm", "lies between"),
        ("return_static_pressure", "0.35 in. w.g.", "type it with a minus"),
        ("capacitance", "10 F", "lies between"),
        ("rated_power", "3/0 hp", "divides by zero"),
        ("rated_power", "1 parsec", "no unit known"),
        ("rated_power", "x" * 61, "at most 60"),
        ("rated_power", "0.5 W", "Did you mean"),
        ("flow_share", "120 %", "lies between 5 and 100 %"),
        ("hours", "9000 h", "8,784"),
    ],
)
def test_refuses_in_a_sentence_with_the_limits(quantity: str, typed: str, words: str) -> None:
    with pytest.raises(QuantityRefused) as refusal:
        read_entry(quantity, typed, "si")
    assert words in refusal.value.sentence


def test_negative_where_negative_belongs() -> None:
    assert read_entry("return_static_pressure", "-87 Pa").si == -87.0
    assert read_entry("supply_static_pressure", "-10 Pa").si == -10.0


@given(st.text(max_size=80))
def test_any_text_is_read_or_refused_and_never_crashes(text: str) -> None:
    try:
        entry = read_entry("airflow", text, "ip")
    except QuantityRefused as refusal:
        assert refusal.sentence
    else:
        assert math.isfinite(entry.si) and 0 <= entry.si <= 200


@given(st.floats(0.01, 1999, allow_nan=False), st.sampled_from(["A", "mA"]))
def test_what_was_typed_is_read_back_the_same(value: float, unit: str) -> None:
    typed = f"{value:.2f} {unit}"
    entry = read_entry("current", typed)
    assert entry_from_data("current", entry.model_dump()) == entry


def test_a_file_may_not_contradict_itself() -> None:
    with refused_with(QuantityRefused, "entry-from-data-inside-but"):
        entry_from_data("current", {"typed": "4.4", "unit": "A", "si": 44.0})
    with refused_with(QuantityRefused, "entry-from-data-text-unit"):
        entry_from_data("current", ["4.4 A"])
    assert entry_from_data("current", "  ") is None


def test_an_entry_holds_finite_numbers_only() -> None:
    with pytest.raises(ValueError, match="finite"):
        Entry(typed="x", unit="A", si=math.inf)


@pytest.mark.parametrize(
    "data", [{"typed": "1", "unit": 7}, {"typed": "1", "unit": {}}, {"typed": "\udfff", "unit": "V"}, "\udfff"]
)
def test_what_is_no_text_is_refused_in_words(data: object) -> None:
    with pytest.raises(QuantityRefused):
        entry_from_data("voltage", data)


@pytest.mark.parametrize(
    ("name", "typed", "share"),
    [
        ("efficiency", "0.6", 0.6),
        ("efficiency", "60", 0.6),
        ("power_factor", "0.55", 0.55),
        ("flow_share", "0.75", 0.75),
    ],
)
def test_a_fraction_typed_for_per_cent_is_taken_as_that_and_says_so(name: str, typed: str, share: float) -> None:
    """0.6 % is no efficiency of practice, so 0.6 can only be a fraction; its unit tells it, here and when it is read again."""
    entry = read_entry(name, typed, "si")
    assert entry.si == pytest.approx(share)
    assert entry.unit == ("of 1" if "." in typed else "%")
    assert entry_from_data(name, entry.model_dump()) == entry


@pytest.mark.parametrize("typed", ["0.6 %", "1", "3", "4.9 %"])
def test_a_share_below_what_practice_has_is_asked_about(typed: str) -> None:
    with refused_with(QuantityRefused, "entry-of-one-or-asked-kept-typed"):
        read_entry("efficiency", typed, "si")


def test_what_was_kept_before_fractions_were_read_stands_as_it_was() -> None:
    kept = entry_from_data("efficiency", {"typed": "0.6", "unit": "%", "si": 0.006})
    assert kept is not None and kept.si == 0.006


@pytest.mark.parametrize(
    ("name", "low", "high"),
    [("flow_per_cooling", "250 cfm/ton", "700 cfm/ton"), ("flow_per_cooling", "35 L/s per kW", "90 L/s per kW")],
)
def test_limits_hold_what_practice_has(name: str, low: str, high: str) -> None:
    """Common practice, no source: 300 to 550 cfm a ton, of which these are the outer ends."""
    assert read_entry(name, low).si < read_entry(name, high).si


@pytest.mark.parametrize(
    ("name", "text", "style", "si", "resolution"),
    [
        ("current", "4,57", None, 4.57, 0.01),
        ("rated_power", "0,37 kW", None, 370.0, 10.0),
        ("rated_power", "0,370 kW", NumberStyle.POINT, 370.0, 1.0),  # no group begins with nought
        ("rated_speed", "1.450", None, 1450.0, 1.0),  # one and a half turns a minute is no rated speed
        ("rated_speed", "1 450 min-1", None, 1450.0, 1.0),
        ("speed", "1,850", None, 1850.0, 1.0),  # nobody reads 1.85 rpm off a tachometer
        ("hours", "2.000 h", None, 2000.0, 1.0),
        ("speed", "1.850", NumberStyle.POINT, 1.85, 0.001),  # where the style is known it is taken at its word
        (
            "airflow",
            "1,200 cfm",
            None,
            1200 * 0.0004719474432,
            0.0004719474432,
        ),  # a unit of the Americas tells the style
        ("airflow", "1.200 m³/h", NumberStyle.COMMA, 1200 / 3600, 1 / 3600),
        ("airflow", "1.200,5 m³/h", None, 1200.5 / 3600, 0.1 / 3600),
        ("rated_voltage", "380-415 V", NumberStyle.COMMA, 415.0, 1.0),
        ("rated_power", "½ HP", None, 0.5 * 745.69987158227, 0.0),
        ("pressure", "0.5 iwc", None, 0.5 * 249.0889083333, 0.1 * 249.0889083333),
        ("pressure", "0.5 in wc", None, 0.5 * 249.0889083333, 0.1 * 249.0889083333),
        ("temperature", "68 deg F", None, 20.0, 5 / 9),
        ("airflow", "30 m3/min", None, 0.5, 1 / 60),
        ("airflow", "1000 cu ft/min", None, 0.4719474432, 0.0004719474432),
    ],
)
def test_numbers_and_units_as_practice_writes_them(
    name: str, text: str, style: NumberStyle | None, si: float, resolution: float
) -> None:
    entry = read_entry(name, text, "si", numbers=style)
    assert entry.si == pytest.approx(si, rel=1e-6) and entry.resolution == pytest.approx(resolution, rel=1e-3)
    assert entry.typed == text


@pytest.mark.parametrize("text", ["1.200", "1,200"])
def test_a_number_that_can_be_two_is_asked_about_unless_the_place_says_how_it_writes_them(text: str) -> None:
    with pytest.raises(QuantityRefused, match=r"may be 1\.2 or 1200 m³/h"):
        read_entry("airflow", f"{text} m³/h", "si", numbers=None)
    point, comma = (read_entry("airflow", f"{text} m³/h", "si", numbers=style).si * 3600 for style in NumberStyle)
    assert sorted((point, comma)) == pytest.approx([1.2, 1200.0])
    assert (point < comma) is ("." in text)


def test_what_was_typed_with_a_decimal_comma_reads_back_from_its_file() -> None:
    typed = read_entry("airflow", "1.200 m³/h", "si", numbers=NumberStyle.COMMA)
    assert entry_from_data("airflow", typed.model_dump()) == typed
    with refused_with(QuantityRefused, "entry-from-data-inside-but"):
        entry_from_data("airflow", typed.model_dump() | {"si": 7.0})


@pytest.mark.parametrize(
    ("typed", "asks"),
    [
        ("0.001 µF", " Did you mean F?"),
        ("0.00000001 µF", ""),  # no unit makes that a capacitor of practice
        ("0.00000001 F", ""),
        ("2000 µF", ""),
        ("0 µF", ""),
    ],
)
def test_a_larger_unit_is_asked_for_only_where_it_would_make_sense(typed: str, asks: str) -> None:
    with pytest.raises(QuantityRefused) as refusal:
        read_entry("capacitance", typed, "si")
    assert refusal.value.sentence.endswith(f"µF.{asks}" if "µF" in typed else f"F.{asks}")


@pytest.mark.parametrize(("typed", "asks"), [("0.6 %", "60 %"), ("1 %", "100 %"), ("1.2 %", None), ("4 %", None)])
def test_per_cent_of_a_fraction_is_asked_for_up_to_one(typed: str, asks: str | None) -> None:
    with pytest.raises(QuantityRefused) as refusal:
        read_entry("efficiency", typed, "si")
    assert (
        (f"Did you mean {asks}?" in refusal.value.sentence)
        if asks
        else (not says("entry-refuse-outside-did-you", refusal.value.sentence))
    )


@pytest.mark.parametrize(
    ("name", "spanish", "english"),
    [
        ("life", "10 años", "10 years"),
        ("lead_time", "3 días", "3 days"),
        ("energy_price", "0.19 por kWh", "0.19 per kWh"),
        ("rated_voltage", "208 a 230 V", "208-230 V"),
    ],
)
def test_units_and_ranges_are_read_in_spanish_too(name: str, spanish: str, english: str) -> None:
    told, same = read_entry(name, spanish), read_entry(name, english)
    assert (told.si, told.low, told.unit) == (same.si, same.low, same.unit)


@pytest.mark.parametrize(
    ("name", "typed"),
    [("current", "6.2 A 8.1"), ("current", "6.2 a 8.1"), ("current", "6.2a8.1"), ("rated_voltage", "208 A 230 V")],
)
def test_two_amps_in_one_box_are_no_range(name: str, typed: str) -> None:
    with pytest.raises(QuantityRefused):
        read_entry(name, typed, "ip")


@pytest.mark.parametrize(
    ("name", "typed", "told"),
    [
        ("pressure", "0.27 in. w.g.", "0.27 in. w.g."),
        ("pressure", "0.27", "0.27 in. w.g."),
        ("rated_power", "3/4", "3/4 hp"),
        ("rated_voltage", "208 to 230", "208 to 230 V"),
        ("rated_voltage", "208-230 V", "208-230 V"),
        ("price", "$560", "$560"),
        ("energy_price", "$0.19", "$0.19 per kWh"),
        ("life", "10 años", "10 años"),
    ],
)
def test_what_was_typed_is_told_with_one_unit(name: str, typed: str, told: str) -> None:
    assert read_entry(name, typed, "ip").with_unit == told
