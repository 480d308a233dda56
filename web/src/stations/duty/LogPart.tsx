import { OrderWords } from "../../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { Fold } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { FilePress, Micro, Press, Small } from "../../shared/parts";
import { FigureText } from "../../shared/Words";
import { Picture } from "../../shared/Picture";
import { say } from "../../shared/say";
import { counted } from "../../shared/language";

type Report = Schemas["LogReport"];
type LogIn = Schemas["LogIn"];

/** A logger's file: what it says of the year is shown first, and taken over only when that is confirmed. */
export function LogPart() {
  return (
    <Fold title={say("log-part-logger-s")} note={say("log-part-amps-watts")}>
      <Bring />
    </Fold>
  );
}

function Bring() {
  const { desk } = useJob();
  const [file, setFile] = useState<LogIn | null>(null);
  const look = useMutation<Report, Refused, LogIn>({
    mutationFn: (wanted) => taken(api.POST("/api/duty/log/look", { body: wanted })),
  });
  const lookAt = (wanted: LogIn) => {
    setFile(wanted);
    look.mutate(wanted);
  };
  const take = async (byLoad: boolean) => {
    if (!file) return;
    await desk.takeLog(file, byLoad);
    setFile(null);
    look.reset();
  };
  return (
    <>
      <Box display="flex" gap="14px" flexWrap="wrap" alignItems="center">
        <FilePress>
          {say("log-part-bring-logger")}
          <input
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            aria-label={say("log-part-logger-csv")}
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) void chosen.text().then((text) => lookAt({ text }));
            }}
          />
        </FilePress>
        <Small>{say("log-part-head-then")}</Small>
      </Box>
      {look.error && (
        <Box role="alert" color="brick" py="6px">
          {look.error.message}
          {look.error.field === "order" && file && (
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
        <Found report={look.data} choose={(column) => lookAt({ ...file, column })} take={(by) => void take(by)} />
      )}
    </>
  );
}

function Found({
  report,
  choose,
  take,
}: {
  report: Report;
  choose: (column: string) => void;
  take: (byLoad: boolean) => void;
}) {
  const { year } = report;
  return (
    <Box role="region" aria-label={say("log-part-what-logger")} pt="8px">
      <Box display="flex" gap="6px 20px" flexWrap="wrap" alignItems="baseline">
        <Box>
          {say("log-part-rows-over", { rows: counted(report.rows), days: counted(year.days, 1) })}
          <Pick
            aria-label={say("log-part-column-values")}
            value={report.value_column}
            onChange={(e) => choose(e.target.value)}
          >
            {report.columns.map((column) => (
              <option key={column}>{column}</option>
            ))}
          </Pick>
        </Box>
        <Box>
          {say("log-part-ran")}
          <FigureText figure={year.run_fraction} />
          {say("log-part-time")}
        </Box>
        <Box>
          <FigureText figure={year.hours} />
          {say("log-part-year")}
        </Box>
        <Box>
          <FigureText figure={year.starts_per_hour} />
          {say("log-part-starts-hour")}
        </Box>
      </Box>
      {report.remarks.map((remark) => (
        <Small key={remark} display="block" data-log-remark>
          {remark}
        </Small>
      ))}
      <Histogram bars={year.bars} />
      {year.levels.length > 1 && (
        <Small display="block">
          {say("log-part-ran-loads", {
            levels: year.levels.length,
            levels2: year.levels
              .map((level) => say("log-part-highest", { round: Math.round(100 * level.load) }))
              .join(", "),
          })}
        </Small>
      )}
      <Box display="flex" gap="8px" flexWrap="wrap" pt="6px">
        <Press type="button" onClick={() => take(false)}>
          {say("log-part-take-over")}
        </Press>
        {year.levels.length > 1 && (
          <Press type="button" onClick={() => take(true)}>
            {say("log-part-take-over-steps", { levels: year.levels.length })}
          </Press>
        )}
      </Box>
    </Box>
  );
}

function spoken(bars: readonly Schemas["Bar"][]): string {
  const told = bars.filter((bar) => bar.share >= 0.005);
  const said = told.map((bar) =>
    say("log-part-load", { round: Math.round(100 * bar.share), round2: Math.round(100 * bar.low) }),
  );
  return say("log-part-share-running", { said: said.join(", ") || say("log-part-none") });
}

/** How long it ran at which load; empty bars show that the ground between two loads is empty. */
function Histogram({ bars }: { bars: readonly Schemas["Bar"][] }) {
  const most = Math.max(...bars.map((bar) => bar.share), 0.01);
  return (
    <Picture
      title={say("log-part-share-running-time-load")}
      head={[say("log-part-load-highest"), say("log-part-time-2")]}
      rows={() => bars.map((bar) => [100 * bar.low, 100 * bar.share])}
    >
      <Box role="img" aria-label={spoken(bars)} maxWidth="420px" pt="8px">
        <Box display="flex" alignItems="flex-end" height="60px" gap="2px" borderBottom="1px solid" borderColor="rule">
          {bars.map((bar) => (
            <Bar key={bar.low} style={{ height: `${(100 * bar.share) / most}%` }} />
          ))}
        </Box>
        <Box display="flex" justifyContent="space-between">
          <Micro>0</Micro>
          <Micro>{say("log-part-share-running-time")}</Micro>
          <Micro>100 %</Micro>
        </Box>
      </Box>
    </Picture>
  );
}

const Bar = chakra("div", { base: { flex: 1, background: "copper", opacity: 0.5 } });
const Pick = chakra("select", {
  base: { minHeight: "44px", border: "1px solid", borderColor: "rule", background: "paper", px: "4px" },
});
