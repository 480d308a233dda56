import { Box, chakra } from "@chakra-ui/react";
import type { ReactNode } from "react";
import { useLocation, useNavigate } from "react-router";

import type { Schemas } from "./api";
import { focusField } from "./focus";
import { IntervalMark } from "./IntervalMark";
import { useJob } from "./job";
import { Cap, Micro } from "./parts";
import { stationOf } from "./places";
import { SHORT, STATIONS } from "./stations";
import { FigureText, PhraseText } from "./Words";
import { say } from "./say";

type Next = Schemas["Next"];

interface NextBarProps {
  next: Next | null;
  /** Whether no dock lies under it. */
  alone?: boolean;
  /** What stands in place of the words of what is next. */
  words?: ReactNode;
}

/** The one thing to do next, in one place on every screen: what it is, what it narrows, and the one filled button. */
export function NextBar({ next, alone = false, words }: NextBarProps) {
  const { view } = useJob();
  const navigate = useNavigate();
  const here = useLocation().pathname.split("/").at(-1);
  if (!next)
    return words ? (
      <Bar data-next-bar data-alone={alone || undefined}>
        {words}
      </Bar>
    ) : null;
  const path = next.path ?? null;
  const to = path ? stationOf(path) : next.station;
  const go = () => {
    if (path && focusField(path)) return;
    void navigate(`/jobs/${view.id}/${to}`, path ? { state: { field: path } } : {});
  };
  if (!path && here === next.station)
    return (
      <Bar data-next-bar data-alone={alone || undefined}>
        {words ?? <Words next={next} reasoned />}
      </Bar>
    );
  const station = STATIONS.find((one) => one.id === to);
  return (
    <Bar data-next-bar data-alone={alone || undefined}>
      {words ?? <Words next={next} reasoned={here === to || here === SHORT} />}
      <Filled type="button" data-next={path ?? to} onClick={go}>
        {words
          ? say("next-bar-go-what")
          : here === to
            ? say("next-bar-go-there")
            : say("next-bar-go", { station: station?.title ?? to })}
        <Cap ml="10px" color="inherit" borderColor="currentColor">
          {say("next-bar-enter")}
        </Cap>
      </Filled>
    </Bar>
  );
}

/** What is next; why is told where it is done, and on the page in short. */
function Words({ next, reasoned }: { next: Next; reasoned: boolean }) {
  return (
    <>
      <Box flex="1 1 240px" minWidth={0}>
        <b>{say("next-bar-next")}</b>{" "}
        <Box as="span" fontWeight={600}>
          <PhraseText phrase={next.sentence} />
        </Box>{" "}
        {reasoned && (
          <Box as="span" display={{ base: "none", md: "inline" }}>
            <PhraseText phrase={next.why} />
          </Box>
        )}
      </Box>
      {next.now && next.then && <Narrowing now={next.now} then={next.then} />}
    </>
  );
}

/** The uncertainty now and the uncertainty that the next reading would leave. */
function Narrowing({ now, then }: { now: Schemas["Figure"]; then: Schemas["Figure"] }) {
  const reach = Math.max(...[now, then].map((figure) => Math.abs(figure.value) + (figure.uncertainty ?? 0)));
  const least = Math.min(...[now, then].map((figure) => figure.value - (figure.uncertainty ?? 0)));
  return (
    <Box
      display={{ base: "none", md: "grid" }}
      gridTemplateColumns="36px 120px auto"
      gap="0 10px"
      alignItems="center"
      fontSize="small"
    >
      {(
        [
          ["now", now],
          ["then", then],
        ] as const
      ).map(([word, figure]) => (
        <Box key={word} display="contents">
          <Micro>{word}</Micro>
          <IntervalMark
            mark={{
              value: figure.value,
              low: figure.value - (figure.uncertainty ?? 0),
              high: figure.value + (figure.uncertainty ?? 0),
            }}
            domain={[least, reach]}
            label={say("next-bar-uncertainty", { word })}
            height={18}
          />
          <FigureText figure={figure} />
        </Box>
      ))}
    </Box>
  );
}

const Bar = chakra("div", {
  base: {
    position: "sticky",
    bottom: { base: "51px", md: "76px", lg: 0 },
    "&[data-alone]": { bottom: 0 },
    zIndex: 3,
    display: "flex",
    flexWrap: "wrap",
    alignItems: "center",
    gap: "6px 20px",
    background: "paper",
    borderTop: "2px solid",
    borderColor: "ink",
    py: "8px",
    mt: "auto",
    "@media print": { display: "none" },
    "@media (max-height: 420px)": { position: "static" },
  },
});

/** The only filled button there is. */
const Filled = chakra("button", {
  base: {
    minHeight: "48px",
    px: "18px",
    background: "ink",
    color: "paper",
    fontWeight: 600,
    flex: { base: "1 1 100%", md: "0 0 auto" },
    textAlign: "center",
    _hover: { opacity: 0.88 },
    _focusVisible: { outlineOffset: "3px" },
  },
});
