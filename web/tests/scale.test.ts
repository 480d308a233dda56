import { scaleLinear as theirs } from "d3-scale";
import { describe, expect, it } from "vitest";

import { scaleLinear } from "../src/shared/scale";

/** Domains of every size and sign, and the ends of pictures, drawn anew from one seed. */
function* cases() {
  let seed = 20;
  const next = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
  for (let at = 0; at < 400; at += 1) {
    const low = (next() - 0.5) * 10 ** Math.floor(next() * 9 - 4);
    const high = low + next() * 10 ** Math.floor(next() * 9 - 4);
    yield {
      low,
      high,
      from: next() * 400,
      to: next() * 400,
      count: 1 + Math.floor(next() * 9),
      share: next() * 1.4 - 0.2,
    };
  }
}

describe("a straight scale, held against the package of scales", () => {
  it("places values, ticks and rounded domains where that does", () => {
    let held = 0;
    for (const { low, high, from, to, count, share } of cases()) {
      const value = low + share * (high - low);
      const [ours, other] = [scaleLinear([low, high], [from, to]), theirs([low, high], [from, to])];
      expect(ours(value)).toBeCloseTo(other(value), 6);
      expect(ours.clamped()(value)).toBeCloseTo(other.copy().clamp(true)(value), 6);
      expect(ours.ticks(count)).toEqual(other.ticks(count));
      const nice = other.copy().nice(count).domain();
      expect(ours.nice(count).domain).toEqual(nice);
      expect(ours.clamped().nice(count)(high)).toBeCloseTo(theirs(nice, [from, to])(high), 6);
      held += 1;
    }
    expect(held).toBe(400);
  });

  it("puts all of a domain of one number in the middle", () => {
    expect(scaleLinear([5, 5], [0, 100])(5)).toBe(50);
    expect(scaleLinear([5, 5], [0, 100])(9)).toBe(50);
    expect(scaleLinear([5, 5], [0, 100]).nice().domain).toEqual([5, 5]);
  });
});
