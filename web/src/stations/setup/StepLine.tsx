import { SignState as SignStateWords } from "../../generated/labels";
import { At } from "../../shared/At";
import { Box, chakra } from "@chakra-ui/react";
import { memo, type ReactNode, useState } from "react";

import { LabelledField } from "../../shared/AnyField";
import type { Schemas } from "../../shared/api";
import { Line } from "../../shared/devices";
import { useJob } from "../../shared/job";
import { Press, SeverityWord, Small } from "../../shared/parts";
import { PhraseText } from "../../shared/Words";
import { WhoField } from "../../shared/WhoField";
import { Withdraw } from "../../shared/Withdraw";
import { signing } from "./acts";
import { say } from "../../shared/say";

type Step = Schemas["SetupStep"];

interface StepProps {
  step: Step;
  open: boolean;
  toggle: () => void;
  /** What is worked out and set on this step, where it is more than a line. */
  children?: ReactNode;
}

/** One step: closed it tells what to do and who did it; open, its caution stands first. */
export const StepLine = memo(function StepLine({ step, open, toggle, children }: StepProps) {
  const { stopped } = step;
  return (
    <Box data-step={step.step} borderTop={open ? "2px solid" : "1px solid"} borderColor={open ? "ink" : "hair"}>
      <Head type="button" data-field={`setup/steps/${step.step}`} aria-expanded={open} onClick={toggle}>
        <Box as="span" color="ink2" fontSize="small" pt="1px">
          {step.number}
        </Box>
        <Box as="span" fontWeight={open ? 600 : 400} color={step.signed && !open && !step.is_open ? "ink2" : "ink"}>
          {step.do}
        </Box>
        <Box as="span" fontSize="small" textAlign={{ base: "left", md: "right" }} gridColumn={{ base: 2, md: 3 }}>
          {stopped ? (
            <SeverityWord severity="stop" />
          ) : step.reopened ? (
            <Box as="span" color="ochre" fontWeight={600}>
              {say("step-line-sign-anew")}
            </Box>
          ) : step.signed ? (
            <SignedBy sign={step.signed} />
          ) : (
            <Box as="span" fontStyle="italic" color="ink2">
              {step.waits ??
                ((step.after ?? []).length
                  ? say("step-line-after", { after: (step.after ?? []).join(", ") })
                  : say("step-line-open"))}
            </Box>
          )}
        </Box>
      </Head>
      {open && (
        <Box pl={{ base: 0, md: "30px" }} pb="14px">
          {step.caution && (
            <Box borderTop="2px solid" borderColor="ochre" py="6px" mb="4px">
              <SeverityWord severity="caution" /> {step.caution}
            </Box>
          )}
          {(step.value ?? []).length > 0 && (
            <Box py="4px" fontSize="1.03125rem" fontWeight={600}>
              <PhraseText phrase={step.value ?? []} />
            </Box>
          )}
          {(step.fields ?? []).length > 0 && (
            <Box
              display="grid"
              gridTemplateColumns={{ base: "1fr", md: "repeat(auto-fit, minmax(200px, 1fr))" }}
              gap="4px 20px"
            >
              {(step.fields ?? []).map((path) => (
                <LabelledField key={path} path={path} />
              ))}
            </Box>
          )}
          {(step.stop ?? []).length > 0 && (
            <Box
              role="alert"
              borderTop="4px solid"
              borderBottom="4px solid"
              borderColor="brick"
              py="6px"
              my="6px"
              fontWeight={600}
            >
              <SeverityWord severity="stop" /> <PhraseText phrase={step.stop ?? []} />
            </Box>
          )}
          {children}
          <Signing key={step.signed?.id ?? "none"} step={step} />
        </Box>
      )}
    </Box>
  );
});

function SignedBy({ sign }: { sign: Schemas["Sign"] }) {
  return (
    <span data-signed={sign.state}>
      {sign.state === "not-needed" ? say("step-line-needed") : ""}
      {sign.who} <At at={sign.at} />
    </span>
  );
}

/** What was found, and by whom; earlier signatures stay below. */
function Signing({ step }: { step: Step }) {
  const { desk } = useJob();
  const [found, setFound] = useState("");
  const sign = (state: Schemas["SignState"]) =>
    void desk.does(signing(step.step, state, found, step.signed?.id ?? null));
  const signs = [...(step.earlier ?? []), ...(step.signed ? [step.signed] : [])];
  return (
    <Box pt="8px">
      <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "minmax(0, 1fr) 220px" }} gap="4px 20px">
        <Box as="label" display="block">
          <Small>{step.find || say("step-line-what-found")}</Small>
          <Line
            aria-label={say("step-line-found-step", { number: step.number })}
            value={found}
            maxLength={400}
            onChange={(event) => setFound(event.target.value)}
          />
        </Box>
        <WhoField />
      </Box>
      <Box display="flex" gap="8px" flexWrap="wrap" alignItems="center" pt="8px">
        <Press type="button" data-sign="done" disabled={Boolean(step.cannot_sign)} onClick={() => sign("done")}>
          {say("step-line-done-sign")}
        </Press>
        {!step.cannot_leave_out && (
          <Press type="button" data-sign={say("step-line-needed-2")} onClick={() => sign("not-needed")}>
            {say("step-line-needed-here")}
          </Press>
        )}
        <Press type="button" data-sign="stop" color="brick" onClick={() => sign("stop")}>
          {say("step-line-stop-here")}
        </Press>
        {step.cannot_sign && <Small>{step.cannot_sign}</Small>}
      </Box>
      {signs.length > 0 && (
        <Box pt="8px" fontSize="small">
          {signs.map((one) => (
            <Box key={one.id}>
              <At at={one.at} /> <b>{one.who}</b>, {SignStateWords[one.state]}
              {one.found ? `: ${one.found}` : ""}{" "}
              <Withdraw
                of="setup/signs"
                said={one}
                named={say("step-line-s-signature", { who: one.who ?? "", number: step.number })}
              />
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

const Head = chakra("button", {
  base: {
    display: "grid",
    width: "100%",
    gridTemplateColumns: { base: "26px minmax(0, 1fr)", md: "26px minmax(0, 1fr) minmax(110px, 190px)" },
    columnGap: "4px",
    alignItems: "baseline",
    minHeight: "44px",
    py: "9px",
    textAlign: "left",
    _hover: { background: "desk" },
    _focusVisible: { outlineOffset: "-3px" },
  },
});
