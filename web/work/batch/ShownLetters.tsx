import { LETTER_STATES, type LetterState } from '#core/batch';
import type { Letter } from './letterMaker';
import { STATE_WORDS } from './stateWords';

/** Which letters a list shows: of one state, of the sample, or all. */
export type Shown = LetterState | 'all' | 'sample';

/** The letters that a list shows. The one that is on the leaf stays, though its state is another by now. */
export function shownOf(
  letters: readonly Letter[],
  shown: Shown,
  sample: readonly string[] | null,
  here: string | null,
): readonly Letter[] {
  if (shown === 'all') return letters;
  const isShown = ({ row, state }: Letter) =>
    shown === 'sample' ? sample?.includes(row.id) : state === shown;
  return letters.filter((letter) => letter.row.id === here || isShown(letter));
}

interface Props {
  letters: readonly Letter[];
  sample: readonly string[] | null;
  shown: Shown;
  show: (shown: Shown) => void;
}

/** Picks which letters the list shows, each state with how many there are. */
export function ShownLetters({ letters, sample, shown, show }: Props) {
  const count = (state: LetterState) => letters.filter((each) => each.state === state).length;
  const states = LETTER_STATES.filter((state) => count(state) > 0 || state === shown);
  return (
    <label className="grid gap-0.5">
      <span className="eyebrow">Shown</span>
      <select className="input" value={shown} onChange={({ target }) => show(target.value as Shown)}>
        <option value="all">all {letters.length.toLocaleString()} letters</option>
        {sample && <option value="sample">the sample, {sample.length.toLocaleString()}</option>}
        {states.map((state) => (
          <option key={state} value={state}>
            {STATE_WORDS[state]}, {count(state).toLocaleString()}
          </option>
        ))}
      </select>
    </label>
  );
}
