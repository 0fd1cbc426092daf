import type { Editor } from '@tiptap/core';
import { DOMSerializer, type Fragment, type Schema, type Slice } from '@tiptap/pm/model';
import { Plugin, PluginKey } from '@tiptap/pm/state';
import { isFullCast, labelOf, withSpeaker, type Speaker, type Transcript } from '#core/transcript';
import { setTranscript, transcriptOf } from './placements';

/**
 * Turns on their way through the clipboard. Elsewhere they are paragraphs that begin with their label; here they are turns again, of
 * the same speaker where the cast has one of that name.
 */

/** On a turn: whose it is, by name, since a speaker's id is of one transcript alone. */
const NAME = 'data-speaker-name';
/** On what is written before its words for other programs. */
const LABEL = 'data-turn-label';

const BETWEEN = { tab: '\t', space: ' ', line: '\n' } as const;

/** The label of a turn as it stands before its words; '' where none is written. */
function headOf({ cast, labels }: Transcript, speaker: string): string {
  const label = labelOf(
    cast.find(({ id }) => id === speaker),
    labels,
  );
  return label === '' ? '' : label + BETWEEN[labels.after];
}

/** Writes turns with their names and, where more than a part of one is copied, their labels. */
class TurnSerializer extends DOMSerializer {
  constructor(
    schema: Schema,
    private readonly transcript: () => Transcript,
  ) {
    const { nodes, marks } = DOMSerializer.fromSchema(schema);
    super(nodes, marks);
  }

  override serializeFragment(
    fragment: Fragment,
    options?: { document?: Document },
    target?: HTMLElement | DocumentFragment,
  ): HTMLElement | DocumentFragment {
    const written = super.serializeFragment(fragment, options, target);
    const transcript = this.transcript();
    const names = new Map(transcript.cast.map(({ id, name }) => [id, name]));
    for (const turn of written.querySelectorAll<HTMLElement>('[data-speaker]')) {
      const { speaker = '' } = turn.dataset;
      turn.setAttribute(NAME, names.get(speaker) ?? '');
      const head = headOf(transcript, speaker);
      if (fragment.childCount < 2 || head === '') continue;
      const label = turn.ownerDocument.createElement('span');
      label.setAttribute(LABEL, '');
      label.textContent = head;
      turn.prepend(label);
    }
    return written;
  }
}

/** The words of copied turns with their labels, for programs that take text alone; '' where no turn is copied whole. */
function textOf({ content }: Slice, transcript: Transcript): string {
  const hasTurns = content.content.some(({ type }) => type.name === 'turn');
  if (!hasTurns || content.childCount < 2) return '';
  return content.content
    .map((node) => {
      const head = node.type.name === 'turn' ? headOf(transcript, String(node.attrs.speaker)) : '';
      return (
        head + node.textBetween(0, node.content.size, '\n', (leaf) => leaf.type.spec.leafText?.(leaf) ?? '')
      );
    })
    .join('\n\n');
}

/** Has each turn in copied HTML changed; other HTML is given back as it is. */
function eachTurn(html: string, change: (turn: HTMLElement) => void): string {
  if (!html.includes('data-speaker')) return html;
  const { body } = new DOMParser().parseFromString(html, 'text/html');
  for (const turn of body.querySelectorAll<HTMLElement>('[data-speaker]')) change(turn);
  return body.innerHTML;
}

/** Turns of the cast without their labels, which are drawn; of nobody in it, paragraphs that begin with theirs. */
export const asTurnsOf = (html: string, cast: readonly Speaker[]): string =>
  eachTurn(html, (turn) => {
    const label = turn.querySelector(`[${LABEL}]`);
    if (cast.some(({ id }) => id === turn.dataset.speaker)) return label?.remove();
    label?.replaceWith(label.textContent.replace('\n', ' '));
    delete turn.dataset.speaker;
    delete turn.dataset.at;
  });

/**
 * Turns of another transcript as turns of this one: of whoever in the cast has that name, else of somebody added, as long as the cast has
 * room. Their times are of another recording and go.
 */
export function asTurnsHere(html: string, cast: readonly Speaker[], newId: () => string) {
  let now: readonly Speaker[] = cast;
  const changed = eachTurn(html, (turn) => {
    if (now.some(({ id }) => id === turn.dataset.speaker)) return;
    const name = turn.getAttribute(NAME)?.trim() ?? '';
    if (name === '') return;
    const same = (one: Speaker) => one.name.toLowerCase() === name.toLowerCase();
    if (!now.some(same) && isFullCast(now)) return;
    if (!now.some(same)) now = withSpeaker(now, newId(), name);
    turn.dataset.speaker = now.find(same)!.id;
    delete turn.dataset.at;
  });
  return { html: changed, cast: now };
}

/** Copies turns for here and elsewhere, and pastes those of the cast. */
export const turnsCopied = (editor: Editor): Plugin =>
  new Plugin({
    props: {
      clipboardSerializer: new TurnSerializer(editor.schema, () => transcriptOf(editor.state.doc)),
      clipboardTextSerializer: (slice) => textOf(slice, transcriptOf(editor.state.doc)),
      transformPastedHTML: (html) => asTurnsOf(html, transcriptOf(editor.state.doc).cast),
    },
  });

const INTO = new PluginKey('turnsInto');

/** On the leaf of a transcript: pastes turns of another one as turns of its own. Registered before what is there. */
export const turnsInto = {
  key: INTO,
  plugin: (): Plugin =>
    new Plugin({
      key: INTO,
      props: {
        transformPastedHTML: (html, view) => {
          const transcript = transcriptOf(view.state.doc);
          const taken = asTurnsHere(html, transcript.cast, () => crypto.randomUUID());
          if (taken.cast !== transcript.cast)
            view.dispatch(setTranscript(view.state.tr, { ...transcript, cast: [...taken.cast] }));
          return taken.html;
        },
      },
    }),
};
