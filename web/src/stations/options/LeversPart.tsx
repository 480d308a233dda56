import { Box, chakra } from "@chakra-ui/react";
import { scaleLinear } from "d3-scale";
import { useState } from "react";

import type { Schemas } from "../../shared/api";
import { write } from "../../shared/figures";
import { colourOf, InlineMark } from "../../shared/marks";
import { Press, Small } from "../../shared/parts";
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

const SIZE = { width: 682, left: 220, right: 560, row: 30, top: 8 };

/** One bar to an input, from what the saving is at its low end to what it is at its high one. */
function Picture({ levers, series, letter }: { levers: Levers; series: string; letter: string }) {
  const { units } = useUnits();
  const ends = levers.levers.flatMap(({ low, high }) => [low.value, high.value]);
  const x = scaleLinear([Math.min(...ends), Math.max(...ends)], [SIZE.left, SIZE.right]);
  const height = SIZE.top + levers.levers.length * SIZE.row + 6;
  const middle = levers.levers[0] ? (levers.levers[0].low.value + levers.levers[0].high.value) / 2 : 0;
  return (
    <Svg viewBox={`0 0 ${SIZE.width} ${height}`} role="img" aria-label={`What moves the saving of ${letter}`}>
      <line x1={x(middle)} x2={x(middle)} y1={2} y2={height - 4} stroke="var(--chakra-colors-rule)" />
      {levers.levers.map((lever, index) => {
        const y = SIZE.top + index * SIZE.row;
        return (
          <g key={lever.source} color={`var(--chakra-colors-${colourOf(series)})`}>
            <text x={0} y={y + 15} fill="var(--chakra-colors-ink)">
              {lever.source}
            </text>
            <rect
              x={x(lever.low.value)}
              y={y + 4}
              width={Math.max(x(lever.high.value) - x(lever.low.value), 2)}
              height={14}
              fill="currentColor"
              opacity={0.3}
            />
            <text x={x(lever.low.value) - 5} y={y + 15} textAnchor="end" fill="var(--chakra-colors-ink2)">
              {write(lever.low, units).value}
            </text>
            <text x={x(lever.high.value) + 5} y={y + 15} fill="var(--chakra-colors-ink2)">
              {write(lever.high, units).value}
            </text>
            <text x={SIZE.width} y={y + 15} textAnchor="end" fill="var(--chakra-colors-ink)" fontWeight={600}>
              {percent(lever.share)}
            </text>
          </g>
        );
      })}
    </Svg>
  );
}

function percent(share: number) {
  return `${Math.round(100 * share)} %`;
}

const Svg = chakra("svg", { base: { width: "100%", display: "block", fontSize: "12.5px" } });
