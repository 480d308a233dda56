import { chakra } from "@chakra-ui/react";
import { scaleLinear } from "d3-scale";

import type { Figure } from "../../shared/api";
import { write } from "../../shared/figures";
import { useUnits } from "../../shared/units";

interface StandingMarkProps {
  figure: Figure | null;
  domain: [number, number];
  series: string;
  label: string;
}

const HEIGHT = 74;
const AT = 16;
const WIDTH = 34;

/** A band and a value standing upright on a scale shared through the row; the line across is nothing saved. */
export function StandingMark({ figure, domain, series, label }: StandingMarkProps) {
  const { units } = useUnits();
  const y = scaleLinear(domain, [HEIGHT - 6, 6]);
  const written = figure && write(figure, units);
  return (
    <Svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={
        written ? `${label} ${written.value} ± ${written.band ?? "0"} ${written.unit}` : `${label}: the yardstick`
      }
      color={series}
    >
      <line x1={0} x2={WIDTH} y1={y(0)} y2={y(0)} stroke="var(--chakra-colors-rule)" strokeDasharray="2 3" />
      {figure && (
        <>
          <rect
            x={AT - 4}
            width={8}
            y={y(figure.value + (figure.band ?? 0))}
            height={Math.max(y(figure.value - (figure.band ?? 0)) - y(figure.value + (figure.band ?? 0)), 1)}
            fill="currentColor"
            opacity={0.26}
          />
          <line
            x1={AT - 10}
            x2={AT + 10}
            y1={y(figure.value)}
            y2={y(figure.value)}
            stroke="currentColor"
            strokeWidth={2.5}
          />
        </>
      )}
    </Svg>
  );
}

const Svg = chakra("svg", { base: { height: "74px", width: "34px", display: "block" } });
