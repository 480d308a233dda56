import { Fits as FitsWords } from "../../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { Fragment, type ReactNode } from "react";

import { api, type Figure, type Refused, type Schemas, taken } from "../../shared/api";
import { unitOf, write } from "../../shared/figures";
import type { Option, OptionStep } from "../../shared/found";
import { useFound, useJob } from "../../shared/job";
import { colourOf, InlineMark } from "../../shared/marks";
import { Micro, Press, SeverityWord, Small } from "../../shared/parts";
import { BAR, SavingBar, savingsAxis } from "../../shared/savings";
import { useUnits } from "../../shared/units";
import { useIsWide } from "../../shared/width";
import { FigureText } from "../../shared/Words";
import type { Picked } from "./picked";
import { say } from "../../shared/say";
import { unasked } from "../../shared/casing";

type Beside = Schemas["BesideAnswer"];
type Row = Schemas["BesideRow"];
type Candidate = Schemas["CandidateAnswer"];

const COLUMN_FROM = 1101;

/** The differences of some options, worked out by the core for the job as it stands. */
function useBeside(asked: readonly string[]) {
  const { view } = useJob();
  return useQuery<Beside, Refused>({
    queryKey: ["beside", view.id, view.revision, ...asked],
    queryFn: () =>
      taken(
        api.GET("/api/jobs/{job_id}/beside", {
          params: { path: { job_id: view.id }, query: { options: [...asked] } },
        }),
      ),
    placeholderData: (before) => (before?.options.join() === asked.join() ? before : undefined),
  });
}

function useCandidates(ids: readonly string[]) {
  return useFound("candidates").candidates.filter((one) => ids.includes(one.id));
}

/** At the foot of the list: what is picked, by how much one saves more, and the button that lays them side by side. */
export function BesideBar({ picked }: { picked: Picked }) {
  const told = useCandidates(picked.ids);
  const found = useBeside(picked.asked);
  const saved = found.data?.rows?.find((row) => row.kind === "saved")?.cells[1];
  const [first, second] = told;
  return (
    <Box display="flex" gap="6px 16px" alignItems="center" flexWrap="wrap" flex="1 1 300px">
      <Press type="button" onClick={picked.lay} data-lay>
        {told.map((one, index) => (
          <Fragment key={one.id}>
            {index > 0 && (index === told.length - 1 ? say("beside-view-and") : ", ")}
            <Box as="span" color={colourOf(one.series)}>
              {one.letter}
            </Box>
          </Fragment>
        ))}
        {say("beside-view-side-side")}
      </Press>
      {told.length === 2 && first && second && saved?.less && (
        <Box data-apart>
          {saved.ties ? (
            say("beside-view-tie", { letter: first.letter, letter2: second.letter })
          ) : (
            <>
              {say("beside-view-saves", { letter: first.letter })}
              <FigureText figure={saved.less} line={false} />
              {say("beside-view-more")}
            </>
          )}
        </Box>
      )}
      {found.error && <Box role="alert">{found.error.message}</Box>}
    </Box>
  );
}

/** Two to four options side by side, row by row, with what each is more or less than the one they are held against. */
export function BesideView({ asked }: { asked: readonly string[] }) {
  const candidates = useCandidates(asked);
  const options = useFound(...asked.map((id) => `option/${id}` as const));
  const { steps } = useFound("options").options;
  const found = useBeside(asked);
  const wide = useIsWide(COLUMN_FROM);
  const { units } = useUnits();
  if (found.error) return <Box role="alert">{found.error.message}</Box>;
  if (!found.data) return <Small fontStyle="italic">{say("beside-view-being-worked")}</Small>;
  const told = candidates.flatMap((candidate) => {
    const option = options[`option/${candidate.id}`];
    return option ? [{ candidate, option }] : [];
  });
  const against = told.find(({ option }) => option.id === asked[0])?.option;
  const apart = wide && told.length === 2; // the difference has a column of its own
  const axis = savingsAxis(
    told.map(({ candidate }) => candidate.saved.figure),
    units,
  );
  const at = new Map(found.data.options.map((id, place) => [id, place]));
  const table = { told, at, against: against?.letter ?? "", apart };
  return (
    <Table style={{ "--count": told.length + (apart ? 1 : 0) } as object} data-beside>
      <Line
        heavy
        words
        label={<Small>{apart ? "" : say("beside-view-each-less", { letter: against?.letter ?? "" })}</Small>}
      >
        {told.map(({ candidate, option }) => (
          <Box key={option.id} minWidth={0}>
            <Box color={colourOf(option.series)} fontSize="figure" fontWeight={600}>
              <InlineMark series={option.series} /> {option.letter}
            </Box>
            <Box fontWeight={600} lineHeight="1.25">
              {option.title}
            </Box>
            {candidate.chosen && <Small>{say("beside-view-chosen")}</Small>}
          </Box>
        ))}
        {apart && (
          <Box background="desk" p="4px 10px" alignSelf="stretch">
            <Box fontSize="figure">
              <b>{told[0]?.option.letter}</b>
              {say("beside-view-less")}
              <b>{told[1]?.option.letter}</b>
            </Box>
            <Small>{say("beside-view-shared-errors")}</Small>
          </Box>
        )}
      </Line>
      <Line words label={<b>{say("beside-view-may-fitted")}</b>}>
        {told.map(({ candidate, option }) => (
          <Fit key={option.id} candidate={candidate} option={option} />
        ))}
        {apart && <Apart />}
      </Line>
      {found.data.rows?.map((row) => (
        <Fragment key={`${row.kind}-${row.step ?? ""}`}>
          <FigureLine row={row} step={steps.find((step) => step.id === row.step)} {...table} />
          {row.kind === "saved" && (
            <Line label="">
              {told.map(({ candidate }) => (
                <Box key={candidate.id} py="4px">
                  <SavingBar one={candidate} axis={axis} reach={0} />
                </Box>
              ))}
              {apart && <Apart />}
            </Line>
          )}
          {row.kind === "cost" && (
            <Line label={say("beside-view-pays-back")} unit="years">
              {told.map(({ candidate }) => (
                <Box key={candidate.id} textAlign="center">
                  {candidate.payback.figure ? (
                    <FigureText figure={candidate.payback.figure} unit={false} />
                  ) : (
                    <Micro>–</Micro>
                  )}
                </Box>
              ))}
              {apart && <Apart />}
            </Line>
          )}
        </Fragment>
      ))}
      <Words
        label={say("beside-view-limits")}
        told={told}
        apart={apart}
        of={(one) => [...one.limits, ...(one.upheld ?? [])].join(" ") || say("beside-view-none-known")}
      />
      <Words label={say("beside-view-wears")} told={told} apart={apart} of={(one) => one.wears} />
      <Box pt="8px">
        <Small>{say("beside-view-energy-money")}</Small>
      </Box>
    </Table>
  );
}

interface TableFacts {
  told: readonly { candidate: Candidate; option: Option }[];
  /** Where each option stands in the core's answer. */
  at: ReadonlyMap<string, number>;
  against: string;
  apart: boolean;
}

const LABELS: Record<Row["kind"], string> = {
  flow: say("beside-view-moves"),
  power: say("beside-view-takes"),
  energy: say("beside-view-energy-per"),
  saved: say("beside-view-saves-year"),
  money: say("beside-view-money-year"),
  cost: say("beside-view-fitted"),
  worth: say("beside-view-present-value"),
  factor: say("beside-view-power-factor"),
};
const HEAVY: readonly Row["kind"][] = ["energy", "saved", "cost", "factor"];

function FigureLine({
  row,
  step,
  told,
  at,
  against,
  apart,
}: TableFacts & { row: Row; step: Pick<OptionStep, "name"> | undefined }) {
  const { units, currency } = useUnits();
  const named = step ? `${step.name || say("beside-view-full-flow")}, ${LABELS[row.kind]}` : LABELS[row.kind];
  const cells = told.map(({ option }) => row.cells[at.get(option.id) ?? -1]);
  const difference = cells.find((cell) => cell?.less);
  return (
    <Line label={named} unit={unitOf(row.quantity, units, currency)} heavy={HEAVY.includes(row.kind)}>
      {cells.map((cell, index) => (
        <Box key={told[index]?.option.id} data-beside-cell={row.kind}>
          <Aligned figure={cell?.figure ?? null} />
          {!apart && cell?.less && (
            <Box fontStyle="italic" fontSize="small" color={cell.ties ? "ink2" : "ink"}>
              <Aligned figure={cell.less} signed />
              <Micro srOnly>{say("beside-view-less-2", { against })}</Micro>
            </Box>
          )}
        </Box>
      ))}
      {apart && (
        <Apart data-less={row.kind}>
          {difference?.less && (
            <Box color={difference.ties ? "ink2" : "ink"} fontWeight={difference.ties ? 400 : 600}>
              <Aligned figure={difference.less} signed />
            </Box>
          )}
        </Apart>
      )}
    </Line>
  );
}

/** A value right and its uncertainty left of one line, so that numbers of a column stand under each other on their decimals. */
function Aligned({ figure, signed = false }: { figure: Figure | null; signed?: boolean }) {
  const { units, currency } = useUnits();
  if (!figure) return <Box textAlign="center">–</Box>;
  const { value, uncertainty } = write(figure, units, currency);
  return (
    <Box display="grid" gridTemplateColumns="1fr 1fr" gap="6px" alignItems="baseline">
      <Box textAlign="right" whiteSpace="nowrap" fontWeight="inherit">
        <Value signed={signed}>{signed && figure.value > 0 ? `+${value}` : value}</Value>
      </Box>
      <Box color="ink2" fontWeight={400} fontSize="0.9em" whiteSpace="nowrap">
        {uncertainty ? `± ${uncertainty}` : ""}
      </Box>
    </Box>
  );
}

function Value({ signed, children }: { signed: boolean; children: ReactNode }) {
  return signed ? children : <b>{children}</b>;
}

function Fit({ candidate, option }: { candidate: Candidate; option: Option }) {
  if (option.stop)
    return (
      <Box fontSize="small">
        <SeverityWord severity="stop" /> {option.stop}
      </Box>
    );
  const work = option.checks.filter((check) => check.fits === "work");
  return (
    <Box>
      <b>{candidate.asks ? say("beside-view-known") : FitsWords[option.fits]}</b>
      {candidate.asks && unasked(candidate.asks)}
      {work.map((check) => (
        <Small key={check.check} display="block">
          {check.question}
        </Small>
      ))}
    </Box>
  );
}

function Words({
  label,
  told,
  apart,
  of,
}: Pick<TableFacts, "told" | "apart"> & { label: string; of: (option: Option) => string }) {
  return (
    <Line words label={<b>{label}</b>} heavy>
      {told.map(({ option }) => (
        <Box key={option.id} fontSize="small">
          {of(option)}
        </Box>
      ))}
      {apart && <Apart />}
    </Line>
  );
}

interface LineProps {
  label: ReactNode;
  unit?: string;
  heavy?: boolean;
  /** Whether its cells are words, which begin at one height. */
  words?: boolean;
  children: ReactNode;
}

function Line({ label, unit, heavy = false, words = false, children }: LineProps) {
  return (
    <RowBox data-heavy={heavy || undefined} data-words={words || undefined}>
      <Box data-label>
        {label}
        {unit && <Micro ml="6px">{unit}</Micro>}
      </Box>
      {children}
    </RowBox>
  );
}

function Apart({ children, ...rest }: { children?: ReactNode; "data-less"?: string }) {
  return (
    <Box background="desk" alignSelf="stretch" display="grid" alignItems="center" px="6px" {...rest}>
      {children}
    </Box>
  );
}

const Table = chakra("div", { base: { pt: "8px", minHeight: `${BAR}px` } });

const RowBox = chakra("div", {
  base: {
    display: "grid",
    gridTemplateColumns: {
      base: "repeat(var(--count), minmax(0, 1fr))",
      md: "150px repeat(var(--count), minmax(0, 1fr))",
      lg: "190px repeat(var(--count), minmax(0, 1fr))",
    },
    columnGap: "12px",
    alignItems: "center",
    minHeight: "38px",
    borderTop: "1px solid",
    borderColor: "hair",
    "&[data-heavy]": { borderColor: "rule" },
    "&[data-words]": { alignItems: "start", py: "4px" },
    "& > [data-label]": { gridColumn: { base: "1 / -1", md: "auto" }, fontSize: { base: "small", md: "text" } },
  },
});
