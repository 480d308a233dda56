import { Box } from "@chakra-ui/react";
import { Link } from "react-router";

import type { Schemas } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Micro, SeverityWord, Small } from "../../shared/parts";
import { Part, Sheet } from "../../shared/Sheet";
import { PhraseText } from "../../shared/Words";
import { AddReading } from "./AddReading";
import { BringFile } from "./BringFile";
import { Events } from "./Events";
import { dayWords, type LogView, monthWords, useLog } from "./log";
import { SeriesPicture } from "./SeriesPicture";
import { WatchPart } from "./WatchPart";
import { say } from "../../shared/say";
import { numbersTag } from "../../shared/language";

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
            {say("log-sheet-since-about", {
              dayWords: dayWords(log.since),
              setting: answer.setting,
              source: answer.source,
            })}
          </Box>
        )}
        <Lines lines={[answer.capacitor, answer.frozen].filter((line) => line.length > 0)} />
        {log.capacitor_leaves && (
          <Box>
            {say("log-sheet-if-goes", {
              monthWords: monthWords(log.capacitor_leaves.likely),
              monthWords2: monthWords(log.capacitor_leaves.earliest),
              latest: log.capacitor_leaves.latest
                ? say("log-sheet-latest", { monthWords: monthWords(log.capacitor_leaves.latest) })
                : say("log-sheet-perhaps-never"),
            })}
          </Box>
        )}
        {log.next_visit && (
          <Box pt="4px">
            <b>{say("log-sheet-next-visit", { dayWords: dayWords(log.next_visit) })}</b>{" "}
            <PhraseText phrase={answer.next_why} />. <Link to="/visits">{say("log-sheet-all-visits")}</Link>
          </Box>
        )}
      </Box>
      {answer.causes.length > 0 && (
        <Part title={say("log-sheet-what-explains")} sentence={say("log-sheet-each-cause")}>
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
                  {say("log-sheet-would-make")}
                  {cause.effects.map((expected, index) => (
                    <span key={index}>
                      {index > 0 ? ", " : ""}
                      <PhraseText phrase={expected} />
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
      title={say("log-sheet-readings-over", { setting: answer.setting ?? say("log-sheet-one-setting") })}
      note={say("log-sheet-readings-green", { readings: answer.readings.toLocaleString(numbersTag()) })}
    >
      {answer.series.map((series) => (
        <SeriesPicture key={series.column} series={series} events={log.events} span={span} />
      ))}
      <Micro display="block" pt="2px">
        {say("log-sheet-dots-readings")}
      </Micro>
    </Part>
  );
}

/** A share of the likelihood; the model is never so sure that it could say all. */
function shareWords(share: number) {
  return share > 0.99 ? say("log-sheet-over") : `${Math.round(100 * share)} %`;
}

function sentenceOf(words: string) {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;
}
