import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

vi.hoisted(() => {
  globalThis.fetch = vi.fn();
});

import { JobDesk } from "../src/shared/desk";
import { valueAt } from "../src/shared/paths";
import { PlayedServer } from "./server";

const POWER = "plate/rated_power";
const AMPS = "plate/rated_current";
const SAVES_BY_ITSELF_MS = 1500;
const TRIES_AGAIN_MS = 1500;

let server: PlayedServer;
let desk: JobDesk;

beforeEach(async () => {
  vi.useFakeTimers();
  sessionStorage.clear();
  server = new PlayedServer();
  desk = new JobDesk(7);
  desk.write({ units: "ip", who: "R. Quay" });
  await desk.begin();
});

afterEach(() => {
  vi.useRealTimers();
});

/** Let everything that waits for nothing but an answer go on. */
const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

const draft = (path = POWER) => desk.snapshot().drafts[path];
const kept = (path = POWER) => {
  const { view } = desk.snapshot();
  return view && (valueAt(view, path) as { typed: string } | null)?.typed;
};

async function typeAndLeave(path: string, text: string) {
  desk.enter(path);
  desk.type(path, text);
  desk.leave(path, "");
  await settle();
}

describe("a value that is typed and left", () => {
  it("is saved with the revision, the units and the name, and its draft is forgotten", async () => {
    await typeAndLeave(POWER, "1/2 hp");
    expect(kept()).toBe("1/2 hp");
    expect(draft()).toBeUndefined();
    expect(desk.snapshot()).toMatchObject({ pending: 0, trouble: null, preview: null });
    expect(server.edits()[0]?.body).toEqual({
      revision: "r1",
      path: POWER,
      text: "1/2 hp",
      units: "ip",
      who: "R. Quay",
    });
  });

  it("is not sent where it is what stood there already", async () => {
    desk.enter(POWER);
    desk.type(POWER, "1/2 hp ");
    desk.leave(POWER, "1/2 hp");
    await settle();
    expect(server.edits()).toHaveLength(0);
    expect(draft()).toBeUndefined();
  });

  it("is sent nowhere where nothing was typed", async () => {
    desk.enter(POWER);
    desk.leave(POWER, "1/2 hp");
    await settle();
    expect(server.edits()).toHaveLength(0);
  });

  it("goes after the one before it, on the revision which that one made", async () => {
    server.hold();
    desk.type(POWER, "1/2 hp");
    desk.leave(POWER, "");
    desk.type(AMPS, "3.1 A");
    desk.leave(AMPS, "");
    await settle();
    expect(desk.snapshot().pending).toBe(2);
    expect(server.edits()).toHaveLength(1);
    server.letThrough();
    await settle();
    expect(server.edits().map(({ body }) => body.revision)).toEqual(["r1", "r2"]);
    expect(server.kept).toEqual({ [POWER]: "1/2 hp", [AMPS]: "3.1 A" });
    expect(desk.snapshot().pending).toBe(0);
  });
});

describe("a value while it is typed", () => {
  it("moves what follows from it before it is saved", async () => {
    desk.enter(POWER);
    desk.type(POWER, "1/2");
    await settle();
    expect(desk.snapshot().preview).toMatchObject({ told: { [POWER]: "1/2" } });
    expect(draft()?.state).toBe("typing");
    expect(server.edits()).toHaveLength(0);
  });

  it("is saved by itself when the hand rests, and stays as typed under the cursor", async () => {
    desk.enter(POWER);
    desk.type(POWER, "1/2 hp");
    await settle(SAVES_BY_ITSELF_MS + 10);
    expect(server.kept[POWER]).toBe("1/2 hp");
    expect(draft()).toMatchObject({ text: "1/2 hp", state: "kept" });
    desk.leave(POWER, "1/2 hp");
    await settle();
    expect(draft()).toBeUndefined();
    expect(server.edits()).toHaveLength(1);
  });

  it("is looked at once at a time, always at the newest: keys do not pile up", async () => {
    for (const text of ["1", "1.", "1.5", "1.50", "1.50 A"]) desk.type(AMPS, text);
    await settle();
    expect(server.looks().map(({ body }) => body.text)).toEqual(["1", "1.50 A"]);
    expect(desk.snapshot().preview).toMatchObject({ told: { [AMPS]: "1.50 A" } });
  });

  it("leaves what is shown as it is while it is only half a value, and is not saved by itself", async () => {
    desk.type(AMPS, "3?");
    await settle(SAVES_BY_ITSELF_MS * 2);
    expect(desk.snapshot().preview).toBeNull();
    expect(server.edits()).toHaveLength(0);
    expect(draft(AMPS)?.text).toBe("3?");
  });

  it("is shown at once on the motor as last fitted, then refined", async () => {
    server.refining = true;
    desk.type(AMPS, "3.1 A");
    await settle(1);
    expect(desk.snapshot().preview?.refining).toBe(true);
    await settle(60);
    expect(desk.snapshot().preview?.refining).toBe(false);
    expect(server.looks().map(({ body }) => body.refined)).toEqual([false, true]);
  });

  it("is not refined for a text that was overtaken", async () => {
    server.refining = true;
    desk.type(AMPS, "3.1 A");
    await settle(1);
    desk.type(AMPS, "3.15 A");
    await settle(100);
    const refined = server.looks().filter(({ body }) => body.refined);
    expect(refined.map(({ body }) => body.text)).toEqual(["3.15 A"]);
    expect(desk.snapshot().preview).toMatchObject({ told: { [AMPS]: "3.15 A" }, refining: false });
  });

  it("may be dropped: the field shows what the job holds, and nothing is sent", async () => {
    desk.type(POWER, "9 hp");
    await settle();
    desk.drop(POWER);
    await settle(SAVES_BY_ITSELF_MS * 2);
    expect(draft()).toBeUndefined();
    expect(desk.snapshot().preview).toBeNull();
    expect(server.edits()).toHaveLength(0);
  });

  it("is kept by Enter before the next field is gone to", async () => {
    desk.enter(POWER);
    desk.type(POWER, "1/2 hp");
    const done = desk.keep(POWER);
    await settle();
    await done;
    expect(server.kept[POWER]).toBe("1/2 hp");
    expect(draft()?.state).toBe("kept");
  });
});

describe("a value that is refused", () => {
  it("stays in its field with the reason, and can be put back", async () => {
    server.troubles = ["refused"];
    await typeAndLeave(POWER, "x");
    expect(draft()).toEqual({ text: "x", state: "refused", sentence: "“x” is no power." });
    expect(desk.snapshot().trouble).toBeNull();
    desk.drop(POWER);
    expect(draft()).toBeUndefined();
  });

  it("is not sent again just because its field is left again", async () => {
    server.troubles = ["refused"];
    await typeAndLeave(POWER, "x");
    desk.enter(POWER);
    desk.leave(POWER, "");
    await settle();
    expect(server.edits()).toHaveLength(1);
  });

  it("does not hold up the ones behind it", async () => {
    server.troubles = ["refused"];
    server.hold();
    desk.type(POWER, "x");
    desk.leave(POWER, "");
    desk.type(AMPS, "3.1 A");
    desk.leave(AMPS, "");
    server.letThrough();
    await settle();
    expect(draft()?.state).toBe("refused");
    expect(server.kept[AMPS]).toBe("3.1 A");
  });

  it("does not speak over what was typed meanwhile", async () => {
    server.troubles = ["refused"];
    server.hold();
    desk.type(POWER, "x");
    desk.leave(POWER, "");
    await settle();
    desk.type(POWER, "1/2 hp");
    server.letThrough();
    await settle();
    expect(draft()).toMatchObject({ text: "1/2 hp", sentence: null });
  });
});

describe("a server that is away", () => {
  it.each(["away", "database away"] as const)("is waited for (%s): nothing typed is lost", async (trouble) => {
    server.troubles = [trouble, trouble];
    await typeAndLeave(POWER, "1/2 hp");
    expect(draft()).toMatchObject({ text: "1/2 hp", state: "waiting" });
    expect(desk.snapshot().trouble?.isAway).toBe(true);
    await settle(TRIES_AGAIN_MS);
    expect(server.kept[POWER]).toBeUndefined();
    await settle(TRIES_AGAIN_MS);
    expect(server.kept[POWER]).toBe("1/2 hp");
    expect(desk.snapshot()).toMatchObject({ trouble: null, pending: 0 });
    expect(draft()).toBeUndefined();
  });

  it("keeps the order of what was typed while it was away", async () => {
    server.troubles = ["away"];
    await typeAndLeave(POWER, "1/2 hp");
    await typeAndLeave(POWER, "3/4 hp");
    await settle(TRIES_AGAIN_MS * 2);
    expect(server.kept[POWER]).toBe("3/4 hp");
    expect(draft()).toBeUndefined();
  });

  it("may have kept a value whose answer was lost: it is not called a conflict, nor kept twice", async () => {
    server.troubles = ["answer lost"];
    await typeAndLeave(POWER, "1/2 hp");
    await settle(TRIES_AGAIN_MS * 2);
    expect(kept()).toBe("1/2 hp");
    expect(server.revisions).toBe("r2");
    expect(draft()).toBeUndefined();
    expect(desk.snapshot().trouble).toBeNull();
  });

  it("that comes back with another field changed elsewhere still takes the value", async () => {
    server.troubles = ["away"];
    await typeAndLeave(POWER, "1/2 hp");
    server.elsewhere(AMPS, "3.1 A");
    await settle(TRIES_AGAIN_MS * 2);
    expect(server.kept).toEqual({ [POWER]: "1/2 hp", [AMPS]: "3.1 A" });
  });

  it("that comes back with the same field changed elsewhere asks whoever typed", async () => {
    server.troubles = ["away"];
    await typeAndLeave(POWER, "1/2 hp");
    server.elsewhere(POWER, "3/4 hp");
    await settle(TRIES_AGAIN_MS * 2);
    expect(server.kept[POWER]).toBe("3/4 hp");
    expect(draft()).toMatchObject({ text: "1/2 hp", state: "conflict" });
  });
});

describe("another window", () => {
  it("that changed the job makes a conflict: the draft stays and nothing is overwritten", async () => {
    server.elsewhere(POWER, "3/4 hp");
    await typeAndLeave(POWER, "1/2 hp");
    expect(server.kept[POWER]).toBe("3/4 hp");
    expect(draft()).toMatchObject({ text: "1/2 hp", state: "conflict" });
    expect(desk.snapshot().trouble?.isConflict).toBe(true);
  });

  it("is read on demand, and the draft is saved over it when it is left again", async () => {
    server.elsewhere(AMPS, "3.1 A");
    await typeAndLeave(POWER, "1/2 hp");
    await desk.load();
    expect(kept(AMPS)).toBe("3.1 A");
    expect(draft()?.text).toBe("1/2 hp");
    desk.enter(POWER);
    desk.leave(POWER, "");
    await settle();
    expect(server.kept).toEqual({ [POWER]: "1/2 hp", [AMPS]: "3.1 A" });
  });
});

describe("a page that is opened again", () => {
  it("saves what an earlier one left unsaved", async () => {
    server.troubles = Array<"away">(9).fill("away");
    await typeAndLeave(POWER, "1/2 hp");
    server.troubles = [];
    const again = new JobDesk(7);
    await again.begin();
    await settle();
    expect(server.kept[POWER]).toBe("1/2 hp");
    expect(again.snapshot().drafts).toEqual({});
  });

  it("leaves alone what belongs to another job, and what it cannot read", async () => {
    sessionStorage.setItem("modest-rotor drafts 8", JSON.stringify({ [POWER]: "9 hp" }));
    sessionStorage.setItem("modest-rotor drafts 7", "{half");
    const again = new JobDesk(7);
    await again.begin();
    await settle();
    expect(server.edits()).toHaveLength(0);
  });

  it("says so when the job cannot be read at all, and not before", async () => {
    server.troubles = ["away"];
    const first = new JobDesk(7);
    await first.load();
    expect(first.snapshot().failure?.isAway).toBe(true);
    await desk.load();
    expect(desk.snapshot().failure).toBeNull();
    expect(desk.snapshot().trouble?.isAway).toBe(true);
    server.troubles = [];
    await first.load();
    expect(first.snapshot()).toMatchObject({ failure: null, trouble: null });
  });
});

describe("what hears of the desk", () => {
  it("is told of every change until it stops listening", async () => {
    const heard = vi.fn();
    const stop = desk.subscribe(heard);
    desk.type(POWER, "1");
    await settle();
    const calls = heard.mock.calls.length;
    expect(calls).toBeGreaterThan(0);
    stop();
    desk.type(POWER, "12");
    await settle();
    expect(heard).toHaveBeenCalledTimes(calls);
  });

  it("keeps the very objects of whatever did not change, so that nothing of it is drawn again", async () => {
    const { rail } = desk.snapshot().view?.assessment ?? {};
    await typeAndLeave(POWER, "1/2 hp");
    expect(desk.snapshot().view?.assessment.rail).toBe(rail);
    expect(desk.snapshot().view?.revision).toBe("r2");
  });
});

describe("everything else that changes a job", () => {
  it.each([
    ["choose", () => desk.choose("call/reason", "dead"), "POST", "/changes"],
    ["add", () => desk.add("readings", "s1"), "POST", "/items/readings"],
    ["remove", () => desk.remove("s1"), "DELETE", "/items/s1"],
    ["undo", () => desk.undo(), "POST", "/undo"],
    ["redo", () => desk.redo(), "POST", "/redo"],
    ["mark", () => desk.mark("a/s1", "fixed", "new"), "POST", "/marks"],
    ["consider", () => desk.consider("drive", null), "POST", "/options"],
    ["waive", () => desk.waive("k1", "listing", "A", "b"), "POST", "/waivers"],
    ["fillPlate", () => desk.fillPlate(), "POST", "/plate-line"],
    ["takeTemplate", () => desk.takeTemplate("office"), "POST", "/duty/template"],
  ])("%s goes through the same queue", async (_, act, method, end) => {
    await act();
    const sent = server.asked.at(-1);
    expect(sent?.method).toBe(method);
    expect(sent?.path).toBe(`/api/jobs/7${end}`);
    expect(desk.snapshot().pending).toBe(0);
  });

  it("tells of a refusal where there is no field to tell it at", async () => {
    server.troubles = ["refused"];
    await desk.choose("call/reason", "nonsense");
    expect(desk.snapshot().trouble?.message).toContain("is no power");
    await desk.choose("call/reason", "dead");
    expect(desk.snapshot().trouble).toBeNull();
  });
});
