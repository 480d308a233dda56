import { Box } from "@chakra-ui/react";

import { useFound } from "../shared/job";
import { say } from "../shared/say";

/** What is kept but left out, because nothing can be worked out with it. */
export function LeftOut() {
  const { left_out: left } = useFound("left_out");
  if (left.length === 0) return null;
  return (
    <Box role="alert" borderTop="2px solid" borderBottom="2px solid" borderColor="brick" py="8px" mt="8px">
      {left.map(({ path, label, typed, reason }) => (
        <Box key={path} data-left-out={path}>
          <Box as="b" color="brick">
            {say("left-out-left-out")}
          </Box>
          {say("left-out-kept-but", { label, typed: typed ? ` (${typed})` : "", reason })}
        </Box>
      ))}
    </Box>
  );
}
