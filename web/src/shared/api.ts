import createClient from "openapi-fetch";

import type { components, paths } from "../generated/api";
import { noteEdition } from "./edition";
import { say } from "./say";

export type Schemas = components["schemas"];
export type JobView = Schemas["JobView"];
/** A job without what follows from it, which the page asks for node by node. */
export type JobHead = Omit<JobView, "assessment">;
export type Figure = Schemas["Figure"];
export type Result = Schemas["Result"];
export type Entry = Schemas["Entry"];
export type Station = Schemas["Station"];
export type Finding = Schemas["Finding"];
export type Basis = NonNullable<Figure["basis"]>;
export type Phrase = (string | Figure)[];

export const api = createClient<paths>({ baseUrl: window.location.origin });
api.use({ onResponse: ({ response }) => noteEdition(response) });

/** A refusal in words, with the status that says of what kind it is. */
export class Refused extends Error {
  constructor(
    readonly status: number,
    sentence: string,
    readonly field: string | null = null,
    /** What is known of what was to be saved. */
    readonly saved: "nothing" | "unknown" | "saved" = "nothing",
  ) {
    super(sentence);
  }

  /** The server did this very act before: it is done, and was not done twice. */
  get isKnown() {
    return this.status === 208;
  }

  /** The job has moved on in another window. */
  get isConflict() {
    return this.status === 409;
  }

  /** Nothing is wrong with what was typed: the server or its database is away. */
  get isAway() {
    return this.status === 0 || this.status >= 502;
  }
}

interface Answer<Data> {
  data?: Data;
  error?: unknown;
  response: Response;
}

/** The data of an answer, or a refusal in the server's words. */
export async function taken<Data>(request: Promise<Answer<Data>>): Promise<Data> {
  let answer: Answer<Data>;
  try {
    answer = await request;
  } catch {
    throw new Refused(0, say("api-server-does"), null, "unknown");
  }
  if (answer.data !== undefined && answer.response.ok) return answer.data;
  throw refusedWith(answer.response.status, answer.error);
}

/** The refusal that an answer holds, in the server's words. */
export async function refusalOf(response: Response): Promise<Refused> {
  return refusedWith(response.status, await response.json().catch(() => undefined));
}

function refusedWith(status: number, error: unknown): Refused {
  const problem = error as
    { sentence?: string; field?: string | null; saved?: "nothing" | "unknown" | "saved" } | undefined;
  const sentence = problem?.sentence ?? say("api-server-could");
  return new Refused(status, sentence, problem?.field ?? null, problem?.saved ?? "nothing");
}
