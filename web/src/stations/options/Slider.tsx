import { Box, chakra } from "@chakra-ui/react";

import type { Entry } from "../../shared/api";
import { useField } from "../../shared/job";

interface SliderProps {
  path: string;
  label: string;
  low: number;
  high: number;
  step: number;
  /** Where it stands while nothing is typed. */
  usual: number;
  said: (value: number) => string;
  text: (value: number) => string;
  read: (entry: Entry) => number;
}

/** A value that is dragged: the comparison follows while it moves, and it is kept when it is let go. */
export function Slider({ path, label, low, high, step, usual, said, text, read }: SliderProps) {
  const { value, draft, desk } = useField<Entry>(path);
  const typed = draft ? Number.parseFloat(draft.text) : NaN;
  const now = Number.isFinite(typed) ? typed : value ? read(value) : usual;
  const shown = Math.min(Math.max(now, low), high);
  const let_go = () => desk.leave(path, "");
  return (
    <Box as="label" display="block" minWidth={0} data-slider={path}>
      <Box display="flex" justifyContent="space-between" gap="8px" fontSize="small">
        <span>{label}</span>
        <b>{said(now)}</b>
      </Box>
      <Range
        type="range"
        aria-label={label}
        aria-valuetext={said(now)}
        min={low}
        max={high}
        step={step}
        value={shown}
        onFocus={() => desk.enter(path)}
        onChange={(event) => desk.type(path, text(Number(event.target.value)))}
        onPointerUp={let_go}
        onKeyUp={let_go}
        onBlur={let_go}
      />
    </Box>
  );
}

const Range = chakra("input", {
  base: {
    width: "100%",
    minHeight: "44px",
    my: "-6px",
    accentColor: "var(--chakra-colors-ink)",
    cursor: "pointer",
  },
});
