import { Micro } from "./parts";
import { asLocal } from "./times";

/** A time as it is kept, told on the reader's clock. */
export function At({ at }: { at: string | null | undefined }) {
  if (!at) return null;
  return (
    <time dateTime={`${at.replace(" ", "T")}Z`}>
      <Micro>{asLocal(at)}</Micro>
    </time>
  );
}
