import { Box } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import type { Entry, Result, Schemas } from "../../shared/api";
import { ChoiceField, factsOf, QuantityField } from "../../shared/fields";
import { unitOf } from "../../shared/figures";
import { Fold, under } from "../../shared/Fold";
import { useField, useJob } from "../../shared/job";
import { Micro, Small } from "../../shared/parts";
import { Photos } from "../../shared/Photos";
import { Part, Question, Sheet, StandingKey } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { Identification } from "./Identification";
import { Leads } from "./Leads";
import { PlateLine } from "./PlateLine";

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
  electronic: "electronic",
};

const SECOND = ["plate/second_voltage", "plate/second_current"] as const;
const UNLIKE = ["plate/speeds", "plate/low_speed", "plate/low_power", "plate/low_current", "plate/build"] as const;
const CAPACITOR = [
  "plate/capacitor_voltage",
  "plate/capacitor_tolerance",
  "plate/shared_capacitor",
  "plate/start_capacitance",
] as const;
const PRINTED = [
  "plate/service_factor",
  "plate/service_factor_current",
  "plate/code_letter",
  "plate/power_is",
  "plate/nominal_efficiency",
  "plate/efficiency_class",
  "plate/power_factor",
  "plate/frame",
  "plate/enclosure",
  "plate/insulation",
  "plate/ambient",
  "plate/duty",
  "plate/protection",
  "plate/rotation",
  "plate/rotation_seen_from",
  "plate/overload_setting",
] as const;

/** What the plate says, and at once what it means. */
export function PlateSheet() {
  const { view, assessment } = useJob();
  const { plate } = assessment;
  const said = view.document.plate;
  const filled = (paths: readonly string[]) =>
    paths.filter((path) => said?.[path.slice("plate/".length) as "frame"] != null).length;
  const unread = !said?.rated_power && !said?.rated_speed;
  return (
    <Sheet station="plate">
      <PlateLine />
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
      {said?.motor_kind === "electronic" && (
        <Question label={factsOf("plate/holds").label} help={factsOf("plate/holds").help}>
          <ChoiceField path="plate/holds" />
        </Question>
      )}
      <Fold
        title="Two voltages on the plate"
        note={said?.wired_for ? `wired for ${said.wired_for}` : "for a plate such as 230/460 V"}
        holds={under(...SECOND, "plate/wired_for")}
        startsOpen={filled(SECOND) > 0}
      >
        <FieldGrid paths={[...SECOND, "plate/wired_for"]} />
      </Fold>
      <Fold
        title="The capacitors’ own labels"
        note="volts, tolerance, shared or not, start capacitor"
        holds={under(...CAPACITOR)}
        startsOpen={filled(CAPACITOR) > 0}
      >
        <FieldGrid paths={CAPACITOR} />
      </Fold>
      <Fold
        title="Two speeds, two shaft ends, an outer rotor"
        note={filled(UNLIKE) ? `${filled(UNLIKE)} entries` : "for a motor unlike the ordinary one"}
        holds={under(...UNLIKE)}
        startsOpen={filled(UNLIKE) > 0}
      >
        <FieldGrid paths={UNLIKE} />
      </Fold>
      <Fold
        title="All else that is printed"
        note={
          filled(PRINTED) ? `${filled(PRINTED)} entries` : "service factor, code letter, frame, enclosure, rotation"
        }
        holds={under(...PRINTED)}
        startsOpen={filled(PRINTED) > 0}
      >
        <FieldGrid paths={PRINTED} />
      </Fold>
      <Photos of="plate" title="Photograph of the plate" />
      <Part title="What it means" note="press a figure for its working">
        <WorkedRow name="poles" result={plate.poles} quantity="poles" />
        <WorkedRow name="synchronous" result={plate.synchronous_speed} quantity="speed" />
        <WorkedRow name="slip" result={plate.rated_slip} quantity="slip" />
        <WorkedRow name="torque" result={plate.rated_torque} quantity="torque" />
        {(plate.meaning ?? []).map((meaning, index) => (
          <MeaningRow key={index} meaning={meaning} first={plate.meaning?.[index - 1]?.label !== meaning.label} />
        ))}
      </Part>
      <Fold title="What such a motor should show" note="by a motor fitted to this plate and every reading">
        {plate.expected.map((result, index) => (
          <WorkedRow
            key={result.label}
            name={`expected-${index}`}
            result={result}
            quantity={result.figure?.quantity ?? "efficiency"}
          />
        ))}
      </Fold>
      <Fold
        title="No plate, or none that can be read"
        note="from its speed, three windings, and what is on it"
        holds={under("identification")}
        startsOpen={unread || assessment.identity.length > 0}
      >
        <Identification />
      </Fold>
      <Fold
        title="Leads and calls, as found"
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
  return leads + calls ? `${leads} leads, ${calls} calls` : "kept for putting it back, and for set-up";
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
      <Row
        label={result.label}
        unit={result.figure ? unitOf(quantity, units) : ""}
        help={result.figure ? "worked out" : ""}
        quiet
      >
        <Box textAlign="right" fontSize={result.figure ? "figure" : "small"}>
          <WorkedFigure name={name} result={result} unit={false} />
        </Box>
      </Row>
      <WorkingPanel name={name} result={result} />
    </>
  );
}
