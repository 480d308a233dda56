import { describe, expect, it } from "vitest";

import { TRACE_S, Traces } from "../src/bench/traces";

describe("traces", () => {
  it("keep ten values a second of the last minute and no more", () => {
    const traces = new Traces();
    for (let ms = 0; ms < 200_000; ms += 33) traces.add({ speed: ms }, ms);
    const { values, times } = traces.trace("speed");
    expect(values.length).toBe(TRACE_S * 10);
    expect(times.at(-1)).toBeGreaterThan(199_000);
    expect(times[0]).toBeGreaterThan((times.at(-1) ?? 0) - 80_000);
    expect(values).toEqual([...values].sort((one, other) => one - other));
  });

  it("know when something was turned, and what stood there before", () => {
    const traces = new Traces();
    traces.add({ speed: 1090 }, 0);
    traces.mark({ speed: 1090 }, 50);
    traces.add({ speed: 1120 }, 100);
    expect(traces.trace("speed")).toEqual({ values: [1090, 1120], times: [0, 100], turnedAt: 50, before: 1090 });
  });

  it("show nothing of another rig", () => {
    const traces = new Traces();
    traces.add({ speed: 1090 }, 0);
    traces.mark({ speed: 1090 }, 50);
    traces.clear();
    expect(traces.trace("speed")).toEqual({ values: [], times: [], turnedAt: null, before: null });
    traces.add({ speed: 5 }, 0);
    expect(traces.trace("speed").values).toEqual([5]);
  });
});
