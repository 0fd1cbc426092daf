import { useState } from 'react';
import { isNamed } from '#core/finder';

/** So many people are read at a glance. */
const AT_A_GLANCE = 20;

/** A list of people, narrowed by what is told of each once it is long. */
export function useNamed<T>(all: readonly T[], toldOf: (one: T) => string) {
  const [typed, type] = useState('');
  const isLong = all.length > AT_A_GLANCE;
  const isAsked = isLong && typed.trim() !== '';
  return { isLong, typed, type, shown: isAsked ? all.filter((one) => isNamed(toldOf(one), typed)) : all };
}
