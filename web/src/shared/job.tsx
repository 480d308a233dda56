import { createContext, type ReactNode, useContext, useEffect, useMemo, useState, useSyncExternalStore } from "react";

import type { Assessment, JobView } from "./api";
import type { DeskState, Draft, JobDesk } from "./desk";
import { deskOf } from "./desks";
import { valueAt } from "./paths";
import { useReader } from "./reader";
import { UnitsProvider } from "./units";

interface ViewHere {
  desk: JobDesk;
  view: JobView;
}

interface JobHere extends ViewHere {
  /** What follows from the job, with the draft being typed put in. */
  assessment: Assessment;
}

const Context = createContext<JobHere | null>(null);
const ViewContext = createContext<ViewHere | null>(null);

/** A desk for one job, alive as long as its page. */
export function useDesk(id: number): JobDesk {
  const [desk] = useState(() => deskOf(id));
  useEffect(() => {
    void desk.begin();
    const lookAgain = () => {
      // Another window may have changed the job; a draft, though, belongs to the job as it was read.
      if (document.visibilityState === "visible" && Object.keys(desk.snapshot().drafts).length === 0) void desk.load();
    };
    document.addEventListener("visibilitychange", lookAgain);
    return () => document.removeEventListener("visibilitychange", lookAgain);
  }, [desk]);
  return desk;
}

/** One thing of a desk's state: whoever asks for it is drawn again only when that changes. */
export function useDeskState<Part>(desk: JobDesk, pick: (state: DeskState) => Part): Part {
  return useSyncExternalStore(desk.subscribe, () => pick(desk.snapshot()));
}

export function JobProvider({ desk, children }: { desk: JobDesk; children: ReactNode }) {
  const reader = useReader();
  const view = useDeskState(desk, (state) => state.view);
  const preview = useDeskState(desk, (state) => state.preview);
  const units = reader.units ?? view?.site_units ?? "si";
  const { who } = reader;
  useEffect(() => desk.write({ units, who }), [desk, units, who]);
  const here = useMemo(
    () => (view ? { desk, view, assessment: preview ?? view.assessment } : null),
    [desk, view, preview],
  );
  const seen = useMemo(() => (view ? { desk, view } : null), [desk, view]);
  if (!here) return null;
  return (
    <Context value={here}>
      <ViewContext value={seen}>
        <UnitsProvider units={units} currency={here.assessment.currency ?? null}>
          {children}
        </UnitsProvider>
      </ViewContext>
    </Context>
  );
}

export function useJob(): JobHere {
  const here = useContext(Context);
  if (!here) throw new Error("useJob stands outside its provider");
  return here;
}

/** The job as it is kept: for whatever does not follow the typing. */
export function useView(): ViewHere {
  const here = useContext(ViewContext);
  if (!here) throw new Error("useView stands outside its provider");
  return here;
}

/** What the job holds at a path, and the draft over it. A field is drawn again when its own value or draft changes. */
export function useField<Value>(path: string): { value: Value | null; draft: Draft | undefined; desk: JobDesk } {
  const { desk } = useView();
  const value = useDeskState(desk, ({ view, acts }) => {
    // A choice that waits for the server is shown as chosen; whether it is saved is said above.
    const waits = acts.findLast(
      ({ state, target }) => state === "waiting" && target?.path === path && !("text" in target),
    );
    if (waits?.target) return waits.target.value;
    return view ? valueAt(view, path) : null;
  });
  const draft = useDeskState(desk, ({ drafts }) => drafts[path]);
  return { value: value as Value | null, draft, desk };
}
