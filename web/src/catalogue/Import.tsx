import { Box } from "@chakra-ui/react";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../shared/api";
import { FilePress, Press, Small } from "../shared/parts";
import { say } from "../shared/say";

type Proposal = Schemas["CatalogueProposal"];

/** A catalogue file: every row is looked at first; nothing is written until the good ones are taken in. */
export function Import() {
  const queries = useQueryClient();
  const [text, setText] = useState("");
  const look = useMutation<Proposal, Refused, string>({
    mutationFn: (read) => taken(api.POST("/api/catalogue/look", { body: { text: read } })),
  });
  const takeIn = useMutation<Proposal, Refused>({
    mutationFn: () => taken(api.POST("/api/catalogue/file", { body: { text } })),
    onSuccess: async () => {
      look.reset();
      setText("");
      await queries.invalidateQueries({ queryKey: ["catalogue"] });
    },
  });
  const error = look.error ?? takeIn.error;
  return (
    <>
      <FilePress>
        {say("import-bring-file")}
        <input
          type="file"
          accept=".csv,.json,text/csv,application/json,text/plain"
          aria-label={say("import-catalogue-file")}
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (chosen)
              void chosen.text().then((read) => {
                setText(read);
                takeIn.reset();
                look.mutate(read);
              });
          }}
        />
      </FilePress>
      {error && (
        <Box role="alert" color="brick" width="100%">
          {error.message}
        </Box>
      )}
      {look.data && <Found proposal={look.data} takeIn={() => takeIn.mutate()} />}
      {takeIn.data && (
        <Box role="status" width="100%">
          {say("import-taken-new", { new: takeIn.data.new.length, replaced: takeIn.data.replaced.length })}
        </Box>
      )}
    </>
  );
}

function Found({ proposal, takeIn }: { proposal: Proposal; takeIn: () => void }) {
  const good = proposal.new.length + proposal.replaced.length;
  return (
    <Box role="region" aria-label={say("import-what-file")} width="100%">
      <Box>
        {say("import-new-replace", {
          new: proposal.new.length,
          replaced: proposal.replaced.length,
          unchanged: proposal.unchanged.length,
          refused: proposal.refused.length,
        })}
      </Box>
      {proposal.unknown_columns.length > 0 && (
        <Small>{say("import-columns-left", { unknown_columns: proposal.unknown_columns.join(", ") })}</Small>
      )}
      {proposal.refused.map((row) => (
        <Box key={row.row} data-bad-row>
          <b>{say("import-row", { row: row.row, code: row.code })}</b>: {row.reasons.join("; ")}
        </Box>
      ))}
      <Press type="button" mt="6px" disabled={good === 0} onClick={takeIn}>
        {say("import-take", { good, good2: good === 1 ? say("import-entry") : say("import-entries") })}
      </Press>{" "}
      <Small>{say("import-nothing-written")}</Small>
    </Box>
  );
}
