import fs from 'node:fs';
import Papa from 'papaparse';
import { columnsOf, emptySetup, tableFrom, type Rule } from '#core/batch';
import { emptyRecord } from '#core/record';
import { insertCase } from '../../server/cases';
import type { Context } from '../../server/context';
import { batches, batchRows } from '../../server/db';

const OF = 'lived-volunteers';
/** Which decision gets which letter; whoever is to be asked about is decided by hand. */
const LETTERS: Record<string, string> = {
  accepted: 'helpline-volunteers-vac',
  'waiting list': 'helpline-volunteers-vwa',
  declined: 'helpline-volunteers-vno',
  'missing papers': 'helpline-volunteers-vmi',
};
/** Some that were looked at already and wait for an answer from somebody else. */
const HELD = ['Nils Fenn'];

/** A batch of the helpline: forty people who applied to help, each with what was decided. Throws where its file is not right. */
export async function loadBatch(context: Context, file: string): Promise<void> {
  const { db, now, newId } = context;
  const { data } = Papa.parse<string[]>(fs.readFileSync(file, 'utf8'), { skipEmptyLines: true });
  const table = tableFrom(data);
  const day = now().toISOString().slice(0, 10);
  const columns = columnsOf(table, {
    fields: ['Role', 'Begins', 'Hours', 'Missing'],
    today: day,
    language: 'en-GB',
  });
  const decision = columns.find(({ head }) => head === 'Decision');
  if (!decision) throw new Error(`${file} has no column called Decision.`);
  const rules: Rule[] = Object.entries(LETTERS).map(([value, entry], at) => ({
    ...{ id: `r${at + 1}`, entry, wording: null },
    when: { test: 'is', field: decision.id, value },
  }));
  await db.transaction(async (tx) => {
    const about = 'Forty people who want to help, and what was decided on Monday';
    const row = {
      id: OF,
      kind: 'batch' as const,
      title: 'Volunteers, this autumn',
      number: null,
      summary: about,
    };
    await insertCase(tx, { ...row, openedAt: now(), record: emptyRecord() }, ['anouk', 'jory']);
    await tx.insert(batches).values({ case: OF, setup: { ...emptySetup(day), columns, rules }, version: 1 });
    await tx.insert(batchRows).values(
      table.rows.map((cells, position) => ({
        ...{ id: newId(), case: OF, position, cells, entry: null, isHeld: HELD.includes(cells[0]!) },
        ...{
          enquiry: null,
          file: null,
          checked: null,
          document: null,
          base: null,
          gone: null,
          goneAt: null,
          version: 1,
        },
      })),
    );
  });
}
