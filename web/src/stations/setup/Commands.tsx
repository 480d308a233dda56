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
import { say } from "../../shared/say";

type Command = Schemas["CommandAnswer"];
type Trial = Schemas["Trial"];

/** Each duty step: its setting, what that should give, and the readings on the way to the right flow. */
export function Commands() {
  const { commands } = useFound("setup").setup;
  if ((commands ?? []).length === 0) return <Small>{say("commands-duty-step")}</Small>;
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
      aria-label={say("commands-duty-step-2", { command: command.name })}
      data-command={command.step}
      borderTop="1px solid"
      borderColor="rule"
      py="8px"
    >
      <Box display="flex" gap="2px 14px" flexWrap="wrap" alignItems="baseline">
        <Box fontWeight={600}>{command.name || say("commands-step")}</Box>
        {command.call && <Small>{say("commands-called", { call: command.call })}</Small>}
        <Box fontSize="figure" fontWeight={600} ml="auto">
          <PhraseText phrase={command.setting} />
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
            {say("commands-wanted")}
            <FigureText figure={command.wanted} />
          </span>
        )}
        {command.expected && (
          <span>
            {say("commands-expected")}
            <FigureText figure={command.expected} />
          </span>
        )}
        {(command.neighbours ?? []).map((one) => (
          <span key={one.words}>
            {say("commands-would-give", { words: one.words })}
            <FigureText figure={one.flow} />
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
          <WriteButton wanted={{ what: "command", step: command.step }} label={say("commands-write-device")} />
        )}
        {setup?.panel && (
          <Press type="button" onClick={() => void desk.does(trying(command.step, true))}>
            {say("commands-read-panel")}
          </Press>
        )}
        <Press type="button" onClick={() => void desk.does(trying(command.step, false))}>
          {say("commands-type-reading")}
        </Press>
      </Box>
    </Box>
  );
});

const COLOURS: Record<string, string> = { inside: "verdigris", cannot: "brick" };

const METHODS = [
  { field: "airflow", label: say("commands-airflow") },
  { field: "water_flow", label: say("commands-water-flow") },
  { field: "static", label: say("commands-total-external") },
  { field: "rise", label: say("commands-temperature-rise") },
  { field: "current", label: say("commands-line-amps") },
] as const;
type Method = (typeof METHODS)[number]["field"];

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
  const usual: Method = view.machine.type === "pump" ? "water_flow" : "airflow";
  const [chosen, setMethod] = useState<Method | null>(null);
  const method = chosen ?? METHODS.find(({ field }) => trial[field])?.field ?? usual;
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
            <ChoiceField path={`${path}/tap`} label={say("commands-torque-tap", { number })} />
          ) : (
            <ChoiceField path={`${path}/opening`} label={say("commands-plate-damper", { number })} />
          )}
        </Box>
      ) : (
        <QuantityField
          path={`${path}/${setting}`}
          label={say("commands-setting-reading", { number })}
          micro={setting === "frequency" ? "Hz" : say("commands-full")}
        />
      )}
      <Pick
        aria-label={say("commands-read-reading", { number })}
        value={method}
        onChange={(event) => setMethod(event.target.value as Method)}
      >
        {METHODS.filter(
          ({ field }) => field === method || field !== (usual === "airflow" ? "water_flow" : "airflow"),
        ).map((one) => (
          <option key={one.field} value={one.field}>
            {one.label}
          </option>
        ))}
      </Pick>
      <QuantityField
        path={`${path}/${method}`}
        label={say("commands-read-reading-2", { number })}
        micro={unitOf(QUANTITIES[method], units, currency)}
      />
      <Box fontSize="small" gridColumn={{ base: "2 / 3", md: "auto" }}>
        {answer?.flow ? (
          <>
            {method !== usual && (
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
      <Word
        type="button"
        mx="0"
        px="0"
        aria-label={say("commands-remove-reading", { number })}
        onClick={() => void desk.remove(path)}
      >
        {say("commands-remove")}
      </Word>
    </Box>
  );
}

const QUANTITIES: Record<Method, string> = {
  airflow: "airflow",
  water_flow: "water_flow",
  static: "pressure",
  rise: "temperature_difference",
  current: "current",
};
