import { type DBSchema, type IDBPDatabase, openDB } from "idb";

/** Something that is done to a job, a machine's log or the Board, as it is sent: data, so that it outlives its page. */
export interface Act {
  /** Its own name: the server does an act of one name once. */
  id: string;
  /** Acts of one lane go one after another. */
  lane: string;
  /** What a person calls it. */
  label: string;
  method: "POST" | "PUT" | "DELETE";
  path: string;
  /** The revision that whoever did it saw; empty where it rests on none. */
  on: string;
  /** Where the revision goes that the act rests on, if it rests on one. */
  revision: "body" | "query" | null;
  body: Record<string, unknown> | null;
  blob?: Blob;
  /** The place that it changes, what is to stand there, and what stood there when it was done. */
  target?: { path: string; text?: string; value?: unknown; before: unknown };
  /** Whether it may be done on a job that moved on meanwhile: where its place is untouched, in any case, or only if asked. */
  onNewest: "place" | "always" | "ask";
  who: string;
  at: number;
  state: "waiting" | "asks" | "refused";
  sentence?: string;
  /** Whether it ever met no answer. */
  waited: boolean;
}

interface Schema extends DBSchema {
  acts: { key: string; value: Act };
}

const NAME = "modest-rotor";
const draftsOf = (job: number) => `${NAME} drafts ${job}`;

/** The durable store of this browser. Writes are issued at once and in order; where a browser keeps nothing, it says so. */
export class BrowserStore {
  private db: IDBPDatabase<Schema> | null = null;
  private writes: Promise<unknown>;
  /** Whether this browser keeps what is put here beyond the page. */
  durable = true;

  constructor() {
    // A browser may have no store at all, which only shows when it is asked for.
    this.writes = Promise.resolve()
      .then(() =>
        openDB<Schema>(NAME, 1, {
          upgrade(db) {
            db.createObjectStore("acts", { keyPath: "id" });
          },
        }),
      )
      .then(
        (db) => {
          this.db = db;
        },
        () => {
          this.durable = false;
        },
      );
  }

  async acts(): Promise<Act[]> {
    await this.writes;
    const all = (await this.db?.getAll("acts").catch(() => [])) ?? [];
    return all.sort((one, other) => one.at - other.at);
  }

  drafts(job: number): Record<string, string> {
    try {
      return JSON.parse(localStorage.getItem(draftsOf(job)) ?? "{}") as Record<string, string>;
    } catch {
      return {};
    }
  }

  keep(act: Act) {
    this.write((db) => db.put("acts", act));
  }

  forget(id: string) {
    this.write((db) => db.delete("acts", id));
  }

  /** Keystrokes are kept before they show: a page that goes in the same moment leaves a write to a database undone. */
  keepDrafts(job: number, drafts: Record<string, string>) {
    try {
      if (Object.keys(drafts).length) localStorage.setItem(draftsOf(job), JSON.stringify(drafts));
      else localStorage.removeItem(draftsOf(job));
    } catch {
      this.durable = false;
    }
  }

  /** Until everything that was put here is kept. */
  async settled() {
    await this.writes;
  }

  private write(work: (db: IDBPDatabase<Schema>) => Promise<unknown>) {
    const { db } = this;
    // An open database takes the write at once, before anything is sent; the order of writes is that of the calls.
    const issued = db ? work(db) : this.writes.then(() => (this.db ? work(this.db) : undefined));
    this.writes = Promise.all([this.writes, issued]).catch(() => {
      this.durable = false;
    });
  }
}
