import { Refused, refusalOf } from "./api";
import { type Act, BrowserStore } from "./store";
import { noteEdition } from "./edition";
import { say } from "./say";

export type { Act } from "./store";

const TRY_AGAIN_AFTER_MS = 1500;

export type NewAct = Omit<Act, "id" | "at" | "state" | "waited" | "sentence" | "on"> & { on?: string };

/** Everything that was done on this browser and that the server has not taken yet. */
export class Outbox {
  private kept: Act[] = [];
  private readonly listeners = new Set<() => void>();
  private readonly opened: Promise<void>;
  private readonly pumping = new Set<string>();
  private readonly ends = new Map<string, Set<(act: Act, answer: unknown) => void>>();
  private last = 0;

  constructor(readonly store: BrowserStore = new BrowserStore()) {
    this.opened = store.acts().then((acts) => {
      const here = new Set(this.kept.map((act) => act.id));
      this.kept = [...acts.filter((act) => !here.has(act.id)), ...this.kept];
      this.last = Math.max(this.last, ...this.kept.map((act) => act.at));
      if (acts.length > 0) this.tell();
    });
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  readonly snapshot = () => this.kept;

  /** Until what an earlier page left here is known. */
  ready() {
    return this.opened;
  }

  lane(lane: string) {
    return this.kept.filter((act) => act.lane === lane);
  }

  /** Keep an act, before it is sent. */
  put(act: NewAct): Act {
    this.last = Math.max(Date.now(), this.last + 1);
    const whole: Act = {
      ...act,
      on: act.on ?? "",
      id: crypto.randomUUID(),
      at: this.last,
      state: "waiting",
      waited: false,
    };
    this.kept = [...this.kept, whole];
    this.store.keep(whole);
    this.tell();
    return whole;
  }

  change(id: string, part: Partial<Act>) {
    this.kept = this.kept.map((act) => (act.id === id ? { ...act, ...part } : act));
    const changed = this.kept.find((act) => act.id === id);
    if (changed) this.store.keep(changed);
    this.tell();
  }

  /** It has come to its end: done, or given up by whoever did it. */
  drop(id: string) {
    this.kept = this.kept.filter((act) => act.id !== id);
    this.store.forget(id);
    this.tell();
  }

  /**
   * Send the acts of a lane that rest on no revision, one after another, until none waits; an act that meets no answer is
   * sent again under its own name, which the server knows again. One window of this browser does it at a time.
   */
  async pump(lane: string): Promise<void> {
    await this.opened;
    if (this.pumping.has(lane)) return;
    this.pumping.add(lane);
    try {
      await alone(lane, async () => {
        for (let act = this.next(lane); act; act = this.next(lane)) {
          const { id } = act;
          try {
            this.end(act, await sendAct(act, ""));
          } catch (error) {
            const refused = error as Refused;
            if (refused.isKnown) this.end(act, null);
            else if (refused.isAway) {
              this.change(id, { waited: true, sentence: refused.message });
              await new Promise((resolve) => window.setTimeout(resolve, TRY_AGAIN_AFTER_MS));
            } else this.change(id, { state: "refused", sentence: refused.message });
          }
        }
      });
    } finally {
      this.pumping.delete(lane);
    }
  }

  /** Be told of every act of a lane that is done, with what the server answered; nothing where it had done it before. */
  listen(lane: string, done: (act: Act, answer: unknown) => void) {
    const listeners = this.ends.get(lane) ?? new Set();
    this.ends.set(lane, listeners.add(done));
    return () => void listeners.delete(done);
  }

  private end(act: Act, answer: unknown) {
    this.drop(act.id);
    this.ends.get(act.lane)?.forEach((done) => done(act, answer));
  }

  private next(lane: string) {
    return this.kept.find((act) => act.lane === lane && act.state === "waiting");
  }

  private tell() {
    this.listeners.forEach((listener) => listener());
  }
}

/** Do something while no other window of this browser does the same. */
export async function alone(name: string, work: () => Promise<void>): Promise<void> {
  if ("locks" in navigator) await navigator.locks.request(`modest-rotor ${name}`, work);
  else await work();
}

/** Send an act on a revision, under its own name. */
export async function sendAct(act: Act, revision: string, headers: Record<string, string> = {}): Promise<unknown> {
  const query =
    act.revision === "query" ? `${act.path.includes("?") ? "&" : "?"}revision=${encodeURIComponent(revision)}` : "";
  const body = act.blob ?? (act.body && JSON.stringify(act.revision === "body" ? { ...act.body, revision } : act.body));
  let response: Response;
  try {
    response = await fetch(
      new Request(new URL(act.path + query, window.location.origin), {
        method: act.method,
        headers: {
          ...headers,
          "content-type": act.blob ? "application/octet-stream" : "application/json",
          "idempotency-key": act.id,
        },
        body: body ?? null,
      }),
    );
  } catch {
    throw new Refused(0, say("outbox-server-does"));
  }
  noteEdition(response);
  if (response.ok && response.status !== 208)
    return response.status === 204 ? null : ((await response.json()) as unknown);
  throw await refusalOf(response);
}

/** Acts of this browser, shared by all of its pages. */
export const outbox = new Outbox();
