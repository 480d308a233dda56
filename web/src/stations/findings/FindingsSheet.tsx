import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";

import { useFound, useJob } from "../../shared/job";
import { isSettled, Part, Sheet } from "../../shared/Sheet";
import { FindingRow } from "./FindingRow";
import { CausesPart } from "./CausesPart";
import { ProcedurePart } from "./ProcedurePart";
import { say } from "../../shared/say";

/** What is wrong, and what proves it: the procedure of checks, the ranked causes, and every finding with its proof. */
export function FindingsSheet() {
  const { view } = useJob();
  const { findings, procedures } = useFound("findings", "procedures");
  const own = findings.filter((finding) => !finding.standing);
  const found = own.filter((finding, index) => own.findIndex((other) => other.key === finding.key) === index);
  const repair = found.filter((finding) => finding.repair && !isSettled(finding));
  const dead = view.document.call?.reason === "dead";
  return (
    <Sheet station="findings" listed={false}>
      {repair.length > 0 && (
        <Box py="8px" borderBottom="1px solid" borderColor="rule" data-repair-first>
          <b>{say("findings-sheet-repair-first")}</b>
          {say("findings-sheet-put-right", {
            repair:
              repair.length === 1
                ? say("findings-sheet-one-finding")
                : say("findings-sheet-findings", { repair: repair.length }),
          })}
        </Box>
      )}
      {procedures.map((procedure) => (
        <ProcedurePart key={procedure.title} procedure={procedure} />
      ))}
      {!(dead && (view.document.readings ?? []).length === 0) && <CausesPart others={found.length > 0} />}
      <Part title={say("findings-sheet-findings-2")} note={found.length ? say("findings-sheet-open-one") : undefined}>
        {found.length === 0 && <Box py="6px">{say("findings-sheet-nothing-found")}</Box>}
        {found.map((finding) => (
          <FindingRow key={finding.key} finding={finding} />
        ))}
      </Part>
      <RulesLink to="/rules">{say("findings-sheet-every-rule")}</RulesLink>
    </Sheet>
  );
}

const RulesLink = chakra(Link, {
  base: {
    minHeight: "44px",
    display: "inline-flex",
    alignItems: "center",
    fontSize: "small",
    textUnderlineOffset: "3px",
  },
});
