import { Link } from "react-router";
import { Wordmark } from "../bench/Bar";

export function Lost() {
  return (
    <main className="page">
      <header className="bar">
        <Wordmark />
      </header>
      <div className="middle">
        <h1>Nothing lies here</h1>
        <p>
          This address belongs to no design. <Link to="/drawer">Look in the drawer</Link>.
        </p>
      </div>
    </main>
  );
}
