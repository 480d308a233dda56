import { Box } from "@chakra-ui/react";
import { memo, type ReactNode, useEffect } from "react";
import { useLocation } from "react-router";

import type { Finding, Station } from "./api";
import { Explained, ExplainedLabel } from "./Explained";
import { factsOf, QuantityField } from "./fields";
import { unitOf } from "./figures";
import { focusField } from "./focus";
import { useFound } from "./job";
import { NextBar } from "./NextBar";
import { Cap, Micro, Press, SeverityWord, Small, Word } from "./parts";
import { useReadToday } from "./readToday";
import { nextHere, STATIONS } from "./stations";
import { useUnits } from "./units";
import { PhraseText, Standing } from "./Words";
import { say } from "./say";

interface SheetProps {
  station: Station;
  /** Where the cautions of every job stand: before the hand on a station of readings, at the foot of a desk's. */
  standing?: "top" | "foot";
  /** Whether the station's question stands beside its name; not where it is the first field's label. */
  asks?: boolean;
  /** Whether its findings are listed above the work; not where the sheet itself shows them all. */
  listed?: boolean;
  /** What stands at the right of the title: the one thing that can be added here. */
  action?: { label: string; run: () => void; cap?: string };
  /** What stands at the foot in place of the words of what is next. */
  foot?: ReactNode;
  children: ReactNode;
}

/** One station's work: title, what to do next, what to beware of, then the fields in the order of the hands. */
export function Sheet({ station, standing = "top", asks = true, listed = true, action, foot, children }: SheetProps) {
  const { title, question } = STATIONS.find((one) => one.id === station) ?? { title: station, question: "" };
  const found = useFound("findings", "next");
  const findings = found.findings.filter((finding) => listed && finding.station === station && !isSettled(finding));
  const wanted = (useLocation().state as { field?: string } | null)?.field;
  useEffect(() => {
    if (wanted) focusField(wanted);
  }, [wanted]);
  const atFoot = (finding: Finding) => standing === "foot" && finding.standing;
  return (
    <>
      <Box
        display="flex"
        alignItems="center"
        justifyContent="space-between"
        gap="14px"
        minHeight="47px"
        borderBottom="2px solid"
        borderColor="ink"
      >
        <Box display="flex" alignItems="baseline" gap="12px" flexWrap="wrap" py="6px">
          <Box as="h1" fontSize="title" fontWeight={600} tabIndex={-1}>
            {title}
          </Box>
          {asks && (
            <Box as="span" color="ink2">
              {question}
            </Box>
          )}
        </Box>
        {action && (
          <Press type="button" data-add={action.cap ? undefined : true} onClick={action.run} flexShrink={0} my="4px">
            {action.label} <Cap ml="8px">{action.cap ?? "N"}</Cap>
          </Press>
        )}
      </Box>
      <Findings findings={findings.filter((finding) => !atFoot(finding))} />
      {children}
      <Findings findings={findings.filter(atFoot)} />
      <NextBar next={nextHere(found.next, station)} words={foot} />
    </>
  );
}

/** Whether a finding was fixed, or cleared by a test. */
export function isSettled(finding: Finding) {
  return finding.state === "fixed" || finding.state === "cleared";
}

interface PartProps {
  title?: string;
  note?: ReactNode;
  /** What the title is pressed for, and the glossary's code of it where it is a term of the trade. */
  sentence?: ReactNode;
  term?: string;
  children: ReactNode;
}

/** Everything of one thought, under a rule, with its own small title. */
export function Part({ title, note, sentence, term, children }: PartProps) {
  return (
    <Box as="section" borderTop="1px solid" borderColor="rule" pt="8px" pb="14px" aria-label={title}>
      {title && (
        <Box display="flex" justifyContent="space-between" gap="0 14px" pb="4px" flexWrap="wrap" alignItems="center">
          <Box as="h2" fontWeight={600} display="flex" flexWrap="wrap">
            <Explained sentence={sentence} term={term}>
              {title}
            </Explained>
          </Box>
          {note && <Small>{note}</Small>}
        </Box>
      )}
      {children}
    </Box>
  );
}

/** The question of a field with its answer under it; pressed, it says what is meant. */
export function Question({ path, children }: { path: string; children: ReactNode }) {
  return (
    <Box pb="8px" borderBottom="1px solid" borderColor="hair">
      <Box display="flex" flexWrap="wrap" alignItems="center" minHeight="44px" fontWeight={600}>
        <ExplainedLabel path={path} />
      </Box>
      {children}
    </Box>
  );
}

/** A quantity that is asked, with its unit. */
export function AskedQuantity({ path }: { path: string }) {
  const { units, currency } = useUnits();
  const facts = factsOf(path);
  return (
    <Question path={path}>
      <Box
        display="grid"
        gridTemplateColumns="minmax(0, 180px) auto"
        gap="8px"
        alignItems="center"
        justifyContent="start"
      >
        <QuantityField path={path} />
        <Micro>{unitOf(facts.quantity ?? "", units, currency)}</Micro>
      </Box>
    </Question>
  );
}

function Findings({ findings }: { findings: Finding[] }) {
  if (findings.length === 0) return null;
  return (
    <Box pt="6px">
      {findings.map((finding) => (
        <FindingLine key={finding.rule + plainText(finding)} finding={finding} />
      ))}
    </Box>
  );
}

function plainText(finding: Finding) {
  return finding.sentence.map((piece) => (typeof piece === "string" ? piece : piece.value)).join("");
}

const EDGES = {
  note: { borderTop: "1px solid", borderColor: "rule" },
  caution: { borderTop: "2px solid", borderColor: "ochre" },
  stop: { borderTop: "4px solid", borderBottom: "4px solid", borderColor: "brick" },
} as const;

/** A caution of every job that was read today folds to its first line, and opens at a press; it never goes away. */
const FindingLine = memo(function FindingLine({ finding }: { finding: Finding }) {
  const [folded, setFolded] = useReadToday(finding.standing ? finding.rule : null);
  return (
    <Box
      role={finding.severity === "stop" ? "alert" : "note"}
      display="grid"
      gridTemplateColumns={{ base: "1fr", md: "76px minmax(0, 1fr)" }}
      gap="2px 8px"
      py="8px"
      {...EDGES[finding.severity]}
    >
      <Box>
        <SeverityWord severity={finding.severity} />
      </Box>
      <Box minWidth={0} maxWidth="74ch">
        <Box as="span" fontWeight={finding.severity === "note" ? 400 : 600}>
          <PhraseText phrase={finding.sentence} />
        </Box>{" "}
        {!folded && (
          <>
            {finding.action} <Micro>{finding.source}</Micro>
          </>
        )}{" "}
        {finding.standing && (
          <Word type="button" mx="0" px="4px" my="-12px" aria-expanded={!folded} onClick={() => setFolded(!folded)}>
            {folded ? say("sheet-all") : say("sheet-read")}
          </Word>
        )}
      </Box>
    </Box>
  );
});

/** What the lines under figures mean; stands at the foot of a sheet with figures. */
export function StandingKey() {
  const kinds = ["measured", "plate", "estimated", "assumed"] as const;
  return (
    <Box display="flex" gap="4px 16px" flexWrap="wrap" alignItems="baseline" pt="8px" fontSize="small" color="ink2">
      <Explained
        sentence={
          <Box as="span" display="inline-flex" gap="4px 16px" flexWrap="wrap">
            {kinds.map((kind) => (
              <Standing key={kind} basis={kind} color="ink" fontWeight={400}>
                {kind}
              </Standing>
            ))}
            <span>{say("sheet-worked-out")}</span>
          </Box>
        }
      >
        {say("sheet-lines-under")}
      </Explained>
    </Box>
  );
}
