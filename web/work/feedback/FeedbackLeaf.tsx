import { useQuery } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import type { OthersComments, SummingUp } from '#contracts';
import type { Criterion, Tally } from '#core/work';
import { call } from '#client/api';
import { KEYS } from '../../api';
import { LeafOfCase, NO_MATERIAL, type LeafWithMaterial, type Material } from '../../leaf';
import { useShell } from '../../shell';
import { giveKeys } from '../../writing';
import { Button, Failed, Key, Loading } from '../../ui';
import { COMMENT_ACTS } from './commentActs';
import { CommentBeside } from './CommentBeside';
import { CommentLayer } from './CommentLayer';
import { EarlierSummingsUp } from './EarlierSummingsUp';
import { FinishedComments } from './FinishedComments';
import { cameAlong } from './cameAlong';
import { SubmissionHead } from './SubmissionHead';
import { levelInWords, TallyLine } from './TallyLine';
import { useSigns, type Signs } from './signs/useSigns';
import { useJudged } from './useJudged';
import type { FeedbackActs } from './feedbackActs';
import { useAmong, useWaysAmong, type Among } from './useAmong';
import { usePages } from './usePages';
import { SubmissionReading } from './SubmissionReading';
import { TakeIn } from './TakeIn';
import { useFeedback, useSubmission, type Feedback } from './useFeedback';

const NOBODY: readonly OthersComments[] = [];
const NOTHING: readonly SummingUp[] = [];
const NO_CRITERIA: readonly Criterion[] = [];

interface AboveProps {
  among: Among | null;
  leaf: LeafWithMaterial;
  found: ReturnType<typeof useSubmission>;
  feedback: Feedback;
  others: readonly OthersComments[];
  tally: Tally;
  signs: Signs;
  earlier: readonly SummingUp[];
}

/** Where nothing was handed in, the leaf is as any other, and says how to take something in. */
function NoSubmission({ of }: { of: string }) {
  const [isTaking, setTaking] = useState(false);
  return (
    <div data-print="no">
      <p className="px-9 pt-3 text-[13px] max-[899px]:px-4">
        <Button look="text" aria-expanded={isTaking} onClick={() => setTaking(!isTaking)}>
          Take a submission in
        </Button>
      </p>
      {isTaking && <TakeIn of={of} again={false} />}
    </div>
  );
}

/** The submission above the summing-up: as it is read and commented, or where it is taken in. */
function Above({
  among,
  leaf: { one, editor, open },
  found,
  feedback,
  others,
  tally,
  signs,
  earlier,
}: AboveProps) {
  const pages = usePages(one, found.data ?? null);
  if (found.isError)
    return <Failed what="the submission" error={found.error} retry={() => void found.refetch()} />;
  if (found.data === undefined) return <Loading what="the submission" />;
  if (found.data === null) return <NoSubmission of={one.id} />;
  const isSelected = feedback.isReading && open && feedback.laying === null;
  return (
    <div>
      <SubmissionHead of={one.id} handed={found.data} {...{ among, pages }} />
      <TallyLine tally={tally} give={open ? (of, level) => feedback.acts.giveLevel(of, level) : null} />
      <SubmissionReading {...{ editor, feedback, others, signs, pages }} />
      <CommentLayer {...{ feedback, others, signs }} submission={found.data.submission} />
      {isSelected && (
        <p className="px-9 pb-3 text-[13px] max-[899px]:px-4" data-print="no">
          <Button
            look="text"
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => void feedback.acts.begin()}
          >
            Comment here <Key>Enter</Key>
          </Button>
        </p>
      )}
      <EarlierSummingsUp all={earlier} />
    </div>
  );
}

/** The levels of all criteria, to be given by the look-up. */
const levelWays = (criteria: readonly Criterion[], acts: FeedbackActs) =>
  criteria.flatMap((criterion) =>
    criterion.levels.map((level) => ({
      label: `Level for ${criterion.name}: ${levelInWords(level)}`,
      run: () => acts.giveLevel(criterion, level),
    })),
  );

/** What one wrote beneath the same person's work before; nothing for a submission on its own. */
const useEarlier = (of: string, assignment: string | null | undefined) =>
  useQuery({
    queryKey: KEYS.earlierSummingsUp(of),
    queryFn: () => call('earlierSummingsUp', { params: { case: of } }),
    enabled: !!assignment,
  }).data ?? NOTHING;

/** The comments of colleagues who have the case too. */
const useOthers = ({ id, given }: LeafWithMaterial['one']) =>
  useQuery({
    queryKey: KEYS.othersComments(id),
    queryFn: () => call('othersComments', { params: { case: id } }),
    enabled: given.length > 1,
  }).data ?? NOBODY;

/** The submission of a case, with what can be done with the comments on it. */
function useSubmissionMaterial(leaf: LeafWithMaterial): Material {
  const { one, open } = leaf;
  const found = useSubmission(one.id);
  const others = useOthers(one);
  const { data } = found;
  const earlier = useEarlier(one.id, data?.assignment);
  const feedback = useFeedback(leaf, data ?? null, others);
  const shown = useMemo(() => (data ? [...cameAlong(data), ...others] : others), [data, others]);
  const { acts, isReading } = feedback;
  const has = !!found.data;
  const { finderOpen } = useShell();
  const isBare = found.data === null;
  const { editor } = leaf;
  useEffect(() => {
    // With nothing to be read one writes at once.
    if (isBare && editor.isEditable) giveKeys(editor.view);
  }, [isBare, editor]);
  const among = useAmong(one.id, found.data);
  const ways = useWaysAmong(among, leaf.say);
  const criteria = among?.criteria ?? NO_CRITERIA;
  const signs = useSigns(leaf, data ?? null, feedback);
  const { tally, holdsFinish } = useJudged(leaf, data ?? null, among, earlier);
  const steps = [
    ...ways,
    { label: 'Next comment', key: 'Alt + T', run: () => acts.step(1) },
    { label: 'Comment before', key: 'Alt + H', run: () => acts.step(-1) },
  ];
  return {
    above: <Above {...{ among, leaf, found, feedback, tally, signs, earlier }} others={shown} />,
    leafClass: has ? `with-comments ${finderOpen ? 'is-looking-up' : ''}` : '',
    drawsText: false,
    textName: has ? 'Summing-up' : null,
    actions: has
      ? [
          ...steps,
          ...(open
            ? [
                { label: 'Next sign: where an entry would fit', key: 'Alt + .', run: signs.next },
                {
                  label: signs.areOn
                    ? 'Signs: point out no more'
                    : 'Signs: point out where entries would fit',
                  run: signs.toggle,
                },
                ...COMMENT_ACTS.map(({ label, key, run }) => ({
                  label,
                  ...(key && { key }),
                  run: () => run(acts),
                })),
                ...levelWays(criteria, acts),
              ]
            : []),
        ]
      : [],
    beside: <CommentBeside feedback={feedback} criteria={criteria} />,
    holdsFinish,
    outgoing: NO_MATERIAL.outgoing,
    listsReach: !feedback.isWordedComment,
    isReading: has && isReading,
    // What is read takes them once it is there; where nothing was handed in, it is asked for.
    takesKeys: true,
    beforePlacing: () => {
      if (has && isReading) acts.begin();
    },
    outcome: () => null,
    takeAway: null,
    finished: found.data
      ? (finishing) => <FinishedComments {...{ leaf, others }} handed={found.data!} acts={finishing} />
      : null,
  };
}

/** A submission on its leaf, with the comments on it beside its words, and the summing-up beneath. */
export const FeedbackLeaf = ({ id }: { id: string }) => (
  <LeafOfCase id={id} material={useSubmissionMaterial} />
);
