"""Each part of a station by its own use, on a textbook job: what is typed there, and what follows from it in the core's own figures."""

from __future__ import annotations

import json
import urllib.request
from pathlib import Path
from typing import Any

import pytest
from PIL import Image
from selenium.webdriver.common.by import By
from selenium.webdriver.support.select import Select

from tests.core.setup.test_setup_answer import BAGGAGE
from tests.jobs import KRAUSE, changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_setup import named
from tests.web.test_walk import taken_in


def fold(screen: Screen, title: str) -> None:
    """Open a fold, unless it stands open."""
    xpath = f"//section[contains(@aria-label, '{title}')]/button"
    head = screen.until(lambda: screen.browser.find_element(By.XPATH, xpath))
    if head.get_attribute("aria-expanded") != "true":
        screen.click(head)


def pick(screen: Screen, label: str, choice: str) -> None:
    screen.until(lambda: choice in [one.text for one in Select(screen.field(label)).options])
    Select(screen.field(label)).select_by_visible_text(choice)


def kept(application: Application, job: int) -> dict[str, Any]:
    return dict(application.get(f"/api/jobs/{job}")["document"])


def worked(application: Application, job: int) -> dict[str, Any]:
    return dict(application.get(f"/api/jobs/{job}")["assessment"])


def fetched(screen: Screen, words: str) -> tuple[bytes, str]:
    """What a link of the page leads to, and of which kind it is."""
    address = screen.browser.find_element(By.LINK_TEXT, words).get_attribute("href") or ""
    with urllib.request.urlopen(address) as answer:
        return answer.read(), str(answer.headers["content-type"])


def test_a_job_goes_out_as_a_file_and_comes_in_as_one(screen: Screen, application: Application, tmp_path: Path) -> None:
    job = taken_in(application, changed(KRAUSE, machine__name="Out and in"))
    screen.go(f"/jobs/{job}/call", "Call")
    text, _ = fetched(screen, "export this job as a file")
    path = tmp_path / "job.json"
    path.write_bytes(text)
    screen.go("/", "Board")
    screen.field("Job file to take in").send_keys(str(path))
    screen.until(lambda: screen.run("return location.pathname").startswith("/jobs/") or screen.heading() == "In short")
    other = int(screen.run("return location.pathname").split("/")[2])
    assert other != job and kept(application, other) == kept(application, job)
    path.write_text(json.dumps({**json.loads(text), "machine": {}}), encoding="utf-8")
    screen.provoked = ["422"]
    screen.go("/", "Board")
    screen.field("Job file to take in").send_keys(str(path))
    refused = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "[role=alert]").text)
    assert "“machine/name”: it is missing" in refused and "Nothing was taken in" in refused, refused


def test_what_will_be_removed_is_kept_as_text_with_its_photograph(
    screen: Screen, application: Application, tmp_path: Path
) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/call", "Call")
    fold(screen, "What will be removed")
    screen.type("Serial", "000123")
    screen.type("Date code", "0412")
    screen.saved()
    call = kept(application, job)["call"]
    assert (call["serial"], call["date_code"]) == ("000123", "0412"), "leading noughts are part of them"
    photo = tmp_path / "place.png"
    Image.new("RGB", (640, 480), "tan").save(photo)
    screen.field("Photographs of machine and place").send_keys(str(photo))
    screen.until(lambda: len(application.get(f"/api/jobs/{job}/photos")) == 1)
    screen.until(lambda: screen.browser.find_elements(By.CSS_SELECTOR, "section img"))


def test_a_plate_of_two_voltages_is_wired_for_the_one_that_is_said(screen: Screen, application: Application) -> None:
    """The same power on twice the volts takes half the amps: definition of power."""
    job = taken_in(application, changed(KRAUSE, nameplate__rated_voltage="115 V", nameplate__rated_current="5.8 A"))
    screen.go(f"/jobs/{job}/plate", "Plate")
    fold(screen, "Two voltages on the plate")
    screen.type("Volts, other connection", "230")
    screen.type("Amps, other connection", "2.9")
    screen.choose("Wired for", "other volts")
    screen.saved()
    screen.until(lambda: "2.9" in screen.rail("plate"))
    fold(screen, "What else stands on it")
    screen.sees("half the volts take twice the amps")


def test_leads_are_kept_as_found_and_say_what_they_are(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/plate", "Plate")
    fold(screen, "Leads and calls")
    for number, (colour, ohms) in enumerate((("black", "4"), ("blue", "6"), ("red", "9")), 1):
        screen.press("Add a lead")
        screen.type(f"Lead {number}, colour", colour)
        screen.type(f"Lead {number}, ohms", ohms)
    screen.press("Add a call")
    pick(screen, "Call 1", "cool")
    screen.type("Call 1, tap", "black")
    screen.saved()
    document = kept(application, job)
    assert [(one["colour"], one["ohms"]["si"]) for one in document["leads"]] == [("black", 4), ("blue", 6), ("red", 9)]
    assert (document["call_taps"][0]["call"], document["call_taps"][0]["tap"]) == ("cool", "black")


def test_meters_said_once_are_taken_over_and_move_the_uncertainties(screen: Screen, application: Application) -> None:
    named(screen)
    job, other = taken_in(application, KRAUSE), taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    fold(screen, "My meters")
    screen.type("Wattmeter", "5")
    screen.saved()
    screen.press("Keep these as mine")
    screen.sees("any job can take them over")
    screen.go(f"/jobs/{other}/readings", "Readings")
    before = worked(application, other)["sets"][0]["uncertainties"]["input_power"]
    fold(screen, "My meters")
    screen.press("Use my meters")
    screen.until(lambda: kept(application, other)["meters"].get("wattmeter"))
    after = worked(application, other)["sets"][0]["uncertainties"]["input_power"]
    assert after == pytest.approx(0.05 * 305.8, rel=0.02) and after > 2 * before, "5 % of 305.8 W"


def test_the_flow_that_is_wanted_comes_from_what_is_known_of_it(screen: Screen, application: Application) -> None:
    """Common practice: 400 cfm a ton of ordinary cooling, so 3 tons want 1,200 cfm, 566 L/s."""
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/readings", "Readings")
    fold(screen, "Flow that is wanted")
    screen.type("Cooling capacity", "3 tons")
    pick(screen, "Kind of cooling", "ordinary cooling")
    screen.saved()
    screen.until(
        lambda: (
            "566"
            in screen.browser.find_element(By.XPATH, "//section[contains(@aria-label, 'Flow that is wanted')]").text
        )
    )


def test_a_year_from_a_kind_of_building_with_seasons_starts_and_heat(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE, duty={"energy_price": "0.30 per kWh"}))
    screen.go(f"/jobs/{job}/duty", "Duty")
    fold(screen, "Begin from a kind of building")
    screen.press("Take it over: the year of office air handler")
    screen.until(lambda: len(kept(application, job)["duty"]["steps"]) == 2)
    assert [one["hours"]["si"] for one in kept(application, job)["duty"]["steps"]] == [2600, 520]
    screen.choose("How does it meet a part step today?", "it runs full all the same")
    screen.choose("Tariff", "seasonal")
    screen.type("Energy price, summer", "0.10")
    screen.type("Running hours in summer", "50")
    fold(screen, "Starts, fan between calls, emissions")
    screen.type("Starts a year", "3000")
    screen.type("Starting time", "2")
    screen.type("Emissions of the supply", "0.4")
    fold(screen, "Heat and cold")
    screen.type("Hours in which it is heated", "50")
    screen.saved()
    options = worked(application, job)["options"]["options"]
    electronic = next(one for one in options if one["saved_emissions"]["figure"])
    saved = electronic["saved_energy"]["figure"]["value"]
    assert electronic["saved_emissions"]["figure"]["value"] == pytest.approx(0.4 * saved, rel=1e-6)
    # Half the hours at 0.30 and half at 0.10 are 0.20 on average.
    assert electronic["saved_money"]["figure"]["value"] == pytest.approx(0.20 * saved, rel=1e-6)
    assert electronic["made_up_heat"]["figure"]["value"] == pytest.approx(0.5 * saved, rel=0.2)


def test_repairs_the_place_and_the_years_are_said_once_for_all_options(
    screen: Screen, application: Application
) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/options", "Options")
    fold(screen, "Repair first")
    screen.press("filter")
    screen.type("Filter", "60 Pa")
    screen.saved()
    screen.until(
        lambda: screen.browser.find_element(By.CSS_SELECTOR, '[aria-label="What the repair does by itself"]').text
    )
    repair = worked(application, job)["options"]["repair"]
    assert repair["flow"]["value"] > 0, "a clean filter gives air back"
    fold(screen, "The place it goes to")
    screen.choose("Is there a permanent supply?", "yes")
    fold(screen, "How the years are reckoned")
    screen.type("Discount rate", "0")
    screen.saved()
    document = kept(application, job)["options"]
    assert document["fitting"]["permanent_supply"] == "yes" and document["discount_rate"]["si"] == 0


def test_a_decision_with_its_approval_goes_out_as_sheet_and_as_data(screen: Screen, application: Application) -> None:
    job = taken_in(application, KRAUSE)
    screen.go(f"/jobs/{job}/decision", "Decision")
    screen.press("Choose C")
    screen.type("Why", "It turns the least watts into the most air.")
    screen.press("Record an approval")
    screen.type("Approval, of what", "drive on this motor")
    screen.type("Approval, who gave it", "A. Porter")
    screen.type("Approval, in which role", "owner")
    screen.type("Your name", "Ann Reeve")
    screen.press("Record it")
    screen.sees("recorded by Ann Reeve")
    screen.press("Record an approval")
    screen.type("Approval, of what", "noise at night")
    screen.type("Approval, who gave it", "B. Quill")
    screen.press("Record it")
    screen.sees("B. Quill")
    screen.press("Withdraw the approval of noise at night")
    screen.type("Why the approval of noise at night is withdrawn", "it was for another roof")
    screen.press("Withdraw it")
    screen.sees("withdrawn by Ann Reeve, it was for another roof")
    screen.saved()
    sheet, kind = fetched(screen, "spreadsheet")
    assert sheet[:2] == b"PK" and "spreadsheetml" in kind
    told = json.loads(fetched(screen, "numbers as JSON")[0])
    (line,) = told["approvals"]  # what was withdrawn stays in the job, and out of the report
    assert "A. Porter" in line and "owner" in line
    assert fetched(screen, "PDF")[0][:5] == b"%PDF-"
    screen.browser.find_element(By.LINK_TEXT, "view to print").click()
    screen.sees("A. Porter")


def test_comfort_and_a_logger_stand_beside_the_proof(screen: Screen, application: Application, tmp_path: Path) -> None:
    """Two weeks of 100 W make 33.6 kWh, and a year of it 876 kWh: definition."""
    job = taken_in(application, BAGGAGE)
    screen.go(f"/jobs/{job}/proof", "Proof")
    fold(screen, "Comfort, apart from energy")
    screen.type("Cycles an hour, before", "6")
    screen.type("Cycles an hour, after", "3")
    screen.saved()
    screen.sees("Cycles an hour")
    fold(screen, "A logger")
    rows = "\n".join(f"2026-02-{day:02d} {hour:02d}:00,100" for day in range(1, 15) for hour in range(24))
    path = tmp_path / "watts.csv"
    path.write_text(f"time,Power (W)\n{rows}\n", encoding="utf-8")
    screen.field("Logger CSV after").send_keys(str(path))
    region = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[aria-label="What the logger says"]'))
    assert region.text
    screen.click(region.find_element(By.TAG_NAME, "button"))
    screen.until(lambda: kept(application, job)["proof"].get("logged_energy"))
    proof = kept(application, job)["proof"]
    assert proof["logged_energy"]["si"] == pytest.approx(33.6, rel=0.01) and proof["logged_days"][
        "si"
    ] == pytest.approx(14, rel=0.01)


def test_a_log_is_brought_as_a_file_on_the_clock_of_its_reader(
    screen: Screen, application: Application, tmp_path: Path
) -> None:
    job = taken_in(application, BAGGAGE)
    screen.go(f"/jobs/{job}/log", "Log")
    fold(screen, "From a file")
    path = tmp_path / "log.csv"
    rows = "\n".join(f"2026-02-{day:02d} 10:00,{3.0 + day / 100:.2f},0.43" for day in range(1, 21))
    path.write_text(f"time,Line amps (A),Power (kW)\n{rows}\n", encoding="utf-8")
    screen.field("CSV of readings over time").send_keys(str(path))
    region = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[aria-label="What the file says"]'))
    assert "20 readings of 20 rows" in region.text
    take = next(one for one in region.find_elements(By.TAG_NAME, "button") if "Take" in one.text)
    screen.click(take)
    screen.sees("20 readings taken in")
    machine = application.get(f"/api/jobs/{job}")["machine_id"]
    assert application.get(f"/api/machines/{machine}/log")["answer"]["readings"] == 20


def test_a_device_is_added_asked_and_removed_and_a_bad_address_is_refused(
    screen: Screen, application: Application
) -> None:
    screen.provoked = ["422"]
    screen.go("/devices", "Devices")
    fold(screen, "Add a device")
    screen.type("name", "Spare panel")
    pick(screen, "Profile", "Meter panel")
    screen.type("address, in figures", "8.8.8.8")
    screen.click(screen.browser.find_element(By.CSS_SELECTOR, "[data-add-device]"))
    refused = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "[role=alert]").text)
    assert "private" in refused or "network" in refused, refused
    screen.type("address, in figures", "127.0.0.1")
    screen.type("port", "9")
    screen.click(screen.browser.find_element(By.CSS_SELECTOR, "[data-add-device]"))
    row = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, '[data-device="Spare panel"]'))
    screen.click(row.find_element(By.CSS_SELECTOR, "[data-ask]"))
    screen.until(
        lambda: (
            screen.browser.find_element(By.CSS_SELECTOR, '[data-device="Spare panel"]').get_attribute("data-state")
            == "silent"
        )
    )
    screen.click(screen.browser.find_element(By.CSS_SELECTOR, '[aria-label="Remove Spare panel"]'))
    screen.until(lambda: not screen.browser.find_elements(By.CSS_SELECTOR, '[data-device="Spare panel"]'))


def test_a_profile_of_a_file_is_looked_at_before_it_is_used(
    screen: Screen, application: Application, tmp_path: Path
) -> None:
    screen.provoked = ["422"]
    screen.go("/devices", "Devices")
    fold(screen, "Add a device")
    path = tmp_path / "profile.json"
    path.write_text('{"name": "no registers"}', encoding="utf-8")
    screen.field("Profile file").send_keys(str(path))
    refused = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, "[role=alert]").text)
    assert len(refused) > 20
    shipped = next((Path(__file__).resolve().parents[2] / "src/modest_rotor/fieldbus/profiles").glob("*.json"))
    screen.field("Profile file").send_keys(str(shipped))
    name = json.loads(shipped.read_text(encoding="utf-8"))["name"]
    screen.sees(f"{name}: ")
    assert Select(screen.field("Profile")).first_selected_option.text == f"{name}, from a file"
