import { ChakraProvider } from "@chakra-ui/react";
import { act, cleanup, render, screen } from "@testing-library/react";
import { afterEach, beforeEach, expect, it, vi } from "vitest";

import { system } from "../src/app/theme";

const answer = (edition: string | null) =>
  new Response("[]", { headers: edition === null ? {} : { "x-edition": edition } });

/** The page as it is when it was just opened, at a server that answers as it is told. */
async function opened() {
  const fetched = vi.fn<(request: Request) => Promise<Response>>();
  vi.stubGlobal("fetch", fetched);
  const { api } = await import("../src/shared/api");
  const { sendAct } = await import("../src/shared/outbox");
  const { Renewed } = await import("../src/app/Renewed");
  render(
    <ChakraProvider value={system}>
      <Renewed />
    </ChakraProvider>,
  );
  return { fetched, look: () => act(async () => void (await api.GET("/api/board"))), sendAct };
}

beforeEach(() => vi.resetModules());
afterEach(cleanup);

it("a page is told that it is of an earlier program as soon as an answer comes from another", async () => {
  const { fetched, look } = await opened();
  for (const edition of ["one", "one", null, "", "one"]) {
    fetched.mockResolvedValueOnce(answer(edition));
    await look();
    expect(screen.queryByRole("alert")).toBeNull();
  }
  fetched.mockResolvedValueOnce(answer("two"));
  await look();
  expect(screen.getByRole("alert").querySelector("button")).not.toBeNull();
  // It stays said, though the first should come back.
  fetched.mockResolvedValueOnce(answer("one"));
  await look();
  expect(screen.getByRole("alert")).toBeTruthy();
});

it("the answer to what is saved counts as well", async () => {
  const { fetched, look, sendAct } = await opened();
  fetched.mockResolvedValueOnce(answer("one"));
  await look();
  fetched.mockResolvedValueOnce(answer("two"));
  const act1 = { id: "a", job: 1, path: "/api/jobs/1/changes", method: "POST", revision: "body", body: {} };
  await act(async () => void (await sendAct(act1 as never, "1.1")));
  expect(screen.getByRole("alert")).toBeTruthy();
});
