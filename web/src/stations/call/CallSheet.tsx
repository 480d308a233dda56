import { Box, chakra } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import { ChoiceField, ChoicesField, factsOf, WordsField } from "../../shared/fields";
import { Fold, under } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { Photos } from "../../shared/Photos";
import { AskedQuantity, Part, Question, Sheet } from "../../shared/Sheet";
import { say } from "../../shared/say";

const ABOUT = ["call/serves", "call/called_by", "call/not_interrupted"] as const;
const REMOVED = ["call/serial", "call/date_code", "call/part_number"] as const;

/** Why are we here, what does the motor drive, and must its flow not fall? */
export function CallSheet() {
  const { view } = useJob();
  const { call } = view.document;
  const pump = view.machine.type === "pump";
  const least = pump ? "call/minimum_water_flow" : "call/minimum_airflow";
  const isProtected = call?.protected != null && call.protected !== "no";
  return (
    <Sheet station="call" asks={false}>
      <Asked path="call/reason" />
      <Asked path="machine/type" />
      <Asked path="call/protected" />
      {isProtected && (
        <>
          <AskedQuantity path={least} />
          <Words path="call/who_was_asked" />
        </>
      )}
      <Question path="call/complaints">
        <ChoicesField path="call/complaints" />
      </Question>
      <Question path="call/notes">
        <WordsField path="call/notes" lines={2} />
      </Question>
      <Fold
        title={say("call-sheet-who-called")}
        note={ABOUT.flatMap((path) => call?.[path.slice("call/".length) as "serves"] ?? []).join(" · ")}
        holds={under(...ABOUT)}
      >
        <Words path="call/serves" />
        <Asked path="call/called_by" />
        <Words path="call/not_interrupted" />
      </Fold>
      <Part title={say("call-sheet-machine")}>
        <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="14px">
          <label>
            {factsOf("machine/name").label}
            <WordsField path="machine/name" />
          </label>
          <label>
            {factsOf("machine/place").label}
            <WordsField path="machine/place" />
          </label>
        </Box>
        <FileLink href={`/api/jobs/${view.id}/file`} download>
          {say("call-sheet-take-job")}
        </FileLink>
      </Part>
      <Fold
        title={say("call-sheet-what-will")}
        holds={under(...REMOVED)}
        startsOpen={REMOVED.some((path) => call?.[path.slice("call/".length) as "serial"])}
      >
        <FieldGrid paths={REMOVED} />
        <Photos of="machine" title={say("call-sheet-photographs-machine")} />
      </Fold>
    </Sheet>
  );
}

const FileLink = chakra("a", {
  base: {
    display: "inline-flex",
    alignItems: "center",
    minHeight: "44px",
    textUnderlineOffset: "3px",
    fontSize: "small",
  },
});

function Asked({ path }: { path: string }) {
  return (
    <Question path={path}>
      <ChoiceField path={path} />
    </Question>
  );
}

function Words({ path }: { path: string }) {
  return (
    <Question path={path}>
      <WordsField path={path} />
    </Question>
  );
}
