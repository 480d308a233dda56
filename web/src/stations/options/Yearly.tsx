import { Box } from "@chakra-ui/react";

import type { Result } from "../../shared/api";
import { useJob } from "../../shared/job";
import { colourOf } from "../../shared/marks";
import { Small } from "../../shared/parts";
import { useUnits } from "../../shared/units";
import { InSight, type Option, Panels, ResultRow, Row, useColumns, Worked } from "./columns";
import { StandingMark } from "./StandingMark";

/** What each option takes and saves in a year, and what goes along with it on lines of its own. */
export function Yearly({ overlap }: { overlap: string | null }) {
  const { currency } = useUnits();
  const money = `${currency ?? "money"} a year`;
  return (
    <>
      <ResultRow
        name="energy"
        question="What does it take a year?"
        note="kWh"
        heavy
        sort="energy"
        of={(o) => o.energy}
      />
      <ResultRow name="money" note={money} of={(o) => o.money} />
      <SavedRow />
      <ResultRow name="saved-money" note={money} of={(o) => o.saved_money} />
      {overlap && (
        <InSight>
          <Box pb="6px">{overlap}</Box>
        </InSight>
      )}
      <OtherPromises />
      <Besides />
    </>
  );
}

/** One scale runs through the row of savings, so that columns compare by height. */
function SavedRow() {
  const { shown } = useColumns();
  const domain = savedDomain(shown);
  const of = (option: Option) => option.saved_energy;
  return (
    <>
      <Row question="What does it save?" note="kWh a year" heavy align="center" sort="saved">
        {shown.map((option) =>
          domain ? (
            <Box
              key={option.letter}
              display="grid"
              gridTemplateColumns={{ base: "1fr", lg: "26px minmax(0, 1fr)" }}
              alignItems="center"
              gap="2px"
            >
              <StandingMark
                figure={option.saved_energy.figure ?? null}
                domain={domain}
                series={colourOf(option.series)}
                label={`${option.letter} saves`}
              />
              <Worked option={option} name="saved" result={option.saved_energy} />
            </Box>
          ) : (
            <Worked key={option.letter} option={option} name="saved" result={option.saved_energy} />
          ),
        )}
      </Row>
      <Panels name="saved" of={of} />
    </>
  );
}

function savedDomain(options: readonly Option[]): [number, number] | null {
  const saved = options.map((option) => option.saved_energy.figure).filter((figure) => figure != null);
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

/** Rows that are shown as soon as one option has a figure for them. */
function Known({ rows }: { rows: readonly Line[] }) {
  const { shown } = useColumns();
  return rows
    .filter((row) => shown.some((option) => row.of(option).figure))
    .map((row) => <ResultRow key={row.name} {...row} />);
}

function OtherPromises() {
  return (
    <Known
      rows={[
        { name: "cube", question: "the cube law alone", note: "promises kWh", of: (o) => o.cube_promise },
        { name: "nominal", question: "at nominal efficiency", note: "kWh", of: (o) => o.nominal_saving },
      ]}
    />
  );
}

/** What goes along with the saving: emissions, heat to be made up, cooling saved, the fan between calls. */
function Besides() {
  const { view } = useJob();
  const { shown } = useColumns();
  const { currency } = useUnits();
  const always = view.document.duty?.circulation;
  return (
    <>
      <Known
        rows={[
          { name: "emissions", question: "emissions saved", note: "a year", of: (o) => o.saved_emissions },
          { name: "heat", question: "heat to be made up", note: "kWh a year", of: (o) => o.made_up_heat },
          { name: "cold", question: "cooling saved as well", note: "kWh a year", of: (o) => o.saved_cooling },
          { name: "net", question: "saved, heat and cold counted", note: currency ?? "", of: (o) => o.net_money },
          ...(always
            ? [
                {
                  name: "always",
                  question: "if the fan ran always",
                  note: "kWh a year",
                  of: (o: Option) => o.always_on,
                },
              ]
            : []),
        ]}
      />
      {!shown.some((option) => option.made_up_heat.figure) && (
        <Small display="block" pb="6px">
          Heat given to the air or the water is not in the saving; Duty can count it.
        </Small>
      )}
    </>
  );
}
