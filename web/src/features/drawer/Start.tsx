import { Loader } from "@mantine/core";
import { useQuery } from "@tanstack/react-query";
import { Navigate } from "react-router";
import { answer, api, type Problem } from "../../api/client";
import { Trouble } from "../../components/Trouble";

/** First open: straight to the design that was last worked on, or to the drawer where there is none. */
export function Start() {
  const designs = useQuery({ queryKey: ["designs"], queryFn: () => answer(api.GET("/api/designs")) });
  if (designs.error) {
    return (
      <main className="page">
        <h1 className="unseen">Whole Fold</h1>
        <div className="middle">
          <Trouble problem={designs.error as Problem} />
        </div>
      </main>
    );
  }
  if (!designs.data) {
    return (
      <main className="page">
        <h1 className="unseen">Whole Fold</h1>
        <div className="middle">
          <Loader aria-label="Opening the drawer" />
        </div>
      </main>
    );
  }
  const last = designs.data.find((d) => d.latest);
  return <Navigate to={last ? `/bench/${last.id}` : "/drawer"} replace />;
}
