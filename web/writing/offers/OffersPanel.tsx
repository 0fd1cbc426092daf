import { OFFER_LABELS, type Offer } from '#core/glossary';
import { Button, Key, useRemembered } from '../../ui';
import type { Offered } from './offering';

const WHY: Record<Offer['by'], string> = {
  cue: 'its cue begins so',
  beginning: 'it begins so',
  initials: 'these are its initials',
  consonants: 'these are its consonants',
  family: 'small words that go together, by their first letters',
  date: 'the day this shorthand means',
  ending: 'the same word with another ending',
  mistyped: 'its cue is one slip away',
  'no-lead-in': 'its cue, without the lead-in',
};

/** Why something is offered, in words, as told on hover. */
function why(offer: Offer, source: string): string {
  const used =
    offer.times > 0 ? `; you have used it ${offer.times === 1 ? 'once' : `${offer.times} times`}` : '';
  return `${source}: ${WHY[offer.by]}${used}`;
}

function ReadBackLine({ offer, label }: { offer: Offer; label: string }) {
  const { strengths, names, note } = offer.readBack!;
  return (
    <p role="alert" className="border-l-2 border-rust pl-2 text-[13px] text-rust">
      <strong>{offer.text}</strong>
      {strengths.length > 0 && `, not ${strengths.join(', ')}`}
      {names.length > 0 && `; not ${names.join(', ')}`}
      {note && `. ${note}`}. Press <Key>{`Alt ${label}`}</Key> again if it is right.
    </p>
  );
}

/** What stands beside an offer: its cue, so that it is typed the next time; else where it comes from. */
const Beside = ({ cue, source }: { cue: string | null; source: string }) => (
  <span className={`max-w-28 truncate ${cue ? 'cue text-[12px]' : 'text-[11.5px] text-soft'}`}>
    {cue ?? source}
  </span>
);

interface Props {
  offered: Offered;
  /** The name of the list an offer comes from. */
  sourceOf: (offer: Offer) => string;
  /** The cue that would have brought an offer; null where there is none. */
  cueOf: (offer: Offer) => string | null;
  take: (at: number) => void;
  /** Whether arrows go through the list. */
  canBeWalked?: boolean;
}

/** What is offered at the caret, each with its key. */
export function OffersPanel({ offered, sourceOf, cueOf, take, canBeWalked = true }: Props) {
  const { offers, walking, readingBack } = offered;
  const [areTwo, toggle] = useRemembered('offer-columns', false);
  return (
    <section aria-label="Offers" data-line={offered.lookedAt}>
      <h2 className="eyebrow">
        <Key>Alt</Key> + letter takes it
      </h2>
      <ul className={`mt-1 ${areTwo ? 'columns-2 gap-4' : ''}`}>
        {offers.map((offer, at) => (
          // By place: the rows stay and their words change, which is drawn sooner than new rows are.
          <li key={at} className="break-inside-avoid border-b border-hair">
            <button
              type="button"
              tabIndex={-1}
              title={why(offer, sourceOf(offer))}
              aria-current={walking === at || undefined}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => take(at)}
              className={`grid w-full grid-cols-[1.4rem_1fr_auto] items-baseline gap-2 px-1 py-[3px] text-left hover:text-elder ${
                walking === at ? 'bg-flower' : ''
              }`}
            >
              <span className="font-cue text-[12px] text-soft">{OFFER_LABELS[at]}</span>
              <span className={`truncate text-[14.5px] ${offer.kind === 'entry' ? '' : 'book'}`}>
                {offer.text}
              </span>
              <Beside cue={cueOf(offer)} source={areTwo ? '' : sourceOf(offer)} />
            </button>
            {readingBack === at && <ReadBackLine offer={offer} label={OFFER_LABELS[at]!} />}
          </li>
        ))}
      </ul>
      <p className="mt-1 text-[12.5px] text-soft">
        {canBeWalked && (
          <>
            <Key>Alt ↓</Key> goes into the list, <Key>Esc</Key> hides it.{' '}
          </>
        )}
        <Button
          look="text"
          tabIndex={-1}
          className="text-[12.5px]"
          onMouseDown={(event) => event.preventDefault()}
          onClick={toggle}
        >
          {areTwo ? 'One column' : 'Two columns'}
        </Button>
      </p>
    </section>
  );
}
