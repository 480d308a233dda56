import { UnreadReason as UnreadReasonWords } from "../../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { scaleLinear } from "../../shared/scale";
import { useEffect, useRef, useState } from "react";

import { fields } from "../../generated/fields";
import { toldOf } from "../../app/SavedLine";
import type { Entry, Figure, Schemas } from "../../shared/api";
import type { Draft } from "../../shared/desk";
import { factsOf, QuantityField } from "../../shared/fields";
import { inUnits, unitOf, writeUncertainty, writeEntry } from "../../shared/figures";
import { useDeskState, useFound, useJob } from "../../shared/job";
import { Micro, Press, SeverityWord, Small, Word } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { FigureText } from "../../shared/Words";
import type { Field, Set } from "./rows";
import { say } from "../../shared/say";
import { small } from "../../shared/casing";
import { counted } from "../../shared/language";

type Step = Schemas["RoundStep"];
type Reason = Schemas["UnreadReason"];

const PHASES = ["isolated", "opened", "running"] as const;
const REASONS: readonly Reason[] = ["no-access", "unsafe", "no-meter", "absent"];
/** What the plate says of a reading. */
const ON_PLATE: Partial<Record<string, string>> = {
  voltage: "rated_voltage",
  current: "rated_current",
  speed: "rated_speed",
  capacitance: "run_capacitance",
};
/** The name under which the core tells the change of a reading. */
const CHANGE: Partial<Record<string, string>> = { airflow: "flow", water_flow: "flow" };

interface OneReadingProps {
  set: Set;
  /** The set before it, whose readings stand beside these. */
  before: Set | undefined;
  number: number;
  /** The reading that is taken now. */
  field: string;
  go: (field: string | null) => void;
}

/** One reading at a time, in the order that saves walks: its caution first, then the figure, then what it lies beside. */
export function OneReading({ set, before, number, field, go }: OneReadingProps) {
  const { desk } = useJob();
  const saved = useDeskState(desk, toldOf);
  const drafts = useDeskState(desk, (state) => state.drafts);
  const [asked, setAsked] = useState<string | null>(null); // the reading of which it is asked why it cannot be taken
  const place = useRef<HTMLDialogElement>(null);
  const { round } = useFound("round");
  const at = Math.max(
    round.findIndex((step) => step.field === field),
    0,
  );
  const step = round[at];
  useEffect(() => {
    if (!place.current?.open) place.current?.showModal();
    place.current?.querySelector("input")?.focus();
  }, [field]);
  if (!step) return null;
  const path = `readings/${set.id}/${step.field}`;
  const next = nextOf(round, set, at);
  const refused = round.filter((one) => one !== step && isRefused(drafts[`readings/${set.id}/${one.field}`]));
  const unread = set.unread?.find((one) => one.field === step.field && set[one.field as Field] == null);
  const onward = () => {
    void desk.keep(path);
    go(next?.field ?? null);
  };
  const cannot = (reason: Reason | null) => {
    const others = (set.unread ?? []).filter((one) => one.field !== step.field);
    void desk.choose(`readings/${set.id}/unread`, reason ? [...others, { field: step.field, why: reason }] : others);
    if (reason) go(next?.field ?? null);
  };
  return (
    <Page
      onClose={() => go(null)}
      aria-label={say("one-reading-set-2", { number, labelOf: labelOf(step) })}
      ref={place}
    >
      <Box
        display="flex"
        justifyContent="space-between"
        alignItems="center"
        gap="10px"
        borderBottom="1px solid"
        borderColor="rule"
      >
        <Word type="button" mx="0" onClick={() => go(null)} data-back>
          {say("one-reading-readings")}
        </Word>
        <Box fontWeight={600} minWidth={0}>
          {say("one-reading-set", { number, set: set.name ? `, ${set.name}` : "" })}
        </Box>
        <Small role="status" textAlign="right">
          {saved}
        </Small>
      </Box>
      {refused.map((one) => (
        <Box key={one.field} role="alert" borderTop="3px solid" borderColor="brick" pt="4px">
          <b>{say("one-reading-taken", { labelOf: labelOf(one) })}</b>{" "}
          <Word type="button" mx="0" onClick={() => go(one.field)}>
            {say("one-reading-see-why")}
          </Word>
        </Box>
      ))}
      <Progress round={round} set={set} at={at} go={go} />
      <Caution step={step} key={step.field} />
      <Box display="flex" justifyContent="space-between" alignItems="baseline" gap="10px" pt="10px">
        <Box as="h2" fontSize="1.625rem" fontWeight={600} lineHeight="1.15">
          {labelOf(step)}
        </Box>
        <Unit field={step.field} />
      </Box>
      <Box
        css={LARGE}
        pt="6px"
        onKeyDown={(event) => event.key === "Enter" && (event.preventDefault(), event.stopPropagation(), onward())}
      >
        <QuantityField path={path} label={labelOf(step)} />
      </Box>
      {unread && (
        <Box pt="6px">
          <b>{say("one-reading-cannot-read")}</b> {UnreadReasonWords[unread.why]}.{" "}
          <Word type="button" mx="0" onClick={() => cannot(null)}>
            {say("one-reading-can")}
          </Word>
        </Box>
      )}
      <Beside set={set} before={before} number={number} step={step} />
      <Feet>
        {asked === field ? (
          <>
            <Box gridColumn="1 / -1" fontWeight={600}>
              {say("one-reading-why")}
            </Box>
            {REASONS.map((reason) => (
              <Press key={reason} type="button" minHeight="56px" onClick={() => cannot(reason)}>
                {UnreadReasonWords[reason]}
              </Press>
            ))}
          </>
        ) : (
          <>
            <Press type="button" minHeight="56px" onClick={() => setAsked(field)}>
              {say("one-reading-cannot-read-2")}
            </Press>
            <Onward type="button" onClick={onward} data-onward>
              {next ? say("one-reading-next", { labelOf: small(labelOf(next)) }) : say("one-reading-done")}
            </Onward>
          </>
        )}
      </Feet>
    </Page>
  );
}

function isRefused(draft: Draft | undefined): boolean {
  return draft?.state === "refused" || draft?.state === "conflict";
}

/** The first reading after this one that is neither taken nor out of reach; those before it come after the last. */
function nextOf(round: readonly Step[], set: Set, at: number): Step | undefined {
  return [...round.slice(at + 1), ...round.slice(0, at)].find((step) => stateOf(step, set) === "open");
}

function stateOf(step: Step, set: Set): "read" | "out" | "open" {
  if (set[step.field as Field] != null) return "read";
  return set.unread?.some((one) => one.field === step.field) ? "out" : "open";
}

/** The reading to begin with: the first that is still open. */
export function firstOf(round: readonly Step[], set: Set): string | undefined {
  return (round.find((step) => stateOf(step, set) === "open") ?? round[0])?.field;
}

function labelOf(step: Step): string {
  return fields[`readings/*/${step.field}` as keyof typeof fields].label;
}

function Unit({ field }: { field: string }) {
  const { units, currency } = useUnits();
  return <Box fontSize="title">{unitOf(factsOf(`readings/x/${field}`).quantity ?? "", units, currency)}</Box>;
}

interface ProgressProps {
  round: readonly Step[];
  set: Set;
  at: number;
  go: (field: string) => void;
}

/** A tick to a reading, tall where one is, crossed where it cannot be read; every one of them leads to its reading. */
function Progress({ round, set, at, go }: ProgressProps) {
  const here = round[at];
  return (
    <Box display="flex" gap="18px" pt="6px" flexWrap="wrap">
      {PHASES.map((phase) => {
        const own = round.filter((step) => step.phase === phase);
        if (own.length === 0) return null;
        const isHere = here?.phase === phase;
        const done = own.filter((step) => stateOf(step, set) !== "open").length;
        const first = own.find((step) => stateOf(step, set) === "open") ?? own[0];
        return (
          <Box
            as="button"
            key={phase}
            minHeight="44px"
            textAlign="left"
            onClick={() => first && go(first.field)}
            aria-current={isHere ? "step" : undefined}
          >
            <Box fontSize="small" fontWeight={isHere ? 600 : 400} color={isHere ? "ink" : "ink2"}>
              {say("one-reading-of", { phase, done, own: own.length })}
            </Box>
            <svg width={own.length * 12} height="16" aria-hidden style={{ display: "block" }}>
              {own.map((step, index) => {
                const state = stateOf(step, set);
                const [tall, x] = [step === here, 5 + index * 12];
                return state === "open" && !tall ? (
                  <circle key={step.field} cx={x} cy={11} r={1.8} fill="currentColor" />
                ) : (
                  <line
                    key={step.field}
                    x1={x}
                    x2={x}
                    y1={tall ? 1 : 7}
                    y2={15}
                    stroke="currentColor"
                    strokeWidth={tall ? 6 : 2.4}
                    strokeDasharray={state === "out" ? "2 2" : undefined}
                  />
                );
              })}
            </svg>
          </Box>
        );
      })}
    </Box>
  );
}

/** The caution of this reading, before its figure; how it is taken stands behind one press. */
function Caution({ step }: { step: Step }) {
  const [more, setMore] = useState(false);
  return (
    <Box
      role="note"
      borderTop="2px solid"
      borderBottom="1px solid"
      borderColor="ochre"
      py="6px"
      mt="6px"
      display="flex"
      gap="10px"
    >
      <SeverityWord severity="caution" />
      <Box flex="1" minWidth={0}>
        {step.caution}
        {more && <Box pt="4px">{step.how}</Box>}
      </Box>
      <Word type="button" mx="0" px="4px" my="-8px" aria-expanded={more} onClick={() => setMore(!more)}>
        {more ? say("one-reading-less") : say("one-reading-how")}
      </Word>
    </Box>
  );
}

interface BesideProps {
  set: Set;
  before: Set | undefined;
  number: number;
  step: Step;
}

/** The set before and the plate, where this value lies between them, and whether the change is more than the meters tell. */
function Beside({ set, before, number, step }: BesideProps) {
  const { view } = useJob();
  const { sets } = useFound("sets");
  const { units } = useUnits();
  const { quantity = "" } = factsOf(`readings/x/${step.field}`);
  const now = (set[step.field as Field] ?? null) as Entry | null;
  const last = (before?.[step.field as Field] ?? null) as Entry | null;
  const plate = ((view.document.nameplate ?? {}) as Record<string, unknown>)[
    ON_PLATE[step.field] ?? ""
  ] as Entry | null;
  const answer = sets.find((one) => one.id === set.id);
  const uncertainty = answer?.uncertainties[step.field];
  const change = answer?.changes.find((one) => one.field === (CHANGE[step.field] ?? step.field));
  const marks = [
    { name: "now", label: say("one-reading-now"), entry: now, uncertainty },
    {
      name: "before",
      label: say("one-reading-set-before", { number: number - 1 }),
      entry: last,
      uncertainty: sets.find((one) => one.id === before?.id)?.uncertainties[step.field],
    },
    { name: "plate", label: say("one-reading-plate-mark"), entry: plate, uncertainty: undefined },
  ].flatMap(({ name, label, entry, uncertainty: half }) =>
    entry
      ? [
          {
            name,
            label,
            value: inUnits(quantity, entry.si, units),
            half: half ? inUnits(quantity, half, units) - inUnits(quantity, 0, units) : 0,
          },
        ]
      : [],
  );
  return (
    <>
      {(last ?? plate) && (
        <Box display="grid" gridTemplateColumns="1fr 1fr" gap="14px" pt="10px">
          {last && (
            <Box>
              <Micro display="block">
                {say("one-reading-set-3", { number: number - 1, before: before?.name ? `, ${before.name}` : "" })}
              </Micro>
              <Box fontSize="title">
                <b>{writeEntry(quantity, last, units).text}</b>
              </Box>
            </Box>
          )}
          {plate && (
            <Box borderLeft={last ? "1px solid" : 0} borderColor="hair" pl={last ? "14px" : 0}>
              <Micro display="block">{say("one-reading-plate")}</Micro>
              <Box fontSize="title">
                <b>{writeEntry(quantity, plate, units).text}</b>
              </Box>
            </Box>
          )}
        </Box>
      )}
      {marks.length > 1 && <Lies marks={marks} />}
      {now && uncertainty && (
        <Small display="block">
          {say("one-reading-meter", { writeBand: writeUncertainty(quantity, uncertainty, units) })}
        </Small>
      )}
      {now && change && <ChangeWords change={change.figure} beyond={change.beyond} from={number - 1} />}
    </>
  );
}

function ChangeWords({ change, beyond, from }: { change: Figure; beyond: boolean; from: number }) {
  return (
    <Box pt="4px" role="status">
      {beyond ? (
        <>
          {change.value > 0 && "+"}
          <FigureText figure={change} line={false} />
          {say("one-reading-set-more", { from })}
        </>
      ) : (
        say("one-reading-change-set", { from })
      )}
    </Box>
  );
}

interface Marked {
  name: string;
  label: string;
  value: number;
  half: number;
}

const LANE = 17;

/** Where the values lie on one line, each named in a lane of its own. */
function Lies({ marks }: { marks: readonly Marked[] }) {
  const ends = marks.flatMap(({ value, half }) => [value - half, value + half]);
  const [low, high] = [Math.min(...ends), Math.max(...ends)];
  const pad = (high - low || Math.abs(high) || 1) * 0.15;
  const x = scaleLinear([low - pad, high + pad], [8, 312]);
  const foot = marks.length * LANE + 6;
  return (
    <Svg viewBox={`0 0 320 ${foot + 20}`} aria-hidden>
      <line x1={0} x2={320} y1={foot} y2={foot} stroke="var(--chakra-colors-rule)" />
      {x.ticks(4).map((tick) => (
        <text key={tick} x={x(tick)} y={foot + 15} textAnchor="middle" fill="var(--chakra-colors-ink2)">
          {counted(tick)}
        </text>
      ))}
      {marks.map(({ name, label, value, half }, lane) => {
        const y = lane * LANE + 12;
        const at = x(value);
        return (
          <g key={name} color={name === "now" ? "var(--chakra-colors-ink)" : "var(--chakra-colors-copper)"}>
            {half > 0 && (
              <rect
                x={x(value - half)}
                width={Math.max(x(value + half) - x(value - half), 1)}
                y={foot - 8}
                height={8}
                fill="currentColor"
                opacity={0.24}
              />
            )}
            <line
              x1={at}
              x2={at}
              y1={y - 8}
              y2={foot}
              stroke="currentColor"
              strokeWidth={name === "now" ? 3 : 1.6}
              strokeDasharray={name === "plate" ? "2 3" : undefined}
            />
            <text
              x={at > 250 ? at - 5 : at + 5}
              y={y}
              textAnchor={at > 250 ? "end" : "start"}
              fill="currentColor"
              fontWeight={name === "now" ? 600 : 400}
            >
              {label}
            </text>
          </g>
        );
      })}
    </Svg>
  );
}

/** The large figure of one reading. */
const LARGE = {
  "& input": { fontSize: "3.5rem", lineHeight: 1.1, minHeight: "76px", borderBottomWidth: "3px" },
};

const Svg = chakra("svg", {
  base: { width: "100%", maxWidth: "460px", display: "block", fontSize: "0.8125rem", mt: "8px" },
});

const Page = chakra("dialog", {
  base: {
    width: "100%",
    maxWidth: "100%",
    height: "100dvh",
    maxHeight: "100dvh",
    margin: 0,
    border: 0,
    padding: "0 16px",
    background: "paper",
    color: "ink",
    overflowY: "auto",
    flexDirection: "column",
    "&[open]": { display: "flex" },
    "& > *": { width: "100%", maxWidth: "560px", mx: "auto" },
  },
});

/** The buttons stand at the foot, on the upper edge of a phone's keyboard. */
const Feet = chakra("div", {
  base: {
    mt: "auto",
    position: "sticky",
    bottom: 0,
    background: "paper",
    display: "grid",
    gridTemplateColumns: "1fr 1.5fr",
    gap: "10px",
    py: "10px",
  },
});

const Onward = chakra("button", {
  base: {
    minHeight: "56px",
    background: "ink",
    color: "paper",
    fontWeight: 600,
    textAlign: "center",
    px: "10px",
    _focusVisible: { outlineOffset: "3px" },
  },
});
