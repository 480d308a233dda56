import { Box } from "@chakra-ui/react";
import { Fragment, type ReactNode } from "react";

import type { Result, Schemas } from "../../shared/api";
import { QuantityField } from "../../shared/fields";
import { unitOf } from "../../shared/figures";
import { useJob } from "../../shared/job";
import { colourOf, InlineMark } from "../../shared/marks";
import { Micro, SeverityWord, Small } from "../../shared/parts";
import { Sheet, StandingKey } from "../../shared/Sheet";
import { useUnits } from "../../shared/units";
import { FigureText } from "../../shared/Words";
import { Waits, WorkedFigure, WorkingPanel } from "../../shared/Working";
import { StandingMark } from "./StandingMark";

type Option = Schemas["OptionAnswer"];

const COST_FIELDS: Partial<Record<Option["kind"], string>> = {
  "same kind": "options/same_kind_cost",
  electronic: "options/electronic_cost",
  drive: "options/drive_cost",
};
const GRID = { base: "repeat(2, minmax(0, 1fr))", md: "112px repeat(4, minmax(0, 1fr))" };

/** The options beside each other, question by question; none is put forward. */
export function OptionsSheet() {
  const { options, balance } = useJob().assessment;
  return (
    <Sheet station="options" standing="foot">
      {options.waits || options.options.length === 0 ? (
        <Box py="14px" maxWidth="62ch">
          {capital(options.waits ?? "nothing to compare yet")}. The options stand here as soon as the machine of today
          can be worked out.
        </Box>
      ) : (
        <>
          <Heads options={options.options} />
          <Limits options={options.options} />
          <Steps options={options.options} flowQuantity={balance.flow_quantity} />
          <Yearly options={options.options} overlap={options.overlap ?? null} />
          <Costs options={options.options} />
          <StandingKey />
        </>
      )}
      <Box as="h2" fontWeight={600} pt="14px">
        Before any of these is fitted
      </Box>
    </Sheet>
  );
}

function capital(words: string) {
  return words.slice(0, 1).toUpperCase() + words.slice(1);
}

interface RowProps {
  question?: string;
  note?: string;
  heavy?: boolean;
  align?: "baseline" | "center";
  children: ReactNode;
}

function Row({ question, note, heavy = false, align = "baseline", children }: RowProps) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={GRID}
      columnGap="12px"
      borderTop={heavy ? "1px solid" : undefined}
      borderColor="rule"
      py={heavy ? "6px" : "1px"}
      alignItems={align}
    >
      <Box gridColumn={{ base: "1 / -1", md: "auto" }}>
        {question && (
          <Box as="span" fontWeight={heavy ? 600 : 400} fontSize={heavy ? "text" : "small"}>
            {question}
          </Box>
        )}{" "}
        {note && <Micro display={{ base: "inline", md: heavy ? "block" : "inline" }}>{note}</Micro>}
      </Box>
      {children}
    </Box>
  );
}

function Heads({ options }: { options: Option[] }) {
  return (
    <Row note="compared with A, the yardstick: the machine as found">
      {options.map((option) => (
        <Box key={option.letter} pt="8px">
          <Box color={colourOf(option.series)} fontSize="figure" fontWeight={600}>
            <InlineMark series={option.series} /> {option.letter}
          </Box>
          <Box fontWeight={600}>{option.title}</Box>
        </Box>
      ))}
    </Row>
  );
}

const HATCH = {
  backgroundImage: "repeating-linear-gradient(-45deg, transparent 0 11px, var(--chakra-colors-hair) 11px 12px)",
};

function Limits({ options }: { options: Option[] }) {
  const { findings } = useJob().assessment;
  const guarded = findings.some((finding) => finding.rule === "protected_duty");
  return (
    <Row question="What can it not do?" heavy>
      {options.map((option) => (
        <Box key={option.letter} fontSize="small" css={option.stop ? HATCH : undefined}>
          <Letter option={option} />
          {option.stop && (
            <>
              <SeverityWord severity="stop" /> {option.stop}
            </>
          )}
          {option.limits.join(" ")}
          {!option.stop && option.limits.length === 0 && (
            <Box as="span" color="ink2">
              {guarded && option.kind !== "keep" ? "Keeps the protected flow." : "Nothing that is known here."}
            </Box>
          )}
        </Box>
      ))}
    </Row>
  );
}

type StepPart = "flow" | "speed" | "shaft_power" | "input_power";

const STEP_ROWS: readonly { part: StepPart; label: string }[] = [
  { part: "flow", label: "flow" },
  { part: "speed", label: "speed" },
  { part: "shaft_power", label: "shaft power" },
  { part: "input_power", label: "input power" },
];

function Steps({ options, flowQuantity }: { options: Option[]; flowQuantity: string }) {
  const steps = options[0]?.steps ?? [];
  return steps.map((step, index) => (
    <Box
      key={step.id}
      borderTop="1px solid"
      borderColor="rule"
      py="6px"
      role="group"
      aria-label={step.name || "full flow"}
    >
      <Box display="flex" gap="10px" alignItems="baseline" pb="2px">
        <Box as="h2" fontWeight={600}>
          {index === 0 ? "What does it move and draw? " : ""}
          {step.name || "full flow"}
        </Box>
        {step.hours && <FigureText figure={step.hours} />}
      </Box>
      {STEP_ROWS.map((row) => (
        <StepRow key={row.part} row={row} options={options} index={index} flowQuantity={flowQuantity} />
      ))}
      {options.some((option) => option.steps[index]?.note) && (
        <Row>
          {options.map((option) => (
            <Micro key={option.letter} fontStyle="italic">
              {option.steps[index]?.note && <Letter option={option} />}
              {option.steps[index]?.note}
            </Micro>
          ))}
        </Row>
      )}
    </Box>
  ));
}

interface StepRowProps {
  row: (typeof STEP_ROWS)[number];
  options: Option[];
  index: number;
  flowQuantity: string;
}

function StepRow({ row, options, index, flowQuantity }: StepRowProps) {
  const { units } = useUnits();
  const name = `${row.part}-${options[0]?.steps[index]?.id ?? ""}`;
  const resultOf = (option: Option): Result => {
    const step = option.steps[index];
    const title = `${option.letter}, ${step?.name || "full flow"}: ${row.label}`;
    return { label: title, figure: step?.[row.part] ?? null, working: step?.workings?.[row.part] ?? null };
  };
  return (
    <>
      <Row question={row.label} note={unitOf(row.part === "flow" ? flowQuantity : row.part, units)}>
        {options.map((option) => (
          <Worked key={option.letter} option={option} name={name} result={resultOf(option)} />
        ))}
      </Row>
      <Panels options={options} name={name} of={resultOf} />
    </>
  );
}

/** Where the columns fold into two, each cell says whose it is. */
function Letter({ option }: { option: Option }) {
  return (
    <Box as="span" display={{ base: "inline", md: "none" }} color={colourOf(option.series)} fontWeight={600} mr="6px">
      {option.letter}
    </Box>
  );
}

/** On a phone a band stands under its value. */
const BAND_BELOW = {
  "@media (max-width: 560px)": { "& > span > span + span": { display: "block", fontSize: "12px" } },
};

function Worked({ option, name, result }: { option: Option; name: string; result: Result }) {
  return (
    <Box css={option.stop ? HATCH : BAND_BELOW} minWidth={0}>
      <Letter option={option} />
      {result.figure ? (
        <WorkedFigure name={`${name}-${option.letter}`} result={result} unit={false} />
      ) : (
        <Waits result={result} />
      )}
    </Box>
  );
}

function Panels({ options, name, of }: { options: Option[]; name: string; of: (option: Option) => Result }) {
  return options.map((option) => (
    <WorkingPanel key={option.letter} name={`${name}-${option.letter}`} result={of(option)} />
  ));
}

function Yearly({ options, overlap }: { options: Option[]; overlap: string | null }) {
  const { currency } = useUnits();
  const domain = savedDomain(options);
  const rows: { name: string; question: string; note: string; of: (option: Option) => Result }[] = [
    { name: "energy", question: "What does it take a year?", note: "kWh", of: (option) => option.energy },
    { name: "money", question: "", note: `${currency ?? "money"} a year`, of: (option) => option.money },
    { name: "saved", question: "What does it save?", note: "kWh a year", of: (option) => option.saved_energy },
    { name: "saved-money", question: "", note: `${currency ?? "money"} a year`, of: (option) => option.saved_money },
  ];
  return (
    <>
      {rows.map((row) => (
        <Fragment key={row.name}>
          <Row
            question={row.question}
            note={row.note}
            heavy={row.question !== ""}
            align={row.name === "saved" ? "center" : "baseline"}
          >
            {options.map((option) =>
              row.name === "saved" && domain ? (
                <Saved key={option.letter} option={option} domain={domain} />
              ) : (
                <Worked key={option.letter} option={option} name={row.name} result={row.of(option)} />
              ),
            )}
          </Row>
          <Panels options={options} name={row.name} of={row.of} />
        </Fragment>
      ))}
      {overlap && <Box pb="6px">{overlap}</Box>}
      <Besides options={options} />
    </>
  );
}

/** What goes along with the saving: emissions, heat to be made up, cooling saved. Shown as soon as Duty says enough. */
function Besides({ options }: { options: Option[] }) {
  const { currency } = useUnits();
  const rows: { name: string; question: string; note: string; of: (option: Option) => Result }[] = [
    { name: "emissions", question: "emissions saved", note: "a year", of: (option) => option.saved_emissions },
    { name: "heat", question: "heat to be made up", note: "kWh a year", of: (option) => option.made_up_heat },
    { name: "cold", question: "cooling saved as well", note: "kWh a year", of: (option) => option.saved_cooling },
    { name: "net", question: "saved, heat and cold counted", note: currency ?? "", of: (option) => option.net_money },
  ];
  const known = rows.filter((row) => options.some((option) => row.of(option).figure));
  return (
    <>
      {known.map((row) => (
        <Fragment key={row.name}>
          <Row question={row.question} note={row.note}>
            {options.map((option) => (
              <Worked key={option.letter} option={option} name={row.name} result={row.of(option)} />
            ))}
          </Row>
          <Panels options={options} name={row.name} of={row.of} />
        </Fragment>
      ))}
      {!known.some((row) => row.name === "heat") && (
        <Small display="block" pb="6px">
          Heat given to the air or the water is not in the saving; Duty can count it.
        </Small>
      )}
    </>
  );
}

/** One scale runs through the row of savings, so that columns compare by height. */
function savedDomain(options: Option[]): [number, number] | null {
  const saved = options.map((option) => option.saved_energy.figure).filter((figure) => figure != null);
  if (saved.length === 0) return null;
  const ends = saved.flatMap((figure) => [figure.value - (figure.band ?? 0), figure.value + (figure.band ?? 0), 0]);
  return [Math.min(...ends), Math.max(...ends)];
}

function Saved({ option, domain }: { option: Option; domain: [number, number] }) {
  return (
    <Box display="grid" gridTemplateColumns={{ base: "1fr", lg: "26px minmax(0, 1fr)" }} alignItems="center" gap="2px">
      <StandingMark
        figure={option.saved_energy.figure ?? null}
        domain={domain}
        series={colourOf(option.series)}
        label={`${option.letter} saves`}
      />
      <Worked option={option} name="saved" result={option.saved_energy} />
    </Box>
  );
}

function Costs({ options }: { options: Option[] }) {
  const { currency } = useUnits();
  return (
    <>
      <Row question="What does it cost?" note={`${currency ?? "money"}, fitted`} heavy>
        {options.map((option) => {
          const path = COST_FIELDS[option.kind];
          return (
            <Box key={option.letter} maxWidth="130px">
              <Letter option={option} />
              {path ? <QuantityField path={path} /> : <Micro>nothing now</Micro>}
            </Box>
          );
        })}
      </Row>
      <Row question="" note="simple payback, years">
        {options.map((option) => (
          <Box key={option.letter} fontSize="small">
            <Worked option={option} name="payback" result={option.payback} />
          </Box>
        ))}
      </Row>
      <Panels options={options} name="payback" of={(option) => option.payback} />
    </>
  );
}
