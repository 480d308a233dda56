const REVEAL = "reveal-field";

/** Ask every closed fold whether it holds the field at a path; the one that does opens. Says whether one did. */
export function reveal(path: string): boolean {
  return !window.dispatchEvent(new CustomEvent(REVEAL, { detail: path, cancelable: true }));
}

/** Listen for a field that is wanted; `answer` says whether it is here. Gives back how to stop listening. */
export function onReveal(answer: (path: string) => boolean): () => void {
  const heard = (event: Event) => {
    if (answer((event as CustomEvent<string>).detail)) event.preventDefault();
  };
  window.addEventListener(REVEAL, heard);
  return () => window.removeEventListener(REVEAL, heard);
}
