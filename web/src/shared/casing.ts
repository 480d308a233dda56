/** How a text begins where it stands in another one; marks that open a question stay before the letter. */

const FIRST = /^([¿¡«“]*)(\p{L})/u;

/** A text that begins with a capital letter. */
export const capital = (words: string) =>
  words.replace(FIRST, (_, marks: string, letter: string) => marks + letter.toUpperCase());

/** A text within a sentence: it begins small, unless its first word is written in capitals, as IP or EC are. */
export const small = (words: string) =>
  /^[¿¡«“]*\p{Lu}[\p{Lu}\d]/u.test(words)
    ? words
    : words.replace(FIRST, (_, marks: string, letter: string) => marks + letter.toLowerCase());

/** A question said as part of a sentence, without its marks. */
export const unasked = (question: string) => small(question.replace(/^¿|\?$/g, ""));
