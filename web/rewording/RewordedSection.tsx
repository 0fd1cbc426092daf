import type { RewordedInDrafts } from '#contracts';
import { reworded } from '#core/rewording';
import type { BankIndex } from '#core/bank';
import { type DoneToMany, sendSteps, takingBack } from '#client/acts';
import { DoneNotice, useMany } from '../acts';
import { Button } from '../ui';
import { counted, EntryHead, InItsText } from '../show';
import { FoundSection, useLongWork } from '../longWork';

type Found = RewordedInDrafts['entries'][number];
type Change = Found['changes'][number];

/** What is done, in words: "8 of 11 drop this". */
function inWords({ from, to, put, times }: Change, placed: number): string {
  if (put === '') return `${times} of ${placed} drop this`;
  return from === to ? `${times} of ${placed} add this` : `${times} of ${placed} say this instead`;
}

/** Makes the change in the entry, or proposes it to those who keep it. Throws what `call` does. */
async function takeOver(
  { entry, wording, part }: Found,
  change: Change,
  isProposal: boolean,
): Promise<DoneToMany> {
  const content = reworded(entry.content, { wording, part }, change);
  const reason = 'As it is usually changed after placing';
  const { id, revision } = entry;
  if (isProposal) {
    const { proposals } = await sendSteps([{ do: 'propose', entry: id, content, reason, base: revision }]);
    return {
      said: 'The change is proposed to its keepers.',
      undo: proposals.map((proposal) => ({ do: 'withdraw', proposal })),
    };
  }
  await sendSteps([{ do: 'change', changes: [{ entry: id, revision, content }], reason }]);
  return { said: `“${entry.content.title}” reads so now.`, undo: [takingBack([entry], reason)] };
}

function OfEntry({ index, found }: { index: BankIndex; found: Found }) {
  const many = useMany(() => undefined);
  const { entry, wording, part, changes, placed } = found;
  const collection = index.collections.get(entry.collection);
  const right = collection?.right ?? 'read';
  return (
    <li className="border-b border-hair last:border-b-0 px-9 py-3 max-[899px]:px-4">
      <EntryHead index={index} entry={entry} />
      <DoneNotice many={many} />
      {!many.done && (
        <ul aria-label={`Changed in ${entry.content.title}`}>
          {changes.map((change) => (
            <li key={`${change.line} ${change.from} ${change.to} ${change.put}`} className="py-1">
              <InItsText
                content={entry.content}
                at={{ in: 'wording', wording, part, line: change.line }}
                from={change.from}
                to={change.to}
                put={change.put}
              />
              <p className="flex flex-wrap items-baseline gap-x-4 text-[13px] text-soft">
                {inWords(change, placed)}
                {right !== 'read' && (
                  <Button
                    look="text"
                    disabled={many.pending}
                    onClick={() => many.run(() => takeOver(found, change, right === 'contribute'))}
                  >
                    {right === 'contribute' ? 'Propose it for the entry' : 'Change the entry'}
                  </Button>
                )}
              </p>
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}

/** What people usually change after placing an entry, shown in its wording, and made so in one step. */
export function RewordedSection({ index }: { index: BankIndex }) {
  const work = useLongWork('rewordedInDrafts');
  return (
    <FoundSection
      title="Changed after placing"
      about="Wording that is usually edited by hand once it is on a leaf."
      look="Find changes"
      what="Reading the drafts"
      work={work}
      said={({ entries, count, read }) =>
        count === 0
          ? `No change was made again and again to ${counted(read, 'entry', 'entries')} in your drafts.`
          : `${count === 1 ? 'One entry is' : `${count} entries are`} usually changed${count > entries.length ? `; the first ${entries.length} are shown` : ''}.`
      }
    >
      {({ entries }) =>
        entries.map((found) => (
          <OfEntry
            key={`${found.entry.id} ${found.entry.revision} ${found.wording}`}
            index={index}
            found={found}
          />
        ))
      }
    </FoundSection>
  );
}
