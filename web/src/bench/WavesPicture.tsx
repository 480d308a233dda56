import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { scaleLinear } from "../shared/scale";

import { api, type Refused, type Schemas, taken } from "../shared/api";
import { pathThrough } from "../shared/path";
import { Small } from "../shared/parts";
import { type BenchDesk, useBench } from "./desk";
import { Picture } from "../shared/Picture";
import { say } from "../shared/say";
import { counted } from "../shared/language";

type Waves = Schemas["WavesView"];
type Wave = Schemas["WaveView"];

const WIDTH = 340;
const TALL = 104;
const PLOT = { left: 34, right: 336, top: 24, bottom: 86 };

/** What a drive makes of its line, from top to bottom as the current goes: line, link, pulses, motor. */
export function WavesPicture({ desk }: { desk: BenchDesk }) {
  const { rig, applied: controls } = useBench(desk);
  const waves = useQuery<Waves, Refused>({
    queryKey: ["bench waves", rig, controls],
    queryFn: () => taken(api.POST("/api/bench/waves", { body: { rig, controls } })),
    placeholderData: (before) => before,
    retry: false,
  });
  if (waves.error) return <Small>{waves.error.message}</Small>;
  if (!waves.data) return null;
  const { line, line_amps, link, pulses, fundamental, current } = waves.data;
  return (
    <Box data-waves>
      <Panel
        title={say("waves-picture-line-volts")}
        unit="V"
        waves={[{ wave: line }]}
        over={{ wave: line_amps, unit: "A" }}
      />
      <Panel title={say("waves-picture-dc-link")} unit="V" waves={[{ wave: link, strong: true }]} floor={0} />
      <Panel
        title={say("waves-picture-between-two")}
        unit="V"
        waves={[
          { wave: pulses, thin: true },
          { wave: fundamental, strong: true },
        ]}
      />
      <Panel title={say("waves-picture-one-winding")} unit="A" waves={[{ wave: current, strong: true }]} />
      <Small display="block">
        {say("waves-picture-pulses-period", {
          round: Math.round(waves.data.pulses_a_period),
          round2: Math.round(100 * waves.data.duty),
          modulation: counted(waves.data.modulation, 2),
        })}
        {waves.data.clipped && say("waves-picture-motor-asks", { round: Math.round(waves.data.motor_v) })}
      </Small>
    </Box>
  );
}

interface PanelProps {
  title: string;
  unit: string;
  waves: { wave: Wave; strong?: boolean; thin?: boolean }[];
  /** A second wave on a scale of its own, drawn to the right. */
  over?: { wave: Wave; unit: string };
  floor?: number;
}

function Panel({ title, unit, waves, over, floor }: PanelProps) {
  const longest = Math.max(...waves.flatMap(({ wave }) => wave.ms));
  const x = scaleLinear([0, longest], [PLOT.left, PLOT.right]);
  const y = scaleOf(
    waves.flatMap(({ wave }) => wave.values),
    floor,
  );
  const overY = over && scaleOf(over.wave.values);
  return (
    <Picture
      title={title}
      head={["wave", "ms", "value"]}
      rows={() => [
        ...waves.flatMap(({ wave }, place) => rowsOf(place ? say("waves-picture-what-they", { unit }) : unit, wave)),
        ...(over ? rowsOf(over.unit, over.wave) : []),
      ]}
    >
      <Svg viewBox={`0 0 ${WIDTH} ${TALL}`} role="img" aria-label={spoken(title, unit, waves[0]?.wave)}>
        <text x={0} y={11} fill="currentColor">
          {title}
        </text>
        {y.ticks(3).map((tick) => (
          <g key={tick}>
            <line x1={PLOT.left} x2={PLOT.right} y1={y(tick)} y2={y(tick)} stroke="var(--chakra-colors-hair)" />
            <text x={PLOT.left - 5} y={y(tick) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
              {tick}
            </text>
          </g>
        ))}
        {waves.map(({ wave, strong, thin }, index) => (
          <path
            key={index}
            d={pathOf(wave, x, y)}
            fill="none"
            stroke={strong ? "var(--chakra-colors-violet)" : "currentColor"}
            strokeWidth={thin ? 0.7 : 1.6}
          />
        ))}
        {over && overY && (
          <path d={pathOf(over.wave, x, overY)} fill="none" stroke="var(--chakra-colors-violet)" strokeWidth={1.8} />
        )}
        <text x={PLOT.right} y={TALL - 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
          {say("waves-picture-ms", {
            unit,
            over: over
              ? say("waves-picture-violet", { unit: over.unit, max: counted(Math.max(...over.wave.values), 1) })
              : "",
            longest: counted(longest, 0),
          })}
        </text>
      </Svg>
    </Picture>
  );
}

function rowsOf(name: string, wave: Wave) {
  return wave.ms.map((ms, at) => [name, ms, wave.values[at] ?? null]);
}

function spoken(title: string, unit: string, wave: Wave | undefined) {
  const [low, high] = [Math.min(...(wave?.values ?? [0])), Math.max(...(wave?.values ?? [0]))];
  return say("waves-picture-from-to", { title, round: Math.round(low), round2: Math.round(high), unit });
}

function scaleOf(values: readonly number[], floor?: number) {
  const [low, high] = [Math.min(...values, floor ?? 0), Math.max(...values)];
  return scaleLinear([low, high], [PLOT.bottom, PLOT.top]).nice(3);
}

function pathOf(wave: Wave, x: (ms: number) => number, y: (value: number) => number): string {
  return pathThrough(wave.ms.map((ms, index) => [x(ms), y(wave.values[index] ?? 0)] as const));
}

const Svg = chakra("svg", {
  base: { width: "100%", maxWidth: "560px", fontSize: "0.8125rem", color: "ink", display: "block" },
});
