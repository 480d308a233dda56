import { Box } from "@chakra-ui/react";

import type { Station } from "../../shared/api";
import { Sheet } from "../../shared/Sheet";

const WILL: Partial<Record<Station, string>> = {
  findings: "It will name the likely causes, and for each the test that would prove it or rule it out.",
  decision: "It will keep the choice with its reason, and write the report for the customer.",
  setup: "It will give the steps in the order of the hands, each value worked out and each caution first.",
  proof: "It will set the readings after beside what was promised and what was found before.",
  log: "It will keep readings over months and tell drift from scatter.",
};

/** A station of the route that a later version fills. */
export function LaterSheet({ station }: { station: Station }) {
  return (
    <Sheet station={station}>
      <Box py="14px" maxWidth="60ch">
        <b>Not in this version yet.</b> {WILL[station]} Nothing is asked here until then, and nothing on the other
        stations waits for it.
      </Box>
    </Sheet>
  );
}
