import { X } from 'lucide-react';
import { useEffect, useId, useMemo, useState } from 'react';
import type { BankIndex } from '#core/bank';
import { PLAIN_SIGNS, type CommentUse, type Sign } from '#core/entry';
import { Button, Menu, SelectField, NumericField, TextField, useFocusNext } from '../ui';
import type { EntryEditing } from './useEntryEditing';

/** What each kind of sign is called where it is chosen. */
const SIGN_NAMES: Record<Sign['kind'], string> = {
  words: 'Words',
  pattern: 'A pattern',
  'long-paragraph': 'A paragraph of more words than',
  'long-sentence': 'A sentence of more words than',
  'repeated-word': 'A word said twice in a row',
  'doubled-space': 'A doubled space',
  'quotation-without-source': 'A quotation without a source',
  'number-without-unit': 'A number without a unit',
  'avoided-term': 'Words your team avoids',
};

const freshSign = (kind: Sign['kind']): Sign => {
  if (kind === 'words') return { kind, words: [] };
  if (kind === 'pattern') return { kind, pattern: '' };
  if (kind === 'long-paragraph') return { kind, most: 200 };
  if (kind === 'long-sentence') return { kind, most: 40 };
  return { kind };
};

/** What is wrong with a pattern; what reads patterns is fetched once there is one. */
function usePatternProblem(pattern: string | null): string | undefined {
  const [problem, setProblem] = useState<{ of: string; said: string | null } | null>(null);
  useEffect(() => {
    if (!pattern) return;
    let isLatest = true;
    void import('#core/pattern').then(({ patternProblem }) => {
      if (isLatest) setProblem({ of: pattern, said: patternProblem(pattern) });
    });
    return () => {
      isLatest = false;
    };
  }, [pattern]);
  return problem?.of === pattern ? (problem.said ?? undefined) : undefined;
}

interface SignProps {
  sign: Sign;
  editable: boolean;
  put: (sign: Sign) => void;
}

/** Words as they are typed, a comma between two. */
function WordsLine({ sign, editable, put }: SignProps & { sign: Extract<Sign, { kind: 'words' }> }) {
  const [typed, setTyped] = useState(() => sign.words.join(', '));
  return (
    <TextField
      label={SIGN_NAMES.words}
      data-sign
      readOnly={!editable}
      hint="With commas between them. English words are found in their forms too."
      value={typed}
      onChange={({ target }) => {
        setTyped(target.value);
        const words = target.value.split(',').map((one) => one.trim().slice(0, 80));
        put({ kind: 'words', words: [...new Set(words.filter((one) => one !== ''))].slice(0, 40) });
      }}
    />
  );
}

function SignLine(props: SignProps) {
  const { sign, editable, put } = props;
  const problem = usePatternProblem(sign.kind === 'pattern' ? sign.pattern : null);
  if (sign.kind === 'words') return <WordsLine {...props} sign={sign} />;
  if (sign.kind === 'pattern')
    return (
      <TextField
        label={SIGN_NAMES.pattern}
        data-sign
        readOnly={!editable}
        maxLength={500}
        error={problem}
        value={sign.pattern}
        onChange={({ target }) => put({ ...sign, pattern: target.value })}
      />
    );
  if (sign.kind === 'long-paragraph' || sign.kind === 'long-sentence')
    return (
      <NumericField
        label={SIGN_NAMES[sign.kind]}
        data-sign
        readOnly={!editable}
        least={1}
        most={5000}
        isWhole
        value={sign.most}
        change={(most) => put({ ...sign, most })}
      />
    );
  return <p className="py-1 text-[15px]">{SIGN_NAMES[sign.kind]}</p>;
}

/** The criteria that entries speak of, to choose from. */
const useCriteriaKnown = (index: BankIndex) =>
  useMemo(() => {
    const names = index.bank.entries.flatMap(({ content }) => content.comment?.criterion || []);
    return [...new Set(names)].sort((one, other) => one.localeCompare(other));
  }, [index]);

function Signs({
  signs,
  editable,
  put,
}: {
  signs: readonly Sign[];
  editable: boolean;
  put: (signs: Sign[]) => void;
}) {
  const list = useId();
  const focusNext = useFocusNext();
  const add = (kind: Sign['kind']) => {
    put([...signs, freshSign(kind)]);
    focusNext(() =>
      [...(document.getElementById(list)?.querySelectorAll<HTMLElement>('[data-sign]') ?? [])].at(-1),
    );
  };
  const isThere = (kind: Sign['kind']) =>
    (PLAIN_SIGNS as readonly string[]).includes(kind) && signs.some((sign) => sign.kind === kind);
  return (
    <div>
      <h3 className="eyebrow">What to look for</h3>
      <ul id={list} className="grid gap-2">
        {signs.map((sign, at) => (
          <li key={`${at} ${sign.kind}`} className="grid grid-cols-[1fr_auto] items-end gap-3">
            <SignLine
              sign={sign}
              editable={editable}
              put={(now) => put(signs.map((one, index) => (index === at ? now : one)))}
            />
            {editable && (
              <button
                type="button"
                aria-label={`Remove: ${SIGN_NAMES[sign.kind]}`}
                className="rounded-[3px] p-1 text-soft hover:text-elder"
                onClick={() => put(signs.filter((_, index) => index !== at))}
              >
                <X size={14} aria-hidden />
              </button>
            )}
          </li>
        ))}
      </ul>
      {editable && signs.length < 20 && (
        <div className="mt-1 text-[13px]">
          <Menu
            align="start"
            trigger={<Button look="text">Add something to look for</Button>}
            items={(Object.keys(SIGN_NAMES) as Sign['kind'][])
              .filter((kind) => !isThere(kind))
              .map((kind) => ({ label: SIGN_NAMES[kind], onSelect: () => add(kind) }))}
          />
        </div>
      )}
    </div>
  );
}

/** What the entry is as a comment on a submission: its criterion, what it counts as, and where it would fit. */
export function CommentUseEditor({ index, editing }: { index: BankIndex; editing: EntryEditing }) {
  const { changing, editable, put } = editing;
  const { comment } = changing.content;
  const known = useCriteriaKnown(index);
  const list = useId();
  if (!comment && !editable) return null;
  const set = (part: Partial<CommentUse>) => {
    const now = { criterion: '', ...comment, ...part };
    const says = now.criterion !== '' || now.counts !== undefined || (now.signs ?? []).length > 0;
    put({ comment: says ? now : undefined });
  };
  return (
    <section
      aria-labelledby="comment-use-title"
      className="grid gap-3 border-t border-hair px-9 py-4 max-[899px]:px-4"
    >
      <h2 id="comment-use-title" className="eyebrow">
        As a comment
      </h2>
      <div className="grid grid-cols-[2fr_1fr] gap-5 max-[899px]:grid-cols-1">
        <TextField
          label="Criterion"
          list={list}
          maxLength={80}
          readOnly={!editable}
          value={comment?.criterion ?? ''}
          onChange={({ target }) => set({ criterion: target.value })}
        />
        <datalist id={list}>
          {known.map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
        <SelectField
          label="Counts as"
          disabled={!editable}
          value={comment?.counts ?? ''}
          onChange={({ target }) =>
            set({ counts: target.value === '' ? undefined : (target.value as CommentUse['counts']) })
          }
        >
          <option value="">neither</option>
          <option value="fault">a fault</option>
          <option value="praise">praise</option>
        </SelectField>
      </div>
      <Signs
        signs={comment?.signs ?? []}
        editable={editable}
        put={(signs) => set({ signs: signs.length > 0 ? signs : undefined })}
      />
    </section>
  );
}
