import { Box } from "@chakra-ui/react";

import type { Result } from "../../shared/api";
import { useView } from "../../shared/job";
import { colourOf } from "../../shared/marks";
import { Small } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import {
  InSight,
  memoByCells,
  type Option,
  Panels,
  type ResultCell,
  ResultRow,
  resultsOf,
  Row,
  Worked,
} from "./columns";
import { StandingMark } from "./StandingMark";

/** What each option takes and saves in a year, and what goes along with it on lines of its own. */
export function Yearly({ shown, overlap }: { shown: readonly Option[]; overlap: string | null }) {
  const { currency } = useUnits();
  const money = `${currency ?? "money"} a year`;
  const of = (result: (option: Option) => Result) => resultsOf(shown, result);
  return (
    <>
      <ResultRow
        name="energy"
        question="What does it take a year?"
        note="kWh"
        heavy
        sort="energy"
        cells={of((one) => one.energy)}
      />
      <ResultRow name="money" note={money} cells={of((one) => one.money)} />
      <SavedRow cells={of((one) => one.saved_energy)} />
      <ResultRow name="saved-money" note={money} cells={of((one) => one.saved_money)} />
      {overlap && (
        <InSight>
          <Box pb="6px">{overlap}</Box>
        </InSight>
      )}
      <Besides shown={shown} />
    </>
  );
}

/** One scale runs through the row of savings, so that columns compare by height. */
const SavedRow = memoByCells(function SavedRow({ cells }: { cells: readonly ResultCell[] }) {
  const domain = savedDomain(cells);
  return (
    <>
      <Row question="What does it save?" note="kWh a year" heavy align="center" sort="saved">
        {cells.map((cell) =>
          domain ? (
            <Box
              key={cell.letter}
              display="grid"
              gridTemplateColumns={{ base: "1fr", lg: "26px minmax(0, 1fr)" }}
              alignItems="center"
              gap="2px"
            >
              <StandingMark
                figure={cell.result.figure ?? null}
                domain={domain}
                series={colourOf(cell.series)}
                label={`${cell.letter} saves`}
              />
              <Worked name="saved" cell={cell} />
            </Box>
          ) : (
            <Worked key={cell.letter} name="saved" cell={cell} />
          ),
        )}
      </Row>
      <Panels name="saved" cells={cells} />
    </>
  );
});

function savedDomain(cells: readonly ResultCell[]): [number, number] | null {
  const saved = cells.map((cell) => cell.result.figure).filter((figure) => figure != null);
  if (saved.length === 0) return null;
  const ends = saved.flatMap((figure) => [figure.value - (figure.band ?? 0), figure.value + (figure.band ?? 0), 0]);
  return [Math.min(...ends), Math.max(...ends)];
}

interface Line {
  name: string;
  question: string;
  note: string;
  of: (option: Option) => Result;
}

const OTHER_PROMISES: readonly Line[] = [
  { name: "starts", question: "of it, the starts", note: "kWh a year", of: (one) => one.start_energy },
  { name: "cube", question: "the cube law alone", note: "promises kWh", of: (one) => one.cube_promise },
  { name: "nominal", question: "at nominal efficiency", note: "kWh", of: (one) => one.nominal_saving },
  { name: "emissions", question: "emissions saved", note: "a year", of: (one) => one.saved_emissions },
  { name: "heat", question: "heat to be made up", note: "kWh a year", of: (one) => one.made_up_heat },
  { name: "cold", question: "cooling saved as well", note: "kWh a year", of: (one) => one.saved_cooling },
  { name: "net", question: "saved, heat and cold counted", note: "", of: (one) => one.net_money },
];
const OTHERWISE: Line = {
  name: "always",
  question: "run the other way between calls",
  note: "kWh a year",
  of: (one) => one.always_on,
};

/** What goes along with the saving, shown as soon as one option has a figure for it. */
function Besides({ shown }: { shown: readonly Option[] }) {
  const { view } = useView();
  const { currency } = useUnits();
  const rows = view.document.duty?.circulation ? [...OTHER_PROMISES, OTHERWISE] : OTHER_PROMISES;
  return (
    <>
      {rows
        .filter((row) => shown.some((option) => row.of(option).figure))
        .map(({ of, ...row }) => (
          <ResultRow key={row.name} {...row} note={row.note || (currency ?? "")} cells={resultsOf(shown, of)} />
        ))}
      {!shown.some((option) => option.made_up_heat.figure) && (
        <Small display="block" pb="6px">
          Heat given to the air or the water is not in the saving; Duty can count it.
        </Small>
      )}
    </>
  );
}
