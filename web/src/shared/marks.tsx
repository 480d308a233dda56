/** The colour of a series; what stands after a dash is its mark's form. */
export function colourOf(series: string): string {
  const [colour = ""] = series.split("-");
  return ["copper", "verdigris", "violet"].includes(colour) ? colour : "ink";
}

interface MarkProps {
  series: string;
  x: number;
  y: number;
  size?: number;
}

/** The mark of a series: colour never speaks alone. Open forms: of the same kind, a flow held, on this motor. */
export function SeriesMark({ series, x, y, size = 5.5 }: MarkProps) {
  const [colour, form] = series.split("-");
  const look = form
    ? { fill: "var(--chakra-colors-paper)", stroke: "currentColor", strokeWidth: 2.2 }
    : { fill: "currentColor" };
  if (colour === "verdigris") return <rect x={x - size} y={y - size} width={size * 2} height={size * 2} {...look} />;
  if (colour === "violet") {
    const [half, top, foot] = [size * 1.15, y - size * 1.2, y + size];
    return <path d={`M${x} ${top} L${x + half} ${foot} L${x - half} ${foot} Z`} {...look} />;
  }
  return <circle cx={x} cy={y} r={size} {...look} />;
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
