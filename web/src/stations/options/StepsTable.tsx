import { Box } from "@chakra-ui/react";
import { useMemo, useState } from "react";

import type { Figure } from "../../shared/api";
import { unitOf } from "../../shared/figures";
import type { Option, OptionStep } from "../../shared/found";
import { useFound, useSteps } from "../../shared/job";
import { colourOf } from "../../shared/marks";
import { Micro, Word } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { FigureText, PhraseText } from "../../shared/Words";
import { WorkedFigure } from "../../shared/Working";
import { StepPanel } from "./StepPanel";
import { say } from "../../shared/say";

type Step = OptionStep;
type WorkedPart = "flow" | "input_power" | "speed" | "shaft_power";

const MORE: readonly { part: keyof Step & string; label: string; quantity: string }[] = [
  { part: "speed", label: say("steps-table-speed"), quantity: "speed" },
  { part: "shaft_power", label: say("steps-table-shaft-power"), quantity: "shaft_power" },
  { part: "torque", label: say("steps-table-torque"), quantity: "torque" },
  { part: "pressure", label: say("steps-table-pressure"), quantity: "" },
  { part: "current", label: say("steps-table-line-amps"), quantity: "current" },
  { part: "power_factor", label: say("steps-table-power-factor"), quantity: "power_factor" },
  { part: "motor_efficiency", label: say("steps-table-motor-control"), quantity: "efficiency" },
  { part: "whole_efficiency", label: say("steps-table-wire-air"), quantity: "efficiency" },
];
const WORKED: readonly WorkedPart[] = ["flow", "input_power", "speed", "shaft_power"];

interface StepsTableProps {
  option: Option;
  /** What it is held against; itself where it is the baseline. */
  base: Option | null;
}

/** Each step of the year: its hours, what this option moves and takes, and what that saves against the baseline. */
export function StepsTable({ option, base }: StepsTableProps) {
  const { balance } = useFound("balance");
  const { units, currency } = useUnits();
  const [more, setMore] = useState(false);
  const beside = base && base.id !== option.id ? base : null;
  const heldId = beside?.id;
  const ids = useMemo(() => (heldId ? [option.id, heldId] : [option.id]), [option.id, heldId]);
  const solved = useSteps(ids);
  const steps = solved[option.id] ?? [];
  const before = beside ? (solved[beside.id] ?? []) : [];
  const flowUnit = unitOf(balance.flow_quantity, units, currency);
  return (
    <Box minWidth={0}>
      <Box
        as="table"
        width="100%"
        borderCollapse="collapse"
        css={TABLE}
        aria-label={say("steps-table-duty-steps-2", { letter: option.letter })}
      >
        <thead>
          <tr>
            <th>{say("steps-table-duty-steps")}</th>
            <th data-hours>{say("steps-table-hours")}</th>
            <th>{say("steps-table-moves", { flowUnit: flowUnit && `, ${flowUnit}` })}</th>
            {beside && (
              <th>
                <Of option={beside} />, W
              </th>
            )}
            <th>
              <Of option={option} />, W
            </th>
            {beside && <th>{say("steps-table-saves", { unitOf: unitOf("energy", units, currency) })}</th>}
          </tr>
        </thead>
        <tbody>
          {steps.map((step, index) => (
            <StepRows key={step.id} option={option} step={step} before={before[index]} more={more} />
          ))}
          <tr data-sum>
            <th>{say("steps-table-year", { unitOf: unitOf("energy", units, currency) })}</th>
            <td data-hours />
            <td />
            {beside && <td>{beside.energy.figure && <FigureText figure={beside.energy.figure} unit={false} />}</td>}
            <td>
              <WorkedFigure name={`energy-${option.letter}`} result={option.energy} unit={false} />
            </td>
            {beside && (
              <td>
                <WorkedFigure name={`saved-${option.letter}`} result={option.saved_energy} unit={false} />
              </td>
            )}
          </tr>
        </tbody>
      </Box>
      {beside && (
        <Micro display="block" pt="4px">
          {say("steps-table-year-counts", { letter: beside.letter })}
        </Micro>
      )}
      <Word type="button" mx="0" px="0" aria-expanded={more} onClick={() => setMore(!more)}>
        {more ? say("steps-table-fewer") : say("steps-table-speed-torque")}
      </Word>
      {steps.flatMap((step) =>
        WORKED.map((part) => (
          <StepPanel
            key={`${step.id}-${part}`}
            name={nameOf(option, step, part)}
            label={labelOf(option, step, part)}
            figure={step[part] ?? null}
            option={option.id}
            step={step.id}
            part={part}
          />
        )),
      )}
    </Box>
  );
}

function nameOf(option: Option, step: Step, part: WorkedPart) {
  return `${part}-${step.id}-${option.letter}`;
}

function labelOf(option: Option, step: Step, part: WorkedPart) {
  const words = {
    flow: say("steps-table-flow"),
    input_power: say("steps-table-input-power"),
    speed: say("steps-table-speed"),
    shaft_power: say("steps-table-shaft-power"),
  };
  return `${option.letter}, ${step.name || say("steps-table-full-flow")}: ${words[part]}`;
}

function Of({ option }: { option: Option }) {
  return (
    <Box as="b" color={colourOf(option.series)}>
      {option.letter}
    </Box>
  );
}

interface StepRowsProps {
  option: Option;
  step: Step;
  before: Step | undefined;
  more: boolean;
}

function StepRows({ option, step, before, more }: StepRowsProps) {
  const { balance } = useFound("balance");
  const { units } = useUnits();
  const setting = step.setting.length > 0;
  const alike = (part: WorkedPart) => (before && !step.differs.includes(part)) || undefined;
  return (
    <>
      <tr>
        <th>{step.name || say("steps-table-full-flow")}</th>
        <td data-hours>{step.hours ? <FigureText figure={step.hours} unit={false} /> : <Micro>–</Micro>}</td>
        <td data-alike={alike("flow")}>
          <StepFigure option={option} step={step} part="flow" />
        </td>
        {before && (
          <td>{before.input_power ? <FigureText figure={before.input_power} unit={false} line={false} /> : "–"}</td>
        )}
        <td data-alike={alike("input_power")}>
          <StepFigure option={option} step={step} part="input_power" />
        </td>
        {before && <td>{step.saved ? <FigureText figure={step.saved} unit={false} line={false} /> : "–"}</td>}
      </tr>
      {(setting || step.note || step.short || step.hours) && (
        <tr data-note data-hours-only={setting || step.note || step.short ? undefined : true}>
          <td colSpan={before ? 6 : 4}>
            {step.hours && (
              <span data-hours-below>
                <FigureText figure={step.hours} line={false} />.{" "}
              </span>
            )}
            {setting && (
              <>
                {say("steps-table-setting")}
                <PhraseText phrase={step.setting} />.{" "}
              </>
            )}
            {step.short && (
              <Box as="b" color="ochre">
                {say("steps-table-falls-short")}
                <FigureText figure={step.short} line={false} />.{" "}
              </Box>
            )}
            {step.note}
          </td>
        </tr>
      )}
      {more && (
        <tr data-note>
          <td colSpan={before ? 6 : 4}>
            {MORE.map(({ part, label, quantity }) => {
              const figure = step[part] as Figure | null;
              if (!figure) return null;
              const unit = unitOf(quantity || balance.pressure_quantity, units);
              const worked = WORKED.find((one) => one === part);
              return (
                <Box as="span" key={part} display="inline-block" mr="16px">
                  {label}{" "}
                  {worked ? (
                    <StepFigure option={option} step={step} part={worked} />
                  ) : (
                    <FigureText figure={figure} unit={false} line={false} />
                  )}{" "}
                  {unit}
                </Box>
              );
            })}
          </td>
        </tr>
      )}
    </>
  );
}

function StepFigure({ option, step, part }: { option: Option; step: Step; part: WorkedPart }) {
  const result = { label: labelOf(option, step, part), figure: step[part] ?? null };
  if (!result.figure) return <Micro>–</Micro>;
  return <WorkedFigure name={nameOf(option, step, part)} result={result} unit={false} later />;
}

const TABLE = {
  "& th, & td": { textAlign: "right", fontWeight: 400, py: "5px", pl: "10px", verticalAlign: "baseline" },
  "& th:first-of-type": { textAlign: "left", pl: 0 },
  "& thead th": { fontSize: "small", color: "ink2", borderBottom: "1px solid", borderColor: "rule" },
  "& thead th:first-of-type": { fontWeight: 600, color: "ink", fontSize: "text" },
  "& tbody tr:not([data-note]) + tr:not([data-note])": { borderTop: "1px solid", borderColor: "hair" },
  "& tr[data-note] td": { textAlign: "left", pl: 0, pt: 0, fontSize: "small", color: "ink2" },
  "& tr[data-note] + tr:not([data-note])": { borderTop: "1px solid", borderColor: "hair" },
  "& tr[data-sum] > *": { borderTop: "1px solid", borderColor: "rule" },
  "& tr[data-sum] th": { fontWeight: 600 },
  "& td[data-alike] [data-standing]": { fontWeight: 400, color: "ink2" },
  "& [data-hours-below], & [data-hours-only]": { display: "none" },
  // On a phone hours stand in the line below, and an uncertainty under its value.
  "@media (max-width: 560px)": {
    "& [data-hours]": { display: "none" },
    "& [data-hours-below]": { display: "inline" },
    "& [data-hours-only]": { display: "table-row" },
    "& tr:not([data-note]) [data-figure-uncertainty]": { display: "block", fontSize: "0.8125rem" },
    "& tr:not([data-note]) > *": { pl: "6px", fontSize: "0.875rem", verticalAlign: "top" },
    "& td button > [aria-hidden]": { display: "none" },
  },
};
