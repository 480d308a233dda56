import { Box } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

import { quantities, type QuantityName } from "../../generated/quantities";
import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { Line, Pick } from "../../shared/devices";
import { unitOf } from "../../shared/figures";
import { Fold } from "../../shared/Fold";
import { useView } from "../../shared/job";
import { Micro, Press, Small, Word } from "../../shared/parts";
import { useReader } from "../../shared/reader";
import { useUnits } from "../../shared/units";
import { type LogView, useTakeLog } from "./LogSheet";

type Taken = Schemas["TakenIn"];

const COLUMNS: Record<string, { label: string; quantity: QuantityName }> = {
  voltage: { label: "Volts", quantity: "voltage" },
  current: { label: "Line amps", quantity: "current" },
  input_power: { label: "Input power", quantity: "input_power" },
  speed: { label: "Speed", quantity: "speed" },
  static: { label: "Static across", quantity: "pressure" },
  airflow: { label: "Airflow", quantity: "airflow" },
  water_flow: { label: "Water flow", quantity: "water_flow" },
  differential: { label: "Pump differential", quantity: "pump_differential" },
  air: { label: "Air temperature", quantity: "temperature" },
  capacitance: { label: "Run capacitor", quantity: "capacitance" },
};

export function columnLabel(column: string) {
  return COLUMNS[column]?.label ?? column;
}

/** A reading of a visit: typed, or a set of this job taken over. */
export function AddReading({ log }: { log: LogView }) {
  const { view } = useView();
  const { units } = useUnits();
  const { who } = useReader();
  const take = useTakeLog();
  const [values, setValues] = useState<Record<string, string>>({});
  const [at, setAt] = useState("");
  const [setting, setSetting] = useState(log.settings[0] ?? "as it runs");
  const [said, setSaid] = useState("");
  const told = (answer: Taken) => {
    take(answer.view);
    setSaid(answer.kept ? "Kept." : "That reading is there already; nothing was added.");
  };
  const add = useMutation<Taken, Refused>({
    mutationFn: () =>
      taken(
        api.POST("/api/machines/{machine_id}/log/readings", {
          params: { path: { machine_id: log.machine_id } },
          body: { at: at || null, setting, values, units, who },
        }),
      ),
    onSuccess: (answer) => {
      told(answer);
      setValues({});
      setAt("");
    },
  });
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
  const error = add.error ?? over.error;
  return (
    <Fold title="Add a reading" note="of a visit, or a set of this job">
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr 1fr", md: "repeat(auto-fill, minmax(150px, 1fr))" }}
        gap="4px 16px"
      >
        <Box as="label">
          <Micro>when, UTC</Micro>
          <Line aria-label="When" value={at} placeholder="now" onChange={(event) => setAt(event.target.value)} />
        </Box>
        <Box as="label">
          <Micro>on which setting</Micro>
          <Pick aria-label="Setting" value={setting} onChange={(event) => setSetting(event.target.value)}>
            {log.settings.map((one) => (
              <option key={one}>{one}</option>
            ))}
          </Pick>
        </Box>
        {log.columns.map((column) => (
          <Box as="label" key={column} minWidth={0}>
            <Micro>
              {columnLabel(column)}, {unitOf(COLUMNS[column]?.quantity ?? "voltage", units)}
            </Micro>
            <Line
              aria-label={columnLabel(column)}
              value={values[column] ?? ""}
              maxLength={60}
              onChange={(event) => setValues({ ...values, [column]: event.target.value })}
            />
          </Box>
        ))}
      </Box>
      <Box display="flex" gap="6px 14px" flexWrap="wrap" alignItems="center" pt="8px">
        <Press type="button" data-add-reading onClick={() => add.mutate()}>
          Keep this reading
        </Press>
        {sets.map((set) => (
          <Word type="button" mx="0" key={set.id} onClick={() => over.mutate(set.id)}>
            take over “{set.name || set.id}”
          </Word>
        ))}
        {said && !error && <Small role="status">{said}</Small>}
      </Box>
      {error && (
        <Box role="alert" color="brick">
          {error.message}
        </Box>
      )}
    </Fold>
  );
}

export function unitsOf(column: string): readonly string[] {
  const name = COLUMNS[column]?.quantity;
  return name ? quantities[name].typed_units : [];
}
