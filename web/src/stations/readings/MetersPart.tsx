import { Box } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";

import { FieldGrid } from "../../shared/AnyField";
import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Press, Small } from "../../shared/parts";
import { useReader } from "../../shared/reader";
import { say } from "../../shared/say";

const METERS = [
  "meters/voltmeter",
  "meters/clamp_meter",
  "meters/wattmeter",
  "meters/manometer",
  "meters/pressure_gauge",
  "meters/capacitance_meter",
  "meters/flow_measurement",
  "meters/flow_meter",
] as const;

/** The meters in the bag: said once for a person, and kept with the job that they were used on. */
export function MetersPart() {
  const { desk, view } = useJob();
  const { who } = useReader();
  const params = { path: { name: who || "nobody" } };
  const use = useMutation<Schemas["Meters"], Refused>({
    mutationFn: () => taken(api.GET("/api/people/{name}/meters", { params })),
    onSuccess: (mine) => desk.choose("meters", mine),
  });
  const keep = useMutation<Schemas["Meters"], Refused>({
    mutationFn: () =>
      taken(api.PUT("/api/people/{name}/meters", { params, body: { meters: view.document.meters ?? {} } })),
  });
  const trouble = use.error ?? keep.error;
  return (
    <>
      <FieldGrid paths={METERS} help={false} />
      <Small display="block">{say("meters-part-reading-off")}</Small>
      <Box display="flex" gap="14px" alignItems="center" flexWrap="wrap" pt="6px">
        <Press type="button" disabled={!who} onClick={() => use.mutate()}>
          {say("meters-part-use-my")}
        </Press>
        <Press type="button" disabled={!who} onClick={() => keep.mutate()}>
          {say("meters-part-keep-these")}
        </Press>
        <Small>{who ? say("meters-part-for", { who }) : say("meters-part-say-who")}</Small>
      </Box>
      {trouble && <Box role="alert">{trouble.message}</Box>}
      {keep.isSuccess && <Small>{say("meters-part-kept-any")}</Small>}
    </>
  );
}
