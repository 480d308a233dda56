"""The first look on a phone, cold: a processor four times slower, 1.6 Mbit/s and 150 ms a way, nothing kept in the browser.

``python benchmarks/first_paint.py`` after the front end was built, on a quiet machine. Of each page, median of the runs: the
first words drawn, wanted under 2.5 s, and everything there that is worked with, wanted under 4 s; and what came over the wire, of it
the code and styles of a station under 170 kB.
"""

from __future__ import annotations

import statistics
import sys
import time
from pathlib import Path

ROOT = Path(__file__).resolve().parents[1]
sys.path.insert(0, str(ROOT))

from tests.core.setup.test_setup_answer import WAITING  # noqa: E402
from tests.web.screen import Screen  # noqa: E402

from benchmarks.browser import screen_with  # noqa: E402
from benchmarks.scale import few  # noqa: E402

RUNS = few(5, 1)
SLOWER = 4
LINE = {"offline": False, "latency": 150, "downloadThroughput": 1.6e6 / 8, "uploadThroughput": 0.75e6 / 8}
NO_LIMIT = {"offline": False, "latency": 0, "downloadThroughput": -1, "uploadThroughput": -1}
PAGES = {
    "Board": ("/", "[data-job]"),
    "In short": ("/jobs/{job}/short", "[data-candidate]"),
    "Readings": ("/jobs/{job}/readings", "[data-line] input"),
    "Options": ("/jobs/{job}/options", "[data-option] button"),
    **{
        name: (f"/jobs/{{job}}/{name.lower().replace('-', '')}", "main h1")
        for name in ("Call", "Plate", "Findings", "Duty", "Decision", "Set-up", "Proof", "Log")
    },
    "Bench": ("/bench", "main svg"),
}
MOST_S = 30.0


def look(screen: Screen, path: str, usable: str) -> tuple[float, float, float, float]:
    """Seconds until the first words and until what is worked with stands there, kilobytes over the wire, and of them code and styles."""
    driver = screen.browser
    driver.get("about:blank")
    driver.execute_cdp_cmd("Network.clearBrowserCache", {})
    start = time.perf_counter()
    driver.get(screen.address + path)
    while not driver.execute_script("return document.querySelector(arguments[0]) !== null", usable):
        if time.perf_counter() - start > MOST_S:
            raise TimeoutError(f"{path} was not there after {MOST_S} s")
        time.sleep(0.02)
    there = time.perf_counter() - start
    painted, packed, bundle = driver.execute_script(
        """const of = (kind) => performance.getEntriesByType(kind);
           const sum = (ones, size) => ones.reduce((all, one) => all + one[size], 0);
           return [of('paint').find((one) => one.name === 'first-contentful-paint')?.startTime ?? 0,
                   sum([...of('navigation'), ...of('resource')], 'transferSize'),
                   sum(of('resource').filter((one) => /\\.(js|css)$/.test(one.name)), 'encodedBodySize')]"""
    )
    return painted / 1000, there, packed / 1000, bundle / 1000


def main() -> None:
    """Print what each page takes."""
    with screen_with(WAITING) as (screen, job):
        screen.size(390, 844)
        driver = screen.browser
        driver.get(screen.address)
        driver.execute_cdp_cmd("Network.enable", {})
        driver.execute_cdp_cmd("Network.emulateNetworkConditions", LINE)
        driver.execute_cdp_cmd("Emulation.setCPUThrottlingRate", {"rate": SLOWER})
        try:
            print(f"{'page':10} {'first words, s':>15} {'usable, s':>10} {'kB':>7} {'of it code, kB':>15}")
            for name, (path, usable) in PAGES.items():
                runs = [look(screen, path.format(job=job), usable) for _ in range(RUNS)]
                painted, there, packed, bundle = (statistics.median(column) for column in zip(*runs, strict=True))
                print(f"{name:10} {painted:15.2f} {there:10.2f} {packed:7.0f} {bundle:15.0f}")
        finally:  # the browser may be somebody else's as well
            driver.execute_cdp_cmd("Emulation.setCPUThrottlingRate", {"rate": 1})
            driver.execute_cdp_cmd("Network.emulateNetworkConditions", NO_LIMIT)
            driver.execute_cdp_cmd("Network.disable", {})


if __name__ == "__main__":
    main()
