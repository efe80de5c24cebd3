import { Button, TextInput } from "@mantine/core";
import { useState } from "react";
import type { Edit } from "../../api/client";
import s from "./Build.module.css";
import { addPiece } from "./edits";

/** A new flat piece by its name and two rules; until it is bonded it lies in the middle of the widest panel. */
export function NewPiece({ onAdd }: { onAdd: (edit: Edit) => void }) {
  const [opened, setOpened] = useState(false);
  const [name, setName] = useState("");
  const [along, setAlong] = useState("width / 2");
  const [across, setAcross] = useState("height / 2");
  if (!opened) {
    return (
      <Button variant="default" onClick={() => setOpened(true)}>
        add a piece
      </Button>
    );
  }
  return (
    <form
      className={s.add}
      aria-label="A new piece"
      onSubmit={(e) => {
        e.preventDefault();
        onAdd(addPiece(name.trim(), along.trim(), across.trim()));
        setOpened(false);
        setName("");
      }}
    >
      <TextInput
        label="What it is called"
        value={name}
        onChange={(e) => setName(e.currentTarget.value)}
        maxLength={40}
        required
        autoFocus
      />
      <TextInput label="How long it is" value={along} onChange={(e) => setAlong(e.currentTarget.value)} required />
      <TextInput label="How high it is" value={across} onChange={(e) => setAcross(e.currentTarget.value)} required />
      <div className={s.ways}>
        <Button type="submit" disabled={name.trim() === ""}>
          add it
        </Button>
        <Button variant="default" onClick={() => setOpened(false)}>
          not now
        </Button>
      </div>
    </form>
  );
}
