import { Fits as FitsWords } from "../../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, Suspense, useEffect, useMemo, useState } from "react";

import type { Schemas } from "../../shared/api";
import { unitOf } from "../../shared/figures";
import type { OptionRow } from "../../shared/found";
import { useFound, useJob } from "../../shared/job";
import { colourOf, InlineMark } from "../../shared/marks";
import { Micro, SeverityWord, Small } from "../../shared/parts";
import { onReveal } from "../../shared/reveal";
import { AxisTicks, BAR, SavingBar, type SavingsAxis, savingsAxis } from "../../shared/savings";
import { useUnits } from "../../shared/units";
import { useIsWide } from "../../shared/width";
import { FigureText, PhraseText } from "../../shared/Words";
import { Opened } from "./Opened";
import type { Picked } from "./picked";
import { say } from "../../shared/say";
import { unasked } from "../../shared/casing";

type Candidate = Schemas["CandidateAnswer"];

const COLUMNS_FROM = 1101;
const AXIS_IN_COLUMN_FROM = 561;

/** How the rows can be put in order; best saving first is the order that they come in. */
const ORDERS: Record<string, { label: string; of?: (one: Candidate) => number }> = {
  saving: { label: say("option-list-saving") },
  cost: { label: say("option-list-cost-fitted"), of: (one) => one.cost?.value ?? Infinity },
  payback: { label: say("option-list-payback"), of: (one) => one.payback.figure?.value ?? Infinity },
  letter: { label: say("option-list-letter"), of: (one) => one.letter.charCodeAt(0) },
};

/** The candidates, a row to each; the whole row opens in place. */
export function OptionList({ picked }: { picked: Picked }) {
  const { view } = useJob();
  const { units, currency } = useUnits();
  const { candidates, differences, options } = useFound("candidates", "differences", "options");
  const [order, setOrder] = useState("saving");
  const [open, setOpen] = useState<string | null>(null);
  const wide = useIsWide(COLUMNS_FROM);
  const column = useIsWide(AXIS_IN_COLUMN_FROM);
  const rows = useMemo(() => ordered(candidates, order), [candidates, order]);
  const axis = savingsAxis(
    rows.map((one) => one.saved.figure),
    units,
  );
  const told = new Map(options.rows.map((option) => [option.id, option]));
  const base = rows.find((one) => one.is_base)?.id ?? null;
  useEffect(
    () =>
      onReveal((path) => {
        const [, id] = /^options\/candidates\/([^/]+)\//.exec(path) ?? [];
        if (!id || id === open || !rows.some((one) => one.id === id)) return false;
        setOpen(id);
        return true;
      }),
    [rows, open],
  );
  const machines = view.document.duty?.machines?.si ?? 1;
  return (
    <Box as="section" aria-label={say("option-list-candidates")} data-options>
      <Head>
        <Box gridColumn={{ base: "1 / -1", md: "1 / 4" }}>
          <b>{say("option-list-saves")}</b>
          {say("option-list-year", { unitOf: unitOf("energy", units, currency) })}
          <Micro display={{ base: "inline", lg: "block" }}>
            {say("option-list-against", { against: options.against })}
          </Micro>
        </Box>
        <Box
          position="relative"
          height={`${BAR}px`}
          gridColumn={{ base: "1 / -1", md: "4", lg: "auto" }}
          fontSize="small"
          color="ink2"
        >
          <AxisTicks axis={axis} ends={column ? "middle" : "inside"} />
        </Box>
        {wide && (
          <>
            <Small textAlign="right">{say("option-list-saves-2")}</Small>
            <Small textAlign="right">
              {say("option-list-year-2", { currency: currency ?? say("option-list-money") })}
            </Small>
            <Small textAlign="right">{say("option-list-fitted", { unitOf: unitOf("cost", units, currency) })}</Small>
            <Small textAlign="right">{say("option-list-payback-years")}</Small>
          </>
        )}
      </Head>
      {rows.map((one) => {
        const option = told.get(one.id);
        return (
          <Box key={one.id} data-option={one.letter}>
            <OptionRow
              one={one}
              option={option}
              axis={axis}
              reach={column ? 3 : 0}
              wide={wide}
              open={open === one.id}
              setOpen={(yes) => setOpen(yes ? one.id : null)}
              picked={picked}
            />
            {open === one.id && (
              <Suspense fallback={<Small fontStyle="italic">{say("option-list-being-fetched")}</Small>}>
                <Opened id={one.id} base={base} />
              </Suspense>
            )}
          </Box>
        );
      })}
      <Box py="6px" display="flex" gap="4px 18px" flexWrap="wrap" alignItems="center">
        <Box data-differences flex="1 1 300px">
          <PhraseText phrase={differences} />
          {machines > 1 && <Small>{say("option-list-steps-one", { machines })}</Small>}
          {options.against_new && <Small>{say("option-list-costs-paybacks")}</Small>}
        </Box>
        <Box as="label" display="flex" alignItems="center" gap="8px" fontSize="small">
          {say("option-list-order")}
          <Order
            value={order}
            aria-label={say("option-list-order-candidates")}
            onChange={(event) => setOrder(event.target.value)}
          >
            {Object.entries(ORDERS).map(([name, { label }]) => (
              <option key={name} value={name}>
                {label}
              </option>
            ))}
          </Order>
        </Box>
      </Box>
    </Box>
  );
}

/** Rows in an order that was asked for; stopped ones stay last. */
function ordered(candidates: readonly Candidate[], order: string): readonly Candidate[] {
  const of = ORDERS[order]?.of;
  if (!of) return candidates;
  return [...candidates].sort((a, b) => Number(!!a.stop) - Number(!!b.stop) || of(a) - of(b));
}

interface OptionRowProps {
  one: Candidate;
  option: OptionRow | undefined;
  axis: SavingsAxis;
  reach: number;
  wide: boolean;
  open: boolean;
  setOpen: (open: boolean) => void;
  picked: Picked;
}

function OptionRow({ one, option, axis, reach, wide, open, setOpen, picked }: OptionRowProps) {
  const isPicked = picked.ids.includes(one.id);
  return (
    <Row data-chosen={one.chosen || undefined} data-open={open || undefined}>
      <Opener
        type="button"
        id={`option-${one.letter}`}
        aria-label={`${one.letter}, ${one.title}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        onKeyDown={(event) => rowKey(event, open, setOpen)}
      />
      <Pick data-pick={one.letter}>
        {!one.stop && (
          <input
            type="checkbox"
            checked={isPicked}
            onChange={() => picked.pick(one.id)}
            aria-label={say("option-list-lay-side", { letter: one.letter, one: one.title })}
          />
        )}
      </Pick>
      <Box color={colourOf(one.series)} fontWeight={600} whiteSpace="nowrap">
        <InlineMark series={one.series} /> {one.letter}
      </Box>
      <Box minWidth={0} lineHeight="1.25" fontWeight={one.chosen ? 600 : 400}>
        {one.title}
      </Box>
      <Box gridColumn={{ base: "2 / -1", md: "auto" }} gridRow={{ base: 2, md: "auto" }}>
        <SavingBar one={one} axis={axis} reach={reach} />
      </Box>
      <Figures one={one} wide={wide} />
      <Box as="span" aria-hidden fontSize="figure" textAlign="right" gridColumn="-2" gridRow="1">
        {open ? "−" : "+"}
      </Box>
      <Small gridColumn={{ base: "2 / -1", md: "3 / -1" }} lineHeight="1.3" data-fit>
        {one.chosen && <b>{say("option-list-chosen")}</b>}
        {one.stop && <SeverityWord severity="stop" />}
        {one.stop ? ` ${one.stop}` : [fitWords(one), one.limit ?? option?.upheld?.[0]].filter(Boolean).join(". ")}
      </Small>
    </Row>
  );
}

/** Whether it may be fitted: the first thing that is not known, or else the verdict. */
function fitWords(one: Candidate): string {
  return one.asks ? say("option-list-fit-known", { asks: unasked(one.asks) }) : FitsWords[one.fits];
}

/** What it saves in energy and money, costs and when that is back; on a narrow screen with their words beside them. */
function Figures({ one, wide }: { one: Candidate; wide: boolean }) {
  const { units, currency } = useUnits();
  if (one.stop)
    return (
      <Small
        fontStyle="italic"
        gridColumn={{ base: "4", md: "5", lg: "5 / 9" }}
        gridRow={{ base: 1, md: "auto" }}
        textAlign={{ base: "right", lg: "left" }}
      >
        {say("option-list-worked-out")}
      </Small>
    );
  const cost = one.cost ? <FigureText figure={one.cost} unit={false} /> : <Micro>–</Micro>;
  const back = one.payback.figure ? (
    <FigureText figure={one.payback.figure} unit={false} />
  ) : one.is_base ? null : (
    <Micro fontStyle="italic">
      <PhraseText phrase={one.payback.waits ?? []} />
    </Micro>
  );
  const saves = one.is_base ? (
    <Small fontStyle="italic">{say("option-list-baseline")}</Small>
  ) : one.saved.figure ? (
    <FigureText figure={one.saved.figure} unit={false} line={false} />
  ) : (
    <Micro fontStyle="italic">
      <PhraseText phrase={one.saved.waits ?? []} />
    </Micro>
  );
  if (wide)
    return (
      <>
        <Cell data-saves>{saves}</Cell>
        <Cell>{one.money.figure && <FigureText figure={one.money.figure} unit={false} line={false} />}</Cell>
        <Cell>{cost}</Cell>
        <Cell>{back}</Cell>
      </>
    );
  return (
    <>
      <Cell data-saves gridColumn={{ base: "4", md: "auto" }} gridRow={{ base: 1, md: "auto" }}>
        {saves}
      </Cell>
      <Box
        gridColumn={{ base: "2 / -1", md: "3 / -1" }}
        fontSize="small"
        css={{ "& > span + span::before": { content: '" · "' } }}
      >
        {one.money.figure && (
          <span>
            <FigureText figure={one.money.figure} unit={false} line={false} />
            {say("option-list-year-3", { currency: currency ?? "" })}
          </span>
        )}
        {one.cost && (
          <span>
            {say("option-list-fitted-2")}
            <FigureText figure={one.cost} unit={false} /> {unitOf("cost", units, currency)}
          </span>
        )}
        {one.payback.figure && (
          <span>
            {say("option-list-back")}
            {back}
            {say("option-list-years")}
          </span>
        )}
        {!one.payback.figure && <span>{back}</span>}
      </Box>
    </>
  );
}

/** → opens a row, ← and Esc close it, ↑ and ↓ go from row to row. */
function rowKey(event: KeyboardEvent<HTMLButtonElement>, open: boolean, setOpen: (open: boolean) => void) {
  if (event.key === "ArrowRight") setOpen(true);
  else if (event.key === "ArrowLeft" || (event.key === "Escape" && open)) setOpen(false);
  else if (event.key === "ArrowDown" || event.key === "ArrowUp") {
    const all = [...document.querySelectorAll<HTMLElement>("[data-options] button[id^='option-']")];
    all[all.indexOf(event.currentTarget) + (event.key === "ArrowDown" ? 1 : -1)]?.focus();
  } else return;
  event.preventDefault();
}

const GRID = {
  display: "grid",
  gridTemplateColumns: {
    base: "44px 40px minmax(0, 1fr) auto 22px",
    md: "44px 42px minmax(0, 1.2fr) minmax(130px, 1fr) 112px 22px",
    lg: "34px 42px minmax(0, 1.3fr) minmax(150px, 1fr) 116px 96px 100px 108px 20px",
  },
  gap: "0 8px",
  alignItems: "center",
} as const;

const Head = chakra("div", { base: { ...GRID, borderBottom: "1px solid", borderColor: "ink", minHeight: "34px" } });

const Row = chakra("div", {
  base: {
    ...GRID,
    position: "relative",
    minHeight: "48px",
    py: "3px",
    borderBottom: "1px solid",
    borderColor: "hair",
    "& > *:not(button, label)": { pointerEvents: "none" },
    _hover: { background: "desk" },
    "&[data-chosen]": { background: "desk", borderBottom: "3px solid", borderColor: "ink" },
    "&[data-open]": { background: "desk", borderColor: "rule" },
  },
});

/** What opens a row: it lies under the words of the whole row, and only the box to pick lies over it. */
const Opener = chakra("button", {
  base: { position: "absolute", inset: 0, _focusVisible: { outlineOffset: "-3px" } },
});

const Pick = chakra("label", {
  base: {
    position: "relative",
    zIndex: 1,
    minHeight: "44px",
    minWidth: "34px",
    display: "flex",
    alignItems: "center",
    justifyContent: "center",
    cursor: "pointer",
    gridRow: { md: "1 / 4", lg: "1 / 3" },
    "& input": {
      appearance: "none",
      width: "22px",
      height: "22px",
      margin: 0,
      border: "1.5px solid",
      borderColor: "ink",
      background: "paper",
      display: "grid",
      placeItems: "center",
    },
    "& input:checked::after": {
      content: '""',
      width: "6px",
      height: "12px",
      mb: "3px",
      border: "solid",
      borderColor: "ink",
      borderWidth: "0 2.5px 2.5px 0",
      transform: "rotate(42deg)",
    },
  },
});

const Cell = chakra("div", {
  base: { textAlign: "right", minWidth: 0, "& [data-figure=range]": { whiteSpace: "normal" } },
});

const Order = chakra("select", {
  base: { minHeight: "44px", border: "1px solid", borderColor: "rule", background: "paper", px: "8px" },
});
