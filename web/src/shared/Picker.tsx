import { chakra } from "@chakra-ui/react";

/** One of many answers, picked from a list. */
export const Picker = chakra("select", {
  base: {
    width: "100%",
    minHeight: "44px",
    background: "paper",
    border: "1px solid",
    borderColor: "rule",
    px: "6px",
    fontSize: "text",
  },
});
