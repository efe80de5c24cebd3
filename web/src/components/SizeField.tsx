import { TextInput, type TextInputProps } from "@mantine/core";
import { useId, useState } from "react";

/** A finished size: by a format's name however it is typed, or as two figures. The formats are listed; anything else can be typed. */
export function SizeField({
  formats,
  onTaken,
  ...input
}: {
  formats: { name: string; detail?: string }[];
  onTaken: (size: string) => void;
} & Omit<TextInputProps, "value" | "onChange" | "list">) {
  const [text, setText] = useState("");
  const list = useId();
  const take = (size: string) => {
    onTaken(size.trim());
    setText("");
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim()) {
          take(text);
        }
      }}
    >
      <TextInput
        {...input}
        value={text}
        list={list}
        autoComplete="off"
        onChange={(e) => {
          const typed = e.currentTarget.value;
          // One chosen from the list comes whole; what is typed key by key waits for Enter.
          const chosen = (e.nativeEvent as InputEvent).inputType === "insertReplacementText" || !("inputType" in e.nativeEvent);
          if (chosen && formats.some((f) => f.name === typed)) {
            take(typed);
          } else {
            setText(typed);
          }
        }}
      />
      <datalist id={list}>
        {formats.map((f) => (
          <option key={f.name} value={f.name} label={f.detail} />
        ))}
      </datalist>
    </form>
  );
}
