"""An application of its own with a job in it, and a browser on it, for whatever is timed on the screen."""

from __future__ import annotations

import json
import tempfile
import urllib.request
from collections.abc import Iterator
from contextlib import contextmanager
from typing import Any

from selenium import webdriver
from selenium.webdriver.chrome.service import Service
from tests.running import Application
from tests.web.conftest import ARGUMENTS
from tests.web.screen import Screen


@contextmanager
def screen_with(job: dict[str, Any]) -> Iterator[tuple[Screen, int]]:
    """A screen of 1280x800 on an application that holds a job; gives both, and removes both."""
    application = Application().start()
    options = webdriver.ChromeOptions()
    options.binary_location = "/usr/bin/chromium"
    for argument in (*ARGUMENTS, f"--user-data-dir={tempfile.mkdtemp()}"):
        options.add_argument(argument)
    driver = webdriver.Chrome(options=options, service=Service("/usr/bin/chromedriver"))
    try:
        body, kind = json.dumps({"job": job}).encode(), {"content-type": "application/json"}
        request = urllib.request.Request(f"{application.address}/api/jobs/file", body, kind)
        with urllib.request.urlopen(request) as answer:
            number = json.load(answer)["id"]
        screen = Screen(driver, application.address)
        screen.size(1280, 800)
        yield screen, number
    finally:
        driver.quit()
        application.remove()
