import { Box } from "@chakra-ui/react";
import { type ComponentType, createElement, useCallback, useEffect, useState } from "react";

import { Press } from "../shared/parts";

const TRY_AGAIN_AFTER_MS = 3000;

interface State {
  of: () => Promise<ComponentType>;
  part: ComponentType | null;
}

/** A part of the page that is fetched when it is first gone to; where the server does not answer, that is said and tried again. */
export function Loaded({ load }: { load: () => Promise<ComponentType> }) {
  const [state, setState] = useState<State | null>(null);
  const go = useCallback(
    () =>
      load().then(
        (part) => setState({ of: load, part }),
        () => setState({ of: load, part: null }),
      ),
    [load],
  );
  useEffect(() => void go(), [go]);
  const here = state?.of === load ? state : null;
  const failed = here?.part === null;
  useEffect(() => {
    if (!failed) return;
    const timer = window.setInterval(() => void go(), TRY_AGAIN_AFTER_MS);
    return () => window.clearInterval(timer);
  }, [failed, go]);
  if (here?.part) return createElement(here.part);
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
      <Press type="button" onClick={() => void go()}>
        Try again
      </Press>
    </Box>
  );
}
