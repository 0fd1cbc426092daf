import { pathFor, ProblemSchema, type CaseFile } from '#contracts';
import type { EntryFile } from '#core/entry';
import { ApiProblem, ForPeople, Unreachable } from '#client/api';

/** What is told while a file is being sent, and what ends it. */
export interface Sending {
  /** Called with how much of it is sent, from 0 to 1. */
  progress: (share: number) => void;
  /** Stops it: nothing is kept of the file then. */
  signal: AbortSignal;
}

/** A file was not sent because its sender stopped it. */
export class SendingStopped extends ForPeople {
  constructor(name: string) {
    super(`${name} was stopped. Nothing of it was saved.`);
  }
}

/** What the answer to a file says: the file as it is kept, or why it is not. */
function answerOf<Kept>(request: XMLHttpRequest): Kept | Error {
  const { status, response } = request as { status: number; response: unknown };
  if (status === 201) return response as Kept;
  const problem = ProblemSchema.safeParse(response);
  return problem.success ? new ApiProblem(problem.data) : new Unreachable();
}

function send<Kept>(
  method: 'POST' | 'PUT',
  path: string,
  file: File,
  { progress, signal }: Sending,
): Promise<Kept> {
  // It waited for others, and was stopped meanwhile.
  if (signal.aborted) return Promise.reject(new SendingStopped(file.name));
  return new Promise((resolve, reject) => {
    // `fetch` tells nothing of how much was sent.
    const request = new XMLHttpRequest();
    request.open(method, path);
    request.setRequestHeader('Content-Type', 'application/octet-stream');
    request.setRequestHeader('Elderleaf-Name', encodeURIComponent(file.name));
    request.responseType = 'json';
    request.upload.onprogress = ({ loaded, total }) => progress(total === 0 ? 1 : loaded / total);
    request.onload = () => {
      const answer = answerOf<Kept>(request);
      if (answer instanceof Error) reject(answer);
      else resolve(answer);
    };
    request.onerror = () => reject(new Unreachable());
    request.onabort = () => reject(new SendingStopped(file.name));
    signal.addEventListener('abort', () => request.abort());
    request.send(file);
  });
}

/**
 * Sends a file to be kept with a case, under an id of its own, so that it can be sent again when the answer was lost.
 * Throws ApiProblem where it is refused, Unreachable where nobody answers, SendingStopped where `signal` ended it.
 */
export const sendFile = (of: string, id: string, file: File, sending: Sending): Promise<CaseFile> =>
  send('PUT', pathFor('addCaseFile', { case: of, file: id }), file, sending);

/**
 * Sends a file that is to go along with an entry; what is answered belongs into the entry's content. Throws as `sendFile` does.
 */
export const sendEntryFile = (file: File, sending: Sending): Promise<EntryFile> =>
  send('POST', pathFor('sendEntryFile', {}), file, sending);
