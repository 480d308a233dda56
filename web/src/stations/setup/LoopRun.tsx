import { Box, chakra } from "@chakra-ui/react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { scaleLinear } from "../../shared/scale";
import { useEffect } from "react";

import type { Refused, Schemas } from "../../shared/api";
import { unitOf, inUnits } from "../../shared/figures";
import { useFound, useJob } from "../../shared/job";
import { Press } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { loopRunEnded, loopRunNow } from "./acts";
import { Picture } from "../../shared/Picture";
import { say } from "../../shared/say";

const LOOK_EVERY_MS = 500;
const SIZE = { width: 640, height: 210, left: 46, right: 590, top: 22, foot: 178 } as const;

type Run = Schemas["LoopRunView"];

/** A step test or a watch while it runs, and as it ended: the value at the sensor, its set point, and the drive's hertz. */
export function LoopRunPanel({ kind }: { kind: Run["kind"] }) {
  const { desk, view } = useJob();
  const queries = useQueryClient();
  const key = ["loop-run", view.id];
  const now = useQuery<Schemas["LoopRunAnswer"], Refused>({
    queryKey: key,
    queryFn: () => loopRunNow(view.id),
    refetchInterval: (query) => (query.state.data?.run?.state === "running" ? LOOK_EVERY_MS : 2 * LOOK_EVERY_MS),
  });
  const run = now.data?.run?.kind === kind ? now.data.run : null;
  const state = run?.state ?? null;
  useEffect(() => {
    if (state === "done" || state === "stopped") void desk.load();
  }, [state, desk]);
  const end = useMutation<unknown, Refused>({
    mutationFn: () => loopRunEnded(view.id),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
  });
  if (!run) return null;
  return (
    <Box py="8px" data-loop-run={state}>
      <Box role="status" fontWeight={600}>
        {state === "running" ? running(run) : run.sentence}
      </Box>
      <Trace run={run} />
      {state === "running" && (
        <Press type="button" onClick={() => end.mutate()} disabled={end.isPending}>
          {say("loop-run-end-here")}
        </Press>
      )}
      {(end.error ?? now.error) && <Box role="alert">{(end.error ?? now.error)?.message}</Box>}
    </Box>
  );
}

function running(run: Run) {
  if (run.kind === "step") return run.stepped_s == null ? say("loop-run-waits-until") : say("loop-run-stepped-follows");
  return run.stepped_s == null ? say("loop-run-set-point") : say("loop-run-moved-back");
}

function spoken(values: readonly number[], seconds: number, unit: string): string {
  const said = (value: number | undefined) => `${(value ?? 0).toPrecision(3)} ${unit}`.trim();
  const ends = say("loop-run-from-to", { said: said(values[0]), said2: said(values.at(-1)) });
  return say("loop-run-value-sensor", {
    round: Math.round(seconds),
    ends,
    said: said(Math.min(...values)),
    said2: said(Math.max(...values)),
  });
}

/** The value over time, left; hertz, right and dashed; dotted: where the command or set point was moved. */
function Trace({ run }: { run: Run }) {
  const { units, currency } = useUnits();
  const { loop } = useFound("setup").setup;
  const samples = run.samples;
  if (!loop || samples.length < 2) return null;
  const quantity = loop.set_point.figure?.quantity ?? "pressure";
  const shown = (si: number) => inUnits(quantity, si, units);
  const set = loop.set_point.figure && run.kind === "watch" ? shown(loop.set_point.figure.value) : null;
  const values = samples.map((one) => shown(one.value));
  const last = samples[samples.length - 1]?.at_s ?? 1;
  const x = scaleLinear([0, Math.max(last, 10)], [SIZE.left, SIZE.right]);
  const all = set === null ? values : [...values, set];
  const y = scaleLinear([Math.min(...all), Math.max(...all)], [SIZE.foot, SIZE.top]).nice(4);
  const hertz = scaleLinear([0, loop.full.value], [SIZE.foot, SIZE.top]);
  const line = (of: (index: number) => number) =>
    samples.map((one, index) => `${x(one.at_s).toFixed(1)},${of(index).toFixed(1)}`).join(" ");
  return (
    <Picture
      title={say("loop-run-value-sensor-over")}
      head={["s", unitOf(quantity, units, currency) || say("loop-run-value"), "Hz"]}
      rows={() => samples.map((one, place) => [one.at_s, values[place] ?? null, one.hertz])}
    >
      <Svg
        viewBox={`0 0 ${SIZE.width} ${SIZE.height}`}
        role="img"
        aria-label={spoken(values, last, unitOf(quantity, units, currency))}
      >
        {y.ticks(4).map((tick) => (
          <g key={tick}>
            <line x1={SIZE.left} x2={SIZE.right} y1={y(tick)} y2={y(tick)} stroke="var(--chakra-colors-hair)" />
            <text x={SIZE.left - 6} y={y(tick) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
              {tick}
            </text>
          </g>
        ))}
        {hertz.ticks(4).map((tick) => (
          <text key={tick} x={SIZE.right + 6} y={hertz(tick) + 4} fill="var(--chakra-colors-violet)">
            {tick}
          </text>
        ))}
        {set !== null && (
          <line
            x1={SIZE.left}
            x2={SIZE.right}
            y1={y(set)}
            y2={y(set)}
            stroke="var(--chakra-colors-ink)"
            strokeDasharray="1 4"
          />
        )}
        {run.stepped_s != null && (
          <line
            x1={x(run.stepped_s)}
            x2={x(run.stepped_s)}
            y1={SIZE.top}
            y2={SIZE.foot}
            stroke="var(--chakra-colors-ink2)"
            strokeDasharray="2 4"
          />
        )}
        <polyline
          points={line((index) => hertz(samples[index]?.hertz ?? 0))}
          fill="none"
          stroke="var(--chakra-colors-violet)"
          strokeDasharray="5 4"
          strokeWidth={1.5}
        />
        <polyline
          points={line((index) => y(values[index] ?? 0))}
          fill="none"
          stroke="var(--chakra-colors-copper)"
          strokeWidth={2}
        />
        <line x1={SIZE.left} x2={SIZE.right} y1={SIZE.foot} y2={SIZE.foot} stroke="var(--chakra-colors-rule)" />
        {x.ticks(6).map((tick) => (
          <text key={tick} x={x(tick)} y={SIZE.foot + 18} textAnchor="middle" fill="var(--chakra-colors-ink2)">
            {tick}
          </text>
        ))}
        <text x={SIZE.right} y={SIZE.height - 1} textAnchor="end" fill="var(--chakra-colors-ink2)">
          s
        </text>
        <text x={SIZE.left} y={12} fill="var(--chakra-colors-ink2)">
          {say("loop-run-sensor", {
            unitOf: unitOf(quantity, units, currency),
            set: set === null ? "" : say("loop-run-dotted-set"),
          })}
        </text>
        <text x={SIZE.right + 40} y={12} textAnchor="end" fill="var(--chakra-colors-violet)">
          {say("loop-run-hz-dashed")}
        </text>
      </Svg>
    </Picture>
  );
}

const Svg = chakra("svg", {
  base: { width: "100%", display: "block", fontSize: "0.8125rem", mt: "6px", maxWidth: "720px" },
});
