import { tickIncrement, ticks } from "d3-array";

/** Numbers along an axis: where one lies, and which are written at it. */
export interface Scale {
  (value: number | Date): number;
  /** About so many round numbers within the domain. */
  ticks: (count: number) => number[];
  /** The same with its domain out to round numbers, as for about so many ticks. */
  nice: (count?: number) => Scale;
  /** The same, no value beyond the ends of its range. */
  clamped: () => Scale;
  domain: readonly [number, number];
}

type Ends = readonly [number, number];

/**
 * A straight scale from a domain, its lower end first, to a range. The package of scales brings colours, formats and the interpolation of
 * anything with it: 9 kB packed before any station is seen.
 */
export function scaleLinear([low, high]: Ends, [from, to]: Ends, clamped = false): Scale {
  const place = (value: number | Date) => {
    const share = high === low ? 0.5 : (Number(value) - low) / (high - low);
    return from + (to - from) * (clamped ? Math.min(1, Math.max(0, share)) : share);
  };
  return Object.assign(place, {
    ticks: (count: number) => ticks(low, high, count),
    nice: (count = 10) => scaleLinear(rounded(low, high, count), [from, to], clamped),
    clamped: () => scaleLinear([low, high], [from, to], true),
    domain: [low, high] as const,
  });
}

const MOST_ROUNDS = 10;

/** A domain out to round numbers: a wider one may have wider steps, so until the step stays; one that never does stays as it is. */
function rounded(low: number, high: number, count: number): Ends {
  let [start, stop, before] = [low, high, 0];
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const step = tickIncrement(start, stop, count); // below nought it is how many go into one
    if (step === before) return [start, stop];
    const whole = (value: number, to: (value: number) => number) =>
      step > 0 ? to(value / step) * step : to(value * -step) / -step;
    if (!Number.isFinite(step) || step === 0) break;
    [start, stop, before] = [whole(start, Math.floor), whole(stop, Math.ceil), step];
  }
  return [low, high];
}
