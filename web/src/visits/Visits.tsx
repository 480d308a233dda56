import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { Link } from "react-router";

import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { SeverityWord, Small } from "../shared/parts";
import { useReader } from "../shared/reader";
import { UnitsProvider } from "../shared/units";
import { PhraseText } from "../shared/Words";

type Visit = Schemas["Visit"];

/** Which machine wants to be visited next, by what drifts and what is due. */
export function Visits() {
  const reader = useReader();
  const visits = useQuery<Visit[], Refused>({ queryKey: ["visits"], queryFn: () => taken(api.GET("/api/visits")) });
  useEffect(() => {
    document.title = "Next visits · Modest Rotor";
  }, []);
  return (
    <>
      <TopLine trail={[{ label: "Board", to: "/" }, { label: "Next visits" }]} />
      <Box as="main" px={{ base: "14px", lg: "20px" }} pb="30px" maxWidth="1100px">
        <Box as="h1" fontSize="title" fontWeight={600} py="8px" borderBottom="2px solid" borderColor="ink">
          Next visits
        </Box>
        <Small display="block" py="6px">
          Every machine with readings over time or services: what drifts first, then what is due.
        </Small>
        {visits.error && <Box role="alert">{visits.error.message}</Box>}
        {visits.data?.length === 0 && <Box py="14px">No machine has a log yet. It begins on a job’s station Log.</Box>}
        <UnitsProvider units={reader.units ?? "si"} currency={null}>
          {(visits.data ?? []).map((visit) => (
            <OneVisit key={visit.machine_id} visit={visit} />
          ))}
        </UnitsProvider>
      </Box>
    </>
  );
}

function OneVisit({ visit }: { visit: Visit }) {
  return (
    <Row to={`/jobs/${visit.job_id}/log`} data-visit={visit.machine}>
      <Box fontWeight={600}>{dueWords(visit)}</Box>
      <Box>
        <Box fontWeight={600}>{visit.machine}</Box>
        <Small>{visit.site}</Small>
      </Box>
      <Box>
        {visit.drifts && (
          <>
            <SeverityWord severity="caution" />{" "}
          </>
        )}
        <PhraseText phrase={visit.why} />
      </Box>
      <Small>{visit.readings.toLocaleString("en")} readings</Small>
    </Row>
  );
}

function dueWords(visit: Visit) {
  if (!visit.due) return "no date";
  if (visit.overdue) return "now";
  return new Date(visit.due).toLocaleDateString("en-GB", { month: "long", year: "numeric", timeZone: "UTC" });
}

const Row = chakra(Link, {
  base: {
    display: "grid",
    gridTemplateColumns: { base: "1fr", md: "150px 240px minmax(0, 1fr) 120px" },
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
