import { Box, chakra } from "@chakra-ui/react";
import { scaleLinear } from "../shared/scale";
import { memo, Suspense, useMemo, useRef, useState } from "react";

import type { Figure, Schemas, Station } from "../shared/api";
import { unitOf } from "../shared/figures";
import type { OptionRow, OptionStep } from "../shared/found";
import { useFound, useSteps } from "../shared/job";
import { colourOf, InlineMark } from "../shared/marks";
import { Micro, Press, Small } from "../shared/parts";
import { useUnits } from "../shared/units";
import { FigureText } from "../shared/Words";
import { useFetched } from "./useFetched";
import { say } from "../shared/say";

/** Fetched where it is seen: on a phone the chart is opened, and most are not. */
const fetchChart = () => import("../shared/BalanceChart").then((chart) => chart.BalanceChart);

type Balance = Schemas["Balance"];
type Readout = Schemas["Readout"];

const SETS = "sets";
const MOST_SETS_SHOWN = 2;
const MOST_DRAWN = 3;

/** What the balance shows: the sets as read, or the options at one step of the year. */
interface Shown {
  group: string;
  setGroup: (group: string) => void;
  groups: { id: string; label: string }[];
  balance: Balance;
  readouts: Readout[];
  /** The options that can be drawn, and whether each is; empty where all are. */
  letters: { letter: string; series: string; drawn: boolean }[];
  /** Draw an option, or leave it out; the one drawn longest goes first. */
  draw: (letter: string) => void;
}

/** What the reader picked of the balance; kept while it is shut. */
interface Picks {
  group: string | null;
  drawn: string[] | null;
}

type Picking = readonly [Picks, (part: Partial<Picks>) => void];

function usePicks(): Picking {
  const [picks, setPicks] = useState<Picks>({ group: null, drawn: null });
  return [picks, (part) => setPicks((before) => ({ ...before, ...part }))];
}

/** The balance follows the work: what was read until Duty, then the options at a step that the reader picks. */
function useShown(station: Station, [{ group: picked, drawn }, pick]: Picking): Shown {
  const { balance, options } = useFound("balance", "options");
  const { rows, steps } = options;
  const groups = [
    { id: SETS, label: say("balance-pane-read") },
    ...steps.map((step, index) => ({
      id: step.id,
      label: step.name || say("balance-pane-step", { index: index + 1 }),
    })),
  ];
  const usual = ["duty", "options"].includes(station) ? (steps[0]?.id ?? SETS) : SETS;
  const group = picked && groups.some(({ id }) => id === picked) ? picked : usual;
  const ids = useMemo(() => (group === SETS ? [] : rows.map(({ id }) => id)), [group, rows]);
  const solvedAt = useSteps(ids);
  const own =
    group === SETS ? balance.readouts : rows.flatMap((option) => readoutOf(option, solvedAt[option.id] ?? [], group));
  const solved = own.filter((readout) => readout.flow).map((readout) => readout.label);
  const kept = (drawn ?? []).filter((letter) => solved.includes(letter));
  const letters = kept.length ? kept : solved.slice(0, MOST_DRAWN);
  const draw = (letter: string) =>
    pick({
      drawn: letters.includes(letter)
        ? letters.filter((one) => one !== letter)
        : [...letters, letter].slice(-MOST_DRAWN),
    });
  const shared = { group, setGroup: (to: string) => pick({ group: to }), groups, balance, draw };
  if (group === SETS) return { ...shared, readouts: own.slice(-MOST_SETS_SHOWN), letters: [] };
  return {
    ...shared,
    readouts: own.filter((readout) => letters.includes(readout.label)),
    letters: own
      .filter((readout) => readout.flow)
      .map(({ label, series }) => ({ letter: label, series, drawn: letters.includes(label) })),
  };
}

/** An option at a step, as a column of the strip of readouts. */
function readoutOf(option: OptionRow, steps: readonly OptionStep[], group: string): Readout[] {
  const step = steps.find(({ id }) => id === group);
  if (!step) return [];
  const { flow, speed, shaft_power, input_power, current } = step;
  const { letter: label, series } = option;
  return [{ id: `${label}-${group}`, label, series, group, flow, speed, shaft_power, input_power, current }];
}

/** The balance beside the sheet on a wide screen. */
export function BalancePane({ station }: { station: Station }) {
  const picking = usePicks();
  return (
    <>
      <Box display="flex" alignItems="baseline" gap="12px" minHeight="47px" pt="10px">
        <Box as="h2" fontSize="title" fontWeight={600}>
          {say("balance-pane-balance")}
        </Box>
        <Refining />
      </Box>
      <Suspense>
        <Picture station={station} picking={picking} />
      </Suspense>
    </>
  );
}

/** While a draft is typed the picture stands on the motor as last fitted; it says so until the fit to the draft is there. */
function Refining() {
  const { refining } = useFound("refining");
  return (
    <Small role="status" fontStyle="italic" data-refining>
      {refining ? say("balance-pane-being-refined") : ""}
    </Small>
  );
}

interface PictureProps {
  station: Station;
  picking: Picking;
}

function Picture({ station, picking }: PictureProps) {
  const shown = useShown(station, picking);
  const { group, setGroup, groups, balance, letters } = shown;
  const { part: Chart, failed } = useFetched(fetchChart);
  const isDrawn = (letter: string) => letters.every((one) => one.letter !== letter || one.drawn);
  const right = group !== SETS && balance.curves.some((curve) => curve.id === "system-right");
  const curves = balance.curves.filter(
    (curve) =>
      curve.id === (right ? "system-right" : "system") ||
      (curveGroup(curve.id) === group && isDrawn(curve.id.slice(0, curve.id.indexOf("-")))),
  );
  const points = balance.points.filter((point) => point.group === group && isDrawn(point.label));
  return (
    <>
      {groups.length > 1 && balance.curves.length > 0 && (
        <Box role="group" aria-label={say("balance-pane-what-balance")} display="flex" flexWrap="wrap" mb="6px" gap="0">
          {groups.map(({ id, label }) => (
            <GroupCell
              key={id}
              type="button"
              aria-pressed={group === id}
              chosen={group === id ? "yes" : undefined}
              onClick={() => setGroup(id)}
            >
              {label}
            </GroupCell>
          ))}
        </Box>
      )}
      {letters.length > MOST_DRAWN && (
        <Box
          role="group"
          aria-label={say("balance-pane-options-drawn")}
          display="flex"
          flexWrap="wrap"
          alignItems="center"
          mb="4px"
        >
          <Micro pr="4px">{say("balance-pane-drawn-three")}</Micro>
          {letters.map(({ letter, series, drawn }) => (
            <GroupCell
              key={letter}
              type="button"
              aria-pressed={drawn}
              chosen={drawn ? "yes" : undefined}
              onClick={() => shown.draw(letter)}
            >
              <Box as="span" color={colourOf(series)}>
                {letter}
              </Box>
            </GroupCell>
          ))}
        </Box>
      )}
      {Chart ? (
        <Chart
          flowQuantity={balance.flow_quantity}
          pressureQuantity={balance.pressure_quantity}
          curves={curves}
          points={points}
          waits={balance.waits}
        />
      ) : (
        <Box minHeight="400px">{failed && <Small role="status">{say("balance-pane-chart-waits")}</Small>}</Box>
      )}
      {curves.length > 0 &&
        balance.waits.map((words) => (
          <Small key={words} display="block" fontStyle="italic">
            {words}
          </Small>
        ))}
      <Readouts readouts={shown.readouts} balance={balance} />
    </>
  );
}

const GroupCell = chakra("button", {
  base: { minHeight: "44px", px: "9px", fontSize: "small", color: "ink2", maxWidth: "150px" },
  variants: { chosen: { yes: { color: "ink", fontWeight: 600, borderBottom: "3px solid", borderColor: "ink" } } },
});

function curveGroup(id: string) {
  return id === "found" ? SETS : id.slice(id.indexOf("-") + 1);
}

const ROWS = [
  { key: "flow", label: say("balance-pane-flow"), quantity: "airflow", waits: say("balance-pane-waits-flow") },
  { key: "speed", label: say("balance-pane-speed"), quantity: "speed", waits: say("balance-pane-waits-speed") },
  { key: "slip", label: say("balance-pane-slip"), quantity: "slip", waits: say("balance-pane-waits-speed-plate") },
  {
    key: "shaft_power",
    label: say("balance-pane-shaft-power"),
    quantity: "shaft_power",
    waits: say("balance-pane-waits-load"),
  },
  {
    key: "input_power",
    label: say("balance-pane-input-power"),
    quantity: "input_power",
    waits: say("balance-pane-waits-watts"),
  },
  { key: "current", label: say("balance-pane-amps"), quantity: "current", waits: say("balance-pane-waits-amps") },
] as const;

function quantityOfRow(row: (typeof ROWS)[number], balance: Balance) {
  return row.key === "flow" ? balance.flow_quantity : row.quantity;
}

function Readouts({ readouts, balance }: { readouts: Readout[]; balance: Balance }) {
  const { units, currency } = useUnits();
  const rows = ROWS.filter((row) => readouts.length === 0 || readouts.some((readout) => readout[row.key]));
  return (
    <Box
      as="table"
      width="100%"
      borderCollapse="collapse"
      mt="14px"
      borderTop="1px solid"
      borderColor="rule"
      css={readouts.length > 2 ? MANY_READOUTS : FEW_READOUTS}
    >
      <thead>
        <tr>
          <td />
          <td />
          {readouts.map((readout) => (
            <th key={readout.id}>
              <ReadoutHead series={readout.series} label={readout.label} />
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.key} data-row={row.key}>
            <th>{row.label}</th>
            <td data-unit>{unitOf(quantityOfRow(row, balance), units, currency)}</td>
            {readouts.map((readout) => (
              <td key={readout.id}>
                <Read figure={readout[row.key]} />
              </td>
            ))}
            {readouts.length === 0 && <td data-waits>{row.waits}</td>}
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

const ReadoutHead = memo(function ReadoutHead({ series, label }: { series: string; label: string }) {
  return (
    <Box as="span" color={colourOf(series)} fontSize="small">
      <InlineMark series={series} /> {label}
    </Box>
  );
});

const Read = memo(function Read({ figure }: { figure?: Figure | null | undefined }) {
  if (!figure) return <Micro>–</Micro>;
  return (
    <span data-read>
      <FigureText figure={figure} unit={false} />
    </span>
  );
});

/** The look of all cells of the readouts, said once for the table. */
const READOUTS = {
  "& th": { textAlign: "left", fontWeight: 400, fontSize: "small", py: "5px" },
  "& tbody tr": { borderTop: "1px solid", borderColor: "hair", verticalAlign: "baseline" },
  "& thead th, & tbody td:not([data-unit])": { pl: "6px" },
  "& td[data-unit]": { textAlign: "right", pr: "8px", fontSize: "micro", color: "ink2" },
};
const WAITS = { fontStyle: "italic", color: "ink2", fontSize: "small" };
const FEW_READOUTS = {
  ...READOUTS,
  "& td": { fontSize: "figure" },
  "& tr[data-row=flow] td": { fontSize: "flow" },
  "& td[data-unit], & tr[data-row=flow] td[data-unit]": READOUTS["& td[data-unit]"],
  "& td[data-waits], & tr[data-row=flow] td[data-waits]": WAITS,
  "& [data-read] > span > span + span": { fontSize: "0.84375rem" },
};
const MANY_READOUTS = {
  ...READOUTS,
  "& td": { fontSize: "text" },
  "& td[data-unit]": READOUTS["& td[data-unit]"],
  "& [data-read] > span > span + span": { display: "block", fontSize: "0.8125rem" },
};
const DOCK_READ = {
  "& [data-figure-uncertainty]": { fontSize: { base: "0.8125rem", md: "0.84375rem" } },
};

/** The balance over the sheet, and what opens it. */
function useOver(station: Station) {
  const picking = usePicks();
  const dialog = useRef<HTMLDialogElement>(null);
  const [open, setOpen] = useState(false);
  const show = () => {
    setOpen(true);
    dialog.current?.showModal();
  };
  const over = (
    <Over ref={dialog} aria-label={say("balance-pane-balance")} onClose={() => setOpen(false)}>
      <Box display="flex" justifyContent="space-between" alignItems="center" mb="6px">
        <Box as="h2" fontSize="title" fontWeight={600}>
          {say("balance-pane-balance")}
        </Box>
        <Press type="button" onClick={() => dialog.current?.close()}>
          {say("balance-pane-close")}
        </Press>
      </Box>
      {open && (
        <Suspense>
          <Picture station={station} picking={picking} />
        </Suspense>
      )}
    </Over>
  );
  return { show, over };
}

/** The set that the readouts of a folded balance tell: the newest. */
function latestOf(balance: Balance): Readout | undefined {
  return balance.readouts.filter((readout) => readout.group === SETS).at(-1);
}

const STRIP = ["flow", "input_power", "current", "speed"] as const;

/** Where a sheet needs the width, the balance is a slim strip: small, with four readouts; one press opens it over the sheet. */
export function BalanceStrip({ station }: { station: Station }) {
  const { balance } = useFound("balance");
  const { show, over } = useOver(station);
  const { units, currency } = useUnits();
  const { as_found: asFound } = useFound("as_found");
  const latest = balance.readouts.find((readout) => readout.id === asFound) ?? latestOf(balance);
  const rows = STRIP.flatMap((key) => ROWS.find((row) => row.key === key) ?? []);
  return (
    <Box
      as="aside"
      aria-label={say("balance-pane-balance")}
      display={{ base: "none", lg: "block" }}
      borderLeft="1px solid"
      borderColor="rule"
    >
      <Strip type="button" onClick={show} data-open-balance>
        <b>{say("balance-pane-balance")}</b>
        <Miniature balance={balance} />
        {rows.map((row) => (
          <Box key={row.key} py="7px" css={STRIP_READ}>
            <Read figure={latest?.[row.key]} />
            <Micro display="block">{unitOf(quantityOfRow(row, balance), units, currency) || row.label}</Micro>
          </Box>
        ))}
        <Box mt="auto" fontWeight={600} lineHeight="1.25">
          {say("balance-pane-open-balance")}
          {latest && (
            <Micro display="block" fontWeight={400}>
              {latest.label}
            </Micro>
          )}
        </Box>
      </Strip>
      {over}
    </Box>
  );
}

const SMALL = 64;

/** The machine's curve meeting the system's, without axes: the strip's own words tell the numbers. */
function Miniature({ balance }: { balance: Balance }) {
  const curves = balance.curves.filter((curve) => ["found", "system"].includes(curve.id));
  const points = balance.points.filter((point) => point.group === SETS);
  const reach = (values: number[]) => Math.max(...values, 0) || 1;
  const x = scaleLinear([0, reach(curves.flatMap((curve) => curve.flow))], [2, SMALL - 2]);
  const y = scaleLinear([0, reach(curves.flatMap((curve) => curve.pressure))], [SMALL - 2, 4]);
  return (
    <svg width={SMALL} height={SMALL} aria-hidden style={{ margin: "6px 0", overflow: "hidden" }}>
      <path d={`M1 0 V${SMALL - 1} H${SMALL}`} fill="none" stroke="var(--chakra-colors-rule)" />
      {curves.map((curve) => (
        <path
          key={curve.id}
          d={curve.flow.map((flow, n) => `${n ? "L" : "M"}${x(flow)} ${y(curve.pressure[n] ?? 0)}`).join(" ")}
          fill="none"
          stroke={`var(--chakra-colors-${colourOf(curve.series)})`}
          strokeWidth={curve.id === "found" ? 2.2 : 1.4}
        />
      ))}
      {points.map((point) => (
        <circle
          key={point.id}
          cx={x(point.flow.value)}
          cy={y(point.pressure.value)}
          r={3.5}
          fill="var(--chakra-colors-copper)"
        />
      ))}
    </svg>
  );
}

/** On narrow screens the balance is its readouts, and one touch opens it over the sheet. */
export function BalanceDock({ station }: { station: Station }) {
  const { balance } = useFound("balance");
  const { show, over } = useOver(station);
  const { units, currency } = useUnits();
  const latest = latestOf(balance);
  const order = ["flow", "current", "speed", "slip", "shaft_power", "input_power"] as const;
  const rows = order.map((key) => ROWS.find((row) => row.key === key)).filter((row) => row !== undefined);
  return (
    <>
      <Dock type="button" onClick={show} data-open-balance>
        {rows.map((row, index) => (
          <Box
            key={row.key}
            px="10px"
            py={{ base: "4px", md: "8px" }}
            textAlign="left"
            display={{ base: index > 2 ? "none" : "block", md: "block" }}
          >
            <Micro display={{ base: "none", md: "block" }}>
              {row.label}, {unitOf(quantityOfRow(row, balance), units, currency) || "–"}
            </Micro>
            <Box fontSize={{ base: "text", md: "figure" }} lineHeight="1.25" css={DOCK_READ}>
              <Read figure={latest?.[row.key]} />
              <Micro display={{ base: "inline", md: "none" }}>
                {" "}
                {unitOf(quantityOfRow(row, balance), units, currency) || row.label}
              </Micro>
            </Box>
          </Box>
        ))}
        <Box px="10px" py={{ base: "4px", md: "8px" }} fontWeight={600} textAlign="left" ml="auto" lineHeight="1.25">
          <Box as="span" srOnly={{ base: true, md: false }}>
            {say("balance-pane-open")}
          </Box>
          {say("balance-pane-balance-2")}
          {latest && (
            <Micro display={{ base: "none", md: "block" }} fontWeight={400}>
              {latest.label}
            </Micro>
          )}
        </Box>
      </Dock>
      {over}
    </>
  );
}

const STRIP_READ = {
  fontSize: "1.0625rem",
  "& [data-figure-uncertainty]": { display: "block", fontSize: "0.8125rem" },
};

const Strip = chakra("button", {
  base: {
    position: "sticky",
    top: "46px",
    height: "calc(100dvh - 46px)",
    width: "100%",
    overflowY: "auto",
    display: "flex",
    flexDirection: "column",
    alignItems: "flex-start",
    textAlign: "left",
    p: "12px 10px",
    background: "desk",
    _focusVisible: { outlineOffset: "-4px" },
  },
});

const Dock = chakra("button", {
  base: {
    display: { base: "flex", lg: "none" },
    position: "fixed",
    zIndex: 5,
    left: 0,
    right: 0,
    bottom: 0,
    minHeight: { base: "51px", md: "76px" },
    alignItems: { base: "center", md: "stretch" },
    background: "desk",
    borderTop: "2px solid",
    borderColor: "ink",
    "& > div + div": { borderLeft: "1px solid", borderColor: "hair" },
    _focusVisible: { outlineOffset: "-4px" },
  },
});

const Over = chakra("dialog", {
  base: {
    margin: 0,
    marginLeft: "auto",
    height: "100dvh",
    maxHeight: "100dvh",
    width: "100%",
    maxWidth: { base: "100%", md: "600px" },
    border: 0,
    borderLeft: "2px solid",
    borderColor: "ink",
    background: "paper",
    color: "ink",
    padding: "14px 20px",
    overflow: "auto",
    "&::backdrop": { background: "ink", opacity: 0.25 },
  },
});
