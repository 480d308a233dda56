import { useSyncExternalStore } from "react";

import { api, Refused, type Schemas, taken } from "../shared/api";
import { Traces } from "./traces";
import type { Experiment, Meter, Moves, RigName, Turned } from "./words";
import { say } from "../shared/say";

export type Frame = Schemas["FrameView"];
type Sent = NonNullable<Schemas["LiveViews"]["sent"]>;
type Told = NonNullable<Schemas["LiveViews"]["told"]>;

export interface BenchState {
  connection: "joining" | "live" | "lost";
  rig: RigName;
  standing: Schemas["RigView"] | null;
  /** Controls as the rig has them, and as they are wanted next: the same unless a change waits to be predicted. */
  applied: Turned;
  wanted: Turned;
  outlook: Schemas["Outlook"] | null;
  on: boolean;
  pace: number;
  /** Why the last thing that was told could not be done. */
  refusal: string | null;
  predicts: boolean;
  said: Partial<Record<Meter, Moves>>;
  explained: Schemas["Explained"] | null;
  experiment: Experiment | null;
}

const AGAIN_MS = 1000;
const KEPT_AS = "modest-rotor bench";
const FIRST_RIG: RigName = {
  of: "stand",
  name: say("bench-desk-capacitor-blower"),
  machine_type: "forward-curved",
  drive: false,
};

type Socket = Pick<WebSocket, "send" | "close" | "readyState" | "onopen" | "onmessage" | "onclose">;
type Dial = () => Socket;

const dialRig: Dial = () =>
  new WebSocket(`${window.location.protocol.replace("http", "ws")}//${window.location.host}/api/bench/rig`);

/**
 * The rig that one page stands at: what was told, what it answered, and its frames. Whatever was set survives a lost
 * connection and a page that is opened again.
 */
export class BenchDesk {
  private state: BenchState;
  private readonly listeners = new Set<() => void>();
  private readonly watchers = new Set<(frame: Frame) => void>();
  private socket: Socket | null = null;
  private number = 0;
  /** A rig that was asked for and does not stand yet. */
  private coming: { rig: RigName; controls: Turned; experiment: Experiment | null; because: string | null } | null =
    null;
  /** The controls that the server is known to have taken. */
  private accepted: Turned;
  private redial: ReturnType<typeof setTimeout> | undefined;
  private leaving = false;
  readonly traces = new Traces();
  frame: Frame | null = null;
  private who = "";

  constructor(
    private readonly built: Turned,
    private readonly dial: Dial = dialRig,
  ) {
    const kept = restored(built);
    this.accepted = kept.applied;
    this.state = {
      connection: "joining",
      rig: kept.rig,
      standing: null,
      applied: kept.applied,
      wanted: kept.applied,
      outlook: null,
      on: true,
      pace: 1,
      refusal: null,
      predicts: kept.predicts,
      said: {},
      explained: null,
      experiment: null,
    };
  }

  readonly snapshot = () => this.state;

  readonly subscribe = (heard: () => void) => {
    this.listeners.add(heard);
    return () => void this.listeners.delete(heard);
  };

  /** Hear of every frame, thirty times a second. */
  watch(heard: (frame: Frame) => void): () => void {
    this.watchers.add(heard);
    return () => void this.watchers.delete(heard);
  }

  /** Whose predictions these are. */
  isOf(who: string) {
    this.who = who;
  }

  /** Go to the rig, and go back to it whenever the connection is lost. */
  join() {
    this.leaving = false;
    clearTimeout(this.redial);
    const socket = this.dial();
    this.socket = socket;
    socket.onopen = () => {
      const { rig, controls } = this.coming ?? { rig: this.state.rig, controls: this.state.applied };
      this.tell({ do: "put up", rig, controls });
      if (!this.state.on) this.tell({ do: "switch", on: false });
      if (this.state.pace !== 1) this.tell({ do: "pace", pace: this.state.pace as 10 | 60 });
    };
    socket.onmessage = (event: MessageEvent) => this.take(JSON.parse(String(event.data)) as Sent);
    socket.onclose = () => {
      if (this.leaving || this.socket !== socket) return;
      this.change({ connection: "lost" });
      this.redial = setTimeout(() => this.join(), AGAIN_MS);
    };
  }

  leave() {
    this.leaving = true;
    clearTimeout(this.redial);
    this.socket?.close();
    this.socket = null;
  }

  /** Put up another rig, as built or as somebody left it. Until it stands, the one before it goes on. */
  putUp(rig: RigName, controls = this.built, experiment: Experiment | null = null, because: string | null = null) {
    this.coming = { rig, controls, experiment, because };
    this.tell({ do: "put up", rig, controls });
  }

  /** An experiment: its rig before the change, which waits to be predicted. */
  begin(experiment: Experiment) {
    this.putUp({ ...FIRST_RIG, name: experiment.stand }, experiment.before, experiment);
  }

  /** From an experiment back to a rig of one's own: the one that was left. */
  goFree() {
    const kept = restored(this.built);
    this.putUp(kept.rig, kept.applied);
  }

  /** Turn one knob: at once, or as a change that waits where it is predicted first. */
  set(key: keyof Turned, value: Turned[keyof Turned]) {
    const wanted = { ...this.state.wanted, [key]: value };
    const { predicts, experiment, explained } = this.state;
    if (predicts && !experiment) {
      // A new change: what was said of the last one, and its explanation, are past.
      this.change(explained ? { wanted, said: {}, explained: null, refusal: null } : { wanted, refusal: null });
      return;
    }
    this.turnTo(wanted);
  }

  /** Everything as it was built. */
  reset() {
    this.change({ said: {}, explained: null });
    this.turnTo(this.built);
  }

  /** Say what a meter will do; said twice, it is taken back. */
  say(meter: Meter, moves: Moves) {
    const { [meter]: before, ...others } = this.state.said;
    this.change({ said: before === moves ? others : { ...others, [meter]: moves } });
  }

  setPredicts(predicts: boolean) {
    this.change({ predicts, said: {}, explained: null });
    if (!predicts && !this.state.experiment) this.turnTo(this.state.wanted);
  }

  switchTo(on: boolean) {
    this.traces.mark(this.frame?.values ?? {}, performance.now());
    this.change({ on });
    this.tell({ do: "switch", on });
  }

  setPace(pace: 1 | 10 | 60) {
    this.change({ pace });
    this.tell({ do: "pace", pace });
  }

  /** Whether a change waits to be turned. */
  get waits() {
    const { wanted, applied } = this.state;
    return (Object.keys(wanted) as (keyof Turned)[]).some((key) => wanted[key] !== applied[key]);
  }

  /** Turn what waits, and have it explained: with what was said of it, or without. */
  async turn(): Promise<void> {
    const { rig, applied: before, wanted: after, said, experiment } = this.state;
    if (!this.waits) return;
    this.turnTo(after);
    try {
      const body = { rig, before, after, said, experiment: experiment?.code ?? "", who: this.who };
      const explained = await taken(api.POST("/api/bench/explain", { body }));
      if (this.state.wanted === after) this.change({ explained });
    } catch (error) {
      if (!(error instanceof Refused)) throw error;
      this.change({ refusal: error.message });
    }
  }

  /** Turn back to before the change, so that it can be said and seen again. */
  repeat() {
    const { experiment } = this.state;
    if (experiment) this.begin(experiment);
  }

  private turnTo(controls: Turned) {
    this.number += 1;
    this.traces.mark(this.frame?.values ?? {}, performance.now());
    this.change({ applied: controls, wanted: controls, refusal: null });
    this.tell({ do: "turn", controls, number: this.number });
  }

  private take(sent: Sent) {
    if (sent.kind === "frame") this.show(sent);
    else if (sent.kind === "standing") this.stands(sent.rig, sent.controls);
    else if (sent.kind === "outlook") this.change({ outlook: sent.outlook });
    else this.refuse(sent.sentence);
  }

  private show(frame: Frame) {
    this.frame = frame;
    if (frame.number === this.number) this.accepted = this.state.applied;
    this.traces.add(frame.values, performance.now());
    for (const heard of this.watchers) heard(frame);
  }

  private stands(standing: Schemas["RigView"], controls: Turned) {
    const { coming } = this;
    this.coming = null;
    this.number = 0;
    this.accepted = controls;
    if (!coming) {
      this.change({ standing, connection: "live" });
      return;
    }
    this.traces.clear();
    this.frame = null;
    this.change({
      connection: "live",
      standing,
      rig: coming.rig,
      experiment: coming.experiment,
      applied: controls,
      wanted: coming.experiment?.after ?? controls,
      outlook: null,
      on: true,
      refusal: coming.because,
      said: {},
      explained: null,
    });
  }

  /** The server goes on with what it had, and so does the page. */
  private refuse(refusal: string) {
    const failed = this.coming;
    this.coming = null;
    if (!failed) this.change({ applied: this.accepted, wanted: this.accepted });
    this.change({ refusal, connection: "live" });
    if (this.state.standing) return;
    // Nothing stands yet: what was left here, or else the first rig, takes its place.
    const { rig, applied } = this.state;
    if (failed && failed.because === null) this.putUp(rig, applied, null, refusal);
    else if (failed?.rig !== FIRST_RIG) this.putUp(FIRST_RIG, this.built, null, refusal);
  }

  private tell(told: Told) {
    if (this.socket?.readyState === 1) this.socket.send(JSON.stringify(told));
  }

  private change(part: Partial<BenchState>) {
    this.state = { ...this.state, ...part };
    const { rig, applied, predicts, experiment } = this.state;
    if (!experiment) localStorage.setItem(KEPT_AS, JSON.stringify({ rig, applied, predicts }));
    for (const heard of this.listeners) heard();
  }
}

/** What an earlier page left; what this program does not know of it stands as built. */
function restored(built: Turned): Pick<BenchState, "rig" | "applied" | "predicts"> {
  try {
    const kept = JSON.parse(localStorage.getItem(KEPT_AS) ?? "{}") as Partial<BenchState>;
    return {
      rig: { ...FIRST_RIG, ...kept.rig },
      applied: { ...built, ...kept.applied },
      predicts: kept.predicts ?? true,
    };
  } catch {
    return { rig: FIRST_RIG, applied: built, predicts: true };
  }
}

export function useBench(desk: BenchDesk): BenchState {
  return useSyncExternalStore(desk.subscribe, desk.snapshot);
}
