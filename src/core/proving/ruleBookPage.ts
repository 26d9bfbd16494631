import { RULE_BOOK, schoolsOf, standingOf } from './ruleBook';

const cell = (text: string) => text.replaceAll('|', '\\|');

/** The rule book as a page of Markdown. */
export function ruleBookPage(): string {
  const count = RULE_BOOK.reduce((sum, c) => sum + c.rules.length, 0);
  return [
    '# Rules',
    '',
    `Every rule the program knows, ${count} of them, made from the rules themselves by \`./yard rules\`. A rule is \`unknown\` while anything`,
    'it needs is missing, and on a site of a school whose table is not in the program yet.',
    ...RULE_BOOK.flatMap(({ name, rules }) => [
      '',
      `## ${name}`,
      '',
      '| id | asks | unit | needs | basis | standing | schools |',
      '|---|---|---|---|---|---|---|',
      ...rules.map((r) => {
        const needs = r.asks.join('; ') || 'nothing more';
        const cells = [
          `\`${r.id}\``,
          r.title,
          r.unit || '–',
          needs,
          r.basis.source,
          standingOf(r),
          schoolsOf(r).join(', '),
        ];
        return `| ${cells.map(cell).join(' | ')} |`;
      }),
    ]),
    '',
  ].join('\n');
}
