import { Box } from "@chakra-ui/react";
import { useState } from "react";

import { api, type Refused, taken } from "../shared/api";
import { useJob } from "../shared/job";
import { Press } from "../shared/parts";

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
        <b>Thrown away</b> on {view.thrown.slice(0, 10)}; thirty days later it is gone with all that is typed here.{" "}
        {problem}
      </Box>
      <Press type="button" onClick={() => void back()}>
        Bring it back
      </Press>
    </Box>
  );
}
