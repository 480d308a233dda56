import { scaleLinear } from "./scale";

interface Mark {
  value: number;
  low: number;
  high: number;
}

interface IntervalMarkProps {
  mark: Mark;
  /** The scale that this mark shares with its neighbours, from left to right. */
  domain: [number, number];
  /** Colour token of the series. */
  series?: string;
  label: string;
  height?: number;
}

/** A pale bar for the range and an upright stroke for the value, lying on a scale shared with its neighbours. */
export function IntervalMark({ mark, domain, series = "copper", label, height = 20 }: IntervalMarkProps) {
  const x = scaleLinear(domain, [0, 100]).clamped();
  const middle = height / 2;
  return (
    <svg
      role="img"
      aria-label={label}
      width="100%"
      height={height}
      style={{ overflow: "visible", display: "block", color: `var(--chakra-colors-${series})` }}
    >
      <rect
        x={`${x(mark.low)}%`}
        width={`${Math.max(x(mark.high) - x(mark.low), 0.5)}%`}
        y={middle - 4}
        height={8}
        fill="currentColor"
        opacity={0.26}
      />
      <line
        x1={`${x(mark.value)}%`}
        x2={`${x(mark.value)}%`}
        y1={middle - 8}
        y2={middle + 8}
        stroke="currentColor"
        strokeWidth={2.5}
      />
    </svg>
  );
}
