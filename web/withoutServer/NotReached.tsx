import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { casesOnComputers, hasNoRoom, onRoom } from '#client/atHand';
import { waitingInWords } from './waitingInWords';
import { useReached } from '../shell';
import { useWaitingActs } from './useWaitingActs';

function useNoRoom(): boolean {
  const [isFull, setFull] = useState(hasNoRoom);
  useEffect(() => onRoom(() => setFull(hasNoRoom())), []);
  return isFull;
}

/** What stays usable, in a sentence. */
const whatStays = () =>
  casesOnComputers() === 'none'
    ? 'The bank stays usable. Your team saves no cases on computers: leave this window open until what you write is saved.'
    : 'The bank, cases you have opened and your drafts stay usable; what you write is saved on this computer.';

/** Said on every screen while the server cannot be reached; and where something the server refused waits for a decision. */
export function NotReached({ member }: { member: string }) {
  const isReached = useReached();
  const acts = useWaitingActs(member);
  const isFull = useNoRoom();
  const refused = acts.filter((act) => act.refused !== null).length;
  const words = [
    ...(isReached
      ? []
      : [navigator.onLine ? 'The server cannot be reached.' : 'You are offline.', whatStays()]),
    ...(acts.length > refused && !isReached ? [`${waitingInWords(acts)} to be sent.`] : []),
    ...(isFull ? ['This computer has no room left: nothing new is saved on it.'] : []),
    ...(refused > 0
      ? [`The server refused ${refused === 1 ? 'one thing' : `${refused} things`} you made while offline.`]
      : []),
  ];
  return (
    <div role="status" data-print="no" className={words.length > 0 ? 'offline-line' : 'sr-only'}>
      {words.join(' ')}{' '}
      {words.length > 0 && (
        <Link to="/this-computer" className="underline underline-offset-4">
          This computer
        </Link>
      )}
    </div>
  );
}
