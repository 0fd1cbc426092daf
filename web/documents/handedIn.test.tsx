import fs from 'node:fs';
import { expect, test } from '@jest/globals';
// Loaded before two of them are asked for at once, which the test runner cannot do.
import 'micromark';
import 'micromark-extension-gfm';
import { submissionOfPassage } from '#core/submission';
import { passageOfMarkdown } from './readers';

const FOLDER = 'demo/lived/feedback/saltmarsh';

test.each(fs.readdirSync(FOLDER).filter((name) => name.endsWith('.md')))(
  '%s of the demo reads as what lies beside it says',
  async (name) => {
    const { passage } = await passageOfMarkdown(fs.readFileSync(`${FOLDER}/${name}`, 'utf8'));
    const read = submissionOfPassage(passage);
    if (process.env.RENEW_DEMO) fs.writeFileSync(`${FOLDER}/${name}.json`, JSON.stringify(read));
    expect(read).toEqual(JSON.parse(fs.readFileSync(`${FOLDER}/${name}.json`, 'utf8')));
  },
);
