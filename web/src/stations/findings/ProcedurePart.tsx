import { Box, chakra } from "@chakra-ui/react";
import { Link } from "react-router";

import { AnyField } from "../../shared/AnyField";
import type { Schemas } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Micro, Small } from "../../shared/parts";
import { stationOf } from "../../shared/places";
import { Part } from "../../shared/Sheet";
import { Windings } from "../../shared/Windings";
import { PhraseText } from "../../shared/Words";
import { say } from "../../shared/say";

type Step = Schemas["CheckStep"];

const WORDS: Record<Step["state"], string> = {
  good: say("way-part-good"),
  fault: say("way-part-fault"),
  next: say("way-part-now"),
  later: say("way-part-later"),
};

/** A chain of checks: each decides the next. The caution stands before the hand, both outcomes before the check. */
export function ProcedurePart({ procedure }: { procedure: Schemas["CheckProcedure"] }) {
  return (
    <Part title={procedure.title} sentence={say("way-part-one-thing")}>
      {(procedure.steps ?? []).map((step, index) => (
        <StepRow key={`${step.path} ${index}`} step={step} number={index + 1} />
      ))}
      {procedure.verdict && (
        <Box borderTop="2px solid" borderBottom="2px solid" borderColor="ink" py="8px" mt="6px" data-verdict>
          <Box fontWeight={600}>
            <PhraseText phrase={procedure.verdict} />
          </Box>
          {procedure.action}
        </Box>
      )}
    </Part>
  );
}

function StepRow({ step, number }: { step: Step; number: number }) {
  const now = step.state === "next";
  const done = step.state === "good" || step.state === "fault";
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "44px minmax(0, 1fr)", md: "64px minmax(0, 1fr)" }}
      gap="2px 10px"
      py="7px"
      borderBottom="1px solid"
      borderColor="hair"
      background={now ? "desk" : undefined}
      data-step={step.state}
    >
      <Box>
        {number}{" "}
        <Box
          as="b"
          display="block"
          color={step.state === "fault" ? "brick" : undefined}
          fontWeight={done || now ? 600 : 400}
        >
          {WORDS[step.state]}
        </Box>
      </Box>
      <Box opacity={step.state === "later" ? 0.7 : 1}>
        {now && <Box color="ochre">{step.caution}</Box>}
        <Box fontWeight={now ? 600 : 400}>{step.question}</Box>
        {(step.remark ?? []).length > 0 && (
          <Small>
            <PhraseText phrase={step.remark ?? []} line />
          </Small>
        )}
        {(now || done) && step.path && <StepField path={step.path} />}
        {now && step.if_not && <Micro display="block">{say("way-part-if", { if_not: step.if_not })}</Micro>}
      </Box>
    </Box>
  );
}

/** The field of a step where its answer is given; readings of a set stand on their own sheet. */
function StepField({ path }: { path: string }) {
  const { view } = useJob();
  if (stationOf(path) === "readings")
    return (
      <ReadIt to={`/jobs/${view.id}/readings`} state={{ field: path }}>
        {say("way-part-read-readings")}
      </ReadIt>
    );
  if (path === "identification/first_second") return <Windings terminals={false} />;
  return (
    <Box maxWidth="420px">
      <AnyField path={path} />
    </Box>
  );
}

const ReadIt = chakra(Link, {
  base: { minHeight: "44px", display: "inline-flex", alignItems: "center", textUnderlineOffset: "3px" },
});
