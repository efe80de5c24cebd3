import { Button, TextInput } from "@mantine/core";
import { useState } from "react";
import type { Opener } from "../../components/Later";
import { Pop } from "../../components/Pop";

/** A finished size that has no name. */
export function OtherSize({ button, onTyped }: { button: Opener; onTyped: (format: string) => void }) {
  const [text, setText] = useState("");
  return (
    <Pop button={button} position="bottom-end">
      {(close) => (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            onTyped(text.trim());
            close();
          }}
        >
          <TextInput
            label="Finished size, with its unit"
            description="Such as 5x5in, 5 1/2 x 4in or 150x150mm; 2 to 12 in a side"
            value={text}
            onChange={(e) => setText(e.currentTarget.value)}
            data-autofocus
          />
          <Button type="submit" mt="sm" fullWidth>
            Try this size
          </Button>
        </form>
      )}
    </Pop>
  );
}
