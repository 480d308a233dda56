import { Box } from "@chakra-ui/react";
import { useState } from "react";

import { FieldGrid } from "../../shared/AnyField";
import type { Schemas } from "../../shared/api";
import { Fold, under } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { Part, Sheet, StandingKey } from "../../shared/Sheet";
import { Press, Small } from "../../shared/parts";
import { FigureText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { Charts } from "./Charts";
import { Csv } from "./Csv";
import { FlowPicture } from "./FlowPicture";
import { LoadPicture } from "./LoadPicture";
import { MetersPart } from "./MetersPart";
import { Needles } from "./Needles";
import { NextReadings } from "./NextReadings";
import { SetsTable } from "./SetsTable";

/** Sets of readings beside each other, and what each says of the load. */
export function ReadingsSheet() {
  const { desk, view, assessment } = useJob();
  const sets = view.document.readings ?? [];
  const [picked, setPicked] = useState<string | null>(null);
  const answers = assessment.sets;
  const pump = view.machine.wheel === "centrifugal pump";
  const current = answers.find((answer) => answer.id === picked) ?? answers[answers.length - 1];
  return (
    <Sheet station="readings" action={{ label: "Add a set", run: () => void desk.add("readings") }}>
      {sets.length === 0 ? (
        <Box py="14px" maxWidth="62ch">
          No set yet. A set is what the meters say at one speed tap and in one condition of the duct; volts and amps are
          enough to begin.
        </Box>
      ) : (
        <SetsTable sets={sets} answers={answers} wheel={view.machine.wheel ?? null} current={current?.id ?? null} />
      )}
      {current && (
        <Part title={`Load, every way: ${setName(current)}`} note="share of rated power; bars hold 95 %">
          {answers.length > 1 && (
            <Box role="group" aria-label="Which set" display="flex" gap="8px" flexWrap="wrap" pb="6px">
              {answers.map((answer) => (
                <Press
                  key={answer.id}
                  type="button"
                  aria-pressed={answer.id === current.id}
                  fontWeight={answer.id === current.id ? 600 : 400}
                  background={answer.id === current.id ? "desk" : "paper"}
                  onClick={() => setPicked(answer.id)}
                >
                  {setName(answer)}
                </Press>
              ))}
            </Box>
          )}
          <LoadPicture answer={current} />
          <Small display="block" pt="6px">
            The ways share meters and the motor’s plate, so they are never averaged. Taken is the motor that agrees best
            with all of it; where none could be fitted, the best single way.
          </Small>
        </Part>
      )}
      {current && current.flows.ways.length > 0 && (
        <Part
          title={`Flow, every way: ${setName(current)}`}
          note="bars hold 95 %; ways that contradict are never averaged"
        >
          <FlowPicture answer={current} />
        </Part>
      )}
      {current && (current.flows.next ?? []).length > 0 && (
        <Part title="Worth reading next" note="what it would narrow, and how to take it">
          <NextReadings readings={current.flows.next ?? []} />
        </Part>
      )}
      <Fold
        title="Flow that is wanted, and limits"
        note={<WantedNote />}
        holds={under("target")}
        startsOpen={Object.values(view.document.target ?? {}).some((value) => value != null)}
      >
        <FieldGrid paths={pump ? PUMP_TARGET : TARGET} />
        <Box pt="6px">
          Wanted: <WorkedFigure name="wanted-flow" result={assessment.wanted_flow} />
        </Box>
        <WorkingPanel name="wanted-flow" result={assessment.wanted_flow} />
      </Fold>
      {!pump && (
        <Fold
          title="Charts in the panel"
          note="amps and volts for airflow; the blower’s own table"
          holds={under("charts")}
          startsOpen={Boolean(view.document.charts?.amps_chart ?? view.document.charts?.blower_table)}
        >
          <Charts />
        </Fold>
      )}
      {current && <Needles />}
      <Fold title="Sets in and out as CSV" note="for a spreadsheet or a logger">
        <Csv />
      </Fold>
      <Fold title="My meters" note={view.document.meters?.owner ?? "said once, kept for you"} holds={under("meters")}>
        <MetersPart />
      </Fold>
      <StandingKey />
    </Sheet>
  );
}

const TARGET = [
  "target/airflow",
  "target/system",
  "target/cooling",
  "target/per_cooling",
  "target/heat",
  "target/rise",
  "target/volume",
  "target/changes",
  "target/rated_static",
  "target/altitude",
  "target/starts",
] as const;
const PUMP_TARGET = ["target/water_flow", "target/starts"] as const;

function WantedNote() {
  const { wanted_flow } = useJob().assessment;
  if (!wanted_flow.figure) return "from tons, heat, air changes, or typed";
  return <FigureText figure={wanted_flow.figure} line={false} />;
}

function setName(answer: Schemas["SetAnswer"]) {
  return `${answer.number} ${answer.name}`.trim();
}
