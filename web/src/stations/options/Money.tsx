import { Box } from "@chakra-ui/react";

import { QuantityField } from "../../shared/fields";
import { Micro } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { FigureText, PhraseText } from "../../shared/Words";
import { Cell, Letter, ResultRow, Row, useColumns } from "./columns";

const COSTS = [
  { field: "price", label: "price" },
  { field: "labour", label: "labour" },
  { field: "rebate", label: "rebate" },
] as const;

/** What each option costs, when that has come back, what can go wrong, and how soon it can be here. */
export function Money() {
  const { shown } = useColumns();
  const { currency } = useUnits();
  return (
    <>
      <Row question="What does it cost?" note={`${currency ?? "money"}, fitted`} heavy sort="cost">
        {shown.map((option) => (
          <Cell key={option.letter} option={option}>
            {option.cost ? <FigureText figure={option.cost} unit={false} /> : <Micro>{noCost(option.kind)}</Micro>}
          </Cell>
        ))}
      </Row>
      {COSTS.map(({ field, label }) => (
        <Row key={field} question={label} align="center">
          {shown.map((option) => (
            <Box key={option.letter} maxWidth="120px">
              {option.kind === "keep" ? null : (
                <>
                  <Letter option={option} />
                  <QuantityField
                    path={`options/considered/${option.id}/${field}`}
                    label={`${option.letter}, ${label}`}
                  />
                </>
              )}
            </Box>
          ))}
        </Row>
      ))}
      <ResultRow name="payback" question="payback" note="years, simple" sort="payback" of={(o) => o.payback} />
      <ResultRow name="break-even" question="break-even" note="running hours" of={(o) => o.break_even} />
      <ResultRow name="worth" question="present value" note={currency ?? ""} sort="worth" of={(o) => o.worth} />
      <Row question="What can go wrong?" heavy align="start">
        {shown.map((option) => (
          <Cell key={option.letter} option={option}>
            <Box as="span" fontSize="small">
              {option.stop ? "withheld" : `Wears: ${option.wears}.`}
            </Box>
          </Cell>
        ))}
      </Row>
      <Row question="How soon can I have it?" heavy>
        {shown.map((option) => (
          <Cell key={option.letter} option={option}>
            <PhraseText phrase={option.lead_time} />
          </Cell>
        ))}
      </Row>
      <Row question="days" note="where no product says it" align="center">
        {shown.map((option) => (
          <Box key={option.letter} maxWidth="120px">
            {option.kind !== "keep" && (
              <QuantityField
                path={`options/considered/${option.id}/lead_time`}
                label={`${option.letter}, lead time in days`}
              />
            )}
          </Box>
        ))}
      </Row>
    </>
  );
}

function noCost(kind: string) {
  return kind === "keep" ? "nothing now" : "no price yet";
}
