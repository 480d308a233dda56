import { FluentBundle, FluentNumber, FluentResource, type FluentVariable } from "@fluent/bundle";

import { language } from "./language";

type Value = string | number | null | undefined;

const PSEUDO = "en-XA";
const FILLER: Record<string, string> = {
  a: "à",
  e: "é",
  i: "î",
  o: "ö",
  u: "û",
  A: "À",
  E: "É",
  I: "Î",
  O: "Ö",
  U: "Û",
};
const accented = (text: string) => text.replace(/[aeiou]/gi, (letter) => FILLER[letter] ?? letter);

/** Text in the language of tests: marked, its vowels accented. */
export const inPseudo = (text: string) => `⟦${accented(text)}⟧`;

const words = new FluentBundle(language() === PSEUDO ? "en" : language(), {
  useIsolating: false,
  ...(language() === PSEUDO ? { transform: accented } : {}),
});

/** Take words of a catalogue, but none that are there already: those of the reader's language come first, each module's English after them. */
export function addWords(text: string): void {
  words.addResource(new FluentResource(text));
}

/** A number as it stands, without marks between its thousands. */
const plain = (value: number) => new FluentNumber(value, { useGrouping: false, maximumFractionDigits: 20 });

/** A message of the catalogue in the reader's words. A code that is in no catalogue is shown as it is, and a test finds it. */
export function say(code: string, values: Record<string, Value> = {}): string {
  const message = words.getMessage(code);
  if (!message?.value) return code;
  const given: Record<string, FluentVariable> = {};
  for (const [name, value] of Object.entries(values))
    given[name] = typeof value === "number" ? plain(value) : (value ?? "");
  const said = words.formatPattern(message.value, given);
  return language() === PSEUDO ? `⟦${said}⟧` : said;
}
