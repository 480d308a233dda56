import { Measurand as MeasurandWords } from "../../generated/labels";
import { Box } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Micro, Press, Small } from "../../shared/parts";
import { Part } from "../../shared/Sheet";
import { FigureText } from "../../shared/Words";
import { say } from "../../shared/say";

type Table = Schemas["EffectTable"];
type Move = Schemas["Effect"];

const COLUMNS = ["speed", "amps", "watts", "flow", "pressure"] as const;
const GRID = { base: "minmax(0, 1fr) repeat(5, 52px)", md: "minmax(0, 1fr) repeat(5, 84px)" };

/** What every meter would show if one thing changed; worked out when it is asked for. */
export function Effects() {
  const { view } = useJob();
  const [open, setOpen] = useState(false);
  const table = useQuery<Table, Refused>({
    queryKey: ["effects", view.id, view.revision],
    queryFn: () => taken(api.GET("/api/jobs/{job_id}/effects", { params: { path: { job_id: view.id } } })),
    enabled: open,
    placeholderData: (before) => before,
  });
  return (
    <Part title={say("effects-if-one")} sentence={say("effects-way-each")}>
      {!open && (
        <Press type="button" onClick={() => setOpen(true)}>
          {say("effects-show")}
        </Press>
      )}
      {open && table.error && <Box role="alert">{table.error.message}</Box>}
      {open && !table.data && !table.error && <Small fontStyle="italic">{say("effects-being-worked")}</Small>}
      {open && table.data?.waits && <Small fontStyle="italic">{table.data.waits}</Small>}
      {open && table.data && !table.data.waits && <Rows table={table.data} />}
    </Part>
  );
}

function Rows({ table }: { table: Table }) {
  return (
    <Box role="table" aria-label={say("effects-if-one")}>
      <Box
        role="row"
        display="grid"
        gridTemplateColumns={GRID}
        columnGap="6px"
        borderBottom="1px solid"
        borderColor="rule"
      >
        <Micro role="columnheader">{say("effects-each-reading")}</Micro>
        {COLUMNS.map((name) => (
          <Micro key={name} role="columnheader" textAlign="right">
            {name}
          </Micro>
        ))}
      </Box>
      {table.rows.map((row) => (
        <Box
          key={row.change}
          role="row"
          display="grid"
          gridTemplateColumns={GRID}
          columnGap="6px"
          alignItems="baseline"
          borderBottom="1px solid"
          borderColor="hair"
          py="5px"
        >
          <Box role="rowheader">
            {row.change} <Micro display={{ base: "block", md: "inline" }}>{row.size}</Micro>
            {row.remark && <Small display="block">{row.remark}</Small>}
          </Box>
          {COLUMNS.map((name) => (
            <Cell key={name} move={row.moves.find((move) => move.measurand === name)} />
          ))}
        </Box>
      ))}
      <Micro display="block" pt="6px">
        {table.source}
      </Micro>
    </Box>
  );
}

const WORDS = {
  "-1": say("effects-down"),
  "0": say("effects-still"),
  "1": say("effects-up"),
  "2": say("effects-either-way"),
} as const;
const RISE = { "-1": -5, "0": 0, "1": 5, "2": 0 } as const;

function Cell({ move }: { move: Move | undefined }) {
  if (!move)
    return (
      <Micro role="cell" textAlign="right">
        –
      </Micro>
    );
  const direction = String(move.direction) as keyof typeof WORDS;
  const rise = RISE[direction];
  const told = direction === "-1" || direction === "1";
  return (
    <Box
      role="cell"
      textAlign="right"
      aria-label={`${MeasurandWords[move.measurand]} ${WORDS[direction]}`}
      fontSize="small"
    >
      {told ? (
        <>
          <svg width="16" height="12" viewBox="0 0 16 12" aria-hidden>
            <line x1="1" x2="15" y1={6 + rise} y2={6 - rise} stroke="currentColor" strokeWidth={2.4} />
          </svg>{" "}
          <Box as="span" css={BAND_BELOW}>
            <FigureText figure={move.ratio} unit={false} line={false} />
          </Box>
        </>
      ) : (
        <Micro>{WORDS[direction]}</Micro>
      )}
    </Box>
  );
}

const BAND_BELOW = { "& > span > span + span": { display: "block", fontSize: "0.8125rem" } };
