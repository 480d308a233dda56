import { BasisWords } from "../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useEffect } from "react";
import { useParams } from "react-router";

import { TopLine } from "../app/TopLine";
import { api, type Phrase, type Refused, type Schemas, taken } from "../shared/api";
import { BalanceChart } from "../shared/BalanceChart";
import { Micro, Press } from "../shared/parts";
import { Stops } from "../shared/Stops";
import { PageOne } from "./PageOne";
import { UnitsProvider } from "../shared/units";
import { PhraseText } from "../shared/Words";
import { ownZone } from "../shared/times";
import { say } from "../shared/say";

type Report = Schemas["Report"];
type Line = Schemas["OptionLine"];

/** The report as one page to print: what a customer asks first, without the workings. */
export function ReportPage() {
  const params = useParams();
  const id = Number(params.jobId);
  const signed = params.number ? Number(params.number) : null;
  const report = useQuery<Report, Refused>({
    queryKey: ["report", id, signed],
    queryFn: () =>
      signed === null
        ? taken(api.GET("/api/jobs/{job_id}/report", { params: { path: { job_id: id }, query: { zone: ownZone() } } }))
        : taken(
            api.GET("/api/jobs/{job_id}/signed/{number}/report", {
              params: { path: { job_id: id, number: signed } },
            }),
          ),
    gcTime: 0,
  });
  useEffect(() => {
    document.title = say("report-page-report-modest");
  }, []);
  return (
    <>
      <Box data-screen-only>
        <TopLine
          trail={[
            { label: say("report-page-board"), to: "/" },
            signed === null
              ? { label: say("report-page-decision"), to: `/jobs/${id}/decision` }
              : { label: say("report-page-proof"), to: `/jobs/${id}/proof` },
            { label: signed === null ? say("report-page-report") : say("report-page-signed", { signed }) },
          ]}
        />
      </Box>
      <Page id="main">
        {report.error && <Box role="alert">{report.error.message}</Box>}
        {report.data && (
          <UnitsProvider units={report.data.units} currency={report.data.currency ?? null}>
            {signed !== null && <SignedLine id={id} number={signed} report={report.data} />}
            <Body report={report.data} job={signed === null ? id : null} />
          </UnitsProvider>
        )}
      </Page>
    </>
  );
}

/** What was signed is told as it was then; the files are made from it, whatever changed since. */
function SignedLine({ id, number, report }: { id: number; number: number; report: Report }) {
  const at = `/api/jobs/${id}/signed/${number}/report`;
  const since = useQuery<readonly Phrase[], Refused>({
    queryKey: ["since signed", id, number],
    queryFn: () =>
      taken(api.GET("/api/jobs/{job_id}/signed/{number}/since", { params: { path: { job_id: id, number } } })),
  });
  return (
    <Box borderTop="2px solid" borderBottom="2px solid" borderColor="ink" py="6px" mb="8px">
      <b>{say("report-page-signed-off", { signed: report.proof?.signed })}</b>
      {say("report-page-later-changes")}
      <Box as="span" data-screen-only>
        <a href={`${at}.pdf`} download>
          {say("report-page-pdf")}
        </a>{" "}
        <a href={`${at}.xlsx`} download>
          {say("report-page-spreadsheet")}
        </a>{" "}
        <a href={`${at}.json`} download>
          {say("report-page-json")}
        </a>
      </Box>
      {(since.data ?? []).map((phrase, index) => (
        <Box key={index} py="2px">
          <PhraseText phrase={phrase} />
        </Box>
      ))}
    </Box>
  );
}

function Body({ report, job }: { report: Report; job: number | null }) {
  return (
    <>
      <Box display="flex" justifyContent="space-between" gap="14px" alignItems="baseline" flexWrap="wrap">
        <Box as="h1" fontSize="title" fontWeight={600}>
          {report.title}
        </Box>
        <Press type="button" data-screen-only onClick={() => window.print()}>
          {say("report-page-print")}
        </Press>
      </Box>
      <Micro display="block" pb="6px">
        {[
          report.site,
          report.made_for && say("report-page-made-for", { who: report.made_for }),
          report.made_by && `by ${report.made_by}`,
          report.date,
          say("panel-card-revision", { revision: report.revision }),
          `Modest Rotor ${report.program_version}`,
        ]
          .filter(Boolean)
          .join(" · ")}
      </Micro>
      <Stops stops={report.stops ?? []} />
      {report.summary && <PageOne summary={report.summary} job={job} />}
      {report.summary && (
        <Box as="h2" fontSize="title" fontWeight={600} pt="14px" css={NEXT_PAGE}>
          {say("report-page-engineer")}
        </Box>
      )}
      <Section title={say("report-page-recommendation")} lines={report.recommendation} />
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="0 24px">
        <Facts title={say("report-page-machine")} facts={report.machine} />
        <Facts title={say("report-page-what-measured")} facts={report.measured} />
      </Box>
      {report.found.length > 0 && <Section title={say("report-page-what-found")} lines={report.found} />}
      <Options options={report.options} />
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "360px 1fr" }} gap="0 24px" css={KEEP}>
        <Box as="section" aria-label={say("report-page-balance")}>
          <Head>{say("report-page-where-machine")}</Head>
          <Balance report={report} />
        </Box>
        <Section title={say("report-page-cautions")} lines={report.cautions} small />
      </Box>
      <Section
        title={say("report-page-assumed-measured")}
        lines={[[`${report.assumed.join(", ") || say("report-page-nothing")}.`], [report.uncertainties]]}
        small
      />
      {report.proof && <ProofPart proof={report.proof} />}
      {report.approvals.length > 0 && (
        <Section title={say("report-page-approvals")} lines={report.approvals.map((one) => [one])} small />
      )}
    </>
  );
}

function Balance({ report }: { report: Report }) {
  const { balance, balance_step: step } = report;
  const points = balance.points.filter((point) => point.group === step || point.group === "sets");
  const curves = balance.curves.filter((curve) => curve.kind === "system" || curve.id === "found");
  return (
    <BalanceChart
      flowQuantity={balance.flow_quantity}
      pressureQuantity={balance.pressure_quantity}
      curves={curves}
      points={points}
      waits={balance.waits}
    />
  );
}

function Head({ children }: { children: string }) {
  return (
    <Box as="h2" fontWeight={600} pt="8px" borderTop="1px solid" borderColor="rule">
      {children}
    </Box>
  );
}

function Section({ title, lines, small }: { title: string; lines: readonly Phrase[]; small?: boolean }) {
  return (
    <Box as="section" aria-label={title} pb="8px">
      <Head>{title}</Head>
      {lines.map((line, index) => (
        <Box key={index} fontSize={small ? "small" : "text"} pt="2px">
          <PhraseText phrase={line} />
        </Box>
      ))}
    </Box>
  );
}

function Facts({ title, facts }: { title: string; facts: readonly Schemas["Fact"][] }) {
  return (
    <Box as="section" aria-label={title} pb="8px">
      <Head>{title}</Head>
      {facts.map((fact) => (
        <Box
          key={fact.label}
          display="grid"
          gridTemplateColumns="150px 1fr"
          fontSize="small"
          borderBottom="1px solid"
          borderColor="hair"
        >
          <Box color="ink2">{fact.label}</Box>
          <Box>
            <PhraseText phrase={fact.value} /> <Micro>{BasisWords[fact.basis]}</Micro>
          </Box>
        </Box>
      ))}
    </Box>
  );
}

const ROWS: readonly { label: string; of: (line: Line) => Phrase }[] = [
  {
    label: say("report-page-may-fitted"),
    of: (line) => [line.stop ? say("report-page-stop", { stop: line.stop }) : line.fits],
  },
  { label: say("report-page-moves"), of: (line) => line.flow },
  { label: say("report-page-draws"), of: (line) => line.watts },
  { label: say("report-page-energy-per"), of: (line) => line.energy },
  { label: say("report-page-saves-year"), of: (line) => line.saved },
  { label: say("report-page-money"), of: (line) => line.money },
  { label: say("report-page-costs-fitted"), of: (line) => line.cost },
  { label: say("report-page-simple-payback"), of: (line) => line.payback },
  { label: say("report-page-can-here"), of: (line) => line.soon },
];

function Options({ options }: { options: readonly Line[] }) {
  return (
    <Box as="section" aria-label={say("report-page-options")} pb="8px" overflowX="auto" css={KEEP} tabIndex={0}>
      <Head>{say("report-page-options")}</Head>
      <Box as="table" width="100%" borderCollapse="collapse" css={TABLE}>
        <thead>
          <tr>
            <td />
            {options.map((line) => (
              <th key={line.letter}>
                {line.letter} {line.title}
                {line.chosen ? say("report-page-chosen") : ""}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ROWS.map((row) => (
            <tr key={row.label}>
              <td>{row.label}</td>
              {options.map((line) => (
                <td key={line.letter}>
                  <PhraseText phrase={row.of(line)} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

const PROOF_ROWS: readonly { label: string; of: (line: Schemas["ProofLine"]) => Phrase }[] = [
  { label: say("report-page-hours-year"), of: (line) => line.hours },
  { label: say("report-page-read-before"), of: (line) => line.before },
  { label: say("report-page-put-right"), of: (line) => line.same_flow },
  { label: say("report-page-read-after"), of: (line) => line.after },
  { label: say("report-page-promised"), of: (line) => line.promised },
  { label: say("report-page-saved"), of: (line) => line.saved },
  { label: say("report-page-flow-after"), of: (line) => line.flow },
];

function ProofPart({ proof }: { proof: NonNullable<Report["proof"]> }) {
  return (
    <Box as="section" aria-label={say("report-page-proof")} pb="8px" css={KEEP}>
      <Head>{say("report-page-proof-2", { option: proof.option, verdict: proof.verdict })}</Head>
      <Box pt="2px">
        <PhraseText phrase={proof.sentence} />
      </Box>
      <Box as="table" borderCollapse="collapse" css={TABLE}>
        <thead>
          <tr>
            <td />
            {proof.lines.map((line) => (
              <th key={line.name}>{line.name}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {PROOF_ROWS.map((row) => (
            <tr key={row.label}>
              <td>{row.label}</td>
              {proof.lines.map((line) => (
                <td key={line.name}>
                  <PhraseText phrase={row.of(line)} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
      {proof.besides.map((line, index) => (
        <Box key={index} fontSize="small">
          <PhraseText phrase={line} />
        </Box>
      ))}
      <Box fontSize="small">
        {proof.signed ? say("report-page-signed-off-2", { signed: proof.signed }) : say("report-page-signed-off-yet")}
      </Box>
    </Box>
  );
}

const KEEP = { breakInside: "avoid" };
const NEXT_PAGE = { breakBefore: "page" };
const TABLE = {
  "& th": { textAlign: "left", fontSize: "small", pr: "10px", verticalAlign: "bottom" },
  "& td": {
    fontSize: "small",
    pr: "10px",
    py: "2px",
    borderTop: "1px solid",
    borderColor: "hair",
    verticalAlign: "top",
  },
  "& td:first-of-type": { color: "ink2", whiteSpace: "nowrap" },
};
const Page = chakra("main", {
  base: {
    maxWidth: "980px",
    px: { base: "14px", lg: "20px" },
    py: "10px",
    "@media print": { maxWidth: "none", px: 0, py: 0, fontSize: "11px", zoom: 0.72 },
  },
});
