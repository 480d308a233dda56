"""From nothing to a first answer in the browser: keys, presses and seconds, counted in the page.

``python -m benchmarks.first_answer``. A plate's line counts as one key (it is pasted, or read off once); everything else key by key, at
a hand's pace of five keys a second. Wanted: two minutes, under forty keys.
"""

from __future__ import annotations

import sys
import time
from pathlib import Path

from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.select import Select

ROOT = Path(__file__).resolve().parents[1]
sys.path.insert(0, str(ROOT))

from tests.jobs import KRAUSE  # noqa: E402
from tests.web.test_short import LINE, candidates  # noqa: E402

from benchmarks.browser import screen_with  # noqa: E402
from benchmarks.scale import SHORT  # noqa: E402

PACE_S = 0.0 if SHORT else 0.2
PRESS_S = 0.0 if SHORT else 1.5
ROW = (("Supply", "111"), ("Line amps", "3.19"), ("Speed", "1722"), ("Input power", "306"))
"""What is in hand: volts, amps, rpm, watts."""


def main() -> None:
    """Walk it once, and print what it took."""
    keys = presses = 0
    with screen_with(KRAUSE) as (screen, _):
        screen.go("/", "Board")
        began = time.monotonic()

        def typed(label: str, text: str, ends: str = Keys.TAB) -> None:
            nonlocal keys
            field = screen.field(label)
            for letter in text:
                field.send_keys(letter)
                time.sleep(PACE_S)
            field.send_keys(ends)
            keys += len(text) + 1

        typed("Machine of the new job", "Fan 3")
        screen.field("Plate of the new job in one line").send_keys(LINE, Keys.ENTER)
        keys += 2
        screen.until(lambda: screen.heading() == "In short")
        for label, choice in (
            ("What does the motor drive?", "backward-inclined"),
            ("Hours by kind of building", "office air handler"),
        ):
            time.sleep(PRESS_S)
            screen.until(
                lambda label=label, choice=choice: choice in [one.text for one in Select(screen.field(label)).options]
            )
            Select(screen.field(label)).select_by_visible_text(choice)
            presses += 2
        for label, text in ROW:
            typed(label, text)
        typed("Energy price", ".2")
        screen.until(lambda: len([row for row in candidates(screen).values() if "±" in row]) >= 3)
        print(
            f"{keys} keys, {presses} presses, {time.monotonic() - began:.0f} s to {len(candidates(screen))} candidates"
        )


if __name__ == "__main__":
    main()
