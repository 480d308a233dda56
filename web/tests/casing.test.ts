import { describe, expect, it } from "vitest";

import { capital, small, unasked } from "../src/shared/casing";

describe("how a text begins", () => {
  it.each([
    ["fits", "Fits"],
    ["¿encaja?", "¿Encaja?"],
    ["«marcha»", "«Marcha»"],
    ["“run”", "“Run”"],
    ["élan", "Élan"],
    ["3 A", "3 A"],
    ["", ""],
  ])("%s begins as a sentence: %s", (words, said) => expect(capital(words)).toBe(said));

  it.each([
    ["Fits", "fits"],
    ["¿Encaja?", "¿encaja?"],
    ["EC motor", "EC motor"],
    ["¿EC o CA?", "¿EC o CA?"],
    ["A drive", "a drive"],
    ["Óptimo", "óptimo"],
    ["3 A", "3 A"],
  ])("%s stands within a sentence: %s", (words, said) => expect(small(words)).toBe(said));

  it.each([
    ["Is it closed?", "is it closed"],
    ["¿Está cerrado?", "está cerrado"],
    ["IP rating?", "IP rating"],
    ["Speed", "speed"],
  ])("%s asked is %s", (words, said) => expect(unasked(words)).toBe(said));
});
