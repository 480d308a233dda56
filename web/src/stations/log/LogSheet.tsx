import { Box } from "@chakra-ui/react";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link } from "react-router";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Micro, SeverityWord, Small } from "../../shared/parts";
import { Part, Sheet } from "../../shared/Sheet";
import { PhraseText } from "../../shared/Words";
import { AddReading } from "./AddReading";
import { BringFile } from "./BringFile";
import { Events } from "./Events";
import { SeriesPicture } from "./SeriesPicture";
import { WatchPart } from "./WatchPart";

export type LogView = Schemas["LogView"];
const LOOK_AGAIN_MS = 5000;

/** Is it drifting: a machine's readings over months, against the state in which it was signed off. */
export function LogSheet() {
  const { view } = useJob();
  const log = useLog(view.machine_id);
  return (
    <Sheet station="log">
      {log.error && <Box role="alert">{log.error.message}</Box>}
      {log.data && <Told log={log.data} />}
      {log.data && (
        <>
          <AddReading log={log.data} />
          <BringFile log={log.data} />
          <WatchPart log={log.data} />
        </>
      )}
    </Sheet>
  );
}

/** A machine's log; read again while a panel is read into it. */
function useLog(machine: number) {
  const { desk } = useJob();
  const log = useQuery<LogView, Refused>({
    queryKey: ["log", machine],
    queryFn: () => taken(api.GET("/api/machines/{machine_id}/log", { params: { path: { machine_id: machine } } })),
    refetchInterval: (query) => (query.state.data?.watch ? LOOK_AGAIN_MS : false),
  });
  const rail = log.data ? JSON.stringify(log.data.answer.rail) : "";
  useEffect(() => {
    // The rail tells of the log too: the job is read again when that has changed.
    const shown = JSON.stringify(desk.snapshot().view?.log ?? []);
    if (rail && rail !== shown) void desk.load();
  }, [rail, desk]);
  return log;
}

/** Put a log that came back with an answer where every part of the page finds it. */
export function useTakeLog() {
  const queries = useQueryClient();
  return (log: LogView) => queries.setQueryData(["log", log.machine_id], log);
}

function Told({ log }: { log: LogView }) {
  const { answer } = log;
  return (
    <>
      <Box py="10px" borderBottom="1px solid" borderColor="rule" data-drifts={answer.drifts ? "yes" : "no"}>
        {answer.drifts && (
          <>
            <SeverityWord severity="caution" />{" "}
          </>
        )}
        <Box as="span" fontSize="1.03125rem" fontWeight={600}>
          <PhraseText phrase={answer.waits ? [sentenceOf(answer.waits)] : answer.sentence} />
        </Box>
        {answer.drifts && log.since && (
          <Box>
            Since about {dayWords(log.since)}, on {answer.setting}, read by {answer.source}.
          </Box>
        )}
        <Lines lines={[answer.capacitor, answer.frozen].filter((line) => line.length > 0)} />
        {log.capacitor_leaves && (
          <Box>
            If it goes on so it leaves its tolerance about {monthOf(log.capacitor_leaves.likely)}; from{" "}
            {monthOf(log.capacitor_leaves.earliest)} at the earliest,{" "}
            {log.capacitor_leaves.latest ? `${monthOf(log.capacitor_leaves.latest)} at the latest` : "perhaps never"}.
          </Box>
        )}
        {log.next_visit && (
          <Box pt="4px">
            <b>Next visit {dayWords(log.next_visit)}:</b> <PhraseText phrase={answer.next_why} />.{" "}
            <Link to="/visits">all visits</Link>
          </Box>
        )}
      </Box>
      {answer.causes.length > 0 && (
        <Part title="What explains it" sentence="each cause put into the solved machine; shares are of the likelihood">
          {answer.causes.map((cause) => (
            <Box
              key={cause.cause}
              display="grid"
              gridTemplateColumns="84px minmax(0, 1fr)"
              gap="10px"
              py="6px"
              borderTop="1px solid"
              borderColor="hair"
              data-cause={cause.cause}
            >
              <Box fontWeight={600} textAlign="right">
                {shareWords(cause.share)}
              </Box>
              <Box>
                <b>{cause.cause}</b>: {cause.words}
                <Micro display="block">
                  would make{" "}
                  {cause.needles.map((needle, index) => (
                    <span key={index}>
                      {index > 0 ? ", " : ""}
                      <PhraseText phrase={needle} />
                    </span>
                  ))}
                </Micro>
              </Box>
            </Box>
          ))}
          <Small display="block" pt="4px">
            {answer.source_words}
          </Small>
        </Part>
      )}
      {answer.series.length > 0 && <Pictures log={log} />}
      <Events log={log} />
    </>
  );
}

function Lines({ lines }: { lines: Schemas["LogAnswer"]["sentence"][] }) {
  return lines.map((line, index) => (
    <Box key={index} pt="4px">
      <PhraseText phrase={line} />
    </Box>
  ));
}

function Pictures({ log }: { log: LogView }) {
  const { answer } = log;
  const days = answer.series.flatMap((series) => [series.days[0] ?? 0, series.days[series.days.length - 1] ?? 0]);
  const at = (day: number) => new Date(day * 86_400_000);
  const first = Math.min(...days);
  const last = Math.max(...days, first + 1);
  const span: [Date, Date] = [at(first), at(last)];
  return (
    <Part
      title={`Readings over time, on ${answer.setting ?? "one setting"}`}
      note={`${answer.readings.toLocaleString("en")} readings; green is the healthy state and its band`}
    >
      {answer.series.map((series) => (
        <SeriesPicture key={series.column} series={series} events={log.events} span={span} />
      ))}
      <Micro display="block" pt="2px">
        Dots: readings, thinned. Line: robust trend since the last service of air or motor. Dotted upright: a service.
      </Micro>
    </Part>
  );
}

/** A share of the likelihood; the model is never so sure that it could say all. */
function shareWords(share: number) {
  return share > 0.99 ? "over 99 %" : `${Math.round(100 * share)} %`;
}

function sentenceOf(words: string) {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}

function monthOf(at: string) {
  return new Date(at).toLocaleDateString("en-GB", { month: "long", year: "numeric" });
}

export function dayWords(at: string) {
  return new Date(at).toLocaleDateString("en-GB", { day: "numeric", month: "long", year: "numeric" });
}
