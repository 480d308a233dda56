import { chakra } from "@chakra-ui/react";
import { type Scale, scaleLinear } from "./scale";

import type { Schemas } from "./api";
import { inUnits, unitOf, write } from "./figures";
import { colourOf, SeriesMark } from "./marks";
import { pathThrough } from "./path";
import { useUnits } from "./units";
import { say } from "./say";
import { numbersTag } from "./language";

type Curve = Schemas["BalanceCurve"];
type Point = Schemas["BalancePoint"];

interface BalanceChartProps {
  flowQuantity: string;
  pressureQuantity: string;
  curves: Curve[];
  points: Point[];
  /** What is said on empty axes. */
  waits: string[];
  /** How tall the plot is drawn; as on the pane where nothing is said. */
  height?: number;
}

const WIDTH = 340;
const PLOT = { left: 40, right: 300, top: 22, bottom: 318 };
const LANE = 15;
const FEW_TICKS_UNDER = 200;
const AXIS_FOOT = 36;
const HEADROOM = 1.06;

/** Pressure against flow: the machine's curve meeting the system's, each point with its crossed uncertainties. */
export function BalanceChart({
  flowQuantity,
  pressureQuantity,
  curves,
  points,
  waits,
  height: tall = PLOT.bottom - PLOT.top,
}: BalanceChartProps) {
  const bottom = PLOT.top + tall;
  const { units, currency } = useUnits();
  const flowIn = (value: number) => inUnits(flowQuantity, value, units);
  const pressureIn = (value: number) => inUnits(pressureQuantity, value, units);
  const x = scaleLinear([0, reach(curves, points, "flow", flowIn)], [PLOT.left, PLOT.right]);
  const y = scaleLinear([0, reach(curves, points, "pressure", pressureIn)], [bottom, PLOT.top]).nice(5);
  const places = points.map((point): Place => [x(flowIn(point.flow.value)), y(pressureIn(point.pressure.value))]);
  const lanes = points.length * LANE + (points.length ? 6 : 0);
  const height = bottom + lanes + AXIS_FOOT;
  const axis = (quantity: string) => [nameOf(quantity), unitOf(quantity, units, currency)].filter(Boolean).join(", ");
  const empty = curves.length === 0;
  return (
    <Svg viewBox={`0 0 ${WIDTH} ${height}`} role="img" aria-label={spoken(points, units, empty)} data-balance>
      <Axes
        x={x}
        y={y}
        empty={empty}
        flow={axis(flowQuantity)}
        pressure={axis(pressureQuantity)}
        bottom={bottom}
        foot={bottom + lanes}
      />
      {empty && <Waiting words={waits} />}
      {curves.map((curve) => (
        <CurveLine key={curve.id} curve={curve} points={places} x={x} y={y} flowIn={flowIn} pressureIn={pressureIn} />
      ))}
      {points.map((point, index) => (
        <PointWithUncertainty
          key={point.id}
          point={point}
          x={x}
          y={y}
          lane={bottom + 10 + index * LANE}
          names={namesAt(points, places, index)}
          flowIn={flowIn}
          pressureIn={pressureIn}
        />
      ))}
    </Svg>
  );
}

const Svg = chakra("svg", { base: { width: "100%", maxWidth: "560px", fontSize: "0.8125rem", color: "ink" } });

type Place = [number, number];

const LETTER = 6.3;
const LINE = 17;

/** Where a lane's name stands: left of its uncertainty, right of it, or over its end where neither has room. */
function besideLane(left: number, right: number, label: string): { x: number; textAnchor: "start" | "end" } {
  if (left > PLOT.left + 90) return { x: left - 6, textAnchor: "end" };
  if (right + 6 + LETTER * label.length <= WIDTH) return { x: right + 6, textAnchor: "start" };
  return { x: WIDTH - 2, textAnchor: "end" };
}

const TOUCHING = 15;

/** Points that touch are named together, once, at the first of them. */
function namesAt(points: Point[], places: Place[], index: number): string {
  const touches = (other: number) => {
    const [one, two] = [places[index], places[other]];
    return one && two && Math.hypot(one[0] - two[0], one[1] - two[1]) < TOUCHING;
  };
  const together = points.map((_, other) => other).filter(touches);
  if (together[0] !== index) return "";
  return together.map((other) => points[other]?.label.split(" ")[0]).join(" ");
}

function nameOf(quantity: string) {
  return {
    airflow: say("balance-pane-flow"),
    water_flow: say("balance-pane-flow"),
    relative_flow: say("balance-chart-flow-share"),
    pressure: say("balance-chart-external-static"),
    pump_differential: say("balance-chart-head"),
    relative_pressure: say("balance-chart-pressure-share"),
  }[quantity];
}

function spoken(points: Point[], units: "ip" | "si", empty: boolean) {
  if (empty) return say("balance-chart-balance-curves");
  const told = points.map((point) => {
    const [flow, pressure] = [write(point.flow, units), write(point.pressure, units)];
    return say("balance-chart-at", {
      point: point.label,
      flow: flow.value,
      unit: flow.unit,
      pressure: pressure.value,
      unit2: pressure.unit,
    });
  });
  return say("balance-chart-balance", { told: told.join("; ") });
}

function reach(curves: Curve[], points: Point[], axis: "flow" | "pressure", convert: (value: number) => number) {
  // The system's curve climbs for ever; it is cut where the machine's curves end.
  const drawn = curves.filter((curve) => axis === "flow" || curve.kind !== "system").flatMap((curve) => curve[axis]);
  const marked = points.map((point) => point[axis].value + (point[axis].uncertainty ?? 0));
  return Math.max(...drawn.map(convert), ...marked.map(convert), 0) * HEADROOM || 1;
}

const MOST_FLOWS = 6;

interface AxesProps {
  x: Scale;
  y: Scale;
  /** Without curves the axes stand, but say no numbers. */
  empty: boolean;
  flow: string;
  pressure: string;
  /** Where the pressure axis stands at nought, and where the lanes under it end. */
  bottom: number;
  foot: number;
}

function Axes({ x, y, empty, flow, pressure, bottom, foot }: AxesProps) {
  const format = (value: number) => value.toLocaleString(numbersTag(), { maximumFractionDigits: 3 });
  const many = x.ticks(5);
  // Seven numbers of four digits run into each other.
  const flows = many.length > MOST_FLOWS ? x.ticks(3) : many;
  return (
    <g>
      {y.ticks(bottom - PLOT.top > FEW_TICKS_UNDER ? 6 : 3).map((tick) => (
        <g key={tick} color="var(--chakra-colors-hair)">
          <line x1={PLOT.left} x2={PLOT.right} y1={y(tick)} y2={y(tick)} stroke="currentColor" />
          <text x={PLOT.left - 6} y={y(tick) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
            {empty ? "" : format(tick)}
          </text>
        </g>
      ))}
      <path d={`M${PLOT.left},${PLOT.top}V${foot}H${PLOT.right}`} fill="none" stroke="var(--chakra-colors-rule)" />
      <line x1={PLOT.left} x2={PLOT.right} y1={bottom} y2={bottom} stroke="var(--chakra-colors-rule)" />
      {flows.map((tick) => (
        <text key={tick} x={x(tick)} y={foot + 15} textAnchor="middle" fill="var(--chakra-colors-ink2)">
          {empty ? "" : format(tick)}
        </text>
      ))}
      <text x={0} y={12} fill="var(--chakra-colors-ink2)">
        {pressure}
      </text>
      <text x={PLOT.right} y={foot + 31} textAnchor="end" fill="var(--chakra-colors-ink2)">
        {flow}
      </text>
    </g>
  );
}

function Waiting({ words }: { words: string[] }) {
  const lines = [...words.flatMap((sentence) => [...wrapped(sentence, 38), ""])];
  return (
    <g fill="var(--chakra-colors-ink)">
      <text x={PLOT.left + 14} y={PLOT.top + 60} fontWeight={600} fontSize={15}>
        {say("balance-chart-curves-yet")}
      </text>
      {lines.map((text, index) => (
        <text key={index} x={PLOT.left + 14} y={PLOT.top + 86 + index * 17} fontSize={13}>
          {text}
        </text>
      ))}
    </g>
  );
}

function wrapped(sentence: string, width: number): string[] {
  const lines: string[] = [""];
  for (const word of sentence.split(" ")) {
    const last = lines[lines.length - 1] ?? "";
    if (`${last} ${word}`.trim().length > width) lines.push(word);
    else lines[lines.length - 1] = `${last} ${word}`.trim();
  }
  return lines;
}

/** Labels stand under the falling end of their curves, each at another height, where points seldom lie. */
function labelPlace(curve: Curve) {
  return curve.id === "found" ? 0.94 : 0.79 + 0.045 * (curve.id.charCodeAt(0) - "A".charCodeAt(0));
}

interface Converted {
  x: Scale;
  y: Scale;
  flowIn: (value: number) => number;
  pressureIn: (value: number) => number;
}

/** The name of a system's curve stands at its end, a line over or under the name of a point that stands there. */
function systemNameAt([endX, endY]: Place, points: readonly Place[]): { x: number; y: number } {
  const [x, y] = [Math.min(endX + 4, WIDTH - 42), Math.max(endY + 4, PLOT.top + 8)];
  const named = points.map(([atX, atY]): Place => [atX + 9, atY - 9]);
  const meets = named.find(([left, foot]) => Math.abs(foot - y) < LINE && left + 2 * LETTER > x && left < x + 42);
  if (!meets) return { x, y };
  return { x, y: y <= meets[1] ? meets[1] - LINE : meets[1] + LINE };
}

function CurveLine({
  curve,
  points,
  x,
  y,
  flowIn,
  pressureIn,
}: Converted & { curve: Curve; points: readonly Place[] }) {
  const places = curve.flow
    .map((flow, index): [number, number] => [x(flowIn(flow)), y(pressureIn(curve.pressure[index] ?? 0))])
    .filter(([, top]) => top >= PLOT.top - 1);
  const drawn = pathThrough(places);
  const isSystem = curve.kind === "system";
  const [endX, endY] = places[isSystem ? places.length - 1 : Math.floor(places.length * labelPlace(curve))] ?? [0, 0];
  const label = curve.label.split(", ")[0] ?? curve.label;
  return (
    <g color={`var(--chakra-colors-${colourOf(curve.series)})`} data-curve={curve.id}>
      <path
        d={drawn}
        fill="none"
        stroke="currentColor"
        strokeWidth={isSystem ? 1.5 : 2.4}
        strokeDasharray={curve.series === "copper-ring" ? "6 4" : undefined}
      />
      {isSystem ? (
        <text {...systemNameAt([endX, endY], points)} fill="currentColor">
          {curve.label}
        </text>
      ) : (
        <text x={endX - 8} y={endY + 6} textAnchor="end" fill="currentColor" fontWeight={600}>
          {curve.id === "found" ? curve.label : label}
        </text>
      )}
    </g>
  );
}

interface PointProps {
  point: Point;
  lane: number;
  /** What stands beside the mark: its own short name, and those of the points that touch it. */
  names: string;
}

function PointWithUncertainty({ point, x, y, lane, flowIn, pressureIn, names }: Converted & PointProps) {
  const [flow, pressure] = [flowIn(point.flow.value), pressureIn(point.pressure.value)];
  const [across, up] = [flowIn(point.flow.uncertainty ?? 0), pressureIn(point.pressure.uncertainty ?? 0)];
  const [left, right] = [x(flow - across), x(flow + across)];
  const [top, bottom] = [y(pressure + up), y(pressure - up)];
  const [atX, atY] = [x(flow), y(pressure)];
  return (
    <g color={`var(--chakra-colors-${colourOf(point.series)})`} data-point={point.id}>
      <line x1={atX} x2={atX} y1={atY} y2={lane} stroke="var(--chakra-colors-rule)" strokeDasharray="1 3" />
      <rect x={left} width={Math.max(right - left, 1)} y={atY - 4} height={8} fill="currentColor" opacity={0.26} />
      <rect x={atX - 4} width={8} y={top} height={Math.max(bottom - top, 1)} fill="currentColor" opacity={0.26} />
      <SeriesMark series={point.series} x={atX} y={atY} />
      <text x={atX + 9} y={atY - 9} fontWeight={600} fill="var(--chakra-colors-ink)">
        {names}
      </text>
      <rect x={left} width={Math.max(right - left, 1)} y={lane - 4} height={8} fill="currentColor" opacity={0.26} />
      <line x1={atX} x2={atX} y1={lane - 6} y2={lane + 6} stroke="currentColor" strokeWidth={2.5} />
      <text {...besideLane(left, right, point.label)} y={lane + 4} fill="var(--chakra-colors-ink)">
        {point.label}
      </text>
    </g>
  );
}
