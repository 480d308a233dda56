import { Box } from "@chakra-ui/react";
import { useState } from "react";

import { useFound } from "../../shared/job";
import { Sheet, StandingKey } from "../../shared/Sheet";
import { AddOption } from "./AddOption";
import { BesideBar, BesideView } from "./BesideView";
import { LoadedPart } from "./LoadedPart";
import { OptionList } from "./OptionList";
import { usePicked } from "./picked";
import { Repair } from "./Repair";
import { Settings } from "./Settings";
import { WhatIf } from "./WhatIf";
import { say } from "../../shared/say";
import { capital } from "../../shared/casing";

/** What could replace it: a line to each candidate, the best saving first, each opened in place or laid beside others. */
export function OptionsSheet() {
  const { candidates, options, balance } = useFound("candidates", "options", "balance");
  const [adding, setAdding] = useState(false);
  const picked = usePicked(candidates);
  const waits = options.waits != null || options.rows.length === 0;
  if (picked.beside && !waits)
    return (
      <Sheet
        station="options"
        standing="foot"
        action={{ label: say("options-sheet-back-all"), run: picked.back, cap: "Esc" }}
      >
        <BesideView asked={picked.asked} />
      </Sheet>
    );
  return (
    <Sheet
      station="options"
      standing="foot"
      action={{
        label: adding ? say("options-sheet-close") : say("options-sheet-add-option"),
        run: () => setAdding(!adding),
      }}
      foot={picked.ids.length > 1 && !waits ? <BesideBar picked={picked} /> : undefined}
    >
      {adding && <AddOption close={() => setAdding(false)} />}
      {waits ? (
        <Box py="14px" maxWidth="62ch">
          {say("options-sheet-options-stand", {
            capital: capital(options.waits ?? say("options-sheet-nothing-compare")),
          })}
        </Box>
      ) : (
        <>
          <OptionList picked={picked} />
          <WhatIf />
          <Repair />
          <LoadedPart flow={balance.flow_quantity} />
        </>
      )}
      <Settings />
      {!waits && <StandingKey />}
    </Sheet>
  );
}
