import { Box } from "@chakra-ui/react";
import { memo, useState } from "react";

import { ChoiceField, QuantityField } from "../../shared/fields";
import type { Schemas } from "../../shared/api";
import { Pick } from "../../shared/devices";
import { unitOf } from "../../shared/figures";
import { useFound, useJob } from "../../shared/job";
import { Micro, Press, Small, Word } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { FigureText, PhraseText } from "../../shared/Words";
import { trying } from "./acts";
import { WriteButton } from "./WritePanel";

type Command = Schemas["CommandAnswer"];
type Trial = Schemas["Trial"];

/** Each duty step: what it is told, what that should give, and the readings on the way to the right flow. */
export function Commands() {
  const { commands } = useFound("setup").setup;
  if ((commands ?? []).length === 0) return <Small>No duty step yet: say on Duty how it runs.</Small>;
  return (
    <>
      {(commands ?? []).map((command) => (
        <OneCommand key={command.step} command={command} />
      ))}
    </>
  );
}

const OneCommand = memo(function OneCommand({ command }: { command: Command }) {
  const { desk, view } = useJob();
  const setup = view.document.setup;
  const own = (setup?.trials ?? []).filter((trial) => trial.step === command.step);
  const advice = command.advice ?? null;
  return (
    <Box
      as="section"
      aria-label={`Duty step ${command.name}`}
      data-command={command.step}
      borderTop="1px solid"
      borderColor="rule"
      py="8px"
    >
      <Box display="flex" gap="2px 14px" flexWrap="wrap" alignItems="baseline">
        <Box fontWeight={600}>{command.name || "step"}</Box>
        {command.call && <Small>called by {command.call}</Small>}
        <Box fontSize="figure" fontWeight={600} ml="auto">
          <PhraseText phrase={command.told} />
        </Box>
      </Box>
      {command.waits && (
        <Box fontStyle="italic" color="ink2">
          {command.waits}
        </Box>
      )}
      <Box display="flex" gap="2px 20px" flexWrap="wrap" fontSize="small">
        {command.wanted && (
          <span>
            wanted <FigureText figure={command.wanted} />
          </span>
        )}
        {command.expected && (
          <span>
            expected <FigureText figure={command.expected} />
          </span>
        )}
        {(command.neighbours ?? []).map((one) => (
          <span key={one.words}>
            {one.words} would give <FigureText figure={one.flow} />
          </span>
        ))}
        {(command.moved ?? []).length > 0 && (
          <Box as="span" color="ochre" fontWeight={600}>
            <PhraseText phrase={command.moved ?? []} />
          </Box>
        )}
        {command.note && (
          <Box as="span" color="ochre">
            {command.note}
          </Box>
        )}
      </Box>
      {own.length > 0 && (
        <Box pt="6px">
          {own.map((trial, index) => (
            <TrialRow
              key={trial.id}
              number={index + 1}
              trial={trial}
              answer={(command.trials ?? []).find((one) => one.id === trial.id)}
              set={
                command.by_plate
                  ? "plate"
                  : command.command == null && (command.neighbours ?? []).length > 0
                    ? "tap"
                    : "signal"
              }
            />
          ))}
        </Box>
      )}
      {advice && (
        <Box role="status" data-advice={advice.outcome} py="6px" fontWeight={600} color={COLOURS[advice.outcome]}>
          {advice.outcome === "inside" ? "✓ " : ""}
          <PhraseText phrase={advice.sentence} />
        </Box>
      )}
      <Box display="flex" gap="8px" flexWrap="wrap" alignItems="flex-start">
        {setup?.device && (command.command || advice?.command) && (
          <WriteButton wanted={{ what: "command", step: command.step }} label="Write it to the device" />
        )}
        {setup?.panel && (
          <Press type="button" onClick={() => void desk.does(trying(command.step, true))}>
            Read the panel
          </Press>
        )}
        <Press type="button" onClick={() => void desk.does(trying(command.step, false))}>
          Type a reading
        </Press>
      </Box>
    </Box>
  );
});

const COLOURS: Record<string, string> = { inside: "verdigris", cannot: "brick" };

const WAYS = [
  { field: "airflow", label: "airflow" },
  { field: "water_flow", label: "water flow" },
  { field: "static", label: "total external static" },
  { field: "rise", label: "temperature rise" },
  { field: "current", label: "line amps" },
] as const;
type Way = (typeof WAYS)[number]["field"];

interface TrialProps {
  number: number;
  trial: Trial;
  answer: Schemas["TrialAnswer"] | undefined;
  /** By what it is set: its reading says where that stood. */
  set: "plate" | "tap" | "signal";
}

/** One setting tried, and what was read on it: the flow, or what stands for it. */
function TrialRow({ number, trial, answer, set }: TrialProps) {
  const { desk, view } = useJob();
  const { drive } = useFound("setup").setup;
  const { units, currency } = useUnits();
  const usual: Way = view.machine.wheel === "pump" ? "water_flow" : "airflow";
  const [chosen, setWay] = useState<Way | null>(null);
  const way = chosen ?? WAYS.find(({ field }) => trial[field])?.field ?? usual;
  const path = `setup/trials/${trial.id}`;
  const setting = trial.frequency || drive ? "frequency" : "signal";
  return (
    <Box
      display="grid"
      gridTemplateColumns={{
        base: "20px minmax(0, 1fr) minmax(0, 1fr)",
        md: "20px 120px 130px 120px minmax(0, 1fr) 60px",
      }}
      gap="0 10px"
      alignItems="center"
      borderTop="1px solid"
      borderColor="hair"
      data-trial={trial.id}
    >
      <Micro>{number}</Micro>
      {set !== "signal" ? (
        <Box gridColumn={{ base: "2 / -1", md: "auto" }}>
          {set === "tap" ? (
            <ChoiceField path={`${path}/tap`} label={`Torque tap, reading ${number}`} />
          ) : (
            <ChoiceField path={`${path}/opening`} label={`Plate or damper, reading ${number}`} />
          )}
        </Box>
      ) : (
        <QuantityField
          path={`${path}/${setting}`}
          label={`Setting, reading ${number}`}
          micro={setting === "frequency" ? "Hz" : "% of full"}
        />
      )}
      <Pick
        aria-label={`Read by, reading ${number}`}
        value={way}
        onChange={(event) => setWay(event.target.value as Way)}
      >
        {WAYS.filter(({ field }) => field === way || field !== (usual === "airflow" ? "water_flow" : "airflow")).map(
          (one) => (
            <option key={one.field} value={one.field}>
              {one.label}
            </option>
          ),
        )}
      </Pick>
      <QuantityField
        path={`${path}/${way}`}
        label={`Read, reading ${number}`}
        micro={unitOf(QUANTITIES[way], units, currency)}
      />
      <Box fontSize="small" gridColumn={{ base: "2 / 3", md: "auto" }}>
        {answer?.flow ? (
          <>
            {way !== usual && (
              <>
                = <FigureText figure={answer.flow} />{" "}
              </>
            )}
            <Micro>
              {answer.by}
              {trial.source ? `, ${trial.source}` : ""}
            </Micro>
          </>
        ) : (
          <Micro>{answer?.by}</Micro>
        )}
      </Box>
      <Word type="button" mx="0" px="0" aria-label={`Remove reading ${number}`} onClick={() => void desk.remove(path)}>
        remove
      </Word>
    </Box>
  );
}

const QUANTITIES: Record<Way, string> = {
  airflow: "airflow",
  water_flow: "water_flow",
  static: "pressure",
  rise: "temperature_difference",
  current: "current",
};
