import { Box } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { FilePress, Press, Small } from "../../shared/parts";
import { FigureText } from "../../shared/Words";
import { say } from "../../shared/say";
import { counted } from "../../shared/language";

/** A logger's watts after: looked at first, its energy taken over when that is confirmed. */
export function LoggerFile() {
  const { desk } = useJob();
  const [file, setFile] = useState<Schemas["LogIn"] | null>(null);
  const look = useMutation<Schemas["LogReport"], Refused, Schemas["LogIn"]>({
    mutationFn: (wanted) => taken(api.POST("/api/duty/log/look", { body: wanted })),
  });
  const take = () => {
    if (!file) return;
    void desk
      .does({ to: "/proof/log", body: { ...file, by_load: false }, label: say("logger-file-logger-s") })
      .then(() => {
        setFile(null);
        look.reset();
      });
  };
  const year = look.data?.year;
  return (
    <Box pb="6px">
      <FilePress>
        {say("logger-file-bring-logger")}
        <input
          type="file"
          accept=".csv,.txt,text/csv,text/plain"
          aria-label={say("logger-file-logger-csv")}
          onChange={(event) => {
            const chosen = event.target.files?.[0];
            if (!chosen) return;
            void chosen.text().then((text) => {
              setFile({ text });
              look.mutate({ text });
            });
          }}
        />
      </FilePress>
      {look.error && (
        <Box role="alert" color="brick">
          {look.error.message}
        </Box>
      )}
      {look.data && year && (
        <Box py="4px" role="region" aria-label={say("logger-file-what-logger")}>
          {say("logger-file-rows-over", {
            value_column: look.data.value_column,
            rows: counted(look.data.rows),
            days: counted(year.days, 1),
          })}
          {year.energy ? (
            <>
              , <FigureText figure={year.energy} />
            </>
          ) : (
            say("logger-file-watts-so")
          )}
          .{" "}
          {look.data.remarks.map((remark) => (
            <Small key={remark} display="block">
              {remark}
            </Small>
          ))}
          {year.energy && (
            <Press type="button" data-take-logger onClick={take}>
              {say("logger-file-take-energy")}
            </Press>
          )}
        </Box>
      )}
    </Box>
  );
}
