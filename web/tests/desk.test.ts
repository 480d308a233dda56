import "fake-indexeddb/auto";

import { IDBFactory } from "fake-indexeddb";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

vi.hoisted(() => {
  globalThis.fetch = vi.fn();
});

import { JobDesk } from "../src/shared/desk";
import { Outbox } from "../src/shared/outbox";
import { valueAt } from "../src/shared/paths";
import { PlayedServer } from "./server";

const POWER = "nameplate/rated_power";
const AMPS = "nameplate/rated_current";
const SAVES_BY_ITSELF_MS = 1500;
const TRIES_AGAIN_MS = 1500;

let server: PlayedServer;
let outbox: Outbox;
let desk: JobDesk;

beforeEach(async () => {
  // The browser's store keeps its own time.
  vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout", "setInterval", "clearInterval", "Date"] });
  globalThis.indexedDB = new IDBFactory();
  localStorage.clear();
  server = new PlayedServer();
  outbox = new Outbox();
  desk = new JobDesk(7, outbox);
  desk.write({ units: "ip", who: "R. Quay" });
  desk.show(["plate"]);
  await desk.begin();
});

afterEach(() => {
  vi.useRealTimers();
});

/** Let everything that waits for nothing but an answer go on. */
const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms);

/** What a part of the page is shown of the draft being typed. */
const preview = () => desk.snapshot().preview?.get("plate") as unknown;

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
    expect(server.edits()[0]?.command).toMatch(/^[0-9a-f-]{36}$/);
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
    expect(preview()).toMatchObject({ told: { [POWER]: "1/2" } });
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
    expect(preview()).toMatchObject({ told: { [AMPS]: "1.50 A" } });
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
    expect(desk.snapshot().preview?.get("refining")).toBe(true);
    await settle(60);
    expect(desk.snapshot().preview?.get("refining")).toBe(false);
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
    expect(preview()).toMatchObject({ told: { [AMPS]: "3.15 A" } });
    expect(desk.snapshot().preview?.get("refining")).toBe(false);
  });

  it("outlives its page with the last key, with nothing waited for in between", async () => {
    desk.enter(POWER);
    desk.type(POWER, "1/2 h");
    desk.type(POWER, "1/2 hp");
    const reloaded = new JobDesk(7, new Outbox());
    reloaded.write({ units: "ip", who: "R. Quay" });
    await reloaded.begin();
    await settle();
    expect(server.edits().map(({ body }) => body.text)).toEqual(["1/2 hp"]);
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

/** The page was closed, at whatever it did, and is opened again later on the same browser. */
async function openedAgain() {
  await outbox.store.settled();
  server.troubles = [];
  const later = new Outbox();
  const again = new JobDesk(7, later);
  again.write({ units: "ip", who: "R. Quay" });
  await again.begin();
  await settle();
  await settle();
  return { again, later };
}

describe("a page that is opened again", () => {
  it("saves what an earlier one left unsaved", async () => {
    server.troubles = Array<"away">(9).fill("away");
    await typeAndLeave(POWER, "1/2 hp");
    const { again, later } = await openedAgain();
    expect(server.kept[POWER]).toBe("1/2 hp");
    expect(again.snapshot().drafts).toEqual({});
    expect(later.snapshot()).toEqual([]);
  });

  it("saves what was typed and not even left, whose tab was closed", async () => {
    desk.enter(POWER);
    desk.type(POWER, "1/2 hp");
    const { again } = await openedAgain();
    expect(server.kept[POWER]).toBe("1/2 hp");
    expect(again.snapshot().drafts).toEqual({});
  });

  it.each([
    ["a choice", () => desk.choose("call/reason", "dead"), "/changes"],
    ["a set added", () => desk.add("readings"), "/items/readings"],
    ["a mark", () => desk.mark("a/s1", "fixed", "new"), "/marks"],
    ["an answer for a stop", () => desk.waive("k1", "listing", "A", "b"), "/waivers"],
    ["undo", () => desk.undo(), "/undo"],
  ])("does what was done while the server was away, once: %s", async (_, act, end) => {
    server.troubles = Array<"away">(9).fill("away");
    void act();
    await settle();
    server.asked.length = 0;
    await openedAgain();
    const sent = server.asked.filter(({ path }) => path.endsWith(end));
    expect(sent).toHaveLength(1);
    expect(server.known.has(sent[0]?.command ?? "")).toBe(true);
  });

  it("leaves alone what belongs to another job", async () => {
    const other = new JobDesk(8, outbox);
    server.troubles = Array<"away">(9).fill("away");
    void other.choose("call/reason", "dead");
    await settle();
    const { again } = await openedAgain();
    expect(again.snapshot().acts).toEqual([]);
    expect(server.edits().filter(({ path }) => path.includes("/jobs/7/"))).toHaveLength(0);
  });

  it("shows what it cannot do by itself, until somebody decides", async () => {
    server.troubles = Array<"away">(9).fill("away");
    await typeAndLeave(POWER, "1/2 hp");
    server.elsewhere(POWER, "3/4 hp");
    const { again, later } = await openedAgain();
    expect(again.snapshot().drafts[POWER]).toMatchObject({ text: "1/2 hp", state: "conflict" });
    expect(server.kept[POWER]).toBe("3/4 hp");
    await later.store.settled();
    expect((await new Outbox().store.acts()).map(({ state }) => state)).toEqual(["asks"]);
    again.decide(again.snapshot().acts[0]?.id ?? "", true);
    await settle();
    expect(server.kept[POWER]).toBe("1/2 hp");
    expect(later.snapshot()).toEqual([]);
  });

  it("says so when the job cannot be read at all, and not before", async () => {
    server.troubles = ["away"];
    const first = new JobDesk(7, new Outbox());
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

describe("a choice", () => {
  it("that meets no answer and then another's edit of the same place asks, and is not called done", async () => {
    server.troubles = ["database away"];
    const done = desk.choose("call/reason", "dead");
    await settle();
    server.elsewhere("call/reason", "noisy");
    await settle(TRIES_AGAIN_MS * 2);
    await done;
    expect(server.kept["call/reason"]).toBe("noisy");
    expect(desk.snapshot().acts).toMatchObject([{ state: "asks", target: { value: "dead" } }]);
    desk.decide(desk.snapshot().acts[0]?.id ?? "", false);
    expect(desk.snapshot().acts).toEqual([]);
    expect(server.kept["call/reason"]).toBe("noisy");
  });

  it("that meets no answer and then another's edit elsewhere is done on the newest", async () => {
    server.troubles = ["database away"];
    const done = desk.choose("call/reason", "dead");
    await settle();
    server.elsewhere(AMPS, "3.1 A");
    await settle(TRIES_AGAIN_MS * 2);
    await done;
    expect(server.kept).toEqual({ "call/reason": "dead", [AMPS]: "3.1 A" });
  });

  it("whose answer was lost is done once", async () => {
    server.troubles = ["answer lost"];
    const done = desk.add("readings");
    await settle(TRIES_AGAIN_MS * 2);
    await done;
    expect(server.revisions).toBe("r2");
    expect(server.asked.filter(({ path }) => path.endsWith("/items/readings"))).toHaveLength(2);
  });

  it("that reads a machine now is not done later: the server is asked whether it was", async () => {
    server.troubles = ["away"];
    const done = desk.does({ to: "/setup/trials", body: { step: "s1", read: true }, label: "tried", now: true });
    await settle(TRIES_AGAIN_MS * 2);
    await done;
    expect(server.asked.filter(({ path }) => path.endsWith("/setup/trials"))).toHaveLength(1);
    expect(server.asked.some(({ path }) => path.startsWith("/api/commands/"))).toBe(true);
    expect(outbox.snapshot()).toEqual([]);
  });
});

describe("acts that rest on no revision", () => {
  it("are kept, sent again under the same name, and told of when they are done", async () => {
    const done = vi.fn();
    outbox.listen("machine 3", done);
    server.troubles = ["away", "answer lost"];
    const act = {
      lane: "machine 3",
      label: "a reading",
      method: "POST",
      path: "/api/machines/3/log/readings",
    } as const;
    outbox.put({ ...act, revision: null, body: { revision: "r1" }, onNewest: "always", who: "" });
    void outbox.pump("machine 3");
    await settle(TRIES_AGAIN_MS * 3);
    await settle(TRIES_AGAIN_MS * 3);
    const names = server.asked.filter(({ path }) => path.endsWith("/log/readings")).map(({ command }) => command);
    expect(names).toHaveLength(3);
    expect(new Set(names).size).toBe(1);
    expect(server.revisions).toBe("r2");
    expect(done).toHaveBeenCalledTimes(1);
    expect(outbox.snapshot()).toEqual([]);
  });

  it("that are refused stay until somebody puts them away", async () => {
    server.troubles = ["refused"];
    const act = { lane: "begin", label: "a job", method: "POST", path: "/api/jobs" } as const;
    const { id } = outbox.put({ ...act, revision: null, body: {}, onNewest: "always", who: "" });
    await outbox.pump("begin");
    expect(outbox.snapshot()).toMatchObject([{ state: "refused", sentence: "“x” is no power." }]);
    outbox.drop(id);
    expect(outbox.snapshot()).toEqual([]);
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
    const rail = desk.found().get("rail");
    expect(rail).toEqual([]);
    await typeAndLeave(POWER, "1/2 hp");
    expect(desk.found().get("rail")).toBe(rail);
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
