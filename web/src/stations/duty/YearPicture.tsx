import { chakra } from "@chakra-ui/react";
import { scaleLinear } from "d3-scale";

import type { Schemas } from "../../shared/api";

const SIZE = { width: 682, height: 118, foot: 92, top: 10, left: 44 };
const WHOLE_YEAR_H = 8760;
const NARROWEST_LABEL = 56;

/** The year as it is run: hours across, flow up; what is left over is off. */
export function YearPicture({ steps }: { steps: Schemas["DutyStep"][] }) {
  const told = steps.filter((step) => step.hours && step.flow_share);
  if (told.length === 0) return null;
  const total = told.reduce((sum, step) => sum + (step.hours?.si ?? 0), 0);
  const x = scaleLinear([0, Math.max(total, WHOLE_YEAR_H)], [SIZE.left, SIZE.width]);
  const y = scaleLinear([0, 1], [SIZE.foot, SIZE.top]);
  const starts = told.map((_, index) => told.slice(0, index).reduce((sum, step) => sum + (step.hours?.si ?? 0), 0));
  return (
    <Svg viewBox={`0 0 ${SIZE.width} ${SIZE.height}`} role="img" aria-label="The year: hours across, flow up">
      {[0, 0.5, 1].map((share) => (
        <g key={share}>
          <line x1={SIZE.left} x2={SIZE.width} y1={y(share)} y2={y(share)} stroke="var(--chakra-colors-hair)" />
          <text x={SIZE.left - 6} y={y(share) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
            {share * 100} %
          </text>
        </g>
      ))}
      {told.map((step, index) => {
        const [left, right] = [x(starts[index] ?? 0), x((starts[index] ?? 0) + (step.hours?.si ?? 0))];
        const top = y(step.flow_share?.si ?? 0);
        return (
          <g key={step.id} color="var(--chakra-colors-copper)">
            <rect
              x={left}
              y={top}
              width={Math.max(right - left - 1, 1)}
              height={SIZE.foot - top}
              fill="currentColor"
              opacity={0.26}
            />
            <line
              x1={left}
              x2={Math.max(right - 1, left + 1)}
              y1={top}
              y2={top}
              stroke="currentColor"
              strokeWidth={2.5}
            />
            {right - left > NARROWEST_LABEL && (
              <text x={left + 5} y={SIZE.foot - 6} fill="var(--chakra-colors-ink)">
                {step.name || `step ${index + 1}`}
              </text>
            )}
          </g>
        );
      })}
      {[0, 2000, 4000, 6000, 8000].map((hours) => (
        <text key={hours} x={x(hours)} y={SIZE.foot + 17} textAnchor="middle" fill="var(--chakra-colors-ink2)">
          {hours.toLocaleString("en")}
        </text>
      ))}
      <text x={SIZE.width} y={SIZE.foot + 17} textAnchor="end" fill="var(--chakra-colors-ink2)">
        hours
      </text>
    </Svg>
  );
}

const Svg = chakra("svg", { base: { width: "100%", display: "block", fontSize: "12px", mt: "6px" } });
