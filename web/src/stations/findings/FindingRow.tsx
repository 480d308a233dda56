import { MarkState as MarkStateWords } from "../../generated/labels";
import { At } from "../../shared/At";
import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { Finding, Schemas } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Micro, Press, SeverityWord, Small } from "../../shared/parts";
import { focusField } from "../../shared/focus";
import { stationOf } from "../../shared/places";
import { isSettled } from "../../shared/Sheet";
import { STATIONS } from "../../shared/stations";
import { Withdraw } from "../../shared/Withdraw";
import { PhraseText } from "../../shared/Words";
import { say } from "../../shared/say";
import { RuleWords } from "../../generated/labels";

type State = Schemas["MarkState"];

const STATES: State[] = ["confirmed", "cleared", "fixed", "not-now"];

/** One finding: its sentence, and when opened what it rests on, its proof with the caution first, and what became of it. */
export function FindingRow({ finding }: { finding: Finding }) {
  const [open, setOpen] = useState(false);
  const { state } = finding;
  const settled = isSettled(finding);
  return (
    <Box borderBottom="1px solid" borderColor="hair" data-finding={finding.key}>
      <Line type="button" aria-expanded={open} onClick={() => setOpen(!open)} opacity={settled ? 0.7 : 1}>
        <span>
          {settled && state ? <Micro>{MarkStateWords[state]}</Micro> : <SeverityWord severity={finding.severity} />}
        </span>
        <span>
          {finding.repair && !settled && <b>{say("finding-row-repair-first")}</b>}
          <PhraseText phrase={finding.sentence} /> {state && !settled && <Micro>({MarkStateWords[state]})</Micro>}
        </span>
        <Micro>{open ? say("finding-row-close") : say("finding-row-open")}</Micro>
      </Line>
      {open && (
        <Box borderTop="2px solid" borderBottom="2px solid" borderColor="ink" py="8px" mb="8px">
          <Box>{finding.action}</Box>
          {(finding.evidence ?? []).map((phrase, index) => (
            <Small key={index} display="block">
              <PhraseText phrase={phrase} line />
            </Small>
          ))}
          {finding.test && <Proof test={finding.test} />}
          <Marks finding={finding} />
          <Micro display="block" pt="4px">
            {say("finding-row-rule", {
              replaceAll: RuleWords[finding.rule] ?? finding.rule,
              source: finding.source,
              find: STATIONS.find((one) => one.id === finding.station)?.title,
            })}
          </Micro>
        </Box>
      )}
    </Box>
  );
}

function Proof({ test }: { test: Schemas["ProvingTest"] }) {
  const { view } = useJob();
  const navigate = useNavigate();
  const go = (path: string) => {
    if (focusField(path)) return;
    void navigate(`/jobs/${view.id}/${stationOf(path)}`, { state: { field: path } });
  };
  return (
    <Box borderTop="1px solid" borderColor="rule" mt="6px" pt="6px">
      <Box color="ochre" fontWeight={600}>
        {test.caution}
      </Box>
      <Box>
        <b>{say("finding-row-prove")}</b> {test.how}
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr" }} gap="0 20px">
        <Small>
          <b>{say("finding-row-proved")}</b> {test.proves}
        </Small>
        <Small>
          <b>{say("finding-row-cleared")}</b> {test.clears}
        </Small>
      </Box>
      {test.path && (
        <Press type="button" mt="6px" onClick={() => go(test.path ?? "")}>
          {say("finding-row-type-result")}
        </Press>
      )}
    </Box>
  );
}

/** What became of a finding: said with a note, kept with everything said before. */
function Marks({ finding }: { finding: Finding }) {
  const { desk } = useJob();
  const [note, setNote] = useState("");
  const mark = async (state: State) => {
    await desk.mark(finding.key, state, note);
    setNote("");
  };
  return (
    <Box borderTop="1px solid" borderColor="rule" mt="6px" pt="6px">
      <Note
        aria-label={say("finding-row-note-finding")}
        placeholder={say("finding-row-note-before")}
        value={note}
        maxLength={400}
        onChange={(event) => setNote(event.target.value)}
      />
      <Box display="flex" gap="8px" flexWrap="wrap" pt="6px">
        {STATES.map((state) => (
          <Press key={state} type="button" onClick={() => void mark(state)}>
            {MarkStateWords[state]}
          </Press>
        ))}
      </Box>
      {(finding.marks ?? []).map((mark) => (
        <Small key={mark.id} display="block">
          <At at={mark.at} /> {mark.who ?? say("finding-row-nobody-named")}: <b>{MarkStateWords[mark.state]}</b>
          {mark.note && `, ${mark.note}`}{" "}
          <Withdraw
            of="marks"
            said={mark}
            named={say("finding-row-mark", { MarkStateWords: MarkStateWords[mark.state] })}
          />
        </Small>
      ))}
    </Box>
  );
}

const Line = chakra("button", {
  base: {
    display: "grid",
    gridTemplateColumns: "84px minmax(0, 1fr) 44px",
    gap: "10px",
    alignItems: "baseline",
    width: "100%",
    minHeight: "44px",
    py: "7px",
    _hover: { background: "desk" },
    _focusVisible: { outlineOffset: "-3px" },
  },
});

const Note = chakra("input", {
  base: { width: "100%", minHeight: "44px", borderBottom: "1px solid", borderColor: "rule", background: "transparent" },
});
