import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect } from "react";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { dayTag } from "../../shared/language";

export type LogView = Schemas["LogView"];
const LOOK_AGAIN_MS = 5000;

/** A machine's log; read again while a panel is read into it. */
export function useLog(machine: number) {
  const { desk } = useJob();
  const log = useQuery<LogView, Refused>({
    queryKey: ["log", machine],
    queryFn: () => taken(api.GET("/api/machines/{machine_id}/log", { params: { path: { machine_id: machine } } })),
    refetchInterval: (query) => (query.state.data?.watch ? LOOK_AGAIN_MS : false),
  });
  const rail = log.data ? JSON.stringify(log.data.answer.rail) : "";
  useEffect(() => {
    // The rail tells of the log too: the job is read again when that has changed.
    const shown = JSON.stringify(desk.snapshot().view?.log ?? []);
    if (rail && rail !== shown) void desk.load();
  }, [rail, desk]);
  return log;
}

/** Put a log that came back with an answer where every part of the page finds it. */
export function useTakeLog() {
  const queries = useQueryClient();
  return (log: LogView) => queries.setQueryData(["log", log.machine_id], log);
}

export function monthWords(at: string) {
  return new Date(at).toLocaleDateString(dayTag(), { month: "long", year: "numeric" });
}

export function dayWords(at: string) {
  return new Date(at).toLocaleDateString(dayTag(), { day: "numeric", month: "long", year: "numeric" });
}
