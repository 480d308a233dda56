import { Box, chakra } from "@chakra-ui/react";
import { scaleLinear } from "../../shared/scale";
import { timeTicks } from "d3-time";
import { memo } from "react";

import type { Schemas } from "../../shared/api";
import { inUnits, unitOf, write } from "../../shared/figures";
import { Micro } from "../../shared/parts";
import { Picture } from "../../shared/Picture";
import { dayOf } from "../../shared/times";
import { useUnits } from "../../shared/units";
import { useIsWide } from "../../shared/width";
import { say } from "../../shared/say";
import { dayTag, numbersTag } from "../../shared/language";

/** Wide, and for a phone, where the same letters must stay as large. */
const SIZES = {
  wide: { width: 640, height: 104, left: 56, right: 632, top: 10, foot: 80, ticks: 7 },
  narrow: { width: 350, height: 110, left: 48, right: 344, top: 10, foot: 86, ticks: 4 },
} as const;
const NARROW_BELOW = 561;
const DAY_MS = 86_400_000;
const ROOM = 0.12;

interface SeriesProps {
  series: Schemas["Series"];
  events: readonly Schemas["EventLine"][];
  /** First and last time that all pictures share. */
  span: [Date, Date];
}

/** The picture in words: how many readings from when to when, the last of them, the healthy state, and whether it moved. */
function spoken(series: Schemas["Series"], units: "ip" | "si"): string {
  const said = (value: number) => {
    const { value: text, unit } = write({ quantity: series.quantity, value, basis: "measured" }, units);
    return `${text} ${unit}`.trim();
  };
  const day = (number: number | undefined) => dayOf(new Date((number ?? 0) * DAY_MS));
  const [first, last] = [series.values[0], series.values.at(-1)];
  if (first === undefined || last === undefined) return say("series-picture-over-time", { series: series.title });
  const trend = series.trend ?? [];
  const [from, to] = [trend[0], trend.at(-1)];
  return [
    say("series-picture-told", {
      title: series.title,
      count: series.values.length,
      first: said(first),
      begun: day(series.days[0]),
      last: said(last),
      ended: day(series.days.at(-1)),
    }),
    series.healthy == null ? "" : say("series-picture-healthy-at", { value: said(series.healthy) }),
    from && to ? say("series-picture-trend-told", { from: said(from.value), to: said(to.value) }) : "",
    series.moved ? say("series-picture-has-moved") : "",
  ]
    .filter(Boolean)
    .join("; ");
}

/** One reading over months: points, the healthy state with its uncertainty, the trend, and what was serviced when. */
export const SeriesPicture = memo(function SeriesPicture({ series, events, span }: SeriesProps) {
  const { units } = useUnits();
  const size = SIZES[useIsWide(NARROW_BELOW) ? "wide" : "narrow"];
  const inReader = (value: number) => inUnits(series.quantity, value, units);
  const values = series.values.map(inReader);
  const healthy = [series.healthy_low, series.healthy, series.healthy_high].map((one) =>
    one == null ? null : inReader(one),
  );
  const trend = (series.trend ?? []).map(({ day, value }) => [new Date(day * DAY_MS), inReader(value)] as const);
  const ends = [...values, ...healthy.filter((one) => one !== null), ...trend.map(([, value]) => value)];
  // Wild readings stand at the edge rather than flatten all others.
  const [low, high] = middle(ends);
  const room = ROOM * (high - low || Math.abs(high) || 1);
  const x = scaleLinear([span[0].getTime(), span[1].getTime()], [size.left, size.right]);
  const y = scaleLinear([low - room, high + room], [size.foot, size.top])
    .clamped()
    .nice(3);
  const [lowEnd, now, highEnd] = healthy;
  const first = trend[0];
  const last = trend[trend.length - 1];
  const colour = series.moved ? "var(--chakra-colors-brick)" : "var(--chakra-colors-ink)";
  const told =
    series.healthy == null
      ? null
      : write({ quantity: series.quantity, value: series.healthy, basis: "measured" }, units);
  return (
    <Box
      data-series={series.column}
      data-moved={series.moved ? "yes" : "no"}
      borderTop="1px solid"
      borderColor="hair"
      pt="4px"
    >
      <Box display="flex" justifyContent="space-between" fontSize="small" gap="10px">
        <Box>
          <b>{series.title}</b> {unitOf(series.quantity, units)}
          {series.note ? <Micro> {series.note}</Micro> : null}
        </Box>
        <Box color="ink2">{told ? say("series-picture-healthy", { told: told.value }) : ""}</Box>
      </Box>
      <Picture
        title={say("series-picture-over-time-thinned", {
          series: series.title,
          unitOf: unitOf(series.quantity, units),
        })}
        head={[say("series-picture-day"), unitOf(series.quantity, units) || series.title]}
        rows={() => values.map((value, place) => [dayOf(new Date((series.days[place] ?? 0) * DAY_MS)), value])}
      >
        <Svg viewBox={`0 0 ${size.width} ${size.height}`} role="img" aria-label={spoken(series, units)}>
          {y.ticks(3).map((tick) => (
            <g key={tick}>
              <line x1={size.left} x2={size.right} y1={y(tick)} y2={y(tick)} stroke="var(--chakra-colors-hair)" />
              <text x={size.left - 6} y={y(tick) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
                {tick.toLocaleString(numbersTag())}
              </text>
            </g>
          ))}
          {lowEnd != null && highEnd != null && (
            <rect
              x={size.left}
              width={size.right - size.left}
              y={y(highEnd)}
              height={Math.max(y(lowEnd) - y(highEnd), 1)}
              fill="var(--chakra-colors-verdigris)"
              opacity={0.24}
            />
          )}
          {now != null && (
            <line
              x1={size.left}
              x2={size.right}
              y1={y(now)}
              y2={y(now)}
              stroke="var(--chakra-colors-verdigris)"
              strokeWidth={1.5}
            />
          )}
          <path
            d={values
              .map((value, index) => {
                const at = x(new Date((series.days[index] ?? 0) * DAY_MS));
                return `M${at.toFixed(1)} ${y(value).toFixed(1)}h.01`;
              })
              .join("")}
            stroke="var(--chakra-colors-ink2)"
            strokeWidth={3.4}
            strokeLinecap="round"
            opacity={0.55}
          />
          {first && last && (
            <line
              x1={x(first[0])}
              y1={y(first[1])}
              x2={x(last[0])}
              y2={y(last[1])}
              stroke={colour}
              strokeWidth={series.moved ? 3 : 1.6}
            />
          )}
          {events.map((event) => {
            const at = new Date(event.at);
            if (at < span[0] || at > span[1]) return null;
            return (
              <line
                key={event.id}
                x1={x(at)}
                x2={x(at)}
                y1={size.top}
                y2={size.foot}
                stroke="var(--chakra-colors-ink)"
                strokeDasharray="2 3"
              />
            );
          })}
          {timeTicks(...span, size.ticks).map((tick) => (
            <text
              key={tick.getTime()}
              x={x(tick)}
              y={size.foot + 17}
              textAnchor="middle"
              fill="var(--chakra-colors-ink2)"
            >
              {monthWord(tick)}
            </text>
          ))}
        </Svg>
      </Picture>
    </Box>
  );
});

function monthWord(at: Date) {
  const month = at.toLocaleString(dayTag(), { month: "short" });
  return at.getMonth() === 0 ? `${month} ${at.getFullYear()}` : month;
}

/** The range that all but the wildest values lie in. */
function middle(values: number[]): [number, number] {
  const sorted = [...values].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.round(share * (sorted.length - 1))] ?? 0;
  return sorted.length > 30 ? [at(0.02), at(0.98)] : [at(0), at(1)];
}

const Svg = chakra("svg", { base: { width: "100%", display: "block", fontSize: "0.8125rem" } });
