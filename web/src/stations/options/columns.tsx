import { Box, chakra } from "@chakra-ui/react";
import { createContext, type ReactNode, useContext } from "react";

import type { Result, Schemas } from "../../shared/api";
import { colourOf } from "../../shared/marks";
import { Micro } from "../../shared/parts";
import { Waits, WorkedFigure, WorkingPanel } from "../../shared/Working";

export type Option = Schemas["OptionAnswer"];

interface Columns {
  /** The options in the order in which they stand, as many as are shown. */
  shown: readonly Option[];
  sortedBy: string | null;
  sortBy: (row: string) => void;
}

const Context = createContext<Columns>({ shown: [], sortedBy: null, sortBy: () => undefined });

export const ColumnsProvider = Context.Provider;

export function useColumns(): Columns {
  return useContext(Context);
}

const LABEL_WIDTH = 118;
const COLUMN_WIDTH = 134;

/** What is withheld is hatched. */
export const HATCH = {
  backgroundImage: "repeating-linear-gradient(-45deg, transparent 0 11px, var(--chakra-colors-hair) 11px 12px)",
};
/** On a phone a band stands under its value. */
const BAND_BELOW = {
  "@media (max-width: 560px)": { "& [data-figure-band]": { display: "block", fontSize: "12px" } },
};

/** The grid that every row of the comparison shares: the question first, then one column to an option. */
export function Grid({ children }: { children: ReactNode }) {
  const { shown } = useColumns();
  return (
    <Box overflowX="auto" mx={{ base: 0, md: "-4px" }} px={{ base: 0, md: "4px" }} css={SEEN_FROM} data-comparison>
      <Box style={{ minWidth: shown.length > 4 ? LABEL_WIDTH + shown.length * COLUMN_WIDTH : undefined }}>
        {children}
      </Box>
    </Box>
  );
}

const SEEN_FROM = { containerType: "inline-size" };

/** What belongs to a row but not to a column keeps to the part of the comparison that is in sight. */
export function InSight({ children }: { children: ReactNode }) {
  return (
    <Box position="sticky" left="0" css={{ width: "min(100%, calc(100cqw - 8px))" }}>
      {children}
    </Box>
  );
}

interface RowProps {
  question?: string;
  note?: string;
  heavy?: boolean;
  align?: "baseline" | "center" | "start";
  /** The row's name, where its columns can be put in its order. */
  sort?: string;
  children: ReactNode;
}

export function Row({ question, note, heavy = false, align = "baseline", sort, children }: RowProps) {
  const { shown, sortedBy, sortBy } = useColumns();
  const columns = `repeat(${shown.length}, minmax(0, 1fr))`;
  return (
    <Box
      display="grid"
      css={{
        gridTemplateColumns: `${LABEL_WIDTH}px ${columns}`,
        "@media (max-width: 560px)": { gridTemplateColumns: columns },
      }}
      columnGap="12px"
      borderTop={heavy ? "1px solid" : undefined}
      borderColor="rule"
      py={heavy ? "6px" : "1px"}
      alignItems={align}
    >
      <Box
        gridColumn={{ base: "1 / -1", md: "auto" }}
        position={{ base: "static", md: "sticky" }}
        left="0"
        background="paper"
        zIndex={1}
      >
        {question && (
          <Box as="span" fontWeight={heavy ? 600 : 400} fontSize={heavy ? "text" : "small"}>
            {question}
          </Box>
        )}{" "}
        {note && <Micro display={{ base: "inline", md: heavy ? "block" : "inline" }}>{note}</Micro>}
        {sort && (
          <Sort
            type="button"
            aria-pressed={sortedBy === sort}
            aria-label={`${sortedBy === sort ? "in this order" : "sort"}: the columns by ${question || note || sort}`}
            onClick={() => sortBy(sort)}
          >
            {sortedBy === sort ? "in this order" : "sort"}
          </Sort>
        )}
      </Box>
      {children}
    </Box>
  );
}

const Sort = chakra("button", {
  base: {
    fontSize: "micro",
    color: "ink2",
    textDecoration: "underline",
    textUnderlineOffset: "3px",
    // A finger's height without making a dense row taller than its words.
    minHeight: "44px",
    my: "-12px",
    ml: "4px",
    "&[aria-pressed=true]": { color: "ink", fontWeight: 600 },
  },
});

/** Where the question stands above its columns, each cell says whose it is. */
export function Letter({ option }: { option: Option }) {
  return (
    <Box as="span" display={{ base: "inline", md: "none" }} color={colourOf(option.series)} fontWeight={600} mr="6px">
      {option.letter}
    </Box>
  );
}

export function Cell({ option, children, strong }: { option: Option; children: ReactNode; strong?: boolean }) {
  return (
    <Box css={option.stop ? HATCH : BAND_BELOW} minWidth={0} fontWeight={strong ? 600 : undefined}>
      <Letter option={option} />
      {children}
    </Box>
  );
}

export function Worked({ option, name, result }: { option: Option; name: string; result: Result }) {
  return (
    <Cell option={option}>
      {result.figure ? (
        <WorkedFigure name={`${name}-${option.letter}`} result={result} unit={false} />
      ) : (
        <Waits result={result} />
      )}
    </Cell>
  );
}

/** The workings of a row, of which at most one is open. */
export function Panels({ name, of }: { name: string; of: (option: Option) => Result }) {
  const { shown } = useColumns();
  return (
    <InSight>
      {shown.map((option) => (
        <WorkingPanel key={option.letter} name={`${name}-${option.letter}`} result={of(option)} />
      ))}
    </InSight>
  );
}

/** A row of worked results with its workings under it. */
export function ResultRow(props: Omit<RowProps, "children"> & { name: string; of: (option: Option) => Result }) {
  const { name, of, ...row } = props;
  const { shown } = useColumns();
  return (
    <>
      <Row {...row}>
        {shown.map((option) => (
          <Worked key={option.letter} option={option} name={name} result={of(option)} />
        ))}
      </Row>
      <Panels name={name} of={of} />
    </>
  );
}
