import { z } from 'zod';
import { TextLimitSchema, type TextLimit } from '#core/passage';
import { KIND_IDS, KindIdSchema, kindOf, KINDS, type KindId } from './kinds';

const name = z
  .string()
  .trim()
  .min(1, 'say what it is called')
  .max(40, 'a name may have 40 characters at the most');

/** The kinds of work that a team does, each by what it is called there. */
export const TeamKindsSchema = z
  .array(
    z.object({
      kind: KindIdSchema,
      /** The work, as it is listed: "Ward notes". */
      work: name,
      /** What a case of it is called: "Admission". */
      caseName: name,
      /** How long a text of it may be, where that matters: of more a leaf tells. */
      limit: TextLimitSchema.optional(),
    }),
  )
  .min(1, 'a team does one kind of work at the least')
  .max(KIND_IDS.length)
  .refine((all) => new Set(all.map(({ kind }) => kind)).size === all.length, 'each kind can be named once');
export type TeamKinds = z.infer<typeof TeamKindsSchema>;

/** Kinds of work as a team has them. */
export interface KindsOfTeam {
  /** Those that it does, in the order they are offered; the leaf of no case is not among them. */
  done: readonly KindId[];
  /** What the work of a kind is called; of one that is not known here, as it was called there. */
  workOf: (kind: string) => string;
  /** What a case of a kind is called. */
  caseOf: (kind: KindId) => string;
  /** How long a text of a kind may be; null where that does not matter. */
  limitOf: (kind: string) => TextLimit | null;
  /** The kinds that something is for, in words. */
  inWords: (kinds: readonly string[]) => string;
}

/** Every kind that works by itself: a leaf of no case is there for all. */
const OF_ITS_OWN = KIND_IDS.filter((id) => !KINDS[id].reachesAll);

/** Kinds of work as a team has set them; as they come, where it has set nothing. What it does not do keeps its usual name. */
export function kindsOfTeam(set: TeamKinds | null): KindsOfTeam {
  const known = new Map((set ?? []).map((one) => [one.kind as string, one]));
  const workOf = (kind: string) => known.get(kind)?.work ?? kindOf(kind)?.work ?? kind;
  return {
    done: set === null ? OF_ITS_OWN : OF_ITS_OWN.filter((id) => known.has(id)),
    workOf,
    limitOf: (kind) => known.get(kind)?.limit ?? null,
    caseOf: (kind) => known.get(kind)?.caseName ?? KINDS[kind].caseName,
    inWords: (kinds) =>
      kinds.length === 0
        ? 'all work'
        : KIND_IDS.flatMap((id) => (kinds.includes(id) ? [workOf(id).toLowerCase()] : [])).join(', '),
  };
}
