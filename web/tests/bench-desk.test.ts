import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

vi.hoisted(() => {
  globalThis.fetch = vi.fn();
});

import { BenchDesk } from "../src/bench/desk";
import { BUILT, EXPERIMENT, frame, PlayedSocket } from "./bench";

const AGAIN_MS = 1000;
const OTHER = { of: "stand", name: "three-phase fan", machine_type: "axial", drive: false } as const;

let sockets: PlayedSocket[];
let desk: BenchDesk;

const wire = () => sockets.at(-1) as PlayedSocket;
const dial = () => {
  sockets.push(new PlayedSocket());
  return wire() as unknown as WebSocket;
};

function explains(moves: 1 | -1 = 1) {
  const answer = {
    meter: "speed",
    quantity: "speed",
    before: 1,
    after: 2,
    moves,
    words: "it slips less",
    said: null,
    right: null,
  };
  const body = {
    answers: [answer],
    topic: "restriction",
    point: null,
    record: { topics: [], asked: 0, right: 0, mistaken: null },
  };
  const asked: unknown[] = [];
  vi.mocked(globalThis.fetch).mockImplementation(async (input) => {
    asked.push(JSON.parse(await (input as Request).text()));
    return new Response(JSON.stringify(body), { status: 200, headers: { "content-type": "application/json" } });
  });
  return asked;
}

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  sockets = [];
  desk = new BenchDesk(BUILT, dial);
  desk.join();
  wire().open();
  wire().stands();
});

afterEach(() => {
  vi.useRealTimers();
});

describe("a rig that is put up", () => {
  it("is asked for as it was left, and stands when the server says so", () => {
    expect(wire().told[0]).toMatchObject({
      do: "put up",
      rig: { of: "stand", name: "capacitor blower" },
      controls: BUILT,
    });
    expect(desk.snapshot()).toMatchObject({
      connection: "live",
      standing: { name: "capacitor blower" },
      applied: BUILT,
    });
  });

  it("takes the place of the one before only when it stands", () => {
    desk.putUp(OTHER);
    expect(desk.snapshot().rig.name).toBe("capacitor blower");
    wire().stands();
    expect(desk.snapshot().rig.name).toBe("three-phase fan");
  });

  it("that is refused leaves the one before, with the reason", () => {
    desk.putUp({ ...OTHER, of: "job", job: 7 });
    wire().refuses("The motor of this job could not be fitted.");
    expect(desk.snapshot()).toMatchObject({
      rig: { name: "capacitor blower" },
      refusal: "The motor of this job could not be fitted.",
    });
    expect(desk.snapshot().standing).not.toBeNull();
  });

  it("that is refused before anything stands leaves what was here last", () => {
    const later = new BenchDesk(BUILT, dial);
    later.join();
    later.putUp({ ...OTHER, of: "job", job: 7 });
    wire().open();
    wire().refuses("The motor of this job could not be fitted.");
    expect(wire().last()).toMatchObject({ do: "put up", rig: { of: "stand", name: "capacitor blower" } });
    wire().stands();
    expect(later.snapshot()).toMatchObject({
      rig: { name: "capacitor blower" },
      refusal: "The motor of this job could not be fitted.",
    });
  });

  it("that nothing replaces is not asked for without end", () => {
    const later = new BenchDesk(BUILT, dial);
    later.join();
    wire().open();
    wire().refuses("No.");
    wire().refuses("No.");
    expect(wire().told).toHaveLength(2);
  });

  it("that cannot stand any more gives way to the first one, and says why", () => {
    localStorage.setItem("modest-rotor bench", JSON.stringify({ rig: { of: "job", job: 99 }, predicts: false }));
    const later = new BenchDesk(BUILT, dial);
    later.join();
    wire().open();
    expect(wire().last()).toMatchObject({ rig: { of: "job", job: 99 } });
    wire().refuses("There is no job 99.");
    expect(wire().last()).toMatchObject({ do: "put up", rig: { of: "stand", name: "capacitor blower" } });
    wire().stands();
    expect(later.snapshot()).toMatchObject({ refusal: "There is no job 99.", predicts: false });
  });
});

describe("a knob", () => {
  it("waits to be predicted, and is turned with what was said", async () => {
    const asked = explains();
    desk.set("open", 0.5);
    expect(desk.waits).toBe(true);
    expect(wire().told).toHaveLength(1);
    desk.say("speed", 1);
    desk.say("watts", -1);
    desk.say("watts", -1);
    expect(desk.snapshot().said).toEqual({ speed: 1 });
    desk.isOf("Ann");
    await desk.turn();
    expect(wire().last()).toMatchObject({ do: "turn", controls: { open: 0.5 }, number: 1 });
    expect(asked[0]).toMatchObject({
      before: BUILT,
      after: { open: 0.5 },
      said: { speed: 1 },
      who: "Ann",
      experiment: "",
    });
    expect(desk.snapshot().explained?.answers[0]?.words).toBe("it slips less");
    expect(desk.waits).toBe(false);
  });

  it("that is turned after an explanation begins a new change", async () => {
    explains();
    desk.set("open", 0.5);
    desk.say("speed", 1);
    await desk.turn();
    desk.set("open", 0.4);
    expect(desk.snapshot()).toMatchObject({ explained: null, said: {} });
  });

  it("turns at once where nothing is predicted, and what waited with it", () => {
    desk.set("open", 0.5);
    desk.setPredicts(false);
    expect(wire().last()).toMatchObject({ do: "turn", controls: { open: 0.5 } });
    desk.set("tap", "low");
    expect(wire().last()).toMatchObject({ controls: { open: 0.5, tap: "low" }, number: 2 });
  });

  it("that nothing runs on goes back to where it stood, with the reason", () => {
    desk.setPredicts(false);
    desk.set("open", 0.5);
    wire().sends(frame(2));
    desk.set("unbalance", 0.05);
    wire().refuses("Unbalanced volts need a three-phase motor.");
    expect(desk.snapshot()).toMatchObject({
      applied: { open: 0.5, unbalance: 0 },
      wanted: { open: 0.5, unbalance: 0 },
    });
    expect(desk.snapshot().refusal).toContain("three-phase");
  });

  it("says so where its change cannot be explained; the rig was turned all the same", async () => {
    vi.mocked(globalThis.fetch).mockRejectedValue(new TypeError("away"));
    desk.set("open", 0.5);
    await desk.turn();
    expect(desk.snapshot().refusal).toContain("does not answer");
    expect(wire().last()).toMatchObject({ do: "turn" });
  });

  it("is put back as built", () => {
    desk.setPredicts(false);
    desk.set("open", 0.5);
    desk.reset();
    expect(wire().last()).toMatchObject({ controls: BUILT });
  });
});

describe("an experiment", () => {
  beforeEach(() => {
    desk.begin(EXPERIMENT);
    wire().stands(EXPERIMENT.before);
  });

  it("stands before its change, which waits", () => {
    expect(desk.snapshot()).toMatchObject({ applied: { open: 1 }, wanted: { open: 0.5 }, experiment: { number: 4 } });
    expect(desk.waits).toBe(true);
  });

  it("may be passed without predicting, and be done once more", async () => {
    const asked = explains();
    await desk.turn();
    expect(asked[0]).toMatchObject({ experiment: "block-forward-curved", said: {} });
    desk.repeat();
    wire().stands(EXPERIMENT.before);
    expect(desk.snapshot()).toMatchObject({ explained: null, said: {} });
    expect(desk.waits).toBe(true);
  });

  it("leaves the rig that one had alone: it stands again afterwards", () => {
    expect(JSON.parse(localStorage.getItem("modest-rotor bench") ?? "{}")).toMatchObject({
      rig: { name: "capacitor blower" },
    });
    desk.goFree();
    wire().stands();
    expect(desk.snapshot().experiment).toBeNull();
  });
});

describe("a lost connection", () => {
  it("is said, and the rig goes on as it was set when it is back", () => {
    desk.setPredicts(false);
    desk.set("open", 0.5);
    desk.switchTo(false);
    desk.setPace(10);
    wire().close();
    expect(desk.snapshot().connection).toBe("lost");
    vi.advanceTimersByTime(AGAIN_MS);
    expect(sockets).toHaveLength(2);
    wire().open();
    expect(wire().told).toEqual([
      expect.objectContaining({ do: "put up", controls: expect.objectContaining({ open: 0.5 }) as unknown }),
      { do: "switch", on: false },
      { do: "pace", pace: 10 },
    ]);
    wire().stands({ ...BUILT, open: 0.5 });
    expect(desk.snapshot()).toMatchObject({ connection: "live", applied: { open: 0.5 }, on: false });
  });

  it("is tried again and again, but not after the page was left", () => {
    wire().close();
    vi.advanceTimersByTime(AGAIN_MS);
    wire().close();
    vi.advanceTimersByTime(AGAIN_MS);
    expect(sockets).toHaveLength(3);
    desk.leave();
    vi.advanceTimersByTime(10 * AGAIN_MS);
    expect(sockets).toHaveLength(3);
  });

  it("loses nothing that was set meanwhile", () => {
    desk.setPredicts(false);
    wire().close();
    desk.set("open", 0.3);
    vi.advanceTimersByTime(AGAIN_MS);
    wire().open();
    expect(wire().told[0]).toMatchObject({ controls: { open: 0.3 } });
  });
});

describe("frames", () => {
  it("are heard by whoever watches, and do not redraw the page", () => {
    const [watched, heard] = [vi.fn(), vi.fn()];
    const stop = desk.watch(watched);
    desk.subscribe(heard);
    wire().sends(frame(0));
    expect(watched).toHaveBeenCalledTimes(1);
    expect(heard).not.toHaveBeenCalled();
    stop();
    wire().sends(frame(0));
    expect(watched).toHaveBeenCalledTimes(1);
    expect(desk.frame?.values.speed).toBe(1090);
  });
});
