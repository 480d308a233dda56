import { Box, chakra } from "@chakra-ui/react";
import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";

import { api, type Figure, type Phrase, type Refused, type Schemas, taken } from "../shared/api";
import { Small } from "../shared/parts";
import { FigureText, PhraseText } from "../shared/Words";
import { say } from "../shared/say";

type Summary = Schemas["ReportSummary"];

const MOST_PHOTOS = 3;

interface PageOneProps {
  summary: Summary;
  /** The job whose photographs stand on it; none of what was signed, whose letterhead stands in its own PDF. */
  job: number | null;
}

/** What a customer reads in a minute: found, proposed, what it costs and saves, what that rests on, what is not promised. */
export function PageOne({ summary, job }: PageOneProps) {
  const whose = [summary.customer, summary.contact, summary.address].filter((line) => line != null);
  return (
    <Box as="section" aria-label={say("page-one-page-one")} pb="10px">
      {job !== null && <Letterhead />}
      {whose.length > 0 && <Small display="block">{whose.join(" · ")}</Small>}
      <Answers title={say("page-one-what-found")} lines={summary.found} />
      <Answers title={say("page-one-what-proposed")} lines={summary.proposed} bold />
      {summary.figures.length > 0 && (
        <Box
          display="grid"
          gridTemplateColumns="repeat(auto-fit, minmax(min(170px, 100%), 1fr))"
          gap="6px 18px"
          pt="8px"
        >
          {summary.figures.map(({ label, value }) => (
            <Box key={label}>
              <Small display="block">{label}</Small>
              <Box fontSize="1.375rem">
                <PhraseText phrase={value} />
              </Box>
            </Box>
          ))}
          <Small gridColumn="1 / -1">{say("page-one-held-against", { against: summary.against })}</Small>
        </Box>
      )}
      {summary.before && summary.after && <Bars before={summary.before} after={summary.after} />}
      <Answers title={say("page-one-what-rests")} lines={summary.rests_on ?? []} />
      <Answers title={say("page-one-what-promised")} lines={summary.not_promised ?? []} />
      {job !== null && <Photographs job={job} />}
      <Box pt="10px" fontWeight={summary.signed ? 600 : 400}>
        {summary.signed ? say("page-one-signed-off", { signed: summary.signed }) : say("page-one-signed-off-2")}
      </Box>
      <Box display="grid" gridTemplateColumns="1fr 1fr" gap="30px" pt="34px" css={{ breakInside: "avoid" }}>
        {[say("page-one-customer"), say("page-one-firm")].map((who) => (
          <Box key={who} borderTop="1px solid" borderColor="ink">
            <Small>{say("page-one-name-day", { who })}</Small>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

/** The firm's mark, name and address, and on the screen the way to say them. */
function Letterhead() {
  const firm = useQuery<Schemas["Firm"], Refused>({ queryKey: ["firm"], queryFn: () => taken(api.GET("/api/firm")) });
  if (!firm.data) return null;
  const { name, address, has_mark: hasMark } = firm.data;
  return (
    <Box display="flex" gap="16px" alignItems="center" flexWrap="wrap" py="6px">
      {hasMark && <Mark src="/api/firm/mark" alt={name ? say("page-one-mark", { name }) : say("page-one-mark-firm")} />}
      <Box>
        <b>{name}</b>
        <Box fontSize="small" whiteSpace="pre-line">
          {address}
        </Box>
      </Box>
      <Box data-screen-only ml="auto" fontSize="small">
        <Link to="/firm">{name ? say("page-one-change-firm") : say("page-one-say-whose")}</Link>
      </Box>
    </Box>
  );
}

function Answers({ title, lines, bold = false }: { title: string; lines: readonly Phrase[]; bold?: boolean }) {
  if (lines.length === 0) return null;
  return (
    <Box as="section" aria-label={title} pt="8px">
      <Box as="h2" fontWeight={600} borderTop="1px solid" borderColor="rule" pt="6px">
        {title}
      </Box>
      {lines.map((line, index) => (
        <Box key={index} fontWeight={bold && index === 0 ? 600 : 400} pt="2px" maxWidth="80ch">
          <PhraseText phrase={line} />
        </Box>
      ))}
    </Box>
  );
}

/** Energy of a year before and after on one scale from nought, each with its uncertainty. */
function Bars({ before, after }: { before: Figure; after: Figure }) {
  const most = Math.max(before.value + (before.uncertainty ?? 0), after.value + (after.uncertainty ?? 0)) || 1;
  const share = (value: number) => `${(100 * Math.max(value, 0)) / most}%`;
  const rows = [
    { name: say("page-one-before"), figure: before, colour: "copper" },
    { name: say("page-one-after"), figure: after, colour: "verdigris" },
  ];
  return (
    <Box role="group" aria-label={say("page-one-energy-year")} pt="10px" maxWidth="720px">
      {rows.map(({ name, figure, colour }) => (
        <Box
          key={name}
          display="grid"
          gridTemplateColumns={{ base: "60px 1fr", md: "60px 1fr 190px" }}
          gap="2px 10px"
          py="3px"
          alignItems="center"
        >
          <Box textAlign="right">{name}</Box>
          <Box position="relative" height="20px" borderLeft="1px solid" borderColor="rule" aria-hidden>
            <Box
              position="absolute"
              insetBlock="0"
              left="0"
              width={share(figure.value)}
              background={colour}
              css={INKED}
            />
            <Box
              position="absolute"
              top="8px"
              height="3px"
              left={share(figure.value - (figure.uncertainty ?? 0))}
              width={share(2 * (figure.uncertainty ?? 0))}
              background="ink"
              css={INKED}
            />
          </Box>
          <Box gridColumn={{ base: "2", md: "auto" }}>
            <FigureText figure={figure} />
            {say("page-one-year")}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** The plate's photograph and the newest others. */
function Photographs({ job }: { job: number }) {
  const photos = useQuery<Schemas["KeptPhoto"][], Refused>({
    queryKey: ["photos", job],
    queryFn: () => taken(api.GET("/api/jobs/{job_id}/photos", { params: { path: { job_id: job } } })),
  });
  const kept = (photos.data ?? []).filter((photo) => !photo.removed);
  const shown = [...kept]
    .sort((a, b) => Number(a.of !== "plate") - Number(b.of !== "plate") || b.id - a.id)
    .slice(0, MOST_PHOTOS);
  if (shown.length === 0) return null;
  return (
    <Box display="flex" gap="12px" flexWrap="wrap" pt="10px">
      {shown.map((photo) => (
        <Shot
          key={photo.id}
          src={`/api/jobs/${job}/photos/${photo.id}`}
          alt={say("page-one-photograph", { of: photo.of })}
        />
      ))}
    </Box>
  );
}

/** Printed with its colour, which a browser leaves out where it is not told. */
const INKED = { printColorAdjust: "exact" };

const Mark = chakra("img", { base: { maxHeight: "64px", maxWidth: "190px" } });

const Shot = chakra("img", { base: { maxHeight: "150px", maxWidth: "100%" } });
