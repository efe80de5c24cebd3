import { screen } from "@testing-library/react";
import { expect, it } from "vitest";
import { shown } from "../test/views";
import { Waiting } from "./Waiting";

it("is told to who does not see it turn", () => {
  shown(<Waiting for="Laying it out" />);
  expect(screen.getByRole("status", { name: "Laying it out" })).toBeTruthy();
});
