import { Box } from "@chakra-ui/react";

import { useFound } from "../shared/job";

/** What is kept but left out, because nothing can be worked out with it. */
export function LeftOut() {
  const { left_out: left } = useFound("left_out");
  if (left.length === 0) return null;
  return (
    <Box role="alert" borderTop="2px solid" borderBottom="2px solid" borderColor="brick" py="8px" mt="8px">
      {left.map(({ path, label, typed, reason }) => (
        <Box key={path} data-left-out={path}>
          <Box as="b" color="brick">
            Left out
          </Box>{" "}
          {label}
          {typed ? ` (${typed})` : ""} is kept, but nothing can be worked out with it: {reason} Read it again, or leave
          it empty; the rest is worked out without it.
        </Box>
      ))}
    </Box>
  );
}
