import { Box } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

import type { Refused, Schemas } from "../../shared/api";
import { Line } from "../../shared/devices";
import { useJob } from "../../shared/job";
import { Micro, Press, SeverityWord, Small, Word } from "../../shared/parts";
import { useReader } from "../../shared/reader";
import { PhraseText } from "../../shared/Words";
import { authorised, planned, stopped, written } from "./acts";
import { say } from "../../shared/say";

type Plan = Schemas["WritePlan"];
type Answer = Schemas["WriteAnswer"];

interface WriteProps {
  wanted: Schemas["Wanted"];
  /** What the button says. */
  label: string;
  /** What is done in place of a plain write, once it was seen. */
  confirm?: (confirmed: Schemas["Confirmed"]) => Promise<unknown>;
  confirmLabel?: string;
  done?: () => void;
}

/** Look first: register, old and new value and the caution; write then; what was read back stands beside what was wanted. */
export function WriteButton({
  wanted,
  label,
  confirm,
  confirmLabel = say("write-panel-write-these"),
  done,
}: WriteProps) {
  const { view } = useJob();
  const { who } = useReader();
  const plan = useMutation<Plan, Refused>({ mutationFn: () => planned(view.id, wanted) });
  const write = useMutation<Answer | null, Refused, Plan>({
    mutationFn: async (seen) => {
      const confirmed = { ...wanted, digest: seen.digest, who };
      if (!confirm) return written(view.id, confirmed);
      await confirm(confirmed);
      return null;
    },
    onSuccess: () => {
      plan.reset();
      done?.();
    },
  });
  const look = () => {
    write.reset();
    plan.mutate();
  };
  const trouble = plan.error ?? write.error;
  return (
    <Box minWidth={0}>
      <Press type="button" onClick={look} disabled={plan.isPending || write.isPending}>
        {label}
      </Press>
      {trouble && (
        <Box role="alert" color="brick" fontWeight={600} py="6px">
          {trouble.message}
        </Box>
      )}
      {plan.data && (
        <Seen
          plan={plan.data}
          wanted={wanted}
          again={(next) => (next ? plan.mutate() : plan.reset())}
          write={() => write.mutate(plan.data)}
          label={confirmLabel}
        />
      )}
      {write.data && <Outcomes answer={write.data} />}
    </Box>
  );
}

/** Stop it, in one press: what would be written is looked at by the machine, not by whoever is in a hurry. */
export function StopButton() {
  const { view } = useJob();
  const { who } = useReader();
  const stop = useMutation<Answer, Refused>({
    mutationFn: () => stopped(view.id, who),
  });
  return (
    <Box>
      <Press type="button" data-stop-machine color="brick" onClick={() => stop.mutate()} disabled={stop.isPending}>
        {say("write-panel-stop-machine")}
      </Press>
      {stop.error && (
        <Box role="alert" color="brick" fontWeight={600}>
          {say("write-panel-stop-machine-itself", { message: stop.error.message })}
        </Box>
      )}
      {stop.data && (
        <Small role="status">{stop.data.agrees ? say("write-panel-told-stop") : say("write-panel-stopped-stop")}</Small>
      )}
    </Box>
  );
}

interface SeenProps {
  plan: Plan;
  wanted: Schemas["Wanted"];
  again: (next: boolean) => void;
  write: () => void;
  label: string;
}

function Seen({ plan, wanted, again, write, label }: SeenProps) {
  const changes = plan.lines.filter((line) => line.changes).length;
  const mayWrite = !plan.needs_authorisation || plan.authorised_until != null;
  return (
    <Box
      role="region"
      aria-label={say("write-panel-what-would", { device: plan.device })}
      borderTop="2px solid"
      borderBottom="2px solid"
      borderColor="ochre"
      py="8px"
      my="8px"
    >
      {plan.cautions.map((caution) => (
        <Box key={caution} pb="4px">
          <SeverityWord severity="caution" /> {caution}
        </Box>
      ))}
      <Registers
        head={["register", "what", "holds", say("write-panel-hold")]}
        rows={plan.lines.map((line) => ({
          key: line.role,
          faint: !line.changes,
          cells: [
            String(line.address),
            line.words,
            <PhraseText key="b" phrase={line.before} />,
            <b key="w">
              <PhraseText phrase={line.wanted} />
              {!line.changes && <Micro>{say("write-panel-holds-already")}</Micro>}
            </b>,
          ],
        }))}
      />
      {plan.needs_authorisation && <Authorisation plan={plan} wanted={wanted} given={() => again(true)} />}
      <Box display="flex" gap="8px" flexWrap="wrap" pt="8px">
        <Press type="button" data-write onClick={write} disabled={!mayWrite}>
          {plan.starts ? say("write-panel-machine-starts", { label }) : label}
        </Press>
        <Press type="button" onClick={() => again(false)}>
          {say("write-panel-cancel")}
        </Press>
        {changes === 0 && <Small alignSelf="center">{say("write-panel-holds-all")}</Small>}
      </Box>
    </Box>
  );
}

/** Authorisation to write to what is no simulated device: by a person, for this job, for a time. */
function Authorisation({ plan, wanted, given }: { plan: Plan; wanted: Schemas["Wanted"]; given: () => void }) {
  const { view } = useJob();
  const { who } = useReader();
  const [minutes, setMinutes] = useState("10");
  const [looked, setLooked] = useState(false);
  const authorise = useMutation<Plan, Refused>({
    mutationFn: () => authorised(view.id, { ...wanted, digest: plan.digest, who, minutes: Number(minutes) || 0 }),
    onSuccess: given,
  });
  if (plan.authorised_until)
    return (
      <Box pt="6px">
        {say("write-panel-writing-authorised")}
        <b>{new Date(plan.authorised_until).toLocaleTimeString()}</b>.
      </Box>
    );
  return (
    <Box pt="8px">
      <Box>
        <b>{plan.device}</b>
        {say("write-panel-simulated-device")}
      </Box>
      <Box as="label" display="flex" gap="10px" alignItems="center" minHeight="44px">
        <input type="checkbox" checked={looked} onChange={(event) => setLooked(event.target.checked)} />
        {say("write-panel-i-see")}
      </Box>
      <Box display="flex" gap="10px" alignItems="center" flexWrap="wrap">
        <Press type="button" disabled={!looked || authorise.isPending} onClick={() => authorise.mutate()}>
          {say("write-panel-authorise-writing")}
        </Press>
        <Box as="label" display="flex" alignItems="center" gap="6px">
          {say("write-panel-for")}
          <Line
            aria-label={say("write-panel-minutes")}
            value={minutes}
            width="60px"
            onChange={(e) => setMinutes(e.target.value)}
          />
          {say("write-panel-minutes-2")}
        </Box>
      </Box>
      {authorise.error && (
        <Box role="alert" color="brick">
          {authorise.error.message}
        </Box>
      )}
    </Box>
  );
}

function Outcomes({ answer }: { answer: Answer }) {
  const [open, setOpen] = useState(!answer.agrees);
  const missed = answer.outcomes.filter((one) => !one.agrees).length;
  return (
    <Box role="status" py="6px" data-outcome={answer.agrees ? "agrees" : "differs"}>
      {answer.agrees ? (
        <span>
          <b>{say("write-panel-written-read")}</b>{" "}
        </span>
      ) : (
        <Box as="span" color="brick" fontWeight={600}>
          {say("write-panel-do-agree", { missed, outcomes: answer.outcomes.length })}
        </Box>
      )}
      <Word type="button" onClick={() => setOpen(!open)}>
        {open ? say("write-panel-close") : say("write-panel-what-read")}
      </Word>
      {open && (
        <Registers
          head={["register", "what", "wanted", say("write-panel-read-back")]}
          rows={answer.outcomes.map((one) => ({
            key: one.role,
            faint: false,
            cells: [
              String(one.address),
              one.words,
              <PhraseText key="w" phrase={one.wanted} />,
              <span key="a">
                <PhraseText phrase={one.after} /> <Micro>{one.sentence}</Micro>
              </span>,
            ],
          }))}
        />
      )}
    </Box>
  );
}

interface Row {
  key: string;
  faint: boolean;
  cells: React.ReactNode[];
}

function Registers({ head, rows }: { head: string[]; rows: Row[] }) {
  return (
    <Box as="table" width="100%" borderCollapse="collapse" fontSize="small">
      <thead>
        <tr>
          {head.map((cell) => (
            <Box as="th" key={cell} textAlign="left" fontWeight={400} color="ink2" pr="10px">
              {cell}
            </Box>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <Box as="tr" key={row.key} borderTop="1px solid" borderColor="hair" color={row.faint ? "ink2" : "ink"}>
            {row.cells.map((cell, index) => (
              <Box as="td" key={index} py="4px" pr="10px" verticalAlign="top">
                {cell}
              </Box>
            ))}
          </Box>
        ))}
      </tbody>
    </Box>
  );
}
