import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useState } from "react";
import { Link } from "react-router";

import { api, type Refused, type Schemas, taken } from "../shared/api";
import { unitOf } from "../shared/figures";
import { Micro, Small } from "../shared/parts";
import { useUnits } from "../shared/units";
import { FigureText } from "../shared/Words";
import { WorkingParts } from "../shared/Working";
import { say } from "../shared/say";
import { capital } from "../shared/casing";

type Facts = Schemas["CalculationFacts"];
type Input = Schemas["AskedInput"];
type Calculated = Schemas["Calculated"];

/** One calculation: its values on top, its results and their working below, as they are typed. */
export function OneWorking({ facts }: { facts: Facts }) {
  const { units } = useUnits();
  const [values, setValues] = useState<Record<string, string>>({});
  const asked = useDeferredValue(values);
  const ready = facts.inputs.every((input) => input.default != null || (asked[input.name] ?? "").trim());
  const worked = useQuery<Calculated, Refused>({
    queryKey: ["calculation", facts.name, asked, units],
    queryFn: ({ signal }) =>
      taken(
        api.POST("/api/calculations/{name}", {
          params: { path: { name: facts.name } },
          body: { values: asked, units },
          signal,
        }),
      ),
    enabled: ready,
    retry: false,
    placeholderData: (before) => before,
  });
  return (
    <>
      <Box display={{ base: "block", md: "none" }}>
        <Link to="/workings">{say("one-working-all-workings")}</Link>
      </Box>
      <Box as="h1" fontSize="title" fontWeight={600} borderBottom="2px solid" borderColor="ink" pb="6px">
        {facts.label}
      </Box>
      {facts.inputs.map((input) => (
        <InputRow
          key={input.name}
          input={input}
          value={values[input.name] ?? ""}
          set={(text) => setValues((before) => ({ ...before, [input.name]: text }))}
        />
      ))}
      <Box pt="12px" aria-live="polite">
        {!ready && <Small fontStyle="italic">{say("one-working-waits-values")}</Small>}
        {ready && worked.error && <Refusal role="alert">{worked.error.message}</Refusal>}
        {ready && !worked.error && worked.data && <Outcome calculated={worked.data} />}
      </Box>
      <Box pt="12px">
        {!worked.data && (
          <>
            <Micro display="block">{symbolOf(facts.formula)}</Micro>
            <Micro display="block">{facts.source}</Micro>
          </>
        )}
      </Box>
    </>
  );
}

function Outcome({ calculated }: { calculated: Calculated }) {
  const first = calculated.results[0];
  return (
    <>
      {calculated.results.map((result) => (
        <Box key={result.label} fontSize="figure" pb="4px">
          {result.label}: {result.figure && <FigureText figure={result.figure} />}
        </Box>
      ))}
      {(calculated.words ?? []).map((words) => (
        <Box key={words} fontSize="figure" pb="4px">
          {words}
        </Box>
      ))}
      {first?.working && (
        <Box borderTop="1px solid" borderColor="rule" mt="8px" pt="4px">
          <WorkingParts working={first.working} />
        </Box>
      )}
    </>
  );
}

interface InputRowProps {
  input: Input;
  value: string;
  set: (text: string) => void;
}

function InputRow({ input, value, set }: InputRowProps) {
  const { units } = useUnits();
  const unit = input.quantity ? unitOf(input.quantity, units) : "";
  return (
    <Box
      as="label"
      display="grid"
      gridTemplateColumns={{ base: "minmax(0, 1fr) 150px 56px", md: "minmax(0, 1fr) 210px 70px" }}
      columnGap="14px"
      alignItems="center"
      minHeight="52px"
      borderBottom="1px solid"
      borderColor="hair"
    >
      <span>
        {capital(input.label)}{" "}
        <Micro display={{ base: "none", md: "inline" }}>{input.symbol ? symbolOf(input.symbol) : ""}</Micro>
      </span>
      {input.choices.length > 0 ? (
        <Choice value={value} onChange={(event) => set(event.target.value)}>
          <option value="">{input.default ?? say("one-working-choose")}</option>
          {input.choices.map((choice) => (
            <option key={choice} value={choice}>
              {choice}
            </option>
          ))}
        </Choice>
      ) : (
        <Text
          value={value}
          placeholder={input.default ?? ""}
          onChange={(event) => set(event.target.value)}
          inputMode={input.quantity ? "decimal" : "text"}
          textAlign={input.quantity ? "right" : "left"}
        />
      )}
      <Micro>{unit}</Micro>
    </Box>
  );
}

function symbolOf(symbol: string) {
  return symbol.split(/_(\w+)/).map((piece, index) => (index % 2 === 1 ? <sub key={index}>{piece}</sub> : piece));
}

const BOX = {
  minHeight: "44px",
  border: 0,
  borderBottom: "1.5px solid",
  borderColor: "ink",
  background: "transparent",
  fontSize: "figure",
  fontWeight: 600,
  px: "4px",
  width: "100%",
  minWidth: 0,
} as const;

const Text = chakra("input", { base: BOX });
const Choice = chakra("select", { base: { ...BOX, background: "paper", fontSize: "text" } });
const Refusal = chakra("div", { base: { borderLeft: "4px solid", borderColor: "ochre", pl: "12px", py: "4px" } });
