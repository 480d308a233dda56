import { useCallback, useEffect, useState } from "react";

const TRY_AGAIN_AFTER_MS = 3000;

/** Code that is fetched when it is first shown. */
export interface Fetched<Part> {
  /** None while it is on its way, or where the server does not answer. */
  part: Part | null;
  failed: boolean;
  again: () => void;
}

/**
 * A part of the page that is fetched when it is first shown, and tried again for as long as the server does not answer.
 * Unlike a lazy component it never takes what stands round it away.
 * @param load - the same function for as long as the same part is meant
 */
export function useFetched<Part>(load: () => Promise<Part>): Fetched<Part> {
  const [state, setState] = useState<{ of: typeof load; part: Part | null } | null>(null);
  const again = useCallback(
    () =>
      void load().then(
        (part) => setState({ of: load, part }),
        () => setState({ of: load, part: null }),
      ),
    [load],
  );
  useEffect(again, [again]);
  const here = state?.of === load ? state : null;
  const failed = here !== null && here.part === null;
  useEffect(() => {
    if (!failed) return;
    const timer = window.setInterval(again, TRY_AGAIN_AFTER_MS);
    return () => window.clearInterval(timer);
  }, [failed, again]);
  return { part: here?.part ?? null, failed, again };
}
