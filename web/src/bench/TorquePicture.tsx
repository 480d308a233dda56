import { chakra } from "@chakra-ui/react";
import { scaleLinear } from "../shared/scale";

import type { Schemas } from "../shared/api";
import { inUnits, unitOf } from "../shared/figures";
import { SeriesMark } from "../shared/marks";
import { Picture } from "../shared/Picture";
import { pathThrough } from "../shared/path";
import { useUnits } from "../shared/units";
import { meterText } from "./words";
import { say } from "../shared/say";
import { counted } from "../shared/language";

const WIDTH = 340;
const HEIGHT = 300;
const PLOT = { left: 40, right: 322, top: 22, bottom: 252 };

interface TorqueProps {
  plane: Schemas["TorquePlane"];
  speed: number;
  torque: number;
  slip: number;
}

/** Torque against speed: motor and load meet; the slip is the distance from there to the speed of the field. */
export function TorquePicture({ plane, speed, torque, slip }: TorqueProps) {
  const { units } = useUnits();
  const torqueIn = (value: number) => inUnits("torque", value, units);
  const fastest = Math.max(...plane.speed, plane.field ?? 0, speed);
  const most = Math.max(...plane.motor.map(torqueIn), torqueIn(torque));
  const x = scaleLinear([0, fastest * 1.02], [PLOT.left, PLOT.right]);
  const y = scaleLinear([0, most * 1.06 || 1], [PLOT.bottom, PLOT.top]).nice(5);
  const [, top = 1] = y.domain;
  const path = (torques: readonly number[]) =>
    pathThrough(
      plane.speed
        .map((rpm, index) => [rpm, torques[index] ?? 0] as const)
        .filter(([, value]) => value >= 0 && torqueIn(value) <= top * 1.001)
        .map(([rpm, value]) => [x(rpm), y(torqueIn(value))] as const),
    );
  const [atX, atY] = [x(speed), y(torqueIn(torque))];
  const said = say("torque-picture-rpm", {
    meterText: meterText("speed", speed, units),
    meterText2: meterText("torque", torque, units),
    unitOf: unitOf("torque", units),
  });
  const slips = plane.field !== null && slip > 0;
  return (
    <Picture
      title={say("torque-picture-torque-against-speed")}
      head={[
        "rpm",
        say("torque-picture-motor", { unitOf: unitOf("torque", units) }),
        say("torque-picture-load", { unitOf: unitOf("torque", units) }),
      ]}
      rows={() =>
        plane.speed.map((rpm, place) => [rpm, torqueIn(plane.motor[place] ?? 0), torqueIn(plane.load[place] ?? 0)])
      }
    >
      <Svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={say("torque-picture-torque-against", { said })}
        data-torque
      >
        {y.ticks(5).map((tick) => (
          <g key={tick}>
            <line x1={PLOT.left} x2={PLOT.right} y1={y(tick)} y2={y(tick)} stroke="var(--chakra-colors-hair)" />
            <text x={PLOT.left - 6} y={y(tick) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
              {tick}
            </text>
          </g>
        ))}
        {x.ticks(5).map((tick) => (
          <text key={tick} x={x(tick)} y={PLOT.bottom + 16} textAnchor="middle" fill="var(--chakra-colors-ink2)">
            {counted(tick)}
          </text>
        ))}
        <text x={0} y={12} fill="var(--chakra-colors-ink2)">
          {say("torque-picture-torque", { unitOf: unitOf("torque", units) })}
        </text>
        <text x={PLOT.right} y={PLOT.bottom + 32} textAnchor="end" fill="var(--chakra-colors-ink2)">
          {say("torque-picture-speed-rpm")}
        </text>
        <path d={path(plane.motor)} fill="none" stroke="var(--chakra-colors-copper)" strokeWidth={2.4} />
        <path d={path(plane.load)} fill="none" stroke="currentColor" strokeWidth={1.5} />
        <Names plane={plane} x={x} y={(value) => y(torqueIn(value))} />
        {plane.field !== null && (
          <g>
            <line
              x1={x(plane.field)}
              x2={x(plane.field)}
              y1={PLOT.top}
              y2={PLOT.bottom}
              stroke="currentColor"
              strokeDasharray="1 3"
            />
            <text x={x(plane.field) - 4} y={PLOT.top + 10} textAnchor="end" fill="currentColor">
              {say("torque-picture-field-rpm", { field: counted(plane.field) })}
            </text>
          </g>
        )}
        {slips && plane.field !== null && (
          <g color="var(--chakra-colors-copper)">
            <line x1={atX} x2={x(plane.field)} y1={atY} y2={atY} stroke="currentColor" strokeWidth={4} opacity={0.5} />
            <text
              x={Math.min(atX, PLOT.right - 60) - 8}
              y={atY - 9}
              textAnchor="end"
              fill="currentColor"
              fontWeight={600}
            >
              {say("torque-picture-slip", { meterText: meterText("slip", slip, units) })}
            </text>
          </g>
        )}
        <g color="var(--chakra-colors-copper)">
          <SeriesMark series="copper" x={atX} y={atY} />
        </g>
      </Svg>
    </Picture>
  );
}

function Names({
  plane,
  x,
  y,
}: {
  plane: Schemas["TorquePlane"];
  x: (rpm: number) => number;
  y: (nm: number) => number;
}) {
  const place = Math.floor(plane.speed.length * 0.24);
  const [rpm, motor, load] = [plane.speed[place] ?? 0, plane.motor[place] ?? 0, plane.load[place] ?? 0];
  return (
    <g>
      <text x={x(rpm) - 8} y={y(motor)} textAnchor="end" fill="var(--chakra-colors-copper)" fontWeight={600}>
        {plane.field === null ? say("torque-picture-limit") : say("torque-picture-motor-2")}
      </text>
      <text x={x(rpm) - 8} y={y(load) - 4} textAnchor="end" fill="currentColor">
        {say("torque-picture-load-2")}
      </text>
    </g>
  );
}

const Svg = chakra("svg", { base: { width: "100%", maxWidth: "560px", fontSize: "0.8125rem", color: "ink" } });
