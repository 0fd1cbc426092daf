import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { CaseSubmission, OthersComments } from '#contracts';
import { call } from '#client/api';
import { wordsInSubmission } from '#core/submission';
import { KEYS } from '../../api';
import { LeafOfCase, type LeafWithMaterial, type Material } from '../../leaf';
import { useShell } from '../../shell';
import { Button, Failed, Key, Loading } from '../../ui';
import { ACTS } from './commentActs';
import { CommentBeside } from './CommentBeside';
import { CommentLayer } from './CommentLayer';
import { FinishedComments } from './FinishedComments';
import { SubmissionReading } from './SubmissionReading';
import { TakeIn } from './TakeIn';
import { useFeedback, useSubmission, type Feedback } from './useFeedback';

const NOBODY: readonly OthersComments[] = [];

interface AboveProps {
  leaf: LeafWithMaterial;
  found: ReturnType<typeof useSubmission>;
  feedback: Feedback;
  others: readonly OthersComments[];
}

/** What was handed in, in a line: its name, how many words, and how it is handed in anew. */
function SubmissionHead({ of, handed }: { of: string; handed: CaseSubmission }) {
  const [again, setAgain] = useState(false);
  const words = wordsInSubmission(handed.submission);
  return (
    <>
      <p className="flex flex-wrap items-baseline gap-x-4 px-9 pt-2 text-[13px] text-soft max-[899px]:px-4">
        <span className="min-w-0 truncate">{handed.name}</span>
        <span>{words === 1 ? '1 word' : `${words.toLocaleString()} words`}</span>
        <Button look="text" aria-expanded={again} onClick={() => setAgain(!again)}>
          New version
        </Button>
      </p>
      {again && <TakeIn of={of} again done={() => setAgain(false)} />}
    </>
  );
}

/** The submission above the summing-up: as it is read and commented, or where it is taken in. */
function Above({ leaf: { one, editor, open }, found, feedback, others }: AboveProps) {
  const { finderOpen } = useShell();
  if (found.isError)
    return <Failed what="the submission" error={found.error} retry={() => void found.refetch()} />;
  if (found.data === undefined) return <Loading what="the submission" />;
  if (found.data === null) return <TakeIn of={one.id} again={false} />;
  const isSelected = feedback.isReading && open && feedback.laying === null;
  return (
    <div className={`submission ${finderOpen ? 'is-looking-up' : ''}`}>
      <SubmissionHead of={one.id} handed={found.data} />
      <SubmissionReading editor={editor} feedback={feedback} others={others} />
      <CommentLayer {...{ editor, feedback, others }} submission={found.data.submission} />
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
    </div>
  );
}

const TAKEN = () => undefined;

/** The submission of a case, with what can be done with the comments on it. */
function useSubmissionMaterial(leaf: LeafWithMaterial): Material {
  const { one, open } = leaf;
  const found = useSubmission(one.id);
  const feedback = useFeedback(leaf, found.data ?? null);
  const others =
    useQuery({
      queryKey: KEYS.othersComments(one.id),
      queryFn: () => call('othersComments', { params: { case: one.id } }),
      enabled: one.given.length > 1,
    }).data ?? NOBODY;
  const { acts, isReading } = feedback;
  const has = !!found.data;
  const run = {
    move: () => acts.beginLaying('move'),
    copy: () => acts.beginLaying('copy'),
    delete: acts.remove,
  };
  const steps = [
    { label: 'Next comment', key: 'Alt + T', run: () => acts.step(1) },
    { label: 'Comment before', key: 'Alt + H', run: () => acts.step(-1) },
  ];
  return {
    above: <Above {...{ leaf, found, feedback, others }} />,
    textName: 'Summing-up',
    actions: has
      ? [
          ...steps,
          ...(open ? ACTS.map(({ id, label, key }) => ({ label, ...(key && { key }), run: run[id] })) : []),
        ]
      : [],
    beside: <CommentBeside feedback={feedback} />,
    listsReach: !feedback.isWordedComment,
    isReading: has && isReading,
    // What is read takes them once it is there; where nothing was handed in, it is asked for.
    takeKeys: TAKEN,
    beforePlacing: () => {
      if (has && isReading) acts.begin();
    },
    finished: found.data
      ? (finishing) => <FinishedComments {...{ leaf, others }} handed={found.data!} acts={finishing} />
      : null,
  };
}

/** A submission on its leaf, with the comments on it beside its words, and the summing-up beneath. */
export const FeedbackLeaf = ({ id }: { id: string }) => (
  <LeafOfCase id={id} material={useSubmissionMaterial} />
);
