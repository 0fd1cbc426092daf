import type { Router } from 'express';
import { readingFhir, type FhirFile } from '#core/fhir';
import type { Context } from '../../context';
import { bind, inTurns, Refusal } from '../../http';
import { takeAdmissions } from './takeAdmissions';

/** So many faults are told one by one; a person mends them with a program. */
const FAULTS_TOLD = 500;

/** What was sent, as files: a Bundle, a resource, or several, are one without a name. */
function filesIn(body: object): readonly FhirFile[] {
  if ('files' in body) return body.files as FhirFile[];
  return [{ name: 'The file', values: Array.isArray(body) ? (body as unknown[]) : [body] }];
}

/** Admissions from outside. */
export function admissionRoutes(router: Router, context: Context): void {
  bind(router, context, 'takeBundle', async ({ member, body }) => {
    const reading = await inTurns(readingFhir(filesIn(body)));
    if (!reading.ok) {
      const count = reading.faults.length;
      const what = count === 1 ? 'One thing is' : `${count} things are`;
      throw new Refusal(
        'not-fhir',
        `${what} wrong with this file. No case was made; mend the file and drop it again.`,
        {
          faults: reading.faults.slice(0, FAULTS_TOLD),
        },
      );
    }
    return { taken: await takeAdmissions(context, reading.read, member), remarks: reading.remarks };
  });
}
