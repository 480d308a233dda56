import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";

import { FluentResource } from "@fluent/bundle";
import ts from "typescript";
import { expect, test } from "vitest";

import { addWords, say } from "../src/shared/say";
import { words } from "../words";

const SRC = join(__dirname, "..", "src");
const WORDS = join(SRC, "words");

/** Every code that the page says, with the names of the values it gives. */
function saidInPage() {
  const said: { code: string; values: string[] | null; where: string }[] = [];
  const files = readdirSync(SRC, { recursive: true, encoding: "utf8" }).filter((one) => /\.tsx?$/.test(one));
  for (const file of files.filter((one) => !one.startsWith("generated"))) {
    const source = ts.createSourceFile(file, readFileSync(join(SRC, file), "utf8"), ts.ScriptTarget.Latest, true);
    const visit = (node: ts.Node) => {
      if (ts.isCallExpression(node) && node.expression.getText(source) === "say") {
        const [code, values] = node.arguments;
        if (code && ts.isStringLiteral(code)) {
          const names =
            values === undefined
              ? []
              : ts.isObjectLiteralExpression(values)
                ? values.properties.map((one) => one.name?.getText(source) ?? "")
                : null;
          said.push({ code: code.text, values: names, where: `${file}` });
        }
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  return said;
}

/** The messages of a catalogue by code, each with the names of the values in it. */
function catalogue(language: string) {
  const text = readFileSync(join(WORDS, `${language}.ftl`), "utf8");
  const resource = new FluentResource(text);
  const named = (value: unknown): string[] => {
    if (Array.isArray(value)) return value.flatMap(named);
    if (!value || typeof value !== "object") return [];
    const part = value as { type?: string; name?: string };
    return part.type === "var" && part.name ? [part.name] : Object.values(part).flatMap(named);
  };
  const heads = text.match(/^[a-zA-Z][\w-]* =/gm) ?? [];
  expect(heads.length).toBe(resource.body.length);
  return new Map(resource.body.map((message) => [message.id, new Set(named(message.value))]));
}

test("every message that the page says is in the catalogue with its values, once, and none is there for nothing", () => {
  const said = saidInPage();
  const english = catalogue("en");
  expect(said.length).toBeGreaterThan(1000);
  expect(said.filter(({ code }) => !english.has(code))).toEqual([]);
  const other = said.filter(
    ({ code, values }) => values && [...values].sort().join() !== [...(english.get(code) ?? [])].sort().join(),
  );
  expect(other).toEqual([]);
  const codes = new Set(said.map(({ code }) => code));
  expect([...english.keys()].filter((code) => !codes.has(code))).toEqual([]);
  const heads = readFileSync(join(WORDS, "en.ftl"), "utf8").match(/^[a-zA-Z][\w-]*(?= =)/gm) ?? [];
  expect(heads.length).toBe(new Set(heads).size);
});

/** Texts of two words that nobody reads: names of queries and lanes, styles, symbols of units, and faults of ours. */
const UNREAD = [
  /^(bench record|next hunt|bench waves|put up|since signed|duty templates|step workings)$/,
  /^(modest-rotor |useJob |useReader |underline dotted$| drafts $)/,
  /^[&:@]|^header, |sans-serif$|\(--|(px|fr|solid|auto|slashed-zero)\b/,
  /^Modest Rotor/,
  /per kWh?$/,
];

test("no words stand in the page beside its catalogue, and no number is written with English signs", () => {
  const found: string[] = [];
  const files = readdirSync(SRC, { recursive: true, encoding: "utf8" }).filter((one) => /\.tsx?$/.test(one));
  for (const file of files.filter((one) => !one.startsWith("generated"))) {
    const text = readFileSync(join(SRC, file), "utf8");
    if (text.includes('toLocaleString("en")')) found.push(`${file}: toLocaleString("en")`);
    const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
    const visit = (node: ts.Node) => {
      if (ts.isImportDeclaration(node)) return;
      const said =
        ts.isStringLiteralLike(node) ||
        ts.isJsxText(node) ||
        ts.isTemplateHead(node) ||
        ts.isTemplateMiddle(node) ||
        ts.isTemplateTail(node)
          ? node.text
          : "";
      const style =
        ts.isJsxAttribute(node.parent ?? source) &&
        !/label|title|placeholder|alt/.test((node.parent as ts.JsxAttribute).name.getText(source));
      if (/(?<![\w.])[a-z]{2,} [a-z]{2,}/i.test(said) && !style && !UNREAD.some((one) => one.test(said.trim() || said)))
        found.push(`${file}: ${said.trim().slice(0, 60)}`);
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  expect(found).toEqual([]);
});

test("other languages say every message of the page, with values that the English has", () => {
  const english = catalogue("en");
  for (const file of readdirSync(WORDS).filter((one) => one !== "en.ftl")) {
    const own = catalogue(file.replace(".ftl", ""));
    expect([...english.keys()].filter((code) => !own.has(code))).toEqual([]);
    expect([...own.keys()].filter((code) => !english.has(code))).toEqual([]);
    for (const [code, values] of own) expect([...values].filter((name) => !english.get(code)?.has(name))).toEqual([]);
  }
});

test("a number in a message stands as it is, and a code that is in no catalogue is shown", () => {
  addWords("of-jobs = { $all } of { $all2 } jobs\n");
  expect(say("of-jobs", { all: 1200, all2: 1.25 })).toBe("1200 of 1.25 jobs");
  expect(say("no-such-message")).toBe("no-such-message");
});

test("words that came first stay: the English of a module does not replace those of the reader's language", () => {
  addWords("at-first = al principio\n");
  addWords("at-first = at first\nlater = later\n");
  expect([say("at-first"), say("later")]).toEqual(["al principio", "later"]);
});

test("a module is given the English that it says, whole, and nothing else", () => {
  const given = (code: string, file = "board/Board.tsx") => {
    const { transform } = words();
    if (typeof transform !== "function") throw new Error("the plugin transforms no module");
    const made = transform.call({ addWatchFile: () => undefined } as never, code, join(SRC, file), {} as never);
    return made && typeof made === "object" ? (made as { code: string }).code : "";
  };
  const own = (code: string) => JSON.parse(/addWords\((".*?[^\\]")\)/.exec(given(code))?.[1] ?? '""') as string;
  const all = [...catalogue("en").keys()];
  expect(new FluentResource(own(all.map((code) => `say(\n  "${code}")`).join(";"))).body).toEqual(
    new FluentResource(readFileSync(join(WORDS, "en.ftl"), "utf8")).body.sort(
      (a, b) => all.indexOf(a.id) - all.indexOf(b.id),
    ),
  );
  expect(own('say("board-job", { jobs })').match(/^[\w-]+ =/gm)).toEqual(["board-job ="]);
  expect(given("const nothing = 1;")).toBe("");
  expect(given('say("board-job")', "../tests/words.test.ts")).toBe("");
});
