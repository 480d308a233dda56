import { Box } from "@chakra-ui/react";

import { FieldGrid } from "../../shared/AnyField";
import { fields } from "../../generated/fields";
import { Fold, under } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { InlineMark } from "../../shared/marks";

const FITTING = Object.keys(fields).filter((name) => name.startsWith("options/fitting/"));
const MONEY = ["options/discount_rate", "options/escalation"] as const;
const OWN: Partial<Record<string, readonly string[]>> = {
  "another tap": ["tap"],
  "voltage regulator": ["regulator"],
  "belt re-sheaved": ["speed_share"],
  "impeller trimmed": ["diameter_share"],
  "throttle removed": ["throttle_drop"],
  "circulator, constant speed": ["set_pressure"],
  "circulator, constant pressure": ["set_pressure"],
  "circulator, proportional pressure": ["set_pressure"],
};
const holdsFitting = under("options/fitting");
const holdsMoney = under(...MONEY);
const holdsOwn = under("options/considered");

/** What is asked once of the place, how years are reckoned, and what belongs to single options. */
export function Settings() {
  const { options } = useJob().assessment;
  const answered = useJob().view.document.options?.fitting ?? {};
  const count = Object.values(answered).filter((value) => value != null).length;
  return (
    <Box pt="8px">
      <Fold
        title="The place it goes to"
        note={`${count} of ${FITTING.length} answered; asked once for all options`}
        holds={holdsFitting}
      >
        <FieldGrid paths={FITTING} />
      </Fold>
      <Fold title="How the years are reckoned" note="discount, rising prices" holds={holdsMoney}>
        <FieldGrid paths={MONEY} />
      </Fold>
      <Fold title="Each option’s own" note="name, life, wear, and what its kind asks" holds={holdsOwn}>
        {options.options.slice(1).map((option) => (
          <Box key={option.id} pb="8px" role="group" aria-label={`Option ${option.letter}`}>
            <Box fontWeight={600}>
              <InlineMark series={option.series} /> {option.letter}, {option.title}
            </Box>
            <FieldGrid
              help={false}
              paths={[...(OWN[option.kind] ?? []), "name", "life", "wears"].map(
                (field) => `options/considered/${option.id}/${field}`,
              )}
            />
          </Box>
        ))}
      </Fold>
    </Box>
  );
}
