import { Meter as MeterWords } from "../generated/labels";
import { Box } from "@chakra-ui/react";

import type { Schemas } from "../shared/api";
import { Press, Small } from "../shared/parts";
import { WhoField } from "../shared/WhoField";
import { capital } from "./words";

interface RecordProps {
  record: Schemas["Record"] | undefined;
  hunts: Schemas["NextHunt"] | undefined;
}

/** What was said rightly and what is still mistaken, topic by topic; the hunts that ended; results for a class. */
export function RecordSheet({ record, hunts }: RecordProps) {
  return (
    <>
      <Box py="8px" maxWidth="420px">
        <WhoField words="the record of" />
      </Box>
      <Box as="table" width="100%" borderCollapse="collapse" css={TABLE}>
        <thead>
          <tr>
            <th>topic</th>
            <th>said rightly</th>
            <th>still mistaken</th>
          </tr>
        </thead>
        <tbody>
          {record?.topics
            .filter((line) => line.asked > 0)
            .map((line) => (
              <tr key={line.topic} data-topic={line.topic}>
                <td>{capital(line.topic)}</td>
                <td>
                  {line.right} of {line.asked}
                </td>
                <td>{line.mistaken.map((one) => MeterWords[one]).join(", ") || "nothing"}</td>
              </tr>
            ))}
        </tbody>
      </Box>
      {record?.asked === 0 && <Box py="8px">Nothing was predicted yet under this name.</Box>}
      <Box as="h2" fontWeight={600} pt="18px" pb="4px">
        Fault hunts
      </Box>
      {hunts?.ended.length ? (
        <Box as="table" width="100%" borderCollapse="collapse" css={TABLE}>
          <thead>
            <tr>
              <th>hunt</th>
              <th>ended</th>
              <th>minutes spent, given, cheapest</th>
              <th>hidden</th>
              <th>next step</th>
            </tr>
          </thead>
          <tbody>
            {hunts.ended.slice(0, 30).map((hunt) => (
              <tr key={hunt.at}>
                <td>{hunt.number.toLocaleString("en")}</td>
                <td>{hunt.ending}</td>
                <td>
                  {hunt.minutes}, {hunt.budget}, {hunt.cheapest}
                </td>
                <td>{hunt.hidden}</td>
                <td>{hunt.next_step ? (hunt.next_right ? "right" : "another was asked for") : "none named"}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      ) : (
        <Box>None has ended yet under this name.</Box>
      )}
      <Box display="flex" gap="12px" alignItems="center" py="14px" flexWrap="wrap">
        <Press
          as="a"
          {...{ href: "/api/bench/hunts.csv", download: "hunts.csv" }}
          display="inline-flex"
          alignItems="center"
        >
          All results as CSV
        </Press>
        <Small>of every learner on this machine, one hunt to a row</Small>
      </Box>
    </>
  );
}

const TABLE = {
  "& th": { textAlign: "left", fontWeight: 400, fontSize: "small", color: "ink2", py: "4px", pr: "10px" },
  "& td": { py: "9px", pr: "10px", borderTop: "1px solid", borderColor: "hair", verticalAlign: "top" },
};
