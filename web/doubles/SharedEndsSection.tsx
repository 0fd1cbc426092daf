import { Link } from 'react-router';
import type { BankIndex } from '#core/bank';
import { DoneNotice, useMany } from '../acts';
import { takeKept } from '../api';
import { PassageView } from '../show';
import { Button } from '../ui';
import { FoundSection, useLongWork } from '../longWork';
import { makePiece, type End } from '#client/acts';

const TITLES = 8;

function EndLine({ index, end }: { index: BankIndex; end: End }) {
  const many = useMany(() => undefined);
  const { kind, passage, fields, at, piece } = end;
  const collection = index.collections.get(end.collection);
  const entries = [...new Map(at.map(({ entry }) => [entry.id, entry])).values()];
  return (
    <li className="grid gap-2 border-b border-hair last:border-b-0 px-9 py-3 max-[899px]:px-4">
      <div className="book border-l border-leaf pl-4">
        <PassageView
          passage={passage}
          nameOf={(id) => fields.find((field) => field.id === id)?.name ?? id}
          links={false}
        />
      </div>
      <p className="text-[14px] text-soft">
        {kind === 'opening' ? 'Begins' : 'Ends'} {entries.length} entries of {collection?.name}:{' '}
        {entries.slice(0, TITLES).map(({ id, content }, place) => (
          <span key={id}>
            {place > 0 && ', '}
            <Link to={`/bank/${id}`} className="text-ink underline">
              {content.title}
            </Link>
          </span>
        ))}
        {entries.length > TITLES && ` and ${entries.length - TITLES} more`}.
        {piece && ` “${piece.content.title}” says just this.`}
      </p>
      <DoneNotice many={many} />
      {!many.done && collection?.right === 'keep' && (
        <p>
          <Button disabled={many.pending} onClick={() => many.run(() => makePiece(end, takeKept))}>
            {piece ? `Put “${piece.content.title}” into them` : 'Make one entry of it for all'}
          </Button>
        </p>
      )}
    </li>
  );
}

/** What several entries begin or end with: made an entry of its own that stands in all of them. */
export function SharedEndsSection({ index }: { index: BankIndex }) {
  const work = useLongWork('sharedEnds');
  return (
    <FoundSection
      title="Shared openings and closings"
      about="What three entries or more begin or end with, made one entry."
      look="Find them"
      what="Reading the bank"
      work={work}
      said={({ ends, count, read }) =>
        count === 0
          ? `No opening or closing is shared by three of ${read.toLocaleString()} entries.`
          : `${count === 1 ? 'One opening or closing is' : `${count} openings and closings are`} shared${count > ends.length ? `; the first ${ends.length} are shown` : ''}.`
      }
    >
      {({ ends }) =>
        ends.map((end) => (
          <EndLine key={JSON.stringify([end.kind, end.collection, end.passage])} index={index} end={end} />
        ))
      }
    </FoundSection>
  );
}
