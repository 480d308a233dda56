import { Box } from "@chakra-ui/react";

import type { Schemas } from "../../shared/api";
import { QuantityField, SelectField, WordsField } from "../../shared/fields";
import { useFound, useJob } from "../../shared/job";
import { Micro, Press, Word } from "../../shared/parts";
import { Answers } from "./Identification";
import { say } from "../../shared/say";

const LEADS = { base: "1fr 1fr", md: "1.1fr 1.2fr 0.8fr 0.8fr 70px" };
const CALLS = { base: "1fr 1fr", md: "1.2fr 1.2fr 0.8fr 70px" };

/** Each lead as it was found, and which call energised which: kept for putting it back. */
export function Leads() {
  const { desk, view } = useJob();
  const { identity } = useFound("identity");
  const leads: Schemas["Lead"][] = view.document.leads ?? [];
  const calls: Schemas["CallTap"][] = view.document.call_taps ?? [];
  return (
    <>
      <Heads columns={LEADS} names={[say("leads-colour-found"), "function", say("leads-common"), "volts"]} />
      {leads.map((lead, index) => (
        <Box
          key={lead.id}
          display="grid"
          gridTemplateColumns={LEADS}
          gap="4px 12px"
          alignItems="center"
          py="3px"
          role="row"
        >
          <WordsField
            path={`leads/${lead.id}/colour`}
            label={say("leads-lead-colour", { index: index + 1 })}
            placeholder={say("leads-colour")}
          />
          <SelectField path={`leads/${lead.id}/function`} label={say("leads-lead-function", { index: index + 1 })} />
          <QuantityField path={`leads/${lead.id}/ohms`} label={say("leads-lead-ohms", { index: index + 1 })} />
          <QuantityField path={`leads/${lead.id}/volts`} label={say("leads-lead-volts", { index: index + 1 })} />
          <Word type="button" mx="0" onClick={() => void desk.remove(`leads/${lead.id}`)}>
            {say("leads-remove")}
          </Word>
        </Box>
      ))}
      <Press type="button" onClick={() => void desk.add("leads")}>
        {say("leads-add-lead")}
      </Press>
      <Answers answers={identity.filter(({ about }) => about === "speeds" || about === "other_lead")} />
      <Box pt="14px" fontWeight={600}>
        {say("leads-call-energised")}
      </Box>
      <Heads columns={CALLS} names={["call", say("leads-tap-lead"), say("leads-command-volts")]} />
      {calls.map((call, index) => (
        <Box
          key={call.id}
          display="grid"
          gridTemplateColumns={CALLS}
          gap="4px 12px"
          alignItems="center"
          py="3px"
          role="row"
        >
          <SelectField
            path={`call_taps/${call.id}/call`}
            label={say("leads-call", { index: index + 1 })}
            empty={say("leads-call-2")}
          />
          <WordsField
            path={`call_taps/${call.id}/tap`}
            label={say("leads-call-tap", { index: index + 1 })}
            placeholder={say("leads-colour-number")}
          />
          <QuantityField path={`call_taps/${call.id}/volts`} label={say("leads-call-command", { index: index + 1 })} />
          <Word type="button" mx="0" onClick={() => void desk.remove(`call_taps/${call.id}`)}>
            {say("leads-remove")}
          </Word>
        </Box>
      ))}
      <Press type="button" onClick={() => void desk.add("call_taps")}>
        {say("leads-add-call")}
      </Press>
    </>
  );
}

function Heads({ columns, names }: { columns: typeof LEADS | typeof CALLS; names: string[] }) {
  return (
    <Box display={{ base: "none", md: "grid" }} gridTemplateColumns={columns} gap="12px">
      {names.map((name) => (
        <Micro key={name}>{name}</Micro>
      ))}
    </Box>
  );
}
