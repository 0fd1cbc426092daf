import { Link } from 'react-router';
import { useAssignments } from './useAssignment';

/** The assignments that one has, beside the desk: how far each is; and the way to a new one. */
export function AssignmentsOnDesk() {
  const all = useAssignments().data ?? [];
  return (
    <section aria-label="Assignments" className="pt-6">
      <h2 className="section-head">Assignments</h2>
      <ul className="mt-1 text-[14.5px]">
        {all.map(({ id, title, submissions }) => {
          const finished = submissions.filter(({ state }) => state === 'finished').length;
          return (
            <li
              key={id}
              className="flex flex-wrap items-baseline justify-between gap-x-3 border-b border-hair py-1.5"
            >
              <Link to={`/assignments/${id}`} className="min-w-0 text-elder underline">
                {title}
              </Link>
              <span className="text-[13px] text-soft">
                {finished.toLocaleString()} of {submissions.length.toLocaleString()} finished
              </span>
            </li>
          );
        })}
      </ul>
      <Link to="/assignments/new" className="mt-2 inline-block text-[14px] text-elder underline">
        New assignment
      </Link>
    </section>
  );
}
