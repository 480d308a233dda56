import { Box } from "@chakra-ui/react";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useState } from "react";

import { LabelledField } from "../../shared/AnyField";
import type { Refused, Schemas } from "../../shared/api";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob } from "../../shared/job";
import { Cap, Press, SeverityWord, Small, Word } from "../../shared/parts";
import { singleKeysOn } from "../../shared/reader";
import { FigureText, PhraseText } from "../../shared/Words";
import { sweepBegun, sweepNow, sweepSteered } from "./acts";
import { SweepPicture } from "./SweepPicture";
import { WriteButton } from "./WritePanel";
import { say } from "../../shared/say";

const LOOK_EVERY_MS = 500;
const SET = ["low", "high", "step", "hold", "margin", "limit"].map((field) => `setup/sweep/${field}`);

/** Step through every hertz with an ear at the duct; what is loud becomes bands that the drive skips. */
export function SweepPart() {
  const { view } = useJob();
  const { setup } = useFound("setup");
  const { sweep } = setup;
  const [byHand, setByHand] = useState(false);
  if (!sweep) return null;
  const through = Boolean(view.document.setup?.device) && !byHand;
  return (
    <>
      <Box display="flex" gap="6px 20px" flexWrap="wrap" alignItems="center">
        <Small>
          {sweep.frequencies.length > 0 && (
            <>
              {say("sweep-part-hz-steps", {
                frequencies: sweep.frequencies[0],
                frequencies2: sweep.frequencies[sweep.frequencies.length - 1],
              })}
              <FigureText figure={sweep.step} />
              {say("sweep-part-each-held")}
              <FigureText figure={sweep.hold} />
              {say("sweep-part-up-down")}
            </>
          )}
        </Small>
        {view.document.setup?.device && (
          <Word type="button" onClick={() => setByHand(!byHand)}>
            {byHand ? say("sweep-part-step-through") : say("sweep-part-step-hand")}
          </Word>
        )}
      </Box>
      <Fold title={say("sweep-part-step-hold")} note={say("sweep-part-level-loud")} holds={under("setup/sweep")}>
        <Box
          display="grid"
          gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(auto-fill, minmax(200px, 1fr))" }}
          gap="4px 20px"
        >
          {SET.map((path) => (
            <LabelledField key={path} path={path} />
          ))}
        </Box>
      </Fold>
      {through ? <ByDrive /> : <ByHand frequencies={sweep.frequencies} />}
      <Outcome sweep={sweep} />
    </>
  );
}

/** Mark a frequency as loud, by the one large button or its key. */
function useMark(hertz: number | null, going: "up" | "down" | null) {
  const { desk } = useJob();
  const mark = useCallback(
    () =>
      void desk.does({
        to: "/setup/loud",
        body: { hertz, going },
        label: say("sweep-part-loud-mark"),
        now: hertz === null,
      }),
    [desk, hertz, going],
  );
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches("input, select, textarea");
      if (
        event.key.toLowerCase() === "l" &&
        singleKeysOn() &&
        !typing &&
        !event.ctrlKey &&
        !event.altKey &&
        !event.metaKey
      )
        mark();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, [mark]);
  return mark;
}

function LoudButton({ mark }: { mark: () => void }) {
  return (
    <Press
      type="button"
      data-loud
      textAlign="center"
      width="100%"
      minHeight="92px"
      fontSize="1.5625rem"
      borderColor="ink"
      borderWidth="2px"
      onClick={mark}
    >
      {say("sweep-part-loud")}
      <Cap ml="10px">L</Cap>
    </Press>
  );
}

function ByDrive() {
  const { desk, view } = useJob();
  const queries = useQueryClient();
  const key = ["sweep", view.id];
  const now = useQuery<Schemas["SweepAnswerView"], Refused>({
    queryKey: key,
    queryFn: () => sweepNow(view.id),
    refetchInterval: (query) => (query.state.data?.run?.state === "running" ? LOOK_EVERY_MS : false),
  });
  const run = now.data?.run ?? null;
  const state = run?.state ?? null;
  const heard = run?.levels.length ?? 0;
  useEffect(() => {
    if (heard > 0) void desk.load(); // a level may have marked a frequency as loud
  }, [heard, desk]);
  useEffect(() => {
    if (state === "done" || state === "stopped" || state === "paused") void desk.load();
  }, [state, desk]);
  const mark = useMark(null, null);
  const steer = useMutation<unknown, Refused, "pause" | "go-on" | "stop">({
    mutationFn: (act) => sweepSteered(view.id, act),
    onSuccess: () => queries.invalidateQueries({ queryKey: key }),
  });
  const under_way = state === "running" || state === "paused";
  return (
    <Box py="8px" data-sweep={state ?? "none"}>
      {!under_way && (
        <WriteButton
          wanted={{ what: "sweep" }}
          label={state ? say("sweep-part-sweep-again") : say("sweep-part-sweep-through")}
          confirmLabel="Begin"
          confirm={(confirmed) => sweepBegun(view.id, confirmed)}
          done={() => void queries.invalidateQueries({ queryKey: key })}
        />
      )}
      {under_way && run && (
        <>
          <Box display="flex" gap="20px" alignItems="baseline" flexWrap="wrap">
            <Box fontSize="2.0625rem" fontWeight={600}>
              {run.at && <FigureText figure={run.at} line={false} />}
            </Box>
            <Box>
              {say("sweep-part-going", {
                going: run.going,
                done: run.done,
                of: run.of,
                state: state === "paused" ? say("sweep-part-paused") : "",
              })}
            </Box>
          </Box>
          <LoudButton mark={mark} />
          <Box display="flex" gap="8px" pt="8px">
            {state === "running" ? (
              <Press type="button" onClick={() => steer.mutate("pause")}>
                {say("sweep-part-pause")}
              </Press>
            ) : (
              <Press type="button" onClick={() => steer.mutate("go-on")}>
                {say("sweep-part-go-machine")}
              </Press>
            )}
            <Press type="button" color="brick" onClick={() => steer.mutate("stop")}>
              {say("sweep-part-stop-put")}
            </Press>
          </Box>
        </>
      )}
      {run?.sentence && (
        <Box role="status" pt="6px" color={state === "paused" ? "ochre" : "ink"} fontWeight={600}>
          {run.sentence}
        </Box>
      )}
      {steer.error && <Box role="alert">{steer.error.message}</Box>}
      {now.error && <Box role="alert">{now.error.message}</Box>}
      <SweepPicture levels={run?.levels ?? []} />
    </Box>
  );
}

/** Stepped at the drive's own keypad: this page counts along. */
function ByHand({ frequencies }: { frequencies: readonly number[] }) {
  const { desk } = useJob();
  const [place, setPlace] = useState(0);
  const points = [
    ...frequencies.map((hertz) => ({ hertz, going: "up" as const })),
    ...[...frequencies].reverse().map((hertz) => ({ hertz, going: "down" as const })),
  ];
  const at = points[Math.min(place, points.length - 1)];
  const mark = useMark(at?.hertz ?? null, at?.going ?? null);
  if (!at) return null;
  const next = () => {
    if (place + 1 === frequencies.length) void desk.choose("setup/sweep/swept_up", "yes");
    if (place + 1 === points.length) void desk.choose("setup/sweep/swept_down", "yes");
    setPlace(Math.min(place + 1, points.length));
  };
  if (place >= points.length)
    return (
      <Box py="8px">
        <b>{say("sweep-part-swept-up")}</b>{" "}
        <Word type="button" onClick={() => setPlace(0)}>
          {say("sweep-part-sweep-again-2")}
        </Word>
      </Box>
    );
  return (
    <Box py="8px" data-sweep={say("sweep-part-hand")}>
      {place === 0 && <LabelledField path="setup/sweep/cleared" />}
      <Box display="flex" gap="20px" alignItems="baseline" flexWrap="wrap">
        <Box fontSize="2.0625rem" fontWeight={600} data-at={at.hertz}>
          {say("sweep-part-hz", { hertz: at.hertz })}
        </Box>
        <Box>{say("sweep-part-going-set", { going: at.going, place: place + 1, way: points.length })}</Box>
      </Box>
      <LoudButton mark={mark} />
      <Box display="flex" gap="8px" pt="8px">
        <Press type="button" onClick={() => setPlace(Math.max(place - 1, 0))} disabled={place === 0}>
          {say("sweep-part-back")}
        </Press>
        <Press type="button" onClick={next} flex="1">
          {say("sweep-part-next")}
        </Press>
      </Box>
    </Box>
  );
}

type Mark = Schemas["LoudMark"];

/** What was marked, a line for each frequency. */
function Marks({ marks }: { marks: readonly Mark[] }) {
  const { desk } = useJob();
  const hertz = [...new Set(marks.map((mark) => mark.frequency?.si ?? 0))].sort((a, b) => a - b);
  if (hertz.length === 0) return null;
  return (
    <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} columnGap="24px" py="4px">
      {hertz.map((at) => {
        const own = marks.filter((mark) => (mark.frequency?.si ?? 0) === at);
        return (
          <Box
            key={at}
            display="flex"
            gap="10px"
            alignItems="center"
            borderTop="1px solid"
            borderColor="hair"
            data-mark={at}
          >
            <b>{own[0]?.frequency?.typed}</b>
            <Small flex="1">{own.map(markWords).join("; ")}</Small>
            <Word
              type="button"
              mx="0"
              aria-label={say("sweep-part-remove-marks", { typed: own[0]?.frequency?.typed ?? "" })}
              onClick={() => own.forEach((mark) => void desk.remove(`setup/sweep/marks/${mark.id}`))}
            >
              {say("sweep-part-remove")}
            </Word>
          </Box>
        );
      })}
    </Box>
  );
}

function markWords(mark: Mark) {
  return [
    mark.going ? say("sweep-part-mark-going", { going: mark.going }) : say("sweep-part-is-loud"),
    mark.level?.typed,
  ]
    .filter(Boolean)
    .join(", ");
}

/** What the marks come to: bands, limits, what stays loud; written and read back. */
function Outcome({ sweep }: { sweep: Schemas["SweepAnswer"] }) {
  const { view } = useJob();
  const marks = view.document.setup?.sweep?.marks ?? [];
  return (
    <Box pt="4px">
      <Marks marks={marks} />
      {sweep.stop && (
        <Box borderTop="4px solid" borderBottom="4px solid" borderColor="brick" py="6px" role="alert">
          <SeverityWord severity="stop" /> {sweep.stop}
        </Box>
      )}
      <Box data-sweep-outcome>
        {sweep.sentences.map((sentence, index) => (
          <Box key={index} fontWeight={600} py="2px">
            <PhraseText phrase={sentence} />
          </Box>
        ))}
      </Box>
      {view.document.setup?.device && marks.length > 0 && !sweep.stop && (
        <WriteButton wanted={{ what: "bands" }} label={say("sweep-part-write-bands")} />
      )}
    </Box>
  );
}
