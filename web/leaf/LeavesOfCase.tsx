import { useState } from 'react';
import { useMutation } from '@tanstack/react-query';
import { useEditorState, type Editor } from '@tiptap/react';
import { Link, useNavigate } from 'react-router';
import type { Case, Draft, DraftSummary } from '#contracts';
import { titleOfDraft } from '#core/work';
import { emptyDraft } from '#core/draft';
import { call, ForPeople, inWords, isReached } from '#client/api';
import { beginLeafHere } from '#client/waiting';
import { KEYS, queryClient } from '../api';
import { calendarToday, dayInWords } from '#client/clock';
import { TakeTexts } from '../finished';
import { Button, TextField, useLastingIds } from '../ui';
import type { DraftKeeper } from '#client/drafts';

/** More leaves than these are folded away: a case of a year has hundreds. */
const SHOWN = 4;

/** Asks again for what a case says of its drafts, and for the desk. */
const askAgain = ({ id }: Case) => {
  for (const queryKey of [KEYS.case(id), KEYS.cases]) void queryClient.invalidateQueries({ queryKey });
};

class NotSaved extends ForPeople {
  constructor() {
    super('This leaf is not saved yet, so nothing was begun. Nothing is lost; try again once it is saved.');
  }
}

/** Begins another leaf of a case, empty or as a copy of the one at hand, and goes to it. */
export function useAnotherLeaf(one: Case, draft: Draft, keeper: DraftKeeper, say: (words: string) => void) {
  const navigate = useNavigate();
  const ids = useLastingIds();
  const begin = useMutation({
    mutationFn: async (copyOf: string | null) => {
      await keeper.flush();
      if (!isReached()) {
        const document = copyOf === null ? emptyDraft() : keeper.copied(one.record, calendarToday());
        return (await beginLeafHere(draft.author, one, document)).draft;
      }
      if (!keeper.isSaved) throw new NotSaved();
      const body = { id: ids.of(copyOf ?? ''), title: '', copyOf, today: calendarToday() };
      return call('beginDraft', { params: { case: one.id }, body });
    },
    onSuccess: ({ id }) => {
      ids.renew();
      askAgain(one);
      void navigate(`/cases/${one.id}/leaves/${id}`);
    },
    onError: (error) => say(inWords(error)),
  });
  return {
    isPending: begin.isPending,
    empty: () => begin.mutate(null),
    copy: () => begin.mutate(draft.id),
  };
}

function LeafLink({ one, isHere }: { one: DraftSummary; isHere: boolean }) {
  const words = (
    <>
      <span className="font-normal text-soft">
        {dayInWords(one.begunAt)}
        {one.state === 'finished' && ', finished'}{' '}
      </span>
      {titleOfDraft(one)}
    </>
  );
  if (isHere)
    return (
      <span aria-current="page" className="font-semibold text-elder">
        {words}
      </span>
    );
  return (
    <Link to={`/cases/${one.case}/leaves/${one.id}`} className="underline-offset-4 hover:underline">
      {words}
    </Link>
  );
}

function Links({ leaves, here }: { leaves: readonly DraftSummary[]; here: string }) {
  return (
    <ul className="flex flex-wrap gap-x-5 gap-y-1">
      {leaves.map((leaf) => (
        <li key={leaf.id} className="min-h-6 max-w-[17rem] truncate">
          <LeafLink one={leaf} isHere={leaf.id === here} />
        </li>
      ))}
    </ul>
  );
}

/** So much of a text is read to call it by what is written on it. */
const BEGINNING = 200;

/** How the text on the page begins, as it is typed. */
function useBeginning(editor: Editor): string {
  return useEditorState({
    editor,
    selector: ({ editor: { state } }) =>
      state.doc.textBetween(0, Math.min(state.doc.content.size, BEGINNING), ' ', (node) =>
        String(node.attrs.text ?? ' '),
      ),
  });
}

interface Props {
  one: Case;
  editor: Editor;
  /** The id of the draft on the page. */
  here: string;
  another: ReturnType<typeof useAnotherLeaf>;
}

/** My leaves of a case, the newest first, and beginning another. */
export function LeavesOfCase({ one, editor, here, another }: Props) {
  const excerpt = useBeginning(editor);
  const byDay = one.drafts
    .map((leaf) => (leaf.id === here ? { ...leaf, excerpt } : leaf))
    .sort((a, b) => b.begunAt.localeCompare(a.begunAt));
  // The one on the page is never folded away.
  const shown = byDay.filter(({ id }, at) => at < SHOWN || id === here);
  const folded = byDay.filter((leaf) => !shown.includes(leaf));
  return (
    <nav
      aria-label="Leaves of this case"
      data-print="no"
      className="flex flex-wrap items-baseline gap-x-5 gap-y-1"
    >
      {one.drafts.length > 1 && <Links leaves={shown} here={here} />}
      <span className="flex gap-4">
        <Button look="text" disabled={another.isPending} onClick={another.empty}>
          Another leaf
        </Button>
        <Button look="text" disabled={another.isPending} onClick={another.copy}>
          A copy of this one
        </Button>
        {one.drafts.filter(({ state }) => state === 'finished').length > 1 && (
          <TakeTexts of={one.id} label="Download the finished ones" name={one.title} look="text" />
        )}
      </span>
      {folded.length > 0 && (
        <details className="basis-full">
          <summary className="min-h-6 cursor-pointer text-soft">
            Earlier leaves, {folded.length.toLocaleString()}
          </summary>
          <Links leaves={folded} here={here} />
        </details>
      )}
    </nav>
  );
}

/** What the leaf on the page is called: by hand, or by what is written on it. */
export function NameOfLeaf({ one, here }: { one: Case; here: string }) {
  const leaf = one.drafts.find(({ id }) => id === here);
  const [title, setTitle] = useState(leaf?.title ?? '');
  const name = useMutation({
    mutationFn: () => call('nameDraft', { params: { draft: here }, body: { title } }),
    onSuccess: () => askAgain(one),
  });
  return (
    <form
      className="grid grid-cols-[1fr_auto] items-center gap-4 px-9 pb-4 max-[899px]:grid-cols-1 max-[899px]:px-4"
      data-print="no"
      onSubmit={(event) => {
        event.preventDefault();
        name.mutate();
      }}
    >
      <TextField
        label="Title of this leaf"
        hint="Left empty, the first sentence is the title."
        maxLength={120}
        value={title}
        error={name.error ? inWords(name.error) : undefined}
        onChange={({ target }) => setTitle(target.value)}
      />
      <Button type="submit" disabled={title.trim() === (leaf?.title ?? '') || name.isPending}>
        Rename
      </Button>
    </form>
  );
}
