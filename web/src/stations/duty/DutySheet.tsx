import { Box } from "@chakra-ui/react";
import { useState } from "react";

import type { Schemas } from "../../shared/api";
import { FieldGrid, LabelledField } from "../../shared/AnyField";
import { ChoiceField, factsOf, QuantityField, SelectField, WordsField, wordsOf } from "../../shared/fields";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob, useOption } from "../../shared/job";
import { Micro, Small, Word } from "../../shared/parts";
import { AskedQuantity, Part, Question, Sheet, StandingKey } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { FigureText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { LogPart } from "./LogPart";
import { Templates } from "./Templates";
import { YearPicture } from "./YearPicture";
import { say } from "../../shared/say";
import { small } from "../../shared/casing";

const COLUMNS = { base: "minmax(0, 1fr) 92px 84px", md: "minmax(0, 1fr) 120px 150px 108px" };
const HEAT = [
  "duty/motor_place",
  "duty/refrigerated",
  "duty/heated_share",
  "duty/heat_price",
  "duty/heat_efficiency",
  "duty/cooled_share",
  "duty/cooling_performance",
] as const;
const holdsStarts = under("duty/starts", "duty/starting_time", "duty/inrush", "duty/emission_rate", "duty/circulation");
const holdsHeat = under(...HEAT);

/** The year in steps, how part flow is met today, and what a kilowatt-hour costs. */
export function DutySheet() {
  const { desk, view } = useJob();
  const steps = view.document.duty?.steps ?? [];
  const partial = steps.some((step) => step.flow_share && step.flow_share.si < 1);
  return (
    <Sheet station="duty" action={{ label: say("duty-sheet-add-step"), run: () => void desk.add("duty/steps") }}>
      <Part title={say("duty-sheet-year-steps")} sentence={say("duty-sheet-most-steps")} term="duty-step">
        {steps.length > 0 && <Head />}
        {steps.map((step, index) => (
          <StepLine key={step.id} step={step} number={index + 1} />
        ))}
        <Total />
        <YearPicture />
        {view.document.duty?.logged && (
          <Small display="block">{say("duty-sheet-logger", { logged: view.document.duty.logged })}</Small>
        )}
      </Part>
      <LogPart />
      <Templates />
      {partial && (
        <Question path="duty/part_flow">
          <ChoiceField path="duty/part_flow" />
        </Question>
      )}
      <Prices />
      <Besides />
      <StandingKey />
    </Sheet>
  );
}

/** Price, tariff, and what of the system does not change with flow. */
function Prices() {
  const { view } = useJob();
  const { currency: worked } = useFound("currency");
  const duty = view.document.duty;
  const fixed = view.machine.type === "pump" ? "duty/static_lift" : "duty/static_pressure_set_point";
  return (
    <Part title={say("duty-sheet-price-machine")}>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr 1fr" }} columnGap="20px">
        <AskedQuantity path="duty/energy_price" />
        <Question path="duty/currency">
          <WordsField path="duty/currency" placeholder={worked ?? ""} />
        </Question>
        <AskedQuantity path={fixed} />
      </Box>
      <Question path="duty/tariff">
        <ChoiceField path="duty/tariff" />
      </Question>
      {duty?.tariff === "seasonal" && <FieldGrid paths={["duty/summer_price", "duty/summer_share"]} />}
      <FieldGrid paths={["duty/machines", "duty/remaining_life", "duty/system_exponent"]} />
    </Part>
  );
}

/** What goes along with the energy: nothing of it is needed, each line says what it adds. */
function Besides() {
  const { starts } = useFound("duty").duty;
  return (
    <>
      <Fold title={say("duty-sheet-starts-fan")} holds={holdsStarts}>
        <FieldGrid paths={["duty/starts", "duty/starting_time", "duty/inrush", "duty/emission_rate"]} />
        <Box py="6px">
          {starts.label} <WorkedFigure name="starts" result={starts} />
        </Box>
        <WorkingPanel name="starts" result={starts} />
        <LabelledField path="duty/circulation" />
        <AlwaysOn />
      </Fold>
      <Fold title={say("duty-sheet-heat-cold")} holds={holdsHeat}>
        <FieldGrid paths={HEAT} />
      </Fold>
    </>
  );
}

/** The year with the fan running between calls, beside the year as it is run. */
function AlwaysOn() {
  const { view } = useJob();
  const keep = useOption(useFound("options").options.rows[0]?.id);
  const always = view.document.duty?.circulation === "always";
  if (!keep?.energy.figure || !keep.always_on.figure) return null;
  return (
    <Box maxWidth="62ch" py="6px">
      {say("duty-sheet-machine-today")}
      <FigureText figure={keep.energy.figure} />
      {say("duty-sheet-year-typed")}
      <FigureText figure={keep.always_on.figure} />
      {say("duty-sheet-running-always", {
        always: always ? say("duty-sheet-if-ran") : say("duty-sheet-if-ran-between"),
      })}
    </Box>
  );
}

function Head() {
  return (
    <Box display="grid" gridTemplateColumns={COLUMNS} columnGap="14px" borderBottom="1px solid" borderColor="rule">
      <Micro>{factsOf("duty/steps/x/name").label}</Micro>
      <Micro textAlign="right">{factsOf("duty/steps/x/hours").label}, h</Micro>
      <Micro textAlign="right">{say("duty-sheet-flow-asked")}</Micro>
    </Box>
  );
}

const FLOW_FIELD = {
  share: "flow_share",
  design: "design_share",
  flow: "airflow",
  tap: "tap",
  "as-it-runs": null,
} as const;

function StepLine({ step, number }: { step: Schemas["DutyStep"]; number: number }) {
  const { desk, view } = useJob();
  const { units } = useUnits();
  const path = `duty/steps/${step.id}`;
  const [open, setOpen] = useState(false);
  const note = stepNote(step);
  const pump = view.machine.type === "pump";
  const named = FLOW_FIELD[step.wants ?? "share"];
  const flow = named === "airflow" && pump ? "water_flow" : named;
  const unit = flow === "airflow" ? (units === "ip" ? "cfm" : "L/s") : flow === "water_flow" ? "" : "%";
  return (
    <Box borderBottom="1px solid" borderColor="hair">
      <Box display="grid" gridTemplateColumns={COLUMNS} columnGap="14px" alignItems="center" minHeight="49px">
        <WordsField
          path={`${path}/name`}
          label={say("duty-sheet-step-what", { number })}
          placeholder={say("duty-sheet-example-cooling")}
        />
        {step.hours || !step.cycles ? (
          <QuantityField path={`${path}/hours`} label={say("duty-sheet-step-hours", { number })} />
        ) : (
          <Micro textAlign="right">{say("duty-sheet-cycles")}</Micro>
        )}
        <Box display="flex" alignItems="center" gap="4px">
          <Box flex="1" minWidth={0}>
            {flow === null ? (
              <Micro display="block" textAlign="right">
                {say("duty-sheet-runs-now")}
              </Micro>
            ) : flow === "tap" ? (
              <SelectField path={`${path}/tap`} label={say("duty-sheet-step-tap", { number })} />
            ) : (
              <QuantityField
                path={`${path}/${flow}`}
                label={say("duty-sheet-step", { number, lower: small(factsOf(`${path}/${flow}`).label) })}
              />
            )}
          </Box>
          {flow !== null && flow !== "tap" && <Micro width="14px">{unit}</Micro>}
        </Box>
        <Box
          gridColumn={{ base: "1 / -1", md: "auto" }}
          display="flex"
          gap="14px"
          justifyContent={{ base: "flex-start", md: "flex-end" }}
        >
          <Word
            type="button"
            mx="0"
            px="0"
            aria-expanded={open}
            aria-label={say("duty-sheet-step-2", {
              open: open ? say("duty-sheet-less") : say("duty-sheet-more"),
              number,
            })}
            onClick={() => setOpen(!open)}
          >
            {open ? say("duty-sheet-less") : say("duty-sheet-more")}
          </Word>
          <Word
            type="button"
            mx="0"
            px="0"
            onClick={() => void desk.remove(path)}
            aria-label={say("duty-sheet-remove-step", { number })}
          >
            {say("duty-sheet-remove")}
          </Word>
        </Box>
      </Box>
      {!open && note && <Micro display="block">{note}</Micro>}
      {open && (
        <Box pb="8px">
          <FieldGrid
            paths={["call", "wants", "cycles", "minutes", "season", "hours_from", "hours_spread"].map(
              (field) => `${path}/${field}`,
            )}
          />
        </Box>
      )}
    </Box>
  );
}

/** What is said of a step beside its hours and flow, in a few words. */
function stepNote(step: Schemas["DutyStep"]): string {
  const said = (name: "call" | "hours_from" | "wants") => {
    const code = step[name];
    return code ? wordsOf(factsOf(`duty/steps/${step.id}/${name}`), code) : "";
  };
  return [step.call ? say("duty-sheet-called-by", { call: said("call") }) : "", said("hours_from"), said("wants")]
    .filter(Boolean)
    .join("; ");
}

function Total() {
  const { duty } = useFound("duty");
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
