import { Button, Checkbox, NativeSelect, TextInput } from "@mantine/core";
import { useForm } from "@mantine/form";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useMemo, useRef } from "react";
import { answer, api, problemOf, type Schemas } from "../../api/client";
import { queries } from "../../api/queries";
import { Trouble } from "../../components/Trouble";
import s from "./Drawer.module.css";
import { useThingChange } from "./useThingChange";

type Field = Schemas["KindField"];
type Values = Record<string, string | boolean>;

/** "Board by the window" becomes the id that designs know it by. */
export const idOf = (name: string) =>
  name
    .toLowerCase()
    .normalize("NFD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 40);

/** An id that no other thing of its kind has: keeping one thing must not put another out. */
export function freeId(name: string, taken: string[]): string {
  const id = idOf(name) || "unnamed";
  let free = id;
  for (let n = 2; taken.includes(free); n++) {
    free = `${id.slice(0, 36)}-${n}`;
  }
  return free;
}

/** What was typed, as it is written down: what was left empty is left out, a number is one. */
export function written(fields: Field[], values: Values, id: string): Record<string, unknown> {
  const thing: Record<string, unknown> = { id };
  for (const field of fields) {
    const value = values[field.id];
    if (typeof value === "boolean") {
      thing[field.id] = value;
    } else if (value?.trim()) {
      const text = value.trim();
      thing[field.id] = field.type === "number" && Number.isFinite(Number(text)) ? Number(text) : text;
    } else if (!field.optional) {
      thing[field.id] = "";
    }
  }
  return thing;
}

/** A thing of one's own. What is asked for follows from its kind; what is wrong stands at its field. */
export function ThingForm({
  kind,
  thing,
  onDone,
}: {
  kind: Schemas["KindView"];
  thing: Schemas["ThingView"] | null;
  onDone: () => void;
}) {
  const had = (thing?.written ?? {}) as Record<string, unknown>;
  const form = useForm<Values>({
    initialValues: Object.fromEntries(
      kind.fields.map((f) => {
        const value = had[f.id];
        return [
          f.id,
          f.type === "yes" ? value === true : value === undefined || value === null ? (f.options?.[0] ?? "") : String(value),
        ];
      }),
    ),
  });
  const keep = useThingChange(
    (body: Record<string, unknown>) =>
      answer(api.PUT("/api/inventory/{kind}", { params: { path: { kind: kind.id } }, body: body as never })),
    onDone,
  );
  const problem = useMemo(() => (keep.error ? problemOf(keep.error) : null), [keep.error]);
  const at = problem?.field?.startsWith(`${kind.id}.`) ? problem.field.slice(kind.id.length + 1) : null;
  const known = kind.fields.some((f) => f.id === at);
  const inventory = useQuery({ ...queries.inventory(), enabled: kind.fields.some((f) => f.of != null) });
  const fields = useRef<HTMLFormElement>(null);
  useEffect(() => {
    // What is wrong may have been scrolled away.
    if (problem && at) {
      fields.current?.querySelector<HTMLElement>(`[name="${at}"]`)?.focus();
    }
  }, [problem, at]);
  return (
    <form
      ref={fields}
      className={s.form}
      onSubmit={form.onSubmit((values) =>
        keep.mutate(
          written(
            kind.fields,
            values,
            thing?.id ??
              freeId(
                String(values.name ?? ""),
                kind.things.map((t) => t.id),
              ),
          ),
        ),
      )}
    >
      {kind.fields.map((field) => {
        const error = at === field.id ? problem?.detail : undefined;
        const label = field.name;
        if (field.type === "yes") {
          return <Checkbox key={field.id} label={label} {...form.getInputProps(field.id, { type: "checkbox" })} />;
        }
        const choices = field.of ? inventory.data?.kinds.find((k) => k.id === field.of)?.things : undefined;
        if (choices) {
          return (
            <NativeSelect
              key={field.id}
              label={label}
              data={[
                { value: "", label: field.optional ? "any" : "choose one" },
                ...choices.map((c) => ({ value: c.id, label: c.name })),
              ]}
              name={field.id}
              {...form.getInputProps(field.id)}
              error={error}
            />
          );
        }
        if (field.type === "option") {
          return (
            <NativeSelect
              key={field.id}
              label={label}
              data={field.options ?? []}
              name={field.id}
              {...form.getInputProps(field.id)}
              error={error}
            />
          );
        }
        return (
          <TextInput
            key={field.id}
            label={label}
            description={`Such as ${field.example}${field.optional ? "; may be left empty" : ""}`}
            name={field.id}
            {...form.getInputProps(field.id)}
            error={error}
          />
        );
      })}
      {problem && !known ? <Trouble problem={problem} /> : null}
      <Button type="submit" loading={keep.isPending} mt="sm">
        Keep it in the drawer
      </Button>
    </form>
  );
}
