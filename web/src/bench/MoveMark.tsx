import type { Moves } from "./words";

const SLOPES = { [-1]: "M2,4L16,12", 0: "M2,8H16", 1: "M2,12L16,4" } as const;

/** Which way a reading goes, as a sloped stroke; a rise is neither good nor bad. */
export function MoveMark({ moves, strong }: { moves: Moves; strong: boolean }) {
  return (
    <svg
      width="18"
      height="16"
      viewBox="0 0 18 16"
      aria-hidden
      style={{ display: "inline-block", verticalAlign: "-3px", flexShrink: 0 }}
    >
      <path d={SLOPES[moves]} stroke="currentColor" strokeWidth={strong ? 3 : 1.6} />
    </svg>
  );
}
