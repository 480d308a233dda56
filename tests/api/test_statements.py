"""Statements over HTTP: no general edit, no added or removed item and no undo forges one or takes one back."""

from __future__ import annotations

from typing import Any

import pytest
from fastapi.testclient import TestClient

from modest_rotor.core.job import Job
from modest_rotor.store.database import with_connection
from modest_rotor.store.jobs import keep_job, load
from modest_rotor.store.models import ChangeRow, JobRow
from tests.jobs import KRAUSE, changed

pytestmark = pytest.mark.database

MARK = {"id": "s1", "finding": "capacitor_off_label/s1", "state": "fixed", "who": "Eve", "at": "2020-01-01 00:00"}
WAIVER = {"id": "s1", "option": "electronic", "check": "listing", "who": "Eve", "reason": "fine"}
APPROVAL = {"id": "s1", "of": "it", "who": "A. Stranger"}
SIGN = {"id": "s1", "step": "isolate", "who": "Eve"}


class Desk:
    """One job over HTTP, at its newest revision."""

    def __init__(self, client: TestClient) -> None:
        data = changed(KRAUSE, options__fitting={"listing_allows": "no"}, readings__0__capacitance="8 µF")
        self.client, self.id = client, with_connection(keep_job)(Job.model_validate(data)).id
        self.view = client.get(f"/api/jobs/{self.id}").json()

    def does(self, to: str, status: int = 200, method: str = "POST", **body: Any) -> Any:
        said = {"revision": self.view["revision"], "who": "Ann", **body}
        where = f"/api/jobs/{self.id}/{to}"
        answer = (
            self.client.delete(where, params={"revision": said["revision"]})
            if method == "DELETE"
            else self.client.post(where, json=said)
        )
        assert answer.status_code == status, answer.text
        if status == 200:
            self.view = answer.json()
        return answer.json()

    @property
    def document(self) -> dict[str, Any]:
        return self.view["document"]  # type: ignore[no-any-return]

    def says_everything(self) -> None:
        self.does("marks", finding=MARK["finding"], state="fixed", note="new")
        self.does("waivers", option="electronic", check="listing", name="Ann", reason="no listed appliance")
        self.does("approvals", of="a drive", given_by="A. Porter", role="owner")


@pytest.fixture
def desk(client: TestClient) -> Desk:
    return Desk(client)


@pytest.mark.parametrize(
    ("path", "value"),
    [
        ("marks", [MARK]),
        ("options/waivers", [WAIVER]),
        ("options", {"waivers": [WAIVER]}),
        ("decision/approvals", [APPROVAL]),
        ("decision", {"approvals": [APPROVAL]}),
        ("setup/signs", [SIGN]),
        ("setup", {"signs": [SIGN]}),
    ],
)
def test_the_general_edit_forges_nothing(desk: Desk, path: str, value: Any) -> None:
    before = desk.view["revision"]
    refused = desk.does("changes", 422, path=path, value=value)
    assert refused["sentence"] and refused["saved"] == "nothing"
    assert desk.client.get(f"/api/jobs/{desk.id}").json()["revision"] == before


def test_nothing_is_added_to_or_removed_from_what_was_said(desk: Desk) -> None:
    desk.says_everything()
    for name in ("marks", "options/waivers", "decision/approvals", "setup/signs"):
        assert desk.does(f"items/{name}", 422)["code"] == "commands-fields-called"
        assert desk.does(f"items/{name}/s1", 422, "DELETE")["code"] == "commands-fields-called"


def test_undo_takes_back_the_edit_before_and_leaves_what_was_said(desk: Desk) -> None:
    desk.does("changes", path="call/notes", text="hums")
    desk.says_everything()
    assert desk.view["undo_label"] == "In their words, hums"
    said = {name: desk.document[name] for name in ("marks",)} | {"waivers": desk.document["options"]["waivers"]}
    desk.does("undo")
    assert desk.document["call"]["notes"] is None
    assert {"marks": desk.document["marks"], "waivers": desk.document["options"]["waivers"]} == said
    assert len(desk.document["decision"]["approvals"]) == 1
    desk.does("redo")
    assert desk.document["call"]["notes"] == "hums"
    kinds = [one["kind"] for one in desk.client.get(f"/api/jobs/{desk.id}/changes").json()]
    assert kinds == ["edit", "said", "said", "said", "undo", "redo"]


def test_it_is_withdrawn_by_name_and_both_stay(desk: Desk) -> None:
    desk.says_everything()
    (waiver,) = desk.document["options"]["waivers"]
    body = {"statements": "options/waivers", "id": waiver["id"], "why": "it is listed after all"}
    assert desk.does("withdrawals", 422, **body, who=" ")["code"] == "core-statements-named"
    assert desk.does("withdrawals", 422, **{**body, "why": ""})["code"] == "core-statements-withdraw-what-said"
    assert desk.does("withdrawals", 404, **{**body, "id": "s9"})["sentence"]
    assert desk.does("withdrawals", 404, **{**body, "statements": "readings"})["sentence"]
    desk.does("withdrawals", **body, who="Bo")
    (now,) = desk.document["options"]["waivers"]
    assert now["who"] == "Ann" and now["withdrawn"]["who"] == "Bo" and now["withdrawn"]["why"] == body["why"]
    options = desk.view["assessment"]["options"]["options"]
    assert next(one for one in options if one["id"] == "electronic")["stop"]
    assert "core-statements-withdraw-withdrew-meanwhile" in desk.does("withdrawals", 422, **body)["codes"]


def test_of_a_job_kept_before_undo_passes_over_what_was_said(desk: Desk) -> None:
    """Statements were kept as edits once: their rows lie in the history with edits below them."""
    desk.does("changes", path="call/notes", text="hums")
    desk.does("marks", finding=MARK["finding"], state="fixed", note="new")
    edit, mark = (one["id"] for one in desk.client.get(f"/api/jobs/{desk.id}/changes").json())

    def as_it_was() -> None:
        ChangeRow.update(kind="edit", below=edit).where(ChangeRow.id == mark).execute()
        JobRow.update(undo_top=mark).where(JobRow.id == desk.id).execute()
        assert load(desk.id).undo_label == "In their words, hums"

    with_connection(as_it_was)()
    desk.does("undo")
    assert desk.document["call"]["notes"] is None and len(desk.document["marks"]) == 1
    assert desk.view["undo_label"] is None and "store-jobs-step-back-there-nothing" in desk.does("undo", 422)["codes"]
