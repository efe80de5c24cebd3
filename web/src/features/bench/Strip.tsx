import { useEffect, useRef } from "react";
import type { Schemas } from "../../api/client";
import { Sentence, sentenceText } from "../../components/Fig";
import { SizeField } from "../../components/SizeField";
import s from "./Strip.module.css";

type Format = Schemas["StripFormat"];

const SILHOUETTE = 34;

const focus = (field: HTMLInputElement | null) => field?.focus();

/** What becomes of a design in one word; the whole sentence stands at the foot once it is picked. */
const words: Record<string, string> = { asDrawn: "fits", eased: "eased", largerSheet: "larger sheet", stuck: "does not fit" };

/** Every format to one scale, with what becomes of the design in it. One click, or its key, makes it the target. */
export function Strip({
  formats,
  onPick,
  onTyped,
  first,
}: {
  formats: Format[];
  onPick: (format: Format) => void;
  onTyped: (format: string) => void;
  /** Of a design just begun its size is what comes first. */
  first?: boolean;
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
    <nav className={s.strip} aria-label="Formats">
      <div className={s.other}>
        <SizeField
          label="Any other size"
          placeholder="A2, 5 x 7, 150 mm square"
          size="xs"
          formats={formats.map((f) => ({ name: f.name, detail: sentenceText(f.size) }))}
          at={target ?? ""}
          onTaken={onTyped}
          ref={first ? focus : undefined}
        />
      </div>
      <ul ref={list}>
        {formats.map((format, i) => (
          <li key={format.key}>
            <button
              type="button"
              className={`${s.format} ${s[format.verdict] ?? ""}`}
              data-part="format"
              data-focus="inside"
              aria-pressed={format.target}
              aria-keyshortcuts={i < 9 ? String(i + 1) : undefined}
              onClick={() => onPick(format)}
              title={`${format.name}, ${sentenceText(format.size)}${format.envelope ? ` · ${format.envelope}` : ""} · ${sentenceText(format.verdictText)}`}
            >
              <span className={s.silhouette}>
                <span
                  className={s.paper}
                  style={{ width: Math.round(format.width * scale), height: Math.round(format.height * scale) }}
                >
                  {i < 9 ? (
                    <span className={s.key} aria-hidden="true">
                      {i + 1}
                    </span>
                  ) : null}
                </span>
              </span>
              <span className={s.name} data-part="format-name">
                {format.name}
              </span>
              <span className={s.size}>
                <Sentence parts={format.size} />
              </span>
              <span className={s.verdict} data-part="format-word">
                {format.home ? <em>from here</em> : words[format.verdict]}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </nav>
  );
}
