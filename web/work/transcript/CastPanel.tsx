import type { Speaker } from '#core/transcript';
import { Button, Key } from '../../ui';
import type { TurnActs } from './turnActs';

interface Props {
  cast: readonly Speaker[];
  /** Who may speak next, by their ids, the likeliest first. */
  next: readonly string[];
  /** Whose turn the caret is in. */
  here: string | null;
  isChoosing: boolean;
  acts: TurnActs;
  change: () => void;
}

/** Who speaks in the recording, whoever is likely to be next first; each begins a turn by a key or a click. */
export function CastPanel({ cast, next, here, isChoosing, acts, change }: Props) {
  const byId = new Map(cast.map((speaker) => [speaker.id, speaker]));
  const inOrder = next.flatMap((id) => byId.get(id) ?? []);
  return (
    <section aria-label="Cast" className={isChoosing ? 'slip' : ''}>
      <div className="flex items-baseline gap-3">
        <h2 className="section-head">Cast</h2>
        <Button look="text" className="ml-auto text-[13px]" onClick={change}>
          {cast.length === 0 ? 'Add speakers' : 'Change the cast'}
        </Button>
      </div>
      {isChoosing && (
        <p role="status" className="text-[13px] text-elder">
          Press the key of whoever speaks. Esc cancels.
        </p>
      )}
      <ul className="mt-1 grid text-[14px]">
        {inOrder.map((speaker, at) => (
          <li key={speaker.id}>
            <button
              type="button"
              className="flex min-h-7 w-full items-baseline gap-2 text-left hover:text-elder"
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => acts.begin(speaker.id)}
            >
              <span className="cue w-4 shrink-0">{speaker.key}</span>
              <span className={`grow truncate ${speaker.id === here ? 'font-semibold' : ''}`}>
                {speaker.name}
                {speaker.role && <span className="text-soft">, {speaker.role}</span>}
              </span>
              {at === 0 && <Key>Alt + Enter</Key>}
            </button>
          </li>
        ))}
      </ul>
      {cast.length > 1 && !isChoosing && (
        <p className="mt-1 text-[12px] text-soft">
          <Key>Alt + T</Key> and the letter begins a turn of theirs.
        </p>
      )}
    </section>
  );
}
