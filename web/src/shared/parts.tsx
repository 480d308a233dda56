import { chakra, defineRecipe } from "@chakra-ui/react";
import { Link } from "react-router";

import type { Schemas } from "./api";
import { say } from "./say";

/** Anything pressed: a box, 44 px high, the only thing that has one. */
export const Press = chakra("button", {
  base: {
    minHeight: "44px",
    minWidth: "44px",
    px: "14px",
    border: "1px solid",
    borderColor: "rule",
    fontWeight: 600,
    fontSize: "text",
    background: "paper",
    _hover: { background: "desk" },
    _disabled: { color: "ink2", fontWeight: 400, cursor: "default", borderStyle: "dashed" },
  },
});

/** One of a few that stand side by side: the chosen one is tinted, bold and underlined. */
export const Cell = chakra("button", {
  base: {
    minHeight: "44px",
    minWidth: "44px",
    px: "12px",
    border: "1px solid",
    borderColor: "rule",
    marginLeft: "-1px",
    fontSize: "small",
    _first: { marginLeft: 0 },
    _hover: { background: "desk" },
    _disabled: { color: "ink2", cursor: "default" },
  },
  variants: {
    chosen: { yes: { background: "hair", fontWeight: 600, borderBottom: "3px solid", borderBottomColor: "ink" } },
  },
});

/** A word that does something inside a line of text; its target is still 44 px high. */
export const Word = chakra("button", {
  base: {
    minHeight: "44px",
    px: "8px",
    mx: "-8px",
    color: "ink2",
    fontSize: "small",
    textDecoration: "underline",
    textUnderlineOffset: "3px",
    _hover: { color: "ink" },
  },
});

/** A way to another page: a word in a line of words, with a finger's height. */
export const WayLink = chakra(Link, {
  base: { display: "inline-flex", alignItems: "center", minHeight: "44px", textUnderlineOffset: "3px" },
});

const textLine = defineRecipe({
  base: {
    width: "100%",
    minWidth: 0,
    minHeight: "44px",
    border: 0,
    borderBottom: "1.5px solid",
    borderColor: "ink",
    background: "transparent",
  },
});

/** Words that are no field of a job: typed on a line, without a box. */
export const TextLine = chakra("input", textLine);
export const TextLines = chakra("textarea", textLine);

/** A file is brought: looks like anything pressed, the input lies over it. */
export const FilePress = chakra("label", {
  base: {
    minHeight: "44px",
    px: "14px",
    display: "inline-flex",
    alignItems: "center",
    border: "1px solid",
    borderColor: "rule",
    fontWeight: 600,
    cursor: "pointer",
    position: "relative",
    _hover: { background: "desk" },
    _focusWithin: { outline: "2.5px solid", outlineColor: "ink", outlineOffset: "2px" },
    "& input": { position: "absolute", inset: 0, opacity: 0, cursor: "pointer", width: "100%" },
  },
});

export const Micro = chakra("span", { base: { fontSize: "micro", color: "ink2" } });

export const Small = chakra("span", { base: { fontSize: "small", color: "ink2" } });

export const Cap = chakra("kbd", {
  base: {
    fontFamily: "body",
    fontSize: "micro",
    border: "1px solid",
    borderColor: "hair",
    px: "5px",
    color: "ink2",
    fontWeight: 400,
    display: { base: "none", lg: "inline-block" },
  },
});

const Severe = chakra("span", {
  base: { fontWeight: 600, whiteSpace: "nowrap" },
  variants: {
    severity: {
      note: { color: "ink2" },
      caution: { color: "ochre" },
      stop: { background: "brick", color: "paper", px: "8px", py: "1px" },
    },
  },
});

const SEVERITY_WORDS = { note: say("parts-note"), caution: say("parts-caution"), stop: say("parts-stop") } as const;

/** A severity as its word, its weight and its colour, in that order. */
export function SeverityWord({ severity }: { severity: Schemas["Severity"] }) {
  return <Severe severity={severity}>{SEVERITY_WORDS[severity]}</Severe>;
}
