import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";

import type { Phrase, Schemas } from "../shared/api";
import { SeverityWord, Small } from "../shared/parts";
import { STATIONS } from "../shared/stations";
import { PhraseText } from "../shared/Words";
import { JobDeeds } from "./JobDeeds";
import { say } from "../shared/say";

type Job = Schemas["BoardJob"];

export const COLUMNS = { base: "minmax(0, 1fr)", lg: "200px minmax(0, 1fr) 250px 190px" };

interface JobLineProps {
  job: Job;
  /** Its site, where lines of many sites stand under each other. */
  site?: string;
  /** What stands in place of the line's own deeds; nothing where none may be done here. */
  changed?: () => void;
}

/** A job in one line: the machine, how it is, where it stands, and what it waits for. */
export function JobLine({ job, site, changed }: JobLineProps) {
  const { line } = job;
  return (
    <Box display="grid" gridTemplateColumns="minmax(0, 1fr) 44px" borderBottom="1px solid" borderColor="hair">
      <JobLink to={`/jobs/${job.id}/short`} data-job={job.id}>
        <Box>
          <Box fontWeight={600} fontSize="1rem">
            {job.machine}
          </Box>
          <Small>{[site, job.place].filter(Boolean).join(", ")}</Small>
        </Box>
        <Box>
          {line.stopped && (
            <>
              <SeverityWord severity="stop" />{" "}
            </>
          )}
          {(job.drifts ?? []).length > 0 && (
            <>
              <SeverityWord severity="caution" />
              {say("job-line-it")}
              <PhraseText phrase={(job.drifts ?? []) as Phrase} />.{" "}
            </>
          )}
          <PhraseText phrase={line.sentence as Phrase} />
        </Box>
        <RouteTicks at={line.stands_at} stopped={line.stopped} />
        <Box fontSize="small">
          <Box as="span" display={{ base: "inline", lg: "none" }} color="ink2">
            {say("job-line-waits")}
          </Box>
          {line.waits_for}
        </Box>
      </JobLink>
      {changed ? <JobDeeds job={job} changed={changed} /> : <span />}
    </Box>
  );
}

const JobLink = chakra(Link, {
  base: {
    display: "grid",
    gridTemplateColumns: COLUMNS,
    gap: "4px 20px",
    alignItems: "center",
    minHeight: "56px",
    py: "8px",
    textDecoration: "none",
    _hover: { background: "desk" },
    _focusVisible: { outlineOffset: "-3px" },
  },
});

/** Ten ticks for the ten stations; a tall block where the job stands. */
function RouteTicks({ at, stopped }: { at: Schemas["Station"]; stopped: boolean }) {
  const here = STATIONS.findIndex((station) => station.id === at);
  const gap = 23;
  return (
    <Ticks
      viewBox="0 0 230 40"
      role="img"
      aria-label={say("job-line-stands", { STATIONS: STATIONS[here]?.title ?? at })}
    >
      <line x1="6" x2="224" y1="20" y2="20" stroke="var(--chakra-colors-hair)" />
      {STATIONS.map((station, index) => {
        const x = 8 + index * gap;
        if (index === here)
          return (
            <g key={station.id} fill={stopped ? "var(--chakra-colors-brick)" : "var(--chakra-colors-ink)"}>
              <rect x={x - 4} y={6} width={8} height={14} />
              <text x={x} y={35} textAnchor={index > 7 ? "end" : index < 2 ? "start" : "middle"} fontSize={13}>
                {station.title}
              </text>
            </g>
          );
        return index < here ? (
          <line key={station.id} x1={x} x2={x} y1={14} y2={20} stroke="var(--chakra-colors-ink)" strokeWidth={2} />
        ) : (
          <circle key={station.id} cx={x} cy={20} r={1.8} fill="var(--chakra-colors-rule)" />
        );
      })}
    </Ticks>
  );
}

const Ticks = chakra("svg", { base: { width: "230px", maxWidth: "100%", height: "40px", display: "block" } });
