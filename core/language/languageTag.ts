import { z } from 'zod';

function isTag(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}

/**
 * A language as BCP 47 writes it, such as `en-GB`. Others are refused where they are kept: with `en_GB` everything that
 * writes numbers, dates or lists in that language would throw whenever the entry is opened.
 */
export const LanguageTagSchema = z
  .string()
  .min(2)
  .max(35)
  .refine(isTag, 'must be a language such as en-GB or cy');
