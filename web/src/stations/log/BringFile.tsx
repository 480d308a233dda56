import { OrderWords } from "../../generated/labels";
import { Box } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { Line, Pick } from "../../shared/devices";
import { Fold } from "../../shared/Fold";
import { FilePress, Micro, Press, Small } from "../../shared/parts";
import { useReader } from "../../shared/reader";
import { useUnits } from "../../shared/units";
import { type LogView, useTakeLog } from "./log";
import { dayOf, ownZone } from "../../shared/times";
import { say } from "../../shared/say";
import { numbersTag } from "../../shared/language";

type FileIn = Schemas["FileIn"];
type Taken = Schemas["TakenIn"];

/** A file of readings: looked at first, each column said what it is; taken in only when that is confirmed. */
export function BringFile({ log }: { log: LogView }) {
  const { units } = useUnits();
  const { who } = useReader();
  const take = useTakeLog();
  const [file, setFile] = useState<FileIn | null>(null);
  const look = useMutation<Schemas["LogFile"], Refused, FileIn>({
    mutationFn: (wanted) => taken(api.POST("/api/log/look", { body: wanted })),
  });
  const bring = useMutation<Taken, Refused, FileIn>({
    mutationFn: (wanted) =>
      taken(
        api.POST("/api/machines/{machine_id}/log/csv", {
          params: { path: { machine_id: log.machine_id } },
          body: wanted,
        }),
      ),
    onSuccess: (answer) => {
      take(answer.view);
      setFile(null);
      look.reset();
    },
  });
  const lookAt = (wanted: FileIn) => {
    setFile(wanted);
    look.mutate(wanted);
  };
  const error = look.error ?? bring.error;
  return (
    <Fold title={say("bring-file-file")} note="CSV">
      <Box display="flex" gap="14px" flexWrap="wrap" alignItems="center">
        <FilePress>
          {say("bring-file-bring-csv")}
          <input
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            aria-label={say("bring-file-csv-readings")}
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (!chosen) return;
              const setting = log.settings[0] ?? say("bring-file-runs");
              void chosen.text().then((text) =>
                lookAt({
                  text,
                  mapping: {},
                  units_of: {},
                  units,
                  who,
                  setting,
                  zone: ownZone(),
                  source: chosen.name.slice(0, 100),
                }),
              );
            }}
          />
        </FilePress>
        <Small>{say("bring-file-nothing-taken")}</Small>
        {bring.data && !file && (
          <Small role="status">
            {say("bring-file-readings-taken", {
              kept: bring.data.kept.toLocaleString(numbersTag()),
              already: bring.data.already
                ? say("bring-file-there-already", { already: bring.data.already.toLocaleString(numbersTag()) })
                : "",
            })}
          </Small>
        )}
      </Box>
      {error && (
        <Box role="alert" color="brick" py="6px">
          {error.message}
          {error.field === "order" && file && (
            <Box display="flex" gap="8px" pt="6px">
              {(["day-first", "month-first"] as const).map((order) => (
                <Press key={order} type="button" onClick={() => lookAt({ ...file, order })}>
                  {OrderWords[order]}
                </Press>
              ))}
            </Box>
          )}
        </Box>
      )}
      {look.data && file && (
        <Box role="region" aria-label={say("bring-file-what-file")} pt="8px">
          <Box>
            {say("bring-file-readings-rows", {
              readings: look.data.readings.toLocaleString(numbersTag()),
              rows: look.data.rows.toLocaleString(numbersTag()),
              first:
                look.data.first && look.data.last
                  ? say("bring-file-to", { dayOf: dayOf(look.data.first), dayOf2: dayOf(look.data.last) })
                  : "",
              time_column: look.data.time_column,
              zone: file.zone || say("bring-file-utc"),
            })}
          </Box>
          {look.data.remarks.map((remark) => (
            <Small key={remark} display="block">
              {remark}
            </Small>
          ))}
          <Columns file={file} found={look.data} columns={log.columns} change={lookAt} />
          <Box display="flex" gap="6px 14px" flexWrap="wrap" alignItems="end" pt="6px">
            <Box as="label" width="160px">
              <Micro>{say("bring-file-setting")}</Micro>
              <Pick
                aria-label={say("bring-file-setting-file")}
                value={file.setting}
                onChange={(event) => setFile({ ...file, setting: event.target.value })}
              >
                {log.settings.map((one) => (
                  <option key={one}>{one}</option>
                ))}
              </Pick>
            </Box>
            <Box as="label" width="220px">
              <Micro>{say("bring-file-read")}</Micro>
              <Line
                aria-label={say("bring-file-read-2")}
                value={file.source}
                maxLength={120}
                onChange={(event) => setFile({ ...file, source: event.target.value })}
              />
            </Box>
            <Press type="button" data-take-file disabled={bring.isPending} onClick={() => bring.mutate(file)}>
              {say("bring-file-take-readings", { readings: look.data.readings.toLocaleString(numbersTag()) })}
            </Press>
          </Box>
        </Box>
      )}
    </Fold>
  );
}

interface ColumnsProps {
  file: FileIn;
  found: Schemas["LogFile"];
  columns: LogView["columns"];
  change: (file: FileIn) => void;
}

function Columns({ file, found, columns, change }: ColumnsProps) {
  return found.columns.map((column) => (
    <Box
      key={column.heading}
      display="grid"
      gridTemplateColumns={{ base: "1fr 1fr 90px", md: "220px 200px 110px" }}
      gap="4px 14px"
      alignItems="center"
      borderTop="1px solid"
      borderColor="hair"
    >
      <Box fontSize="small">{column.heading}</Box>
      <Pick
        aria-label={say("bring-file-what", { heading: column.heading })}
        value={column.column}
        onChange={(event) => change({ ...file, mapping: { ...file.mapping, [column.heading]: event.target.value } })}
      >
        <option value="">{say("bring-file-taken")}</option>
        {columns.map((one) => (
          <option key={one.column} value={one.column}>
            {one.title}
          </option>
        ))}
      </Pick>
      {column.column && (
        <Pick
          aria-label={say("bring-file-unit", { heading: column.heading })}
          value={column.unit}
          onChange={(event) =>
            change({ ...file, units_of: { ...file.units_of, [column.heading]: event.target.value } })
          }
        >
          {column.units.map((unit) => (
            <option key={unit}>{unit}</option>
          ))}
        </Pick>
      )}
    </Box>
  ));
}
