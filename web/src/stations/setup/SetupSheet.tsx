import { Box } from "@chakra-ui/react";
import { useCallback, useState } from "react";
import { Link } from "react-router";

import { StepGroup } from "../../generated/labels";
import { LabelledField } from "../../shared/AnyField";
import type { Schemas } from "../../shared/api";
import { Age, DevicePick, useDevices } from "../../shared/devices";
import { useFound, useJob } from "../../shared/job";
import { Small } from "../../shared/parts";
import { Stops } from "../../shared/Stops";
import { Part, Sheet } from "../../shared/Sheet";
import { Commands } from "./Commands";
import { DrivePart } from "./DrivePart";
import { LoopGains, LoopSensor, LoopWatch } from "./LoopParts";
import { StepLine } from "./StepLine";
import { SweepPart } from "./SweepPart";
import { StopButton } from "./WritePanel";
import { say } from "../../shared/say";

type Step = Schemas["SetupStep"];

/** How is it set: the steps in the order of the hands, each with its caution first and its value worked out. */
export function SetupSheet() {
  const { view } = useJob();
  const { setup } = useFound("setup");
  if (setup.waits)
    return (
      <Sheet station="setup">
        <Box py="14px" maxWidth="62ch" fontStyle="italic">
          {setup.waits.charAt(0).toUpperCase() + setup.waits.slice(1)}.
        </Box>
      </Sheet>
    );
  return (
    <Sheet station="setup" standing="foot">
      <Stops stops={setup.stops ?? []} />
      <Box display="flex" justifyContent="space-between" gap="4px 20px" flexWrap="wrap" py="8px" alignItems="baseline">
        <Box>
          <b>
            {setup.option}, {setup.title}
          </b>
          {say("setup-sheet-steps-signed", { done: setup.done, steps: (setup.steps ?? []).length })}
        </Box>
        <Link to={`/jobs/${view.id}/card`}>{say("setup-sheet-panel-card")}</Link>
      </Box>
      <Chosen />
      <Steps steps={setup.steps ?? []} />
    </Sheet>
  );
}

function Chosen() {
  const { view } = useJob();
  const { setup } = useFound("setup");
  const devices = useDevices();
  const drive = Boolean(setup.drive);
  const names = [view.document.setup?.device, view.document.setup?.panel];
  const chosen = (devices.data ?? []).filter((device) => names.includes(device.name));
  return (
    <Part title={say("setup-sheet-read-written")} note={<Link to="/devices">{say("setup-sheet-all-devices")}</Link>}>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr 150px" }} gap="8px 24px">
        <DevicePick
          which="device"
          label={drive ? say("setup-sheet-drive") : say("setup-sheet-electronic-motor")}
          help={say("setup-sheet-traits-decide")}
          kinds={drive ? ["drive"] : ["fan"]}
        />
        <DevicePick
          which="panel"
          label={say("setup-sheet-meter-panel")}
          help={say("setup-sheet-reads-place")}
          kinds={["meter"]}
        />
        <LabelledField path="setup/tolerance" />
        {setup.can_hold && <LabelledField path="setup/loop/holds" />}
      </Box>
      {view.document.setup?.device && (
        <Box pt="6px">
          <StopButton />
        </Box>
      )}
      {chosen
        .filter((device) => device.trouble)
        .map((device) => (
          <Box key={device.id} pt="4px">
            {device.name}: <Age device={device} />
          </Box>
        ))}
    </Part>
  );
}

const PARTS: Record<string, () => React.ReactNode> = {
  commands: () => <Commands />,
  drive_settings: () => <DrivePart />,
  sweep: () => <SweepPart />,
  loop_sensor: () => <LoopSensor />,
  loop_gains: () => <LoopGains />,
  loop_watch: () => <LoopWatch />,
};

/** The list under its groups; the first step that is open stands open, and any other opens at a press. */
function Steps({ steps }: { steps: readonly Step[] }) {
  const [pressed, setPressed] = useState<Record<string, boolean>>({});
  const first = steps.find((step) => step.is_open)?.step;
  const toggle = useCallback((step: string, open: boolean) => setPressed((now) => ({ ...now, [step]: !open })), []);
  const groups = [...new Set(steps.map((step) => step.group))];
  return (
    <>
      {groups.map((group) => {
        const own = steps.filter((step) => step.group === group);
        const left = own.filter((step) => step.is_open).length;
        return (
          <Part
            key={group}
            title={StepGroup[group]}
            note={left ? say("setup-sheet-open", { left, own: own.length }) : say("setup-sheet-all-signed")}
          >
            {own.map((step) => {
              const open = pressed[step.step] ?? step.step === first;
              const part = PARTS[step.step];
              return (
                <StepLine key={step.step} step={step} open={open} toggle={() => toggle(step.step, open)}>
                  {open && part ? part() : null}
                </StepLine>
              );
            })}
          </Part>
        );
      })}
      <Small>{say("setup-sheet-cautions-here")}</Small>
    </>
  );
}
