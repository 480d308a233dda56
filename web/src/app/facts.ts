import { fields, headings } from "../generated/fields";
import { helps } from "../generated/helps";
import * as labels from "../generated/labels";
import { quantities } from "../generated/quantities";

/** What is read of fields, quantities and codes in another language, by the names of the English. */
export interface Facts {
  fields: Record<string, { label: string; labels?: string[] }>;
  helps: Record<string, string>;
  quantities: Record<string, string>;
  headings: Record<string, string>;
  labels: Record<string, Record<string, string>>;
}

type Written<Value> = { -readonly [Name in keyof Value]: Value[Name] };

/** Let the page read facts in another language; it is done before any page is read. */
export function readFacts(facts: Facts): void {
  for (const [path, words] of Object.entries(facts.fields)) Object.assign(at(fields, path), words);
  Object.assign(helps as Written<typeof helps>, facts.helps);
  Object.assign(headings as object, facts.headings);
  for (const [name, label] of Object.entries(facts.quantities)) Object.assign(at(quantities, name), { label });
  for (const [name, words] of Object.entries(facts.labels)) Object.assign(at(labels, name), words);
}

/** The same facts with other words, each as `word` makes it. */
export function inOtherWords(word: (text: string) => string): Facts {
  const mapped = (words: object) =>
    Object.fromEntries(Object.entries(words).map(([name, text]) => [name, word(text as string)]));
  return {
    fields: Object.fromEntries(
      Object.entries(fields).map(([path, fact]) => [
        path,
        { label: word(fact.label), ...("labels" in fact ? { labels: fact.labels.map(word) } : {}) },
      ]),
    ),
    helps: mapped(helps),
    quantities: Object.fromEntries(Object.entries(quantities).map(([name, fact]) => [name, word(fact.label)])),
    headings: {},
    labels: Object.fromEntries(Object.entries(labels).map(([name, words]) => [name, mapped(words)])),
  };
}

const at = (facts: object, name: string): object => (facts as Record<string, object>)[name] ?? {};
