import { parse, type AST } from 'svelte/compiler';

/**
 * Finds what is typed into a component instead of the catalogue: text between tags, and texts in the attributes that people
 * read or hear, plain or chosen by an expression.
 */

/** Signs of units, which every language writes alike. */
const UNITS = new Set('kg mm cm ml min pH lb oz in px kB MB mol ppm'.split(' '));
const READ = new Set(
  'title aria-label placeholder submit label hint outcome says empty caution per alt named'.split(' ')
);
/** What stands in these is a key, a formula or code, and no sentence. */
const SILENT = new Set(['kbd', 'code', 'pre', 'style', 'script']);

const isWordy = (text: string): boolean => (text.match(/\p{L}{2,}/gu) ?? []).some((word) => !UNITS.has(word));

interface Node {
  readonly type: string;
  readonly [key: string]: unknown;
}

/** The texts an expression may come to by itself: its literals, through choices and joins, not through calls. */
function literals(node: Node | null): string[] {
  switch (node?.type) {
    case 'Literal':
      return typeof node.value === 'string' ? [node.value] : [];
    case 'TemplateLiteral':
      return (node.quasis as { value: { cooked: string } }[]).map(({ value }) => value.cooked);
    case 'ConditionalExpression':
      return [...literals(node.consequent as Node), ...literals(node.alternate as Node)];
    case 'LogicalExpression':
      return [...(node.operator === '&&' ? [] : literals(node.left as Node)), ...literals(node.right as Node)];
    case 'BinaryExpression':
      return node.operator === '+' ? [...literals(node.left as Node), ...literals(node.right as Node)] : [];
    case 'TSAsExpression':
    case 'TSNonNullExpression':
      return literals(node.expression as Node);
    default:
      return [];
  }
}

/** @returns each text that was typed, in the order of the file */
export function typedTexts(source: string): string[] {
  const found: string[] = [];
  const told = (texts: readonly string[]) => found.push(...texts.map((text) => text.trim()).filter(isWordy));
  const visit = (node: Node) => {
    if (node.type === 'Text') told([(node as unknown as AST.Text).data]);
    if (node.type === 'ExpressionTag') told(literals(node.expression as Node));
    if (typeof node.name === 'string' && SILENT.has(node.name)) return;
    for (const attribute of (node.attributes ?? []) as Node[]) {
      if (attribute.type !== 'Attribute' || !READ.has(String(attribute.name)) || attribute.value === true) continue;
      for (const part of [attribute.value].flat() as Node[]) visit(part);
    }
    for (const part of ['fragment', 'consequent', 'alternate', 'body', 'fallback', 'pending', 'then', 'catch']) {
      const inside = node[part] as { nodes?: Node[] } | null | undefined;
      for (const each of inside?.nodes ?? []) visit(each);
    }
  };
  visit(parse(source, { modern: true }) as unknown as Node);
  return found;
}
