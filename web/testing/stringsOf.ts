import fs from 'node:fs';
import path from 'node:path';
import ts from 'typescript';

/** A string of the code, where it is. */
export interface CodeString {
  file: string;
  line: number;
  words: string;
}

function filesIn(folder: string): string[] {
  return fs.readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const full = path.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === 'testing' ? [] : filesIn(full);
    // What a starter says is wording, as a team writes it.
    return /\.tsx?$/.test(entry.name) && !/(?:\.test|^starter)\.tsx?$/.test(entry.name) ? [full] : [];
  });
}

/** What a reader sees of a string, a template or a text between tags; null for any other node, and for what is imported. */
function wordsOf(node: ts.Node): string | null {
  if (ts.isJsxText(node)) return node.text;
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text;
  if (ts.isTemplateExpression(node))
    return node.head.text + node.templateSpans.map(({ literal }) => `…${literal.text}`).join('');
  return null;
}

/** All strings of two words or more in a folder of the code, without its tests: what people may read on a screen. */
export function stringsOf(folder: string): CodeString[] {
  const found: CodeString[] = [];
  for (const file of filesIn(folder)) {
    const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
    const source = ts.createSourceFile(
      file,
      fs.readFileSync(file, 'utf8'),
      ts.ScriptTarget.Latest,
      true,
      kind,
    );
    const visit = (node: ts.Node): void => {
      if (ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
      if (ts.isJsxAttribute(node) && node.name.getText(source) === 'className') return;
      const words = wordsOf(node)?.replace(/\s+/g, ' ').trim();
      if (words?.includes(' ')) {
        const { line } = source.getLineAndCharacterOfPosition(node.getStart(source));
        found.push({ file, line: line + 1, words });
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  return found;
}
