import { Box, chakra } from "@chakra-ui/react";
import { useInfiniteQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useRef, useState } from "react";
import { Link } from "react-router";

import { TopLine } from "../app/TopLine";
import { api, type Phrase, Refused, type Schemas, taken } from "../shared/api";
import { Cap, Press, SeverityWord, Small } from "../shared/parts";
import { useReader } from "../shared/reader";
import { STATIONS } from "../shared/stations";
import { UnitsProvider } from "../shared/units";
import { PhraseText } from "../shared/Words";
import { Begin } from "./Begin";

type Site = Schemas["BoardSite"];
type Job = Schemas["BoardJob"];

/** Every job of every site, told in one line. */
export function Board() {
  const board = useInfiniteQuery<Page, Refused>({
    queryKey: ["board"],
    queryFn: ({ pageParam }) => page(pageParam as number),
    initialPageParam: 1,
    getNextPageParam: (last, all) => (last.pageSize * all.length < last.total ? all.length + 1 : undefined),
  });
  const [sought, setSought] = useState("");
  const find = useRef<HTMLInputElement>(null);
  useFindKey(find);
  useEffect(() => {
    document.title = "Board · Modest Rotor";
  }, []);
  const sites = useMemo(() => joined(board.data?.pages ?? []), [board.data]);
  const total = board.data?.pages[0]?.total ?? 0;
  const shown = sites.map((site) => ({ ...site, jobs: site.jobs.filter((job) => matches(site, job, sought)) }));
  return (
    <>
      <TopLine trail={[{ label: "Board" }]} manySites />
      <Box as="main" px={{ base: "14px", lg: "20px" }} pb="30px">
        <Box display="flex" alignItems="flex-end" gap="16px 30px" flexWrap="wrap" py="10px">
          <Box display="flex" gap="0 18px" alignItems="baseline" minHeight="44px" flex="1 1 100%" flexWrap="wrap">
            <Box as="h1" fontSize="title" fontWeight={600}>
              Board
            </Box>
            <Box as="span" color="ink2">
              {board.data ? counted(sites, total) : ""}
            </Box>
            <WayTo to="/workings">Workings</WayTo>
            <WayTo to="/catalogue">Catalogue</WayTo>
            <WayTo to="/devices">Devices</WayTo>
            <WayTo to="/visits">Next visits</WayTo>
            <WayTo to="/bench">Bench</WayTo>
          </Box>
          <Find>
            Find
            <FindBox
              ref={find}
              value={sought}
              placeholder="job, site or place"
              onChange={(event) => setSought(event.target.value)}
            />
            <Cap>/</Cap>
          </Find>
          <Begin sites={sites.map(({ site }) => site.name)} />
        </Box>
        {board.error && <Away error={board.error} again={() => void board.refetch()} />}
        {board.data && sites.length === 0 && (
          <Box py="20px" borderTop="2px solid" borderColor="ink">
            Nothing is waiting. Start a job with nothing but the name of its machine.
          </Box>
        )}
        {shown
          .filter((site) => site.jobs.length > 0)
          .map((site) => (
            <SiteJobs key={site.id} site={site} />
          ))}
        {sites.length > 0 && shown.every((site) => site.jobs.length === 0) && (
          <Box py="20px">
            No job answers to “{sought}”{board.hasNextPage ? " among those shown" : ""}.
          </Box>
        )}
        {board.hasNextPage && (
          <Box py="14px" borderTop="2px solid" borderColor="ink">
            <Press
              type="button"
              data-more
              onClick={() => void board.fetchNextPage()}
              disabled={board.isFetchingNextPage}
            >
              Show more jobs
            </Press>
          </Box>
        )}
      </Box>
    </>
  );
}

function useFindKey(find: React.RefObject<HTMLInputElement | null>) {
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches("input, select, textarea");
      if ((event.key === "/" && !typing) || (event.key === "k" && event.ctrlKey)) {
        event.preventDefault();
        find.current?.focus();
      }
      if (event.key === "?" && !typing) document.querySelector<HTMLElement>("[data-keys]")?.click();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, [find]);
}

interface Page {
  sites: Site[];
  total: number;
  pageSize: number;
}

async function page(number: number): Promise<Page> {
  const answer = api.GET("/api/board", { params: { query: { page: number } } });
  const sites = await taken(answer);
  const { headers } = (await answer).response;
  return {
    sites,
    total: Number(headers.get("x-total-count") ?? 0),
    pageSize: Number(headers.get("x-page-size") ?? sites.length),
  };
}

/** The sites of several pages; one that goes on from page to page stands once. */
function joined(pages: Page[]): Site[] {
  const found = new Map<number, Site>();
  for (const site of pages.flatMap(({ sites }) => sites)) {
    const known = found.get(site.id);
    found.set(site.id, known ? { ...known, jobs: [...known.jobs, ...site.jobs] } : site);
  }
  return [...found.values()];
}

function counted(sites: Site[], total: number) {
  const jobs = sites.flatMap((site) => site.jobs);
  const stopped = jobs.filter((job) => job.line.stopped).length;
  const count =
    jobs.length < total ? `${jobs.length} of ${total} jobs` : `${jobs.length} job${jobs.length === 1 ? "" : "s"}`;
  return stopped ? `${count}; ${stopped} with a stop` : count;
}

function matches(site: Site, job: Job, sought: string) {
  const words = sought.trim().toLowerCase().split(/\s+/);
  const text = `${site.site.name} ${job.machine} ${job.place ?? ""}`.toLowerCase();
  return words.every((word) => text.includes(word));
}

function SiteJobs({ site }: { site: Site }) {
  const reader = useReader();
  const units = reader.units ?? site.site.units;
  return (
    <UnitsProvider units={units} currency={site.site.currency ?? null}>
      <Box as="section" aria-label={site.site.name} borderTop="2px solid" borderColor="ink">
        <Box
          display="grid"
          gridTemplateColumns={COLUMNS}
          columnGap="20px"
          alignItems="end"
          py="6px"
          borderBottom="1px solid"
          borderColor="rule"
        >
          <Box gridColumn={{ base: "auto", lg: "1 / 3" }}>
            <Box as="h2" fontWeight={600} fontSize="1.03125rem" display="inline">
              {site.site.name}
            </Box>{" "}
            <Small>
              {site.jobs.length} job{site.jobs.length === 1 ? "" : "s"};{" "}
              {site.site.units === "ip" ? "inch-pound" : "SI"}
            </Small>
          </Box>
          <Small display={{ base: "none", lg: "block" }}>from Call to Log</Small>
          <Small display={{ base: "none", lg: "block" }}>waits for</Small>
        </Box>
        {site.jobs.map((job) => (
          <JobLine key={job.id} job={job} />
        ))}
      </Box>
    </UnitsProvider>
  );
}

const COLUMNS = { base: "minmax(0, 1fr)", lg: "200px minmax(0, 1fr) 250px 222px" };

function JobLine({ job }: { job: Job }) {
  const { line } = job;
  return (
    <JobLink to={`/jobs/${job.id}/short`} data-job={job.id}>
      <Box>
        <Box fontWeight={600} fontSize="1rem">
          {job.machine}
        </Box>
        {job.place && <Small>{job.place}</Small>}
      </Box>
      <Box>
        {line.stopped && (
          <>
            <SeverityWord severity="stop" />{" "}
          </>
        )}
        {(job.drifts ?? []).length > 0 && (
          <>
            <SeverityWord severity="caution" /> It <PhraseText phrase={(job.drifts ?? []) as Phrase} />.{" "}
          </>
        )}
        <PhraseText phrase={line.sentence as Phrase} />
      </Box>
      <RouteTicks at={line.stands_at} stopped={line.stopped} />
      <Box fontSize="small">
        <Box as="span" display={{ base: "inline", lg: "none" }} color="ink2">
          waits for:{" "}
        </Box>
        {line.waits_for}
      </Box>
    </JobLink>
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
    borderBottom: "1px solid",
    borderColor: "hair",
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
    <Ticks viewBox="0 0 230 40" role="img" aria-label={`stands at ${STATIONS[here]?.title ?? at}`}>
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

function Away({ error, again }: { error: Refused; again: () => void }) {
  return (
    <Box role="alert" borderTop="2px solid" borderBottom="2px solid" borderColor="ochre" py="8px">
      <Box as="b" color="ochre">
        Waiting
      </Box>{" "}
      {error.message}{" "}
      <Press type="button" onClick={again} ml="8px">
        Try again
      </Press>
    </Box>
  );
}

const WayTo = chakra(Link, {
  base: {
    display: "inline-flex",
    alignItems: "center",
    minHeight: "44px",
    textUnderlineOffset: "3px",
    fontSize: "small",
  },
});

const Find = chakra("label", {
  base: {
    display: "flex",
    alignItems: "center",
    gap: "10px",
    minHeight: "44px",
    borderBottom: "1.5px solid",
    borderColor: "ink",
    flex: "0 1 270px",
  },
});

const FindBox = chakra("input", {
  base: { flex: 1, minWidth: 0, minHeight: "44px", border: 0, background: "transparent" },
});
