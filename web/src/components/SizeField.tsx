import { TextInput, type TextInputProps } from "@mantine/core";
import { useId, useState } from "react";

/**
 * A finished size: by a format's name however it is typed, or as two figures. The formats are listed; anything else can be typed.
 * What was typed stands until it is taken and another size is `at` hand: one that was refused can be mended.
 */
export function SizeField({
  formats,
  at,
  shows = "",
  onTaken,
  ...input
}: {
  formats: { name: string; detail?: string }[];
  at: string;
  shows?: string;
  onTaken: (size: string) => void;
} & Omit<TextInputProps, "value" | "onChange" | "list">) {
  const [typed, setTyped] = useState({ text: shows, at, open: false });
  // What is being typed is nobody's to take away: a page that is still loading comes to its size after the first key.
  const now = typed.at === at ? typed : { text: typed.open ? typed.text : shows, at, open: typed.open };
  if (typed.at !== at) {
    setTyped(now);
  }
  const text = now.text;
  const list = useId();
  const take = (size: string) => {
    setTyped({ text: size, at, open: false });
    onTaken(size.trim());
  };
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        if (text.trim() || shows) {
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
          const value = e.currentTarget.value;
          // One chosen from the list comes whole; what is typed key by key waits for Enter.
          const chosen = (e.nativeEvent as InputEvent).inputType === "insertReplacementText" || !("inputType" in e.nativeEvent);
          if (chosen && formats.some((f) => f.name === value)) {
            take(value);
          } else {
            setTyped({ text: value, at, open: true });
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
