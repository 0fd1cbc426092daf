import type { Locator } from '@playwright/test';
import { expect, type Page } from './test';

/** The page of an entry as someone works on it: words typed, blanks made in place, their fields settled below. */
export class Workbench {
  constructor(readonly page: Page) {}

  get wording(): Locator {
    return this.page.getByRole('textbox', { name: 'Wording', exact: true });
  }

  get fields(): Locator {
    return this.page.getByRole('region', { name: 'Fields' });
  }

  async begin(title: string): Promise<void> {
    await this.page.getByRole('link', { name: 'Bank' }).click();
    await this.page.getByRole('link', { name: 'Write an entry' }).click();
    await this.page.getByRole('textbox', { name: 'Title' }).fill(title);
    await this.wording.click();
  }

  /** Types at the end of the wording. */
  async type(words: string): Promise<void> {
    await this.wording.focus();
    await this.page.keyboard.press('Control+End');
    await this.page.keyboard.type(words);
  }

  /** A blank of a new field at the end of the wording; how it is answered is picked. */
  async blank(name: string, kind: string, settle: (field: Locator) => Promise<void> = async () => {}) {
    await this.type('');
    await this.page.keyboard.press('F4');
    await this.settle(name, kind, settle);
  }

  /** A field that no blank asks for by itself. */
  async field(name: string, kind: string, settle: (field: Locator) => Promise<void> = async () => {}) {
    await this.fields.getByRole('button', { name: 'Add a field' }).click();
    await this.settle(name, kind, settle);
  }

  private async settle(name: string, kind: string, settle: (field: Locator) => Promise<void>) {
    await this.fields.getByLabel('Name', { exact: true }).fill(name);
    await this.fields.getByLabel('Answer comes from').selectOption({ label: kind });
    await settle(this.fields);
  }

  async detail(name: string, label: string): Promise<void> {
    await this.blank(name, 'a detail of the record', async (field) => {
      await field.getByLabel('Which detail').selectOption({ label });
    });
  }

  async choice(name: string, question: string, options: readonly string[]): Promise<void> {
    await this.blank(name, 'a choice', async (field) => {
      await field.getByLabel('Question asked in the margin').fill(question);
      await field.getByLabel('Option 1', { exact: true }).fill(options[0]!);
      for (const [at, option] of options.slice(1).entries()) {
        await field.getByLabel(`Option ${at + 1}`, { exact: true }).press('Enter');
        await field.getByLabel(`Option ${at + 2}`, { exact: true }).fill(option);
      }
    });
  }

  /** The words just typed at the end become a passage that stands only when a condition holds. */
  async onlyWhen(words: string, pick: (condition: Locator) => Promise<void>): Promise<void> {
    await this.type(words);
    for (let at = 0; at < words.length; at += 1) await this.page.keyboard.press('Shift+ArrowLeft');
    await this.page.getByRole('button', { name: 'Condition' }).click();
    await pick(this.page.getByRole('region', { name: 'When these words appear' }));
    await this.page.getByRole('button', { name: 'Continue after them' }).click();
  }

  async save(): Promise<void> {
    await this.page.getByRole('button', { name: /^Save/ }).click();
    await expect(this.page.getByText(/Saved as revision \d+/)).toBeVisible();
  }
}
