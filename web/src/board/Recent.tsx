import { Box } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";

import { api, type Refused, type Schemas, taken } from "../shared/api";
import { Small, WayLink } from "../shared/parts";
import { recentlyOpened } from "../shared/recent";
import { say } from "../shared/say";

/** The jobs that were opened last on this machine. */
export function Recent() {
  const numbers = recentlyOpened();
  const found = useQuery<Schemas["BoardSite"][], Refused>({
    queryKey: ["board", "recent", numbers],
    queryFn: () => taken(api.GET("/api/board", { params: { query: { job: numbers } } })),
    enabled: numbers.length > 0,
  });
  const jobs = (found.data ?? []).flatMap((site) => site.jobs);
  const shown = numbers.flatMap((number) => jobs.find((job) => job.id === number) ?? []);
  if (shown.length < 2) return null;
  return (
    <Box
      as="nav"
      aria-label={say("board-recent-opened-last-2")}
      display="flex"
      flexWrap="wrap"
      gap="0 18px"
      alignItems="center"
      pb="6px"
    >
      <Small>{say("board-recent-opened-last")}</Small>
      {shown.map((job) => (
        <WayLink key={job.id} to={`/jobs/${job.id}/short`} fontSize="small">
          {job.machine}
        </WayLink>
      ))}
    </Box>
  );
}
