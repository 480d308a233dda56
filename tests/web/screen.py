"""The screen as a technician meets it: by the words that stand on it."""

from __future__ import annotations

import time
from collections.abc import Callable
from typing import Any, TypeVar

from selenium import webdriver
from selenium.common.exceptions import NoSuchElementException, StaleElementReferenceException
from selenium.webdriver.common.by import By
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.remote.webelement import WebElement

PATIENCE_S = 30.0
Answer = TypeVar("Answer")


class Screen:
    """One page in the browser."""

    def __init__(self, browser: webdriver.Chrome, address: str) -> None:
        self.browser = browser
        self.address = address
        self.provoked: list[str] = []

    def size(self, width: int, height: int) -> None:
        """Set the size of the page itself, not of the window round it."""
        metrics = {"width": width, "height": height, "deviceScaleFactor": 1, "mobile": width < 700}
        self.browser.execute_cdp_cmd("Emulation.setDeviceMetricsOverride", metrics)

    def go(self, path: str, heading: str | None = None) -> None:
        """Open a page and wait for its heading."""
        self.browser.get(self.address + path)
        self.until(lambda: self.browser.find_element(By.TAG_NAME, "h1").text == (heading or self.heading()))

    def heading(self) -> str:
        """The page's heading."""
        return self.browser.find_element(By.TAG_NAME, "h1").text

    def text(self) -> str:
        """All the words on the page, as its reader sees them."""
        # The browser's own answer: the driver's takes a quarter of a second of a long page, and is asked for in every wait.
        return self.run("return document.body?.innerText ?? ''").replace("\u00a0", " ")

    def until(self, condition: Callable[[], Answer]) -> Answer:
        """Wait until the condition gives something true; gives it."""
        deadline, last = time.monotonic() + PATIENCE_S, None
        while time.monotonic() < deadline:
            try:
                answer = condition()
                if answer:
                    return answer
            except (NoSuchElementException, StaleElementReferenceException) as error:
                last = error
            time.sleep(0.05)
        raise AssertionError(f"waited in vain; the page says:\n{self.text()[:3000]}") from last

    def sees(self, words: str) -> None:
        """Wait until the words stand on the page."""
        self.until(lambda: words in self.text())

    def field(self, label: str) -> WebElement:
        """The field whose label begins so."""
        return self.until(lambda: self.browser.find_element(By.CSS_SELECTOR, f'[aria-label^="{label}"]'))

    def type(self, label: str, text: str, leave: bool = True) -> WebElement:
        """Put text into a field in place of what stands there, and leave it."""
        field = self.field(label)
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys(text or Keys.DELETE)
        if leave:
            field.send_keys(Keys.TAB)
        return field

    def value(self, label: str) -> str:
        """What stands in a field."""
        return self.field(label).get_property("value")

    def press(self, words: str, tag: str = "button") -> None:
        """Press the button, answer or link that says so."""
        xpath = f"//{tag}[contains(normalize-space(.), '{words}') or contains(@aria-label, '{words}')]"
        self.click(self.until(lambda: self.browser.find_element(By.XPATH, xpath)))

    def click(self, element: WebElement) -> None:
        """Click something where it can be seen, as a hand does: not under the bars at the edges."""
        self.run("arguments[0].scrollIntoView({block: 'center'})", element)
        element.click()

    def choose(self, group: str, answer: str) -> None:
        """Take an answer of a group."""
        xpath = (
            f"//*[@role='radiogroup' and starts-with(@aria-label, '{group}')]//button[normalize-space(.)='{answer}']"
        )
        self.click(self.until(lambda: self.browser.find_element(By.XPATH, xpath)))
        self.until(lambda: self.browser.find_element(By.XPATH, xpath).get_attribute("aria-checked") == "true")

    def station(self, name: str) -> None:
        """Go to a station by the rail."""
        self.browser.find_element(By.CSS_SELECTOR, f'[data-station="{name}"]').click()
        self.until(lambda: self.heading().lower().replace("-", "") == name)

    def all(self, selector: str) -> list[WebElement]:
        """Everything that a selector finds now."""
        return list(self.browser.find_elements(By.CSS_SELECTOR, selector))

    def opens(self, letter: str) -> None:
        """Open the row of an option, if it is not open."""
        row = self.until(lambda: self.browser.find_element(By.ID, f"option-{letter}"))
        if row.get_attribute("aria-expanded") != "true":
            self.run("arguments[0].click()", row)
        self.until(lambda: self.all(f'[data-opened="{letter}"]'))

    def rail(self, name: str) -> str:
        """What the rail tells of a station."""
        return self.browser.find_element(By.CSS_SELECTOR, f'[data-station="{name}"]').text

    def saved(self) -> None:
        """Wait until the top line says that everything is saved."""
        self.until(lambda: self.browser.find_element(By.CSS_SELECTOR, '[data-saved="true"]'))

    def balance(self) -> str:
        """The balance as it is told to a screen reader."""
        return self.until(
            lambda: self.browser.find_element(By.CSS_SELECTOR, "svg[data-balance]").get_attribute("aria-label")
        )

    def keys(self, *keys: str) -> None:
        """Press keys on the page as a whole."""
        action = webdriver.ActionChains(self.browser)
        for key in keys[:-1]:
            action = action.key_down(key)
        action = action.send_keys(keys[-1])
        for key in keys[:-1]:
            action = action.key_up(key)
        action.perform()

    def run(self, script: str, *arguments: Any) -> Any:
        """Run script in the page through the driver, which no content policy of the page concerns."""
        return self.browser.execute_script(script, *arguments)

    def forget(self) -> None:
        """Leave nothing behind for the next test."""
        self.run("localStorage.clear(); sessionStorage.clear()")
