import { Button, Notice, Refused } from '../ui';
import { useDoneElsewhere } from './useMany';

/** What was done to entries before one came to this page, with its undo, until it is put away. */
export function DoneElsewhere() {
  const { done, undo, pending, error, putAway } = useDoneElsewhere();
  if (!done) return null;
  return (
    <div className="px-9 pt-4 max-[899px]:px-4">
      <Notice title={done.said}>
        {done.undo.length > 0 && (
          <Button look="text" disabled={pending} onClick={() => undo()}>
            Undo
          </Button>
        )}{' '}
        <Button look="text" disabled={pending} onClick={putAway}>
          Close
        </Button>
      </Notice>
      {error && <Refused error={error} />}
    </div>
  );
}
