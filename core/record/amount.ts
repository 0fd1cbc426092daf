import { readNumber } from '#core/language';
import { isKnownUnit } from '#core/units';
import type { Value } from './value';

type Amount = Extract<Value, { kind: 'quantity' }>;

/** An amount with the unit typed behind it, or the one it had; null when it is none. */
export function readAmount(typed: string, unit: string, language: string): Amount | null {
  const own = /^(.*\d)\s*(\p{L}[\p{L}/%]*|%|°\p{L})$/u.exec(typed.trim());
  if (own && isKnownUnit(own[2]!)) {
    const value = readNumber(own[1]!, language);
    return value === null ? null : { kind: 'quantity', value, unit: own[2]! };
  }
  const value = readNumber(typed, language, unit.split('|')[0]);
  return value === null ? null : { kind: 'quantity', value, unit };
}

/** An amount so many times the one before it, or so small a part of it, is more often a slip than meant. */
const UNLIKE = 3;

/** Whether an amount is hardly the same thing measured again. */
export function isUnlike(value: number, before: number): boolean {
  if (before === 0 || value === 0) return false;
  const times = Math.abs(value / before);
  return times > UNLIKE || times < 1 / UNLIKE;
}
