import { Box, chakra } from "@chakra-ui/react";
import { useRef, useState } from "react";
import { useNavigate } from "react-router";

import { api, type JobView, type Refused, type Schemas, taken } from "../shared/api";
import { Press, TextLine } from "../shared/parts";
import { say } from "../shared/say";

type Job = Schemas["BoardJob"];
type Shelf = Schemas["Shelf"];

/** What can be done with a job as a whole: put away, thrown away, brought back, copied, taken out. */
export function JobDeeds({ job, changed }: { job: Job; changed: () => void }) {
  const dialog = useRef<HTMLDialogElement>(null);
  const navigate = useNavigate();
  const [name, setName] = useState("");
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const shut = () => dialog.current?.close();
  const show = () => {
    setOpen(true);
    setProblem(null);
    dialog.current?.showModal();
  };
  const doing = async (deed: Promise<unknown>) => {
    try {
      await deed;
      shut();
      changed();
    } catch (error) {
      setProblem((error as Refused).message);
    }
  };
  const put = (shelf: Shelf) =>
    doing(taken(api.POST("/api/jobs/{job_id}/shelf", { params: { path: { job_id: job.id } }, body: { shelf } })));
  const copy = (how: Schemas["CopyOf"], machine_name: string) =>
    doing(
      taken(
        api.POST("/api/jobs/{job_id}/copies", { params: { path: { job_id: job.id } }, body: { how, machine_name } }),
      ).then((view: JobView) => navigate(`/jobs/${view.id}/short`)),
    );
  return (
    <>
      <Opener
        type="button"
        onClick={show}
        aria-label={say("job-deeds-what-do", { machine: job.machine })}
        aria-haspopup="dialog"
      >
        <svg width="22" height="6" viewBox="0 0 22 6" aria-hidden>
          {[3, 11, 19].map((x) => (
            <circle key={x} cx={x} cy="3" r="2" fill="currentColor" />
          ))}
        </svg>
      </Opener>
      <Dialog ref={dialog} aria-label={job.machine} onClose={() => setOpen(false)}>
        {open && (
          <>
            <Box display="flex" justifyContent="space-between" alignItems="center" gap="14px" pb="8px">
              <Box as="h2" fontSize="title" fontWeight={600}>
                {job.machine}
              </Box>
              <Press type="button" onClick={shut}>
                {say("job-deeds-close")}
              </Press>
            </Box>
            {problem && (
              <Box role="alert" color="brick" fontWeight={600} pb="8px">
                {problem}
              </Box>
            )}
            <Box display="grid" gap="8px">
              <Shelves job={job} put={(shelf) => void put(shelf)} />
              <Press type="button" textAlign="left" onClick={() => void copy("second-plan", "")}>
                {say("job-deeds-copy-plan")}
              </Press>
              <Box display="flex" gap="8px" flexWrap="wrap" borderTop="1px solid" borderColor="rule" pt="8px">
                <TextLine
                  flex="1 1 200px"
                  value={name}
                  maxLength={120}
                  aria-label={say("job-deeds-name-other")}
                  placeholder={say("job-deeds-name-another")}
                  onChange={(event) => setName(event.target.value)}
                />
                <Press type="button" disabled={!name.trim()} onClick={() => void copy("like-machine", name.trim())}>
                  {say("job-deeds-begin")}
                </Press>
                <Box fontSize="small" color="ink2">
                  {say("job-deeds-takes-plate")}
                </Box>
              </Box>
              <a href={`/api/jobs/${job.id}/file`} download>
                {say("job-deeds-job-file")}
              </a>
            </Box>
          </>
        )}
      </Dialog>
    </>
  );
}

function Shelves({ job, put }: { job: Job; put: (shelf: Shelf) => void }) {
  if (job.thrown)
    return (
      <Press type="button" textAlign="left" onClick={() => put("open")}>
        {say("job-deeds-bring-back")}
      </Press>
    );
  return (
    <>
      {job.archived ? (
        <Press type="button" textAlign="left" onClick={() => put("open")}>
          {say("job-deeds-take-out")}
        </Press>
      ) : (
        <Press type="button" textAlign="left" onClick={() => put("archived")}>
          {say("job-deeds-archive")}
        </Press>
      )}
      <Press type="button" textAlign="left" onClick={() => put("bin")}>
        {say("job-deeds-throw-away")}
      </Press>
    </>
  );
}

const Opener = chakra("button", {
  base: {
    minHeight: "44px",
    width: "44px",
    display: "grid",
    placeItems: "center",
    alignSelf: "center",
    _hover: { background: "desk" },
  },
});

const Dialog = chakra("dialog", {
  base: {
    margin: "auto",
    width: "calc(100% - 28px)",
    maxWidth: "560px",
    border: "2px solid",
    borderColor: "ink",
    background: "paper",
    color: "ink",
    padding: "14px 20px",
    "&::backdrop": { background: "ink", opacity: 0.25 },
  },
});
