import { Box } from "@chakra-ui/react";
import { Link } from "react-router";

import { TopLine } from "./TopLine";

export function NotFound() {
  return (
    <>
      <TopLine trail={[]} />
      <Box as="main" id="main" p="20px">
        <Box as="h1" fontSize="title" fontWeight={600}>
          There is no such page
        </Box>
        <p>
          The address leads nowhere. <Link to="/">Go to the Board.</Link>
        </p>
      </Box>
    </>
  );
}
