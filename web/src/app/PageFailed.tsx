import { Box } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { Link } from "react-router";

import { Press } from "../shared/parts";

const LOOK_EVERY_MS = 3000;

/** In place of any page that could not be opened or drawn: what happened, what was kept, what to do. */
export function PageFailed() {
  const [away, setAway] = useState(false);
  const again = () =>
    void fetch("/", { method: "GET", cache: "no-store" }).then(
      () => window.location.reload(),
      () => setAway(true),
    );
  useEffect(() => {
    document.title = "Not opened · Modest Rotor";
    // A page that waits for the server opens by itself; one with a fault in it would only fail again.
    let wasAway = false;
    const look = () =>
      void fetch("/", { method: "GET", cache: "no-store" }).then(
        () => wasAway && window.location.reload(),
        () => {
          wasAway = true;
          setAway(true);
        },
      );
    look();
    const timer = window.setInterval(look, LOOK_EVERY_MS);
    return () => window.clearInterval(timer);
  }, []);
  return (
    <Box as="main" id="main" p="20px" maxWidth="640px" role="alert" data-page-failed>
      <Box as="h1" fontSize="title" fontWeight={600} pb="8px">
        This page could not be opened
      </Box>
      <Box pb="14px">
        {away
          ? "The server does not answer just now. The page opens by itself when it is back."
          : "Something went wrong while it was fetched or drawn."}{" "}
        What you typed is kept in this browser, and what was saved is saved.
      </Box>
      <Box display="flex" gap="14px" alignItems="center">
        <Press type="button" onClick={again}>
          Try again
        </Press>
        <Link to="/" reloadDocument>
          to the Board
        </Link>
      </Box>
    </Box>
  );
}
