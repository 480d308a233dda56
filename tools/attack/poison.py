"""Every quantity of every demo job with 0, a tiny, the least, the greatest and a negative value, through the API.

``python tools/attack/poison.py`` makes them all, which takes a good hour; the attack makes a sample. After each edit the job, the
Board, the Bench and the report are asked.
"""

from __future__ import annotations

import random
import sys
import time
from pathlib import Path

sys.path.insert(0, str(Path(__file__).resolve().parents[2]))

from tests.api.test_unbreakable import extremes
from tests.running import Application

from modest_rotor.demo.load import DEMO_JOBS, FINISHED, _job
from tools.attack.common import Client, Row, Seen, together

NAMES = (*DEMO_JOBS, FINISHED)


def poison(application: Application, most: int | None, seconds: float) -> Row:
    """Type them, or a sample, for at most so long; look at everything afterwards."""
    seen = Seen()
    every = [(number, *one) for number, name in enumerate(NAMES, 1) for one in extremes(_job(name))]
    random.Random(5).shuffle(every)
    chosen, until, done, bad = every[:most], time.monotonic() + seconds, [0], []

    def part(at: int) -> None:
        client = Client(application, seen)
        for job, path, text in chosen[at::2]:
            if time.monotonic() > until:
                return
            client.save(job, path, text)
            done[0] += 1
            looks = (f"/api/jobs/{job}", f"/api/jobs/{job}/report", "/api/board", "/api/bench")
            wrong = [look for look in looks if client.call("GET", look)[0] != 200]
            rig = client.call("POST", "/api/bench/look", {"rig": {"of": "job", "job": job}})[0]
            if wrong or rig not in (200, 422):
                bad.append((job, path, text, wrong, rig))
            client.call(
                "POST", f"/api/jobs/{job}/undo", {"revision": client.call("GET", f"/api/jobs/{job}")[1]["revision"]}
            )

    together([lambda at=at: part(at) for at in (0, 1)])
    for one in bad[:10] + seen.faults[:10]:
        print("   ", one, file=sys.stderr)
    found = f"{len(seen.faults)} answers of 500 and more, {len(bad)} pages that did not open, longest {seen.longest_s:.1f} s"
    return Row("extremes typed", f"{done[0]:,} of {len(every):,} values", found, not seen.faults and not bad)


if __name__ == "__main__":
    running = Application().start()
    try:
        row = poison(running, None, 3 * 3600)
        print(row.attack, "|", row.done, "|", row.found, "|", "holds" if row.holds else "DOES NOT HOLD")
        sys.exit(not row.holds)
    finally:
        running.remove()
