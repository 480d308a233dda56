import { useEffect, useRef, useSyncExternalStore } from "react";

import { type Act, outbox } from "./outbox";

/** Acts of a lane that wait here or were refused; sent for as long as somebody looks, and told of when one is done. */
export function useLane(lane: string, done: (act: Act, answer: unknown) => void): readonly Act[] {
  const all = useSyncExternalStore(outbox.subscribe, outbox.snapshot);
  const acts = all.filter((act) => act.lane === lane);
  const newest = useRef(done);
  useEffect(() => {
    newest.current = done;
  });
  const waiting = acts.some((act) => act.state === "waiting");
  useEffect(() => outbox.listen(lane, (act, answer) => newest.current(act, answer)), [lane]);
  useEffect(() => {
    if (waiting) void outbox.pump(lane);
  }, [lane, waiting]);
  return acts;
}
