import { Box } from "@chakra-ui/react";
import { memo } from "react";

import type { Schemas } from "../../shared/api";
import { Micro } from "../../shared/parts";
import { PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { COLUMNS, highEnd, METHOD_LINES, MethodLine } from "./MethodLine";
import { say } from "../../shared/say";

type Answer = Schemas["SetAnswer"];

const SMALLEST_SCALE = 1.25;

/** The load by each method on one scale, with its reason to be trusted or doubted, and the one that is taken. */
export const LoadPicture = memo(function LoadPicture({ answer }: { answer: Answer }) {
  const figures = [...answer.methods.map((method) => method.load.figure), answer.load.figure];
  const domain: [number, number] = [0, Math.max(SMALLEST_SCALE, ...figures.map(highEnd))];
  return (
    <Box css={METHOD_LINES}>
      <Scale domain={domain} />
      {answer.methods.map((method) => (
        <MethodLine
          key={method.method}
          name={`${answer.id}-${method.method}`}
          label={method.load.label}
          result={method.load}
          reach={domain[1]}
          doubted={!method.trusted}
          taken={method.chosen}
          reason={method.load.figure ? method.reason : ""}
          word={verdict(method)}
        />
      ))}
      <Box borderTop="1px solid" borderColor="rule">
        <MethodLine
          name={`${answer.id}-load`}
          label={say("load-picture-taken-here")}
          result={answer.load}
          reach={domain[1]}
          doubted={false}
          taken
          reason=""
          word=""
        />
      </Box>
      <Box display="flex" alignItems="center" gap="14px" flexWrap="wrap">
        <Box flex={1}>{say("load-picture-shaft-power")}</Box>
        <WorkedFigure name={`${answer.id}-shaft`} result={answer.shaft_power} />
      </Box>
      <WorkingPanel name={`${answer.id}-shaft`} result={answer.shaft_power} />
      {answer.questions.map((question, index) => (
        <Box key={index} py="3px" fontWeight={index === 0 ? 600 : 400}>
          <PhraseText phrase={question} />
        </Box>
      ))}
    </Box>
  );
});

function verdict(method: Schemas["MethodAnswer"]): string {
  if (method.chosen) return say("method-line-taken");
  if (method.disagrees) return say("method-line-disagrees");
  return method.trusted ? say("method-line-agrees") : say("method-line-doubted");
}

function Scale({ domain }: { domain: [number, number] }) {
  const ticks = [0, 0.25, 0.5, 0.75, 1, 1.25].filter((tick) => tick <= domain[1]);
  return (
    <Box display="grid" gridTemplateColumns={COLUMNS} gap="0 10px" aria-hidden>
      <span />
      <Box position="relative" height="18px">
        {ticks.map((tick, place) => (
          // A phone has room for every other one.
          <Micro
            key={tick}
            display={{ base: place % 2 ? "none" : "inline", md: "inline" }}
            position="absolute"
            left={`${(tick / domain[1]) * 100}%`}
            transform="translateX(-50%)"
          >
            {tick * 100}
          </Micro>
        ))}
      </Box>
      <Micro textAlign="right">{say("load-picture-rated")}</Micro>
    </Box>
  );
}
