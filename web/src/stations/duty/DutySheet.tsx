import { Box } from "@chakra-ui/react";

import type { Schemas } from "../../shared/api";
import { ChoiceField, factsOf, QuantityField, WordsField } from "../../shared/fields";
import { useJob } from "../../shared/job";
import { Micro, Word } from "../../shared/parts";
import { AskedQuantity, Part, Question, Sheet, StandingKey } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { YearPicture } from "./YearPicture";

const COLUMNS = { base: "minmax(0, 1fr) 92px 74px", md: "minmax(0, 1fr) 130px 120px 64px" };

/** The year in steps, how part flow is met today, and what a kilowatt-hour costs. */
export function DutySheet() {
  const { desk, view, assessment } = useJob();
  const { currency } = useUnits();
  const steps = view.document.duty?.steps ?? [];
  const fixed = view.machine.wheel === "centrifugal pump" ? "duty/static_lift" : "duty/held_pressure";
  const partial = steps.some((step) => step.flow_share && step.flow_share.si < 1);
  return (
    <Sheet station="duty" action={{ label: "Add a step", run: () => void desk.add("duty/steps") }}>
      <Part title="The year in steps" note="at most 24 steps and 8,784 hours; the rest is off">
        {steps.length > 0 && <Head />}
        {steps.map((step, index) => (
          <StepLine key={step.id} step={step} number={index + 1} />
        ))}
        <Total />
        <YearPicture steps={steps} />
      </Part>
      {partial && (
        <Question label={factsOf("duty/part_flow").label} help={factsOf("duty/part_flow").help}>
          <ChoiceField path="duty/part_flow" />
        </Question>
      )}
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr 1fr" }} columnGap="20px">
        <AskedQuantity path="duty/energy_price" />
        <Question label={factsOf("duty/currency").label} help={factsOf("duty/currency").help}>
          <WordsField path="duty/currency" placeholder={assessment.currency ?? currency ?? ""} />
        </Question>
        <AskedQuantity path={fixed} />
      </Box>
      <Besides />
      <StandingKey />
    </Sheet>
  );
}

/** What goes along with the energy: nothing of it is needed, each line says what it adds. */
function Besides() {
  return (
    <Part title="Starts, emissions, heat and cold" note="none of it is needed; each adds its line to the options">
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr 1fr" }} columnGap="20px" alignItems="end">
        <AskedQuantity path="duty/starts" />
        <AskedQuantity path="duty/run_up" />
        <AskedQuantity path="duty/emission_rate" />
      </Box>
      <Question label={factsOf("duty/motor_place").label} help={factsOf("duty/motor_place").help}>
        <ChoiceField path="duty/motor_place" />
      </Question>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} columnGap="20px">
        <AskedQuantity path="duty/heated_share" />
        <AskedQuantity path="duty/heat_price" />
        <AskedQuantity path="duty/cooled_share" />
        <AskedQuantity path="duty/cooling_performance" />
      </Box>
    </Part>
  );
}

function Head() {
  return (
    <Box display="grid" gridTemplateColumns={COLUMNS} columnGap="14px" borderBottom="1px solid" borderColor="rule">
      <Micro>{factsOf("duty/steps/x/name").label}</Micro>
      <Micro textAlign="right">{factsOf("duty/steps/x/hours").label}, h</Micro>
      <Micro textAlign="right">flow, % of full</Micro>
    </Box>
  );
}

function StepLine({ step, number }: { step: Schemas["DutyStep"]; number: number }) {
  const { desk } = useJob();
  const path = `duty/steps/${step.id}`;
  return (
    <Box
      display="grid"
      gridTemplateColumns={COLUMNS}
      columnGap="14px"
      alignItems="center"
      minHeight="49px"
      borderBottom="1px solid"
      borderColor="hair"
    >
      <WordsField path={`${path}/name`} label={`Step ${number}, what it does`} placeholder="for example: cooling" />
      <QuantityField path={`${path}/hours`} label={`Step ${number}, hours a year`} />
      <QuantityField path={`${path}/flow_share`} label={`Step ${number}, share of full flow`} />
      <Word
        type="button"
        onClick={() => void desk.remove(path)}
        aria-label={`Remove step ${number}`}
        gridColumn={{ base: "1 / -1", md: "auto" }}
        textAlign={{ base: "left", md: "right" }}
        mx="0"
        px="0"
      >
        remove
      </Word>
    </Box>
  );
}

function Total() {
  const { duty } = useJob().assessment;
  return (
    <>
      <Box display="flex" gap="20px" alignItems="center" flexWrap="wrap">
        <Box>
          {duty.hours.label} <WorkedFigure name="hours" result={duty.hours} />
        </Box>
        {duty.off_hours.figure && (
          <Box>
            {duty.off_hours.label} <WorkedFigure name="off" result={duty.off_hours} />
          </Box>
        )}
      </Box>
      <WorkingPanel name="hours" result={duty.hours} />
      <WorkingPanel name="off" result={duty.off_hours} />
    </>
  );
}
