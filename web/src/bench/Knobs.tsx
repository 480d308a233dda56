import { Box, chakra } from "@chakra-ui/react";
import { memo, useState } from "react";

import { Cell, Press, Small } from "../shared/parts";
import { useUnits } from "../shared/units";
import type { BenchDesk } from "./desk";
import { type Knob, knobsNow, knobText, PART_WORDS, type Turned, valueOf } from "./words";
import { say } from "../shared/say";

interface KnobsProps {
  desk: BenchDesk;
  knobs: readonly Knob[];
  wanted: Turned;
  applied: Turned;
}

/** The knobs of one part at a time; the part is picked above them, and one that was turned says so. */
export function Knobs({ desk, knobs, wanted, applied }: KnobsProps) {
  const now = knobsNow(knobs, wanted);
  const parts = [...new Set(now.map((knob) => knob.part))];
  const [picked, setPicked] = useState<Knob["part"] | null>(null);
  const part = parts.find((one) => one === picked) ?? parts.find((one) => one === "duct" || one === "pipe");
  const isTurned = (one: Knob["part"]) => now.some((knob) => knob.part === one && valueOf(knob, wanted) !== knob.built);
  return (
    <Box as="section" aria-label={say("knobs-knobs")}>
      <Box
        role="group"
        aria-label={say("knobs-parts-rig")}
        display="flex"
        flexWrap="wrap"
        borderTop="1px solid"
        borderColor="hair"
      >
        {parts.map((one) => (
          <PartCell
            key={one}
            type="button"
            aria-pressed={one === part}
            chosen={one === part ? "yes" : undefined}
            onClick={() => setPicked(one)}
          >
            {PART_WORDS[one]}
            {isTurned(one) && <span aria-label={say("knobs-turned")}> ·</span>}
          </PartCell>
        ))}
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr", lg: "1fr 1fr 1fr" }} gap="0 20px" py="4px">
        {now
          .filter((knob) => knob.part === part)
          .map((knob) =>
            knob.choices.length ? (
              <Switch key={knob.label} desk={desk} knob={knob} at={valueOf(knob, wanted)} />
            ) : (
              <Slide
                key={knob.label}
                desk={desk}
                knob={knob}
                at={valueOf(knob, wanted) as number}
                was={valueOf(knob, applied) as number}
              />
            ),
          )}
      </Box>
    </Box>
  );
}

const PartCell = chakra("button", {
  base: { minHeight: "44px", px: "11px", fontSize: "small", color: "ink2", borderBottom: "3px solid transparent" },
  variants: { chosen: { yes: { color: "ink", fontWeight: 600, borderBottomColor: "ink" } } },
});

/** A knob that slides, with a button to each side for a hand in a glove. */
const Slide = memo(function Slide({ desk, knob, at, was }: { desk: BenchDesk; knob: Knob; at: number; was: number }) {
  const { units } = useUnits();
  const set = (value: number) =>
    desk.set(knob.key as keyof Turned, clean(Math.min(Math.max(value, knob.low), knob.high)));
  const id = `knob-${knob.key}-${knob.command ?? ""}`;
  return (
    <Box minWidth={0} py="4px" data-knob={knob.key}>
      <Box display="flex" justifyContent="space-between" alignItems="baseline" gap="8px">
        <Box as="label" {...{ htmlFor: id }} fontSize="small" whiteSpace="nowrap">
          {knob.label}
        </Box>
        <Box textAlign="right" lineHeight={1.25}>
          <b data-value>{knobText(knob, at, units)}</b>
          {at !== was && <Small>{say("knobs-now", { knobText: knobText(knob, was, units) })}</Small>}
          {knob.words && <Small> {knob.words}</Small>}
        </Box>
      </Box>
      <Box display="flex" alignItems="center" gap="6px">
        <Press
          type="button"
          aria-label={say("knobs-less", { knob: knob.label })}
          onClick={() => set(at - knob.step)}
          disabled={at <= knob.low}
        >
          −
        </Press>
        <Range
          id={id}
          type="range"
          min={knob.low}
          max={knob.high}
          step={knob.step}
          value={at}
          aria-valuetext={knobText(knob, at, units)}
          onChange={(event) => set(Number(event.target.value))}
        />
        <Press
          type="button"
          aria-label={say("knobs-more", { knob: knob.label })}
          onClick={() => set(at + knob.step)}
          disabled={at >= knob.high}
        >
          +
        </Press>
      </Box>
    </Box>
  );
});

/** Steps of a twentieth must not leave the tail of a sum of them. */
function clean(value: number) {
  return Number(value.toFixed(6));
}

const Range = chakra("input", {
  base: { flex: 1, minWidth: 0, height: "44px", accentColor: "var(--chakra-colors-ink)", cursor: "pointer" },
});

const Switch = memo(function Switch({ desk, knob, at }: { desk: BenchDesk; knob: Knob; at: Turned[keyof Turned] }) {
  return (
    <Box role="radiogroup" aria-label={knob.label} py="4px" data-knob={knob.key}>
      <Box fontSize="small">{knob.label}</Box>
      <Box display="flex" flexWrap="wrap">
        {knob.choices.map((choice) => (
          <Cell
            key={String(choice.value)}
            type="button"
            role="radio"
            aria-checked={choice.value === at}
            chosen={choice.value === at ? "yes" : undefined}
            onClick={() => desk.set(knob.key as keyof Turned, choice.value as Turned[keyof Turned])}
          >
            {choice.words}
          </Cell>
        ))}
      </Box>
    </Box>
  );
});
