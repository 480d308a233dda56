import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { Schemas } from "../../shared/api";
import { useView } from "../../shared/job";
import { Micro, Press, SeverityWord, Word } from "../../shared/parts";
import { useReader } from "../../shared/reader";
import { PhraseText } from "../../shared/Words";
import { Cell, InSight, memoByCells, type Option, Row } from "./columns";

type Looked = Pick<Option, "letter" | "id" | "title" | "series" | "stop" | "fits" | "checks" | "limits">;

type Check = Schemas["FitCheck"];

const VERDICTS: Record<Option["fits"], string> = {
  fits: "Fits",
  "fits with work": "Fits, with work",
  cannot: "Cannot",
  "not known yet": "Not known yet",
};

/** May it be fitted? The verdict of every option, its checks one press away, and what it cannot do. */
export const Fits = memoByCells(function Fits({ cells }: { cells: readonly Looked[] }) {
  const [open, setOpen] = useState<string | null>(null);
  const looked = cells.find((option) => option.id === open);
  return (
    <>
      <Row question="May it be fitted?" heavy align="start">
        {cells.map((option) => (
          <Cell key={option.letter} whose={option}>
            <Verdict option={option} />
            {option.checks.length > 0 && (
              <Word
                type="button"
                mx="0"
                px="0"
                aria-expanded={open === option.id}
                onClick={() => setOpen(open === option.id ? null : option.id)}
              >
                {option.stop ? "what lifts it" : `${option.checks.length} checks`}
              </Word>
            )}
          </Cell>
        ))}
      </Row>
      {looked && (
        <InSight>
          <Checks option={looked} close={() => setOpen(null)} />
        </InSight>
      )}
      <Row question="What can it not do?" align="start">
        {cells.map((option) => (
          <Cell key={option.letter} whose={option}>
            <Box as="span" fontSize="small" color={option.limits.length ? undefined : "ink2"}>
              {option.limits.join(" ") || (option.stop ? "withheld" : "Nothing that is known here.")}
            </Box>
          </Cell>
        ))}
      </Row>
    </>
  );
});

function Verdict({ option }: { option: Looked }) {
  if (option.stop)
    return (
      <Box fontSize="small">
        <SeverityWord severity="stop" /> {option.stop}
      </Box>
    );
  const count = (fits: Check["fits"]) => option.checks.filter((check) => check.fits === fits).length;
  const [work, unknown] = [count("fits with work"), count("not known yet")];
  return (
    <Box>
      <b>{VERDICTS[option.fits]}</b>
      {unknown > 0 && <Micro display="block">{unknown} to be answered</Micro>}
      {work > 0 && <Micro display="block">{work} with work</Micro>}
    </Box>
  );
}

const WEIGHT: Record<Check["fits"], number> = { cannot: 0, "not known yet": 1, "fits with work": 2, fits: 3 };

/** Every check of one option with what it rests on; a stop that may be answered for takes a name and a reason. */
function Checks({ option, close }: { option: Looked; close: () => void }) {
  const ordered = [...option.checks].sort((a, b) => WEIGHT[a.fits] - WEIGHT[b.fits]);
  return (
    <Box
      role="region"
      aria-label={`Checks of ${option.letter}`}
      borderTop="2px solid"
      borderBottom="2px solid"
      borderColor="ink"
      py="6px"
      my="6px"
    >
      <Box display="flex" justifyContent="space-between" gap="14px" alignItems="baseline">
        <Box as="h3" fontWeight={600}>
          {option.letter}, {option.title}: may it be fitted?
        </Box>
        <Word type="button" onClick={close}>
          close
        </Word>
      </Box>
      {ordered.map((check) => (
        <CheckLine key={check.check} option={option} check={check} />
      ))}
    </Box>
  );
}

function CheckLine({ option, check }: { option: Looked; check: Check }) {
  const navigate = useNavigate();
  const { view } = useView();
  const stops = check.fits === "cannot" && !check.waived_by;
  const ask = check.fits === "not known yet" && check.path;
  const station = check.path?.startsWith("plate/") ? "plate" : "options";
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "1fr", md: "110px minmax(0, 1fr)" }}
      gap="2px 12px"
      py="5px"
      borderTop="1px solid"
      borderColor="hair"
      data-check={check.check}
    >
      <Box fontSize="small">
        {stops ? <SeverityWord severity="stop" /> : <b>{check.waived_by ? "answered for" : check.fits}</b>}
      </Box>
      <Box minWidth={0}>
        <Box fontWeight={600}>{check.question}</Box>
        <PhraseText phrase={check.sentence} /> <Micro>{check.source}</Micro>
        {ask && (
          <Word
            type="button"
            mx="0"
            onClick={() => void navigate(`/jobs/${view.id}/${station}`, { state: { field: check.path } })}
          >
            answer it
          </Word>
        )}
        {check.waived_by && (
          <Box>
            {check.waived_by.who} answers for it: {check.waived_by.reason} <Micro>{check.waived_by.at}</Micro>
          </Box>
        )}
        {stops &&
          (check.can_be_waived ? <Waive option={option} check={check} /> : <Micro>Nobody can waive this.</Micro>)}
      </Box>
    </Box>
  );
}

/** A name and a reason, or the stop stands. */
function Waive({ option, check }: { option: Looked; check: Check }) {
  const { desk } = useView();
  const reader = useReader();
  const [name, setName] = useState(reader.who);
  const [reason, setReason] = useState("");
  const ready = name.trim() !== "" && reason.trim() !== "";
  return (
    <Box display="flex" gap="8px" flexWrap="wrap" alignItems="center" pt="4px">
      <Line
        aria-label="Who answers for it"
        placeholder="who answers for it"
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <Line aria-label="Why" placeholder="why" value={reason} flex="2" onChange={(e) => setReason(e.target.value)} />
      <Press
        type="button"
        disabled={!ready}
        onClick={() => void desk.waive(option.id, check.check, name.trim(), reason.trim())}
      >
        Answer for it
      </Press>
    </Box>
  );
}

const Line = chakra("input", {
  base: {
    flex: "1",
    minWidth: "140px",
    minHeight: "44px",
    border: 0,
    borderBottom: "2px solid",
    borderColor: "rule",
    background: "transparent",
  },
});
