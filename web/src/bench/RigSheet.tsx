import { Box } from "@chakra-ui/react";
import { memo, useEffect, useMemo } from "react";
import { useNavigate } from "react-router";

import type { Schemas } from "../shared/api";
import { singleKeysOn } from "../shared/reader";
import { Cap, Cell, Press, SeverityWord, Small, Word } from "../shared/parts";
import { useUnits } from "../shared/units";
import type { BenchDesk, BenchState } from "./desk";
import { Knobs } from "./Knobs";
import { Meters, PinnedMeters } from "./Meters";
import { RigDrawing } from "./RigDrawing";
import { type Experiment, knobText, LIVE, type Meter, turnedKnobs, valueOf } from "./words";
import { say } from "../shared/say";

interface RigSheetProps {
  desk: BenchDesk;
  state: BenchState;
  book: Schemas["BenchBook"];
}

/** The rig: its drawing, its knobs and its meters; what is turned is predicted first, where that is wished. */
export function RigSheet({ desk, state, book }: RigSheetProps) {
  const { standing, experiment, outlook, applied, wanted, explained } = state;
  useRigKeys(desk, state);
  const hasYear = outlook?.values["year"] !== undefined;
  const meters = useMemo(
    () => shownMeters(standing?.meters ?? [], experiment, hasYear),
    [standing, experiment, hasYear],
  );
  if (!standing) return <Box py="20px">{say("rig-sheet-rig-being")}</Box>;
  const asks = state.predicts && (desk.waits || !!explained);
  return (
    <>
      {experiment ? <Ask experiment={experiment} /> : <PinnedMeters desk={desk} meters={meters} />}
      <RigDrawing desk={desk} rig={standing} applied={applied} wanted={wanted} />
      {outlook?.says.map((words) => (
        <Box key={words} py="4px">
          <SeverityWord severity="caution" /> {words}
        </Box>
      ))}
      <Actions desk={desk} on={state.on} pace={state.pace} predicts={state.predicts} free={!experiment} />
      {!experiment && <Knobs desk={desk} knobs={standing.knobs} wanted={wanted} applied={applied} />}
      <TurnLine desk={desk} state={state} meters={meters.length} book={book} />
      <Meters
        desk={desk}
        said={state.said}
        explained={explained}
        goesTo={outlook?.values}
        meters={meters}
        asks={experiment ? true : asks}
      />
      {explained && experiment && (
        <Box py="10px" borderBottom="1px solid" borderColor="rule" data-point>
          <b>{say("rig-sheet-point")}</b> {experiment.point}
        </Box>
      )}
    </>
  );
}

/** An experiment asks of its own meters; a free rig shows all that it has, the year's only where hours are set. */
function shownMeters(meters: Schemas["MeterView"][], experiment: Experiment | null, hasYear: boolean) {
  const has = (meter: Meter) => hasYear || meter !== "year";
  if (experiment) return experiment.meters.flatMap((meter) => meters.find((one) => one.meter === meter) ?? []);
  const order = (meter: Meter) => (LIVE.includes(meter) ? LIVE.indexOf(meter) : LIVE.length);
  return meters.filter(({ meter }) => has(meter)).sort((one, other) => order(one.meter) - order(other.meter));
}

function Ask({ experiment }: { experiment: Experiment }) {
  return (
    <Box>
      <Box fontWeight={600} fontSize="figure">
        {experiment.number}. {experiment.title}
      </Box>
      <Box>{experiment.ask}</Box>
    </Box>
  );
}

/** What waits to be turned, from and to. */
function Change({ state }: { state: BenchState }) {
  const { units } = useUnits();
  const { standing, applied, wanted } = state;
  if (!standing) return null;
  return (
    <span data-change>
      {turnedKnobs(standing.knobs, applied, wanted).map((knob) => (
        <span key={knob.label}>
          {say("rig-sheet-to", { knob: knob.label, knobText: knobText(knob, valueOf(knob, applied), units) })}
          <b>{knobText(knob, valueOf(knob, wanted), units)}</b>.{" "}
        </span>
      ))}
    </span>
  );
}

const PACES = [1, 10, 60] as const;

interface ActionsProps {
  desk: BenchDesk;
  on: boolean;
  pace: number;
  predicts: boolean;
  free: boolean;
}

/** Switched on or off, how fast its time runs, whether changes are predicted. */
const Actions = memo(function Actions({ desk, on, pace, predicts, free }: ActionsProps) {
  return (
    <Box display="flex" flexWrap="wrap" gap="6px 12px" alignItems="center" py="6px">
      <Press type="button" aria-pressed={on} onClick={() => desk.switchTo(!on)} data-switch>
        {on ? say("rig-sheet-switch-off") : say("rig-sheet-switch")} <Cap>O</Cap>
      </Press>
      <Box role="group" aria-label={say("rig-sheet-how-fast")} display="flex" alignItems="center">
        <Small pr="8px">{say("rig-sheet-time-runs")}</Small>
        {PACES.map((one) => (
          <Cell
            key={one}
            type="button"
            aria-pressed={pace === one}
            chosen={pace === one ? "yes" : undefined}
            onClick={() => desk.setPace(one)}
          >
            {`× ${one}`}
          </Cell>
        ))}
      </Box>
      {free && (
        <Box display="flex" gap="12px" ml="auto" alignItems="center">
          <Box role="group" aria-label={say("rig-sheet-when-knob")} display="flex">
            {[true, false].map((first) => (
              <Cell
                key={String(first)}
                type="button"
                aria-pressed={predicts === first}
                chosen={predicts === first ? "yes" : undefined}
                onClick={() => desk.setPredicts(first)}
                data-predicts={first}
              >
                {first ? say("rig-sheet-predict-first") : say("rig-sheet-once")}
              </Cell>
            ))}
          </Box>
          <Word type="button" onClick={() => desk.reset()}>
            {say("rig-sheet-built")}
          </Word>
        </Box>
      )}
    </Box>
  );
});

interface TurnLineProps {
  desk: BenchDesk;
  state: BenchState;
  meters: number;
  book: Schemas["BenchBook"];
}

/** The one thing to do next: say, turn, look, go on. */
function TurnLine({ desk, state, meters, book }: TurnLineProps) {
  const navigate = useNavigate();
  const { experiment, explained, said } = state;
  const count = Object.keys(said).length;
  if (experiment && explained) {
    const right = explained.answers.filter((answer) => answer.right).length;
    const next = book.course.find((one) => one.number === experiment.number + 1);
    return (
      <Bar words={count ? say("rig-sheet-said-rightly", { right, count }) : say("rig-sheet-each-meter")}>
        <Press type="button" onClick={() => desk.repeat()}>
          {say("rig-sheet-once-more")}
        </Press>
        {next && (
          <Press type="button" onClick={() => navigate(`/bench/course/${next.code}`)} data-next>
            {say("rig-sheet-next", { next: next.title })}
          </Press>
        )}
      </Bar>
    );
  }
  if (!desk.waits) {
    return null;
  }
  const words =
    count === 0
      ? say("rig-sheet-say-each")
      : count < meters
        ? say("rig-sheet-said", { count, meters })
        : say("rig-sheet-all-said");
  return (
    <Bar
      words={
        <>
          <Change state={state} /> {words}
        </>
      }
    >
      <Press type="button" onClick={() => void desk.turn()} data-turn>
        {count ? say("rig-sheet-turn") : say("rig-sheet-turn-without")} <Cap>{say("rig-sheet-enter")}</Cap>
      </Press>
    </Bar>
  );
}

function Bar({ words, children }: { words: React.ReactNode; children?: React.ReactNode }) {
  return (
    <Box
      display="flex"
      flexWrap="wrap"
      gap="8px 12px"
      alignItems="center"
      minHeight="56px"
      borderTop="2px solid"
      borderColor="ink"
      py="6px"
      role="status"
    >
      <Box flex="1 1 200px">{words}</Box>
      {children}
    </Box>
  );
}

/** Enter turns what waits, O switches; F, S and R are heard by the meters themselves. */
function useRigKeys(desk: BenchDesk, state: BenchState) {
  const { on } = state;
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.altKey || event.metaKey || document.querySelector("dialog[open]")) return;
      if (target.matches("select, textarea, input:not([type=range])")) return;
      if (event.key === "Enter" && desk.waits && !target.matches("button:not([role=radio]), a")) {
        event.preventDefault();
        void desk.turn();
      }
      if (event.key.toLowerCase() === "o" && singleKeysOn()) desk.switchTo(!on);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [desk, on]);
}
