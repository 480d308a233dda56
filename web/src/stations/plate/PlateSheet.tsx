import { Box } from "@chakra-ui/react";

import type { Entry, Result } from "../../shared/api";
import { ChoiceField, factsOf, QuantityField } from "../../shared/fields";
import { unitOf } from "../../shared/figures";
import { useField, useJob } from "../../shared/job";
import { Micro, Small } from "../../shared/parts";
import { Part, Question, Sheet, StandingKey } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";

const FIELDS = [
  "plate/rated_power",
  "plate/rated_voltage",
  "plate/rated_current",
  "plate/rated_speed",
  "plate/frequency",
] as const;

const KIND_WORDS: Record<string, string> = {
  "split-capacitor": "run capacitor",
  "single-phase": "start switch",
  "shaded-pole": "shading rings",
  "three-phase": "three-phase",
};

/** What the plate says, and at once what it means. */
export function PlateSheet() {
  const { plate } = useJob().assessment;
  return (
    <Sheet station="plate">
      {FIELDS.map((path) => (
        <FieldRow key={path} path={path} />
      ))}
      <Row label={factsOf("plate/phases").label} unit="" help={factsOf("plate/phases").help}>
        <ChoiceField path="plate/phases" said={(choice) => (choice === 1 ? "one" : "three")} />
      </Row>
      <FieldRow path="plate/run_capacitance" />
      <Question label={factsOf("plate/motor_kind").label} help={factsOf("plate/motor_kind").help}>
        <ChoiceField path="plate/motor_kind" said={(kind) => KIND_WORDS[kind] ?? String(kind)} />
      </Question>
      <Box borderTop="1px solid" borderColor="rule" mt="6px">
        <WorkedRow name="poles" result={plate.poles} quantity="poles" />
        <WorkedRow name="synchronous" result={plate.synchronous_speed} quantity="speed" />
        <WorkedRow name="slip" result={plate.rated_slip} quantity="slip" />
        <WorkedRow name="torque" result={plate.rated_torque} quantity="torque" />
      </Box>
      <Part title="What such a motor should show" note="by a motor fitted to this plate and every reading">
        {plate.expected.map((result, index) => (
          <WorkedRow
            key={result.label}
            name={`expected-${index}`}
            result={result}
            quantity={result.figure?.quantity ?? "efficiency"}
          />
        ))}
      </Part>
      <StandingKey />
    </Sheet>
  );
}

interface RowProps {
  label: string;
  unit: string;
  help: string;
  /** Whether the help only repeats what the line under the figure says. */
  quiet?: boolean;
  children: React.ReactNode;
}

function Row({ label, unit, help, quiet = false, children }: RowProps) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr) minmax(120px, 46%)", md: "130px 44px 170px minmax(0, 1fr)" }}
      gap="0 14px"
      alignItems="center"
      minHeight="49px"
      borderBottom="1px solid"
      borderColor="hair"
      py="2px"
    >
      <Box>
        {label} <Micro display={{ base: "inline", md: "none" }}>{unit}</Micro>
      </Box>
      <Micro textAlign="right" display={{ base: "none", md: "block" }}>
        {unit}
      </Micro>
      {children}
      <Small gridColumn={{ base: "1 / -1", md: "auto" }} display={{ base: quiet ? "none" : "block", md: "block" }}>
        {help}
      </Small>
    </Box>
  );
}

function FieldRow({ path }: { path: string }) {
  const { units, currency } = useUnits();
  const { value } = useField<Entry>(path);
  const facts = factsOf(path);
  return (
    <Row
      label={facts.label}
      unit={unitOf(facts.quantity ?? "", units, currency)}
      help={value ? "plate" : facts.help}
      quiet={value !== null}
    >
      <QuantityField path={path} />
    </Row>
  );
}

function WorkedRow({ name, result, quantity }: { name: string; result: Result; quantity: string }) {
  const { units } = useUnits();
  return (
    <>
      <Row label={result.label} unit={unitOf(quantity, units)} help={result.figure ? "worked out" : ""} quiet>
        <Box textAlign="right" fontSize={result.figure ? "figure" : "small"}>
          <WorkedFigure name={name} result={result} unit={false} />
        </Box>
      </Row>
      <WorkingPanel name={name} result={result} />
    </>
  );
}
