import { ASKS } from "../../generated/kinds";
import { Box } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import type { Result } from "../../shared/api";
import { QuantityField } from "../../shared/fields";
import { unitOf } from "../../shared/figures";
import type { Option } from "../../shared/found";
import { Fold, under } from "../../shared/Fold";
import { useJob, useOption } from "../../shared/job";
import { Micro, Small, Word } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { Checks } from "./Checks";
import { SensitivitiesPart } from "./SensitivitiesPart";
import { StepsTable } from "./StepsTable";
import { say } from "../../shared/say";

/**
 * A row that is open: its year step by step, whether it may be fitted, its money, and what is its own.
 * @param base - id of what it is held against
 */
export function Opened({ id, base }: { id: string; base: string | null }) {
  const option = useOption(id);
  const held = useOption(base);
  if (!option) return null;
  return (
    <Box
      role="region"
      aria-label={`${option.letter}, ${option.title}`}
      borderBottom="2px solid"
      borderColor="ink"
      pt="8px"
      data-opened={option.letter}
    >
      {option.product && <Small display="block">{option.product}</Small>}
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", lg: "minmax(0, 1fr) 290px" }}
        gap="14px 22px"
        pb="8px"
      >
        <Box minWidth={0}>
          {option.stop ? (
            <Small fontStyle="italic">{say("opened-withheld-stop")}</Small>
          ) : (
            <StepsTable option={option} base={held} />
          )}
          <Money option={option} />
        </Box>
        <Box minWidth={0}>
          <Checks option={option} />
          <Limits option={option} />
        </Box>
      </Box>
      {PANELS.map(({ name, of }) => (
        <WorkingPanel key={name} name={`${name}-${option.letter}`} result={of(option)} />
      ))}
      {option.sensitivities && (
        <Fold title={say("opened-what-moves")} note={say("opened-one-input")}>
          <SensitivitiesPart sensitivities={option.sensitivities} series={option.series} letter={option.letter} />
        </Fold>
      )}
      <Besides option={option} />
      {option.kind !== "keep" && <Own option={option} />}
    </Box>
  );
}

function Limits({ option }: { option: Option }) {
  return (
    <Box pt="8px">
      {option.limits.length > 0 && (
        <Box>
          <b>{say("opened-limits")}</b> {option.limits.join(" ")}
        </Box>
      )}
      {(option.upheld ?? []).map((words) => (
        <Box key={words}>{words}</Box>
      ))}
      {!option.stop && (
        <Small display="block" pt="4px">
          {say("opened-wears-lead", { wears: option.wears })}
          <PhraseText phrase={option.lead_time} />.
        </Small>
      )}
    </Box>
  );
}

interface Line {
  name: string;
  label: string;
  unit: "money" | "energy" | "years" | "hours" | "emissions";
  of: (option: Option) => Result;
}

const MONEY: readonly Line[] = [
  { name: "saved-money", label: say("opened-saves-year"), unit: "money", of: (one) => one.saved_money },
  { name: "payback", label: say("opened-simple-payback"), unit: "years", of: (one) => one.payback },
  { name: "break-even", label: say("opened-break-even"), unit: "hours", of: (one) => one.break_even },
  { name: "worth", label: say("opened-present-value"), unit: "money", of: (one) => one.worth },
];
const OTHERWISE: Line = {
  name: "always",
  label: say("opened-run-other"),
  unit: "energy",
  of: (one) => one.always_on,
};
const BESIDES: readonly Line[] = [
  { name: "money", label: say("opened-energy-costs"), unit: "money", of: (one) => one.money },
  { name: "starts", label: say("opened-starts"), unit: "energy", of: (one) => one.start_energy },
  { name: "cube", label: say("opened-cube-law"), unit: "energy", of: (one) => one.cube_promise },
  { name: "nominal", label: say("opened-nominal-efficiency"), unit: "energy", of: (one) => one.nominal_saving },
  { name: "emissions", label: say("opened-emissions-saved"), unit: "emissions", of: (one) => one.saved_emissions },
  { name: "heat", label: say("opened-heat-made"), unit: "energy", of: (one) => one.made_up_heat },
  { name: "cold", label: say("opened-cooling-saved"), unit: "energy", of: (one) => one.saved_cooling },
  { name: "net", label: say("opened-saved-heat"), unit: "money", of: (one) => one.net_money },
];
const YEAR: readonly Pick<Line, "name" | "of">[] = [
  { name: "energy", of: (one) => one.energy },
  { name: "saved", of: (one) => one.saved_energy },
];
const PANELS = [...YEAR, ...MONEY];

const COSTS = [
  { field: "price", label: say("opened-price") },
  { field: "labour", label: say("opened-labour") },
  { field: "rebate", label: say("opened-rebate") },
] as const;

function Money({ option }: { option: Option }) {
  const { currency } = useUnits();
  const unit = { money: currency ?? "", energy: "kWh", years: "years", hours: say("opened-running-h"), emissions: "" };
  return (
    <Box minWidth={0} borderTop="1px solid" borderColor="rule" pt="6px">
      <Box as="h3" fontWeight={600} pb="2px">
        {say("opened-money")}
      </Box>
      {!option.stop && (
        <Box display="grid" gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(4, minmax(0, 1fr))" }} gap="4px 12px">
          {MONEY.map((line) => (
            <Box key={line.name} minWidth={0}>
              <Small display="block">
                {line.label}, {unit[line.unit]}
              </Small>
              <WorkedFigure name={`${line.name}-${option.letter}`} result={line.of(option)} unit={false} />
            </Box>
          ))}
        </Box>
      )}
      {option.kind !== "keep" && (
        <Box display="grid" gridTemplateColumns="repeat(3, minmax(0, 1fr))" gap="0 12px" pt="6px" maxWidth="440px">
          {COSTS.map(({ field, label }) => (
            <Box key={field} minWidth={0}>
              <Small display="block">{label}</Small>
              <QuantityField path={`options/candidates/${option.id}/${field}`} label={`${option.letter}, ${label}`} />
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

/** What goes along with the saving and is not in it. */
function Besides({ option }: { option: Option }) {
  const { view } = useJob();
  const { units, currency } = useUnits();
  const lines = (view.document.duty?.circulation ? [...BESIDES, OTHERWISE] : BESIDES).filter(
    (line) => line.of(option).figure,
  );
  if (lines.length === 0) return null;
  return (
    <Fold title={say("opened-besides-saving")} note={lines.map((line) => line.label).join(", ")}>
      {lines.map(({ name, label, unit, of }) => (
        <Box key={name}>
          <Box display="flex" gap="12px" alignItems="baseline" py="2px" borderTop="1px solid" borderColor="hair">
            <Box flex="1">{label}</Box>
            <WorkedFigure name={`${name}-${option.letter}`} result={of(option)} unit={unit !== "money"} />
            {unit === "money" && <Micro>{unitOf("money", units, currency)}</Micro>}
          </Box>
          <WorkingPanel name={`${name}-${option.letter}`} result={of(option)} />
        </Box>
      ))}
      {!option.made_up_heat.figure && (
        <Small display="block" pt="4px">
          {say("opened-heat-given")}
        </Small>
      )}
    </Fold>
  );
}

/** What is its own: what its kind asks, its name, life, wear and days; and out with it. */
function Own({ option }: { option: Option }) {
  const { desk } = useJob();
  const root = `options/candidates/${option.id}`;
  const asked = [...(ASKS[option.kind] ?? []), "name", "life", "wears", "lead_time"].map((field) => `${root}/${field}`);
  return (
    <Fold title={say("opened-own")} note={say("opened-what-kind")} holds={under(...asked)}>
      <FieldGrid help={false} paths={asked} />
      <Word
        type="button"
        mx="0"
        px="0"
        aria-label={say("opened-remove-option-letter", { letter: option.letter })}
        onClick={() => void desk.remove(root)}
      >
        {say("opened-take-out", { letter: option.letter })}
      </Word>
    </Fold>
  );
}
