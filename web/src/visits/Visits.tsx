import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link } from "react-router";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Micro, Press, SeverityWord, Small } from "../shared/parts";
import { useReader } from "../shared/reader";
import { UnitsProvider } from "../shared/units";
import { PhraseText } from "../shared/Words";
import { MONTHS, monthsFrom, placeOf } from "./months";
import { ownZone } from "../shared/times";
import { say } from "../shared/say";
import { counted, dayTag } from "../shared/language";

type Visit = Schemas["Visit"];

const COLUMNS = { base: "1fr", md: "130px 190px minmax(0, 1fr)", lg: "130px 210px minmax(0, 1fr) 400px" };

/** Which machine wants to be visited next, by what drifts and what is due, and where that lies in the year to come. */
export function Visits() {
  const reader = useReader();
  const visits = useQuery<Visit[], Refused>({ queryKey: ["visits"], queryFn: () => taken(api.GET("/api/visits")) });
  useEffect(() => {
    document.title = say("visits-next-visits");
  }, []);
  const units = reader.units ?? "si";
  const found = visits.data ?? [];
  const now = new Date();
  return (
    <>
      <TopLine trail={[{ label: say("visits-board"), to: "/" }, { label: say("visits-next-visits-2") }]} />
      <Box as="main" id="main" px={{ base: "14px", lg: "20px" }} pb="30px">
        <Box
          display="flex"
          flexWrap="wrap"
          alignItems="center"
          justifyContent="space-between"
          gap="6px 14px"
          py="6px"
          borderBottom="2px solid"
          borderColor="ink"
        >
          <Box as="h1" fontSize="title" fontWeight={600}>
            {say("visits-next-visits-2")}
          </Box>
          {found.some((visit) => visit.due) && (
            <Press asChild textDecoration="none" display="inline-flex" alignItems="center">
              <a
                href={`/api/visits.ics?units=${units}&zone=${encodeURIComponent(ownZone())}`}
                download="next-visits.ics"
              >
                {say("visits-take-them")}
              </a>
            </Press>
          )}
        </Box>
        {visits.error && <Box role="alert">{visits.error.message}</Box>}
        {visits.data?.length === 0 && <Box py="14px">{say("visits-machine-log")}</Box>}
        {found.length > 0 && <Head now={now} />}
        <UnitsProvider units={units} currency={null}>
          {[...new Set(found.map((visit) => visit.site))].map((site) => (
            <Box as="section" key={site} aria-label={site}>
              <Box as="h2" fontWeight={600} pt="12px" pb="4px" borderBottom="1px solid" borderColor="rule">
                {site}
              </Box>
              {found
                .filter((visit) => visit.site === site)
                .map((visit) => (
                  <OneVisit key={visit.machine_id} visit={visit} now={now} />
                ))}
            </Box>
          ))}
        </UnitsProvider>
      </Box>
    </>
  );
}

/** The names of the months over their strips, with the year where one begins. */
function Head({ now }: { now: Date }) {
  return (
    <Box display="grid" gridTemplateColumns={COLUMNS} columnGap="20px" alignItems="end" pt="8px">
      <Small gridColumn={{ base: "1", md: "1 / -1", lg: "1 / 4" }}>{say("visits-what-drifts")}</Small>
      <Box
        display={{ base: "none", lg: "grid" }}
        gridTemplateColumns={`repeat(${MONTHS}, 1fr)`}
        alignItems="end"
        aria-hidden
      >
        {monthsFrom(now).map((month, place) => (
          <Micro key={month.getTime()} textAlign="center">
            {(place === 0 || month.getMonth() === 0) && <Box>{month.getFullYear()}</Box>}
            {month.toLocaleDateString(dayTag(), { month: "short" }).slice(0, 3)}
          </Micro>
        ))}
      </Box>
    </Box>
  );
}

function OneVisit({ visit, now }: { visit: Visit; now: Date }) {
  return (
    <Row to={`/jobs/${visit.job_id}/log`} data-visit={visit.machine}>
      <Box fontWeight={600}>{dueWords(visit)}</Box>
      <Box>
        <Box fontWeight={600}>{visit.machine}</Box>
        <Small>{say("visits-readings", { readings: counted(visit.readings) })}</Small>
      </Box>
      <Box>
        {visit.drifts && (
          <>
            <SeverityWord severity="caution" />{" "}
          </>
        )}
        <PhraseText phrase={visit.why} />
      </Box>
      <Year visit={visit} now={now} />
    </Row>
  );
}

/** The year to come as a strip of months, with the day that is due; the words beside it say the same. */
function Year({ visit, now }: { visit: Visit; now: Date }) {
  const place = visit.due ? placeOf(new Date(visit.due), now) : null;
  return (
    <Box
      display={{ base: "none", lg: "grid" }}
      gridTemplateColumns={`repeat(${MONTHS}, 1fr)`}
      height="30px"
      borderRight="1px solid"
      borderColor="hair"
      aria-hidden
    >
      {Array.from({ length: MONTHS }, (_, month) => (
        <Box key={month} position="relative" borderLeft="1px solid" borderColor="hair">
          {place?.month === month && (
            <Box
              position="absolute"
              zIndex={1}
              top="6px"
              bottom="6px"
              width="9px"
              left={`calc(${place.into * 100}% - 4px)`}
              background={visit.drifts || visit.overdue ? "copper" : "ink"}
            />
          )}
        </Box>
      ))}
    </Box>
  );
}

function dueWords(visit: Visit) {
  if (!visit.due) return say("visits-date");
  if (visit.overdue) return say("visits-now");
  return new Date(visit.due).toLocaleDateString(dayTag(), { month: "long", year: "numeric" });
}

const Row = chakra(Link, {
  base: {
    display: "grid",
    gridTemplateColumns: COLUMNS,
    gap: "2px 20px",
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
