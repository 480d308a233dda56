import { Box, chakra } from "@chakra-ui/react";
import { useInfiniteQuery, useQuery, useQueryClient } from "@tanstack/react-query";
import { type ReactNode, useEffect, useMemo, useRef } from "react";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Cap, Press, Small, WayLink } from "../shared/parts";
import { useReader } from "../shared/reader";
import { UnitsProvider } from "../shared/units";
import { type Ask, isPlain, NOTHING_ASKED, queryOf, useAsk, useSought } from "./ask";
import { Begin } from "./Begin";
import { Filters } from "./Filters";
import { COLUMNS, JobLine } from "./JobLine";
import { Recent } from "./Recent";
import { say } from "../shared/say";

const WAYS = [
  ["/workings", say("board-workings")],
  ["/glossary", say("board-glossary")],
  ["/catalogue", say("board-catalogue")],
  ["/devices", say("board-devices")],
  ["/visits", say("board-next-visits")],
  ["/bench", say("board-bench")],
  ["/firm", say("board-firm")],
] as const;

type Site = Schemas["BoardSite"];

/** Every job of every site, told in one line. */
export function Board() {
  const [ask, setAsk] = useAsk();
  const [sought, seek] = useSought(ask, setAsk);
  const board = useInfiniteQuery<Page, Refused>({
    queryKey: ["board", ask],
    queryFn: ({ pageParam }) => page(pageParam as number, ask),
    initialPageParam: 1,
    getNextPageParam: (last, all) => (last.pageSize * all.length < last.total ? all.length + 1 : undefined),
    placeholderData: (before) => before,
  });
  const shelves = useQuery<Schemas["ShelfCounts"], Refused>({
    queryKey: ["board", "shelves"],
    queryFn: () => taken(api.GET("/api/shelves")),
  });
  const queries = useQueryClient();
  const changed = () => void queries.invalidateQueries({ queryKey: ["board"] });
  const find = useRef<HTMLInputElement>(null);
  useFindKey(find);
  useEffect(() => {
    document.title = say("board-board-modest");
  }, []);
  const sites = useMemo(() => joined(board.data?.pages ?? []), [board.data]);
  const total = board.data?.pages[0]?.total ?? 0;
  const bySite = ask.order === "site";
  return (
    <>
      <TopLine trail={[{ label: say("board-board") }]} manySites />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px">
        <Box pt="6px" pb="8px">
          <Box display="flex" gap="0 18px" alignItems="baseline" minHeight="44px" flexWrap="wrap">
            <Box as="h1" fontSize="title" fontWeight={600}>
              {say("board-board")}
            </Box>
            <Box as="span" color="ink2">
              {board.data ? counted(sites, total, ask) : ""}
            </Box>
            {WAYS.map(([to, name]) => (
              <WayLink key={to} to={to} fontSize="small">
                {name}
              </WayLink>
            ))}
          </Box>
          <Begin sites={(shelves.data?.sites ?? []).map((site) => site.name)} />
        </Box>
        <Filters ask={ask} setAsk={setAsk} counts={shelves.data}>
          <Find>
            {say("board-find")}
            <FindBox
              ref={find}
              value={sought}
              maxLength={200}
              placeholder={say("board-anything-typed")}
              aria-label={say("board-find")}
              onChange={(event) => seek(event.target.value)}
            />
            <Cap>/</Cap>
          </Find>
        </Filters>
        {isPlain(ask) && <Recent />}
        {board.error && <Away error={board.error} again={() => void board.refetch()} />}
        {board.data && sites.length === 0 && (
          <Box py="20px" borderTop="2px solid" borderColor="ink">
            {isPlain(ask) ? say("board-nothing-waiting") : say("board-job-answers")}{" "}
            {!isPlain(ask) && (
              <Press type="button" onClick={() => setAsk(NOTHING_ASKED)} ml="8px">
                {say("board-show-all")}
              </Press>
            )}
          </Box>
        )}
        {bySite
          ? sites.map((site) => <SiteJobs key={site.id} site={site} changed={changed} />)
          : sites.map((site, index) => (
              <SiteUnits key={`${site.id}-${index}`} site={site}>
                {site.jobs.map((job) => (
                  <JobLine key={job.id} job={job} site={site.site.name} changed={changed} />
                ))}
              </SiteUnits>
            ))}
        {board.hasNextPage && (
          <Box py="14px" borderTop="2px solid" borderColor="ink">
            <Press
              type="button"
              data-more
              onClick={() => void board.fetchNextPage()}
              disabled={board.isFetchingNextPage}
            >
              {say("board-show-more")}
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

async function page(number: number, ask: Ask): Promise<Page> {
  const answer = api.GET("/api/board", { params: { query: { page: number, ...queryOf(ask) } } });
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
  const found: Site[] = [];
  for (const site of pages.flatMap(({ sites }) => sites)) {
    const last = found.at(-1);
    if (last?.id === site.id) found[found.length - 1] = { ...last, jobs: [...last.jobs, ...site.jobs] };
    else found.push(site);
  }
  return found;
}

function counted(sites: Site[], total: number, ask: Ask) {
  const jobs = sites.flatMap((site) => site.jobs);
  const stopped = jobs.filter((job) => job.line.stopped).length;
  const count =
    jobs.length < total ? say("board-jobs", { jobs: jobs.length, total }) : say("board-job", { jobs: jobs.length });
  const kept = ask.shelf === "bin" ? say("board-each-kept") : "";
  return stopped ? say("board-stop", { count, stopped, kept }) : `${count}${kept}`;
}

/** The units in which what stands in it is told: the reader's own, or else those of the site. */
function SiteUnits({ site, children }: { site: Site; children: ReactNode }) {
  const reader = useReader();
  return (
    <UnitsProvider units={reader.units ?? site.site.units} currency={site.site.currency ?? null}>
      {children}
    </UnitsProvider>
  );
}

function SiteJobs({ site, changed }: { site: Site; changed: () => void }) {
  return (
    <SiteUnits site={site}>
      <Box as="section" aria-label={site.site.name} borderTop="2px solid" borderColor="ink">
        <Box
          display="grid"
          gridTemplateColumns={COLUMNS}
          pr="44px"
          columnGap="20px"
          alignItems="end"
          py="6px"
          borderBottom="1px solid"
          borderColor="rule"
        >
          <Box gridColumn={{ base: "auto", lg: "1 / 3" }}>
            <Box as="h2" fontWeight={600} fontSize="1.03125rem" display="inline">
              <WayLink to={`/sites/${site.id}`}>{site.site.name}</WayLink>
            </Box>{" "}
            <Small>
              {say("board-job-2", {
                jobs: site.jobs.length,
                units: site.site.units === "ip" ? say("board-inch-pound") : say("board-si"),
                customer: site.site.customer ? `; ${site.site.customer}` : "",
              })}
            </Small>
          </Box>
          <Small display={{ base: "none", lg: "block" }}>{say("board-call-log")}</Small>
          <Small display={{ base: "none", lg: "block" }}>{say("board-waits")}</Small>
        </Box>
        {site.jobs.map((job) => (
          <JobLine key={job.id} job={job} changed={changed} />
        ))}
      </Box>
    </SiteUnits>
  );
}

function Away({ error, again }: { error: Refused; again: () => void }) {
  return (
    <Box role="alert" borderTop="2px solid" borderBottom="2px solid" borderColor="ochre" py="8px">
      <Box as="b" color="ochre">
        {say("board-waiting")}
      </Box>{" "}
      {error.message}{" "}
      <Press type="button" onClick={again} ml="8px">
        {say("board-try-again")}
      </Press>
    </Box>
  );
}

const Find = chakra("label", {
  base: {
    display: "flex",
    alignItems: "center",
    gap: "10px",
    minHeight: "44px",
    borderBottom: "1.5px solid",
    borderColor: "ink",
    flex: { base: "1 1 200px", lg: "1 1 200px" },
  },
});

const FindBox = chakra("input", {
  base: { flex: 1, minWidth: 0, minHeight: "44px", border: 0, background: "transparent" },
});
