import { z } from 'zod';
import { SteppedSchema, StepsSchema } from './steps';
import { define } from './route';
import {
  DeletionSchema,
  RestoredSchema,
  ChangedSettingsSchema,
  TeamSettingsSchema,
  TouchedSchema,
  TouchingSchema,
} from './wastebasket';

/** Many entries at once; deleting and bringing back. */
export const WASTEBASKET_ROUTES = define({
  takeSteps: {
    method: 'post',
    path: '/api/entries/steps',
    access: 'member',
    summary:
      'Takes steps that belong together, as an act on many entries and its undo do: all of them, or none.',
    status: 200,
    body: StepsSchema,
    response: SteppedSchema,
  },
  touched: {
    method: 'post',
    path: '/api/entries/touched',
    access: 'member',
    summary: 'What deleting entries would touch.',
    status: 200,
    body: TouchingSchema,
    response: TouchedSchema,
  },
  deleteDraft: {
    method: 'delete',
    path: '/api/drafts/:draft',
    access: 'given',
    summary: "Puts the member's own draft into the wastebasket.",
    status: 200,
    guarded: true,
    response: DeletionSchema,
  },
  wastebasket: {
    method: 'get',
    path: '/api/wastebasket',
    access: 'member',
    summary: 'What the member can bring back, newest first.',
    status: 200,
    response: z.array(DeletionSchema),
  },
  restore: {
    method: 'post',
    path: '/api/wastebasket/:deletion/restored',
    access: 'keeper',
    summary: 'Brings back what was deleted, whole, or some of its entries.',
    status: 200,
    body: z.object({ entries: z.array(z.string().max(60)).max(5000).nullable() }),
    response: RestoredSchema,
  },
  purge: {
    method: 'delete',
    path: '/api/wastebasket/:deletion',
    access: 'keeper',
    summary: 'Deletes it for good.',
    status: 204,
  },
  teamSettings: {
    method: 'get',
    path: '/api/settings',
    access: 'member',
    atHand: 'team',
    summary: 'What is set for the whole team.',
    status: 200,
    response: TeamSettingsSchema,
  },
  saveTeamSettings: {
    method: 'put',
    path: '/api/settings',
    access: 'owner',
    atHand: 'team',
    summary: 'Sets what holds for the whole team: what is given; the rest stays.',
    status: 200,
    body: ChangedSettingsSchema,
    response: TeamSettingsSchema,
  },
});
