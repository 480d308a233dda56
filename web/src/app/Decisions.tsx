import { Box } from "@chakra-ui/react";

import type { Act } from "../shared/outbox";
import { useDeskState, useView } from "../shared/job";
import { Word } from "../shared/parts";

/** Acts that met what another window did, or that were refused once the server was back: each ends by somebody's word. */
export function Decisions() {
  const { desk } = useView();
  const acts = useDeskState(desk, (state) => state.acts);
  const open = acts.filter((act) => act.state !== "waiting" && (act.waited || act.target?.text === undefined));
  if (open.length === 0) return null;
  return (
    <Box
      role="region"
      aria-label="Not saved: waits for your decision"
      borderTop="2px solid"
      borderBottom="2px solid"
      borderColor="ochre"
      py="8px"
      mt="8px"
    >
      {open.map((act) => (
        <Box key={act.id} py="3px" data-decision={act.state}>
          <Box as="b" color={act.state === "refused" ? "brick" : "ochre"}>
            {act.state === "refused" ? "Refused" : "Not saved"}
          </Box>{" "}
          {told(act)}{" "}
          {act.state === "asks" && (
            <Word type="button" mx="0" data-do-it onClick={() => desk.decide(act.id, true)}>
              do it on the newest
            </Word>
          )}{" "}
          <Word type="button" mx="0" data-give-up onClick={() => desk.decide(act.id, false)}>
            give it up
          </Word>
        </Box>
      ))}
    </Box>
  );
}

function told({ label, at, who, state, sentence }: Act) {
  const by = `${label}, ${new Date(at).toLocaleTimeString("en-GB").slice(0, 5)}${who ? `, ${who}` : ""}`;
  return state === "refused" ? `${by}: ${sentence ?? ""}` : `${by}: the job was changed in another window meanwhile.`;
}
