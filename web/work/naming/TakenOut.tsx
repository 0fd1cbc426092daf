import { useMutation } from '@tanstack/react-query';
import type { TrayLine } from '#contracts';
import { call, inWords } from '#client/api';
import { Button, Notice } from '../../ui';
import { saidIn } from './lineName';
import { changeLines, putLines } from './useTray';

/** Puts a file that was taken out of a tray back into it, behind the others, with the name that was written for it. Throws what the server answers. */
async function putBack(of: string, line: TrayLine): Promise<void> {
  const { id, folder, name, bytes, changed, file, document, words, newName, renamed } = line;
  const { lines } = await call('addTrayLines', {
    params: { case: of },
    body: { files: [{ id, folder, name, bytes, changed, file }] },
  });
  putLines(of, lines);
  if (document === null && newName === null) return;
  const written = { document, words, said: document ? saidIn(document) : {} };
  await changeLines(of, [{ line: id, written, newName, ...(renamed && { renamed }) }]);
}

/** The file that was taken out of a tray last, if any, and the way back of it. `done` hears that it is back. */
export function useTakenOut(of: string, line: TrayLine | null, done: (line: string) => void) {
  const back = useMutation({
    mutationFn: (out: TrayLine) => putBack(of, out),
    onSuccess: (_, { id }) => done(id),
  });
  return {
    undo: line && !back.isPending ? () => back.mutate(line) : null,
    notice: line && (
      <div className="mx-9 mb-3 max-[899px]:mx-4">
        <Notice title={`${line.name} is taken out of the tray. The file itself stays where it is.`}>
          <Button look="text" disabled={back.isPending} onClick={() => back.mutate(line)}>
            Undo
          </Button>
          {back.error && <p className="text-rust">{inWords(back.error)}</p>}
        </Notice>
      </div>
    ),
  };
}
