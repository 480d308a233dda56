import { readFileSync } from "node:fs";
import { join } from "node:path";

import type { OutputBundle, OutputChunk } from "rolldown";
import type { HtmlTagDescriptor, Plugin } from "vite";

const SRC = join(import.meta.dirname, "src");
const CATALOGUE = join(SRC, "words", "en.ftl");
const MESSAGE = /^([a-zA-Z][\w-]*) = .*\n(?: +.*\n)*/gm;
const SAID = /\bsay\(\s*"([\w-]+)"/g;
/** What the page begins with, once its words are chosen. */
const PAGE = join(SRC, "app", "app.tsx");

/** The messages of the English catalogue, as they stand there, by code. */
function messages() {
  return new Map([...readFileSync(CATALOGUE, "utf8").matchAll(MESSAGE)].map(([message, code]) => [code, message]));
}

/**
 * Each module brings the English that it says, so that a page fetches its own words and not those of all others.
 *
 * The catalogue stays one file; a module is given its part of it where it is built, before anything in it is said.
 */
export function words(): Plugin {
  return {
    name: "words",
    transform(code, id) {
      const [file = ""] = id.split("?");
      if (!file.startsWith(SRC) || !/\.tsx?$/.test(file)) return null;
      const codes = new Set([...code.matchAll(SAID)].map(([, said]) => said));
      if (codes.size === 0) return null;
      this.addWatchFile(CATALOGUE);
      const english = messages();
      const own = [...codes].map((one) => english.get(one) ?? "").join("");
      const say = JSON.stringify(join(SRC, "shared", "say"));
      return { code: `import { addWords } from ${say};addWords(${JSON.stringify(own)});${code}`, map: null };
    },
  };
}

/** What the page begins with is asked for with the address, and not only once its words are there. */
export function early(): Plugin {
  return {
    name: "early",
    transformIndexHtml: {
      order: "post",
      handler(_html, { bundle }) {
        const first = Object.values(bundle ?? {}).find((one) => one.type === "chunk" && one.facadeModuleId === PAGE);
        if (first?.type !== "chunk") return [];
        return [...reached(first, bundle ?? {})].map((href): HtmlTagDescriptor => ({
          tag: "link",
          attrs: { rel: "modulepreload", crossorigin: true, href: `/${href}` },
          injectTo: "head",
        }));
      },
    },
  };
}

function reached(chunk: OutputChunk, bundle: OutputBundle, found = new Set<string>()): Set<string> {
  found.add(chunk.fileName);
  for (const name of chunk.imports) {
    const next = bundle[name];
    if (next?.type === "chunk" && !found.has(name)) reached(next, bundle, found);
  }
  return found;
}
