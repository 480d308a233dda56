import { reveal } from "./reveal";

/** Put the cursor into the field at a path, if it stands on this sheet; says whether it does. */
export function focusField(path: string): boolean {
  const field = document.querySelector<HTMLElement>(`[data-field="${CSS.escape(path)}"]`);
  if (!field) {
    const opened = reveal(path);
    if (opened) window.setTimeout(() => focusField(path));
    return opened;
  }
  const target = field.querySelector<HTMLElement>('[tabindex="0"]') ?? field;
  target.scrollIntoView({ block: "center" });
  target.focus();
  return true;
}
