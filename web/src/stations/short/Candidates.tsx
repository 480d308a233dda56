import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";

import type { Schemas } from "../../shared/api";
import { unitOf } from "../../shared/figures";
import { useFound, useJob } from "../../shared/job";
import { colourOf, InlineMark } from "../../shared/marks";
import { Micro, SeverityWord, Small } from "../../shared/parts";
import { AxisTicks, BAR, SavingBar, type SavingsAxis, savingsAxis } from "../../shared/savings";
import { useUnits } from "../../shared/units";
import { useIsWide } from "../../shared/width";
import { FigureText, PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { say } from "../../shared/say";
import { unasked } from "../../shared/casing";

type Candidate = Schemas["CandidateAnswer"];

const MOST = 6;
const AXIS_FROM = 1101;

/** The candidates by what they save, as ranges on one axis; the chosen one and the base are always among them. */
export function Candidates({ base }: { base: string }) {
  const { view } = useJob();
  const { candidates, differences } = useFound("candidates", "differences");
  const { units, currency } = useUnits();
  const shown = candidates.filter((one, index) => index < MOST || one.chosen || one.is_base);
  const more = candidates.length - shown.length;
  const wide = useIsWide(AXIS_FROM);
  const axis = savingsAxis(
    shown.map(({ saved }) => saved.figure),
    units,
  );
  return (
    <Box as="section" aria-label={say("candidates-what-each")} borderTop="2px solid" borderColor="ink" mt="10px">
      <Row as="div" data-head>
        <Box gridColumn={{ base: "1 / -1", lg: "1 / 3" }} pr={{ lg: "30px" }}>
          <b>{say("candidates-what-each")}</b>
          {say("candidates-year", { unitOf: unitOf("energy", units, currency) })}
          <Micro>{say("candidates-against", { base })}</Micro>
        </Box>
        <Box
          position="relative"
          height={`${BAR}px`}
          gridColumn={{ base: "1 / -1", lg: "auto" }}
          fontSize="small"
          color="ink2"
        >
          <AxisTicks axis={axis} ends={wide ? "middle" : "inside"} />
        </Box>
        <Head>{say("candidates-saves")}</Head>
        <Head>{say("candidates-fitted", { unitOf: unitOf("cost", units, currency) })}</Head>
        <Head>{say("candidates-payback-years")}</Head>
        <Head left>{say("candidates-limits")}</Head>
      </Row>
      {shown.map((one) => (
        <CandidateRow key={one.id} one={one} axis={axis} reach={wide ? BAR / 2 + 3 : 0} />
      ))}
      <Box py="8px" display="flex" gap="4px 18px" flexWrap="wrap" alignItems="baseline">
        <Box data-differences>
          <PhraseText phrase={differences} />
        </Box>
        <Box as="span" ml="auto" fontSize="small" minHeight="44px" display="inline-flex" alignItems="center">
          <Link to={`/jobs/${view.id}/options`}>
            {more ? say("candidates-more-options", { more }) : say("candidates-side-side")}
          </Link>
        </Box>
      </Box>
    </Box>
  );
}

interface CandidateRowProps {
  one: Candidate;
  axis: SavingsAxis;
  reach: number;
}

function CandidateRow({ one, axis, reach }: CandidateRowProps) {
  const name = `short-saved-${one.id}`;
  return (
    <>
      <Row as="div" data-candidate={one.letter} chosen={one.chosen ? "yes" : undefined}>
        <Box color={colourOf(one.series)} fontWeight={600} whiteSpace="nowrap">
          <InlineMark series={one.series} /> {one.letter}
        </Box>
        <Box minWidth={0} fontWeight={one.chosen ? 600 : 400}>
          {one.title}
          {one.chosen && <Micro color="ink">{say("candidates-chosen")}</Micro>}
          {one.asks && (
            <Micro display="block" fontWeight={400}>
              {say("candidates-fit-known", { asks: unasked(one.asks) })}
            </Micro>
          )}
          {one.stop && (
            <Box fontSize="small">
              <SeverityWord severity="stop" />
            </Box>
          )}
        </Box>
        <Box gridColumn={{ base: "1 / -1", lg: "auto" }} order={{ base: 3, lg: 0 }}>
          <SavingBar one={one} axis={axis} reach={reach} />
        </Box>
        <Cell data-saves order={{ base: 2, lg: 0 }}>
          {one.is_base ? (
            <Micro fontStyle="italic">{say("candidates-baseline")}</Micro>
          ) : one.stop ? (
            <Micro fontStyle="italic">{say("candidates-worked-out")}</Micro>
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
              <Micro display={{ base: "inline", lg: "none" }}>{say("candidates-back")}</Micro>
              <WorkedFigure name={`short-payback-${one.id}`} result={one.payback} unit={false} />
              <Micro display={{ base: "inline", lg: "none" }}>{say("candidates-years")}</Micro>
            </>
          ) : one.stop || one.is_base ? null : (
            <Micro fontStyle="italic">
              <PhraseText phrase={one.payback.waits ?? []} />
            </Micro>
          )}
        </Cell>
        <Box gridColumn={{ base: "1 / -1", lg: "auto" }} order={{ base: 6, lg: 0 }} fontSize="small" color="ink2">
          {one.stop ?? one.limit}
        </Box>
      </Row>
      <WorkingPanel name={name} result={one.saved} />
      <WorkingPanel name={`short-payback-${one.id}`} result={one.payback} />
    </>
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
