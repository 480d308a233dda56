import { Box, chakra } from "@chakra-ui/react";
import { memo } from "react";
import { NavLink } from "react-router";

import type { Schemas, Station } from "../shared/api";
import { useJob } from "../shared/job";
import { SeverityWord, Small } from "../shared/parts";
import { keyOf, railOf, STATIONS } from "../shared/stations";
import { PhraseText } from "../shared/Words";

/** The job's own summary: each station with its result in a few words. */
export function Rail({ here }: { here: Station }) {
  const { view, assessment } = useJob();
  return (
    <Box
      as="nav"
      aria-label="Stations of this job"
      background="desk"
      borderRight="1px solid"
      borderColor="rule"
      display={{ base: "none", md: "flex" }}
      flexDirection="column"
      position="sticky"
      top="46px"
      height={{ md: "calc(100dvh - 46px - 76px)", lg: "calc(100dvh - 46px)" }}
      overflowY="auto"
    >
      <Box px={{ md: "10px", lg: "16px" }} py="9px" borderBottom="1px solid" borderColor="hair">
        <Box fontWeight={600}>{view.machine.name}</Box>
        <Small>{[view.site_name, view.machine.place].filter(Boolean).join(", ")}</Small>
      </Box>
      {railOf(view, assessment).map((entry) => (
        <Entry key={entry.station} entry={entry} here={entry.station === here} jobId={view.id} />
      ))}
      <ToBench to={`/bench?job=${view.id}`}>Put it on the Bench</ToBench>
    </Box>
  );
}

/** The simulated bench with this machine on it. */
const ToBench = chakra(NavLink, {
  base: {
    mt: "auto",
    display: "flex",
    alignItems: "center",
    minHeight: "44px",
    px: { md: "10px", lg: "16px" },
    fontSize: "small",
    color: "ink2",
    textUnderlineOffset: "3px",
    _focusVisible: { outlineOffset: "-4px" },
  },
});

const Entry = memo(function Entry({
  entry,
  here,
  jobId,
}: {
  entry: Schemas["RailEntry"];
  here: boolean;
  jobId: number;
}) {
  const station = STATIONS.find((one) => one.id === entry.station);
  return (
    <Go
      to={`/jobs/${jobId}/${entry.station}`}
      here={here ? "yes" : undefined}
      aria-current={here ? "step" : undefined}
      data-station={entry.station}
    >
      <Box as="span" fontSize="micro" color="ink2" gridRow="span 2" pt="1px">
        {keyOf(entry.station)}
      </Box>
      <Box as="span" fontWeight={here ? 600 : 400} color={here ? "ink" : "ink2"}>
        {station?.title}
      </Box>
      <Told entry={entry} />
    </Go>
  );
});

/** A result in ink, and what a station waits for in italic. */
const Told = memo(function Told({ entry }: { entry: Schemas["RailEntry"] }) {
  return (
    <Box
      as="span"
      fontWeight={entry.waits ? 400 : 600}
      fontStyle={entry.waits ? "italic" : "normal"}
      color={entry.waits ? "ink2" : "ink"}
    >
      {entry.severity && entry.severity !== "note" && (
        <>
          <SeverityWord severity={entry.severity} />{" "}
        </>
      )}
      <PhraseText phrase={entry.phrase} />
    </Box>
  );
});

const Go = chakra(NavLink, {
  base: {
    display: "grid",
    gridTemplateColumns: { md: "14px 1fr", lg: "16px 1fr" },
    columnGap: "4px",
    alignItems: "baseline",
    minHeight: "44px",
    px: { md: "8px", lg: "12px" },
    py: "7px",
    borderBottom: "1px solid",
    borderColor: "hair",
    textDecoration: "none",
    fontSize: "small",
    lineHeight: 1.32,
    _hover: { background: "paper" },
    _focusVisible: { outlineOffset: "-4px" },
  },
  variants: { here: { yes: { background: "paper", mr: "-1px" } } },
});

/** On a phone the rail is a strip: the station before, this one with its result, the next. */
export function RailStrip({ here }: { here: Station }) {
  const { view, assessment } = useJob();
  const index = STATIONS.findIndex((one) => one.id === here);
  const entry = railOf(view, assessment)[index];
  const [before, next] = [STATIONS[index - 1], STATIONS[index + 1]];
  return (
    <Box
      as="nav"
      aria-label="Stations of this job"
      display={{ base: "grid", md: "none" }}
      gridTemplateColumns="auto 1fr auto"
      background="desk"
      borderBottom="1px solid"
      borderColor="rule"
      fontSize="small"
    >
      {before ? <Side to={`/jobs/${view.id}/${before.id}`}>{before.title}</Side> : <span />}
      <Box background="paper" px="10px" py="6px" borderLeft="1px solid" borderRight="1px solid" borderColor="rule">
        <Box fontWeight={600}>{STATIONS[index]?.title}</Box>
        {entry && <Told entry={entry} />}
      </Box>
      {next ? <Side to={`/jobs/${view.id}/${next.id}`}>{next.title}</Side> : <span />}
    </Box>
  );
}

const Side = chakra(NavLink, {
  base: {
    display: "flex",
    alignItems: "center",
    minHeight: "52px",
    minWidth: "52px",
    px: "10px",
    textDecoration: "none",
    _focusVisible: { outlineOffset: "-4px" },
  },
});
