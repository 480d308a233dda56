import { Box } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";

import { api, type Refused, type Schemas, taken } from "../../shared/api";
import { useJob } from "../../shared/job";
import { Micro, Small } from "../../shared/parts";
import { Part } from "../../shared/Sheet";
import { PhraseText } from "../../shared/Words";
import { say } from "../../shared/say";

type Causes = Schemas["RankedCauses"];
type Ranked = Schemas["RankedCause"];

/** What explains all readings at once, the likeliest cause first, and the cheapest test between the first two; whether something else was found. */
export function CausesPart({ others }: { others: boolean }) {
  const { view } = useJob();
  const causes = useQuery<Causes, Refused>({
    queryKey: ["causes", view.id, view.revision],
    queryFn: () => taken(api.GET("/api/jobs/{job_id}/causes", { params: { path: { job_id: view.id } } })),
    placeholderData: (before) => before,
  });
  const { data } = causes;
  return (
    <Part
      title={say("causes-part-what-explains")}
      sentence={data && !data.waits ? data.source : undefined}
      note={data?.now ? say("causes-part-against", { now: data.now, against: data.against ?? "" }) : undefined}
    >
      {causes.error && <Box role="alert">{causes.error.message}</Box>}
      {!data && !causes.error && <Small fontStyle="italic">{say("causes-part-being-worked")}</Small>}
      {data?.waits && <Small fontStyle="italic">{data.waits}</Small>}
      {data?.still && (
        <Box fontWeight={600}>
          {say("causes-part-readings-stand")}
          {others && say("causes-part-findings-below")}
        </Box>
      )}
      {data?.rough && <Box color="ochre">{say("causes-part-rough-held")}</Box>}
      {!data?.still &&
        data?.ranked?.map((ranked, index) => <CauseRow key={ranked.cause} ranked={ranked} place={index + 1} />)}
      {!data?.still && data?.test && <Test test={data.test} />}
    </Part>
  );
}

function CauseRow({ ranked, place }: { ranked: Ranked; place: number }) {
  const share = Math.round(100 * ranked.share);
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "24px minmax(0, 1fr) 90px", md: "24px 190px minmax(0, 1fr)" }}
      gap="2px 10px"
      py="7px"
      borderBottom="1px solid"
      borderColor="hair"
      data-cause={ranked.cause}
    >
      <b>{place}</b>
      <Box>
        <Box fontWeight={600}>{ranked.cause}</Box>
        <Box
          as="svg"
          width="100%"
          height="10px"
          role="img"
          aria-label={say("causes-part-likelihood", { share })}
          color="copper"
        >
          <rect width="100%" height="1" y="8" fill="currentColor" opacity={0.3} />
          <rect width={`${Math.max(share, 1)}%`} height="8" y="1" fill="currentColor" opacity={0.8} />
        </Box>
        <Micro>{say("causes-part-likelihood-2", { shareWords: shareWords(share) })}</Micro>
      </Box>
      <Box gridColumn={{ base: "2 / -1", md: "auto" }}>
        {ranked.repair && <Small fontWeight={600}>{say("causes-part-repair-first", { words: ranked.words })}</Small>}
        {!ranked.repair && <Small>{ranked.words}.</Small>}
        <Said word="for" phrases={ranked.speaks_for} />
        <Said word="against" phrases={ranked.speaks_against} />
      </Box>
    </Box>
  );
}

/** Never quite all and never quite nothing: the causes that nobody thought of have a share as well. */
function shareWords(share: number) {
  if (share < 1) return say("causes-part-under");
  return share > 99 ? say("causes-part-over") : `${share} %`;
}

function Said({ word, phrases }: { word: string; phrases: Ranked["speaks_for"] }) {
  if (phrases.length === 0) return null;
  return (
    <Small display="block">
      <b>{word}</b>{" "}
      {phrases.map((phrase, index) => (
        <span key={index}>
          {index > 0 && "; "}
          <PhraseText phrase={phrase} />
        </span>
      ))}
    </Small>
  );
}

function Test({ test }: { test: Schemas["SeparatingTest"] }) {
  return (
    <Box borderTop="2px solid" borderBottom="2px solid" borderColor="ink" py="8px" my="8px" data-separating>
      <Box color="ochre">{test.caution}</Box>
      <Box>
        <b>{say("causes-part-about-minutes", { test: test.test, minutes: test.minutes })}</b>
        {say("causes-part-tells-first", { how: test.how })}
      </Box>
      <Small display="block">
        {say("causes-part-if-if", {
          first: test.first,
          if_first: test.if_first,
          second: test.second,
          if_second: test.if_second,
        })}
      </Small>
    </Box>
  );
}
