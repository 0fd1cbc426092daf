import { Button, Notice, Refused } from '../ui';
import type { useMany } from './useMany';

/** What was done last, with an undo; or why it was not. */
export function DoneNotice({
  many,
}: {
  many: Pick<ReturnType<typeof useMany>, 'done' | 'undo' | 'pending' | 'error'>;
}) {
  return (
    <>
      {many.done && (
        <Notice title={many.done.said}>
          {many.done.undo.length > 0 && (
            <Button look="text" disabled={many.pending} onClick={() => void many.undo()}>
              Undo
            </Button>
          )}
        </Notice>
      )}
      {many.error && <Refused error={many.error} />}
    </>
  );
}
