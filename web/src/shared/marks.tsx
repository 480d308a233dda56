/** The mark of a series: colour never speaks alone. */
export type Series = "copper" | "copper-ring" | "verdigris" | "violet" | "ink";

export function colourOf(series: string): string {
  return { copper: "copper", "copper-ring": "copper", verdigris: "verdigris", violet: "violet" }[series] ?? "ink";
}

interface MarkProps {
  series: string;
  x: number;
  y: number;
  size?: number;
}

export function SeriesMark({ series, x, y, size = 5.5 }: MarkProps) {
  if (series === "verdigris")
    return <rect x={x - size} y={y - size} width={size * 2} height={size * 2} fill="currentColor" />;
  if (series === "violet") {
    const [half, top, foot] = [size * 1.15, y - size * 1.2, y + size];
    return <path d={`M${x} ${top} L${x + half} ${foot} L${x - half} ${foot} Z`} fill="currentColor" />;
  }
  if (series === "copper-ring")
    return <circle cx={x} cy={y} r={size} fill="var(--chakra-colors-paper)" stroke="currentColor" strokeWidth={2.2} />;
  return <circle cx={x} cy={y} r={size} fill="currentColor" />;
}

/** A mark that stands in a line of text. */
export function InlineMark({ series }: { series: string }) {
  return (
    <svg
      width="16"
      height="16"
      viewBox="0 0 16 16"
      aria-hidden
      style={{ display: "inline-block", verticalAlign: "-2px" }}
    >
      <SeriesMark series={series} x={8} y={8} />
    </svg>
  );
}
