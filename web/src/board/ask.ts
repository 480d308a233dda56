import { useEffect, useRef, useState } from "react";
import { useSearchParams } from "react-router";

import type { Schemas, Station } from "../shared/api";

/** What is asked of the Board; it stands in the address, so that it can be gone back to and passed on. */
export interface Ask {
  find: string;
  site: string;
  stands_at: Station | "";
  only: Schemas["Only"] | "";
  shelf: Schemas["Shelf"];
  order: Schemas["Order"];
}

export const NOTHING_ASKED: Ask = { find: "", site: "", stands_at: "", only: "", shelf: "open", order: "site" };

export function useAsk(): [Ask, (part: Partial<Ask>) => void] {
  const [search, setSearch] = useSearchParams();
  const ask = { ...NOTHING_ASKED, ...Object.fromEntries(search) } as Ask;
  const setAsk = (part: Partial<Ask>) => {
    const next = Object.entries({ ...ask, ...part }).filter(
      ([name, value]) => value && value !== NOTHING_ASKED[name as keyof Ask],
    );
    setSearch(Object.fromEntries(next) as Record<string, string>, { replace: true });
  };
  return [ask, setAsk];
}

/** Whether everything that is open is shown, by site. */
export function isPlain(ask: Ask): boolean {
  return (Object.keys(NOTHING_ASKED) as (keyof Ask)[]).every((name) => ask[name] === NOTHING_ASKED[name]);
}

/** The same as the server is asked. */
export function queryOf({ find, site, stands_at, only, shelf, order }: Ask) {
  return {
    find,
    shelf,
    order,
    ...(site ? { site: Number(site) } : {}),
    ...(stands_at ? { stands_at } : {}),
    ...(only ? { only } : {}),
  };
}

const PAUSE_MS = 180;

/** What is being typed to find by; it is asked for once the typing pauses. */
export function useSought(ask: Ask, setAsk: (part: Partial<Ask>) => void): [string, (text: string) => void] {
  const [typed, setTyped] = useState<string | null>(null);
  const put = useRef(setAsk);
  useEffect(() => {
    put.current = setAsk;
  });
  useEffect(() => {
    if (typed === null) return undefined;
    const timer = window.setTimeout(() => {
      put.current({ find: typed });
      setTyped(null);
    }, PAUSE_MS);
    return () => window.clearTimeout(timer);
  }, [typed]);
  return [typed ?? ask.find, setTyped];
}
