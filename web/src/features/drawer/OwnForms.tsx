import { Button, Checkbox, NativeSelect, SegmentedControl, TextInput } from "@mantine/core";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Problem, type Schemas } from "../../api/client";
import { Trouble } from "../../components/Trouble";

type ToolSpec = Schemas["ToolSpec"];
type StockSpec = Schemas["StockSpec"];

/** "Board by the window" becomes the id that designs know it by. */
export const idOf = (name: string) =>
  name
    .toLowerCase()
    .normalize("NFD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 40);

/** A change to what the studio owns: whatever is made with it is worked out anew. */
export function useOwnChange<T>(change: (thing: T) => Promise<unknown>, onDone: () => void) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      for (const key of ["catalogue", "drawer", "own", "bench", "sheet", "wall", "curves"]) {
        queries.invalidateQueries({ queryKey: [key] });
      }
      onDone();
    },
  });
}

/** What the studio has said about a field, at that field; about anything else, below the form. */
function wrongIn(problem: Problem | null, kind: string, fields: string[]) {
  const field = problem?.field?.startsWith(`${kind}.`) ? problem.field.slice(kind.length + 1) : null;
  return {
    at: (name: string) => (field === name ? problem?.detail : undefined),
    other: problem && !(field && fields.includes(field)) ? problem : null,
  };
}

const toolFields = ["name", "groove", "firstGroove", "boardLength", "trimmerMark", "longestCut", "rulerMark"];

/** A board and a trimmer of one's own: what is marked on them, measured. */
export function ToolForm({ tools, onDone }: { tools: ToolSpec | null; onDone: () => void }) {
  const [name, setName] = useState(tools?.name ?? "");
  const [units, setUnits] = useState(tools?.units ?? "in");
  const [text, setText] = useState<Record<string, string>>({
    groove: tools?.groove ?? "",
    boardLength: tools?.boardLength ?? "",
    trimmerMark: tools?.trimmerMark ?? "",
    longestCut: tools?.longestCut ?? "",
    rulerMark: tools?.rulerMark ?? "",
    firstGroove: tools?.firstGroove ?? "",
  });
  const [scores, setScores] = useState(tools?.trimmerScores ?? false);
  const keep = useOwnChange((spec: ToolSpec) => answer(api.PUT("/api/drawer/own/tools", { body: spec })), onDone);
  const wrong = wrongIn(keep.error as Problem | null, "tools", toolFields);
  const example = (inches: string, metric: string) => `Such as ${units === "in" ? inches : metric}`;
  const field = (id: string, label: string, description: string) => (
    <TextInput
      label={label}
      description={description}
      value={text[id]}
      onChange={(e) => setText({ ...text, [id]: e.currentTarget.value })}
      error={wrong.at(id)}
    />
  );
  return (
    <form
      className="own-form"
      onSubmit={(event) => {
        event.preventDefault();
        const given = (id: string) => text[id]?.trim() || null;
        keep.mutate({
          id: tools?.id ?? idOf(name),
          name,
          units,
          groove: given("groove"),
          firstGroove: given("firstGroove"),
          boardLength: given("boardLength"),
          trimmerMark: text.trimmerMark ?? "",
          longestCut: given("longestCut"),
          trimmerScores: scores,
          rulerMark: given("rulerMark"),
        });
      }}
    >
      <TextInput
        label="What you call it"
        value={name}
        onChange={(e) => setName(e.currentTarget.value)}
        error={wrong.at("name")}
        data-autofocus
      />
      <div className="choice">
        <span id="marked-in">Marked in</span>
        <SegmentedControl
          size="xs"
          aria-labelledby="marked-in"
          data={["in", "cm", "mm"]}
          value={units}
          onChange={(value) => setUnits(value)}
        />
      </div>
      <div className="pair">
        {field("groove", "From groove to groove", `${example("1/8", "5 mm")}; empty without a board`)}
        {field("boardLength", "The board reaches", example("12", "300 mm"))}
        {field("firstGroove", "First groove at", "Empty where it is one groove's distance from the stop")}
        {field("trimmerMark", "Finest mark of the trimmer", example("1/16", "1 mm"))}
        {field("longestCut", "Longest cut", "Empty where any sheet goes through")}
        {field("rulerMark", "Finest mark of the ruler", "Empty where you score on grooves only")}
      </div>
      <Checkbox
        label="The trimmer has a scoring blade"
        checked={scores}
        onChange={(e) => setScores(e.currentTarget.checked)}
        mt={4}
      />
      {wrong.other ? <Trouble problem={wrong.other} /> : null}
      <Button type="submit" loading={keep.isPending} mt="sm">
        Keep it in the drawer
      </Button>
    </form>
  );
}

const stockFields = ["name", "caliper", "kind", "sides"];

/** A card or paper of one's own. */
export function StockForm({ stock, accepted, onDone }: { stock: StockSpec | null; accepted: string; onDone: () => void }) {
  const [name, setName] = useState(stock?.name ?? "");
  const [kind, setKind] = useState(stock?.kind ?? "card");
  const [caliper, setCaliper] = useState(stock?.caliper ?? "");
  const [sides, setSides] = useState(stock?.sides ?? "alike");
  const [directional, setDirectional] = useState(stock?.directional ?? false);
  const keep = useOwnChange((spec: StockSpec) => answer(api.PUT("/api/drawer/own/stock", { body: spec })), onDone);
  const wrong = wrongIn(keep.error as Problem | null, "stock", stockFields);
  return (
    <form
      className="own-form"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate({ id: stock?.id ?? idOf(name), name, kind, caliper, grammage: stock?.grammage ?? null, sides, directional });
      }}
    >
      <TextInput
        label="What you call it"
        value={name}
        onChange={(e) => setName(e.currentTarget.value)}
        error={wrong.at("name")}
        data-autofocus
      />
      <NativeSelect
        label="It is"
        data={["card", "paper", "vellum", "acetate", "foil", "mirror", "embossed"]}
        value={kind}
        onChange={(e) => setKind(e.currentTarget.value)}
      />
      <TextInput
        label="Its thickness"
        description={accepted}
        value={caliper}
        onChange={(e) => setCaliper(e.currentTarget.value)}
        error={wrong.at("caliper")}
      />
      <div className="choice">
        <span id="its-sides">Its two sides are</span>
        <SegmentedControl
          size="xs"
          aria-labelledby="its-sides"
          data={[
            { value: "alike", label: "alike" },
            { value: "one", label: "printed, white" },
            { value: "different", label: "two prints" },
          ]}
          value={sides}
          onChange={(value) => setSides(value)}
        />
      </div>
      <Checkbox
        label="Its pattern has a way up"
        checked={directional}
        onChange={(e) => setDirectional(e.currentTarget.checked)}
      />
      {wrong.other ? <Trouble problem={wrong.other} /> : null}
      <Button type="submit" loading={keep.isPending} mt="sm">
        Keep it in the drawer
      </Button>
    </form>
  );
}
