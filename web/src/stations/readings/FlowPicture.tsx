import { Way as MethodWords } from "../../generated/labels";
import { Box } from "@chakra-ui/react";
import { memo } from "react";

import type { Schemas } from "../../shared/api";
import { Micro, Small } from "../../shared/parts";
import { PhraseText } from "../../shared/Words";
import { highEnd, METHOD_LINES, MethodLine } from "./MethodLine";
import { say } from "../../shared/say";
import { capital } from "../../shared/casing";

type Answer = Schemas["SetAnswer"];
type ByMethod = Schemas["FlowAnswer"];

/** The flow by every method on one scale, and taken together; methods that wait stand below in one line. */
export const FlowPicture = memo(function FlowPicture({ answer }: { answer: Answer }) {
  const { methods, together } = answer.flows;
  const told = methods.filter((one) => one.flow.figure);
  const waiting = methods.filter((one) => !one.flow.figure);
  const reach = scaleEnd(Math.max(highEnd(together.figure), ...told.map((one) => one.flow.figure?.value ?? 0)));
  return (
    <Box css={METHOD_LINES}>
      {told.map((one) => (
        <MethodLine
          key={one.method}
          name={`${answer.id}-flow-${one.method}`}
          label={capital(MethodWords[one.method])}
          result={one.flow}
          reach={reach}
          doubted={!one.trusted}
          reason={one.reason}
          word={verdict(one)}
        />
      ))}
      <Box borderTop="1px solid" borderColor="rule">
        <MethodLine
          name={`${answer.id}-flow-together`}
          label={say("flow-picture-together")}
          result={together}
          reach={reach}
          doubted={false}
          taken
          reason={together.working?.remarks?.[0] ?? ""}
          word=""
        />
      </Box>
      {waiting.length > 0 && (
        <Box pt="6px">
          <Small display="block" fontWeight={600}>
            {say("flow-picture-other-ways")}
          </Small>
          {waiting.map((one) => (
            <Micro key={one.method} display="block">
              {MethodWords[one.method]}: <PhraseText phrase={one.flow.waits ?? []} />
            </Micro>
          ))}
        </Box>
      )}
    </Box>
  );
});

const STEPS = [1, 1.5, 2, 3, 4, 5, 6, 8, 10];

/** A round end of the scale somewhat beyond the greatest flow, so that it does not move with every digit typed. */
function scaleEnd(greatest: number): number {
  const power = 10 ** Math.floor(Math.log10(greatest || 1));
  return power * (STEPS.find((step) => step * power >= 1.05 * greatest) ?? 12);
}

function verdict(one: ByMethod): string {
  if (one.disagrees) return say("method-line-disagrees");
  return one.trusted ? say("method-line-agrees") : say("method-line-doubted");
}
