"""In the browser, with the simulated devices: an electronic fan and a drive set up, one saving proved, one not provable, a fault in the log."""

from __future__ import annotations

import time
from collections.abc import Callable
from typing import Any

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.select import Select

from tests.core.setup.test_plate_loop import JOB as PLATE_JOB
from tests.core.setup.test_setup_answer import HALL, WAITING
from tests.faster import FASTER
from tests.jobs import changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_choose import pressed
from tests.web.test_find import opened
from tests.web.test_walk import job_of, taken_in

LONGEST_S = 90.0
STEADY_S = 10.0 / FASTER
"""Seconds in which the simulated devices' machines settle after a small change of their command."""


def _go_on(screen: Screen) -> None:
    """A sweep waits for its reader where a busy machine let a simulated device answer too late: the reader lets it go on."""
    if "gave no whole answer" in screen.text():
        for button in screen.browser.find_elements(By.TAG_NAME, "button"):
            if button.text.startswith("Go on:"):
                button.click()


def patiently(screen: Screen, condition: Callable[[], Any]) -> Any:
    """Wait for something that a machine takes its time for."""
    deadline = time.monotonic() + LONGEST_S
    while time.monotonic() < deadline:
        try:
            return screen.until(condition)
        except AssertionError:
            _go_on(screen)
    runs = [
        one.text for one in screen.browser.find_elements(By.CSS_SELECTOR, "[data-loop-run], [data-sweep], [role=alert]")
    ]
    raise AssertionError(f"waited in vain; runs: {runs}; the page says:\n{screen.text()[:3000]}")


def open_step(screen: Screen, step: str) -> None:
    """Open a step of the list, if it is not open."""
    head = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'[data-step="{step}"] > button'))
    if head.get_attribute("aria-expanded") == "false":
        screen.run("arguments[0].click()", head)


def signed(screen: Screen, step: str) -> None:
    """Sign a step as done."""
    open_step(screen, step)
    pressed(screen, f'[data-step="{step}"] [data-sign="done"]:not([disabled])')
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'[data-step="{step}"] [data-signed]'))


def picked(screen: Screen, label: str, choice: str) -> None:
    """Pick from a list, once it holds the choice."""
    screen.until(lambda: choice in [one.text for one in Select(screen.field(label)).options])
    Select(screen.field(label)).select_by_visible_text(choice)


def typed(screen: Screen, path: str, text: str) -> None:
    """Type into the field at a path, and leave it."""
    field = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'[data-field="{path}"]'))
    field.send_keys(Keys.CONTROL, "a")
    field.send_keys(text, Keys.TAB)


def button_in(screen: Screen, inside: str, words: str) -> None:
    """Press the button that begins with some words, inside a part of the page."""

    def found() -> Any:
        part = screen.browser.find_element(By.CSS_SELECTOR, inside)
        return next((one for one in part.find_elements(By.TAG_NAME, "button") if one.text.startswith(words)), None)

    screen.run("arguments[0].click()", screen.until(found))


def written(screen: Screen, inside: str, label: str) -> None:
    """Look at what would be written, write it, and see it read back."""
    button_in(screen, inside, label)
    pressed(screen, f"{inside} [data-write]")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{inside} [data-outcome="agrees"]'))


def balanced(screen: Screen, step: str) -> int:
    """Write, let it run, read, until the loop says inside; gives how many readings that took."""
    here = f'[data-command="{step}"]'
    for count in range(1, 5):
        written(screen, here, "Write it to the device")
        time.sleep(STEADY_S)
        button_in(screen, here, "Read the panel")
        screen.until(lambda n=count: len(screen.browser.find_elements(By.CSS_SELECTOR, f"{here} [data-trial]")) == n)
        screen.saved()
        told = screen.browser.find_element(By.CSS_SELECTOR, f"{here} [data-advice]").get_attribute("data-advice")
        if told == "inside":
            return count
    raise AssertionError(f"not inside after four readings: {screen.text()[:2000]}")


def named(screen: Screen) -> None:
    """Say who works here."""
    screen.go("/", "Board")
    screen.run("localStorage.setItem('modest-rotor who', '\"Ann Tide\"')")


def test_an_electronic_fan_is_set_up_and_its_saving_proved(screen: Screen, application: Application) -> None:
    named(screen)
    job = taken_in(application, changed(WAITING, decision={}))
    screen.go(f"/jobs/{job}/setup", "Set-up")
    screen.sees("Waits for Decision")
    screen.station("decision")
    screen.press("Choose C")
    screen.saved()
    screen.station("setup")
    picked(screen, "Electronic motor", "Waiting hall blower, electronic motor")
    screen.saved()
    picked(screen, "Meter panel", "Waiting hall blower, meter panel")
    screen.saved()
    signed(screen, "isolate")
    assert "Ann Tide" in screen.browser.find_element(By.CSS_SELECTOR, '[data-step="isolate"]').text

    open_step(screen, "voltage_selector")
    screen.type("Volts measured here", "231")
    screen.type("Voltage selector or tap is set for", "115 V")
    screen.sees("Nobody can waive this")
    assert "stop" in screen.rail("setup").lower()
    assert "held up" in screen.rail("proof")
    open_step(screen, "power")
    refused = screen.until(
        lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-step="power"] [data-sign="done"]')
    )
    assert refused.get_property("disabled")
    screen.sees("this step rests on them.")
    for step in ("prove_dead", "discharge_capacitor"):
        signed(screen, step)
    open_step(screen, "voltage_selector")
    screen.type("Voltage selector or tap is set for", "208-230 V")
    screen.type("The same, measured again", "230")
    screen.until(lambda: "stop" not in screen.rail("setup").lower())
    signed(screen, "voltage_selector")

    open_step(screen, "commands")
    for step, share in (("s1", "full"), ("s3", "half")):
        readings = balanced(screen, step)
        assert readings <= 4
        screen.station("proof")
        screen.type("Name of the set", share)
        pressed_read(screen)
        screen.station("setup")
        open_step(screen, "commands")
    screen.station("proof")
    verdict = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "[data-verdict]"))
    assert verdict.get_attribute("data-verdict") in ("so-far", "above"), verdict.text
    assert "kWh" in screen.rail("proof")
    screen.type("Role", "plant")
    pressed(screen, "[data-sign-off]")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-signed-off="1"]'))
    screen.press("read what was signed", "a")
    screen.sees("As signed off by Ann Tide, plant.")


def pressed_read(screen: Screen) -> None:
    """Read a set from the panel and wait until it stands there."""
    before = len(screen.browser.find_elements(By.CSS_SELECTOR, '[aria-label^="Set after"] option'))
    screen.press("Read a set from the panel")
    screen.saved()
    screen.until(
        lambda: len(screen.browser.find_elements(By.CSS_SELECTOR, '[aria-label^="Set after"] option')) != before
    )


def test_a_drive_is_swept_set_and_read_back_and_amps_alone_prove_nothing(
    screen: Screen, application: Application
) -> None:
    named(screen)
    job = taken_in(application, HALL)
    screen.go(f"/jobs/{job}/setup", "Set-up")
    open_step(screen, "drive_settings")
    written(screen, '[data-step="drive_settings"]', "Write the settings")

    open_step(screen, "sweep")
    opened(screen, "From, to, step, hold")
    for field, text in (("low", "44 Hz"), ("hold", "0.8 s"), ("limit", "70 dB(A)")):
        typed(screen, f"setup/sweep/{field}", text)
    screen.saved()
    here = '[data-step="sweep"]'
    button_in(screen, here, "Sweep through")
    pressed(screen, f"{here} [data-write]")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-sweep="running"]'))
    patiently(screen, lambda: swept_to(screen) >= 45.0)
    screen.run("document.activeElement.blur()")
    screen.keys("l")
    patiently(screen, lambda: swept_to(screen) >= 47.0)
    pressed(screen, "[data-loud]")
    patiently(screen, lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-sweep="done"]'))
    marks = screen.until(lambda: screen.browser.find_elements(By.CSS_SELECTOR, "[data-mark]"))
    assert 1 <= len(marks) <= 4
    screen.until(lambda: "Skip from" in screen.browser.find_element(By.CSS_SELECTOR, "[data-sweep-outcome]").text)
    written(screen, here, "Write bands and limits")
    button_in(screen, here, "what was read back")
    assert "reads back the same" in screen.browser.find_element(By.CSS_SELECTOR, here).text

    screen.station("readings")
    screen.press("Add a set")
    screen.type("Line amps, set 2", "1.1")
    opened(screen, "State of duct and set")
    picked_stage(screen, "after")
    screen.station("proof")
    picked(screen, "Set after, events", "set 2")
    verdict = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-verdict="unprovable"]'))
    assert "amps alone never prove" in verdict.text


def swept_to(screen: Screen) -> float:
    """The hertz at which a sweep stands."""
    words = screen.browser.find_element(By.CSS_SELECTOR, "[data-sweep]").text.split()
    return float(words[0]) if words[1:2] == ["Hz"] else 0.0


def picked_stage(screen: Screen, stage: str) -> None:
    """Say that the second set was read after."""
    xpath = f"//*[@data-field='readings/s2/stage']//button[normalize-space(.)='{stage}'] | //select[@data-field='readings/s2/stage']"
    found = screen.until(lambda: screen.browser.find_element(By.XPATH, xpath))
    if found.tag_name == "select":
        Select(found).select_by_visible_text(stage)
    else:
        screen.run("arguments[0].click()", found)
    screen.saved()


def test_a_planted_filter_fault_is_found_in_the_log_and_a_new_filter_begins_anew(
    screen: Screen, application: Application
) -> None:
    named(screen)
    job = job_of(application, "Baggage hall air handler")
    screen.go(f"/jobs/{job}/log", "Log")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-drifts="yes"]'))
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-cause="filter or coil loaded"]'))
    moved = screen.browser.find_elements(By.CSS_SELECTOR, '[data-moved="yes"]')
    assert {one.get_attribute("data-series") for one in moved} >= {"airflow", "static", "input_power"}
    assert "filter or coil loaded" in screen.rail("log")
    screen.go("/visits", "Next visits")
    screen.sees("it drifts: filter or coil loaded")
    screen.press("Baggage hall air handler", "a")
    opened(screen, "Note a service")
    pressed(screen, "[data-add-service]")
    screen.sees("since the last service")
    assert "Caution" not in screen.until(lambda: screen.rail("log") if "since" in screen.rail("log") else "")
    screen.press("Remove Filter changed")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-drifts="yes"]'))


def test_a_silent_device_never_shows_an_old_value_as_fresh(screen: Screen, application: Application) -> None:
    screen.go("/devices", "Devices")
    name = "Waiting hall blower, meter panel"
    here = f'[data-device="{name}"]'
    pressed(screen, f"{here} button")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{here}[data-state="answers"]'))
    picked(screen, f"Let {name} do wrong", "silent")
    pressed(screen, f"{here} button")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{here}[data-state="silent"]'))
    told = screen.browser.find_element(By.CSS_SELECTOR, here).text
    assert "no answer now" in told and "gave no whole answer" in told
    picked(screen, f"Let {name} do wrong", "none")
    pressed(screen, f"{here} button")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{here}[data-state="answers"]'))


def test_loud_frequencies_are_marked_by_hand_where_no_device_is_chosen(
    screen: Screen, application: Application
) -> None:
    named(screen)
    job = taken_in(application, changed(HALL, setup={"sweep": {"low": "46 Hz"}}))
    screen.go(f"/jobs/{job}/setup", "Set-up")
    open_step(screen, "sweep")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-at="46"]'))
    for _ in range(4):
        screen.press("next")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-at="50"]'))
    screen.run("document.activeElement.blur()")
    screen.keys("l")
    screen.sees("highest frequency 49.0 Hz in place of 50.0 Hz")
    screen.keys(Keys.CONTROL, "z")
    screen.until(lambda: "highest frequency 49" not in screen.text())


def test_a_restrictor_plate_is_brought_to_its_amps_and_the_set_after_is_added_from_proof(
    screen: Screen, application: Application
) -> None:
    """The chart's aim, one reading short of it, one on it; then a set of the machine as it was set up, from Proof."""
    named(screen)
    job = taken_in(application, PLATE_JOB)
    screen.go(f"/jobs/{job}/setup", "Set-up")
    open_step(screen, "commands")
    here = '[data-command="a"]'
    advice = f"{here} [data-advice]"
    screen.until(lambda: "1.98" in screen.browser.find_element(By.CSS_SELECTOR, advice).text)
    for number, (amps, told) in enumerate((("1.70", "Open it further"), ("1.98", "Inside")), 1):
        button_in(screen, here, "Type a reading")
        way = screen.until(
            lambda n=number: screen.browser.find_element(By.CSS_SELECTOR, f'[aria-label="Read by, reading {n}"]')
        )
        Select(way).select_by_visible_text("line amps")
        screen.type(f"Read, reading {number}", amps)
        screen.until(lambda words=told: words in screen.browser.find_element(By.CSS_SELECTOR, advice).text)
    screen.saved()
    screen.station("proof")
    pressed(screen, "[data-add-after]")
    screen.until(lambda: screen.heading() == "Readings")
    screen.saved()
    assert application.get(f"/api/jobs/{job}")["document"]["readings"][-1]["stage"] == "after"


def test_a_loop_is_stepped_tuned_and_watched_to_hunt_and_be_calmed(screen: Screen, application: Application) -> None:
    """A duct's static on the simulated drive, whose real machine the job knows only nearly."""
    site = {"setup__device": "Hall supply fan, drive", "setup__drive": {"ramp_up": "10 s", "ramp_down": "10 s"}}
    job = taken_in(application, changed(HALL, **site))
    screen.go(f"/jobs/{job}/setup", "Set-up")
    picked(screen, "What is it to hold?", "a duct's static")
    open_step(screen, "loop_sensor")
    picked(screen, "The sensor sits", "two thirds along")
    typed(screen, "setup/loop/pressure/span", "500 Pa")
    typed(screen, "setup/loop/pressure/set_point", "110 Pa")
    screen.until(lambda: "runs at" in shown_in(screen, '[data-step="loop_sensor"]'))
    step, watch = '[data-step="loop_gains"]', '[data-step="loop_watch"]'
    open_step(screen, "loop_gains")
    begun(screen, step, "Step the drive")
    patiently(screen, lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{step} [data-loop-run="done"]'))
    opened(screen, "The step as read")
    screen.until(lambda: screen.value("Two thirds of its way after") != "")
    button_in(screen, step, "Take the first gains")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{step} [data-tries="1"]'))
    wild = f"setup/loop/tries/{tries(application, job)[0]['id']}"
    typed(screen, f"{wild}/gain", "25")
    typed(screen, f"{wild}/integral", "2 s")
    screen.saved()
    open_step(screen, "loop_watch")
    begun(screen, watch, "Close it and watch")

    def is_told_to_hunt() -> bool:
        """Watched once more, as the page asks, where a machine at work on other tests heard too few answers to tell a swing."""
        if screen.all(f'{watch} [data-loop-run="stopped"]'):
            begun(screen, watch, "Close it and watch")
            patiently(
                screen, lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{watch} [data-loop-run="running"]')
            )
        return "swings that go on" in shown_in(screen, f'{watch} [data-loop-run="done"]')

    patiently(screen, is_told_to_hunt)
    screen.until(lambda: "It hunts" in shown_in(screen, f"{watch} [data-next-gains]"))
    button_in(screen, watch, "Try these gains")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{watch} [data-tries="2"]'))
    calm, wilder = tries(application, job)[1], tries(application, job)[0]
    assert wilder["seen"] == "hunts" and calm["gain"]["si"] == pytest.approx(25 / 3.2, rel=0.01)
    begun(screen, watch, "Close it and watch")
    patiently(screen, lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{watch} [data-loop-run="running"]'))
    button_in(screen, watch, "End it here")
    patiently(screen, lambda: screen.browser.find_element(By.CSS_SELECTOR, f'{watch} [data-loop-run="stopped"]'))


def shown_in(screen: Screen, selector: str) -> str:
    """The words of a part of the page."""
    return screen.browser.find_element(By.CSS_SELECTOR, selector).text


def begun(screen: Screen, inside: str, label: str) -> None:
    """Look at what would be written, and begin."""
    button_in(screen, inside, label)
    pressed(screen, f"{inside} [data-write]")


def tries(application: Application, job: int) -> list[dict[str, Any]]:
    """The gains of a job's loop as it holds them."""
    return application.get(f"/api/jobs/{job}")["document"]["setup"]["loop"]["tries"]  # type: ignore[no-any-return]
