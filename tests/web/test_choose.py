"""From duty to a chosen option and its report in the browser; stops that hold; an import with bad rows; the PDF read back."""

from __future__ import annotations

import io
import urllib.request
from pathlib import Path
from typing import Any

import pytest
from pypdf import PdfReader
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.ui import Select

from modest_rotor.core.assess import assess
from modest_rotor.core.job import Job
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
    offered = screen.browser.find_element(By.CSS_SELECTOR, '[aria-label="Add an option"]').text
    assert "belt re-sheaved" in offered and "circulator" not in offered, "a fan is offered nothing of pumps"
    screen.press("constant-torque EC motor")
    screen.press("Constant-torque EC motor 1/2 hp, five taps")
    screen.opens("E")
    screen.sees(
        "Do its volts, or its voltage selector, suit those measured here?"
    )  # 110 V measured, made for 208 to 230 V
    screen.press("Add an option")
    screen.press("constant-torque EC motor")
    screen.press("none yet")
    screen.opens("F")
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-saved-F"))
    screen.opens("C")
    screen.type("C, price", "420")
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-payback-C"))
    screen.station("decision")
    screen.press("Choose C")
    screen.type("Why", "It keeps the air and takes fewer watts.")
    screen.type("For whom", "The owner")
    screen.saved()
    assert "C, EC motor, speed command" in screen.rail("decision")
    text = "".join(
        page.extract_text() for page in PdfReader(io.BytesIO(fetched(application, f"/api/jobs/{job}/report.pdf"))).pages
    )
    assert "It keeps the air and takes fewer watts." in text and "for The owner" in text and "±" in text
    screen.press("view to print", "a")
    screen.sees("Recommendation")
    screen.sees("It keeps the air and takes fewer watts.")
    screen.sees("Stop: Do its volts, or its voltage selector, suit those measured here?")


def test_a_stop_takes_a_name_and_a_reason_and_one_takes_nobody_s(screen: Screen, application: Application) -> None:
    candidates = [{"id": "one", "kind": "electronic"}, {"id": "two", "kind": "voltage regulator"}]
    fitting = {"listing_allows": "no", "start_switch": "yes"}
    job = taken_in(application, changed(KRAUSE, options={"candidates": candidates, "fitting": fitting}))
    screen.go(f"/jobs/{job}/options", "Options")
    screen.until(lambda: len(screen.browser.find_elements(By.XPATH, "//*[.='not worked out']")) == 2)
    screen.opens("C")
    screen.sees("Withheld: the stop stands first")
    stop = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-check="start_switch"]'))
    assert "Nobody can waive this." in stop.text and not stop.find_elements(By.TAG_NAME, "input")
    screen.opens("B")
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
    screen.opens("C")
    before = screen.until(lambda: screen.browser.find_element(By.ID, "opens-saved-money-C").text)
    opened(screen, "What if?")
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


def test_rows_stand_by_their_saving_until_another_order_is_asked_for(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/options", "Options")

    def letters() -> Any:
        return "".join(row.get_attribute("data-option") for row in screen.all("[data-option]"))

    ranked = "".join(one.letter for one in assess(Job.model_validate(KRAUSE)).short.candidates)
    screen.until(lambda: letters() == ranked and ranked != "".join(sorted(ranked)))
    order = Select(screen.field("Order of the candidates"))
    order.select_by_visible_text("letter")
    screen.until(lambda: letters() == "".join(sorted(ranked)))
    order.select_by_visible_text("saving")
    screen.until(lambda: letters() == ranked)


def test_a_row_opens_and_closes_by_the_keyboard_and_keeps_the_focus(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/options", "Options")
    first = screen.until(lambda: screen.all("[data-option] button[aria-expanded]"))[0]
    screen.run("arguments[0].focus()", first)
    screen.keys(Keys.ARROW_RIGHT)
    screen.until(lambda: screen.all("[data-opened]"))
    screen.sees("Duty steps")
    screen.keys(Keys.ARROW_DOWN)
    second = screen.run("return document.activeElement.id")
    assert second.startswith("option-") and second != first.get_attribute("id")
    screen.keys(Keys.ENTER)
    screen.until(lambda: [one.get_attribute("data-opened") for one in screen.all("[data-opened]")] == [second[-1]])
    screen.keys(Keys.ESCAPE)
    screen.until(lambda: not screen.all("[data-opened]"))
    assert screen.run("return document.activeElement.id") == second


def test_two_picked_lie_side_by_side_with_the_difference_that_the_core_tells(
    screen: Screen, application: Application
) -> None:
    """The foot bar, the table and the API tell one difference, the better less the other; what is stopped is not picked."""
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/options", "Options")
    ranked = application.get(f"/api/jobs/{job}")["assessment"]["short"]["candidates"]
    best, other = [one for one in ranked if not one["is_base"] and not one["stop"]][:2]
    for one in (best, other):
        pressed(screen, f'[data-pick="{one["letter"]}"] input')
    told = application.get(f"/api/jobs/{job}/beside?options={other['id']}&options={best['id']}")
    less = next(row for row in told["rows"] if row["kind"] == "saved")["cells"][1]["less"]
    words = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "[data-apart]").text)
    assert best["letter"] in words and (("tie" in words) == (abs(less["value"]) <= less["uncertainty"]))
    screen.keys("c")
    table = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "[data-beside]"))
    assert f"{best['letter']} less {other['letter']}" in table.text and "shared errors cancel" in table.text
    shown = screen.browser.find_element(By.CSS_SELECTOR, "[data-less=saved]").text.split("±")[0].strip()
    assert float(shown.replace(",", "").replace("−", "-")) == pytest.approx(less["value"], abs=10)
    screen.keys(Keys.ESCAPE)
    screen.until(lambda: screen.all("[data-option]"))


def test_the_catalogue_takes_entries_and_files_and_refuses_in_words(
    screen: Screen, application: Application, tmp_path: Path
) -> None:
    screen.provoked = ["422"]
    screen.go("/catalogue", "Catalogue")
    screen.sees("Constant-torque EC motor 1/2 hp, five taps")
    screen.press("copy Constant-torque EC motor 1/2 hp, five taps")
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


def test_on_a_phone_a_row_opens_in_the_width_and_two_are_the_most_side_by_side(
    screen: Screen, application: Application
) -> None:
    job = taken_in(application, KRAUSE)
    screen.size(390, 844)
    screen.go(f"/jobs/{job}/options", "Options")
    screen.opens("C")
    screen.until(lambda: screen.browser.find_element(By.ID, "opens-energy-C"))
    assert screen.run("return document.documentElement.scrollWidth") <= 390
    for letter in "BCD":
        pressed(screen, f'[data-pick="{letter}"] input')
    screen.until(lambda: "C and D side by side" in screen.browser.find_element(By.CSS_SELECTOR, "[data-lay]").text)
    pressed(screen, "[data-lay]")
    screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "[data-beside]"))
    assert screen.run("return document.documentElement.scrollWidth") <= 390


def test_the_balance_is_a_strip_beside_the_options_and_opens_over_them(
    screen: Screen, application: Application
) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/options", "Options")
    strip = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "aside [data-open-balance]"))
    assert strip.rect["width"] < 100
    screen.click(strip)
    over = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "dialog[open]"))
    screen.until(lambda: over.find_elements(By.CSS_SELECTOR, "[data-balance]"))
    screen.press("close")
    screen.until(lambda: not screen.all("dialog[open]"))
