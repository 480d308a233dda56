import { readdirSync, readFileSync, statSync } from "node:fs";
import { dirname, join, relative, resolve } from "node:path";

import ts from "typescript";
import { expect, it } from "vitest";

const SOURCE = resolve(__dirname, "../src");
const files = readdirSync(SOURCE, { recursive: true, encoding: "utf8" })
  .filter((name) => /\.tsx?$/.test(name))
  .map((name) => join(SOURCE, name));

/** The files that one imports when it is loaded; a type alone is gone by then, a page fetched later comes later. */
function importsOf(file: string): string[] {
  const parsed = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.ESNext);
  return parsed.statements.flatMap((statement) => {
    if (!ts.isImportDeclaration(statement) && !ts.isExportDeclaration(statement)) return [];
    if (ts.isImportDeclaration(statement) ? statement.importClause?.isTypeOnly : statement.isTypeOnly) return [];
    const from = statement.moduleSpecifier;
    if (!from || !ts.isStringLiteral(from) || !from.text.startsWith(".")) return [];
    return [".ts", ".tsx"].map((ending) => resolve(dirname(file), from.text) + ending).filter(isFile);
  });
}

function isFile(path: string) {
  return statSync(path, { throwIfNoEntry: false })?.isFile() ?? false;
}

/** A way along imports that comes back to where it set out, or null. */
function circleIn(imports: ReadonlyMap<string, readonly string[]>): string[] | null {
  const done = new Set<string>();
  const walk = (file: string, way: readonly string[]): string[] | null => {
    if (way.includes(file)) return [...way.slice(way.indexOf(file)), file];
    if (done.has(file)) return null;
    for (const next of imports.get(file) ?? []) {
      const circle = walk(next, [...way, file]);
      if (circle) return circle;
    }
    done.add(file);
    return null;
  };
  for (const file of imports.keys()) {
    const circle = walk(file, []);
    if (circle) return circle;
  }
  return null;
}

it("sees a circle where one is", () => {
  const imports = new Map([
    ["sheet", ["part", "words"]],
    ["part", ["words", "hook"]],
    ["hook", ["sheet"]],
    ["words", []],
  ]);
  expect(circleIn(imports)).toEqual(["sheet", "part", "hook", "sheet"]);
  expect(circleIn(new Map([...imports, ["hook", []]]))).toBeNull();
});

it("no file of the page imports, by whatever way, itself", () => {
  const imports = new Map(files.map((file) => [file, importsOf(file)]));
  expect([...imports.values()].flat().length).toBeGreaterThan(files.length);
  expect(circleIn(imports)?.map((file) => relative(SOURCE, file)) ?? null).toBeNull();
});
