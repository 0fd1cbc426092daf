import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo } from 'react';
import { useParams } from 'react-router';
import { keep } from '#client/kept';
import type { Case } from '#contracts';
import { isSame } from '#core/difference';
import { call } from '#client/api';
import { lastNote } from '#client/cases';
import { useBank, useCase } from '../api';
import { Figure, useShell } from '../shell';
import { Failed, Loading } from '../ui';
import { Leaf } from './Leaf';
import { useNoMaterial, type UseMaterial } from './material';
import type { NoteDownload } from './noteDownload';
import { dropCopy, newestKnown, unsentCopy } from '#client/drafts';
import { closeLeaf, openLeaf, whileNoneIsSent } from '#client/waiting';

/**
 * A draft of mine, by its id, else the one of the case to go on with, opened or made; with what this computer kept of it, where
 * the server never got that.
 */
function useDraft(caseId: string, id: string | undefined, member: string) {
  return useQuery({
    queryKey: ['draft', member, caseId, id],
    queryFn: () =>
      whileNoneIsSent(async () => {
        const answer = await (id === undefined
          ? call('openDraft', { params: { case: caseId } })
          : call('draft', { params: { draft: id } }));
        await openLeaf(answer.id);
        const draft = newestKnown(member, answer);
        const copy = unsentCopy(member, draft.id);
        if (!copy || draft.state === 'finished') return { draft, copy: null };
        if (!isSame(copy.document, draft.document)) return { draft, copy };
        dropCopy(member, draft.id);
        return { draft, copy: null };
      }),
    // The text's home is the editor once it is open: asking again would bring an older one.
    staleTime: Infinity,
    gcTime: 0,
  });
}

/** A case as it is written about on a leaf of mine: its record knows when I wrote the one before. */
function onLeaf(one: Case, draft: string): Case {
  const before = lastNote(one, draft);
  return before ? { ...one, record: { ...one.record, lastNote: before } } : one;
}

const NONE: readonly NoteDownload[] = [];

/** Under this name the computer keeps which case was opened last: other windows of ours can speak of it. */
export const OPEN_CASE = 'open-case';

/** A case on its leaf: the record at its head, the draft beneath, everything about a line beside it. */
export function LeafOfCase({
  id,
  downloads = NONE,
  material = useNoMaterial,
}: {
  id: string;
  downloads?: readonly NoteDownload[];
  material?: UseMaterial;
}) {
  const { draft: draftId } = useParams();
  const { member } = useShell();
  const found = useCase(id);
  useEffect(() => void keep(OPEN_CASE, id), [id]);
  const draft = useDraft(id, draftId, member.id);
  const bank = useBank();
  const open = draft.data?.draft.id;
  useEffect(() => (open === undefined ? undefined : () => closeLeaf(open)), [open]);
  const one = useMemo(
    () => found.data && draft.data && onLeaf(found.data, draft.data.draft.id),
    [found.data, draft.data],
  );
  // With the bank there, the first cue typed fires; without it the leaf can be written on all the same.
  if (one && draft.data && !bank.isPending) {
    return (
      <Leaf
        key={draft.data.draft.id}
        one={one}
        draft={draft.data.draft}
        copy={draft.data.copy}
        downloads={downloads}
        useMaterial={material}
      />
    );
  }
  const failed = found.isError ? found : draft.isError ? draft : null;
  return (
    <Figure marginLabel="Beside the leaf" margin={null}>
      {failed ? (
        <Failed
          what="this case"
          error={failed.error}
          retry={() => void Promise.all([found.refetch(), draft.refetch()])}
        />
      ) : (
        <Loading what="the case" />
      )}
    </Figure>
  );
}
