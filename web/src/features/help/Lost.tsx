import { Link } from "react-router";
import shell from "../../app/Shell.module.css";
import { Bar } from "../../components/Bar";

export function Lost() {
  return (
    <main className={shell.page}>
      <Bar heading={null} />
      <div className={shell.middle}>
        <h1>Nothing lies here</h1>
        <p>
          This address belongs to no design. <Link to="/drawer">Look in the drawer</Link>.
        </p>
      </div>
    </main>
  );
}
