import { Box } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { Line, Pick } from "../../shared/devices";
import { unitOf } from "../../shared/figures";
import { Fold } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { outbox } from "../../shared/outbox";
import { Micro, Press, Small, Word } from "../../shared/parts";
import { useReader } from "../../shared/reader";
import { useUnits } from "../../shared/units";
import { useLane } from "../../shared/useOutbox";
import { Waiting } from "../../shared/Waiting";
import { asUtc, nowUtc } from "../../shared/times";
import { type LogView, useTakeLog } from "./log";
import { say } from "../../shared/say";

type Taken = Schemas["TakenIn"];

/** A reading of a visit: typed, or a set of this job taken over. */
export function AddReading({ log }: { log: LogView }) {
  const { view } = useJob();
  const { units } = useUnits();
  const { who } = useReader();
  const take = useTakeLog();
  const [values, setValues] = useState<Record<string, string>>({});
  const [at, setAt] = useState("");
  const [setting, setSetting] = useState(log.settings[0] ?? say("add-reading-runs"));
  const [said, setSaid] = useState("");
  const told = (answer: Taken) => {
    take(answer.view);
    setSaid(answer.kept ? "Kept." : say("add-reading-reading-there"));
  };
  const lane = say("add-reading-machine", { machine_id: log.machine_id });
  const acts = useLane(lane, (_, answer) => {
    if (answer) told(answer as Taken);
    else setSaid("Kept.");
  });
  const add = () => {
    setSaid("");
    over.reset();
    const words = Object.values(values).filter((text) => text.trim());
    outbox.put({
      lane,
      label: say("add-reading-reading", { words: words.join(", ") || say("add-reading-empty") }),
      method: "POST",
      path: `/api/machines/${log.machine_id}/log/readings`,
      revision: null,
      // The time is that of the reading, also where it is sent later.
      body: { at: asUtc(at) ?? nowUtc(), setting, values, units, who },
      onNewest: "always",
      who,
    });
    setValues({});
    setAt("");
  };
  const over = useMutation<Taken, Refused, string>({
    mutationFn: (id) =>
      taken(
        api.POST("/api/machines/{machine_id}/log/sets", {
          params: { path: { machine_id: log.machine_id } },
          body: { job_id: view.id, set_id: id, who },
        }),
      ),
    onSuccess: told,
  });
  const sets = view.document.readings ?? [];
  const { error } = over;
  return (
    <Fold title={say("add-reading-add-reading")}>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(auto-fill, minmax(150px, 1fr))" }}
        gap="4px 16px"
      >
        <Box as="label">
          <Micro>{say("add-reading-when")}</Micro>
          <Line
            aria-label={say("add-reading-when-2")}
            value={at}
            placeholder={say("add-reading-now")}
            onChange={(event) => setAt(event.target.value)}
          />
        </Box>
        <Box as="label">
          <Micro>{say("add-reading-setting")}</Micro>
          <Pick
            aria-label={say("add-reading-setting-2")}
            value={setting}
            onChange={(event) => setSetting(event.target.value)}
          >
            {log.settings.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Pick>
        </Box>
        {log.columns.map(({ column, title, quantity }) => (
          <Box as="label" key={column} minWidth={0}>
            <Micro>
              {title}, {unitOf(quantity, units)}
            </Micro>
            <Line
              aria-label={title}
              value={values[column] ?? ""}
              maxLength={60}
              onChange={(event) => setValues({ ...values, [column]: event.target.value })}
            />
          </Box>
        ))}
      </Box>
      <Box display="flex" gap="6px 14px" flexWrap="wrap" alignItems="center" pt="8px">
        <Press type="button" data-add-reading onClick={add}>
          {say("add-reading-keep-reading")}
        </Press>
        {sets.map((set) => (
          <Word type="button" mx="0" key={set.id} onClick={() => over.mutate(set.id)}>
            {say("add-reading-take-over", { set: set.name || set.id })}
          </Word>
        ))}
        {said && !error && <Small role="status">{said}</Small>}
      </Box>
      <Waiting acts={acts} />
      {error && (
        <Box role="alert" color="brick">
          {error.message}
        </Box>
      )}
    </Fold>
  );
}
