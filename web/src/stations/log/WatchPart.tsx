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
import { say } from "../../shared/say";

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
    <Fold
      title={say("watch-part-meter-panel")}
      note={
        watch ? say("watch-part-every-s-2", { panel: watch.panel, every_s: watch.every_s }) : say("watch-part-none")
      }
    >
      {watch ? (
        <Box display="flex" gap="6px 14px" flexWrap="wrap" alignItems="center">
          <Box>
            <b>{watch.panel}</b>
            {say("watch-part-every-s", {
              every_s: watch.every_s,
              commander: watch.commander ? say("watch-part-what-says", { commander: watch.commander }) : watch.setting,
            })}
            {watch.trouble && (
              <Box as="span" role="alert" color="ochre" fontWeight={600}>
                {say("watch-part-nothing-kept", { trouble: watch.trouble })}
              </Box>
            )}
          </Box>
          <Press type="button" onClick={() => end.mutate()}>
            {say("watch-part-read-longer")}
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
  const [setting, setSetting] = useState(log.settings[0] ?? say("watch-part-runs"));
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
          <Micro>{say("watch-part-panel")}</Micro>
          <Pick
            aria-label={say("watch-part-panel-read")}
            value={panel}
            onChange={(event) => setPanel(event.target.value)}
          >
            <option value="">{say("watch-part-choose-one")}</option>
            {devices
              .filter((device) => device.kind === "meter")
              .map((device) => (
                <option key={device.id}>{device.name}</option>
              ))}
          </Pick>
        </Box>
        <Box as="label">
          <Micro>{say("watch-part-setting-told")}</Micro>
          <Pick
            aria-label={say("watch-part-who-tells")}
            value={commander}
            onChange={(e) => setCommander(e.target.value)}
          >
            <option value="">{say("watch-part-nobody-always", { setting })}</option>
            {devices
              .filter((device) => device.kind !== "meter")
              .map((device) => (
                <option key={device.id}>{device.name}</option>
              ))}
          </Pick>
        </Box>
        <Box as="label">
          <Micro>{say("watch-part-every-s-3")}</Micro>
          <Line
            aria-label={say("watch-part-seconds-between")}
            value={every}
            onChange={(event) => setEvery(event.target.value)}
          />
        </Box>
        <Box as="label">
          <Micro>{say("watch-part-setting")}</Micro>
          <Pick
            aria-label={say("watch-part-setting-panel")}
            value={setting}
            onChange={(event) => setSetting(event.target.value)}
          >
            {log.settings.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Pick>
        </Box>
        <Press type="button" data-watch disabled={!panel} onClick={() => begin.mutate()}>
          {say("watch-part-read")}
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
