import { useQuery } from "@tanstack/react-query";
import { Navigate } from "react-router";
import { queries } from "../../api/queries";
import { Opening } from "../../app/Shell";
import shell from "../../app/Shell.module.css";
import { Trouble } from "../../components/Trouble";

/** First open: straight to the design that was last worked on, or to the drawer where there is none. */
export function Start() {
  const designs = useQuery(queries.designs());
  if (designs.error) {
    return (
      <main className={shell.page}>
        <h1 className="unseen">Whole Fold</h1>
        <div className={shell.middle}>
          <Trouble problem={designs.error} />
        </div>
      </main>
    );
  }
  if (!designs.data) {
    return <Opening />;
  }
  const last = designs.data.find((d) => d.latest && !d.problem);
  return <Navigate to={last ? `/bench/${last.id}` : "/drawer"} replace />;
}
