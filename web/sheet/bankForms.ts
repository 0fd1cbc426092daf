import { FILE_FORMATS, type FormatName } from '#core/exchange';

const TABLE_LOSES = 'formatting, fields and other wordings';
const TEXT_LOSES = 'fields and other wordings';
const LIST_LOSES = 'all but cues and plain words';

/** What entries are saved as: a format, what it is called here, and what is lost in it. */
interface BankFileForm {
  format: FormatName;
  label: string;
  loses: string;
}

const plain = (format: FormatName, loses: string): BankFileForm => ({
  ...{ format, loses },
  label: FILE_FORMATS[format].label,
});

/** The forms in which entries are saved as a file. */
export const BANK_FORMS = {
  json: { format: 'json', label: 'Elderleaf (JSON)', loses: 'nothing but history and notes' },
  notation: { format: 'zip', label: 'Text files (notation, zip)', loses: 'settings of collections' },
  csv: plain('csv', TABLE_LOSES),
  xlsx: plain('xlsx', TABLE_LOSES),
  html: plain('html', TEXT_LOSES),
  docx: plain('docx', TEXT_LOSES),
  markdown: plain('markdown', TEXT_LOSES),
  tsv: { format: 'text', label: 'Abbreviations (tabs)', loses: LIST_LOSES },
  plist: { format: 'plist', label: 'Abbreviations (XML property list)', loses: LIST_LOSES },
  'json-list': { format: 'json', label: 'Abbreviations (JSON)', loses: LIST_LOSES },
  yaml: { format: 'yaml', label: 'Abbreviations (YAML)', loses: LIST_LOSES },
} as const satisfies Record<string, BankFileForm>;
export type BankForm = keyof typeof BANK_FORMS;
