import { Box } from "@chakra-ui/react";

import { Line } from "./devices";
import { Small } from "./parts";
import { useReader } from "./reader";

/** Whoever signs says who they are, once; it is the name that goes with every change. */
export function WhoField({ words = "signed by" }: { words?: string }) {
  const reader = useReader();
  return (
    <Box as="label" display="block" maxWidth="320px">
      <Small>{words}</Small>
      <Line
        aria-label="Your name"
        value={reader.who}
        placeholder="your name"
        maxLength={120}
        onChange={(event) => reader.setWho(event.target.value)}
      />
    </Box>
  );
}
