import { fireEvent, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import { shown } from "../test/views";
import { Drawn } from "./Drawn";

let broken = true;
function Picture() {
  if (broken) {
    throw new Error("no such shape");
  }
  return <p>a picture</p>;
}

it("fails by itself: what stands beside it stays, and it can be tried again", () => {
  const quiet = vi.spyOn(console, "error").mockImplementation(() => {});
  shown(
    <>
      <Drawn of={1}>
        <Picture />
      </Drawn>
      <p>the ledger</p>
    </>,
  );
  expect(screen.getByText("the ledger")).toBeTruthy();
  expect(screen.getByRole("alert").textContent).toContain("could not be made");
  broken = false;
  fireEvent.click(screen.getByRole("button", { name: "Try again" }));
  expect(screen.getByText("a picture")).toBeTruthy();
  quiet.mockRestore();
});
