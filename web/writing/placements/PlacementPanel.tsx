import type { Editor } from '@tiptap/react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { pathFor } from '#contracts';
import type { Placement } from '#core/draft';
import type { EntryContent, Field } from '#core/entry';
import { knowledgeOf, wordsOf } from '#core/fill';
import { placementsOf, stepToField } from '../../editor';
import { FilesAlong } from '../../files';
import { stepTo } from '../surface/blankKeys';
import { Source } from '../blanks/Source';

function Answered({ field, placement, step }: { field: Field; placement: Placement; step: () => void }) {
  const know = knowledgeOf(placement);
  const given = know.answerTo(field);
  const words = wordsOf(field, given, 'as-is', placement.language, know);
  return (
    <li className="border-b border-hair last:border-0">
      <button
        type="button"
        className="grid w-full grid-cols-[5.5rem_minmax(0,1fr)] items-baseline gap-2 py-0.5 text-left hover:text-elder"
        onMouseDown={(event) => event.preventDefault()}
        onClick={step}
      >
        <span className="truncate text-[12.5px] text-soft">{field.name}</span>
        <span className="text-[14px] break-words">
          {words || (field.required ? 'not answered yet' : 'left out')}
          {given?.kind === 'detail' && (
            <>
              {' '}
              <Source
                source={given.source}
                asOf={given.asOf}
                ages={field.kind === 'detail' && given.value.kind === 'quantity' ? field.path : null}
              />
            </>
          )}
        </span>
      </button>
    </li>
  );
}

interface Props {
  editor: Editor;
  /** The id of the draft. */
  draft: string;
  id: string;
  /** Only what came from the record: the rest is being asked beside it. */
  brief: boolean;
  /** The entry as the bank has it now; undefined when it is no longer there for this member. */
  content: EntryContent | undefined;
  /** Puts another of the entry's wordings in its place, with the answers given so far. */
  renew: (placement: string, wording: string) => void;
  /** What else its cue brings, and putting that in its place. */
  rivals: readonly { id: string; title: string; collection: string }[];
  replace: (entry: string) => void;
  /** What can be done about the entry from here. */
  actions: ReactNode;
}

/** The wordings an entry can read by, the one that stands here marked; nothing where there is only one. */
function Wordings({
  id,
  placement,
  content,
  renew,
}: Pick<Props, 'id' | 'content' | 'renew'> & { placement: Placement }) {
  if (!content || content.wordings.length < 2) return null;
  return (
    <div role="radiogroup" aria-label="Wording" className="mt-1 flex flex-wrap gap-x-3 text-[13.5px]">
      {content.wordings.map((wording) => (
        <button
          key={wording.id}
          type="button"
          role="radio"
          title="Answers stay. Words you changed inside it are replaced; undo brings them back"
          aria-checked={wording.id === placement.wording}
          onClick={() => renew(id, wording.id)}
          className={
            wording.id === placement.wording
              ? 'border-b border-leaf font-semibold text-leaf'
              : 'text-soft hover:text-elder'
          }
        >
          {wording.name}
        </button>
      ))}
    </div>
  );
}

/** Another entry that the same cue brings, one step away. */
function AlsoBrought({ cue, rivals, replace }: { cue: string } & Pick<Props, 'rivals' | 'replace'>) {
  return (
    <p className="mt-1 text-[13.5px] text-soft">
      <span className="cue">{cue}</span> also brings{' '}
      {rivals.map(({ id, title, collection }, at) => (
        <span key={id}>
          {at > 0 && ', '}
          <button
            type="button"
            className="text-elder underline"
            title={`Take it instead, from ${collection}`}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => replace(id)}
          >
            {title}
          </button>
        </span>
      ))}
    </p>
  );
}

/** What the caret stands in: which entry, which revision, by which cue, and its answers with their sources. */
export function PlacementPanel({
  editor,
  draft,
  id,
  brief,
  content,
  renew,
  rivals,
  replace,
  actions,
}: Props) {
  const placement = placementsOf(editor.state.doc)[id];
  if (!placement) return null;
  const step = (field: string) => {
    const tr = stepToField(editor.state, id, field);
    if (tr) stepTo(editor.view, tr);
  };
  const fields = brief
    ? placement.fields.filter(({ id: one }) => placement.answers[one]?.kind === 'detail')
    : placement.fields;
  return (
    <section aria-label="Placed wording" className="border-l-2 border-leaf py-1 pl-4">
      <p className="flex items-baseline gap-2">
        <Link to={`/bank/${placement.entry}`} className="min-w-0 break-words font-medium hover:text-elder">
          {placement.title}
        </Link>
        {placement.cue && <span className="cue shrink-0">{placement.cue}</span>}
        <span className="ml-auto shrink-0 text-[12.5px] text-soft">revision {placement.revision}</span>
      </p>
      {placement.cue && rivals.length > 0 && <AlsoBrought {...{ cue: placement.cue, rivals, replace }} />}
      {content?.note && <p className="mt-1 text-[13.5px] whitespace-pre-line text-soft">{content.note}</p>}
      <Wordings {...{ id, placement, content, renew }} />
      <ul className="mt-0.5">
        {fields.map((field) => (
          <Answered key={field.id} field={field} placement={placement} step={() => step(field.id)} />
        ))}
      </ul>
      {placement.files && (
        <FilesAlong
          label="Attached files"
          files={placement.files}
          addressOf={({ hash }) => pathFor('draftFile', { draft, hash })}
        />
      )}
      {actions}
    </section>
  );
}
