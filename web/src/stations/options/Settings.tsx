import { FieldGrid } from "../../shared/AnyField";
import { fields } from "../../generated/fields";
import { Fold, under } from "../../shared/Fold";
import { useJob } from "../../shared/job";

const FITTING = Object.keys(fields).filter((name) => name.startsWith("options/fitting/"));
const MONEY = ["options/discount_rate", "options/escalation"] as const;
const holdsFitting = under("options/fitting");
const holdsMoney = under(...MONEY);

/** What is asked once of the place, and how years are reckoned. */
export function Settings() {
  const answered = useJob().view.document.options?.fitting ?? {};
  const count = Object.values(answered).filter((value) => value != null).length;
  return (
    <>
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
    </>
  );
}
