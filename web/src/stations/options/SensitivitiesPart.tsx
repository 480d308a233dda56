import { Box, chakra } from "@chakra-ui/react";
import { scaleLinear } from "../../shared/scale";

import type { Schemas } from "../../shared/api";
import { write } from "../../shared/figures";
import { colourOf } from "../../shared/marks";
import { Micro, Small } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { PhraseText } from "../../shared/Words";
import { say } from "../../shared/say";

type Sensitivities = Schemas["Sensitivities"];

interface SensitivitiesPartProps {
  sensitivities: Sensitivities;
  series: string;
  letter: string;
}

/** What moves a saving: the inputs whose uncertainties contribute most, and the reading that would narrow it most. */
export function SensitivitiesPart({ sensitivities, series, letter }: SensitivitiesPartProps) {
  return (
    <>
      <Picture sensitivities={sensitivities} series={series} letter={letter} />
      {sensitivities.narrow.length > 0 && (
        <Box>
          <PhraseText phrase={sensitivities.narrow} />
        </Box>
      )}
      {sensitivities.rest > 0.01 && (
        <Small>{say("sensitivities-part-all-other", { percent: percent(sensitivities.rest) })}</Small>
      )}
    </>
  );
}

/** One line to an input: what the saving is at its low end and at its high one, on one scale for all, and its share. */
function Picture({ sensitivities, series, letter }: SensitivitiesPartProps) {
  const { units } = useUnits();
  const ends = sensitivities.largest.flatMap(({ low, high }) => [low.value, high.value]);
  const place = scaleLinear([Math.min(...ends), Math.max(...ends)], [0, 100]);
  return (
    <Box role="group" aria-label={say("sensitivities-part-what-moves", { letter })}>
      {sensitivities.largest.map(({ source, share, low, high }) => {
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
