"""Ways of using it: by keyboard, by touch on narrow screens, by screen reader, and through a crash."""

from __future__ import annotations

import os
import signal
import time

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.jobs import KRAUSE, changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_walk import job_of, taken_in

PAGES = ["/", "call", "plate", "readings", "findings", "duty", "options", "decision", "/catalogue"]
HEADINGS = {"/": "Board", "/catalogue": "Catalogue"}


def open_page(screen: Screen, application: Application, page: str, machine: str = "Kitchen extract fan") -> None:
    path = page if page in HEADINGS else f"/jobs/{job_of(application, machine)}/{page}"
    screen.go(path, HEADINGS.get(page, page.capitalize()))
    screen.sees("EC motor" if page == "/catalogue" else machine)


@pytest.mark.parametrize(("width", "height"), [(768, 1024), (390, 844)])
def test_one_touch_opens_the_balance_on_a_narrow_screen(
    screen: Screen, application: Application, width: int, height: int
) -> None:
    screen.size(width, height)
    screen.go(f"/jobs/{job_of(application, 'Waiting hall air handler')}/readings", "Readings")
    screen.press("open the")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] svg[data-balance]").is_displayed())
    screen.keys(Keys.ESCAPE)
    screen.until(lambda: not screen.browser.find_elements(By.CSS_SELECTOR, "dialog[open]"))


def test_a_job_is_done_from_the_keyboard(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE, readings=[], nameplate__rated_speed=None, nameplate__frequency=None))
    screen.go(f"/jobs/{job}/call", "Call")
    screen.keys(Keys.ALT, "2")
    screen.until(lambda: screen.heading() == "Plate")
    screen.keys(Keys.ENTER)  # to the next best reading
    focused = "return document.activeElement.dataset.field"
    screen.until(lambda: screen.run(focused) == "nameplate/frequency")
    screen.keys("60")
    screen.keys(Keys.ENTER)
    screen.until(lambda: screen.run(focused) == "nameplate/rated_speed")
    screen.keys("1725")
    screen.keys(Keys.ARROW_DOWN)
    assert screen.run(focused) == "nameplate/frequency"
    screen.sees("= 1,800")
    screen.saved()
    screen.keys(Keys.CONTROL, "z")
    screen.until(lambda: screen.value("Rated speed") == "")
    screen.keys(Keys.CONTROL, Keys.SHIFT, "z")
    screen.until(lambda: screen.value("Rated speed") == "1725")
    screen.keys(Keys.ALT, "3")
    screen.until(lambda: screen.heading() == "Readings")
    screen.keys("n")
    screen.field("Supply, set 1")
    screen.keys("n")
    screen.click(screen.field("Supply, set 2"))
    screen.keys(Keys.ALT, Keys.ARROW_LEFT)
    assert screen.run(focused) == "readings/s1/voltage"
    screen.keys(Keys.ARROW_DOWN)
    assert screen.run(focused) == "readings/s1/current"
    screen.keys("99 V")
    screen.keys(Keys.ESCAPE)
    assert screen.value("Line amps, set 1") == ""
    screen.run("document.activeElement.blur()")
    screen.keys("?")
    screen.sees("next best reading")
    screen.keys(Keys.ESCAPE)
    screen.keys("b")
    screen.until(lambda: screen.heading() == "Board")
    screen.keys("/")
    screen.keys("quarter horse")
    screen.until(lambda: "Kitchen extract fan" not in screen.text())


def test_the_next_reading_is_one_press_away_even_on_another_sheet(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE, machine__type=None))
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.sees("What the motor drives.")
    screen.press("Go on at Call")
    screen.until(lambda: screen.heading() == "Call")
    script = "return document.activeElement.closest('[data-field]')?.dataset.field"
    screen.until(lambda: screen.run(script) == "machine/type")


def test_a_name_once_typed_goes_with_every_change(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/call", "Call")
    screen.keys("?")
    name = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] input"))
    name.send_keys("Marit, night shift")
    screen.keys(Keys.ESCAPE)
    screen.choose("Why are we here?", "noisy")
    screen.saved()
    assert application.get(f"/api/jobs/{job}/changes")[-1]["who"] == "Marit, night shift"


def test_protected_duty_shows_its_stop_where_a_lower_flow_would_be_proposed(
    screen: Screen, application: Application
) -> None:
    open_page(screen, application, "options")
    stop = screen.browser.find_element(By.CSS_SELECTOR, "main [role=alert]")
    assert "Stop" in stop.text and "Nobody can waive this here" in stop.text
    screen.opens("C")
    screen.sees("held at the protected flow")
    assert "Stop" in screen.rail("options") and "Stop" in screen.rail("duty")


def test_an_empty_job_says_what_each_curve_waits_for(screen: Screen) -> None:
    screen.go("/", "Board")
    screen.type("Machine of the new job", "Only a name", leave=False)
    screen.press("start")
    screen.until(lambda: screen.heading() == "In short")
    screen.station("call")
    screen.browser.find_element(By.CSS_SELECTOR, "[data-open-balance]").click()
    screen.sees("No curves yet.")
    screen.sees("The machine's curve waits")
    screen.browser.switch_to.active_element.send_keys(Keys.ESCAPE)
    screen.station("options")
    screen.sees("as soon as the machine of today")


def test_a_crash_of_the_server_or_the_database_loses_nothing_typed(screen: Screen, application: Application) -> None:
    screen.provoked = ["ERR_CONNECTION_REFUSED", "503", "ERR_CONNECTION_RESET", "ERR_EMPTY_RESPONSE"]
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.type("Line amps, set 1", "2.51")
    screen.saved()
    application.stop(signal.SIGKILL)
    screen.type("Line amps, set 1", "2.52")
    screen.sees("kept in this browser, not yet saved")
    application.start()
    screen.saved()
    os.kill(application.database_processes()[0], signal.SIGKILL)
    screen.type("Line amps, set 1", "2.53")
    time.sleep(1)
    application.wait_until_it_answers()
    screen.saved()
    screen.browser.refresh()
    assert screen.value("Line amps, set 1") == "2.53"


def test_a_draft_outlives_a_reload_of_the_page(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.type("Speed, set 1", "1,722", leave=False)
    screen.browser.refresh()
    screen.saved()
    assert application.get(f"/api/jobs/{job}")["document"]["readings"][0]["speed"]["typed"] == "1,722"


GONE = [
    "ERR_CONNECTION_REFUSED",
    "503",
    "409",
    "ERR_CONNECTION_RESET",
    "ERR_SOCKET_NOT_CONNECTED",
    "ERR_EMPTY_RESPONSE",
    "dynamically imported module",
]


def another_window(application: Application, job: int, path: str, value: str) -> None:
    revision = application.get(f"/api/jobs/{job}")["revision"]
    application.post(f"/api/jobs/{job}/changes", {"revision": revision, "path": path, "value": value, "who": "B. Pier"})


def test_what_is_done_while_the_server_is_away_outlives_the_tab_and_is_done_once(
    screen: Screen, application: Application
) -> None:
    """A choice, a set, a job begun, a station that was never opened; and a page closed before the server is back."""
    screen.provoked = GONE
    job = taken_in(application, KRAUSE)
    screen.browser.execute_cdp_cmd("Network.clearBrowserCache", {})  # other tests have opened every station before
    screen.go(f"/jobs/{job}/call", "Call")
    application.stop(signal.SIGKILL)
    screen.choose("Why are we here?", "noisy")
    screen.sees("kept in this browser, not yet saved")
    screen.run("[...document.querySelectorAll('a')].find((one) => one.href.endsWith('/proof')).click()")
    screen.sees("This page waits for the server")
    screen.keys("b")  # the Board was not opened in this tab before
    screen.until(lambda: screen.heading() in ("Board", "This page could not be opened"))
    screen.browser.get("about:blank")
    application.start()
    screen.go("/", "Board")  # any page sends what waits, whatever it belongs to
    screen.until(lambda: application.get(f"/api/jobs/{job}")["document"]["call"]["reason"] == "noisy")
    assert len(application.get(f"/api/jobs/{job}/changes")) == 1


def test_a_job_begun_without_the_server_is_said_to_wait_and_begun_once(
    screen: Screen, application: Application
) -> None:
    screen.provoked = GONE
    screen.go("/", "Board")
    application.stop(signal.SIGKILL)
    screen.type("Machine of the new job", "Begun in the cellar", leave=False)
    screen.press("start")
    screen.sees("Kept in this browser, not yet saved: a job on “Begun in the cellar”")
    application.start()
    screen.until(lambda: "Kept in this browser" not in screen.text())
    lines = [one["machine"] for site in application.get("/api/board") for one in site["jobs"]]
    assert lines.count("Begun in the cellar") == 1
    screen.sees("Begun in the cellar")


def test_a_choice_that_meets_anothers_is_shown_for_a_decision_and_never_called_done(
    screen: Screen, application: Application
) -> None:
    screen.provoked = GONE
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/call", "Call")
    application.stop(signal.SIGKILL)
    screen.choose("Why are we here?", "noisy")
    screen.sees("kept in this browser, not yet saved")
    screen.browser.get("about:blank")
    application.start()
    another_window(application, job, "call/reason", "dead")
    screen.go(f"/jobs/{job}/call", "Call")
    screen.sees("in another window it became “dead” meanwhile")
    assert application.get(f"/api/jobs/{job}")["document"]["call"]["reason"] == "dead"
    screen.press("do it on the newest")
    screen.saved()
    assert application.get(f"/api/jobs/{job}")["document"]["call"]["reason"] == "noisy"


def test_a_seized_motor_is_a_stop_and_no_end_of_the_page(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.type("Speed, set 1", "0")
    screen.saved()
    screen.station("findings")
    screen.sees("the motor stood still while it took current")
