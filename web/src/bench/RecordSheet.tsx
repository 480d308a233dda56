import { Meter as MeterWords } from "../generated/labels";
import { Box } from "@chakra-ui/react";

import type { Schemas } from "../shared/api";
import { Press, Small } from "../shared/parts";
import { WhoField } from "../shared/WhoField";
import { capital } from "../shared/casing";
import { say } from "../shared/say";
import { counted } from "../shared/language";

interface RecordProps {
  record: Schemas["Record"] | undefined;
  hunts: Schemas["NextHunt"] | undefined;
}

/** What was said rightly and what is still mistaken, topic by topic; the hunts that ended; results for a class. */
export function RecordSheet({ record, hunts }: RecordProps) {
  return (
    <>
      <Box py="8px" maxWidth="420px">
        <WhoField words={say("record-sheet-record")} />
      </Box>
      <Box as="table" width="100%" borderCollapse="collapse" css={TABLE}>
        <thead>
          <tr>
            <th>{say("record-sheet-topic")}</th>
            <th>{say("record-sheet-said-rightly")}</th>
            <th>{say("record-sheet-still-mistaken")}</th>
          </tr>
        </thead>
        <tbody>
          {record?.topics
            .filter((line) => line.asked > 0)
            .map((line) => (
              <tr key={line.topic} data-topic={line.topic}>
                <td>{capital(line.topic)}</td>
                <td>{say("record-sheet-of", { right: line.right, asked: line.asked })}</td>
                <td>{line.mistaken.map((one) => MeterWords[one]).join(", ") || say("record-sheet-nothing")}</td>
              </tr>
            ))}
        </tbody>
      </Box>
      {record?.asked === 0 && <Box py="8px">{say("record-sheet-nothing-predicted")}</Box>}
      <Box as="h2" fontWeight={600} pt="18px" pb="4px">
        {say("record-sheet-fault-hunts")}
      </Box>
      {hunts?.ended.length ? (
        <Box as="table" width="100%" borderCollapse="collapse" css={TABLE}>
          <thead>
            <tr>
              <th>{say("record-sheet-hunt")}</th>
              <th>{say("record-sheet-ended")}</th>
              <th>{say("record-sheet-minutes-spent")}</th>
              <th>{say("record-sheet-hidden")}</th>
              <th>{say("record-sheet-next-step")}</th>
            </tr>
          </thead>
          <tbody>
            {hunts.ended.slice(0, 30).map((hunt) => (
              <tr key={hunt.at}>
                <td>{counted(hunt.number)}</td>
                <td>{hunt.ending}</td>
                <td>
                  {hunt.minutes}, {hunt.budget}, {hunt.cheapest}
                </td>
                <td>{hunt.hidden}</td>
                <td>
                  {hunt.next_step
                    ? hunt.next_right
                      ? say("record-sheet-right")
                      : say("record-sheet-another-asked")
                    : say("record-sheet-none-named")}
                </td>
              </tr>
            ))}
          </tbody>
        </Box>
      ) : (
        <Box>{say("record-sheet-none-ended")}</Box>
      )}
      <Box display="flex" gap="12px" alignItems="center" py="14px" flexWrap="wrap">
        <Press
          as="a"
          {...{ href: "/api/bench/hunts.csv", download: "hunts.csv" }}
          display="inline-flex"
          alignItems="center"
        >
          {say("record-sheet-all-results")}
        </Press>
        <Small>{say("record-sheet-every-learner")}</Small>
      </Box>
    </>
  );
}

const TABLE = {
  "& th": { textAlign: "left", fontWeight: 400, fontSize: "small", color: "ink2", py: "4px", pr: "10px" },
  "& td": { py: "9px", pr: "10px", borderTop: "1px solid", borderColor: "hair", verticalAlign: "top" },
};
