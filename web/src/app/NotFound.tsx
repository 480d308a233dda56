import { Box } from "@chakra-ui/react";
import { Link } from "react-router";

import { TopLine } from "./TopLine";
import { say } from "../shared/say";

export function NotFound() {
  return (
    <>
      <TopLine trail={[]} />
      <Box as="main" id="main" p="20px">
        <Box as="h1" fontSize="title" fontWeight={600}>
          {say("not-found-there-such")}
        </Box>
        <p>
          {say("not-found-address-leads")}
          <Link to="/">{say("not-found-go-board")}</Link>
        </p>
      </Box>
    </>
  );
}
