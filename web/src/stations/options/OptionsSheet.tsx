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

/** What could replace it: a line to each candidate, the best saving first, each opened in place or laid beside others. */
export function OptionsSheet() {
  const { candidates, options, balance } = useFound("candidates", "options", "balance");
  const [adding, setAdding] = useState(false);
  const picked = usePicked(candidates);
  const waits = options.waits != null || options.rows.length === 0;
  if (picked.beside && !waits)
    return (
      <Sheet station="options" standing="foot" action={{ label: "Back to all", run: picked.back, cap: "Esc" }}>
        <BesideView asked={picked.asked} />
      </Sheet>
    );
  return (
    <Sheet
      station="options"
      standing="foot"
      action={{ label: adding ? "Close" : "Add an option", run: () => setAdding(!adding) }}
      foot={picked.ids.length > 1 && !waits ? <BesideBar picked={picked} /> : undefined}
    >
      {adding && <AddOption close={() => setAdding(false)} />}
      {waits ? (
        <Box py="14px" maxWidth="62ch">
          {capital(options.waits ?? "nothing to compare yet")}. The options stand here as soon as the machine of today
          can be worked out.
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

function capital(words: string) {
  return words.slice(0, 1).toUpperCase() + words.slice(1);
}
