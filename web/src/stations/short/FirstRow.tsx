import { Box } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";

import { LabelledField } from "../../shared/AnyField";
import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob } from "../../shared/job";
import { Picker } from "../../shared/Picker";
import { Press, Small } from "../../shared/parts";
import { PlateLine } from "../plate/PlateLine";
import { say } from "../../shared/say";

const READ = ["voltage", "current", "speed", "input_power"];

/** What a first answer needs, each field the job's own: the plate's line, one row of readings, what it drives, hours and price. */
export function FirstRow() {
  const { desk, view } = useJob();
  const { candidates } = useFound("candidates");
  const known = candidates.some((one) => !one.is_base && one.saved.figure);
  if (view.document.decision?.chosen) return null;
  const dead = view.document.call?.reason === "dead";
  const first = view.document.readings?.[0];
  const ready = (dead || first) && (view.document.options?.candidates ?? []).length > 0;
  if (!ready)
    return (
      <Box py="10px" borderBottom="1px solid" borderColor="rule">
        <Press type="button" data-first onClick={() => void desk.beginFirst(null)}>
          {say("first-row-one-row")}
        </Press>
        <Small display="block" pt="4px">
          {say("first-row-plate-volts")}
        </Small>
      </Box>
    );
  const step = view.document.duty?.steps?.[0];
  const fields = [
    "machine/type",
    ...(first && !dead ? READ.map((name) => `readings/${first.id}/${name}`) : []),
    ...(first && !dead && view.machine.type !== "pump" ? [`readings/${first.id}/total_static`] : []),
    ...(step ? [`duty/steps/${step.id}/hours`] : []),
    "duty/energy_price",
  ];
  return (
    <Fold
      title={say("first-row-row-first")}
      note={known ? say("first-row-each-value") : say("first-row-type-what")}
      startsOpen={!known}
      holds={under(...fields)}
    >
      {!view.document.nameplate?.rated_power && <PlateLine />}
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(auto-fill, minmax(170px, 1fr))" }}
        gap="0 18px"
      >
        {fields.map((path) => (
          <LabelledField key={path} path={path} help={false} />
        ))}
        {!step && <Building />}
      </Box>
    </Fold>
  );
}

/** The year by kind of building, assumed, where nobody knows better. */
function Building() {
  const { desk } = useJob();
  const templates = useQuery<Schemas["DutyTemplate"][], Refused>({
    queryKey: ["duty-templates"],
    queryFn: () => taken(api.GET("/api/duty-templates")),
  });
  return (
    <Box py="4px" minWidth={0}>
      <Box fontSize="small" fontWeight={600}>
        {say("first-row-hours-kind")}
      </Box>
      <Picker
        aria-label={say("first-row-hours-kind")}
        value=""
        onChange={(event) => event.target.value && void desk.beginFirst(event.target.value)}
      >
        <option value="">{say("first-row-building")}</option>
        {(templates.data ?? []).map(({ building }) => (
          <option key={building}>{building}</option>
        ))}
      </Picker>
    </Box>
  );
}
