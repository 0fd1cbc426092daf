import type { CDPSession } from '@playwright/test';
import { expect, type Page } from './test';

/** What a screen reader is told of one thing on the page. */
export interface Heard {
  role: string;
  name: string;
}

interface TreeNode {
  ignored: boolean;
  role?: { value: string };
  name?: { value?: string };
  properties?: { name: string; value: { value?: unknown } }[];
}

/** So many keys are pressed at the most on the way to something: a screen on which it takes more is not usable by ear. */
const MOST_TABS = 80;

/**
 * A page as somebody works who sees none of it: the browser's accessibility tree is heard, keys are pressed, and nothing else. Every
 * stop on the way must say what it is.
 */
export class HeardPage {
  private constructor(
    readonly page: Page,
    private readonly session: CDPSession,
  ) {}

  static async of(page: Page): Promise<HeardPage> {
    const session = await page.context().newCDPSession(page);
    await session.send('Accessibility.enable');
    return new HeardPage(page, session);
  }

  private async treeOf(expression: string): Promise<{ objectId: string | undefined }> {
    const { result } = await this.session.send('Runtime.evaluate', { expression });
    return { objectId: result.objectId };
  }

  /** What has the keys, as the browser tells it. */
  async here(): Promise<Heard> {
    const { objectId } = await this.treeOf('document.activeElement');
    const { nodes } = await this.session.send('Accessibility.getPartialAXTree', {
      objectId: objectId!,
      fetchRelatives: false,
    });
    const [node] = nodes as TreeNode[];
    return { role: node?.role?.value ?? '', name: node?.name?.value ?? '' };
  }

  /** All that the page tells under a role. */
  async all(role: string): Promise<string[]> {
    const { objectId } = await this.treeOf('document');
    const { nodes } = await this.session.send('Accessibility.queryAXTree', { objectId: objectId!, role });
    return (nodes as TreeNode[]).flatMap(({ ignored, name }) => (ignored ? [] : [name?.value ?? '']));
  }

  /** Tabs until something of this role and name has the keys; each stop on the way has a name. */
  async tabTo(role: string, name: RegExp, key: 'Tab' | 'Shift+Tab' = 'Tab'): Promise<void> {
    const passed: string[] = [];
    for (let at = 0; at < MOST_TABS; at += 1) {
      await this.page.keyboard.press(key);
      const heard = await this.here();
      // Past the last stop the browser's own come, and then the first again.
      if (await this.page.evaluate(() => document.activeElement === document.body)) continue;
      expect(heard.name, `what is told of a ${heard.role} after ${passed.join(', ')}`).not.toBe('');
      if (heard.role === role && name.test(heard.name)) return;
      passed.push(`${heard.role} “${heard.name}”`);
    }
    throw new Error(`Tab never came to a ${role} like ${String(name)}, but to: ${passed.join(', ')}`);
  }

  /** Waits until the keys are on something of this role and name. */
  async comesTo(role: string, name: RegExp): Promise<void> {
    await expect
      .poll(async () => this.here())
      .toEqual({ role, name: expect.stringMatching(name) as unknown as string });
  }

  /** Waits until what is told without being asked for, a status or an alert, says so. */
  async isTold(words: RegExp): Promise<void> {
    const told = this.page.locator('[role=status], [role=alert], [aria-live]').filter({ hasText: words });
    await expect(told.first()).toBeAttached();
  }

  async type(words: string): Promise<void> {
    await this.page.keyboard.type(words);
  }

  async press(...keys: string[]): Promise<void> {
    for (const key of keys) await this.page.keyboard.press(key);
  }
}
