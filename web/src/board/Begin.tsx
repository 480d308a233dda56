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
import { say } from "../shared/say";

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
    setProblem(machine.trim() ? null : say("begin-job-needs"));
    if (!machine.trim()) return;
    outbox.put({
      lane: "begin",
      label: say("begin-job", {
        machine: machine.trim(),
        site: site.trim() ? say("begin-at", { site: site.trim() }) : "",
      }),
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
          {say("begin-start-job")}
          <TextLine
            flex={1}
            value={machine}
            maxLength={120}
            placeholder={say("begin-machine-only")}
            aria-label={say("begin-machine-new")}
            onChange={(event) => setMachine(event.target.value)}
          />
        </Box>
        <Box as="label" flex="1 1 150px" display="flex" alignItems="center" gap="8px">
          {say("begin-at-2")}
          <TextLine
            flex={1}
            value={site}
            maxLength={120}
            list={list}
            placeholder={say("begin-site-if")}
            aria-label={say("begin-site-new")}
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
          {say("begin-plate")}
          <TextLine
            flex={1}
            value={line}
            maxLength={600}
            placeholder={say("begin-one-line")}
            aria-label={say("begin-plate-new")}
            onChange={(event) => setLine(event.target.value)}
          />
        </Box>
        <Press type="submit">{say("begin-start")}</Press>
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
      refuse(say("begin-json-so", { file: file.name }));
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
      const taken_in = say("begin-jobs-taken", { all: all.length - bad.length, all2: all.length });
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
        {say("begin-file")}
      </Word>
      <Out href="/api/archive" download>
        {say("begin-all-open")}
      </Out>
      <input
        ref={picker}
        type="file"
        accept=".json,.zip,application/json,application/zip"
        hidden
        aria-label={say("begin-job-file")}
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
