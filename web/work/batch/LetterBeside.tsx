import type { BatchRow, RowChange } from '#contracts';
import { instantInWords } from '#client/clock';
import { takenIn, type BatchSetup } from '#core/batch';
import { entryIn, type BankIndex } from '#core/bank';
import { Link } from 'react-router';
import { Button, Key, Notice } from '../../ui';
import type { Letter } from './letterMaker';
import { RowCells } from './RowCells';
import { isOut, STATE_LOOKS, STATE_WORDS, WAY_WORDS } from './stateWords';

interface Props {
  letter: Letter;
  setup: BatchSetup;
  index: BankIndex;
  /** The entries that rows of this batch get, in the order of their keys. */
  choices: readonly string[];
  check: () => void;
  hold: () => void;
  change: (change: RowChange) => void;
  /** Changes it too, and says whether that was saved. */
  save: (change: RowChange) => Promise<boolean>;
  /** Hears where the two touched, of what was taken in. */
  say: (words: string | null) => void;
}

/** How and when a letter went out. */
function outWords({ gone, goneAt, sending }: BatchRow): string | null {
  if (sending?.state === 'waiting') return `It goes ${instantInWords(sending.at)}.`;
  if (sending?.state === 'going') return 'It is going out.';
  if (sending?.state === 'gone') return `It went out by mail ${instantInWords(sending.at)}.`;
  if (sending?.state === 'perhaps-gone') return 'It has perhaps gone: nobody knows.';
  if (sending?.state === 'refused') return 'It was refused, and has not gone.';
  return gone && goneAt ? `It went out as ${WAY_WORDS[gone]} ${instantInWords(goneAt)}.` : null;
}

/** What is to be looked at in a letter: its gaps, and what is wrong in its row. */
function ToLookAt({ letter }: { letter: Letter }) {
  const { gaps, faults, hasChanged, state } = letter;
  if (isOut(state)) return null;
  const words = [
    ...gaps.map(({ name, kind }) => (kind === 'confirm' ? `to confirm: ${name}` : `${name} is not answered`)),
    ...faults.map((fault) => fault.words),
    ...(hasChanged ? ['it reads otherwise than when it was checked'] : []),
  ];
  if (words.length === 0) return null;
  return (
    <ul className="list-disc pl-5 text-[14px] text-rust">
      {words.map((each) => (
        <li key={each}>{each}</li>
      ))}
    </ul>
  );
}

/** A letter changed by hand: back to its wording, and taking in what that has become. */
function ByHand({ letter, change, save, say }: Pick<Props, 'letter' | 'change' | 'save' | 'say'>) {
  const { row, fresh, hasMovedOn } = letter;
  const { byHand } = row;
  if (!byHand || isOut(letter.state)) return null;
  const takeIn = () => {
    const { document, clashes } = takenIn(byHand, fresh!);
    const words =
      clashes === 0
        ? 'Taken in. What was changed by hand is still there.'
        : `Taken in. In ${clashes === 1 ? 'one place' : `${clashes} places`} both had changed the same words: those by hand stand.`;
    void save({ row: row.id, byHand: { document, base: fresh! } }).then((isSaved) => isSaved && say(words));
  };
  return (
    <>
      {hasMovedOn && (
        <Notice title="Its wording or its row has changed since.">
          <p>What was changed by hand stays.</p>
          <Button className="mt-1" onClick={takeIn}>
            Take the change in
          </Button>
        </Notice>
      )}
      <p className="text-[13.5px] text-soft">
        Changed by hand.{' '}
        {fresh && (
          <Button look="text" onClick={() => change({ row: row.id, byHand: null })}>
            Back to its wording
          </Button>
        )}
      </p>
    </>
  );
}

/** The letters a row can get by one key each. */
function Choices({ letter, index, choices, change }: Pick<Props, 'letter' | 'index' | 'choices' | 'change'>) {
  if (choices.length === 0 || isOut(letter.state)) return null;
  const put = (entry: string | null) => change({ row: letter.row.id, entry });
  return (
    <div role="group" aria-label="Which letter" className="grid justify-items-start gap-1">
      <span className="eyebrow">Which letter</span>
      {choices.slice(0, 9).map((entry, at) => (
        <Button
          key={entry}
          aria-pressed={letter.entry === entry}
          className={`max-w-full text-[13.5px] ${letter.entry === entry ? 'border-leaf text-leaf' : ''}`}
          onClick={() => put(entry)}
        >
          <span className="truncate">{entryIn(index, entry)?.content.title ?? 'not here any more'}</span>{' '}
          <Key>{String(at + 1)}</Key>
        </Button>
      ))}
      {letter.row.entry !== null && (
        <p className="text-[13px] text-soft">
          Decided by hand.{' '}
          <Button look="text" onClick={() => put(null)}>
            As the rules say <Key>0</Key>
          </Button>
        </p>
      )}
    </div>
  );
}

/** All about the letter that is on the leaf, and what can be done with it. */
export function LetterBeside({ letter, setup, index, choices, check, hold, change, save, say }: Props) {
  const { row, name, state, title, entry, faults } = letter;
  const out = outWords(row);
  return (
    <section aria-label="This letter" className="grid gap-2 pt-3">
      <h2 className="font-book text-[18px] leading-tight break-words">{name || `Row ${row.position + 1}`}</h2>
      <p role="status" className={`text-[14px] ${STATE_LOOKS[state]}`}>
        {out ?? STATE_WORDS[state]}
      </p>
      {row.sending && row.sending.reason !== '' && (
        <p className="text-[13px] break-words text-soft">{row.sending.reason}</p>
      )}
      {entry && title && (
        <p className="text-[13.5px] text-soft">
          <Link to={`/bank/${entry}`} className="inline-block min-h-6 underline hover:text-elder">
            {title}
          </Link>
        </p>
      )}
      <ToLookAt letter={letter} />
      {!isOut(state) && (
        <p className="flex flex-wrap gap-2">
          {state !== 'held' && letter.document && (
            <Button look="main" onClick={check}>
              Checked, next <Key>Enter</Key>
            </Button>
          )}
          <Button onClick={hold}>
            {row.isHeld ? 'Hold back no more' : 'Hold back'} <Key>H</Key>
          </Button>
          {row.checked !== null && !letter.hasChanged && (
            <Button look="text" onClick={() => change({ row: row.id, checked: null })}>
              Not checked after all
            </Button>
          )}
        </p>
      )}
      <ByHand {...{ letter, change, save, say }} />
      <Choices {...{ letter, index, choices, change }} />
      {!isOut(state) && (
        <RowCells
          key={row.id}
          {...{ setup, row }}
          isOpen={faults.length > 0}
          change={(cells) => save({ row: row.id, version: row.version, cells })}
          drop={() => change({ row: row.id, drop: true })}
        />
      )}
    </section>
  );
}
