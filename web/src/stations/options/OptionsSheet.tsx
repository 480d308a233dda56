import { Box } from "@chakra-ui/react";
import { useMemo, useState } from "react";

import { useJob } from "../../shared/job";
import { InlineMark } from "../../shared/marks";
import { Press } from "../../shared/parts";
import { Sheet, StandingKey } from "../../shared/Sheet";
import { useIsWide } from "../../shared/width";
import { AddOption } from "./AddOption";
import { ColumnsProvider, Grid, type Option, pick } from "./columns";
import { Fits } from "./Fits";
import { Heads } from "./Heads";
import { LoadedPart } from "./LoadedPart";
import { LeversPart } from "./LeversPart";
import { Money } from "./Money";
import { Repair } from "./Repair";
import { Settings } from "./Settings";
import { Steps } from "./Steps";
import { WhatIf } from "./WhatIf";
import { Yearly } from "./Yearly";

const COLUMNS_FROM = 561;

/** The options beside each other, question by question in the order of a decision; none is put forward. */
export function OptionsSheet() {
  const { options, balance } = useJob().assessment;
  const [adding, setAdding] = useState(false);
  return (
    <Sheet
      station="options"
      standing="foot"
      action={{ label: adding ? "Close" : "Add an option", run: () => setAdding(!adding) }}
    >
      {adding && <AddOption close={() => setAdding(false)} />}
      {options.waits || options.options.length === 0 ? (
        <Box py="14px" maxWidth="62ch">
          {capital(options.waits ?? "nothing to compare yet")}. The options stand here as soon as the machine of today
          can be worked out.
        </Box>
      ) : (
        <>
          <WhatIf />
          <Repair />
          <Comparison options={options.options} overlap={options.overlap ?? null} />
          <LoadedPart flow={balance.flow_quantity} />
          <LeversPart cells={pick(options.options, "id", "letter", "series", "levers")} />
          <StandingKey />
        </>
      )}
      <Settings />
      <Box as="h2" fontWeight={600} pt="14px">
        Before any of these is fitted
      </Box>
    </Sheet>
  );
}

function capital(words: string) {
  return words.slice(0, 1).toUpperCase() + words.slice(1);
}

/** Rows by which columns can be put in order: what a row's figure is worth for each option. */
const ORDER: Record<string, (option: Option) => number | undefined> = {
  flow: (option) => option.steps[0]?.flow?.value,
  watts: (option) => option.steps[0]?.input_power?.value,
  energy: (option) => option.energy.figure?.value,
  saved: (option) => (option.saved_energy.figure ? -option.saved_energy.figure.value : undefined),
  cost: (option) => option.cost?.value,
  payback: (option) => option.payback.figure?.value,
  worth: (option) => (option.worth.figure ? -option.worth.figure.value : undefined),
};

function Comparison({ options, overlap }: { options: readonly Option[]; overlap: string | null }) {
  const columns = useIsWide(COLUMNS_FROM);
  const [sortedBy, setSortedBy] = useState<string | null>(null);
  const [beside, setBeside] = useState<string | null>(null);
  const shown = useMemo(() => {
    const [first, ...rest] = options;
    const of = sortedBy ? ORDER[sortedBy] : undefined;
    const ordered = of ? [...rest].sort((a, b) => (of(a) ?? Infinity) - (of(b) ?? Infinity)) : rest;
    if (!first) return [];
    if (columns) return [first, ...ordered];
    return [first, ...ordered.filter((one) => one.id === (beside ?? ordered[0]?.id))];
  }, [options, sortedBy, columns, beside]);
  const { balance } = useJob().assessment;
  const count = shown.length;
  const value = useMemo(
    () => ({ count, sortedBy, sortBy: (row: string) => setSortedBy((now) => (now === row ? null : row)) }),
    [count, sortedBy],
  );
  return (
    <ColumnsProvider value={value}>
      {!columns && <Beside options={options} chosen={shown[1]?.id ?? ""} choose={setBeside} />}
      <Grid>
        <Heads cells={pick(shown, "letter", "id", "kind", "title", "series", "product")} />
        <Fits cells={pick(shown, "letter", "id", "title", "series", "stop", "fits", "checks", "limits")} />
        <Steps
          cells={pick(shown, "letter", "id", "series", "stop", "steps")}
          flow={balance.flow_quantity}
          pressure={balance.pressure_quantity}
        />
        <Yearly shown={shown} overlap={overlap} />
        <Money shown={shown} />
      </Grid>
    </ColumnsProvider>
  );
}

/** On a phone one option stands beside A at a time. */
function Beside(props: { options: readonly Option[]; chosen: string; choose: (id: string) => void }) {
  return (
    <Box role="group" aria-label="Which option stands beside A" display="flex" flexWrap="wrap" gap="4px" py="6px">
      {props.options.slice(1).map((option) => (
        <Press
          key={option.id}
          type="button"
          aria-pressed={option.id === props.chosen}
          onClick={() => props.choose(option.id)}
          borderBottomWidth={option.id === props.chosen ? "3px" : "1px"}
          px="10px"
        >
          <InlineMark series={option.series} /> {option.letter}
        </Press>
      ))}
    </Box>
  );
}
