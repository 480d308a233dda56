import { Box } from "@chakra-ui/react";

import { Line } from "./devices";
import { Small } from "./parts";
import { useReader } from "./reader";
import { say } from "./say";

/** Whoever signs says who they are, once; it is the name that goes with every change. */
export function WhoField({ words = say("who-field-signed") }: { words?: string }) {
  const reader = useReader();
  return (
    <Box as="label" display="block" maxWidth="320px">
      <Small>{words}</Small>
      <Line
        aria-label={say("who-field-your-name")}
        value={reader.who}
        placeholder={say("who-field-your-name-2")}
        maxLength={120}
        onChange={(event) => reader.setWho(event.target.value)}
      />
    </Box>
  );
}
