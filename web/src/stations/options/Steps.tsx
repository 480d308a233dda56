import { Box } from "@chakra-ui/react";
import { useState } from "react";

import type { Figure, Result, Schemas } from "../../shared/api";
import { unitOf } from "../../shared/figures";
import { useJob } from "../../shared/job";
import { Micro, Word } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { FigureText, PhraseText } from "../../shared/Words";
import { Cell, Letter, type Option, Panels, Row, useColumns, Worked } from "./columns";

type Step = Schemas["StepAnswer"];
type WorkedPart = "flow" | "speed" | "shaft_power" | "input_power";
type ToldPart = "pressure" | "current" | "power_factor" | "motor_efficiency" | "whole_efficiency";

const WORKED: readonly { part: WorkedPart; label: string }[] = [
  { part: "flow", label: "flow" },
  { part: "input_power", label: "input power" },
];
const WORKED_MORE: readonly { part: WorkedPart; label: string }[] = [
  { part: "speed", label: "speed" },
  { part: "shaft_power", label: "shaft power" },
];
const TOLD: readonly { part: ToldPart; label: string; unit: string }[] = [
  { part: "pressure", label: "pressure", unit: "" },
  { part: "current", label: "line amps", unit: "current" },
  { part: "power_factor", label: "power factor", unit: "power_factor" },
  { part: "motor_efficiency", label: "motor and control", unit: "efficiency" },
  { part: "whole_efficiency", label: "wire to air", unit: "efficiency" },
];

/** Every duty step of every option: what it moves, what it draws, what it is told; more on request. */
export function Steps() {
  const { shown } = useColumns();
  const [more, setMore] = useState(false);
  const steps = shown[0]?.steps ?? [];
  return (
    <>
      {steps.map((step, index) => (
        <OneStep key={step.id} step={step} index={index} more={more} />
      ))}
      <Word type="button" mx="0" px="0" aria-expanded={more} onClick={() => setMore(!more)}>
        {more ? "fewer rows" : "speed, shaft power, amps, power factor, efficiencies"}
      </Word>
    </>
  );
}

function OneStep({ step, index, more }: { step: Step; index: number; more: boolean }) {
  const { shown } = useColumns();
  const { balance } = useJob().assessment;
  const noted = shown.some((option) => option.steps[index]?.note || option.steps[index]?.short);
  return (
    <Box borderTop="1px solid" borderColor="rule" py="6px" role="group" aria-label={step.name || "full flow"}>
      <Box
        display="flex"
        gap="10px"
        alignItems="baseline"
        pb="2px"
        flexWrap="wrap"
        position="sticky"
        left="0"
        width="fit-content"
      >
        <Box as="h2" fontWeight={600}>
          {index === 0 ? "What does it move and draw? " : ""}
          {step.name || "full flow"}
        </Box>
        {step.hours && <FigureText figure={step.hours} />}
        {step.demand && (
          <Micro>
            asks for <FigureText figure={step.demand} line={false} />
          </Micro>
        )}
      </Box>
      {[...WORKED, ...(more ? WORKED_MORE : [])].map((row) => (
        <StepRow key={row.part} row={row} index={index} sort={index === 0} />
      ))}
      {more &&
        TOLD.map((row) => <ToldRow key={row.part} row={row} index={index} pressure={balance.pressure_quantity} />)}
      <Settings index={index} />
      {noted && (
        <Row align="start">
          {shown.map((option) => (
            <Note key={option.letter} option={option} step={option.steps[index]} />
          ))}
        </Row>
      )}
    </Box>
  );
}

function Note({ option, step }: { option: Option; step: Step | undefined }) {
  return (
    <Micro fontStyle="italic">
      {(step?.note || step?.short) && <Letter option={option} />}
      {step?.short && (
        <Box as="b" color="ochre" fontStyle="normal">
          falls short by <FigureText figure={step.short} line={false} />.{" "}
        </Box>
      )}
      {step?.note}
    </Micro>
  );
}

/** What each option is told at a step: tap, hertz, share of its command. */
function Settings({ index }: { index: number }) {
  const { shown } = useColumns();
  if (!shown.some((option) => option.steps[index]?.setting.length)) return null;
  return (
    <Row question="told">
      {shown.map((option) => (
        <Cell key={option.letter} option={option}>
          <Box as="span" fontSize="small">
            <PhraseText phrase={option.steps[index]?.setting ?? []} />
          </Box>
        </Cell>
      ))}
    </Row>
  );
}

function StepRow({ row, index, sort }: { row: { part: WorkedPart; label: string }; index: number; sort: boolean }) {
  const { shown } = useColumns();
  const { units } = useUnits();
  const { balance } = useJob().assessment;
  const name = `${row.part}-${shown[0]?.steps[index]?.id ?? ""}`;
  const resultOf = (option: Option): Result => {
    const step = option.steps[index];
    const title = `${option.letter}, ${step?.name || "full flow"}: ${row.label}`;
    return { label: title, figure: step?.[row.part] ?? null, working: step?.workings?.[row.part] ?? null };
  };
  const order = sort ? { flow: "flow", input_power: "watts" }[row.part as string] : undefined;
  return (
    <>
      <Row
        question={row.label}
        note={unitOf(row.part === "flow" ? balance.flow_quantity : row.part, units)}
        {...(order ? { sort: order } : {})}
      >
        {shown.map((option) => (
          <Worked key={option.letter} option={option} name={name} result={resultOf(option)} />
        ))}
      </Row>
      <Panels name={name} of={resultOf} />
    </>
  );
}

interface ToldProps {
  row: { part: ToldPart; label: string; unit: string };
  index: number;
  pressure: string;
}

function ToldRow({ row, index, pressure }: ToldProps) {
  const { shown } = useColumns();
  const { units } = useUnits();
  return (
    <Row question={row.label} note={unitOf(row.unit || pressure, units)}>
      {shown.map((option) => (
        <Cell key={option.letter} option={option}>
          <Told figure={option.steps[index]?.[row.part]} />
        </Cell>
      ))}
    </Row>
  );
}

function Told({ figure }: { figure: Figure | null | undefined }) {
  return figure ? <FigureText figure={figure} unit={false} line={false} /> : <Micro>–</Micro>;
}
