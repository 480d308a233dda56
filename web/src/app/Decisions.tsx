import { Box } from "@chakra-ui/react";

import type { JobHead } from "../shared/api";
import { factsOf, wordsOf } from "../shared/fields";
import { useDeskState, useJob } from "../shared/job";
import type { Act } from "../shared/outbox";
import { Word } from "../shared/parts";
import { valueAt } from "../shared/paths";
import { say } from "../shared/say";

/** Acts that met what another window did, or that were refused once the server was back: each ends by somebody's word. */
export function Decisions() {
  const { desk, view } = useJob();
  const acts = useDeskState(desk, (state) => state.acts);
  const open = acts.filter((act) => act.state !== "waiting" && (act.waited || act.target?.text === undefined));
  if (open.length === 0) return null;
  return (
    <Box
      role="region"
      aria-label={say("decisions-saved-waits")}
      borderTop="2px solid"
      borderBottom="2px solid"
      borderColor="ochre"
      py="8px"
      mt="8px"
    >
      {open.map((act) => (
        <Box key={act.id} py="3px" data-decision={act.state}>
          <Box as="b" color={act.state === "refused" ? "brick" : "ochre"}>
            {act.state === "refused" ? say("decisions-refused") : say("decisions-saved")}
          </Box>{" "}
          {told(act, view)}{" "}
          {act.state === "asks" && (
            <Word type="button" mx="0" data-do-it onClick={() => desk.decide(act.id, true)}>
              {say("decisions-do-newest")}
            </Word>
          )}{" "}
          <Word type="button" mx="0" data-give-up onClick={() => desk.decide(act.id, false)}>
            {say("decisions-give-up")}
          </Word>
        </Box>
      ))}
    </Box>
  );
}

function told({ label, at, who, state, sentence, target }: Act, view: JobHead) {
  const by = `${label} (${new Date(at).toLocaleTimeString("en-GB").slice(0, 5)}${who ? `, ${who}` : ""})`;
  if (state === "refused") return `${by}: ${sentence ?? ""}`;
  const now = target && shown(valueAt(view, target.path), target.path);
  return now === undefined ? say("decisions-job-changed", { by }) : say("decisions-another-window", { by, now });
}

function shown(value: unknown, path: string): string | undefined {
  if (value === null) return say("decisions-empty");
  if (typeof value === "string") return wordsOf(factsOf(path) ?? {}, value);
  return typeof value === "object" && "typed" in value ? String(value.typed) : undefined;
}
