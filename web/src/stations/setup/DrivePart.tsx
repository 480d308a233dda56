import { ControlMode as ControlModeWords } from "../../generated/labels";
import { Box } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import type { Result } from "../../shared/api";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob } from "../../shared/job";
import { Micro, Small } from "../../shared/parts";
import { FigureText, PhraseText } from "../../shared/Words";
import { WorkedFigure, WorkingPanel } from "../../shared/Working";
import { Told } from "./Told";
import { WriteButton } from "./WritePanel";
import { say } from "../../shared/say";

const TYPED = [
  "mode",
  "shape",
  "base_frequency",
  "base_voltage",
  "trim",
  "carrier",
  "lowest",
  "highest",
  "ramp_up",
  "ramp_down",
  "new_current",
  "new_speed",
].map((field) => `setup/drive/${field}`);

/** The drive's settings, each worked out; typed over where somebody knows better; written and read back. */
export function DrivePart() {
  const { view } = useJob();
  const { setup } = useFound("setup");
  const { drive } = setup;
  if (!drive) return null;
  const results: [string, Result][] = [
    ["volts_per_hertz", drive.volts_per_hertz],
    ["lowest", drive.lowest],
    ["highest", drive.highest],
    ["ramp_up", drive.ramp_up],
    ["ramp_down", drive.ramp_down],
    ["carrier", drive.carrier],
    ["overload", drive.overload],
    ["overload_most", drive.overload_most],
  ];
  return (
    <>
      <Box py="4px">
        <b>{say("drive-part-control", { ControlModeWords: ControlModeWords[drive.mode] })}</b> {drive.mode_words}{" "}
        <Small>{drive.mode_needs}</Small>
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} columnGap="24px">
        <Told label={say("drive-part-base-frequency")}>
          <FigureText figure={drive.base_frequency} />
          {drive.base_voltage && (
            <>
              , <FigureText figure={drive.base_voltage} />
            </>
          )}
        </Told>
        {results.map(([name, result]) => (
          <Told key={name} label={result.label}>
            <WorkedFigure name={name} result={result} />
          </Told>
        ))}
      </Box>
      {results.map(([name, result]) => (
        <WorkingPanel key={name} name={name} result={result} />
      ))}
      <Micro display="block" py="4px">
        <PhraseText phrase={drive.shape} /> <PhraseText phrase={drive.start_up} />
      </Micro>
      <Fold title={say("drive-part-type-setting")} note={say("drive-part-where-manual")} holds={under("setup/drive")}>
        <FieldGrid paths={TYPED} />
      </Fold>
      {view.document.setup?.device && (
        <WriteButton wanted={{ what: "settings" }} label={say("drive-part-write-settings")} />
      )}
    </>
  );
}
