import { useRef, useState } from "react";
import s from "./Name.module.css";

/** The design's name: pressed, it can be typed over. Enter takes the new one, Escape leaves it. */
export function Name({ name, onName }: { name: string; onName: (name: string) => void }) {
  const [typing, setTyping] = useState(false);
  // A field that is taken away while it has the focus is left once more: what was settled by a key is not done again.
  const settled = useRef(false);
  if (!typing) {
    return (
      <button
        type="button"
        className={s.name}
        title={`Rename ${name}`}
        onClick={() => {
          settled.current = false;
          setTyping(true);
        }}
      >
        {name}
      </button>
    );
  }
  const done = (typed: string) => {
    if (settled.current) {
      return;
    }
    settled.current = true;
    setTyping(false);
    if (typed.trim() && typed.trim() !== name) {
      onName(typed.trim());
    }
  };
  return (
    <input
      className={s.typed}
      aria-label="Name of the design"
      defaultValue={name}
      maxLength={80}
      // biome-ignore lint/a11y/noAutofocus: it stands where the name was pressed
      autoFocus
      onFocus={(e) => e.currentTarget.select()}
      onBlur={(e) => done(e.currentTarget.value)}
      onKeyDown={(e) => {
        if (e.key === "Enter") {
          done(e.currentTarget.value);
        } else if (e.key === "Escape") {
          e.stopPropagation();
          done(name);
        }
      }}
    />
  );
}
