import { Box } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import type { Schemas } from "../../shared/api";
import { ChoiceField, factsOf } from "../../shared/fields";
import { useFound, useJob } from "../../shared/job";
import { Micro, Press, Small } from "../../shared/parts";
import { Windings } from "../../shared/Windings";
import { PhraseText } from "../../shared/Words";
import { Help } from "../../shared/Help";
import { say } from "../../shared/say";

const AT = "identification";
const PARTS = [
  "run_capacitor",
  "start_capacitor",
  "switch",
  "relay",
  "equal_leads",
  "two_sets",
  "module",
  "plug",
  "analogue",
  "drive_fed",
  "cogs",
  "both_ends",
  "outer_rotor",
] as const;

/** A motor that does not say what it is: from its speed, from its windings, from what is on it. */
export function Identification() {
  const { view } = useJob();
  const { identity: answers } = useFound("identity");
  const answersOn = (...about: Schemas["Identity"]["about"][]) =>
    about.flatMap((one) => answers.filter((answer) => answer.about === one));
  return (
    <>
      <Step title={say("identification-speed")} caution={say("identification-hands-sleeves")}>
        <FieldGrid paths={[`${AT}/speed`, `${AT}/frequency`, `${AT}/loading`]} />
        <Answers answers={answersOn("poles")} />
      </Step>
      <Step title={say("identification-three-windings")} caution={say("identification-isolate-lock")}>
        <FieldGrid paths={[`${AT}/hermetic`]} />
        <Windings />
        <Answers answers={answersOn("terminals", "ground", "windings")} />
      </Step>
      <Step title={say("identification-what-motor")} caution={say("identification-power-off")}>
        <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="0 20px">
          {PARTS.map((part) => (
            <Box
              key={part}
              display="grid"
              gridTemplateColumns="minmax(0, 1fr) auto"
              gap="8px"
              alignItems="center"
              borderBottom="1px solid"
              borderColor="hair"
              py="3px"
            >
              <Box>
                {factsOf(`${AT}/${part}`).label}
                <Micro display="block">
                  <Help path={`${AT}/${part}`} />
                </Micro>
              </Box>
              <ChoiceField path={`${AT}/${part}`} />
            </Box>
          ))}
        </Box>
        {view.document.identification?.relay === "yes" && <FieldGrid paths={[`${AT}/relay_kind`]} />}
        <Answers answers={answersOn("kind", "relay", "both_ends", "outer_rotor")} />
      </Step>
    </>
  );
}

function Step({ title, caution, children }: { title: string; caution: string; children: React.ReactNode }) {
  return (
    <Box pb="14px">
      <Box display="flex" gap="4px 14px" flexWrap="wrap" alignItems="baseline" pt="6px">
        <Box as="h3" fontWeight={600}>
          {title}
        </Box>
        <Small color="ochre">{caution}</Small>
      </Box>
      {children}
    </Box>
  );
}

/** What was made of it: the answer, how sure it is, what else it could be, and what would settle it. */
export function Answers({ answers }: { answers: Schemas["Identity"][] }) {
  const { desk } = useJob();
  return (
    <>
      {answers.map((answer) => (
        <Box
          key={answer.question}
          borderTop="1px solid"
          borderColor="rule"
          mt="8px"
          pt="6px"
          data-identity={answer.question}
        >
          <Box>
            <Box as="span" fontWeight={600}>
              <PhraseText phrase={answer.answer} />
            </Box>{" "}
            {answer.share != null && <Small>{sureness(answer.share)}</Small>}
          </Box>
          {(answer.alternatives ?? []).length > 0 && (
            <Small display="block">{say("identification-or", { alternatives: answer.alternatives?.join("; ") })}</Small>
          )}
          {(answer.details ?? []).map((line) => (
            <Box key={line}>{line}</Box>
          ))}
          {answer.ask && (
            <Box fontWeight={600} color={answer.doubtful ? "ochre" : undefined}>
              {answer.ask}
            </Box>
          )}
          {answer.motor_kind && (
            <Press type="button" mt="4px" onClick={() => void desk.choose("nameplate/motor_kind", answer.motor_kind)}>
              {say("identification-put-kind")}
            </Press>
          )}
          <Micro display="block">{answer.source}</Micro>
        </Box>
      ))}
    </>
  );
}

const POSSIBLE = say("identification-possible");
const WORDS: [number, string][] = [
  [0.95, say("identification-good-sure")],
  [0.85, say("identification-very-likely")],
  [0.6, say("identification-likely")],
  [0, POSSIBLE],
];

function sureness(share: number) {
  const word = WORDS.find(([least]) => share >= least)?.[1] ?? POSSIBLE;
  return `${word}, ${Math.round(share * 100)} %`;
}
