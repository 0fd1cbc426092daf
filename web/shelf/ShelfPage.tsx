import { useNavigate } from 'react-router';
import { starterFile, STARTER_LEAD_IN, STARTERS, type Starter } from '#core/starters';
import { useKinds } from '../api';
import { Figure } from '../shell';
import { WordingsView } from '../show';
import { Button } from '../ui';

function StarterSection({ starter }: { starter: Starter }) {
  const navigate = useNavigate();
  const { workOf } = useKinds();
  const { entries } = starterFile(starter, STARTER_LEAD_IN);
  return (
    <section aria-labelledby={starter.id} className="border-b border-hair px-9 py-4 max-[899px]:px-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <h2 id={starter.id} className="font-book text-[19px]">
          {starter.name}
        </h2>
        <span className="text-[13px] text-soft">
          {entries.length} entries, for {starter.kind ? workOf(starter.kind).toLowerCase() : 'all work'}
        </span>
        <Button
          className="ml-auto"
          onClick={() => void navigate('/bank/bring-in', { state: { starter: starter.id } })}
        >
          Add it to the bank<span className="sr-only">: {starter.name}</span>
        </Button>
      </div>
      <p className="text-[14.5px] text-soft">{starter.about}</p>
      <details className="mt-1 text-[14px]">
        <summary className="min-h-6 cursor-pointer text-elder">Show the entries</summary>
        <ul className="mt-1">
          {entries.map(({ id, content }) => (
            <li
              key={id}
              className="grid grid-cols-[4rem_12rem_1fr] gap-x-3 border-b border-hair py-1 last:border-0"
            >
              <span className="cue">{content.cues[0] && STARTER_LEAD_IN + content.cues[0].text}</span>
              <span>{content.title}</span>
              <div className="min-w-0 break-words">
                <WordingsView content={content} />
              </div>
            </li>
          ))}
        </ul>
      </details>
    </section>
  );
}

/** Collections to begin with, on their shelf: looked at, taken, and taken again when there is more in them. */
export function ShelfPage() {
  return (
    <Figure
      marginLabel="About starter collections"
      margin={
        <p className="pt-6 text-[14px] text-soft">
          Change what you add as you like. Adding a collection again brings only its new entries; your changes
          stay.
        </p>
      }
    >
      <h1 className="px-9 pt-6 pb-2 font-book text-[26px] leading-tight max-[899px]:px-4">
        Starter collections
      </h1>
      {STARTERS.map((starter) => (
        <StarterSection key={starter.id} starter={starter} />
      ))}
    </Figure>
  );
}
