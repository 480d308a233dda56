import {
  createContext,
  type ReactNode,
  use,
  useContext,
  useEffect,
  useMemo,
  useState,
  useSyncExternalStore,
} from "react";

import type { JobHead } from "./api";
import type { DeskState, Draft, JobDesk } from "./desk";
import { deskOf } from "./desks";
import { Look } from "./look";
import type { NodeName, Option, OptionStep, Parts } from "./found";
import { valueAt } from "./paths";
import { useReader } from "./reader";
import { UnitsProvider } from "./units";

interface JobHere {
  desk: JobDesk;
  /** The job as it is kept. */
  view: JobHead;
}

const Context = createContext<JobHere | null>(null);

/**
 * A desk for one job, alive as long as its page.
 * @param first - nodes that its page shows first: they come with the job
 */
export function useDesk(id: number, first: readonly NodeName[]): JobDesk {
  const [desk] = useState(() => deskOf(id));
  const [shown] = useState(first);
  useEffect(() => {
    desk.expect(shown);
    void desk.begin();
    const lookAgain = () => {
      // Another window may have changed the job; a draft, though, belongs to the job as it was read.
      if (document.visibilityState === "visible" && Object.keys(desk.snapshot().drafts).length === 0) void desk.load();
    };
    document.addEventListener("visibilitychange", lookAgain);
    return () => document.removeEventListener("visibilitychange", lookAgain);
  }, [desk, shown]);
  return desk;
}

/** One thing of a desk's state: whoever asks for it is drawn again only when that changes. */
export function useDeskState<Part>(desk: JobDesk, pick: (state: DeskState) => Part): Part {
  return useSyncExternalStore(desk.subscribe, () => pick(desk.snapshot()));
}

export function JobProvider({ desk, children }: { desk: JobDesk; children: ReactNode }) {
  const reader = useReader();
  const view = useDeskState(desk, (state) => state.view);
  const currency = useDeskState(desk, () => desk.found().get("currency") ?? null);
  const units = reader.units ?? view?.site_units ?? "si";
  const { who } = reader;
  useEffect(() => desk.write({ units, who }), [desk, units, who]);
  const here = useMemo(() => (view ? { desk, view } : null), [desk, view]);
  if (!here) return null;
  return (
    <Context value={here}>
      <UnitsProvider units={units} currency={currency}>
        {children}
      </UnitsProvider>
    </Context>
  );
}

/** The job as it is kept, and its desk. */
export function useJob(): JobHere {
  const here = useContext(Context);
  if (!here) throw new Error("useJob stands outside its provider");
  return here;
}

/**
 * What follows from the job, with the draft being typed put in: the nodes that this part of the page shows. It is drawn again when one
 * of them changes, and waits for them where they are not here yet.
 */
export function useFound<Name extends NodeName>(...names: Name[]): Pick<Parts, Name> {
  const { desk } = useJob();
  const key = names.join();
  // eslint-disable-next-line react-hooks/exhaustive-deps -- names are compared by what they are
  const look = useMemo(() => new Look(desk, names), [desk, key]);
  const shown = useSyncExternalStore(desk.subscribe, look.shown);
  useEffect(() => look.begin(), [look]);
  if (!look.mayBeShown()) use(desk.arrival(look.names));
  return shown;
}

/** An option as it is opened; none where there is none of that name. */
export function useOption(id: string | null | undefined): Option | null {
  const name = `option/${id ?? ""}` as const;
  return useFound(name)[name] ?? null;
}

/** The duty steps of options, by the options' names. */
export function useSteps(ids: readonly string[]): Readonly<Record<string, OptionStep[]>> {
  const found = useFound(...ids.map((id) => `steps/${id}` as const));
  return useMemo(() => Object.fromEntries(ids.map((id) => [id, found[`steps/${id}`] ?? []])), [found, ids]);
}

/** What the job holds at a path, and the draft over it. A field is drawn again when its own value or draft changes. */
export function useField<Value>(path: string): { value: Value | null; draft: Draft | undefined; desk: JobDesk } {
  const { desk } = useJob();
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
