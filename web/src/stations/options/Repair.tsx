import { Box } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import { ChoicesField, factsOf, QuantityField, wordsOf } from "../../shared/fields";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob } from "../../shared/job";
import { Small } from "../../shared/parts";
import { FigureText, PhraseText } from "../../shared/Words";
import { Waits, WorkedFigure, WorkingPanel } from "../../shared/Working";
import { Help } from "../../shared/Help";
import { say } from "../../shared/say";

const holds = under("options/repairs", "options/filter_excess", "options/wheel_loss", "options/repair_cost");

/** What is put right before anything is replaced: it is the baseline, and what it gains stands by itself. */
export function Repair() {
  const { view } = useJob();
  const { repair } = useFound("options").options;
  const chosen = view.document.options?.repairs ?? [];
  const note = chosen.length ? (
    <>
      {say("repair-saves-itself", { chosen: chosen.map((one) => wordsOf(factsOf("options/repairs"), one)).join(", ") })}
      {repair?.energy.figure ? <FigureText figure={repair.energy.figure} /> : say("repair-what-known")}
    </>
  ) : (
    say("repair-nothing-machine")
  );
  return (
    <Fold title={say("repair-put-right")} note={note} holds={holds}>
      <Small display="block" pb="4px">
        <Help path="options/repairs" />
      </Small>
      <ChoicesField path="options/repairs" />
      {chosen.includes("filter") && <FieldGrid paths={["options/filter_excess"]} />}
      {chosen.includes("wheel") && <FieldGrid paths={["options/wheel_loss"]} />}
      {repair && (
        <Box pt="8px" role="group" aria-label={say("repair-what-repair")}>
          {repair.done.map((done, index) => (
            <Box key={index}>
              <PhraseText phrase={done} />
            </Box>
          ))}
          {repair.lacking.map((lacking) => (
            <Box key={lacking} fontStyle="italic" color="ink2">
              {lacking}
            </Box>
          ))}
          <Box display="flex" gap="4px 20px" flexWrap="wrap" alignItems="baseline">
            {repair.flow && (
              <Box>
                {say("repair-flow-changes")}
                <FigureText figure={repair.flow} />
              </Box>
            )}
            <Box>
              {say("repair-saves-itself-2")}
              {repair.energy.figure ? (
                <>
                  <WorkedFigure name="repair" result={repair.energy} />
                  {say("repair-year")}
                </>
              ) : (
                <Waits result={repair.energy} />
              )}
            </Box>
            {repair.money.figure && <FigureText figure={repair.money.figure} />}
            <Box display="flex" alignItems="center" gap="6px">
              {say("repair-costs")}
              <Box width="110px">{<QuantityField path="options/repair_cost" />}</Box>
            </Box>
          </Box>
          <WorkingPanel name="repair" result={repair.energy} />
        </Box>
      )}
    </Fold>
  );
}
