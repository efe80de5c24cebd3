import { QueryClient, QueryClientProvider, useQuery } from "@tanstack/react-query";
import { renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import { expect, it } from "vitest";
import { desk } from "../test/views";
import { queries } from "./queries";

it("keeps what did not change from one tick to the next as the same object, so that it is not drawn again", () => {
  const client = new QueryClient();
  const view = (lid: number) => ({
    pieces: [
      { id: "base", width: { units: 5 } },
      { id: "lid", width: { units: lid } },
    ],
  });
  const moved = { ...desk, edits: [{ edit: "set" as const, parameter: "depth", value: "1 in" }] };
  client.setQueryData(queries.bench(desk, null).queryKey, view(1) as never);
  client.setQueryData(queries.bench(moved, null).queryKey, view(2) as never);
  const wrapper = ({ children }: { children: ReactNode }) => (
    <QueryClientProvider client={client}>{children}</QueryClientProvider>
  );
  const { result, rerender } = renderHook(({ at }) => useQuery(queries.bench(at, null)).data, {
    wrapper,
    initialProps: { at: desk },
  });
  const before = result.current;
  rerender({ at: moved });
  expect(result.current?.pieces[1]).not.toBe(before?.pieces[1]);
  expect(result.current?.pieces[0]).toBe(before?.pieces[0]);
});
