import { replaceEqualDeep } from "@tanstack/react-query";

import { api, type Assessment, type JobView, Refused, type Schemas, taken } from "./api";
import { holds, valueAt } from "./paths";
import type { UnitSystem } from "./reader";

const REFINE_AFTER_MS = 40;
const SAVE_AFTER_MS = 1500;
const TRY_AGAIN_AFTER_MS = 1500;

export type DraftState = "typing" | "saving" | "kept" | "refused" | "waiting" | "conflict";

/** What stands in a field and is not what the job holds. */
export interface Draft {
  text: string;
  state: DraftState;
  sentence: string | null;
}

export interface DeskState {
  view: JobView | null;
  /** What follows from the draft being typed, while it is typed. */
  preview: Assessment | null;
  drafts: Readonly<Record<string, Draft>>;
  /** Edits on their way to the database. */
  pending: number;
  /** Why nothing can be saved just now. */
  trouble: Refused | null;
  /** Why the job cannot be shown at all. */
  failure: Refused | null;
}

export interface Writer {
  units: UnitSystem;
  who: string;
}

type Send = (revision: string) => Promise<JobView>;

/** The field that an edit goes to, and what is typed for it. */
interface Target {
  path: string;
  text: string;
}

/** The same, with every part that did not change kept as the very object it was, so that nothing of it is drawn again. */
function shared(state: DeskState, part: Partial<DeskState>): Partial<DeskState> {
  const shown = state.preview ?? state.view?.assessment;
  const kept = { ...part };
  if (part.preview && shown) kept.preview = replaceEqualDeep(shown, part.preview);
  if (part.view && state.view) kept.view = replaceEqualDeep({ ...state.view, assessment: shown }, part.view);
  return kept;
}

const EMPTY: DeskState = { view: null, preview: null, drafts: {}, pending: 0, trouble: null, failure: null };

/**
 * One job on this screen: what the server holds, what is typed over it, and the queue of edits between the two.
 * Edits go one after another, each on the revision the one before it made; an edit that meets no answer waits and is
 * tried again; one that is refused leaves its draft in its field.
 */
export class JobDesk {
  private state: DeskState = EMPTY;
  private readonly listeners = new Set<() => void>();
  private queue: Promise<void> = Promise.resolve();
  private writer: Writer = { units: "si", who: "" };
  private focused: string | null = null;
  private saveTimer = 0;
  /** The newest text that nobody has looked at yet, and whether one is being looked at. */
  private wanted: Target | null = null;
  private looking = false;
  private refining: AbortController | null = null;

  constructor(readonly id: number) {}

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  readonly snapshot = () => this.state;

  /** Who types here, and in which units a bare number is meant. */
  write(writer: Writer) {
    this.writer = writer;
  }

  /** Read the job as it now is; drafts stay as typed. */
  async load() {
    try {
      const view = await this.read();
      this.set({ view, failure: null, trouble: null });
    } catch (error) {
      const refused = error as Refused;
      this.set(this.state.view ? { trouble: refused } : { failure: refused });
    }
  }

  /** Begin: read the job, then save what an earlier page left unsaved. */
  async begin() {
    await this.load();
    if (!this.state.view) return;
    for (const [path, text] of Object.entries(this.leftBehind())) {
      this.setDraft(path, { text, state: "typing", sentence: null });
      this.save(path);
    }
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
    return this.enqueue((revision) => this.change({ revision, path, value }));
  }

  /** Add an item to a list: empty, or like another one. */
  add(list: string, like?: string) {
    const step = (revision: string) => ({ revision, who: this.writer.who });
    return this.enqueue((revision) =>
      taken(
        api.POST("/api/jobs/{job_id}/items/{name}", {
          params: { path: { job_id: this.id, name: list }, query: like ? { like } : {} },
          body: step(revision),
        }),
      ),
    );
  }

  remove(item: string) {
    return this.enqueue((revision) =>
      taken(
        api.DELETE("/api/jobs/{job_id}/items/{name}", {
          params: { path: { job_id: this.id, name: item }, query: { revision, who: this.writer.who } },
        }),
      ),
    );
  }

  /** Something else that changes the job: sent with the revision and the name of whoever works here. */
  does(send: (step: { revision: string; who: string }) => Promise<JobView>) {
    return this.enqueue((revision) => send({ revision, who: this.writer.who }));
  }

  /** Put what the plate's line was taken for into its fields. */
  fillPlate() {
    return this.enqueue((revision) =>
      taken(
        api.POST("/api/jobs/{job_id}/plate-line", {
          params: { path: { job_id: this.id } },
          body: { revision, who: this.writer.who },
        }),
      ),
    );
  }

  /** Say of a finding what became of it. */
  mark(finding: string, state: Schemas["MarkState"], note: string) {
    return this.enqueue((revision) =>
      taken(
        api.POST("/api/jobs/{job_id}/marks", {
          params: { path: { job_id: this.id } },
          body: { revision, who: this.writer.who, finding, state, note },
        }),
      ),
    );
  }

  /** Take in the good rows of a CSV file as sets. */
  takeCsv(file: Schemas["CsvIn"]) {
    return this.enqueue((revision) =>
      taken(
        api.POST("/api/jobs/{job_id}/readings-csv", {
          params: { path: { job_id: this.id } },
          body: { ...file, revision, who: this.writer.who },
        }),
      ),
    );
  }

  /** Consider one more option, with a product of the catalogue where one is named. */
  consider(kind: Schemas["OptionKind"], code: string | null) {
    return this.enqueue((revision) =>
      taken(
        api.POST("/api/jobs/{job_id}/options", {
          params: { path: { job_id: this.id } },
          body: { revision, who: this.writer.who, kind, code },
        }),
      ),
    );
  }

  /** Answer for a stop. */
  waive(option: string, check: string, name: string, reason: string) {
    return this.enqueue((revision) =>
      taken(
        api.POST("/api/jobs/{job_id}/waivers", {
          params: { path: { job_id: this.id } },
          body: { revision, who: this.writer.who, option, check, name, reason },
        }),
      ),
    );
  }

  /** Take a logger's year over as steps. */
  takeLog(file: Schemas["LogIn"], byLoad: boolean) {
    return this.enqueue((revision) =>
      taken(
        api.POST("/api/jobs/{job_id}/duty/log", {
          params: { path: { job_id: this.id } },
          body: { ...file, revision, who: this.writer.who, by_load: byLoad },
        }),
      ),
    );
  }

  /** Take a template's year over, each step marked assumed. */
  takeTemplate(building: string) {
    return this.enqueue((revision) =>
      taken(
        api.POST("/api/jobs/{job_id}/duty/template", {
          params: { path: { job_id: this.id } },
          body: { revision, who: this.writer.who, building },
        }),
      ),
    );
  }

  undo() {
    return this.stepBack("/api/jobs/{job_id}/undo");
  }

  redo() {
    return this.stepBack("/api/jobs/{job_id}/redo");
  }

  private stepBack(route: "/api/jobs/{job_id}/undo" | "/api/jobs/{job_id}/redo") {
    return this.enqueue((revision) =>
      taken(api.POST(route, { params: { path: { job_id: this.id } }, body: { revision, who: this.writer.who } })),
    );
  }

  private save(path: string) {
    const draft = this.state.drafts[path];
    if (!draft) return;
    const { text } = draft;
    const { units } = this.writer;
    this.setDraft(path, { text, state: "saving", sentence: null });
    void this.enqueue((revision) => this.change({ revision, path, text, units }), { path, text });
  }

  private change(edit: { revision: string; path: string; text?: string; value?: unknown; units?: UnitSystem }) {
    const body = { units: this.writer.units, who: this.writer.who, ...edit };
    return taken(api.POST("/api/jobs/{job_id}/changes", { params: { path: { job_id: this.id } }, body }));
  }

  private enqueue(send: Send, target?: Target): Promise<void> {
    this.set({ pending: this.state.pending + 1 });
    this.queue = this.queue.then(async () => {
      try {
        this.saved(await this.sendUntilAnswered(send, target), target);
      } catch (error) {
        this.refused(error as Refused, target);
      } finally {
        this.set({ pending: this.state.pending - 1 });
      }
    });
    return this.queue;
  }

  /** Goes on trying for as long as the page lives, also when the reader has gone to another job meanwhile. */
  private async sendUntilAnswered(send: Send, target?: Target): Promise<JobView> {
    for (let attempt = 0; ; attempt += 1) {
      try {
        return await send(this.state.view?.revision ?? "");
      } catch (error) {
        const refused = error as Refused;
        if (refused.isConflict && attempt > 0) return this.afterLostAnswer(refused, send, target);
        if (!refused.isAway) throw refused;
        this.set({ trouble: refused });
        if (target) this.setDraft(target.path, { text: target.text, state: "waiting", sentence: null });
        await new Promise((resolve) => window.setTimeout(resolve, TRY_AGAIN_AFTER_MS));
      }
    }
  }

  /** An answer lost on its way back looks like a conflict with ourselves: read what was kept before complaining. */
  private async afterLostAnswer(refused: Refused, send: Send, target?: Target): Promise<JobView> {
    const before = this.state.view;
    const now = await this.read();
    if (!target || holds(now, target.path, target.text)) return now;
    const untouched =
      before && JSON.stringify(valueAt(before, target.path)) === JSON.stringify(valueAt(now, target.path));
    if (!untouched) throw refused;
    return send(now.revision);
  }

  private saved(view: JobView, target?: Target) {
    this.set({ view, preview: null, trouble: null });
    const now = target && this.state.drafts[target.path];
    if (!target || !now || now.text !== target.text) return;
    // A field that still has the cursor keeps what is typed in it; any other shows what was kept.
    if (this.focused === target.path) this.setDraft(target.path, { ...now, state: "kept", sentence: null });
    else this.drop(target.path);
  }

  private refused(refused: Refused, target?: Target) {
    if (!target || refused.isConflict) this.set({ trouble: refused });
    if (!target) return;
    const state = refused.isConflict ? "conflict" : "refused";
    if (this.state.drafts[target.path]?.text === target.text)
      this.setDraft(target.path, { text: target.text, state, sentence: refused.message });
  }

  /** One look at a time, always at the newest text: the first key is answered at once, and none piles up behind another. */
  private async lookAtNewest() {
    if (this.looking) return;
    this.looking = true;
    while (this.wanted) {
      const target = this.wanted;
      this.wanted = null;
      await this.preview(target);
    }
    this.looking = false;
  }

  private async preview({ path, text }: Target) {
    const overtaken = () => this.wanted !== null || this.state.drafts[path]?.text !== text;
    try {
      let { assessment } = await this.look(path, text, null);
      if (this.state.drafts[path]?.text !== text) return;
      if (assessment?.refining) {
        this.set({ preview: assessment });
        this.refining = new AbortController();
        await new Promise((resolve) => window.setTimeout(resolve, REFINE_AFTER_MS));
        if (overtaken()) return;
        ({ assessment } = await this.look(path, text, this.refining.signal));
        if (overtaken()) return;
      }
      // Half a value is no value yet: nothing is said until the field is left, and the balance stays.
      this.set({ preview: assessment ?? null });
      if (assessment && text.trim())
        this.saveTimer = window.setTimeout(() => this.saveWhileTyping(path, text), SAVE_AFTER_MS);
    } catch {
      // No answer: the balance waits; the save that follows tells of it. One that was overtaken says nothing.
      if (!overtaken()) this.set({ preview: null });
    }
  }

  /** What would follow from a draft: at once on the last fit, or refined where a signal to stop it is given. */
  private look(path: string, text: string, signal: AbortSignal | null) {
    return taken(
      api.POST("/api/jobs/{job_id}/preview", {
        params: { path: { job_id: this.id } },
        body: { path, text, units: this.writer.units, refined: signal !== null },
        ...(signal ? { signal } : {}),
      }),
    );
  }

  private saveWhileTyping(path: string, text: string) {
    const draft = this.state.drafts[path];
    if (draft?.state === "typing" && draft.text === text) this.save(path);
  }

  private read() {
    return taken(api.GET("/api/jobs/{job_id}", { params: { path: { job_id: this.id } } }));
  }

  private setDraft(path: string, draft: Draft) {
    this.set({ drafts: { ...this.state.drafts, [path]: draft } });
  }

  private set(part: Partial<DeskState>) {
    this.state = { ...this.state, ...shared(this.state, part) };
    if (part.drafts) this.remember();
    this.listeners.forEach((listener) => listener());
  }

  /** Unsaved text outlives a reload of the page. */
  private remember() {
    const unsaved = Object.entries(this.state.drafts).filter(([, draft]) => draft.state !== "kept");
    const texts = Object.fromEntries(unsaved.map(([path, draft]) => [path, draft.text]));
    sessionStorage.setItem(this.storageKey, JSON.stringify(texts));
  }

  private leftBehind(): Record<string, string> {
    try {
      return JSON.parse(sessionStorage.getItem(this.storageKey) ?? "{}") as Record<string, string>;
    } catch {
      return {};
    }
  }

  private get storageKey() {
    return `modest-rotor drafts ${this.id}`;
  }
}
