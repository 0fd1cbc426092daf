import type { Router } from 'express';
import type { CaseSummary } from '#contracts';
import { readFhirBundle, type ReadCase } from '#core/exchange';
import { headOfAdmission } from '#core/work';
import { insertCase } from '../../cases';
import type { Context } from '../../context';
import { bind, Refusal } from '../../http';

const FAULTS_TOLD = 100;

/** Stores an admission that was read from outside and gives it to members; all or nothing. */
function insertAdmission(
  context: Context,
  { title, number, record }: ReadCase,
  givenTo: readonly string[],
): Promise<CaseSummary> {
  const { summary, admitted } = headOfAdmission(record);
  const openedAt = admitted ? new Date(`${admitted}T12:00:00Z`) : context.now();
  const id = context.newId();
  return insertCase(context, { id, kind: 'admission', title, number, summary, openedAt, record }, givenTo);
}

/** Admissions from outside. */
export function admissionRoutes(router: Router, context: Context): void {
  bind(router, context, 'takeBundle', async ({ member, body }) => {
    const reading = readFhirBundle(body);
    if (!reading.ok) {
      const count = reading.faults.length;
      const what = count === 1 ? 'One thing is' : `${count} things are`;
      throw new Refusal(
        'not-fhir',
        `${what} wrong with this file. No case was made; mend the file and drop it again.`,
        { faults: reading.faults.slice(0, FAULTS_TOLD) },
      );
    }
    const summary = await insertAdmission(context, reading.read, [member.id]);
    await context.events.tell(member.id, { type: 'case-added', case: summary.id });
    return { case: summary, remarks: reading.remarks };
  });
}
