import { createContext, type ReactNode, useContext, useEffect, useMemo, useState, useSyncExternalStore } from "react";

import type { Assessment, JobView } from "./api";
import { type DeskState, type Draft, JobDesk } from "./desk";
import { valueAt } from "./paths";
import { useReader } from "./reader";
import { UnitsProvider } from "./units";

interface JobHere {
  desk: JobDesk;
  state: DeskState;
  view: JobView;
  /** What follows from the job, with the draft being typed put in. */
  assessment: Assessment;
}

const Context = createContext<JobHere | null>(null);

/** A desk for one job, alive as long as its page. */
export function useDesk(id: number): { desk: JobDesk; state: DeskState } {
  const [desk] = useState(() => new JobDesk(id));
  const state = useSyncExternalStore(desk.subscribe, desk.snapshot);
  useEffect(() => {
    void desk.begin();
    const lookAgain = () => {
      // Another window may have changed the job; a draft, though, belongs to the job as it was read.
      if (document.visibilityState === "visible" && Object.keys(desk.snapshot().drafts).length === 0) void desk.load();
    };
    document.addEventListener("visibilitychange", lookAgain);
    return () => document.removeEventListener("visibilitychange", lookAgain);
  }, [desk]);
  return { desk, state };
}

export function JobProvider({ desk, state, children }: { desk: JobDesk; state: DeskState; children: ReactNode }) {
  const reader = useReader();
  const { view, preview } = state;
  const units = reader.units ?? view?.site_units ?? "si";
  const { who } = reader;
  useEffect(() => desk.write({ units, who }), [desk, units, who]);
  const here = useMemo(
    () => (view ? { desk, state, view, assessment: preview ?? view.assessment } : null),
    [desk, state, view, preview],
  );
  if (!here) return null;
  return (
    <Context value={here}>
      <UnitsProvider units={units} currency={here.assessment.currency ?? null}>
        {children}
      </UnitsProvider>
    </Context>
  );
}

export function useJob(): JobHere {
  const here = useContext(Context);
  if (!here) throw new Error("useJob stands outside its provider");
  return here;
}

/** What the job holds at a path, and the draft over it. */
export function useField<Value>(path: string): { value: Value | null; draft: Draft | undefined; desk: JobDesk } {
  const { view, state, desk } = useJob();
  return { value: valueAt(view, path) as Value | null, draft: state.drafts[path], desk };
}
