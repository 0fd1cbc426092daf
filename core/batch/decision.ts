import type { Answer } from '#core/draft';
import { newField, type Condition, type Field } from '#core/entry';
import { Knowledge } from '#core/fill';
import { valueOfCell } from './rowRecord';
import { cellIn, type BatchSetup, type Rule } from './setup';
import type { Column } from './columns';

/** The columns of a table as conditions ask them: fields of their names. */
export const columnFields = (columns: readonly Column[]): Field[] =>
  columns.map(({ id, head, kind }) => ({ ...newField(kind, id, head.slice(0, 60)), required: false }));

function answerInCell(column: Column, cell: string, day: string): Answer | undefined {
  const value = valueOfCell(column, cell, day);
  if (value?.kind === 'quantity') return { kind: 'number', value: value.value };
  return value?.kind === 'list' ? undefined : (value ?? undefined);
}

/** Decides by rules, in their order, for one row after the other. */
export class Decider {
  private readonly fields: Field[];
  private readonly conditions: { id: string; when: Condition }[];

  constructor(private readonly setup: Pick<BatchSetup, 'columns' | 'rules' | 'day'>) {
    this.fields = columnFields(setup.columns);
    this.conditions = setup.rules.map(({ id, when }) => ({ id, when }));
  }

  /** The first rule that holds for a row; null for none: those rows are a pile of their own. */
  ruleFor(cells: readonly string[]): Rule | null {
    const { columns, rules, day } = this.setup;
    const at = new Map(columns.map((column, index) => [column.id, index]));
    const knowledge = new Knowledge({
      ...{ fields: this.fields, conditions: this.conditions, day, language: 'en-GB' },
      answerTo: ({ id }) => {
        const index = at.get(id);
        return index === undefined ? undefined : answerInCell(columns[index]!, cells[index] ?? '', day);
      },
    });
    return rules.find(({ id }) => knowledge.holds(id)) ?? null;
  }
}

/** So many values of a column make rules at once: one of more is hardly a decision. */
const MOST_RULES = 20;
/** In characters: more words than a rule compares with. */
const LONGEST_VALUE = 200;

/** A condition for each of the values of a column, those that most rows have first; `left`: for how many there is none. */
export function conditionsOfColumn(
  setup: Pick<BatchSetup, 'columns'>,
  column: Column,
  rows: readonly (readonly string[])[],
): { conditions: Condition[]; left: number } {
  const values = valuesOf(setup, column, rows);
  const taken = values.filter(({ value }) => value.length <= LONGEST_VALUE).slice(0, MOST_RULES);
  return {
    conditions: taken.map(({ value }) => ({ test: 'is', field: column.id, value })),
    left: values.length - taken.length,
  };
}

/** The values of a column, those that are in most rows first, with how many rows each. Capitals are ignored. */
function valuesOf(
  setup: Pick<BatchSetup, 'columns'>,
  column: Column,
  rows: readonly (readonly string[])[],
): { value: string; rows: number }[] {
  const found = new Map<string, { value: string; rows: number }>();
  for (const cells of rows) {
    const value = cellIn(setup, cells, column).trim();
    if (value === '') continue;
    const known = found.get(value.toLocaleLowerCase());
    if (known) known.rows += 1;
    else found.set(value.toLocaleLowerCase(), { value, rows: 1 });
  }
  return [...found.values()].sort((a, b) => b.rows - a.rows);
}
