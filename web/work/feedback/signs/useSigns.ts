import { useQuery } from '@tanstack/react-query';
import { useEditorState } from '@tiptap/react';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { CaseSubmission } from '#contracts';
import type { EntrySigns } from '#core/signs';
import { startSignSearch } from '#client/signs';
import { isSame } from '#core/difference';
import type { TextRange } from '#core/passage';
import { houseWordsQuery, useBankIndex, useReach } from '../../../api';
import { commentEntries } from '../../../editor';
import type { LeafWithMaterial } from '../../../leaf';
import { useShell } from '../../../shell';
import { useRemembered } from '../../../ui';
import type { Feedback } from '../useFeedback';
import { keepLetBe, keyOfSign, letBeIn, nextSign, openSigns, type SignShown } from './openSigns';

const NONE: readonly SignShown[] = [];

/** Entries in reach that look for something, with what they look for; an equal list stays the same one. */
function useLooking(kind: LeafWithMaterial['one']['kind']) {
  const reach = useReach(useBankIndex(), kind);
  const said = useMemo(() => {
    const looking = (reach?.entries ?? []).flatMap(({ id, content }): EntrySigns[] =>
      content.comment?.signs?.length ? [{ entry: id, signs: content.comment.signs }] : [],
    );
    return JSON.stringify(looking);
  }, [reach]);
  return useMemo(() => JSON.parse(said) as EntrySigns[], [said]);
}

/** The words that the house avoids, none where these cannot be had; null while they are not there. */
function useAvoided(): string[] | null {
  const { data, isPending } = useQuery(houseWordsQuery);
  return useMemo(
    () => (isPending ? null : (data?.words ?? []).flatMap(({ avoid }) => avoid)),
    [data, isPending],
  );
}

/** All places where entries would fit in a submission, looked for in a worker; none while that is not known. */
function usePlaces(kind: LeafWithMaterial['one']['kind'], handed: CaseSubmission | null, language: string) {
  const looking = useLooking(kind);
  const avoided = useAvoided();
  const [found, setFound] = useState<{ of: CaseSubmission; places: readonly SignShown[] } | null>(null);
  useEffect(() => {
    if (!handed || !avoided || looking.length === 0) return;
    const { submission } = handed;
    const search = startSignSearch();
    let isLatest = true;
    void search.remote.find({ submission, entries: looking, language, avoided }).then((places) => {
      const shown = places.map(({ entry, on }) => ({ entry, on, key: keyOfSign(submission, entry, on) }));
      if (isLatest) setFound({ of: handed, places: shown });
      search.end();
    });
    return () => {
      isLatest = false;
      search.end();
    };
  }, [handed, looking, language, avoided]);
  return found && found.of === handed && looking.length > 0 ? found.places : NONE;
}

/** Signs in what is read: where entries would fit, which of these places is at hand, and what is done with them. */
export function useSigns(leaf: LeafWithMaterial, handed: CaseSubmission | null, feedback: Feedback) {
  const { one, editor, open, say, place } = leaf;
  const { acts, isReading, language } = feedback;
  const { member } = useShell();
  const [areOn, toggle] = useRemembered('signs', true);
  const places = usePlaces(one.kind, areOn && open ? handed : null, language);
  const [letBe, setLetBe] = useState(() => letBeIn(member.id, one.id));
  const [atHand, setAtHand] = useState<string | null>(null);
  // What is said where: an equal list stays the same one.
  const said = useEditorState({ editor, selector: ({ editor: { state } }) => commentEntries(state.doc) });
  const shown = useMemo(() => (areOn ? openSigns(places, letBe, said) : NONE), [places, letBe, areOn, said]);
  const sign = isReading ? (shown.find(({ key }) => key === atHand) ?? null) : null;
  const go = (to: SignShown | null) => {
    // Selecting the words tells that one has moved: after that they are at hand.
    if (to) acts.read(to.on);
    setAtHand(to?.key ?? null);
    if (!to) say(shown.length === 0 ? 'Nothing is pointed out here.' : 'That was the last sign.');
  };
  const next = () => go(nextSign(shown, sign?.key ?? null, acts.where().from));
  const take = () => {
    if (!sign) return false;
    // On the very words that were pointed out: they are selected.
    acts.begin();
    // Its words are in sight, and it will be level with them: the page need not move to where it is first put.
    const { scrollY } = window;
    place(sign.entry);
    window.scrollTo(0, scrollY);
    setAtHand(null);
    return true;
  };
  const leave = () => {
    if (!sign) return false;
    const following = nextSign(shown, sign.key, sign.on.from);
    const now = [...letBe, sign.key];
    setLetBe(now);
    keepLetBe(member.id, one.id, now);
    go(following);
    return true;
  };
  // Where one reads on, nothing is at hand any more.
  const on = sign?.on;
  const moved = useCallback((to: TextRange) => setAtHand((key) => (on && isSame(to, on) ? key : null)), [on]);
  return { shown, sign, areOn, toggle, next, take, leave, moved };
}

export type Signs = ReturnType<typeof useSigns>;
