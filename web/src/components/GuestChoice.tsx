import { NativeSelect } from "@mantine/core";
import { useQuery } from "@tanstack/react-query";
import { queries } from "../api/queries";

/** Whose tools the second figures are for; of her own system, the pages are hers alone. */
export function GuestChoice({ guest, onChange }: { guest: string | null | undefined; onChange: (tools: string | null) => void }) {
  const inventory = useQuery(queries.inventory());
  const tools = inventory.data?.kinds.find((k) => k.id === "tools")?.things ?? [];
  return (
    <NativeSelect
      label="A guest’s tools"
      data={[
        { value: "", label: "the other system’s board" },
        ...tools.filter((t) => t.toHand || t.id === guest).map((t) => ({ value: t.id, label: t.name })),
      ]}
      value={guest ?? ""}
      onChange={(e) => onChange(e.currentTarget.value || null)}
    />
  );
}
