import { Box, chakra } from "@chakra-ui/react";
import { scaleLinear } from "d3-scale";
import { useState } from "react";

import type { Schemas } from "../../shared/api";
import { write } from "../../shared/figures";
import { colourOf, InlineMark } from "../../shared/marks";
import { Micro, Press, Small } from "../../shared/parts";
import { Part } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { PhraseText } from "../../shared/Words";
import { memoByCells, type Option } from "./columns";

type Levers = Schemas["Levers"];
type Moved = Pick<Option, "id" | "letter" | "series" | "levers">;

/** What moves a saving: the inputs whose bands contribute most, and the reading that would narrow it most. */
export const LeversPart = memoByCells(function LeversPart({ cells }: { cells: readonly Moved[] }) {
  const told = cells.filter((option) => option.levers);
  const [picked, setPicked] = useState<string | null>(null);
  const shown = told.find((option) => option.id === picked) ?? told[0];
  if (!shown?.levers) return null;
  return (
    <Part title="What moves the saving?" note="kWh a year, with one input at either end of its own 95 % band">
      <Box role="group" aria-label="Of which option" display="flex" flexWrap="wrap" gap="4px" pb="4px">
        {told.map((option) => (
          <Press
            key={option.id}
            type="button"
            px="10px"
            aria-pressed={option.id === shown.id}
            borderBottomWidth={option.id === shown.id ? "3px" : "1px"}
            onClick={() => setPicked(option.id)}
          >
            <Box as="span" color={colourOf(option.series)}>
              <InlineMark series={option.series} /> {option.letter}
            </Box>
          </Press>
        ))}
      </Box>
      <Picture levers={shown.levers} series={shown.series} letter={shown.letter} />
      {shown.levers.narrow.length > 0 && (
        <Box>
          <PhraseText phrase={shown.levers.narrow} />
        </Box>
      )}
      {shown.levers.rest > 0.01 && <Small>All other inputs together: {percent(shown.levers.rest)} of the band.</Small>}
    </Part>
  );
});

/** One line to an input: what the saving is at its low end and at its high one, on one scale for all, and its share. */
function Picture({ levers, series, letter }: { levers: Levers; series: string; letter: string }) {
  const { units } = useUnits();
  const ends = levers.levers.flatMap(({ low, high }) => [low.value, high.value]);
  const place = scaleLinear([Math.min(...ends), Math.max(...ends)], [0, 100]);
  return (
    <Box role="group" aria-label={`What moves the saving of ${letter}`}>
      {levers.levers.map(({ source, share, low, high }) => {
        const [from, to] = [place(low.value), place(high.value)];
        return (
          <Box
            key={source}
            display="grid"
            gridTemplateColumns={{ base: "minmax(0, 1fr) 48px", md: "210px minmax(0, 1fr) 48px" }}
            gap="0 12px"
            alignItems="center"
            py="3px"
            borderTop="1px solid"
            borderColor="hair"
          >
            <Box fontSize="small">{source}</Box>
            <Box gridRow={{ base: 2, md: "auto" }} gridColumn={{ base: "1 / -1", md: "auto" }}>
              <Box position="relative" height="12px" color={colourOf(series)}>
                <Bar style={{ left: `${from}%`, width: `max(2px, ${to - from}%)` }} />
                <Middle style={{ left: `${(from + to) / 2}%` }} />
              </Box>
              <Box display="flex" justifyContent="space-between">
                <Micro>{write(low, units).value}</Micro>
                <Micro>{write(high, units).value}</Micro>
              </Box>
            </Box>
            <Box textAlign="right" fontWeight={600}>
              {percent(share)}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}

function percent(share: number) {
  return `${Math.round(100 * share)} %`;
}

const Bar = chakra("div", {
  base: { position: "absolute", top: 0, bottom: 0, background: "currentColor", opacity: 0.3 },
});
const Middle = chakra("div", {
  base: { position: "absolute", top: "-2px", bottom: "-2px", width: "2.5px", ml: "-1px", background: "currentColor" },
});
