import { Box } from "@chakra-ui/react";
import { Link } from "react-router";

import type { Schemas } from "../../shared/api";
import type { Parts } from "../../shared/found";
import { useFound, useJob } from "../../shared/job";
import { NextBar } from "../../shared/NextBar";
import { Micro, SeverityWord, Small } from "../../shared/parts";
import { STATIONS } from "../../shared/stations";
import { FigureText, PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { Candidates } from "./Candidates";
import { FirstRow } from "./FirstRow";
import { SmallBalance } from "./SmallBalance";
import { say } from "../../shared/say";

type Short = Parts["short"];

/** The job in short: how it is now, the worst that is open, what each candidate saves, and the one thing to do next. */
export function ShortSheet() {
  const { short, candidates } = useFound("short", "candidates");
  return (
    <>
      <Box
        display="flex"
        alignItems="baseline"
        justifyContent="space-between"
        gap="14px"
        minHeight="47px"
        borderBottom="2px solid"
        borderColor="ink"
        flexWrap="wrap"
      >
        <Box as="h1" fontSize="title" fontWeight={600} py="8px" tabIndex={-1}>
          {say("short-sheet-short")}
        </Box>
        <StandsAt at={short.stands_at} />
      </Box>
      {short.worst?.severity === "stop" && <Worst worst={short.worst} />}
      <Box display="grid" gridTemplateColumns={{ base: "1fr", lg: "minmax(0, 1fr) 330px" }} gap="0 24px">
        <Box minWidth={0}>
          <Now now={short.now} />
          {short.worst && short.worst.severity !== "stop" && <Worst worst={short.worst} />}
          <FirstRow />
        </Box>
        <Box display={{ base: "none", lg: "block" }}>
          <SmallBalance />
        </Box>
      </Box>
      {candidates.length > 0 ? (
        <Candidates base={short.base} />
      ) : (
        <Box py="14px" fontStyle="italic" color="ink2" maxWidth="70ch" borderTop="2px solid" borderColor="ink">
          {say("short-sheet-what-could", { waits: short.waits ?? say("short-sheet-waits-candidates") })}
        </Box>
      )}
      <NextBar next={short.next ?? null} alone />
    </>
  );
}

/** Where the job stands on its route: a tick a station, tall where it is. */
function StandsAt({ at }: { at: Short["stands_at"] }) {
  const { view } = useJob();
  const place = STATIONS.findIndex((station) => station.id === at);
  return (
    <Box display="flex" alignItems="flex-end" gap="10px" pb="9px">
      <svg width="150" height="16" aria-hidden>
        {STATIONS.map((station, index) => (
          <line
            key={station.id}
            x1={8 + index * 15}
            x2={8 + index * 15}
            y1={index === place ? 1 : index < place ? 9 : 13}
            y2={15}
            stroke="currentColor"
            strokeWidth={index === place ? 6 : 2}
          />
        ))}
      </svg>
      <Small color="ink">
        {say("short-sheet-stands")}
        <Link to={`/jobs/${view.id}/${at}`}>
          <b>{STATIONS[place]?.title}</b>
        </Link>
      </Small>
    </Box>
  );
}

/** What it moves, takes and costs now, each with what to judge it by. */
function Now({ now }: { now: Short["now"] }) {
  const { view } = useJob();
  return (
    <>
      <Box
        as="section"
        aria-label={say("short-sheet-now")}
        display="grid"
        gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(3, minmax(0, 1fr))" }}
        borderBottom="2px solid"
        borderColor="ink"
      >
        {now.map((line, index) => (
          <Box
            key={line.label}
            py="9px"
            px={{ base: index % 2 ? "12px" : 0, md: index ? "16px" : 0 }}
            borderLeft={{ base: index % 2 ? "1px solid" : 0, md: index ? "1px solid" : 0 }}
            borderColor="hair"
            data-now={line.label}
          >
            <Small display="block">
              <Link to={`/jobs/${view.id}/${line.station}`}>{line.label}</Link>
            </Small>
            <Box fontSize={line.value.figure ? { base: "23px", md: "27px" } : "text"} lineHeight={1.25} css={LARGE}>
              <WorkedFigure name={`short-${line.label}`} result={line.value} />
            </Box>
            <Small display="block">
              <PhraseText phrase={line.judged ?? []} />
            </Small>
          </Box>
        ))}
      </Box>
      {now.map((line) => (
        <WorkingPanel key={line.label} name={`short-${line.label}`} result={line.value} />
      ))}
    </>
  );
}

const LARGE = {
  "& [data-figure-uncertainty], & [data-figure-unit]": { fontSize: "0.9375rem", fontWeight: 400 },
  // Enlarged, a figure goes on in the next line before it runs off the side.
  "@media (max-width: 800px)": { "& button, & [data-figure]": { whiteSpace: "normal" } },
};

function Worst({ worst }: { worst: Schemas["WorstFinding"] }) {
  const { view } = useJob();
  const stop = worst.severity === "stop";
  return (
    <Box
      role={stop ? "alert" : "note"}
      data-worst={worst.severity}
      display="flex"
      gap="4px 14px"
      flexWrap="wrap"
      alignItems="baseline"
      borderTop={stop ? "4px solid" : "2px solid"}
      borderBottom={stop ? "4px solid" : 0}
      borderColor={stop ? "brick" : "ochre"}
      py="7px"
    >
      <SeverityWord severity={worst.severity} />
      <Box flex="1 1 320px" fontWeight={600} minWidth={0}>
        <PhraseText phrase={worst.sentence} />
      </Box>
      <Box as="span" fontSize="small" minHeight="44px" display="inline-flex" alignItems="center">
        <Link to={`/jobs/${view.id}/findings`}>
          {worst.others ? say("short-sheet-more", { others: worst.others }) : say("short-sheet-what-proves")}
        </Link>
      </Box>
    </Box>
  );
}

/** A figure that its whole row already explains: shown without a working of its own. */
export function Plain({ result }: { result: Schemas["Result"] }) {
  if (result.figure) return <FigureText figure={result.figure} unit={false} />;
  return (
    <Micro fontStyle="italic">
      <PhraseText phrase={result.waits ?? []} />
    </Micro>
  );
}
