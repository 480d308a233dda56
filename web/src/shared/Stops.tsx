import { Box } from "@chakra-ui/react";

import type { Phrase } from "./api";
import { SeverityWord } from "./parts";
import { PhraseText } from "./Words";

/** Stops that are not cleared, said before anything else. */
export function Stops({ stops }: { stops: readonly Phrase[] }) {
  if (stops.length === 0) return null;
  return (
    <Box role="alert" borderTop="4px solid" borderBottom="4px solid" borderColor="brick" py="6px" my="8px">
      {stops.map((stop, index) => (
        <Box key={index} py="2px">
          <SeverityWord severity="stop" /> <PhraseText phrase={stop} />
        </Box>
      ))}
    </Box>
  );
}
