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

type Report = Schemas["LogReport"];
type LogIn = Schemas["LogIn"];

/** A logger's file: what it says of the year is shown first, and taken over only when that is confirmed. */
export function LogPart() {
  return (
    <Fold title="From a logger’s file" note="amps, watts or on and off, over days">
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
          bring the logger’s CSV
          <input
            type="file"
            accept=".csv,.txt,text/csv,text/plain"
            aria-label="Logger CSV file"
            onChange={(event) => {
              const chosen = event.target.files?.[0];
              if (chosen) void chosen.text().then((text) => lookAt({ text }));
            }}
          />
        </FilePress>
        <Small>A head, then a time and a value in each row. Nothing is taken over until you say so.</Small>
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
    <Box role="region" aria-label="What the logger says" pt="8px">
      <Box display="flex" gap="6px 20px" flexWrap="wrap" alignItems="baseline">
        <Box>
          {report.rows.toLocaleString("en")} rows over {year.days.toFixed(1)} days, column{" "}
          <Pick aria-label="Column of the values" value={report.value_column} onChange={(e) => choose(e.target.value)}>
            {report.columns.map((column) => (
              <option key={column}>{column}</option>
            ))}
          </Pick>
        </Box>
        <Box>
          ran <FigureText figure={year.run_fraction} /> of the time
        </Box>
        <Box>
          <FigureText figure={year.hours} /> a year
        </Box>
        <Box>
          <FigureText figure={year.starts_per_hour} /> starts an hour
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
          It ran at {year.levels.length} loads:{" "}
          {year.levels.map((level) => `${Math.round(100 * level.load)} % of its highest`).join(", ")}.
        </Small>
      )}
      <Box display="flex" gap="8px" flexWrap="wrap" pt="6px">
        <Press type="button" onClick={() => take(false)}>
          Take over as one step
        </Press>
        {year.levels.length > 1 && (
          <Press type="button" onClick={() => take(true)}>
            Take over as {year.levels.length} steps
          </Press>
        )}
      </Box>
    </Box>
  );
}

function spoken(bars: readonly Schemas["Bar"][]): string {
  const told = bars.filter((bar) => bar.share >= 0.005);
  const said = told.map((bar) => `${Math.round(100 * bar.share)} % at ${Math.round(100 * bar.low)} % load`);
  return `Share of the running time at each load, of the highest: ${said.join(", ") || "none"}`;
}

/** How long it ran at which load; empty bars show that the ground between two loads is empty. */
function Histogram({ bars }: { bars: readonly Schemas["Bar"][] }) {
  const most = Math.max(...bars.map((bar) => bar.share), 0.01);
  return (
    <Picture
      title="Share of the running time by load"
      head={["load, % of the highest", "% of the time"]}
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
          <Micro>share of the running time by load, of the highest</Micro>
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
