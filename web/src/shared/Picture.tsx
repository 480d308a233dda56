import { Box, chakra } from "@chakra-ui/react";
import { type ReactNode, useState } from "react";

import { Word } from "./parts";
import { say } from "./say";
import { numbersTag } from "./language";

type Cell = string | number | null;

interface PictureProps {
  /** What the picture shows; stands over it on paper, and names its table. */
  title: string;
  head: readonly string[];
  /** The values that are drawn, worked out when they are asked for. */
  rows: () => readonly (readonly Cell[])[];
  children: ReactNode;
}

/** A picture with its title on paper, and behind it the table of what it shows. */
export function Picture({ title, head, rows, children }: PictureProps) {
  const [open, setOpen] = useState(false);
  return (
    <figure style={{ margin: 0 }}>
      <Title>{title}</Title>
      {children}
      <Word type="button" mx="0" px="0" mt="-8px" data-screen-only aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? say("picture-without-table") : say("picture-table")}
      </Word>
      {open && (
        <Box overflow="auto" maxHeight={{ base: "50vh", _print: "none" }} tabIndex={0} role="group" aria-label={title}>
          <Table>
            <caption>{title}</caption>
            <thead>
              <tr>
                {head.map((name) => (
                  <th key={name} scope="col">
                    {name}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {rows().map((row, place) => (
                <tr key={place}>
                  {row.map((cell, column) => (
                    <td key={column}>{typeof cell === "number" ? written(cell) : (cell ?? "–")}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </Table>
        </Box>
      )}
    </figure>
  );
}

/** Four figures: finer than any line that is drawn. */
function written(value: number) {
  return value.toLocaleString(numbersTag(), { maximumSignificantDigits: 4 }).replace("-", "−");
}

const Title = chakra("figcaption", { base: { display: "none", fontWeight: 600, _print: { display: "block" } } });

const Table = chakra("table", {
  base: {
    borderCollapse: "collapse",
    fontSize: "small",
    fontVariantNumeric: "tabular-nums",
    "& caption": { textAlign: "left", fontWeight: 600, paddingBottom: "4px" },
    "& th": {
      textAlign: "right",
      fontWeight: 600,
      borderBottom: "1px solid",
      borderColor: "rule",
      verticalAlign: "bottom",
    },
    "& td": { textAlign: "right", borderBottom: "1px solid", borderColor: "hair" },
    "& th, & td": { paddingBlock: "4px", paddingInline: "10px" },
    "& th:first-of-type, & td:first-of-type": { textAlign: "left", paddingLeft: 0 },
  },
});
