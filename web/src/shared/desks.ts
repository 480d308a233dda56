import { JobDesk } from "./desk";
import { outbox } from "./outbox";

const desks = new Map<number, JobDesk>();

/** The desk of a job: one for each job on this page, however many parts of it look. */
export function deskOf(id: number): JobDesk {
  const known = desks.get(id);
  if (known) return known;
  const desk = new JobDesk(id);
  desks.set(id, desk);
  return desk;
}

/** Send what an earlier page left in this browser, for every job, whichever page is opened first. */
export function sendWhatWaits() {
  void outbox.ready().then(() => {
    const lanes = new Set(outbox.snapshot().flatMap(({ lane, state }) => (state === "waiting" ? [lane] : [])));
    for (const lane of lanes) {
      const job = /^job (\d+)( now)?$/.exec(lane);
      if (job) void deskOf(Number(job[1])).begin();
      else void outbox.pump(lane);
    }
  });
}
