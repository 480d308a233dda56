import { Box } from "@chakra-ui/react";

import { type Act, outbox } from "./outbox";
import { Micro, Word } from "./parts";
import { say } from "./say";

const when = (at: number) => new Date(at).toLocaleTimeString("en-GB").slice(0, 5);

/** What this browser keeps and the server has not, each with what became of it; what was refused can be put away. */
export function Waiting({ acts }: { acts: readonly Act[] }) {
  if (acts.length === 0) return null;
  return (
    <Box role="status" py="4px" data-waiting={acts.length}>
      {acts.map((act) => (
        <Box key={act.id} color={act.state === "refused" ? "brick" : "ochre"} py="2px">
          <b>{act.state === "refused" ? say("waiting-refused") : say("waiting-kept-browser")}</b>: {act.label}{" "}
          <Micro>{when(act.at)}</Micro>
          {act.state === "refused" && (
            <>
              {". "}
              {act.sentence}{" "}
              <Word type="button" mx="0" onClick={() => outbox.drop(act.id)}>
                {say("waiting-put-away")}
              </Word>
            </>
          )}
        </Box>
      ))}
    </Box>
  );
}
