/** In which language this reader reads, and with which signs numbers are written; kept on this machine. */

export type Language = "en" | "es" | "en-XA";
/** With which signs numbers are written: 1,234.5 or 1.234,5. */
export type Signs = "point" | "comma";

const LANGUAGE = "modest-rotor language";
const SIGNS = "modest-rotor signs";
/** The language tag of words and signs together: what browsers, servers and the locale data call them. */
const TAGS: Record<Language, Record<Signs, string>> = {
  en: { point: "en-US", comma: "en-DE" },
  es: { point: "es-MX", comma: "es-ES" },
  "en-XA": { point: "en-XA", comma: "en-XA" },
};
/** Where a tag of ours is not in the locale data of a browser, its numbers are written as these. */
const NUMBERS: Record<Signs, string> = { point: "en-US", comma: "de-DE" };

const isLanguage = (said: string | null): said is Language => said !== null && said in TAGS;

/** What this reader chose, or else what the browser prefers. */
export function language(): Language {
  const chosen = localStorage.getItem(LANGUAGE);
  if (isLanguage(chosen)) return chosen;
  const preferred = navigator.language.split("-")[0] ?? "";
  return isLanguage(preferred) ? preferred : "en";
}

/** The signs of numbers that this reader chose, or else those that the browser's locale has. */
export function signs(): Signs {
  const chosen = localStorage.getItem(SIGNS);
  if (chosen === "point" || chosen === "comma") return chosen;
  return (1.5).toLocaleString(navigator.language).includes(",") ? "comma" : "point";
}

/** Keep a choice; the page is then read anew in it. */
export function choose(to: { language?: Language; signs?: Signs }): void {
  if (to.language) localStorage.setItem(LANGUAGE, to.language);
  if (to.signs) localStorage.setItem(SIGNS, to.signs);
}

/** The tag under which answers are asked for and days are written. */
export const languageTag = (): string => TAGS[language()][signs()];

/** The locale in which days and months are written. */
export const dayTag = (): string => (language() === "es" ? "es" : "en-GB");

/** The locale whose signs numbers are written with. */
export const numbersTag = (): string => NUMBERS[signs()];

/** A number as this reader writes it. :param places: its decimals, where they are always so many. */
export const counted = (value: number, places?: number): string =>
  value.toLocaleString(
    numbersTag(),
    places === undefined ? undefined : { minimumFractionDigits: places, maximumFractionDigits: places },
  );

/** Decimals of a typed text with the sign of this reader; where a mark could stand between thousands, the text stays as it was typed. */
export function inMySigns(typed: string): string {
  const [mine, other] = signs() === "comma" ? [",", "."] : [".", ","];
  if (typed.includes(mine)) return typed;
  return typed.replace(/(?<!\d)(\d+)[.,](\d+)/g, (text, whole: string, rest: string) =>
    text.includes(other) && (rest.length !== 3 || whole.length > 3 || whole === "0") ? `${whole}${mine}${rest}` : text,
  );
}

/** The languages that a reader can choose, by what they are called in themselves. */
export const LANGUAGES: readonly (readonly [Language, string])[] = [
  ["en", "English"],
  ["es", "Español"],
];

/** The signs that a reader can choose, each shown by a number. */
export const SIGNS_SHOWN: readonly (readonly [Signs, string])[] = [
  ["point", "1,234.5"],
  ["comma", "1.234,5"],
];
