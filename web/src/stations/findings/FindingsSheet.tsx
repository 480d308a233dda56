import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";

import { useFound, useJob } from "../../shared/job";
import { isSettled, Part, Sheet } from "../../shared/Sheet";
import { FindingRow } from "./FindingRow";
import { CausesPart } from "./CausesPart";
import { WayPart } from "./WayPart";

/** What is wrong, and what proves it: the way of checks, the ranked causes, and every finding with its proof. */
export function FindingsSheet() {
  const { view } = useJob();
  const { findings, ways } = useFound("findings", "ways");
  const own = findings.filter((finding) => !finding.standing);
  const found = own.filter((finding, index) => own.findIndex((other) => other.key === finding.key) === index);
  const repair = found.filter((finding) => finding.repair && !isSettled(finding));
  const dead = view.document.call?.reason === "dead";
  return (
    <Sheet station="findings" listed={false}>
      {repair.length > 0 && (
        <Box py="8px" borderBottom="1px solid" borderColor="rule" data-repair-first>
          <b>Repair first.</b> {repair.length === 1 ? "One finding is" : `${repair.length} findings are`} put right
          before any replacement is thought of: what is judged now would be judged wrongly.
        </Box>
      )}
      {ways.map((way) => (
        <WayPart key={way.title} way={way} />
      ))}
      {!(dead && (view.document.readings ?? []).length === 0) && <CausesPart others={found.length > 0} />}
      <Part title="Findings" note={found.length ? "open one for its evidence and its proof" : undefined}>
        {found.length === 0 && <Box py="6px">Nothing was found, as far as these readings go.</Box>}
        {found.map((finding) => (
          <FindingRow key={finding.key} finding={finding} />
        ))}
      </Part>
      <RulesLink to="/rules">every rule</RulesLink>
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
