/** Straight strokes through places, as a path is written; curves of the core stand dense enough to look round. */
export function pathThrough(places: readonly (readonly [number, number])[]): string {
  return places.map(([x, y], place) => `${place ? "L" : "M"}${x.toFixed(1)},${y.toFixed(1)}`).join("");
}
