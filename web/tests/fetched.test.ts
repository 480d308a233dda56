import { act, cleanup, renderHook } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import { useFetched } from "../src/app/useFetched";

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  cleanup();
  vi.useRealTimers();
});

const settle = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

it("takes nothing away where the server does not answer, and is there when it is back", async () => {
  const load = vi.fn<() => Promise<string>>().mockRejectedValue(new TypeError("away"));
  const { result } = renderHook(() => useFetched(load));
  expect(result.current).toMatchObject({ part: null, failed: false });
  await settle(0);
  expect(result.current).toMatchObject({ part: null, failed: true });
  load.mockResolvedValue("chart");
  await settle(3100);
  expect(result.current).toMatchObject({ part: "chart", failed: false });
  await settle(60_000);
  expect(load).toHaveBeenCalledTimes(2);
});

it("shows another part's own, never the one before", async () => {
  const [one, other] = [vi.fn(async () => "one"), vi.fn(async () => "other")];
  const { result, rerender } = renderHook(({ load }) => useFetched(load), { initialProps: { load: one } });
  await settle(0);
  expect(result.current.part).toBe("one");
  rerender({ load: other });
  expect(result.current.part).toBeNull();
  await settle(0);
  expect(result.current.part).toBe("other");
});
