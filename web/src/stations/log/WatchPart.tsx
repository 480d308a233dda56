import { Box } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, taken } from "../../shared/api";
import { Line, Pick, useDevices } from "../../shared/devices";
import { Fold } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { Micro, Press } from "../../shared/parts";
import { useReader } from "../../shared/reader";
import { type LogView, useTakeLog } from "./log";

/** The meter panel, read into this log at an interval for as long as the application runs. */
export function WatchPart({ log }: { log: LogView }) {
  const { watch } = log;
  const take = useTakeLog();
  const end = useMutation<LogView, Refused>({
    mutationFn: () =>
      taken(api.DELETE("/api/machines/{machine_id}/log/watch", { params: { path: { machine_id: log.machine_id } } })),
    onSuccess: take,
  });
  return (
    <Fold title="From a meter panel, at an interval" note={watch ? `${watch.panel}, every ${watch.every_s} s` : "none"}>
      {watch ? (
        <Box display="flex" gap="6px 14px" flexWrap="wrap" alignItems="center">
          <Box>
            <b>{watch.panel}</b> every {watch.every_s} s, on{" "}
            {watch.commander ? `what ${watch.commander} says` : watch.setting}.{" "}
            {watch.trouble && (
              <Box as="span" role="alert" color="ochre" fontWeight={600}>
                {watch.trouble} Nothing was kept for it.
              </Box>
            )}
          </Box>
          <Press type="button" onClick={() => end.mutate()}>
            Read it no longer
          </Press>
        </Box>
      ) : (
        <Begin log={log} />
      )}
    </Fold>
  );
}

function Begin({ log }: { log: LogView }) {
  const { view } = useJob();
  const { who } = useReader();
  const take = useTakeLog();
  const devices = useDevices().data ?? [];
  const setup = view.document.setup;
  const [panel, setPanel] = useState(setup?.panel ?? "");
  const [commander, setCommander] = useState(setup?.device ?? "");
  const [every, setEvery] = useState("60");
  const [setting, setSetting] = useState(log.settings[0] ?? "as it runs");
  const begin = useMutation<LogView, Refused>({
    mutationFn: () =>
      taken(
        api.PUT("/api/machines/{machine_id}/log/watch", {
          params: { path: { machine_id: log.machine_id } },
          body: { panel, commander: commander || null, every_s: Number(every) || 0, setting, who },
        }),
      ),
    onSuccess: take,
  });
  return (
    <>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "1fr 1fr 110px 140px auto" }}
        gap="4px 14px"
        alignItems="end"
      >
        <Box as="label">
          <Micro>panel</Micro>
          <Pick aria-label="Panel to read" value={panel} onChange={(event) => setPanel(event.target.value)}>
            <option value="">choose one</option>
            {devices
              .filter((device) => device.kind === "meter")
              .map((device) => (
                <option key={device.id}>{device.name}</option>
              ))}
          </Pick>
        </Box>
        <Box as="label">
          <Micro>the setting is told by</Micro>
          <Pick aria-label="Who tells the setting" value={commander} onChange={(e) => setCommander(e.target.value)}>
            <option value="">nobody: always {setting}</option>
            {devices
              .filter((device) => device.kind !== "meter")
              .map((device) => (
                <option key={device.id}>{device.name}</option>
              ))}
          </Pick>
        </Box>
        <Box as="label">
          <Micro>every, s</Micro>
          <Line
            aria-label="Seconds between readings"
            value={every}
            onChange={(event) => setEvery(event.target.value)}
          />
        </Box>
        <Box as="label">
          <Micro>setting</Micro>
          <Pick aria-label="Setting of the panel" value={setting} onChange={(event) => setSetting(event.target.value)}>
            {log.settings.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Pick>
        </Box>
        <Press type="button" data-watch disabled={!panel} onClick={() => begin.mutate()}>
          Read it
        </Press>
      </Box>
      {begin.error && (
        <Box role="alert" color="brick">
          {begin.error.message}
        </Box>
      )}
    </>
  );
}
