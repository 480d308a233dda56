import { ChakraProvider } from "@chakra-ui/react";
import { act, cleanup, fireEvent, render, screen, within } from "@testing-library/react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";

vi.hoisted(() => {
  globalThis.fetch = vi.fn();
  // What this document model lacks: the drawing of canvases, and queries of the screen.
  HTMLCanvasElement.prototype.getContext = () => null;
  window.matchMedia = (media) =>
    ({
      matches: true,
      media,
      addEventListener: () => undefined,
      removeEventListener: () => undefined,
    }) as unknown as MediaQueryList;
});

import { system } from "../src/app/theme";
import { BenchDesk, useBench } from "../src/bench/desk";
import { Knobs } from "../src/bench/Knobs";
import { Meters } from "../src/bench/Meters";
import { RigDrawing } from "../src/bench/RigDrawing";
import { UnitsProvider } from "../src/shared/units";
import { BUILT, frame, KNOBS, PlayedSocket, RIG } from "./bench";

let wire: PlayedSocket;
let desk: BenchDesk;

beforeEach(() => {
  localStorage.clear();
  wire = new PlayedSocket();
  desk = new BenchDesk(BUILT, () => wire as unknown as WebSocket);
  desk.join();
  wire.open();
  wire.stands();
});

afterEach(cleanup);

function Bench({ asks }: { asks: boolean }) {
  const state = useBench(desk);
  return (
    <>
      <RigDrawing desk={desk} rig={RIG} applied={state.applied} wanted={state.wanted} />
      <Knobs desk={desk} knobs={KNOBS} wanted={state.wanted} applied={state.applied} />
      <Meters
        desk={desk}
        said={state.said}
        explained={state.explained}
        goesTo={state.outlook?.values}
        meters={RIG.meters}
        asks={asks}
      />
    </>
  );
}

function show(asks: boolean) {
  return render(
    <ChakraProvider value={system}>
      <UnitsProvider units="si" currency={null}>
        <Bench asks={asks} />
      </UnitsProvider>
    </ChakraProvider>,
  );
}

const figureOf = (meter: string) => document.querySelector(`[data-meter="${meter}"] [data-shows]`)?.textContent;

describe("the meters", () => {
  it("show every frame as it comes", () => {
    show(false);
    act(() => wire.sends(frame(0, { speed: 1090.4, watts: 547.52, flow: 0.6188 })));
    expect([figureOf("speed"), figureOf("watts"), figureOf("flow")]).toEqual(["1,090", "547.5", "619"]);
    act(() => wire.sends(frame(0, { speed: 1131, watts: 406, flow: 0.378 })));
    expect([figureOf("speed"), figureOf("watts"), figureOf("flow")]).toEqual(["1,131", "406.0", "378"]);
  });

  it("are predicted with a press, or with F, S and R from one to the next", () => {
    show(true);
    const [speed, watts] = [/of speed/, /of watts/].map((name) => screen.getByRole("radiogroup", { name }));
    if (!speed || !watts) throw new Error("no meters");
    fireEvent.click(within(speed).getByRole("radio", { name: "rises" }));
    expect(desk.snapshot().said).toEqual({ speed: 1 });
    fireEvent.keyDown(within(speed).getByRole("radio", { name: "rises" }), { key: "f" });
    expect(desk.snapshot().said).toEqual({ speed: -1 });
    expect(watts.contains(document.activeElement)).toBe(true);
    fireEvent.keyDown(document.activeElement ?? watts, { key: "s" });
    expect(desk.snapshot().said).toEqual({ speed: -1, watts: 0 });
    expect(within(watts).getByRole("radio", { name: "stays" }).getAttribute("aria-checked")).toBe("true");
    fireEvent.keyDown(speed, { key: "r", ctrlKey: true });
    expect(desk.snapshot().said.speed).toBe(-1);
  });
});

describe("the knobs", () => {
  it("move by their buttons, stop at their ends, and say what stands now", () => {
    show(false);
    expect(screen.getByRole("button", { name: "Damper: more" })).toHaveProperty("disabled", true);
    fireEvent.click(screen.getByRole("button", { name: "Damper: less" }));
    expect(desk.snapshot().wanted.open).toBe(0.95);
    expect(document.querySelector("[data-knob=open]")?.textContent).toContain("95 % now 100 %");
    fireEvent.change(screen.getByRole("slider", { name: "Damper" }), { target: { value: "0.4" } });
    expect(desk.snapshot().wanted.open).toBe(0.4);
  });

  it("stand part by part, and a part with something turned says so", () => {
    show(false);
    act(() => desk.set("volts", 0.9));
    const supply = screen.getByRole("button", { name: /^Supply/ });
    expect(supply.textContent).toContain("·");
    fireEvent.click(supply);
    expect(screen.getByRole("slider", { name: "Supply volts" }).getAttribute("aria-valuetext")).toBe("207 V");
    fireEvent.click(screen.getByRole("button", { name: /^Motor/ }));
    fireEvent.click(screen.getByRole("radio", { name: "low" }));
    expect(desk.snapshot().wanted.tap).toBe("low");
  });
});

describe("the drawing", () => {
  it("tells what is turned, and draws what waits beside what stands", () => {
    show(false);
    const picture = () => screen.getByRole("img", { name: /Capacitor blower/ });
    expect(picture().getAttribute("aria-label")).toContain("As built");
    act(() => desk.set("open", 0.5));
    expect(picture().querySelectorAll("[stroke-dasharray='3 3']")).toHaveLength(1);
    act(() => desk.setPredicts(false));
    expect(picture().getAttribute("aria-label")).toContain("Damper 50 %");
    expect(picture().querySelectorAll("[stroke-dasharray='3 3']")).toHaveLength(0);
  });
});
