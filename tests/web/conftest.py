"""A headless browser on the running application, with its console and its requests written down."""

from __future__ import annotations

import json
import shutil
import tempfile
from collections.abc import Iterator
from pathlib import Path
from urllib.parse import urlsplit

import pytest
from selenium import webdriver
from selenium.webdriver.chrome.service import Service

from tests.running import Application
from tests.web.screen import Screen

ARGUMENTS = (
    *[
        "--headless=new",
        "--no-sandbox",
        "--disable-gpu",
        "--disable-dev-shm-usage",
        "--disable-quic",
        "--no-first-run",
        "--disable-background-networking",
        "--disable-component-update",
        "--disable-sync",
    ],
    "--host-resolver-rules=MAP * ~NOTFOUND , EXCLUDE 127.0.0.1",
)


def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    """Browser tests are slow, wherever they are run."""
    for item in items:
        if "tests/web" in str(item.path):
            item.add_marker(pytest.mark.slow)


@pytest.fixture(scope="session")
def application() -> Iterator[Application]:
    application = Application(module="tests.faster").start()
    yield application
    application.remove()


@pytest.fixture(scope="session")
def browser() -> Iterator[webdriver.Chrome]:
    profile = tempfile.mkdtemp(prefix="modest-rotor-browser-")
    options = webdriver.ChromeOptions()
    options.binary_location = "/usr/bin/chromium"
    for argument in (*ARGUMENTS, f"--user-data-dir={profile}"):
        options.add_argument(argument)
    options.set_capability("goog:loggingPrefs", {"browser": "ALL", "performance": "ALL"})
    driver = webdriver.Chrome(options=options, service=Service("/usr/bin/chromedriver"))
    yield driver
    driver.quit()
    shutil.rmtree(profile, ignore_errors=True)


@pytest.fixture
def screen(browser: webdriver.Chrome, application: Application) -> Iterator[Screen]:
    """A screen of 1280x800; afterwards the console must be clean and no request may have left this machine."""
    if not application.runs():  # a test that ended it and failed takes no other with it
        application.start()
    browser.get_log("browser"), browser.get_log("performance")
    screen = Screen(browser, application.address)
    screen.size(1280, 800)
    yield screen
    assert outside(browser, application) == []
    assert [line for line in browser.get_log("browser") if not expected(line, screen)] == []
    screen.forget()


def expected(line: dict, screen: Screen) -> bool:
    """A refusal is told by the browser as a failed request; a test that provokes one says so."""
    return any(word in line["message"] for word in screen.provoked)


def outside(browser: webdriver.Chrome, application: Application) -> list[str]:
    """Every request that went anywhere but to the application."""
    found = []
    for entry in browser.get_log("performance"):
        message = json.loads(entry["message"])["message"]
        if message["method"] == "Network.requestWillBeSent":
            url = urlsplit(message["params"]["request"]["url"])
            if url.scheme in ("http", "https", "ws", "wss") and url.netloc != f"127.0.0.1:{application.port}":
                found.append(url.geturl())
    return found


AXE = Path(__file__).parents[2] / "web" / "node_modules" / "axe-core" / "axe.min.js"
