import type { Meter } from "./words";

/** How long a trace reaches back, and how often a frame is put into it. */
export const TRACE_S = 60;
const EVERY_MS = 100;
const PLACES = (TRACE_S * 1000) / EVERY_MS;

export interface Trace {
  /** Values, oldest first, and when each was read in ms. */
  values: number[];
  times: number[];
  /** When something was turned last, and the value just before. */
  turnedAt: number | null;
  before: number | null;
}

/** The last minute of every meter: so much memory and no more, however long the rig runs. */
export class Traces {
  private readonly times = new Float64Array(PLACES);
  private readonly values = new Map<Meter, Float32Array>();
  private count = 0;
  private last = -Infinity;
  private turnedAt: number | null = null;
  private readonly before = new Map<Meter, number>();

  /** Put what the meters show into the traces, ten times a second. */
  add(values: Readonly<Record<string, number>>, now: number) {
    if (now - this.last < EVERY_MS - 1) return;
    this.last = now;
    const place = this.count % PLACES;
    this.times[place] = now;
    for (const [meter, value] of Object.entries(values)) this.of(meter as Meter)[place] = value;
    this.count += 1;
  }

  /** Something was turned: a line is drawn there, and the values of before are kept. */
  mark(values: Readonly<Record<string, number>>, now: number) {
    this.turnedAt = now;
    this.before.clear();
    for (const [meter, value] of Object.entries(values)) this.before.set(meter as Meter, value);
  }

  /** Another rig: nothing of the last one is shown any more. */
  clear() {
    this.count = 0;
    this.last = -Infinity;
    this.turnedAt = null;
    this.before.clear();
  }

  trace(meter: Meter): Trace {
    const own = this.of(meter);
    const kept = Math.min(this.count, PLACES);
    const values: number[] = [];
    const times: number[] = [];
    for (let back = kept; back > 0; back -= 1) {
      const place = (this.count - back) % PLACES;
      values.push(own[place] ?? 0);
      times.push(this.times[place] ?? 0);
    }
    return { values, times, turnedAt: this.turnedAt, before: this.before.get(meter) ?? null };
  }

  private of(meter: Meter): Float32Array {
    const known = this.values.get(meter) ?? new Float32Array(PLACES);
    this.values.set(meter, known);
    return known;
  }
}
