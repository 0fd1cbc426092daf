import { Link } from 'react-router';
import { useWaiting } from './useWaiting';

/** What waits for the member, a line each with the way to it; nothing where nothing does. */
export function WaitingList() {
  const waiting = useWaiting();
  if (waiting.length === 0) return null;
  return (
    <section aria-label="Waiting for you" className="pt-6">
      <h2 className="section-head">Waiting for you</h2>
      <ul className="mt-1 text-[14.5px]">
        {waiting.map(({ words, to }) => (
          <li key={words} className="border-b border-hair py-1.5">
            <Link to={to} className="inline-block text-elder underline first-letter:uppercase">
              {words}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
