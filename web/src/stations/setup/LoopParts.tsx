import { Box } from "@chakra-ui/react";

import { FieldGrid, LabelledField } from "../../shared/AnyField";
import type { Phrase, Result, Schemas } from "../../shared/api";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob } from "../../shared/job";
import { Micro, Press, SeverityWord, Small, Word } from "../../shared/parts";
import { FigureText, PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { gainsToTry, stepBegun, watchBegun } from "./acts";
import { LoopRunPanel } from "./LoopRun";
import { Told } from "./Told";
import { WriteButton } from "./WritePanel";
import { say } from "../../shared/say";

type Loop = Schemas["LoopAnswer"];

const PRESSURES = ["duct", "differential"];
const USUAL_WATCH_S = 60;
const UNSETTLED = ["level", "space"];

/** What is held, where its sensor sits, and what each duty step then runs at. */
export function LoopSensor() {
  const { loop } = useFound("setup").setup;
  if (!loop) return null;
  const values = `setup/loop/${loop.values}`;
  const asked = [
    ...(PRESSURES.includes(loop.holds) ? ["setup/loop/place", "setup/loop/left"] : []),
    ...(UNSETTLED.includes(loop.holds) ? ["setup/loop/raises"] : []),
    ...(loop.holds === "level" ? ["setup/loop/tank_area"] : []),
    `${values}/span`,
    `${values}/set_point`,
  ];
  return (
    <>
      <FieldGrid paths={asked} />
      {(loop.set_point.working ?? loop.set_point.waits) && (
        <Row name="loop-set" label={say("loop-parts-set-point")} result={loop.set_point} />
      )}
      {loop.rows.length > 0 && <Runs loop={loop} />}
      <Sentences phrases={loop.sentences} />
    </>
  );
}

function Sentences({ phrases }: { phrases: readonly Phrase[] }) {
  return phrases.map((phrase, index) => (
    <Small key={index} display="block" py="2px" maxWidth="78ch">
      <PhraseText phrase={phrase} />
    </Small>
  ));
}

/** What each step runs at while the set point is held, beside what it would need with nothing held. */
function Runs({ loop }: { loop: Loop }) {
  return (
    <Box as="table" width="100%" maxWidth="560px" borderCollapse="collapse" fontSize="small" my="6px">
      <caption style={{ textAlign: "left" }}>
        <Micro>
          {say("loop-parts-while-holds")}
          {loop.least && (
            <>
              {say("loop-parts-every-outlet")}
              <FigureText figure={loop.least} />
            </>
          )}
        </Micro>
      </caption>
      <thead>
        <Box as="tr" color="ink2" textAlign="right">
          <th />
          <Cell as="th">{say("loop-parts-air-water")}</Cell>
          <Cell as="th">{say("loop-parts-runs")}</Cell>
          <Cell as="th">{say("loop-parts-nothing-held")}</Cell>
        </Box>
      </thead>
      <tbody>
        {loop.rows.map((row) => (
          <Box as="tr" key={row.name} borderTop="1px solid" borderColor="hair" textAlign="right">
            <Box as="td" textAlign="left" py="6px">
              {row.name}
            </Box>
            <Cell>
              <FigureText figure={row.flow} />
            </Cell>
            <Cell fontWeight={600}>
              <FigureText figure={row.command} />
            </Cell>
            <Cell>
              <FigureText figure={row.free} />
            </Cell>
          </Box>
        ))}
      </tbody>
    </Box>
  );
}

function Cell({ as = "td", ...rest }: { as?: "td" | "th"; fontWeight?: number; children: React.ReactNode }) {
  return <Box as={as} py="6px" pl="12px" fontWeight={rest.fontWeight ?? 400} children={rest.children} />;
}

/** How the value follows its command, from a step that is read; and the first gains that follow. */
export function LoopGains() {
  const { view } = useJob();
  const { setup } = useFound("setup");
  const { loop } = setup;
  if (!loop) return null;
  const through = Boolean(view.document.setup?.device) && loop.holds === "duct";
  const [first, second] = setup.drive ? ["hertz_before", "hertz_after"] : ["signal_before", "signal_after"];
  const read = [first, second, "began", "two_thirds"].map((field) => `setup/loop/${field}`);
  const values = ["before", "after"].map((field) => `setup/loop/${loop.values}/${field}`);
  return (
    <>
      {loop.stop && (
        <Box role="alert" py="6px">
          <SeverityWord severity="stop" /> {loop.stop}
        </Box>
      )}
      {through && (
        <WriteButton
          wanted={{ what: "step" }}
          label={say("loop-parts-step-drive")}
          confirmLabel="Begin"
          confirm={(confirmed) => stepBegun(view.id, confirmed)}
        />
      )}
      {through && <LoopRunPanel kind="step" />}
      <Fold
        title={say("loop-parts-step-read")}
        note={say("loop-parts-hand-value")}
        holds={under("setup/loop")}
        startsOpen={!through}
      >
        <FieldGrid paths={[...read.slice(0, 2), ...values, ...read.slice(2)]} />
      </Fold>
      <Small display="block" py="4px">
        {say("loop-parts-from")}
        <FigureText figure={loop.low} />
        {say("loop-parts-to")}
        <FigureText figure={loop.full} />
        {say("loop-parts-which-is")}
      </Small>
      <Row name="loop-process" label={loop.process.label} result={loop.process} />
      <Row name="loop-gain" label={loop.gain.label} result={loop.gain} />
      <Row name="loop-integral" label={loop.integral.label} result={loop.integral} />
      <Tries />
    </>
  );
}

/** The closed loop watched: what was seen at the gains as they are, and what to set next. */
export function LoopWatch() {
  const { view } = useJob();
  const { setup } = useFound("setup");
  const { loop } = setup;
  if (!loop) return null;
  const through = Boolean(view.document.setup?.device) && loop.holds === "duct";
  return (
    <>
      <Sentences phrases={loop.watch} />
      <Tries />
      {through && (
        <Box display="flex" gap="8px" flexWrap="wrap" pt="8px">
          <WriteButton
            wanted={{ what: "watch" }}
            label={say("loop-parts-close-watch")}
            confirmLabel="Begin"
            confirm={(confirmed) =>
              watchBegun(view.id, { ...confirmed, seconds: loop.watch_for?.value ?? USUAL_WATCH_S })
            }
          />
          <WriteButton wanted={{ what: "hand" }} label={say("loop-parts-put-hand")} />
        </Box>
      )}
      {through && <LoopRunPanel kind="watch" />}
    </>
  );
}

/** Gains that were set, each with what was seen; the next ones are offered. */
function Tries() {
  const { desk } = useJob();
  const { view } = useJob();
  const { setup } = useFound("setup");
  const { loop } = setup;
  const tries = view.document.setup?.loop?.tries ?? [];
  if (!loop) return null;
  return (
    <Box py="6px" data-tries={tries.length}>
      {tries.map((tried, index) => (
        <Box key={tried.id} borderTop="1px solid" borderColor="hair" data-try={tried.id}>
          <Box display="flex" justifyContent="space-between">
            <Small alignSelf="center">{say("loop-parts-gains", { index: index + 1 })}</Small>
            <Word
              type="button"
              mx="0"
              aria-label={say("loop-parts-remove-gains", { index: index + 1 })}
              onClick={() => void desk.remove(`setup/loop/tries/${tried.id}`)}
            >
              {say("loop-parts-remove")}
            </Word>
          </Box>
          <Box
            display="grid"
            gridTemplateColumns={{ base: "1fr 1fr", md: "120px 140px minmax(0, 1fr) 150px" }}
            gap="4px 16px"
          >
            {["gain", "integral", "seen", "period"].map((field) => (
              <LabelledField key={field} path={`setup/loop/tries/${tried.id}/${field}`} help={false} />
            ))}
          </Box>
        </Box>
      ))}
      {(loop.next_words ?? []).length > 0 && (
        <Box py="6px" fontWeight={600} data-next-gains>
          <PhraseText phrase={loop.next_words ?? []} />
          {loop.next_gain && loop.next_integral && (
            <>
              {say("loop-parts-gain")}
              <FigureText figure={loop.next_gain} />
              {say("loop-parts-integral-time")}
              <FigureText figure={loop.next_integral} />.
            </>
          )}
        </Box>
      )}
      <Press type="button" onClick={() => void desk.does(gainsToTry())}>
        {loop.next_gain
          ? say("loop-parts-try-these")
          : tries.length
            ? say("loop-parts-add-other")
            : say("loop-parts-take-first")}
      </Press>
    </Box>
  );
}

function Row({ name, label, result }: { name: string; label: string; result: Result }) {
  return (
    <>
      <Told label={label}>
        <WorkedFigure name={name} result={result} />
      </Told>
      <WorkingPanel name={name} result={result} />
    </>
  );
}
