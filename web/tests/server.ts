import { vi } from "vitest";

import type { JobView } from "../src/shared/api";

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
  refining = false;

  constructor() {
    answerWith((method, path, body, command) => this.answer(method, path, body, command));
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

  view(): JobView {
    const document: Record<string, Record<string, unknown>> = { plate: {} };
    for (const [path, typed] of Object.entries(this.kept)) {
      const [station = "", field = ""] = path.split("/");
      document[station] = { ...document[station], [field]: { typed } };
    }
    const assessment = { told: { ...this.kept }, rail: [], next: [], refining: false };
    return { id: 7, revision: this.revisions, machine: {}, document, assessment } as unknown as JobView;
  }

  private async answer(method: string, path: string, body: Body, command: string | null): Promise<Response> {
    this.asked.push({ method, path, body, command });
    if (method === "GET") {
      if (this.troubles[0] === "away") throw new TypeError("no answer");
      const name = /^\/api\/commands\/(.+)$/.exec(path)?.[1];
      return json(200, name ? { known: this.known.has(name), about: {} } : this.view());
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
    const told = { ...this.kept, [path]: text };
    return json(200, { assessment: { told, rail: [], next: [], refining: this.refining && !refined } });
  }
}

type Handler = (method: string, path: string, body: Body, command: string | null) => Promise<Response>;

/** Answer what the page asks; the page's client takes hold of `fetch` once, so that one stands for all tests. */
function answerWith(handler: Handler) {
  vi.mocked(globalThis.fetch).mockImplementation(async (input) => {
    const request = input as Request;
    const text = await request.text();
    request.signal.throwIfAborted();
    const url = new URL(request.url);
    const body = text ? (JSON.parse(text) as Body) : ({ revision: url.searchParams.get("revision") } as Body);
    return handler(request.method, url.pathname, body, request.headers.get("idempotency-key"));
  });
}

function json(status: number, body: unknown): Response {
  return new Response(JSON.stringify(body), { status, headers: { "content-type": "application/json" } });
}
