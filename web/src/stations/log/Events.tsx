import { Box } from "@chakra-ui/react";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { LineField, Pick } from "../../shared/devices";
import { Fold } from "../../shared/Fold";
import { Micro, Press, Small, Word } from "../../shared/parts";
import { useReader } from "../../shared/reader";
import { Part } from "../../shared/Sheet";
import { dayWords, type LogView, useTakeLog } from "./log";
import { asUtc } from "../../shared/times";
import { say } from "../../shared/say";

/** What was serviced when; each lets begin anew what it should. */
export function Events({ log }: { log: LogView }) {
  const { events } = log;
  return (
    <Part
      title={say("events-services")}
      note={events.length === 0 ? say("events-none-noted") : say("events-each-lets")}
    >
      {[...events].reverse().map((event) => (
        <OneEvent key={event.id} log={log} event={event} />
      ))}
      <AddEvent log={log} />
    </Part>
  );
}

function OneEvent({ log, event }: { log: LogView; event: Schemas["EventLine"] }) {
  const take = useTakeLog();
  const remove = useMutation<LogView, Refused>({
    mutationFn: () =>
      taken(
        api.DELETE("/api/machines/{machine_id}/log/events/{event_id}", {
          params: { path: { machine_id: log.machine_id, event_id: event.id } },
        }),
      ),
    onSuccess: take,
  });
  return (
    <Box
      display="flex"
      gap="2px 14px"
      flexWrap="wrap"
      alignItems="center"
      borderTop="1px solid"
      borderColor="hair"
      data-service={event.kind}
    >
      <Box minWidth="150px">{dayWords(event.at)}</Box>
      <Box flex="1">
        <b>{event.words}</b>
        {event.note ? `: ${event.note}` : ""} <Micro>{event.who}</Micro>
      </Box>
      {event.due && <Small>{say("events-due-again", { dayWords: dayWords(event.due) })}</Small>}
      <Word
        type="button"
        mx="0"
        px="0"
        aria-label={say("events-remove-2", { words: event.words, dayWords: dayWords(event.at) })}
        onClick={() => remove.mutate()}
      >
        {say("events-remove")}
      </Word>
    </Box>
  );
}

function AddEvent({ log }: { log: LogView }) {
  const { who } = useReader();
  const take = useTakeLog();
  const [kind, setKind] = useState<Schemas["EventKind"]>("filter");
  const [at, setAt] = useState("");
  const [note, setNote] = useState("");
  const [due, setDue] = useState("");
  const add = useMutation<LogView, Refused>({
    mutationFn: () =>
      taken(
        api.POST("/api/machines/{machine_id}/log/events", {
          params: { path: { machine_id: log.machine_id } },
          body: { kind, note, who, at: asUtc(at), due },
        }),
      ),
    onSuccess: (next) => {
      take(next);
      setNote("");
      setAt("");
      setDue("");
    },
  });
  return (
    <Fold title={say("events-note-service")}>
      <Box
        display="grid"
        gridTemplateColumns={{ base: "1fr", md: "210px 150px 1fr 130px auto" }}
        gap="4px 14px"
        alignItems="end"
      >
        <Box as="label">
          <Micro>{say("events-what-done")}</Micro>
          <Pick
            aria-label={say("events-what-done-2")}
            value={kind}
            onChange={(e) => setKind(e.target.value as Schemas["EventKind"])}
          >
            {log.kinds.map((one) => (
              <option key={one.kind} value={one.kind}>
                {one.words}
              </option>
            ))}
          </Pick>
        </Box>
        <LineField label={say("events-day")} value={at} set={setAt} placeholder={say("events-today")} />
        <LineField label={say("events-note")} value={note} set={setNote} placeholder="" />
        <LineField label={say("events-due-again-2")} value={due} set={setDue} placeholder={say("events-months")} />
        <Press type="button" data-add-service onClick={() => add.mutate()}>
          {say("events-note-2")}
        </Press>
      </Box>
      {add.error && (
        <Box role="alert" color="brick">
          {add.error.message}
        </Box>
      )}
    </Fold>
  );
}
