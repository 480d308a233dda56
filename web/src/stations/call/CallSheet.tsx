import { Box, chakra } from "@chakra-ui/react";

import { ChoiceField, factsOf, WordsField } from "../../shared/fields";
import { useJob } from "../../shared/job";
import { AskedQuantity, Part, Question, Sheet } from "../../shared/Sheet";

/** Why are we here, what does the motor drive, and must its flow not fall? */
export function CallSheet() {
  const { view } = useJob();
  const { call } = view.document;
  const pump = view.machine.wheel === "centrifugal pump";
  const least = pump ? "call/minimum_water_flow" : "call/minimum_airflow";
  const isProtected = call?.protected != null && call.protected !== "no";
  return (
    <Sheet station="call">
      <Asked path="call/reason" />
      <Asked path="machine/wheel" />
      <Asked path="call/protected" />
      {isProtected && (
        <>
          <AskedQuantity path={least} />
          <Question label={factsOf("call/who_was_asked").label} help={factsOf("call/who_was_asked").help}>
            <WordsField path="call/who_was_asked" />
          </Question>
        </>
      )}
      <Question label={factsOf("call/notes").label}>
        <WordsField path="call/notes" lines={2} />
      </Question>
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
  const facts = factsOf(path);
  return (
    <Question label={facts.label} help={facts.help}>
      <ChoiceField path={path} />
    </Question>
  );
}
