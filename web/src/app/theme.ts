import { createSystem, defaultBaseConfig, defineConfig } from "@chakra-ui/react";

import { FIGURES } from "../shared/figureLook";

/** One colour with its light and its dark value. */
const colour = (light: string, dark: string) => ({ value: { base: light, _dark: dark } });

const config = defineConfig({
  cssVarsRoot: ":where(:root)",
  globalCss: {
    "*, *::before, *::after": { boxSizing: "border-box" },
    // What is scrolled to never lies under the top line, the strip, or the bars at the foot.
    html: {
      scrollPaddingTop: { base: "110px", lg: "60px" },
      scrollPaddingBottom: { base: "190px", md: "210px", lg: "90px" },
    },
    "html, body": { margin: 0, padding: 0, background: "paper", color: "ink", height: "100%" },
    body: {
      fontFamily: "body",
      fontSize: "0.9375rem",
      lineHeight: 1.38,
      fontVariantNumeric: "tabular-nums slashed-zero",
      fontFeatureSettings: "'tnum', 'zero'",
    },
    "#root": { minHeight: "100%" },
    "h1, h2, h3, p, ul, ol, dl, dd, figure": { margin: 0, padding: 0, fontWeight: "inherit", fontSize: "inherit" },
    "button, input, textarea, select": {
      font: "inherit",
      color: "inherit",
      fontFeatureSettings: "inherit",
      borderRadius: 0,
    },
    button: { background: "none", border: 0, padding: 0, cursor: "pointer", textAlign: "inherit" },
    a: { color: "inherit" },
    "input::placeholder, textarea::placeholder": { color: "ink2", opacity: 1, fontWeight: 400 },
    // Black on white with heavier lines, for a screen that lies in the sun.
    ":root.sunlight": {
      "--chakra-colors-paper": "#FFFFFF",
      "--chakra-colors-desk": "#FFFFFF",
      "--chakra-colors-ink": "#000000",
      "--chakra-colors-ink2": "#1A1A1A",
      "--chakra-colors-rule": "#000000",
      "--chakra-colors-hair": "#6B6B6B",
      "--chakra-colors-copper": "#7A3300",
      "--chakra-colors-verdigris": "#004A3E",
      "--chakra-colors-violet": "#352C7A",
      "--chakra-colors-ochre": "#5C3F00",
      "--chakra-colors-brick": "#6B0000",
    },
    ":root.sunlight body": { fontWeight: 500 },
    // A link within a line of text: a finger's height round it, and the line stays as high as its words.
    "main a:not([class])": {
      display: "inline-block",
      paddingBlock: "14px",
      marginBlock: "-14px",
    },
    "[data-skip]": {
      position: "fixed",
      top: "-60px",
      left: "8px",
      zIndex: 9,
      background: "ink",
      color: "paper",
      padding: "14px 18px",
      fontWeight: 600,
    },
    "[data-skip]:focus": { top: "4px" },
    ...FIGURES,
    "[data-screen-only]": { "@media print": { display: "none" } },
    // On paper a station is its sheet alone: no bar, rail, balance or button lies over a row.
    "header, aside, nav[aria-label='Stations of this job'], [data-open-balance], [data-add], [data-round]": {
      "@media print": { display: "none !important" },
    },
    "[data-job-grid]": { "@media print": { display: "block !important", paddingBottom: "0 !important" } },
    "[data-job-grid] > main": { "@media print": { maxWidth: "none !important" } },
    ":focus-visible": { outline: "2.5px solid", outlineColor: "ink", outlineOffset: "2px" },
  },
  theme: {
    breakpoints: { md: "561px", lg: "1101px" },
    tokens: {
      fonts: {
        body: { value: "'Atkinson Hyperlegible Next Variable', 'IBM Plex Sans', system-ui, sans-serif" },
      },
      fontSizes: {
        micro: { value: "0.8125rem" },
        small: { value: "0.84375rem" },
        text: { value: "0.9375rem" },
        figure: { value: "1.1875rem" },
        title: { value: "1.3125rem" },
        flow: { value: "1.5625rem" },
      },
    },
    semanticTokens: {
      colors: {
        paper: colour("#FAF6EE", "#171512"),
        desk: colour("#F1EBDF", "#0F0E0B"),
        ink: colour("#1D1A15", "#EFE8DB"),
        ink2: colour("#5B5347", "#B3AA99"),
        rule: colour("#877D6C", "#857C6C"),
        hair: colour("#D6CDBD", "#39342B"),
        copper: colour("#98480F", "#E59C64"),
        verdigris: colour("#0C6556", "#62C5B0"),
        violet: colour("#554D92", "#B2AAF0"),
        ochre: colour("#775300", "#E2B857"),
        brick: colour("#7E1A16", "#F19382"),
      },
    },
  },
});

export const system = createSystem(defaultBaseConfig, config);
