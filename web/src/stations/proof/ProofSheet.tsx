import { Verdict as VerdictWords } from "../../generated/labels";
import { Box } from "@chakra-ui/react";
import { useState } from "react";
import { Link, useNavigate } from "react-router";

import { FieldGrid, LabelledField } from "../../shared/AnyField";
import { type Result, type Schemas } from "../../shared/api";
import { Line, Pick } from "../../shared/devices";
import { WordsField } from "../../shared/fields";
import { Fold, under } from "../../shared/Fold";
import { useFound, useJob } from "../../shared/job";
import { Micro, Press, Small } from "../../shared/parts";
import { Part, Sheet, StandingKey } from "../../shared/Sheet";
import { Stops } from "../../shared/Stops";
import { WhoField } from "../../shared/WhoField";
import { FigureText, PhraseText } from "../../shared/Words";
import { Waits, WorkedFigure, WorkingPanel } from "../../shared/Working";
import { LoggerFile } from "./LoggerFile";
import { asLocal, dayOf, ownZone } from "../../shared/times";
import { say } from "../../shared/say";

type StepProof = Schemas["StepProof"];

/** Did it keep its promise: what was measured after, against what was promised and what was found before. */
export function ProofSheet() {
  const { proof, setup } = useFound("proof", "setup");
  const steps = proof.steps ?? [];
  return (
    <Sheet station="proof">
      <Stops stops={setup.stops ?? []} />
      {proof.waits ? (
        <Box py="12px" maxWidth="62ch" fontStyle="italic">
          {proof.waits.charAt(0).toUpperCase() + proof.waits.slice(1)}.
        </Box>
      ) : (
        <Verdict />
      )}
      <AskedSets />
      <ReadAfter />
      {steps.length > 0 && (
        <Part title={say("proof-sheet-each-duty")} sentence={say("proof-sheet-watts-before")}>
          {steps.map((step) => (
            <StepRow key={step.step} step={step} />
          ))}
        </Part>
      )}
      <Fold
        title={say("proof-sheet-what-else")}
        note={(proof.changed ?? []).length ? say("proof-sheet-said") : say("proof-sheet-filter-damper")}
        holds={under("proof")}
      >
        <FieldGrid
          paths={["same_meters", "filter_changed", "damper_changed", "season_changed"].map((name) => `proof/${name}`)}
        />
        <Box pt="4px">
          <LabelledField path="proof/notes" />
          <LabelledField path="proof/unread" />
        </Box>
        {(proof.changed ?? []).map((line, index) => (
          <Box key={index} py="2px">
            <PhraseText phrase={line} />
          </Box>
        ))}
      </Fold>
      <Fold title={say("proof-sheet-comfort-apart")} note={say("proof-sheet-cycles-hour")} holds={under("proof")}>
        <FieldGrid
          paths={["cycles_before", "cycles_after", "humidity_before", "humidity_after"].map((name) => `proof/${name}`)}
        />
        {(proof.comfort ?? []).map((line, index) => (
          <Box key={index} py="2px">
            <PhraseText phrase={line} />
          </Box>
        ))}
      </Fold>
      <Fold title={say("proof-sheet-logger-s")} note={say("proof-sheet-held-against")} holds={under("proof")}>
        <LoggerFile />
        <FieldGrid paths={["proof/logged_days", "proof/logged_energy"]} />
        <WordsField path="proof/logged" placeholder={say("proof-sheet-what-logger")} />
        {(proof.logged ?? []).length > 0 && (
          <Box py="4px">
            <PhraseText phrase={proof.logged ?? []} />
          </Box>
        )}
      </Fold>
      <SignOff />
      <StandingKey />
    </Sheet>
  );
}

const VERDICT_COLOURS: Record<string, string> = {
  inside: "verdigris",
  "so-far": "ochre",
  above: "verdigris",
  below: "brick",
  unprovable: "ochre",
};

function Verdict() {
  const { proof } = useFound("proof");
  return (
    <Box borderBottom="1px solid" borderColor="rule" py="10px" data-verdict={proof.verdict}>
      <Box fontSize="title" fontWeight={600} color={VERDICT_COLOURS[proof.verdict ?? ""] ?? "ink"}>
        {proof.option}, {proof.title}: {proof.verdict && VerdictWords[proof.verdict]}
      </Box>
      <Box py="4px" fontSize="1.03125rem">
        <PhraseText phrase={proof.sentence ?? []} />
      </Box>
      <Box display="flex" gap="2px 24px" flexWrap="wrap">
        {([proof.saved, proof.promised] as (Result | undefined)[]).map(
          (result) =>
            result && (
              <span key={result.label}>
                {result.label} <WorkedFigure name={result.label} result={result} />
              </span>
            ),
        )}
      </Box>
      {([proof.saved, proof.promised] as (Result | undefined)[]).map(
        (result) => result && <WorkingPanel key={result.label} name={result.label} result={result} />,
      )}
    </Box>
  );
}

/** Sets read after Set-up was signed: asked once, on which machine. */
function AskedSets() {
  const { desk } = useJob();
  const { proof } = useFound("proof");
  return (
    <>
      {(proof.asks ?? []).map((set) => (
        <Box
          key={set.id}
          data-asks={set.id}
          display="flex"
          gap="6px 14px"
          flexWrap="wrap"
          alignItems="center"
          py="8px"
          borderTop="2px solid"
          borderColor="ochre"
        >
          <Box flex="1 1 260px">
            <b>{set.title}</b>
            {say("proof-sheet-read-after", { asLocal: asLocal(set.taken_at) })}
          </Box>
          <Press type="button" onClick={() => desk.choose(`readings/${set.id}/stage`, "after")}>
            {say("proof-sheet-set-up")}
          </Press>
          <Press type="button" onClick={() => desk.choose(`readings/${set.id}/stage`, "before")}>
            {say("proof-sheet-found-before")}
          </Press>
        </Box>
      ))}
    </>
  );
}

/** Sets after: from the panel in one press, or typed on Readings. */
function ReadAfter() {
  const { desk, view } = useJob();
  const { setup, sets } = useFound("setup", "sets");
  const { panel } = view.document.setup ?? {};
  const navigate = useNavigate();
  const [name, setName] = useState("");
  const after = (view.document.readings ?? []).filter((set) => set.stage === "after");
  const read = () =>
    void desk
      .does({
        to: "/readings-from-panel",
        body: { stage: "after", name },
        label: say("proof-sheet-set-read"),
        now: true,
      })
      .then(() => setName(""));
  const addAfter = async () => {
    await desk.add("readings", undefined, "after");
    await navigate(`/jobs/${view.id}/readings`);
  };
  if (!setup.option) return null;
  return (
    <Box display="flex" gap="6px 14px" flexWrap="wrap" alignItems="flex-end" py="8px">
      <Box flex="1 1 200px">
        {after.length === 0
          ? say("proof-sheet-set-after")
          : say("proof-sheet-set-after-2", {
              after: after.length,
              after3: after.map((set) => titled(set, sets)).join(", "),
            })}{" "}
        <Link to={`/jobs/${view.id}/readings`}>{say("proof-sheet-all-sets")}</Link>
      </Box>
      <Press type="button" data-add-after onClick={() => void addAfter()}>
        {say("proof-sheet-add-set")}
      </Press>
      {panel && (
        <>
          <Box as="label" width="170px">
            <Micro>{say("proof-sheet-what")}</Micro>
            <Line
              aria-label={say("proof-sheet-name-set")}
              value={name}
              placeholder={say("proof-sheet-full-after")}
              onChange={(event) => setName(event.target.value)}
            />
          </Box>
          <Press type="button" onClick={read}>
            {say("proof-sheet-read-set")}
          </Press>
        </>
      )}
    </Box>
  );
}

/** A set by its number and, where it has one, its name: an unnamed one never looks like another's. */
function titled(set: Schemas["ReadingSet"], answers: readonly Schemas["SetAnswer"][]) {
  const number = answers.find((one) => one.id === set.id)?.number;
  return [number ? say("proof-sheet-set-number", { number }) : say("proof-sheet-a-set-told"), set.name]
    .filter(Boolean)
    .join(", ");
}

const COLUMNS = { base: "1fr 1fr", md: "minmax(0, 1.5fr) repeat(4, minmax(0, 1fr))" };

function StepRow({ step }: { step: StepProof }) {
  const names = [
    say("proof-sheet-same", { step: step.step }),
    say("proof-sheet-after", { step: step.step }),
    say("proof-sheet-saved", { step: step.step }),
  ] as const;
  return (
    <Box borderTop="1px solid" borderColor="rule" py="8px" data-proof-step={step.step}>
      <Box display="grid" gridTemplateColumns={COLUMNS} gap="4px 14px" alignItems="start">
        <Box gridColumn={{ base: "1 / -1", md: "auto" }}>
          <b>{step.name || say("proof-sheet-step")}</b>{" "}
          {step.hours && (
            <Small>
              <FigureText figure={step.hours} />
            </Small>
          )}
          <Box fontSize="small">
            {step.flow && (
              <>
                {say("proof-sheet-flow")}
                <FigureText figure={step.flow} />,{" "}
              </>
            )}
            <PhraseText phrase={step.reached} />
          </Box>
        </Box>
        <Cell label={say("proof-sheet-put-right")}>
          <WorkedFigure name={names[0]} result={step.same_flow} />
        </Cell>
        <Cell label={say("proof-sheet-after-2")}>
          <WorkedFigure name={names[1]} result={step.watts} />
        </Cell>
        <Cell label={say("proof-sheet-promised")}>
          {step.promised_watts ? <FigureText figure={step.promised_watts} /> : <i>{say("proof-sheet-none")}</i>}
        </Cell>
        <Cell label={say("proof-sheet-saved-2")}>
          {step.saved_watts.figure ? (
            <b>
              <WorkedFigure name={names[2]} result={step.saved_watts} />
            </b>
          ) : (
            <Waits result={step.saved_watts} />
          )}
        </Cell>
      </Box>
      {[step.system ?? [], step.air ?? []].map(
        (said, index) =>
          said.length > 0 && (
            <Box key={index} fontSize="small" pt="4px">
              <PhraseText phrase={said} />
            </Box>
          ),
      )}
      <Pairing step={step} />
      {[step.same_flow, step.watts, step.saved_watts].map((result, index) => (
        <WorkingPanel key={names[index]} name={names[index] ?? ""} result={result} />
      ))}
    </Box>
  );
}

function Cell({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box minWidth={0}>
      <Micro display="block">{label}</Micro>
      {children}
    </Box>
  );
}

/** Which sets belong to a step; without a word, the one whose flow lies nearest. */
function Pairing({ step }: { step: StepProof }) {
  const { desk, view } = useJob();
  const { sets: answers } = useFound("sets");
  const sets = view.document.readings ?? [];
  const pairs = view.document.proof?.pairs ?? [];
  const own = pairs.find((pair) => pair.step === step.step);
  const choose = (side: "before" | "after", id: string | null) => {
    const rest = pairs.filter((pair) => pair.step !== step.step);
    const ids = pairs.map((pair) => Number(pair.id.slice(1)) || 0);
    const pair = own ?? { id: `s${Math.max(0, ...ids) + 1}`, step: step.step, before: null, after: null };
    void desk.choose("proof/pairs", [...rest, { ...pair, [side]: id }]);
  };
  return (
    <Box display="flex" gap="4px 14px" flexWrap="wrap" alignItems="center" pt="2px">
      {(["before", "after"] as const).map((side) => (
        <Box as="label" key={side} display="flex" gap="6px" alignItems="center">
          <Micro>{say("proof-sheet-set", { side })}</Micro>
          <Pick
            width="auto"
            aria-label={say("proof-sheet-set-2", { side, step: step.name })}
            value={own?.[side] ?? ""}
            onChange={(event) => choose(side, event.target.value || null)}
          >
            <option value="">
              {step[side] ? say("proof-sheet-nearest", { step: step[side] }) : say("proof-sheet-said-2")}
            </option>
            {sets
              .filter((set) => (set.stage === "after") === (side === "after"))
              .map((set) => (
                <option key={set.id} value={set.id}>
                  {titled(set, answers)}
                </option>
              ))}
          </Pick>
        </Box>
      ))}
    </Box>
  );
}

/** Freeze job, assessment and program together; what was signed stays readable, whatever changes later. */
function SignOff() {
  const { desk, view } = useJob();
  const { setup, proof } = useFound("setup", "proof");
  const [role, setRole] = useState("");
  const signed = view.signed ?? [];
  const newest = signed[signed.length - 1];
  const moved = newest && newest.revision !== view.revision;
  const sign = () =>
    void desk.does({
      to: "/sign-off",
      body: { role, zone: ownZone() },
      label: say("proof-sheet-sign-off"),
      onNewest: "ask",
    });
  const stopped = (setup.stops ?? []).length > 0;
  return (
    <Part title={say("proof-sheet-sign-off-3")} note={say("proof-sheet-freezes-job")}>
      {signed.map((line) => (
        <Box key={line.number} py="2px" data-signed-off={line.number}>
          {line.number}. <b>{line.who}</b>
          {line.role ? `, ${line.role}` : ""}, {dayOf(line.at)}{" "}
          <Micro>{say("proof-sheet-revision", { revision: line.revision })}</Micro>{" "}
          <Link to={`/jobs/${view.id}/signed/${line.number}`}>{say("proof-sheet-read-what")}</Link>
        </Box>
      ))}
      {moved && (
        <Box py="4px" color="ochre" fontWeight={600}>
          {say("proof-sheet-job-changed", { revision: view.revision })}
        </Box>
      )}
      {(!newest || moved) && (
        <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "1fr 1fr auto" }} gap="4px 20px" alignItems="end">
          <WhoField />
          <Box as="label">
            <Small>{say("proof-sheet-role")}</Small>
            <Line
              aria-label={say("proof-sheet-role-2")}
              value={role}
              maxLength={120}
              onChange={(event) => setRole(event.target.value)}
            />
          </Box>
          <Press type="button" data-sign-off disabled={stopped || Boolean(proof.waits)} onClick={sign}>
            {say("proof-sheet-sign-off-2")}
          </Press>
        </Box>
      )}
      {stopped && <Small>{say("proof-sheet-stop-set")}</Small>}
    </Part>
  );
}
