import { Measurand as MeasurandWords } from "../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useNavigate } from "react-router";

import type { Schemas } from "../shared/api";
import { Line, Pick } from "../shared/devices";
import { Cell, Micro, Press, SeverityWord, Small } from "../shared/parts";
import type { Hunt, HuntView } from "./useHunt";
import { capital } from "../shared/casing";
import { say } from "../shared/say";
import { counted } from "../shared/language";

interface HuntProps {
  hunt: Hunt;
  number: number;
  next: Schemas["NextHunt"] | undefined;
}

/** A hidden fault, a complaint, a budget of minutes: what may be done, and at the end what was hidden. */
export function HuntSheet({ hunt, number, next }: HuntProps) {
  const { view, refusal } = hunt;
  return (
    <>
      <Numbers number={number} next={next} view={view} />
      {refusal && (
        <Box role="alert" py="8px">
          <SeverityWord severity="caution" /> {refusal}
        </Box>
      )}
      {view && (
        <>
          <Box borderTop="2px solid" borderColor="ink" py="8px">
            <Box fontSize="figure" fontWeight={600}>
              “{view.complaint}”
            </Box>
            <Box>
              {say("hunt-sheet-you-readings", {
                capital: capital(view.machine),
                count: view.count > 1 ? say("hunt-sheet-two-things") : say("hunt-sheet-one-thing"),
              })}
            </Box>
          </Box>
          <Minutes view={view} />
          {view.debrief ? <Debrief view={view} hunt={hunt} next={next} /> : <Acts view={view} hunt={hunt} />}
        </>
      )}
    </>
  );
}

function Numbers({ number, next, view }: { number: number; next: HuntProps["next"]; view: HuntView | undefined }) {
  const navigate = useNavigate();
  const [typed, setTyped] = useState("");
  const open = () => /^\d{1,4}$/.test(typed.trim()) && navigate(`/bench/hunt/${Number(typed)}`);
  return (
    <Box display="flex" flexWrap="wrap" gap="8px 14px" alignItems="center" py="8px">
      <Box fontWeight={600} data-hunt={number}>
        {say("hunt-sheet-hunt", { number: counted(number) })}
      </Box>
      <Small>{view?.level_words}</Small>
      <Box
        as="form"
        ml="auto"
        display="flex"
        gap="8px"
        alignItems="center"
        onSubmit={(event: React.FormEvent) => {
          event.preventDefault();
          open();
        }}
      >
        <Line
          aria-label={say("hunt-sheet-number-hunt")}
          placeholder={say("hunt-sheet-number")}
          inputMode="numeric"
          width="92px"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
        <Press type="submit">{say("hunt-sheet-open")}</Press>
        {next && next.number !== number && (
          <Press type="button" onClick={() => navigate(`/bench/hunt/${next.number}`)}>
            {say("hunt-sheet-next-you", { number: counted(next.number) })}
          </Press>
        )}
      </Box>
    </Box>
  );
}

/** Minutes as a bar, spent and given. */
function Minutes({ view }: { view: HuntView }) {
  const share = Math.min(view.minutes / view.budget, 1);
  return (
    <Box pb="8px">
      <Box height="10px" background="hair" position="relative" aria-hidden>
        <Box position="absolute" insetY={0} left={0} background="copper" style={{ width: `${100 * share}%` }} />
      </Box>
      <Box data-minutes>
        <b>{view.minutes}</b>
        {say("hunt-sheet-minutes-spent", { budget: view.budget })}
      </Box>
    </Box>
  );
}

function Acts({ view, hunt }: { view: HuntView; hunt: Hunt }) {
  const readings = view.acts.filter(({ reads }) => reads);
  const tests = view.acts.filter(({ reads }) => !reads);
  return (
    <>
      <Box
        as="section"
        aria-label={say("hunt-sheet-readings")}
        borderTop="1px solid"
        borderColor="rule"
        pt="6px"
        pb="10px"
      >
        <b>{say("hunt-sheet-read")}</b> <Micro>{readings[0]?.caution}</Micro>
        <Box display="flex" flexWrap="wrap" pt="4px">
          {readings.map((one) => (
            <Cell key={one.act} type="button" onClick={() => hunt.act(one.act)} data-act={one.act}>
              <b>{capital(one.reads ? MeasurandWords[one.reads] : one.act)}</b>
              {one.times > 0 ? (
                <Times times={one.times} />
              ) : (
                <Small>{say("hunt-sheet-min", { minutes: one.minutes })}</Small>
              )}
            </Cell>
          ))}
        </Box>
      </Box>
      <Box as="section" aria-label={say("hunt-sheet-tests")}>
        {tests.map((one) => (
          <Box
            key={one.act}
            display="grid"
            gridTemplateColumns={{ base: "1fr", md: "minmax(0, 330px) minmax(0, 1fr)" }}
            gap="0 14px"
            alignItems="center"
            borderTop="1px solid"
            borderColor="hair"
          >
            <Act type="button" onClick={() => hunt.act(one.act)} data-act={one.act}>
              <span>
                {capital(one.act)}
                <Times times={one.times} />
              </span>
              <Small>{say("hunt-sheet-min-2", { minutes: one.minutes })}</Small>
            </Act>
            <Micro>{one.caution}</Micro>
          </Box>
        ))}
      </Box>
      <Naming view={view} hunt={hunt} />
    </>
  );
}

function Times({ times }: { times: number }) {
  return times > 0 ? <Small>{say("hunt-sheet-done", { times: times > 1 ? ` × ${times}` : "" })}</Small> : null;
}

const Act = chakra("button", {
  base: {
    minHeight: "44px",
    display: "flex",
    justifyContent: "space-between",
    alignItems: "center",
    gap: "8px",
    fontWeight: 600,
    textAlign: "left",
    textDecoration: "underline",
    textUnderlineOffset: "3px",
    textDecorationColor: "var(--chakra-colors-rule)",
    _hover: { background: "desk" },
  },
});

/** Name what is hidden, and what is to be done about it next. */
function Naming({ view, hunt }: { view: HuntView; hunt: Hunt }) {
  const [causes, setCauses] = useState<string[]>([]);
  const [step, setStep] = useState("");
  const toggle = (cause: string) =>
    setCauses(causes.includes(cause) ? causes.filter((one) => one !== cause) : [...causes, cause].slice(-view.count));
  return (
    <Box as="section" aria-label={say("hunt-sheet-name")} borderTop="2px solid" borderColor="ink" mt="12px" pt="8px">
      <b>{view.count > 1 ? say("hunt-sheet-name-both") : say("hunt-sheet-name")}</b>{" "}
      <Small>{say("hunt-sheet-when-you")}</Small>
      <Box display="flex" flexWrap="wrap" gap="6px" py="8px">
        {view.causes.map((cause) => {
          const out = view.ruled_out[cause];
          return (
            <Cell
              key={cause}
              type="button"
              ml="0"
              aria-pressed={causes.includes(cause)}
              chosen={causes.includes(cause) ? "yes" : undefined}
              onClick={() => toggle(cause)}
              data-cause={cause}
              textDecoration={out ? "line-through" : undefined}
              color={out ? "ink2" : undefined}
            >
              {cause}
            </Cell>
          );
        })}
      </Box>
      <Box display="flex" flexWrap={{ base: "wrap", md: "nowrap" }} gap="8px">
        <Pick
          aria-label={say("hunt-sheet-what-done-next")}
          value={step}
          onChange={(event) => setStep(event.target.value)}
        >
          <option value="">{say("hunt-sheet-what-done")}</option>
          {view.steps.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </Pick>
        <Press
          type="button"
          flexShrink={0}
          disabled={causes.length === 0 || !step}
          onClick={() => hunt.name(causes, step)}
          data-name-it
        >
          {view.count > 1 ? say("hunt-sheet-name-both") : say("hunt-sheet-name-fault")}
        </Press>
      </Box>
    </Box>
  );
}

const ENDINGS: Record<Schemas["Ending"], string> = {
  found: "Found.",
  half: say("hunt-sheet-one-two"),
  another: say("hunt-sheet-another"),
  unsafe: say("hunt-sheet-stopped-unsafe"),
  "out-of-time": say("hunt-sheet-out-time"),
};

/** How it ended, and the way that the ranked causes would have taken beside the one that was. */
function Debrief({ view, hunt, next }: { view: HuntView; hunt: Hunt; next: HuntProps["next"] }) {
  const navigate = useNavigate();
  const { debrief } = view;
  if (!debrief) return null;
  const unsafe = debrief.ending === "unsafe";
  // Nothing was named: what was hidden and the next step are told, not judged.
  const early = unsafe || debrief.ending === "out-of-time";
  return (
    <Box as="section" aria-label={say("hunt-sheet-debrief")} data-debrief={debrief.ending}>
      <Box borderTop={unsafe ? "4px solid" : "2px solid"} borderColor={unsafe ? "brick" : "ink"} py="8px">
        {unsafe && (
          <>
            <SeverityWord severity="stop" />{" "}
          </>
        )}
        <b>{ENDINGS[debrief.ending]}</b> {debrief.reason}
        {early && <>{say("hunt-sheet-hidden", { hidden: debrief.hidden.join(say("hunt-sheet-and")) })}</>}
      </Box>
      <Box pb="8px">
        {say("hunt-sheet-what-asks", { next_steps: debrief.next_steps.join("; ") })}
        {!early && <b>{debrief.next_right ? say("hunt-sheet-you-said") : say("hunt-sheet-you-named")}</b>}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="20px" borderTop="1px solid" borderColor="rule" pt="6px">
        <Course title={say("hunt-sheet-your-way")} minutes={view.minutes} lines={view.seen} />
        <Course title={say("hunt-sheet-cheapest-way")} minutes={debrief.cheapest_minutes} lines={debrief.cheapest} />
      </Box>
      <Box display="flex" gap="10px" py="14px" flexWrap="wrap">
        {next && (
          <Press type="button" onClick={() => navigate(`/bench/hunt/${next.number}`)} data-next-hunt>
            {say("hunt-sheet-next-hunt", { number: counted(next.number) })}
          </Press>
        )}
        <Press type="button" onClick={hunt.anew}>
          {say("hunt-sheet-one-again")}
        </Press>
      </Box>
    </Box>
  );
}

function Course({
  title,
  minutes,
  lines,
}: {
  title: string;
  minutes: number;
  lines: readonly { act: string; minutes: number }[];
}) {
  return (
    <Box>
      <Micro>{say("hunt-sheet-minutes", { title, minutes })}</Micro>
      <Box as="ol" pl="20px">
        {lines.map((line, index) => (
          <li key={index}>
            {capital(line.act)} <Small>{say("hunt-sheet-min-2", { minutes: line.minutes })}</Small>
          </li>
        ))}
      </Box>
    </Box>
  );
}
