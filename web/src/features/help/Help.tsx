import { Modal } from "@mantine/core";

const keys: [string[], string][] = [
  [["1", "–", "9"], "make that format of the strip the target"],
  [["["], "the format before"],
  [["]"], "the format after"],
  [["H"], "back to the home format"],
  [["T"], "turn the card on its side"],
  [["U"], "inches, centimetres, both"],
  [["B"], "the next tools: board, ruler, machine"],
  [["Ctrl", "Z"], "undo"],
  [["Ctrl", "Shift", "Z"], "redo"],
  [["Tab"], "to the next control; Enter opens a figure's reasons"],
  [["←", "→"], "on a slider: the next figure that can be set"],
  [["D"], "daylight or lamplight"],
  [["P"], "the figure sheet, to print"],
  [["W"], "the wall: this design in every format"],
  [["F"], "how it folds, and how it is put together"],
  [["S"], "in the drawer: the shelf of constructions"],
  [["Esc"], "put away what a change did to the figures"],
  [["G"], "the drawer with all designs"],
  [["N"], "in the drawer: a new design"],
  [["L"], "in the drawer: check a measure list"],
  [["?"], "this list"],
];

const words: [string, string][] = [
  ["scant, full", "a little less, a little more than the mark that is named"],
  ["turn it round", "the piece is turned end for end, and the figure read from its other edge"],
  ["inside, past", "between grooves: that much before or beyond the groove"],
  ["≤ ≥ =", "the safe side of a figure: never more, never less, neither; its row says what would go wrong"],
  ["↻ ⇄ ⇅", "the piece turned round, turned over like a page, turned over head over heels"],
  ["from … to …", "a cut inside the sheet: start there, stop there, and finish the corners with a knife"],
  [
    "ticks at … by …",
    "a score that slants: a tick so far from the left edge and from the foot, another, and the ruler from one to the other",
  ],
  ["in the groove", "a cut along a groove of the board, which guides the knife, from both ends inwards"],
  ["reveal", "the border of card that shows round a layer"],
  ["v, m", "valley and mountain, as the piece lies on the board"],
];

/** The keys, and the few words that the bench uses. */
export function Help({ opened, onClose }: { opened: boolean; onClose: () => void }) {
  return (
    <Modal opened={opened} onClose={onClose} title="Keys" size="lg" closeButtonProps={{ "aria-label": "Close" }}>
      <dl className="keys">
        {keys.map(([pressed, does]) => (
          <div key={does}>
            <dt>{pressed.map((k) => (k === "–" ? " – " : <kbd key={k}>{k}</kbd>))}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
      <h3>Words</h3>
      <dl className="keys words">
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
