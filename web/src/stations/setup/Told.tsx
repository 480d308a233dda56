import { Box } from "@chakra-ui/react";
import type { ReactNode } from "react";

/** One line of what is set: its name, and what it is set to. */
export function Told({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box
      display="flex"
      justifyContent="space-between"
      alignItems="center"
      gap="10px"
      borderTop="1px solid"
      borderColor="hair"
      minHeight="34px"
      maxWidth="560px"
    >
      <Box fontSize="small">{label}</Box>
      <Box textAlign="right">{children}</Box>
    </Box>
  );
}
