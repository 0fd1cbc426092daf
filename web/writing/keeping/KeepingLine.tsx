import { instantInWords } from '#client/clock';
import type { Keeping } from '#client/drafts';

const WORDS: Record<Exclude<Keeping['kind'], 'saved'>, string> = {
  saving: 'Saving …',
  unreachable: 'Not on the server yet; on this computer',
  'signed-out': 'Not on the server: you are signed out',
  'moved-on': 'Not saved: changed in another window',
  refused: 'Not saved',
};

/** Always plain whether the text is saved, in one line at the head of the leaf. */
export function KeepingLine({ keeping }: { keeping: Keeping }) {
  const fine = keeping.kind === 'saved' || keeping.kind === 'saving';
  return (
    <p
      role="status"
      aria-label="Saving"
      className={`text-[13px] ${fine ? 'text-soft' : 'font-semibold text-rust'}`}
    >
      {keeping.kind === 'saved' ? <span title={instantInWords(keeping.at)}>Saved</span> : WORDS[keeping.kind]}
    </p>
  );
}
