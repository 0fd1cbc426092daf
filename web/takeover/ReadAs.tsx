import { languageName } from '#core/language';
import {
  COLUMN_ROLES,
  KNOWN_LANGUAGES,
  wordsOfCell,
  type ColumnRole,
  type IntakeShape,
  type IntakeShapeId,
} from '#core/intake';
import { excerpt, plainPassage } from '#core/passage';
import { SelectField } from '../ui';
import type { IntakeState } from './useIntake';

const ROLES: Record<ColumnRole, string> = {
  title: 'Title',
  cue: 'Cue',
  wording: 'Wording',
  part: 'Part of the wording',
  purpose: 'When to use it',
  note: 'Note',
  tags: 'Tags',
  fields: 'Fields in the wording',
  collection: 'Collection',
  language: 'Language',
  leave: 'leave out',
};

const SHAPES: Record<IntakeShapeId, string> = {
  table: 'Table',
  passages: 'Passages that repeat in your mails',
  mails: 'Each mail by itself',
  'named-lines': 'Named lines, one beneath the other',
  questions: 'Questions with their answers',
  headings: 'Headings, with the text beneath each',
  bold: 'Bold lines, with the text beneath each',
  'bold-beginnings': 'Paragraphs that begin in bold',
  rules: 'Parts between lines',
  pairs: 'A short word and its text on each line',
  'first-lines': 'Paragraphs with a title in their first line',
  'typed-headings': 'Numbered lines or capitals, with the text beneath',
  paragraphs: 'Each paragraph by itself',
  whole: 'All of it as one entry',
};

const inRows = ({ id, table: { name, rows } }: IntakeShape) =>
  `${SHAPES[id]}${name === '' ? '' : ` “${name}”`}: ${rows.length === 1 ? '1 row' : `${rows.length.toLocaleString()} rows`}`;

/** A value of a picker: a role, and of a wording its language. */
const valueOf = ({ role, language }: IntakeState['columns'][number]) =>
  language ? `${role} ${language}` : role;

const SAMPLES = 2;
const SAMPLE_LETTERS = 70;

/** Each column with what it is joined to, and what its first cells say. */
function Columns({ intake }: { intake: IntakeState }) {
  const { shape, columns, joinColumn } = intake;
  return (
    <table className="w-full text-[13.5px]">
      <caption className="sr-only">Columns</caption>
      <thead>
        <tr className="eyebrow text-left">
          <th scope="col" className="w-40 py-1 font-normal">
            Column
          </th>
          <th scope="col" className="w-52 py-1 font-normal">
            Becomes
          </th>
          <th scope="col" className="py-1 font-normal">
            Begins
          </th>
        </tr>
      </thead>
      <tbody>
        {shape.table.heads.map((head, at) => {
          const filled = shape.table.rows
            .map((row) => wordsOfCell(row[at]).trim())
            .filter((words) => words !== '');
          return (
            <tr key={head} className="border-t border-hair align-baseline">
              <th scope="row" className="max-w-40 truncate py-1.5 pr-3 text-left font-normal" title={head}>
                {head}
              </th>
              <td className="py-1 pr-4">
                <select
                  aria-label={`What ${head} becomes`}
                  className="input"
                  value={valueOf(columns[at]!)}
                  onChange={({ target }) => {
                    const [role, language] = target.value.split(' ') as [ColumnRole, string | undefined];
                    joinColumn(at, { role, ...(language && { language }) });
                  }}
                >
                  {COLUMN_ROLES.map((role) => (
                    <option key={role} value={role}>
                      {ROLES[role]}
                    </option>
                  ))}
                  <optgroup label="Wording in a language">
                    {KNOWN_LANGUAGES.map((tag) => (
                      <option key={tag} value={`wording ${tag}`}>
                        {`Wording, ${languageName(tag)}`}
                      </option>
                    ))}
                  </optgroup>
                </select>
              </td>
              <td className="py-1.5 text-soft">
                <p className="line-clamp-1">
                  {filled
                    .slice(0, SAMPLES)
                    .map((words) => excerpt(plainPassage(words), SAMPLE_LETTERS))
                    .join(' · ')}
                </p>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** How what came in is read: its layout, its columns, its language; all of it changed by picking. */
export function ReadAs({ intake, remarks }: { intake: IntakeState; remarks: readonly string[] }) {
  const { shapes, at, pickShape, language, setLanguage, groups, setGroups, hasGroups, leadIn } = intake;
  return (
    <section aria-label="Layout" className="grid gap-4 border-b border-hair px-9 py-4 max-[899px]:px-4">
      <div className="grid grid-cols-[minmax(0,1fr)_10rem_9rem] gap-6 max-[899px]:grid-cols-1">
        <SelectField label="Layout" value={at} onChange={({ target }) => pickShape(Number(target.value))}>
          {shapes.map((shape, index) => (
            <option key={index} value={index}>
              {inRows(shape)}
            </option>
          ))}
        </SelectField>
        <SelectField
          label="Language of the wording"
          value={language}
          onChange={({ target }) => setLanguage(target.value)}
        >
          {KNOWN_LANGUAGES.map((tag) => (
            <option key={tag} value={tag}>
              {languageName(tag)}
            </option>
          ))}
        </SelectField>
        {hasGroups && (
          <SelectField
            label="Groups become"
            value={groups}
            onChange={({ target }) => setGroups(target.value as IntakeState['groups'])}
          >
            <option value="collections">collections</option>
            <option value="tags">tags</option>
          </SelectField>
        )}
      </div>
      <Columns intake={intake} />
      {[
        ...remarks,
        ...(leadIn === ''
          ? []
          : [
              `All cues begin with ${leadIn}: it is left out here, since a collection has a lead-in of its own.`,
            ]),
      ].map((remark) => (
        <p key={remark} className="text-[13.5px] text-soft">
          {remark}
        </p>
      ))}
    </section>
  );
}
