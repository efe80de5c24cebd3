import { fireEvent, screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { shown } from "../../test/views";
import { Name } from "./Name";

/** The name pressed and typed over, then left by a key and by losing the focus as the field goes. */
function typed(over: string, key: string) {
  const named = vi.fn();
  shown(<Name name="Kite" onName={named} />);
  fireEvent.click(screen.getByRole("button", { name: "Kite" }));
  const field = screen.getByRole("textbox", { name: "Name of the design" });
  fireEvent.change(field, { target: { value: over } });
  fireEvent.keyDown(field, { key });
  fireEvent.blur(field);
  expect(screen.queryByRole("textbox")).toBeNull();
  return named;
}

describe("the name in the head", () => {
  it("is changed once by Enter", () => {
    const named = typed("  Moth lamp ", "Enter");
    expect(named.mock.calls).toEqual([["Moth lamp"]]);
  });

  it("stays what it was by Escape, and where nothing is typed", () => {
    expect(typed("Moth lamp", "Escape")).not.toHaveBeenCalled();
  });

  it("stays where it is only typed empty", () => {
    expect(typed("  ", "Enter")).not.toHaveBeenCalled();
  });
});
