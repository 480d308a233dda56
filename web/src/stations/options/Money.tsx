import { Box } from "@chakra-ui/react";

import { QuantityField } from "../../shared/fields";
import { Micro, Small } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { FigureText, PhraseText } from "../../shared/Words";
import { Cell, Letter, memoByCells, type Option, pick, ResultRow, resultsOf, Row } from "./columns";

const FIELDS = [
  { field: "price", label: "price" },
  { field: "labour", label: "labour" },
  { field: "rebate", label: "rebate" },
] as const;

/** What each option costs, when that has come back, what can go wrong, and how soon it can be here. */
export function Money({ shown }: { shown: readonly Option[] }) {
  const { currency } = useUnits();
  return (
    <>
      <Costs cells={pick(shown, "letter", "id", "series", "stop", "kind", "cost")} />
      <ResultRow
        name="payback"
        question="payback"
        note="years, simple"
        sort="payback"
        cells={resultsOf(shown, (one) => one.payback)}
      />
      <ResultRow
        name="break-even"
        question="break-even"
        note="running hours"
        cells={resultsOf(shown, (one) => one.break_even)}
      />
      <ResultRow
        name="worth"
        question="present value"
        note={currency ?? ""}
        sort="worth"
        cells={resultsOf(shown, (one) => one.worth)}
      />
      <Last cells={pick(shown, "letter", "id", "series", "stop", "kind", "wears", "lead_time")} />
    </>
  );
}

type Costing = Pick<Option, "letter" | "id" | "series" | "stop" | "kind" | "cost">;

const Costs = memoByCells(function Costs({ cells }: { cells: readonly Costing[] }) {
  const { currency } = useUnits();
  return (
    <>
      <Row question="What does it cost?" note={`${currency ?? "money"}, fitted`} heavy sort="cost">
        {cells.map((option) => (
          <Cell key={option.letter} whose={option}>
            {option.cost ? (
              <FigureText figure={option.cost} unit={false} />
            ) : (
              <Micro>{option.kind === "keep" ? "nothing now" : "no price yet"}</Micro>
            )}
          </Cell>
        ))}
      </Row>
      {FIELDS.map(({ field, label }) => (
        <Row key={field} question={label} align="center">
          {cells.map((option) => (
            <OwnField key={option.letter} option={option} field={field} label={label} />
          ))}
        </Row>
      ))}
    </>
  );
});

function OwnField(props: {
  option: Pick<Costing, "letter" | "id" | "series" | "stop" | "kind">;
  field: string;
  label: string;
}) {
  const { option, field, label } = props;
  return (
    <Box maxWidth="120px" minWidth={0}>
      {option.kind !== "keep" && (
        <>
          <Letter whose={option} />
          <QuantityField path={`options/considered/${option.id}/${field}`} label={`${option.letter}, ${label}`} />
        </>
      )}
    </Box>
  );
}

type Lasting = Pick<Option, "letter" | "id" | "series" | "stop" | "kind" | "wears" | "lead_time">;

const Last = memoByCells(function Last({ cells }: { cells: readonly Lasting[] }) {
  return (
    <>
      <Row question="What can go wrong?" heavy align="start">
        {cells.map((option) => (
          <Cell key={option.letter} whose={option}>
            <Small color="ink">{option.stop ? "withheld" : `Wears: ${option.wears}.`}</Small>
          </Cell>
        ))}
      </Row>
      <Row question="How soon can I have it?" heavy>
        {cells.map((option) => (
          <Cell key={option.letter} whose={option}>
            <PhraseText phrase={option.lead_time} />
          </Cell>
        ))}
      </Row>
      <Row question="days" note="where no product says it" align="center">
        {cells.map((option) => (
          <OwnField key={option.letter} option={option} field="lead_time" label="lead time in days" />
        ))}
      </Row>
    </>
  );
});
