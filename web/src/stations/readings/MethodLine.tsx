import { memo } from "react";

import type { Figure, Result } from "../../shared/api";
import { IntervalMark } from "../../shared/IntervalMark";
import { Waits, WorkedFigure, WorkingPanel } from "../../shared/Working";
import { say } from "../../shared/say";

/** The far end of a figure's uncertainty; 0 where there is none. */
export function highEnd(figure: Figure | null | undefined): number {
  return figure ? (figure.high ?? figure.value + (figure.uncertainty ?? 0)) : 0;
}

function lowEnd(figure: Figure): number {
  return figure.low ?? figure.value - (figure.uncertainty ?? 0);
}

interface MethodLineProps {
  name: string;
  label: string;
  result: Result;
  /** The far end of the common scale, which begins at nothing. */
  reach: number;
  doubted: boolean;
  /** It is the method that is used, or what all methods make together. */
  taken?: boolean | undefined;
  reason: string;
  word: string;
}

/** The look of all lines of a picture, said once for the picture they stand in. */
export const METHOD_LINES = {
  "& [data-method]": { borderBottom: "1px solid", borderColor: "hair", py: "1px" },
  "& [data-method-line]": {
    display: "grid",
    gridTemplateColumns: { base: "86px minmax(0, 1fr) 118px", md: "104px minmax(0, 1fr) 150px 70px" },
    gap: "0 10px",
    alignItems: "center",
    minHeight: "44px",
  },
  "& [data-method-label=taken]": { fontWeight: 600 },
  "& [data-method-waits]": { gridColumn: "2 / -1" },
  "& [data-method-word]": { display: { base: "none", md: "block" }, fontSize: "micro", color: "ink2" },
  "& [data-method-reason]": { fontSize: "small", color: "ink2", pl: { base: 0, md: "114px" }, pb: "6px" },
  "& [data-method-reason] b": { display: { base: "inline", md: "none" } },
};

export const COLUMNS = { base: "86px minmax(0, 1fr) 118px", md: "104px minmax(0, 1fr) 150px 70px" };

/** One method to a value: its uncertainty on the common scale, its working, and why it is or is not trusted here. */
export const MethodLine = memo(function MethodLine({
  name,
  label,
  result,
  reach,
  doubted,
  taken,
  reason,
  word,
}: MethodLineProps) {
  const { figure } = result;
  return (
    <div data-method>
      <div data-method-line>
        <div data-method-label={taken ? "taken" : ""}>{label}</div>
        {figure ? (
          <div style={{ opacity: doubted ? 0.55 : 1 }}>
            <IntervalMark
              mark={{ value: figure.value, low: Math.max(lowEnd(figure), 0), high: highEnd(figure) }}
              domain={[0, reach]}
              label={say("method-line-uncertainty", { label })}
            />
          </div>
        ) : (
          <div data-method-waits>
            <Waits result={result} />
          </div>
        )}
        {figure && (
          <>
            <div style={{ textAlign: "right" }}>
              <WorkedFigure name={name} result={result} />
            </div>
            <span data-method-word>{word}</span>
          </>
        )}
      </div>
      {reason && (
        <div data-method-reason>
          {word && <b>{word}: </b>}
          {reason}
        </div>
      )}
      <WorkingPanel name={name} result={result} />
    </div>
  );
});
