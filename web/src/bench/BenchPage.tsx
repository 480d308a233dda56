import { Meter as MeterWords } from "../generated/labels";
import { Box, chakra } from "@chakra-ui/react";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { memo, useEffect, useState } from "react";
import { NavLink, useParams, useSearchParams } from "react-router";

import { NotFound } from "../app/NotFound";
import { TopLine } from "../app/TopLine";
import { api, type Refused, type Schemas, taken } from "../shared/api";
import { SeverityWord, Small } from "../shared/parts";
import { useReader } from "../shared/reader";
import { UnitsProvider } from "../shared/units";
import { CourseSheet } from "./CourseSheet";
import { BenchDesk, useBench } from "./desk";
import { HuntPane } from "./HuntPane";
import { HuntSheet } from "./HuntSheet";
import { Pictures } from "./Pictures";
import { RigChooser } from "./RigChooser";
import { RecordSheet } from "./RecordSheet";
import { RigSheet } from "./RigSheet";
import { useHunt } from "./useHunt";
import { capital } from "../shared/casing";
import { say } from "../shared/say";

type Book = Schemas["BenchBook"];

const PARTS = ["rig", "course", "hunt", "record"] as const;
type Part = (typeof PARTS)[number];

const TITLES: Record<Part, { title: string; asks: string }> = {
  rig: { title: say("bench-page-bench"), asks: say("bench-page-why-does") },
  course: { title: say("bench-page-course"), asks: say("bench-page-predict-then") },
  hunt: { title: say("bench-page-fault-hunt"), asks: say("bench-page-what-hidden") },
  record: { title: say("bench-page-record"), asks: say("bench-page-what-still") },
};

/** The simulated bench: a rig to turn, a course, fault hunts, and the record of whoever learns. */
export function BenchPage() {
  const { part = "rig", which } = useParams();
  const reader = useReader();
  const book = useQuery<Book, Refused>({ queryKey: ["bench"], queryFn: () => taken(api.GET("/api/bench")) });
  if (!PARTS.includes(part as Part)) return <NotFound />;
  return (
    <UnitsProvider units={reader.units ?? "si"} currency={null}>
      {book.error && <Box role="alert">{book.error.message}</Box>}
      {book.data && <AtTheBench book={book.data} part={part as Part} which={which} />}
    </UnitsProvider>
  );
}

interface AtProps {
  book: Book;
  part: Part;
  which: string | undefined;
}

function AtTheBench({ book, part, which }: AtProps) {
  const { who } = useReader();
  const [desk] = useState(() => new BenchDesk(book.built));
  const state = useBench(desk);
  const experiment = part === "course" ? book.course.find((one) => one.code === which) : undefined;
  const rigStands = part === "rig" || !!experiment;
  useRig(desk, rigStands);
  useWanted(desk, experiment, part);
  const queries = useQueryClient();
  const { explained } = state;
  const record = useQuery<Schemas["Record"], Refused>({
    queryKey: ["bench record", who],
    queryFn: () => taken(api.GET("/api/bench/record", { params: { query: { who } } })),
  });
  const next = useQuery<Schemas["NextHunt"], Refused>({
    queryKey: ["next hunt", who],
    queryFn: () => taken(api.GET("/api/bench/hunts/next", { params: { query: { who } } })),
  });
  useEffect(() => {
    desk.isOf(who);
  }, [desk, who]);
  useEffect(() => {
    if (explained) void queries.invalidateQueries({ queryKey: ["bench record"] });
  }, [explained, queries]);
  const { title, asks } = TITLES[part];
  const name = part === "rig" || experiment ? say("bench-page-bench") : title;
  useEffect(() => {
    document.title = say("bench-page-modest-rotor", { name });
    window.scrollTo(0, 0);
  }, [name, experiment]);
  if (part === "course" && which && !experiment) return <NotFound />;
  const number = which === undefined ? next.data?.number : Number(which);
  return (
    <>
      <TopLine
        trail={[
          { label: say("bench-page-board"), to: "/" },
          { label: say("bench-page-bench"), ...(part === "rig" ? {} : { to: "/bench" }) },
          ...(part === "rig" ? [] : [{ label: title }]),
        ]}
      />
      <Box
        display="grid"
        gridTemplateColumns={{ base: "minmax(0, 1fr)", md: "150px minmax(0, 1fr)", lg: "186px minmax(0, 1fr) 372px" }}
      >
        <BenchRail book={book} record={record.data} next={next.data} rig={state.standing?.name ?? ""} />
        {part === "hunt" && number !== undefined ? (
          <HuntPart key={number} number={number} who={who} next={next.data} head={<Head title={title} asks={asks} />} />
        ) : (
          <>
            <Box
              as="main"
              id="main"
              px={{ base: "14px", lg: "20px" }}
              pb="20px"
              minWidth={0}
              maxWidth={{ base: "100%", lg: "980px" }}
              gridColumn={{ lg: rigStands ? "auto" : "span 2" }}
            >
              <Head title={name} asks={part === "rig" ? null : asks}>
                {part === "rig" && <RigChooser desk={desk} rig={state.rig} standing={state.standing} book={book} />}
              </Head>
              {rigStands && <Trouble lost={state.connection === "lost"} refusal={state.refusal} />}
              {rigStands && <RigSheet desk={desk} state={state} book={book} />}
              {part === "course" && !which && <CourseSheet book={book} record={record.data} />}
              {part === "record" && <RecordSheet record={record.data} hunts={next.data} />}
            </Box>
            {rigStands && (
              <Aside label={say("bench-page-picture-rig")}>
                <Pictures desk={desk} standing={state.standing} outlook={state.outlook} experiment={state.experiment} />
              </Aside>
            )}
          </>
        )}
      </Box>
    </>
  );
}

/** The rig is joined while it is looked at, and left when it is not. */
function useRig(desk: BenchDesk, stands: boolean) {
  useEffect(() => {
    if (!stands) return undefined;
    desk.join();
    return () => desk.leave();
  }, [desk, stands]);
}

/** What the address asks for: an experiment, or the machine of a job; a free rig where the last one was an experiment. */
function useWanted(desk: BenchDesk, experiment: Schemas["Experiment"] | undefined, part: Part) {
  const [search, setSearch] = useSearchParams();
  const job = search.get("job");
  useEffect(() => {
    if (experiment) desk.begin(experiment);
    else if (part === "rig" && job) {
      desk.putUp({ of: "job", name: "", job: Number(job), machine_type: "forward-curved", drive: false });
      setSearch({}, { replace: true });
    } else if (part === "rig" && desk.snapshot().experiment) desk.goFree();
  }, [desk, experiment, part, job, setSearch]);
}

function HuntPart({
  number,
  who,
  next,
  head,
}: {
  number: number;
  who: string;
  next: Schemas["NextHunt"] | undefined;
  head: React.ReactNode;
}) {
  const hunt = useHunt(number, who);
  const queries = useQueryClient();
  const ending = hunt.view?.debrief?.ending;
  useEffect(() => {
    if (ending) void queries.invalidateQueries({ queryKey: ["next hunt"] });
  }, [ending, queries]);
  return (
    <>
      <Box
        as="main"
        id="main"
        px={{ base: "14px", lg: "20px" }}
        pb="20px"
        minWidth={0}
        maxWidth={{ base: "100%", lg: "980px" }}
      >
        {head}
        <HuntSheet hunt={hunt} number={number} next={next} />
      </Box>
      <Aside label={say("bench-page-seen-so")}>
        <HuntPane view={hunt.view} />
      </Aside>
    </>
  );
}

function Head({ title, asks, children }: { title: string; asks: string | null; children?: React.ReactNode }) {
  return (
    <Box display="flex" flexWrap="wrap" alignItems="baseline" gap="0 12px" minHeight="47px" pt="10px">
      <Box as="h1" fontSize="title" fontWeight={600}>
        {title}
      </Box>
      {asks && <Small>{asks}</Small>}
      {children}
      <Small ml={{ md: "auto" }}>{say("bench-page-simulated-nothing")}</Small>
    </Box>
  );
}

function Trouble({ lost, refusal }: { lost: boolean; refusal: string | null }) {
  if (!lost && !refusal) return null;
  return (
    <Box role="alert" borderTop="2px solid" borderBottom="2px solid" borderColor="ochre" py="8px">
      {lost ? (
        <>
          <Box as="b" color="ochre">
            {say("bench-page-waiting")}
          </Box>
          {say("bench-page-rig-does")}
        </>
      ) : (
        <>
          <SeverityWord severity="caution" /> {refusal}
        </>
      )}
    </Box>
  );
}

/** Beside the sheet on a wide screen, below it on a narrow one. */
function Aside({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box
      as="aside"
      aria-label={label}
      gridColumn={{ md: "2", lg: "auto" }}
      borderStyle="solid"
      borderWidth={{ base: 0, lg: "0 0 0 1px" }}
      borderColor="rule"
      px="16px"
      pb="16px"
      position={{ lg: "sticky" }}
      top="46px"
      height={{ lg: "calc(100dvh - 46px)" }}
      overflowY={{ lg: "auto" }}
    >
      {children}
    </Box>
  );
}

interface RailProps {
  book: Book;
  record: Schemas["Record"] | undefined;
  next: Schemas["NextHunt"] | undefined;
  rig: string;
}

const BenchRail = memo(function BenchRail({ book, record, next, rig }: RailProps) {
  const tried = record?.topics.reduce((sum, line) => sum + line.tried.length, 0) ?? 0;
  const told: [string, string, string][] = [
    ["/bench", say("bench-page-rig"), capital(rig) || say("bench-page-free-turn")],
    ["/bench/course", say("bench-page-course"), say("bench-page-tried", { tried, course: book.course.length })],
    [
      "/bench/hunt",
      say("bench-page-fault-hunt"),
      next ? say("bench-page-level-ended", { level: next.level, ended: next.ended.length }) : "",
    ],
    ["/bench/record", say("bench-page-record"), recordWords(record)],
  ];
  return (
    <Box
      as="nav"
      aria-label={say("bench-page-parts-bench")}
      background="desk"
      borderStyle="solid"
      borderWidth={{ base: "0 0 1px", md: "0 1px 0 0" }}
      borderColor="rule"
      display={{ base: "flex", md: "block" }}
      overflowX={{ base: "auto", md: "visible" }}
      position={{ md: "sticky" }}
      top="46px"
      height={{ md: "calc(100dvh - 46px)" }}
      gridRow={{ md: "1 / span 2", lg: "auto" }}
    >
      {told.map(([to, title, words]) => (
        <Go key={to} to={to} end={to === "/bench"}>
          <span>{title}</span>
          <b>{words}</b>
        </Go>
      ))}
    </Box>
  );
});

function recordWords(record: Schemas["Record"] | undefined) {
  if (!record || record.asked === 0) return say("bench-page-nothing-predicted");
  const most = record.mistaken ? say("bench-page-most-often", { MeterWords: MeterWords[record.mistaken] }) : "";
  return say("bench-page-right", { right: record.right, asked: record.asked, most });
}

const Go = chakra(NavLink, {
  base: {
    display: "grid",
    alignContent: "start",
    minHeight: "58px",
    flexShrink: 0,
    px: { base: "14px", lg: "16px" },
    py: "8px",
    borderStyle: "solid",
    borderWidth: { base: "0 1px 0 0", md: "0 0 1px" },
    borderColor: "hair",
    fontSize: "small",
    lineHeight: 1.3,
    textDecoration: "none",
    color: "ink2",
    "& b": { fontWeight: 600, color: "ink" },
    "&[aria-current=page]": { background: "paper", mr: { md: "-1px" } },
    "&[aria-current=page] > span": { fontWeight: 600, color: "ink" },
    _hover: { background: "paper" },
    _focusVisible: { outlineOffset: "-4px" },
  },
});
