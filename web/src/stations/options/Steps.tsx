import { Box } from "@chakra-ui/react";
import { memo, useState } from "react";

import type { Figure, Schemas } from "../../shared/api";
import { unitOf } from "../../shared/figures";
import { Micro, Word } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { FigureText, PhraseText } from "../../shared/Words";
import { WorkedFigure } from "../../shared/Working";
import { Cell, InSight, Letter, memoByCells, type Option, Row, type Whose } from "./columns";
import { StepPanel } from "./StepPanel";

type Step = Schemas["StepAnswer"];
type WorkedPart = "flow" | "speed" | "shaft_power" | "input_power";
type ToldPart = "pressure" | "torque" | "current" | "power_factor" | "motor_efficiency" | "whole_efficiency";
type Answering = Pick<Option, "letter" | "id" | "series" | "stop" | "steps">;

/** One option at one step. */
interface StepCell extends Whose {
  id: string;
  step: Step | undefined;
}

interface Quantities {
  flow: string;
  pressure: string;
}

const WORKED: readonly { part: WorkedPart; label: string; sort?: string }[] = [
  { part: "flow", label: "flow", sort: "flow" },
  { part: "input_power", label: "input power", sort: "watts" },
];
const WORKED_MORE: readonly { part: WorkedPart; label: string; sort?: string }[] = [
  { part: "speed", label: "speed" },
  { part: "shaft_power", label: "shaft power" },
];
const TOLD: readonly { part: ToldPart; label: string; unit: string }[] = [
  { part: "pressure", label: "pressure", unit: "" },
  { part: "torque", label: "torque", unit: "torque" },
  { part: "current", label: "line amps", unit: "current" },
  { part: "power_factor", label: "power factor", unit: "power_factor" },
  { part: "motor_efficiency", label: "motor and control", unit: "efficiency" },
  { part: "whole_efficiency", label: "wire to air", unit: "efficiency" },
];

interface StepsProps {
  cells: readonly Answering[];
  flow: string;
  pressure: string;
}

/** Every duty step of every option: what it moves, what it draws, what it is told; more on request. */
export const Steps = memoByCells(function Steps({ cells, flow, pressure }: StepsProps) {
  const [more, setMore] = useState(false);
  const steps = cells[0]?.steps ?? [];
  return (
    <>
      {steps.map((step, index) => (
        <OneStep
          key={step.id}
          cells={cells.map((option) => ({
            letter: option.letter,
            series: option.series,
            stop: option.stop,
            id: option.id,
            step: option.steps[index],
          }))}
          first={index === 0}
          more={more}
          flow={flow}
          pressure={pressure}
        />
      ))}
      <Word type="button" mx="0" px="0" aria-expanded={more} onClick={() => setMore(!more)}>
        {more ? "fewer rows" : "speed, torque, shaft power, amps, power factor, efficiencies"}
      </Word>
    </>
  );
});

interface OneStepProps extends Quantities {
  cells: readonly StepCell[];
  first: boolean;
  more: boolean;
}

const OneStep = memoByCells(function OneStep({ cells, first, more, flow, pressure }: OneStepProps) {
  const step = cells[0]?.step;
  const named = step?.name ?? "";
  return (
    <Box borderTop="1px solid" borderColor="rule" py="6px" role="group" aria-label={named || "full flow"}>
      <StepHead step={step} first={first} />
      {[...WORKED, ...(more ? WORKED_MORE : [])].map(({ part, label, sort }) => (
        <StepRow
          key={part}
          part={part}
          label={label}
          quantity={part === "flow" ? flow : part}
          cells={cells}
          sort={first ? sort : undefined}
        />
      ))}
      {more &&
        TOLD.map(({ part, label, unit }) => (
          <ToldRow key={part} part={part} label={label} quantity={unit || pressure} cells={cells} />
        ))}
      {cells.some((cell) => cell.step?.setting.length) && (
        <Row question="told">
          {cells.map((cell) => (
            <Cell key={cell.letter} whose={cell}>
              <Micro>
                <PhraseText phrase={cell.step?.setting ?? []} />
              </Micro>
            </Cell>
          ))}
        </Row>
      )}
      {cells.some((cell) => cell.step?.note || cell.step?.short) && (
        <Row align="start">
          {cells.map((cell) => (
            <Note key={cell.letter} cell={cell} />
          ))}
        </Row>
      )}
    </Box>
  );
});

function StepHead({ step, first }: { step: Step | undefined; first: boolean }) {
  return (
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
        {first ? "What does it move and draw? " : ""}
        {step?.name || "full flow"}
      </Box>
      {step?.hours && <FigureText figure={step.hours} />}
      {step?.demand && (
        <Micro>
          asks for <FigureText figure={step.demand} line={false} />
        </Micro>
      )}
    </Box>
  );
}

function Note({ cell }: { cell: StepCell }) {
  const { step } = cell;
  return (
    <Micro fontStyle="italic">
      {(step?.note || step?.short) && <Letter whose={cell} />}
      {step?.short && (
        <Box as="b" color="ochre" fontStyle="normal">
          falls short by <FigureText figure={step.short} line={false} />.{" "}
        </Box>
      )}
      {step?.note}
    </Micro>
  );
}

interface StepRowProps {
  part: WorkedPart;
  label: string;
  quantity: string;
  cells: readonly StepCell[];
  sort: string | undefined;
}

function StepRow({ part, label, quantity, cells, sort }: StepRowProps) {
  const { units } = useUnits();
  const name = `${part}-${cells[0]?.step?.id ?? ""}`;
  return (
    <>
      <Row question={label} note={unitOf(quantity, units)} {...(sort ? { sort } : {})}>
        {cells.map((cell, index) => (
          <Cell key={cell.letter} whose={cell} alike={index > 0 && !cell.step?.differs.includes(part)}>
            <StepFigure
              name={`${name}-${cell.letter}`}
              label={`${cell.letter}, ${cell.step?.name || "full flow"}: ${label}`}
              figure={cell.step?.[part] ?? null}
            />
          </Cell>
        ))}
      </Row>
      <InSight>
        {cells.map((cell) => (
          <StepPanel
            key={cell.letter}
            name={`${name}-${cell.letter}`}
            label={`${cell.letter}, ${cell.step?.name || "full flow"}: ${label}`}
            figure={cell.step?.[part] ?? null}
            option={cell.id}
            step={cell.step?.id ?? ""}
            part={part}
          />
        ))}
      </InSight>
    </>
  );
}

const StepFigure = memo(function StepFigure(props: { name: string; label: string; figure: Figure | null }) {
  const { name, label, figure } = props;
  return <WorkedFigure name={name} result={{ label, figure }} unit={false} later />;
});

interface ToldRowProps {
  part: ToldPart;
  label: string;
  quantity: string;
  cells: readonly StepCell[];
}

function ToldRow({ part, label, quantity, cells }: ToldRowProps) {
  const { units } = useUnits();
  return (
    <Row question={label} note={unitOf(quantity, units)}>
      {cells.map((cell) => {
        const figure = cell.step?.[part];
        return (
          <Cell key={cell.letter} whose={cell}>
            {figure ? <FigureText figure={figure} unit={false} line={false} /> : <Micro>–</Micro>}
          </Cell>
        );
      })}
    </Row>
  );
}
