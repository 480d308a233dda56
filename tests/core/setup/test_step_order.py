"""The order of set-up: no circle, no step reachable past what it rests on, none past a stop, none that stays signed on what changed."""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.options.contract import OptionKind
from modest_rotor.core.phrase import Phrase, plain
from modest_rotor.core.setup.answer import SetupAnswer
from modest_rotor.core.setup.steps import LIVE, SetupStep, refusal_to_sign, rests_on
from modest_rotor.core.stations.setup import SignState
from modest_rotor.core.tables import read_table
from tests.core.setup.test_setup_answer import BAGGAGE, HALL, WAITING, setup, step
from tests.said import codes_of, says

pytestmark = pytest.mark.slow

ROWS = list(read_table("setup_steps"))
LINK = {"first_volts": "231 V", "voltage_selector": "208-230 V", "second_volts": "230 V"}
HANDS_IN = {
    "discharge_capacitor",
    "discharge_electronics",
    "photograph",
    "taps_capped",
    "voltage_selector",
    "capacitor_kept",
}


def as_signed(names: list[str], **last: Any) -> list[dict[str, Any]]:
    """Signatures in an order, the last one with something of its own."""
    signs: list[dict[str, Any]] = [{"id": f"s{n}", "step": name, "who": "Ann"} for n, name in enumerate(names, 1)]
    if last:
        signs[-1] |= last
    return signs


def waiting(signs: list[dict[str, Any]], **typed: Any) -> SetupAnswer:
    """The demo's electronic motor, with signatures and with what was typed."""
    return setup(WAITING, decision__chosen="electronic", setup={"signs": signs, **typed})


def every_name() -> list[str]:
    return [one.step for one in waiting([], **LINK).steps]


def refusal(answer: SetupAnswer, name: str, state: SignState = SignState.DONE) -> str | None:
    return refusal_to_sign(answer.steps, step(answer, name), state)


def test_the_table_has_no_circle_and_names_only_steps_that_stand_before() -> None:
    seen: set[str] = set()
    for row in ROWS:
        after = set(filter(None, row["after"].split("|")))
        assert after <= seen, f"{row['step']} rests on what comes later: {after - seen}"
        assert row["step"] not in seen
        seen.add(row["step"])


@pytest.mark.parametrize(
    "names",
    [[row["step"] for row in ROWS], every_name(), ["isolate", "power", "card"]],
    ids=["all", "electronic", "few"],
)
def test_power_rests_on_everything_before_it_and_all_hands_on_a_dead_motor(names: list[str]) -> None:
    """Walked from each step back: the whole list of whatever is fitted ends at its first steps."""
    rows = [row for row in ROWS if row["step"] in names]
    graph = rests_on(rows)

    def below(name: str) -> set[str]:
        return set(graph[name]).union(*(below(one) for one in graph[name]))

    before_power = {
        row["step"] for row in rows if row["group"] in ("isolate", "remove", "fit", "voltage", "before-power")
    }
    if "power" in names:
        assert before_power <= below("power")
        for row in rows:
            if row["group"] in LIVE and row["step"] not in ("power", "seal"):
                assert "power" in below(row["step"]) or row["step"] == "power"
    for name in HANDS_IN & set(names):
        assert "prove_dead" in below(name)


def test_every_step_of_every_list_is_refused_until_what_it_rests_on_is_signed_and_taken_after() -> None:
    """Signed one by one in the list's order nothing is refused; each signed out of its turn is."""
    names = every_name()
    for place, name in enumerate(names):
        answer = waiting(as_signed(names[:place]), **LINK)
        assert refusal(answer, name) is None, name
        for later in answer.steps[place + 1 :]:
            if name in rests_on([row for row in ROWS if row["step"] in names])[later.step]:
                assert "setup-steps-refusal-to-sign-first-step" in codes_of(refusal(answer, later.step) or ""), (
                    name,
                    later.step,
                )
    done = waiting(as_signed(names), **LINK)
    assert done.done == len(names) and not any(one.is_open or one.reopened or one.after for one in done.steps)


def test_power_is_refused_with_a_wrong_link_and_before_any_volts() -> None:
    """231 V on a link for 115 V; and nothing typed at all: both could be signed before."""
    before = every_name()[: every_name().index("power")]
    wrong = waiting(as_signed(before), first_volts="231 V", link="115 V", second_volts="230 V")
    assert step(wrong, "voltage_selector").stopped and "setup-steps-refusal-to-sign-first-step" in codes_of(
        refusal(wrong, "power") or ""
    )
    none = waiting(as_signed([name for name in before if name not in ("voltage_selector", "plugs")]))
    assert "setup-steps-refusal-to-sign-first-step" in codes_of(refusal(none, "power") or "") and refusal(
        none, "voltage_selector"
    )
    assert refusal(waiting(as_signed(before), **LINK), "power") is None


def test_no_step_with_power_on_is_signed_while_any_stop_stands() -> None:
    names = every_name()
    stopped = waiting(
        [*as_signed(names[:3]), {"id": "x1", "step": "parts", "state": "stop", "found": "missing", "who": "Ann"}],
        **LINK,
    )
    live = [one for one in stopped.steps if one.group in LIVE]
    assert live and all(refusal(stopped, one.step) for one in live)
    assert refusal(stopped, "power", SignState.STOP) is None  # a stop may be signed at any time


@pytest.mark.parametrize("name", ["voltage_selector", "prove_dead", "isolate", "power"])
def test_what_nobody_can_leave_out(name: str) -> None:
    assert refusal(waiting([], **LINK), name, SignState.NOT_NEEDED)
    assert refusal(waiting([], **LINK), "parts", SignState.NOT_NEEDED) is None


def test_a_step_signed_anew_reopens_what_rests_on_it() -> None:
    names = every_name()
    basis = step(waiting([], **LINK), "remove").basis
    anew = {"id": "x1", "step": "remove", "found": "again", "who": "Bo"}
    again = waiting([*as_signed(names), anew | {"basis": basis}], **LINK)
    reopened = {one.step for one in again.steps if one.reopened}
    assert {"compare", "attitude", "free", "power", "rotation", "commands", "card"} <= reopened
    assert not {"isolate", "prove_dead", "photograph", "remove", "parts", "overload"} & reopened
    assert all(step(again, name).is_open for name in reopened)
    assert "setup-steps-number-words-signed-before" in codes_of(refusal(again, "power") or "")
    older = waiting([*as_signed(names), anew], **LINK)  # signed by a program that demanded no order
    assert not any(one.reopened for one in older.steps)


def test_volts_or_an_option_changed_after_a_signature_reopen_it() -> None:
    names = every_name()
    basis = step(waiting([], **LINK), "voltage_selector").basis
    signed = [one | {"basis": step(waiting([], **LINK), one["step"]).basis} for one in as_signed(names)]
    assert not any(one.reopened for one in waiting(signed, **LINK).steps)
    other = waiting(signed, first_volts="208 V", link="208-230 V", second_volts="208 V")
    assert (
        step(other, "voltage_selector").reopened
        and step(other, "power").reopened
        and not step(other, "isolate").reopened
    )
    chosen = setup(WAITING, decision__chosen="drive", setup={"signs": signed, **LINK})
    assert step(chosen, "isolate").reopened and basis != step(chosen, "voltage_selector").basis


def test_protection_and_drive_settings_come_before_power_and_rotation_at_a_bump() -> None:
    names = [one.step for one in setup(HALL).steps]
    for before, after in (("voltage_selector", "power"), ("overload", "power"), ("fuse", "power"), ("drive_settings", "power"), ("power", "rotation"), ("rotation", "run"), ("run", "sweep")):  # fmt: skip
        assert names.index(before) < names.index(after)
    fan = [one.step for one in waiting([]).steps]
    assert fan.index("voltage_selector") < fan.index("plugs") < fan.index("power")


def test_a_drive_on_the_motor_that_is_there_takes_nothing_out() -> None:
    """The hall's own three-phase motor stays: no remove, no compare; its own plate for the overload; no link to discharge yet."""
    answer = setup(HALL)
    names = {one.step for one in answer.steps}
    assert not {"remove", "compare", "parts", "attitude", "discharge_electronics"} & names
    assert {"isolate", "prove_dead", "photograph", "voltage_selector", "overload", "fuse"} <= names
    for one in answer.steps:
        assert "setup-steps-overload-new-plate" not in codes_of(one.value) and not says(
            "table-setup-steps-do-remove-replaced", one.do
        )


@pytest.mark.parametrize(
    ("volts", "selector", "amps"),
    [("115 V", "115 V", "8.8 "), ("231 V", "230 V", "4.4 "), ("118 V", None, "8.8 ")],
)
@pytest.mark.parametrize("printed", [True, False], ids=["both printed", "one printed"])
def test_an_overload_is_told_for_the_connection_in_use(
    volts: str, selector: str | None, amps: str, printed: bool
) -> None:
    """A plate of 115/230 V: 4.4 A on 230, and on 115 V twice that, whether printed or by the same power."""
    answer = setup(
        WAITING,
        decision__chosen="same",
        options__candidates=[{"id": "same", "kind": str(OptionKind.SAME_KIND)}],
        nameplate__rated_voltage="115 V",
        nameplate__second_voltage="208-230 V",
        nameplate__wired_for="other volts",
        nameplate__rated_current="8.8 A" if printed else None,
        nameplate__second_current="4.4 A",
        setup={"first_volts": volts, "voltage_selector": selector, "second_volts": volts},
    )
    assert amps in plain(step(answer, "overload").value)


def test_the_new_capacitor_is_that_of_the_chosen_product() -> None:
    product = {
        "code": "psc", "type": "motor", "name": "Other windings", "motor_kind": "split-capacitor", "rated_power": "3/4 hp",
        "rated_voltage": "208-230 V", "rated_current": "4.2 A", "rated_speed": "1075 rpm", "frequency": "60 Hz", "phases": 1,
    }  # fmt: skip
    asked = {"id": "same", "kind": str(OptionKind.SAME_KIND)}

    def value(**of_product: Any) -> Phrase:
        candidates = [asked | ({"product": product | of_product} if of_product else {})]
        return step(setup(WAITING, decision__chosen="same", options__candidates=candidates), "capacitor_new").value

    assert "15 " not in plain(value(run_capacitance="12.5 µF", capacitor_voltage="440 V"))
    assert "1.25e-05" in plain(value(run_capacitance="12.5 µF"))
    assert "setup-steps-new-capacitor-label-new" in codes_of(value(name="No capacitor printed"))
    assert "setup-steps-new-capacitor-today-s" in codes_of(value())


def test_the_finished_demo_is_signed_in_the_order_of_its_steps() -> None:
    answer = setup(BAGGAGE)
    assert answer.stops == () and not any(one.is_open or one.reopened for one in answer.steps)
    assert all(isinstance(one, SetupStep) for one in answer.steps) and len(answer.steps) > 15


def test_a_stop_anywhere_holds_up_what_has_power_on_and_nothing_else() -> None:
    """All before power is signed; the stop stands on the last step, on which nothing rests."""
    before = every_name()[: every_name().index("power")]
    stop = {"id": "x1", "step": "card", "state": "stop", "found": "no card", "who": "Ann"}
    answer = waiting([*as_signed(before), stop], **LINK)
    assert "setup-steps-refusal-to-sign-stop-stands-step-nothing" in codes_of(refusal(answer, "power"))
    assert refusal(answer, before[-1]) is None and step(answer, before[-1]).group not in LIVE
