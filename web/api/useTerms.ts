import { useMutation, useQuery } from '@tanstack/react-query';
import type { Glossary } from '#contracts';
import { readWordList, type Term } from '#core/glossary';
import { call } from '#client/api';
import { KEYS, queryClient } from './queries';
import englishUrl from '../generated/english.tsv?url';

const settled = () => queryClient.invalidateQueries({ queryKey: KEYS.glossaries });

/** The terms of a glossary at the version it has. */
export function useTerms({ id, version, shipped }: Glossary) {
  return useQuery({
    queryKey: ['terms', id, version],
    queryFn: async () => {
      const text = shipped
        ? await fetch(englishUrl).then((response) => response.text())
        : (await call('terms', { params: { glossary: id, version: String(version) } })).terms;
      return readWordList(text).terms;
    },
    staleTime: Infinity,
    // What stood here stays while a change of it is fetched, so that the list does not jump.
    placeholderData: (before: Term[] | undefined) => before,
  });
}

export const useKeepTerm = (glossary: string) =>
  useMutation({
    mutationFn: (body: Term) => call('keepTerm', { params: { glossary }, body }),
    onSuccess: settled,
  });

export const useDropTerm = (glossary: string) =>
  useMutation({
    mutationFn: (term: string) => call('dropTerm', { params: { glossary, term } }),
    onSuccess: settled,
  });

export const useImport = (glossary: string) =>
  useMutation({
    mutationFn: (body: { terms: string; replace: boolean }) =>
      call('importTerms', { params: { glossary }, body }),
    onSuccess: settled,
  });
