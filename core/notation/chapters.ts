import type { EntryContent } from '#core/entry';
import { JOINS_IN_WORDS } from '#core/passage';
import { writeCondition } from './conditionNotation';
import { commentLines } from './commentNotation';
import { cueLine } from './cueNotation';
import { writeField } from './fieldNotation';
import { writePassage } from './writePassage';

/** One part of an entry, in the words of the notation. */
export interface Chapter {
  about:
    | 'title'
    | 'state'
    | 'purpose'
    | 'note'
    | 'tags'
    | 'cues'
    | 'files'
    | 'comment'
    | 'field'
    | 'order'
    | 'condition'
    | 'language'
    | 'joins'
    | 'short'
    | 'page'
    | 'wording';
  /** What a field or wording is called; empty for what there is one of. */
  name: string;
  text: string;
}

/**
 * The parts of an entry, by keys that stay theirs from one revision to the next. Two entries say the same when all their
 * parts read the same. What says nothing is left out.
 */
export function chaptersOf(content: EntryContent): Map<string, Chapter> {
  const {
    title,
    purpose,
    note,
    tags,
    cues,
    fields,
    conditions = [],
    wordings,
    retired,
    files = [],
  } = content;
  const chapters = new Map<string, Chapter>();
  const put = (key: string, about: Chapter['about'], text: string, name = '') => {
    if (text !== '') chapters.set(key, { about, name, text });
  };
  put('title', 'title', title);
  put('state', 'state', retired ? 'retired' : '');
  put('purpose', 'purpose', purpose);
  put('note', 'note', note);
  put('tags', 'tags', tags.join(', '));
  put('cues', 'cues', cues.map((cue) => cueLine(cue).replace(/^cue:? ?/, '')).join('\n'));
  put('files', 'files', files.map(({ name, bytes }) => `${name} (${bytes} bytes)`).join('\n'));
  put('comment', 'comment', commentLines(content).join('\n'));
  for (const wording of wordings) {
    put(`language ${wording.id}`, 'language', wording.language, wording.name);
    put(`joins ${wording.id}`, 'joins', wording.joins ? JOINS_IN_WORDS[wording.joins] : '', wording.name);
    put(`page ${wording.id}`, 'page', wording.onPage ?? '', wording.name);
    put(`short ${wording.id}`, 'short', wording.short ? 'yes' : '', wording.name);
    for (const part of wording.parts) {
      const name = wording.parts.length > 1 ? `${wording.name}, ${part.name}` : wording.name;
      put(
        `wording ${wording.id} ${part.id}`,
        'wording',
        writePassage(part.passage, { fields, conditions }),
        name,
      );
    }
  }
  for (const field of fields) {
    const lines = writeField(field, field.name, fields).map((line) => line.trim());
    put(
      `field ${field.id}`,
      'field',
      [lines[0]!.replace(/^field /, ''), ...lines.slice(1)].join('\n'),
      field.name,
    );
  }
  put('order', 'order', fields.length > 1 ? fields.map(({ name }) => name).join(', ') : '');
  for (const { id, when } of conditions) put(`condition ${id}`, 'condition', writeCondition(when, fields));
  return chapters;
}
