import { replaceEqualDeep } from "@tanstack/react-query";

import type { ROW_FIELDS } from "../generated/nodes";
import type { JobHead, Schemas } from "./api";

type Whole = Required<Schemas["Assessment"]>;
type Short = Required<Schemas["ShortAnswer"]>;
type ApartOfShort = "candidates" | "differences" | "saving" | "as_found";

/** An option as a list shows it. */
export type OptionRow = Pick<Schemas["OptionAnswer"], (typeof ROW_FIELDS)[number]>;
/** An option as it is opened; its steps are asked for by themselves. */
export type Option = Omit<Schemas["OptionAnswer"], "steps">;
export type OptionStep = Schemas["StepAnswer"];

/** What follows from a job, in the nodes that the page asks for. */
export interface Parts extends Omit<Whole, "sets" | "options" | "short">, Pick<Short, ApartOfShort> {
  short: Omit<Short, ApartOfShort>;
  sets: Schemas["SetAnswer"][];
  options: Omit<Required<Schemas["OptionsAnswer"]>, "options"> & {
    rows: OptionRow[];
    steps: Pick<OptionStep, "id" | "name">[];
  };
  [option: `option/${string}`]: Option;
  [steps: `steps/${string}`]: OptionStep[];
}

export type NodeName = keyof Parts & string;

/** What the server answers: the tag of every node, and those that were wanted and not held. */
export interface NodesAnswer {
  tags: Readonly<Record<string, string>>;
  nodes: Readonly<Record<string, unknown>>;
}

/** A job and the nodes that came with it. */
export type JobAnswer = JobHead & NodesAnswer;

interface Held {
  tag: string;
  value: unknown;
}

const SETS = "sets";

/**
 * What is known of what follows from a job, or from a draft of it: the newest tag of each node, and those values that are here.
 * A value whose tag is no longer the newest is stale: who shows it already goes on until the new one is there; nobody begins with it.
 */
export class Found {
  private constructor(
    private readonly tags: Readonly<Record<string, string>>,
    private readonly values: ReadonlyMap<string, Held>,
    private readonly sets: Parts["sets"] | null,
  ) {}

  static readonly NOTHING = new Found({}, new Map(), null);

  /**
   * What an answer tells, over what was shown: each value that did not change stays the very object it was, so that nothing of it is
   * drawn again.
   * @param others - what is held besides what was shown: what the server left out as held may be there
   */
  take({ tags, nodes }: NodesAnswer, ...others: Found[]): Found {
    const byTag = new Map(
      [this, ...others].flatMap((one) => [...one.values.values()].map((held) => [held.tag, held.value])),
    );
    const values = new Map<string, Held>();
    for (const [name, tag] of Object.entries(tags)) {
      const before = this.values.get(name);
      if (before?.tag === tag) values.set(name, before);
      else if (name in nodes) values.set(name, { tag, value: replaceEqualDeep(before?.value, nodes[name]) });
      else if (byTag.has(tag)) values.set(name, { tag, value: replaceEqualDeep(before?.value, byTag.get(tag)) });
      else if (before) values.set(name, before);
    }
    return new Found(tags, values, setsOf(values, this.sets));
  }

  /** The newest value of a node that is here; undefined where none is. */
  get<Name extends NodeName>(name: Name): Parts[Name] | undefined {
    if (name === SETS) return (this.sets ?? undefined) as Parts[Name] | undefined;
    return this.values.get(name)?.value as Parts[Name] | undefined;
  }

  /** Whether a node is here as it newest is; of one that there is no longer, that is known as well. */
  isFresh(name: string): boolean {
    return this.under(name).every((one) => this.values.get(one)?.tag === this.tags[one]) && SETS in this.tags;
  }

  /** What is not here as it newest is, of all that there is. */
  lacking(): string[] {
    return Object.keys(this.tags).filter((name) => this.values.get(name)?.tag !== this.tags[name]);
  }

  /** The tags of what is here. */
  held(): string[] {
    return [...this.values.values()].map(({ tag }) => tag);
  }

  private under(name: string): string[] {
    return name === SETS ? Object.keys(this.tags).filter((one) => one === SETS || one.startsWith("set/")) : [name];
  }
}

/** The sets in their order, once all of them are here; the very list of before where none of them changed. */
function setsOf(values: ReadonlyMap<string, Held>, before: Parts["sets"] | null): Parts["sets"] | null {
  const ids = values.get(SETS)?.value as string[] | undefined;
  const sets = ids?.map((id) => values.get(`set/${id}`)?.value as Parts["sets"][number] | undefined);
  if (!sets || sets.includes(undefined)) return before;
  const alike = before?.length === sets.length && sets.every((one, place) => one === before[place]);
  return alike ? before : (sets as Parts["sets"]);
}

/** The headers by which a request says what the page shows and what it holds. */
export function nodeHeaders(wanted: Iterable<string>, held: Iterable<string>): Record<string, string> {
  const names = [...new Set(wanted)].map((name) => (name === SETS ? `${SETS},set` : name));
  return { "nodes-wanted": names.join(","), "nodes-held": [...new Set(held)].join(",") };
}
