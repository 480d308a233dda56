import { Box } from "@chakra-ui/react";
import { type ComponentType, createElement } from "react";

import { Press } from "../shared/parts";
import { useFetched } from "./useFetched";

/** A sheet that is fetched when it is first gone to; where the server does not answer, that is said and tried again. */
export function Loaded({ load }: { load: () => Promise<ComponentType> }) {
  const { part, failed, again } = useFetched(load);
  if (part) return createElement(part);
  if (!failed) return null;
  return (
    <Box role="alert" py="20px" data-not-fetched>
      <Box as="h1" fontSize="title" fontWeight={600} pb="6px">
        This page waits for the server
      </Box>
      <Box pb="12px">
        It was not opened before, and the server does not answer just now. What you typed is kept in this browser; the
        page opens by itself when the server is back.
      </Box>
      <Press type="button" onClick={again}>
        Try again
      </Press>
    </Box>
  );
}
