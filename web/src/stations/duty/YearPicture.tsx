import { chakra } from "@chakra-ui/react";
import { scaleLinear } from "../../shared/scale";

import type { Schemas } from "../../shared/api";
import type { OptionStep } from "../../shared/found";
import { useFound, useJob } from "../../shared/job";
import { Picture } from "../../shared/Picture";
import { say } from "../../shared/say";
import { counted } from "../../shared/language";

const SIZE = { width: 682, height: 148, foot: 118, top: 22, left: 44, right: 640 };
const WHOLE_YEAR_H = 8760;
const NARROWEST_LABEL = 56;

interface Drawn {
  id: string;
  name: string;
  hours: number;
  share: number;
  watts: number | null;
}

function spoken(steps: readonly Drawn[]): string {
  const told = steps.map(({ name, hours, share, watts }) => {
    const power = watts === null ? "" : `, ${counted(Math.round(watts))} W`;
    return say("year-picture-h-full", {
      name: name || say("year-picture-step"),
      round: counted(Math.round(hours)),
      round2: Math.round(100 * share),
      power,
    });
  });
  return say("year-picture-year", { told: told.join("; ") });
}

/** The year as it is run: hours across, flow up as blocks, and along them the watts that the machine of today takes. */
export function YearPicture() {
  const { view } = useJob();
  const today = useFound("options").options.rows[0]?.id;
  const solved = useFound(`steps/${today ?? ""}`)[`steps/${today ?? ""}`];
  const told = drawnSteps(today ? solved : undefined, view.document.duty?.steps ?? []);
  if (told.length === 0) return null;
  const most = Math.max(...told.map((step) => step.watts ?? 0));
  const total = told.reduce((sum, step) => sum + step.hours, 0);
  const x = scaleLinear([0, Math.max(total, WHOLE_YEAR_H)], [SIZE.left, SIZE.right]);
  const y = scaleLinear([0, 1], [SIZE.foot, SIZE.top]);
  const watts = scaleLinear([0, most || 1], [SIZE.foot, SIZE.top]).nice(3);
  const starts = told.map((_, index) => told.slice(0, index).reduce((sum, step) => sum + step.hours, 0));
  return (
    <Picture
      title={say("year-picture-year-flow")}
      head={[
        say("year-picture-head-step"),
        say("year-picture-hours-year"),
        say("year-picture-flow-full"),
        say("year-picture-w-today"),
      ]}
      rows={() => told.map(({ name, hours, share, watts: taken }) => [name, hours, 100 * share, taken])}
    >
      <Svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} role="img" aria-label={spoken(told)}>
        {[0, 0.5, 1].map((share) => (
          <g key={share}>
            <line x1={SIZE.left} x2={SIZE.right} y1={y(share)} y2={y(share)} stroke="var(--chakra-colors-hair)" />
            <text x={SIZE.left - 6} y={y(share) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
              {share * 100} %
            </text>
          </g>
        ))}
        <text x={SIZE.left} y={11} fill="var(--chakra-colors-ink2)">
          {say("year-picture-blocks-flow")}
        </text>
        {most > 0 && (
          <>
            {watts.ticks(3).map((tick) => (
              <text key={tick} x={SIZE.right + 6} y={watts(tick) + 4} fill="var(--chakra-colors-ink2)">
                {counted(tick)}
              </text>
            ))}
            <text x={SIZE.width} y={11} textAnchor="end" fill="var(--chakra-colors-ink)">
              {say("year-picture-line-watts")}
            </text>
          </>
        )}
        {told.map((step, index) => (
          <StepBlock
            key={step.id}
            left={x(starts[index] ?? 0)}
            right={x((starts[index] ?? 0) + step.hours)}
            top={y(step.share)}
            watts={step.watts === null ? null : watts(step.watts)}
            name={step.name || say("year-picture-step-2", { index: index + 1 })}
          />
        ))}
        {[0, 2000, 4000, 6000, 8000].map((hours) => (
          <text key={hours} x={x(hours)} y={SIZE.foot + 17} textAnchor="middle" fill="var(--chakra-colors-ink2)">
            {counted(hours)}
          </text>
        ))}
        <text x={SIZE.width} y={SIZE.foot + 17} textAnchor="end" fill="var(--chakra-colors-ink2)">
          {say("year-picture-hours")}
        </text>
      </Svg>
    </Picture>
  );
}

interface BlockProps {
  left: number;
  right: number;
  top: number;
  watts: number | null;
  name: string;
}

function StepBlock({ left, right, top, watts, name }: BlockProps) {
  return (
    <g color="var(--chakra-colors-copper)">
      <rect
        x={left}
        y={top}
        width={Math.max(right - left - 1, 1)}
        height={SIZE.foot - top}
        fill="currentColor"
        opacity={0.22}
      />
      {watts !== null && (
        <line
          x1={left}
          x2={Math.max(right - 1, left + 1)}
          y1={watts}
          y2={watts}
          stroke="currentColor"
          strokeWidth={2.5}
        />
      )}
      {right - left > NARROWEST_LABEL && (
        <text x={left + 5} y={SIZE.foot - 6} fill="var(--chakra-colors-ink)">
          {name}
        </text>
      )}
    </g>
  );
}

/** The steps as the machine of today meets them; while it is not worked out, as they were typed. */
function drawnSteps(today: readonly OptionStep[] | undefined, typed: readonly Schemas["DutyStep"][]): Drawn[] {
  if (!today)
    return typed.flatMap(({ id, name, hours, flow_share: share }) =>
      hours && share ? [{ id, name, hours: hours.si, share: share.si, watts: null }] : [],
    );
  const full = Math.max(...today.map((step) => step.demand?.value ?? 0));
  return today.flatMap(({ id, name, hours, demand, input_power: power }) =>
    hours && demand ? [{ id, name, hours: hours.value, share: demand.value / full, watts: power?.value ?? null }] : [],
  );
}

const Svg = chakra("svg", { base: { width: "100%", display: "block", fontSize: "0.8125rem", mt: "6px" } });
