import { Button, Select, TextInput } from "@mantine/core";
import { useForm } from "@mantine/form";
import { problemOf, type Schemas } from "../../api/client";
import { Trouble } from "../../components/Trouble";
import s from "./Drawer.module.css";
import { useBegin } from "./useBegin";

/** A new design: its name, what it is and how large. */
export function NewDesign({ inventory }: { inventory: Schemas["InventoryView"] }) {
  const begin = useBegin();
  const form = useForm({ initialValues: { name: "", construction: inventory.constructions[0]?.id ?? "", format: "5x5" } });
  const formats = inventory.kinds.find((k) => k.id === "formats")?.things ?? [];
  const problem = begin.error ? problemOf(begin.error) : null;
  const wrong = (field: string) => (problem?.field === field ? problem.detail : undefined);
  return (
    <form className={s.form} onSubmit={form.onSubmit((state) => begin.mutate(state))}>
      <TextInput label="Name" {...form.getInputProps("name")} error={wrong("name")} data-autofocus />
      <Select
        label="Construction"
        data={inventory.constructions.map((c) => ({ value: c.id, label: `${c.name}: ${c.detail}` }))}
        allowDeselect={false}
        {...form.getInputProps("construction")}
        error={wrong("construction")}
      />
      <TextInput
        label="Finished size"
        description={`A format such as ${formats
          .slice(3, 6)
          .map((f) => f.id)
          .join(", ")}, or ${inventory.accepts}`}
        {...form.getInputProps("format")}
        error={wrong("format")}
      />
      {problem && !["name", "construction", "format"].includes(problem.field ?? "") ? <Trouble problem={problem} /> : null}
      <Button type="submit" loading={begin.isPending} mt="sm">
        Lay it out
      </Button>
    </form>
  );
}
