import { z } from 'zod';
import { TakenOverSchema } from '../cases';
import { define } from '../route';

/** What an admission can be asked for beside what all cases can. */
export const ADMISSION_ROUTES = define({
  takeBundle: {
    method: 'post',
    path: '/api/cases/fhir',
    access: 'member',
    summary: 'Makes a case from an HL7 FHIR R4 Bundle and gives it to the member.',
    status: 201,
    body: z.unknown(),
    response: TakenOverSchema,
  },
});
