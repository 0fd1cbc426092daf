import { LETTERS_COUNTED, type LettersCounted } from '#core/glossary';
import { Tick } from '../ui';

/** What is counted, as the settings say it, with a term that is found so. */
const SAID: Record<LettersCounted, string> = {
  beginning: 'Its first letters: “hedg” for hedgehog',
  initials: 'The initials of a phrase: “bbr” for banded by ringer',
  consonants: 'Its consonants: “mlxcm” for meloxicam',
};

/** Which letters count, in few words, for a list of glossaries; null where all do. */
export function lettersInWords(letters: readonly LettersCounted[]): string | null {
  if (letters.length === LETTERS_COUNTED.length) return null;
  if (letters.length === 0) return 'found by cues alone';
  const named = { beginning: 'first letters', initials: 'initials', consonants: 'consonants' };
  return `found by ${letters.map((one) => named[one]).join(' and ')}`;
}

interface Props {
  letters: readonly LettersCounted[];
  change: (letters: LettersCounted[]) => void;
}

/** Which letters of a glossary's terms find them as one types. */
export function LettersField({ letters, change }: Props) {
  const flip = (one: LettersCounted) =>
    change(LETTERS_COUNTED.filter((other) => letters.includes(other) !== (other === one)));
  return (
    <fieldset>
      <legend className="eyebrow">A term is found by</legend>
      {LETTERS_COUNTED.map((one) => (
        <Tick key={one} on={letters.includes(one)} toggle={() => flip(one)}>
          {SAID[one]}
        </Tick>
      ))}
      <p className="text-[13px] text-soft">A term’s own cue finds it always.</p>
    </fieldset>
  );
}
