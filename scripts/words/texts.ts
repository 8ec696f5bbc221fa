import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import ts from 'typescript';

/** What the source says to people: texts as they stand in it, with ◻ where a value is put in. */
export interface Said {
  file: string;
  line: number;
  text: string;
}

/** Attributes that people read or hear. */
const READ = /^(?:aria-label|label|title|placeholder|alt|hint|children|verb|what|name|say|legend)$/;
/** Lists of classes, as Tailwind has them. */
const CLASSES =
  /(?:^|\s)(?:[a-z0-9:&[\]_>]*:)?-?(?:m|p|mx|my|mt|mb|ml|mr|px|py|pt|pb|pl|pr|text|bg|border|min|max|flex|grid|gap|w|h|font|inset|z|top|left|right|bottom|items|justify|overflow|col|row|size|rounded)-[a-z0-9[]/;

function textOf(node: ts.Node): string | undefined {
  if (ts.isJsxText(node)) return node.text.replace(/\s+/g, ' ').trim();
  if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) return node.text;
  if (ts.isTemplateExpression(node))
    return node.head.text + node.templateSpans.map(({ literal }) => `◻${literal.text}`).join('');
  return undefined;
}

/** Whether a text is a thing of the code: where a file is, an attribute that nobody reads, what only a developer is told. */
function isOfCode(node: ts.Node): boolean {
  const { parent } = node;
  if (ts.isImportDeclaration(parent) || ts.isExportDeclaration(parent) || ts.isLiteralTypeNode(parent)) return true;
  if (ts.isNewExpression(parent) && parent.expression.getText() === 'Error') return true;
  if (ts.isTaggedTemplateExpression(parent)) return true;
  for (let above: ts.Node = parent; above && !ts.isSourceFile(above); above = above.parent)
    if (ts.isJsxAttribute(above)) return !READ.test(above.name.getText());
    else if (ts.isJsxElement(above) || ts.isFunctionLike(above)) return false;
  return false;
}

/** Two words in small letters, one after the other: less is a key or a name. */
const isText = (text: string) =>
  /[a-z]{2,},? [a-z]{2,}/.test(text) && !CLASSES.test(text) && !/^[MLC] ?-?\d/.test(text);

/** All that files say. @param patterns as git knows them */
export function saidIn(patterns: readonly string[], leftOut: RegExp): Said[] {
  const files = execFileSync('git', ['ls-files', ...patterns], { encoding: 'utf8' })
    .trim()
    .split('\n');
  return files
    .filter((file) => !leftOut.test(file))
    .flatMap((file) => {
      const said: Said[] = [];
      const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
      const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true, kind);
      const visit = (node: ts.Node): void => {
        const text = textOf(node);
        if (text && isText(text) && !isOfCode(node))
          said.push({ file, line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1, text });
        ts.forEachChild(node, visit);
      };
      visit(source);
      return said;
    });
}
