import {
  ControlMode as ControlModeWords,
  Holds as HoldsWords,
  SensorPlace as SensorPlaceWords,
} from "../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { useEffect } from "react";
import { useParams } from "react-router";

import { TopLine } from "../app/TopLine";
import type { Phrase, Schemas } from "../shared/api";
import { factsOf, wordsOf } from "../shared/fields";
import { unitOf, writeEntry } from "../shared/figures";
import { JobProvider, useDesk, useFound, useJob } from "../shared/job";
import type { OptionStep } from "../shared/found";
import { Micro, Press } from "../shared/parts";
import { Stops } from "../shared/Stops";
import { useUnits } from "../shared/units";
import { FigureText, PhraseText } from "../shared/Words";
import { asLocal } from "../shared/times";
import { say } from "../shared/say";

const FIRST = ["setup", "sets"] as const;

/** The card that stays in the panel: how the machine was set, what it read then, and when to look again. */
export function PanelCard() {
  const id = Number(useParams().jobId);
  const desk = useDesk(id, FIRST);
  useEffect(() => {
    document.title = say("panel-card-panel-card");
  }, []);
  return (
    <>
      <JobProvider desk={desk}>
        <Box data-screen-only>
          <TopLine
            trail={[
              { label: say("panel-card-board"), to: "/" },
              { label: say("panel-card-set-up"), to: `/jobs/${id}/setup` },
              { label: say("panel-card-panel-card-2") },
            ]}
          />
        </Box>
        <Card />
      </JobProvider>
    </>
  );
}

function Card() {
  const { view } = useJob();
  const { setup, sets } = useFound("setup", "sets");
  const { drive, sweep } = setup;
  const chosen = view.document.decision?.chosen;
  const steps = useFound(`steps/${chosen ?? ""}`)[`steps/${chosen ?? ""}`] ?? [];
  const last = (view.document.readings ?? []).filter((set) => set.stage === "after");
  const signs = setup.steps?.flatMap((step) => (step.signed ? [step.signed] : [])) ?? [];
  const newest = signs.map((sign) => `${sign.who}, ${asLocal(sign.at ?? "")}`)[signs.length - 1];
  return (
    <Paper id="main">
      <Box display="flex" justifyContent="space-between" alignItems="baseline" gap="14px" flexWrap="wrap">
        <Box as="h1" fontSize="title" fontWeight={600}>
          {view.machine.name}
        </Box>
        <Press type="button" data-screen-only onClick={() => window.print()}>
          {say("panel-card-print")}
        </Press>
      </Box>
      <Micro display="block" pb="6px">
        {[view.site_name, view.machine.place, say("panel-card-revision", { revision: view.revision })]
          .filter(Boolean)
          .join(" · ")}
      </Micro>
      <Box borderTop="2px solid" borderBottom="2px solid" borderColor="ochre" py="6px" mb="8px">
        <b>{say("panel-card-isolate-lock")}</b>
        {say("panel-card-drive-electronic")}
      </Box>
      <Stops stops={setup.stops ?? []} />
      {setup.waits ? (
        <Box fontStyle="italic">{say("panel-card-nothing-set", { waits: setup.waits })}</Box>
      ) : (
        <>
          <Row label={say("panel-card-fitted")}>
            {setup.option}, {setup.title}
          </Row>
          {view.document.setup?.voltage_selector && (
            <Row label={say("panel-card-voltage-selector")}>{view.document.setup.voltage_selector.typed}</Row>
          )}
          <Settings commands={setup.commands ?? []} steps={steps} />
          {drive && sweep && (
            <>
              <Row label={say("panel-card-base")}>
                <FigureText figure={drive.base_frequency} />
                {drive.base_voltage && (
                  <>
                    , <FigureText figure={drive.base_voltage} />
                  </>
                )}
                ; {ControlModeWords[drive.mode]}
              </Row>
              <Row label={say("panel-card-lowest-highest")}>
                <FigureText figure={sweep.low} />
                {say("panel-card-to")}
                <FigureText figure={sweep.high} />
              </Row>
              <Row label={say("panel-card-skipped")}>
                {sweep.skips.length === 0
                  ? say("panel-card-nothing")
                  : sweep.skips.map((band, index) => (
                      <span key={index}>
                        {say("panel-card-to-2", { index: index > 0 ? "; " : "", low: band.low.value })}
                        <FigureText figure={band.high} />
                      </span>
                    ))}
              </Row>
              <Row label={say("panel-card-ramps-overload")}>
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
          {last.length > 0 && <ReadAfter sets={last} answers={sets} />}
          {setup.loop && <LoopRows loop={setup.loop} said={view.document.setup?.loop ?? null} />}
          <Row label={say("panel-card-set")}>{newest ?? say("panel-card-signed-yet")}</Row>
          <Row label={say("panel-card-look-again")}>{say("panel-card-when-outlets")}</Row>
        </>
      )}
    </Paper>
  );
}

/** What the loop holds, with which gains, and what it does when its sensor or its power goes. */
function LoopRows({ loop, said }: { loop: Schemas["LoopAnswer"]; said: Schemas["Loop"] | null }) {
  return (
    <>
      <Row label={say("panel-card-holds")}>
        {HoldsWords[loop.holds]}
        {loop.set_point.figure && (
          <>
            {say("panel-card-at")}
            <FigureText figure={loop.set_point.figure} />
          </>
        )}
        {said?.place && <>{say("panel-card-sensor", { SensorPlaceWords: SensorPlaceWords[said.place] })}</>}
      </Row>
      {loop.tried_gain && loop.tried_integral && (
        <Row label={say("panel-card-gain-integral")}>
          <FigureText figure={loop.tried_gain} />, <FigureText figure={loop.tried_integral} />
          {loop.range && (
            <>
              {say("panel-card-over-range")}
              <FigureText figure={loop.range} />
            </>
          )}
        </Row>
      )}
      {(said?.on_failure ?? said?.restart) && (
        <Row label={say("panel-card-sensor-power")}>
          {[
            said?.on_failure &&
              say("panel-card-without-sensor", { does: wordsOf(factsOf("setup/loop/on_failure"), said.on_failure) }),
            said?.restart &&
              say("panel-card-after-cut", { does: wordsOf(factsOf("setup/loop/restart"), said.restart) }),
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
  const inside = command.advice?.outcome === "inside" && command.advice.setting.length > 0;
  return inside ? (command.advice?.setting ?? command.setting) : command.setting;
}

/** Each step's command in figures that are read at arm's length, with what it should give and take. */
function Settings({
  commands,
  steps,
}: {
  commands: readonly Schemas["CommandAnswer"][];
  steps: readonly OptionStep[];
}) {
  if (commands.length === 0) return null;
  return (
    <Box overflowX="auto">
      <Table>
        <thead>
          <tr>
            <th scope="col">{say("panel-card-step")}</th>
            <th scope="col">{say("panel-card-set-2")}</th>
            <th scope="col">{say("panel-card-should-move")}</th>
            <th scope="col">{say("panel-card-should-take")}</th>
          </tr>
        </thead>
        <tbody>
          {commands.map((command) => {
            const step = steps.find((one) => one.id === command.step);
            return (
              <tr key={command.step}>
                <th scope="row">{command.name || say("panel-card-step")}</th>
                <td data-large>
                  <PhraseText phrase={settled(command)} />
                </td>
                <td data-large>{command.wanted && <FigureText figure={command.wanted} />}</td>
                <td>
                  {step?.input_power && <FigureText figure={step.input_power} />}
                  {step?.current && (
                    <>
                      , <FigureText figure={step.current} />
                    </>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </Table>
    </Box>
  );
}

const READ = ["voltage", "current", "input_power", "speed", "airflow", "water_flow"] as const;

/** What was read once it was set: units once, in the head; only what was read has a column. */
function ReadAfter({
  sets,
  answers,
}: {
  sets: readonly Schemas["ReadingSet"][];
  answers: readonly Schemas["SetAnswer"][];
}) {
  const { units } = useUnits();
  const read = READ.filter((field) => sets.some((set) => set[field] != null));
  const pressures = sets.map((set) => answers.find((one) => one.id === set.id)?.pressure.figure);
  const quantityOf = (field: (typeof READ)[number]) => factsOf(`readings/x/${field}`).quantity ?? "";
  const shared = pressures.find((figure) => figure != null);
  return (
    <Box overflowX="auto">
      <Table>
        <thead>
          <tr>
            <th scope="col">{say("panel-card-read-then")}</th>
            {read.map((field) => (
              <th key={field} scope="col">
                {unitOf(quantityOf(field), units)}
              </th>
            ))}
            {shared && <th scope="col">{say("panel-card-static", { unitOf: unitOf(shared.quantity, units) })}</th>}
          </tr>
        </thead>
        <tbody>
          {sets.map((set, place) => (
            <tr key={set.id}>
              <th scope="row">{set.name || say("panel-card-after")}</th>
              {read.map((field) => {
                const entry = set[field];
                return (
                  <td key={field} data-large>
                    {entry ? writeEntry(quantityOf(field), entry, units).text : "–"}
                  </td>
                );
              })}
              {shared && (
                <td data-large>
                  {pressures[place] ? <FigureText figure={pressures[place]} unit={false} line={false} /> : "–"}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </Table>
    </Box>
  );
}

const Table = chakra("table", {
  base: {
    width: "100%",
    borderCollapse: "collapse",
    marginBlock: "10px",
    "& thead th": { fontSize: "small", fontWeight: 400, color: "ink2", textAlign: "left", paddingBlock: "4px" },
    "& tbody th": { textAlign: "left", fontWeight: 600 },
    "& td, & tbody th": { borderTop: "1px solid", borderColor: "rule", paddingBlock: "8px" },
    "& th, & td": { paddingRight: "14px", verticalAlign: "baseline" },
    "& [data-large]": { fontSize: { base: "1.25rem", md: "1.625rem" }, fontWeight: 600, lineHeight: 1.15 },
  },
});

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
