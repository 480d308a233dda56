import { Box, chakra } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import type { Result, Schemas } from "../../shared/api";
import { ExplainedHeading, ExplainedLabel } from "../../shared/Explained";
import { ChoiceField, factsOf, QuantityField } from "../../shared/fields";
import { unitOf } from "../../shared/figures";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob } from "../../shared/job";
import { Micro } from "../../shared/parts";
import { Photos } from "../../shared/Photos";
import { Part, Question, Sheet, StandingKey } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { Identification } from "./Identification";
import { Leads } from "./Leads";
import { PlateLine } from "./PlateLine";
import { say } from "../../shared/say";
import { small } from "../../shared/casing";

const FIELDS = [
  "nameplate/rated_power",
  "nameplate/rated_voltage",
  "nameplate/rated_current",
  "nameplate/rated_speed",
  "nameplate/frequency",
] as const;

const KIND_WORDS: Record<string, string> = {
  "split-capacitor": say("plate-sheet-run-capacitor"),
  "single-phase": say("plate-sheet-start-switch"),
  "shaded-pole": say("plate-sheet-shading-rings"),
  "three-phase": say("plate-sheet-three-phase"),
  electronic: say("plate-sheet-electronic"),
};

const SECOND = ["nameplate/second_voltage", "nameplate/second_current"] as const;
const UNLIKE = [
  "nameplate/speeds",
  "nameplate/low_speed",
  "nameplate/low_power",
  "nameplate/low_current",
  "nameplate/build",
] as const;
const CAPACITOR = [
  "nameplate/capacitor_voltage",
  "nameplate/capacitor_tolerance",
  "nameplate/shared_capacitor",
  "nameplate/start_capacitance",
] as const;
const PRINTED = [
  "nameplate/service_factor",
  "nameplate/service_factor_current",
  "nameplate/code_letter",
  "nameplate/power_is",
  "nameplate/nominal_efficiency",
  "nameplate/efficiency_class",
  "nameplate/power_factor",
  "nameplate/frame",
  "nameplate/enclosure",
  "nameplate/insulation",
  "nameplate/ambient",
  "nameplate/duty",
  "nameplate/protection",
  "nameplate/rotation",
  "nameplate/rotation_seen_from",
  "nameplate/overload_setting",
] as const;

/** What the plate says, and at once what it means. */
export function PlateSheet() {
  const { view } = useJob();
  const { plate, identity } = useFound("plate", "identity");
  const said = view.document.nameplate;
  const filled = (paths: readonly string[]) =>
    paths.filter((path) => said?.[path.slice("plate/".length) as "frame"] != null).length;
  const meanings = plate.meaning ?? [];
  const ordinary = meanings.filter((one) => !one.heed);
  const unread = !said?.rated_power && !said?.rated_speed;
  return (
    <Sheet station="plate">
      <PlateLine />
      <Rows>
        {FIELDS.map((path) => (
          <FieldRow key={path} path={path} />
        ))}
        <Row label={<ExplainedLabel path="nameplate/phases" />} unit="">
          <ChoiceField
            path="nameplate/phases"
            said={(choice) => (choice === 1 ? say("plate-sheet-phases-one") : say("plate-sheet-phases-three"))}
          />
        </Row>
        <FieldRow path="nameplate/run_capacitance" />
      </Rows>
      <Question path="nameplate/motor_kind">
        <ChoiceField path="nameplate/motor_kind" said={(kind) => KIND_WORDS[kind] ?? String(kind)} />
      </Question>
      {said?.motor_kind === "electronic" && (
        <Question path="nameplate/holds">
          <ChoiceField path="nameplate/holds" />
        </Question>
      )}
      <Fold
        title={say("plate-sheet-two-voltages")}
        note={said?.wired_for ? say("plate-sheet-wired", { wired_for: said.wired_for }) : say("plate-sheet-plate-such")}
        holds={under(...SECOND, "nameplate/wired_for")}
        startsOpen={filled(SECOND) > 0}
      >
        <FieldGrid paths={[...SECOND, "nameplate/wired_for"]} />
      </Fold>
      <Fold title={say("plate-sheet-capacitors-own")} holds={under(...CAPACITOR)} startsOpen={filled(CAPACITOR) > 0}>
        <FieldGrid paths={CAPACITOR} />
      </Fold>
      <Fold
        title={say("plate-sheet-two-speeds")}
        note={filled(UNLIKE) ? say("plate-sheet-entries", { filled: filled(UNLIKE) }) : say("plate-sheet-motor-unlike")}
        holds={under(...UNLIKE)}
        startsOpen={filled(UNLIKE) > 0}
      >
        <FieldGrid paths={UNLIKE} />
      </Fold>
      <Fold
        title={say("plate-sheet-all-else")}
        note={
          filled(PRINTED) ? say("plate-sheet-entries", { filled: filled(PRINTED) }) : say("plate-sheet-service-factor")
        }
        holds={under(...PRINTED)}
        startsOpen={filled(PRINTED) > 0}
      >
        <FieldGrid paths={PRINTED} />
      </Fold>
      <Photos of="plate" title={say("plate-sheet-photograph-plate")} />
      <Part title={say("plate-sheet-what-means")}>
        <Rows>
          <WorkedRow name="poles" result={plate.poles} quantity="poles" />
          <WorkedRow name="synchronous" result={plate.synchronous_speed} quantity="speed" />
          <WorkedRow name="slip" result={plate.rated_slip} quantity="slip" />
          <WorkedRow name="torque" result={plate.rated_torque} quantity="torque" />
        </Rows>
        <Meanings told={meanings.filter((one) => one.heed)} />
      </Part>
      {ordinary.length > 0 && (
        <Fold title={say("plate-sheet-what-else")} note={namesOf(ordinary)}>
          <Meanings told={ordinary} />
        </Fold>
      )}
      <Fold title={say("plate-sheet-what-such")}>
        <Rows>
          {plate.expected.map((result, index) => (
            <WorkedRow
              key={result.label}
              name={`expected-${index}`}
              result={result}
              quantity={result.figure?.quantity ?? "efficiency"}
            />
          ))}
        </Rows>
      </Fold>
      <Fold
        title={say("plate-sheet-plate-none")}
        holds={under("identification")}
        startsOpen={unread || identity.length > 0}
      >
        <Identification />
      </Fold>
      <Fold
        title={say("plate-sheet-leads-calls")}
        note={leadsNote(view.document.leads?.length ?? 0, view.document.call_taps?.length ?? 0)}
        holds={under("leads", "call_taps")}
      >
        <Leads />
      </Fold>
      <StandingKey />
    </Sheet>
  );
}

function leadsNote(leads: number, calls: number) {
  return leads + calls ? say("plate-sheet-leads-calls-2", { leads, calls }) : say("plate-sheet-kept-putting");
}

function Meanings({ told }: { told: Schemas["Meaning"][] }) {
  return told.map((meaning, index) => (
    <MeaningRow key={index} meaning={meaning} first={told[index - 1]?.label !== meaning.label} />
  ));
}

function namesOf(meanings: Schemas["Meaning"][]) {
  return [...new Set(meanings.map((one) => small(one.label)))].join(", ");
}

function MeaningRow({ meaning, first }: { meaning: Schemas["Meaning"]; first: boolean }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "1fr", md: "130px minmax(0, 1fr)" }}
      gap="0 14px"
      py="6px"
      borderBottom="1px solid"
      borderColor="hair"
    >
      <Box>{first ? meaning.label : ""}</Box>
      <Box>
        <PhraseText phrase={meaning.said} /> <Micro>{meaning.source}</Micro>
      </Box>
    </Box>
  );
}

/** Rows in two columns where there is room. */
function Rows({ children }: { children: React.ReactNode }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "repeat(auto-fit, minmax(300px, 1fr))" }}
      gridAutoFlow="dense"
      columnGap="28px"
      alignItems="start"
    >
      {children}
    </Box>
  );
}

/** A unit beside its label, where it has no column of its own. */
const NarrowUnit = chakra(Micro, { base: { display: { base: "inline", md: "none" }, paddingLeft: "6px" } });

interface RowProps {
  label: React.ReactNode;
  unit: string;
  children: React.ReactNode;
}

function Row({ label, unit, children }: RowProps) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr) minmax(120px, 46%)", md: "minmax(0, 1fr) 44px minmax(120px, 40%)" }}
      gap="0 14px"
      alignItems="center"
      minHeight="49px"
      borderBottom="1px solid"
      borderColor="hair"
      py="2px"
    >
      {label}
      <Micro textAlign="right" display={{ base: "none", md: "block" }}>
        {unit}
      </Micro>
      {children}
    </Box>
  );
}

function FieldRow({ path }: { path: string }) {
  const { units, currency } = useUnits();
  const unit = unitOf(factsOf(path).quantity ?? "", units, currency);
  return (
    <Row
      label={
        <ExplainedLabel path={path}>
          <NarrowUnit>{unit}</NarrowUnit>
        </ExplainedLabel>
      }
      unit={unit}
    >
      <QuantityField path={path} />
    </Row>
  );
}

function WorkedRow({ name, result, quantity }: { name: string; result: Result; quantity: string }) {
  const { units } = useUnits();
  const unit = result.figure ? unitOf(quantity, units) : "";
  return (
    <>
      <Row
        label={
          <ExplainedHeading label={result.label}>
            <NarrowUnit>{unit}</NarrowUnit>
          </ExplainedHeading>
        }
        unit={unit}
      >
        <Box textAlign="right" fontSize={result.figure ? "figure" : "small"}>
          <WorkedFigure name={name} result={result} unit={false} />
        </Box>
      </Row>
      <WorkingPanel name={name} result={result} />
    </>
  );
}
