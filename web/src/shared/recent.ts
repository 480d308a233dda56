const KEY = "modest-rotor recent";
const MOST = 5;

/** Numbers of the jobs that were opened last on this machine, the newest first. */
export function recentlyOpened(): number[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(KEY) ?? "[]");
    return Array.isArray(kept) ? kept.filter((one) => Number.isInteger(one)).slice(0, MOST) : [];
  } catch {
    return [];
  }
}

/** Note that a job was opened. */
export function noteOpened(job: number) {
  const others = recentlyOpened().filter((one) => one !== job);
  localStorage.setItem(KEY, JSON.stringify([job, ...others].slice(0, MOST)));
}
