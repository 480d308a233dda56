import { vi } from "vitest";

import type { JobAnswer } from "../src/shared/found";

interface Body {
  revision: string;
  path: string;
  text?: string;
  value?: unknown;
  units?: string;
  who?: string;
  refined?: boolean;
}

export interface Asked {
  method: string;
  path: string;
  body: Body;
  /** The name under which an act was sent. */
  command: string | null;
}

type Trouble = "away" | "answer lost" | "database away" | "refused";

/**
 * A server of one job for the tests of what stands in front of it: it keeps revisions as the real one does, and goes
 * wrong where it is told to. What each field means is the core's business and is not played here.
 */
export class PlayedServer {
  private revision = 1;
  readonly kept: Record<string, string> = {};
  readonly asked: Asked[] = [];
  /** Acts that were done, by their names. */
  readonly known = new Set<string>();
  /** What goes wrong with the next edits, one after another. */
  troubles: Trouble[] = [];
  /** Edits wait here until they are let through, where a test wants to act between. */
  private gate: Promise<void> = Promise.resolve();
  private open: () => void = () => undefined;
  private readGate: Promise<void> = Promise.resolve();
  letReadsThrough: () => void = () => undefined;
  refining = false;
  /** What the page said last that it shows, and the tags of what it holds. */
  page: { wanted: string[]; held: string[] } = { wanted: [], held: [] };

  constructor() {
    answerWith((method, path, body, headers) => {
      const listed = (name: string) => headers.get(name)?.split(",") ?? [];
      this.page = { wanted: listed("nodes-wanted"), held: listed("nodes-held") };
      return this.answer(method, path, body, headers.get("idempotency-key"));
    });
  }

  get revisions() {
    return `r${this.revision}`;
  }

  /** Let nothing through until `letThrough`. */
  hold() {
    this.gate = new Promise((resolve) => (this.open = resolve));
  }

  letThrough() {
    this.open();
  }

  /** Let no read be answered until `letReadsThrough`. */
  holdReads() {
    this.readGate = new Promise((resolve) => (this.letReadsThrough = resolve));
  }

  /** Somebody else types in another window. */
  elsewhere(path: string, text: string) {
    this.kept[path] = text;
    this.revision += 1;
  }

  edits() {
    return this.asked.filter(({ path }) => path.endsWith("/changes"));
  }

  looks() {
    return this.asked.filter(({ path }) => path.endsWith("/preview"));
  }

  view(): JobAnswer {
    const document: Record<string, Record<string, unknown>> = { plate: {} };
    for (const [path, typed] of Object.entries(this.kept)) {
      const [station = "", field = ""] = path.split("/");
      document[station] = { ...document[station], [field]: { typed } };
    }
    const head = { id: 7, revision: this.revisions, machine: {}, document };
    return { ...head, ...this.nodes(this.kept, false) } as unknown as JobAnswer;
  }

  /** What follows, in nodes: `plate` tells what is typed; what the page holds already is left out. */
  private nodes(told: Record<string, string>, refining: boolean) {
    const all: Record<string, unknown> = { plate: { told: { ...told } }, rail: [], next: [], refining, sets: [] };
    const tags = Object.fromEntries(
      Object.entries(all).map(([name, value]) => [name, encodeURIComponent(JSON.stringify(value))]),
    );
    const { wanted, held } = this.page;
    const isNews = (name: string) => wanted.includes(name) && !held.includes(tags[name] ?? "");
    const nodes = Object.fromEntries(Object.entries(all).filter(([name]) => isNews(name)));
    return { tags, nodes };
  }

  private async answer(method: string, path: string, body: Body, command: string | null): Promise<Response> {
    this.asked.push({ method, path, body, command });
    if (method === "GET") {
      if (this.troubles[0] === "away") throw new TypeError("no answer");
      // What is read is read when it is asked for, however late it is told.
      const read = this.view();
      await this.readGate;
      const name = /^\/api\/commands\/(.+)$/.exec(path)?.[1];
      return json(200, name ? { known: this.known.has(name), about: {} } : read);
    }
    if (path.endsWith("/preview")) return this.preview(body);
    await this.gate;
    const trouble = this.troubles.shift();
    if (trouble === "away") throw new TypeError("no answer");
    if (trouble === "database away") return json(503, { sentence: "The database does not answer just now." });
    if (trouble === "refused") return json(422, { sentence: "“x” is no power.", field: body.path });
    if (command && this.known.has(command))
      return json(208, { known: true, sentence: "This was saved before.", about: {} });
    if (body.revision !== this.revisions) return json(409, { sentence: "The job has moved on in another window." });
    if (body.text !== undefined) this.kept[body.path] = body.text;
    if (typeof body.value === "string") this.kept[body.path] = body.value;
    if (command) this.known.add(command);
    this.revision += 1;
    if (trouble === "answer lost") throw new TypeError("no answer");
    return json(200, this.view());
  }

  private preview({ path, text, refined }: Body): Response {
    if (text?.includes("?")) return json(200, { assessment: null });
    return json(200, this.nodes({ ...this.kept, [path]: text ?? "" }, this.refining && !refined));
  }
}

type Handler = (method: string, path: string, body: Body, headers: Headers) => Promise<Response>;

/** Answer what the page asks; the page's client takes hold of `fetch` once, so that one stands for all tests. */
function answerWith(handler: Handler) {
  vi.mocked(globalThis.fetch).mockImplementation(async (input) => {
    const request = input as Request;
    const text = await request.text();
    request.signal.throwIfAborted();
    const url = new URL(request.url);
    const body = text ? (JSON.parse(text) as Body) : ({ revision: url.searchParams.get("revision") } as Body);
    return handler(request.method, url.pathname, body, request.headers);
  });
}

function json(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), { status, headers: { "content-type": "application/json" } });
}
