import { chakra } from "@chakra-ui/react";
import { scaleLinear } from "../../shared/scale";

import type { Figure, Schemas } from "../../shared/api";
import { useFound, useJob } from "../../shared/job";
import { Picture } from "../../shared/Picture";
import { useIsWide } from "../../shared/width";
import { say } from "../../shared/say";
import { counted } from "../../shared/language";

/** Wide, and for a phone, where the same letters must stay as large. */
const SIZES = {
  wide: { width: 640, height: 186, left: 40, right: 632, top: 14, foot: 138 },
  narrow: { width: 350, height: 186, left: 30, right: 338, top: 14, foot: 138 },
} as const;
const NARROW_BELOW = 561;
const QUIETEST = 30;
const LOUDEST = 80;

function spoken(levels: readonly Schemas["SweepLevel"][], skips: readonly { low: Figure; high: Figure }[]): string {
  const loudest = levels.reduce<Schemas["SweepLevel"] | null>(
    (most, one) => (most && most.level >= one.level ? most : one),
    null,
  );
  const bands = skips.map((band) =>
    say("sweep-picture-hz", { low: counted(band.low.value, 1), high: counted(band.high.value, 1) }),
  );
  return [
    say("sweep-picture-level-over-frequency"),
    loudest
      ? say("sweep-picture-loudest-at", { level: counted(loudest.level, 1), hertz: counted(loudest.hertz, 1) })
      : "",
    bands.length ? say("sweep-picture-bands", { bands: bands.join(", ") }) : say("sweep-picture-no-band"),
  ]
    .filter(Boolean)
    .join("; ");
}

/** What was heard over the frequencies: levels up and down, marks, and the bands that come of them. */
export function SweepPicture({ levels }: { levels: readonly Schemas["SweepLevel"][] }) {
  const { view } = useJob();
  const { setup } = useFound("setup");
  const { sweep } = setup;
  const size = SIZES[useIsWide(NARROW_BELOW) ? "wide" : "narrow"];
  const marks = view.document.setup?.sweep?.marks ?? [];
  if (!sweep || sweep.frequencies.length === 0 || (levels.length === 0 && marks.length === 0)) return null;
  const first = sweep.frequencies[0] ?? 0;
  const last = sweep.frequencies[sweep.frequencies.length - 1] ?? 50;
  const limit = view.document.setup?.sweep?.limit?.si ?? null;
  const x = scaleLinear([first, last], [size.left, size.right]);
  const seen = levels.map((one) => one.level).concat(limit ?? []);
  const y = scaleLinear([Math.min(QUIETEST, ...seen), Math.max(LOUDEST, ...seen)], [size.foot, size.top]).nice();
  const line = (going: string) =>
    levels
      .filter((one) => one.going === going)
      .map((one) => `${x(one.hertz).toFixed(1)},${y(one.level).toFixed(1)}`)
      .join(" ");
  return (
    <Picture
      title={say("sweep-picture-sound-level")}
      head={["Hz", "going", "dB(A)"]}
      rows={() => [
        ...levels.map((one) => [one.hertz, one.going, one.level]),
        ...marks.map((mark) => [
          mark.frequency?.si ?? null,
          mark.going ?? null,
          mark.level?.si ?? say("sweep-picture-marked-loud"),
        ]),
      ]}
    >
      <Svg viewBox={`0 0 ${size.width} ${size.height}`} role="img" aria-label={spoken(levels, sweep.skips)}>
        {levels.length > 0 &&
          y.ticks(4).map((tick) => (
            <g key={tick}>
              <line x1={size.left} x2={size.right} y1={y(tick)} y2={y(tick)} stroke="var(--chakra-colors-hair)" />
              <text x={size.left - 6} y={y(tick) + 4} textAnchor="end" fill="var(--chakra-colors-ink2)">
                {tick}
              </text>
            </g>
          ))}
        {sweep.skips.map((band) => (
          <rect
            key={band.low.value}
            x={x(band.low.value)}
            width={Math.max(x(band.high.value) - x(band.low.value), 2)}
            y={size.top}
            height={size.foot - size.top}
            fill="var(--chakra-colors-brick)"
            opacity={0.22}
          />
        ))}
        {limit !== null && levels.length > 0 && (
          <line
            x1={size.left}
            x2={size.right}
            y1={y(limit)}
            y2={y(limit)}
            stroke="var(--chakra-colors-ink)"
            strokeDasharray="2 4"
          />
        )}
        <polyline points={line("up")} fill="none" stroke="var(--chakra-colors-violet)" strokeWidth={2} />
        <polyline
          points={line("down")}
          fill="none"
          stroke="var(--chakra-colors-violet)"
          strokeWidth={2}
          strokeDasharray="5 4"
        />
        {marks.map((mark) =>
          mark.frequency ? (
            <path
              key={mark.id}
              d={`M${x(mark.frequency.si)} ${size.foot} l-5 9 h10 z`}
              fill="var(--chakra-colors-brick)"
            />
          ) : null,
        )}
        <line x1={size.left} x2={size.right} y1={size.foot} y2={size.foot} stroke="var(--chakra-colors-rule)" />
        {x.ticks(8).map((tick) => (
          <text key={tick} x={x(tick)} y={size.foot + 24} textAnchor="middle" fill="var(--chakra-colors-ink2)">
            {tick}
          </text>
        ))}
        <text x={size.right} y={size.height - 1} textAnchor="end" fill="var(--chakra-colors-ink2)">
          {say("sweep-picture-hz-drive")}
        </text>
        {levels.length > 0 && (
          <text x={size.left} y={10} fill="var(--chakra-colors-ink2)">
            {say("sweep-picture-db-line")}
          </text>
        )}
      </Svg>
    </Picture>
  );
}

const Svg = chakra("svg", {
  base: { width: "100%", display: "block", fontSize: "0.8125rem", mt: "6px", maxWidth: "720px" },
});
