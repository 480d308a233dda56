import { Box } from "@chakra-ui/react";
import { useState } from "react";

import { api, type Refused, taken } from "../shared/api";
import { useJob } from "../shared/job";
import { Press } from "../shared/parts";
import { say } from "../shared/say";

/** A job that was thrown away says so before anybody works on it, and is brought back by one press. */
export function InBin() {
  const { desk, view } = useJob();
  const [problem, setProblem] = useState<string | null>(null);
  if (!view.thrown) return null;
  const back = async () => {
    try {
      await taken(
        api.POST("/api/jobs/{job_id}/shelf", { params: { path: { job_id: view.id } }, body: { shelf: "open" } }),
      );
      await desk.load();
    } catch (error) {
      setProblem((error as Refused).message);
    }
  };
  return (
    <Box
      role="alert"
      borderTop="2px solid"
      borderBottom="2px solid"
      borderColor="ochre"
      py="6px"
      mt="8px"
      display="flex"
      gap="8px 14px"
      flexWrap="wrap"
      alignItems="center"
    >
      <Box flex="1 1 300px">
        <b>{say("in-bin-thrown-away")}</b>
        {say("in-bin-thirty-days", { thrown: view.thrown.slice(0, 10), problem })}
      </Box>
      <Press type="button" onClick={() => void back()}>
        {say("in-bin-bring-back")}
      </Press>
    </Box>
  );
}
