import { api, type JobView, type Schemas, taken } from "../../shared/api";

type Step = Parameters<Parameters<import("../../shared/desk").JobDesk["does"]>[0]>[0];
const of = (job: number) => ({ params: { path: { job_id: job } } });

/** Sign a step; ``seen`` is the signature that stands on this page, so that nobody signs over another unseen. */
export function signing(job: number, step: string, state: Schemas["SignState"], found: string, seen: string | null) {
  return (said: Step): Promise<JobView> =>
    taken(api.POST("/api/jobs/{job_id}/setup/sign", { ...of(job), body: { ...said, step, state, found, seen } }));
}

/** A setting tried: to be typed, or read from the panel. */
export function trying(job: number, step: string, read: boolean) {
  return (said: Step): Promise<JobView> =>
    taken(api.POST("/api/jobs/{job_id}/setup/trials", { ...of(job), body: { ...said, step, read } }));
}

export const planned = (job: number, wanted: Schemas["Wanted"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/plan", { ...of(job), body: wanted }));

export const written = (job: number, confirmed: Schemas["Confirmed"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/writes", { ...of(job), body: confirmed }));

export const armed = (job: number, leave: Schemas["LeaveIn"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/leave", { ...of(job), body: leave }));

export const sweepNow = (job: number) => taken(api.GET("/api/jobs/{job_id}/setup/sweep", of(job)));

export const sweepBegun = (job: number, confirmed: Schemas["Confirmed"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/sweep", { ...of(job), body: confirmed }));

export const sweepSteered = (job: number, act: "pause" | "go-on" | "stop") =>
  taken(api.POST("/api/jobs/{job_id}/setup/sweep/{act}", { params: { path: { job_id: job, act } } }));

export const markedLoud = (job: number, mark: Schemas["MarkLoud"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/loud", { ...of(job), body: mark }));
