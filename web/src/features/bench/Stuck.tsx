import { Button } from "@mantine/core";
import type { BenchView, Schemas } from "../../api/client";
import { Sentence } from "../../components/Fig";

/** Why there are no figures, and the smallest changes with which there would be, each one click. */
export function Stuck({ view, onRemedy }: { view: BenchView; onRemedy: (remedy: Schemas["RemedyView"]) => void }) {
  const remedies = view.stuck?.remedies ?? [];
  return (
    <div className="stuck">
      <h2>
        No figures for <Sentence text={view.targetSize} />
      </h2>
      <p>
        <Sentence text={view.stuck?.text ?? ""} />
      </p>
      <h3>
        {remedies.length > 0 ? "It goes if you" : "Nothing given up here makes it go: take other tools, or another format."}
      </h3>
      {remedies.map((remedy) => (
        <Button key={remedy.text} variant="default" fullWidth mb={8} justify="flex-start" onClick={() => onRemedy(remedy)}>
          <span>
            <Sentence text={remedy.text} />
          </span>
        </Button>
      ))}
    </div>
  );
}
