import { Button, Popover, TextInput } from "@mantine/core";
import { useEffect, useRef, useState } from "react";
import type { Schemas } from "../../api/client";
import { Sentence } from "../../components/Fig";

type Format = Schemas["StripFormat"];

const SILHOUETTE = 46;

/** Every format to one scale, with what becomes of the design in it. One click, or its key, makes it the target. */
export function Strip({
  formats,
  onPick,
  onTyped,
}: {
  formats: Format[];
  onPick: (format: Format) => void;
  onTyped: (format: string) => void;
}) {
  const tallest = Math.max(...formats.map((f) => Math.max(f.height, f.width * 0.8)), 1);
  const scale = SILHOUETTE / tallest;
  const list = useRef<HTMLUListElement>(null);
  const target = formats.find((f) => f.target)?.key;
  // biome-ignore lint/correctness/useExhaustiveDependencies: runs when the target changes, to bring it into sight
  useEffect(() => {
    list.current?.querySelector('[aria-pressed="true"]')?.scrollIntoView?.({ inline: "nearest", block: "nearest" });
  }, [target]);
  return (
    <nav className="strip" aria-label="Formats">
      <ul ref={list}>
        {formats.map((format, i) => (
          <li key={format.key}>
            <button
              type="button"
              className={`format ${format.verdict}`}
              aria-pressed={format.target}
              aria-keyshortcuts={i < 9 ? String(i + 1) : undefined}
              onClick={() => onPick(format)}
              title={`${format.name}, ${format.size}${format.envelope ? ` · ${format.envelope}` : ""} · ${format.verdictText}`}
            >
              <span className="silhouette">
                <span
                  className="paper"
                  style={{ width: Math.round(format.width * scale), height: Math.round(format.height * scale) }}
                >
                  {i < 9 ? (
                    <span className="key" aria-hidden="true">
                      {i + 1}
                    </span>
                  ) : null}
                </span>
              </span>
              <span className="format-name">{format.name}</span>
              <span className="format-size">
                <Sentence text={format.size} />
              </span>
              <span className="verdict">
                {format.home ? <em>from here · </em> : null}
                <Sentence text={format.verdictText} />
              </span>
            </button>
          </li>
        ))}
        <li>
          <OtherSize onTyped={onTyped} />
        </li>
      </ul>
    </nav>
  );
}

function OtherSize({ onTyped }: { onTyped: (format: string) => void }) {
  const [open, setOpen] = useState(false);
  const [text, setText] = useState("");
  return (
    <Popover opened={open} onChange={setOpen} position="bottom-end" trapFocus withArrow>
      <Popover.Target>
        <button type="button" className="format other" aria-haspopup="dialog" aria-expanded={open} onClick={() => setOpen(!open)}>
          <span className="silhouette">
            <span className="paper plus">+</span>
          </span>
          <span className="format-name">Other size</span>
          <span className="format-size">type it</span>
        </button>
      </Popover.Target>
      <Popover.Dropdown>
        <form
          onSubmit={(event) => {
            event.preventDefault();
            onTyped(text.trim());
            setOpen(false);
          }}
        >
          <TextInput
            label="Finished size, with its unit"
            description="Such as 5x5in, 5 1/2 x 4in or 150x150mm; 2 to 12 in a side"
            value={text}
            onChange={(e) => setText(e.currentTarget.value)}
            data-autofocus
          />
          <Button type="submit" mt="sm" fullWidth>
            Try this size
          </Button>
        </form>
      </Popover.Dropdown>
    </Popover>
  );
}
