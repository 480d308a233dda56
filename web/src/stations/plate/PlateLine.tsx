import { Box } from "@chakra-ui/react";

import type { Schemas } from "../../shared/api";
import { factsOf, WordsField } from "../../shared/fields";
import { useJob } from "../../shared/job";
import { Micro, Press, Small } from "../../shared/parts";
import { Part } from "../../shared/Sheet";

type Piece = Schemas["LinePiece"];

/** The plate typed as one line: each piece as what it was taken for, what was not recognised marked in place. */
export function PlateLine() {
  const { desk, assessment } = useJob();
  const pieces = assessment.plate.line ?? [];
  const adds = assessment.plate.line_adds ?? [];
  const fill = async () => {
    await desk.keep("plate/line");
    await desk.fillPlate();
  };
  return (
    <Part title="Typed as one line" note={factsOf("plate/line").help}>
      <WordsField path="plate/line" placeholder="3/4 HP 208-230V 4.8A 1075RPM 60HZ 1PH 10uF 370VAC SF1.0 FR48Y INS B" />
      {pieces.length > 0 && (
        <Box
          display="flex"
          gap="4px 14px"
          flexWrap="wrap"
          py="6px"
          aria-label="What the line was taken for"
          role="list"
        >
          {pieces.map((piece, index) => (
            <PieceText key={index} piece={piece} />
          ))}
        </Box>
      )}
      {adds.length > 0 && (
        <Box display="flex" gap="14px" alignItems="center" flexWrap="wrap">
          <Press type="button" onClick={() => void fill()}>
            Fill the fields below
          </Press>
          <Small>{adds.join(", ")}; one undo takes it back.</Small>
        </Box>
      )}
    </Part>
  );
}

function PieceText({ piece }: { piece: Piece }) {
  const known = piece.taken_for && !piece.refused;
  return (
    <Box
      role="listitem"
      borderBottom={known ? "2px solid" : "2px dashed"}
      borderColor={known ? "ink" : "ochre"}
      data-piece={known ? "known" : "unknown"}
    >
      <Box as="span" fontWeight={600}>
        {piece.text}
      </Box>{" "}
      <Micro>{piece.refused ?? piece.taken_for ?? "not recognised: stays in the line"}</Micro>
    </Box>
  );
}
