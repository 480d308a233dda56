"""Takes the pictures of docs/screenshots from the demo data, on an application and a browser of its own.

``python tools/screenshots.py`` after the front end was built, with names to take those alone; look at each picture before
committing it.
"""

from __future__ import annotations

import sys
import tempfile
import time
from pathlib import Path

from selenium import webdriver
from selenium.webdriver.chrome.service import Service

ROOT = Path(__file__).resolve().parents[1]
sys.path.insert(0, str(ROOT))

from tests.running import Application  # noqa: E402
from tests.web.conftest import ARGUMENTS  # noqa: E402
from tests.web.screen import Screen  # noqa: E402

FOLDER = ROOT / "docs" / "screenshots"
AIR_HANDLER, KITCHEN, HALL_FAN, FAN_COIL, ROOF_FAN, COLD_STORE, FINISHED = 1, 4, 5, 6, 7, 8, 9
OPEN_SLIP = (
    "document.getElementById('opens-slip').click(); setTimeout(() => document.querySelector("
    "'[aria-label=\"Working: Rated slip\"]').scrollIntoView({block: 'end'}), 200)"
)
NO_PLATE = "document.querySelector('[aria-label=\"No plate, or none that can be read\"]').scrollIntoView()"
TYPE_HEAT = (
    "const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;"
    "[['Airflow', '1,000 cfm ± 7 %'], ['Temperature difference', '20 °F'], ['Temperature of the air', '70 °F']].forEach(([label, text]) => {"
    " const field = [...document.querySelectorAll('main label')].find((one) => one.textContent.startsWith(label)).querySelector('input');"
    " set.call(field, text); field.dispatchEvent(new Event('input', { bubbles: true })) })"
)
OPEN_STEP = (
    "const step = document.querySelector('[data-step={0}]'); step.querySelector('button').click();"
    "setTimeout(() => {{ step.scrollIntoView(); window.scrollBy(0, -60) }}, 300)"
)
OPEN_OPTION = "document.getElementById('option-C').click()"
COMMANDS = OPEN_STEP.format("commands")
PREDICT = (
    "document.querySelectorAll('main [role=radiogroup]').forEach((one, index) => one.querySelectorAll('button')[[2, 0, 1, 0, 2, 2][index]].click());"
    "setTimeout(() => document.querySelector('[data-turn]').click(), 12000)"
)
ASK_ALL = "document.querySelectorAll('[data-device] [data-ask]').forEach((one) => one.click())"
WAITS = {"bench": 26.0}
"""Seconds until what a script begins has happened: the rig runs before and after it is turned."""
SWEPT = ("setup", "devices")
"""Pictures that show the demo's drive after it was swept."""
PICTURES = [  # name, path, width, height, scheme, script
    ("board", "/", 1280, 800, "light", ""),
    ("short", f"/jobs/{AIR_HANDLER}/short", 1280, 800, "light", ""),
    ("call", f"/jobs/{KITCHEN}/call", 1280, 800, "light", ""),
    ("plate", f"/jobs/{AIR_HANDLER}/plate", 1280, 800, "light", OPEN_SLIP),
    ("no-plate", f"/jobs/{ROOF_FAN}/plate", 1280, 800, "light", NO_PLATE),
    ("readings", f"/jobs/{FAN_COIL}/readings", 1280, 800, "light", ""),
    ("findings", f"/jobs/{FAN_COIL}/findings", 1280, 800, "light", ""),
    ("duty", f"/jobs/{AIR_HANDLER}/duty", 1280, 800, "light", ""),
    ("options", f"/jobs/{AIR_HANDLER}/options", 1280, 800, "light", OPEN_OPTION),
    ("decision", f"/jobs/{COLD_STORE}/decision", 1280, 800, "dark", ""),
    ("report", f"/jobs/{COLD_STORE}/report", 1280, 800, "light", ""),
    ("setup", f"/jobs/{HALL_FAN}/setup", 1280, 800, "light", COMMANDS),
    ("proof", f"/jobs/{FINISHED}/proof", 1280, 800, "light", ""),
    ("log", f"/jobs/{FINISHED}/log", 1280, 800, "light", ""),
    ("devices", "/devices", 1280, 800, "light", ASK_ALL),
    ("catalogue", "/catalogue", 1280, 800, "light", ""),
    ("workings", "/workings/air_heat", 1280, 800, "light", TYPE_HEAT),
    ("bench", "/bench/course/block-forward-curved", 1280, 800, "light", PREDICT),
    ("readings-phone", f"/jobs/{AIR_HANDLER}/readings?one=current", 390, 844, "light", ""),
]


def _sweep(application: Application) -> None:
    """Let the demo's drive be swept and balanced once, so that there is something to see."""
    job = f"/api/jobs/{HALL_FAN}"

    def typed(field: str, text: str) -> None:
        revision = application.get(job)["revision"]
        body = {"revision": revision, "path": f"setup/sweep/{field}", "text": text, "units": "si", "who": "R. Quay"}
        application.post(f"{job}/changes", body)

    for field, text in (("low", "25 Hz"), ("hold", "0.3 s"), ("limit", "58 dB(A)")):
        typed(field, text)
    plan = application.post(f"{job}/setup/plan", {"what": "sweep"})
    application.post(f"{job}/setup/sweep", {"what": "sweep", "digest": plan["digest"], "who": "R. Quay"})
    while application.get(f"{job}/setup/sweep")["run"]["state"] == "running":
        time.sleep(1)
    plan = application.post(f"{job}/setup/plan", {"what": "command", "step": "s2"})
    application.post(
        f"{job}/setup/writes", {"what": "command", "step": "s2", "digest": plan["digest"], "who": "R. Quay"}
    )
    time.sleep(20)
    body = {"revision": application.get(job)["revision"], "step": "s2", "read": True, "who": "R. Quay"}
    application.post(f"{job}/setup/trials", body)


def main() -> None:
    """Take every picture anew."""
    application = Application().start()
    options = webdriver.ChromeOptions()
    options.binary_location = "/usr/bin/chromium"
    for argument in (*ARGUMENTS, "--hide-scrollbars", f"--user-data-dir={tempfile.mkdtemp()}"):
        options.add_argument(argument)
    driver = webdriver.Chrome(options=options, service=Service("/usr/bin/chromedriver"))
    try:
        FOLDER.mkdir(parents=True, exist_ok=True)
        screen = Screen(driver, application.address)
        wanted = [one for one in PICTURES if one[0] in sys.argv[1:] or len(sys.argv) == 1]
        if any(one[0] in SWEPT for one in wanted):
            _sweep(application)
        application.get("/api/board")  # worked out once before it is shown
        driver.get(application.address)
        for name, path, width, height, scheme, script in wanted:
            screen.size(width, height)
            screen.run(f"localStorage.setItem('modest-rotor scheme', '\"{scheme}\"')")
            driver.get(application.address + path)
            time.sleep(1.5)
            if script:
                screen.run(script)
                time.sleep(WAITS.get(name, 0.7))
            driver.save_screenshot(str(FOLDER / f"{name}.png"))
    finally:
        driver.quit()
        application.remove()


if __name__ == "__main__":
    main()
