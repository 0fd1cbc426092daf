import { pathFor, ProblemSchema, type TakenMessage } from '#contracts';
import { ApiProblem, Unreachable } from '#client/api';

/**
 * Sends a message of a mail program to be taken in, as it is. Sent again it is the one it was. Throws ApiProblem where it is refused,
 * Unreachable where nobody answers.
 */
export async function sendMessage(file: File): Promise<TakenMessage> {
  const headers = { 'Content-Type': 'message/rfc822' };
  const response = await fetch(pathFor('takeMessage', {}), { method: 'POST', headers, body: file }).catch(
    () => null,
  );
  if (!response) throw new Unreachable();
  const answer: unknown = await response.json().catch(() => null);
  if (response.ok) return answer as TakenMessage;
  const problem = ProblemSchema.safeParse(answer);
  throw problem.success ? new ApiProblem(problem.data) : new Unreachable();
}
