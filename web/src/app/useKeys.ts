import { useEffect } from "react";
import { useNavigate } from "react-router";

import type { JobDesk } from "../shared/desk";
import { explainFocused } from "../shared/Explained";
import { focusField } from "../shared/focus";
import { singleKeysOn } from "../shared/reader";
import { nextAt, type Page, SHORT, STATIONS } from "../shared/stations";

interface Here {
  jobId: number;
  page: Page;
  desk: JobDesk;
}

/** A job can be done whole from the keyboard; what each key does is told in the keys panel. */
export function useKeys(here: Here | null) {
  const navigate = useNavigate();
  useEffect(() => {
    if (!here) return;
    const onKeyDown = (event: KeyboardEvent) => {
      if (document.querySelector("dialog[open]")) return;
      const taken =
        stationKey(event, here.jobId, navigate) ||
        historyKey(event, here.desk) ||
        (event.key === "F1" && explainFocused()) ||
        (inField(event.target) ? fieldKey(event, here) : pageKey(event, navigate));
      if (taken) event.preventDefault();
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, [here, navigate]);
}

function stationKey(event: KeyboardEvent, jobId: number, navigate: (to: string) => unknown): boolean {
  if (!event.altKey || event.ctrlKey) return false;
  if (event.code === "Backquote") {
    navigate(`/jobs/${jobId}/${SHORT}`);
    return true;
  }
  if (!/^\d$/.test(event.key)) return false;
  const station = STATIONS[(Number(event.key) + 9) % 10];
  if (station) navigate(`/jobs/${jobId}/${station.id}`);
  return true;
}

function historyKey(event: KeyboardEvent, desk: JobDesk): boolean {
  if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== "z") return false;
  // While something is typed, the field's own undo comes first.
  const path = (event.target as HTMLElement).dataset?.field;
  if (path && desk.snapshot().drafts[path]?.state === "typing") return false;
  const { view } = desk.snapshot();
  if (event.shiftKey && view?.redo_label) void desk.redo();
  else if (!event.shiftKey && view?.undo_label) void desk.undo();
  return true;
}

function pageKey(event: KeyboardEvent, navigate: (to: string) => unknown): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey || !singleKeysOn()) return false;
  if (event.key.toLowerCase() === "b") navigate("/");
  else if (event.key.toLowerCase() === "n") document.querySelector<HTMLElement>("[data-add]")?.click();
  else if (event.key === "?") document.querySelector<HTMLElement>("[data-keys]")?.click();
  else if (event.key === "Enter" && event.target === document.body)
    document.querySelector<HTMLElement>("[data-next]")?.click();
  else return false;
  return true;
}

function fieldKey(event: KeyboardEvent, here: Here): boolean {
  const field = event.target as HTMLElement;
  const path = field.dataset.field;
  if (!path || !(field instanceof HTMLInputElement)) return false;
  if (event.key === "Enter") return goOn(field, path, here);
  if (event.key === "ArrowDown" || event.key === "ArrowUp")
    return step(field, event.key === "ArrowDown" ? 1 : -1, sameOwner(path));
  if (event.altKey && (event.key === "ArrowLeft" || event.key === "ArrowRight"))
    return step(field, event.key === "ArrowRight" ? 1 : -1, sameQuantity(path));
  return false;
}

/** Enter keeps the field and goes to the next best reading, or else simply on. */
function goOn(field: HTMLInputElement, path: string, { desk, page }: Here): boolean {
  void desk.keep(path).then(() => {
    const { drafts } = desk.snapshot();
    // Whoever went elsewhere meanwhile stays there, and a refused value keeps the cursor.
    if (document.activeElement !== field || drafts[path]?.state === "refused") return;
    // In short the row is walked as it stands.
    const next = page === SHORT ? null : nextAt(desk.found().get("next") ?? [], page)?.path;
    if (next && next !== path) focusField(next);
    else if (!step(field, 1, () => true)) field.blur();
  });
  return true;
}

function step(field: HTMLInputElement, by: number, belongs: (path: string) => boolean): boolean {
  const all = [...document.querySelectorAll<HTMLInputElement>("input[data-field]")];
  const fields = all.filter((one) => belongs(one.dataset.field ?? ""));
  const next = fields[fields.indexOf(field) + by];
  next?.focus();
  return next !== undefined;
}

function sameOwner(path: string) {
  const owner = path.slice(0, path.lastIndexOf("/") + 1);
  return (other: string) => other.startsWith(owner);
}

function sameQuantity(path: string) {
  const steps = path.split("/");
  const [list, last] = [steps.slice(0, -2).join("/"), steps[steps.length - 1]];
  return (other: string) => list !== "" && other.startsWith(`${list}/`) && other.endsWith(`/${last}`);
}

function inField(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && target.matches("input, textarea, select");
}
