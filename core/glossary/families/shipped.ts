import { englishFamilies } from './english';
import type { Member } from './families';
import { welshFamilies } from './welsh';

/** By the language itself, without a region. */
const SHIPPED: Readonly<Record<string, () => Member[]>> = { en: englishFamilies, cy: welshFamilies };

/** The small words that go together in a language (BCP 47); none for one that has no rule here. */
export const familiesOf = (language: string): Member[] =>
  SHIPPED[language.toLowerCase().split('-')[0]!]?.() ?? [];
