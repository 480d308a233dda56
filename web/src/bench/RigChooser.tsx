import { Box } from "@chakra-ui/react";
import { memo, useState } from "react";

import type { Schemas } from "../shared/api";
import { Pick } from "../shared/devices";
import { Press, Small, Word } from "../shared/parts";
import type { BenchDesk, BenchState } from "./desk";
import { type RigName } from "./words";
import { capital } from "../shared/casing";
import { say } from "../shared/say";

interface ChooserProps {
  desk: BenchDesk;
  rig: RigName;
  standing: BenchState["standing"];
  book: Schemas["BenchBook"];
}

/** What stands on the Bench, and how to put something else there: a stand, a job's machine, a motor of the catalogue. */
export const RigChooser = memo(function RigChooser({ desk, rig, standing, book }: ChooserProps) {
  const [open, setOpen] = useState(false);
  const put = (wanted: Partial<RigName>) => {
    setOpen(false);
    desk.putUp({ of: "stand", name: "", machine_type: "forward-curved", drive: false, ...wanted });
  };
  return (
    <>
      <Box fontWeight={600} data-rig-name>
        {capital(standing?.name ?? "")}
      </Box>
      <Word type="button" aria-expanded={open} onClick={() => setOpen(!open)} mx="0" my="-12px">
        {open ? say("rig-chooser-keep") : say("rig-chooser-put-up")}
      </Word>
      {(open || !!standing?.notes.length) && (
        <Box order={2} flexBasis="100%">
          {standing?.notes.map((words) => (
            <Small key={words} display="block">
              {words}
            </Small>
          ))}
          {open && <Choices book={book} rig={rig} put={put} />}
        </Box>
      )}
    </>
  );
});

function Choices({
  book,
  rig,
  put,
}: {
  book: ChooserProps["book"];
  rig: RigName;
  put: (rig: Partial<RigName>) => void;
}) {
  const [product, setProduct] = useState(book.motors[0]?.code ?? "");
  const [machineType, setMachineType] = useState<RigName["machine_type"]>("forward-curved");
  const [job, setJob] = useState(String(book.jobs[0]?.id ?? ""));
  return (
    <Box borderTop="1px solid" borderColor="hair" pt="6px" display="grid" gap="8px">
      <Box role="group" aria-label={say("rig-chooser-stands")} display="flex" flexWrap="wrap" gap="6px">
        {book.stands.map((name) => (
          <Press
            key={name}
            type="button"
            fontWeight={rig.of === "stand" && rig.name === name ? 600 : 400}
            fontSize="small"
            onClick={() => put({ name })}
          >
            {capital(name)}
          </Press>
        ))}
      </Box>
      {book.jobs.length > 0 && (
        <Source label={say("rig-chooser-machine-job")}>
          <Pick aria-label={say("rig-chooser-job")} value={job} onChange={(event) => setJob(event.target.value)}>
            {book.jobs.map((one) => (
              <option key={one.id} value={one.id}>
                {one.machine}, {one.site}
              </option>
            ))}
          </Pick>
          <Press type="button" onClick={() => put({ of: "job", job: Number(job) })} data-put-job>
            {say("rig-chooser-put-up-2")}
          </Press>
        </Source>
      )}
      {book.motors.length > 0 && (
        <Source label={say("rig-chooser-motor-catalogue")}>
          <Pick
            aria-label={say("rig-chooser-motor")}
            value={product}
            onChange={(event) => setProduct(event.target.value)}
          >
            {book.motors.map((one) => (
              <option key={one.code} value={one.code}>
                {one.name}
              </option>
            ))}
          </Pick>
          <Pick
            aria-label={say("rig-chooser-wheel")}
            value={machineType}
            onChange={(event) => setMachineType(event.target.value as RigName["machine_type"])}
          >
            {book.machine_types.map((one) => (
              <option key={one} value={one}>
                {one}
              </option>
            ))}
          </Pick>
          <Press
            type="button"
            onClick={() => put({ of: "product", name: product, machine_type: machineType })}
            data-put-product
          >
            {say("rig-chooser-put-up-2")}
          </Press>
        </Source>
      )}
      <Box display="flex" flexWrap="wrap" gap="10px" alignItems="center">
        <Press type="button" onClick={() => put({ ...rig, drive: !rig.drive })}>
          {rig.drive ? say("rig-chooser-take-drive") : say("rig-chooser-put-drive")}
        </Press>
        <Small>{say("rig-chooser-three-phase")}</Small>
      </Box>
    </Box>
  );
}

function Source({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box>
      <Small display="block">{label}</Small>
      <Box display="flex" flexWrap={{ base: "wrap", md: "nowrap" }} gap="8px">
        {children}
      </Box>
    </Box>
  );
}
