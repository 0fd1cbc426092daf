import type { Collection, Entry } from '#contracts';
import { ApiProblem, inWords, isProblem } from '../api/client';
import { SignInAgain } from '../account/SignInAgain';
import { useShell } from '../shell/ShellContext';
import { Button, Notice } from '../ui';
import { mainPassage } from './entryFields';
import { History } from './History';
import { PassageView } from './PassageView';
import { Preview } from './Preview';
import type { EntryChanging } from './useEntryChange';

interface Props {
  entry: Entry | null;
  collection: Collection | undefined;
  changing: EntryChanging;
  said: string | null;
  takeCue: (cue: string) => void;
}

function Refused({ error, leadIn, takeCue }: { error: Error; leadIn: string } & Pick<Props, 'takeCue'>) {
  const problem = error instanceof ApiProblem ? error.problem : null;
  const proposed = isProblem(error, 'cue-taken') ? error.problem.proposed : undefined;
  const others = (problem?.faults ?? []).filter(({ message }) => message !== problem?.detail);
  return (
    <Notice tone="warning" title={inWords(error)}>
      {others.map(({ place, message }) => (
        <p key={place + message}>{message}</p>
      ))}
      Nothing was saved, and your change stands here as it was.{' '}
      {proposed && (
        <Button look="text" onClick={() => takeCue(proposed)}>
          Use {leadIn + proposed}
        </Button>
      )}
    </Notice>
  );
}

function Theirs({ theirs, changing }: { theirs: Entry; changing: EntryChanging }) {
  const nameOf = (field: string) => theirs.content.fields.find((one) => one.id === field)?.name ?? field;
  return (
    <Notice tone="warning" title="Someone saved this entry while you were changing it.">
      <p>
        {theirs.reason || 'No reason given'}. Theirs reads as below; yours stands on the leaf, whole. Take
        over what you want of it, then save.
      </p>
      <div className="book my-2 border-l border-hair pl-3 text-[15px] text-ink">
        <p className="font-semibold">{theirs.content.title}</p>
        <PassageView passage={mainPassage(theirs.content)} nameOf={nameOf} />
      </div>
      <p className="flex flex-wrap gap-2">
        <Button onClick={changing.saveOverTheirs}>Save mine as the next revision</Button>
        <Button onClick={changing.letGo}>Keep theirs</Button>
      </p>
    </Notice>
  );
}

/** Beside an entry: what became of a save, how it reads for a case, and its history. */
export function EntryMargin({ entry, collection, changing, said, takeCue }: Props) {
  const { theirs, error, setAside } = changing;
  const { member } = useShell();
  return (
    <div className="entry-margin grid gap-6 pt-6">
      {theirs && <Theirs theirs={theirs} changing={changing} />}
      {isProblem(error, 'not-signed-in') ? (
        <SignInAgain member={member} kept="Your change is kept on this computer." goOn={changing.save} />
      ) : (
        error && <Refused error={error} leadIn={collection?.leadIn ?? ''} takeCue={takeCue} />
      )}
      {said && !changing.isChanged && <Notice title={said} />}
      {setAside && (
        <Notice title="Your change was put aside.">
          <Button look="text" onClick={changing.takeUpAgain}>
            Take it up again
          </Button>
        </Notice>
      )}
      <Preview content={changing.content} kindsOfWork={collection?.kindsOfWork ?? []} />
      {entry && (
        <History
          entry={entry.id}
          current={entry.revision}
          bringBack={collection?.right === 'keep' ? changing.bringBack : null}
        />
      )}
    </div>
  );
}
