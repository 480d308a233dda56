"""Every view by axe in three schemes and at three sizes; enlarged to 200 and 400 %; and a whole job by the keyboard alone."""

from __future__ import annotations

import pytest
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from tools.screens import PAGES

from tests.running import Application
from tests.web.conftest import AXE
from tests.web.screen import Screen
from tests.web.test_crowding import still

SCHEMES = ("light", "dark", "sunlight")
SIZES = ((1280, 800), (768, 1024), (390, 844))
WEAR = """document.documentElement.classList.remove('dark', 'sunlight');
document.documentElement.classList.add(arguments[0]); document.documentElement.style.colorScheme = arguments[0] === 'dark' ? 'dark' : 'light'"""
"""Wear a scheme as the page does when its reader picks it."""
FAULTS = ("moderate", "serious", "critical")
MORE = (
    ("Site", "/sites/1"),
    ("Report", "/jobs/8/report"),
    ("Firm", "/firm"),
    ("Panel card", "/jobs/8/card"),
    ("Rules", "/rules"),
    ("Glossary", "/glossary"),
)
ZOOMED = ((640, 400), (320, 200))
"""What a window of 1280 by 800 leaves at 200 and at 400 % (WCAG 2.2, 1.4.10 Reflow: no scrolling in two directions at 320)."""


FIND_FAULTS = """const done = arguments[arguments.length - 1];
axe.run({ resultTypes: ['violations'] }).then(({ violations }) => done(violations))"""
"""What is sound is not told: it is most of it."""


def faults(screen: Screen) -> list[str]:
    if not screen.run("return 'axe' in window"):
        screen.run(AXE.read_text(encoding="utf-8"))
    return [
        f"{fault['id']}: {fault['help']} {[node['html'][:140] for node in fault['nodes'][:2]]}"
        for fault in screen.browser.execute_async_script(FIND_FAULTS)
        if fault["impact"] in FAULTS
    ]


@pytest.mark.parametrize(("name", "path"), [*PAGES, *MORE], ids=[name for name, _ in (*PAGES, *MORE)])
def test_axe_finds_nothing_in_any_scheme_at_any_size_and_nothing_runs_off_enlarged(
    screen: Screen, name: str, path: str
) -> None:
    found = []
    screen.go(path)
    still(screen)
    for scheme, (width, height) in zip(SCHEMES, SIZES, strict=True):
        screen.size(width, height)
        screen.run(WEAR, scheme)
        still(screen)
        found += [f"{scheme}, {width}x{height}: {fault}" for fault in faults(screen)]
    assert found == []
    enlarged(screen)


def enlarged(screen: Screen) -> None:
    """At 200 and 400 % nothing runs off the side, and what is sticky leaves at least half of the window to what is read."""
    for width, height in ZOOMED:
        screen.size(width, height)
        assert screen.run("return document.documentElement.scrollWidth") <= width, (width, height)
        covered = screen.run(
            """return [...document.querySelectorAll('body *')].filter((one) => {
                 const look = getComputedStyle(one);
                 return ['fixed', 'sticky'].includes(look.position) && look.visibility !== 'hidden' && one.offsetParent !== null;
               }).map((one) => one.getBoundingClientRect()).filter((box) => box.bottom > 0 && box.top < innerHeight && box.width > innerWidth / 2)
               .reduce((sum, box) => sum + Math.min(box.bottom, innerHeight) - Math.max(box.top, 0), 0)"""
        )
        assert covered <= height / 2, (width, height, covered)


def test_the_page_of_the_api_keeps_the_contrast_of_all_others(screen: Screen) -> None:
    """Its own structure is that of the package; colours are ours (WCAG 2.2, 1.4.3)."""
    screen.browser.get(f"{screen.address}/api/docs")
    screen.until(lambda: len(screen.browser.find_elements(By.CSS_SELECTOR, ".opblock-summary-method")) > 50)
    assert [fault for fault in faults(screen) if fault.startswith("color-contrast")] == []


@pytest.mark.parametrize("station", ["readings", "options", "setup", "findings"])
def test_on_paper_a_station_is_its_sheet_alone(screen: Screen, station: str) -> None:
    """A4 is 794 px wide at 96 to the inch; nothing but the sheet is on it, and the sheet has its width."""
    screen.size(794, 1123)
    screen.go(f"/jobs/1/{station}", {"setup": "Set-up"}.get(station, station.capitalize()))
    still(screen)
    try:
        screen.browser.execute_cdp_cmd("Emulation.setEmulatedMedia", {"media": "print"})
        shown = screen.run(
            "return [...document.querySelectorAll('header, aside, nav, [data-next-bar], [data-open-balance], [data-add]')]"
            ".filter((one) => one.offsetParent !== null || getComputedStyle(one).display !== 'none' && one.offsetHeight > 0)"
            ".map((one) => one.outerHTML.slice(0, 60))"
        )
        sheet = screen.browser.find_element(By.TAG_NAME, "main")
        assert shown == [] and sheet.rect["width"] > 700
    finally:
        screen.browser.execute_cdp_cmd("Emulation.setEmulatedMedia", {"media": ""})


def typed(screen: Screen, *pieces: str) -> None:
    """Type one piece after another: words, or single keys."""
    for piece in pieces:
        screen.browser.switch_to.active_element.send_keys(piece)


def walked(screen: Screen, until: str, most: int = 80) -> None:
    """Press Tab until what a selector says has the focus."""
    for _ in range(most):
        screen.keys(Keys.TAB)
        if screen.run("return document.activeElement.matches(arguments[0])", until):
            return
    raise AssertionError(f"{until} was not reached by {most} presses of Tab")


def test_a_whole_job_is_done_by_the_keyboard_alone(screen: Screen, application: Application) -> None:
    """No pointer: from the Board over plate, readings, duty and options to a choice and its reason."""
    screen.go("/", "Board")
    walked(screen, "[aria-label='Machine of the new job']")
    typed(
        screen,
        "Keys alone",
        Keys.TAB,
        "Quayside",
        Keys.TAB,
        "HP 1/4 V 110 A 2.9 RPM 1725 HZ 60 PH 1 MFD 15.4",
        Keys.ENTER,
    )
    screen.until(lambda: screen.heading() == "In short")
    walked(screen, "[data-field='machine/type']")
    typed(screen, "forward", Keys.TAB)
    screen.saved()
    for number, heading in (("3", "Readings"), ("2", "Plate"), ("3", "Readings")):
        screen.keys(Keys.ALT, number)
        screen.until(lambda heading=heading: screen.heading() == heading)
    walked(screen, "[aria-label^='Supply, set 1']")
    typed(screen, "110", Keys.ARROW_DOWN)
    screen.until(lambda: screen.run("return document.activeElement.getAttribute('aria-label')").startswith("Line amps"))
    typed(screen, "2.6", Keys.ARROW_DOWN, "205", Keys.ARROW_DOWN, "1745", Keys.TAB)
    screen.saved()
    screen.keys(Keys.ALT, "6")
    screen.until(lambda: screen.heading() == "Options" and screen.all("[data-option]"))
    walked(screen, "[data-option] button[aria-expanded]")
    screen.keys(Keys.ARROW_RIGHT)
    screen.until(lambda: screen.all("[data-opened]"))
    screen.keys(Keys.ARROW_LEFT)
    screen.until(lambda: not screen.all("[data-opened]"))
    screen.keys(Keys.ALT, "7")
    screen.until(lambda: screen.heading() == "Decision")
    walked(screen, "[aria-pressed=false]")
    typed(screen, Keys.TAB, Keys.ENTER)
    screen.until(lambda: screen.all("main [aria-pressed=true]"))
    walked(screen, "[data-field='decision/why']")
    typed(screen, "It takes fewer watts", Keys.TAB)
    screen.saved()
    (job,) = [one["id"] for site in application.get("/api/board?find=keys+alone") for one in site["jobs"]]
    decision = application.get(f"/api/jobs/{job}")["document"]["decision"]
    assert decision["chosen"] and decision["why"] == "It takes fewer watts"
