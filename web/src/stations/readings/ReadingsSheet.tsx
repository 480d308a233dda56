import { Box } from "@chakra-ui/react";
import { useCallback, useEffect, useMemo, useState } from "react";
import { useSearchParams } from "react-router";

import { FieldGrid } from "../../shared/AnyField";
import type { Schemas } from "../../shared/api";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob } from "../../shared/job";
import { Sheet, StandingKey } from "../../shared/Sheet";
import { Press, Small } from "../../shared/parts";
import { useIsWide } from "../../shared/width";
import { onReveal } from "../../shared/reveal";
import { FigureText, PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { Charts } from "./Charts";
import { Csv } from "./Csv";
import { FlowPicture } from "./FlowPicture";
import { LoadPicture } from "./LoadPicture";
import { MetersPart } from "./MetersPart";
import { Effects } from "./Effects";
import { NextReadings } from "./NextReadings";
import { firstOf, OneReading } from "./OneReading";
import type { Set } from "./rows";
import { SetsTable } from "./SetsTable";
import { say } from "../../shared/say";
import { small } from "../../shared/casing";

/** Sets of readings beside each other, and what each says of the load. */
export function ReadingsSheet() {
  const { desk, view } = useJob();
  const { sets: answers, round, wanted_flow: wantedFlow } = useFound("sets", "round", "wanted_flow");
  const sets = view.document.readings ?? NO_SETS;
  const [picked, setPicked] = useState<string | null>(null);
  const [search, setSearch] = useSearchParams();
  const [tablet, wide] = [useIsWide(561), useIsWide(1101)];
  const most = wide ? MOST.wide : tablet ? MOST.tablet : MOST.phone;
  const pump = view.machine.type === "pump";
  const current = answers.find((answer) => answer.id === picked) ?? answers[answers.length - 1];
  const shown = useMemo(() => shownOf(sets, current?.id, most), [sets, current?.id, most]);
  const one = search.get(ONE);
  const walked = sets.findIndex((set) => set.id === (search.get(OF) ?? current?.id));
  const go = useCallback(
    (field: string | null) =>
      setSearch(
        (now) => {
          const next = new URLSearchParams(field ? now : {});
          if (field) next.set(ONE, field);
          return next;
        },
        { replace: true },
      ),
    [setSearch],
  );
  useEffect(
    () =>
      onReveal((path) => {
        const [, id] = /^readings\/([^/]+)\//.exec(path) ?? [];
        const hidden = sets.some((set) => set.id === id) && !shown.some((set) => set.id === id);
        if (hidden && id) setPicked(id);
        return hidden;
      }),
    [sets, shown],
  );
  const add = () => {
    setPicked(null); // the newest is shown
    void desk.add("readings");
  };
  const begin = () => {
    const set = sets.find(({ id }) => id === current?.id);
    const first = set && firstOf(round, set);
    if (set && first) setSearch({ [ONE]: first, [OF]: set.id });
  };
  return (
    <Sheet station="readings" action={{ label: say("readings-sheet-add-set"), run: add }}>
      {one && sets[walked] && (
        <OneReading set={sets[walked]} before={sets[walked - 1]} number={walked + 1} field={one} go={go} />
      )}
      {current && (
        <Press type="button" my="8px" width={{ base: "100%", md: "auto" }} onClick={begin} data-round>
          {say("readings-sheet-one-reading", { setName: setName(current) })}
        </Press>
      )}
      {sets.length === 0 ? (
        <Box py="14px" maxWidth="62ch">
          {say("readings-sheet-set-yet")}
        </Box>
      ) : (
        <>
          {sets.length > most && <WhichSet answers={answers} current={current} pick={setPicked} newestFirst />}
          <SetsTable
            all={sets}
            sets={shown}
            answers={answers}
            machineType={view.machine.type ?? null}
            current={current?.id ?? null}
          />
        </>
      )}
      {current?.flows.clamp && (
        <Box py="8px" fontWeight={600} data-clamp>
          <PhraseText phrase={current.flows.clamp} />
        </Box>
      )}
      {current && (
        <Fold
          title={say("readings-sheet-load-every", { setName: setName(current) })}
          note={
            current.load.figure ? <FigureText figure={current.load.figure} line={false} /> : say("readings-sheet-waits")
          }
        >
          {answers.length > 1 && sets.length <= most && (
            <WhichSet answers={answers} current={current} pick={setPicked} />
          )}
          <LoadPicture answer={current} />
          <Small display="block" pt="6px">
            {say("readings-sheet-share-rated")}
          </Small>
        </Fold>
      )}
      {current && current.flows.methods.length > 0 && (
        <Fold
          title={say("readings-sheet-flow-every", { setName: setName(current) })}
          note={
            current.flows.together.figure ? (
              <FigureText figure={current.flows.together.figure} line={false} />
            ) : (
              say("readings-sheet-waits")
            )
          }
        >
          <FlowPicture answer={current} />
          <Small>{say("readings-sheet-bars-hold")}</Small>
        </Fold>
      )}
      {current && (current.flows.next ?? []).length > 0 && (
        <Fold
          title={say("readings-sheet-worth-reading")}
          note={(current.flows.next ?? []).map((reading) => small(reading.what)).join("; ")}
        >
          <NextReadings readings={current.flows.next ?? []} />
        </Fold>
      )}
      <Fold
        title={say("readings-sheet-flow-wanted")}
        note={<WantedNote />}
        holds={under("target")}
        startsOpen={Object.values(view.document.target ?? {}).some((value) => value != null)}
      >
        <FieldGrid paths={pump ? PUMP_TARGET : TARGET} />
        <Box pt="6px">
          {say("readings-sheet-wanted")}
          <WorkedFigure name="wanted-flow" result={wantedFlow} />
        </Box>
        <WorkingPanel name="wanted-flow" result={wantedFlow} />
      </Fold>
      {!pump && (
        <Fold
          title={say("readings-sheet-charts-panel")}
          note={say("readings-sheet-amps-volts")}
          holds={under("charts")}
          startsOpen={Boolean(view.document.charts?.amps_chart ?? view.document.charts?.blower_table)}
        >
          <Charts />
        </Fold>
      )}
      {current && <Effects />}
      <Fold title={say("readings-sheet-sets-out")} note={say("readings-sheet-spreadsheet-logger")}>
        <Csv />
      </Fold>
      <Fold
        title={say("readings-sheet-my-meters")}
        note={view.document.meters?.owner ?? say("readings-sheet-said-once")}
        holds={under("meters")}
      >
        <MetersPart />
      </Fold>
      <StandingKey />
    </Sheet>
  );
}

const NO_SETS: Set[] = [];

/** How many sets stand side by side on a phone, on a tablet, and beside the balance. */
const MOST = { phone: 1, tablet: 2, wide: 3 };

/** The sets that are shown: the one that is looked at, and those before it as far as there is room. */
function shownOf<One extends { id: string }>(sets: readonly One[], current: string | undefined, most: number): One[] {
  const at = sets.findIndex((set) => set.id === current);
  const last = Math.max(at === -1 ? sets.length - 1 : at, Math.min(most, sets.length) - 1);
  return sets.slice(Math.max(0, last - most + 1), last + 1);
}

interface WhichSetProps {
  answers: readonly Schemas["SetAnswer"][];
  current: Schemas["SetAnswer"] | undefined;
  pick: (id: string) => void;
  newestFirst?: boolean;
}

/** Which set is looked at. */
function WhichSet({ answers, current, pick, newestFirst = false }: WhichSetProps) {
  return (
    <Box role="group" aria-label={say("readings-sheet-set")} display="flex" gap="8px" flexWrap="wrap" pb="6px">
      {(newestFirst ? [...answers].reverse() : answers).map((answer) => (
        <Press
          key={answer.id}
          type="button"
          aria-pressed={answer.id === current?.id}
          fontWeight={answer.id === current?.id ? 600 : 400}
          background={answer.id === current?.id ? "desk" : "paper"}
          onClick={() => pick(answer.id)}
        >
          {setName(answer)}
        </Press>
      ))}
    </Box>
  );
}

const ONE = "one";
const OF = "set";

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
  const { wanted_flow } = useFound("wanted_flow");
  if (!wanted_flow.figure) return say("readings-sheet-tons-heat");
  return <FigureText figure={wanted_flow.figure} line={false} />;
}

function setName(answer: Schemas["SetAnswer"]) {
  return `${answer.number} ${answer.name}`.trim();
}
