import { Button, NativeSelect, TextInput } from "@mantine/core";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api, type Desk, type Edit, problemOf, type Schemas } from "../../api/client";
import { Dialog } from "../../components/Dialog";
import { Fig, figureText, Sentence } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import s from "./Show.module.css";

/** A figure that came out otherwise: what it has become is typed, and what can be done about it is said. */
export function CameOut({
  screen,
  desk,
  done,
  onTake,
  onClose,
}: {
  screen: Schemas["ScreenView"];
  desk: Desk;
  done: string[];
  onTake: (edits: Edit[]) => void;
  onClose: () => void;
}) {
  const [figure, setFigure] = useState(screen.figures[0]?.id ?? "");
  const [real, setReal] = useState("");
  const asked = useMutation({
    mutationFn: () => answer(api.POST("/api/show/came-out", { body: { ...desk, figure, real, done } })),
  });
  const outcome = asked.data;
  return (
    <Dialog title="It came out different" onClose={onClose}>
      <form
        className={s.form}
        onSubmit={(e) => {
          e.preventDefault();
          asked.mutate();
        }}
      >
        {screen.figures.length > 1 ? (
          <NativeSelect
            label="Which figure"
            data={screen.figures.map((f) => ({ value: f.id, label: `${f.name}: ${figureText(f.text)}` }))}
            value={figure}
            onChange={(e) => {
              setFigure(e.currentTarget.value);
              asked.reset();
            }}
          />
        ) : (
          <p>{screen.figures[0]?.name}</p>
        )}
        <TextInput
          data-autofocus
          label="What it is now"
          placeholder={
            screen.figures[0] ? figureText(screen.figures.find((f) => f.id === figure)?.text ?? screen.figures[0].text) : ""
          }
          value={real}
          onChange={(e) => {
            setReal(e.currentTarget.value);
            asked.reset();
          }}
        />
        {asked.error ? <Trouble problem={problemOf(asked.error)} /> : null}
        {outcome ? (
          <div role="status" data-part="outcome">
            <p className={s.outcome}>
              <Sentence parts={outcome.say} />
            </p>
            {outcome.changes.length > 0 ? (
              <ul className={s.changes}>
                {outcome.changes.map((c) => (
                  <li key={c.name}>
                    {c.name}: <Fig figure={c.was} /> → <Fig figure={c.now} />
                  </li>
                ))}
              </ul>
            ) : null}
          </div>
        ) : null}
        {outcome && outcome.edits.length > 0 ? (
          <Button onClick={() => onTake(outcome.edits)}>Go on with that</Button>
        ) : outcome ? (
          <Button onClick={onClose}>Go on</Button>
        ) : (
          <Button type="submit" loading={asked.isPending} disabled={real.trim() === ""}>
            What now?
          </Button>
        )}
      </form>
    </Dialog>
  );
}
