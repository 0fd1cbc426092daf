/** The forms in which entries are saved as a file; each with the ending of its name and what it loses. */
export const BANK_FORMS = {
  json: { label: 'Elderleaf (JSON)', ending: 'json', loses: 'nothing but history and notes' },
  notation: { label: 'Text files (notation, zip)', ending: 'zip', loses: 'settings of collections' },
  csv: { label: 'Table (CSV)', ending: 'csv', loses: 'formatting, fields and other wordings' },
  xlsx: { label: 'Table (xlsx)', ending: 'xlsx', loses: 'formatting, fields and other wordings' },
  html: { label: 'Web page (HTML)', ending: 'html', loses: 'fields and other wordings' },
  docx: { label: 'Word (docx)', ending: 'docx', loses: 'fields and other wordings' },
  markdown: { label: 'Markdown', ending: 'md', loses: 'fields and other wordings' },
  tsv: { label: 'Abbreviations (tabs)', ending: 'txt', loses: 'all but cues and plain words' },
  plist: {
    label: 'Abbreviations (XML property list)',
    ending: 'plist',
    loses: 'all but cues and plain words',
  },
  'json-list': { label: 'Abbreviations (JSON)', ending: 'json', loses: 'all but cues and plain words' },
  yaml: { label: 'Abbreviations (YAML)', ending: 'yaml', loses: 'all but cues and plain words' },
} as const;
export type BankForm = keyof typeof BANK_FORMS;
