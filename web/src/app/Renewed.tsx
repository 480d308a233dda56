import { Box } from "@chakra-ui/react";

import { useRenewed } from "../shared/edition";
import { Press } from "../shared/parts";
import { say } from "../shared/say";

/** Over any page that was opened before the program was renewed: what may be wrong with it, and what to do. */
export function Renewed() {
  if (!useRenewed()) return null;
  return (
    <Box
      role="alert"
      data-renewed
      display="flex"
      flexWrap="wrap"
      gap="6px 14px"
      alignItems="center"
      p="8px 20px"
      borderBottom="1px solid"
      borderColor="rule"
      bg="desk"
    >
      <Box flex="1 1 260px">{say("renewed-program-was")}</Box>
      <Press type="button" onClick={() => window.location.reload()}>
        {say("renewed-open-again")}
      </Press>
    </Box>
  );
}
