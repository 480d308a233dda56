import "fake-indexeddb/auto";

import { IDBFactory } from "fake-indexeddb";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

vi.hoisted(() => {
  globalThis.fetch = vi.fn();
});

import { JobDesk } from "../src/shared/desk";
import { Found, nodeHeaders } from "../src/shared/found";
import { Look } from "../src/shared/look";
import { Outbox } from "../src/shared/outbox";
import { PlayedServer } from "./server";

const TAGS = { rail: "r1", next: "n1", sets: "[1,2]", "set/s1": "a1", "set/s2": "b1" };
const first = Found.NOTHING.take({
  tags: TAGS,
  nodes: { rail: [{ station: "call" }], sets: ["s1", "s2"], "set/s1": { id: "s1" }, "set/s2": { id: "s2" } },
});

describe("what is known of what follows from a job", () => {
  it("has what was sent, lacks the rest, and knows before its first answer that it knows nothing", () => {
    expect(first.get("rail")).toEqual([{ station: "call" }]);
    expect(first.get("next")).toBeUndefined();
    expect(first.lacking()).toEqual(["next"]);
    expect([first.isFresh("rail"), first.isFresh("next")]).toEqual([true, false]);
    expect(Found.NOTHING.isFresh("rail")).toBe(false);
    expect(first.isFresh("option/gone")).toBe(true);
  });

  it("keeps the very objects of whatever did not change, inside of what did as well", () => {
    const after = first.take({
      tags: { ...TAGS, rail: "r2" },
      nodes: { rail: [{ station: "call" }, { station: "plate" }] },
    });
    expect(after.get("sets")).toBe(first.get("sets"));
    expect(after.get("rail")).not.toBe(first.get("rail"));
    expect(after.get("rail")?.[0]).toBe(first.get("rail")?.[0]);
  });

  it("takes the sets in their order and only all together", () => {
    expect(first.get("sets")?.map(({ id }) => id)).toEqual(["s1", "s2"]);
    const added = { ...TAGS, sets: "[3,1]", "set/s3": "c1" };
    const half = first.take({ tags: added, nodes: { sets: ["s3", "s1"] } });
    expect(half.isFresh("sets")).toBe(false);
    expect(half.get("sets")).toBe(first.get("sets"));
    const whole = half.take({ tags: added, nodes: { "set/s3": { id: "s3" } } });
    expect(whole.isFresh("sets")).toBe(true);
    expect(whole.get("sets")?.map(({ id }) => id)).toEqual(["s3", "s1"]);
  });

  it("holds an older value until the newest is there, and says that it is the older", () => {
    const stale = first.take({ tags: { ...TAGS, rail: "r2" }, nodes: {} });
    expect(stale.get("rail")).toBe(first.get("rail"));
    expect(stale.isFresh("rail")).toBe(false);
    expect(stale.held()).not.toContain("r2");
  });

  it("finds what the server left out as held wherever it is held: in the job as kept, or under another name", () => {
    const draft = first.take({ tags: { ...TAGS, rail: "r2" }, nodes: { rail: [] } });
    const back = draft.take({ tags: TAGS, nodes: {} }, first);
    expect(back.get("rail")).toEqual([{ station: "call" }]);
    expect(back.isFresh("rail")).toBe(true);
    const same = first.take({ tags: { ...TAGS, next: "r1" }, nodes: {} });
    expect(same.get("next")).toEqual(first.get("rail"));
  });

  it("forgets what there is no longer", () => {
    const fewer = first.take({ tags: { sets: "[1]", "set/s1": "a1" }, nodes: { sets: ["s1"] } });
    expect(fewer.get("rail")).toBeUndefined();
    expect(fewer.get("sets")?.map(({ id }) => id)).toEqual(["s1"]);
  });

  it("is asked for by names and tags, each once; sets with each of them", () => {
    expect(nodeHeaders(["rail", "sets", "rail"], ["r1", "r1", "a1"])).toEqual({
      "nodes-wanted": "rail,sets,set",
      "nodes-held": "r1,a1",
    });
  });
});

describe("what a page shows of a job", () => {
  const POWER = "nameplate/rated_power";
  const REST_MS = 1200;
  let server: PlayedServer;
  let desk: JobDesk;

  beforeEach(() => {
    vi.useFakeTimers({ toFake: ["setTimeout", "clearTimeout", "setInterval", "clearInterval", "Date"] });
    globalThis.indexedDB = new IDBFactory();
    localStorage.clear();
    server = new PlayedServer();
    desk = new JobDesk(7, new Outbox());
    desk.write({ units: "si", who: "" });
  });

  afterEach(() => {
    vi.useRealTimers();
  });

  const settle = (ms = 0) => vi.advanceTimersByTimeAsync(ms);
  const reads = () => server.asked.filter(({ method }) => method === "GET").length;
  const plate = () => desk.found().get("plate") as unknown;

  it("comes with the job where it was expected, in one request", async () => {
    desk.expect(["plate"]);
    await desk.begin();
    expect(reads()).toBe(1);
    expect(plate()).toEqual({ told: {} });
  });

  it("is fetched when a part begins to show it, once for all that begin together", async () => {
    await desk.begin();
    expect(plate()).toBeUndefined();
    const look = new Look(desk, ["plate", "rail"]);
    expect(look.mayBeShown()).toBe(false);
    const arrival = desk.arrival(look.names);
    expect(desk.arrival(look.names)).toBe(arrival);
    desk.show(["plate"]);
    await settle();
    await arrival;
    expect(reads()).toBe(2);
    expect(look.mayBeShown()).toBe(true);
    expect(look.shown().plate).toEqual({ told: {} });
    expect(look.shown()).toBe(look.shown());
  });

  it("comes along with every edit while it is shown, and no longer than that", async () => {
    await desk.begin();
    const end = desk.show(["plate"]);
    await settle();
    await desk.choose(POWER, "1 hp");
    expect(plate()).toEqual({ told: { [POWER]: "1 hp" } });
    end();
    await desk.choose(POWER, "2 hp");
    expect(server.page.wanted).not.toContain("plate");
    expect(desk.found().isFresh("plate")).toBe(false);
  });

  it("is fetched all the same when nothing is done for a while, so that it opens where no server is reached", async () => {
    await desk.begin();
    await settle(REST_MS);
    expect(desk.found().lacking()).toEqual([]);
    const before = reads();
    await settle(10 * REST_MS);
    expect(reads()).toBe(before);
  });

  it("waits while no server is reached, and comes when one is", async () => {
    await desk.begin();
    server.troubles = ["away"];
    let came = false;
    void desk.arrival(["plate"]).then(() => (came = true));
    await settle(1000);
    expect(came).toBe(false);
    server.troubles = [];
    await settle(1000);
    expect(came).toBe(true);
  });

  it("shows no look that began before a save as what came after it", async () => {
    await desk.begin();
    desk.show(["plate"]);
    await settle();
    server.holdReads();
    const look = desk.load();
    await desk.choose(POWER, "1 hp");
    server.letReadsThrough();
    await look;
    await settle();
    expect(desk.snapshot().view?.revision).toBe("r2");
    expect(plate()).toEqual({ told: { [POWER]: "1 hp" } });
  });

  it("puts nothing that another window did under a draft: its save still asks", async () => {
    await desk.begin();
    desk.type(POWER, "1 hp?");
    server.elsewhere(POWER, "3 hp");
    desk.show(["plate"]);
    await settle();
    expect(plate()).toEqual({ told: { [POWER]: "3 hp" } });
    expect(desk.snapshot().view?.revision).toBe("r1");
    desk.type(POWER, "1 hp");
    desk.leave(POWER, "");
    await settle();
    expect(desk.snapshot().drafts[POWER]?.state).toBe("conflict");
  });
});
