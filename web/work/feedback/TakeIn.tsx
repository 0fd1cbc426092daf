import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button, FileDrop, Refused } from '../../ui';
import { takeIn, takeInPasted } from './takeIn';

/** Where what was handed in is dropped, chosen or pasted. `again`: in place of what is there. */
export function TakeIn({ of, again, done }: { of: string; again: boolean; done?: () => void }) {
  const [pasted, setPasted] = useState<string | null>(null);
  const taking = useMutation({
    mutationFn: (what: File | string) =>
      typeof what === 'string' ? takeInPasted(of, what) : takeIn(of, what),
    onSuccess: () => {
      setPasted(null);
      done?.();
    },
  });
  return (
    <section aria-label="Take a submission in" className="grid gap-3 px-9 py-5 max-[899px]:px-4">
      <FileDrop
        label="Submission"
        hint={
          again
            ? 'Drop the new version here. Comments stay on their words where these are still there.'
            : 'Drop what was handed in here: Word (docx), OpenDocument (odt), PDF, Markdown or plain text.'
        }
        accept=".docx,.odt,.pdf,.md,.markdown,.txt"
        isReading={taking.isPending}
        take={([file]) => file && taking.mutate(file)}
      />
      {pasted === null ? (
        <Button look="text" className="w-fit" onClick={() => setPasted('')}>
          Paste its text instead
        </Button>
      ) : (
        <form
          className="grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            taking.mutate(pasted);
          }}
        >
          <label className="eyebrow" htmlFor="pasted-submission">
            The text
          </label>
          <textarea
            id="pasted-submission"
            autoFocus
            rows={8}
            className="input border-b-0 border-l-2 border-rule pl-3"
            value={pasted}
            onChange={({ target }) => setPasted(target.value)}
          />
          <div className="flex gap-4">
            <Button type="submit" look="main" disabled={taking.isPending || pasted.trim() === ''}>
              Take it in
            </Button>
            <Button look="text" onClick={() => setPasted(null)}>
              Cancel
            </Button>
          </div>
        </form>
      )}
      {taking.error && <Refused error={taking.error} />}
    </section>
  );
}
