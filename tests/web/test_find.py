"""From plate to proof in the browser: the plate's line, a motor without one, a chart, two sets, a dead motor, marks, photo, CSV."""

from __future__ import annotations

from pathlib import Path

from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.select import Select

from tests.core.stations.test_charts import CHART
from tests.formats.test_photo import picture
from tests.jobs import KRAUSE, changed
from tests.running import Application
from tests.web.screen import Screen
from tests.web.test_walk import taken_in

FIRST = KRAUSE["document"]["readings"][0]  # type: ignore[index]


def opened(screen: Screen, title: str) -> None:
    """Open a fold by its title."""
    fold = f"//section[@aria-label='{title}']/button"
    button = screen.until(lambda: screen.browser.find_element(By.XPATH, fold))
    if button.get_attribute("aria-expanded") == "false":
        screen.run("arguments[0].click()", button)


def shown(screen: Screen, selector: str) -> str:
    """The words of the first element that a selector finds."""
    return screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, selector).text)


def test_the_plates_line_fills_the_plate(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE, nameplate={}, readings=[]))
    screen.go(f"/jobs/{job}/plate", "Plate")
    screen.type("The plate in one line", "1/4 hp 110v 2.9a 1725rpm 60hz 1ph 15.4uf harbour sf1.35", leave=False)
    screen.sees("not recognised: stays in the line")
    assert shown(screen, '[data-piece="unknown"]').startswith("harbour")
    screen.press("Fill the fields below")
    screen.until(lambda: screen.value("Rated power") == "186")
    screen.saved()
    assert "4-pole" in screen.rail("plate") and "harbour" in screen.value("The plate in one line")
    screen.sees("It is no allowance to size by")
    screen.press("Undo")
    screen.until(lambda: screen.value("Rated power") == "")


def test_a_label_first_plate_typed_on_a_phone_is_read_and_what_is_doubtful_is_not_written(
    screen: Screen, application: Application
) -> None:
    """Words before their numbers, a decimal comma, a power said twice: 115 V is not 115 A, and no power is written."""
    # What is said of a site holds for all its jobs, and other tests have theirs at this one's.
    job = taken_in(application, changed(KRAUSE, site__name="A house of its own", nameplate={}, readings=[]))
    screen.size(390, 844)
    screen.go(f"/jobs/{job}/plate", "Plate")
    line = "HP 1/2 V 115 A 7,4 RPM 1075 HZ 60 PH 1 MFD 10 37 kW"
    screen.type("The plate in one line", line, leave=False)
    screen.until(lambda: len(screen.browser.find_elements(By.CSS_SELECTOR, '[data-piece="unknown"]')) == 2)
    click = "[...document.querySelectorAll('button')].find((one) => one.textContent.startsWith(arguments[0])).click()"
    screen.run(click, "Fill the fields below")
    screen.until(lambda: screen.value("Rated volts") == "115")
    screen.saved()
    assert screen.value("Full-load amps") == "7.4" and screen.value("Run capacitor") == "10"
    assert screen.value("Rated power") == "" and screen.value("The plate in one line") == line
    screen.run(click, "1.234,5")
    screen.until(lambda: application.get(f"/api/jobs/{job}")["site_numbers"] == "comma")


def test_a_motor_without_a_plate_is_identified(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE, nameplate={}, readings=[]))
    screen.go(f"/jobs/{job}/plate", "Plate")
    screen.type("Speed measured", "820")
    screen.type("Hertz of the supply", "60")
    screen.sees("Read the speed once more, lightly loaded")
    screen.type("Speed measured", "1195")
    screen.choose("How was it loaded?", "lightly loaded")
    screen.sees("6 poles")
    for label, ohms in (("First to second", "11.6"), ("Second to third", "8.5"), ("Third to first", "3.1")):
        screen.type(label, ohms)
    screen.sees("third is common, second start, first run")
    screen.type("First to second", "15")
    screen.sees("not the sum of the other two")
    screen.choose("Control module?", "yes")
    screen.sees("Electronic with")
    screen.choose("Control module?", "no")
    screen.choose("Run capacitor?", "yes")
    screen.sees("Permanent split capacitor")
    screen.press("Put this kind on the plate")
    run = "//*[@role='radiogroup' and starts-with(@aria-label, 'Kind of motor')]//button[.='run capacitor']"
    screen.until(lambda: screen.browser.find_element(By.XPATH, run).get_attribute("aria-checked") == "true")


def test_a_pasted_chart_gives_the_air_and_the_amps_to_aim_at(screen: Screen, application: Application) -> None:
    first = {**FIRST, "voltage": "230 V", "current": "4.2 A", "airflow": None}
    job = taken_in(
        application, changed(KRAUSE, machine__type="forward-curved", readings=[first], target={"airflow": "1,850 cfm"})
    )
    screen.go(f"/jobs/{job}/readings", "Readings")
    opened(screen, "Charts in the panel")
    field = screen.field("Amps-and-volts airflow chart")
    screen.run("arguments[0].scrollIntoView({block: 'center'})", field)
    field.send_keys(CHART.replace("4.2", "four"), Keys.TAB)
    screen.sees("“four” in line 3")
    field.send_keys(Keys.CONTROL, "a")
    field.send_keys(CHART, Keys.TAB)
    screen.until(lambda: "wants" in shown(screen, "[data-clamp]"))
    screen.saved()
    assert "4.35" in shown(screen, "[data-clamp]")
    assert screen.browser.find_elements(By.CSS_SELECTOR, 'svg[aria-label^="Amps chart"]')


def test_two_sets_put_the_tightened_duct_first(screen: Screen, application: Application) -> None:
    good = {**FIRST, "known_good": "yes", "name": "in spring"}
    job = taken_in(application, changed(KRAUSE, machine__type="forward-curved", readings=[good]))
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.press("Copy set 1")
    screen.sees("from 1 to 2")
    opened(screen, "State of duct and set")
    screen.run("arguments[0].scrollIntoView({block: 'center'})", screen.field("Was it right then?, set 2"))
    screen.field("Was it right then?, set 2").send_keys("no")
    read = {"Line amps": "2.55", "Input power": "222", "Speed": "1735", "Airflow": "360", "Static, supply": "150", "Static, return": "-162"}  # fmt: skip
    for label, value in read.items():
        screen.run("arguments[0].scrollIntoView({block: 'center'})", screen.field(f"{label}, set 2"))
        screen.type(f"{label}, set 2", value)
    screen.saved()
    screen.station("findings")
    screen.until(lambda: shown(screen, "[data-cause]").split("\n")[1] in ("duct too tight", "filter or coil loaded"))
    screen.sees("against set 1, in spring, when it was right")
    screen.sees("tells the first two apart")


def test_a_dead_motor_is_followed_to_its_capacitor(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE, call={}, readings=[]))
    screen.go(f"/jobs/{job}/call", "Call")
    screen.choose("Why are we here?", "dead")
    screen.saved()
    screen.station("findings")
    screen.sees("Dead, or not starting")
    for question, answer in (
        ("What does it do when called?", "hums"),
        ("Are line volts there?", "yes"),
        ("Does the shaft turn by hand?", "free"),
    ):
        screen.choose(question, answer)
    screen.sees("Discharge it through a resistor")  # the caution stands before the field
    screen.type("Run capacitor, out of circuit", "6.1")
    screen.until(lambda: "run capacitor is the fault" in shown(screen, "[data-verdict]"))
    assert "same µF" in shown(screen, "[data-verdict]")
    screen.until(lambda: "Repair first" in shown(screen, "[data-repair-first]"))
    screen.saved()
    assert "caution" in screen.rail("findings")


def test_a_finding_is_proved_and_another_cleared(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE, readings__0__capacitance="8 µF", nameplate__overload_setting="4 A"))
    screen.go(f"/jobs/{job}/findings", "Findings")
    for key, state in (("capacitor_off_label/s1", "confirmed"), ("overload_does_not_fit", "cleared by a test")):
        row = f'[data-finding="{key}"]'
        screen.click(screen.until(lambda row=row: screen.browser.find_element(By.CSS_SELECTOR, f"{row} button")))
        screen.until(lambda row=row: "To prove it" in shown(screen, row))
        assert "Proved:" in shown(screen, row) and "Cleared:" in shown(screen, row)
        note = screen.browser.find_element(By.CSS_SELECTOR, f"{row} input")
        note.send_keys("read twice")
        button = f'//*[@data-finding="{key}"]//button[normalize-space(.)="{state}"]'
        screen.run("arguments[0].click()", screen.browser.find_element(By.XPATH, button))
        screen.until(lambda row=row, state=state: f"{state}, read twice" in shown(screen, row).replace(":", ""))
        assert "nobody named" in shown(screen, row)
    screen.saved()
    screen.browser.refresh()
    screen.until(lambda: "cleared by a test" in shown(screen, '[data-finding="overload_does_not_fit"]'))
    assert "(confirmed)" in shown(screen, '[data-finding="capacitor_off_label/s1"]')
    row = '[data-finding="overload_does_not_fit"]'
    screen.click(screen.browser.find_element(By.CSS_SELECTOR, f"{row} button"))
    screen.press("type the result")
    screen.until(lambda: screen.heading() == "Plate")
    screen.station("findings")
    screen.press("every rule", "a")
    screen.until(lambda: screen.heading() == "Rules")
    screen.sees("microfarads against the label")


def test_a_photograph_is_attached_and_a_script_is_not(screen: Screen, application: Application, tmp_path: Path) -> None:
    job = taken_in(application, changed(KRAUSE))
    good, bad = tmp_path / "plate.jpg", tmp_path / "script.jpg"
    good.write_bytes(picture(size=(400, 300), place=True))
    bad.write_bytes(b"<script>alert(1)</script>")
    screen.go(f"/jobs/{job}/plate", "Plate")
    screen.provoked.append("422")
    screen.field("Photograph of the plate").send_keys(str(bad))
    screen.sees("This is no photograph")
    screen.field("Photograph of the plate").send_keys(str(good))
    image = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, 'img[alt^="Photograph of the plate"]'))
    screen.until(lambda: screen.run("return arguments[0].naturalWidth", image) == 300)  # stands upright
    screen.press("take away")
    screen.sees("put back")


def test_a_csv_with_bad_rows_is_looked_at_then_taken_in(screen: Screen, application: Application) -> None:
    job = taken_in(application, changed(KRAUSE))
    screen.go(f"/jobs/{job}/readings", "Readings")
    screen.provoked.append("422")  # half a table, as it is typed, is no table yet
    opened(screen, "Sets in and out as CSV")
    text = "Line amps,Speed,A7\n2.9,1720,110\nfour,1700,111\n3.0,1715,110"
    screen.run("arguments[0].scrollIntoView({block: 'center'})", screen.field("CSV text"))
    screen.field("CSV text").send_keys(text)
    screen.sees("Not recognised: A7")
    assert "Line 3" in shown(screen, "[data-bad-row]") and "“four”" in shown(screen, "[data-bad-row]")
    Select(screen.field("A7 stands for")).select_by_visible_text("Supply")
    screen.until(lambda: "Not recognised" not in screen.text())
    assert "1 set" in screen.rail("readings") or "moves" in screen.rail("readings")  # nothing taken in yet
    screen.run("arguments[0].scrollIntoView({block: 'center'})", screen.field("CSV text"))
    screen.press("Take in 2 sets")
    screen.until(lambda: "3 sets" in screen.rail("readings"))
    assert screen.value("Supply, set 2") == "110"
