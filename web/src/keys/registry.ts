/** Every key of the app, once: what is pressed, what it does, and where it works. The help is made of this list. */
export type Key = { keys: string[]; shown: string[]; does: string; where?: string };

export const registry = {
  format: {
    keys: ["1", "2", "3", "4", "5", "6", "7", "8", "9"],
    shown: ["1", "–", "9"],
    does: "make that format of the strip the target",
  },
  formatBefore: { keys: ["["], shown: ["["], does: "the format before" },
  formatAfter: { keys: ["]"], shown: ["]"], does: "the format after" },
  home: { keys: ["H"], shown: ["H"], does: "back to the home format" },
  turn: { keys: ["T"], shown: ["T"], does: "turn the card on its side" },
  units: { keys: ["U"], shown: ["U"], does: "inches, centimetres, both" },
  tools: { keys: ["B"], shown: ["B"], does: "the next tools: board, ruler, machine" },
  undo: { keys: ["mod+Z"], shown: ["Ctrl", "Z"], does: "undo" },
  redo: { keys: ["mod+shift+Z", "mod+Y"], shown: ["Ctrl", "Shift", "Z"], does: "redo" },
  tab: { keys: [], shown: ["Tab"], does: "to the next control; Enter opens a figure's reasons" },
  slide: { keys: [], shown: ["←", "→"], does: "on a slider: the next figure that can be set" },
  lock: { keys: [], shown: ["K"], does: "on a slider: keep that figure exactly, or let it move again" },
  theme: { keys: ["D"], shown: ["D"], does: "daylight or lamplight" },
  bench: { keys: ["E"], shown: ["E"], does: "the bench: every figure of this design" },
  wall: { keys: ["W"], shown: ["W"], does: "the wall: this design in every format" },
  dress: { keys: ["R"], shown: ["R"], does: "dress it: papers, windows, what is stamped and raised" },
  mend: { keys: ["M"], shown: ["M"], does: "mend the first thing found that can be mended" },
  nudge: {
    keys: [],
    shown: ["←", "↑", "→", "↓"],
    does: "on a thing that is put on: a mark further; Shift, eight marks",
    where: "in Dress",
  },
  takeOff: { keys: [], shown: ["Delete"], does: "on a thing that is put on: take it off", where: "in Dress" },
  fold: { keys: ["F"], shown: ["F"], does: "how it folds, and how it is put together" },
  show: { keys: ["O"], shown: ["O"], does: "show it: one step a screen, for a room" },
  handOut: { keys: ["P"], shown: ["P"], does: "hand it out: sheets, templates, lists, pictures" },
  next: {
    keys: ["Space", "ArrowRight", "PageDown"],
    shown: ["Space", "→", "Page down"],
    does: "the next thing to do",
    where: "in Show",
  },
  before: { keys: ["ArrowLeft", "PageUp"], shown: ["←", "Page up"], does: "the one before", where: "in Show" },
  jump: { keys: ["J"], shown: ["J"], does: "jump to a step", where: "in Show" },
  cameOut: { keys: ["C"], shown: ["C"], does: "a figure came out otherwise", where: "in Show" },
  whole: { keys: ["X"], shown: ["X"], does: "the whole screen, or not", where: "in Show" },
  shelf: { keys: ["S"], shown: ["S"], does: "the shelf of constructions" },
  away: { keys: ["Escape"], shown: ["Esc"], does: "put away what a change did; back to the bench; all wishes taken back" },
  drawer: { keys: ["G"], shown: ["G"], does: "the drawer with all designs" },
  begin: { keys: ["N"], shown: ["N"], does: "a new design", where: "in the drawer" },
  list: { keys: ["L"], shown: ["L"], does: "check a measure list", where: "in the drawer" },
  help: { keys: ["?", "shift+?"], shown: ["?"], does: "this list" },
} satisfies Record<string, Key>;

export type KeyName = keyof typeof registry;
