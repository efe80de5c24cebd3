import { Button, Checkbox, NativeSelect, SegmentedControl, TextInput } from "@mantine/core";
import { useState } from "react";
import type { DesignState, Edit } from "../../api/client";
import type { Opener } from "../../components/Later";
import { Pop } from "../../components/Pop";
import { cutFrom, sheetsThere, take } from "./edits";
import type { PickItem } from "./PickMenu";
import p from "./Picks.module.css";

/** Something she has measured, given as text; nothing given takes it back. */
function Measured({
  label,
  description,
  now,
  otherwise,
  verb,
  onGive,
}: {
  label: string;
  description: string;
  now: string | null;
  otherwise: string;
  verb: string;
  onGive: (value: string | null) => void;
}) {
  const [value, setValue] = useState("");
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        onGive(value.trim() || null);
      }}
    >
      <TextInput
        label={label}
        description={description}
        placeholder={now ?? otherwise}
        value={value}
        onChange={(e) => setValue(e.currentTarget.value)}
        rightSectionWidth={62}
        rightSection={
          <Button type="submit" size="compact-xs" variant="default">
            {verb}
          </Button>
        }
      />
    </form>
  );
}

/** The card and papers of a design: which, how thick as measured, which way the grain runs, what the layers are stuck with. */
export function Papers({
  button,
  state,
  stocks,
  all,
  adhesives,
  sheets,
  accepted,
  pieces,
  onChange,
}: {
  button: Opener;
  state: DesignState;
  stocks: PickItem[];
  all: PickItem[];
  adhesives: PickItem[];
  sheets: PickItem[];
  accepted: string;
  pieces: { id: string; name: string }[];
  onChange: (edits: Edit[], gesture: string) => void;
}) {
  const options = (items: PickItem[]) => items.map((i) => ({ value: i.id, label: `${i.name}, ${i.detail}` }));
  const named = (items: PickItem[], id: string) => items.find((i) => i.id === id)?.name ?? id;
  return (
    <Pop button={button} position="bottom-end" withinPortal={false} width={340} className={p.papers}>
      {() => (
        <>
          <NativeSelect
            label="Card"
            data={options(stocks)}
            value={state.stock ?? ""}
            onChange={(e) =>
              onChange([take("stock", e.currentTarget.value), take("caliper", null)], named(all, e.currentTarget.value))
            }
          />
          <Measured
            label="Its thickness, measured"
            description={accepted}
            now={state.caliper ?? null}
            otherwise="as the stock usually is"
            verb="use it"
            onGive={(value) => onChange([take("caliper", value)], value ? `card of ${value}` : "usual caliper")}
          />
          <div className={p.choice}>
            <span id="grain-of-sheet">Grain in the sheet</span>
            <SegmentedControl
              size="xs"
              aria-labelledby="grain-of-sheet"
              data={[
                { value: "", label: "unknown" },
                { value: "long", label: "long" },
                { value: "short", label: "short" },
              ]}
              value={state.grain ?? ""}
              onChange={(value) => onChange([take("grain", value || null)], value ? `grain ${value}` : "grain unknown")}
            />
          </div>
          <fieldset className={p.sheets}>
            <legend>Sheets that are there: a piece that just misses one is eased to it</legend>
            {sheets.map((sheet) => {
              const there = state.sheets ?? [];
              const on = there.includes(sheet.id);
              return (
                <Checkbox
                  key={sheet.id}
                  size="xs"
                  label={sheet.name}
                  checked={on}
                  onChange={() => {
                    const next = on ? there.filter((id) => id !== sheet.id) : [...there, sheet.id];
                    onChange(
                      [sheetsThere(next)],
                      next.length === 0 ? "from any sheet" : `from ${next.map((id) => named(sheets, id)).join(" or ")}`,
                    );
                  }}
                />
              );
            })}
          </fieldset>
          <Measured
            label="Begun with a bought blank"
            description="its size closed, as measured, such as 125 x 175 mm"
            now={state.blank ?? null}
            otherwise="cut from a sheet"
            verb="begin"
            onGive={(value) => onChange([take("blank", value)], value ? `a blank of ${value}` : "no blank")}
          />
          {pieces.length > 1 ? (
            <details>
              <summary>One piece from another card</summary>
              {pieces.map((piece) => (
                <NativeSelect
                  key={piece.id}
                  label={piece.name}
                  data={[{ value: "", label: "as the rest" }, ...options(all)]}
                  value={state.pieceStocks?.[piece.id] ?? ""}
                  onChange={(e) => {
                    const stock = e.currentTarget.value;
                    onChange(
                      [cutFrom(piece.id, stock || null)],
                      `${piece.name} ${stock ? `of ${named(all, stock)}` : "as the rest"}`,
                    );
                  }}
                />
              ))}
            </details>
          ) : null}
          <NativeSelect
            label="Papers on it"
            data={options(all)}
            value={state.layerStock ?? ""}
            onChange={(e) =>
              onChange([take("layerStock", e.currentTarget.value)], `papers of ${named(all, e.currentTarget.value)}`)
            }
          />
          <NativeSelect
            label="Mats under them"
            data={options(all)}
            value={state.matStock ?? ""}
            onChange={(e) => onChange([take("matStock", e.currentTarget.value)], `mats of ${named(all, e.currentTarget.value)}`)}
          />
          <NativeSelect
            label="Bonded with"
            data={options(adhesives)}
            value={state.adhesive ?? ""}
            onChange={(e) => onChange([take("adhesive", e.currentTarget.value)], named(adhesives, e.currentTarget.value))}
          />
        </>
      )}
    </Pop>
  );
}
