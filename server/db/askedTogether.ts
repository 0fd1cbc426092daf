import type { Database } from './openStore';

interface Waiting<Question, Answer> {
  question: Question;
  resolve: (answer: Answer) => void;
  reject: (error: unknown) => void;
}

/** So many are answered together at the most. */
const MOST = 500;

/**
 * Answers together what is asked of a database while an earlier answer is under way: of many who ask at once nobody waits for
 * more than two answers, where they would wait for those of all before them. What is answered was read after it was asked for.
 * Not for what is asked within a transaction.
 *
 * @param answer answers some questions, in their order; where it throws, all of them fail so
 * @returns asks one question
 */
export function askedTogether<Question, Answer>(
  answer: (db: Database, questions: readonly Question[]) => Promise<readonly Answer[]>,
): (db: Database, question: Question) => Promise<Answer> {
  const queues = new WeakMap<Database, Waiting<Question, Answer>[]>();

  async function answerAll(db: Database, waiting: Waiting<Question, Answer>[]): Promise<void> {
    while (waiting.length > 0) {
      const now = waiting.splice(0, MOST);
      try {
        const answers = await answer(
          db,
          now.map(({ question }) => question),
        );
        now.forEach(({ resolve }, at) => resolve(answers[at]!));
      } catch (error) {
        for (const { reject } of now) reject(error);
      }
    }
    queues.delete(db);
  }

  return (db, question) =>
    new Promise((resolve, reject) => {
      const asked = { question, resolve, reject };
      const waiting = queues.get(db);
      if (waiting) return void waiting.push(asked);
      const first = [asked];
      queues.set(db, first);
      void answerAll(db, first);
    });
}
