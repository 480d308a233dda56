import { Box, chakra } from "@chakra-ui/react";
import { type ComponentType, createContext, memo, type ReactNode, useContext } from "react";

import type { Result, Schemas } from "../../shared/api";
import { colourOf } from "../../shared/marks";
import { Waits, WorkedFigure, WorkingPanel } from "../../shared/Working";

export type Option = Schemas["OptionAnswer"];
/** What every cell says of the option that it belongs to. */
export type Whose = Pick<Option, "letter" | "series" | "stop">;

interface Columns {
  count: number;
  sortedBy: string | null;
  sortBy: (row: string) => void;
}

const Context = createContext<Columns>({ count: 0, sortedBy: null, sortBy: () => undefined });

export const ColumnsProvider = Context.Provider;

/** The part of each option that a section shows; only when one of these changes is the section drawn again. */
export function pick<Key extends keyof Option>(options: readonly Option[], ...keys: Key[]): Pick<Option, Key>[] {
  return options.map((option) => Object.fromEntries(keys.map((key) => [key, option[key]])) as Pick<Option, Key>);
}

/** A section that is drawn again only when one of its cells, or another of its properties, has changed. */
export function memoByCells<Props extends { cells: readonly object[] }>(Section: ComponentType<Props>) {
  return memo(Section, ({ cells, ...rest }, { cells: now, ...next }) => sameCells(cells, now) && same(rest, next));
}

function sameCells(cells: readonly object[], now: readonly object[]) {
  return cells.length === now.length && cells.every((cell, index) => same(cell, now[index] ?? {}));
}

function same(one: object, other: object) {
  const now = other as Record<string, unknown>;
  const entries = Object.entries(one);
  return entries.length === Object.keys(now).length && entries.every(([key, value]) => Object.is(value, now[key]));
}

const LABEL_WIDTH = 118;
const COLUMN_WIDTH = 134;

/** The look of all rows and cells, said once: there are hundreds, and they follow what is dragged. */
const LOOK = {
  containerType: "inline-size",
  "& [data-row]": {
    display: "grid",
    gridTemplateColumns: `${LABEL_WIDTH}px repeat(var(--count), minmax(0, 1fr))`,
    columnGap: "12px",
    py: "1px",
    alignItems: "baseline",
  },
  "& [data-row~=start]": { alignItems: "start" },
  "& [data-row~=center]": { alignItems: "center" },
  "& [data-row~=heavy]": { borderTop: "1px solid", borderColor: "rule", py: "6px" },
  "& [data-question]": { position: "sticky", left: 0, background: "paper", zIndex: 1, fontSize: "small" },
  "& [data-row~=heavy] > [data-question] > b": { fontSize: "text", fontWeight: 600 },
  "& [data-question] > b": { fontWeight: 400 },
  "& [data-question] > span": { fontSize: "micro", color: "ink2" },
  "& [data-row~=heavy] > [data-question] > span": { display: { md: "block" } },
  "& [data-cell]": { minWidth: 0 },
  "& [data-cell=stopped]": {
    backgroundImage: "repeating-linear-gradient(-45deg, transparent 0 11px, var(--chakra-colors-hair) 11px 12px)",
  },
  "& [data-cell=alike] [data-standing]": { fontWeight: 400, color: "ink2" },
  // Two ends of a range do not fit beside each other in a narrow column.
  "& [data-cell] [data-figure=range]": { whiteSpace: "normal" },
  "& [data-letter]": { display: "none", fontWeight: 600, mr: "6px" },
  "@media (max-width: 560px)": {
    "& [data-row]": { gridTemplateColumns: "repeat(var(--count), minmax(0, 1fr))" },
    "& [data-question]": { gridColumn: "1 / -1", position: "static" },
    "& [data-cell=alike] [data-standing]": { fontWeight: 400, color: "ink2" },
    "& [data-letter]": { display: "inline" },
    // On a phone a band stands under its value.
    "& [data-figure-band]": { display: "block", fontSize: "0.8125rem" },
  },
};

/** The grid that every row of the comparison shares: the question first, then one column to an option. */
export function Grid({ children }: { children: ReactNode }) {
  const { count } = useContext(Context);
  const width = count > 4 ? LABEL_WIDTH + count * COLUMN_WIDTH : undefined;
  return (
    <Box overflowX="auto" mx={{ base: 0, md: "-4px" }} px={{ base: 0, md: "4px" }} css={LOOK} data-comparison>
      <div style={{ "--count": count, minWidth: width } as object}>{children}</div>
    </Box>
  );
}

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
  align?: "start" | "center";
  /** The row's name, where its columns can be put in its order. */
  sort?: string;
  children: ReactNode;
}

export function Row({ question, note, heavy = false, align, sort, children }: RowProps) {
  return (
    <div data-row={`${heavy ? "heavy" : ""} ${align ?? ""}`}>
      <div data-question>
        {question && <b>{question}</b>} {note && <span>{note}</span>}
        {sort && <SortBy row={sort} name={question ?? note ?? sort} />}
      </div>
      {children}
    </div>
  );
}

function SortBy({ row, name }: { row: string; name: string }) {
  const { sortedBy, sortBy } = useContext(Context);
  const word = sortedBy === row ? "in this order" : "sort";
  return (
    <Sort
      type="button"
      aria-pressed={sortedBy === row}
      aria-label={`${word}: the columns by ${name}`}
      onClick={() => sortBy(row)}
    >
      {word}
    </Sort>
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
export function Letter({ whose }: { whose: Whose }) {
  return (
    <span data-letter style={{ color: `var(--chakra-colors-${colourOf(whose.series)})` }}>
      {whose.letter}
    </span>
  );
}

/** A cell; one that does not differ from the yardstick's stands back, so that what differs is seen. */
export function Cell({ whose, children, alike }: { whose: Whose; children: ReactNode; alike?: boolean }) {
  return (
    <div data-cell={whose.stop ? "stopped" : alike ? "alike" : ""}>
      <Letter whose={whose} />
      {children}
    </div>
  );
}

export interface ResultCell extends Whose {
  result: Result;
}

/** The cells of a row of results. */
export function resultsOf(options: readonly Option[], of: (option: Option) => Result): ResultCell[] {
  return options.map((option) => ({
    letter: option.letter,
    series: option.series,
    stop: option.stop,
    result: of(option),
  }));
}

export function Worked({ name, cell }: { name: string; cell: ResultCell }) {
  return (
    <Cell whose={cell}>
      {cell.result.figure ? (
        <WorkedFigure name={`${name}-${cell.letter}`} result={cell.result} unit={false} />
      ) : (
        <Waits result={cell.result} />
      )}
    </Cell>
  );
}

/** The workings of a row, of which at most one is open. */
export function Panels({ name, cells }: { name: string; cells: readonly ResultCell[] }) {
  return (
    <InSight>
      {cells.map(({ letter, result }) => (
        <WorkingPanel key={letter} name={`${name}-${letter}`} result={result} />
      ))}
    </InSight>
  );
}

interface ResultRowProps extends Omit<RowProps, "children"> {
  name: string;
  cells: readonly ResultCell[];
}

/** A row of worked results with its workings under it. */
export const ResultRow = memoByCells(function ResultRow({ name, cells, ...row }: ResultRowProps) {
  return (
    <>
      <Row {...row}>
        {cells.map((cell) => (
          <Worked key={cell.letter} name={name} cell={cell} />
        ))}
      </Row>
      <Panels name={name} cells={cells} />
    </>
  );
});
