import { Box } from "@chakra-ui/react";
import { useEffect } from "react";
import { useNavigate } from "react-router";

import type { Schemas } from "../shared/api";
import { Cap, Press, SeverityWord, Small, Word } from "../shared/parts";
import { useUnits } from "../shared/units";
import type { BenchDesk, BenchState } from "./desk";
import { Cell, Knobs } from "./Knobs";
import { Meters } from "./Meters";
import { RigDrawing } from "./RigDrawing";
import { type Experiment, knobText, LIVE, type Meter, turnedKnobs, valueOf } from "./words";

interface RigSheetProps {
  desk: BenchDesk;
  state: BenchState;
  book: Schemas["BenchBook"];
}

/** The rig: its drawing, its knobs and its meters; what is turned is predicted first, where that is wished. */
export function RigSheet({ desk, state, book }: RigSheetProps) {
  const { standing, experiment, outlook, applied, wanted, explained } = state;
  useRigKeys(desk, state);
  if (!standing) return <Box py="20px">The rig is being put up.</Box>;
  const asks = state.predicts && (desk.waits || !!explained);
  const meters = shownMeters(standing.meters, experiment, state);
  return (
    <>
      {experiment && <Ask experiment={experiment} />}
      <RigDrawing desk={desk} rig={standing} applied={applied} wanted={wanted} />
      {outlook?.says.map((words) => (
        <Box key={words} py="4px">
          <SeverityWord severity="caution" /> {words}
        </Box>
      ))}
      <Actions desk={desk} state={state} />
      {!experiment && <Knobs desk={desk} knobs={standing.knobs} wanted={wanted} applied={applied} />}
      <TurnLine desk={desk} state={state} meters={meters.length} book={book} />
      <Meters desk={desk} state={state} meters={meters} asks={experiment ? true : asks} />
      {explained && experiment && (
        <Box py="10px" borderBottom="1px solid" borderColor="rule" data-point>
          <b>The point.</b> {experiment.point}
        </Box>
      )}
    </>
  );
}

/** An experiment asks of its own meters; a free rig shows all that it has, the year's only where hours are set. */
function shownMeters(meters: Schemas["MeterView"][], experiment: Experiment | null, state: BenchState) {
  const has = (meter: Meter) => LIVE.includes(meter) || state.outlook?.values[meter] !== undefined;
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
          {knob.label}: {knobText(knob, valueOf(knob, applied), units)} to{" "}
          <b>{knobText(knob, valueOf(knob, wanted), units)}</b>.{" "}
        </span>
      ))}
    </span>
  );
}

const PACES = [1, 10, 60] as const;

/** Switched on or off, how fast its time runs, whether changes are predicted. */
function Actions({ desk, state }: { desk: BenchDesk; state: BenchState }) {
  return (
    <Box display="flex" flexWrap="wrap" gap="6px 12px" alignItems="center" py="6px">
      <Press type="button" aria-pressed={state.on} onClick={() => desk.switchTo(!state.on)} data-switch>
        {state.on ? "Switch it off" : "Switch it on"} <Cap>O</Cap>
      </Press>
      <Box role="group" aria-label="How fast its time runs" display="flex" alignItems="center">
        <Small pr="8px">time runs</Small>
        {PACES.map((pace) => (
          <Cell
            key={pace}
            type="button"
            aria-pressed={state.pace === pace}
            chosen={state.pace === pace ? "yes" : undefined}
            onClick={() => desk.setPace(pace)}
          >
            {pace === 1 ? "as here" : `× ${pace}`}
          </Cell>
        ))}
      </Box>
      {!state.experiment && (
        <Box display="flex" gap="12px" ml="auto" alignItems="center">
          <Box role="group" aria-label="When a knob is turned" display="flex">
            {[true, false].map((predicts) => (
              <Cell
                key={String(predicts)}
                type="button"
                aria-pressed={state.predicts === predicts}
                chosen={state.predicts === predicts ? "yes" : undefined}
                onClick={() => desk.setPredicts(predicts)}
                data-predicts={predicts}
              >
                {predicts ? "predict first" : "at once"}
              </Cell>
            ))}
          </Box>
          <Word type="button" onClick={() => desk.reset()}>
            as built
          </Word>
        </Box>
      )}
    </Box>
  );
}

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
      <Bar
        words={
          count ? `${right} of ${count} said rightly. Each meter says why it moved.` : "Each meter says why it moved."
        }
      >
        <Press type="button" onClick={() => desk.repeat()}>
          Once more
        </Press>
        {next && (
          <Press type="button" onClick={() => navigate(`/bench/course/${next.code}`)} data-next>
            Next: {next.title}
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
      ? "Say of each meter: falls, same or rises."
      : count < meters
        ? `${count} of ${meters} said.`
        : "All said.";
  return (
    <Bar
      words={
        <>
          <Change state={state} /> {words}
        </>
      }
    >
      <Press type="button" onClick={() => void desk.turn()} data-turn>
        {count ? "Turn it" : "Turn it without predicting"} <Cap>Enter</Cap>
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
      if (event.key.toLowerCase() === "o") desk.switchTo(!on);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [desk, on]);
}
