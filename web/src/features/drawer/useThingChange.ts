import { useMutation, useQueryClient } from "@tanstack/react-query";
import { queries } from "../../api/queries";

/** A change to what the studio has: whatever is made with it is worked out anew. */
export function useThingChange<T>(change: (thing: T) => Promise<unknown>, onDone: () => void = () => {}) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: change,
    onSuccess: () => {
      for (const queryKey of [queries.inventory().queryKey, queries.designs().queryKey, ["worked"]]) {
        cache.invalidateQueries({ queryKey });
      }
      onDone();
    },
  });
}
