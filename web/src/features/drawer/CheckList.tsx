import { Button, SegmentedControl, Textarea } from "@mantine/core";
import { useMutation } from "@tanstack/react-query";
import { useState } from "react";
import { answer, api } from "../../api/client";
import { Sentence, sentenceText } from "../../components/Fig";
import { Trouble } from "../../components/Trouble";
import s from "./Drawer.module.css";

const example = "width 10\nscores 1/2, 2 1/2, 4 3/8, 5 1/2, 7 1/2, 9 1/2";

/** A measure list typed in or pasted: what in it contradicts a sum, a symmetry, a set of equals or the other system. */
export function CheckList() {
  const [text, setText] = useState("");
  const [units, setUnits] = useState("in");
  const check = useMutation({ mutationFn: () => answer(api.POST("/api/check-list", { body: { text, units } })) });
  return (
    <form
      className={s.form}
      onSubmit={(event) => {
        event.preventDefault();
        check.mutate();
      }}
    >
      <Textarea
        label="Measure list"
        description="A line each: width, height, scores, panels; the same again in cm, if you have it"
        placeholder={example}
        autosize
        minRows={5}
        maxRows={12}
        value={text}
        onChange={(e) => {
          setText(e.currentTarget.value);
          check.reset();
        }}
        data-autofocus
      />
      <div className={s.choice}>
        <span id="list-units">Numbers without a unit are in</span>
        <SegmentedControl size="xs" aria-labelledby="list-units" data={["in", "cm", "mm"]} value={units} onChange={setUnits} />
      </div>
      <Button type="submit" loading={check.isPending}>
        Look through it
      </Button>
      <div role="status">
        {check.error ? <Trouble problem={check.error} /> : null}
        {check.data?.length === 0 ? <p>Nothing in this list contradicts itself.</p> : null}
        <ul className={s.findings}>
          {check.data?.map((f) => (
            <li key={f.id + f.line + sentenceText(f.text)}>
              <b>line {f.line}</b> <Sentence parts={f.text} />
              {f.likely.length > 0 ? (
                <ul>
                  {f.likely.map((l) => (
                    <li key={sentenceText(l.because)}>
                      <Sentence parts={l.because} />
                    </li>
                  ))}
                </ul>
              ) : null}
            </li>
          ))}
        </ul>
      </div>
    </form>
  );
}
