import { FieldGrid } from "../../shared/AnyField";
import { fields } from "../../generated/fields";
import { Fold, under } from "../../shared/Fold";
import { useJob } from "../../shared/job";
import { say } from "../../shared/say";

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
        title={say("settings-place-goes")}
        note={say("settings-answered-asked", { count, FITTING: FITTING.length })}
        holds={holdsFitting}
      >
        <FieldGrid paths={FITTING} />
      </Fold>
      <Fold title={say("settings-how-years")} note={say("settings-discount-rising")} holds={holdsMoney}>
        <FieldGrid paths={MONEY} />
      </Fold>
    </>
  );
}
