import { chakra } from "@chakra-ui/react";
import { useEffect, useRef } from "react";

import type { Schemas } from "../shared/api";
import { unitOf } from "../shared/figures";
import type { UnitSystem } from "../shared/reader";
import { Small } from "../shared/parts";
import { useUnits } from "../shared/units";
import { useIsWide } from "../shared/width";
import type { BenchDesk } from "./desk";
import { type Knob, knobText, meterText, type Turned, valueOf } from "./words";
import { say } from "../shared/say";
import { capital } from "../shared/casing";
import { counted } from "../shared/language";

type Rig = Schemas["RigView"];

const WIDTH = 682;
const HEIGHT = 166;
const TOP = 34;
const FOOT = 106;
const MIDDLE = (TOP + FOOT) / 2;
const AT = { filter: 128, fan: 282, damper: 470, outlets: 606 } as const;
const OUTLETS = 6;
/** Width from which the words in the drawing can be read. */
const TOLD_FROM = 561;
const WIRE = 148;
/** How much slower than its shaft a wheel is drawn to turn, so that the eye can follow. */
const SLOWED = 14;

interface DrawingProps {
  desk: BenchDesk;
  rig: Rig;
  applied: Turned;
  wanted: Turned;
}

/** The rig in section: what is turned is seen to change, and what waits to be turned is dashed. */
export function RigDrawing({ desk, rig, applied, wanted }: DrawingProps) {
  const { units } = useUnits();
  const wide = useIsWide(TOLD_FROM);
  const shownOf = (key: string) => told(rig.knobs, key, applied, units);
  const pump = rig.machine_type === "pump";
  const drawn = (
    <Svg
      viewBox={wide ? `0 0 ${WIDTH} ${HEIGHT}` : `0 ${TOP - 3} ${WIDTH} ${FOOT - TOP + 6}`}
      role="img"
      aria-label={spoken(rig, applied, units)}
      css={wide ? undefined : { "& text": { display: "none" } }}
    >
      <Duct rig={rig} applied={applied} air={shownOf("air_c")} />
      <Filter load={applied.filter} pump={pump} />
      <Fans desk={desk} rig={rig} applied={applied} />
      <Damper
        open={applied.open}
        wanted={wanted.open}
        words={say("rig-drawing-open", {
          pump: pump ? say("rig-drawing-valve") : say("rig-drawing-damper"),
          shownOf: shownOf("open"),
        })}
      />
      <Outlets open={applied.outlets} wanted={wanted.outlets} pump={pump} />
      {rig.lift + applied.lift > 0 && <Lift rig={rig} share={rig.lift + applied.lift} />}
      <Wiring desk={desk} rig={rig} applied={applied} units={units} />
      {applied.loop && <Loop desk={desk} rig={rig} applied={applied} words={shownOf("set_point")} units={units} />}
    </Svg>
  );
  if (wide) return drawn;
  // On a phone the words of a drawing would be too small: they stand below it.
  return (
    <>
      {drawn}
      <Small display="block">{spoken(rig, applied, units)}</Small>
    </>
  );
}

function told(knobs: readonly Knob[], key: string, controls: Turned, units: UnitSystem): string {
  const knob = knobs.find((one) => one.key === key && (!one.command || one.command === controls.command));
  return knob ? knobText(knob, valueOf(knob, controls), units) : "";
}

function spoken(rig: Rig, applied: Turned, units: UnitSystem) {
  const parts = rig.knobs.filter((knob) => valueOf(knob, applied) !== knob.built);
  const turned = parts.map((knob) => `${knob.label} ${knobText(knob, valueOf(knob, applied), units)}`);
  return `${capital(rig.name)}, ${rig.volts} V, ${rig.hertz} Hz. ${turned.length ? turned.join("; ") : say("rig-drawing-built")}.`;
}

function Duct({ rig, applied, air }: { rig: Rig; applied: Turned; air: string }) {
  const inside =
    rig.machine_type === "pump"
      ? say("rig-drawing-water")
      : air
        ? say("rig-drawing-air", { air })
        : say("rig-drawing-air-alone");
  return (
    <g>
      <path d={`M0,${TOP}H${AT.outlets}M0,${FOOT}H${AT.outlets}`} stroke="currentColor" strokeWidth={1.4} />
      <text x={20} y={MIDDLE - 8} fill="var(--chakra-colors-ink2)">
        {inside}
      </text>
      <Arrow x={20} y={MIDDLE + 6} length={44} faint={applied.bare} />
    </g>
  );
}

function Arrow({ x, y, length, faint = false }: { x: number; y: number; length: number; faint?: boolean }) {
  const colour = faint ? "var(--chakra-colors-hair)" : "var(--chakra-colors-ink2)";
  const [end, head] = [x + length, 5];
  return (
    <path
      d={`M${x},${y}H${end}M${end - head},${y - head}L${end},${y}L${end - head},${y + head}`}
      fill="none"
      stroke={colour}
    />
  );
}

const TEETH = 8;
const CLEAN_STROKE = 1.2;
const LOADED_AT = 12;

/** A loaded filter is drawn thicker; one that is out leaves its place dotted. */
function Filter({ load, pump }: { load: number; pump: boolean }) {
  const step = (FOOT - TOP) / TEETH;
  const zigzag = Array.from(
    { length: TEETH + 1 },
    (_, index) => `${AT.filter + (index % 2 ? 6 : -6)},${TOP + index * step}`,
  );
  const name = pump ? say("rig-drawing-strainer") : say("rig-drawing-filter");
  const words =
    load === 0
      ? say("rig-drawing-out", { name })
      : load === 1
        ? say("rig-drawing-clean", { name })
        : `${name} × ${load}`;
  return (
    <g>
      <polyline
        points={zigzag.join(" ")}
        fill="none"
        stroke="currentColor"
        strokeWidth={CLEAN_STROKE + (6 * Math.min(load, LOADED_AT)) / LOADED_AT}
        strokeDasharray={load === 0 ? "1 5" : undefined}
      />
      <Label x={AT.filter} y={TOP - 8}>
        {words}
      </Label>
    </g>
  );
}

function Label({
  x,
  y,
  strong = false,
  children,
}: {
  x: number;
  y: number;
  strong?: boolean;
  children: React.ReactNode;
}) {
  return (
    <text
      x={x}
      y={y}
      textAnchor="middle"
      fontWeight={strong ? 600 : 400}
      fill={strong ? "currentColor" : "var(--chakra-colors-ink2)"}
    >
      {children}
    </text>
  );
}

/** One machine, or several side by side of which some stand. */
function Fans({ desk, rig, applied }: Omit<DrawingProps, "wanted">) {
  const running = applied.fans || rig.fans;
  const tall = (FOOT - TOP) / rig.fans;
  return (
    <g>
      <rect x={AT.fan - 52} y={TOP} width={104} height={FOOT - TOP} fill="var(--chakra-colors-paper)" />
      <path
        d={`M${AT.fan - 52},${TOP}V${FOOT}M${AT.fan + 52},${TOP}V${FOOT}`}
        stroke="var(--chakra-colors-hair)"
        strokeDasharray="2 4"
      />
      {Array.from({ length: rig.fans }, (_, index) => (
        <Fan
          key={index}
          desk={desk}
          rig={rig}
          applied={applied}
          x={AT.fan}
          y={TOP + (index + 0.5) * tall}
          radius={tall / 2 - 3}
          turns={index < running}
        />
      ))}
    </g>
  );
}

interface FanProps extends Omit<DrawingProps, "wanted"> {
  x: number;
  y: number;
  radius: number;
  turns: boolean;
}

function Fan({ desk, rig, applied, x, y, radius, turns }: FanProps) {
  const wheel = useRef<SVGGElement>(null);
  useEffect(() => {
    if (!turns || window.matchMedia("(prefers-reduced-motion: reduce)").matches) return undefined;
    let [angle, last] = [0, performance.now()];
    return desk.watch(({ values }) => {
      const now = performance.now();
      angle = (angle + (((values.speed ?? 0) * 360) / 60 / SLOWED) * ((now - last) / 1000)) % 360;
      last = now;
      wheel.current?.setAttribute("transform", `rotate(${angle.toFixed(1)} ${x} ${y})`);
    });
  }, [desk, turns, x, y]);
  const ink = turns ? "currentColor" : "var(--chakra-colors-hair)";
  return (
    <g color="var(--chakra-colors-ink)">
      {rig.machine_type === "forward-curved" && <Scroll x={x} y={y} radius={radius} />}
      {rig.machine_type === "pump" && (
        <circle cx={x} cy={y} r={radius + 3} fill="none" stroke={ink} strokeWidth={1.4} />
      )}
      <g ref={wheel} data-wheel>
        {!applied.bare && (
          <path d={blades(rig.machine_type, x, y, radius)} fill="none" stroke={ink} strokeWidth={1.6} />
        )}
      </g>
      <circle
        cx={x}
        cy={y}
        r={radius * 0.42}
        fill="var(--chakra-colors-paper)"
        stroke="var(--chakra-colors-copper)"
        strokeWidth={2.2}
      />
      <circle cx={x} cy={y} r={2.4} fill="var(--chakra-colors-copper)" />
      {applied.drag > 0 && <Rub x={x} y={y} radius={radius} />}
    </g>
  );
}

/** The spiral round a forward-curved wheel. */
function Scroll({ x, y, radius }: { x: number; y: number; radius: number }) {
  const turns = Array.from({ length: 37 }, (_, index) => {
    const angle = (index / 36) * 1.75 * Math.PI - Math.PI / 2;
    const far = radius + 2 + (index / 36) * 11;
    return `${(x + far * Math.cos(angle)).toFixed(1)},${Math.min(Math.max(y + far * Math.sin(angle), TOP), FOOT).toFixed(1)}`;
  });
  return <polyline points={turns.join(" ")} fill="none" stroke="currentColor" strokeWidth={1.2} />;
}

const LOOKS = {
  "forward-curved": { count: 24, from: 0.78, lean: 0.16 },
  "backward-inclined": { count: 9, from: 0.5, lean: -0.55 },
  axial: { count: 5, from: 0.42, lean: 0.3 },
  pump: { count: 6, from: 0.45, lean: -0.75 },
} as const;

function blades(type: Rig["machine_type"], x: number, y: number, radius: number): string {
  const { count, from, lean } = LOOKS[type];
  const lines = Array.from({ length: count }, (_, index) => {
    const angle = (index / count) * 2 * Math.PI;
    const at = (share: number, turn: number) =>
      `${(x + radius * share * Math.cos(turn)).toFixed(1)},${(y + radius * share * Math.sin(turn)).toFixed(1)}`;
    return `M${at(from, angle)}L${at(1, angle + lean)}`;
  });
  return lines.join("");
}

function Rub({ x, y, radius }: { x: number; y: number; radius: number }) {
  return (
    <path
      d={`M${x + radius - 2},${y + 8}l6,4l-4,4l7,3`}
      fill="none"
      stroke="var(--chakra-colors-brick)"
      strokeWidth={2}
      aria-hidden
    />
  );
}

const BLADE = 29;

function Damper({ open, wanted, words }: { open: number; wanted: number; words: string }) {
  const blade = (share: number) => {
    const angle = (1 - share) * (Math.PI / 2);
    const [dx, dy] = [BLADE * Math.cos(angle), BLADE * Math.sin(angle)];
    return `M${AT.damper - dx},${MIDDLE + dy}L${AT.damper + dx},${MIDDLE - dy}`;
  };
  return (
    <g>
      {wanted !== open && <path d={blade(wanted)} stroke="currentColor" strokeDasharray="3 3" />}
      <path d={blade(open)} stroke="currentColor" strokeWidth={4} data-damper />
      <circle
        cx={AT.damper}
        cy={MIDDLE}
        r={3.4}
        fill="var(--chakra-colors-paper)"
        stroke="currentColor"
        strokeWidth={1.4}
      />
      <Label x={AT.damper} y={TOP - 8}>
        {words}
      </Label>
    </g>
  );
}

function Outlets({ open, wanted, pump }: { open: number; wanted: number; pump: boolean }) {
  const step = (FOOT - TOP) / OUTLETS;
  return (
    <g>
      {Array.from({ length: OUTLETS }, (_, index) => {
        const y = TOP + (index + 0.5) * step;
        const [isOpen, willBe] = [index < open, index < wanted];
        return (
          <g key={index}>
            {isOpen ? (
              <Arrow x={AT.outlets + 6} y={y} length={38} />
            ) : (
              <path d={`M${AT.outlets},${y - 5}v10`} stroke="currentColor" strokeWidth={4} />
            )}
            {isOpen !== willBe && (
              <circle cx={AT.outlets + 58} cy={y} r={3} fill="none" stroke="currentColor" strokeDasharray="2 2" />
            )}
          </g>
        );
      })}
      <Label x={AT.outlets + 24} y={TOP - 8}>
        {say("rig-drawing-of", {
          pump: pump ? say("rig-drawing-branches") : say("rig-drawing-outlets"),
          open,
          OUTLETS,
        })}
      </Label>
    </g>
  );
}

/** A tank that the pump must reach, the higher the more of its pressure is lift; or a pressure that the duct holds. */
function Lift({ rig, share }: { rig: Rig; share: number }) {
  const x = (AT.damper + AT.outlets) / 2 + 22;
  const words = `${Math.round(100 * share)} %`;
  if (rig.machine_type !== "pump")
    return (
      <Label x={x} y={MIDDLE + 4}>
        {say("rig-drawing-holds", { words })}
      </Label>
    );
  const foot = TOP - 4 - 20 * share;
  return (
    <g>
      <path
        d={`M${x - 16},${foot - 9}V${foot}H${x + 16}V${foot - 9}`}
        fill="none"
        stroke="currentColor"
        strokeWidth={1.4}
      />
      <path d={`M${x},${foot}V${TOP}`} stroke="currentColor" strokeWidth={1.4} />
      <Label x={x} y={MIDDLE + 4}>
        {say("rig-drawing-lift", { words })}
      </Label>
    </g>
  );
}

/** From the supply to the motor: drive and capacitor stand in between, each with what it is set to. */
function Wiring({ desk, rig, applied, units }: Omit<DrawingProps, "wanted"> & { units: UnitSystem }) {
  const output = useRef<SVGTSpanElement>(null);
  useEffect(
    () =>
      desk.watch(({ hertz }) => {
        const text = counted(hertz, 1);
        if (output.current && output.current.textContent !== text) output.current.textContent = text;
      }),
    [desk],
  );
  const volts = meterText("rated_voltage", rig.volts * applied.volts, units);
  const lineHertz = rig.drive || rig.electronic ? rig.hertz : applied.hertz || rig.hertz;
  const shownOf = (key: string) => told(rig.knobs, key, applied, units);
  const off = applied.unbalance > 0 ? say("rig-drawing-unbalanced", { shownOf: shownOf("unbalance") }) : "";
  const boxes = [
    rig.drive && { key: "drive", words: `${say("rig-drawing-drive")} ` },
    rig.electronic && { key: "told", words: say("rig-drawing-is-told", { value: shownOf("value") }) },
    rig.capacitor && {
      key: "tap",
      words: applied.tap === "low" ? say("rig-drawing-tap-low") : say("rig-drawing-tap-high"),
    },
  ].filter((box) => box !== false);
  return (
    <g>
      <text x={0} y={WIRE + 4} fill="currentColor">
        {say("rig-drawing-v-hz", { volts, lineHertz, off })}
      </text>
      <path d={`M150,${WIRE}H${AT.fan}V${FOOT - 20}`} fill="none" stroke="var(--chakra-colors-rule)" />
      {boxes.map(({ key, words }, index) => (
        <g key={key}>
          <rect
            x={160 + index * 104}
            y={WIRE - 12}
            width={98}
            height={24}
            fill="var(--chakra-colors-paper)"
            stroke="var(--chakra-colors-rule)"
          />
          <text x={209 + index * 104} y={WIRE + 4} textAnchor="middle" fill="currentColor">
            {words}
            {key === "drive" && (
              <>
                <tspan ref={output}>{applied.hertz || rig.hertz}</tspan> {unitOf("frequency", units)}
              </>
            )}
          </text>
        </g>
      ))}
      {rig.capacitor && <Capacitor left={applied.capacitor} words={shownOf("label")} />}
    </g>
  );
}

const SENSOR = { unit: 350, along: 560 } as const;

/** The sensor of a closed loop in the duct, its wire to the drive, and what it shows beside what it is to show. */
function Loop({
  desk,
  rig,
  applied,
  words,
  units,
}: Omit<DrawingProps, "wanted"> & { words: string; units: UnitSystem }) {
  const shows = useRef<SVGTSpanElement>(null);
  const quantity = rig.meters.find((one) => one.meter === "sensor")?.quantity ?? "pressure";
  useEffect(
    () =>
      desk.watch(({ values }) => {
        const text = meterText(quantity, values["sensor"] ?? 0, units);
        if (shows.current && shows.current.textContent !== text) shows.current.textContent = text;
      }),
    [desk, quantity, units],
  );
  const x = SENSOR[applied.sensor_at];
  return (
    <g data-loop>
      <path
        d={`M${x},${FOOT - 12}V${WIRE}H260`}
        fill="none"
        stroke="var(--chakra-colors-violet)"
        strokeDasharray="3 3"
      />
      <circle cx={x} cy={FOOT - 12} r={5} fill="var(--chakra-colors-paper)" stroke="var(--chakra-colors-violet)" />
      <text x={x + 8} y={WIRE + 4} fill="currentColor">
        {say("rig-drawing-shows")}
        <tspan ref={shows}>–</tspan>
        {say("rig-drawing-set", { words })}
      </text>
    </g>
  );
}

/** The run capacitor as a can that is as full as it is sound. */
function Capacitor({ left, words }: { left: number; words: string }) {
  const [x, y, tall] = [330, WIRE - 13, 26];
  const full = Math.min(left, 1) * (tall - 4);
  return (
    <g>
      <path d={`M${AT.fan},${WIRE}H${x}`} stroke="var(--chakra-colors-rule)" />
      <rect x={x} y={y} width={16} height={tall} fill="var(--chakra-colors-paper)" stroke="currentColor" />
      <rect
        x={x + 2}
        y={y + tall - 2 - full}
        width={12}
        height={full}
        fill="var(--chakra-colors-copper)"
        opacity={0.55}
      />
      <text x={x + 24} y={WIRE + 4} fill="currentColor">
        {words}, {left === 0 ? say("rig-drawing-open-2") : say("rig-drawing-left", { round: Math.round(left * 100) })}
      </text>
    </g>
  );
}

const Svg = chakra("svg", { base: { width: "100%", display: "block", fontSize: "0.8125rem", color: "ink" } });
