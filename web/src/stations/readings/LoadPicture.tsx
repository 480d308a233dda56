import { Box } from "@chakra-ui/react";

import type { Figure, Result, Schemas } from "../../shared/api";
import { IntervalMark } from "../../shared/IntervalMark";
import { Micro, Small } from "../../shared/parts";
import { PhraseText } from "../../shared/Words";
import { Waits, WorkedFigure, WorkingPanel } from "../../shared/Working";

type Answer = Schemas["SetAnswer"];

const SMALLEST_SCALE = 1.25;

/** The load by each method on one scale, with its reason to be trusted or doubted, and the one that is taken. */
export function LoadPicture({ answer }: { answer: Answer }) {
  const figures = [...answer.methods.map((method) => method.load.figure), answer.load.figure];
  const domain: [number, number] = [0, Math.max(SMALLEST_SCALE, ...figures.map(highEnd))];
  return (
    <>
      <Scale domain={domain} />
      {answer.methods.map((method) => (
        <MethodLine
          key={method.method}
          name={`${answer.id}-${method.method}`}
          result={method.load}
          domain={domain}
          doubted={!method.trusted}
          reason={method.load.figure ? method.reason : ""}
          word={verdict(method)}
        />
      ))}
      <Box borderTop="1px solid" borderColor="rule">
        <MethodLine
          name={`${answer.id}-load`}
          result={{ ...answer.load, label: "Taken here" }}
          domain={domain}
          doubted={false}
          reason=""
          word=""
        />
      </Box>
      <Box display="flex" alignItems="center" gap="14px" flexWrap="wrap">
        <Box flex={1}>Shaft power</Box>
        <WorkedFigure name={`${answer.id}-shaft`} result={answer.shaft_power} />
      </Box>
      <WorkingPanel name={`${answer.id}-shaft`} result={answer.shaft_power} />
      {answer.questions.map((question, index) => (
        <Box key={index} py="3px" fontWeight={index === 0 ? 600 : 400}>
          <PhraseText phrase={question} />
        </Box>
      ))}
    </>
  );
}

function verdict(method: Schemas["MethodAnswer"]): string {
  if (method.chosen) return "taken";
  if (method.disagrees) return "disagrees";
  return method.trusted ? "agrees" : "doubted";
}

function highEnd(figure: Figure | null | undefined): number {
  return figure ? (figure.high ?? figure.value + (figure.band ?? 0)) : 0;
}

function lowEnd(figure: Figure): number {
  return figure.low ?? figure.value - (figure.band ?? 0);
}

interface MethodLineProps {
  name: string;
  result: Result;
  domain: [number, number];
  doubted: boolean;
  reason: string;
  word: string;
}

const COLUMNS = { base: "86px minmax(0, 1fr) 118px", md: "104px minmax(0, 1fr) 150px 70px" };

function MethodLine({ name, result, domain, doubted, reason, word }: MethodLineProps) {
  const { figure } = result;
  return (
    <Box borderBottom="1px solid" borderColor="hair" py="1px">
      <Box display="grid" gridTemplateColumns={COLUMNS} gap="0 10px" alignItems="center" minHeight="44px">
        <Box fontWeight={word === "taken" || word === "" ? 600 : 400}>{result.label}</Box>
        {figure ? (
          <Box opacity={doubted ? 0.55 : 1}>
            <IntervalMark
              mark={{ value: figure.value, low: Math.max(lowEnd(figure), 0), high: highEnd(figure) }}
              domain={domain}
              label={`${result.label}, with its band`}
            />
          </Box>
        ) : (
          <Box gridColumn="2 / -1">
            <Waits result={result} />
          </Box>
        )}
        {figure && (
          <>
            <Box textAlign="right">
              <WorkedFigure name={name} result={result} />
            </Box>
            <Micro display={{ base: "none", md: "block" }}>{word}</Micro>
          </>
        )}
      </Box>
      {reason && (
        <Small display="block" pl={{ base: 0, md: "114px" }} pb="6px">
          <Box as="span" display={{ base: "inline", md: "none" }} fontWeight={600}>
            {word}:{" "}
          </Box>
          {reason}
        </Small>
      )}
      <WorkingPanel name={name} result={result} />
    </Box>
  );
}

function Scale({ domain }: { domain: [number, number] }) {
  const ticks = [0, 0.25, 0.5, 0.75, 1, 1.25].filter((tick) => tick <= domain[1]);
  return (
    <Box display="grid" gridTemplateColumns={COLUMNS} gap="0 10px" aria-hidden>
      <span />
      <Box position="relative" height="18px">
        {ticks.map((tick) => (
          <Micro key={tick} position="absolute" left={`${(tick / domain[1]) * 100}%`} transform="translateX(-50%)">
            {tick * 100}
          </Micro>
        ))}
      </Box>
      <Micro textAlign="right">% of rated</Micro>
    </Box>
  );
}
