import { Box } from "@chakra-ui/react";

import { api, type Schemas, taken } from "../../shared/api";
import { WordsField } from "../../shared/fields";
import { useFound, useJob } from "../../shared/job";
import { Micro, Press, Small } from "../../shared/parts";
import { Part } from "../../shared/Sheet";
import { Help } from "../../shared/Help";
import { say } from "../../shared/say";

type Piece = Schemas["LinePiece"];

/** The plate typed as one line: each piece as what it was taken for, what was not recognised marked in place. */
export function PlateLine() {
  const { desk } = useJob();
  const { plate } = useFound("plate");
  const pieces = plate.line ?? [];
  const adds = plate.line_adds ?? [];
  const fill = async () => {
    await desk.keep("nameplate/line");
    await desk.fillPlate();
  };
  return (
    <Part title={say("plate-line-typed-one")} sentence={<Help path="nameplate/line" />}>
      <WordsField
        path="nameplate/line"
        lines={2}
        placeholder="HP 3/4 V 208-230 A 4.8 RPM 1075 HZ 60 PH 1 MFD 10 FR 48Y"
      />
      <SiteNumbers />
      {pieces.length > 0 && (
        <Box
          display="flex"
          gap="4px 14px"
          flexWrap="wrap"
          py="6px"
          aria-label={say("plate-line-what-line")}
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
            {say("plate-line-fill-fields")}
          </Press>
          <Small>{say("plate-line-one-undo", { adds: adds.join(", ") })}</Small>
        </Box>
      )}
    </Part>
  );
}

const STYLES = [
  { numbers: "point", said: "1,234.5" },
  { numbers: "comma", said: "1.234,5" },
] as const;

/** How numbers are written at this site; where nobody says it, a number that can be two is asked about. */
function SiteNumbers() {
  const { view, desk } = useJob();
  const keep = async (numbers: "point" | "comma") => {
    await taken(
      api.PUT("/api/jobs/{job_id}/site/numbers", {
        params: { path: { job_id: view.id } },
        body: { numbers: view.site_numbers === numbers ? null : numbers },
      }),
    );
    await desk.load();
  };
  return (
    <Box display="flex" gap="8px" alignItems="center" flexWrap="wrap" py="4px">
      <Small>{say("plate-line-numbers-site")}</Small>
      {STYLES.map(({ numbers, said }) => (
        <Press
          key={numbers}
          type="button"
          aria-pressed={view.site_numbers === numbers}
          textDecoration={view.site_numbers === numbers ? "underline" : "none"}
          onClick={() => void keep(numbers)}
        >
          {said}
        </Press>
      ))}
    </Box>
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
      <Micro>{piece.refused ?? piece.taken_for ?? say("plate-line-recognised-stays")}</Micro>
    </Box>
  );
}
