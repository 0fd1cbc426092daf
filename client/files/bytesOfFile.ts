import { pathFor } from '#contracts';
import { ForPeople, Unreachable } from '../api';

/** The bytes of a file of a case. `name`: what it is called, for what is said. Throws in words where they cannot be had. */
export async function bytesOfFile(of: string, file: string, name: string): Promise<Uint8Array> {
  const response = await fetch(pathFor('caseFile', { case: of, file })).catch(() => null);
  if (response?.status === 404)
    throw new ForPeople(
      `${name} is not among the files of the case any more. Bring it back from the wastebasket.`,
    );
  if (!response?.ok) throw new Unreachable();
  return new Uint8Array(await response.arrayBuffer());
}
