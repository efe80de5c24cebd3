import { Modal } from "@mantine/core";
import { registry } from "../../keys/registry";
import s from "./Help.module.css";

const words: [string, string][] = [
  ["scant, full", "a little less, a little more than the mark that is named"],
  ["turn it round", "the piece is turned end for end, and the figure read from its other edge"],
  ["inside, past", "between grooves: that much before or beyond the groove"],
  ["≤ ≥ =", "the safe side of a figure: never more, never less, neither; its row says what would go wrong"],
  ["↻ ⇄ ⇅", "the piece turned round, turned over like a page, turned over head to foot"],
  ["from … to …", "a cut inside the sheet: start there, stop there, and finish the corners with a knife"],
  [
    "ticks at … by …",
    "a score that slants: a tick so far from the left edge and from the foot, another, and the ruler from one to the other",
  ],
  ["in the groove", "a cut along a groove of the board, which guides the knife, from both ends inwards"],
  ["reveal", "the border of card that shows round a layer"],
  ["v, m", "valley and mountain, as the piece lies on the board"],
];

/** The keys, as the registry has them, and the few words that the bench uses. */
export function Help({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  return (
    <Modal opened={opened} onClose={onClose} title="Keys" size="lg" closeButtonProps={{ "aria-label": "Close" }}>
      <dl className={s.keys}>
        {Object.values(registry).map((key) => (
          <div key={key.does}>
            <dt>{key.shown.map((k) => (k === "–" ? " – " : <kbd key={k}>{k}</kbd>))}</dt>
            <dd>
              {"where" in key ? `${key.where}: ` : ""}
              {key.does}
            </dd>
          </div>
        ))}
      </dl>
      <h3>Words</h3>
      <dl className={`${s.keys} ${s.words}`}>
        {words.map(([word, means]) => (
          <div key={word}>
            <dt>{word}</dt>
            <dd>{means}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
