import { Fits as FitsWords } from "../../generated/labels";
import { Box } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";

import type { Schemas } from "../../shared/api";
import { At } from "../../shared/At";
import type { Statements } from "../../shared/deeds";
import { WordsField } from "../../shared/fields";
import { useFound, useJob } from "../../shared/job";
import { colourOf, InlineMark } from "../../shared/marks";
import { Micro, Press, SeverityWord, Small, TextLine } from "../../shared/parts";
import { Part, Question, Sheet } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { FigureText } from "../../shared/Words";
import { ownZone } from "../../shared/times";
import { WhoField } from "../../shared/WhoField";
import { Withdraw } from "../../shared/Withdraw";
import { Waits } from "../../shared/Working";
import { say } from "../../shared/say";
import { CheckWords } from "../../generated/labels";

type Option = Schemas["CandidateAnswer"];

const COLUMNS = "minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 1fr) 120px";

/** Which option, why, who agreed to what; and the report that a customer reads. */
export function DecisionSheet() {
  const { view } = useJob();
  const { options: told, candidates } = useFound("options", "candidates");
  const options = told.rows.flatMap(({ id }) => candidates.find((one) => one.id === id) ?? []);
  const chosen = view.document.decision?.chosen ?? null;
  return (
    <Sheet station="decision">
      <Part title={say("decision-sheet-which")} sentence={say("decision-sheet-numbers-those")}>
        {options.length === 0 && <Box>{say("decision-sheet-nothing-can", { waits: told.waits })}</Box>}
        {options.length > 0 && (
          <Box display={{ base: "none", md: "grid" }} gridTemplateColumns={COLUMNS} columnGap="14px" px="4px">
            <Micro />
            <Micro>{say("decision-sheet-saves-year")}</Micro>
            <Micro>{say("decision-sheet-payback")}</Micro>
          </Box>
        )}
        {options.map((option) => (
          <Choice key={option.id} option={option} chosen={option.id === chosen} />
        ))}
        {chosen && !options.some((option) => option.id === chosen) && (
          <Box role="alert" color="ochre">
            {say("decision-sheet-what-chosen")}
          </Box>
        )}
      </Part>
      <Question path="decision/why">
        <WordsField path="decision/why" lines={3} />
      </Question>
      <Question path="decision/left_open">
        <WordsField path="decision/left_open" lines={2} />
      </Question>
      <Approvals />
      <ReportPart />
    </Sheet>
  );
}

function Choice({ option, chosen }: { option: Option; chosen: boolean }) {
  const { desk } = useJob();
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr) 110px", md: COLUMNS }}
      gap="2px 14px"
      alignItems="center"
      py="6px"
      borderTop="1px solid"
      borderColor="hair"
      background={chosen ? "desk" : undefined}
      px="4px"
    >
      <Box>
        <Box as="span" color={colourOf(option.series)} fontWeight={600}>
          <InlineMark series={option.series} /> {option.letter}
        </Box>{" "}
        <b>{option.title}</b>
        {option.stop ? (
          <Box fontSize="small">
            <SeverityWord severity="stop" /> {option.stop}
          </Box>
        ) : (
          <Micro display="block">{FitsWords[option.fits]}</Micro>
        )}
      </Box>
      <Told named={say("decision-sheet-saves-year")} option={option} result={option.saved} />
      <Told named={say("option-list-payback")} option={option} result={option.payback} />
      <Press
        type="button"
        aria-pressed={chosen}
        aria-label={
          option.stop && !chosen ? undefined : `${chosen ? "Chosen:" : say("decision-sheet-choose")} ${option.letter}`
        }
        disabled={!!option.stop && !chosen}
        gridColumn={{ base: "2", md: "auto" }}
        gridRow={{ base: "1", md: "auto" }}
        onClick={() => void desk.choose("decision/chosen", chosen ? null : option.id)}
      >
        {chosen
          ? say("decision-sheet-chosen")
          : option.stop
            ? say("decision-sheet-stopped")
            : say("decision-sheet-choose")}
      </Press>
    </Box>
  );
}

/** A figure of an option under its heading, which stands before it on a phone; a stop has said why there is none. */
function Told({ named, option, result }: { named: string; option: Option; result: Schemas["Result"] }) {
  if (option.stop) return <Box display={{ base: "none", md: "block" }} />;
  return (
    <Box fontSize="small" gridColumn={{ base: "1", md: "auto" }}>
      <Micro display={{ base: "inline", md: "none" }}>{named} </Micro>
      {result.figure ? <FigureText figure={result.figure} /> : <Waits result={result} />}
    </Box>
  );
}

/** Approvals that stops ask for, and those that somebody else gave; each recorded by name, and withdrawn by name. */
function Approvals() {
  const { view } = useJob();
  const approvals = view.document.decision?.approvals ?? [];
  const waivers = view.document.options?.waivers ?? [];
  return (
    <Part title={say("decision-sheet-approvals")}>
      {waivers.map((waiver) => {
        const stop = CheckWords[waiver.check ?? ""] ?? "";
        return (
          <Statement key={waiver.id} of="options/waivers" said={waiver} named={say("decision-sheet-answer", { stop })}>
            {say("decision-sheet-stop", { stop })}
            <b>{waiver.who}</b>
            {say("decision-sheet-answers", { reason: waiver.reason })}
            <At at={waiver.at} />
          </Statement>
        );
      })}
      {approvals.map((approval) => (
        <Statement
          key={approval.id}
          of="decision/approvals"
          said={approval}
          named={say("decision-sheet-approval", { of: approval.of ?? say("decision-sheet-it") })}
        >
          <b>{approval.of}</b>: {approval.who}
          {approval.role ? `, ${approval.role}` : ""}
          {approval.by ? say("decision-sheet-recorded", { by: approval.by }) : ""} <At at={approval.at} />
        </Statement>
      ))}
      <Record />
    </Part>
  );
}

interface StatementProps {
  of: Statements;
  said: { id: string; withdrawn?: Schemas["Withdrawal"] | null };
  named: string;
  children: ReactNode;
}

/** One line that somebody said; struck out where it was withdrawn. */
function Statement({ of, said, named, children }: StatementProps) {
  return (
    <Box
      py="4px"
      borderTop="1px solid"
      borderColor="hair"
      display="flex"
      gap="0 14px"
      flexWrap="wrap"
      alignItems="baseline"
      data-statement={of}
    >
      <Box as={said.withdrawn ? "s" : "span"}>{children}</Box>
      <Withdraw of={of} said={said} named={named} />
    </Box>
  );
}

/** Record an approval: of what, who gave it, in which role. */
function Record() {
  const { desk } = useJob();
  const [open, setOpen] = useState(false);
  const [said, setSaid] = useState(NOTHING_SAID);
  if (!open)
    return (
      <Press type="button" mt="6px" onClick={() => setOpen(true)}>
        {say("decision-sheet-record-approval")}
      </Press>
    );
  const record = () =>
    void desk.approve(said.of.trim(), said.who.trim(), said.role.trim()).then(() => {
      setSaid(NOTHING_SAID);
      setOpen(false);
    });
  return (
    <Box pt="6px" data-recording>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1.2fr 1fr 1fr 1fr" }} gap="4px 14px">
        {ASKED.map(({ field, label }) => (
          <Box as="label" key={field} display="block">
            <Small>{label}</Small>
            <TextLine
              width="100%"
              aria-label={say("decision-sheet-approval-2", { label })}
              value={said[field]}
              maxLength={120}
              onChange={(event) => setSaid({ ...said, [field]: event.target.value })}
            />
          </Box>
        ))}
        <WhoField words={say("decision-sheet-recorded-2")} />
      </Box>
      <Press type="button" mt="6px" disabled={!said.of.trim() || !said.who.trim()} onClick={record}>
        {say("decision-sheet-record")}
      </Press>
    </Box>
  );
}

const NOTHING_SAID = { of: "", who: "", role: "" };
const ASKED = [
  { field: "of", label: say("decision-sheet-what") },
  { field: "who", label: say("decision-sheet-who-gave") },
  { field: "role", label: say("decision-sheet-role") },
] as const;

/** The report: for whom, by whom, and out it goes. */
function ReportPart() {
  const { view } = useJob();
  const { units } = useUnits();
  const at = `/api/jobs/${view.id}/report`;
  const zone = encodeURIComponent(ownZone());
  return (
    <Part title={say("decision-sheet-customer-s")} sentence={say("decision-sheet-page-one")}>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} columnGap="20px">
        <Question path="decision/made_for">
          <WordsField path="decision/made_for" />
        </Question>
        <Question path="decision/made_by">
          <WordsField path="decision/made_by" />
        </Question>
      </Box>
      <Box display="flex" gap="8px 20px" flexWrap="wrap" alignItems="center" pt="6px">
        <Out href={`${at}.pdf?zone=${zone}`} name="PDF" />
        <Out href={`${at}.xlsx?units=${units}&zone=${zone}`} name={say("report-page-spreadsheet")} />
        <Out href={`${at}.json?zone=${zone}`} name={say("decision-sheet-numbers-json")} />
        <a href={`/jobs/${view.id}/report`} style={LINK}>
          {say("decision-sheet-view-print")}
        </a>
      </Box>
      <Small>
        {say("decision-sheet-revision", { revision: view.revision })}
        <a href="/firm" style={LINK}>
          {say("decision-sheet-whose-name")}
        </a>
      </Small>
    </Part>
  );
}

const LINK = { minHeight: 44, display: "inline-flex", alignItems: "center" };

function Out({ href, name }: { href: string; name: string }) {
  return (
    <a href={href} download style={LINK}>
      {name}
    </a>
  );
}
