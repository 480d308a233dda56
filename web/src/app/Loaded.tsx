import { Box } from "@chakra-ui/react";
import { type ComponentType, createElement } from "react";

import { Press } from "../shared/parts";
import { useFetched } from "./useFetched";
import { say } from "../shared/say";

/** A sheet that is fetched when it is first gone to; where the server does not answer, that is said and tried again. */
export function Loaded({ load }: { load: () => Promise<ComponentType> }) {
  const { part, failed, again } = useFetched(load);
  if (part) return createElement(part);
  if (!failed) return null;
  return (
    <Box role="alert" py="20px" data-not-fetched>
      <Box as="h1" fontSize="title" fontWeight={600} pb="6px">
        {say("loaded-page-waits")}
      </Box>
      <Box pb="12px">{say("loaded-opened-before")}</Box>
      <Press type="button" onClick={again}>
        {say("loaded-try-again")}
      </Press>
    </Box>
  );
}
