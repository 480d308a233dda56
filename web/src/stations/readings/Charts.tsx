import { Box } from "@chakra-ui/react";
import { memo, useMemo } from "react";

import type { Schemas } from "../../shared/api";
import { ChoiceField, factsOf, WordsField } from "../../shared/fields";
import { useFound, useJob } from "../../shared/job";
import { Micro, Small } from "../../shared/parts";
import { ChartPicture, type Mark } from "./ChartPicture";
import { Help } from "../../shared/Help";
import { say } from "../../shared/say";

type State = Schemas["ChartState"];

/** The chart and the table glued inside the panel: typed or pasted, questioned where they are odd, drawn with the reading. */
export function Charts() {
  const { view } = useJob();
  const {
    sets: answers,
    amps_chart: ampsChart,
    blower_table: blowerTable,
  } = useFound("sets", "amps_chart", "blower_table");
  const sets = view.document.readings ?? [];
  const told = sets.map((set, index) => {
    const flow = answers[index]?.flows.methods.find((one) => one.method === "chart")?.flow.figure;
    return flow && set.current ? `${index + 1} ${flow.value} ${set.current.si}` : "";
  });
  const marks = useMarks(told.join("|"));
  return (
    <Box display="grid" gridTemplateColumns={{ base: "1fr", lg: "1fr 1fr" }} gap="20px">
      <Box>
        <Typed path="charts/amps_chart" placeholder={say("charts-cfm")} />
        <Unit path="charts/amps_chart_flow" />
        <Judged state={ampsChart} />
        {ampsChart && <ChartPicture state={ampsChart} up="current" marks={marks} name={say("charts-amps-chart")} />}
      </Box>
      <Box>
        <Typed path="charts/blower_table" placeholder={say("charts-w-g")} />
        <Unit path="charts/blower_table_flow" />
        <Unit path="charts/blower_table_static" />
        <Unit path="charts/counted_external" />
        <Judged state={blowerTable} />
        {blowerTable && (
          <ChartPicture state={blowerTable} up="pressure" marks={NO_MARKS} name={say("charts-blower-table")} />
        )}
      </Box>
    </Box>
  );
}

const NO_MARKS: Mark[] = [];

/** Readings on the chart, as the same list for as long as none of them moves. */
function useMarks(told: string): Mark[] {
  return useMemo(
    () =>
      told
        .split("|")
        .filter(Boolean)
        .map((one) => {
          const [label = "", across, up] = one.split(" ");
          return { label, across: Number(across), up: Number(up) };
        }),
    [told],
  );
}

const Typed = memo(function Typed({ path, placeholder }: { path: string; placeholder: string }) {
  const facts = factsOf(path);
  return (
    <Box as="label" display="block">
      <Box as="span" fontWeight={600}>
        {facts.label}
      </Box>
      <Micro display="block">
        <Help path={path} />
      </Micro>
      <WordsField path={path} lines={5} placeholder={placeholder} />
    </Box>
  );
});

const Unit = memo(function Unit({ path }: { path: string }) {
  return (
    <Box display="flex" gap="10px" alignItems="center" py="2px" flexWrap="wrap">
      <Small>{factsOf(path).label}</Small>
      <ChoiceField path={path} />
    </Box>
  );
});

const Judged = memo(function Judged({ state }: { state: State | null }) {
  if (!state) return null;
  return (
    <Box py="4px">
      {state.refused && (
        <Box role="alert" color="brick" fontWeight={600}>
          {state.refused}
        </Box>
      )}
      {(state.questions ?? []).map((question) => (
        <Box key={question} color="ochre">
          {question}
        </Box>
      ))}
    </Box>
  );
});
