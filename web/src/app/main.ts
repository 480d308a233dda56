import { language, languageTag } from "../shared/language";
import { addWords, inPseudo } from "../shared/say";

/** Read the words of this reader's language, and then the page: what it says is said as it is read. */
async function begin() {
  const reads = language();
  document.documentElement.lang = reads;
  // Every request tells it, links and sockets as well.
  document.cookie = `language=${languageTag()}; path=/; SameSite=Strict; max-age=31536000`;
  if (reads === "es") {
    const [words, facts] = await Promise.all([import("../words/es.ftl?raw"), import("../generated/facts.es.json")]);
    // Words come first: what is there is not said otherwise by the English of a module that is read later.
    addWords(words.default);
    const { readFacts } = await import("./facts");
    readFacts(facts.default);
  } else if (reads !== "en") {
    const { inOtherWords, readFacts } = await import("./facts");
    readFacts(inOtherWords(inPseudo));
  }
  await import("./app");
}

void begin();
