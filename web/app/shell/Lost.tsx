import { Link } from 'react-router';

export function Lost() {
  return (
    <section className="sheet mx-auto mt-10 max-w-xl">
      <h1>Nothing hangs here</h1>
      <p className="mt-3">This address leads nowhere. The piece may have been removed.</p>
      <Link className="act mt-5" to="/">
        To the bench
      </Link>
    </section>
  );
}
