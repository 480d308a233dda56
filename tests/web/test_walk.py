"""The jobs a technician does, by the words on the screen."""

from __future__ import annotations

import json
import urllib.request
from typing import Any

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from modest_rotor.core.assess import assess
from modest_rotor.core.job import Job
from tests.jobs import KRAUSE
from tests.running import Application
from tests.web.screen import Screen


def job_of(application: Application, machine: str) -> int:
    for site in application.get("/api/board"):
        for job in site["jobs"]:
            if job["machine"] == machine:
                return int(job["id"])
    raise AssertionError(f"no job of {machine}")


def taken_in(application: Application, data: dict[str, Any]) -> int:
    return int(application.post("/api/jobs/file", {"job": data})["id"])


def test_the_demo_job_is_walked_and_a_reading_moves_the_balance_and_is_kept(screen: Screen) -> None:
    screen.go("/", "Board")
    screen.sees("Quillhaven Ferry Terminal")
    screen.press("Waiting hall air handler", "a")
    screen.sees("What each saves")
    for station, words in (
        ("call", "Why are we here?"), ("plate", "Synchronous speed"), ("findings", "What explains it"),
        ("duty", "The year in steps"), ("options", "against the repaired machine"), ("setup", "Waits for Decision"), ("log", "Add a reading"),
        ("readings", "Load, every method"),
    ):  # fmt: skip
        screen.station(station)
        screen.sees(words)
    before, flow = screen.balance(), screen.value("Airflow, set 1")
    screen.type("Airflow, set 1", "1600", leave=False)
    moved = screen.until(lambda: (told := screen.balance()) != before and told)
    assert "1,600 cfm" in moved
    screen.field("Airflow, set 1").send_keys(Keys.TAB)
    screen.saved()
    screen.browser.refresh()
    assert screen.value("Airflow, set 1") == "1600"
    assert "1,600" in screen.rail("readings") and screen.balance() == moved
    screen.press("Undo “Airflow, 1600 cfm”")
    screen.until(lambda: screen.value("Airflow, set 1") == flow)
    assert screen.balance() == before


def test_the_textbook_machine_through_the_screen_gives_what_the_core_gives(
    screen: Screen, application: Application
) -> None:
    """Krause's quarter horse (see tests/jobs.py), typed as a technician would, ends at the core's own figures."""
    document: dict[str, Any] = KRAUSE["document"]  # type: ignore[assignment]
    screen.go("/", "Board")
    screen.type("Machine of the new job", "Krause on a fan", leave=False)
    screen.press("start")
    screen.sees("for a first answer")
    screen.station("call")
    screen.choose("Why are we here?", "costly")
    screen.choose("What does the motor drive?", "backward-inclined")
    screen.choose("Is this a protected duty?", "no")
    screen.station("plate")
    for label, name in (
        ("Rated power", "rated_power"), ("Rated volts", "rated_voltage"), ("Full-load amps", "rated_current"),
        ("Rated speed", "rated_speed"), ("Frequency", "frequency"), ("Run capacitor", "run_capacitance"),
    ):  # fmt: skip
        screen.type(label, document["nameplate"][name])
    screen.choose("Phases", "one")
    screen.sees("= 1,800")
    screen.station("readings")
    screen.press("Add a set")
    for label, name in (
        ("Supply", "voltage"), ("Line amps", "current"), ("Input power", "input_power"), ("Speed, set 1", "speed"),
        ("Static, supply", "supply_static"), ("Static, return", "return_static"), ("Airflow", "airflow"),
    ):  # fmt: skip
        screen.type(label, document["readings"][0][name])
    screen.sees("= 5.0")
    screen.station("duty")
    for number, step in enumerate(document["duty"]["steps"], 1):
        screen.press("Add a step")
        screen.type(f"Step {number}, what", step["name"])
        screen.type(f"Step {number}, hours", step["hours"])
        screen.type(f"Step {number}, share", step["flow_share"])
    screen.choose("How does it meet", "by a damper or valve")
    screen.type("Energy price", "0.25")
    screen.type("Currency", "EUR")
    screen.type("Duct pressure", "0 Pa")
    screen.station("options")
    for letter, price in (("B", "220"), ("C", "420")):
        screen.opens(letter)
        screen.type(f"{letter}, price", price)
    screen.saved()
    job = job_of(application, "Krause on a fan")
    shown = application.get(f"/api/jobs/{job}")["assessment"]
    ours = json.loads(assess(Job.model_validate(KRAUSE)).model_dump_json())
    for key in ("saved_energy", "saved_money", "payback"):
        for one, other in zip(shown["options"]["options"], ours["options"]["options"], strict=True):
            figures = one[key]["figure"], other[key]["figure"]
            if figures[1] is not None:
                assert figures[0]["value"] == pytest.approx(figures[1]["value"], rel=1e-6)
                assert key != "payback" or figures[0]["low"] == pytest.approx(figures[1]["low"], rel=1e-6)
    saved = ours["options"]["options"][2]["saved_energy"]["figure"]
    screen.sees(f"= {round(saved['value'], -1):,.0f} ± {round(saved['uncertainty'], -1):,.0f}")


def test_any_result_opens_its_working_and_closes_as_before(screen: Screen, application: Application) -> None:
    screen.go(f"/jobs/{job_of(application, 'Kitchen extract fan')}/plate", "Plate")
    opener = screen.until(lambda: screen.browser.find_element(By.ID, "opens-slip"))
    screen.click(opener)
    screen.sees("Formula")
    panel = screen.browser.find_element(By.CSS_SELECTOR, "[aria-label='Working: Rated slip']").text
    assert "− n) ÷ n" in panel and "1,380" in panel and "plate" in panel and "NEMA MG 1" in panel
    screen.keys(Keys.ESCAPE)
    screen.until(lambda: not screen.browser.find_elements(By.CSS_SELECTOR, "[aria-label^='Working']"))
    assert screen.run("return document.activeElement.id") == "opens-slip"


def test_a_step_of_an_option_opens_its_working_too(screen: Screen, application: Application) -> None:
    screen.go(f"/jobs/{job_of(application, 'Waiting hall air handler')}/options", "Options")
    screen.opens("C")
    screen.click(screen.until(lambda: screen.browser.find_element(By.ID, "opens-input_power-s2-C")))
    # The workings of steps are asked for when one is opened.
    panel = screen.until(
        lambda: screen.browser.find_element(By.CSS_SELECTOR, "[aria-label^='Working: C, heating']").text
    )
    assert "1.4" in panel and "our judgement, no source" in panel and "losses of electronic motors" in panel


@pytest.mark.parametrize(
    ("text", "words"),
    [
        ("230 V", "unit of voltage"),
        ("1,23,45", "marks where no number has them"),
        ("-3", "lies between 0 and"),
        ("1e999", "finite"),
        ("soon", "cannot be read"),
    ],
)
def test_bad_input_is_refused_beside_its_box_and_nothing_else_is_lost(
    screen: Screen, application: Application, text: str, words: str
) -> None:
    screen.provoked = ["422"]
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.type("Supply, set 1", "111")
    screen.saved()
    screen.type("Line amps, set 1", text)
    alert = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "main [role=alert]"))
    assert words in alert.text
    field = screen.field("Line amps, set 1")
    assert field.get_property("value") == text and field.get_attribute("aria-invalid") == "true"
    assert screen.value("Supply, set 1") == "111"
    screen.press("put back what was there")
    assert screen.value("Line amps, set 1") == "3.19"


def test_a_speed_above_synchronous_is_kept_and_asked_about(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.type("Speed, set 1", "1,850")
    screen.sees("windmilling")
    screen.saved()
    assert screen.value("Speed, set 1") == "1,850"
    assert "withheld" in screen.text()


def test_a_window_that_is_out_of_date_is_told_and_keeps_what_was_typed(
    screen: Screen, application: Application
) -> None:
    screen.provoked = ["409"]
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/call", "Call")
    screen.field("In their words")
    revision = application.get(f"/api/jobs/{job}")["revision"]
    application.post(f"/api/jobs/{job}/changes", {"revision": revision, "path": "call/reason", "value": "hot"})
    screen.type("In their words", "typed in the old window")
    screen.sees("out of date")
    assert screen.value("In their words") == "typed in the old window"
    assert application.get(f"/api/jobs/{job}")["document"]["call"]["notes"] is None
    screen.press("show the newest")
    screen.until(
        lambda: "out of date" not in screen.browser.find_element(By.TAG_NAME, "main").text.split("Why are we here?")[0]
    )
    screen.click(screen.field("In their words"))
    screen.field("In their words").send_keys(Keys.TAB)
    screen.saved()
    kept = application.get(f"/api/jobs/{job}")["document"]["call"]
    assert (kept["notes"], kept["reason"]) == ("typed in the old window", "hot")


def test_what_is_typed_is_saved_while_the_cursor_still_stands_in_it(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.type("Line amps, set 1", "2.5 A", leave=False)
    screen.saved()
    assert application.get(f"/api/jobs/{job}")["document"]["readings"][0]["current"]["typed"] == "2.5 A"
    assert screen.value("Line amps, set 1") == "2.5 A"  # nothing is rewritten under the cursor


def test_units_follow_the_reader_and_what_was_typed_stays_beside_it(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    assert screen.value("Airflow, set 1") == "510"
    screen.press("Units: L/s, Pa, W")
    screen.until(lambda: screen.value("Airflow, set 1") == "1,081")
    screen.sees("typed 510 L/s")
    screen.station("plate")
    assert screen.value("Rated power, hp") == "1/4"


def test_text_keeps_a_script_as_text(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/call", "Call")
    script = "<img src=x onerror=window.hit=1>"
    screen.type("Machine", script)
    screen.saved()
    screen.go("/", "Board")
    screen.sees(script)
    assert screen.run("return window.hit") is None


def test_an_unknown_job_and_an_unknown_page_say_so(screen: Screen) -> None:
    screen.provoked = ["404"]
    screen.go("/jobs/4711/plate", "This job cannot be shown")
    screen.sees("There is no job 4711")
    screen.go("/nowhere", "There is no such page")


def test_the_documentation_is_shown_without_fetching_anything(screen: Screen) -> None:
    screen.browser.get(f"{screen.address}/api/docs")
    screen.sees("/api/jobs/{job_id}/changes")
    with urllib.request.urlopen(f"{screen.address}/api/openapi.json", timeout=30) as answer:
        assert answer.status == 200


def test_what_would_move_which_reading_is_shown_when_asked_for(screen: Screen, application: Application) -> None:
    screen.go(f"/jobs/{job_of(application, 'Waiting hall air handler')}/readings", "Readings")
    screen.press("Show")
    screen.sees("capacitor dead")
    screen.sees("runs once turning, but will not start by itself")
    cell = screen.browser.find_element(By.XPATH, "//*[@role='row'][contains(., 'duct tighter')]//*[@role='cell'][4]")
    assert cell.get_attribute("aria-label") == "flow down"


def test_one_number_is_worked_out_by_itself_and_refused_in_a_sentence(screen: Screen) -> None:
    screen.go("/", "Board")
    screen.press("Workings", "a")
    screen.click(screen.until(lambda: screen.browser.find_element(By.LINK_TEXT, "Slip")))
    screen.sees("waits for the values above")
    fields = {"Speed": "1,075 rpm", "Frequency of the supply": "60 Hz", "Poles, not pole pairs": "6"}
    for label, text in fields.items():
        worked_field(screen, label).send_keys(text)
    screen.sees("Slip: 10.4")
    screen.sees("Definition.")
    worked_field(screen, "Speed").send_keys(Keys.CONTROL, "a")
    worked_field(screen, "Speed").send_keys("1,812 rpm")
    screen.sees("1,812 rpm is above the synchronous 1,200 rpm of six poles")
    screen.provoked.append("422")


def worked_field(screen: Screen, label: str) -> Any:
    """The field of a working by its label."""
    return screen.browser.find_element(By.XPATH, f"//main//label[contains(., '{label}')]//input")
