import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useNavigate } from "react-router";
import { answer, api, type DesignState } from "../../api/client";
import { queries } from "../../api/queries";

/** Begins a design and goes to it. */
export function useBegin() {
  const navigate = useNavigate();
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (state: DesignState) => answer(api.POST("/api/designs", { body: { state } })),
    onSuccess: (made) => {
      cache.setQueryData(queries.design(made.id).queryKey, made);
      cache.invalidateQueries({ queryKey: queries.designs().queryKey });
      navigate(`/bench/${made.id}`);
    },
  });
}
