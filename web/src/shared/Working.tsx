import { BasisWords } from "../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { memo, createContext, type ReactNode, useContext, useEffect, useMemo, useState } from "react";

import type { Result, Schemas } from "./api";
import { Micro, Word } from "./parts";
import { FigureText, PhraseText } from "./Words";
import { say } from "./say";
import { small } from "./casing";

interface OpenWorking {
  open: string | null;
  toggle: (name: string) => void;
}

const Context = createContext<OpenWorking>({ open: null, toggle: () => undefined });

/** At most one working is open on a sheet. */
export function WorkingProvider({ children }: { children: ReactNode }) {
  const [open, setOpen] = useState<string | null>(null);
  useEffect(() => {
    if (!open) return;
    // A field with a draft takes Esc for itself and stops it; from anywhere else it closes the working.
    const onKeyDown = (event: KeyboardEvent) => {
      if (event.key === "Escape") close(open, setOpen);
    };
    window.addEventListener("keydown", onKeyDown);
    return () => window.removeEventListener("keydown", onKeyDown);
  }, [open]);
  const value = useMemo(
    () => ({ open, toggle: (name: string) => setOpen((now) => (now === name ? null : name)) }),
    [open],
  );
  return <Context value={value}>{children}</Context>;
}

/** Close a working, and give the sheet back as it was: same scroll, focus on the figure. */
function close(name: string, setOpen: (open: null) => void) {
  setOpen(null);
  document.getElementById(openerId(name))?.focus({ preventScroll: true });
}

const Opener = chakra("button", {
  base: {
    minHeight: "44px",
    marginBlock: "-6px",
    textAlign: "inherit",
    whiteSpace: { md: "nowrap" },
    textDecoration: "underline dotted",
    textDecorationColor: "rule",
    textUnderlineOffset: "5px",
    _hover: { textDecorationColor: "ink" },
    _expanded: { textDecoration: "underline", textDecorationColor: "ink" },
  },
});

interface WorkedFigureProps {
  /** Unique on the sheet. */
  name: string;
  result: Result;
  unit?: boolean;
  /** Whether its working is fetched when it is opened. */
  later?: boolean;
}

/** Whether the working of a name is the open one. */
export function useIsOpen(name: string): boolean {
  return useContext(Context).open === name;
}

/** A worked-out figure: press it, and its working opens where the sheet has put it. */
export const WorkedFigure = memo(function WorkedFigure({ name, result, unit = true, later }: WorkedFigureProps) {
  const { open, toggle } = useContext(Context);
  if (!result.figure) return <Waits result={result} />;
  if (!result.working && !later) return <FigureText figure={result.figure} unit={unit} />;
  return (
    <Opener
      type="button"
      id={openerId(name)}
      aria-expanded={open === name}
      onClick={() => toggle(name)}
      title={say("working-how-worked", { result: small(result.label) })}
    >
      <span aria-hidden>= </span>
      <FigureText figure={result.figure} unit={unit} line={false} />
    </Opener>
  );
});

export function Waits({ result }: { result: Result }) {
  return (
    <Box as="span" fontStyle="italic" color="ink2" fontSize="small">
      {result.waits && <PhraseText phrase={result.waits} />}
    </Box>
  );
}

/** The working of a result, shown while its figure is open. */
export const WorkingPanel = memo(function WorkingPanel({ name, result }: { name: string; result: Result }) {
  const { open, toggle } = useContext(Context);
  if (open !== name || !result.working || !result.figure) return null;
  const shut = () => close(name, () => toggle(name));
  return (
    <Box
      role="region"
      aria-label={say("working-working", { result: result.label })}
      borderTop="2px solid"
      borderBottom="2px solid"
      borderColor="ink"
      py="8px"
      my="6px"
      textAlign="left"
      gridColumn="1 / -1"
    >
      <Box display="flex" justifyContent="space-between" alignItems="baseline" gap="14px">
        <Box fontWeight={600}>
          {result.label}: <FigureText figure={result.figure} />
        </Box>
        <Word type="button" onClick={shut}>
          {say("working-close")}
        </Word>
      </Box>
      <WorkingParts working={result.working} />
    </Box>
  );
});

/** Formula, values, uncertainty, remarks and source of a result. */
export function WorkingParts({ working }: { working: Schemas["Working"] }) {
  return (
    <>
      <Part title={say("working-formula")}>
        <Box fontSize="1.03125rem">
          <Formula text={working.formula} />
        </Box>
      </Part>
      <Part title={say("working-values")}>
        <Ingredients ingredients={working.ingredients} />
      </Part>
      <Shares shares={working.shares ?? {}} />
      {(working.remarks ?? []).map((remark) => (
        <Part key={remark} title="">
          {remark}
        </Part>
      ))}
      <Part title={say("working-source")}>{working.source}</Part>
    </>
  );
}

function openerId(name: string) {
  return `opens-${name}`;
}

/** A formula as the core writes it: what follows an underline is an index. */
function Formula({ text }: { text: string }) {
  return text.split(/_(\w+)/).map((piece, index) => (index % 2 === 1 ? <sub key={index}>{piece}</sub> : piece));
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "76px 1fr" }} gap="2px 8px" py="4px">
      <Micro pt="3px">{title}</Micro>
      <Box minWidth={0}>{children}</Box>
    </Box>
  );
}

function Ingredients({ ingredients }: { ingredients: Schemas["Ingredient"][] }) {
  return (
    <Box as="table" width="100%" borderCollapse="collapse" fontSize="small">
      <tbody>
        {ingredients.map((ingredient, index) => (
          <Box as="tr" key={index} borderBottom="1px solid" borderColor="hair" verticalAlign="baseline">
            <Box as="td" py="3px" pr="8px" fontStyle="italic" whiteSpace="nowrap">
              <Formula text={ingredient.symbol} />
            </Box>
            <Box as="td" py="3px" pr="8px">
              {ingredient.label}
            </Box>
            <Box as="td" py="3px" pr="8px" textAlign="right">
              <FigureText figure={ingredient.figure} />
            </Box>
            <Box as="td" py="3px" pr="8px" color="ink2">
              {BasisWords[ingredient.figure.basis ?? "worked-out"]}
            </Box>
            <Box as="td" py="3px" color="ink2" display={{ base: "none", md: "table-cell" }}>
              {ingredient.origin}
            </Box>
          </Box>
        ))}
      </tbody>
    </Box>
  );
}

const SMALLEST_TOLD_SHARE = 0.01;

function Shares({ shares }: { shares: Record<string, number> }) {
  const told = Object.entries(shares).filter(([, share]) => share >= SMALLEST_TOLD_SHARE);
  if (told.length === 0) return null;
  return (
    <Part title={say("working-band")}>
      {say("working-comes", {
        told: told.map(([source, share]) => `${source} (${Math.round(share * 100)} %)`).join(", "),
      })}
    </Part>
  );
}
