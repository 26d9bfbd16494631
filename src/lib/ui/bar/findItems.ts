import { goto } from '$app/navigation';
import { read } from '$lib/client/api';

/** One thing that can be found by typing, and where it leads. */
export interface FindItem {
  readonly id: string;
  readonly label: string;
  readonly description: string;
  readonly onselect: () => void;
}

export const leadsTo = (href: string) => () => void goto(href);

/** Sites of the yard and every rule the program knows: the same wherever one stands. None of the sites where nobody answers. */
export async function commonItems(): Promise<FindItem[]> {
  const { RULE_BOOK } = await import('$core/proving/ruleBook');
  const sites = await read<readonly { id: string; name: string; summary: { place: string } }[]>('/api/v1/sites').catch(
    () => [],
  );
  return [
    ...sites.map((s) => ({
      id: `site-${s.id}`,
      label: s.name,
      description: `site${s.summary.place ? `, ${s.summary.place}` : ''}`,
      onselect: leadsTo(`/sites/${s.id}`),
    })),
    ...RULE_BOOK.flatMap((c) => c.rules).map((r) => ({
      id: `rule-${r.id}`,
      label: r.title,
      description: `rule ${r.id}`,
      onselect: leadsTo(`/rules#${r.id}`),
    })),
  ];
}
