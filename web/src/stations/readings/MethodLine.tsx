import { Box } from "@chakra-ui/react";
import { memo } from "react";

import type { Figure, Result } from "../../shared/api";
import { IntervalMark } from "../../shared/IntervalMark";
import { Micro, Small } from "../../shared/parts";
import { Waits, WorkedFigure, WorkingPanel } from "../../shared/Working";

/** The far end of a figure's band; 0 where there is none. */
export function highEnd(figure: Figure | null | undefined): number {
  return figure ? (figure.high ?? figure.value + (figure.band ?? 0)) : 0;
}

function lowEnd(figure: Figure): number {
  return figure.low ?? figure.value - (figure.band ?? 0);
}

interface MethodLineProps {
  name: string;
  label: string;
  result: Result;
  /** The far end of the common scale, which begins at nothing. */
  reach: number;
  doubted: boolean;
  reason: string;
  word: string;
}

export const COLUMNS = { base: "86px minmax(0, 1fr) 118px", md: "104px minmax(0, 1fr) 150px 70px" };

/** One way to a value: its band on the common scale, its working, and why it is or is not trusted here. */
export const MethodLine = memo(function MethodLine({
  name,
  label,
  result,
  reach,
  doubted,
  reason,
  word,
}: MethodLineProps) {
  const { figure } = result;
  return (
    <Box borderBottom="1px solid" borderColor="hair" py="1px">
      <Box display="grid" gridTemplateColumns={COLUMNS} gap="0 10px" alignItems="center" minHeight="44px">
        <Box fontWeight={word === "taken" || word === "" ? 600 : 400}>{label}</Box>
        {figure ? (
          <Box opacity={doubted ? 0.55 : 1}>
            <IntervalMark
              mark={{ value: figure.value, low: Math.max(lowEnd(figure), 0), high: highEnd(figure) }}
              domain={[0, reach]}
              label={`${label}, with its band`}
            />
          </Box>
        ) : (
          <Box gridColumn="2 / -1">
            <Waits result={result} />
          </Box>
        )}
        {figure && (
          <>
            <Box textAlign="right">
              <WorkedFigure name={name} result={result} />
            </Box>
            <Micro display={{ base: "none", md: "block" }}>{word}</Micro>
          </>
        )}
      </Box>
      {reason && (
        <Small display="block" pl={{ base: 0, md: "114px" }} pb="6px">
          <Box as="span" display={{ base: "inline", md: "none" }} fontWeight={600}>
            {word}:{" "}
          </Box>
          {reason}
        </Small>
      )}
      <WorkingPanel name={name} result={result} />
    </Box>
  );
});
