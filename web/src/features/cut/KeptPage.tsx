import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { queries } from "../../api/queries";
import { PrintPage } from "../../components/PrintPage";
import s from "./Cut.module.css";
import { Sheets } from "./CutPage";
import { Order } from "./CutSide";

/** A plan from before, as it was. */
export function KeptPage() {
  const { id = "", plan = "" } = useParams();
  const kept = useQuery(queries.keptPlan(id, Number(plan)));
  const [lit, setLit] = useState<string | null>(null);
  return (
    <PrintPage
      id={id}
      heading="A plan that was kept"
      title="A plan that was kept · Whole Fold"
      problem={kept.error}
      waiting={kept.isLoading ? "Looking it up" : null}
    >
      {kept.data ? (
        <>
          <p className={s.was}>
            <b>{kept.data.name}:</b> {kept.data.title}. {kept.data.said.join(" ")} <Link to={`/cut/${id}`}>Plan more of it</Link>
          </p>
          <div className={s.kept}>
            <Sheets view={kept.data} lit={lit} onLit={setLit} />
            <Order view={kept.data} lit={lit} onLit={setLit} />
          </div>
        </>
      ) : null}
    </PrintPage>
  );
}
