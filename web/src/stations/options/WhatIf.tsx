import { Box, chakra } from "@chakra-ui/react";

import type { Entry } from "../../shared/api";
import { inUnits } from "../../shared/figures";
import { useField, useJob } from "../../shared/job";
import { Micro } from "../../shared/parts";
import { useUnits } from "../../shared/units";

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
function Slider({ path, label, low, high, step, usual, said, text, read }: SliderProps) {
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

/** What is dragged most: the price, the hours of the longest step, the filter's state. */
export function WhatIf() {
  const { view } = useJob();
  const { units, currency } = useUnits();
  const steps = view.document.duty?.steps ?? [];
  const longest = [...steps].filter((step) => step.hours).sort((a, b) => (b.hours?.si ?? 0) - (a.hours?.si ?? 0))[0];
  const hours = (value: number) => Math.round(value).toLocaleString("en");
  return (
    <Box
      role="group"
      aria-label="What if"
      display="grid"
      gridTemplateColumns={{ base: "1fr", md: "1fr 1fr 1fr" }}
      gap="0 20px"
      py="6px"
      borderBottom="1px solid"
      borderColor="hair"
    >
      <Slider
        path="duty/energy_price"
        label="Energy price"
        low={0.05}
        high={0.8}
        step={0.01}
        usual={0.2}
        said={(value) => `${value.toFixed(2)} ${currency ?? ""} per kWh`}
        text={(value) => `${value.toFixed(2)} per kWh`}
        read={(entry) => entry.si}
      />
      {longest && (
        <Slider
          path={`duty/steps/${longest.id}/hours`}
          label={`Hours, ${longest.name || "longest step"}`}
          low={100}
          high={8700}
          step={50}
          usual={2000}
          said={(value) => `${hours(value)} h`}
          text={(value) => `${Math.round(value)} h`}
          read={(entry) => entry.si}
        />
      )}
      <Slider
        path="options/tightness"
        label={view.machine.wheel === "centrifugal pump" ? "Circuit, tighter" : "System, filter loaded"}
        low={60}
        high={250}
        step={5}
        usual={140}
        said={(value) => `${Math.round(value)} %`}
        text={(value) => `${Math.round(value)} %`}
        read={(entry) => inUnits("tightness", entry.si, units)}
      />
      <Micro gridColumn="1 / -1">
        Drag, and everything below follows; what you let go of is kept, and can be undone.
      </Micro>
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
