import { api, type Schemas, taken } from "../../shared/api";
import type { Deed } from "../../shared/deeds";
import { say } from "../../shared/say";

const of = (job: number) => ({ params: { path: { job_id: job } } });

/** Sign a step; ``seen`` is the signature that stands on this page, so that nobody signs over another unseen. */
export function signing(step: string, state: Schemas["SignState"], found: string, seen: string | null): Deed {
  return {
    to: "/setup/sign",
    body: { step, state, found, seen },
    label: say("acts-step-signed", { state }),
    onNewest: "ask",
  };
}

/** A setting tried: to be typed, or read from the panel as it shows it now. */
export function trying(step: string, read: boolean): Deed {
  return { to: "/setup/trials", body: { step, read }, label: say("acts-setting-tried"), now: read };
}

export const planned = (job: number, wanted: Schemas["Wanted"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/plan", { ...of(job), body: wanted }));

export const written = (job: number, confirmed: Schemas["Confirmed"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/writes", { ...of(job), body: confirmed }));

export const authorised = (job: number, asked: Schemas["AuthorisationIn"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/authorisation", { ...of(job), body: asked }));

export const sweepNow = (job: number) => taken(api.GET("/api/jobs/{job_id}/setup/sweep", of(job)));

export const sweepBegun = (job: number, confirmed: Schemas["Confirmed"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/sweep", { ...of(job), body: confirmed }));

export const sweepSteered = (job: number, act: "pause" | "go-on" | "stop") =>
  taken(api.POST("/api/jobs/{job_id}/setup/sweep/{act}", { params: { path: { job_id: job, act } } }));

/** Stop the machine: in one press, with or without leave. */
export const stopped = (job: number, who: string) =>
  taken(api.POST("/api/jobs/{job_id}/setup/writes", { ...of(job), body: { what: "stop", digest: "", who } }));

/** Gains to be tried next: those that follow from what was seen, or the first ones. */
export function gainsToTry(): Deed {
  return { to: "/setup/loop/tries", label: say("acts-gains-tried"), onNewest: "ask" };
}

export const loopRunNow = (job: number) => taken(api.GET("/api/jobs/{job_id}/setup/loop-run", of(job)));

export const stepBegun = (job: number, confirmed: Schemas["Confirmed"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/loop-run/step", { ...of(job), body: confirmed }));

export const watchBegun = (job: number, watch: Schemas["LoopWatchIn"]) =>
  taken(api.POST("/api/jobs/{job_id}/setup/loop-run/watch", { ...of(job), body: watch }));

export const loopRunEnded = (job: number) => taken(api.POST("/api/jobs/{job_id}/setup/loop-run/stop", of(job)));
