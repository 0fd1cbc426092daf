import { Button } from '../ui';
import type { useClipboardDetails } from './useClipboardDetails';

const SHOWN = 3;

interface Props {
  details: ReturnType<typeof useClipboardDetails>;
  /** Takes back what was taken last; null where nothing was, or what was taken is not kept yet. */
  undo?: (() => void) | null;
}

/** Takes details from the clipboard in one step, and tells what was taken and what was not understood. */
export function FromClipboard({ details, undo }: Props) {
  const { told, isReading, run } = details;
  return (
    <div className="col-span-full text-[14px]">
      <Button look="text" disabled={isReading} onClick={run}>
        Fill in from the clipboard
      </Button>
      <div role="status" className="text-soft">
        {told.words && (
          <p>
            {told.words}{' '}
            {undo && (
              <Button look="text" onClick={undo}>
                Undo
              </Button>
            )}
          </p>
        )}
        {told.others.length > 0 && (
          <p className="break-words">
            Not understood:{' '}
            {told.others
              .slice(0, SHOWN)
              .map((line) => `“${line}”`)
              .join(', ')}
            {told.others.length > SHOWN && ` and ${told.others.length - SHOWN} more lines`}
          </p>
        )}
      </div>
    </div>
  );
}
