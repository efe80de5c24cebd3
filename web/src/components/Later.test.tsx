import { fireEvent, screen } from "@testing-library/react";
import { lazy } from "react";
import { describe, expect, it, vi } from "vitest";
import { shown } from "../test/views";
import { Later } from "./Later";
import { Pop } from "./Pop";

describe("what a button opens", () => {
  it("is fetched once the button is pressed, stands open then, and closes and opens again by the same button", async () => {
    const fetched = vi.fn();
    const Sheet = lazy(async () => {
      fetched();
      return { default: Pop };
    });
    shown(
      <Later button={<button type="button">Card</button>}>
        {(button) => <Sheet button={button}>{(close) => <input aria-label="thickness" onBlur={close} />}</Sheet>}
      </Later>,
    );
    const button = () => screen.getByRole("button", { name: "Card" });
    expect(fetched).not.toHaveBeenCalled();
    expect(button().getAttribute("aria-expanded")).toBe("false");
    fireEvent.click(button());
    expect(await screen.findByLabelText("thickness")).toBeTruthy();
    expect(fetched).toHaveBeenCalledTimes(1);
    expect(button().getAttribute("aria-expanded")).toBe("true");
    fireEvent.click(button());
    expect(button().getAttribute("aria-expanded")).toBe("false");
  });
});
