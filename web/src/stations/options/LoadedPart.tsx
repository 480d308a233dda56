import { LoadedHolds as LoadedHoldsWords } from "../../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { scaleLinear } from "../../shared/scale";

import { api, type Entry, type Figure, type Refused, type Schemas, taken } from "../../shared/api";
import { inUnits, unitOf } from "../../shared/figures";
import { Fold, under } from "../../shared/Fold";
import { useField, useJob } from "../../shared/job";
import { colourOf, InlineMark, SeriesMark } from "../../shared/marks";
import { Small } from "../../shared/parts";
import { AskedQuantity } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { FigureText } from "../../shared/Words";
import { Slider } from "./Slider";
import { pathThrough } from "../../shared/path";
import { say } from "../../shared/say";
import { counted } from "../../shared/language";

type Loaded = Schemas["LoadedAnswer"];
type Point = Schemas["LoadedPoint"];

const RESISTANCE_FACTOR = "options/resistance_factor";

/** What happens when the filter loads; worked out when it is opened, since that takes as long as all the rest. */
export function LoadedPart({ flow }: { flow: string }) {
  const pump = useJob().view.machine.type === "pump";
  return (
    <Fold
      title={pump ? say("loaded-part-what-happens") : say("loaded-part-what-happens-when")}
      note={say("loaded-part-first-step")}
      holds={under(RESISTANCE_FACTOR, "options/loaded_static")}
    >
      <Drawn flow={flow} pump={pump} />
    </Fold>
  );
}

/** Every setting kept as it is, on a system that grows tighter; the picture follows while its state is dragged. */
function Drawn({ flow, pump }: { flow: string; pump: boolean }) {
  const { view } = useJob();
  const { units } = useUnits();
  const resistance_factor = useField<Entry>(RESISTANCE_FACTOR).draft?.text ?? "";
  const found = useQuery<Loaded[], Refused>({
    queryKey: ["loaded", view.id, view.revision, resistance_factor],
    queryFn: () =>
      taken(
        api.GET("/api/jobs/{job_id}/loaded", { params: { path: { job_id: view.id }, query: { resistance_factor } } }),
      ),
    placeholderData: (before) => before,
  });
  const drawn = found.data ?? [];
  const hasStatic = drawn.some((option) => option.at_static);
  const asked = Math.round(100 * (drawn[0]?.asked.factor ?? 1));
  return (
    <>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="0 20px" alignItems="end">
        <Slider
          path={RESISTANCE_FACTOR}
          label={pump ? say("loaded-part-circuit-against") : say("loaded-part-system-against")}
          low={60}
          high={250}
          step={5}
          usual={140}
          said={(value) => `${Math.round(value)} %`}
          text={(value) => `${Math.round(value)} %`}
          read={(entry) => inUnits("resistance_factor", entry.si, units)}
        />
        {!pump && <AskedQuantity path="options/loaded_static" />}
      </Box>
      {found.error && <Box role="alert">{found.error.message}</Box>}
      {!found.data && !found.error && <Small fontStyle="italic">{say("loaded-part-being-worked")}</Small>}
      {found.data && drawn.length === 0 && <Small fontStyle="italic">{say("loaded-part-none-these")}</Small>}
      {drawn.length > 0 && (
        <>
          <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="14px">
            <Picture
              options={drawn}
              title={say("loaded-part-flow", { unitOf: unitOf(flow, units) })}
              of={(point) => point.flow}
            />
            <Picture options={drawn} title={say("loaded-part-input-power")} of={(point) => point.input_power} />
          </Box>
          <Small display="block" py="4px">
            {say("loaded-part-across-system")}
          </Small>
          <Table options={drawn} flow={flow} asked={asked} hasStatic={hasStatic} />
        </>
      )}
    </>
  );
}

interface TableProps {
  options: readonly Loaded[];
  flow: string;
  /** The state that was asked about, per cent of as found. */
  asked: number;
  hasStatic: boolean;
}

function Table({ options, flow, asked, hasStatic }: TableProps) {
  const { units } = useUnits();
  return (
    <Box as="table" width="100%" borderCollapse="collapse" css={TABLE}>
      <thead>
        <tr>
          <th>{say("loaded-part-option")}</th>
          <th>{say("loaded-part-holds")}</th>
          <th>{say("loaded-part-at", { asked, unitOf: unitOf(flow, units) })}</th>
          <th>W</th>
          {hasStatic && (
            <>
              <th>{say("loaded-part-static", { unitOf: unitOf(flow, units) })}</th>
              <th>W</th>
            </>
          )}
        </tr>
      </thead>
      <tbody>
        {options.map((option) => (
          <LoadedLine key={option.id} option={option} hasStatic={hasStatic} />
        ))}
      </tbody>
    </Box>
  );
}

interface LoadedLineProps {
  option: Loaded;
  hasStatic: boolean;
}

function LoadedLine({ option, hasStatic }: LoadedLineProps) {
  return (
    <tr>
      <td>
        <Box as="span" color={colourOf(option.series)}>
          <InlineMark series={option.series} /> {option.letter}
        </Box>{" "}
        {option.title}
      </td>
      <td>{LoadedHoldsWords[option.holds]}</td>
      <PointCells point={option.asked} />
      {hasStatic &&
        (option.at_static ? (
          <PointCells point={option.at_static} />
        ) : (
          <td colSpan={2}>{say("loaded-part-steady-point")}</td>
        ))}
    </tr>
  );
}

/** What an option moves and draws at one point, and whether it holds its setting there. */
function PointCells({ point }: { point: Point }) {
  return (
    <>
      <td>
        <FigureText figure={point.flow} unit={false} />
        {point.gives_way && <Small display="block">{say("loaded-part-limit")}</Small>}
      </td>
      <td>
        <FigureText figure={point.input_power} unit={false} />
      </td>
    </>
  );
}

const TABLE = {
  "& th": { textAlign: "left", fontWeight: 400, fontSize: "micro", color: "ink2", py: "4px", pr: "12px" },
  "& td": { py: "4px", pr: "12px", borderTop: "1px solid", borderColor: "hair", fontSize: "small" },
};
const SIZE = { width: 330, height: 190, left: 44, right: 306, top: 20, foot: 164 };
const LABEL_APART = 12;

interface PictureProps {
  options: readonly Loaded[];
  title: string;
  of: (point: Point) => Figure;
}

function spoken(letter: string, points: readonly { y: number }[]): string {
  const said = (value: number | undefined) => counted(Math.round(value ?? 0));
  return say("loaded-part-from-to", { letter, said: said(points[0]?.y), said2: said(points.at(-1)?.y) });
}

/** One line to an option, each written at its end; labels that would meet are moved apart. */
function Picture({ options, title, of }: PictureProps) {
  const { units } = useUnits();
  const lines = options.map((option) => ({
    option,
    points: option.points.map((point) => {
      const figure = of(point);
      return { x: point.factor, y: inUnits(figure.quantity, figure.value, units) };
    }),
  }));
  const all = lines.flatMap(({ points }) => points);
  const x = scaleLinear([1, Math.max(...all.map((point) => point.x))], [SIZE.left, SIZE.right]);
  const y = scaleLinear([0, Math.max(...all.map((point) => point.y))], [SIZE.foot, SIZE.top]).nice(4);
  const ends = spread(lines.map(({ points }) => y(points[points.length - 1]?.y ?? 0)));
  return (
    <Svg
      viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
      role="img"
      aria-label={say("loaded-part-system-tightens", {
        title,
        lines: lines.map(({ option, points }) => spoken(option.letter, points)).join("; "),
      })}
    >
      <text x={0} y={11} fill="var(--chakra-colors-ink2)">
        {title}
      </text>
      {y.ticks(4).map((tick) => (
        <g key={tick}>
          <line x1={SIZE.left} x2={SIZE.right} y1={y(tick)} y2={y(tick)} stroke="var(--chakra-colors-hair)" />
          <text x={SIZE.left - 6} y={y(tick) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
            {counted(tick)}
          </text>
        </g>
      ))}
      {[1, 1.5, 2, 2.5].map((factor) => (
        <text key={factor} x={x(factor)} y={SIZE.foot + 16} textAnchor="middle" fill="var(--chakra-colors-ink2)">
          {100 * factor} %
        </text>
      ))}
      {lines.map(({ option, points }, index) => (
        <g key={option.id} color={`var(--chakra-colors-${colourOf(option.series)})`}>
          <path
            d={pathThrough(points.map((point) => [x(point.x), y(point.y)] as const))}
            fill="none"
            stroke="currentColor"
            strokeWidth={1.8}
          />
          {points[0] && <SeriesMark series={option.series} x={x(points[0].x)} y={y(points[0].y)} size={4} />}
          <text x={SIZE.right + 5} y={(ends[index] ?? 0) + 4} fill="currentColor" fontWeight={600}>
            {option.letter}
          </text>
        </g>
      ))}
    </Svg>
  );
}

/** Places moved apart until no two labels meet. */
function spread(places: readonly number[]): number[] {
  const order = places.map((_, index) => index).sort((a, b) => (places[a] ?? 0) - (places[b] ?? 0));
  const moved = [...places];
  order.forEach((index, rank) => {
    const before = order[rank - 1];
    if (before !== undefined) moved[index] = Math.max(moved[index] ?? 0, (moved[before] ?? 0) + LABEL_APART);
  });
  const over = Math.max(0, Math.max(...moved) - SIZE.foot);
  return moved.map((place) => place - over);
}

const Svg = chakra("svg", { base: { width: "100%", display: "block", fontSize: "0.8125rem" } });
