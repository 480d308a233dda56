import { chakra } from "@chakra-ui/react";
import { memo, type ReactNode } from "react";

import type { Basis, Figure, Phrase } from "./api";
import { write } from "./figures";
import { useUnits } from "./units";

/** A figure and its band never part at a line end. */
const Whole = chakra("span");

/** The line under a figure says what it stands on. */
export const Standing = chakra("span", {
  base: { fontWeight: 600 },
  variants: {
    basis: {
      measured: { borderBottom: "2px solid", borderColor: "ink" },
      plate: { borderTop: "1.5px solid", borderBottom: "1.5px solid", borderColor: "ink" },
      estimated: { borderBottom: "2px dashed", borderColor: "ink" },
      assumed: { borderBottom: "2px dotted", borderColor: "ink", fontStyle: "italic" },
      typed: {},
      "worked out": {},
    },
  },
});

const Band = chakra("span", { base: { color: "ink2", fontWeight: 400 } });
const Unit = chakra("span", { base: { color: "ink2", fontWeight: 400, fontSize: "0.8em" } });

interface FigureTextProps {
  figure: Figure;
  /** Whether its unit stands beside it; in tables the unit stands once, by the label. */
  unit?: boolean;
  /** Whether the line that says what it stands on is drawn. */
  line?: boolean;
}

export const FigureText = memo(function FigureText({ figure, unit = true, line = true }: FigureTextProps) {
  const { units, currency } = useUnits();
  const written = write(figure, units, currency);
  const basis: Basis = line ? (figure.basis ?? "worked out") : "worked out";
  return (
    <Whole whiteSpace={written.range ? { base: "normal", md: "nowrap" } : "nowrap"}>
      <Standing basis={basis}>{written.range ?? written.value}</Standing>
      {written.band && <Band> ± {written.band}</Band>}
      {unit && written.unit && <Unit> {written.unit}</Unit>}
    </Whole>
  );
});

/** A sentence of words and figures. */
export const PhraseText = memo(function PhraseText({
  phrase,
  line = false,
}: {
  phrase: Phrase;
  line?: boolean;
}): ReactNode {
  return phrase.map((piece, index) =>
    typeof piece === "string" ? piece : <FigureText key={index} figure={piece} line={line} />,
  );
});
