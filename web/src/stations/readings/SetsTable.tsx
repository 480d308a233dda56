import { UnreadReason as UnreadReasonWords } from "../../generated/labels";
import { Box } from "@chakra-ui/react";
import { memo, type ReactNode, useMemo } from "react";

import type { Schemas } from "../../shared/api";
import { ExplainedHeading, ExplainedLabel } from "../../shared/Explained";
import { factsOf, QuantityField, SelectField, WordsField } from "../../shared/fields";
import { Fold } from "../../shared/Fold";
import { unitOf, writeUncertainty } from "../../shared/figures";
import { useJob } from "../../shared/job";
import { Micro, Word } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { FigureText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { type Field, FIRST, GROUPS, type Row, type Set } from "./rows";
import { say } from "../../shared/say";

type Answer = Schemas["SetAnswer"];

interface SetsTableProps {
  /** All sets of the job, and of them those that are shown, in their order; the last is told against the one before it. */
  all: Set[];
  sets: Set[];
  answers: Answer[];
  machineType: Schemas["MachineType"] | null;
  current: string | null;
}

/** Sets side by side, labels on the left, what changed on the right; on a phone the labels stand above. */
export function SetsTable({ all, sets, answers, machineType, current }: SetsTableProps) {
  const machine = machineType === "pump" ? "pump" : "fan";
  const numberOf = (set: Set) => all.indexOf(set) + 1;
  const newest = sets.at(-1);
  const compares = newest !== undefined && numberOf(newest) > 1;
  const columns = `repeat(${sets.length}, minmax(128px, 1fr))`;
  const rules = useMemo(
    () =>
      tableRules({
        base: columns,
        md: `104px ${columns}${compares ? " 104px" : ""}`,
        lg: `120px ${columns}${compares ? " 112px" : ""}`,
      }),
    [columns, compares],
  );
  const answerOf = (set: Set) => answers.find((answer) => answer.id === set.id);
  const last = newest && answerOf(newest);
  const shared = { sets, numberOf, current, answerOf, last: compares ? last : undefined };
  return (
    <Box overflowX="auto" role="group" aria-label={say("sets-table-sets-readings")} css={rules}>
      <Line label={say("sets-table-set")} change={compares ? <ChangeHead to={numberOf(newest)} /> : null}>
        {sets.map((set) => (
          <Cell key={set.id} current={set.id === current}>
            <SetHead set={set} number={numberOf(set)} />
          </Cell>
        ))}
      </Line>
      <Rows rows={FIRST[machine]} {...shared} />
      <Line label={say("sets-table-slip-now")} change={null}>
        {sets.map((set) => (
          <Cell key={set.id} current={set.id === current}>
            <Worked name={`slip-${set.id}`} result={answerOf(set)?.slip} />
          </Cell>
        ))}
      </Line>
      {answers.some((answer) => answer.flow_by_power.figure) && answers.every((answer) => !answer.flow) && (
        <Line label={say("sets-table-flow-power")} change={null}>
          {sets.map((set) => (
            <Cell key={set.id} current={set.id === current}>
              <Worked name={`flow-${set.id}`} result={answerOf(set)?.flow_by_power} />
            </Cell>
          ))}
        </Line>
      )}
      {GROUPS.filter((group) => !group.machine || group.machine === machine).map((group) => (
        <Fold
          key={group.title}
          title={group.title}
          note={readNote(group.rows, sets) ?? group.note}
          holds={(path) => group.rows.some((row) => row.fields.some(({ field }) => path.endsWith(`/${field}`)))}
          startsOpen={readNote(group.rows, sets) !== null && !group.folded}
        >
          <Rows rows={group.rows} {...shared} />
        </Fold>
      ))}
      {answers.map((answer) => (
        <Box key={answer.id}>
          <WorkingPanel name={`flow-${answer.id}`} result={answer.flow_by_power} />
          <WorkingPanel name={`pressure-${answer.id}`} result={answer.pressure} />
          <WorkingPanel name={`slip-${answer.id}`} result={answer.slip} />
        </Box>
      ))}
    </Box>
  );
}

/** How many readings stand in some rows, or nothing where none does. */
function readNote(rows: Row[], sets: Set[]): string | null {
  const fields = rows.flatMap((row) => row.fields.map(({ field }) => field));
  const count = sets.flatMap((set) => fields.filter((field) => set[field] != null)).length;
  const out = sets.flatMap((set) => (set.unread ?? []).filter((one) => fields.includes(one.field as Field))).length;
  const told = [count ? say("sets-table-entries", { count }) : "", out ? say("sets-table-read", { out }) : ""];
  return told.filter(Boolean).join(", ") || null;
}

interface RowsProps {
  rows: Row[];
  sets: Set[];
  numberOf: (set: Set) => number;
  current: string | null;
  answerOf: (set: Set) => Answer | undefined;
  /** The last answer, where a column tells what changed. */
  last: Answer | undefined;
}

function Rows({ rows, sets, numberOf, current, answerOf, last }: RowsProps) {
  return rows.map((row) => (
    <Line
      key={row.label}
      label={row.label}
      unit={row.fields[0]?.field}
      change={last && row.change ? <ChangeCell answer={last} name={row.change} /> : null}
    >
      {sets.map((set) => (
        <SetCell
          key={set.id}
          row={row}
          set={set}
          number={numberOf(set)}
          uncertainty={uncertaintyOf(row, answerOf(set))}
          pressure={row.fields.length > 1 ? answerOf(set)?.pressure : undefined}
          current={set.id === current}
        />
      ))}
    </Line>
  ));
}

function uncertaintyOf(row: Row, answer: Answer | undefined): number | undefined {
  const [first, second] = row.fields;
  return first && !second ? answer?.uncertainties[first.field] : undefined;
}

type GridColumns = Record<"base" | "md" | "lg", string>;

interface LineProps {
  label: string;
  unit?: Field | undefined;
  change: ReactNode;
  children: ReactNode;
}

function Line({ label, unit, change, children }: LineProps) {
  return (
    <div data-line>
      <LineLabel label={label} unit={unit} change={change} />
      {children}
      {change && <div data-change>{change}</div>}
    </div>
  );
}

const LineLabel = memo(function LineLabel({ label, unit, change }: Omit<LineProps, "children">) {
  const { units } = useUnits();
  const quantity = unit && factsOf(`readings/x/${unit}`).quantity;
  return (
    <div data-label>
      {unit && factsOf(`readings/x/${unit}`).label === label ? (
        <ExplainedLabel path={`readings/x/${unit}`} />
      ) : (
        <ExplainedHeading label={label} />
      )}
      {quantity && <Micro>{unitOf(quantity, units)}</Micro>}
      {change && <span data-change-narrow>{change}</span>}
    </div>
  );
});

function Cell({ current, children }: { current: boolean; children: ReactNode }) {
  return <div data-cell={current ? "current" : ""}>{children}</div>;
}

/** The table's look, said once for all its lines and cells: hundreds of styled elements would make it slow to type in. */
function tableRules(columns: GridColumns) {
  return {
    "& [data-line]": {
      display: "grid",
      gridTemplateColumns: columns,
      columnGap: "14px",
      borderBottom: "1px solid",
      borderColor: "hair",
      minHeight: "49px",
      minWidth: "fit-content",
    },
    "& [data-label]": {
      gridColumn: { base: "1 / -1", md: "auto" },
      display: "flex",
      alignItems: "center",
      flexWrap: "wrap",
      gap: "0 6px",
      alignContent: "center",
    },
    "& [data-change-narrow]": { display: { base: "inline", md: "none" }, marginLeft: "auto" },
    "& [data-change]": { display: { base: "none", md: "block" }, py: "8px" },
    "& [data-cell]": { px: "8px", py: "4px", minWidth: 0 },
    "& [data-cell=current]": { background: "desk" },
  };
}

const SetHead = memo(function SetHead({ set, number }: { set: Set; number: number }) {
  const { desk } = useJob();
  return (
    <>
      <Box display="flex" alignItems="center" gap="6px">
        <b>{number}</b>
        <Box flex={1} minWidth={0}>
          <WordsField
            path={`readings/${set.id}/name`}
            label={say("sets-table-set-what", { number })}
            placeholder={say("sets-table-what")}
          />
        </Box>
      </Box>
      <Box display="flex" gap="0 8px" flexWrap="wrap" pt="4px">
        <Box flex="1 1 110px">
          <SelectField
            path={`readings/${set.id}/tap`}
            label={say("sets-table-set-speed", { number })}
            empty={say("sets-table-speed-tap")}
          />
        </Box>
        <Box display="flex" gap="14px" alignItems="center">
          {set.stage === "after" && <b>{say("sets-table-after")}</b>}
          <Word
            type="button"
            onClick={() => void desk.add("readings", set.id)}
            aria-label={say("sets-table-copy-set", { number })}
            mx="0"
            px="0"
          >
            {say("sets-table-copy")}
          </Word>
          <Word
            type="button"
            onClick={() => void desk.remove(`readings/${set.id}`)}
            aria-label={say("sets-table-remove-set", { number })}
            mx="0"
            px="0"
          >
            {say("sets-table-remove")}
          </Word>
        </Box>
      </Box>
    </>
  );
});

interface SetCellProps {
  row: Row;
  set: Set;
  number: number;
  /** Half the uncertainty of the row's reading, in the unit used inside; pairs show theirs at their total. */
  uncertainty: number | undefined;
  pressure: Schemas["Result"] | undefined;
  current: boolean;
}

/** One row's readings of one set; drawn again only when what it shows changes. */
const SetCell = memo(function SetCell({ current, ...readings }: SetCellProps) {
  return (
    <Cell current={current}>
      <Readings {...readings} />
    </Cell>
  );
});

function Readings({ row, set, number, uncertainty, pressure }: Omit<SetCellProps, "current">) {
  const { units } = useUnits();
  const pair = row.fields.length > 1;
  const written = (field: Field) =>
    uncertainty ? writeUncertainty(factsOf(`readings/x/${field}`).quantity ?? "", uncertainty, units) : null;
  return (
    <>
      <Box display="grid" gridTemplateColumns={pair ? "1fr 1fr" : "1fr"} gap="10px">
        {row.fields.map(({ field, micro }) => (
          <SetField
            key={field}
            path={`readings/${set.id}/${field}`}
            label={say("sets-table-set-2", { factsOf: factsOf(`readings/x/${field}`).label, number })}
            micro={micro}
            uncertainty={written(field)}
          />
        ))}
      </Box>
      {row.fields.map(({ field }) => {
        const out = set[field] == null && set.unread?.find((one) => one.field === field);
        return (
          out && (
            <Micro key={field} display="block" textAlign="right" data-unread={field}>
              {say("sets-table-read-2", { UnreadReasonWords: UnreadReasonWords[out.why] })}
            </Micro>
          )
        );
      })}
      {pressure?.figure && (
        <Box textAlign="right" fontSize="small">
          <WorkedFigure name={`pressure-${set.id}`} result={pressure} unit={false} />
          {say("sets-table-total")}
        </Box>
      )}
    </>
  );
}

interface SetFieldProps {
  path: string;
  label: string;
  micro: string | undefined;
  uncertainty: string | null;
}

/** A quantity, one of some answers, or words, as the field takes it. */
function SetField({ path, label, micro, uncertainty }: SetFieldProps) {
  const facts = factsOf(path);
  if (facts.quantity)
    return <QuantityField path={path} label={label} {...(micro ? { micro } : {})} uncertainty={uncertainty} />;
  if (facts.choices) return <SelectField path={path} label={label} />;
  return <WordsField path={path} label={label} />;
}

const Worked = memo(function Worked({ name, result }: { name: string; result: Schemas["Result"] | undefined }) {
  if (!result) return null;
  return (
    <Box textAlign="right">
      <WorkedFigure name={name} result={result} />
    </Box>
  );
});

function ChangeHead({ to }: { to: number }) {
  return (
    <>
      <Box fontWeight={600}>{say("sets-table-change")}</Box>
      <Micro>{say("sets-table-from-to", { to: to - 1, to2: to })}</Micro>
    </>
  );
}

/** A sloped stroke, thick if the change is more than the meters can tell; neither way is good or bad. */
function ChangeCell({ answer, name }: { answer: Answer | undefined; name: string }) {
  const change = answer?.changes.find((one) => one.field === name);
  if (!change) return <Micro fontStyle="italic">{say("sets-table-waits")}</Micro>;
  const rise = change.beyond ? Math.sign(change.figure.value) * 5 : 0;
  return (
    <Box as="span" display="inline-flex" alignItems="baseline" gap="6px" flexWrap="wrap">
      <svg width="20" height="14" viewBox="0 0 20 14" aria-hidden>
        <line x1="1" x2="19" y1={7 + rise} y2={7 - rise} stroke="currentColor" strokeWidth={change.beyond ? 2.6 : 1} />
      </svg>
      {change.beyond ? (
        <Box as="span" fontSize="small">
          {change.figure.value > 0 && "+"}
          <FigureText figure={change.figure} unit={false} />
        </Box>
      ) : (
        <Micro>{say("sets-table-within")}</Micro>
      )}
    </Box>
  );
}
