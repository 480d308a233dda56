import { Fits as FitsWords } from "../../generated/labels";
import { At } from "../../shared/At";
import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { Schemas } from "../../shared/api";
import type { Option } from "../../shared/found";
import { useJob } from "../../shared/job";
import { Micro, Press, SeverityWord, TextLine, Word } from "../../shared/parts";
import { stationOf } from "../../shared/places";
import { useReader } from "../../shared/reader";
import { Withdraw } from "../../shared/Withdraw";
import { PhraseText } from "../../shared/Words";
import { say } from "../../shared/say";

type Check = Schemas["FitCheck"];

const WEIGHT: Record<Check["fits"], number> = { cannot: 0, unknown: 1, work: 2, fits: 3 };

/** May it be fitted? What asks for something stands open; what fits is a count that opens. */
export function Checks({ option }: { option: Option }) {
  const [all, setAll] = useState(false);
  const ordered = [...option.checks].sort((a, b) => WEIGHT[a.fits] - WEIGHT[b.fits]);
  const asks = ordered.filter((check) => check.fits !== "fits");
  const fits = ordered.length - asks.length;
  return (
    <Box role="region" aria-label={say("checks-checks", { letter: option.letter })} minWidth={0}>
      <Box as="h3" fontWeight={600} pb="4px">
        {say("checks-may-fitted")}
      </Box>
      {ordered.length === 0 && <Micro>{say("checks-nothing-asked")}</Micro>}
      {(all ? ordered : asks).map((check) => (
        <CheckLine key={check.check} option={option} check={check} />
      ))}
      {fits > 0 && (
        <Box borderTop="1px solid" borderColor="hair">
          <Word type="button" mx="0" px="0" aria-expanded={all} onClick={() => setAll(!all)}>
            {all
              ? say("checks-only-what")
              : say("checks-open-them", {
                  asks: asks.length ? say("checks-more-fit", { fits }) : say("checks-all-fit", { fits }),
                })}
          </Word>
        </Box>
      )}
    </Box>
  );
}

function CheckLine({ option, check }: { option: Option; check: Check }) {
  const navigate = useNavigate();
  const { view } = useJob();
  const stops = check.fits === "cannot" && !check.waived_by;
  const ask = check.fits === "unknown" ? check.path : null;
  return (
    <Box py="5px" borderTop="1px solid" borderColor="hair" data-check={check.check}>
      <Box fontSize="small">
        {stops ? (
          <SeverityWord severity="stop" />
        ) : (
          <b>{check.waived_by ? say("checks-answered") : FitsWords[check.fits]}</b>
        )}
      </Box>
      <Box fontWeight={600}>{check.question}</Box>
      <PhraseText phrase={check.sentence} /> <Micro>{check.source}</Micro>
      {ask && (
        <Word
          type="button"
          mx="0"
          onClick={() => void navigate(`/jobs/${view.id}/${stationOf(ask)}`, { state: { field: ask } })}
        >
          {say("checks-answer")}
        </Word>
      )}
      {check.waived_by && (
        <Box>
          {say("checks-answers", { who: check.waived_by.who, reason: check.waived_by.reason })}
          <At at={check.waived_by.at} />{" "}
          <Withdraw of="options/waivers" said={check.waived_by} named={say("checks-answer-stop")} />
        </Box>
      )}
      {stops &&
        (check.can_be_waived ? <Waive option={option} check={check} /> : <Micro>{say("checks-nobody-can")}</Micro>)}
    </Box>
  );
}

/** A name and a reason, or the stop stands. */
function Waive({ option, check }: { option: Option; check: Check }) {
  const { desk } = useJob();
  const reader = useReader();
  const [name, setName] = useState(reader.who);
  const [reason, setReason] = useState("");
  const ready = name.trim() !== "" && reason.trim() !== "";
  return (
    <Box display="flex" gap="8px" flexWrap="wrap" alignItems="center" pt="4px">
      <TextLine
        flex="1"
        minWidth="140px"
        aria-label={say("checks-who-answers")}
        placeholder={say("checks-who-answers-2")}
        value={name}
        onChange={(e) => setName(e.target.value)}
      />
      <TextLine
        flex="2"
        minWidth="140px"
        aria-label={say("checks-why")}
        placeholder={say("checks-why-small")}
        value={reason}
        onChange={(e) => setReason(e.target.value)}
      />
      <Press
        type="button"
        disabled={!ready}
        onClick={() => void desk.waive(option.id, check.check, name.trim(), reason.trim())}
      >
        {say("checks-answer-2")}
      </Press>
    </Box>
  );
}
