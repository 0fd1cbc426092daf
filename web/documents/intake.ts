import { parseAllDocuments } from 'yaml';
import { UnreadableFile } from '#client/api';
import {
  documentShapes,
  mailShapes,
  NotPropertyList,
  NotRtf,
  readPropertyList,
  readRtf,
  roleOfHead,
  tableOfCells,
  tablesOfData,
  tableShapes,
  type IntakeShape,
  type IntakeTable,
  type SentMail,
} from '#core/intake';
import { plainPassage, type Passage } from '#core/passage';
import { NotOdt, passageOfSubmission, readOdt } from '#core/submission';
import { isArchive, xmlParts } from './archive';
import { decodedText } from './decodedText';
import { documentKind } from './documentKind';
import { passageOfHtml } from './documentOf';
import { isWorkbook } from './isWorkbook';
import { isMail, readMails } from './mails';
import { leftOut, passageOfDocx, passageOfMarkdown } from './readers';
import { cellsOfText, workbookSheets } from './tables';

/** What somebody has, as it was read: the ways to tell the entries in it apart, the likeliest first. */
export interface Intake {
  shapes: IntakeShape[];
  remarks: string[];
}

const NOTHING = 'Nothing was brought in.';
const isKnown = (head: string) => roleOfHead(head) !== null;

const titleOf = (called: string) => called.replace(/\.[^.]+$/, '');

function ofTables(tables: readonly (IntakeTable | null)[]): Intake {
  const there = tables.filter((table) => table !== null);
  return { shapes: tableShapes(there), remarks: there.flatMap(({ remarks }) => remarks) };
}

const ofDocument = (passage: Passage, called: string, pictures = 0): Intake => ({
  shapes: documentShapes(passage, titleOf(called)),
  remarks: leftOut(pictures),
});

const mostly = (lines: readonly string[], holds: (line: string) => boolean) =>
  lines.length > 0 && lines.filter(holds).length >= 0.8 * lines.length;

/** Whether text is a table of tabs, or begins as a table with names for its columns does. */
function isTable(text: string, called: string): boolean {
  if (/\.(csv|tsv|tab)$/i.test(called)) return true;
  const lines = text.split(/\r\n?|\n/).filter((line) => line.trim() !== '');
  if (lines.length < 2) return false;
  if (mostly(lines, (line) => /\S\t+\S/.test(line))) return true;
  const heads = cellsOfText(lines[0]!)[0] ?? [];
  return (
    heads.length >= 2 &&
    heads.filter(isKnown).length >= Math.max(2, heads.length / 2) &&
    lines[0]!.length < 200
  );
}

const isHtml = (text: string, called: string) =>
  /\.x?html?$/i.test(called) || /^\s*(<!doctype html|<html[\s>]|<table[\s>]|<meta )/i.test(text);
const isMarkdown = (text: string, called: string) =>
  /\.(md|markdown)$/i.test(called) ||
  /^#{1,6} \S/m.test(text) ||
  /^\|.+\|\s*\n\|[\s:|-]+\|/m.test(text) ||
  (text.match(/^\s*\*\*.+\*\*/gm) ?? []).length > 1 ||
  /^\S.*\n(?:={3,}|-{3,})\s*$/m.test(text);

/** The data of YAML, of several documents as a list. Throws an UnreadableFile. */
function dataOfYaml(text: string, called: string): unknown {
  const documents = parseAllDocuments(text, { uniqueKeys: false });
  const all = Array.isArray(documents) ? documents : [];
  const fault = all.flatMap(({ errors }) => errors)[0];
  if (fault) throw new UnreadableFile(`${called} is not YAML: ${fault.message.split('\n')[0]}. ${NOTHING}`);
  try {
    // Names for what stands elsewhere could make a small file unfold to gigabytes.
    const held: unknown[] = all.map((one) => one.toJS({ maxAliasCount: 100 }) as unknown);
    const [only] = held;
    return held.length === 1 ? only : held;
  } catch (error) {
    throw new UnreadableFile(`${called} cannot be read: ${(error as Error).message}. ${NOTHING}`);
  }
}

/** Data in the text; undefined where it is none. Throws an UnreadableFile where a file of data is broken. */
function dataIn(text: string, called: string): unknown {
  const isJson = /\.json$/i.test(called);
  if (isJson || /^\s*[[{]\s*["[{\]}]/.test(text)) {
    try {
      return JSON.parse(text.replace(/^\uFEFF/, ''));
    } catch (error) {
      if (isJson) throw new UnreadableFile(`${called} is not JSON: ${(error as Error).message}. ${NOTHING}`);
      return undefined;
    }
  }
  if (/<plist[\s>]/.test(text.slice(0, 1000))) {
    try {
      return readPropertyList(text);
    } catch (error) {
      if (!(error instanceof NotPropertyList)) throw error;
      throw new UnreadableFile(`${called} is a broken property list: ${error.message}. ${NOTHING}`);
    }
  }
  return /\.ya?ml$/i.test(called) ? dataOfYaml(text, called) : undefined;
}

async function ofText(text: string, called: string): Promise<Intake> {
  if (text.startsWith('{\\rtf')) {
    try {
      return ofDocument(readRtf(text), called);
    } catch (error) {
      if (!(error instanceof NotRtf)) throw error;
      throw new UnreadableFile(`${called} cannot be read: ${error.message}. ${NOTHING}`);
    }
  }
  const data = dataIn(text, called);
  if (data !== undefined) {
    const intake = ofTables(tablesOfData(data));
    if (intake.shapes.length === 0)
      throw new UnreadableFile(`There is no list in ${called} that entries could be made of. ${NOTHING}`);
    return intake;
  }
  if (isHtml(text, called)) {
    const { passage, pictures } = passageOfHtml(text);
    return ofDocument(passage, called, pictures);
  }
  if (isTable(text, called)) return ofTables([tableOfCells(cellsOfText(text), isKnown)]);
  if (isMarkdown(text, called)) {
    const { passage, pictures } = await passageOfMarkdown(text);
    return ofDocument(passage, called, pictures);
  }
  return ofDocument(plainPassage(text.trim()), called);
}

async function ofArchive(bytes: Uint8Array, called: string): Promise<Intake> {
  if (await isWorkbook(bytes, called)) {
    const sheets = await workbookSheets(bytes, called);
    return ofTables(
      sheets.map(({ name, cells }) => tableOfCells(cells, isKnown, sheets.length > 1 ? name : '')),
    );
  }
  const kind = await documentKind(bytes, called);
  if (kind === 'docx') {
    const { passage, pictures } = await passageOfDocx(bytes, called);
    return ofDocument(passage, called, pictures);
  }
  if (kind === 'odt') {
    try {
      const submission = readOdt(await xmlParts(bytes, called));
      return ofDocument(passageOfSubmission(submission, { placeWords: () => '', signs: [] }), called);
    } catch (error) {
      if (!(error instanceof NotOdt)) throw error;
      throw new UnreadableFile(`${called} cannot be read: ${error.message}. ${NOTHING}`);
    }
  }
  throw new UnreadableFile(
    `${called} is not a document or a workbook that can be read here. ${NOTHING} Save it as xlsx, docx, ODT, CSV or text.`,
  );
}

/** Throws an UnreadableFile where nothing was found that an entry could be made of. */
function found(intake: Intake, called: string): Intake {
  if (intake.shapes.length === 0) throw new UnreadableFile(`There is no wording in ${called}. ${NOTHING}`);
  return intake;
}

/** What mails that somebody sent hold: the passages that repeat in them. Throws an UnreadableFile. */
export async function intakeOfMails(files: readonly Uint8Array[], called: string): Promise<Intake> {
  const mails: SentMail[] = [];
  for (const bytes of files) mails.push(...(await readMails(bytes)));
  return found({ shapes: mailShapes(mails), remarks: [] }, called);
}

/**
 * What a file holds that entries can be made of: a table (CSV, TSV, xlsx), a document (docx, ODT, RTF, HTML, Markdown, text), or lists of
 * any shape (JSON, YAML, XML property lists). Throws an UnreadableFile, in words, where there is nothing.
 */
export async function intakeOf(bytes: Uint8Array, called: string): Promise<Intake> {
  if (isMail(bytes, called)) return intakeOfMails([bytes], called);
  if (isArchive(bytes)) return found(await ofArchive(bytes, called), called);
  if (bytes[0] === 0xd0 && bytes[1] === 0xcf)
    throw new UnreadableFile(
      `${called} is locked with a password, or of a program before 2007. ${NOTHING} Save it as xlsx or docx without a password.`,
    );
  const text = decodedText(bytes);
  if (text === null)
    throw new UnreadableFile(
      `${called} has no text in it that can be read here. ${NOTHING} Save it as xlsx, docx, ODT, CSV or text.`,
    );
  return found(await ofText(text, called), called);
}

/** What was pasted: as the HTML that came along where a table or headings are in it, else as its text. Throws an UnreadableFile. */
export async function intakeOfPaste(text: string, html: string): Promise<Intake> {
  const called = 'What was pasted';
  const isShaped = /<(table|h[1-6]|b|strong|li)[\s>]/i.test(html);
  if (!isShaped) return found(await ofText(text, called), called);
  const { passage, pictures } = passageOfHtml(html);
  return found(ofDocument(passage, called, pictures), called);
}
