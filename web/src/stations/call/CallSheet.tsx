import { Box, chakra } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import { ChoiceField, ChoicesField, factsOf, WordsField } from "../../shared/fields";
import { Fold, under } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { Photos } from "../../shared/Photos";
import { AskedQuantity, Part, Question, Sheet } from "../../shared/Sheet";

const ABOUT = ["call/serves", "call/called_by", "call/not_interrupted"] as const;
const REMOVED = ["call/serial", "call/date_code", "call/part_number"] as const;

/** Why are we here, what does the motor drive, and must its flow not fall? */
export function CallSheet() {
  const { view } = useJob();
  const { call } = view.document;
  const pump = view.machine.wheel === "pump";
  const least = pump ? "call/minimum_water_flow" : "call/minimum_airflow";
  const isProtected = call?.protected != null && call.protected !== "no";
  return (
    <Sheet station="call" asks={false}>
      <Asked path="call/reason" />
      <Asked path="machine/wheel" />
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
        title="Who called, and what it serves"
        note={ABOUT.flatMap((path) => call?.[path.slice("call/".length) as "serves"] ?? []).join(" · ")}
        holds={under(...ABOUT)}
      >
        <Words path="call/serves" />
        <Asked path="call/called_by" />
        <Words path="call/not_interrupted" />
      </Fold>
      <Part title="The machine">
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
          take this job out as a file
        </FileLink>
      </Part>
      <Fold
        title="What will be removed"
        holds={under(...REMOVED)}
        startsOpen={REMOVED.some((path) => call?.[path.slice("call/".length) as "serial"])}
      >
        <FieldGrid paths={REMOVED} />
        <Photos of="machine" title="Photographs of machine and place" />
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
