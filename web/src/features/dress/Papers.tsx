/** What is printed on a paper, as a fill: told apart by its mark as well as by its colour. */
const marks: Record<string, (ink: string) => React.ReactNode> = {
  stars: (ink) => (
    <>
      <path d="M8 3l1.4 3.6L13 8l-3.6 1.4L8 13 6.600 9.400 3 8l3.600-1.400z" fill={ink} />
      <circle cx={20} cy={20} r={1.6} fill={ink} />
    </>
  ),
  stripes: (ink) => <path d="M6 0v26M19 0v26" stroke={ink} strokeWidth={4} />,
  dots: (ink) => (
    <>
      <circle cx={7} cy={7} r={3} fill={ink} />
      <circle cx={20} cy={20} r={3} fill={ink} />
    </>
  ),
  waves: (ink) => <path d="M0 8q6.500-7 13 0t13 0M0 21q6.500-7 13 0t13 0" fill="none" stroke={ink} strokeWidth={1.8} />,
  checks: (ink) => <path d="M0 0h13v13H0zM13 13h13v13H13z" fill={ink} opacity={0.55} />,
};

const light = (colour: string) => {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((i) => Number.parseInt(colour.slice(i, i + 2), 16));
  return 0.3 * r + 0.59 * g + 0.11 * b > 130;
};

const nameOf = (colour: string, pattern: string) => `paper-${pattern}-${colour.slice(1)}`;

export const paperFill = (colour: string, pattern: string) => (pattern in marks ? `url(#${nameOf(colour, pattern)})` : colour);

/** The fills that a drawing needs, once. */
export function PaperDefs({ papers }: { papers: readonly { colour: string; pattern: string }[] }) {
  const once = new Map(papers.filter((p) => p.pattern in marks).map((p) => [nameOf(p.colour, p.pattern), p]));
  return (
    <defs>
      {[...once].map(([id, { colour, pattern }]) => (
        <pattern key={id} id={id} width={26} height={26} patternUnits="userSpaceOnUse">
          <rect width={26} height={26} fill={colour} />
          {marks[pattern]?.(light(colour) ? "rgb(31 42 51 / 34%)" : "rgb(255 236 190 / 72%)")}
        </pattern>
      ))}
    </defs>
  );
}

/** A small piece of a paper, beside its name. */
export function Swatch({ colour, pattern }: { colour: string; pattern: string }) {
  return (
    <svg width={20} height={20} viewBox="0 0 26 26" aria-hidden="true" data-part="swatch">
      <rect width={26} height={26} rx={3} fill={colour} />
      {marks[pattern]?.(light(colour) ? "rgb(31 42 51 / 34%)" : "rgb(255 236 190 / 72%)")}
      <rect x={0.5} y={0.5} width={25} height={25} rx={3} fill="none" stroke="var(--ink-soft)" />
    </svg>
  );
}
