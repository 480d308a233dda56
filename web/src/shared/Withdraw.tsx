import { Box } from "@chakra-ui/react";
import { useState } from "react";

import type { Schemas } from "./api";
import { At } from "./At";
import type { Statements } from "./deeds";
import { useJob } from "./job";
import { Press, Small, TextLine, Word } from "./parts";
import { WhoField } from "./WhoField";
import { say } from "./say";

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
        {say("withdraw-withdrawn", { who: said.withdrawn.who, why: said.withdrawn.why })}
        <At at={said.withdrawn.at} />
      </Small>
    );
  if (!open)
    return (
      <Word
        type="button"
        mx="0"
        px="0"
        aria-label={say("withdraw-withdraw-2", { named })}
        onClick={() => setOpen(true)}
      >
        {say("withdraw-withdraw")}
      </Word>
    );
  return (
    <Box display="flex" gap="4px 14px" flexWrap="wrap" alignItems="flex-end" py="4px" data-withdrawing>
      <Box as="label" display="block" flex="1 1 180px">
        <Small>{say("withdraw-why-withdrawn")}</Small>
        <TextLine
          width="100%"
          aria-label={say("withdraw-why-withdrawn-2", { named })}
          value={why}
          maxLength={400}
          onChange={(event) => setWhy(event.target.value)}
        />
      </Box>
      <Box flex="0 1 220px">
        <WhoField words={say("withdraw-withdrawn-2")} />
      </Box>
      <Press type="button" disabled={!why.trim()} onClick={() => void desk.withdraw(of, said.id, why.trim())}>
        {say("withdraw-withdraw-3")}
      </Press>
      <Word type="button" mx="0" onClick={() => setOpen(false)}>
        {say("withdraw-leave")}
      </Word>
    </Box>
  );
}
