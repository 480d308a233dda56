import { Box } from "@chakra-ui/react";

import { useView } from "../../shared/job";
import { colourOf, InlineMark } from "../../shared/marks";
import { Micro, Word } from "../../shared/parts";
import { memoByCells, type Option, Row } from "./columns";

type Head = Pick<Option, "letter" | "id" | "kind" | "title" | "series" | "product">;

export const Heads = memoByCells(function Heads({ cells }: { cells: readonly Head[] }) {
  const { desk, view } = useView();
  const machines = view.document.duty?.machines?.si ?? 1;
  const alike = machines > 1 ? `; steps of one machine, years and money of all ${machines}` : "";
  return (
    <Row note={`compared with A, the machine put right${alike}`} align="start">
      {cells.map((option) => (
        <Box key={option.letter} pt="8px" minWidth={0}>
          <Box color={colourOf(option.series)} fontSize="figure" fontWeight={600}>
            <InlineMark series={option.series} /> {option.letter}
          </Box>
          <Box fontWeight={600} lineHeight="1.25">
            {option.title}
          </Box>
          {option.product && <Micro display="block">{option.product}</Micro>}
          {option.kind !== "keep" && (
            <Word
              type="button"
              mx="0"
              px="0"
              aria-label={`take out option ${option.letter}`}
              onClick={() => void desk.remove(`options/considered/${option.id}`)}
            >
              take out
            </Word>
          )}
        </Box>
      ))}
    </Row>
  );
});
