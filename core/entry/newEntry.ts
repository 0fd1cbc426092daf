import { emptyPassage, type Passage } from '#core/passage';
import type { EntryContent } from './entry';
import type { Field } from './field';

/** A fresh entry with one wording in one part; its passage is empty unless given. */
export function newEntry(title: string, language: string, passage: Passage = emptyPassage()): EntryContent {
  return {
    version: 1,
    title,
    purpose: '',
    note: '',
    tags: [],
    cues: [],
    wordings: [{ id: 'main', name: 'Main', language, parts: [{ id: 'text', name: 'Text', passage }] }],
    fields: [],
  };
}

/** A fresh field of a kind. A choice starts with one option, since one without any could not be answered. */
export function newField(kind: Field['kind'], id: string, name: string): Field {
  const shared = { id, name, question: '', hint: '', required: true };
  switch (kind) {
    case 'text':
      return { ...shared, kind, starting: '' };
    case 'detail':
      return { ...shared, kind, path: 'name' };
    case 'date':
      return { ...shared, kind, starting: 'none' };
    case 'person':
      return { ...shared, kind };
    case 'time':
      return { ...shared, kind };
    case 'number':
      return { ...shared, kind, unit: '', min: null, max: null, decimals: null };
    case 'yes-no':
      return { ...shared, kind, yes: 'yes', no: 'no' };
    case 'writer':
      return { ...shared, kind, detail: 'name' };
    case 'computed':
      return {
        ...shared,
        kind,
        calculation: { by: 'moved', from: 'today', count: 7, step: 'days' },
        unit: '',
        decimals: null,
      };
    case 'alternates':
      return { ...shared, kind, by: 'turn', alternates: [{ words: name }] };
    case 'choice':
      return {
        ...shared,
        kind,
        many: false,
        join: 'and',
        options: [{ id: 'a', label: name, words: null }],
      };
  }
}
