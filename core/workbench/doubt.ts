/** Where a doubt is: in a line of a part (offsets as the editor counts them), or at a field. */
export type DoubtPlace =
  | { wording: string; part: string; line: number; from: number; to: number }
  | { wording: string }
  | { field: string };

/** Something doubtful about an entry, that may be kept all the same. */
export interface Doubt {
  code:
    | 'unused-field'
    | 'overlapping-options'
    | 'unknown-nested'
    | 'missing-in-wording'
    | 'missing-part'
    | 'doubled-space'
    | 'leaking-mark'
    | 'lost-reference'
    | 'number-id-twice'
    | 'not-alone'
    | 'stuck-to-blank'
    | 'hole-when-left-out'
    | 'missing-stop';
  message: string;
  place: DoubtPlace;
}

/** A doubt about a line, from where to where in it. */
export interface FoundDoubt {
  code: Doubt['code'];
  message: string;
  from: number;
  to: number;
}
