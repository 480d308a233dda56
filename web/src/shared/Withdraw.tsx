import { Box } from "@chakra-ui/react";
import { useState } from "react";

import type { Schemas } from "./api";
import { At } from "./At";
import type { Statements } from "./deeds";
import { useJob } from "./job";
import { Press, Small, TextLine, Word } from "./parts";
import { WhoField } from "./WhoField";

interface WithdrawProps {
  of: Statements;
  said: { id: string; withdrawn?: Schemas["Withdrawal"] | null };
  /** What is withdrawn, as it is read out. */
  named: string;
}

/** What was said by name is taken back, by name and with the reason; then it says by whom it was. */
export function Withdraw({ of, said, named }: WithdrawProps) {
  const { desk } = useJob();
  const [open, setOpen] = useState(false);
  const [why, setWhy] = useState("");
  if (said.withdrawn)
    return (
      <Small data-withdrawn>
        withdrawn by {said.withdrawn.who}, {said.withdrawn.why} <At at={said.withdrawn.at} />
      </Small>
    );
  if (!open)
    return (
      <Word type="button" mx="0" px="0" aria-label={`Withdraw ${named}`} onClick={() => setOpen(true)}>
        withdraw
      </Word>
    );
  return (
    <Box display="flex" gap="4px 14px" flexWrap="wrap" alignItems="flex-end" py="4px" data-withdrawing>
      <Box as="label" display="block" flex="1 1 180px">
        <Small>why it is withdrawn</Small>
        <TextLine
          width="100%"
          aria-label={`Why ${named} is withdrawn`}
          value={why}
          maxLength={400}
          onChange={(event) => setWhy(event.target.value)}
        />
      </Box>
      <Box flex="0 1 220px">
        <WhoField words="withdrawn by" />
      </Box>
      <Press type="button" disabled={!why.trim()} onClick={() => void desk.withdraw(of, said.id, why.trim())}>
        Withdraw it
      </Press>
      <Word type="button" mx="0" onClick={() => setOpen(false)}>
        leave it
      </Word>
    </Box>
  );
}
