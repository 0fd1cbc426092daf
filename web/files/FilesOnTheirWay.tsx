import { Button, Refused } from '../ui';
import type { SendingFiles } from './useSendFiles';

/** Files that are being sent, each with how far it is and a way to stop it; and those that were not kept, with why. */
export function FilesOnTheirWay({ sending }: { sending: SendingFiles }) {
  const { onTheirWay, notKept, stop } = sending;
  if (onTheirWay.length === 0 && notKept.length === 0) return null;
  return (
    <div className="grid gap-2 text-[14px]">
      {onTheirWay.length > 0 && (
        <ul aria-label="Files being sent" className="grid gap-1">
          {onTheirWay.map(({ id, name, share, isWaiting }) => (
            <li key={id} className="flex flex-wrap items-center gap-x-3">
              <span className="min-w-0 truncate">{name}</span>
              {isWaiting ? (
                <span role="status" className="text-soft">
                  waits until the server can be reached
                </span>
              ) : (
                <progress className="w-28" max={1} value={share} aria-label={`How much of ${name} is sent`} />
              )}
              <Button look="text" onClick={() => stop(id)}>
                Stop<span className="sr-only"> {name}</span>
              </Button>
            </li>
          ))}
        </ul>
      )}
      {notKept.map(({ id, error }) => (
        <Refused key={id} error={error} />
      ))}
    </div>
  );
}
