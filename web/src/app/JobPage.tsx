import { Box } from "@chakra-ui/react";
import { Suspense, useEffect, useMemo } from "react";
import { Navigate, useParams } from "react-router";

import type { JobDesk } from "../shared/desk";
import { JobProvider, useDesk, useDeskState, useJob } from "../shared/job";
import { Press, Word } from "../shared/parts";
import { noteOpened } from "../shared/recent";
import { type Page, SHORT, stationNamed } from "../shared/stations";
import { useIsWide } from "../shared/width";
import { WorkingProvider } from "../shared/Working";
import { BalanceDock, BalancePane, BalanceStrip } from "./BalancePane";
import { Decisions } from "./Decisions";
import { InBin } from "./InBin";
import { LeftOut } from "./LeftOut";
import { Loaded } from "./Loaded";
import { NotFound } from "./NotFound";
import { Rail, RailStrip } from "./Rail";
import { SavedLine } from "./SavedLine";
import { firstShown, SHEETS } from "./sheets";
import { TopLine } from "./TopLine";
import { useKeys } from "./useKeys";
import { say } from "../shared/say";

/** Widths from which the rail and the balance stand beside the sheet; the theme's breakpoints. */
const RAIL_FROM = 561;
const BALANCE_FROM = 1101;
/** Pages that need the width, or are not about the machine's point: the balance is a slim strip there, which opens over the sheet. */
const STRIPPED: readonly Page[] = ["call", "options", "decision"];
/** One job: its rail, the sheet of one station, and the balance that stays. */
export function JobPage() {
  const { jobId, station } = useParams();
  const id = Number(jobId);
  const here = station === SHORT ? SHORT : stationNamed(station)?.id;
  if (!Number.isInteger(id) || (station && !here)) return <NotFound />;
  if (!here) return <Navigate to={`/jobs/${id}/${SHORT}`} replace />;
  return <JobAtDesk key={id} id={id} page={here} />;
}

function JobAtDesk({ id, page }: { id: number; page: Page }) {
  const desk = useDesk(id, firstShown(page));
  const { shows } = SHEETS[page];
  useEffect(() => desk.show(shows), [desk, shows]);
  const failure = useDeskState(desk, (state) => state.failure);
  if (failure) return <Failed sentence={failure.message} desk={desk} />;
  return (
    <JobProvider desk={desk}>
      <JobAt page={page} />
    </JobProvider>
  );
}

function JobAt({ page }: { page: Page }) {
  const { desk, view } = useJob();
  const wide = { rail: useIsWide(RAIL_FROM), balance: useIsWide(BALANCE_FROM) };
  const short = page === SHORT;
  const strip = STRIPPED.includes(page);
  const keys = useMemo(() => ({ jobId: view.id, page, desk }), [view.id, page, desk]);
  useKeys(keys);
  useEffect(() => {
    document.title = say("job-page-modest-rotor", {
      machine: view.machine.name,
      stationNamed: stationNamed(page)?.title ?? say("job-page-short"),
    });
    window.scrollTo(0, 0);
    noteOpened(view.id);
  }, [view.id, view.machine.name, page]);
  return (
    <>
      <TopLine
        trail={[
          { label: say("job-page-board"), to: "/" },
          { label: view.site_name, to: `/sites/${view.site_id}`, wideOnly: true },
          { label: view.machine.name },
        ]}
      >
        <SavedLine />
      </TopLine>
      {!wide.rail && <RailStrip here={page} />}
      <Box
        data-job-grid
        display="grid"
        gridTemplateColumns={{
          base: "minmax(0, 1fr)",
          md: "150px minmax(0, 1fr)",
          lg: `186px minmax(0, 1fr) ${short ? "" : strip ? "96px" : "372px"}`,
        }}
        pb={{ base: short ? 0 : "60px", md: short ? 0 : "90px", lg: 0 }}
      >
        <Rail here={page} />
        <Box
          as="main"
          id="main"
          px={{ base: "14px", lg: "20px" }}
          pb={0}
          minWidth={0}
          display="flex"
          flexDirection="column"
          minHeight={{ lg: "calc(100dvh - 46px)" }}
          maxWidth={{ base: "100%", lg: short || strip ? "1180px" : "980px" }}
        >
          <Trouble />
          <InBin />
          <Decisions />
          <LeftOut />
          <WorkingProvider key={page}>
            <Suspense fallback={<Fetching />}>
              <Loaded load={SHEETS[page].load} />
            </Suspense>
          </WorkingProvider>
        </Box>
        {!short && strip && wide.balance && (
          <Suspense fallback={<span />}>
            <BalanceStrip station={page} />
          </Suspense>
        )}
        {!short && !strip && wide.balance && (
          <Box
            as="aside"
            aria-label={say("job-page-balance")}
            borderLeft="1px solid"
            borderColor="rule"
            px="16px"
            pb="16px"
            position="sticky"
            top="46px"
            height="calc(100dvh - 46px)"
            overflowY="auto"
          >
            <Suspense>
              <BalancePane station={page} />
            </Suspense>
          </Box>
        )}
      </Box>
      {!wide.balance && !short && (
        <Suspense>
          <BalanceDock station={page} />
        </Suspense>
      )}
    </>
  );
}

/** What a sheet shows is on its way: said where it takes longer than a look. */
function Fetching() {
  return (
    <Box role="status" py="20px" fontStyle="italic" color="ink2" data-fetching>
      {say("job-page-being-fetched")}
    </Box>
  );
}

/** Why nothing can be saved just now, and what to do. */
function Trouble() {
  const { desk } = useJob();
  const trouble = useDeskState(desk, (state) => state.trouble);
  const decides = useDeskState(desk, (state) => state.acts.some((act) => act.state !== "waiting" && act.waited));
  // What waits for a decision is told there, act by act.
  if (!trouble || (decides && trouble.isConflict)) return null;
  return (
    <Box
      role="alert"
      borderTop="2px solid"
      borderBottom="2px solid"
      borderColor="ochre"
      background="paper"
      position="sticky"
      top="46px"
      zIndex={4}
      py="8px"
      mt="8px"
    >
      <Box as="b" color="ochre">
        {trouble.isAway
          ? say("job-page-waiting")
          : trouble.saved === "saved"
            ? say("job-page-saved")
            : say("job-page-saved-2")}
      </Box>{" "}
      {trouble.message}{" "}
      {trouble.isConflict && (
        <Word type="button" data-newest onClick={() => void desk.load()} mx="0">
          {say("job-page-show-newest")}
        </Word>
      )}
    </Box>
  );
}

function Failed({ sentence, desk }: { sentence: string; desk: JobDesk }) {
  return (
    <>
      <TopLine trail={[{ label: say("job-page-board"), to: "/" }]} />
      <Box as="main" id="main" p="20px">
        <Box as="h1" fontSize="title" fontWeight={600} pb="8px">
          {say("job-page-job-cannot")}
        </Box>
        <Box pb="14px">{sentence}</Box>
        <Press type="button" onClick={() => void desk.load()}>
          {say("job-page-try-again")}
        </Press>
      </Box>
    </>
  );
}
