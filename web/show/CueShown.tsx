import { closingKey, keysInWords, type ResolvedCue } from '#core/cue';

/** A cue with the sign of the key it waits for; nothing where there is none. */
export function CueShown({ cue, className = '' }: { cue: ResolvedCue | null; className?: string }) {
  if (!cue) return null;
  const closer = closingKey(cue);
  return (
    <span className={`cue ${className}`} title={closer ? `Type ${keysInWords(cue)}` : undefined}>
      {cue.typed}
      {closer && (
        <span aria-hidden className="text-soft">
          {closer.sign}
        </span>
      )}
    </span>
  );
}
