import { Box } from "@chakra-ui/react";
import { useEffect, useRef } from "react";
import { Link, useLocation } from "react-router";

import type { Schemas } from "../shared/api";
import { useGlossary } from "../shared/Explained";
import { Micro } from "../shared/parts";
import { ByStation } from "./ByStation";
import { say } from "../shared/say";

type Term = Schemas["Term"];

/** Every term in one sentence, by the station at which it is met; an address can name one. */
export function Glossary() {
  const glossary = useGlossary();
  const wanted = useLocation().hash.slice(1);
  return (
    <ByStation
      title={say("glossary-glossary")}
      items={glossary.data}
      error={glossary.error}
      row={(term) => <TermRow key={term.code} term={term} wanted={term.code === wanted} />}
    />
  );
}

/** One term; the one that the address names is brought into sight and takes the focus. */
function TermRow({ term, wanted }: { term: Term; wanted: boolean }) {
  const row = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!wanted) return;
    row.current?.scrollIntoView({ block: "center" });
    row.current?.focus({ preventScroll: true });
  }, [wanted]);
  return (
    <Box
      ref={row}
      id={term.code}
      tabIndex={-1}
      display="grid"
      gridTemplateColumns={{ base: "1fr", md: "minmax(0, 1fr) minmax(0, 2.6fr) minmax(0, 1.6fr)" }}
      gap="2px 20px"
      py="8px"
      px="6px"
      borderBottom="1px solid"
      borderColor="hair"
      background={wanted ? "desk" : undefined}
      scrollMarginTop="60px"
    >
      <Box fontWeight={600}>{term.term}</Box>
      <Box>
        {term.sentence} {term.working && <Link to={`/workings/${term.working}`}>{say("glossary-working")}</Link>}
      </Box>
      <Micro>{term.source}</Micro>
    </Box>
  );
}
