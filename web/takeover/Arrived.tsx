import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { CollectionFile, Import } from '#contracts';
import { inWords, Unreachable } from '#client/api';
import { sendFilesAlong } from '#client/files';
import { ImportSending } from '#client/imports';
import type { BankIndex } from '#core/bank';
import { KEYS, queryClient, renewCollection } from '../api';
import { Button, Loading, Notice, Refused, SelectField } from '../ui';
import { ArrivalList } from './ArrivalList';
import { useArriving } from './useArriving';
import type { IntakeState } from './useIntake';

const entriesInWords = (count: number) => (count === 1 ? 'one entry' : `${count.toLocaleString()} entries`);

interface Props {
  index: BankIndex;
  name: string;
  file: Pick<CollectionFile, 'collections' | 'entries' | 'files'>;
  /** Where entries are yet made of what came: how they are changed by hand. Null where they come as they are. */
  intake: IntakeState | null;
  done: (came: Import) => void;
}

/** The sending of what is brought in: how far it is, and how it is stopped. */
function useSending(
  name: string,
  file: Props['file'],
  body: ReturnType<typeof useArriving>['body'],
  done: Props['done'],
) {
  const [sent, setSent] = useState(0);
  const sending = useRef<{ of: unknown; work: ImportSending } | null>(null);
  const take = useMutation({
    mutationFn: async (): Promise<Import | null> => {
      // After a lost connection it goes on where it was, as long as nothing else was chosen.
      if (sending.current?.of !== body) sending.current = { of: body, work: new ImportSending(body, name) };
      await sendFilesAlong(file, body);
      return sending.current.work.run(setSent);
    },
    onSuccess: async (came) => {
      sending.current = null;
      await queryClient.invalidateQueries({ queryKey: KEYS.imports });
      if (came === null) return;
      // What arrived is let go first: of a large file all would be compared once more with the bank that has it.
      done(came);
      await queryClient.invalidateQueries({ queryKey: KEYS.bank });
      await renewCollection(came.collection).catch(() => undefined);
    },
    onError: () => void queryClient.invalidateQueries({ queryKey: KEYS.imports }),
  });
  return { take, sent, stop: (how: 'keep' | 'drop') => sending.current?.work.stop(how) };
}

const rowOf = (id: string): number => Number(id.replace(/\D/g, ''));

/** What it is called, how much it is, and where it goes. */
function WhereTo({
  index,
  file,
  into,
  setInto,
}: Pick<Props, 'index' | 'file'> & Pick<ReturnType<typeof useArriving>, 'into' | 'setInto'>) {
  const [root, ...inside] = file.collections;
  return (
    <div className="grid gap-4 px-9 py-4 max-[899px]:px-4">
      <p>
        <span className="font-book text-[19px]">{root!.name}</span>
        <span className="text-soft">
          {' '}
          with {entriesInWords(file.entries.length)}
          {inside.length > 0 &&
            (inside.length === 1 ? ' and one collection in it' : ` and ${inside.length} collections in it`)}
        </span>
      </p>
      <SelectField label="Where it goes" value={into} onChange={({ target }) => setInto(target.value)}>
        <option value="">a collection of its own, which only you see until you share it</option>
        {index.bank.collections
          .filter(({ right }) => right === 'keep')
          .map(({ id, name: called }) => (
            <option key={id} value={id}>
              into {called}
            </option>
          ))}
      </SelectField>
    </div>
  );
}

/** How far the sending is, with its stops; or what came of it. */
function Sending({ take, sent, of, stop }: ReturnType<typeof useSending> & { of: number }) {
  if (take.error instanceof Unreachable)
    return (
      <Notice tone="warning" title={inWords(take.error)}>
        What was sent is not lost. Press the button again to go on where it stopped.
      </Notice>
    );
  if (take.error) return <Refused error={take.error} />;
  if (take.isPending)
    return (
      <p role="status">
        {sent.toLocaleString()} of {entriesInWords(of)} sent …{' '}
        <Button look="text" onClick={() => stop('keep')}>
          Stop, add these
        </Button>{' '}
        <Button look="text" onClick={() => stop('drop')}>
          Stop, add none
        </Button>
      </p>
    );
  return take.isSuccess && take.data === null ? <p role="status">Stopped. Nothing was brought in.</p> : null;
}

/** What arrives, where it goes, and the act that brings it in. */
export function Arrived({ index, name, file, intake, done }: Props) {
  const isFlat = intake?.groups === 'tags';
  const arriving = useArriving(file, index, { isFlat });
  const { lines, choose, body, isHere } = arriving;
  const sending = useSending(name, file, body, done);
  const { take } = sending;
  const count = body.entries.length;
  const hasBare = body.entries.some(
    ({ replaces, content }) => replaces === null && content.cues.length === 0,
  );
  return (
    <>
      <WhereTo index={index} file={file} into={arriving.into} setInto={arriving.setInto} />
      {isHere ? (
        <ArrivalList
          lines={lines}
          left={intake?.left ?? []}
          choose={choose}
          edit={intake && ((id, change) => intake.edit(rowOf(id), change))}
          wordsOf={intake?.wordsOf ?? (() => '')}
          proposeCues={
            intake && hasBare
              ? () =>
                  intake.editMany(
                    new Map([...arriving.proposedCues()].map(([id, cue]) => [rowOf(id), { cue }])),
                  )
              : null
          }
          give={(row, words) => intake?.edit(row, { words })}
        />
      ) : (
        <Loading what="the collection there" />
      )}
      <footer className="sticky bottom-0 flex flex-wrap items-center gap-4 border-t border-hair bg-page px-9 py-4 max-[899px]:px-4">
        <div className="grow text-[14px]">
          <Sending {...sending} of={count} />
          {arriving.isComparing && !take.isPending && <p className="text-soft">Comparing with the bank …</p>}
        </div>
        <Button look="main" disabled={!isHere || count === 0 || take.isPending} onClick={() => take.mutate()}>
          Bring in {entriesInWords(count)}
        </Button>
      </footer>
    </>
  );
}
