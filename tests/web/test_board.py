"""The Board in the browser: found, filtered, put away and brought back, copied, many taken in; a site and whose it is."""

from __future__ import annotations

import urllib.request
from pathlib import Path

from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.jobs import KRAUSE, changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_walk import job_of, taken_in


def jobs(screen: Screen) -> list[int]:
    return [int(one.get_attribute("data-job") or 0) for one in screen.all("[data-job]")]


def does(screen: Screen, job: int, words: str) -> None:
    """Open what can be done with a job, and do one of it."""
    deeds = f'//a[@data-job="{job}"]/following-sibling::button'
    screen.run("arguments[0].click()", screen.until(lambda: screen.browser.find_element(By.XPATH, deeds)))
    button = f"//dialog[@open]//button[contains(., '{words}')]"
    screen.run("arguments[0].click()", screen.until(lambda: screen.browser.find_element(By.XPATH, button)))


def shelf(screen: Screen, words: str) -> None:
    button = f"//*[@aria-label='Shelf']/button[contains(., '{words}')]"
    screen.run("arguments[0].click()", screen.until(lambda: screen.browser.find_element(By.XPATH, button)))


def test_a_job_is_found_by_what_was_typed_into_it_and_the_address_keeps_the_search(
    screen: Screen, application: Application
) -> None:
    job = taken_in(
        application, changed(KRAUSE, call__notes="Zephyrine hears a rattle", machine__name="Found by a note")
    )
    screen.go("/", "Board")
    screen.keys("/")
    field = screen.field("Find")
    screen.until(lambda: screen.run("return document.activeElement === arguments[0]", field))
    field.send_keys("zephyrine rattle")
    screen.until(lambda: jobs(screen) == [job])
    screen.browser.refresh()
    screen.until(lambda: jobs(screen) == [job])
    screen.browser.find_element(By.CSS_SELECTOR, f'[data-job="{job}"]').click()
    screen.until(lambda: screen.heading() == "In short")
    screen.browser.back()
    screen.until(lambda: jobs(screen) == [job])
    screen.field("Find").send_keys(" nowhere")
    screen.sees("No job answers to this")
    screen.press("Show all")
    screen.until(lambda: len(jobs(screen)) > 1)


def test_a_job_is_archived_thrown_away_and_brought_back(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE, machine__name="Put away and back"))
    screen.go("/", "Board")
    screen.until(lambda: job in jobs(screen))
    does(screen, job, "Archive it")
    screen.until(lambda: job not in jobs(screen) and not screen.all("dialog[open]"))
    shelf(screen, "archived")
    screen.until(lambda: jobs(screen) == [job])
    does(screen, job, "Delete")
    screen.until(lambda: jobs(screen) == [])
    shelf(screen, "deleted")
    screen.until(lambda: jobs(screen) == [job])
    screen.sees("each is kept for 30 days")
    screen.go(f"/jobs/{job}/short", "In short")
    screen.sees("thirty days later it is gone")
    screen.press("Restore")
    screen.until(lambda: "Deleted" not in screen.text())
    screen.go("/", "Board")
    does(screen, job, "Delete")
    shelf(screen, "deleted")
    screen.until(lambda: jobs(screen) == [job])
    does(screen, job, "Restore")
    shelf(screen, "open")
    screen.until(lambda: job in jobs(screen))


def test_a_record_is_not_thrown_away_and_says_why(screen: Screen, application: Application) -> None:
    screen.provoked = ["422"]
    job = job_of(application, "Baggage hall air handler")  # finished and signed off in the demo
    screen.go("/?find=Baggage", "Board")
    screen.until(lambda: job in jobs(screen))
    does(screen, job, "Delete")
    said = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "dialog[open] [role=alert]"))
    assert "that is a record" in said.text and "archive it" in said.text
    screen.press("close")
    screen.until(lambda: not screen.all("dialog[open]") and job in jobs(screen))


def test_another_machine_like_it_is_begun_and_asks_anew_what_only_that_machine_can_answer(
    screen: Screen, application: Application
) -> None:
    job = taken_in(application, changed(KRAUSE, machine__name="The first of two"))
    screen.go("/?find=first+of+two", "Board")
    screen.until(lambda: jobs(screen) == [job])
    deeds = f'//a[@data-job="{job}"]/following-sibling::button'
    screen.run("arguments[0].click()", screen.browser.find_element(By.XPATH, deeds))
    screen.type("Name of the other machine", "The second of two", leave=False)
    screen.press("Begin it")
    screen.until(lambda: screen.heading() == "In short" and "The second of two" in screen.text())
    assert "waits for volts and amps" in screen.rail("readings")
    screen.go(f"/jobs/{job}/short", "In short")
    screen.go("/", "Board")
    screen.sees("opened last")


def test_jobs_go_out_as_one_file_and_come_in_again(screen: Screen, application: Application, tmp_path: Path) -> None:
    job = taken_in(application, changed(KRAUSE, machine__name="Zipped twice"))
    with urllib.request.urlopen(f"{application.address}/api/archive?job={job}") as answer:
        (tmp_path / "jobs.zip").write_bytes(answer.read())
    (tmp_path / "broken.zip").write_bytes(b"PK no archive")
    screen.provoked = ["422"]
    screen.go("/?find=zipped", "Board")
    screen.until(lambda: jobs(screen) == [job])
    picker = screen.browser.find_element(By.CSS_SELECTOR, 'input[aria-label="Job file to take in"]')
    picker.send_keys(str(tmp_path / "jobs.zip"))
    screen.sees("1 of 1 jobs were taken in.")
    screen.until(lambda: len(jobs(screen)) == 2)
    picker.send_keys(str(tmp_path / "broken.zip"))
    screen.sees("This is no ZIP archive that can be opened. Nothing was taken in.")
    assert len(jobs(screen)) == 2


def test_a_site_says_whose_it_is_and_is_found_by_that(screen: Screen, application: Application) -> None:
    screen.go("/", "Board")
    site = screen.until(lambda: screen.browser.find_element(By.PARTIAL_LINK_TEXT, "Old Net Loft"))
    screen.click(site)
    screen.until(lambda: screen.heading() == "Old Net Loft Community Hall")
    screen.sees("energy per year of its machines")
    keep = screen.browser.find_element(By.CSS_SELECTOR, "form button[type=submit]")
    assert keep.get_property("disabled")
    field = screen.browser.find_element(By.XPATH, "//label[contains(., 'Customer')]//input")
    field.send_keys("Net Loft Trust")
    screen.click(keep)
    screen.sees("Saved.")
    screen.go("/?find=loft+trust", "Board")
    screen.until(lambda: len(jobs(screen)) == 2)
    assert "Net Loft Trust" in screen.text()


def test_filters_are_walked_by_the_keyboard_and_fold_on_a_phone(screen: Screen, application: Application) -> None:
    screen.go("/", "Board")
    every = screen.until(lambda: jobs(screen))
    stopped = screen.browser.find_element(By.XPATH, "//*[@aria-label='Only']/button[.='stopped']")
    screen.run("arguments[0].focus()", stopped)
    screen.keys(Keys.ENTER)
    screen.until(lambda: 0 < len(jobs(screen)) < len(every))
    assert all("Stop" in one.text for one in screen.all("[data-job]"))
    screen.size(390, 844)
    screen.go("/", "Board")
    screen.until(lambda: jobs(screen))
    assert not screen.all('[aria-label="Only"]')
    screen.press("Filter")
    screen.until(lambda: screen.all('[aria-label="Only"]'))
    assert screen.run("return document.documentElement.scrollWidth") <= 390
