import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { TrayLine } from '#contracts';
import { inWords } from '#client/api';
import { sendFile } from '#client/files';
import { KEYS, queryClient } from '../../../api';
import { mustFit } from '../../../files';
import { Button, Notice } from '../../../ui';
import { changeLines } from '../useTray';
import type { TrayFiles } from './trayFiles';

/** Sends copies of files to be kept with the case: only where somebody asks for it, so that colleagues who have the case see them. */
export function SaveCopies({
  of,
  files,
  lines,
}: {
  of: string;
  files: TrayFiles;
  lines: readonly TrayLine[];
}) {
  const [isAsked, ask] = useState(false);
  const [sent, setSent] = useState(0);
  const send = useMutation({
    mutationFn: async () => {
      setSent(0);
      for (const line of lines) {
        const file = await files.file(line);
        if (!file) continue;
        await mustFit(file);
        const told = { progress: () => undefined, signal: new AbortController().signal };
        const kept = await sendFile(of, crypto.randomUUID(), file, told);
        await changeLines(of, [{ line: line.id, file: kept.id }]);
        setSent((now) => now + 1);
      }
    },
    onSettled: () => void queryClient.invalidateQueries({ queryKey: KEYS.case(of) }),
  });
  if (lines.length === 0 && !send.error) return null;
  const count = lines.length === 1 ? 'this file' : `these ${lines.length.toLocaleString()} files`;
  return (
    <div className="mt-1 text-[13px]">
      {send.isPending ? (
        <p role="status">{sent.toLocaleString()} saved …</p>
      ) : isAsked ? (
        <p className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
          Copies of {count} go to the server, and everybody who has this tray sees them.
          <Button
            onClick={() => {
              ask(false);
              send.mutate();
            }}
          >
            Save copies
          </Button>
          <Button look="text" onClick={() => ask(false)}>
            Cancel
          </Button>
        </p>
      ) : (
        <Button look="text" onClick={() => ask(true)}>
          Save copies with the tray …
        </Button>
      )}
      {send.error && (
        <Notice tone="warning" title={inWords(send.error)}>
          {sent.toLocaleString()} copies were saved before.
        </Notice>
      )}
    </div>
  );
}
