import { Box } from "@chakra-ui/react";

import { factsOf, QuantityField, WordsField } from "./fields";
import { Micro } from "./parts";
import { say } from "./say";

const AT = "identification";
const TERMINALS = ["first_terminal", "second_terminal", "third_terminal"] as const;
const PAIRS = [
  ["first_second", say("windings-first-second")],
  ["second_third", say("windings-second-third")],
  ["third_first", say("windings-third-first")],
] as const;

/** Three terminals and the three pairs between them, with insulation to ground. */
export function Windings({ terminals = true }: { terminals?: boolean }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "repeat(3, 1fr)", md: "repeat(4, minmax(0, 1fr))" }}
      gap="4px 14px"
    >
      {terminals &&
        TERMINALS.map((name) => (
          <Box key={name}>
            <Micro>{factsOf(`${AT}/${name}`).label}</Micro>
            <WordsField path={`${AT}/${name}`} placeholder={say("windings-mark-colour")} />
          </Box>
        ))}
      {terminals && <Box display={{ base: "none", md: "block" }} />}
      {PAIRS.map(([name, words]) => (
        <Box key={name}>
          <Micro>{words}, Ω</Micro>
          <QuantityField path={`${AT}/${name}`} />
        </Box>
      ))}
      <Box gridColumn={{ base: "1 / -1", md: "auto" }}>
        <Micro>{say("windings-ground-m")}</Micro>
        <QuantityField path={`${AT}/to_ground`} />
      </Box>
    </Box>
  );
}
