import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useRef } from "react";
import { useNavigate } from "react-router";
import { answer, api, type DesignState, isAway } from "../../api/client";
import { queries } from "../../api/queries";

/** Begins a design and goes to it. */
export function useBegin() {
  const navigate = useNavigate();
  const cache = useQueryClient();
  const asked = useRef<{ state: DesignState; id: string } | null>(null);
  const begin = useMutation({
    // The id is chosen here, so that asking again for the same design after a lost answer begins no second one.
    mutationFn: ({ state, id }: { state: DesignState; id: string }) => answer(api.POST("/api/designs", { body: { state, id } })),
    retry: (times, error) => times < 3 && isAway(error),
    onSuccess: (made) => {
      cache.setQueryData(queries.design(made.id).queryKey, made);
      cache.invalidateQueries({ queryKey: queries.designs().queryKey });
      asked.current = null;
      navigate(`/bench/${made.id}`, { state: { begun: true } });
    },
  });
  return {
    ...begin,
    mutate: (state: DesignState) => {
      const again = JSON.stringify(asked.current?.state) === JSON.stringify(state) ? asked.current : null;
      asked.current = again ?? { state, id: crypto.randomUUID() };
      begin.mutate(asked.current);
    },
  };
}
