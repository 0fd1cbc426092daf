import type { Member } from '#contracts';

/** A line under the head of the screens of a place: where it leads, and for whom it is. */
export interface PlaceLine {
  label: string;
  to: string;
  for?: Member['role'];
}

/** The places of the head line; the screens of each have its lines under the head. */
export const PLACES = {
  desk: { label: 'Desk', to: '/', lines: [] },
  bank: {
    label: 'Bank',
    to: '/bank',
    lines: [
      { label: 'Entries', to: '/bank' },
      { label: 'Cues', to: '/cues' },
      { label: 'Glossaries', to: '/glossaries' },
      { label: 'Tidy', to: '/order' },
      { label: 'Usage', to: '/usage' },
    ],
  },
  team: {
    label: 'Team',
    to: '/people',
    lines: [
      { label: 'People', to: '/people' },
      { label: 'Proposals and notes', to: '/proposals' },
      { label: 'Trail', to: '/trail', for: 'owner' },
      { label: 'Backups', to: '/backups' },
      { label: 'Other pages', to: '/other-pages' },
      { label: 'Rules for records', to: '/record-rules', for: 'owner' },
    ],
  },
} as const satisfies Record<string, { label: string; to: string; lines: readonly PlaceLine[] }>;

export type Place = keyof typeof PLACES;
