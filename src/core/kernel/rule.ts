import type { Answer } from './answer';
import type { Basis, Check, Subject } from './check';
import type { Judgement } from './judgement';

/** A value a rule cannot do without, under the name by which the forms ask for it. */
export type NeedOf<S, T = unknown> =
  | {
      readonly as: string;
      readonly of: (about: S) => T | null | undefined;
      /** What to ask for where the name alone would send people to the wrong field. */
      readonly missing?: (about: S) => readonly string[];
    }
  | {
      readonly as: string;
      /** A value that says itself what it is missing. */
      readonly answer: (about: S) => Answer<T>;
    };
export type NeedsOf<S> = Readonly<Record<string, NeedOf<S>>>;
export type Known<N> = {
  readonly [K in keyof N]: N[K] extends { answer: (about: never) => Answer<infer T> }
    ? T
    : N[K] extends { of: (about: never) => infer T }
      ? NonNullable<T>
      : never;
};

/** What a rule is before it is asked: enough to list every rule the program knows. */
export interface RuleCard {
  /** Never renamed: reports, tests and the API hold on to it. */
  readonly id: string;
  readonly title: string;
  readonly unit: string;
  readonly basis: Basis;
  /** Schools of rules that answer it; every school where absent. The others' answer is `unknown`. */
  readonly schools?: readonly string[];
  /** Schools that have rules of their own in its place: there it is not asked. */
  readonly notOf?: readonly string[];
  /** It reads no figure of a data sheet: a sheet that does not stand keeps nothing back from it. */
  readonly sheetFree?: true;
  /** Its value is read off an instrument, or scaled from such a reading: the quantity. What the instrument may err by softens it. */
  readonly reads?: string;
}
export interface ListedRule extends RuleCard {
  /** Names of what it cannot do without. */
  readonly asks: readonly string[];
  /** The program cannot judge it yet: it stands, and answers `unknown` whatever is given. */
  readonly toCome?: true;
}
export interface Rule<S> extends ListedRule {
  /** How one part of the line stands. `unknown` while a need is missing, by the kernel and never by the rule. */
  readonly check: (about: S, subject: Subject) => Check;
}

/** `rule<Landing>()({...})`: the subject's type is said, the needs are inferred. */
export const rule =
  <S>() =>
  <const N extends NeedsOf<S>>(
    r: RuleCard & { readonly needs: N; readonly judge: (known: Known<N>, about: S) => Judgement },
  ): Rule<S> => {
    const { needs, judge, ...card } = r;
    const names = Object.keys(needs);
    const all = names.map((name) => needs[name] as NeedOf<S>);
    return {
      ...card,
      asks: [...new Set(all.map((n) => n.as))],
      check(about, subject) {
        try {
          return checked(about, subject);
        } catch (cause) {
          // A method says where it ends; there a rule has no answer, and the rest of the site has its own.
          if (!(cause instanceof RangeError)) throw cause;
          return withoutAnswer(card, subject, `Cannot be computed: ${cause.message}`);
        }
      },
    };

    function checked(about: S, subject: Subject): Check {
      const known: Record<string, unknown> = {};
      let missing: string[] | null = null;
      for (let i = 0; i < all.length; i++) {
        const need = all[i] as NeedOf<S>;
        const answer = 'answer' in need ? need.answer(about) : null;
        const value = answer ? answer.value : (need as { of: (about: S) => unknown }).of(about);
        if (value !== null && value !== undefined) known[names[i] as string] = value;
        else (missing ??= []).push(...wantedBy(need, answer, about));
      }
      return missing
        ? unknownCheck(card, subject, missing)
        : new JudgedCheck(card, subject, judge(known as Known<N>, about));
    }
  };

/** What stands beside an input that is asked for by a rule to come. */
const NOT_YET = '(not judged by the program yet)';

/** A rule of the trade that nobody built yet: it stands and is `unknown`, so that nothing looks judged that is not. */
export const ruleToCome = <S>(card: RuleCard & { readonly asks: readonly string[] }): Rule<S> => ({
  ...card,
  toCome: true,
  check: (_, subject) => withoutAnswer(card, subject, missingWords(card.asks.map((name) => `${name} ${NOT_YET}`))),
});

function wantedBy<S>(need: NeedOf<S>, answer: Answer<unknown> | null, about: S): readonly string[] {
  const said = answer ? answer.missing : 'missing' in need ? (need.missing?.(about) ?? []) : [];
  return said.length ? said : [need.as];
}

/** No answer yet: the missing inputs by the names the forms use, each once. Never shown as holding. */
function unknownCheck(card: RuleCard, subject: Subject, wanted: readonly string[]): Check {
  const missing = wanted.length > 1 ? [...new Set(wanted)] : wanted;
  return withoutAnswer(card, subject, missingWords(missing), missing);
}
const missingWords = (missing: readonly string[]): string => `Missing: ${missing.join(', ')}`;

function withoutAnswer(
  { id, title, unit, basis }: RuleCard,
  subject: Subject,
  why: string,
  missing?: readonly string[],
): Check {
  // Field by field: a spread costs ten times as much.
  const check: Check & { missing?: readonly string[] } = {
    id,
    subject,
    title,
    value: null,
    limit: null,
    unit,
    margin: null,
    verdict: 'unknown',
    basis,
    working: [why],
  };
  if (missing) check.missing = missing;
  return check;
}

/** The check of a judgement, read off the rule and what it said: thousands are made for every one that is looked at. As JSON it is a plain check. */
class JudgedCheck implements Check {
  #lines: readonly string[] | null = null;

  constructor(
    private readonly card: RuleCard,
    readonly subject: Subject,
    private readonly judgement: Judgement,
  ) {}

  get id(): string {
    return this.card.id;
  }
  get title(): string {
    return this.card.title;
  }
  get unit(): string {
    return this.card.unit;
  }
  get value(): number | null {
    return this.judgement.value;
  }
  get limit(): number | null {
    return this.judgement.limit;
  }
  get margin(): number | null {
    return this.judgement.margin;
  }
  get reserve(): number | undefined {
    return this.judgement.reserve;
  }
  get verdict(): Check['verdict'] {
    return this.judgement.verdict;
  }
  get basis(): Basis {
    return this.judgement.basis ?? this.card.basis;
  }
  get reads(): string | undefined {
    return this.card.reads;
  }
  /** Written at the first reading. */
  get working(): readonly string[] {
    return (this.#lines ??= this.judgement.working());
  }

  toJSON(): Check {
    return plainCheck(this);
  }
}

/** A check as plain data, for what copies objects without asking them: pages loaded from the server, messages to workers. */
export const plainCheck = (check: Check): Check => {
  const { id, subject, title, value, limit, unit, margin, reserve, verdict, missing, basis, working } = check;
  const more = { ...(reserve === undefined ? {} : { reserve }), ...(missing === undefined ? {} : { missing }) };
  return { id, subject, title, value, limit, unit, margin, verdict, basis, working, ...more };
};

const isRule = (value: unknown): boolean =>
  typeof value === 'object' && value !== null && 'check' in value && 'id' in value && 'asks' in value;

/**
 * The rules that the files of a folder export, in the order of their names: a new rule is its file, and no list grows.
 * Throws RangeError where a file holds none, or an id stands twice.
 */
export function rulesIn<S>(modules: Readonly<Record<string, unknown>>): readonly Rule<S>[] {
  const rules = Object.keys(modules)
    .sort()
    .flatMap((file) => {
      const own = Object.values(modules[file] as Record<string, unknown>).filter(isRule) as Rule<S>[];
      if (own.length === 0) throw new RangeError(`${file} must export a rule`);
      return own;
    });
  const ids = new Set<string>();
  for (const { id } of rules) {
    if (ids.has(id)) throw new RangeError(`id must be that of one rule (got ${id} twice)`);
    ids.add(id);
  }
  return rules;
}

/** Every rule of a group asked about one part of the line. What rests on something that does not stand is `unknown` as a whole: `wanting` names it. */
export const ask = <S>(
  rules: readonly Rule<S>[],
  about: S,
  subject: Subject,
  wanting: readonly string[] = [],
): Check[] =>
  rules.map((r) =>
    wanting.length && !r.toCome && !r.sheetFree ? unknownCheck(r, subject, wanting) : r.check(about, subject),
  );
