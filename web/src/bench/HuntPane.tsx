import { Measurand as MeasurandWords } from "../generated/labels";
import { Box } from "@chakra-ui/react";

import { Small } from "../shared/parts";
import { FigureText } from "../shared/Words";
import { MoveMark } from "./MoveMark";
import type { HuntView } from "./useHunt";
import { capital } from "../shared/casing";
import { say } from "../shared/say";

/** What was seen so far: readings against those from when it was right, what tests showed, what they ruled out. */
export function HuntPane({ view }: { view: HuntView | undefined }) {
  if (!view) return null;
  const readings = view.seen.filter((one) => one.now);
  const tests = view.seen.filter((one) => one.words);
  return (
    <>
      <Box as="h2" fontSize="title" fontWeight={600} py="10px">
        {say("hunt-pane-seen-so")}
      </Box>
      {readings.length === 0 && tests.length === 0 && <Box>{say("hunt-pane-nothing-yet")}</Box>}
      {readings.length > 0 && (
        <Box as="table" width="100%" borderCollapse="collapse" css={TABLE}>
          <thead>
            <tr>
              <th>{say("hunt-pane-simulated")}</th>
              <th>{say("hunt-pane-when-right")}</th>
              <th>{say("hunt-pane-now")}</th>
            </tr>
          </thead>
          <tbody>
            {readings.map((one, index) => (
              <tr key={index} data-seen={one.act}>
                <td>{capital(one.reads ? MeasurandWords[one.reads] : one.act)}</td>
                <td>{one.healthy && <FigureText figure={{ ...one.healthy, uncertainty: null }} line={false} />}</td>
                <td>
                  {one.now && <FigureText figure={one.now} line={false} />}
                  <Box color="ink2" fontSize="small">
                    <MoveMark moves={one.moves ?? 0} strong={one.moves !== 0} />{" "}
                    {one.moves === 0
                      ? say("hunt-pane-within-uncertainty")
                      : one.change && <FigureText figure={one.change} line={false} />}
                  </Box>
                </td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
      {tests.map((one, index) => (
        <Box key={index} borderTop="1px solid" borderColor="hair" py="8px" data-seen={one.act}>
          <Small display="block">{capital(one.act)}</Small>
          <b>{capital(one.words ?? "")}</b>
        </Box>
      ))}
      {Object.keys(view.ruled_out).length > 0 && (
        <Box borderTop="1px solid" borderColor="rule" py="8px">
          <Small display="block">{say("hunt-pane-ruled-out")}</Small>
          {Object.keys(view.ruled_out).join(", ")}
        </Box>
      )}
    </>
  );
}

const TABLE = {
  "& th": { textAlign: "left", fontWeight: 400, fontSize: "small", color: "ink2", py: "4px" },
  "& td": { py: "7px", pr: "8px", borderTop: "1px solid", borderColor: "hair", verticalAlign: "top" },
};
