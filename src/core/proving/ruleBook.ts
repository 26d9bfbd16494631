import { SCHOOL_NAMES } from '../conductor/school';
import { DISCIPLINES } from '../design';
import type { ListedRule } from '../kernel/rule';
import { PROVING_RULES } from './rules';

/** The rules of one discipline, or of the record. */
export interface RuleChapter {
  readonly name: string;
  readonly rules: readonly ListedRule[];
}

/** Every rule the program knows, by discipline and id. */
export const RULE_BOOK: readonly RuleChapter[] = [
  ...DISCIPLINES.map(({ name, rules }) => ({ name, rules })),
  { name: 'proving', rules: Object.values(PROVING_RULES).flat() as readonly ListedRule[] },
].map(({ name, rules }) => ({ name, rules: [...rules].sort((a, b) => (a.id < b.id ? -1 : 1)) }));

/** Schools that answer a rule; the others' sites get `unknown`. */
export const schoolsOf = (rule: ListedRule): readonly string[] => rule.schools ?? SCHOOL_NAMES;

/** How sure its source is: read, written down from memory, or common practice; or that nobody built it yet. */
export const standingOf = ({ basis, toCome }: ListedRule): string => {
  if (toCome) return 'not judged by the program yet';
  return basis.kind === 'published' ? (basis.recalled ? 'recalled from memory' : 'read') : basis.kind;
};
