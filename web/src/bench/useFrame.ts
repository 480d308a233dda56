import { useEffect, useState } from "react";

import type { BenchDesk, Frame } from "./desk";

const DIGITS = 4;

/** The newest frame, so many times a second and only where it would be drawn otherwise: pictures need fewer than the meters. */
export function useFrame(desk: BenchDesk, timesASecond: number): Frame | null {
  const [frame, setFrame] = useState(desk.frame);
  useEffect(() => {
    let [last, drawn] = [-Infinity, ""];
    return desk.watch((next) => {
      const now = performance.now();
      if (now - last < 1000 / timesASecond) return;
      const look = Object.values(next.values)
        .map((value) => value.toPrecision(DIGITS))
        .join();
      if (look === drawn) return;
      [last, drawn] = [now, look];
      setFrame(next);
    });
  }, [desk, timesASecond]);
  return frame;
}
