import { useSyncExternalStore } from "react";

/** The front end that the server gave out when this page first heard of it; another since, where the program was renewed. */
let first: string | null = null;
let renewed = false;
const listeners = new Set<() => void>();

/** Take note of the edition that an answer comes from. */
export function noteEdition(answer: Response): void {
  const told = answer.headers.get("x-edition");
  if (!told || renewed) return;
  first ??= told;
  if (told === first) return;
  renewed = true;
  listeners.forEach((listener) => listener());
}

function listen(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Whether the program was renewed since this page was opened. */
export const useRenewed = () => useSyncExternalStore(listen, () => renewed);
