import { Box, chakra } from "@chakra-ui/react";
import { useEffect } from "react";
import { useParams } from "react-router";

import { TopLine } from "../app/TopLine";
import type { Phrase, Schemas } from "../shared/api";
import { JobProvider, useDesk, useJob } from "../shared/job";
import { Micro, Press } from "../shared/parts";
import { Stops } from "../shared/Stops";
import { FigureText, PhraseText } from "../shared/Words";

/** The card that stays in the panel: how the machine was set, what it read then, and when to look again. */
export function PanelCard() {
  const id = Number(useParams().jobId);
  const desk = useDesk(id);
  useEffect(() => {
    document.title = "Panel card · Modest Rotor";
  }, []);
  return (
    <>
      <JobProvider desk={desk}>
        <Box data-screen-only>
          <TopLine
            trail={[{ label: "Board", to: "/" }, { label: "Set-up", to: `/jobs/${id}/setup` }, { label: "Panel card" }]}
          />
        </Box>
        <Card />
      </JobProvider>
    </>
  );
}

function Card() {
  const { view, assessment } = useJob();
  const { setup } = assessment;
  const { drive, sweep } = setup;
  const last = (view.document.readings ?? []).filter((set) => set.stage === "after");
  const signs = setup.steps?.flatMap((step) => (step.signed ? [step.signed] : [])) ?? [];
  const newest = signs.map((sign) => `${sign.who}, ${sign.at ?? ""}`)[signs.length - 1];
  return (
    <Paper id="main">
      <Box display="flex" justifyContent="space-between" alignItems="baseline" gap="14px" flexWrap="wrap">
        <Box as="h1" fontSize="title" fontWeight={600}>
          {view.machine.name}
        </Box>
        <Press type="button" data-screen-only onClick={() => window.print()}>
          Print
        </Press>
      </Box>
      <Micro display="block" pb="6px">
        {[view.site_name, view.machine.place, `revision ${view.revision}`].filter(Boolean).join(" · ")}
      </Micro>
      <Stops stops={setup.stops ?? []} />
      {setup.waits ? (
        <Box fontStyle="italic">Nothing is set yet: {setup.waits}.</Box>
      ) : (
        <>
          <Row label="Fitted">
            {setup.option} {setup.title}
          </Row>
          {view.document.setup?.link && <Row label="Link or tap">{view.document.setup.link.typed}</Row>}
          {(setup.commands ?? []).map((command) => (
            <Row key={command.step} label={command.name || "step"}>
              <PhraseText phrase={settled(command)} />
              {command.wanted && (
                <>
                  {" "}
                  for <FigureText figure={command.wanted} />
                </>
              )}
            </Row>
          ))}
          {drive && sweep && (
            <>
              <Row label="Base">
                <FigureText figure={drive.base_frequency} />
                {drive.base_voltage && (
                  <>
                    , <FigureText figure={drive.base_voltage} />
                  </>
                )}
                ; {drive.mode}
              </Row>
              <Row label="Lowest, highest">
                <FigureText figure={sweep.low} /> to <FigureText figure={sweep.high} />
              </Row>
              <Row label="Skipped">
                {sweep.skips.length === 0
                  ? "nothing"
                  : sweep.skips.map((band, index) => (
                      <span key={index}>
                        {index > 0 ? "; " : ""}
                        {band.low.value} to <FigureText figure={band.high} />
                      </span>
                    ))}
              </Row>
              <Row label="Ramps, overload">
                {[drive.ramp_up, drive.ramp_down, drive.overload].map(
                  (result, index) =>
                    result.figure && (
                      <span key={result.label}>
                        {index > 0 ? ", " : ""}
                        <FigureText figure={result.figure} />
                      </span>
                    ),
                )}
              </Row>
            </>
          )}
          {setup.loop && <LoopRows loop={setup.loop} said={view.document.setup?.loop ?? null} />}
          {last.map((set) => {
            const answer = assessment.sets.find((one) => one.id === set.id);
            return (
              <Row key={set.id} label={set.name || "read after"}>
                {[set.voltage, set.current, set.input_power, set.speed, set.airflow ?? set.water_flow]
                  .filter((entry) => entry != null)
                  .map((entry) => entry.typed)
                  .join(", ")}
                {answer?.pressure.figure && (
                  <>
                    ; static <FigureText figure={answer.pressure.figure} />
                  </>
                )}
              </Row>
            );
          })}
          <Row label="Set by">{newest ?? "not signed yet"}</Row>
          <Row label="Look again">when outlets are added, the duct is changed, or the log says so</Row>
        </>
      )}
      <Micro display="block" pt="8px">
        Isolate, lock out, tag and prove dead before any cover is opened. A drive or electronic motor stays charged for
        minutes, may start by itself, and a magnet rotor that windmills makes volts.
      </Micro>
    </Paper>
  );
}

/** What the loop holds, with which gains, and what it does when its sensor or its power goes. */
function LoopRows({ loop, said }: { loop: Schemas["LoopAnswer"]; said: Schemas["Loop"] | null }) {
  return (
    <>
      <Row label="It holds">
        {loop.holds}
        {loop.set_point.figure && (
          <>
            {" "}
            at <FigureText figure={loop.set_point.figure} />
          </>
        )}
        {said?.place && <>, sensor {said.place}</>}
      </Row>
      {loop.tried_gain && loop.tried_integral && (
        <Row label="Gain, integral time">
          <FigureText figure={loop.tried_gain} />, <FigureText figure={loop.tried_integral} />
          {loop.range && (
            <>
              {" "}
              over a range of <FigureText figure={loop.range} />
            </>
          )}
        </Row>
      )}
      {(said?.on_failure ?? said?.restart) && (
        <Row label="Sensor, power cut">
          {[
            said?.on_failure && `without its sensor it ${said.on_failure}`,
            said?.restart && `after a power cut it ${said.restart}`,
          ]
            .filter(Boolean)
            .join("; ")}
        </Row>
      )}
    </>
  );
}

/** The setting that was found right, else the one worked out. */
function settled(command: Schemas["CommandAnswer"]): Phrase {
  const inside = command.advice?.outcome === "inside" && command.advice.told.length > 0;
  return inside ? (command.advice?.told ?? command.told) : command.told;
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns="150px minmax(0, 1fr)"
      gap="10px"
      borderTop="1px solid"
      borderColor="hair"
      py="5px"
    >
      <Box color="ink2">{label}</Box>
      <Box fontWeight={600}>{children}</Box>
    </Box>
  );
}

const Paper = chakra("main", {
  base: {
    maxWidth: "720px",
    mx: { base: "14px", lg: "20px" },
    my: "14px",
    p: { base: "10px", md: "20px" },
    border: "2px solid",
    borderColor: "ink",
    "@media print": { m: 0, maxWidth: "none" },
  },
});
