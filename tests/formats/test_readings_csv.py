"""Sets of readings as CSV: out and in again, headings mapped, bad rows listed, nothing half taken in."""

from __future__ import annotations

import pytest

from modest_rotor.core.job import Job
from modest_rotor.formats.readings_csv import CsvProposal, CsvRefused, propose, write_sets
from tests.jobs import KRAUSE
from tests.said import codes_of, refused_with

NOW = "2026-06-01 12:00"


def look(
    text: str, mapping: dict[str, str] | None = None, units_of: dict[str, str] | None = None, room: int = 60
) -> CsvProposal:
    return propose(text, mapping or {}, units_of or {}, "si", room, NOW)


def test_out_and_in_again() -> None:
    sets = Job.model_validate(KRAUSE).document.readings
    back = look(write_sets(sets))
    assert back.good == 1 and not back.bad and not back.unknown
    again = Job.model_validate(
        {**KRAUSE, "document": {**KRAUSE["document"], "readings": [{**back.sets[0], "id": "s1"}]}}
    )  # type: ignore[dict-item]
    for field in ("voltage", "current", "speed", "airflow", "supply_static"):
        assert getattr(again.document.readings[0], field).si == getattr(sets[0], field).si


def test_units_come_from_the_heading_the_cell_or_a_person() -> None:
    found = look("Line amps,Total external static (in. w.g.),Airflow\n4.1,0.5,900 cfm\n4.0,0.6,850 cfm")
    assert [column.unit for column in found.columns] == ["", "in. w.g.", ""]
    assert found.sets[0]["total_static"]["si"] == pytest.approx(124.5, abs=0.1)
    assert found.sets[0]["airflow"]["si"] == pytest.approx(0.4248, abs=1e-3)
    said = look("Line amps,Flow\n4.1,900", {"Flow": "airflow"}, {"Flow": "cfm"})
    assert said.sets[0]["airflow"]["si"] == pytest.approx(0.4248, abs=1e-3)


def test_the_headings_of_earlier_versions_are_still_recognised() -> None:
    found = look("Static across (in. w.g.),Start-winding amps\n0.5,1.2\n")
    assert found.unknown == [] and found.sets[0]["total_static"]["si"] == pytest.approx(124.5, abs=0.1)
    assert found.sets[0]["start_current"]["si"] == 1.2


def test_unknown_headings_are_asked_for_and_left_out_until_mapped() -> None:
    found = look("A1,Line amps\n12,4.1")
    assert found.unknown == ["A1"] and "voltage" not in found.sets[0]
    assert "voltage" in look("A1,Line amps\n120,4.1", {"A1": "voltage"}).sets[0]


def test_bad_rows_are_listed_with_their_reason_and_the_rest_is_good() -> None:
    text = "Line amps;Speed;When\n4.1;1075;\nfour;1075;\n4.2;99999;\n;;\n4.0;1070;2027-01-01 10:00\n4.3;1060;2026-05-01 09:30"
    found = look(text)
    assert found.good == 2 and [row.line for row in found.bad] == [3, 4, 5]
    assert (
        "“four”" in found.bad[0].reason
        and "entry-refuse-outside-kept-typed" in codes_of(found.bad[1].reason)
        and "readings-refuse-future" in codes_of(found.bad[2].reason)
    )


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("Line amps\n" + "4.1\n" * 200_000, "200,001 lines"),
        ("Line amps\n" + "4.1\n" * 61, "room for 60"),
        ("", "at least one row"),
        ("Line amps\0\n4.1", "no text table"),
        ("Line amps,Line amps\n4.1,4.2", "Two columns"),
    ],
)
def test_what_is_refused_whole(text: str, words: str) -> None:
    with pytest.raises(CsvRefused, match=words):
        look(text)


def test_a_wrong_mapping_is_refused() -> None:
    with refused_with(CsvRefused, "readings-csv-column-set-field"):
        look("A\n1", {"A": "id"})
    with refused_with(CsvRefused, "readings-csv-column-unit"):
        look("A\n1", {"A": "airflow"}, {"A": "bar"})


def test_words_that_a_spreadsheet_would_run_are_quoted() -> None:
    data = {**KRAUSE["document"]["readings"][0], "name": "=1+1"}  # type: ignore[index]
    job = Job.model_validate({**KRAUSE, "document": {"readings": [data]}})
    assert "'=1+1" in write_sets(job.document.readings)


def test_a_column_shows_the_first_cell_that_holds_something() -> None:
    found = look("Line amps,Speed\n4.1,\n4.0,1075")
    assert [column.sample for column in found.columns] == ["4.1", "1075"]


def test_a_row_that_ends_early_or_runs_on_is_read_as_far_as_its_head_goes() -> None:
    found = look("Name,Line amps,Speed\nshort,3.9\nlong,4.0,1450,17,18")
    assert found.good == 2 and found.bad == []
    short, long = found.sets
    assert short["current"]["typed"] == "3.9" and "speed" not in short and long["speed"]["typed"] == "1450"
