import { Box } from "@chakra-ui/react";
import { scaleLinear } from "./scale";

import type { Figure, Schemas } from "./api";
import { inUnits } from "./figures";
import { colourOf } from "./marks";
import { type UnitSystem } from "./reader";
import { useUnits } from "./units";
import { numbersTag } from "./language";

type Candidate = Schemas["CandidateAnswer"];
/** From per cent of the width to a saving as the reader sees it, and back. */
export type SavingsAxis = ReturnType<typeof savingsAxis>;

export const BAR = 22;

/** The ends of a figure's range: as they were worked out, or else its uncertainty. */
export function endsOf(figure: Figure): [number, number] {
  const uncertainty = figure.uncertainty ?? 0;
  return [figure.low ?? figure.value - uncertainty, figure.high ?? figure.value + uncertainty];
}

/** One axis for the savings of all candidates, in per cent of the bar's width; nought is always on it. */
export function savingsAxis(figures: readonly (Figure | null | undefined)[], units: UnitSystem) {
  const ends = figures
    .flatMap((figure) => (figure ? endsOf(figure).map((end) => inUnits(figure.quantity, end, units)) : []))
    .filter(Number.isFinite);
  return scaleLinear([Math.min(0, ...ends), Math.max(1, ...ends)], [2, 98]).nice(4);
}

/** The numbers of the axis; on narrow screens it is as wide as the page, and its ends stand inside. */
export function AxisTicks({ axis, ends }: { axis: SavingsAxis; ends: "inside" | "middle" }) {
  return axis.ticks(ends === "inside" ? 4 : 2).map((tick, place, { length }) => (
    <Box
      key={tick}
      position="absolute"
      left={`${axis(tick)}%`}
      transform={`translateX(${ends === "inside" ? inside(place, length) : -50}%)`}
    >
      {tick.toLocaleString(numbersTag()).replace("-", "−")}
    </Box>
  ));
}

function inside(place: number, length: number): number {
  if (place === 0) return -5;
  return place === length - 1 ? -95 : -50;
}

interface SavingBarProps {
  one: Pick<Candidate, "saved" | "series" | "is_base" | "stop">;
  axis: SavingsAxis;
  /** By how much the line at nought reaches over the bar, so that those of all rows are one. */
  reach: number;
}

/** The range and its value on the axis of all; hatched where a stop withholds it, a stroke at nought for the baseline. */
export function SavingBar({ one, axis, reach }: SavingBarProps) {
  const { units } = useUnits();
  const figure = one.saved.figure;
  const at = (value: number) => axis(inUnits("energy", value, units));
  const [low, high] = figure ? endsOf(figure).map(at) : [0, 0];
  const zero = `${axis(0)}%`;
  const middle = BAR / 2;
  return (
    <svg width="100%" height={BAR} style={{ overflow: "visible", display: "block" }} aria-hidden>
      {one.stop && (
        <foreignObject x={zero} width={`${98 - axis(0)}%`} y={middle - 7} height={14}>
          <div style={{ height: "100%", backgroundImage: HATCH }} />
        </foreignObject>
      )}
      <line x1={zero} x2={zero} y1={-reach} y2={BAR + reach} stroke="var(--chakra-colors-rule)" />
      <g style={{ color: `var(--chakra-colors-${colourOf(one.series)})` }}>
        {figure && (
          <>
            <rect
              x={`${low}%`}
              width={`${Math.max((high ?? 0) - (low ?? 0), 0.5)}%`}
              y={middle - 7}
              height={14}
              fill="currentColor"
              opacity={0.26}
            />
            <line
              x1={`${at(figure.value)}%`}
              x2={`${at(figure.value)}%`}
              y1={middle - 9}
              y2={middle + 9}
              stroke="currentColor"
              strokeWidth={3}
            />
          </>
        )}
        {one.is_base && (
          <line x1={zero} x2={zero} y1={middle - 9} y2={middle + 9} stroke="currentColor" strokeWidth={3} />
        )}
      </g>
    </svg>
  );
}

const HATCH = "repeating-linear-gradient(-45deg, transparent 0 7px, var(--chakra-colors-rule) 7px 8px)";
