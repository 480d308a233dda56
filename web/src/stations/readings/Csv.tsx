import { Box, chakra } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { memo, useRef, useState } from "react";

import { fields } from "../../generated/fields";
import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { FilePress, Micro, Press, Small } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { ownZone } from "../../shared/times";
import { say } from "../../shared/say";

const LOOK_AFTER_MS = 250;

type Proposal = Schemas["CsvProposal"];

const FIELDS = Object.entries(fields)
  .filter(([name]) => name.startsWith("readings/*/"))
  .map(([name, facts]) => ({ field: name.slice("readings/*/".length), label: facts.label }));

/** Sets out as CSV; sets in by paste or file: headings mapped, units to a column, bad rows listed, then confirmed. */
export const Csv = memo(function Csv() {
  const { desk, view } = useJob();
  const { units } = useUnits();
  const [text, setText] = useState("");
  const [mapping, setMapping] = useState<Record<string, string>>({});
  const [unitsOf, setUnitsOf] = useState<Record<string, string>>({});
  const timer = useRef(0);
  const file = { text, mapping, units_of: unitsOf, units, zone: ownZone() };
  const look = useMutation<Proposal, Refused, Schemas["CsvIn"]>({
    onSuccess: (found) => setProposal(found),
    mutationFn: (wanted) =>
      taken(api.POST("/api/jobs/{job_id}/readings-csv/look", { params: { path: { job_id: view.id } }, body: wanted })),
  });
  // A mapping that is refused leaves the table standing, so that it can be put right.
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const lookAgain = (next: Partial<typeof file>) => {
    if (next.text !== undefined) setText(next.text);
    if (next.mapping) setMapping(next.mapping);
    if (next.units_of) setUnitsOf(next.units_of);
    const wanted = { ...file, ...next };
    window.clearTimeout(timer.current);
    if (wanted.text.trim()) timer.current = window.setTimeout(() => look.mutate(wanted), LOOK_AFTER_MS);
    else forget();
  };
  const forget = () => {
    look.reset();
    setProposal(null);
  };
  const takeIn = async () => {
    await desk.takeCsv(file);
    setText("");
    forget();
  };
  return (
    <>
      <Box display="flex" gap="20px" flexWrap="wrap" alignItems="center">
        <a
          href={`/api/jobs/${view.id}/readings.csv?zone=${encodeURIComponent(ownZone())}`}
          download
          style={{ minHeight: 44, display: "inline-flex", alignItems: "center" }}
        >
          {say("csv-take-sets")}
        </a>
        <FilePress>
          {say("csv-bring-csv")}
          <input
            type="file"
            accept=".csv,text/csv,text/plain"
            aria-label={say("csv-csv-file")}
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) void chosen.text().then((read) => lookAgain({ text: read }));
            }}
          />
        </FilePress>
      </Box>
      <Paste
        aria-label={say("csv-csv-text")}
        rows={3}
        placeholder={say("csv-paste-rows")}
        value={text}
        onChange={(event) => lookAgain({ text: event.target.value })}
      />
      {look.error && (
        <Box role="alert" color="brick">
          {look.error.message}
        </Box>
      )}
      {proposal && (
        <>
          <Box
            display="grid"
            gridTemplateColumns="minmax(0,1fr) minmax(0,1.4fr) 90px minmax(0,1fr)"
            gap="4px 10px"
            alignItems="center"
            pt="8px"
          >
            {[say("csv-heading"), say("csv-stands-for"), say("csv-head-unit"), say("csv-first-value")].map((name) => (
              <Micro key={name}>{name}</Micro>
            ))}
            {proposal.columns.map((column) => (
              <Box key={column.heading} display="contents">
                <span>{column.heading}</span>
                <Pick
                  aria-label={say("csv-stands", { heading: column.heading })}
                  value={mapping[column.heading] ?? column.field}
                  onChange={(event) => lookAgain({ mapping: { ...mapping, [column.heading]: event.target.value } })}
                >
                  <option value="">{say("csv-leave-out")}</option>
                  {FIELDS.map(({ field, label }) => (
                    <option key={field} value={field}>
                      {label}
                    </option>
                  ))}
                </Pick>
                <Unit
                  aria-label={say("csv-unit", { heading: column.heading })}
                  value={unitsOf[column.heading] ?? column.unit}
                  onChange={(event) => setUnitsOf({ ...unitsOf, [column.heading]: event.target.value })}
                  onBlur={() => lookAgain({})}
                />
                <Micro>{column.sample}</Micro>
              </Box>
            ))}
          </Box>
          {proposal.unknown.length > 0 && (
            <Box color="ochre" pt="4px">
              {say("csv-recognised-say", { unknown: proposal.unknown.join(", ") })}
            </Box>
          )}
          {proposal.bad.map((row) => (
            <Box key={row.line} data-bad-row>
              <b>{say("csv-line", { line: row.line })}</b>
              {say("csv-cannot-taken", { reason: row.reason })}
            </Box>
          ))}
          <Press type="button" mt="6px" disabled={proposal.good === 0 || look.isError} onClick={() => void takeIn()}>
            {say("csv-take", { good: proposal.good, good2: proposal.good === 1 ? say("csv-set") : say("csv-sets") })}
          </Press>{" "}
          <Small>{say("csv-nothing-taken")}</Small>
        </>
      )}
    </>
  );
});

const Paste = chakra("textarea", {
  base: { width: "100%", border: "1px solid", borderColor: "rule", background: "paper", p: "6px", fontSize: "small" },
});
const Pick = chakra("select", {
  base: { minHeight: "44px", width: "100%", border: "1px solid", borderColor: "rule", background: "paper", px: "4px" },
});
const Unit = chakra("input", {
  base: {
    minHeight: "44px",
    width: "100%",
    border: 0,
    borderBottom: "2px solid",
    borderColor: "rule",
    background: "transparent",
  },
});
