import { Box, chakra } from "@chakra-ui/react";
import { scaleLinear } from "d3-scale";
import { Link } from "react-router";

import type { Schemas } from "../../shared/api";
import { inUnits, unitOf } from "../../shared/figures";
import { useJob } from "../../shared/job";
import { colourOf, InlineMark } from "../../shared/marks";
import { Micro, SeverityWord, Small } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { useIsWide } from "../../shared/width";
import { FigureText, PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";

type Short = Schemas["ShortAnswer"];
type Candidate = Schemas["Candidate"];

const MOST = 6;
const BAR = 22;
const AXIS_FROM = 1101;

/** The candidates by what they save, as ranges on one axis; the chosen one and the base are always among them. */
export function Candidates({ short }: { short: Short }) {
  const { view } = useJob();
  const { units, currency } = useUnits();
  const shown = short.candidates.filter((one, index) => index < MOST || one.chosen || one.is_base);
  const more = short.candidates.length - shown.length;
  const ends = shown
    .flatMap(({ saved }) => (saved.figure ? endsOf(saved.figure) : []))
    .map((kwh) => inUnits("energy", kwh, units));
  const x = scaleLinear([Math.min(0, ...ends), Math.max(1, ...ends)], [2, 98]).nice(4);
  return (
    <Box as="section" aria-label="What each saves" borderTop="2px solid" borderColor="ink" mt="10px">
      <Row as="div" data-head>
        <Box gridColumn={{ base: "1 / -1", lg: "1 / 3" }} pr={{ lg: "30px" }}>
          <b>What each saves</b>, {unitOf("energy", units, currency)} a year <Micro>against {short.base}</Micro>
        </Box>
        <Box
          position="relative"
          height={`${BAR}px`}
          gridColumn={{ base: "1 / -1", lg: "auto" }}
          fontSize="small"
          color="ink2"
        >
          {x.ticks(4).map((tick, place, { length }) => (
            <Box
              key={tick}
              position="absolute"
              left={`${x(tick)}%`}
              // On a phone the axis is as wide as the page: its ends stand inside.
              transform={{ base: `translateX(${inside(place, length)}%)`, lg: "translateX(-50%)" }}
            >
              {tick.toLocaleString("en-US").replace("-", "−")}
            </Box>
          ))}
        </Box>
        <Head>saves</Head>
        <Head>fitted, {unitOf("cost", units, currency)}</Head>
        <Head>payback, years</Head>
        <Head left>gives up</Head>
      </Row>
      {shown.map((one) => (
        <CandidateRow key={one.id} one={one} x={x} />
      ))}
      <Box py="8px" display="flex" gap="4px 18px" flexWrap="wrap" alignItems="baseline">
        <Box data-differences>
          <PhraseText phrase={short.differences ?? []} />
        </Box>
        <Box as="span" ml="auto" fontSize="small" minHeight="44px" display="inline-flex" alignItems="center">
          <Link to={`/jobs/${view.id}/options`}>{more ? `${more} more in Options` : "side by side in Options"}</Link>
        </Box>
      </Box>
    </Box>
  );
}

function inside(place: number, length: number): number {
  if (place === 0) return -5;
  return place === length - 1 ? -95 : -50;
}

function endsOf(figure: Schemas["Figure"]): [number, number] {
  const band = figure.band ?? 0;
  return [figure.low ?? figure.value - band, figure.high ?? figure.value + band];
}

function CandidateRow({ one, x }: { one: Candidate; x: (value: number) => number }) {
  const { units } = useUnits();
  const name = `short-saved-${one.id}`;
  return (
    <>
      <Row as="div" data-candidate={one.letter} chosen={one.chosen ? "yes" : undefined}>
        <Box color={colourOf(one.series)} fontWeight={600} whiteSpace="nowrap">
          <InlineMark series={one.series} /> {one.letter}
        </Box>
        <Box minWidth={0} fontWeight={one.chosen ? 600 : 400}>
          {one.title}
          {one.chosen && <Micro color="ink"> chosen</Micro>}
          {one.asks && (
            <Micro display="block" fontWeight={400}>
              fit not known: {one.asks.replace(/\?$/, "").toLowerCase()}
            </Micro>
          )}
          {one.stop && (
            <Box fontSize="small">
              <SeverityWord severity="stop" />
            </Box>
          )}
        </Box>
        <Box gridColumn={{ base: "1 / -1", lg: "auto" }} order={{ base: 3, lg: 0 }}>
          <Bar one={one} x={(kwh) => x(inUnits("energy", kwh, units))} />
        </Box>
        <Cell data-saves order={{ base: 2, lg: 0 }}>
          {one.is_base ? (
            <Micro fontStyle="italic">yardstick</Micro>
          ) : one.stop ? (
            <Micro fontStyle="italic">not worked out</Micro>
          ) : (
            <WorkedFigure name={name} result={one.saved} unit={false} />
          )}
        </Cell>
        <Cell order={{ base: 4, lg: 0 }} gridColumn={{ base: "1 / 3", lg: "auto" }}>
          {one.cost ? <FigureText figure={one.cost} unit={false} /> : <Micro>–</Micro>}
        </Cell>
        <Cell order={{ base: 5, lg: 0 }} textAlign="right">
          {one.payback.figure ? (
            <>
              <Micro display={{ base: "inline", lg: "none" }}>back in </Micro>
              <WorkedFigure name={`short-payback-${one.id}`} result={one.payback} unit={false} />
              <Micro display={{ base: "inline", lg: "none" }}> years</Micro>
            </>
          ) : one.stop || one.is_base ? null : (
            <Micro fontStyle="italic">
              <PhraseText phrase={one.payback.waits ?? []} />
            </Micro>
          )}
        </Cell>
        <Box gridColumn={{ base: "1 / -1", lg: "auto" }} order={{ base: 6, lg: 0 }} fontSize="small" color="ink2">
          {one.stop ?? one.cannot}
        </Box>
      </Row>
      <WorkingPanel name={name} result={one.saved} />
      <WorkingPanel name={`short-payback-${one.id}`} result={one.payback} />
    </>
  );
}

/** A band and its value on the axis of all; hatched where nothing was worked out, a stroke at nought for the yardstick. */
function Bar({ one, x }: { one: Candidate; x: (kwh: number) => number }) {
  const { saved } = one;
  const reach = useIsWide(AXIS_FROM) ? BAR / 2 + 3 : 0; // on a phone words stand above and below the bar
  const zero = `${x(0)}%`;
  const middle = BAR / 2;
  return (
    <svg width="100%" height={BAR} style={{ overflow: "visible", display: "block" }} aria-hidden>
      <line x1={zero} x2={zero} y1={-reach} y2={BAR + reach} stroke="var(--chakra-colors-rule)" />
      <g style={{ color: `var(--chakra-colors-${colourOf(one.series)})` }}>
        {saved.figure && (
          <>
            <rect
              x={`${x(endsOf(saved.figure)[0])}%`}
              width={`${Math.max(x(endsOf(saved.figure)[1]) - x(endsOf(saved.figure)[0]), 0.5)}%`}
              y={middle - 7}
              height={14}
              fill="currentColor"
              opacity={0.26}
            />
            <line
              x1={`${x(saved.figure.value)}%`}
              x2={`${x(saved.figure.value)}%`}
              y1={middle - 9}
              y2={middle + 9}
              stroke="currentColor"
              strokeWidth={3}
            />
          </>
        )}
        {one.is_base && (
          <line x1={zero} x2={zero} y1={middle - 9} y2={middle + 9} stroke="currentColor" strokeWidth={3} />
        )}
      </g>
    </svg>
  );
}

function Head({ left = false, children }: { left?: boolean; children: React.ReactNode }) {
  return (
    <Small display={{ base: "none", lg: "block" }} textAlign={left ? "left" : "right"}>
      {children}
    </Small>
  );
}

const Cell = chakra("div", {
  base: { textAlign: { base: "left", lg: "right" }, minWidth: 0, "&[data-saves]": { textAlign: "right" } },
});

const Row = chakra("div", {
  base: {
    display: "grid",
    gridTemplateColumns: {
      base: "44px minmax(0, 1fr) auto",
      lg: "48px minmax(0, 1.15fr) minmax(170px, 1.2fr) 122px 104px 108px minmax(0, 1.35fr)",
    },
    gap: { base: "2px 10px", lg: "0 14px" },
    alignItems: "center",
    minHeight: "50px",
    py: "4px",
    borderBottom: "1px solid",
    borderColor: "hair",
    "&[data-head]": { minHeight: "30px", borderColor: "ink" },
  },
  variants: { chosen: { yes: { background: "desk", borderBottom: "3px solid", borderColor: "ink" } } },
});
