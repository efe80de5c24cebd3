import { fireEvent, screen } from "@testing-library/react";
import { useState } from "react";
import { expect, it } from "vitest";
import { shown } from "../test/views";
import { SizeField } from "./SizeField";

function Held() {
  const [size, setSize] = useState("A2");
  // "five" is refused: the size at hand stays.
  return (
    <>
      <button type="button" onClick={() => setSize("A2")}>
        back
      </button>
      <SizeField label="Size" formats={[{ name: "A2" }]} at={size} onTaken={(typed) => typed !== "five" && setSize(typed)} />
    </>
  );
}

it("keeps what was refused, to be mended, and is empty again once a size is taken", () => {
  shown(<Held />);
  const field = screen.getByRole("combobox", { name: "Size" }) as HTMLInputElement;
  fireEvent.change(field, { target: { value: "five" } });
  fireEvent.submit(field);
  expect(field.value).toBe("five");
  fireEvent.change(field, { target: { value: "5 x 7" } });
  fireEvent.submit(field);
  expect(field.value).toBe("");

  // Back at the size where something was typed, it is not there again.
  fireEvent.click(screen.getByRole("button", { name: "back" }));
  expect(field.value).toBe("");
});

it("keeps what is being typed while the page comes to its size", () => {
  const view = (at: string) => <SizeField label="Size" formats={[]} at={at} onTaken={() => {}} />;
  const { rerender } = shown(view(""));
  const field = screen.getByRole("combobox", { name: "Size" }) as HTMLInputElement;
  fireEvent.change(field, { target: { value: "5" } });
  rerender(view("a2-us"));
  expect((screen.getByRole("combobox", { name: "Size" }) as HTMLInputElement).value).toBe("5");
});

it("shows the size at hand where it stands for it, and can be emptied", () => {
  const taken: string[] = [];
  shown(<SizeField label="See it in" formats={[]} at="5 x 7" shows="5 x 7" onTaken={(size) => taken.push(size)} />);
  const field = screen.getByRole("combobox", { name: "See it in" }) as HTMLInputElement;
  expect(field.value).toBe("5 x 7");
  fireEvent.change(field, { target: { value: "" } });
  fireEvent.submit(field);
  expect(taken).toEqual([""]);
});
