import { chakra } from "@chakra-ui/react";
import { memo } from "react";
import { type Scale, scaleLinear } from "../../shared/scale";

import type { Schemas } from "../../shared/api";
import { inUnits, unitOf } from "../../shared/figures";
import { pathThrough } from "../../shared/path";
import { useUnits } from "../../shared/units";
import { say } from "../../shared/say";
import { counted } from "../../shared/language";

const WIDTH = 320;
const PLOT = { left: 40, right: 270, top: 28, bottom: 190 };
const HEIGHT = 228;

export interface Mark {
  label: string;
  across: number;
  up: number;
}

interface ChartPictureProps {
  state: Schemas["ChartState"];
  /** The quantity that stands upright; flow lies across. */
  up: string;
  marks: Mark[];
  name: string;
}

function spoken(name: string, across: readonly number[], up: readonly number[]): string {
  const said = (value: number | undefined) => counted(Number((value ?? 0).toPrecision(3)));
  return say("chart-picture-from-at", {
    name,
    said: said(up[0]),
    said2: said(across[0]),
    said3: said(up.at(-1)),
    said4: said(across.at(-1)),
  });
}

/** A typed chart as lines, each named at its end, with the readings on it. */
export const ChartPicture = memo(function ChartPicture({ state, up, marks, name }: ChartPictureProps) {
  const { units } = useUnits();
  const columns = state.columns ?? [];
  if (columns.length === 0) return null;
  const flowIn = (value: number) => inUnits("airflow", value, units);
  const upIn = (value: number) => inUnits(up, value, units);
  const flows = columns.flatMap((column) => column.across.map(flowIn));
  const ups = columns.flatMap((column) => column.up.map(upIn));
  const x = scaleLinear([Math.min(...flows), Math.max(...flows)], [PLOT.left, PLOT.right]).nice(4);
  const y = scaleLinear([Math.min(...ups), Math.max(...ups)], [PLOT.bottom, PLOT.top]).nice(4);
  const heights = spaced(columns.map((column) => y(upIn(column.up[column.across.length - 1] ?? 0)) + 4));
  return (
    <Svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`${name}: ${columns.map((column) => spoken(column.name, column.across.map(flowIn), column.up.map(upIn))).join("; ")}`}
    >
      <Axes
        x={x}
        y={y}
        across={say("chart-picture-airflow", { unitOf: unitOf("airflow", units) })}
        up={`${nameOf(up)}, ${unitOf(up, units)}`}
      />
      {columns.map((column, place) => {
        const path = pathThrough(
          column.across.map((flow, index) => [x(flowIn(flow)), y(upIn(column.up[index] ?? 0))] as const),
        );
        const last = column.across.length - 1;
        return (
          <g key={column.name}>
            <path d={path} fill="none" stroke="currentColor" strokeWidth={1.6} />
            <text x={x(flowIn(column.across[last] ?? 0)) + 4} y={heights[place]} fill="currentColor">
              {column.name}
            </text>
          </g>
        );
      })}
      {marks.map((mark) => (
        <Reading key={mark.label} cx={x(flowIn(mark.across))} cy={y(upIn(mark.up))} label={mark.label} />
      ))}
    </Svg>
  );
});

const NAME_HEIGHT = 15;

/** Heights at which names stand clear of each other, each as near to its own as those below leave it. */
function spaced(heights: readonly number[]): number[] {
  const order = heights.map((_, place) => place).sort((one, other) => (heights[other] ?? 0) - (heights[one] ?? 0));
  const found = [...heights];
  let below = Infinity;
  for (const place of order) {
    below = Math.min(heights[place] ?? 0, below - NAME_HEIGHT);
    found[place] = below;
  }
  return found;
}

const Svg = chakra("svg", { base: { width: "100%", maxWidth: "460px", fontSize: "0.8125rem", color: "ink" } });
const Disc = chakra("circle", { base: { fill: "copper" } });
const Named = chakra("text", { base: { fill: "copper", fontWeight: 600 } });
const Quiet = chakra("text", { base: { fill: "ink2" } });
const Rule = chakra("line", { base: { stroke: "hair" } });

function Reading({ cx, cy, label }: { cx: number; cy: number; label: string }) {
  return (
    <g>
      <Disc cx={cx} cy={cy} r={5} />
      <Named x={cx - 4} y={cy - 9}>
        {label}
      </Named>
    </g>
  );
}

function nameOf(quantity: string) {
  return quantity === "current" ? say("chart-picture-line-amps") : say("chart-picture-external-static");
}

interface AxesProps {
  x: Scale;
  y: Scale;
  across: string;
  up: string;
}

function Axes({ x, y, across, up }: AxesProps) {
  return (
    <>
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <Rule x1={PLOT.left} x2={PLOT.right} y1={y(tick)} y2={y(tick)} />
          <Quiet x={PLOT.left - 6} y={y(tick) + 4} textAnchor="end">
            {counted(tick)}
          </Quiet>
        </g>
      ))}
      {x.ticks(4).map((tick) => (
        <Quiet key={tick} x={x(tick)} y={PLOT.bottom + 16} textAnchor="middle">
          {counted(tick)}
        </Quiet>
      ))}
      <Quiet x={(PLOT.left + PLOT.right) / 2} y={PLOT.bottom + 34} textAnchor="middle">
        {across}
      </Quiet>
      <Quiet x={PLOT.left - 34} y={PLOT.top - 14}>
        {up}
      </Quiet>
    </>
  );
}
