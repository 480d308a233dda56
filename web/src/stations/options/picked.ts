import { useEffect, useMemo, useState } from "react";

import type { Schemas } from "../../shared/api";
import { singleKeysOn } from "../../shared/reader";
import { useIsWide } from "../../shared/width";

type Candidate = Schemas["CandidateAnswer"];

const COLUMNS_FROM = 561;

export interface Picked {
  /** Ids of the candidates that are picked, in the order of the list. */
  ids: string[];
  /** The same in the order that the core is asked in: what the others are held against comes first. */
  asked: string[];
  pick: (id: string) => void;
  /** Whether they lie side by side now. */
  beside: boolean;
  lay: () => void;
  back: () => void;
}

/** Two to four candidates that are picked to be laid side by side; on a phone two. The one picked longest goes first. */
export function usePicked(candidates: readonly Candidate[]): Picked {
  const most = useIsWide(COLUMNS_FROM) ? 4 : 2;
  const [ticked, setTicked] = useState<string[]>([]);
  const [beside, setBeside] = useState(false);
  const shown = useMemo(
    () => candidates.filter((one) => ticked.slice(-most).includes(one.id) && !one.stop),
    [candidates, ticked, most],
  );
  const ids = shown.map((one) => one.id);
  const laid = beside && ids.length > 1;
  const enough = ids.length > 1;
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || document.querySelector("dialog[open]")) return;
      if (event.target instanceof HTMLElement && event.target.matches("input:not([type=checkbox]), textarea, select"))
        return;
      if (laid && event.key === "Escape") setBeside(false);
      else if (!laid && enough && singleKeysOn() && event.key.toLowerCase() === "c") setBeside(true);
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, [laid, enough]);
  return {
    ids,
    asked: askedOf(shown),
    pick: (id) => setTicked((now) => (now.includes(id) ? now.filter((one) => one !== id) : [...now, id].slice(-most))),
    beside: laid,
    lay: () => setBeside(true),
    back: () => setBeside(false),
  };
}

/** Of two, the better is held against the other; of more, each against the one that was chosen, else the best. */
function askedOf(shown: readonly Candidate[]): string[] {
  const against = shown.length === 2 ? shown[1] : (shown.find((one) => one.chosen) ?? shown[0]);
  if (!against) return [];
  return [against.id, ...shown.filter((one) => one !== against).map((one) => one.id)];
}
