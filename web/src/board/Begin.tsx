import { Box, chakra } from "@chakra-ui/react";
import { useQueryClient } from "@tanstack/react-query";
import { type FormEvent, useId, useRef, useState } from "react";
import { useNavigate } from "react-router";

import { api, type JobView, type Refused, taken } from "../shared/api";
import { outbox } from "../shared/outbox";
import { Press, TextLine, Word } from "../shared/parts";
import { useReader } from "../shared/reader";
import { useUnits } from "../shared/units";
import { useLane } from "../shared/useOutbox";
import { Waiting } from "../shared/Waiting";

/** Begin a job with nothing but a machine's name, or take one in from a file. */
export function Begin({ sites }: { sites: string[] }) {
  const navigate = useNavigate();
  const { units } = useUnits();
  const { who } = useReader();
  const queries = useQueryClient();
  const [machine, setMachine] = useState("");
  const [site, setSite] = useState("");
  const [line, setLine] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const [told, setTold] = useState<string | null>(null);
  const list = useId();
  const open = async (request: Promise<JobView>) => {
    setProblem(null);
    try {
      const view = await request;
      await navigate(`/jobs/${view.id}/short`);
    } catch (error) {
      setProblem((error as Refused).message);
    }
  };
  const acts = useLane("begin", (act, answer) => {
    void queries.invalidateQueries({ queryKey: ["board"] });
    // The one that was just begun is gone to; one that had to wait stands on the Board.
    if (answer && !act.waited) void navigate(`/jobs/${(answer as JobView).id}/short`);
  });
  const begin = (event: FormEvent) => {
    event.preventDefault();
    setProblem(machine.trim() ? null : "A job needs the name of its machine, and nothing else.");
    if (!machine.trim()) return;
    outbox.put({
      lane: "begin",
      label: `a job on “${machine.trim()}”${site.trim() ? ` at ${site.trim()}` : ""}`,
      method: "POST",
      path: "/api/jobs",
      revision: null,
      body: { machine_name: machine, site_name: site || null, units, ...(line.trim() ? { line } : {}) },
      onNewest: "always",
      who,
    });
    setMachine("");
    setSite("");
    setLine("");
  };
  return (
    <Box>
      <Form onSubmit={begin}>
        <Box as="label" flex="1 1 230px" display="flex" alignItems="center" gap="8px" whiteSpace="nowrap">
          Start a job
          <TextLine
            flex={1}
            value={machine}
            maxLength={120}
            placeholder="machine: only a name"
            aria-label="Machine of the new job"
            onChange={(event) => setMachine(event.target.value)}
          />
        </Box>
        <Box as="label" flex="1 1 150px" display="flex" alignItems="center" gap="8px">
          at
          <TextLine
            flex={1}
            value={site}
            maxLength={120}
            list={list}
            placeholder="site, if known"
            aria-label="Site of the new job"
            onChange={(event) => setSite(event.target.value)}
          />
          <datalist id={list}>
            {sites.map((name) => (
              <option key={name} value={name} />
            ))}
          </datalist>
        </Box>
        <Box
          as="label"
          flex={{ base: "1 1 100%", lg: "2 1 260px" }}
          display="flex"
          alignItems="center"
          gap="8px"
          whiteSpace="nowrap"
        >
          its plate
          <TextLine
            flex={1}
            value={line}
            maxLength={600}
            placeholder="in one line: HP 3/4 V 208-230 A 4.8 …"
            aria-label="Plate of the new job in one line"
            onChange={(event) => setLine(event.target.value)}
          />
        </Box>
        <Press type="submit">start</Press>
        <TakeIn open={open} refuse={setProblem} tell={setTold} />
      </Form>
      <Waiting acts={acts.filter((act) => act.waited || act.state === "refused")} />
      <Box role="status" fontSize="small">
        {told}
      </Box>
      {problem && (
        <Box role="alert" color="brick" fontWeight={600} fontSize="small">
          {problem}
        </Box>
      )}
    </Box>
  );
}

function TakeIn({
  open,
  refuse,
  tell,
}: {
  open: (request: Promise<JobView>) => Promise<void>;
  refuse: (why: string | null) => void;
  tell: (what: string | null) => void;
}) {
  const picker = useRef<HTMLInputElement>(null);
  const queries = useQueryClient();
  const take = async (file: File | undefined) => {
    if (!file) return;
    if (file.name.endsWith(".zip")) {
      await many(file);
      return;
    }
    let job: Record<string, unknown>;
    try {
      job = JSON.parse(await file.text()) as Record<string, unknown>;
    } catch {
      refuse(`“${file.name}” is not JSON, so it is no job file. Nothing was taken in.`);
      return;
    }
    await open(taken(api.POST("/api/jobs/file", { body: { job } })));
  };
  const many = async (file: File) => {
    try {
      const body = await file.arrayBuffer();
      const all = await taken(
        api.POST("/api/archive", {
          body: "",
          bodySerializer: () => body,
          headers: { "content-type": "application/octet-stream" },
        }),
      );
      const bad = all.filter((one) => one.reason);
      const taken_in = `${all.length - bad.length} of ${all.length} jobs were taken in.`;
      tell(taken_in);
      refuse(bad.map((one) => `${one.file}: ${one.reason}`).join(" ") || null);
      void queries.invalidateQueries({ queryKey: ["board"] });
    } catch (error) {
      refuse((error as Refused).message);
    }
  };
  return (
    <>
      <Word type="button" onClick={() => picker.current?.click()} mx="0">
        from a file
      </Word>
      <Out href="/api/archive" download>
        all open jobs as one file
      </Out>
      <input
        ref={picker}
        type="file"
        accept=".json,.zip,application/json,application/zip"
        hidden
        aria-label="Job file to take in"
        onChange={(event) => {
          void take(event.target.files?.[0]);
          event.target.value = "";
        }}
      />
    </>
  );
}

const Out = chakra("a", {
  base: {
    display: "inline-flex",
    alignItems: "center",
    minHeight: "44px",
    fontSize: "small",
    textUnderlineOffset: "3px",
  },
});

const Form = chakra("form", { base: { display: "flex", flexWrap: "wrap", alignItems: "center", gap: "8px 14px" } });
