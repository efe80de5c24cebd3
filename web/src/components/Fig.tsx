const parts = /^(?:(\d+) )?(?:(\d+\/\d+)|([\d.]+))?(.*)$/;

/** Splits "2 7/16 scant" into its whole number, its fraction and its word. */
export function figureParts(text: string): { whole: string; fraction: string; word: string } {
  const match = parts.exec(text);
  const plain = match?.[3] ?? "";
  return { whole: match?.[1] ?? plain, fraction: match?.[2] ?? "", word: (match?.[4] ?? "").trim() };
}

/** A figure with a true fraction; a screen reader hears it with a space, as it is written. */
export function Fig({ text, className }: { text: string; className?: string }) {
  const { whole, fraction, word } = figureParts(text);
  return (
    <span className={`fig ${className ?? ""}`}>
      {whole}
      {whole && fraction ? <span className="gap"> </span> : null}
      {fraction ? <span className="frac">{fraction}</span> : null}
      {word ? <span className="word"> {word}</span> : null}
    </span>
  );
}

const inText = /((?:\d+ )?\d+\/\d+)/;

/** Running text in which every n/m is set as a fraction. */
export function Sentence({ text }: { text: string }) {
  // Split at the fractions: what stands between them alternates with them.
  return text.split(inText).map((part, i) =>
    // biome-ignore lint/suspicious/noArrayIndexKey: parts of one fixed text
    i % 2 === 1 ? <Fig key={i} text={part} /> : <span key={i}>{part}</span>,
  );
}
