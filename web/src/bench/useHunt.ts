import { useQuery } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../shared/api";

export type HuntView = Schemas["HuntView"];

interface SoFar {
  number: number;
  acts: string[];
  causes: string[];
  next_step: string;
  /** A name of this attempt, so that its end is kept once however often it is asked for. */
  attempt: string;
}

const KEPT_AS = "modest-rotor hunt";

export interface Hunt {
  view: HuntView | undefined;
  refusal: string | null;
  act: (act: string) => void;
  name: (causes: string[], nextStep: string) => void;
  anew: () => void;
}

/** A hunt as far as it was followed; it outlives the page, since the server makes it anew from what was done. */
export function useHunt(number: number, who: string): Hunt {
  const [kept, setKept] = useState<SoFar>(() => restored(number));
  const soFar = kept.number === number ? kept : restored(number);
  const { data, error } = useQuery<HuntView, Refused>({
    queryKey: ["hunt", soFar, who],
    queryFn: () =>
      taken(
        api.POST("/api/bench/hunts/{number}", {
          params: { path: { number } },
          body: { acts: soFar.acts, causes: soFar.causes, next_step: soFar.next_step, attempt: soFar.attempt, who },
        }),
      ),
    placeholderData: (before) => (before?.number === number ? before : undefined),
    retry: false,
    staleTime: Infinity,
  });
  const go = (next: SoFar) => {
    sessionStorage.setItem(KEPT_AS, JSON.stringify(next));
    setKept(next);
  };
  return {
    view: data,
    refusal: error?.message ?? null,
    act: (act) => !data?.debrief && go({ ...soFar, acts: [...soFar.acts, act] }),
    name: (causes, next_step) => go({ ...soFar, causes, next_step }),
    anew: () => go(begun(number)),
  };
}

function begun(number: number): SoFar {
  return { number, acts: [], causes: [], next_step: "", attempt: crypto.randomUUID() };
}

function restored(number: number): SoFar {
  try {
    const kept = JSON.parse(sessionStorage.getItem(KEPT_AS) ?? "null") as SoFar | null;
    if (kept?.number === number) return kept;
  } catch {
    // What cannot be read is begun anew.
  }
  return begun(number);
}
