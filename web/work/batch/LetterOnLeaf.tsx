import { useQuery } from '@tanstack/react-query';
import { useState, type RefObject } from 'react';
import type { Case } from '#contracts';
import { call, inWords } from '#client/api';
import type { DraftDocument } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { messageOf } from '#core/letter';
import type { CaseRecord } from '#core/record';
import { KEYS } from '../../api';
import { useShell, type Action } from '../../shell';
import { PassageView } from '../../show';
import { Loading, Notice } from '../../ui';
import { useUnsentCopy } from '../../writing';
import type { Letter } from './letterMaker';
import { LetterText, type LetterHandle } from './LetterText';
import { isOut } from './stateWords';
import { isSameLetter } from './useLetterKeeping';
import { useLeafActions } from '../../leaf';

interface Props {
  one: Case;
  letter: Letter;
  record: CaseRecord;
  handleRef: RefObject<LetterHandle | null>;
  actions: readonly Action[];
  say: (words: string | null) => void;
  inHand: HTMLElement | null;
  beside: HTMLElement | null;
  notices: HTMLElement | null;
}

/** A letter as it went out: it is read, and changed no more. */
function AsItWent({ one, letter, actions }: Pick<Props, 'one' | 'letter' | 'actions'>) {
  const { row, head } = letter;
  useLeafActions([...actions], null, () => null);
  const kept = useQuery({
    queryKey: [...KEYS.batch(one.id), row.id, row.sending?.id ?? row.goneAt],
    queryFn: () => call('batchLetter', { params: { case: one.id, row: row.id } }),
  });
  if (kept.isPending) return <Loading what="the letter" />;
  if (kept.isError) return <Notice tone="warning" title={inWords(kept.error)} />;
  const document = kept.data.document ?? letter.document;
  if (!document) return null;
  return (
    <div className="px-9 py-5 max-[899px]:px-4">
      <dl className="mb-4 grid grid-cols-[4.5rem_1fr] text-[14.5px]">
        <dt className="eyebrow">To</dt>
        <dd>{head?.to}</dd>
        <dt className="eyebrow">Subject</dt>
        <dd>{head?.subject}</dd>
      </dl>
      <div className="book">
        <PassageView passage={messageOf(finishedPassage(document))} nameOf={(field) => field} />
      </div>
    </div>
  );
}

/** The letter of a row on the leaf: written on as long as it is here, read once it is out. */
export function LetterOnLeaf(props: Props) {
  const { letter } = props;
  const { document, fresh, row } = letter;
  const { member } = useShell();
  const copy = useUnsentCopy({ member: member.id, id: row.id, document, isSame: isSameLetter });
  const [shown, setShown] = useState({ turn: 0, document });
  const [saved, setSaved] = useState<DraftDocument | null>(null);
  // While something written here is not saved yet, nothing takes its place: what a colleague saved meanwhile is told instead.
  const [isUnsaved, setUnsaved] = useState(false);
  // What the leaf has: what was saved from it last, else what it was opened with.
  const here = saved ?? shown.document;
  const isHere = here !== null && document !== null && isSameLetter(here, document);
  // Changed elsewhere: by its wording, its row, a colleague, or a button beside it. What is written here is what is saved.
  if (!isUnsaved && document !== here && !isHere) {
    setShown({ turn: shown.turn + 1, document });
    setSaved(null);
  }
  if (isOut(letter.state)) return <AsItWent {...props} />;
  if (!shown.document || !(row.byHand?.base ?? fresh)) return <NoLetter actions={props.actions} />;
  if (copy === undefined) return null;
  return (
    <LetterText
      key={shown.turn}
      {...props}
      {...{ row, saved: setSaved, setUnsaved }}
      document={shown.document}
      // Shown anew it is as the server has it.
      copy={shown.turn > 0 ? null : copy}
      base={row.byHand?.base ?? fresh!}
    />
  );
}

/** A row for which nothing was decided. */
function NoLetter({ actions }: { actions: readonly Action[] }) {
  useLeafActions([...actions], null, () => null);
  return (
    <p className="px-9 py-8 text-soft max-[899px]:px-4">
      No rule fits this row. Pick its letter in the margin, or change the rules.
    </p>
  );
}
