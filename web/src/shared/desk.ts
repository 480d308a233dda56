import { replaceEqualDeep } from "@tanstack/react-query";

import { fields } from "../generated/fields";
import { api, type JobHead, type Refused, taken } from "./api";
import { type Deed, Deeds } from "./deeds";
import { Found, type JobAnswer, nodeHeaders, type NodesAnswer } from "./found";
import { type Act, type NewAct, type Outbox, outbox as ours } from "./outbox";
import { fieldName, valueAt } from "./paths";
import type { UnitSystem } from "./reader";
import { Sending } from "./sending";
import { timeAsUtc } from "./times";
import { say } from "./say";

const REFINE_AFTER_MS = 40;
const SAVE_AFTER_MS = 1500;
/** Long enough after a save of a long job that the next save, if one follows, comes first. */
const LOOK_WHOLE_AFTER_MS = 900;
/** Quiet after which what other stations show is fetched as well, so that they open at once, also where no server is reached. */
const FETCH_REST_AFTER_MS = 1200;
const TRY_AGAIN_AFTER_MS = 1500;
/** What every page of a job shows. */
const ALWAYS = ["rail", "next", "findings", "left_out", "refining", "currency", "saving"] as const;
const WINDOW = crypto.randomUUID().slice(0, 12);

export type DraftState = "typing" | "saving" | "kept" | "refused" | "waiting" | "conflict";

/** What stands in a field and is not what the job holds. */
export interface Draft {
  text: string;
  state: DraftState;
  sentence: string | null;
}

export interface DeskState {
  view: JobHead | null;
  /** What follows from the job as it is kept. */
  kept: Found;
  /** What follows from the draft being typed, while it is typed. */
  preview: Found | null;
  drafts: Readonly<Record<string, Draft>>;
  /** Edits on their way to the database. */
  pending: number;
  /** Why nothing can be saved just now. */
  trouble: Refused | null;
  /** Why the job cannot be shown at all. */
  failure: Refused | null;
  /** Whether it is known what an earlier page left in this browser. */
  begun: boolean;
  /** Acts of this browser that wait for the server, or for a decision. */
  acts: readonly Act[];
}

export interface Writer {
  units: UnitSystem;
  who: string;
}

/** The field that an edit goes to, and what is typed for it. */
interface Target {
  path: string;
  text: string;
}

const EMPTY: DeskState = {
  view: null,
  kept: Found.NOTHING,
  preview: null,
  drafts: {},
  pending: 0,
  trouble: null,
  failure: null,
  begun: false,
  acts: [],
};

/**
 * One job on this screen: what the server holds, what is typed over it, and the queue of acts between the two.
 * Acts go one after another, each on the revision the one before it made. Each is kept in this browser before it is sent and
 * ends as done, refused in words, or shown for a decision; one that meets no answer is sent again under its own name.
 */
export class JobDesk extends Deeds {
  private state: DeskState = EMPTY;
  private readonly listeners = new Set<() => void>();
  private queue: Promise<void> = Promise.resolve();
  private writer: Writer = { units: "si", who: "" };
  private focused: string | null = null;
  private saveTimer = 0;
  /** The newest text that nobody has looked at yet, and whether one is being looked at. */
  private wanted: Target | null = null;
  private looking: Promise<void> | null = null;
  private refining: AbortController | null = null;

  private readonly sending: Sending;
  private whole = 0;
  private rest = 0;
  /** What is shown just now, and by how many parts of the page. */
  private readonly wants = new Map<string, number>(ALWAYS.map((name) => [name, 1]));
  /** The draft that the preview shows. */
  private previewed: Target | null = null;
  /** What a part of the page waits for before it can be drawn, by the names it asked for. */
  private readonly arrivals = new Map<string, { names: readonly string[]; promise: Promise<void>; came: () => void }>();
  private fetching = false;
  /** Goes up with every save that was answered, so that a look that began before it is not taken for news. */
  private saves = 0;
  private reading: Promise<JobAnswer> | null = null;
  private readonly lane: string;

  constructor(
    readonly id: number,
    private readonly outbox: Outbox = ours,
  ) {
    super();
    this.lane = `job ${id}`;
    this.sending = new Sending(
      {
        lane: this.lane,
        view: () => this.state.view,
        read: () => this.read(),
        shows: (answer) => this.shows(answer),
        saved: (answer, target) => this.saved(answer, target),
        asks: () => this.headers(),
        troubled: (trouble) => this.set({ trouble }),
        stands: ({ target }, state, sentence) => {
          if (target?.text !== undefined && this.state.drafts[target.path]?.text === target.text)
            this.setDraft(target.path, { text: target.text, state, sentence });
        },
        counts: (by) => this.set({ pending: this.state.pending + by }),
      },
      outbox,
    );
    this.outbox.subscribe(() => {
      const acts = this.outbox.lane(this.lane);
      if (acts.length !== this.state.acts.length || acts.some((act, place) => act !== this.state.acts[place]))
        this.set({ acts });
    });
  }

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  readonly snapshot = () => this.state;

  /** Who types here, and in which units a bare number is meant. */
  write(writer: Writer) {
    this.writer = writer;
  }

  /** What follows from the job as it is shown: with the draft being typed, while one is. */
  readonly found = () => this.state.preview ?? this.state.kept;

  /** Nodes that a part of the page shows from now on. @returns what ends it */
  show(names: readonly string[]): () => void {
    for (const name of names) this.wants.set(name, (this.wants.get(name) ?? 0) + 1);
    if (names.some((name) => !this.found().isFresh(name))) this.fetchSoon();
    return () => {
      for (const name of names) {
        const left = (this.wants.get(name) ?? 1) - 1;
        if (left > 0) this.wants.set(name, left);
        else this.wants.delete(name);
      }
    };
  }

  /** Nodes that will be shown first: they come with the job. */
  expect(names: readonly string[]) {
    if (this.state.view || this.reading) return;
    const headers = nodeHeaders([...this.wants.keys(), ...names], []);
    this.reading = this.read(headers);
    this.reading.catch(() => undefined); // told of by whoever takes it up
  }

  /** Until nodes are here as they newest are; the very promise while it is the same that is waited for. */
  arrival(names: readonly string[]): Promise<void> {
    const key = names.join();
    const known = this.arrivals.get(key);
    if (known) return known.promise;
    let came: () => void = () => undefined;
    const promise = new Promise<void>((resolve) => (came = resolve));
    this.arrivals.set(key, { names, promise, came });
    this.fetchSoon();
    return promise;
  }

  /** Read the job as it now is; drafts stay as typed. */
  async load() {
    const { saves } = this;
    try {
      const answer = await (this.reading ?? this.read());
      this.reading = null;
      if (saves !== this.saves) return;
      this.shows(answer);
      this.set({ failure: null, trouble: null });
    } catch (error) {
      this.reading = null;
      const refused = error as Refused;
      this.set(this.state.view ? { trouble: refused } : { failure: refused });
    }
  }

  /** Begin: read the job, then send what an earlier page left in this browser. */
  async begin() {
    await this.outbox.ready();
    this.set({ acts: this.outbox.lane(this.lane) });
    // What is done now or not at all was done by its own page, or will never be.
    for (const act of this.outbox.lane(`${this.lane} now`)) this.outbox.drop(act.id);
    await this.load();
    if (!this.state.view) return;
    this.resume();
    for (const [path, text] of Object.entries(this.outbox.store.drafts(this.id))) {
      if (this.state.drafts[path]) continue;
      this.setDraft(path, { text, state: "typing", sentence: null });
      this.save(path);
    }
    this.set({ begun: true });
  }

  /** Send what waits; text that was refused or asks stands in its field again. */
  private resume() {
    for (const { id, target, state, sentence } of this.state.acts) {
      this.outbox.change(id, { waited: true });
      if (target?.text === undefined) continue;
      const shown = state === "waiting" ? "waiting" : state === "asks" ? "conflict" : "refused";
      this.setDraft(target.path, { text: target.text, state: shown, sentence: sentence ?? null });
    }
    void this.sending.send();
  }

  enter(path: string) {
    this.focused = path;
  }

  /** A keystroke: the draft is kept, and the balance moves with it. */
  type(path: string, text: string) {
    this.setDraft(path, { text, state: "typing", sentence: null });
    window.clearTimeout(this.saveTimer);
    this.refining?.abort();
    this.wanted = { path, text };
    void this.lookAtNewest();
  }

  /** The field is left: what stands in it is saved. */
  leave(path: string, shown: string) {
    if (this.focused === path) this.focused = null;
    const draft = this.state.drafts[path];
    if (!draft) return;
    window.clearTimeout(this.saveTimer);
    if (draft.state === "kept" || (draft.state === "typing" && draft.text.trim() === shown)) {
      this.drop(path);
      return;
    }
    if (draft.state === "typing" || draft.state === "conflict") this.save(path);
  }

  /** Save what stands in a field without leaving it; done when everything on its way has been answered. */
  keep(path: string): Promise<void> {
    window.clearTimeout(this.saveTimer);
    if (this.state.drafts[path]?.state === "typing") this.save(path);
    return this.queue;
  }

  /** Forget a draft: the field shows what the job holds. */
  drop(path: string) {
    const drafts = Object.fromEntries(Object.entries(this.state.drafts).filter(([other]) => other !== path));
    this.set({ drafts, preview: null });
  }

  choose(path: string, value: unknown) {
    const before = this.state.view ? valueAt(this.state.view, path) : null;
    return this.put({
      ...this.change({ path, value }),
      label: say("shared-desk-choice", { named: named(path) }),
      target: { path, value, before },
      onNewest: "place",
    });
  }

  remove(item: string) {
    const who = encodeURIComponent(this.writer.who);
    return this.put({
      method: "DELETE",
      path: `/api/jobs/${this.id}/items/${item}?who=${who}`,
      revision: "query",
      body: null,
      label: say("desk-removed", { item }),
      onNewest: "ask",
    });
  }

  /** Something else that changes the job: sent with the revision and the name of whoever works here. */
  does({ to, body = {}, label, onNewest = "always", now = false }: Deed) {
    return this.put(
      {
        method: "POST",
        path: `/api/jobs/${this.id}${to}`,
        revision: "body",
        body: { ...body, who: this.writer.who },
        label,
        onNewest,
      },
      now,
    );
  }

  /** Decide on an act that asks: do it on the job as it now is, or give it up. */
  decide(id: string, doIt: boolean) {
    const act = this.outbox.lane(this.lane).find((one) => one.id === id);
    if (!act) return;
    const { target } = act;
    if (doIt && act.state === "asks") {
      this.outbox.change(id, { state: "waiting", waited: true, onNewest: "always", on: "" });
      if (target?.text !== undefined)
        this.setDraft(target.path, { text: target.text, state: "saving", sentence: null });
      void this.sending.send();
      return;
    }
    this.outbox.drop(id);
    if (target?.text !== undefined && this.state.drafts[target.path]?.text === target.text) this.drop(target.path);
  }

  private save(path: string) {
    const draft = this.state.drafts[path];
    if (!draft) return;
    const { text } = draft;
    const before = this.state.view ? valueAt(this.state.view, path) : null;
    this.setDraft(path, { text, state: "saving", sentence: null });
    // What asks or was refused for this field is overtaken by what stands in it now.
    for (const act of this.outbox.lane(this.lane))
      if (act.target?.path === path && act.state !== "waiting") this.outbox.drop(act.id);
    void this.put({
      ...this.change({ path, text: asKept(path, text), units: this.writer.units }),
      label: `${named(path)}, ${text.trim() || "empty"}`,
      target: { path, text, before },
      onNewest: "place",
    });
  }

  private change(edit: { path: string; text?: string; value?: unknown; units?: UnitSystem }) {
    return {
      method: "POST" as const,
      path: `/api/jobs/${this.id}/changes`,
      revision: "body" as const,
      body: { units: this.writer.units, who: this.writer.who, ...edit },
    };
  }

  private put(act: Omit<NewAct, "lane" | "who" | "on">, now = false): Promise<void> {
    const done = this.sending.put({ ...act, who: this.writer.who }, now);
    this.queue = Promise.all([this.queue, done]).then(() => undefined);
    return done;
  }

  private saved(answer: JobAnswer | null, target?: Act["target"]) {
    this.saves += 1;
    if (answer) this.shows(answer, { preview: null, trouble: null });
    else this.set({ preview: null, trouble: null });
    window.clearTimeout(this.whole);
    if (this.state.kept.get("refining")) this.whole = window.setTimeout(() => void this.load(), LOOK_WHOLE_AFTER_MS);
    const now = target && this.state.drafts[target.path];
    if (!target || !now || now.text !== target.text) return;
    // A field that still has the cursor keeps what is typed in it; any other shows what was kept.
    if (this.focused === target.path) this.setDraft(target.path, { ...now, state: "kept", sentence: null });
    else this.drop(target.path);
  }

  /** One look at a time, always at the newest text: the first key is answered at once, and none piles up behind another. */
  private lookAtNewest(): Promise<void> {
    this.looking ??= this.lookWhileWanted().finally(() => (this.looking = null));
    return this.looking;
  }

  private async lookWhileWanted() {
    while (this.wanted) {
      const target = this.wanted;
      this.wanted = null;
      await this.preview(target);
    }
  }

  private async preview({ path, text }: Target) {
    const overtaken = () => this.wanted !== null || this.state.drafts[path]?.text !== text;
    this.previewed = { path, text };
    try {
      let preview = await this.look(path, text, null);
      if (this.state.drafts[path]?.text !== text) return;
      if (preview?.get("refining")) {
        this.set({ preview });
        this.refining = new AbortController();
        await new Promise((resolve) => window.setTimeout(resolve, REFINE_AFTER_MS));
        if (overtaken()) return;
        preview = await this.look(path, text, this.refining.signal);
        if (overtaken()) return;
      }
      // Half a value is no value yet: nothing is said until the field is left, and the balance stays.
      this.set({ preview });
      if (preview && text.trim())
        this.saveTimer = window.setTimeout(() => this.saveWhileTyping(path, text), SAVE_AFTER_MS);
    } catch {
      // No answer: the balance waits; the save that follows tells of it. One that was overtaken says nothing.
      if (!overtaken()) this.set({ preview: null });
    }
  }

  /** What would follow from a draft: at once on the last fit, or refined where a signal to stop it is given. */
  private async look(path: string, text: string, signal: AbortSignal | null): Promise<Found | null> {
    const answer = await taken(
      api.POST("/api/jobs/{job_id}/preview", {
        params: { path: { job_id: this.id } },
        body: { path, text: asKept(path, text), units: this.writer.units, refined: signal !== null, window: WINDOW },
        headers: this.headers(),
        ...(signal ? { signal } : {}),
      }),
    );
    return "tags" in answer ? this.found().take(answer as unknown as NodesAnswer, this.state.kept) : null;
  }

  private saveWhileTyping(path: string, text: string) {
    const draft = this.state.drafts[path];
    if (draft?.state === "typing" && draft.text === text) this.save(path);
  }

  private async read(headers = this.headers()): Promise<JobAnswer> {
    const asked = taken(api.GET("/api/jobs/{job_id}", { params: { path: { job_id: this.id } }, headers }));
    return (await asked) as unknown as JobAnswer;
  }

  /** What is shown and what is held, as every request of this job says it. */
  private headers(wanted: Iterable<string> = this.shown()) {
    return nodeHeaders(wanted, [...this.found().held(), ...this.state.kept.held()]);
  }

  private shown() {
    return [...this.wants.keys(), ...[...this.arrivals.values()].flatMap(({ names }) => names)];
  }

  /** The job as an answer tells it, over what is shown. */
  private shows({ tags, nodes, ...head }: JobAnswer, besides: Partial<DeskState> = {}) {
    const shown = besides.preview === null ? this.found() : this.state.kept;
    const kept = shown.take({ tags, nodes }, this.state.kept);
    const view = this.state.view ? replaceEqualDeep(this.state.view, head as JobHead) : (head as JobHead);
    this.set({ view, kept, ...besides });
    this.fetchRestSoon();
  }

  private fetchSoon() {
    if (!this.state.view || this.fetching) return;
    this.fetching = true;
    queueMicrotask(() => {
      void this.fetchShown().finally(() => {
        this.fetching = false;
        if (this.arrivals.size > 0 || this.isStale()) this.fetchSoon();
      });
    });
  }

  private isStale() {
    return [...this.wants.keys()].some((name) => !this.found().isFresh(name));
  }

  /** Fetch what the page shows and does not hold: of the draft being typed, while one is. */
  private async fetchShown() {
    if (this.state.preview && this.previewed) {
      this.wanted ??= this.previewed;
      await this.lookAtNewest();
      if (this.state.preview && !this.isStale() && this.arrivals.size === 0) return;
    }
    await this.fetchKept(this.shown());
  }

  /** Fetch nodes of the job as it is kept; tried again where no answer comes. */
  private async fetchKept(wanted: readonly string[]) {
    const { saves } = this;
    try {
      const answer = await this.read(this.headers(wanted));
      if (saves !== this.saves) return;
      // A draft belongs to the job as it was read: what another window made of it meanwhile is not put under it.
      if (this.hasDrafts && answer.revision !== this.state.view?.revision)
        this.set({ kept: this.state.kept.take(answer) });
      else this.shows(answer);
    } catch {
      await new Promise((resolve) => window.setTimeout(resolve, TRY_AGAIN_AFTER_MS));
    }
  }

  private get hasDrafts() {
    return Object.keys(this.state.drafts).length > 0;
  }

  /** When nothing is done for a while, what is not shown is fetched as well. */
  private fetchRestSoon() {
    window.clearTimeout(this.rest);
    if (this.state.kept.lacking().length === 0) return;
    this.rest = window.setTimeout(() => {
      if (this.hasDrafts || this.state.pending > 0 || this.fetching) this.fetchRestSoon();
      else void this.fetchKept([...this.shown(), ...this.state.kept.lacking()]);
    }, FETCH_REST_AFTER_MS);
  }

  private setDraft(path: string, draft: Draft) {
    this.set({ drafts: { ...this.state.drafts, [path]: draft } });
  }

  private set(part: Partial<DeskState>) {
    this.state = { ...this.state, ...part };
    if (part.drafts) this.remember();
    if (("kept" in part || "preview" in part) && this.isStale()) this.fetchSoon();
    for (const [key, { names, came }] of this.arrivals)
      if (names.every((name) => this.found().isFresh(name))) {
        this.arrivals.delete(key);
        came();
      }
    this.listeners.forEach((listener) => listener());
  }

  /** Unsaved text outlives the page. */
  private remember() {
    const unsaved = Object.entries(this.state.drafts).filter(([, draft]) => draft.state !== "kept");
    this.outbox.store.keepDrafts(this.id, Object.fromEntries(unsaved.map(([path, draft]) => [path, draft.text])));
  }
}

/** What a person calls the place at a path. */
/** What stands in a field as the server takes it: a time is typed on the reader's clock and kept as UTC. */
function asKept(path: string, text: string): string {
  const facts = (fields as Record<string, { time?: boolean } | undefined>)[fieldName(path)];
  return facts?.time ? (timeAsUtc(text) ?? "") : text;
}

function named(path: string): string {
  const facts = (fields as Record<string, { label: string } | undefined>)[fieldName(path)];
  const label = facts?.label ?? (path.split("/").at(-1) ?? path).replaceAll("_", " ");
  const set = /^readings\/s(\d+)\//.exec(path)?.[1];
  return set ? say("shared-desk-set", { label, set }) : label;
}
