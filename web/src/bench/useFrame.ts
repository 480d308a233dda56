import { useEffect, useState } from "react";

import type { BenchDesk, Frame } from "./desk";

/** The newest frame, so many times a second: pictures need fewer than the meters. */
export function useFrame(desk: BenchDesk, timesASecond: number): Frame | null {
  const [frame, setFrame] = useState(desk.frame);
  useEffect(() => {
    let last = -Infinity;
    return desk.watch((next) => {
      const now = performance.now();
      if (now - last < 1000 / timesASecond) return;
      last = now;
      setFrame(next);
    });
  }, [desk, timesASecond]);
  return frame;
}
