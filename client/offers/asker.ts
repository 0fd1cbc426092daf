/**
 * Asks a service that answers later, one question at a time: while one is under way only the newest of those that
 * follow waits, and an older answer is not told once a newer question was asked. So the page never waits, and what is
 * told comes in the order asked.
 */
export class Asker<Question, Answer> {
  private underWay = false;
  private next: { question: Question } | null = null;
  /** How often everything asked was made void. */
  private wanted = 0;

  constructor(
    private readonly service: (question: Question) => Promise<Answer>,
    private readonly tell: (answer: Answer, question: Question) => void,
  ) {}

  /** Asks now, or as soon as the question under way is answered. */
  ask(question: Question): void {
    this.next = { question };
    if (!this.underWay) void this.askNext();
  }

  /** Makes the questions asked so far void: none of them is told any more. */
  forget(): void {
    this.next = null;
    this.wanted += 1;
  }

  private async askNext(): Promise<void> {
    this.underWay = true;
    while (this.next) {
      const { question } = this.next;
      const wanted = this.wanted;
      this.next = null;
      try {
        const answer = await this.service(question);
        if (!this.next && wanted === this.wanted) this.tell(answer, question);
      } catch {
        // A service that fails offers nothing: writing goes on without it.
      }
    }
    this.underWay = false;
  }
}
