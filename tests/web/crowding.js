// Texts of a page that lie on each other, are cut off, or run off the side: each as one line.
const SHRINK = 0.22, LEAST_PX = 2, APART_PX = 3;
const shown = (element) => element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
const layerOf = (element) => {
  for (let at = element; at; at = at.parentElement) {
    const position = getComputedStyle(at).position;
    if (position === "fixed" || position === "sticky") return at;
  }
  return null;
};
const clipped = (rect, element) => {
  let { left, top, right, bottom } = rect;
  for (let at = element; at && at !== document.body; at = at.parentElement) {
    const style = getComputedStyle(at);
    if (style.overflowX === "visible" && style.overflowY === "visible") continue;
    const box = at.getBoundingClientRect();
    left = Math.max(left, box.left); right = Math.min(right, box.right);
    top = Math.max(top, box.top); bottom = Math.min(bottom, box.bottom);
  }
  return { left, top, right, bottom };
};
const scrolls = (element) => {
  for (let at = element; at && at !== document.documentElement; at = at.parentElement)
    if (["auto", "scroll"].includes(getComputedStyle(at).overflowX)) return true;
  return false;
};
const brief = (text) => text.trim().replace(/\s+/g, " ").slice(0, 40);
const found = new Set(), lines = [];
const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
for (let node = walker.nextNode(); node; node = walker.nextNode()) {
  const element = node.parentElement;
  if (!node.textContent.trim() || element.closest("option, script, style, .only-spoken, [data-only-spoken]") || !shown(element)) continue;
  const style = getComputedStyle(element);
  if (style.clipPath !== "none" || style.clip !== "auto") continue;
  const layer = layerOf(element);
  const range = document.createRange();
  range.selectNodeContents(node);
  const svg = element.closest("svg");
  for (const raw of range.getClientRects()) {
    if (raw.width < LEAST_PX || raw.height < LEAST_PX) continue;
    if (!svg && !scrolls(element) && (raw.right > innerWidth + 1 || raw.left < -1)) found.add(`off the side: ${brief(node.textContent)}`);
    const rect = clipped(raw, element);
    if (!svg && !scrolls(element) && raw.right - rect.right > LEAST_PX) found.add(`cut off: ${brief(node.textContent)}`);
    const fifth = SHRINK * (rect.bottom - rect.top);
    lines.push({ node, layer, svg, text: node.textContent, left: rect.left, right: rect.right, top: rect.top + fifth, bottom: rect.bottom - fifth });
  }
}
for (const field of document.querySelectorAll("input:not([type=checkbox]):not([type=radio]):not([type=range])"))
  if (shown(field) && field.value && field.scrollWidth > field.clientWidth + LEAST_PX) found.add(`value cut: ${field.ariaLabel}: ${brief(field.value)}`);
lines.sort((one, other) => one.top - other.top);
for (let i = 0; i < lines.length; i++)
  for (let j = i + 1; j < lines.length && lines[j].top < lines[i].bottom; j++) {
    const [one, other] = [lines[i], lines[j]];
    if (one.node === other.node || one.layer !== other.layer) continue;
    const wide = Math.min(one.right, other.right) - Math.max(one.left, other.left);
    const high = Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top);
    // Two numbers of an axis that touch read as one.
    const apart = one.svg && one.svg === other.svg && one.node.parentElement.closest("text") !== other.node.parentElement.closest("text") && Math.abs(one.top - other.top) < 1 ? -APART_PX : LEAST_PX;
    if (wide > apart && high > LEAST_PX) found.add(`on each other: ${brief(one.text)} / ${brief(other.text)}`);
  }
return [...found];
