import { ApiProblem, inWords } from '#client/api';
import { Notice } from './Notice';

interface Props {
  error: unknown;
  /** Whether to say where each fault stands, as in a file that people can open. */
  withPlaces?: boolean;
}

/** Something that was refused: why, and each fault it was refused for. */
export function Refused({ error, withPlaces = false }: Props) {
  const faults = error instanceof ApiProblem ? (error.problem.faults ?? []) : [];
  return (
    <Notice tone="warning" title={inWords(error)}>
      {faults.length > 0 && (
        <ul className="mt-1 grid gap-1.5">
          {faults.map(({ place, message }) => (
            <li key={place + message}>
              {withPlaces && <span className="block font-cue text-[12px] break-all text-ink">{place}</span>}
              {message}
            </li>
          ))}
        </ul>
      )}
    </Notice>
  );
}
