import { Box } from "@chakra-ui/react";
import { useState } from "react";

import type { Schemas } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Part, Sheet, StandingKey } from "../../shared/Sheet";
import { Press, Small } from "../../shared/parts";
import { LoadPicture } from "./LoadPicture";
import { Needles } from "./Needles";
import { SetsTable } from "./SetsTable";

/** Sets of readings beside each other, and what each says of the load. */
export function ReadingsSheet() {
  const { desk, view, assessment } = useJob();
  const sets = view.document.readings ?? [];
  const [picked, setPicked] = useState<string | null>(null);
  const answers = assessment.sets;
  const current = answers.find((answer) => answer.id === picked) ?? answers[answers.length - 1];
  return (
    <Sheet station="readings" action={{ label: "Add a set", run: () => void desk.add("readings") }}>
      {sets.length === 0 ? (
        <Box py="14px" maxWidth="62ch">
          No set yet. A set is what the meters say at one speed tap and in one condition of the duct; volts and amps are
          enough to begin.
        </Box>
      ) : (
        <SetsTable sets={sets} answers={answers} wheel={view.machine.wheel ?? null} current={current?.id ?? null} />
      )}
      {current && (
        <Part title={`Load, every way: ${setName(current)}`} note="share of rated power; bars hold 95 %">
          {answers.length > 1 && (
            <Box role="group" aria-label="Which set" display="flex" gap="8px" flexWrap="wrap" pb="6px">
              {answers.map((answer) => (
                <Press
                  key={answer.id}
                  type="button"
                  aria-pressed={answer.id === current.id}
                  fontWeight={answer.id === current.id ? 600 : 400}
                  background={answer.id === current.id ? "desk" : "paper"}
                  onClick={() => setPicked(answer.id)}
                >
                  {setName(answer)}
                </Press>
              ))}
            </Box>
          )}
          <LoadPicture answer={current} />
          <Small display="block" pt="6px">
            The ways share meters and the motor’s plate, so they are never averaged. Taken is the motor that agrees best
            with all of it; where none could be fitted, the best single way.
          </Small>
        </Part>
      )}
      {current && <Needles />}
      <StandingKey />
    </Sheet>
  );
}

function setName(answer: Schemas["SetAnswer"]) {
  return `${answer.number} ${answer.name}`.trim();
}
