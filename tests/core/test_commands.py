"""Commands: what each makes of a job, what it refuses in words, and that no other one does what needs a name or a choice."""

from __future__ import annotations

from typing import Any

import pytest

from modest_rotor.core.assessment import Assessment
from modest_rotor.core.changes import value_at, with_change
from modest_rotor.core.commands import Command, decide
from modest_rotor.core.commands.by_name import MarkFinding, RecordApproval, SignStep, WaiveStop, Withdraw
from modest_rotor.core.commands.candidates import ConsiderOption
from modest_rotor.core.commands.fields import (
    AddItem,
    FillPlate,
    PrepareFirstAnswer,
    RemoveItem,
    SetValue,
    TakeSetFromPanel,
    TakeSets,
    TypeValue,
)
from modest_rotor.core.commands.setting_up import ChooseDevice, KeepStepTest, KeepSwing, MarkLoud, TryGains, TrySetting
from modest_rotor.core.commands.year import TakeEnergy, TakeTemplate, TakeYear
from modest_rotor.core.entry import read_entry
from modest_rotor.core.errors import ChangeRefused, ModestRotorError
from modest_rotor.core.job import Job
from modest_rotor.core.statements import STATEMENTS, Actor, Edit
from modest_rotor.core.stations.findings import MarkState
from modest_rotor.core.stations.loop import SeenSwing
from modest_rotor.core.stations.options import OptionKind
from modest_rotor.core.stations.product import Product
from modest_rotor.core.stations.readings import Stage
from modest_rotor.core.stations.setup import SignState
from modest_rotor.core.stations.traits import DriveTraits, Traits
from modest_rotor.formats.logger_csv import LogReport, read_log
from tests.core.setup.test_loop import DUCT
from tests.core.setup.test_setup_answer import HALL
from tests.jobs import KRAUSE, assessed, changed
from tests.said import codes_of, refused_with

ANN, NOBODY = Actor("Ann", "2026-11-29 10:00", "2026-11-30 00:00"), Actor(" ", "2026-11-29 10:00")
BARE: dict[str, Any] = {"site": {"name": "Net Loft"}, "machine": {"name": "loft fan"}, "document": {}}
PUMP = Product.model_validate({"code": "wet-rotor", "name": "a circulator", "type": "pump"})
LOOP = changed(HALL, setup__loop={**DUCT, "pressure": {"span": "500 Pa"}})


def made(data: dict[str, Any], *commands: Command, actor: Actor = ANN) -> Job:
    """The job after some commands."""
    job = Job.model_validate(data)
    for command in commands:
        for edit in decide(job, command, actor, lambda: answer(data)):
            job = with_change(job, edit.path, edit.after)
    return job


def answer(data: dict[str, Any]) -> Assessment:
    return assessed(data)


def label_of(data: dict[str, Any], command: Command) -> str | None:
    return decide(Job.model_validate(data), command, ANN, lambda: answer(data))[-1].label


def refused(data: dict[str, Any], command: Command, actor: Actor = ANN) -> str:
    with pytest.raises(ModestRotorError) as refusal:
        made(data, command, actor=actor)
    return refusal.value.sentence


def test_text_is_read_as_its_quantity_and_the_history_says_it_shortly() -> None:
    typed = TypeValue("readings/s1/current", "3.9", "si")
    assert made(KRAUSE, typed).document.readings[0].current == read_entry("current", "3.9")
    assert label_of(KRAUSE, typed) == "Line amps, 3.9 A"
    assert label_of(KRAUSE, TypeValue("readings/s1/current", "3.9 A", "si")) == "Line amps, 3.9 A"
    assert label_of(KRAUSE, TypeValue("call/notes", "x" * 50, "si")).endswith(", " + "x" * 30)  # type: ignore[union-attr]
    assert label_of(KRAUSE, TypeValue("readings/s1/current", " ", "si")).code == "field-ReadingSet-current"
    assert "entry-unit-unit" in codes_of(refused(KRAUSE, TypeValue("readings/s1/current", "3 psi", "si")))


@pytest.mark.parametrize("path", ["setup/traits", "setup/device", "setup/panel", "setup", "setup/traits/drive"])
@pytest.mark.parametrize("command", [lambda path: SetValue(path, None), lambda path: TypeValue(path, "x", "si")])
def test_a_device_is_chosen_and_never_typed(path: str, command: Any) -> None:
    assert "commands-fields-editable" in codes_of(refused(HALL, command(path)))


@pytest.mark.parametrize("path", STATEMENTS)
def test_no_other_command_says_what_is_said_by_name(path: str) -> None:
    """Whatever list or station it comes in with: the statement itself, and the station around it."""
    forged = [{"id": "s9", "who": "Somebody Else"}]
    assert "core-statements-refuse-statements" in codes_of(refused(HALL, SetValue(path, forged)))
    station, _, name = path.partition("/")
    if name:
        assert (
            "core-statements-refuse-statements" in codes_of(refused(HALL, SetValue(station, {name: forged})))
            or station == "setup"
        )
    with pytest.raises(ChangeRefused):
        made(HALL, AddItem(path))


def test_no_set_of_the_future_comes_in_by_any_command() -> None:
    late = {"id": "s9", "name": "late", "taken_at": "2026-12-24 18:00"}
    for command in (
        SetValue("readings/s1/taken_at", "2026-12-24 18:00"),
        SetValue("readings", [late]),
        TakeSets(({"name": "late", "taken_at": "2026-12-24 18:00"},)),
    ):
        assert "readings-refuse-future" in codes_of(refused(KRAUSE, command))
    assert made(KRAUSE, SetValue("readings/s1/taken_at", "2026-11-29 23:00")).document.readings[0].taken_at


def test_no_command_makes_a_candidate_that_can_be_none() -> None:
    """A pump on an electronic motor's line, or a second machine as it is; not by the general edit, nor by an item like another."""
    assert "candidates-edits-cannot-stand" in codes_of(refused(KRAUSE, ConsiderOption(OptionKind.ELECTRONIC, PUMP)))
    assert "candidates-edits-machine-put" in codes_of(refused(KRAUSE, ConsiderOption(OptionKind.KEEP)))
    unfit = {"id": "s9", "kind": "electronic", "product": PUMP.model_dump(mode="json")}
    assert "candidates-refuse-unsuited-product-cannot" in codes_of(
        refused(KRAUSE, SetValue("options/candidates", [unfit]))
    )
    assert "candidates-refuse-unsuited-machine-put" in codes_of(
        refused(KRAUSE, SetValue("options/candidates", [{"id": "s9", "kind": "keep"}]))
    )
    items = value_at(Job.model_validate(KRAUSE), "options/candidates")
    assert "candidates-refuse-unsuited-machine-put" in codes_of(
        refused(KRAUSE, SetValue(f"options/candidates/{items[0]['id']}/kind", "keep"))
    )
    there = changed(KRAUSE, options={"candidates": [unfit]})  # an old job keeps what it has, and its own check stops it
    assert made(there, TypeValue("options/candidates/s9/price", "300", "si")).document.options.candidates[0].price


def test_a_candidate_comes_with_its_own_copy_of_its_product() -> None:
    drive = Product.model_validate({"code": "drv-a", "name": "a drive", "type": "drive"})
    job = made(KRAUSE, ConsiderOption(OptionKind.DRIVE, drive), ConsiderOption(OptionKind.RELUCTANCE))
    *_, named, bare = job.document.options.candidates
    assert (named.kind, named.product, bare.kind, bare.product) == (
        OptionKind.DRIVE,
        drive,
        OptionKind.RELUCTANCE,
        None,
    )
    assert named.id != bare.id
    assert label_of(KRAUSE, ConsiderOption(OptionKind.DRIVE, drive)).code == "candidates-edits-option-added"


def test_a_set_is_added_by_whom_and_when_and_is_never_known_good_by_being_copied() -> None:
    good = changed(KRAUSE, readings__0__known_good="yes")
    job = made(good, AddItem("readings", like="s1", stage=Stage.AFTER))
    first, new = job.document.readings[0], job.document.readings[-1]
    assert (new.taken_by, new.taken_at, new.stage, new.known_good) == ("Ann", ANN.at, Stage.AFTER, None)
    assert new.current == first.current and new.id != first.id
    assert made(good, AddItem("readings"), actor=Actor("", ANN.at)).document.readings[-1].taken_by is None
    assert label_of(good, AddItem("readings")) == f"set {len(job.document.readings)} added"
    assert "commands-fields-called" in codes_of(
        refused(good, AddItem("nameplate"))
    ) and "commands-fields-called" in codes_of(refused(good, RemoveItem("nameplate/x")))
    assert (
        len(made(job.model_dump(mode="json"), RemoveItem(f"readings/{new.id}")).document.readings)
        == len(job.document.readings) - 1
    )
    assert "changes-without-item" in codes_of(refused(good, RemoveItem("readings/s77")))
    assert label_of(good, RemoveItem("readings/s1")) == "set removed"


def test_the_plate_comes_from_its_line_and_what_is_not_sure_stays_out() -> None:
    line = changed(BARE, nameplate={"line": "1/2 HP 1075 RPM 115 V 6.8 A 60 Hz"})
    plate = made(line, FillPlate()).document.nameplate
    assert plate.rated_power and plate.rated_power.si == pytest.approx(372.85) and plate.line
    assert "commands-fields-edits-nothing-line" in codes_of(refused(BARE, FillPlate()))


def test_a_first_answer_is_prepared_in_three_changes_that_undo_takes_back_one_by_one() -> None:
    edits = decide(Job.model_validate(BARE), PrepareFirstAnswer("office air handler"), ANN, lambda: answer(BARE))
    assert [edit.path for edit in edits] == ["readings", "options/candidates", "duty/steps"]
    job = made(BARE, PrepareFirstAnswer("office air handler"))
    assert len(job.document.readings) == len(job.document.duty.steps) == 1
    assert "first-year-of-there-template" in codes_of(refused(BARE, PrepareFirstAnswer("lighthouse")))


def test_a_template_is_taken_whole_or_not_at_all() -> None:
    job = made(BARE, TakeTemplate("office air handler"))
    assert job.document.duty.steps and all(step.hours_from for step in job.document.duty.steps)
    assert len({step.id for step in job.document.duty.steps}) == len(job.document.duty.steps)
    assert "commands-year-edits-there-template" in codes_of(refused(BARE, TakeTemplate("lighthouse")))
    full = job
    with refused_with(ChangeRefused, "commands-year-with-steps"):
        for _ in range(20):
            full = made(full.model_dump(mode="json"), TakeTemplate("office air handler"))
    assert len(full.document.duty.steps) % len(job.document.duty.steps) == 0


def logger(heading: str, running: float) -> LogReport:
    rows = [f"2026-03-{1 + hour // 24:02d} {hour % 24:02d}:{minute:02d},{running if minute < 30 else 0}" for hour in range(72) for minute in (0, 15, 30, 45)]  # fmt: skip
    return read_log("\n".join([f"Time,{heading}", *rows]))


def test_a_logged_year_is_half_of_it_where_it_ran_half_of_each_hour() -> None:
    """Four rows an hour, two of them running: 4,380 of 8,760 h."""
    report = logger("Motor A", 3.9)
    job = made(BARE, TakeYear(report.year, "Motor A, 3 days", by_load=False))
    (step,) = job.document.duty.steps
    assert step.hours and step.hours.si == pytest.approx(4380, rel=0.01) and step.flow_share and step.flow_share.si == 1
    assert job.document.duty.logged == "Motor A, 3 days" and job.document.duty.starts
    assert step.hours_spread and 0.01 <= step.hours_spread.si <= 0.5


def test_only_watts_make_an_energy_after() -> None:
    """Half of 72 h at 500 W are 18 kWh."""
    report = logger("Input W", 500.0)
    proof = made(BARE, TakeEnergy(report.year, "Input W", report.rows)).document.proof
    assert proof.logged_energy and proof.logged_energy.si == pytest.approx(18, rel=0.02)
    assert proof.logged_days and proof.logged_days.si == pytest.approx(3, rel=0.01) and "288 rows" in str(proof.logged)
    amps = logger("Motor A", 3.9)
    assert "commands-year-edits-holds-only" in codes_of(refused(BARE, TakeEnergy(amps.year, "Motor A", amps.rows)))


def test_sets_from_a_file_come_in_together_and_none_is_none() -> None:
    job = made(KRAUSE, TakeSets(({"name": "one"}, {"name": "two"})))
    assert [one.name for one in job.document.readings[-2:]] == ["one", "two"]
    assert label_of(KRAUSE, TakeSets(({"name": "one"},))) == "1 set from CSV"
    assert label_of(KRAUSE, TakeSets(({"name": "one"}, {"name": "two"}))) == "2 sets from CSV"
    assert "commands-fields-edits-row-can" in codes_of(refused(KRAUSE, TakeSets(())))


def test_a_set_from_a_panel_says_who_read_it() -> None:
    values = {"note": "read from a panel", "current": {"typed": "2.5 A", "unit": "A"}}
    new = made(HALL, TakeSetFromPanel(values, "after", Stage.AFTER)).document.readings[-1]
    assert (new.taken_by, new.taken_at, new.stage, new.name) == ("Ann", ANN.at, Stage.AFTER, "after")
    assert new.current and new.current.si == 2.5


def test_gains_follow_from_what_was_seen_and_a_job_without_a_loop_has_none() -> None:
    job = made(LOOP, TryGains())
    (tried,) = job.document.setup.loop.tries
    loop = answer(LOOP).setup.loop
    assert loop and loop.gain.figure and tried.gain and tried.gain.si == pytest.approx(loop.gain.figure.value, rel=0.01)
    assert (tried.who, tried.at) == ("Ann", ANN.at)
    assert "setting-up-edits-say-first" in codes_of(refused(KRAUSE, TryGains()))


def test_a_setting_is_tried_as_advised_and_a_panel_s_values_stand_beside_it() -> None:
    step = answer(HALL).setup.commands[0]
    flow = {"airflow": {"typed": "1,200 L/s", "unit": "L/s"}, "source": "panel"}
    trial = made(HALL, TrySetting(step.step, flow)).document.setup.trials[-1]
    assert step.command and trial.frequency and trial.frequency.si == pytest.approx(step.command.value, abs=0.06)
    assert trial.airflow and trial.airflow.typed == "1,200 L/s" and trial.who == "Ann"
    assert label_of(HALL, TrySetting(step.step, flow)) != label_of(HALL, TrySetting(step.step))
    assert "setting-up-edits-duty-step" in codes_of(refused(HALL, TrySetting("s99")))


def test_what_runs_saw_is_kept_no_finer_than_it_is_worth() -> None:
    job = made(LOOP, MarkLoud(31.04, "up", 71.26), MarkLoud(44.0), KeepStepTest((45, 50), (90.04, 116.44), 1.04, 4.26))
    loud, bare = job.document.setup.sweep.marks[-2:]
    assert (loud.frequency and loud.frequency.typed, loud.level and loud.level.typed, loud.going) == (
        "31.0 Hz",
        "71.3 dB(A)",
        "up",
    )
    assert (bare.level, bare.going, loud.who) == (None, None, "Ann")
    loop = job.document.setup.loop
    typed = [entry and entry.typed for entry in (loop.hertz_before, loop.hertz_after, loop.pressure.before, loop.pressure.after, loop.began, loop.two_thirds)]  # fmt: skip
    assert typed == ["45.0 Hz", "50.0 Hz", "90.0 Pa", "116.4 Pa", "1.0 s", "4.3 s"]
    assert loop.pressure.span and loop.holds  # the rest of the loop stays


def test_a_swing_is_said_of_the_gains_tried_last_and_never_over_what_somebody_said() -> None:
    job = made(LOOP, TryGains(), KeepSwing(SeenSwing.HUNTS, 12.04))
    (tried,) = job.document.setup.loop.tries
    assert tried.seen is SeenSwing.HUNTS and tried.period and tried.period.typed == "12.0 s"
    again = made(job.model_dump(mode="json"), KeepSwing(SeenSwing.QUIET, None))
    assert again.document.setup.loop.tries == job.document.setup.loop.tries
    assert made(LOOP, KeepSwing(SeenSwing.QUIET, None)).document.setup.loop.tries == ()


def test_a_device_brings_its_traits_and_none_takes_them_away() -> None:
    traits = Traits(drive=DriveTraits(top_hz=87))
    job = made(HALL, ChooseDevice("device", "hall drive", traits), ChooseDevice("panel", "hall panel"))
    setup = job.document.setup
    assert (setup.device, setup.panel, setup.traits) == ("hall drive", "hall panel", traits)
    bare = made(job.model_dump(mode="json"), ChooseDevice("device", None)).document.setup
    assert (bare.device, bare.traits, bare.panel) == (None, None, "hall panel")
    assert label_of(HALL, ChooseDevice("panel", None)) == "no panel"


@pytest.mark.parametrize(
    ("command", "path"),
    [
        (RecordApproval("a drive", "A. Porter"), "decision/approvals"), (SignStep("isolate", SignState.DONE), "setup/signs"),
    ],
)  # fmt: skip
def test_what_is_said_by_name_says_who_and_nobody_says_nothing(command: Command, path: str) -> None:
    (edit,) = decide(Job.model_validate(HALL), command, ANN, lambda: answer(HALL))
    assert edit.by_name and edit.path == path and edit.after[-1]["at"] == ANN.at
    assert "core-statements-named" in codes_of(refused(HALL, command, NOBODY))
    assert "core-statements-named" in codes_of(refused(HALL, Withdraw(path, "s1", "wrong"), NOBODY))


def test_marks_and_answers_for_stops_are_judged_by_what_follows_from_the_job() -> None:
    stopped = changed(KRAUSE, options__fitting={"listing_allows": "no"})
    (edit,) = decide(
        Job.model_validate(stopped), WaiveStop("electronic", "listing", "none listed"), ANN, lambda: answer(stopped)
    )
    assert edit.by_name and edit.after[-1]["who"] == "Ann"
    finding = answer(stopped).findings[0].key
    assert made(stopped, MarkFinding(finding, MarkState.FIXED, "new")).document.marks[-1].finding == finding
    assert "core-statements-mark-finding-finding-there" in codes_of(
        refused(stopped, MarkFinding("none", MarkState.FIXED))
    )
    assert "core-statements-answer-for-stop-stop-there" in codes_of(
        refused(stopped, WaiveStop("electronic", "volts", "x"))
    )


def test_an_edit_says_what_it_changes() -> None:
    assert Edit("call/notes", "x") == Edit("call/notes", "x", None, by_name=False)


def test_a_set_of_an_earlier_clock_stands_in_nobody_s_way() -> None:
    """A job with a set that says it was read later than now, kept by a clock that ran ahead: the others are edited, and it is removed."""
    ahead = changed(KRAUSE, readings__0__taken_at="2027-01-01 10:00")
    job = made(ahead, AddItem("readings"), TypeValue("call/notes", "x", "si"), RemoveItem("readings/s1"))
    assert [one.id for one in job.document.readings] == ["s2"]
    assert "readings-refuse-future" in codes_of(refused(ahead, TypeValue("readings/s1/current", "3 A", "si")))
