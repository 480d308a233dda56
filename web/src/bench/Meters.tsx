import { Meter as MeterWords } from "../generated/labels";
import { Box, type BoxProps, chakra } from "@chakra-ui/react";
import { type KeyboardEvent, memo, useEffect, useRef } from "react";

import type { Schemas } from "../shared/api";
import { unitOf } from "../shared/figures";
import { Micro, Small } from "../shared/parts";
import { useUnits } from "../shared/units";
import type { BenchDesk, BenchState } from "./desk";
import { MoveMark } from "./MoveMark";
import { TRACE_S } from "./traces";
import { HOW, LIVE, type Meter, meterText, type Moves } from "./words";
import { capital } from "../shared/casing";
import { say } from "../shared/say";

type MeterView = Schemas["MeterView"];
type Answer = Schemas["Answer"];

interface MetersProps {
  desk: BenchDesk;
  said: BenchState["said"];
  explained: BenchState["explained"];
  /** What the meters go to, for those that only a turn changes. */
  goesTo: Partial<Record<Meter, number>> | undefined;
  meters: readonly MeterView[];
  /** Whether what each will do is asked; without it they stand in two columns. */
  asks: boolean;
}

/** The meters: large, each with its last minute; beside it what it is expected to do, and then what it did and why. */
export const Meters = memo(function Meters({ desk, said, explained, goesTo, meters, asks }: MetersProps) {
  const settledOf = (meter: Meter) => (LIVE.includes(meter) ? undefined : goesTo?.[meter]);
  const answers = new Map(explained?.answers.map((one) => [one.meter, one]));
  if (!asks && !explained)
    return (
      <Box
        as="section"
        aria-label={say("meters-meters")}
        display="grid"
        gridTemplateColumns={{ base: "1fr", lg: "1fr 1fr" }}
        gap="0 20px"
      >
        {meters.map((view) => (
          <Row key={view.meter} narrow>
            <Reading desk={desk} view={view} settled={settledOf(view.meter)} />
          </Row>
        ))}
      </Box>
    );
  return (
    <Box as="section" aria-label={say("meters-meters")}>
      <Head asks={asks && !explained} said={Object.keys(said).length} of={meters.length} />
      {meters.map((view) => {
        const answer = answers.get(view.meter);
        return (
          <Row key={view.meter}>
            <Reading desk={desk} view={view} settled={settledOf(view.meter)} />
            {answer ? <Told answer={answer} /> : <Predict desk={desk} view={view} said={said[view.meter]} />}
          </Row>
        );
      })}
    </Box>
  );
});

function Head({ asks, said, of }: { asks: boolean; said: number; of: number }) {
  return (
    <Box
      display={{ base: "none", md: "grid" }}
      gridTemplateColumns="minmax(0, 390px) minmax(0, 1fr)"
      borderBottom="1px solid"
      borderColor="rule"
      pt="4px"
      pb="3px"
    >
      <Micro>{say("meters-simulated-meters")}</Micro>
      <Micro>{asks ? say("meters-what-i", { said, of }) : say("meters-what-did")}</Micro>
    </Box>
  );
}

function Row({ narrow = false, children }: { narrow?: boolean; children: React.ReactNode }) {
  return (
    <Box
      display="grid"
      gridTemplateColumns={narrow ? "minmax(0, 1fr)" : { base: "1fr", md: "minmax(0, 390px) minmax(0, 1fr)" }}
      alignItems="center"
      minHeight={narrow ? "54px" : "60px"}
      borderBottom="1px solid"
      borderColor="hair"
    >
      {children}
    </Box>
  );
}

/** A meter's name, its large figure, and its trace. What only a turn changes shows what was worked out of it. */
const Reading = memo(function Reading({
  desk,
  view,
  settled,
}: {
  desk: BenchDesk;
  view: MeterView;
  settled: number | undefined;
}) {
  const { meter } = view;
  return (
    <Box
      display="grid"
      gridTemplateColumns={{ base: "92px minmax(0, 1fr) 96px", md: "96px minmax(0, 1fr) 118px" }}
      gap="8px"
      alignItems="center"
      minWidth={0}
    >
      <Box minWidth={0}>
        <Box fontWeight={600} fontSize="small" lineHeight={1.2}>
          {capital(MeterWords[meter])}
        </Box>
        <Micro>{HOW[meter]}</Micro>
      </Box>
      <Box textAlign="right" whiteSpace="nowrap" data-meter={meter}>
        <Shown desk={desk} view={view} settled={settled} fontSize={{ base: "27px", lg: "33px" }} />
      </Box>
      {LIVE.includes(meter) ? <TraceCanvas desk={desk} view={view} /> : <Micro>{say("meters-worked-out")}</Micro>}
    </Box>
  );
});

const PINNED: readonly Meter[] = ["speed", "amps", "flow"];

/** On a phone three readouts stay at the top, so that a knob further down is seen to move them. */
export function PinnedMeters({ desk, meters }: { desk: BenchDesk; meters: readonly MeterView[] }) {
  return (
    <Box
      display={{ base: "grid", md: "none" }}
      gridTemplateColumns="repeat(3, 1fr)"
      position="sticky"
      top="46px"
      zIndex={3}
      background="paper"
      borderBottom="1px solid"
      borderColor="rule"
      py="4px"
      aria-hidden
    >
      {meters
        .filter(({ meter }) => PINNED.includes(meter))
        .map((view) => (
          <Box key={view.meter}>
            <Micro display="block">{MeterWords[view.meter]}</Micro>
            <Shown desk={desk} view={view} settled={undefined} fontSize="figure" />
          </Box>
        ))}
    </Box>
  );
}

interface ShownProps extends BoxProps {
  desk: BenchDesk;
  view: MeterView;
  settled: number | undefined;
}

/** A meter's figure with its unit, written by the frames themselves: the page is not drawn anew for it. */
function Shown({ desk, view, settled, ...look }: ShownProps) {
  const { units } = useUnits();
  const { meter, quantity } = view;
  const figure = useRef<HTMLSpanElement>(null);
  const isLive = LIVE.includes(meter);
  useEffect(() => {
    const write = (value: number | undefined) => {
      const text = value === undefined ? "–" : meterText(quantity, value, units);
      if (figure.current && figure.current.textContent !== text) figure.current.textContent = text;
    };
    if (!isLive) {
      write(settled);
      return undefined;
    }
    write(desk.frame?.values[meter]);
    return desk.watch(({ values }) => write(values[meter]));
  }, [desk, meter, quantity, units, isLive, settled]);
  return (
    <>
      <Box as="span" fontWeight={600} lineHeight={1.1} ref={figure} data-shows {...look} />{" "}
      <Small>{unitOf(quantity, units)}</Small>
    </>
  );
}

const TALL = 42;
const PAD = 5;
/** Moves smaller than this share of the value are drawn flat: a reading that hardly moves must not fill its picture. */
const LEAST_SPAN = 0.03;

/** The last minute of a meter; a dotted line stands where something was turned, the value before it is written at its side. */
function TraceCanvas({ desk, view }: { desk: BenchDesk; view: MeterView }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { units } = useUnits();
  useEffect(() => {
    const draw = () => {
      const at = canvas.current;
      if (at) drawTrace(at, desk, view, (value) => meterText(view.quantity, value, units));
    };
    draw();
    let frames = 0;
    return desk.watch(() => {
      frames += 1;
      if (frames % 3 === 0) draw();
    });
  }, [desk, view, units]);
  return <Canvas ref={canvas} aria-hidden />;
}

const Canvas = chakra("canvas", { base: { width: "100%", height: `${TALL}px`, display: "block" } });

function drawTrace(canvas: HTMLCanvasElement, desk: BenchDesk, view: MeterView, text: (value: number) => string) {
  const ratio = window.devicePixelRatio || 1;
  const wide = canvas.clientWidth;
  if (canvas.width !== Math.round(wide * ratio)) {
    canvas.width = Math.round(wide * ratio);
    canvas.height = TALL * ratio;
  }
  const pen = canvas.getContext("2d");
  if (!pen) return;
  const look = getComputedStyle(canvas);
  const colour = (name: string) => look.getPropertyValue(`--chakra-colors-${name}`).trim() || "#000";
  pen.setTransform(ratio, 0, 0, ratio, 0, 0);
  pen.clearRect(0, 0, wide, TALL);
  const { values, times, turnedAt, before } = desk.traces.trace(view.meter);
  const now = times[times.length - 1];
  if (now === undefined) return;
  const [low, high] = spanOf(values);
  const x = (time: number) => wide - ((now - time) / (TRACE_S * 1000)) * wide;
  const y = (value: number) => TALL - PAD - ((value - low) / (high - low)) * (TALL - 2 * PAD);
  pen.lineWidth = 1.6;
  pen.strokeStyle = colour("copper");
  pen.beginPath();
  values.forEach((value, index) => {
    const [left, top] = [x(times[index] ?? now), y(value)];
    if (index === 0) pen.moveTo(left, top);
    else pen.lineTo(left, top);
  });
  pen.stroke();
  if (turnedAt === null || now - turnedAt > TRACE_S * 1000) return;
  const at = x(turnedAt);
  pen.lineWidth = 1;
  pen.strokeStyle = colour("ink2");
  pen.setLineDash([1, 3]);
  pen.beginPath();
  pen.moveTo(at, 2);
  pen.lineTo(at, TALL - 2);
  pen.stroke();
  pen.setLineDash([]);
  if (before === null || at < 40) return;
  pen.fillStyle = colour("ink2");
  pen.font = `12px ${look.fontFamily}`;
  pen.textAlign = "right";
  pen.fillText(text(before), at - 4, y(before) > TALL / 2 ? y(before) - 5 : y(before) + 13);
}

function spanOf(values: readonly number[]): [number, number] {
  const [low, high] = [Math.min(...values), Math.max(...values)];
  const least = Math.max(LEAST_SPAN * Math.max(Math.abs(low), Math.abs(high)), 1e-9);
  const spare = Math.max(0, least - (high - low)) / 2;
  return [low - spare, high + spare];
}

const MOVES: readonly { moves: Moves; key: string }[] = [
  { moves: -1, key: "f" },
  { moves: 0, key: "s" },
  { moves: 1, key: "r" },
];
const WORD = { [-1]: say("meters-falls"), 0: say("meters-stays"), 1: say("meters-rises") } as const;

/** Falls, stays or rises: said before the change, with a press or with F, S and R. */
const Predict = memo(function Predict({
  desk,
  view,
  said,
}: {
  desk: BenchDesk;
  view: MeterView;
  said: Moves | undefined;
}) {
  const group = useRef<HTMLDivElement>(null);
  const onKey = (event: KeyboardEvent) => {
    const found = MOVES.find(({ key }) => key === event.key.toLowerCase());
    if (!found || event.ctrlKey || event.altKey || event.metaKey) return;
    event.preventDefault();
    desk.say(view.meter, found.moves);
    group.current?.parentElement?.nextElementSibling?.querySelector<HTMLElement>("[role=radio]")?.focus();
  };
  return (
    <Box
      ref={group}
      role="radiogroup"
      aria-label={say("meters-what-i-expect", { MeterWords: MeterWords[view.meter] })}
      display="grid"
      gridTemplateColumns="1fr 1fr 1fr"
      onKeyDown={onKey}
      height="100%"
    >
      {MOVES.map(({ moves }) => (
        <Guess
          key={moves}
          type="button"
          role="radio"
          aria-checked={said === moves}
          chosen={said === moves ? "yes" : undefined}
          onClick={() => desk.say(view.meter, moves)}
        >
          <MoveMark moves={moves} strong={said === moves} /> {WORD[moves]}
        </Guess>
      ))}
    </Box>
  );
});

const Guess = chakra("button", {
  base: {
    minHeight: "52px",
    display: "flex",
    gap: "6px",
    alignItems: "center",
    justifyContent: "center",
    borderLeft: "1px solid",
    borderColor: "hair",
    fontSize: "small",
    color: "ink2",
    _hover: { background: "desk" },
    _focusVisible: { outlineOffset: "-3px" },
  },
  variants: { chosen: { yes: { background: "hair", color: "ink", fontWeight: 600 } } },
});

/** What a meter did and why; right or not, where something was said of it. */
function Told({ answer }: { answer: Answer }) {
  const { units } = useUnits();
  const [was, now] = [answer.before, answer.after].map((value) => meterText(answer.quantity, value, units));
  return (
    <Box fontSize="small" lineHeight={1.3} py="6px" pl={{ md: "12px" }} data-told={answer.meter}>
      <MoveMark moves={answer.moves} strong />{" "}
      <b>
        {WORD[answer.moves]}
        {answer.moves !== 0 && say("meters-to", { was, now })}
      </b>
      {answer.right !== null && (
        <Box
          as="span"
          color={answer.right ? "ink2" : "ochre"}
          fontWeight={answer.right ? 400 : 600}
          data-right={answer.right}
        >
          {answer.right ? say("meters-you-said") : say("meters-you-said-2", { WORD: WORD[answer.said ?? 0] })}
        </Box>
      )}
      <Box color="ink2">{capital(answer.words)}.</Box>
    </Box>
  );
}
