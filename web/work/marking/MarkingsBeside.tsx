import type { ReactNode } from 'react';
import type { OthersMarkings } from '#contracts';
import { MARKING_COLOURS, MARKING_SIZES, type MarkingOn } from '#core/passage';
import { Button, Key, Tick } from '../../ui';
import { NotesBeside } from './NotesBeside';
import { OthersBeside } from './OthersBeside';
import { OtherPages } from './OtherPages';
import type { NoteOnPage } from './useNotes';
import { wordsOfMarking } from './wordsOfMarking';
import type { Markings } from './useMarkings';

const COLOUR_WORDS: Record<MarkingOn['colour'], string> = {
  ...{ ink: 'Ink', elder: 'Elder', leaf: 'Green', rust: 'Rust' },
};
const SIZE_WORDS: Record<MarkingOn['size'], string> = { small: 'Small', medium: 'Medium', large: 'Large' };

/** One of a few looks of a marking. */
function Pick<T extends string>({
  label,
  all,
  words,
  value,
  pick,
}: {
  label: string;
  all: readonly T[];
  words: Record<T, string>;
  value: T;
  pick: (value: T) => void;
}) {
  return (
    <span role="group" aria-label={label} className="flex gap-2">
      {all.map((one) => (
        <Button
          key={one}
          look="text"
          aria-pressed={one === value}
          className={one === value ? 'font-semibold text-elder' : ''}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => pick(one)}
        >
          {words[one]}
        </Button>
      ))}
    </span>
  );
}

/** What can be done with the marking at hand: how it looks, where it leads, once more elsewhere. */
function AtHand({ marking, markings, pages }: { marking: MarkingOn; markings: Markings; pages: number }) {
  const { size, colour, framed, lead } = marking;
  const { acts, point, pointing, isForAll, setForAll, alike } = markings;
  return (
    <div role="group" aria-label="This marking" className="grid gap-1 border-b border-hair pb-2 text-[13px]">
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        <Pick
          label="Size"
          all={MARKING_SIZES}
          words={SIZE_WORDS}
          value={size}
          pick={(now) => acts.changeLook({ size: now })}
        />
        <Pick
          label="Colour"
          all={MARKING_COLOURS}
          words={COLOUR_WORDS}
          value={colour}
          pick={(now) => acts.changeLook({ colour: now })}
        />
      </div>
      <div className="flex flex-wrap gap-x-4 gap-y-1" onMouseDown={(event) => event.preventDefault()}>
        <Button look="text" aria-pressed={framed} onClick={() => acts.changeLook({ framed: !framed })}>
          {framed ? 'No box' : 'In a box'}
        </Button>
        {lead ? (
          <Button look="text" onClick={() => acts.leadNowhere()}>
            No {lead.as}
          </Button>
        ) : (
          (['arrow', 'bracket'] as const).map((as) => (
            <Button key={as} look="text" aria-pressed={pointing === as} onClick={() => point(as)}>
              {as === 'arrow' ? 'Arrow to …' : 'Bracket to …'}
            </Button>
          ))
        )}
        <Button look="text" onClick={() => acts.again()}>
          The same again <Key>Alt + .</Key>
        </Button>
        <Button look="text" aria-pressed={pointing === 'line-up'} onClick={() => point('line-up')}>
          Line up with … <Key>Alt + E</Key>
        </Button>
        <Button look="text" onClick={() => acts.drop()}>
          Delete
        </Button>
      </div>
      {alike > 1 && (
        <Tick on={isForAll} toggle={() => setForAll(!isForAll)}>
          Change and delete all {alike} that say this
        </Tick>
      )}
      {pages > 1 && <OtherPages {...{ markings, pages }} />}
      {pointing !== 'marking' && (
        <p role="status" className="text-soft">
          {pointing === 'line-up' ? (
            <>
              Point at the other marking, or step to it by <Key>Alt + T</Key>: this one goes in line beneath
              it or beside it, whichever is nearer.
            </>
          ) : (
            <>
              Point where it leads to, or go there by the arrows and press <Key>Enter</Key>.
            </>
          )}
        </p>
      )}
    </div>
  );
}

/** What is marked, page by page: the list beside the page, and what can be done with the marking at hand. */
export function MarkingsBeside({
  markings,
  notes,
  others,
  open,
  pages,
  children,
}: {
  markings: Markings;
  notes: readonly NoteOnPage[];
  others: readonly OthersMarkings[];
  open: boolean;
  pages: number;
  /** What can be done with all of them. */
  children: ReactNode;
}) {
  const { markings: all, current, acts, isReading, view } = markings;
  const here = all.find(({ marking }) => marking.id === current)?.marking;
  return (
    <div className="grid gap-3 pb-3">
      {here && view === 'page' && <AtHand {...{ markings, pages }} marking={here} />}
      {isReading && (
        <p className="text-[13px] text-soft">
          Click on the page, or go there by the arrows, and type. <Key>Enter</Key> is done, <Key>Alt + T</Key>{' '}
          the next marking, <Key>Del</Key> deletes it.
        </p>
      )}
      {isReading && all.length > 0 && (
        <nav aria-label="Markings" className="max-h-[60vh] overflow-y-auto">
          <ol className="text-[14px]">
            {all.map((one, at) => (
              <li key={one.marking.id} className="border-b border-hair">
                {(at === 0 || all[at - 1]!.marking.page !== one.marking.page) && pages > 1 && (
                  <p className="eyebrow pt-1">Page {one.marking.page + 1}</p>
                )}
                <button
                  type="button"
                  aria-current={one.marking.id === current ? 'true' : undefined}
                  onClick={() => acts.pick(one.marking.id)}
                  className={`block min-h-6 w-full py-1 text-left font-book hover:bg-flower ${one.marking.id === current ? 'font-semibold text-elder' : ''}`}
                >
                  {wordsOfMarking(one) || 'Without words'}
                </button>
              </li>
            ))}
          </ol>
        </nav>
      )}
      {isReading && <OthersBeside {...{ others, markings, open, pages }} />}
      {isReading && <NotesBeside {...{ notes, markings, open }} />}
      {isReading && all.length > 0 && children}
    </div>
  );
}
