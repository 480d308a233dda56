"""What stands behind the words and pictures of a screen: what a label means, the table of a picture, times on the reader's clock."""

from __future__ import annotations

import re
from collections.abc import Iterator
from contextlib import contextmanager

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.jobs import KRAUSE, changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_walk import job_of, taken_in


@contextmanager
def on_a_clock_in(screen: Screen, zone: str) -> Iterator[None]:
    """The browser as it stands somewhere else on earth."""
    screen.browser.execute_cdp_cmd("Emulation.setTimezoneOverride", {"timezoneId": zone})
    try:
        yield
    finally:
        screen.browser.execute_cdp_cmd("Emulation.setTimezoneOverride", {"timezoneId": ""})


def test_a_label_says_what_is_meant_and_leads_to_the_glossary(screen: Screen, application: Application) -> None:
    screen.go(f"/jobs/{job_of(application, 'Waiting hall air handler')}/plate", "Plate")
    assert "At rated volts and rated power." not in screen.text()
    screen.press("Full-load amps")
    screen.sees("At rated volts and rated power.")
    opened = next(one for one in screen.all("[data-explained]") if one.text.startswith("Full-load amps"))
    assert opened.get_attribute("aria-expanded") == "true"
    screen.press("Synchronous speed")  # a result: its sentence is the glossary's own
    screen.sees("Speed of the magnetic field: 120 times the frequency over the poles.")
    screen.click(screen.browser.find_element(By.CSS_SELECTOR, "a[href='/glossary#full-load-amps']"))
    screen.until(lambda: screen.heading() == "Glossary")
    focused = screen.until(lambda: screen.run("return document.activeElement.id") or None)
    assert focused == "full-load-amps"
    top, foot = screen.run(
        "const b = document.activeElement.getBoundingClientRect(); return [b.top, innerHeight - b.bottom]"
    )
    assert top > 46 and foot > 0, "clear of the bar above it, and on the screen"


def test_tab_goes_from_field_to_field_and_f1_says_what_one_means(screen: Screen, application: Application) -> None:
    screen.go(f"/jobs/{job_of(application, 'Waiting hall air handler')}/plate", "Plate")
    screen.field("Rated volts").send_keys(Keys.TAB)
    focused = "return document.activeElement.dataset.field"
    assert screen.run(focused) == "nameplate/rated_current"
    screen.keys(Keys.F1)
    screen.sees("At rated volts and rated power.")
    assert screen.run(focused) == "nameplate/rated_current", "the focus stays where the hand is"
    screen.keys(Keys.F1)
    screen.until(lambda: "At rated volts and rated power." not in screen.text())


def test_the_table_behind_a_picture_holds_what_is_drawn(screen: Screen, application: Application) -> None:
    screen.go(f"/jobs/{job_of(application, 'Waiting hall air handler')}/duty", "Duty")
    screen.press("as a table")
    rows = [row.text.split() for row in screen.all("figure tbody tr")]
    assert [(row[0], row[1], row[2]) for row in rows] == [
        ("cooling", "1,450", "100"), ("heating", "1,900", "75"), ("circulating", "3,200", "50"),
    ]  # fmt: skip
    watts = [float(row[3].replace(",", "")) for row in rows]
    said = screen.browser.find_element(By.CSS_SELECTOR, "figure svg").get_attribute("aria-label") or ""
    told = [float(one.replace(",", "")) for one in re.findall(r"([\d,]+) W", said)]
    assert told == pytest.approx(watts, abs=0.6) and watts == sorted(watts, reverse=True), "each is rounded once"


def test_times_are_typed_and_told_on_the_readers_own_clock_and_kept_as_one(
    screen: Screen, application: Application
) -> None:
    job = taken_in(application, changed(KRAUSE, readings__0__taken_at="2026-03-02 01:30"))
    with on_a_clock_in(screen, "America/Los_Angeles"):
        screen.go(f"/jobs/{job}/readings", "Readings")
        screen.press("State of duct and set")
        assert screen.value("When, set 1") == "2026-03-01 17:30"
        screen.sees("UTC−8")
        screen.type("When, set 1", "2026-03-01 18:45")
        screen.saved()
        assert screen.value("When, set 1") == "2026-03-01 18:45"
    kept = application.get(f"/api/jobs/{job}")["document"]["readings"][0]["taken_at"]
    assert kept == "2026-03-02 02:45"
    with on_a_clock_in(screen, "Asia/Kolkata"):
        screen.go(f"/jobs/{job}/readings", "Readings")
        screen.press("State of duct and set")
        screen.until(lambda: screen.value("When, set 1") == "2026-03-02 08:15")
        screen.sees("UTC+5:30")


def test_a_station_that_waits_leads_back_to_what_it_waits_for(screen: Screen, application: Application) -> None:
    screen.go(f"/jobs/{job_of(application, 'Waiting hall air handler')}/setup", "Set-up")
    screen.sees("Waits for Decision.")
    screen.press("Go on at Decision")
    screen.until(lambda: screen.heading() == "Decision")


def test_the_panel_card_says_each_figure_with_its_unit_large(screen: Screen, application: Application) -> None:
    job = job_of(application, "Baggage hall air handler")
    screen.go(f"/jobs/{job}/card")
    large = screen.until(lambda: screen.all("td[data-large]"))
    assert all(float(one.value_of_css_property("font-size").removesuffix("px")) >= 20 for one in large)
    first = screen.all("tbody tr")[0].text
    assert "cfm" in first and "W" in first and " A" in first
    heads = [one.text for one in screen.all("thead th")]
    assert {"V", "A", "W", "rpm"} <= set(heads), "what was read then has its units in the head"
