"""A round of readings on a phone: one at a time, cautions first, what cannot be read; sets shown as many as there is room for."""

from __future__ import annotations

from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.jobs import KRAUSE, changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_find import opened
from tests.web.test_walk import taken_in

BARE = changed(KRAUSE, readings=[{"id": "s1", "name": "as found"}])


def at(screen: Screen) -> str:
    return str(screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] h2")).text)


def typed(screen: Screen, text: str) -> None:
    """Type into the field that has the cursor: the round put it there."""
    screen.until(lambda: screen.run("return document.activeElement.matches('dialog[open] input')"))
    screen.keys(text)


def test_a_round_of_readings_is_walked_on_a_phone_and_lands_in_the_job(
    screen: Screen, application: Application
) -> None:
    job = taken_in(application, BARE)
    steps = application.get(f"/api/jobs/{job}")["assessment"]["round"]
    screen.size(390, 844)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.press("One reading at a time")
    screen.until(lambda: at(screen) == "Capacitor, out of circuit")
    caution = screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] [role=note]")
    figure = screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] input")
    assert "discharge through a resistor and prove it" in caution.text
    assert caution.rect["y"] + caution.rect["height"] <= figure.rect["y"]  # before the hand, not after it
    screen.press("Cannot read")
    screen.press("not safe")
    screen.until(lambda: at(screen) == "Supply")
    typed(screen, "110")
    screen.keys(Keys.ENTER)
    screen.until(lambda: at(screen) == "Line amps")
    typed(screen, "2.6")
    onward = screen.browser.find_element(By.CSS_SELECTOR, "[data-onward]")
    assert onward.text == "Next: input power" and onward.rect["height"] >= 44
    onward.click()
    screen.until(lambda: at(screen) == "Input power")
    screen.until(lambda: "saved" in screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] [role=status]").text)
    screen.keys(Keys.ESCAPE)
    screen.until(lambda: not screen.all("dialog[open]"))
    opened(screen, "Capacitor and auxiliary winding")
    screen.sees("not read: not safe")
    kept = application.get(f"/api/jobs/{job}")["document"]["readings"][0]
    assert kept["voltage"]["si"] == 110 and kept["current"]["si"] == 2.6
    assert kept["unread"] == [{"field": "capacitance", "why": "unsafe"}]
    screen.press("One reading at a time")  # goes on where the round was left
    screen.until(lambda: at(screen) == "Input power")
    ticks = screen.all("dialog[open] button[aria-current=step]")
    assert ticks[0].text.startswith("opened, 2 of") and len(steps) >= 10


def test_what_was_refused_stays_in_the_figure_with_its_reason(screen: Screen, application: Application) -> None:
    screen.provoked = ["422"]
    job = taken_in(application, BARE)
    screen.size(390, 844)
    screen.go(f"/jobs/{job}/readings?one=current", "Readings")
    screen.until(lambda: at(screen) == "Line amps")
    typed(screen, "2.6 V")
    screen.keys(Keys.ENTER)
    screen.until(lambda: at(screen) == "Input power")
    alert = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] [role=alert]"))
    assert "Line amps was not taken" in alert.text
    alert.find_element(By.TAG_NAME, "button").click()
    screen.until(lambda: at(screen) == "Line amps")
    assert screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] input").get_property("value") == "2.6 V"
    assert "unit of voltage" in screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] [role=alert]").text


def test_a_phone_shows_one_set_with_its_change_and_the_newest_first(screen: Screen, application: Application) -> None:
    third = {**KRAUSE["document"]["readings"][0], "id": "s9", "name": "third", "current": "2.1 A"}
    job = taken_in(application, changed(KRAUSE, readings=[*KRAUSE["document"]["readings"][:2], third]))
    count = len(application.get(f"/api/jobs/{job}")["document"]["readings"])
    screen.size(390, 844)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.until(lambda: screen.all(f'[aria-label="Line amps, set {count}, A"]'))
    assert not screen.all('[aria-label="Line amps, set 1, A"]')
    picks = [one.text for one in screen.all('[aria-label="Which set"] button')]
    assert picks[0].endswith("third") and len(picks) == count
    assert f"from {count - 1} to {count}" in screen.text()
    screen.run("arguments[0].click()", screen.all('[aria-label="Which set"] button')[-1])
    screen.until(lambda: screen.all('[aria-label="Line amps, set 1, A"]'))
    assert screen.run("return document.documentElement.scrollWidth") <= 390
    screen.size(1280, 800)
    screen.until(lambda: all(screen.all(f'[aria-label="Line amps, set {n}, A"]') for n in range(1, count + 1)))
