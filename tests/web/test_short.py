"""A job in short: from a plate to ranked candidates in one row, every state of a job on its first page, one next thing on every screen."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.select import Select

from tests.core.setup.test_setup_answer import HALL
from tests.jobs import KRAUSE, changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_setup import picked
from tests.web.test_walk import job_of, taken_in

LINE = "HP 1/4 V 110 A 2.9 RPM 1725 HZ 60 PH 1 MFD 15.4"
ROW = (
    ("Supply", "111"),
    ("Line amps", "3.19"),
    ("Speed", "1722"),
    ("Input power", "306"),
    ("Total external static", "210"),
)


def candidates(screen: Screen) -> dict[str, str]:
    """Each candidate's row by its letter."""
    rows = screen.browser.find_elements(By.CSS_SELECTOR, "[data-candidate]")
    return {str(row.get_attribute("data-candidate")): row.text for row in rows}


WATCH_HIDDEN = """
window.hidden = [];
new MutationObserver((changes) => {
  for (const { target } of changes)
    if (target.style.display === "none" && target.querySelector("input")) window.hidden.push(target.outerHTML.slice(0, 80));
}).observe(document.body, { attributes: true, attributeFilter: ["style"], subtree: true });
"""
"""Fields that are hidden while a part of the page waits lose the focus in the midst of a word."""


def test_from_a_plate_to_ranked_candidates_in_one_row_and_nothing_typed_twice(
    screen: Screen, application: Application
) -> None:
    screen.go("/", "Board")
    screen.type("Machine of the new job", "First answer", leave=False)
    screen.type("Plate of the new job in one line", LINE, leave=False).send_keys(Keys.ENTER)
    screen.until(lambda: screen.heading() == "In short")
    screen.run(WATCH_HIDDEN)
    picked(screen, "What does the motor drive?", "backward-inclined")
    building = "office air handler"  # the list of them is fetched: a busy machine shows the field before its answers
    screen.until(lambda: building in [one.text for one in Select(screen.field("Hours by kind of building")).options])
    Select(screen.field("Hours by kind of building")).select_by_visible_text(building)
    for label, text in ROW:
        screen.type(label, text)
    screen.type("Energy price", "0.20")
    screen.until(lambda: len([row for row in candidates(screen).values() if "±" in row]) >= 3)
    told = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "[data-differences]").text)
    assert "tie" in told or "more than" in told
    screen.saved()
    assert screen.run("return window.hidden") == []
    job = int(screen.browser.current_url.split("/jobs/")[1].split("/")[0])
    kept = application.get(f"/api/jobs/{job}")["document"]
    assert kept["nameplate"]["rated_current"]["si"] == 2.9 and kept["nameplate"]["run_capacitance"][
        "si"
    ] == pytest.approx(15.4e-6)
    assert kept["readings"][0]["input_power"]["typed"] == "306" and kept["duty"]["steps"][0]["hours_from"] == "template"
    screen.station("readings")
    assert screen.value("Line amps, set 1") == "3.19"


@pytest.mark.parametrize(
    ("machine", "words"),
    [
        ("Waiting hall air handler", ("What each saves", "stands at")),
        ("Kitchen extract fan", ("Stop", "Protected duty")),
        ("Washroom extract, north", ("the motor is dead", "Go on at")),
    ],
)
def test_the_first_page_tells_every_state_of_a_job(
    screen: Screen, application: Application, machine: str, words: tuple[str, ...]
) -> None:
    screen.go(f"/jobs/{job_of(application, machine)}", "In short")
    for one in words:
        screen.sees(one)


def test_the_chosen_one_is_marked_and_a_stopped_one_stands_last_without_a_number(
    screen: Screen, application: Application
) -> None:
    screen.go(f"/jobs/{taken_in(application, HALL)}/short", "In short")
    rows = screen.until(lambda: candidates(screen))
    assert "chosen" in rows["D"]
    screen.go(f"/jobs/{job_of(application, 'Waiting hall air handler')}/short", "In short")
    shown = screen.until(lambda: candidates(screen))
    assert next(iter(shown)) == "C" and "F" not in list(shown)[:-1]


@pytest.mark.parametrize("size", [(1280, 800), (768, 1024), (390, 844)])
def test_the_next_thing_is_one_filled_button_at_the_foot_and_enter_presses_it(
    screen: Screen, application: Application, size: tuple[int, int]
) -> None:
    job = taken_in(application, changed(KRAUSE, call__protected=None))
    screen.size(*size)
    for station, heading in (("short", "In short"), ("call", "Call"), ("readings", "Readings"), ("options", "Options")):
        screen.go(f"/jobs/{job}/{station}", heading)
        screen.until(lambda: len(screen.browser.find_elements(By.CSS_SELECTOR, "[data-next-bar]")) == 1)
        box = screen.run(
            "const r = document.querySelector('[data-next-bar]').getBoundingClientRect(); return [r.bottom, innerHeight]"
        )
        assert box[0] <= box[1] + 1
    screen.go(f"/jobs/{job}/short", "In short")
    screen.sees("Go on at Call")
    screen.keys(Keys.ENTER)
    screen.until(lambda: screen.heading() == "Call")


def test_on_a_phone_every_station_is_one_list_away(screen: Screen, application: Application) -> None:
    screen.size(390, 844)
    screen.go(f"/jobs/{taken_in(application, KRAUSE)}/short", "In short")
    screen.run("document.querySelector('[data-stations]').click()")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] [data-station=options]"))
    screen.run("document.querySelector('dialog[open] [data-station=options]').click()")
    screen.until(lambda: screen.heading() == "Options")


def test_a_caution_that_was_read_today_folds_to_its_first_line_and_never_goes_away(
    screen: Screen, application: Application
) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.sees("Prove the meter before and after")
    screen.press("read", "main//button")
    screen.until(lambda: "Prove the meter before and after" not in screen.text())
    screen.browser.refresh()
    screen.sees("Live measurements only by people qualified")
    assert "Prove the meter before and after" not in screen.text()
    screen.press("all of it")
    screen.sees("Prove the meter before and after")


def test_single_keys_can_be_switched_off_and_the_first_tab_leads_past_the_bars(
    screen: Screen, application: Application
) -> None:
    screen.go(f"/jobs/{taken_in(application, KRAUSE)}/plate", "Plate")
    screen.keys(Keys.TAB)
    assert screen.run("return document.activeElement.hasAttribute('data-skip')")
    screen.keys(Keys.ENTER)
    screen.until(lambda: screen.run("return document.activeElement.tagName") == "H1")
    screen.run("localStorage.setItem('modest-rotor keys', 'false')")
    screen.browser.refresh()
    screen.until(lambda: screen.heading() == "Plate")
    screen.keys("b")
    assert screen.heading() == "Plate"
    screen.run("localStorage.setItem('modest-rotor keys', 'true')")
    screen.keys("b")
    screen.until(lambda: screen.heading() == "Board")
