import { Box, chakra } from "@chakra-ui/react";
import { memo, type ReactNode, useRef } from "react";
import { NavLink } from "react-router";

import type { Schemas } from "../shared/api";
import { useFound, useJob } from "../shared/job";
import { Press, SeverityWord, Small } from "../shared/parts";
import { keyOf, type Page, railOf, SHORT, STATIONS } from "../shared/stations";
import { PhraseText } from "../shared/Words";
import { say } from "../shared/say";

/** The job's own summary: each station with its result in a few words. */
export function Rail({ here }: { here: Page }) {
  const { view } = useJob();
  const { rail } = useFound("rail");
  return (
    <Box
      as="nav"
      aria-label={say("rail-stations-job")}
      background="desk"
      borderRight="1px solid"
      borderColor="rule"
      display={{ base: "none", md: "flex" }}
      flexDirection="column"
      position="sticky"
      top="46px"
      height={{ md: "calc(100dvh - 46px - 76px)", lg: "calc(100dvh - 46px)" }}
      overflowY="auto"
      overflowX="hidden"
    >
      <Box px={{ md: "10px", lg: "16px" }} py="9px" flexShrink={0} borderBottom="1px solid" borderColor="hair">
        <Box fontWeight={600}>{view.machine.name}</Box>
      </Box>
      <Go
        to={`/jobs/${view.id}/${SHORT}`}
        here={here === SHORT ? "yes" : undefined}
        aria-current={here === SHORT ? "step" : undefined}
        data-station={SHORT}
      >
        <span />
        <Box as="span" fontWeight={here === SHORT ? 600 : 400} color={here === SHORT ? "ink" : "ink2"}>
          {say("rail-short")}
        </Box>
        <span />
        <InShort />
      </Go>
      {railOf(view, rail).map((entry) => (
        <Entry key={entry.station} entry={entry} here={entry.station === here} jobId={view.id} />
      ))}
      <ToBench to={`/bench?job=${view.id}`}>{say("rail-put-bench")}</ToBench>
    </Box>
  );
}

/** What the job saves, or that nothing is known of it yet. */
function InShort() {
  const { saving } = useFound("saving");
  if (saving.length === 0)
    return (
      <Box as="span" fontStyle="italic" color="ink2">
        {say("rail-waits")}
      </Box>
    );
  return (
    <Box as="span" fontWeight={600}>
      <PhraseText phrase={saving} />
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
      <Box as="span" fontSize="micro" color="ink2" gridRow={"span 2"} pt="1px">
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
    flexShrink: 0, // a low window scrolls the rail; its entries never lie over one another
    gridTemplateColumns: { md: "14px minmax(0, 1fr)", lg: "16px minmax(0, 1fr)" },
    columnGap: "4px",
    alignItems: "baseline",
    minHeight: "44px",
    px: { md: "8px", lg: "12px" },
    py: "5px",
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
export function RailStrip({ here }: { here: Page }) {
  const { view } = useJob();
  const { rail } = useFound("rail");
  const index = STATIONS.findIndex((one) => one.id === here);
  const entry = railOf(view, rail)[index];
  const before = index === 0 ? { id: SHORT, title: say("rail-short") } : STATIONS[index - 1];
  const next = STATIONS[index + 1];
  return (
    <Box
      as="nav"
      aria-label={say("rail-stations-job")}
      display={{ base: "grid", md: "none" }}
      gridTemplateColumns="auto 1fr auto"
      background="desk"
      borderBottom="1px solid"
      borderColor="rule"
      fontSize="small"
    >
      {before ? <Side to={`/jobs/${view.id}/${before.id}`}>{before.title}</Side> : <span />}
      <Box background="paper" px="10px" borderLeft="1px solid" borderRight="1px solid" borderColor="rule">
        <AllStations here={here} jobId={view.id} entries={railOf(view, rail)}>
          {entry ? <Told entry={entry} /> : <InShort />}
        </AllStations>
      </Box>
      {next ? <Side to={`/jobs/${view.id}/${next.id}`}>{next.title}</Side> : <span />}
    </Box>
  );
}

interface AllStationsProps {
  here: Page;
  jobId: number;
  entries: Schemas["RailEntry"][];
  /** What this station came to. */
  children: ReactNode;
}

/** Every station with its state, one touch away from this one's. */
function AllStations({ here, jobId, entries, children }: AllStationsProps) {
  const list = useRef<HTMLDialogElement>(null);
  const title = STATIONS.find((station) => station.id === here)?.title ?? say("rail-short");
  const shut = () => list.current?.close();
  return (
    <>
      <Opener type="button" aria-haspopup="dialog" data-stations onClick={() => list.current?.showModal()}>
        <span>
          <b>{title}</b> <Small>{say("rail-stations")}</Small>
        </span>
        <Box as="span" display="block" lineHeight="1.25">
          {children}
        </Box>
      </Opener>
      <List ref={list} aria-label={say("rail-stations-job")}>
        <Box display="flex" justifyContent="space-between" alignItems="center" pb="6px">
          <Box as="h2" fontSize="title" fontWeight={600}>
            {say("rail-stations-2")}
          </Box>
          <Press type="button" onClick={shut}>
            {say("rail-close")}
          </Press>
        </Box>
        <Go to={`/jobs/${jobId}/${SHORT}`} onClick={shut} here={here === SHORT ? "yes" : undefined}>
          <span />
          <b>{say("rail-short")}</b>
        </Go>
        {entries.map((entry) => (
          <Box key={entry.station} onClick={shut}>
            <Entry entry={entry} here={entry.station === here} jobId={jobId} />
          </Box>
        ))}
      </List>
    </>
  );
}

const Opener = chakra("button", {
  base: { display: "block", minHeight: "50px", width: "100%", py: "5px" },
});

const List = chakra("dialog", {
  base: {
    margin: 0,
    width: "100%",
    maxWidth: "100%",
    height: "100dvh",
    maxHeight: "100dvh",
    border: 0,
    background: "paper",
    color: "ink",
    padding: "10px 14px",
    "& a": { gridTemplateColumns: "20px 1fr", minHeight: "56px" },
    "&::backdrop": { background: "ink", opacity: 0.25 },
  },
});

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
