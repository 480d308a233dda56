import { Box } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { Link } from "react-router";

import { Press } from "../shared/parts";
import { say } from "../shared/say";

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
    document.title = say("page-failed-opened-modest");
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
        {say("page-failed-page-could")}
      </Box>
      <Box pb="14px">
        {say("page-failed-what-you", {
          away: away ? say("page-failed-server-does") : say("page-failed-something-went"),
        })}
      </Box>
      <Box display="flex" gap="14px" alignItems="center">
        <Press type="button" onClick={again}>
          {say("page-failed-try-again")}
        </Press>
        <Link to="/" reloadDocument>
          {say("page-failed-board")}
        </Link>
      </Box>
    </Box>
  );
}
