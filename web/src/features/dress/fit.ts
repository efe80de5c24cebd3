/** How large the sides may be drawn so that all of them fit in their room: in as many rows as lets them be largest. */
export function scaleFor(sides: readonly { width: number; height: number }[], width: number, height: number) {
  const room = { edge: 52, caption: 14, beside: 20 };
  const fits = (scale: number) => {
    let [x, row, y] = [0, 0, 0];
    for (const side of sides) {
      const [w, h] = [side.width * scale + room.edge + 6, side.height * scale + room.edge + room.caption];
      if (w > width - room.beside) {
        return false;
      }
      if (x + w > width - room.beside) {
        [x, y, row] = [0, y + row, 0];
      }
      x += w;
      row = Math.max(row, h);
    }
    return y + row <= height;
  };
  let [low, high] = [0.0005, 0.02];
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2;
    [low, high] = fits(middle) ? [middle, high] : [low, middle];
  }
  return low;
}
