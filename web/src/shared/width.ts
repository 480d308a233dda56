import { useSyncExternalStore } from "react";

const queries = new Map<string, MediaQueryList>();

function listOf(query: string): MediaQueryList {
  const list = queries.get(query) ?? window.matchMedia(query);
  queries.set(query, list);
  return list;
}

/** Whether the page is at least so wide, so that what only narrow screens show is not drawn on wide ones. */
export function useIsWide(pixels: number): boolean {
  const query = `(min-width: ${pixels}px)`;
  return useSyncExternalStore(
    (changed) => {
      listOf(query).addEventListener("change", changed);
      return () => listOf(query).removeEventListener("change", changed);
    },
    () => listOf(query).matches,
  );
}
