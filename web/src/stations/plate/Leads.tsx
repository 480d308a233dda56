import { Box } from "@chakra-ui/react";

import type { Schemas } from "../../shared/api";
import { QuantityField, SelectField, WordsField } from "../../shared/fields";
import { useFound, useJob } from "../../shared/job";
import { Micro, Press, Word } from "../../shared/parts";
import { Answers } from "./Identification";

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
      <Heads columns={LEADS} names={["colour as found", "function", "Ω to common", "volts"]} />
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
          <WordsField path={`leads/${lead.id}/colour`} label={`Lead ${index + 1}, colour`} placeholder="colour" />
          <SelectField path={`leads/${lead.id}/function`} label={`Lead ${index + 1}, function`} />
          <QuantityField path={`leads/${lead.id}/ohms`} label={`Lead ${index + 1}, ohms to common`} />
          <QuantityField path={`leads/${lead.id}/volts`} label={`Lead ${index + 1}, volts`} />
          <Word type="button" mx="0" onClick={() => void desk.remove(`leads/${lead.id}`)}>
            remove
          </Word>
        </Box>
      ))}
      <Press type="button" onClick={() => void desk.add("leads")}>
        Add a lead
      </Press>
      <Answers answers={identity.filter(({ about }) => about === "speeds" || about === "other_lead")} />
      <Box pt="14px" fontWeight={600}>
        Which call energised which tap, as it was wired
      </Box>
      <Heads columns={CALLS} names={["call", "tap or lead", "command volts"]} />
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
          <SelectField path={`call_taps/${call.id}/call`} label={`Call ${index + 1}`} empty="which call?" />
          <WordsField
            path={`call_taps/${call.id}/tap`}
            label={`Call ${index + 1}, tap`}
            placeholder="colour or number"
          />
          <QuantityField path={`call_taps/${call.id}/volts`} label={`Call ${index + 1}, command volts`} />
          <Word type="button" mx="0" onClick={() => void desk.remove(`call_taps/${call.id}`)}>
            remove
          </Word>
        </Box>
      ))}
      <Press type="button" onClick={() => void desk.add("call_taps")}>
        Add a call
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
