import { chakra } from "@chakra-ui/react";
import { memo, type ReactNode } from "react";

import { LINES } from "./figureLook";
import type { Basis, Figure, Phrase } from "./api";
import { write } from "./figures";
import { useUnits } from "./units";

/** The line under a figure says what it stands on. */
export const Standing = chakra("span", { base: { fontWeight: 600 }, variants: { basis: LINES } });

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
  const basis: Basis = line ? (figure.basis ?? "worked-out") : "worked-out";
  return (
    // Plain elements whose look stands in FIGURES: there are hundreds of figures on a page, and they follow the typing.
    <span data-figure={written.range ? "range" : ""}>
      <span data-standing={basis}>{written.range ?? written.value}</span>
      {written.uncertainty && <span data-figure-uncertainty> ± {written.uncertainty}</span>}
      {unit && written.unit && <span data-figure-unit> {written.unit}</span>}
    </span>
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
