"""How much stands on each screen: words, those of the first screen, small text, the smallest target; printed as a table for docs/screens.md.

``python -m tools.screens [WIDTHxHEIGHT]``; on the demo data, as they stand before anything was opened.
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

JOB = 1
PAGES = (
    ("Board", "/"),
    *(
        (name, f"/jobs/{JOB}/{name.lower().replace(' ', '').replace('inshort', 'short').replace('-', '')}")
        for name in ("In short", "Call", "Plate", "Readings", "Findings", "Duty", "Options", "Decision", "Set-up", "Proof", "Log")
    ),
    ("Catalogue", "/catalogue"),
    ("Devices", "/devices"),
    ("Next visits", "/visits"),
    ("Bench", "/bench"),
    ("Workings", "/workings"),
)  # fmt: skip
SETTLES_S = 1.2
FINGERS_BELOW = 1000
"""Width, px, below which a screen is touched: targets are then as high as a finger needs."""
MEASURE = """
const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
let all = 0, first = 0, letters = 0, small = 0;
for (let node = walker.nextNode(); node; node = walker.nextNode()) {
  const text = node.textContent.trim();
  const box = node.parentElement.getBoundingClientRect();
  if (!text || box.width === 0 || getComputedStyle(node.parentElement).visibility === 'hidden') continue;
  const words = text.split(/\\s+/).filter((word) => /\\p{L}/u.test(word)).length;
  all += words; letters += text.length;
  const range = document.createRange(); range.selectNodeContents(node);
  const at = range.getBoundingClientRect();
  if (at.top < innerHeight && at.bottom > 0) first += words;
  if (parseFloat(getComputedStyle(node.parentElement).fontSize) < 13) small += text.length;
}
const targets = [...document.querySelectorAll('button, a, input, select, [role=radio]')]
  .map((one) => (one.closest('label') ?? one).getBoundingClientRect()).filter((box) => box.width > 0 && box.height > 0);
return [all, first, Math.round(100 * small / Math.max(letters, 1)), Math.round(Math.min(...targets.map((box) => box.height)))];
"""


def touched(browser: webdriver.Chrome, yes: bool) -> None:
    """Whether the screen is one that is touched, as a page asks by ``pointer: coarse``."""
    browser.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": yes, "maxTouchPoints": 1})


def main() -> None:
    """Print the table."""
    width, height = (int(one) for one in (sys.argv[1] if len(sys.argv) > 1 else "1280x800").split("x"))
    options = webdriver.ChromeOptions()
    options.binary_location = "/usr/bin/chromium"
    for argument in (*ARGUMENTS, f"--user-data-dir={tempfile.mkdtemp()}"):
        options.add_argument(argument)
    application = Application().start()
    browser = webdriver.Chrome(options=options, service=Service("/usr/bin/chromedriver"))
    try:
        screen = Screen(browser, application.address)
        screen.size(width, height)
        if width < FINGERS_BELOW:
            touched(browser, True)
        print(
            f"| {width} x {height} | words | on the first screen | text under 13 px | lowest target |\n|---|---|---|---|---|"
        )
        for name, path in PAGES:
            screen.go(path)
            time.sleep(SETTLES_S)
            words, first, small, target = screen.run(MEASURE)
            print(f"| {name} | {words} | {first} | {small} % | {target} px |")
    finally:
        browser.quit()
        application.remove()


if __name__ == "__main__":
    main()
