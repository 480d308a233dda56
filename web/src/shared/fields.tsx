import { Box, chakra, defineRecipe } from "@chakra-ui/react";
import { type KeyboardEvent, memo, useId } from "react";

import { fields, type FieldName } from "../generated/fields";
import { quantities, type QuantityName } from "../generated/quantities";
import type { Basis, Entry } from "./api";
import type { Draft, JobDesk } from "./desk";
import { unitOf, writeEntry } from "./figures";
import { useField } from "./job";
import { fieldName } from "./paths";
import { Micro, Word } from "./parts";
import { Picker } from "./Picker";
import { asLocal, zoneWord } from "./times";
import { useUnits } from "./units";
import { say } from "./say";

interface FieldFacts {
  label: string;
  /** Whether something is said of it when its label is pressed. */
  help?: boolean;
  /** The glossary's code of what is asked for. */
  term?: string;
  quantity?: string;
  basis?: Basis;
  choices?: readonly (string | number)[];
  /** What a person reads of each choice, where that is not the choice itself. */
  labels?: readonly string[];
  /** Whether it takes a time: kept as UTC, told and typed on the reader's clock. */
  time?: boolean;
}

/** Label, help, quantity and choices of the field at a path, as the core says them. */
export function factsOf(path: string): FieldFacts {
  return fields[fieldName(path) as FieldName];
}

/** What a person reads of a choice. */
export function wordsOf(facts: Pick<FieldFacts, "choices" | "labels">, choice: string | number): string {
  return facts.labels?.[facts.choices?.indexOf(choice) ?? -1] ?? String(choice);
}

/** A figure on a rule that says what it stands on; no box. */
const typed = defineRecipe({
  base: {
    display: "block",
    width: "100%",
    minHeight: "30px",
    background: "transparent",
    border: 0,
    borderBottom: "2px solid",
    borderColor: "ink",
    fontSize: "figure",
    fontWeight: 600,
    textAlign: "right",
    px: "2px",
    _focusVisible: { outlineOffset: "3px" },
    _placeholder: { fontSize: "small" },
  },
  variants: {
    standing: {
      empty: { borderBottom: "1px solid", borderColor: "rule" },
      measured: {},
      typed: {},
      "worked-out": {},
      plate: { borderTop: "1.5px solid", borderBottom: "1.5px solid" },
      estimated: { borderBottomStyle: "dashed" },
      assumed: { borderBottomStyle: "dotted", fontStyle: "italic" },
    },
    trouble: { yes: { borderColor: "brick", borderBottomWidth: "3px" } },
    words: { yes: { textAlign: "left", fontSize: "text", fontWeight: 400, minHeight: "44px" } },
  },
});

const Typed = chakra("input", typed);
const TypedLines = chakra("textarea", typed);

interface FieldProps {
  path: string;
  /** What a screen reader says; the field's own label unless the row needs more. */
  label?: string;
  /** A word under the rule, where several figures share a row. */
  micro?: string;
}

interface QuantityFieldProps extends FieldProps {
  /** Half the 95 % interval in SI, from the core. */
  uncertainty?: string | null;
}

/** The only numeric input: keeps what is typed until it is left, understands units, and is empty when empty. */
export const QuantityField = memo(function QuantityField({ path, label, micro, uncertainty }: QuantityFieldProps) {
  const { value, draft, desk } = useField<Entry>(path);
  const { units, currency } = useUnits();
  const facts = factsOf(path);
  const quantity = facts.quantity ?? "";
  const shown = value ? writeEntry(quantity, value, units) : { text: "", typed: null };
  const standing = draft || value ? (facts.basis ?? "typed") : "empty";
  const unit = unitOf(quantity, units, currency);
  // A phone brings up its number keys, unless a sign, a fraction or a unit is usual there.
  const letters = quantities[quantity as QuantityName]?.letters ?? true;
  return (
    <FieldFrame
      path={path}
      draft={draft}
      desk={desk}
      beside={uncertainty}
      under={shown.typed && say("fields-typed", { typed: shown.typed })}
    >
      {(described) => (
        <Box as="label" display="flex" flexDirection="column" justifyContent="center" minHeight="44px" cursor="text">
          <Typed
            {...inputProps(path, desk, draft, shown.text)}
            {...described}
            data-field={path}
            aria-label={`${label ?? facts.label}${unit ? `, ${unit}` : ""}`}
            standing={standing}
            trouble={isTrouble(draft) ? "yes" : undefined}
            inputMode={letters ? "text" : "decimal"}
          />
          {micro && (
            <Micro display="block" textAlign="right">
              {micro}
            </Micro>
          )}
        </Box>
      )}
    </FieldFrame>
  );
});

/** Words, on one line or several. */
export const WordsField = memo(function WordsField({
  path,
  label,
  lines = 1,
  placeholder,
}: FieldProps & { lines?: number; placeholder?: string }) {
  const { value, draft, desk } = useField<string>(path);
  const facts = factsOf(path);
  const standing = draft || value ? "typed" : "empty";
  const shown = facts.time && value ? asLocal(value) : (value ?? "");
  const { type, ...common } = inputProps(path, desk, draft, shown);
  const said = {
    "aria-label": label ?? facts.label,
    "data-field": path,
    placeholder,
    words: "yes",
    standing,
  } as const;
  return (
    <FieldFrame
      path={path}
      draft={draft}
      desk={desk}
      under={facts.time && value ? zoneWord(new Date(`${value.replace(" ", "T")}Z`)) : null}
    >
      {(described) =>
        lines > 1 ? (
          <TypedLines {...common} {...said} {...described} rows={lines} resize="vertical" />
        ) : (
          <Typed type={type} {...common} {...said} {...described} />
        )
      }
    </FieldFrame>
  );
});

const MOST_IN_A_LINE = 7;

/** One of a few answers. */
export function ChoiceField({ path, label, said }: FieldProps & { said?: (choice: string | number) => string }) {
  const { value, desk } = useField<string | number>(path);
  const facts = factsOf(path);
  const choices = facts.choices ?? [];
  return (
    <Box
      role="radiogroup"
      aria-label={label ?? facts.label}
      data-field={path}
      tabIndex={-1}
      display={choices.length > MOST_IN_A_LINE ? "grid" : "flex"}
      gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(3, 1fr)" }}
      gap={choices.length > MOST_IN_A_LINE ? "1px" : undefined}
      background={choices.length > MOST_IN_A_LINE ? "hair" : undefined}
      flexWrap="wrap"
      border="1px solid"
      borderColor="rule"
      width="fit-content"
      maxWidth="100%"
    >
      {choices.map((choice) => (
        <Cell
          key={choice}
          role="radio"
          aria-checked={choice === value}
          tabIndex={choice === (value ?? choices[0]) ? 0 : -1}
          chosen={choice === value ? "yes" : undefined}
          many={choices.length > MOST_IN_A_LINE ? "yes" : undefined}
          onClick={() => void desk.choose(path, choice === value ? null : choice)}
          onKeyDown={moveInGroup}
        >
          {said ? said(choice) : wordsOf(facts, choice)}
        </Cell>
      ))}
    </Box>
  );
}

/** Any number of a few answers. */
export function ChoicesField({ path, label }: FieldProps) {
  const { value, desk } = useField<string[]>(path);
  const facts = factsOf(path);
  const chosen = value ?? [];
  const toggle = (choice: string) =>
    void desk.choose(path, chosen.includes(choice) ? chosen.filter((one) => one !== choice) : [...chosen, choice]);
  return (
    <Box
      role="group"
      aria-label={label ?? facts.label}
      data-field={path}
      display="grid"
      gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(4, 1fr)" }}
      gap="1px"
      background="hair"
      border="1px solid"
      borderColor="rule"
      width="fit-content"
      maxWidth="100%"
    >
      {(facts.choices ?? []).map((choice) => (
        <Cell
          key={choice}
          role="checkbox"
          aria-checked={chosen.includes(String(choice))}
          chosen={chosen.includes(String(choice)) ? "yes" : undefined}
          many="yes"
          onClick={() => toggle(String(choice))}
        >
          {wordsOf(facts, choice)}
        </Cell>
      ))}
    </Box>
  );
}

/** One of many answers, where cells would not fit. */
export const SelectField = memo(function SelectField({
  path,
  label,
  empty = say("fields-said"),
}: FieldProps & { empty?: string }) {
  const { value, desk } = useField<string>(path);
  const facts = factsOf(path);
  return (
    <Picker
      aria-label={label ?? facts.label}
      data-field={path}
      value={value ?? ""}
      onChange={(event) => void desk.choose(path, event.target.value || null)}
    >
      <option value="">{empty}</option>
      {(facts.choices ?? []).map((choice) => (
        <option key={choice} value={choice}>
          {wordsOf(facts, choice)}
        </option>
      ))}
    </Picker>
  );
});

const Cell = chakra("button", {
  base: {
    minHeight: "44px",
    minWidth: "44px",
    px: "14px",
    py: "6px",
    borderRight: "1px solid",
    borderColor: "hair",
    boxShadow: "none",
    _last: { borderRight: 0 },
    _hover: { background: "desk" },
    _focusVisible: { outlineOffset: "-3px" },
  },
  variants: {
    many: {
      yes: { background: "paper", borderRight: 0, _last: { gridColumn: { base: "1 / -1", md: "auto" } } },
    },
    chosen: {
      yes: { background: "desk", fontWeight: 600, borderBottom: "3px solid", borderBottomColor: "ink" },
    },
  },
});

/** Arrow keys walk a group of answers; Space or Enter takes one. */
function moveInGroup(event: KeyboardEvent<HTMLButtonElement>) {
  const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key];
  if (!step || event.altKey) return;
  event.preventDefault();
  const cells = [...(event.currentTarget.parentElement?.children ?? [])] as HTMLElement[];
  cells[(cells.indexOf(event.currentTarget) + step + cells.length) % cells.length]?.focus();
}

function inputProps(path: string, desk: JobDesk, draft: Draft | undefined, shown: string) {
  return {
    type: "text",
    autoComplete: "off",
    spellCheck: false,
    value: draft?.text ?? shown,
    onFocus: () => desk.enter(path),
    onChange: (event: { target: { value: string } }) => desk.type(path, event.target.value),
    onBlur: () => desk.leave(path, shown),
    onKeyDown: (event: KeyboardEvent) => {
      if (event.key === "Escape" && desk.snapshot().drafts[path]) {
        event.stopPropagation();
        desk.drop(path);
      }
    },
  };
}

function isTrouble(draft: Draft | undefined) {
  return draft?.state === "refused" || draft?.state === "conflict";
}

interface Described {
  "aria-invalid"?: true;
  "aria-describedby"?: string;
}

interface FieldFrameProps {
  path: string;
  draft: Draft | undefined;
  desk: JobDesk;
  /** What stands at the right of the figure, where there is room for it. */
  beside?: string | null | undefined;
  /** What stands under the figure. */
  under?: string | null | undefined;
  children: (described: Described) => React.ReactNode;
}

/** What stands round every field: its uncertainty, what was typed in another unit, and why it was not taken. */
function FieldFrame({ path, draft, desk, beside, under, children }: FieldFrameProps) {
  const id = useId();
  const trouble = isTrouble(draft);
  return (
    <Box minWidth={0}>
      <Box display="flex" alignItems="center" gap="0 8px" flexWrap="wrap">
        <Box flex="1 1 90px" minWidth={0}>
          {children(trouble ? { "aria-invalid": true, "aria-describedby": id } : {})}
        </Box>
        {beside && !trouble && (
          <Micro minWidth="52px" whiteSpace="nowrap">
            {beside}
          </Micro>
        )}
      </Box>
      {under && !trouble && (
        <Micro display="block" textAlign="right">
          {under}
        </Micro>
      )}
      {trouble && (
        <Box id={id} role="alert" fontSize="small" color="brick" fontWeight={600} mt="4px" overflowWrap="anywhere">
          {draft?.sentence}
          <Word type="button" display="block" onClick={() => desk.drop(path)}>
            {say("fields-put-back")}
          </Word>
        </Box>
      )}
    </Box>
  );
}
