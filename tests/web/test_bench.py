"""In the browser: an experiment is predicted and explained, a job's machine stands on the Bench, a hunt goes to its debrief."""

from __future__ import annotations

from collections.abc import Iterator
from typing import Any

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys

from modest_rotor.core.bench.hunt import make_hunt
from modest_rotor.core.bench.hunting import cheapest_acts
from tests.core.setup.test_setup_answer import BAGGAGE
from tests.running import Application
from tests.web.conftest import AXE
from tests.web.screen import Screen
from tests.web.test_setup import picked
from tests.web.test_walk import taken_in

HUNT = 1004
FALLS, SAME, RISES = "f", "s", "r"


def meter(screen: Screen, name: str) -> float:
    """What a large readout shows."""
    text = screen.until(lambda: shown(screen, name))
    return float(text.replace(",", "").replace("−", "-"))


def shown(screen: Screen, name: str) -> str:
    text = screen.browser.find_element(By.CSS_SELECTOR, f'[data-meter="{name}"] [data-shows]').text
    return "" if text == "–" else text


def press(screen: Screen, selector: str) -> None:
    """Press what is found, once it is there."""
    found = screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, selector))
    screen.run("arguments[0].click()", found)


def there(screen: Screen, selector: str) -> Any:
    return screen.until(lambda: screen.browser.find_element(By.CSS_SELECTOR, selector))


@pytest.fixture
def ann(screen: Screen) -> Iterator[Screen]:
    """A screen at which Ann learns; afterwards no rig runs on behind the next tests."""
    screen.go("/", "Board")
    screen.run("localStorage.setItem('modest-rotor who', JSON.stringify('Ann'))")
    yield screen
    screen.browser.get(f"{screen.address}/api/health")


def test_an_experiment_is_predicted_by_key_turned_seen_and_explained(ann: Screen) -> None:
    screen = ann
    screen.go("/bench/course/block-forward-curved", "Bench")
    before = meter(screen, "speed"), meter(screen, "flow")
    assert there(screen, "[data-change]").text == "Damper: 100 % to 52 %."
    there(screen, '[aria-label="What I expect of speed"] [role=radio]').send_keys("")
    screen.run("document.querySelector('[aria-label=\"What I expect of speed\"] [role=radio]').focus()")
    for key in (FALLS, FALLS, FALLS, FALLS, RISES, SAME):
        screen.keys(key)
    screen.sees("All said.")
    screen.keys(Keys.ENTER)
    told = there(screen, '[data-told="speed"]')
    assert "rises" in told.text and "you said it falls" in told.text and "slips less" in told.text
    assert "falls" in there(screen, '[data-told="flow"]').text
    assert there(screen, '[data-told="amps"] [data-right]').get_attribute("data-right") == "true"
    screen.until(lambda: meter(screen, "speed") > before[0] + 30 and meter(screen, "flow") < before[1] - 100)
    assert "cooled less" in there(screen, "[data-point]").text
    screen.sees("4 of 6 said rightly")
    assert screen.run(AXE.read_text() + ";return null") is None
    wrong = screen.run(
        "const done = arguments[arguments.length - 1]; return axe.run(document, {runOnly: ['wcag2a', 'wcag2aa']})"
        ".then(found => found.violations.map(one => one.id + ': ' + one.nodes[0].html))"
    )
    assert wrong == []
    press(screen, "[data-next]")
    screen.sees("5. Open a forward-curved blower")
    screen.go("/bench/record", "Record")
    assert "4 of 6" in there(screen, '[data-topic="restriction"]').text


def test_a_rig_is_turned_at_once_switched_off_and_outlives_its_page(ann: Screen) -> None:
    screen = ann
    screen.go("/bench", "Bench")
    speed = meter(screen, "speed")
    press(screen, '[data-predicts="false"]')
    slider = there(screen, '[data-knob="open"] input[type=range]')
    for _ in range(10):
        slider.send_keys(Keys.ARROW_LEFT)
    screen.until(lambda: meter(screen, "speed") > speed + 20)
    assert "50 % open" in there(screen, 'svg[role="img"]').text
    screen.browser.refresh()
    screen.until(lambda: meter(screen, "speed") > speed + 20)
    screen.keys("o")
    screen.until(lambda: meter(screen, "watts") == 0)
    screen.keys("o")
    screen.until(lambda: meter(screen, "watts") > 200)
    assert there(screen, "[data-balance]").get_attribute("aria-label").startswith("Balance. now:")
    press(screen, '[aria-label="Picture"] button:nth-child(2)')
    there(screen, "[data-torque]")
    screen.sees("slip")


def test_a_jobs_machine_stands_on_the_bench_and_one_that_cannot_leaves_the_rig(
    ann: Screen, application: Application
) -> None:
    screen = ann
    job = taken_in(application, BAGGAGE)
    bare = taken_in(application, {**BAGGAGE, "machine": {"name": "Bare one"}, "document": {}})
    screen.go(f"/bench?job={job}", "Bench")
    name = BAGGAGE["machine"]["name"]
    screen.until(lambda: there(screen, "[data-rig-name]").text == name)
    assert meter(screen, "speed") > 900
    screen.go(f"/bench?job={bare}", "Bench")
    screen.sees("no machine for the Bench yet")
    screen.until(lambda: there(screen, "[data-rig-name]").text == name)
    assert meter(screen, "speed") > 900
    press(screen, "[aria-expanded=false]")
    press(screen, "[data-put-product]")
    screen.sees("nine tenths of its rated power")


def test_a_hunt_is_followed_to_its_debrief(ann: Screen) -> None:
    screen = ann
    screen.go(f"/bench/hunt/{HUNT}", "Fault hunt")
    hunt = make_hunt(HUNT)
    screen.sees(hunt.complaint)
    for act in cheapest_acts(HUNT)[:-1]:
        press(screen, f'[data-act="{act}"]')
        there(screen, f'[data-seen="{act}"]')
    spent = there(screen, "[data-minutes]").text
    screen.browser.refresh()
    screen.until(lambda: there(screen, "[data-minutes]").text == spent)
    for cause in hunt.hidden:
        press(screen, f'[data-cause="{cause}"]')
    picked(screen, "What is to be done next", hunt.faults[0].cause.next)
    press(screen, "[data-name-it]:not([disabled])")
    assert "Found." in there(screen, '[data-debrief="found"]').text
    screen.sees("You said so.")
    screen.sees("the cheapest way by the ranking")
    screen.go("/bench/record", "Record")
    screen.sees("; ".join(hunt.hidden))


def test_an_unsafe_act_ends_a_hunt_with_its_reason(ann: Screen) -> None:
    screen = ann
    number = next(number for number in range(100) if make_hunt(number).stand.has_capacitor)
    screen.go(f"/bench/hunt/{number}", "Fault hunt")
    press(screen, '[data-act="Run capacitor, out of circuit"]')
    told = there(screen, '[data-debrief="unsafe"]').text
    assert "Stop" in told and "Isolate" in told


def test_a_lost_rig_is_waited_for(ann: Screen, application: Application) -> None:
    """The server is stopped and started: the page says that it waits, and goes on by itself as it was set."""
    screen = ann
    screen.provoked = ["ERR_CONNECTION_REFUSED", "WebSocket", "Failed to load resource"]
    screen.go("/bench", "Bench")
    press(screen, '[data-predicts="false"]')
    press(screen, '[data-knob="open"] [aria-label$="less"]')
    meter(screen, "speed")
    application.stop()
    screen.sees("The rig does not answer")
    application.start()
    screen.until(lambda: "The rig does not answer" not in screen.text())
    assert "95 % open" in there(screen, 'svg[role="img"]').text and meter(screen, "speed") > 1000
