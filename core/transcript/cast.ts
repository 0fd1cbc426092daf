import { z } from 'zod';
import { KeyIdSchema } from '#core/passage';

/** So many speak in one recording at the most. */
export const MOST_SPEAKERS = 100;

const SpeakerSchema = z.object({
  id: KeyIdSchema.max(60),
  name: z.string().trim().min(1).max(80),
  initials: z.string().trim().max(12),
  /** The letter or digit that begins a turn of theirs; '' for none. */
  key: z.string().max(2),
  role: z.string().trim().max(80).default(''),
});
/** Somebody who is heard in a recording. */
export type Speaker = z.infer<typeof SpeakerSchema>;

/** Who speaks, in their order. */
const CastSchema = z.array(SpeakerSchema).max(MOST_SPEAKERS);

/** So many casts a member keeps at the most. */
export const MOST_KEPT_CASTS = 40;
/** A group of speakers that a member keeps for recordings to come, under a name. */
export const KeptCastSchema = z.object({ name: z.string().trim().min(1).max(80), cast: CastSchema.min(1) });
export type KeptCast = z.infer<typeof KeptCastSchema>;

/** What may follow a label. */
export const LABEL_ENDS = ['tab', 'space', 'line'] as const;

const LabelStyleSchema = z.object({
  /** None of a recording in which one person speaks, as one that is dictated. */
  by: z.enum(['name', 'initials', 'none']),
  capitals: z.boolean(),
  colon: z.boolean(),
  after: z.enum(LABEL_ENDS),
  bold: z.boolean(),
});
/** How the label of a turn is written: the same for all turns of a transcript. */
export type LabelStyle = z.infer<typeof LabelStyleSchema>;

/** Ways to write a time: 00:12:33, [00:12:33], 12.5 s, 00:12:33:10. */
export const TIME_FORMS = ['clock', 'brackets', 'seconds', 'frames'] as const;
/** Where the times of turns are shown. */
export const TIME_PLACES = ['margin', 'text', 'none'] as const;

const TimeStyleSchema = z.object({
  shown: z.enum(TIME_PLACES),
  form: z.enum(TIME_FORMS),
  /** Frames in a second, for times in frames. */
  rate: z.number().min(1).max(240),
  /** A time is shown where so many minutes went by since the one before; 0 for each turn. */
  every: z.number().int().min(0).max(600),
});
/** How times are written, and where. */
export type TimeStyle = z.infer<typeof TimeStyleSchema>;

/** So many terms a recording has of its own at the most, each of so many characters. */
export const MOST_TERMS = 1000;
export const TERM_LENGTH = 120;

/** What a transcript carries beside its text. */
export const TranscriptSchema = z.object({
  cast: CastSchema,
  labels: LabelStyleSchema,
  times: TimeStyleSchema,
  /** The part of the recording that this leaf is for, in milliseconds, where others write down other parts. */
  part: z.object({ from: z.number().int().min(0), to: z.number().int().min(0).nullable() }).optional(),
  /** Whether what is marked as a filler, a stammer or a false start is left out of what goes out. */
  clean: z.boolean().optional(),
  /** Names and other words of this recording alone, to be offered while it is written down. */
  terms: z.array(z.string().trim().min(1).max(TERM_LENGTH)).max(MOST_TERMS).optional(),
});
export type Transcript = z.infer<typeof TranscriptSchema>;

/** A transcript in which nobody is known yet. */
export const NEW_TRANSCRIPT: Transcript = {
  cast: [],
  labels: { by: 'name', capitals: false, colon: true, after: 'tab', bold: true },
  times: { shown: 'margin', form: 'clock', rate: 25, every: 0 },
};

const letters = (text: string) => text.normalize('NFC').match(/[\p{L}\p{N}]+/gu) ?? [];

/** Candidates for the initials of a name, the shortest first: first letters, then more of the last word, then of the first. */
function* initialsFor(name: string): Generator<string> {
  const words = letters(name);
  const first = words.map((word) => [...word][0]!.toUpperCase()).join('');
  if (first !== '') yield first.slice(0, 4);
  const last = [...(words.at(-1) ?? '')];
  const before = first.slice(0, -1);
  for (let length = 2; length <= last.length && before.length + length <= 12; length += 1)
    yield before + last[0]!.toUpperCase() + last.slice(1, length).join('');
  for (let count = 2; count <= MOST_SPEAKERS + 1; count += 1) yield `${first.slice(0, 4) || 'S'}${count}`;
}

/** Candidates for the key of a name: its letters, from the first of each word on, then all digits and letters. */
function* keysFor(name: string): Generator<string> {
  const words = letters(name.toLowerCase());
  for (const word of words) yield [...word][0]!;
  for (const word of words) yield* [...word];
  yield* '123456789abcdefghijklmnopqrstuvwxyz0';
}

function firstFree(candidates: Iterable<string>, taken: ReadonlySet<string>): string {
  for (const one of candidates) if (!taken.has(one.toLowerCase())) return one;
  return '';
}

const takenBy = (cast: readonly Speaker[], of: 'initials' | 'key', but?: string) =>
  new Set(cast.filter(({ id }) => id !== but).map((speaker) => speaker[of].toLowerCase()));

/** Initials for a name that nobody else of the cast has. */
export const freeInitials = (name: string, cast: readonly Speaker[], but?: string): string =>
  firstFree(initialsFor(name), takenBy(cast, 'initials', but));

/** A key for a name that nobody else of the cast has; '' where all are taken. */
export const freeKey = (name: string, cast: readonly Speaker[], but?: string): string =>
  firstFree(keysFor(name), takenBy(cast, 'key', but));

/** Whether nobody can be added to a cast any more. */
export const isFullCast = (cast: readonly Speaker[]): boolean => cast.length >= MOST_SPEAKERS;

/** The cast with one more speaker, whose initials and key are free; it has room for one (`isFullCast`). */
export function withSpeaker(cast: readonly Speaker[], id: string, name: string, role = ''): Speaker[] {
  const speaker = { id, name, initials: freeInitials(name, cast), key: freeKey(name, cast), role };
  return [...cast, speaker];
}

/** Two of a cast that cannot be told apart by their initials or key, and what is free for the later of them. */
export interface CastClash {
  speaker: Speaker;
  /** Who had it first. */
  other: Speaker;
  of: 'initials' | 'key';
  free: string;
}

/** What of a cast is the same twice; '' is nothing that could be. */
export function clashesIn(cast: readonly Speaker[]): CastClash[] {
  return cast.flatMap((speaker, at) =>
    (['initials', 'key'] as const).flatMap((of) => {
      const own = speaker[of].toLowerCase();
      const other = own === '' ? undefined : cast.slice(0, at).find((one) => one[of].toLowerCase() === own);
      if (!other) return [];
      const free = (of === 'key' ? freeKey : freeInitials)(speaker.name, cast, speaker.id);
      return [{ speaker, other, of, free }];
    }),
  );
}
