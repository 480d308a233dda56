"""From duty to a chosen option and its report in the browser; stops that hold; an import with bad rows; the PDF read back."""

from __future__ import annotations

import io
import urllib.request
from pathlib import Path
from typing import Any

from pypdf import PdfReader
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from tests.formats.test_logger_csv import log, rows
from tests.jobs import KRAUSE, changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_find import opened
from tests.web.test_walk import taken_in

WITHOUT_DUTY = changed(KRAUSE, duty={"part_flow": "by a damper or valve", "energy_price": "0.25 per kWh"}, options={})


def fetched(application: Application, path: str) -> bytes:
    with urllib.request.urlopen(application.address + path) as answer:
        return bytes(answer.read())


def brought(screen: Screen, label: str, folder: Path, name: str, text: str) -> None:
    """Bring a file through its field."""
    file = folder / name
    file.write_text(text, encoding="utf-8")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, f'input[aria-label="{label}"]')).send_keys(
        str(file)
    )


def pressed(screen: Screen, selector: str) -> None:
    """Press what a selector finds, wherever it has been scrolled to."""
    screen.run("arguments[0].click()", screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, selector)))


def test_from_duty_to_a_chosen_option_and_its_report(screen: Screen, application: Application, tmp_path: Path) -> None:
    job = taken_in(application, WITHOUT_DUTY)
    screen.go(f"/jobs/{job}/duty", "Duty")
    opened(screen, "From a logger’s file")
    brought(screen, "Logger CSV file", tmp_path, "log.csv", log(rows(2000)))
    screen.sees("2,000 rows over 6.9 days")
    screen.press("Take over as one step")
    screen.until(lambda: screen.value("Step 1, hours a year").startswith("29"))
    screen.saved()
    screen.sees("Logger: Motor A")
    screen.station("options")
    screen.press("Add an option")
    screen.press("electronic, torque taps")
    screen.press("Electronic motor 1/2 hp, five torque taps")
    screen.sees("Do its volts, or its link, suit those measured here?")  # 110 V measured, made for 208 to 230 V
    screen.press("Add an option")
    screen.press("electronic, torque taps")
    screen.press("none yet")
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-saved-F"))
    screen.type("C, price", "420")
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-payback-C"))
    screen.station("decision")
    screen.press("Choose C")
    screen.type("Why", "It keeps the air and takes fewer watts.")
    screen.type("For whom", "The owner")
    screen.saved()
    assert "C, electronic" in screen.rail("decision")
    text = "".join(
        page.extract_text() for page in PdfReader(io.BytesIO(fetched(application, f"/api/jobs/{job}/report.pdf"))).pages
    )
    assert "It keeps the air and takes fewer watts." in text and "for The owner" in text and "±" in text
    screen.press("view to print", "a")
    screen.sees("Recommendation")
    screen.sees("It keeps the air and takes fewer watts.")
    screen.sees("Stop: Do its volts, or its link, suit those measured here?")


def test_a_stop_takes_a_name_and_a_reason_and_one_takes_nobody_s(screen: Screen, application: Application) -> None:
    considered = [{"id": "one", "kind": "electronic"}, {"id": "two", "kind": "voltage regulator"}]
    fitting = {"listing_allows": "no", "start_switch": "yes"}
    job = taken_in(application, changed(KRAUSE, options={"considered": considered, "fitting": fitting}))
    screen.go(f"/jobs/{job}/options", "Options")
    screen.sees("withheld: the stop stands first")
    screen.until(lambda: len(screen.browser.find_elements(By.XPATH, "//button[.='what lifts it']")) == 2)
    regulator = screen.browser.find_elements(By.XPATH, "//button[.='what lifts it']")[1]
    screen.run("arguments[0].click()", regulator)
    stop = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-check="start_switch"]'))
    assert "Nobody can waive this." in stop.text and not stop.find_elements(By.TAG_NAME, "input")
    screen.run("arguments[0].click()", screen.browser.find_elements(By.XPATH, "//button[.='what lifts it']")[0])
    listing = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-check="listing"]'))
    answer = listing.find_element(By.TAG_NAME, "button")
    assert answer.get_property("disabled")
    screen.type("Who answers for it", "Site engineer", leave=False)
    assert answer.get_property("disabled")
    listing.find_element(By.CSS_SELECTOR, '[aria-label="Why"]').send_keys("no listed appliance")
    screen.until(lambda: not answer.get_property("disabled"))
    screen.run("arguments[0].click()", answer)
    screen.sees("Site engineer answers for it: no listed appliance")
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-saved-B"))
    screen.station("decision")
    screen.sees("Stopped")


def test_what_is_dragged_moves_the_money_and_is_kept(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/options", "Options")
    before = screen.until(lambda: screen.browser.find_element(By.ID, "opens-saved-money-C").text)
    slider = screen.field("Energy price")
    slider.send_keys(Keys.ARROW_RIGHT * 10)
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-saved-money-C").text != before)
    screen.saved()
    screen.station("duty")
    screen.until(lambda: screen.value("Energy price") == "0.35")


def test_what_a_loading_filter_does_is_worked_out_when_it_is_opened_and_follows_what_is_dragged(
    screen: Screen, application: Application
) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/options", "Options")
    part = screen.until(
        lambda: screen.browser.find_element(By.CSS_SELECTOR, '[aria-label="What happens when the filter loads?"]')
    )
    assert not part.find_elements(By.TAG_NAME, "table")
    screen.run("arguments[0].click()", part.find_element(By.TAG_NAME, "button"))
    screen.until(lambda: "at 140 %" in part.text and "Keep it" in part.text)
    screen.field("System, against as found").send_keys(Keys.ARROW_RIGHT * 4)
    screen.until(lambda: "at 160 %" in part.text)
    screen.saved()


def test_columns_are_sorted_on_request_and_a_stays_first(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/options", "Options")

    def letters() -> Any:
        heads = screen.browser.find_elements(By.CSS_SELECTOR, '[id^="opens-energy-"]')
        return "".join(head.get_attribute("id")[-1] for head in heads)

    screen.until(lambda: letters() == "ABCD")
    pressed(screen, '[aria-label*="the columns by What does it take a year"]')
    screen.until(lambda: letters() == "ACDB")
    pressed(screen, '[aria-label*="the columns by What does it take a year"]')
    screen.until(lambda: letters() == "ABCD")


def test_the_catalogue_takes_entries_and_files_and_refuses_in_words(
    screen: Screen, application: Application, tmp_path: Path
) -> None:
    screen.provoked = ["422"]
    screen.go("/catalogue", "Catalogue")
    screen.sees("Electronic motor 1/2 hp, five torque taps")
    screen.press("copy Electronic motor 1/2 hp, five torque taps")
    screen.type("Code", "etq-copy")
    screen.type("Name", "A copied motor")
    screen.type("Guaranteed efficiency", "95 %")
    screen.press("Keep it")
    screen.sees("more than its nominal")
    assert screen.value("Name") == "A copied motor"
    screen.type("Guaranteed efficiency", "70 %")
    screen.press("Keep it")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-product="etq-copy"]'))
    csv = fetched(application, "/api/catalogue/file/csv").decode("utf-8-sig").splitlines()
    copied = next(line for line in csv if line.startswith("etq-copy"))
    text = "\n".join(
        [csv[0], copied.replace("etq-copy", "etq-second"), copied.replace("70 %", "99.9 %"), "broken,motor"]
    )
    brought(screen, "Catalogue file", tmp_path, "catalogue.csv", text)
    screen.sees("1 new, 0 that replace what is here, 0 the same, 2 that cannot be taken.")
    bad = [row.text for row in screen.browser.find_elements(By.CSS_SELECTOR, "[data-bad-row]")]
    assert "impossible" in bad[0] and "Row 4 broken" in bad[1]
    screen.run("window.scrollTo(0, 0)")
    screen.press("Take in 1 entry")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-product="etq-second"]'))


def test_a_log_with_gaps_and_text_says_what_was_left_out_and_one_that_is_none_is_refused(
    screen: Screen, application: Application, tmp_path: Path
) -> None:
    screen.provoked = ["422"]
    job = taken_in(application, WITHOUT_DUTY)
    screen.go(f"/jobs/{job}/duty", "Duty")
    opened(screen, "From a logger’s file")
    brought(screen, "Logger CSV file", tmp_path, "no.csv", "nothing here")
    screen.sees("A log has a head and rows under it")
    lines = rows(400)
    lines[7] = "2026-03-02 00:35,error"
    brought(screen, "Logger CSV file", tmp_path, "gap.csv", log(lines[:100] + lines[160:]))
    screen.sees("1 rows left out")
    screen.sees("counted neither as running nor as off")
    brought(screen, "Logger CSV file", tmp_path, "order.csv", log(rows(form="%m/%d/%Y %H:%M")))
    screen.sees("day first or the month first")
    screen.press("month first")
    screen.sees("300 rows over 1.0 days")


def test_on_a_phone_one_option_stands_beside_a(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.size(390, 844)
    screen.go(f"/jobs/{job}/options", "Options")
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-energy-A"))
    assert not screen.browser.find_elements(By.ID, "opens-energy-C")
    pressed(screen, '[aria-label="Which option stands beside A"] button:nth-child(2)')
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-energy-C"))
    assert screen.run("return document.documentElement.scrollWidth") <= 390
